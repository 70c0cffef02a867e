"""A box of balls beside the ball, its long edge along the line: the face is judged at right angles to it."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Shape, Tape, box
from ..measure.units import Units, tape
from .aid import About, Solid, dimension
from .by_eye import ByEye

_WIDE_M = 0.045


@dataclass(frozen=True)
class BallBox(ByEye):
    """Beyond the toe, where it stays clear of the stroke: no edge lies across the putt's way."""

    long_m: float = dimension(
        "Box length", low=0.08, high=0.3, default=0.135, step=0.005, hint="Of the edge you compare with."
    )
    beside_m: float = dimension(
        "Box from the line", low=0.03, high=0.4, default=0.12, step=0.01, hint="From the ball's centre to its edge."
    )

    about: ClassVar[About] = About(
        kind="ball_box",
        name="Ball box beside the ball",
        said="ball box beside the ball",
        measures="face",
        entry="tap",
        guides=True,
        slid_in=True,
        tells="Whether the face stands square, against an edge that is always in the bag.",
        cannot="Less than the eye sees. With a square edge in view the golfer squares to it.",
        read="Set the putter down without a stroke; look from above the ball, one eye shut; say what you see.",
        mistakes=(
            "The box not along the line: tape both its corners to the line.",
            "So near that the toe meets it in the stroke.",
        ),
        cautions=("Take it off the green when you leave: it trips people.",),
        parts=(("ball_box", 1),),
    )

    def _reference_from_behind(self) -> tuple[Shape, ...]:
        half, at = self.long_m * 500, self.beside_m * 1000
        return (box(at, -half, at + _WIDE_M * 1000, half, "post"),)

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        half, at = self.long_m * 500, self.beside_m * 1000
        return (
            box(-half, at, half, at + _WIDE_M * 1000, "board"),
            Tape(half, 0, half, at, tape(self.beside_m, units), 1, "beside_m"),
        )

    def solids(self) -> tuple[Solid, ...]:
        half, at = self.long_m / 2, self.beside_m
        return (Solid("box", -half, half, at, at + _WIDE_M, 0.045, of="beside_m"),)
