"""Proof of the line: how it was checked, what offset was left, and how far the rig itself can be trusted (handbook 3).

What stays unknown of the rig's own aim is shared by every reading of a block: more putts never average it away.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass, field, replace
from statistics import mean, stdev
from typing import Final, Literal

from ..green.slope import TrialRoll, rolled_slope
from ..measure.angle import angle_deg
from ..measure.limits import Bounds, OutOfLimits
from ..opinions.held import Opinion
from .line import LaidLine, Part

Way = Literal["none", "second_laser", "tape", "rolled", "string"]
HiddenBy = Literal["zero", "end", "ball", "slope"]
"""The rig's zero against the line, one post or end placed by tape, the ball beside its spot, the slope's own doubt."""


USUAL_DOUBT_M: Final = Opinion[dict[Way, float]](
    "proof_doubt",
    {
        "none": 0.004,
        "second_laser": 0.001,
        "tape": 0.0015,
        "string": 0.0015,
        "rolled": 0.003,
    },
    "m",
)
"""How well each way of proving a line usually places the rig's zero (standard uncertainty, m): an opinion."""

LINE_WAYS: Final[tuple[Way, ...]] = ("second_laser", "tape", "string")
"""Ways that measure where the laid line lies; rolling both ways tells the ground, not the line."""
BY_EYE_DEG: Final = Opinion("line_by_eye", 0.6, "deg")
"""How far a line laid by eye may lie off, one standard deviation: an opinion of the handbook's."""
OFFSET = Bounds(-0.1, 0.1, "m")
DOUBT = Bounds(0.0, 0.05, "m")
ZERO = Bounds(-5.0, 5.0, "deg")
NOISE = Bounds(0.0, 3.0, "deg")
AT = Bounds(0.1, 15.0, "m")
_FEWEST_CHECKS = 3
FEWEST_MEASURED: Final = 2
"""A line measured once is measured as the tape happened to lie."""
_SLOPE_AGREES: Final = 0.1
"""Percent of slope that a level can't tell: rolls may differ from the plan by so much beyond their own doubt."""


PRESENT: Final = Opinion("link_off", 0.35, "share")
"""Chance that a link of a golfer is off by more than next to nothing, before any reading: an opinion."""
_SIZE_DEG: Final = 1.3


def golfers_own(bias_deg: float, doubt_deg: float) -> float:
    """Chance that what was read against a line laid by eye is the golfer's own, and not what the line lies off.

    The golfer is off by N(0, 1.3°) or by next to nothing (0.35 before any reading, an opinion), the line by
    N(0, 0.6²) either way; `doubt_deg`: of the readings, without the line's.
    """
    line = math.hypot(BY_EYE_DEG(), doubt_deg)
    both = math.hypot(line, _SIZE_DEG)
    own = PRESENT() * math.exp(-0.5 * (bias_deg / both) ** 2) / both
    other = (1 - PRESENT()) * math.exp(-0.5 * (bias_deg / line) ** 2) / line
    return own / (own + other)


@dataclass(frozen=True, slots=True)
class Measured:
    """A line measured a second way, m: how far from the ball, and how far right of it the laid line was found there."""

    at_m: float
    beside_m: float

    def __post_init__(self) -> None:
        AT.check("at_m", "measured_at", self.at_m)
        OFFSET.check("beside_m", "found_beside", self.beside_m)


