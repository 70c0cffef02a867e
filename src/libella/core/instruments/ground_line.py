"""What lines on the ground share, by laser, chalk or string: they are seen against the rolling ball."""

import math
from dataclasses import dataclass, replace
from typing import Self

from ..drawing.scene import Circle, Label, Line, Scene, Shape, Tape
from ..green.putt import Putt
from ..measure.angle import angle_deg
from ..measure.constants import BALL_M
from ..measure.interval import Interval
from ..measure.limits import OutOfLimits
from ..measure.units import Units, tape
from .aid import About, Raw, Zone, choice, dimension
from .rig import Remedy, Rig, Sight

# Where the ball's centre is against the line, in ball radii, and what the coach then sees: where the line lies on it
# (handbook 3). What that means for the start hangs on the ground: on a break a true ball is not under the line.
_PLACES: dict[str, tuple[float, float, str]] = {
    "off_right": (-math.inf, -1.0, "line off the ball, on its right"),
    "right_edge": (-1.0, -0.75, "line on its right edge"),
    "right_quarter": (-0.75, -0.25, "line on its right quarter"),
    "centre": (-0.25, 0.25, "line on its middle"),
    "left_quarter": (0.25, 0.75, "line on its left quarter"),
    "left_edge": (0.75, 1.0, "line on its left edge"),
    "off_left": (1.0, math.inf, "line off the ball, on its left"),
}
_COARSE_SHARE = 1 / 3
_NEAREST_M, _FARTHEST_M = 0.2, 5.0
_DRAWN = (-2.0, -1.25, -0.75, -0.25, 0.25, 0.75, 1.25, 2.0)
_READ = (
    "Watch from behind where the line lies on the ball as it passes the mark, and tap that: on its right quarter, the "
    "ball was left of the line by half its radius."
)
_TELLS = "Which side the ball started, and by how much of a ball, on any line you can lay."
_CANNOT = (
    "Beyond one ball radius, anything but the side. On a breaking putt, what comes after the ball leaves the line."
)
_MISTAKES = (
    "Watched further out than the putt is straight: the break is read as a start error.",
    "The eye not over the line: the line lies on the ball elsewhere than it seems.",
    "The ball not put back on its spot.",
)


