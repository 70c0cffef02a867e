"""A string stretched over ball and hole, and the ball watched as it comes out from under it."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Line, Shape, Tape, box
from ..measure.units import Units, tape
from .aid import About, Solid, dimension
from .ground_line import GroundLine, line_about
from .string_sight import TOUCHED

_STAKE_M = 0.01
_EYE_M = 1.5
"""From how high a string is seen, where nobody noted it."""


@dataclass(frozen=True)
class RaisedString(GroundLine):
    """Read as a line on the ground is: where it lies on the ball when that has rolled L, the eye straight over it."""

    string_height_m: float = dimension(
        "String height", low=0.05, high=0.6, default=0.2, step=0.01, hint="Over the ground, at the ball."
    )
    behind_m: float = dimension(
        "Near stake behind the ball", low=0.1, high=2.0, default=0.7, step=0.05, hint="Clear of the backstroke."
    )

    touched: ClassVar = TOUCHED
    over_head: ClassVar = True
    about: ClassVar[About] = line_about(
        "raised_string",
        "String over ball and hole",
        "string over ball and hole",
        "Watched with the eye beside it: the string lies on the ball elsewhere than it seems.",
        (
            "Strings and stakes trip people: flag them, and take them up when you leave.",
            "Guard the stakes' tips: the golfer bends over them.",
        ),
        "string",
    )

    @property
    def hangs_inside_m(self) -> float:
        """It hangs over the line."""
        return 0.0

    @property
    def eye_height_m(self) -> float:
        """From where it is seen, as usual."""
        return _EYE_M

    @property
    def has_heights(self) -> bool:
        return True

    def solids(self) -> tuple[Solid, ...]:
        return tuple(
            Solid(name, at - _STAKE_M / 2, at + _STAKE_M / 2, -_STAKE_M / 2, _STAKE_M / 2, self.string_height_m, of=of)
            for name, at, of in (("near stake", -self.behind_m, "behind_m"), ("far stake", self.line_m + 0.3, "line_m"))
        )

    def from_side(self, units: Units = "metric") -> tuple[Shape, ...]:
        near, far, h = -self.behind_m * 1000, (self.line_m + 0.3) * 1000, self.string_height_m * 1000
        stake = _STAKE_M * 500
        return (
            *(box(at - stake, -h, at + stake, 0, "post") for at in (near, far)),
            Line(near, -h, far, -h, "limit"),
            Tape(far, 0, far, -h, tape(self.string_height_m, units), -1, "string_height_m"),
        )
