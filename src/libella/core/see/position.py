"""Where the head, or the ball, is for a test: how far each lever is moved from this golfer's usual set-up."""

import math
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Final, Literal, get_args

from ..measure.limits import Bounds, OutOfLimits
from ..opinions.held import Opinion

Lever = Literal["inside", "behind", "tilt", "chin", "distance", "ball"]
Grade = Literal["", "bit", "much"]
"""How far it is moved, as it is said; empty while nobody said."""
Position = Mapping[Lever, float]
"""Levers moved, mm or degrees from the usual set-up; a lever that is not named stays."""


@dataclass(frozen=True, slots=True)
class LeverWords:
    """A lever a coach can move, one at a time.

    Attributes
    ----------
    plus, minus : what moving it up or down is called
    usual_reach : how far it is playable, either way
    step : as fine as it can be set
    usual_ease : what costs as much comfort as one `ease` of another lever
    usual_slope_sd : prior of its effect, degrees of looks-straight angle per unit (handbook 5)
    """

    name: str
    unit: Literal["mm", "deg"]
    plus: str
    minus: str
    usual_reach: float
    step: float
    usual_ease: float
    usual_slope_sd: float

    @property
    def reach(self) -> float:
        """How far it is playable, either way, as it is held; narrowed by what this golfer can't play."""
        return self._held(_REACH, self.usual_reach)

    @property
    def ease(self) -> float:
        """So much of it, as it is held, costs as much comfort as one `ease` of another lever."""
        return self._held(_EASE, self.usual_ease)

    @property
    def slope_sd(self) -> float:
        """Prior of its effect as it is held, degrees of looks-straight angle per unit."""
        return self._held(_SLOPE, self.usual_slope_sd)

    def _held(self, of: Mapping[str, Opinion[dict[str, float]]], usual: float) -> float:
        return next((told for code, told in of[self.unit]().items() if _lever(code) is self), usual)

    def way(self, *, plus: bool, grade: Grade = "") -> str:
        """What moving it one way is called: "further in", "a bit further in", "chin tucked a lot"."""
        words = self.plus if plus else self.minus
        if not grade:
            return words
        for more in ("further", "closer"):
            if more in words:
                return words.replace(more, f"{'a bit' if grade == 'bit' else 'much'} {more}")
        first, moved, rest = words.partition("tilted")
        by = "a bit" if grade == "bit" else "a lot"
        return f"{first}{moved} {by}{rest}" if moved else f"{words} {by}"


LEVERS: Final[dict[Lever, LeverWords]] = {
    "inside": LeverWords("Eyes in or out", "mm", "further in", "further out", 60, 5, 20, 0.05),
    "behind": LeverWords("Eyes behind or ahead", "mm", "further behind", "further ahead", 60, 5, 20, 0.05),
    "tilt": LeverWords("Head tilt", "deg", "tilted to the trail side", "tilted to the lead side", 12, 1, 4, 0.2),
    "chin": LeverWords("Chin", "deg", "chin lifted", "chin tucked", 15, 1, 5, 0.2),
    "distance": LeverWords("Distance from the ball", "mm", "further away", "closer", 80, 5, 20, 0.05),
    "ball": LeverWords("Ball position", "mm", "ball further forward", "ball further back", 60, 5, 20, 0.05),
}


def _lever(code: str) -> LeverWords | None:
    return next((it for name, it in LEVERS.items() if name == code), None)


def _each(name: str, unit: str) -> dict[str, float]:
    return {code: float(getattr(it, f"usual_{name}")) for code, it in LEVERS.items() if it.unit == unit}


_REACH: Final = {
    "mm": Opinion("lever_reach_mm", _each("reach", "mm"), "mm", (10, 150)),
    "deg": Opinion("lever_reach_deg", _each("reach", "deg"), "deg", (2, 30)),
}
_EASE: Final = {
    "mm": Opinion("lever_ease_mm", _each("ease", "mm"), "mm", (5, 100)),
    "deg": Opinion("lever_ease_deg", _each("ease", "deg"), "deg", (1, 20)),
}
_SLOPE: Final = {
    "mm": Opinion("lever_slope_mm", _each("slope_sd", "mm"), "deg"),
    "deg": Opinion("lever_slope_deg", _each("slope_sd", "deg"), "deg"),
}
"""What nobody measured of the levers, as it stands and as it is held."""
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
