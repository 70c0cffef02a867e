"""A T drawn or taped on the ground: its stem is the line, its bar square to it."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Shape, Tape, box
from ..measure.units import Units, tape
from .aid import About, Solid, dimension
from .by_eye import ByEye


@dataclass(frozen=True)
class TMark(ByEye):
    """A T drawn or taped on the ground: its stem is the line, its bar square to it."""

    bar_m: float = dimension(
        "Bar of the T", low=0.08, high=0.4, default=0.15, step=0.01, hint="Longer than the face, to see both its ends."
    )
    stem_m: float = dimension(
        "Stem of the T", low=0.1, high=3.0, default=0.3, step=0.05, hint="Along the line, from the ball's centre."
    )

    about: ClassVar[About] = About(
        kind="t_mark",
        name="T mark",
        said="T mark",
        measures="face",
        entry="tap",
        guides=True,
        tells="Whether the face stands square to the bar, and whether the ball lies on the stem.",
        cannot="Less than the eye sees. With a square edge in view the golfer squares to it.",
        read="Set the putter down without a stroke; look from above the ball, one eye shut; say what you see.",
        mistakes=(
            "The bar not square to the stem: check its two halves against one far point.",
            "The bar shorter than the face.",
        ),
        cautions=("Tape and chalk only where the greenkeeper allows it.",),
        parts=(("cloth_tape", 1),),
    )

    def _reference_from_behind(self) -> tuple[Shape, ...]:
        half = self.bar_m * 500
        return (box(-half, 50, half, 54, "post"), box(-1.5, -105, 1.5, 50, "post"))

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        half = self.bar_m * 500
        return (
            box(-24, -half, -20, half, "post"),
            box(-20, -1.5, self.stem_m * 1000, 1.5, "post"),
            Tape(-22, -half, -22, half, tape(self.bar_m, units), -1, "bar_m", 2),
        )

    def solids(self) -> tuple[Solid, ...]:
        half = self.bar_m / 2
        return (Solid("T", -0.024, self.stem_m, -half, half, 0.001, of="stem_m"),)
