"""One curved rail beyond the toe: the head follows its arc at an even gap."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Circle, Curve, Scene, Shape, Tape, box
from ..measure.constants import BALL_M
from ..measure.units import Units, tape
from .aid import About, Solid
from .arc import Arc


@dataclass(frozen=True)
class CurvedRail(Arc):
    """Touched: the head went outside its arc by the gap or more. Gap opened to twice itself or more: inside."""

    _seen: ClassVar = {
        "touched_back": (-1, "back", "touched outside, going back"),
        "opened_back": (1, "back", "gap doubled inside, going back"),
        "clean": (0, "", "even gap"),
        "touched_through": (-1, "through", "touched outside, going through"),
        "opened_through": (1, "through", "gap doubled inside, going through"),
    }

    about: ClassVar[About] = About(
        kind="curved_rail",
        name="Curved guide rail",
        said="curved guide rail",
        measures="path",
        entry="tap",
        guides=True,
        tells="Whether the head keeps to the arc, and where in the stroke it leaves it.",
        cannot="Whether this arc suits this golfer. Where the face points.",
        read="Say the first thing seen: touched, or a gap twice as wide; going back or through.",
        mistakes=(
            "The arc's middle not at the ball: the path points left or right.",
            "Leaning on the rail: the gap is never even, and nothing is learnt without it.",
        ),
        cautions=("A rail trips people: lift it when you leave the station.",),
        parts=(("curved_rail", 1),),
    )

    @property
    def _far_y_m(self) -> float:
        return self.head_m / 2 + self.gap_m

    def picture(self, units: Units = "metric") -> Scene:
        head, edge = self.head_m * 500, self._far_y_m * 1000
        shapes: tuple[Shape, ...] = (
            Curve(self.arc_mm(self._far_y_m), "path"),
            box(-12, -head, 12, head, "post"),
            Circle(12 + BALL_M * 500, 0, BALL_M * 500, "ball"),
            Tape(0, head, 0, edge, tape(self.gap_m, units), 2),
        )
        words = "A curved rail from above, beyond the toe; the hole at the right, the golfer's side at the top."
        wide = max(self.back_m, self.through_m, 0.3) * 1000
        return Scene(-wide, -160, wide, edge + 60, words, shapes)

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        head, edge = self.head_m * 500, self._far_y_m * 1000
        return (
            Curve(self.arc_mm(self._far_y_m), "path"),
            Tape(0, head, 0, edge, tape(self.gap_m, units), -1, "gap_m"),
        )

    def solids(self) -> tuple[Solid, ...]:
        ends = (min(y for _, y in self.arc_mm(self._far_y_m)) / 1000, self._far_y_m + 0.01)
        return (Solid("curved rail", -self.back_m, self.through_m, *ends, 0.02, of="back_m"),)
