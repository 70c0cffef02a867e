"""A step of the lesson in at most twelve characters: what stands in a narrow run sheet, and is never cut."""

from typing import Final

from ...core.certainty.estimate import Estimate
from ...core.certainty.verdict import Verdict, Word
from ...core.measure.side import Side, side_of
from ...core.measure.units import Units, degrees, tape
from .certainty import nameless

LONGEST: Final = 12
NOTHING: Final = "–"
MARKS: Final[dict[Side, str]] = {"left": "◂", "right": "▸", "neither": ""}
_SURE: Final[dict[Word, str]] = {"clear": "clear", "likely": "likely", "none": "fine", "open": "unsure"}


def length_brief(length_m: float, units: Units) -> str:
    """>>> length_brief(2.5, "metric"), length_brief(2.5, "feet")
    ('2.50 m', '8′ 2 1/2″')
    """
    if units == "metric":
        return tape(length_m, units)
    return tape(length_m, units).replace(" ft", "′").replace(" in", "″")


def sure_brief(word: Word) -> str:
    """How sure, in one word."""
    return _SURE[word]


def angle_brief(bias: Estimate, call: Verdict | None) -> str:
    """A bias with its side as a mark: "▸1.0° likely"; "so far" before there is a verdict."""
    if call is not None and call.word == "none":
        return sure_brief("none")
    sure = "so far" if call is None else sure_brief(call.word)
    return ("on the line" if call is None else sure) if nameless(bias) else f"{_size(bias)} {sure}"


def _size(bias: Estimate) -> str:
    # Of a bias of ten degrees nobody needs the tenths.
    known = max(bias.doubt, 1.5) if abs(bias.value) >= 9.95 else bias.doubt
    return f"{MARKS[side_of(bias.value)]}{degrees(bias.value, known)}"


def times_brief(side: Side, times: int, of: int) -> str:
    """So many of so many to a side: "▸7 of 8"."""
    return f"{MARKS[side]}{times} of {of}"
