"""Instruments that are judged against what the hole allows: how finely they see, and what would see better."""

import math
from abc import abstractmethod
from collections.abc import Callable
from dataclasses import dataclass, replace
from typing import ClassVar, Literal, Self

from ..drawing.scene import Scene
from ..green.putt import Putt
from ..measure.constants import HOLE_M
from ..measure.limits import OutOfLimits
from ..measure.units import Units
from .aid import Aid, Zone

STRICT, LOOSE = 0.5, 1.5
"""A gate tells most when its limit is between these times the spread expected (handbook 3)."""
_LEAST_ROOM_M = 0.05


Change = Literal["gate_wide", "gate_at", "rail_long", "rail_wide", "watch_at", "ruler_wide", "read_to", "board_at"]
"""What would be changed: said by `words.set.sight`."""
Way = Literal["passes", "marks", "line", "device", "nothing"]
"""How a rig sees: whether a putt passes, by marks, by where the line lies on the ball, by a device's own figure; or
nothing at all."""
Event = Literal["putt", "set_down"]


@dataclass(frozen=True, slots=True)
class Remedy:
    """A change of one dimension that would answer an objection."""

    name: str
    value: float
    change: Change


Fit = Literal["good", "coarse", "short", "strict", "loose", "unsure", "cannot"]
"""`cannot`: however it is laid, this rig can't tell enough on this putt."""


@dataclass(frozen=True, slots=True)
class Sight:
    """What a rig can see against the window, and whether that will do.

    `narrowest_deg`: half-width of the reading nearest the line. `share`: that over the narrower side of the window,
    `window_deg`. `reach_deg`: how far out it reads, where that ends. `clean`: how often a golfer without a bias passes,
    where it only tells that. `event`: what is read each time. `shared_deg`: how well its own aim is known, where that
    is too little ("unsure"), `proved`: though its line is proved.
    """

    way: Way
    narrowest_deg: float
    window_deg: float
    fit: Fit
    remedies: tuple[Remedy, ...] = ()
    reach_deg: float = 0.0
    clean: float = 0.0
    event: Event = "putt"
    shared_deg: float = 0.0
    proved: bool = False

    @property
    def share(self) -> float:
        return self.narrowest_deg / self.window_deg


@dataclass(frozen=True)
class Rig(Aid):
    """An instrument that gives an angle against the line, at a distance from the ball."""

    reads_start: ClassVar[bool] = True
    """False where nothing is laid that watches the start."""

    @property
    @abstractmethod
    def station_m(self) -> float:
        """Distance of the rig from the ball's start centre along the line, m."""

    @property
    def noise_deg(self) -> float:
        """Standard uncertainty of one reading beyond its interval, degrees: a device states one, a ruler none."""
        return 0.0

    @abstractmethod
    def sight(self, putt: Putt, spread_deg: float, units: Units = "metric") -> Sight:
        """What this rig can see, against the putt's window and the spread expected of the golfer (degrees)."""

    def with_true_ball(self, scene: Scene, drift_m: float) -> Scene:
        """Its picture with the ball as a true putt passes here, so far right of the line; itself where it can't show
        that."""
        return scene

    def tuned(self, limit_deg: float) -> Self:
        """The same rig laid where it is, as strict as wanted: one that lets ± `limit_deg` through and no more.

        `OutOfLimits` where no width does that, or where the instrument is read on a scale and has no strictness.
        """
        raise OutOfLimits("limit_deg", "no_strictness", "deg", name=self.about.name)

    def for_putt(self, putt: Putt, spread_deg: float) -> Self:
        rig = self._within(putt)
        if self.about.strict:
            try:
                return rig.tuned(spread_deg)
            except OutOfLimits:
                pass
        # What the rig itself says would do, until it says that it will.
        for _ in range(3):
            remedies = rig.sight(putt, spread_deg).remedies
            if not remedies:
                break
            try:
                rig = replace(rig, **{remedies[0].name: remedies[0].value})
            except OutOfLimits:
                break
        return rig

    def _within(self, putt: Putt) -> Self:
        """The same rig, moved to the ball where it would stand beyond the hole."""
        room = putt.distance_m - HOLE_M / 2 - _LEAST_ROOM_M
        if self.station_m <= room:
            return self
        place = next((it for it in self.dimensions() if it.name in ("distance_m", "length_m")), None)
        return replace(self, **{place.name: max(place.low, round(room, 2))}) if place else self

    def observe(self, value: float) -> Zone:
        """The reading this rig would give of that angle, degrees."""
        for zone in self.zones():
            if value <= zone.interval.high:
                return zone
        raise AssertionError("the zones of a rig cover every angle")


def passing_sight(limit_deg: float, spread_deg: float, putt: Putt, remedies: Callable[[], tuple[Remedy, ...]]) -> Sight:
    """What a rig sees that only tells whether a putt passed within ± `limit_deg`.

    Handbook 3: useful when the limit is 0.5 to 1.5 times the spread expected; else `remedies` are offered.
    """
    window = putt.window.narrow_deg
    clean = math.erf(limit_deg / spread_deg / math.sqrt(2))
    ratio = limit_deg / spread_deg
    if STRICT <= ratio <= LOOSE:
        return Sight("passes", limit_deg, window, "good", clean=clean)
    return Sight("passes", limit_deg, window, "loose" if ratio > LOOSE else "strict", remedies(), clean=clean)
