"""Aiming on a slope: the start line and speed that bring the ball over the hole's centre at the pace meant."""

import math
from collections.abc import Callable
from dataclasses import dataclass
from functools import cached_property, lru_cache

import numpy as np
from numpy.typing import NDArray
from scipy.interpolate import CubicHermiteSpline
from scipy.optimize import brentq

from ..measure.limits import OutOfLimits
from ..measure.window import Window
from .capture import PAST, Capture, capture_offset, longest_past, speed_past
from .roll import Floats, Ground, Path, roll, roll_back, roll_many

_STEEPEST_SLOPE_AT_HOLE = 1.5  # arriving more than 56° across the line is not a putt anybody aims
_PACES = 301
_SLOWER_M = 0.3
_SLOWEST_M_S = 0.05  # a ball that just dies at the hole has no direction there


@dataclass(frozen=True, eq=False)
class Aim:
    """How to start a putt.

    Attributes
    ----------
    start_deg : start line against the line from ball to hole, right positive
    aim_m : where the start line passes the hole, beside its centre, right positive
    speed_m_s : start speed of the rolling ball (a struck ball skids first and leaves the face about a quarter faster)
    plays_like_m : length of the level putt that takes the same stroke
    window : turn of the start either side that still drops, at this speed
    """

    start_deg: float
    aim_m: float
    speed_m_s: float
    plays_like_m: float
    path: Path
    _look: Callable[[], Window]

    @cached_property
    def window(self) -> Window:
        # Looked for only when asked: much of what is told of a putt does without.
        return self._look()

    @cached_property
    def _drift(self) -> CubicHermiteSpline:
        return _drift(self.path)

    def drift_m(self, along_m: float) -> float:
        """How far the ball has left its start line, at right angles to it, `along_m` along it; right positive, m."""
        return float(self._drift(min(along_m, float(self._drift.x[-1]))))

    def leaves_at_m(self, offset_m: float) -> float | None:
        """Distance along the start line at which the ball has left it by `offset_m`; None where it does not."""
        drift = self._drift
        at = np.linspace(0, float(drift.x[-1]), 400)
        away = np.abs(drift(at))
        off = np.flatnonzero(away >= offset_m)
        if not off.size:
            return None
        there = slice(max(int(off[0]) - 1, 0), int(off[0]) + 1)
        return float(np.interp(offset_m, away[there], at[there]))


def _drift(path: Path) -> CubicHermiteSpline:
    """Offset from the start line against the distance along it."""
    x, y, slope = (np.array(it) for it in (path.x, path.y, path.slope))
    start = math.atan(slope[0])
    along = x * math.cos(start) + y * math.sin(start)
    across = y * math.cos(start) - x * math.sin(start)
    # A putt that turns back on its own start line is told up to there.
    onward = np.diff(along) > 0
    keep = along.size if onward.all() else max(int(np.argmin(onward)) + 1, 2)
    along, across, slope = along[:keep], across[:keep], slope[:keep]
    return CubicHermiteSpline(along, across, np.tan(np.arctan(slope) - start))


@lru_cache(maxsize=256)
def aim(ground: Ground, distance_m: float, past_m: float, capture: Capture) -> Aim:
    """Solve a putt.

    Parameters
    ----------
    ground : green speed and slope along and across the line from ball to hole
    distance_m : ball to the hole's centre
    past_m : how far past the hole's centre it would run on the level from the speed it has there
    capture : which approximation of capture is in use

    Raises
    ------
    OutOfLimits
        when no putt arrives at that pace: it would run away downhill, or break too much to be aimed.
    """
    back = _back(ground, distance_m, past_m)
    start_deg = math.degrees(math.atan(back.slope[-1]))
    speed = math.sqrt(back.speed2[-1])
    path = Path(back.x[::-1], back.y[::-1], back.slope[::-1], back.speed2[::-1])
    return Aim(
        start_deg=start_deg,
        aim_m=distance_m * math.tan(math.radians(start_deg)),
        speed_m_s=speed,
        plays_like_m=(speed**2 - back.speed2[0]) / (2 * ground.friction),
        path=path,
        _look=lambda: Window(*(_side(ground, distance_m, start_deg, speed, capture, side) for side in (-1, 1))),
    )


