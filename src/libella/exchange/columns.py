"""What the columns of a sheet tell: each one's meaning, its unit, and which side is its plus."""

import math
import re
from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from typing import Any, Final, Literal

from ..core.instruments.no_rig import NO_RIG
from ..core.measure.limits import OutOfLimits
from ..core.start.notes import NOTES
from ..core.start.stroke import MEASURES
from ..lessons.desk.stored import Stored
from ..lessons.set.stations import StationEntry
from .sheet import Sheet

_SAMPLES: Final = 5
Kind = Literal["angle", "length", "time", "slope", "number", "when", "flag", "text", "choice"]
UNITS: Final[dict[Kind, dict[str, float]]] = {
    "angle": {"deg": 1.0, "rad": 180 / math.pi, "mrad": 0.18 / math.pi},
    "length": {"m": 1.0, "cm": 0.01, "mm": 0.001, "in": 0.0254, "ft": 0.3048},
    "time": {"s": 1.0, "ms": 0.001},
    "slope": {"%": 1.0},
    "number": {"": 1.0, "ft": 1.0},
}


@dataclass(frozen=True, slots=True)
class Target:
    """What a column can tell. `sides`: words for which side is plus, the first being Libella's own."""

    label: str
    kind: Kind
    sides: tuple[str, ...] = ()
    options: tuple[str, ...] = ()


_LINE = ("right", "left")
_FACE = ("right", "left", "open", "closed")
_PATH = ("right", "left", "in_to_out", "out_to_in")
TARGETS: Final[dict[str, Target]] = {
    "start_deg": Target("Start", "angle", _LINE),
    "start_low_deg": Target("Start, lower limit", "angle", _LINE),
    "start_high_deg": Target("Start, upper limit", "angle", _LINE),
    "start_offset": Target("Offset of the start, at a distance", "length", _LINE),
    "rig_at_m": Target("Read at a distance of", "length"),
    "face_address_deg": Target("Face at address", "angle", _FACE),
    "face_impact_deg": Target("Face at impact", "angle", _FACE),
    "path_deg": Target("Path", "angle", _PATH),
    "strike_toe_mm": Target("Strike, heel to toe", "length", ("toe", "heel")),
    "strike_up_mm": Target("Strike, low to high", "length", ("high", "low")),
    "backswing_s": Target("Backswing", "time"),
    "downswing_s": Target("Downswing", "time"),
    "rotation_deg": Target("Face rotation", "angle", ("right", "left")),
    "sensor_consistency": Target("Sensor’s consistency", "number"),
    "ran_past_m": Target("Short or past the hole by", "length", ("past", "short")),
    "back_m": Target("Backstroke, how far", "length"),
    "through_m": Target("Follow-through, how far", "length"),
    "u_deg": Target("Stated uncertainty", "angle"),
    **{name: Target(it.label, "choice", options=tuple(it.options)) for name, it in NOTES.items() if it.options},
    "taken_at": Target("When", "when"),
    "golfer": Target("Golfer", "text"),
    "lesson_id": Target("Lesson", "text"),
    "block_id": Target("Block", "text"),
    "condition": Target("Condition", "text"),
    "guided": Target("Rig in view", "flag"),
    "distance_m": Target("Length of the putt", "length"),
    "past_m": Target("Pace, past the hole", "length"),
    "green_speed_ft": Target("Green speed", "number"),
    "falls_forward_percent": Target("Falls forward", "slope", ("down", "up")),
    "falls_right_percent": Target("Falls across", "slope", ("right", "left")),
    "voided": Target("Does not count", "flag"),
    "void_reason": Target("Why it does not count", "text"),
}
STARTS: Final = ("start_deg", "start_offset", "start_low_deg", "start_high_deg")
"""Columns that tell where a ball started; a file may have none, and tell other things of its putts."""
_WORDS: Final = (
    (r"\brotation\b", "rotation_deg"),
    (r"\bconsistency\b", "sensor_consistency"),
    (r"\bface\b.*\b(address|aim|set.?up)\b|\baim\b", "face_address_deg"),
    (r"\bface\b", "face_impact_deg"),
    (r"\bpath\b", "path_deg"),
    (r"\b(start|launch|direction)\b", "start_deg"),
    (r"\b(offset|deviation)\b", "start_offset"),
    (r"\b(date|time|when|timestamp)\b", "taken_at"),
    (r"\b(length|distance)\b", "distance_m"),
    (r"\b(condition|drill|set.?up)\b", "condition"),
    (r"\b(toe|heel)\b", "strike_toe_mm"),
    (r"\bbackswing\b", "backswing_s"),
    (r"\bdownswing\b", "downswing_s"),
    (r"\b(golfer|player|name)\b", "golfer"),
    (r"\b(stimp|speed)\b", "green_speed_ft"),
)


