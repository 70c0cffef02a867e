"""Narrow rail: a raised rail on which only a putt on line stays."""

import math
from dataclasses import dataclass, replace
from typing import ClassVar, Self

from ..drawing.scene import Circle, Line, Scene, Shape, Tape, box
from ..green.putt import Putt
from ..measure.angle import angle_deg
from ..measure.constants import BALL_M
from ..measure.interval import Interval
from ..measure.units import Units, tape
from .aid import About, Raw, Solid, Zone, choice, dimension
from .rig import Remedy, Rig, Sight, passing_sight

# Where it fell, as thirds of the rail that it had rolled before: (side, nearest, farthest).
_FALLS: dict[str, tuple[int, float, float, str]] = {
    "left_first": (-1, 0.0, 1 / 3, "fell left in the first third"),
    "left_second": (-1, 1 / 3, 2 / 3, "fell left in the second third"),
    "left_last": (-1, 2 / 3, 1.0, "fell left in the last third"),
    "stayed": (0, 1.0, 1.0, "stayed on"),
    "right_last": (1, 2 / 3, 1.0, "fell right in the last third"),
    "right_second": (1, 1 / 3, 2 / 3, "fell right in the second third"),
    "right_first": (1, 0.0, 1 / 3, "fell right in the first third"),
}


@dataclass(frozen=True)
class NarrowRail(Rig):
    """Stayed on: |θ| ≤ atan((w/2)/ℓ). Fell s along it: |θ| = atan((w/2)/s), so a third of the rail is an interval."""

    width_m: float = dimension(
        "Rail width", low=0.004, high=0.04, default=0.02, step=0.001, hint="Of the top that the ball rolls on."
    )
    length_m: float = dimension(
        "Rail length", low=0.2, high=3.0, default=0.6, step=0.05, hint="From the ball's centre."
    )

    about: ClassVar[About] = About(
        kind="narrow_rail",
        name="Narrow rail",
        said="narrow rail",
        measures="start",
        entry="tap",
        guides=True,
        strict=True,
        tells="Whether the putt was on line, and where it fell off: the sooner, the further off line.",
        cannot="How far off a putt was that stayed on. A rail in view also guides: it measures the guided golfer.",
        read="Watch on which side, and in which third of its length, the ball leaves the rail.",
        mistakes=(
            "The ball not on the middle of the rail at the start.",
            "The rail tilted sideways: every ball falls to the low side.",
            "Turned on the line: its far end off by as much as it is wide.",
        ),
        cautions=("A rail trips people: lift it when you leave the station.",),
        parts=(("narrow_rail", 1),),
    )

    @property
    def station_m(self) -> float:
        return self.length_m

    def _limit(self, share: float) -> float:
        return angle_deg(self.width_m / 2, self.length_m * share) if share else math.inf

    def interval(self, raw: Raw) -> Interval:
        side, near, far, _ = _FALLS[choice(raw, "rail", tuple(_FALLS))]
        if side == 0:
            return Interval(-self._limit(1.0), self._limit(1.0))
        low, high = self._limit(far), self._limit(near)
        return Interval(low, high) if side > 0 else Interval(-high, -low)

    def words(self, raw: Raw, units: Units = "metric") -> str:
        return _FALLS[str(raw["rail"])][3]

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        wide = BALL_M * 1000
        return tuple(
            Zone(said, {"rail": name}, self.interval({"rail": name}), str(n + 1), ((n - 3.5) * wide, (n - 2.5) * wide))
            for n, (name, (_, _, _, said)) in enumerate(_FALLS.items())
        )

    def sight(self, putt: Putt, spread_deg: float, units: Units = "metric") -> Sight:
        return passing_sight(self._limit(1.0), spread_deg, putt, lambda: self._remedies(spread_deg, putt))

    def tuned(self, limit_deg: float) -> Self:
        return replace(self, width_m=round(2 * self.length_m * math.tan(math.radians(limit_deg)), 4))

    def _remedies(self, spread_deg: float, putt: Putt) -> tuple[Remedy, ...]:
        long = round(self.width_m / 2 / math.tan(math.radians(spread_deg)), 2)
        wide = round(2 * self.length_m * math.tan(math.radians(spread_deg)), 3)
        remedies: list[Remedy] = []
        if 0.2 <= long <= min(3.0, putt.distance_m - 0.1):
            remedies.append(Remedy("length_m", long, "rail_long"))
        if 0.004 <= wide <= 0.04:
            remedies.append(Remedy("width_m", wide, "rail_wide"))
        return tuple(remedies)

    def picture(self, units: Units = "metric") -> Scene:
        ball = BALL_M * 1000
        half = self.width_m * 500
        tall = ball * 0.6
        shapes: list[Shape] = [
            Line(-3.5 * ball, 0, 3.5 * ball, 0, "ground"),
            box(-half, -tall, half, 0, "post"),
            Circle(0, -tall - ball / 2, ball / 2, "ball"),
        ]
        for n, lift in enumerate((0.0, 0.5, 1.0)):
            shapes += [Circle(side * (3 - n) * ball, -ball / 2 - lift * tall, ball / 2, "ghost") for side in (-1, 1)]
        shapes.append(Tape(-half, 0, half, 0, tape(self.width_m, units), 1))
        words = f"Narrow rail from behind, {tape(self.width_m, units)} wide; the sooner it falls, the further out."
        return Scene(-3.5 * ball, -3.1 * ball, 3.5 * ball, ball * 0.9, words, tuple(shapes))

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        x = self.length_m * 1000
        half = self.width_m * 500
        return (
            box(0, -half, x, half, "board"),
            Tape(0, 0, x, 0, tape(self.length_m, units), 1, "length_m"),
            Tape(x, -half, x, half, tape(self.width_m, units), 1, "width_m", 2),
        )

    def solids(self) -> tuple[Solid, ...]:
        # The ball starts on the rail, which begins beside the putter and not under it.
        return (
            Solid(
                "rail",
                0.0,
                self.length_m,
                -self.width_m / 2,
                self.width_m / 2,
                0.006,
                of="length_m",
                place="under_the_ball",
            ),
        )
