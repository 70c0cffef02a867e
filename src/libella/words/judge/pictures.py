"""What is written in the picture of a finding, by code."""

from typing import Final

from ...core.measure.units import Units, sided, tape
from ..shared.counts import counted

_ANGLES: Final[dict[str, str]] = {
    "mark": "Ball mark {}",
    "face": "Face {}",
    "face_own": "Face, of its own {}",
    "impact": "Face at impact {}",
    "path": "Path {}",
    "start": "Start {}",
    "stroke": "The stroke turns it {}",
    "looks": "Where it looks: {}",
    "lies": "The rod, on the line",
    "bias": "{}",
    "laid": "As it was laid: {}",
    "true": "The true line",
    "read": "As it was read: {}",
    "holes": "The line that holes it",
}
_COUNTS: Final[dict[str, str]] = {
    "still": "Nothing moved: {}",
    "moved": "Something moved: {}",
    "with": "With the guide: {}",
    "without": "Without it: {}",
    "starts": "{}",
    "holed": "Holed: {}",
}
_PLAIN: Final[dict[str, str]] = {"heel": "heel", "toe": "toe", "untold": "Broken: how far, nobody said"}


CODES: Final = (*_ANGLES, *_COUNTS, *_PLAIN, "length")


def written(code: str, value: float, units: Units) -> str:
    """A code as it is written: an angle with its side, a count of putts, a length as taped."""
    if code in _ANGLES:
        return _ANGLES[code].format(sided(value))
    if code in _COUNTS:
        return _COUNTS[code].format(counted(round(value), "putt"))
    return tape(value, units) if code == "length" else _PLAIN[code]


def times_said(times: int) -> str:
    """How the angles of a picture are drawn; empty where it has none."""
    if not times:
        return ""
    return "From above, true angles." if times == 1 else f"From above, across the line × {times}."