@dataclass(frozen=True, slots=True)
class Evidence:
    """What was measured to prove a line: by tape, string or second laser, or by rolling both ways."""

    measured: tuple[Measured, ...] = ()
    rolls: tuple[TrialRoll, ...] = ()


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
    tool_deg, tool_doubt_deg : the rig's own error as a check of the instrument itself found it, right positive, added
        to every reading; and what is not known of it
    reader_m : how far a reading of the rig is off across the line, one standard deviation, as two readers found it
    evidence : what was measured; None where a proof was once only said
    line : the line it was made on; None where that was not kept
    fell : which parts of the line were changed after it, so that it proves nothing here
    """

    way: Way = "none"
    offset_m: float = 0.0
    doubt_m: float = field(default_factory=lambda: USUAL_DOUBT_M()["none"])
    zero_deg: float = 0.0
    noise_deg: float = 0.0
    checks: int = 0
    tool_deg: float = 0.0
    tool_doubt_deg: float = 0.0
    reader_m: float = 0.0
    evidence: Evidence | None = None
    line: LaidLine | None = None
    fell: tuple[Part, ...] = ()

    def __post_init__(self) -> None:
        OFFSET.check("offset_m", "offset_m", self.offset_m)
        DOUBT.check("doubt_m", "doubt_m", self.doubt_m)
        ZERO.check("zero_deg", "zero_deg", self.zero_deg)
        NOISE.check("noise_deg", "noise_deg", self.noise_deg)

    @property
    def is_proved(self) -> bool:
        return self.way != "none"

    @property
    def proves_line(self) -> bool:
        """Whether the line's own direction was measured a second way."""
        return self.way in LINE_WAYS

    def line_deg(self, rig_m: float) -> float:
        """What is not known of the laid line's own direction, one standard deviation: by what was measured of it, else
        as a line laid by eye."""
        return angle_deg(self.doubt_m, rig_m) if self.proves_line else BY_EYE_DEG()

    @property
    def own_deg(self) -> float:
        """What is not known of the rig by itself: of its zero, and of the instrument."""
        return math.hypot(self.noise_deg / math.sqrt(self.checks) if self.checks else 0.0, self.tool_doubt_deg)

    def on(self, line: LaidLine) -> "Proof":
        """What it proves of a line: all of it where that is the line it was made on, else nothing.

        A hole further or nearer on a straight line moves nothing of what was measured of that line. The check of the
        rig alone outlives another length or slope, for the rig stands as it stood; what is known of the instrument
        itself goes with the instrument.
        """
        gone = self.line.changes(line) if self.line else ()
        if not gone or (not self.is_proved and "rig" not in gone):
            return self
        if self.proves_line and self.line and self.line.only_hole_moved(line):
            return self
        if self.way == "rolled" and not {"length", "slope"} & set(gone):
            # The ground is as it was rolled, whatever stands on it and wherever the ball is sent.
            own = ("zero_deg", "noise_deg", "checks") if "rig" in gone else ()
            return replace(self, **{name: getattr(NOT_PROVED, name) for name in own})
        fallen = replace(
            NOT_PROVED, fell=gone, tool_deg=self.tool_deg, tool_doubt_deg=self.tool_doubt_deg, reader_m=self.reader_m
        )
        if "rig" in gone:
            return fallen
        return replace(fallen, zero_deg=self.zero_deg, noise_deg=self.noise_deg, checks=self.checks)

    def correction_deg(self, rig_m: float) -> float:
        """What to add to every reading: a zero too far right makes readings too far left by atan(δ/L)."""
        return self.line_off_deg(rig_m) - self.zero_deg + self.tool_deg

    def line_off_deg(self, rig_m: float) -> float:
        """How far right of the true line the laid one was found, degrees: added to all that is read against it."""
        return angle_deg(self.offset_m, rig_m)

    def shared_deg(self, rig_m: float) -> float:
        """Standard uncertainty that all readings of a block share, degrees."""
        return math.hypot(angle_deg(self.doubt_m, rig_m), self.own_deg)


NOT_PROVED: Final = Proof()


def prove(
    way: Way,
    evidence: Evidence,
    line: LaidLine,
    *,
    green_speed_ft: float,
    check: "Repeatability | None" = None,
) -> Proof:
    """The proof that measurements give of a line, and the check of its rig.

    A tape, string or laser measures where the laid line is at a distance; at the rig it is as far off in angle. What
    they scatter adds to how well the way itself places a zero. Balls rolled both ways tell no zero of the rig, only
    that the ground is as planned.

    Raises
    ------
    OutOfLimits
        with too little measured, or rolls that tell another slope than the line is planned on.
    """
    found = replace(NOT_PROVED, line=line)
    if check is not None:
        found = replace(found, zero_deg=check.zero_deg, noise_deg=check.noise_deg, checks=check.checks)
    if way == "none":
        return found
    offset, scatter = 0.0, 0.0
    if way == "rolled":
        _rolled_as_planned(evidence.rolls, line, green_speed_ft)
    else:
        if len(evidence.measured) < FEWEST_MEASURED:
            raise OutOfLimits("measured", "too_few_measured", fewest=FEWEST_MEASURED)
        off = [it.beside_m * line.rig_at_m / it.at_m for it in evidence.measured]
        offset, scatter = OFFSET.check("measured", "found_beside", mean(off)), stdev(off) / math.sqrt(len(off))
    doubt = math.hypot(USUAL_DOUBT_M()[way], scatter)
    return replace(found, way=way, offset_m=offset, doubt_m=doubt, evidence=evidence)


def _rolled_as_planned(rolls: Sequence[TrialRoll], line: LaidLine, green_speed_ft: float) -> None:
    slope = rolled_slope(rolls, green_speed_ft)
    for name, told, doubt, planned in (
        ("forward", slope.forward_percent, slope.forward_doubt, line.falls_forward_percent),
        ("right", slope.right_percent, slope.right_doubt, line.falls_right_percent),
    ):
        if abs(told - planned) > 2 * doubt + _SLOPE_AGREES:
            raise OutOfLimits("rolls", f"rolled_other_{name}", told=round(told, 1), planned=planned)


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
