"""Two rails along the stroke with an even gap either side of the head."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Circle, Scene, Shape, Tape, box
from ..measure.constants import BALL_M
from ..measure.units import Units, tape
from .aid import About, Solid
from .guide_rail import GuideRail

_THICK_M = 0.02


@dataclass(frozen=True)
class TwinRails(GuideRail):
    """Touched inside: the head came towards the golfer by the gap or more; outside: away from him."""

    _seen: ClassVar = {
        "outside_back": (-1, "back", "touched outside, going back"),
        "inside_back": (1, "back", "touched inside, going back"),
        "clean": (0, "", "clean"),
        "outside_through": (-1, "through", "touched outside, going through"),
        "inside_through": (1, "through", "touched inside, going through"),
    }

    about: ClassVar[About] = About(
        kind="twin_rails",
        name="Twin guide rails",
        said="twin guide rails",
        measures="path",
        entry="tap",
        guides=True,
        tells="Where in the stroke the head leaves its way, and to which side; the gap says by how much at least.",
        cannot="Where the face points. A golfer may lean on a rail and call it straight: fade them.",
        read="Say the first touch: which rail, and whether going back or through.",
        mistakes=(
            "The gap uneven: one rail is touched more often.",
            "The rails turned on the line: the path they teach points elsewhere.",
            "Rails for a straight way under an arced stroke.",
        ),
        cautions=("Rails trip people: lift them when you leave the station.",),
        parts=(("guide_rail", 2),),
    )

    @property
    def _far_y_m(self) -> float:
        return self.head_m / 2 + self.gap_m

    def picture(self, units: Units = "metric") -> Scene:
        back, through = -self.back_m * 1000, self.through_m * 1000
        edge, thick, head = self._far_y_m * 1000, _THICK_M * 1000, self.head_m * 500
        shapes: tuple[Shape, ...] = (
            *(box(back, at, through, at + thick, "board") for at in (-edge - thick, edge)),
            box(-12, -head, 12, head, "post"),
            Circle(12 + BALL_M * 500, 0, BALL_M * 500, "ball"),
            Tape(0, head, 0, edge, tape(self.gap_m, units), 2),
        )
        words = "Twin rails from above, the hole at the right, the golfer's side at the top."
        return Scene(min(back, -300), -edge - 120, max(through, 300), edge + 60, words, shapes)

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        back, through = -self.back_m * 1000, self.through_m * 1000
        edge, thick = self._far_y_m * 1000, _THICK_M * 1000
        between = tape(2 * self._far_y_m, units)
        return (
            *(box(back, at, through, at + thick, "board") for at in (-edge - thick, edge)),
            Tape(back, -edge, back, edge, between, -1, "gap_m"),
        )

    def solids(self) -> tuple[Solid, ...]:
        edge = self._far_y_m
        return tuple(
            Solid(name, -self.back_m, self.through_m, at, at + _THICK_M, 0.02, of="back_m")
            for name, at in (("inner rail", -edge - _THICK_M), ("outer rail", edge))
        )
