"""A rail along the line with a square at its near end, against which the face is laid."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Shape, Tape, box
from ..measure.units import Units, tape
from .aid import About, Solid, dimension
from .square_edge import SquareEdge

_RAIL_M = 0.02


@dataclass(frozen=True)
class RailSquare(SquareEdge):
    """Read as any square edge is; the rail beyond it shows the line it is square to."""

    rail_m: float = dimension(
        "Rail length", low=0.2, high=3.0, default=0.8, step=0.05, hint="Along the line, beyond the square."
    )
    beside_m: float = dimension(
        "Rail from the line", low=0.0, high=0.3, default=0.1, step=0.01, hint="Beyond the toe; 0 under the ball's way."
    )

    about: ClassVar[About] = About(
        kind="rail_square",
        name="Rail with a square at its end",
        said="rail with a square at its end",
        measures="face",
        entry="slide",
        slides="How wide the gap is, and at which end",
        guides=True,
        tells="Whether the face is square to the rail, and by the gap how far it is not.",
        cannot="The natural aim: with a square edge in view the golfer squares to it.",
        read="Push the putter gently against the square; one end touches, read the gap at the other.",
        mistakes=(
            "The rail not along the line: tape its far end.",
            "The square worked loose from its rail: hold both against a second square.",
            "Both ends pushed on: the putter turns until there is no gap.",
        ),
        cautions=("A rail trips people: lift it when you leave the station.",),
        parts=(("rail_square", 1), ("feeler_card", 1)),
    )

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        at, rail, half = self.beside_m * 1000, _RAIL_M * 500, self.rail_m * 1000
        return (
            *super().from_above(units),
            box(50, at - rail, 50 + half, at + rail, "board"),
            Tape(50, at, 50 + half, at, tape(self.rail_m, units), 1, "rail_m"),
        )

    def solids(self) -> tuple[Solid, ...]:
        at, half = self.beside_m, _RAIL_M / 2
        return (
            *super().solids(),
            Solid("rail", 0.05, 0.05 + self.rail_m, at - half, at + half, 0.01, of="beside_m"),
        )
