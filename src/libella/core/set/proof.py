"""Proof of the line: how it was checked, what offset was left, and how far the rig itself can be trusted (handbook 3).

What stays unknown of the rig's own aim is shared by every reading of a block: more putts never average it away.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import mean, stdev
from typing import Final, Literal

from ..measure.angle import angle_deg
from ..measure.limits import Bounds, OutOfLimits

Way = Literal["none", "second_laser", "tape", "rolled", "string"]
HiddenBy = Literal["zero", "end", "ball", "slope"]
"""The rig's zero against the line, one post or end placed by tape, the ball beside its spot, the slope's own doubt."""


USUAL_DOUBT_M: Final[dict[Way, float]] = {
    "none": 0.004,
    "second_laser": 0.001,
    "tape": 0.0015,
    "string": 0.0015,
    "rolled": 0.003,
}
"""How well each way of proving a line usually places the rig's zero (standard uncertainty, m): an opinion."""

OFFSET = Bounds(-0.1, 0.1, "m")
DOUBT = Bounds(0.0, 0.05, "m")
ZERO = Bounds(-5.0, 5.0, "deg")
NOISE = Bounds(0.0, 3.0, "deg")
_FEWEST_CHECKS = 3


@dataclass(frozen=True, slots=True)
class Proof:
    """What is known of a rig's own aim.

    Parameters
    ----------
    way : how the line was verified; "none" is not proved
    offset_m : where the rig's zero was found against the true line, right positive, at the rig; taken off every reading
    doubt_m : standard uncertainty of the rig's zero across the line, m
    zero_deg : mean of a repeatability check, taken off every reading
    noise_deg : standard deviation of that check: the reading noise
    checks : readings in that check; 0 when none was made
    """

    way: Way = "none"
    offset_m: float = 0.0
    doubt_m: float = USUAL_DOUBT_M["none"]
    zero_deg: float = 0.0
    noise_deg: float = 0.0
    checks: int = 0

    def __post_init__(self) -> None:
        OFFSET.check("offset_m", "offset_m", self.offset_m)
        DOUBT.check("doubt_m", "doubt_m", self.doubt_m)
        ZERO.check("zero_deg", "zero_deg", self.zero_deg)
        NOISE.check("noise_deg", "noise_deg", self.noise_deg)

    @property
    def is_proved(self) -> bool:
        return self.way != "none"

    def correction_deg(self, rig_m: float) -> float:
        """What to add to every reading: a zero too far right makes readings too far left by atan(δ/L)."""
        return angle_deg(self.offset_m, rig_m) - self.zero_deg

    def shared_deg(self, rig_m: float) -> float:
        """Standard uncertainty that all readings of a block share, degrees."""
        placed = angle_deg(self.doubt_m, rig_m)
        return math.hypot(placed, self.noise_deg / math.sqrt(self.checks) if self.checks else 0.0)


NOT_PROVED: Final = Proof()


@dataclass(frozen=True, slots=True)
class Repeatability:
    """A rig read n times with nothing changing, or against a known angle: its zero offset and its noise, degrees."""

    zero_deg: float
    noise_deg: float
    checks: int


def repeatability(read_deg: Sequence[float], known_deg: float = 0.0) -> Repeatability:
    """Mean and standard deviation of a rig check; `OutOfLimits` with fewer than three readings."""
    if len(read_deg) < _FEWEST_CHECKS:
        raise OutOfLimits("read_deg", "too_few_checks", fewest=_FEWEST_CHECKS)
    for it in read_deg:
        ZERO.check("read_deg", "check_deg", it - known_deg)
    return Repeatability(mean(read_deg) - known_deg, stdev(read_deg), len(read_deg))


@dataclass(frozen=True, slots=True)
class Hidden:
    """One thing that can hide a false bias: how far off it may be (m) and what that is at the rig (degrees)."""

    by: HiddenBy
    length_m: float
    bias_deg: float


@dataclass(frozen=True, slots=True)
class Budget:
    """What a station can hide: contributors, largest first, and all together (root of the sum of squares), degrees."""

    contributors: tuple[Hidden, ...]
    total_deg: float


def budget(
    proof: Proof, rig_m: float, *, drift_m: float = 0.0, tape_m: float = 0.002, spot_m: float = 0.0015
) -> Budget:
    """The placement budget of a station.

    Parameters
    ----------
    proof : of the line; its doubt is the rig's zero
    rig_m : ball to rig
    drift_m : standard uncertainty of the ball's drift at the rig, from the slope's
    tape_m : how well one end of the rig is placed by tape or eye: moves its centre half as much
    spot_m : how far off its spot the ball is put back
    """
    parts = [
        Hidden("zero", proof.doubt_m, proof.doubt_m),
        Hidden("end", tape_m, tape_m / 2),
        Hidden("ball", spot_m, spot_m),
        Hidden("slope", drift_m, drift_m),
    ]
    found = [Hidden(it.by, it.length_m, angle_deg(it.bias_deg, rig_m)) for it in parts if it.length_m]
    found.sort(key=lambda it: -it.bias_deg)
    return Budget(tuple(found), math.hypot(*(it.bias_deg for it in found)))
