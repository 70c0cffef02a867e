"""A station of rods: one along the line beyond the ball, one along the toes, one from the ball to it."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Shape, Tape, box
from ..measure.units import Units, tape
from .aid import About, Solid, dimension
from .body_rod import BodyRod

_HALF_MM = 5.0


@dataclass(frozen=True)
class RodStation(BodyRod):
    """The rod along the toes is read against the one along the line; the third keeps the distance from the ball."""

    from_line_m: float = dimension(
        "Toes from the line", low=0.05, high=0.6, default=0.2, step=0.01, hint="As long as the rod from the ball."
    )
    beside_m: float = dimension(
        "Line's rod from the line", low=0.05, high=0.4, default=0.12, step=0.01, hint="Beyond the toe, clear of it."
    )

    about: ClassVar[About] = About(
        kind="rod_station",
        name="Station of rods",
        said="station of rods",
        measures="body",
        entry="slide",
        slides="How far the line of the feet turns",
        guides=True,
        tells="Where the feet point against a rod along the line, and that the ball lies as far away as last time.",
        cannot="What hips and shoulders do above the feet; where the ball starts.",
        read="Stand up to the rods; tape from each toe to the line's rod; the difference is the offset.",
        mistakes=(
            "The rods parallel to each other and not to the line.",
            "The rod from the ball moved with the feet: the distance is then never told.",
        ),
        cautions=("Rods trip people: flag them, and take them up when you leave.",),
        parts=(("rod", 3), ("tape_measure", 1)),
    )

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        half, toes, line = self.length_m * 500, -self.from_line_m * 1000, self.beside_m * 1000
        return (
            *(box(-half, at - _HALF_MM, half, at + _HALF_MM, "post") for at in (toes, line)),
            box(-_HALF_MM, toes, _HALF_MM, -60, "post"),
            Tape(-half, 0, -half, toes, tape(self.from_line_m, units), -1, "from_line_m"),
            Tape(half, 0, half, line, tape(self.beside_m, units), 1, "beside_m"),
        )

    def solids(self) -> tuple[Solid, ...]:
        half, thick = self.length_m / 2, _HALF_MM / 1000
        return (
            Solid("toe rod", -half, half, -self.from_line_m - thick, -self.from_line_m + thick, 0.01, of="from_line_m"),
            Solid("line's rod", -half, half, self.beside_m - thick, self.beside_m + thick, 0.01, of="beside_m"),
        )
