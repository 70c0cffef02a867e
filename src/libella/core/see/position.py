"""Where the head, or the ball, is for a test: how far each lever is moved from this golfer's usual set-up."""

import math
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Final, Literal, get_args

from ..measure.limits import Bounds, OutOfLimits

Lever = Literal["inside", "behind", "tilt", "chin", "distance", "ball"]
Position = Mapping[Lever, float]
"""Levers moved, mm or degrees from the usual set-up; a lever that is not named stays."""


@dataclass(frozen=True, slots=True)
class LeverWords:
    """A lever a coach can move, one at a time.

    Attributes
    ----------
    plus, minus : what moving it up or down is called
    reach : how far it is playable, either way: an opinion, narrowed by what this golfer can't play
    step : as fine as it can be set
    ease : what costs as much comfort as one `ease` of another lever: an opinion
    slope_sd : prior of its effect, degrees of looks-straight angle per unit (handbook 5)
    """

    name: str
    unit: Literal["mm", "deg"]
    plus: str
    minus: str
    reach: float
    step: float
    ease: float
    slope_sd: float

    def way(self, *, plus: bool) -> str:
        """What moving it one way is called."""
        return self.plus if plus else self.minus


LEVERS: Final[dict[Lever, LeverWords]] = {
    "inside": LeverWords("Eyes in or out", "mm", "further in", "further out", 60, 5, 20, 0.05),
    "behind": LeverWords("Eyes behind or ahead", "mm", "further behind", "further ahead", 60, 5, 20, 0.05),
    "tilt": LeverWords("Head tilt", "deg", "tilted to the trail side", "tilted to the lead side", 12, 1, 4, 0.2),
    "chin": LeverWords("Chin", "deg", "chin lifted", "chin tucked", 15, 1, 5, 0.2),
    "distance": LeverWords("Distance from the ball", "mm", "further away", "closer", 80, 5, 20, 0.05),
    "ball": LeverWords("Ball position", "mm", "ball further forward", "ball further back", 60, 5, 20, 0.05),
}
MOVED: Final = {"mm": Bounds(-150.0, 150.0, "mm"), "deg": Bounds(-30.0, 30.0, "deg")}
SCORE: Final = Bounds(1, 5, "")


def position_of(moved: Mapping[str, float] | Position) -> Position:
    """A position as entered, without what did not move; `OutOfLimits` for an unknown lever or one moved too far."""
    position: dict[Lever, float] = {}
    for name, value in moved.items():
        lever = next((it for it in get_args(Lever) if it == name), None)
        if lever is None:
            raise OutOfLimits(f"position.{name}", "no_lever", named=name, known=tuple(LEVERS))
        about = LEVERS[lever]
        MOVED[about.unit].check(f"position.{name}", about.name, value)
        if value:
            position[lever] = value
    return position


def same_place(one: Position, other: Position) -> bool:
    """True when no lever differs by as much as a step."""
    return all(abs(one.get(it, 0.0) - other.get(it, 0.0)) < about.step for it, about in LEVERS.items())


def rounded(lever: Lever, value: float) -> float:
    """As fine as the lever can be set."""
    step = LEVERS[lever].step
    return math.copysign(math.floor(abs(value) / step + 0.5) * step, value) or 0.0
