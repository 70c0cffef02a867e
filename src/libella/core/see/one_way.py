"""The eyes as a mirror on the ground or a plumb line shows them, and a look that tells them one way alone."""

import math
from dataclasses import dataclass
from typing import Final, Literal

from ..measure.interval import Interval
from ..measure.limits import Bounds, OutOfLimits

Way = Literal["mirror", "plumb"]
Told = Literal["inside", "over", "outside", "behind", "level", "ahead"]
"""Where the middle of both eyes is told to be: against the line, or against the ball's centre."""
SIZED: Final[tuple[Told, ...]] = ("inside", "outside", "behind", "ahead")
"""What has a size; over the line and level with the ball have none."""
HEIGHT: Final = Bounds(0.8, 2.0, "m")
FALLS: Final = Bounds(-10.0, 10.0, "%")
LEVEL_DOUBT: Final = Bounds(0.0, 2.0, "%")
SEEN: Final = Bounds(0.001, 0.02, "m")
AWAY: Final = Bounds(0.0, 0.3, "m")


@dataclass(frozen=True, slots=True, kw_only=True)
class Shown:
    """What a look by mirror or plumb is read with. A mirror that falls p % shows an eye H above it H·p/100 too far
    uphill (handbook 3).

    Parameters
    ----------
    way : by a mirror on the ground, which needs its level; or by plumb, which is direct
    eye_height_m : of the eyes over the mirror, straight down
    falls_in_percent, falls_back_percent : the mirror's level, falling to the golfer and away from the hole positive
    level_doubt_percent : how finely the level was read, one standard deviation
    seen_m : the spacing that is really read to
    mirror_zero_m, mirror_doubt_m : how far inside and behind the mirror by itself shows an eye, as a check of it found,
        and what is not known of that
    """

    way: Way = "mirror"
    eye_height_m: float = 1.45
    falls_in_percent: float = 0.0
    falls_back_percent: float = 0.0
    level_doubt_percent: float = 0.1
    seen_m: float = 0.005
    mirror_zero_m: tuple[float, float] = (0.0, 0.0)
    mirror_doubt_m: float = 0.0

    def check(self) -> None:
        """Raises `OutOfLimits`."""
        HEIGHT.check("eye_height_m", "eye_height_m", self.eye_height_m)
        FALLS.check("falls_in_percent", "mirror_falls_in", self.falls_in_percent)
        FALLS.check("falls_back_percent", "mirror_falls_back", self.falls_back_percent)
        LEVEL_DOUBT.check("level_doubt_percent", "mirror_level_doubt", self.level_doubt_percent)
        SEEN.check("seen_m", "eye_seen_m", self.seen_m)

    @property
    def level_shift_m(self) -> tuple[float, float]:
        """How much further inside and behind an eye is than it shows itself."""
        if self.way == "plumb":
            return 0.0, 0.0
        own_in, own_back = self.mirror_zero_m
        return (
            self.eye_height_m * self.falls_in_percent / 100 - own_in,
            self.eye_height_m * self.falls_back_percent / 100 - own_back,
        )

    @property
    def level_doubt_m(self) -> float:
        """What the level leaves unknown, shared by all takes on the same mirror."""
        if self.way == "plumb":
            return 0.0
        return math.hypot(self.eye_height_m * self.level_doubt_percent / 100, self.mirror_doubt_m)


@dataclass(frozen=True, slots=True)
class OneWayLook(Shown):
    """The middle of both eyes told one way alone: by a size, or only on which side it is.

    Parameters
    ----------
    told : inside or outside the line, or over it; behind or ahead of the ball's centre, or level with it
    size_m : how far; None where the side alone was told. A side alone is told from `seen_m` on, an opinion
    """

    told: Told
    size_m: float | None = None

    def __post_init__(self) -> None:
        self.check()
        if self.size_m is None:
            return
        if self.told not in SIZED:
            raise OutOfLimits("size_m", "no_size_there", "m")
        AWAY.check("size_m", "eyes_away", self.size_m)

    @property
    def inside_mm(self) -> Interval | None:
        """Inside the line; None where it was told the other way."""
        return self._told_mm(self.level_shift_m[0]) if self.told in ("inside", "over", "outside") else None

    @property
    def behind_mm(self) -> Interval | None:
        """As `inside_mm`, behind the ball."""
        return self._told_mm(self.level_shift_m[1]) if self.told in ("behind", "level", "ahead") else None

    def _told_mm(self, shift_m: float) -> Interval:
        if self.size_m is not None:
            near, far = self.size_m - self.seen_m / 2, self.size_m + self.seen_m / 2
        elif self.told not in SIZED:
            near, far = -self.seen_m, self.seen_m
        else:
            near, far = self.seen_m, math.inf
        if self.told in ("outside", "ahead"):
            near, far = -far, -near
        return Interval((near + shift_m) * 1000, (far + shift_m) * 1000)
