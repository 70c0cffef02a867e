"""A string stretched over the line between two stakes: what it covers tells where the sighting eye is."""

import math
from dataclasses import dataclass, replace
from typing import ClassVar, Self

from ..drawing.scene import Circle, Line, Scene, Shape, Tape, box
from ..green.putt import Putt
from ..measure.constants import BALL_M
from ..measure.interval import Interval
from ..measure.units import Units, tape
from .aid import About, Aid, Raw, Solid, Zone, choice, dimension
from .string_sight import TOUCHED, StringSight, eyes_from_cover

_R = BALL_M / 2
_STAKE_M = 0.01
# Where the string lies over the ball, in ball radii away from the golfer, and what is said of it.
_COVERS = {
    "off_near": (-math.inf, -1.0, "off the ball, on the golfer's side"),
    "near_edge": (-1.0, -0.75, "near edge of the ball"),
    "near_quarter": (-0.75, -0.25, "near quarter of the ball"),
    "middle": (-0.25, 0.25, "middle of the ball"),
    "far_quarter": (0.25, 0.75, "far quarter of the ball"),
    "far_edge": (0.75, 1.0, "far edge of the ball"),
    "off_far": (1.0, math.inf, "off the ball, on the far side"),
}
_DRAWN = (-2.0, -1.25, -0.75, -0.25, 0.25, 0.75, 1.25, 2.0)


@dataclass(frozen=True)
class ElevatedString(Aid):
    """A string hung s inside the line at height h, covering m outside it at the height of the ball's centre r, is seen
    by an eye e = s + (m + s)·(H − h)/(h − r) inside (handbook 3, the reverse). It tells the side well, the size poorly.
    """

    string_height_m: float = dimension(
        "String height", low=0.05, high=0.6, default=0.2, step=0.01, hint="Over the ground, at the ball."
    )
    behind_m: float = dimension(
        "Near stake behind the ball", low=0.1, high=2.0, default=0.7, step=0.05, hint="Clear of the backstroke."
    )
    length_m: float = dimension(
        "Between the stakes", low=0.5, high=14.0, default=3.6, step=0.1, hint="The far one beyond the hole."
    )
    lean_deg: float = dimension(
        "Stakes lean to the golfer", low=-20.0, high=20.0, default=0.0, step=0.1, unit="deg",
        hint="Planted on the line; upright is 0, away from the golfer −.",
    )  # fmt: skip
    eye_height_m: float = dimension(
        "Eye height", low=0.8, high=2.0, default=1.5, step=0.01, hint="Of the sighting eye, over the ground."
    )

    touched: ClassVar = TOUCHED
    over_head: ClassVar = True
    about: ClassVar[About] = About(
        kind="elevated_string",
        name="String over the line",
        said="string over the line",
        measures="eyes",
        entry="tap",
        guides=True,
        tells="On which side of the line the sighting eye is; and it shows the whole line, stroke included.",
        cannot="The eye's place to better than some centimetres. Set for one golfer's eyes, it is wrong for another's.",
        read="The golfer looks down with the sighting eye alone and says which part of the ball the string covers.",
        mistakes=(
            "Upright stakes with the eyes inside teach a wrong picture: lean them for these eyes.",
            "Both eyes open: two strings are seen.",
            "Slack: it hangs lower at the middle than at the stakes.",
        ),
        cautions=(
            "Strings and stakes trip people: flag them, and take them up when you leave.",
            "Guard the stakes' tips: the golfer bends over them.",
        ),
        parts=(("string", 1), ("stake", 2)),
    )

    def check(self) -> None:
        StringSight(0.0, self.eye_height_m, self.string_height_m)

    def for_putt(self, putt: Putt, spread_deg: float) -> Self:
        return replace(self, length_m=round(self.behind_m + putt.distance_m + 0.3, 2))

    @property
    def hangs_inside_m(self) -> float:
        """How far inside the line the string hangs, m."""
        return self.string_height_m * math.tan(math.radians(self.lean_deg))

    @property
    def line_end_m(self) -> float:
        return self.length_m - self.behind_m

    @property
    def has_heights(self) -> bool:
        return True

    def _eyes_mm(self, radii: float) -> float:
        if math.isinf(radii):
            return radii
        hung = self.hangs_inside_m
        # As an upright string would be read, had the line lain under it.
        seen = eyes_from_cover(radii * _R + hung, _R, self.eye_height_m, self.string_height_m)
        return (hung + seen) * 1000

    def interval(self, raw: Raw) -> Interval:
        low, high, _ = _COVERS[choice(raw, "covers", tuple(_COVERS))]
        return Interval(self._eyes_mm(low), self._eyes_mm(high))

    def words(self, raw: Raw, units: Units = "metric") -> str:
        return _COVERS[str(raw["covers"])][2]

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        edges = [it * BALL_M * 500 for it in _DRAWN]
        return tuple(
            Zone(said, {"covers": name}, self.interval({"covers": name}), str(n + 1), (edges[n], edges[n + 1]))
            for n, (name, (_, _, said)) in enumerate(_COVERS.items())
        )

    def picture(self, units: Units = "metric") -> Scene:
        r = BALL_M * 500
        shapes: list[Shape] = [Line(_DRAWN[0] * r, 0, _DRAWN[-1] * r, 0, "ground")]
        shapes += [Circle(0, -r, r, "ball"), *(Line(at * r, -2.6 * r, at * r, 0, "mark") for at in (-0.5, 0.0, 0.5))]
        words = "The ball from above, the golfer's side at the left: tap where the string lies over it."
        return Scene(_DRAWN[0] * r, -3.6 * r, _DRAWN[-1] * r, r * 0.4, words, tuple(shapes))

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        near, far, y = -self.behind_m * 1000, self.line_end_m * 1000, -self.hangs_inside_m * 1000
        return (
            Line(near, y, far, y, "limit"),
            *(Circle(at, 0, _STAKE_M * 500, "post") for at in (near, far)),
            Tape(near, 0, 0, 0, tape(self.behind_m, units), -1),
            Tape(near, 0, far, 0, tape(self.length_m, units), -2, "length_m"),
        )

    def from_side(self, units: Units = "metric") -> tuple[Shape, ...]:
        near, far, h = -self.behind_m * 1000, self.line_end_m * 1000, self.string_height_m * 1000
        stake = _STAKE_M * 500
        return (
            *(box(at - stake, -h, at + stake, 0, "post") for at in (near, far)),
            Line(near, -h, far, -h, "limit"),
            Tape(far, 0, far, -h, tape(self.string_height_m, units), -1, "string_height_m"),
        )

    def solids(self) -> tuple[Solid, ...]:
        h, y, half = self.string_height_m, -self.hangs_inside_m, _STAKE_M / 2
        near, far = -self.behind_m, self.line_end_m
        return (
            Solid("near stake", near - half, near + half, -half, half, h, of="behind_m"),
            Solid("far stake", far - half, far + half, -half, half, h, of="length_m"),
            Solid("string", near, far, y - 0.001, y + 0.001, h + 0.001, h - 0.001, of="string_height_m", place="hung"),
        )
