"""The slope of a green from level readings (handbook 4): where it falls and how sure that is."""

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from ..limits import Bounds, OutOfLimits

FALLS = Bounds(-12.0, 12.0, "%")
AZIMUTH = Bounds(-360.0, 360.0, "deg")


@dataclass(frozen=True, slots=True)
class LevelReading:
    """One reading of a level: it falls `falls_percent` towards `azimuth_deg`, clockwise from the line."""

    azimuth_deg: float
    falls_percent: float

    def __post_init__(self) -> None:
        AZIMUTH.check("azimuth_deg", "Direction of the level", self.azimuth_deg)
        FALLS.check("falls_percent", "Level reading", self.falls_percent)


@dataclass(frozen=True, slots=True)
class Slope:
    """How the ground falls.

    Attributes
    ----------
    forward_percent, right_percent : fall along the line towards the hole, and to the right of it
    fall_percent, azimuth_deg : the steepest fall and where it points, clockwise from the line
    forward_doubt, right_doubt : standard errors, percent; None with two readings, which leave nothing to check by
    azimuth_doubt_deg : standard error of the direction; None as above, or where the ground may well be level
    """

    forward_percent: float
    right_percent: float
    fall_percent: float
    azimuth_deg: float
    forward_doubt: float | None
    right_doubt: float | None
    azimuth_doubt_deg: float | None

    @property
    def words(self) -> str:
        """Where it falls, with its doubt, and how sure that is."""
        doubt = max(self.forward_doubt or 0.0, self.right_doubt or 0.0)
        if self.fall_percent < max(2 * doubt, 0.05):
            return f"Level, as far as these readings tell (± {2 * doubt:.1f} %)." if doubt else "Level."
        turn = (self.azimuth_deg + 180) % 360 - 180
        side = "" if abs(turn) < 0.5 else (" right" if turn > 0 else " left")
        where = f"Falls {self.fall_percent:.1f} %, {abs(turn):.0f}°{side} of the line"
        if self.azimuth_doubt_deg is None:
            return f"{where}. Read one more direction to know how sure that is."
        return f"{where} (± {2 * self.azimuth_doubt_deg:.0f}°)."


def fall_line(readings: Sequence[LevelReading]) -> Slope:
    """Least squares of falls = f·cos(azimuth) + r·sin(azimuth): two terms, no constant.

    Raises
    ------
    OutOfLimits
        with fewer than two readings, or when all lie along one line, which tells nothing across it.
    """
    angles = np.radians([it.azimuth_deg for it in readings])
    table = np.column_stack((np.cos(angles), np.sin(angles)))
    if len(readings) < 2 or np.linalg.svd(table, compute_uv=False)[-1] < 0.15:
        raise OutOfLimits(
            "readings",
            "Read the level in at least two directions, well across each other: along the line and across it.",
            limit="at least 2 directions",
            unit="",
        )
    falls = np.array([it.falls_percent for it in readings])
    (forward, right), *_ = np.linalg.lstsq(table, falls, rcond=None)
    fall = math.hypot(forward, right)
    spare = len(readings) - 2
    doubts: tuple[float, float] | None = None
    turn: float | None = None
    if spare > 0:
        left_over = falls - table @ np.array([forward, right])
        covariance = np.linalg.inv(table.T @ table) * float(left_over @ left_over) / spare
        doubts = math.sqrt(covariance[0, 0]), math.sqrt(covariance[1, 1])
        if fall > 2 * max(doubts):
            across = np.array([-right, forward]) / fall
            turn = math.degrees(math.sqrt(across @ covariance @ across) / fall)
    return Slope(
        forward_percent=float(forward),
        right_percent=float(right),
        fall_percent=fall,
        azimuth_deg=math.degrees(math.atan2(right, forward)) % 360,
        forward_doubt=doubts[0] if doubts else None,
        right_doubt=doubts[1] if doubts else None,
        azimuth_doubt_deg=turn,
    )
