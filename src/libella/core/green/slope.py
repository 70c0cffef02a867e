"""The slope of a green from level readings (handbook 4): where it falls and how sure that is."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import mean, stdev
from typing import Final, Literal

import numpy as np

from ..measure.constants import GRAVITY_M_S2
from ..measure.limits import Bounds, OutOfLimits
from .capture import deceleration

FALLS = Bounds(-12.0, 12.0, "%")
SLOPE_DOUBT = Bounds(0.0, 5.0, "%")
LEVEL_RESOLUTION: Final = 0.1
"""How far off a level may read, percent, one standard deviation: its resolution."""
AZIMUTH = Bounds(-360.0, 360.0, "deg")


@dataclass(frozen=True, slots=True)
class LevelReading:
    """One reading of a level: it falls `falls_percent` towards `azimuth_deg`, clockwise from the line."""

    azimuth_deg: float
    falls_percent: float

    def __post_init__(self) -> None:
        AZIMUTH.check("azimuth_deg", "level_direction", self.azimuth_deg)
        FALLS.check("falls_percent", "level_reading", self.falls_percent)


@dataclass(frozen=True, slots=True)
class Slope:
    """How the ground falls.

    Attributes
    ----------
    forward_percent, right_percent : fall along the line towards the hole, and to the right of it
    fall_percent, azimuth_deg : the steepest fall and where it points, clockwise from the line
    forward_doubt, right_doubt : standard errors, percent
    azimuth_doubt_deg : standard error of the direction; None where the ground may well be level
    """

    forward_percent: float
    right_percent: float
    fall_percent: float
    azimuth_deg: float
    forward_doubt: float
    right_doubt: float
    azimuth_doubt_deg: float | None


def fall_line(readings: Sequence[LevelReading], *, resolution_percent: float = LEVEL_RESOLUTION) -> Slope:
    """Least squares of falls = f·cos(azimuth) + r·sin(azimuth): two terms, no constant.

    Standard errors are those of the residuals, and never less than a level that is off by its resolution allows:
    readings that agree are not exact (handbook 4).

    Raises
    ------
    OutOfLimits
        with fewer than two readings, or when all lie along one line, which tells nothing across it.
    """
    angles = np.radians([it.azimuth_deg for it in readings])
    table = np.column_stack((np.cos(angles), np.sin(angles)))
    if len(readings) < 2 or np.linalg.svd(table, compute_uv=False)[-1] < 0.15:
        raise OutOfLimits("readings", "level_one_way")
    falls = np.array([it.falls_percent for it in readings])
    (forward, right), *_ = np.linalg.lstsq(table, falls, rcond=None)
    fall = math.hypot(forward, right)
    spare = len(readings) - 2
    left_over = falls - table @ np.array([forward, right])
    scatter = float(left_over @ left_over) / spare if spare > 0 else 0.0
    covariance = np.linalg.inv(table.T @ table) * max(scatter, resolution_percent**2)
    doubts = math.sqrt(covariance[0, 0]), math.sqrt(covariance[1, 1])
    turn: float | None = None
    if fall > 2 * max(doubts):
        across = np.array([-right, forward]) / fall
        turn = math.degrees(math.sqrt(across @ covariance @ across) / fall)
    return Slope(
        forward_percent=float(forward),
        right_percent=float(right),
        fall_percent=fall,
        azimuth_deg=math.degrees(math.atan2(right, forward)) % 360,
        forward_doubt=doubts[0],
        right_doubt=doubts[1],
        azimuth_doubt_deg=turn,
    )


ROLLED = Bounds(0.3, 30.0, "m")
DRIFTED = Bounds(-3.0, 3.0, "m")
_PULL = 5 / 7 * GRAVITY_M_S2 / 100


@dataclass(frozen=True, slots=True)
class TrialRoll:
    """A ball rolled along the line, out to the hole or back, and let come to rest.

    Parameters
    ----------
    way : "out" towards the hole, "back" from it
    length_m : how far it rolled along the line
    drift_m : where it stopped beside the line, to the right as seen from where it was rolled
    """

    way: Literal["out", "back"]
    length_m: float
    drift_m: float

    def __post_init__(self) -> None:
        ROLLED.check("length_m", "rolled_m", self.length_m)
        DRIFTED.check("drift_m", "drifted_m", self.drift_m)


def rolled_slope(rolls: Sequence[TrialRoll], green_speed_ft: float, *, tape_m: float = 0.01) -> Slope:
    """The slope that test rolls both ways tell, all sent off with the same speed (a ramp, or a practised stroke).

    With friction a and the slope's pull s against the roll, a ball rolls ℓ = v²/(2(a + s)) and drifts c·ℓ/(2a + s)
    under a pull c across (both for small drifts; out and back s and c change sign). Lengths give s without knowing v;
    the two drifts give c, and what the roller sends off to one side falls out. Each roll counts with its way's mean.

    Parameters
    ----------
    rolls : at least one each way
    green_speed_ft : green speed
    tape_m : standard uncertainty of a length and a drift read by tape, m

    Raises
    ------
    OutOfLimits
        without a roll each way, and where no green falls as they tell.
    """
    ways = {way: [it for it in rolls if it.way == way] for way in ("out", "back")}
    if not ways["out"] or not ways["back"]:
        raise OutOfLimits("rolls", "rolls_one_way")
    a = deceleration(green_speed_ft)
    length = {way: mean(it.length_m for it in these) for way, these in ways.items()}
    turn = {way: mean(it.drift_m / it.length_m for it in these) for way, these in ways.items()}
    total = length["out"] + length["back"]
    against = a * (length["back"] - length["out"]) / total
    share = 1 / (2 * a + against) + 1 / (2 * a - against)
    across = (turn["out"] - turn["back"]) / share
    # The tape, or what the rolls themselves scatter where that is more.
    along_doubt = a * 2 * math.hypot(
        length["back"] * _doubt([it.length_m for it in ways["out"]], tape_m),
        length["out"] * _doubt([it.length_m for it in ways["back"]], tape_m),
    ) / total**2  # fmt: skip
    across_doubt = (
        math.hypot(
            *(_doubt([it.drift_m / it.length_m for it in these], tape_m / length[way]) for way, these in ways.items())
        )
        / share
    )
    forward, right = -against / _PULL, across / _PULL
    fall = math.hypot(forward, right)
    if fall > FALLS.high:
        raise OutOfLimits("rolls", "rolls_too_steep", fall=round(fall), most=round(FALLS.high))
    doubts = along_doubt / _PULL, across_doubt / _PULL
    sure = fall > 2 * max(doubts)
    return Slope(
        forward_percent=forward,
        right_percent=right,
        fall_percent=fall,
        azimuth_deg=math.degrees(math.atan2(right, forward)) % 360,
        forward_doubt=doubts[0],
        right_doubt=doubts[1],
        azimuth_doubt_deg=math.degrees(math.hypot(right * doubts[0], forward * doubts[1]) / fall**2) if sure else None,
    )


def _doubt(values: Sequence[float], least: float) -> float:
    """Standard error of a mean: by the values' own scatter, but not under what one reading of `least` allows."""
    n = math.sqrt(len(values))
    return max(stdev(values) / n, least / n) if len(values) > 1 else least


@dataclass(frozen=True, slots=True)
class NearestStraight:
    """The straight putt to the same hole that is nearest to this one.

    `turn_deg`: the putt turned about the hole, clockwise positive. `ball_back_m`, `ball_right_m`: where its ball lies
    from this one's, away from the hole and to the right of the line.
    """

    turn_deg: float
    uphill: bool
    ball_back_m: float
    ball_right_m: float


def nearest_straight(forward_percent: float, right_percent: float, distance_m: float) -> NearestStraight | None:
    """The nearest putt along the fall line, up or down it; None on level ground, where every putt is straight."""
    if forward_percent == 0 and right_percent == 0:
        return None
    down = math.degrees(math.atan2(right_percent, forward_percent))
    up = (down + 360) % 360 - 180
    turn = min(down, up, key=abs)
    angle = math.radians(turn)
    return NearestStraight(turn, turn is up, -distance_m * (1 - math.cos(angle)), -distance_m * math.sin(angle))
