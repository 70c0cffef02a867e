"""A printed path under the stroke: the head goes along its lane, and nothing stands beside it."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Circle, Curve, Scene, Shape, Tape, box
from ..measure.constants import BALL_M
from ..measure.units import Units, tape
from .aid import About, dimension
from .arc import Arc


@dataclass(frozen=True)
class PathTemplate(Arc):
    """Seen over the inner or the outer edge of the lane: the head left it by the gap or more."""

    gap_m: float = dimension(
        "Lane beyond the head", low=0.002, high=0.04, default=0.008, step=0.001, hint="At the heel and at the toe."
    )
    back_m: float = dimension(
        "Path behind the ball", low=0.05, high=0.8, default=0.35, step=0.05, hint="From the ball's centre."
    )
    through_m: float = dimension(
        "Path beyond the ball", low=0.05, high=0.8, default=0.35, step=0.05, hint="From the ball's centre."
    )

    _seen: ClassVar = {
        "outside_back": (-1, "back", "over the outer edge, going back"),
        "inside_back": (1, "back", "over the inner edge, going back"),
        "clean": (0, "", "in the lane"),
        "outside_through": (-1, "through", "over the outer edge, going through"),
        "inside_through": (1, "through", "over the inner edge, going through"),
    }

    about: ClassVar[About] = About(
        kind="path_template",
        name="Printed path",
        said="printed path",
        measures="path",
        entry="tap",
        guides=True,
        tells="Where in the stroke the head leaves the path that is printed, and to which side; nothing is touched.",
        cannot="Less than the eye sees from above. Where the face points. Whether this path suits this golfer.",
        read="Watch from behind and above: over which edge the head goes first, going back or through.",
        mistakes=(
            "Turned on the line: the path it teaches points elsewhere.",
            "Printed smaller than life: hold a tape to its scale.",
            "Its middle not at the ball.",
        ),
        cautions=("Paper slips underfoot: tape it down, and nobody stands on it.",),
        parts=(("path_template", 1),),
    )

    @property
    def lane_m(self) -> float:
        """Width of the lane, m: the head and the gap at either end of it."""
        return 2 * self._far_y_m

    @property
    def _far_y_m(self) -> float:
        return self.head_m / 2 + self.gap_m

    def _lane(self) -> tuple[Shape, ...]:
        edges = (self._far_y_m, -self._far_y_m)
        return (*(Curve(self.arc_mm(at), "path") for at in edges), Curve(self.arc_mm(0.0), "limit"))

    def picture(self, units: Units = "metric") -> Scene:
        head, edge = self.head_m * 500, self._far_y_m * 1000
        shapes: tuple[Shape, ...] = (
            *self._lane(),
            box(-12, -head, 12, head, "post"),
            Circle(12 + BALL_M * 500, 0, BALL_M * 500, "ball"),
            Tape(0, head, 0, edge, tape(self.gap_m, units), 2),
        )
        words = "A printed path from above, its lane as wide as the head and the gap; the golfer's side at the top."
        wide = max(self.back_m, self.through_m, 0.3) * 1000
        inner = min(y for _, y in self.arc_mm(-self._far_y_m))
        return Scene(-wide, min(inner, -160) - 20, wide, edge + 60, words, shapes)

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        edge = self._far_y_m * 1000
        return (*self._lane(), Tape(0, -edge, 0, edge, tape(self.lane_m, units), -1, "gap_m"))