@dataclass(frozen=True, slots=True)
class ColumnUse:
    """How one column is read: what it tells ("" for nothing), its unit, which side is plus."""

    column: int
    target: str = ""
    unit: str = ""
    positive: str = ""


@dataclass(frozen=True, slots=True)
class ColumnMapping:
    """How a file is read. What no column tells takes the value given here."""

    columns: tuple[ColumnUse, ...]
    decimal: Literal[".", ","] = "."
    day_first: bool = True
    distance_m: float = 2.5
    past_m: float = 0.3
    green_speed_ft: float = 10.0
    rig_at_m: float = 0.3
    u_deg: float = 0.2
    condition: str = "as usual"


@dataclass(frozen=True, slots=True)
class Column:
    """A column as found: its heading, the first values, what it seems to tell."""

    heading: str
    samples: tuple[str, ...]
    guess: ColumnUse


def option_code(said: str) -> str:
    """An option as it is kept, from how a file spells it: "Toe high" and "toe_high" are one, and so is "coach's"."""
    return re.sub(r"[\s\-]+", "_", said.strip().casefold().removesuffix("'s"))


def columns_of(sheet: Sheet) -> list[Column]:
    """Each column with its first values and a guess at what it tells; no two are guessed to tell the same."""
    samples: list[list[str]] = [[] for _ in sheet.headings]
    for n, (_, cells, _) in enumerate(sheet.lines()):
        if n >= 40:
            break
        for at, cell in enumerate(cells[: len(samples)]):
            if cell.strip() and len(samples[at]) < _SAMPLES:
                samples[at].append(cell.strip()[:40])
    guesses = [_guess(n, heading, samples[n]) for n, heading in enumerate(sheet.headings)]
    chosen: dict[str, ColumnUse] = {}
    # Our own names go before words that only sound like it, and those before what merely looks like it.
    for sure in range(3):
        for it, how in guesses:
            if how == sure and it.target:
                chosen.setdefault(it.target, it)
    kept = {it.column: it for it in chosen.values()}
    return [Column(heading, tuple(samples[n]), kept.get(n, ColumnUse(n))) for n, heading in enumerate(sheet.headings)]