@dataclass(frozen=True, slots=True)
class Arrival:
    """How a putt comes to the hole: how far beside its centre (m, right positive), and whether it drops.

    `beside_m` is None when it stops short of the hole.
    """

    beside_m: float | None
    drops: bool


@lru_cache(maxsize=256)
def started_at(ground: Ground, distance_m: float, past_m: float, capture: Capture, start_deg: float) -> Aim:
    """A putt struck as hard as the true one but started elsewhere, with the same window seen from there."""
    true = aim(ground, distance_m, past_m, capture)
    off = true.start_deg - start_deg
    return Aim(
        start_deg=start_deg,
        aim_m=distance_m * math.tan(math.radians(start_deg)),
        speed_m_s=true.speed_m_s,
        plays_like_m=true.plays_like_m,
        path=roll(ground, distance_m, start_deg, true.speed_m_s),
        _look=lambda: Window(true.window.left_deg, true.window.right_deg, off),
    )


def arrival(ground: Ground, distance_m: float, capture: Capture, path: Path) -> Arrival:
    """How a rolled path comes to the hole."""
    if path.x[-1] < distance_m:
        return Arrival(None, False)
    off, at_speed = (float(it) for it in _closest(ground, path))
    return Arrival(off, abs(off) < capture_offset(at_speed, capture))


@dataclass(frozen=True, slots=True)
class PaceWindow:
    """The paces that hole a putt on its start line, as how far past the hole's centre it would run on the level, m."""

    least_past_m: float
    most_past_m: float


@lru_cache(maxsize=256)
def pace_window(
    ground: Ground, distance_m: float, past_m: float, capture: Capture, start_deg: float
) -> PaceWindow | None:
    """Which paces drop on a start line; None where none does.

    Looked for in even steps of pace about the true putt's: its speed squared grows with the pace, on any slope nearly.
    Between the last step that drops and the first that does not, what it has to spare is taken as straight.
    """
    true = aim(ground, distance_m, past_m, capture)
    # With the true putt's own among them: on a steep slope no other may drop.
    steps = np.linspace(-_SLOWER_M, longest_past(ground.green_speed_ft, capture), _PACES)
    paces = np.insert(steps, int(np.searchsorted(steps, past_m)), past_m)
    speeds = np.sqrt(np.maximum(true.speed_m_s**2 + 2 * ground.friction * (paces - past_m), 1e-6))
    path = roll_many(ground, distance_m, np.full_like(speeds, start_deg), speeds)
    off, at_speed = _closest(ground, path)
    with np.errstate(invalid="ignore"):
        allowed = np.array([capture_offset(float(it), capture) if it == it else 0.0 for it in at_speed])
        spare = allowed - np.abs(off)
        drops = np.flatnonzero(spare > 0)
    if not drops.size:
        return None
    past = at_speed**2 / (2 * ground.friction)

    def edge(inside: int, outside: int) -> float:
        if not 0 <= outside < past.size or np.isnan(past[outside]):
            return float(past[inside])
        share = spare[inside] / (spare[inside] - spare[outside])
        return float(past[inside] + share * (past[outside] - past[inside]))

    # A putt slower than the slowest that was rolled and arrived may drop too: it just reaches.
    arrived = np.flatnonzero(np.isfinite(at_speed))
    least = 0.0 if drops[0] == arrived[0] else edge(int(drops[0]), int(drops[0]) - 1)
    most = min(edge(int(drops[-1]), int(drops[-1]) + 1), PAST.high)
    return PaceWindow(least, most) if least < most else None


def _back(ground: Ground, distance_m: float, past_m: float) -> Path:
    """The path over the hole's centre at the pace meant, hole first."""
    speed_at_hole = max(speed_past(past_m, ground.green_speed_ft), _SLOWEST_M_S)

    def arriving(slope_at_hole: float) -> Path:
        back = roll_back(ground, distance_m, slope_at_hole, speed_at_hole)
        if back.x[-1] > 0:
            raise _no_putt(ground)
        return back

    def miss(slope_at_hole: float) -> float:
        return arriving(slope_at_hole).y[-1]

    straight = ground.falls_right_percent == 0
    slope_at_hole = 0.0 if straight else brentq(miss, *_bracket(miss, ground), xtol=1e-9)
    return arriving(slope_at_hole)