@dataclass(frozen=True)
class GroundLine(Rig):
    """The ball's centre is at y = −u·r, u the line's place on the ball in radii, when it has rolled L."""

    distance_m: float = dimension(
        "Length watched", low=_NEAREST_M, high=_FARTHEST_M, default=0.5, step=0.05,
        hint="From the ball's centre to where you watch it; mark it.",
    )  # fmt: skip

    line_m: float = dimension(
        "Line laid", low=0.3, high=15.0, default=3.0, step=0.1,
        hint="From the ball's centre to the line's far end.",
    )  # fmt: skip

    def check(self) -> None:
        if self.distance_m > self.line_m:
            raise OutOfLimits("distance_m", "beyond_line", "m", line_m=self.line_m)

    @property
    def station_m(self) -> float:
        return self.distance_m

    @property
    def line_end_m(self) -> float:
        return self.line_m

    def for_putt(self, putt: Putt, spread_deg: float) -> Self:
        return replace(super().for_putt(putt, spread_deg), line_m=round(putt.distance_m, 2))

    def _angle(self, radii: float) -> float:
        return radii if math.isinf(radii) else angle_deg(radii * BALL_M / 2, self.distance_m)

    def interval(self, raw: Raw) -> Interval:
        low, high, _ = _PLACES[choice(raw, "line_on", tuple(_PLACES))]
        return Interval(self._angle(low), self._angle(high))

    def words(self, raw: Raw, units: Units = "metric") -> str:
        return _PLACES[str(raw["line_on"])][2]

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        edges = [it * BALL_M * 500 for it in _DRAWN]
        return tuple(
            Zone(said, {"line_on": name}, self.interval({"line_on": name}), str(n + 1), (edges[n], edges[n + 1]))
            for n, (name, (_, _, said)) in enumerate(_PLACES.items())
        )

    def sight(self, putt: Putt, spread_deg: float, units: Units = "metric") -> Sight:
        half = self._angle(0.25)
        window = putt.window.narrow_deg
        seen = Sight("line", half, window, "good", reach_deg=self._angle(1.0))
        coarse, short = seen.share > _COARSE_SHARE, self._angle(1.0) < spread_deg
        before = before_the_break_m(putt)
        beyond = before is not None and self.distance_m > before
        if not coarse and not short:
            there = _watched_best(putt, spread_deg) if beyond else None
            return replace(seen, remedies=_watch_at(there)) if there and there < self.distance_m else seen
        # One place must answer both objections: advice that answers one and raises the other runs in a circle.
        there = _watched_best(putt, spread_deg)
        if there is None:
            return replace(seen, fit="cannot")
        return replace(seen, fit="coarse" if coarse else "short", remedies=_watch_at(there))

    def picture(self, units: Units = "metric") -> Scene:
        r = BALL_M * 500
        tall = 3.4 * r
        shapes: list[Shape] = [Line(_DRAWN[0] * r, 0, _DRAWN[-1] * r, 0, "ground")]
        shapes += [Circle(middle * r, -r, r, "ghost") for middle in (-1.6, 1.6)]
        shapes += [Circle(0, -r, r, "ball"), Line(0, -tall * 0.75, 0, 0, "limit")]
        words = f"{self.about.name} from behind: the line stands still, the ball passes left or right of it."
        return Scene(_DRAWN[0] * r, -tall, _DRAWN[-1] * r, r * 0.4, words, tuple(shapes))

    def with_true_ball(self, scene: Scene, drift_m: float) -> Scene:
        r = BALL_M * 500
        at = drift_m * 1000
        words = f"{scene.words} The ring is the ball of a true putt as it passes here."
        return replace(
            scene, words=words, shapes=(*scene.shapes, Circle(at, -r, r, "ring"), Label(at, -2.15 * r, "a true putt"))
        )

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        x = self.distance_m * 1000
        return (
            Line(0, 0, self.line_m * 1000, 0, "limit"),
            Line(x, -60, x, 60, "mark"),
            Tape(0, 0, x, 0, tape(self.distance_m, units), 1, "distance_m"),
        )


def line_about(
    kind: str, name: str, said: str, mistake: str, cautions: tuple[str, ...], part: str, *, laser: bool = False
) -> About:
    """What is told of a line on the ground; only what it is made of differs."""
    return About(
        kind=kind,
        name=name,
        said=said,
        measures="start",
        entry="tap",
        guides=True,
        tells=_TELLS,
        cannot=_CANNOT,
        read=_READ,
        mistakes=(mistake, *_MISTAKES),
        cautions=cautions,
        laser=laser,
        parts=((part, 1),),
    )


def _watched_best(putt: Putt, spread_deg: float) -> float | None:
    """How far out a line is fine enough for the window while the ball still meets it; None where it nowhere is."""
    r, third = BALL_M / 2, math.tan(math.radians(putt.window.narrow_deg * _COARSE_SHARE))
    nearest = max(_NEAREST_M, 0.25 * r / third)
    farthest = min(_FARTHEST_M, putt.distance_m - 0.1, r / math.tan(math.radians(spread_deg)))
    before = before_the_break_m(putt)
    # Before the break where that is far enough out; else the drift is taken off what is read.
    for far in (farthest if before is None else min(farthest, before), farthest):
        for step in (0.05, 0.01):
            there = math.ceil(nearest / step - 1e-9) * step
            if there <= far:
                return there
    return None


def before_the_break_m(putt: Putt) -> float | None:
    """How far a true putt rolls until the line no longer lies on the ball's middle; None where it always does."""
    return None if putt.is_level else putt.started.leaves_at_m(0.25 * BALL_M / 2)


def _watch_at(away_m: float) -> tuple[Remedy, ...]:
    return (Remedy("distance_m", round(away_m, 2), "watch_at"),)
