"""A box of balls laid square across the line ahead of the ball: the face is judged against its edge."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Shape, Tape, box
from ..measure.units import Units, tape
from .aid import About, Solid, dimension
from .by_eye import ByEye


@dataclass(frozen=True)
class BallBox(ByEye):
    """A box of balls laid square across the line ahead of the ball: the face is judged against its edge."""

    long_m: float = dimension(
        "Box length", low=0.08, high=0.3, default=0.135, step=0.005, hint="Of the edge you compare with."
    )
    ahead_m: float = dimension(
        "Box ahead of the ball", low=0.03, high=0.4, default=0.06, step=0.01, hint="From the ball's centre to its edge."
    )

    about: ClassVar[About] = About(
        kind="ball_box",
        name="Ball box beside the ball",
        said="ball box beside the ball",
        measures="face",
        entry="tap",
        guides=True,
        tells="Whether the face stands square, against an edge that is always in the bag.",
        cannot="Less than the eye sees. With a square edge in view the golfer squares to it.",
        read="Set the putter down without a stroke; look from above the ball, one eye shut; say what you see.",
        mistakes=(
            "The box not square to the line: tape both its corners to the line.",
            "Left in the way of the putt: take it off before the stroke.",
        ),
        cautions=("Take it off the line before the putt, and out of the way when you leave.",),
        parts=(("ball_box", 1),),
    )

    def _reference_from_behind(self) -> tuple[Shape, ...]:
        half, at = self.long_m * 500, self.ahead_m * 1000
        return (box(-half, -at - 40, half, -at, "post"),)

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        half, at = self.long_m * 500, self.ahead_m * 1000
        return (
            box(at, -half, at + 45, half, "board"),
            Tape(0, 0, at, 0, tape(self.ahead_m, units), -1, "ahead_m"),
        )

    def solids(self) -> tuple[Solid, ...]:
        half, at = self.long_m / 2, self.ahead_m
        return (Solid("box", at, at + 0.045, -half, half, 0.045, of="ahead_m"),)
