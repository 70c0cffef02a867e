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
from .cells import Order, clock, decimal_of, is_number, moment, order_of, plain
from .headings import Kind, bare, kind_of_unit, means, means_another, plus_in, unit_in, unit_word, units_of
from .sheet import Sheet

_SAMPLES: Final = 5


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
    "start_side": Target("Side of the start", "side"),
    "start_left_deg": Target("Start, to the left", "angle"),
    "start_right_deg": Target("Start, to the right", "angle"),
    "offset_left": Target("Offset to the left, at a distance", "length"),
    "offset_right": Target("Offset to the right, at a distance", "length"),
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
    "clock": Target("Time of day", "clock"),
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
    "flags": Target("What lowers its weight", "text"),
    "voided": Target("Does not count", "flag"),
    "void_reason": Target("Why it does not count", "text"),
}
STARTS: Final = (
    "start_deg", "start_offset", "start_low_deg", "start_high_deg", "start_left_deg", "start_right_deg", "offset_left",
    "offset_right",
)  # fmt: skip
"""Columns that tell where a ball started; a file may have none, and tell other things of its putts."""
PAIRS: Final = (("start_left_deg", "start_right_deg"), ("offset_left", "offset_right"))
"""Columns of which each tells one side only."""
_LEFT: Final = re.compile(r"\b(left|l)\b")
_RIGHT: Final = re.compile(r"\b(right|r)\b")
_BESIDE_UNIT: Final = re.compile(r"[\d.,+\-()\s]|\b(l|r|left|right)\b")
_SIDE_WORDS: Final = ("l", "r", "left", "right", "push", "pull", "-", "straight", "centre", "center")
_SIDE_NAMES: Final = re.compile(r"side|l ?/ ?r|left ?/ ?right|l or r|left or right|direction|dir|which side|miss")


@dataclass(frozen=True, slots=True)
class ColumnUse:
    """How one column is read: what it tells ("" for nothing), its unit, which side is plus."""

    column: int
    target: str = ""
    unit: str = ""
    positive: str = ""


@dataclass(frozen=True, slots=True)
class Mended:
    """What a cell was meant to say, by the coach: of a line, in a column."""

    line: int
    column: int
    text: str


@dataclass(frozen=True, slots=True)
class ColumnMapping:
    """How a file is read. What no column tells takes the value given here.

    `day_first`: how dates that can be read two ways begin; None where that was not said, and then they are not read.
    """

    columns: tuple[ColumnUse, ...]
    decimal: Literal[".", ","] = "."
    day_first: bool | None = None
    distance_m: float = 2.5
    past_m: float = 0.3
    green_speed_ft: float = 10.0
    rig_at_m: float = 0.3
    u_deg: float = 0.2
    condition: str = "as usual"
    mended: tuple[Mended, ...] = ()


@dataclass(frozen=True, slots=True)
class Column:
    """A column as found: its heading, the first values, what it seems to tell, and by which words of the file that
    was guessed. `another`: it sounds like a putt's, and means something else."""

    heading: str
    samples: tuple[str, ...]
    guess: ColumnUse
    by: tuple[str, ...] = ()
    another: bool = False


def option_code(said: str) -> str:
    """An option as it is kept, from how a file spells it: "Toe high" and "toe_high" are one, and so is "coach's"."""
    return re.sub(r"[\s\-]+", "_", said.strip().casefold().removesuffix("'s"))


def columns_of(sheet: Sheet) -> list[Column]:
    """Each column with its first values and a guess at what it tells; no two are guessed to tell the same."""
    samples: list[list[str]] = [[] for _ in sheet.headings]
    for n, (_, cells, _) in enumerate(sheet.lines()):
        if n >= 40:
            break
        for at, cell in enumerate(map(plain, cells[: len(samples)])):
            if cell and len(samples[at]) < _SAMPLES:
                samples[at].append(cell[:40])
    guesses = [_guess(n, heading, samples[n], sheet.headings) for n, heading in enumerate(sheet.headings)]
    chosen: dict[str, ColumnUse] = {}
    # Our own names go before words that only sound like it, and those before what merely looks like it.
    for sure in range(3):
        for it in guesses:
            if it.sure == sure and it.use.target:
                chosen.setdefault(it.use.target, it.use)
    if not {"start_deg", "start_offset"} & set(chosen):
        chosen.pop("start_side", None)
    kept = {it.column for it in chosen.values()}
    return [
        Column(
            heading,
            tuple(samples[n]),
            guesses[n].use if n in kept else ColumnUse(n),
            guesses[n].by if n in kept else (),
            means_another(heading),
        )
        for n, heading in enumerate(sheet.headings)
    ]


def proposed(sheet: Sheet, columns: Sequence[Column], kept: ColumnMapping | None) -> ColumnMapping:
    """How a file is read before anybody says otherwise: its columns as they were read last under these headings, or as
    guessed; its decimals and its dates as all of it writes them."""
    mapping = kept or ColumnMapping(tuple(it.guess for it in columns))
    at = {it.target: it.column for it in mapping.columns if it.target}
    words = {column for target, column in at.items() if not units_of(TARGETS[target].kind)}
    told = (cells for _, cells, swallowed in sheet.lines() if not swallowed)
    said = (plain(cell) for cells in told for n, cell in enumerate(cells) if cell and n not in words)
    order = _date_order(sheet, at["taken_at"])[0] if "taken_at" in at else None
    return replace(
        mapping,
        decimal=decimal_of(said) or mapping.decimal,
        day_first=mapping.day_first if order is None else order == "day",
    )


