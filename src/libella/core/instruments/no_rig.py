"""No rig: nothing watches where the ball starts. What lies beside the putt is read, or what became of it."""

import math
from dataclasses import dataclass
from typing import ClassVar, Final

from ..drawing.scene import Circle, Line, Scene, Shape
from ..green.putt import Putt
from ..measure.constants import BALL_M
from ..measure.interval import Interval
from ..measure.units import Units
from .aid import About, Raw, Zone, choice
from .rig import Rig, Sight

_AT_M = 0.5
"""Where a rig would stand: what is not known of the line is told there."""


NO_RIG: Final = "no_rig"
"""Its kind."""
NOT_WATCHED: Final[Raw] = {"start": "not_watched"}
"""The one reading there is."""


@dataclass(frozen=True)
class NoRig(Rig):
    """Every putt is a reading that says nothing of its start."""

    reads_start: ClassVar[bool] = False

    about: ClassVar[About] = About(
        kind=NO_RIG,
        name="No start rig",
        said="no start rig",
        measures="start",
        entry="tap",
        guides=False,
        tells="Nothing of the start line: what lies beside the putt is read, or only what became of it.",
        cannot="Whether a miss was aimed, pushed or pulled; a holed putt says little of its start.",
        read="Note what lies beside it, or where the ball finished.",
        mistakes=("Misses counted as starts: pace and read are in them.",),
        cautions=("Watch the start with the eyes: a head that turns after the ball goes to the neck.",),
    )

    @property
    def station_m(self) -> float:
        return _AT_M

    def interval(self, raw: Raw) -> Interval:
        choice(raw, "start", ("not_watched",))
        return Interval(-math.inf, math.inf)

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        return (Zone("putted", NOT_WATCHED, self.interval(NOT_WATCHED), "1", (-100.0, 100.0)),)

    def words(self, raw: Raw, units: Units = "metric") -> str:
        return "putted"

    def picture(self, units: Units = "metric") -> Scene:
        r = BALL_M * 500
        shapes: tuple[Shape, ...] = (Line(-100, 0, 100, 0, "ground"), Circle(0, -r, r, "ball"))
        return Scene(-100, -4 * r, 100, r, "The ball, and nothing that watches its start.", shapes)

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        return ()

    def sight(self, putt: Putt, spread_deg: float, units: Units = "metric") -> Sight:
        return Sight("nothing", 0.0, putt.window.narrow_deg, "good")
