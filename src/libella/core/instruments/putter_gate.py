"""Gate of two pegs for the putter's head: which peg it touches tells where on the face the ball was struck."""

import math
from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Circle, Line, Scene, Shape, Tape, box
from ..measure.constants import BALL_M
from ..measure.interval import Interval
from ..measure.limits import OutOfLimits
from ..measure.units import Units, tape
from .aid import About, Aid, Raw, Solid, Zone, choice, dimension

_TOUCHES = {"near_peg": "touched the near peg", "clean": "clean", "far_peg": "touched the far peg"}


@dataclass(frozen=True)
class PutterGate(Aid):
    """Clearance c = (W − head)/2: near peg touched, the head came c or more towards the golfer, and the ball was
    struck that much or more to the toe; far peg, to the heel. Never the ball's left and right."""

    inside_width_m: float = dimension(
        "Between the pegs", low=0.08, high=0.25, default=0.13, step=0.001, hint="Inside, where the head passes."
    )
    head_m: float = dimension(
        "Head, heel to toe", low=0.06, high=0.18, default=0.11, step=0.001, hint="Measure this golfer's putter."
    )
    peg_m: float = dimension("Peg thickness", low=0.001, high=0.03, default=0.005, step=0.001, hint="Of one peg.")

    about: ClassVar[About] = About(
        kind="putter_gate",
        name="Putter gate of pegs",
        said="putter gate of pegs",
        measures="strike",
        entry="tap",
        guides=True,
        tells="Whether the head comes back to where it was set down; the peg touched tells toe or heel.",
        cannot="Where the ball starts, and where the face points. It is no gate for the ball.",
        read="Set the head down in the middle of the gate; putt; say which peg it touched, near the golfer or far.",
        mistakes=(
            "The head not set down in the middle: one peg is touched more often.",
            "Near and far taken for left and right: they change sides with the golfer's hand.",
        ),
        cautions=("Pegs trip people: flag them, and pull them when you leave. Mend the holes.",),
        parts=(("peg", 2),),
    )

    def check(self) -> None:
        if self.inside_width_m <= self.head_m:
            raise OutOfLimits("inside_width_m", "head_too_wide", "m", head_m=self.head_m)

    @property
    def clearance_m(self) -> float:
        """Room each side of the head, m."""
        return (self.inside_width_m - self.head_m) / 2

    def interval(self, raw: Raw) -> Interval:
        room = self.clearance_m * 1000
        return {
            "near_peg": Interval(-math.inf, -room),
            "clean": Interval(-room, room),
            "far_peg": Interval(room, math.inf),
        }[choice(raw, "peg", tuple(_TOUCHES))]

    def words(self, raw: Raw, units: Units = "metric") -> str:
        return _TOUCHES[str(raw["peg"])]

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        wide = self.inside_width_m * 1000
        return tuple(
            Zone(said, {"peg": name}, self.interval({"peg": name}), str(n + 1), ((n - 1.5) * wide, (n - 0.5) * wide))
            for n, (name, said) in enumerate(_TOUCHES.items())
        )

    def picture(self, units: Units = "metric") -> Scene:
        half, peg, head = self.inside_width_m * 500, self.peg_m * 1000, self.head_m * 500
        wide = self.inside_width_m * 1500
        shapes: list[Shape] = [Line(-wide, 0, wide, 0, "ground"), box(-head, -28, head, 0, "board")]
        shapes += [box(at - peg / 2, -70, at + peg / 2, 0, "post") for at in (-half - peg / 2, half + peg / 2)]
        shapes.append(Circle(0, -BALL_M * 500, BALL_M * 500, "ghost"))
        shapes.append(Tape(-half, 0, half, 0, tape(self.inside_width_m, units), 1))
        words = "Putter gate from behind: near peg at the left, far peg at the right, the head between them."
        return Scene(-wide, -110, wide, 40, words, tuple(shapes))

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        half, r = self.inside_width_m * 500, self.peg_m * 500
        return (
            *(Circle(0, side * (half + r), r, "post") for side in (-1, 1)),
            Tape(0, -half, 0, half, tape(self.inside_width_m, units), -1, "inside_width_m", 2),
        )

    def solids(self) -> tuple[Solid, ...]:
        half, r = self.inside_width_m / 2, self.peg_m / 2
        return tuple(
            Solid(f"{name} peg", -r, r, side * (half + r) - r, side * (half + r) + r, 0.06, of="inside_width_m")
            for name, side in (("near", -1), ("far", 1))
        )
