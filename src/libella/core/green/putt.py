"""A putt to be played: what the coach chooses, and what follows from it."""

import math
from dataclasses import dataclass, replace
from typing import Final, Literal

from ..drawing.scene import Area, Circle, Label, Line, Scene, Shape
from ..measure.limits import OutOfLimits
from ..measure.units import Units, tape
from ..measure.window import Window
from ..opinions.held import Opinion
from .capture import DISTANCE, GREEN_SPEED, PAST, Capture, capture_offset, longest_past, speed_past
from .read import Read
from .roll import Ground
from .slope import FALLS, SLOPE_DOUBT
from .target import Aim, Arrival, PaceWindow, aim, arrival, drop_map, pace_window, started_at

STRAIGHT_M: Final = 0.010
"""A putt whose drift at the hole is under this counts as straight, m."""


Target = Literal["computed", "read"]
USUAL_PAST_M: Final = Opinion("usual_past", 0.35, "m", (0.1, 1.0))
"""Pace past the hole where nobody said another: an opinion."""


@dataclass(frozen=True, slots=True)
class Putt:
    """A putt: its length, the pace meant and the green under it.

    Parameters
    ----------
    distance_m : ball to the hole's centre, 0.3 to 15 m
    past_m : how far past the hole's centre it would run, 0 to 3 m and not beyond what the hole can take
    green_speed_ft : green speed, feet on the ramp, 4 to 16
    capture : which approximation of capture is in use
    falls_forward_percent, falls_right_percent : slope along the line to the hole (downhill positive) and across it
    falls_doubt_percent : standard error of the slope; 0 where it was not found out
    read : the coach's own read, if any
    target : what the putt is started at, and start errors are counted from: the computed aim point, or the read
    """

    distance_m: float
    past_m: float
    green_speed_ft: float
    capture: Capture = "rim_assisted"
    falls_forward_percent: float = 0.0
    falls_right_percent: float = 0.0
    falls_doubt_percent: float = 0.0
    read: Read | None = None
    target: Target = "computed"

    def __post_init__(self) -> None:
        DISTANCE.check("distance_m", "distance_m", self.distance_m)
        PAST.check("past_m", "past_m", self.past_m)
        GREEN_SPEED.check("green_speed_ft", "green_speed_ft", self.green_speed_ft)
        FALLS.check("falls_forward_percent", "falls_forward_percent", self.falls_forward_percent)
        FALLS.check("falls_right_percent", "falls_right_percent", self.falls_right_percent)
        SLOPE_DOUBT.check("falls_doubt_percent", "falls_doubt_percent", self.falls_doubt_percent)
        if self.target == "read" and self.read is None:
            raise OutOfLimits("read", "read_missing")
        longest = longest_past(self.green_speed_ft, self.capture)
        if self.past_m >= longest:
            facts = {"past_m": self.past_m, "longest_m": longest}
            raise OutOfLimits("past_m", f"pace_{self.capture}", "m", **facts)

    @property
    def capture_m(self) -> float:
        """Largest miss of the hole's centre that still drops, m either side."""
        return capture_offset(speed_past(self.past_m, self.green_speed_ft), self.capture)

    @property
    def is_level(self) -> bool:
        return self.falls_forward_percent == 0 and self.falls_right_percent == 0

    @property
    def _ground(self) -> Ground:
        return Ground(self.green_speed_ft, self.falls_forward_percent, self.falls_right_percent)

    @property
    def aim(self) -> Aim:
        """How to start it; raises `OutOfLimits` when no putt arrives at that pace."""
        return aim(self._ground, self.distance_m, self.past_m, self.capture)

    @property
    def start_deg(self) -> float:
        """The start line against the line from the ball to the hole's centre, right positive."""
        if self.target == "read" and self.read is not None:
            return self.read.start_deg(self.distance_m)
        return 0.0 if self.is_level else self.aim.start_deg

    @property
    def lines_deg(self) -> tuple[float, float] | None:
        """The read's start line and the computed one, against the line to the hole; None without a read."""
        if self.read is None:
            return None
        return self.read.start_deg(self.distance_m), 0.0 if self.is_level else self.aim.start_deg

    @property
    def started(self) -> Aim:
        """The putt as started at its target with the true putt's speed."""
        if self.target == "computed":
            return self.aim
        return started_at(self._ground, self.distance_m, self.past_m, self.capture, self.start_deg)

    @property
    def window(self) -> Window:
        """The window: asin(δmax / d) either side on the level, from the path on a slope."""
        if not self.is_level:
            return self.started.window
        half = math.degrees(math.asin(min(1.0, self.capture_m / self.distance_m)))
        return Window(half, half, -self.start_deg)

    def drift_m(self, along_m: float) -> float:
        """How far a putt truly started at its target has left the start line there, right positive, m."""
        return 0.0 if self.is_level else self.started.drift_m(along_m)

    def drift_doubt_m(self, along_m: float) -> float:
        """Standard uncertainty of that drift, from the slope's, m."""
        doubt = self.falls_doubt_percent
        if not doubt:
            return 0.0
        here = self.drift_m(along_m)
        # Near the steepest slope that can be putted one side, or both, may have no putt: then what a part of the doubt
        # does is taken for all of it.
        for part in (1.0, 0.5, 0.25, 0.1):
            off = [
                abs(it - here)
                for turn in (-part, part)
                if (it := self._drift_tilted(turn * doubt, along_m)) is not None
            ]
            if off:
                return sum(off) / len(off) / part
        return abs(here)

    def _drift_tilted(self, by_percent: float, along_m: float) -> float | None:
        """The drift where the ground falls so much more to the right; None where no putt holds there."""
        try:
            return replace(self, falls_right_percent=self.falls_right_percent + by_percent).drift_m(along_m)
        except OutOfLimits:
            return None

    @property
    def arrives(self) -> Arrival:
        """How it comes to the hole when truly started at its target, struck as hard as the true putt."""
        return arrival(self._ground, self.distance_m, self.capture, self.started.path)

    @property
    def paces(self) -> PaceWindow | None:
        """The paces that hole it on its start line; None where none does."""
        return pace_window(self._ground, self.distance_m, self.past_m, self.capture, self.start_deg)

    def drops(self, units: Units) -> Scene:
        """Which starts drop: start angle to the right, pace past the hole upwards; a picture, not to scale."""
        found = drop_map(self._ground, self.distance_m, self.capture, about=self.aim)
        wide = 300 / float(found.start_deg[-1] - found.start_deg[0])
        middle = self.aim.start_deg
        low: list[tuple[float, float]] = []
        high: list[tuple[float, float]] = []
        for column, past in enumerate(found.past_m):
            holed = found.start_deg[found.drops[:, column]]
            if holed.size:
                up = -100 * float(past)
                low.append((wide * (float(holed[0]) - middle), up))
                high.append((wide * (float(holed[-1]) - middle), up))
        shapes: list[Shape] = [Line(-150, 0, 150, 0, "ground"), Line(0, 0, 0, -150, "line")]
        if low:
            shapes.insert(0, Area((*low, *reversed(high)), "window"))
        shapes.append(Circle(0, -100 * self.past_m, 3, "hole"))
        for past in (0.5, 1.0, 1.5):
            shapes.append(Line(-150, -100 * past, -145, -100 * past, "mark"))
            shapes.append(Label(-142, -100 * past + 4, f"{tape(past, units)} past", "start"))
        for turn in (-100, 100):
            said = turn / wide
            side = "left" if turn < 0 else "right"
            shapes.append(Line(turn, 0, turn, 5, "mark"))
            shapes.append(Label(turn, 18, f"{abs(said):.1f}° {side}"))
        words = "Starts that drop: turned from the start line, left to right, by pace past the hole, upwards."
        return Scene(-160, -165, 160, 28, words, tuple(shapes))

    @property
    def curve_m(self) -> float:
        """How far a true putt ends from its start line at the hole, right positive, m."""
        return 0.0 if self.is_level else self.aim.drift_m(self.distance_m)

    @property
    def is_straight(self) -> bool:
        """True when the ball has left its start line by under 10 mm at the hole."""
        return abs(self.curve_m) < STRAIGHT_M
