"""A weight hung from the eye."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Line, Shape
from ..measure.units import Units
from .aid import About, dimension
from .scale import Scale


@dataclass(frozen=True)
class Plumb(Scale):
    """Where the weight falls, the eye is: direct, ± 5 mm (handbook 3)."""

    half_width_m: float = dimension(
        "Ruler, each side", low=0.05, high=0.3, default=0.15, step=0.01, hint="Laid across the line at the ball."
    )
    mark_m: float = dimension(
        "Smallest mark", low=0.005, high=0.05, default=0.01, step=0.005, hint="A swinging weight reads no finer."
    )

    about: ClassVar[About] = About(
        kind="plumb",
        name="Plumb from the eye",
        said="plumb from the eye",
        measures="eyes",
        entry="slide",
        slides="Where the weight hangs",
        guides=False,
        noted=False,
        tells="Where an eye is, straight down, whatever the ground does.",
        cannot="Less than about the width of a pencil: it swings, and the golfer moves to see it.",
        read="Hold the line at the eye, let the weight come to rest, read where it stands across the line.",
        mistakes=("Held beside the eye instead of before it.", "The golfer lifts the head to look."),
        cautions=("Keep the weight away from the face while it swings.",),
        parts=(("plumb_line", 1), ("tape_measure", 1)),
    )

    def _value(self, offset_m: float) -> float:
        return offset_m * 1000

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        half = self.half_width_m * 1000
        return (Line(0, -half, 0, half, "mark"),)
