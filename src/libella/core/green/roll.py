"""How a ball rolls over an evenly sloping green (handbook 4): a point mass with rolling friction.

acceleration = −a·v̂ + (5/7)·g·(slope). Along x, the line from the ball to the hole, the state is the offset y to the
right (m), the path's slope t = dy/dx, and w, the speed squared (m²/s²):

    dy/dx = t,   dt/dx = (1 + t²)(Gy − Gx·t)/w,   dw/dx = 2(Gx + Gy·t − a·√(1 + t²))

with G = (5/7)·g·slope, positive where the ground falls forward and to the right. No angle functions, and no time. The
steps get finer towards the hole, where a dying ball turns fastest.
"""

import math
from collections.abc import Callable
from dataclasses import dataclass
from itertools import pairwise
from typing import Any

import numpy as np
from numpy.typing import NDArray

from ..measure.constants import GRAVITY_M_S2
from .capture import deceleration

Floats = NDArray[np.float64]

_STEPS = 32
_NODES = tuple(1 - (1 - n / _STEPS) ** 2 for n in range(_STEPS + 1))
_ROLLING = 5 / 7
_STEEPEST = 20.0
"""A path more than 87° across the line has turned away: it does not arrive, whatever the sums go on to say."""


@dataclass(frozen=True, slots=True)
class Ground:
    """An even green: its speed (ft on the ramp) and how it falls along and across the line, percent.

    Positive falls forward (downhill to the hole) and to the right.
    """

    green_speed_ft: float
    falls_forward_percent: float = 0.0
    falls_right_percent: float = 0.0

    @property
    def friction(self) -> float:
        """Deceleration on the level, m/s²."""
        return deceleration(self.green_speed_ft)

    @property
    def pull(self) -> tuple[float, float]:
        """Acceleration by the slope, forward and to the right, m/s²."""
        scale = _ROLLING * GRAVITY_M_S2 / 100
        return self.falls_forward_percent * scale, self.falls_right_percent * scale


@dataclass(frozen=True, slots=True)
class Path:
    """A roll at the nodes along x: offset y (m, right positive), slope dy/dx and speed squared (m²/s²).

    It has fewer nodes than asked where the ball came to rest or turned away first. In a bundle each item is an array
    over the rolls, and a roll that came to rest has NaN from there on.
    """

    x: list[float]
    y: list[Any]
    slope: list[Any]
    speed2: list[Any]


def roll(ground: Ground, distance_m: float, start_deg: float, speed_m_s: float) -> Path:
    """Roll one ball from the origin, `start_deg` right of the line, until it is level with `distance_m`."""
    nodes = [it * distance_m for it in _NODES]
    return _march(ground, nodes, 0.0, math.tan(math.radians(start_deg)), speed_m_s**2, math.sqrt)


def roll_many(ground: Ground, distance_m: float, start_deg: Floats, speed_m_s: Floats) -> Path:
    """Roll many balls at once: (N,) starts and speeds; the path's items are (N,)."""
    nodes = [it * distance_m for it in _NODES]
    slope = np.tan(np.radians(start_deg))
    with np.errstate(invalid="ignore", divide="ignore", over="ignore"):
        return _march(ground, nodes, np.zeros_like(slope), slope, np.square(speed_m_s), np.sqrt)


def roll_back(ground: Ground, distance_m: float, slope_at_hole: float, speed_m_s: float) -> Path:
    """The path that reaches the hole's centre with that slope and speed, followed back to the ball: hole first."""
    nodes = [it * distance_m for it in reversed(_NODES)]
    return _march(ground, nodes, 0.0, slope_at_hole, speed_m_s**2, math.sqrt)


def _march(ground: Ground, nodes: list[float], y: Any, t: Any, w: Any, sqrt: Callable[[Any], Any]) -> Path:
    """Fourth-order Runge–Kutta from node to node; the same sums for one roll and for a bundle."""
    gx, gy = ground.pull
    a = ground.friction

    def change(t: Any, w: Any) -> tuple[Any, Any]:
        bent = 1 + t * t
        return bent * (gy - gx * t) / w, 2 * (gx + gy * t - a * sqrt(bent))

    path = Path([nodes[0]], [y], [t], [w])
    single = sqrt is math.sqrt
    for here, there in pairwise(nodes):
        h = there - here
        t1, w1 = change(t, w)
        wa = w + h / 2 * w1
        if single and wa <= 0:
            break
        ta = t + h / 2 * t1
        t2, w2 = change(ta, wa)
        wb = w + h / 2 * w2
        if single and wb <= 0:
            break
        tb = t + h / 2 * t2
        t3, w3 = change(tb, wb)
        wc = w + h * w3
        if single and wc <= 0:
            break
        tc = t + h * t3
        t4, w4 = change(tc, wc)
        y = y + h / 6 * (t + 2 * ta + 2 * tb + tc)
        t = t + h / 6 * (t1 + 2 * t2 + 2 * t3 + t4)
        w = w + h / 6 * (w1 + 2 * w2 + 2 * w3 + w4)
        # Written so that what is not a number ends here too.
        if single:
            if not (w > 0 and abs(t) < _STEEPEST):
                break
        else:
            w = np.where((w > 0) & (np.abs(t) < _STEEPEST), w, np.nan)
            y, t = np.where(np.isnan(w), np.nan, y), np.where(np.isnan(w), np.nan, t)
        path.x.append(there)
        path.y.append(y)
        path.slope.append(t)
        path.speed2.append(w)
    return path
