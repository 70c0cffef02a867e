"""One trial of the directions test: a rod at a true angle, and where the golfer says it points."""

from dataclasses import dataclass
from typing import Final, Literal

from ..measure.limits import Bounds
from ..measure.side import Side

Looks = Literal["left", "straight", "right"]
TRUE: Final = Bounds(-8.0, 8.0, "deg")
STEP_DEG: Final = 0.25
"""How finely a coach turns a rod or a laser for a trial."""


def open_to(looks: Looks | None) -> Side:
    """To which side it is open how far something lies, by the one look that all answers had."""
    return looks if looks in ("left", "right") else "neither"


@dataclass(frozen=True, slots=True)
class Trial:
    """`true_deg`: where the rod truly points against the line, right positive; `weight`: as much of a whole answer it
    counts."""

    true_deg: float
    looks: Looks
    weight: float = 1.0

    def __post_init__(self) -> None:
        TRUE.check("true_deg", "true_deg", self.true_deg)

    def weighing(self, weight: float) -> "Trial":
        """The same answer, counting as much of a whole one."""
        return Trial(self.true_deg, self.looks, weight)
