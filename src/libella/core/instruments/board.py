"""Ruler board: a board or tape across the line, read where the ball crossed it."""

import math
from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Shape, Tape, box
from ..green.putt import Putt
from ..measure.angle import angle_deg
from ..measure.units import Units, tape
from .aid import About, Solid, dimension
from .rig import Remedy
from .ruled import Ruled


@dataclass(frozen=True)
class Board(Ruled):
    """Offset y read to the nearest mark: start error in atan2(y ± mark/2, L) (handbook 3)."""

    distance_m: float = dimension(
        "Ball to board", low=0.1, high=5.0, default=1.0, step=0.05, hint="From the ball's centre to the board's face."
    )
    half_width_m: float = dimension(
        "Board, each side",
        low=0.02,
        high=0.6,
        default=0.1,
        step=0.01,
        hint="From the zero mark to the end of the board.",
    )
    mark_m: float = dimension(
        "Smallest mark", low=0.001, high=0.05, default=0.005, step=0.001, hint="The spacing you really read to."
    )

    about: ClassVar[About] = About(
        kind="board",
        name="Ruler board",
        said="ruler board",
        measures="start",
        entry="slide",
        slides="Where the ball crossed the ruler",
        guides=False,
        tells="Which side of the line the ball started, and how far off, putt by putt.",
        cannot="Why it started there. It says nothing of the face or the path.",
        read="Watch where the ball's centre crosses the edge of the board; read the nearest mark.",
        mistakes=(
            "The zero mark off the line: every reading is off by the same angle.",
            "The board not square to the line.",
            "The ball not put back on its spot.",
        ),
        cautions=("A board on the ground trips people: lift it when you leave the station.",),
        parts=(("ruler_board", 1),),
    )

    @property
    def station_m(self) -> float:
        return self.distance_m

    def _value(self, offset_m: float) -> float:
        return angle_deg(offset_m, self.distance_m)

    def _finer(self, putt: Putt, units: Units) -> tuple[Remedy, ...]:
        third = math.tan(math.radians(putt.window.narrow_deg / 3))
        away = math.ceil(self.mark_m / 2 / third / 0.05 - 1e-9) * 0.05
        if away > 5.0 or away >= putt.distance_m - 0.1:
            return super()._finer(putt, units)
        return (*super()._finer(putt, units), Remedy("distance_m", round(away, 2), "board_at"))

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        x = self.distance_m * 1000
        half = self.half_width_m * 1000
        return (
            box(x, -half, x + 25, half, "board"),
            Tape(0, 0, x, 0, tape(self.distance_m, units), 1, "distance_m"),
            Tape(x, 0, x, half, tape(self.half_width_m, units), 1, "half_width_m"),
        )

    def solids(self) -> tuple[Solid, ...]:
        x, half = self.distance_m, self.half_width_m
        return (Solid("board", x, x + 0.025, -half, half, 0.003, of="distance_m"),)
