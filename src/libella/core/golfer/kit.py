"""What a golfer has in hand: putter, its settings and marks, ball and its mark; as of a day (practice 6)."""

from dataclasses import dataclass, fields
from typing import Final, Literal, get_args

from ..measure.limits import Bounds, OutOfLimits

BallMark = Literal["", "none", "line", "two_tone"]
"""Empty while it is not known; a ball of two colours shows its line by their edge."""
BALL_MARKS: Final[tuple[BallMark, ...]] = get_args(BallMark)
LENGTH: Final = Bounds(0.5, 1.4, "m")
LIE: Final = Bounds(55.0, 85.0, "deg")
LOFT: Final = Bounds(-2.0, 10.0, "deg")
HEAD: Final = Bounds(250.0, 600.0, "g")
_SIZES: Final = {"length_m": LENGTH, "lie_deg": LIE, "loft_deg": LOFT, "head_g": HEAD}
_LONGEST: Final = 80


@dataclass(frozen=True, slots=True)
class Kit:
    """What is in hand; empty or None is what nobody noted.

    putter, marks : what it is called, and the marks on it; length_m : in hand, from the ground to the upper hand's end
    lie_deg, loft_deg : as it lies, degrees; head_g : with its weights; setting : how its weights are set
    ball, ball_mark : what it is called, and what is on it
    """

    putter: str = ""
    marks: str = ""
    length_m: float | None = None
    lie_deg: float | None = None
    loft_deg: float | None = None
    head_g: float | None = None
    setting: str = ""
    ball: str = ""
    ball_mark: BallMark = ""

    def __post_init__(self) -> None:
        for name, bounds in _SIZES.items():
            value = getattr(self, name)
            if value is not None:
                bounds.check(name, f"kit_{name}", value)
        for name in ("putter", "marks", "setting", "ball"):
            if len(getattr(self, name)) > _LONGEST:
                raise OutOfLimits(name, "said_too_long", most=_LONGEST)
        if self.ball_mark not in BALL_MARKS:
            raise OutOfLimits("ball_mark", "no_such_choice", named=self.ball_mark, known=BALL_MARKS)


NO_KIT: Final = Kit()


def changed(before: Kit, after: Kit) -> tuple[str, ...]:
    """The fields in which two differ, in their order."""
    return tuple(it.name for it in fields(Kit) if getattr(before, it.name) != getattr(after, it.name))
