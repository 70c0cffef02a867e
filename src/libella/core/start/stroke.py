"""What a sensor tells of one stroke, and its zero."""

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from statistics import mean, stdev
from typing import Final, Literal

from ..measure.limits import Bounds, OutOfLimits
from ..opinions.held import Opinion

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
UNZEROED_DEG: Final = Opinion("sensor_unzeroed", 0.4, "deg")
"""What may be off in the zero of a sensor that was not held against a reference, one standard deviation: an opinion."""
_FACE = ("face_address_deg", "face_impact_deg")
_FEWEST_STILL = 5
_SQUARE_DEG = 0.1


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
