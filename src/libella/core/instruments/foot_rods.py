"""A rod along the toes, against the line."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Shape, Tape, box
from ..measure.units import Units, tape
from .aid import About, Solid, dimension
from .body_rod import BodyRod


@dataclass(frozen=True)
class FootRods(BodyRod):
    """A rod laid along both toes; its ends are taped to the line."""

    from_line_m: float = dimension(
        "Toes from the line", low=0.05, high=0.6, default=0.15, step=0.01, hint="At the ball, to the near rod."
    )

    about: ClassVar[About] = About(
        kind="foot_rods",
        name="Rod along the toes",
        said="rod along the toes",
        measures="body",
        entry="slide",
        slides="How far the line of the feet turns",
        guides=True,
        tells="Where the feet point at address, and how far the golfer stands from the line.",
        cannot="What knees, hips and shoulders do above them.",
        read="Lay it along both toes; tape from each end to the line; the difference is the offset.",
        mistakes=("Laid along the shoes' soles, when one foot is turned out.", "Moved with the feet afterwards."),
        cautions=("Rods trip people: flag them, and take them up when you leave.",),
        parts=(("rod", 2), ("tape_measure", 1)),
    )

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        half, y = self.length_m * 500, -self.from_line_m * 1000
        return (
            box(-half, y - 5, half, y + 5, "post"),
            Tape(-half, 0, -half, y, tape(self.from_line_m, units), -1, "from_line_m"),
        )

    def solids(self) -> tuple[Solid, ...]:
        half, y = self.length_m / 2, -self.from_line_m
        return (Solid("rod", -half, half, y - 0.005, y + 0.005, 0.01, of="from_line_m"),)