def checked_mapping(mapping: ColumnMapping, sheet: Sheet) -> None:
    """`OutOfLimits` where a mapping can't be used: a column that is not there, two that tell the same, nothing that
    is of a putt."""
    told: list[str] = []
    for it in mapping.columns:
        if not it.target:
            continue
        name = f"columns.{it.column}"
        if not 0 <= it.column < len(sheet.headings):
            raise OutOfLimits(name, "no_column", last=len(sheet.headings) - 1)
        target = TARGETS.get(it.target)
        if target is None:
            raise OutOfLimits(name, "no_target", named=it.target, known=tuple(TARGETS))
        units = UNITS.get(target.kind)
        if units and it.unit not in units:
            raise OutOfLimits(f"{name}.unit", "column_unit", label=target.label, told=it.unit, options=tuple(units))
        if target.sides and it.positive not in target.sides:
            raise OutOfLimits(f"{name}.positive", "column_side", label=target.label, options=tuple(target.sides))
        if it.target in told:
            raise OutOfLimits(name, "column_twice", label=target.label)
        told.append(it.target)
    if not {it for it in told if it in STARTS or it in NOTES or it in MEASURES} - {"u_deg"}:
        raise OutOfLimits("columns", "no_putt_column")
    for name in ("distance_m", "past_m", "green_speed_ft", "rig_at_m", "u_deg"):
        if not math.isfinite(getattr(mapping, name)):
            raise OutOfLimits(name, "no_number")
    reader_station(
        mapping.distance_m, mapping.past_m, mapping.green_speed_ft, 0.0, 0.0, mapping.rig_at_m, mapping.u_deg
    ).station()


def _guess(n: int, heading: str, samples: Sequence[str]) -> tuple[ColumnUse, int]:
    """What a column seems to tell, and by what: 0 our own name of it, 1 words of its heading, 2 its values."""
    plain = re.sub(r"[_\-.]+", " ", heading.casefold())
    own = heading.strip().casefold()
    options = TARGETS[own].options if own in TARGETS else ()
    # A note's name may head a column of numbers in another's file: then it tells something else.
    ours = own in TARGETS and (not options or not samples or any(option_code(it) in options for it in samples))
    target = own if ours else next((it for words, it in _WORDS if re.search(words, plain)), "")
    how = 0 if ours else 1
    if not target and samples and all(re.match(r"\d{4}-\d\d-\d\d|\d{1,2}[./]\d{1,2}[./]\d{4}", it) for it in samples):
        target, how = "taken_at", 2
    if not target:
        return ColumnUse(n), 2
    told = TARGETS[target]
    units = UNITS.get(told.kind, {})
    named = [it for it in units if it and re.search(rf"(\b|_|\(){re.escape(it)}(\b|\)|$)", heading.casefold())]
    unit = named[0] if named else next(iter(units), "")
    if told.kind == "length" and not named and target.endswith("_mm"):
        unit = "mm"
    side = next((it for it in told.sides if it in plain.split()), told.sides[0] if told.sides else "")
    return ColumnUse(n, target, unit, side), how


def _codes(told: dict[str, Any]) -> dict[str, Any]:
    """From the first version: the green's speed had another name, and sides were words."""
    old = "stimp_ft"
    columns = [
        it
        | {
            "target": "green_speed_ft" if it.get("target") == old else it.get("target", ""),
            "positive": str(it.get("positive", "")).replace(" ", "_"),
        }
        for it in told["columns"]
    ]
    named = {"green_speed_ft" if name == old else name: value for name, value in told.items()}
    return named | {"columns": columns}


MAPPING: Final[Stored[ColumnMapping]] = Stored(ColumnMapping, (_codes,))
"""How a mapping is kept."""


@lru_cache(maxsize=2048)
def reader_station(
    distance_m: float, past_m: float, green_speed_ft: float, forward: float, right: float, rig_at_m: float, u_deg: float
) -> StationEntry:
    """The station of a putt read by a start reader: m, ft, percent and degrees."""
    sizes = {"distance_m": rig_at_m, "u_deg": u_deg}
    return StationEntry(
        distance_m, past_m, green_speed_ft, "rim_assisted", "start_reader", sizes, falls_forward_percent=forward,
        falls_right_percent=right,
    )  # fmt: skip


@lru_cache(maxsize=2048)
def unwatched_station(
    distance_m: float, past_m: float, green_speed_ft: float, forward: float, right: float, rig_at_m: float
) -> StationEntry:
    """The station of a putt whose start nothing watched."""
    putt = reader_station(distance_m, past_m, green_speed_ft, forward, right, rig_at_m, 0.2)
    return replace(putt, rig_kind=NO_RIG, rig_sizes_m={})