def _date_order(sheet: Sheet, column: int) -> tuple[Order | None, bool]:
    """How a column's dates begin, and whether any of them can be read two ways."""
    rows = (cells for _, cells, swallowed in sheet.lines() if not swallowed)
    return order_of(plain(cells[column]) for cells in rows if column < len(cells))


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
        units = units_of(target.kind)
        if units and not it.unit and "" not in units:
            raise OutOfLimits(f"{name}.unit", "column_no_unit", label=target.label, options=tuple(units))
        if units and it.unit not in units:
            raise OutOfLimits(f"{name}.unit", "column_unit", label=target.label, told=it.unit, options=tuple(units))
        if target.sides and it.positive not in target.sides:
            raise OutOfLimits(f"{name}.positive", "column_side", label=target.label, options=tuple(target.sides))
        if it.target in told:
            raise OutOfLimits(name, "column_twice", label=target.label)
        told.append(it.target)
    if "start_side" in told and not {"start_deg", "start_offset"} & set(told):
        raise OutOfLimits("columns", "side_alone")
    if "clock" in told and "taken_at" not in told:
        raise OutOfLimits("columns", "clock_alone")
    if mapping.day_first is None and "taken_at" in told:
        order, either = _date_order(sheet, {it.target: it.column for it in mapping.columns}["taken_at"])
        if either and order is None:
            raise OutOfLimits("day_first", "date_order_untold")
    if not {it for it in told if it in STARTS or it in NOTES or it in MEASURES} - {"u_deg"}:
        raise OutOfLimits("columns", "no_putt_column")
    for name in ("distance_m", "past_m", "green_speed_ft", "rig_at_m", "u_deg"):
        if not math.isfinite(getattr(mapping, name)):
            raise OutOfLimits(name, "no_number")
    reader_station(
        mapping.distance_m, mapping.past_m, mapping.green_speed_ft, 0.0, 0.0, mapping.rig_at_m, mapping.u_deg
    ).station()


@dataclass(frozen=True, slots=True)
class _Guess:
    """A guess, by which words, and how sure: 0 our own name of it, 1 words of its heading, 2 its values."""

    use: ColumnUse
    by: tuple[str, ...] = ()
    sure: int = 2


def _guess(n: int, heading: str, samples: Sequence[str], headings: Sequence[str]) -> _Guess:
    """What a column seems to tell."""
    own = heading.strip().casefold()
    options = TARGETS[own].options if own in TARGETS else ()
    # A note's name may head a column of numbers in another's file: then it tells something else.
    if own in TARGETS and (not options or not samples or any(option_code(it) in options for it in samples)):
        return _Guess(_use(n, own, heading), (heading,), 0)
    if samples and _SIDE_NAMES.search(own) and all(it.casefold() in _SIDE_WORDS for it in samples):
        return _Guess(ColumnUse(n, "start_side"), (heading, *dict.fromkeys(samples[:2])), 1)
    unit = unit_in(heading) or _unit_of(samples)
    if pair := _one_of_two(heading, headings, unit):
        return _Guess(ColumnUse(n, pair, unit), (heading, unit), 1)
    target = means(heading, unit)
    if target == "taken_at" and samples and all(clock(it) is not None for it in samples):
        target = "clock"
    if target and _fits(target, samples):
        return _Guess(_use(n, target, heading, unit), tuple(filter(None, (heading, unit))), 1)
    if samples and all(moment(it, "day") or moment(it, "month") for it in samples) and not _numbers(samples):
        return _Guess(ColumnUse(n, "taken_at"), tuple(samples[:1]), 2)
    return _Guess(ColumnUse(n))


def _use(n: int, target: str, heading: str, unit: str = "") -> ColumnUse:
    """A column used so; a unit nobody said is left to be said, unless it can be one only."""
    told = TARGETS[target]
    units = units_of(told.kind)
    unit = unit or unit_in(heading)
    if unit not in units:
        # Our own names say their unit; of what else needs one it is asked for.
        unit = next(iter(units)) if told.kind in ("slope", "number") and units else ""
    plus = plus_in(heading)
    side = plus if plus in told.sides else told.sides[0] if told.sides else ""
    return ColumnUse(n, target, unit, side)


def _unit_of(samples: Sequence[str]) -> str:
    """The unit that every one of the first values carries itself; empty where they carry none, or several."""
    said = {unit_word(_BESIDE_UNIT.sub("", it.casefold())) for it in samples}
    return said.pop() if len(said) == 1 else ""


def _numbers(samples: Sequence[str]) -> bool:
    return all(is_number(it) for it in samples)


def _fits(target: str, samples: Sequence[str]) -> bool:
    """Whether the first values can be what a heading seems to say."""
    told = TARGETS[target]
    if told.kind == "when":
        dates = sum(bool(moment(it, "day") or moment(it, "month")) for it in samples)
        return 2 * dates > len(samples) or not samples
    if told.kind == "choice":
        return all(option_code(it) in told.options for it in samples)
    if told.kind == "text":
        return not samples or not _numbers(samples)
    return not samples or 2 * sum(any(it.isdigit() for it in one) for one in samples) > len(samples)


def _one_of_two(heading: str, headings: Sequence[str], unit: str) -> str:
    """Of two columns that each tell one side of the start, which this is; empty where it is neither."""
    words = bare(heading)
    for here, there, n in ((_LEFT, _RIGHT, 0), (_RIGHT, _LEFT, 1)):
        if here.search(words) and not there.search(words) and unit:
            other = here.sub("", words)
            if any(there.search(bare(it)) and there.sub("", bare(it)) == other for it in headings):
                return PAIRS[0][n] if kind_of_unit(unit) == "angle" else PAIRS[1][n]
    return ""


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
