"""A rod along the line, beyond the toe: the face is judged at right angles to it."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Shape, Tape, box
from ..measure.units import Units, tape
from .aid import About, Solid, dimension
from .by_eye import ByEye


@dataclass(frozen=True)
class RodBeside(ByEye):
    """A rod along the line, beyond the toe: the face is judged at right angles to it."""

    beside_m: float = dimension(
        "Rod from the line", low=0.06, high=0.4, default=0.12, step=0.01, hint="From the ball's centre to the rod."
    )
    length_m: float = dimension(
        "Rod length", low=0.3, high=2.0, default=1.2, step=0.1, hint="Its middle lies beside the ball."
    )

    about: ClassVar[About] = About(
        kind="rod_beside",
        name="Rod beside the ball",
        said="rod beside the ball",
        measures="face",
        entry="tap",
        guides=True,
        tells="Whether the face stands square to a rod laid along the line.",
        cannot="Less than the eye sees. With a square edge in view the golfer squares to it.",
        read="Set the putter down without a stroke; look from above the ball, one eye shut; say what you see.",
        mistakes=(
            "The rod not parallel to the line: tape both ends.",
            "Looked at from beside the ball: a rod further out looks turned.",
        ),
        cautions=("Rods trip people: flag them, and take them up when you leave.",),
        parts=(("rod", 1),),
    )

    def _reference_from_behind(self) -> tuple[Shape, ...]:
        at = self.beside_m * 1000
        return (box(at - 5, -105, at + 5, 65, "post"),)

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        at, half = self.beside_m * 1000, self.length_m * 500
        return (
            box(-half, at - 5, half, at + 5, "post"),
            Tape(half, 0, half, at, tape(self.beside_m, units), 1, "beside_m"),
        )

    def solids(self) -> tuple[Solid, ...]:
        half = self.length_m / 2
        return (Solid("rod", -half, half, self.beside_m - 0.005, self.beside_m + 0.005, 0.01, of="beside_m"),)
