"""What instruments share that throw a spot onto a ruler."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Shape, Tape, box
from ..measure.units import Units, tape
from .aid import Solid, dimension
from .rig import Event
from .ruled import Ruled


@dataclass(frozen=True)
class Thrown(Ruled):
    """A spot thrown onto a ruler across the line at some distance."""

    distance_m: float = dimension(
        "Throw", low=0.5, high=8.0, default=2.0, step=0.1, hint="From the emitter, or the mirror, to the ruler."
    )
    half_width_m: float = dimension(
        "Ruler, each side", low=0.02, high=0.6, default=0.15, step=0.01, hint="From its zero to its end."
    )
    mark_m: float = dimension(
        "Smallest mark", low=0.001, high=0.05, default=0.005, step=0.001, hint="The spacing you really read to."
    )

    _event: ClassVar[Event] = "set_down"
    _zero_words: ClassVar[str] = "on the zero mark"

    @property
    def station_m(self) -> float:
        return self.distance_m

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        x = self.distance_m * 1000
        half = self.half_width_m * 1000
        return (box(x, -half, x + 25, half, "board"), Tape(0, 0, x, 0, tape(self.distance_m, units), 1, "distance_m"))

    def solids(self) -> tuple[Solid, ...]:
        x, half = self.distance_m, self.half_width_m
        return (Solid("ruler", x, x + 0.025, -half, half, 0.05, of="distance_m"),)

    @property
    def has_heights(self) -> bool:
        return True
