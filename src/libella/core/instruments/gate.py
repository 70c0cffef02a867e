"""What gates share: two posts the ball must pass between."""

import math
from abc import abstractmethod
from dataclasses import dataclass, replace
from typing import Final, Self

from ..drawing.scene import Circle, Line, Scene, Shape, Tape
from ..green.putt import Putt
from ..measure.angle import angle_deg
from ..measure.constants import BALL_M
from ..measure.interval import Interval
from ..measure.units import Units, tape
from .aid import About, Raw, Solid, Zone, choice, dimension
from .rig import Remedy, Rig, Sight, passing_sight

_CROSSINGS = {
    "outside_left": "outside the left post",
    "touched_left": "touched the left post",
    "clean": "clean",
    "touched_right": "touched the right post",
    "outside_right": "outside the right post",
}
_EXACT_UNDER_M: Final = 0.3
"""Nearer than this the limit is that of the exact contact (handbook 3)."""
NARROWEST_M, WIDEST_M = 0.0437, 0.3
NEAREST_M, FARTHEST_M = 0.1, 3.0
AT_HINT = "From the ball's centre to the line through the posts' centres."


def clearance_limit_deg(inside_width_m: float, distance_m: float) -> float:
    """Largest start error that passes a gate clean: θc = atan(c/L), c = (W − ball)/2 (handbook 3)."""
    return angle_deg((inside_width_m - BALL_M) / 2, distance_m)


def contact_limit_deg(inside_width_m: float, distance_m: float, post_m: float) -> float:
    """The same by the exact contact with round posts: its path passes their centres at both radii (handbook 3)."""
    across, reach = (inside_width_m + post_m) / 2, (BALL_M + post_m) / 2
    return angle_deg(across, distance_m) - math.degrees(math.asin(reach / math.hypot(distance_m, across)))


def width_for_limit(limit_deg: float, distance_m: float) -> float:
    """Inside width, m, of a gate that lets ± `limit_deg` through clean: W = ball + 2·L·tan θc."""
    return BALL_M + 2 * distance_m * math.tan(math.radians(limit_deg))


def opening_remedies(
    name: str, inside_width_m: float, distance_m: float, spread_deg: float, putt: Putt
) -> tuple[Remedy, ...]:
    """What would make an opening as strict as the spread expected: another width, or another place."""
    remedies: list[Remedy] = []
    width = round(width_for_limit(spread_deg, distance_m), 3)
    if NARROWEST_M <= width <= WIDEST_M:
        remedies.append(Remedy(name, width, "gate_wide"))
    away = round((inside_width_m - BALL_M) / 2 / math.tan(math.radians(spread_deg)), 2)
    if NEAREST_M <= away <= min(FARTHEST_M, putt.distance_m - 0.1):
        remedies.append(Remedy("distance_m", away, "gate_at"))
    return tuple(remedies)


