"""What the hole allows: the largest start error that still holes a level putt (handbook 4)."""

import math
from typing import Literal

from ..measure.constants import BALL_M, FOOT_M, GRAVITY_M_S2, HOLE_M, RAMP_SPEED_M_S
from ..measure.limits import Bounds

Capture = Literal["rim_assisted", "free_fall"]

DISTANCE = Bounds(0.3, 15.0, "m")
PAST = Bounds(0.0, 3.0, "m")
GREEN_SPEED = Bounds(4.0, 16.0, "ft")

_HOLE_R = HOLE_M / 2
_BALL_R = BALL_M / 2
_RIM_LIMIT_M_S = 1.63


def deceleration(green_speed_ft: float) -> float:
    """Deceleration of a rolling ball on a level green of that speed, m/s² (already holds the 5/7 of rolling)."""
    return RAMP_SPEED_M_S**2 / (2 * green_speed_ft * FOOT_M)


def speed_past(past_m: float, green_speed_ft: float) -> float:
    """Speed at the hole's centre of a putt that would stop `past_m` beyond it on the level, m/s."""
    return math.sqrt(2 * deceleration(green_speed_ft) * past_m)


def capture_offset(speed_m_s: float, capture: Capture) -> float:
    """Largest distance of the ball's path from the hole's centre at which it still drops, m; 0 when it is too fast.

    rim_assisted: v ≤ 1.63·(1 − (δ/R)²). free_fall: the ball must fall its radius before the far rim,
    δ = √(R² − ((v·√(2r/g) + r)/2)²).
    """
    if capture == "rim_assisted":
        return _HOLE_R * math.sqrt(max(0.0, 1 - speed_m_s / _RIM_LIMIT_M_S))
    half_chord = (speed_m_s * math.sqrt(2 * _BALL_R / GRAVITY_M_S2) + _BALL_R) / 2
    return math.sqrt(max(0.0, _HOLE_R**2 - half_chord**2))


def longest_past(green_speed_ft: float, capture: Capture, beside_m: float = 0.0) -> float:
    """How far past the hole a putt may be struck and still drop, m: a dead-centre one, or one whose path passes the
    hole's centre so far beside it; 0 where it passes beside the hole. `capture_offset` the other way round."""
    free = _HOLE_R**2 - beside_m**2
    if free <= 0:
        return 0.0
    speed = _RIM_LIMIT_M_S * free / _HOLE_R**2
    if capture == "free_fall":
        speed = max(0.0, 2 * math.sqrt(free) - _BALL_R) / math.sqrt(2 * _BALL_R / GRAVITY_M_S2)
    return speed**2 / (2 * deceleration(green_speed_ft))
