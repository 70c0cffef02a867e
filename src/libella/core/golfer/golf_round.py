"""A round on the course as a golfer tells it afterwards: the putts of each hole (practice 3, course card)."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal, get_args

from ..measure.limits import Bounds, OutOfLimits

Side = Literal["", "left", "right"]
Pace = Literal["", "short", "past"]
LENGTH: Final = Bounds(0.2, 40.0, "m")
MOST_HOLES: Final = 36
MOST_PUTTS: Final = 6


@dataclass(frozen=True, slots=True)
class Hole:
    """One hole: how long the first putt was, m; how many putts; where the first one missed, as far as it was said."""

    first_m: float
    putts: int
    side: Side = ""
    pace: Pace = ""

    def __post_init__(self) -> None:
        LENGTH.check("first_m", "first_putt", self.first_m)
        if not 1 <= self.putts <= MOST_PUTTS:
            raise OutOfLimits("putts", "round_putts", told=self.putts, most=MOST_PUTTS)
        for name, told, known in (("side", self.side, get_args(Side)), ("pace", self.pace, get_args(Pace))):
            if told not in known:
                raise OutOfLimits(name, "no_such_choice", named=told, known=known)
        if self.putts == 1 and (self.side or self.pace):
            raise OutOfLimits("side", "round_holed_missed")

    @property
    def holed(self) -> bool:
        """The first putt was holed."""
        return self.putts == 1


@dataclass(frozen=True, slots=True)
class RoundTold:
    """Rounds together: holes, putts, how often the first putt missed to each side, short or past, where it was said."""

    rounds: int
    holes: int
    putts: int
    left: int
    right: int
    short: int
    past: int


def checked_holes(holes: Sequence[Hole]) -> tuple[Hole, ...]:
    """A round as it may be kept; `OutOfLimits` for one without a hole, or of too many."""
    if not 1 <= len(holes) <= MOST_HOLES:
        raise OutOfLimits("holes", "round_holes", told=len(holes), most=MOST_HOLES)
    return tuple(holes)


def told_together(rounds: Sequence[Sequence[Hole]]) -> RoundTold:
    """What all of them come to."""
    every = [it for one in rounds for it in one]
    sides, paces = [it.side for it in every], [it.pace for it in every]
    return RoundTold(
        len(rounds), len(every), sum(it.putts for it in every),
        sides.count("left"), sides.count("right"), paces.count("short"), paces.count("past"),
    )  # fmt: skip