@dataclass(frozen=True)
class Gate(Rig):
    """First post touched decides, even when the ball then goes outside."""

    distance_m: float = dimension(
        "Ball to gate", low=NEAREST_M, high=FARTHEST_M, default=0.35, step=0.05,
        hint=AT_HINT,
    )  # fmt: skip
    inside_width_m: float = dimension(
        "Inside width", low=NARROWEST_M, high=WIDEST_M, default=0.06, step=0.001,
        hint="Between the inner faces; more than a ball.",
    )  # fmt: skip

    @property
    @abstractmethod
    def post_width_m(self) -> float:
        """Diameter of one post, m."""

    @property
    def station_m(self) -> float:
        return self.distance_m

    @property
    def limit_deg(self) -> float:
        if self.distance_m < _EXACT_UNDER_M:
            return contact_limit_deg(self.inside_width_m, self.distance_m, self.post_width_m)
        return clearance_limit_deg(self.inside_width_m, self.distance_m)

    @property
    def _outside_deg(self) -> float:
        """Start error from which the ball passes outside the post untouched."""
        clearance = (self.inside_width_m - BALL_M) / 2
        return angle_deg(clearance + BALL_M + self.post_width_m, self.distance_m)

    def interval(self, raw: Raw) -> Interval:
        inner, outer = self.limit_deg, self._outside_deg
        return {
            "outside_left": Interval(-math.inf, -outer),
            "touched_left": Interval(-outer, -inner),
            "clean": Interval(-inner, inner),
            "touched_right": Interval(inner, outer),
            "outside_right": Interval(outer, math.inf),
        }[choice(raw, "crossing", tuple(_CROSSINGS))]

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        edges = self._zone_edges_mm()
        return tuple(
            Zone(said, {"crossing": name}, self.interval({"crossing": name}), str(n + 1), (edges[n], edges[n + 1]))
            for n, (name, said) in enumerate(_CROSSINGS.items())
        )

    def _zone_edges_mm(self) -> tuple[float, ...]:
        # A finger needs room on a thin peg: its zone takes a fifth of the gap and as much again outside.
        half = self.inside_width_m * 500
        post = self.post_width_m * 1000
        inner = half * 0.66
        outer = half + max(post, half * 0.4) + half * 0.1
        return (-outer - half * 0.9, -outer, -inner, inner, outer, outer + half * 0.9)

    def words(self, raw: Raw, units: Units = "metric") -> str:
        return _CROSSINGS[str(raw["crossing"])]

    def sight(self, putt: Putt, spread_deg: float, units: Units = "metric") -> Sight:
        return passing_sight(self.limit_deg, spread_deg, putt, lambda: self._remedies(spread_deg, putt))

    def tuned(self, limit_deg: float) -> Self:
        return replace(self, inside_width_m=round(width_for_limit(limit_deg, self.distance_m), 4))

    def _remedies(self, spread_deg: float, putt: Putt) -> tuple[Remedy, ...]:
        return opening_remedies("inside_width_m", self.inside_width_m, self.distance_m, spread_deg, putt)

    def picture(self, units: Units = "metric") -> Scene:
        edges = self._zone_edges_mm()
        half = self.inside_width_m * 500
        post = self.post_width_m * 1000
        ball = BALL_M * 1000
        tall = max(ball * 1.5, half)
        shapes: list[Shape] = [Line(edges[0], 0, edges[-1], 0, "ground"), Line(0, -tall, 0, 0, "line")]
        shapes += [self._post_shape(side * (half + post / 2), tall) for side in (-1, 1)]
        shapes.append(Circle(0, -ball / 2, ball / 2, "ghost"))
        width = tape(self.inside_width_m, units)
        shapes.append(Tape(-half, 0, half, 0, width, 1))
        return Scene(
            edges[0],
            # Room above the posts for what each zone says.
            -tall * 1.36,
            edges[-1],
            tall * 0.5,
            f"{self.about.name} seen from behind the ball, {width} inside.",
            tuple(shapes),
        )

    @abstractmethod
    def _post_shape(self, x: float, tall: float) -> Shape:
        """One post as seen from behind the ball, mm."""

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        x = self.distance_m * 1000
        half = self.inside_width_m * 500
        post = self.post_width_m * 1000
        return (
            *(Circle(x, side * (half + post / 2), post / 2, "post") for side in (-1, 1)),
            Tape(0, 0, x, 0, tape(self.distance_m, units), 1, "distance_m"),
            Tape(x, -half, x, half, tape(self.inside_width_m, units), 1, "inside_width_m", 2),
        )

    def solids(self) -> tuple[Solid, ...]:
        x, half, post = self.distance_m, self.inside_width_m / 2, self.post_width_m
        return tuple(
            Solid(f"{side} post", x - post / 2, x + post / 2, near, near + post, self._post_tall_m, of="distance_m")
            for side, near in (("left", -half - post), ("right", half))
        )

    @property
    def _post_tall_m(self) -> float:
        return 0.06


MISTAKES = (
    "One post moved shifts the gate's centre by half as much and one limit by all of it.",
    "Posts lower than the ball's centre are touched later than the sum says.",
    "Set on the line by eye from above the ball instead of from behind.",
)


def gate_about(
    kind: str,
    name: str,
    said: str,
    read: str,
    caution: str,
    parts: tuple[tuple[str, int], ...],
    mistakes: tuple[str, ...] = MISTAKES,
) -> About:
    """What is told of a gate; only what its posts are differs."""
    return About(
        kind=kind,
        name=name,
        said=said,
        measures="start",
        entry="tap",
        guides=True,
        strict=True,
        tells="Which side the ball starts, and whether it starts within the gate's angle.",
        cannot=(
            "How far off a putt was beyond the post, and why. "
            "A gate in view also guides: it measures the guided golfer."
        ),
        read=read,
        mistakes=mistakes,
        cautions=(caution,),
        parts=parts,
    )
