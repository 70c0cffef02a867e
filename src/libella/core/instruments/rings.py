"""Two rings round the hole: how far a putt finished, by rings."""

import math
from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Circle, Line, Scene, Shape, Tape
from ..measure.constants import HOLE_M
from ..measure.interval import Interval
from ..measure.limits import OutOfLimits
from ..measure.units import Units, tape
from .aid import About, Aid, Raw, Zone, choice, dimension

_FINISHES = {
    "short_out": "short of both rings",
    "short": "short, in the outer ring",
    "inner": "in the inner ring",
    "past": "past, in the outer ring",
    "past_out": "past both rings",
}


@dataclass(frozen=True)
class Rings(Aid):
    """Finishes along the line, from the hole's centre: short is minus."""

    inner_m: float = dimension(
        "Inner ring", low=0.08, high=1.5, default=0.3, step=0.05, hint="Radius, from the hole's centre."
    )
    outer_m: float = dimension(
        "Outer ring", low=0.15, high=3.0, default=0.6, step=0.05, hint="Radius, from the hole's centre."
    )

    about: ClassVar[About] = About(
        kind="rings",
        name="Rings round the hole",
        said="rings round the hole",
        measures="pace",
        entry="tap",
        guides=True,
        at="hole",
        tells="How the pace falls, short or past, ring by ring.",
        cannot="The pace of a holed putt: cover the hole, or read only what missed.",
        read="Say in which ring the ball came to rest, and whether short of the hole or past it.",
        mistakes=("The rings not round the hole's centre.", "Uphill and downhill putts read as one."),
        cautions=("Rings trip people: lift them when you leave the hole.",),
        parts=(("ring", 2),),
    )

    def check(self) -> None:
        if self.outer_m <= self.inner_m:
            raise OutOfLimits("outer_m", "rings_inside_out", "m", inner_m=self.inner_m)

    def interval(self, raw: Raw) -> Interval:
        return {
            "short_out": Interval(-math.inf, -self.outer_m),
            "short": Interval(-self.outer_m, -self.inner_m),
            "inner": Interval(-self.inner_m, self.inner_m),
            "past": Interval(self.inner_m, self.outer_m),
            "past_out": Interval(self.outer_m, math.inf),
        }[choice(raw, "finish", tuple(_FINISHES))]

    def words(self, raw: Raw, units: Units = "metric") -> str:
        return _FINISHES[str(raw["finish"])]

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        inner, outer = self.inner_m * 1000, self.outer_m * 1000
        edges = (-outer * 1.6, -outer, -inner, inner, outer, outer * 1.6)
        return tuple(
            Zone(said, {"finish": name}, self.interval({"finish": name}), str(n + 1), (edges[n], edges[n + 1]))
            for n, (name, said) in enumerate(_FINISHES.items())
        )

    def picture(self, units: Units = "metric") -> Scene:
        wide = self.outer_m * 1600
        tall = self.outer_m * 1150
        words = "Rings from above, the ball coming from the left: tap where it came to rest."
        shapes = (*self._circles(), Line(-wide, 0, 0, 0, "line"), Circle(0, 0, HOLE_M * 500, "hole"))
        return Scene(-wide, -tall, wide, tall, words, shapes)

    def _circles(self) -> tuple[Shape, ...]:
        return tuple(Circle(0, 0, r * 1000, "ring") for r in (self.outer_m, self.inner_m))

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        return (*self._circles(), Tape(0, 0, self.outer_m * 1000, 0, tape(self.outer_m, units), -1, "outer_m"))