def _speed_for(ground: Ground, distance_m: float, past_m: float) -> float:
    """Start speed for a pace, NaN where no putt arrives at it."""
    try:
        return math.sqrt(_back(ground, distance_m, past_m).speed2[-1])
    except OutOfLimits:
        return math.nan


def _bracket(miss: Callable[[float], float], ground: Ground) -> tuple[float, float]:
    """Two slopes at the hole, one either side of the one that comes from the ball."""
    # A ball that arrives moving with the fall came from the high side: look from straight outward, that way.
    way = 1.0 if ground.falls_right_percent > 0 else -1.0
    near, far = 0.0, 0.02
    at_near = miss(near)
    while far <= _STEEPEST_SLOPE_AT_HOLE:
        try:
            at_far = miss(way * far)
        except OutOfLimits:
            break
        if at_near * at_far <= 0:
            return way * near, way * far
        near, far = far, far * 1.6
    raise _no_putt(ground)


def _no_putt(ground: Ground) -> OutOfLimits:
    return OutOfLimits(
        "falls_forward_percent",
        "no_putt_arrives",
        "%",
        forward=ground.falls_forward_percent,
        right=ground.falls_right_percent,
        speed=ground.green_speed_ft,
    )


def _side(ground: Ground, distance_m: float, start_deg: float, speed: float, capture: Capture, side: int) -> float:
    """Largest turn of the start to one side that still drops, degrees."""

    def spare(turn: float) -> float:
        path = roll(ground, distance_m, start_deg + side * turn, speed)
        if path.x[-1] < distance_m:
            return -1.0
        off, at_speed = _closest(ground, path)
        return capture_offset(float(at_speed), capture) - abs(float(off))

    if spare(0.0) <= 0:
        return 0.0
    near, far = 0.0, 0.25
    while spare(far) > 0:
        near, far = far, far * 2
        if far > 90:
            return 90.0
    return float(brentq(spare, near, far, xtol=1e-5))


def _closest(ground: Ground, path: Path) -> tuple[Floats, Floats]:
    """How near a path passes the hole's centre (m, right positive) and its speed there, from its end beside the hole.

    Over the few centimetres between the two the path is taken as straight.
    """
    y, slope, speed2 = (np.asarray(it[-1], dtype=np.float64) for it in (path.y, path.slope, path.speed2))
    gx, gy = ground.pull
    bent = np.sqrt(1 + slope * slope)
    off = y / bent
    back = -y * slope / bent  # along the path, from beside the hole to the nearest point
    change = 2 * ((gx + gy * slope) / bent - ground.friction)
    return off, np.sqrt(np.maximum(speed2 + change * back, 0.0))


@dataclass(frozen=True)
class DropMap:
    """Which starts drop: `drops[i, j]` for `start_deg[i]` (against the line to the hole) at `past_m[j]`."""

    start_deg: Floats
    past_m: Floats
    drops: NDArray[np.bool_]


def drop_map(
    ground: Ground, distance_m: float, capture: Capture, *, about: Aim, rows: int = 121, columns: int = 31
) -> DropMap:
    """Roll every start near the aim at every pace up to about 1.5 m past."""
    reach = 3 * max(about.window.left_deg, about.window.right_deg, 0.3)
    starts = np.linspace(about.start_deg - reach, about.start_deg + reach, rows)
    past = np.linspace(0.02, 1.5, columns)
    speeds = [_speed_for(ground, distance_m, float(it)) for it in past]
    start, speed = (it.ravel() for it in np.meshgrid(starts, np.array(speeds), indexing="ij"))
    path = roll_many(ground, distance_m, start, speed)
    off, at_speed = _closest(ground, path)
    with np.errstate(invalid="ignore"):
        allowed = np.array([capture_offset(float(it), capture) if it == it else 0.0 for it in at_speed])
        drops = np.abs(off) < allowed
    return DropMap(starts, past, drops.reshape(rows, columns))
