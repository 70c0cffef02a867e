"""Where the head, or the ball, is for a test: how far each lever is moved from this golfer's usual set-up."""

import math
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Final, Literal, get_args

from ..measure.limits import Bounds, OutOfLimits
from ..opinions.held import Opinion

Lever = Literal["inside", "behind", "tilt", "chin", "distance", "ball"]
Position = Mapping[Lever, float]
"""Levers moved, mm or degrees from the usual set-up; a lever that is not named stays."""


_REACH_MM = Opinion("lever_reach_mm", {"inside": 60.0, "behind": 60.0, "distance": 80.0, "ball": 60.0}, "mm", (10, 150))
_REACH_DEG = Opinion("lever_reach_deg", {"tilt": 12.0, "chin": 15.0}, "deg", (2, 30))
"""How far a head, or the ball, moved that way can still be played from, either way."""
_EASE_MM = Opinion("lever_ease_mm", {"inside": 20.0, "behind": 20.0, "distance": 20.0, "ball": 20.0}, "mm", (5, 100))
_EASE_DEG = Opinion("lever_ease_deg", {"tilt": 4.0, "chin": 5.0}, "deg", (1, 20))
"""Moved so far, each costs as much comfort as another."""
_SLOPE_MM = Opinion("lever_slope_mm", {"inside": 0.05, "behind": 0.05, "distance": 0.05, "ball": 0.05}, "deg")
_SLOPE_DEG = Opinion("lever_slope_deg", {"tilt": 0.2, "chin": 0.2}, "deg")
"""What a mm, or a degree, of each turns what looks straight, one standard deviation (handbook 5)."""


@dataclass(frozen=True, slots=True)
class LeverWords:
    """A lever a coach can move, one at a time.

    Attributes
    ----------
    plus, minus : what moving it up or down is called
    step : as fine as it can be set
    """

    code: Lever
    name: str
    unit: Literal["mm", "deg"]
    plus: str
    minus: str
    step: float

    @property
    def reach(self) -> float:
        """How far it is playable, either way, in `unit`; narrowed by what this golfer can't play."""
        return (_REACH_MM() if self.unit == "mm" else _REACH_DEG())[self.code]

    @property
    def ease(self) -> float:
        """So much of it, in `unit`, costs as much comfort as one `ease` of another lever."""
        return (_EASE_MM() if self.unit == "mm" else _EASE_DEG())[self.code]

    @property
    def slope_sd(self) -> float:
        """Prior of its effect, degrees of looks-straight angle per `unit` (handbook 5)."""
        return (_SLOPE_MM() if self.unit == "mm" else _SLOPE_DEG())[self.code]

    def way(self, *, plus: bool) -> str:
        """What moving it one way is called."""
        return self.plus if plus else self.minus


LEVERS: Final[dict[Lever, LeverWords]] = {
    it.code: it
    for it in (
        LeverWords("inside", "Eyes in or out", "mm", "further in", "further out", 5),
        LeverWords("behind", "Eyes behind or ahead", "mm", "further behind", "further ahead", 5),
        LeverWords("tilt", "Head tilt", "deg", "tilted to the trail side", "tilted to the lead side", 1),
        LeverWords("chin", "Chin", "deg", "chin lifted", "chin tucked", 1),
        LeverWords("distance", "Distance from the ball", "mm", "further away", "closer", 5),
        LeverWords("ball", "Ball position", "mm", "ball further forward", "ball further back", 5),
    )
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
