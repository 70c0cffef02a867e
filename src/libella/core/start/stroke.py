"""What a sensor tells of one stroke, and which putt it belongs to."""

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from statistics import mean, stdev
from typing import Final, Literal

from ..measure.limits import Bounds, OutOfLimits

SensorKind = Literal["face_and_path", "start_board", "level"]


@dataclass(frozen=True, slots=True)
class Measure:
    """Something a stroke message may tell: its name in words, and what it may be."""

    label: str
    bounds: Bounds


MEASURES: Final[dict[str, Measure]] = {
    "face_address_deg": Measure("Face at address", Bounds(-30.0, 30.0, "deg")),
    "face_impact_deg": Measure("Face at impact", Bounds(-30.0, 30.0, "deg")),
    "path_deg": Measure("Path", Bounds(-30.0, 30.0, "deg")),
    "rotation_deg": Measure("Face rotation", Bounds(-90.0, 90.0, "deg")),
    "start_deg": Measure("Start", Bounds(-30.0, 30.0, "deg")),
    "strike_toe_mm": Measure("Strike towards the toe", Bounds(-60.0, 60.0, "mm")),
    "strike_up_mm": Measure("Strike above the middle", Bounds(-30.0, 30.0, "mm")),
    "backswing_s": Measure("Backswing", Bounds(0.05, 3.0, "s")),
    "downswing_s": Measure("Downswing", Bounds(0.05, 3.0, "s")),
    "u_deg": Measure("Standard uncertainty", Bounds(0.0, 5.0, "deg")),
}
TILT: Final = Bounds(-20.0, 20.0, "%")
FUTURE_S: Final = 10.0
"""How far a device's clock may run ahead."""
UNZEROED_DEG: Final = 0.4
"""What may be off in the zero of a sensor that was not held against a reference, one standard deviation: an opinion."""
_FACE = ("face_address_deg", "face_impact_deg")
_FEWEST_STILL = 5
_SQUARE_DEG = 0.1
_BEFORE_S, _AFTER_S = 25.0, 3.0
"""A putt is noted up to so long after its stroke; and a device's clock may be so much ahead of the coach's."""


def checked_measures(told: Mapping[str, float]) -> dict[str, float]:
    """A stroke's measures, each known and within its limits; at least one besides the uncertainty."""
    if not set(told) - {"u_deg"}:
        raise OutOfLimits("measures", "stroke_tells_nothing", known=tuple(MEASURES))
    for name, value in told.items():
        if name not in MEASURES:
            raise OutOfLimits(f"measures.{name}", "no_measure", named=name, known=tuple(MEASURES))
        it = MEASURES[name]
        it.bounds.check(f"measures.{name}", it.label, value)
    return dict(told)


@dataclass(frozen=True, slots=True)
class Zero:
    """A sensor held against the square reference: what it read on average, and how far readings parted; degrees."""

    face_deg: float
    noise_deg: float
    readings: int

    @property
    def doubt_deg(self) -> float:
        """Standard uncertainty of the zero: of the mean, and no less than the reference itself is square."""
        return max(self.noise_deg / math.sqrt(self.readings), _SQUARE_DEG)

    def corrected(self, told: Mapping[str, float]) -> dict[str, float]:
        """Measures with the zero taken off the face; the path has no reference to be zeroed against."""
        return {name: value - self.face_deg if name in _FACE else value for name, value in told.items()}


def zero_of(still_deg: Sequence[float]) -> Zero:
    """The zero from readings of the face held still against the reference."""
    if len(still_deg) < _FEWEST_STILL:
        raise OutOfLimits("still", "still_too_few", told=len(still_deg), fewest=_FEWEST_STILL)
    spread = stdev(still_deg)
    if spread > 1.0:
        raise OutOfLimits("still", "still_moved", "deg", spread_deg=spread)
    return Zero(mean(still_deg), spread, len(still_deg))


def match(putts_s: Sequence[float], strokes_s: Sequence[float]) -> dict[int, int]:
    """Which stroke belongs to which putt: putt index by stroke index, one to one.

    Parameters
    ----------
    putts_s : when each putt was noted, seconds on the coach's clock
    strokes_s : when each stroke was made, seconds on the device's clock, in any order

    Notes
    -----
    The nearest pair first: a putt is noted from a little before (clocks differ) to 25 s after its stroke. What comes
    late is matched by when it was made, so the order of arrival does not matter.
    """
    pairs = [
        (abs(putt - stroke), n, m)
        for n, putt in enumerate(putts_s)
        for m, stroke in enumerate(strokes_s)
        if -_AFTER_S <= putt - stroke <= _BEFORE_S
    ]
    found: dict[int, int] = {}
    taken: set[int] = set()
    for _, n, m in sorted(pairs):
        if m not in found and n not in taken:
            found[m] = n
            taken.add(n)
    return found
