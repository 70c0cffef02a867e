"""A coach's read: where beside the hole a putt is to be started at."""

from dataclasses import dataclass
from typing import Final, Literal

from ..measure.angle import angle_deg
from ..measure.constants import BALL_M, HOLE_M
from ..measure.limits import Bounds, OutOfLimits

Place = Literal["centre", "inside_edge", "edge", "outside"]
Side = Literal["left", "right"]
OUTSIDE = Bounds(0.0, 4.0, "m")


@dataclass(frozen=True, slots=True)
class Read:
    """A place to start at, as coaches say it.

    Parameters
    ----------
    place : the hole's centre; the ball just inside its edge; the edge itself; or so far outside the edge
    side : of the hole, seen from behind the ball; of no account for the centre
    outside_m : how far outside the edge, m; 0 unless `place` is "outside"
    """

    place: Place = "centre"
    side: Side = "left"
    outside_m: float = 0.0

    def __post_init__(self) -> None:
        OUTSIDE.check("outside_m", "outside_m", self.outside_m)
        if self.outside_m and self.place != "outside":
            raise OutOfLimits("outside_m", "not_outside", "m")

    @property
    def offset_m(self) -> float:
        """Where it lies beside the hole's centre, right positive, m."""
        edge = HOLE_M / 2
        off = {"centre": 0.0, "inside_edge": edge - BALL_M / 2, "edge": edge, "outside": edge + self.outside_m}
        return off[self.place] if self.side == "right" else -off[self.place]

    def start_deg(self, distance_m: float) -> float:
        """The start line it asks for against the line to the hole, degrees, right positive."""
        return angle_deg(self.offset_m, distance_m)


FELT: Final = Bounds(-10.0, 10.0, "%")


@dataclass(frozen=True, slots=True)
class GolferSays:
    """What the golfer makes of the green, kept beside the coach's read: nothing is computed with it.

    Parameters
    ----------
    read : where the golfer would start it
    falls_forward_percent, falls_right_percent : the slope as felt by foot, downhill to the hole and falling to the
        right positive; None where it was not said
    """

    read: Read | None = None
    falls_forward_percent: float | None = None
    falls_right_percent: float | None = None

    def __post_init__(self) -> None:
        for name in ("falls_forward_percent", "falls_right_percent"):
            if (told := getattr(self, name)) is not None:
                FELT.check(name, name, told)


SAYS_NOTHING: Final = GolferSays()
CENTRE: Final = Read()
