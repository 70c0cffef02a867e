"""A file of putts before it is taken in: its first rows read out, what led to a guess, and what may be misread."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Final, Literal

from ...core.golfer.hand import Hand
from ...core.measure.side import side_of
from ...core.measure.units import Units, tape
from ...core.start.notes import NOTES, parts_of
from ...core.start.stroke import MEASURES
from ..judge.claims import open_or_closed
from ..shared.counts import listed


@dataclass(frozen=True, slots=True)
class ReadRow:
    """A row as it was read, in Libella's units and signs: the first of a file are read out before it is taken in."""

    line: int
    hand: Hand
    taken_at: datetime | None
    low_deg: float | None
    high_deg: float | None
    notes: Mapping[str, str | float]
    distance_m: float
    condition: str
    voided: bool


Doubt = Literal["one_side_only", "no_side_told", "half_of_a_pair", "either_date"]
"""What a coach should know before a file is taken in: the rows left out lie to one side; every start is plus, and
nothing says a side; of two columns that tell a side each one is not read; dates that can be read two ways are read as
told."""

_SIDES: Final = {
    "strike_toe_mm": ("struck {} towards the heel", "struck {} towards the toe", 0.001),
    "strike_up_mm": ("struck {} below the middle", "struck {} above the middle", 0.001),
    "ran_past_m": ("{} short", "{} past", 1.0),
}
_FACED: Final = ("face_address_deg", "face_impact_deg")
_DOUBTS: Final[dict[Doubt, str]] = {
    "one_side_only": (
        "All the rows left out that say a side lie to the same one: without them the putts taken in lean to the other. "
        "Mend them first."
    ),
    "no_side_told": (
        "Every start lies to one side, and nothing in the file says a side: is the side told in a column that is not "
        "read, or not at all?"
    ),
    "half_of_a_pair": "Of two columns that tell one side each only one is read: the other side is left out.",
    "either_date": "Its dates can be read with the day first or with the month first: look at the rows read out.",
}


def row_read(it: ReadRow, units: Units) -> str:
    """A row read out, every number with its unit and its side."""
    said: list[str] = []
    if it.taken_at is not None:
        said.append(f"{it.taken_at.day} {it.taken_at:%B %Y, %H:%M}")
    said.append(f"a putt of {tape(it.distance_m, units)}, {it.condition}")
    said.append(_start(it.low_deg, it.high_deg))
    said += [_note(name, value, it.hand, units) for name, value in it.notes.items()]
    void = "; does not count" if it.voided else ""
    return f"Line {it.line}: {'; '.join(said)}{void}."


def _start(low: float | None, high: float | None) -> str:
    if low is None and high is None:
        return "its start not told"
    if low is None or high is None:
        bound = f"at least {_sided(low)}" if low is not None else f"at most {_sided(high or 0.0)}"
        return f"starts {bound}"
    if low == high:
        return f"starts {_sided(low)}"
    return f"starts between {_sided(low)} and {_sided(high)}"


def _sided(value: float, digits: int = 2) -> str:
    side = side_of(value, 0.5 * 10**-digits)
    return "0°" if side == "neither" else f"{abs(value):.{digits}f}° {side}"


def _note(name: str, value: str | float, hand: Hand, units: Units) -> str:
    label = (NOTES[name].label if name in NOTES else MEASURES[name].label).lower()
    if isinstance(value, str):
        return f"{label} {listed([NOTES[name].options.get(it, it) for it in parts_of(value)])}"
    unit = (NOTES[name].bounds if name in NOTES else MEASURES[name].bounds).unit  # type: ignore[union-attr]
    if name in _SIDES:
        minus, plus, metres = _SIDES[name]
        return (plus if value > 0 else minus).format(tape(abs(value) * metres, units))
    if unit == "deg":
        opened = open_or_closed("face", value > 0, hand) if name in _FACED and value else ""
        return f"{label} {_sided(value)}{opened}"
    if unit == "m":
        return f"{label} {tape(value, units)}"
    return f"{label} {value:g} {unit}".strip()


def doubt_words(it: Doubt) -> str:
    """What a coach should look at before a file is taken in."""
    return _DOUBTS[it]


def guess_words(by: Sequence[str], *, another: bool, unit_missing: bool) -> str:
    """Which words of the file led to what a column is taken for; or that it means something else."""
    if another:
        return "Sounds like a putt’s, but means something else: left out."
    if not by:
        return ""
    said = " and ".join(f"“{it}”" for it in dict.fromkeys(by))
    return f"By {said}.{' No unit is told: say it.' if unit_missing else ''}"


def passed_over(above: Sequence[str], sheet: str, others: Sequence[tuple[str, int]]) -> tuple[str, ...]:
    """What of a file is not read at all: lines above the headings, other sheets of a workbook."""
    said: list[str] = []
    if sheet and others:
        left = ", ".join(f"“{name}” ({rows} {'row' if rows == 1 else 'rows'})" for name, rows in others)
        said.append(f"Read is the sheet “{sheet}”; left out: {left}.")
    if above:
        first = f"“{above[0][:80]}”"
        more = f" and {len(above) - 1} more" if len(above) > 1 else ""
        said.append(f"Above the headings, left out: {first}{more}.")
    return tuple(said)
