"""A golfer's own table of backstroke and roll, and what is left after a miss (practice 3)."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

import numpy as np
from scipy.special import gammaincc

from ..certainty.estimate import Estimate
from ..certainty.verdict import is_likely
from ..opinions.held import Opinion

WITHIN: Final = Opinion("pace_fits", 0.10, "share")
"""A table is fitted where a roll lies this near to it, as a share: an opinion."""
ROLLS_M: Final = (2.0, 3.0, 4.0, 5.0, 6.0, 8.0, 10.0)
_FEWEST, _APART, _BEYOND = 6, 1.3, 1.25
_ROWS_FEWEST: Final = 3
LEAVE_M: Final = Opinion("leave_sure", 0.6, "m")
"""From here on the next putt is no longer sure: an opinion."""


@dataclass(frozen=True, slots=True)
class Stroke:
    """One putt: how far back the head went, how far the ball rolled, m."""

    back_m: float
    roll_m: float


@dataclass(frozen=True, slots=True)
class PaceTable:
    """Backstroke by roll on one surface.

    rows : the roll, and how far back for it, m; only as far as it was putted, and a quarter beyond
    scatters : how far a roll lies from the table, as a share, standard deviation
    fitted : likely within a tenth; strokes : so many tell it
    """

    rows: tuple[tuple[float, float], ...]
    scatters: float
    fitted: bool
    strokes: int


@dataclass(frozen=True, slots=True)
class LeaveAt:
    """What is left from one length: the median, m, with its 90 % interval where enough tell one; how many lay within
    `LEAVE_M`, of how many putts, those holed included."""

    length_m: float
    left: Estimate | None
    near: int
    of: int


def pace_table(strokes: Sequence[Stroke]) -> PaceTable | None:
    """The table that these putts tell; None where they are too few, or all alike.

    The roll grows as a power of the backstroke: a straight line through the logarithms, by least squares.
    """
    told = [it for it in strokes if it.back_m > 0 and it.roll_m > 0]
    backs = [it.back_m for it in told]
    if len(told) < _FEWEST or max(backs) < _APART * min(backs):
        return None
    x, y = np.log(backs), np.log([it.roll_m for it in told])
    slope, start = np.polyfit(x, y, 1)
    if slope <= 0:
        return None
    rest = y - (slope * x + start)
    free = len(told) - 2
    squares = float(rest @ rest)
    # The chance that the true scatter is under a tenth, the scale known no better than by these putts.
    under = float(gammaincc(free / 2, squares / (2 * math.log1p(WITHIN()) ** 2)))
    rolls = [it.roll_m for it in told]
    rows = tuple(
        (roll, float(math.exp((math.log(roll) - start) / slope)))
        for roll in ROLLS_M
        if min(rolls) / _BEYOND <= roll <= max(rolls) * _BEYOND
    )
    return PaceTable(rows, math.sqrt(squares / free), is_likely(under), len(told))


def leave_at(length_m: float, lefts: Sequence[float]) -> LeaveAt:
    """`lefts`: how far each putt from there ended from the hole, m; 0 for one that was holed."""
    missed = sorted(it for it in lefts if it > 0)
    near = sum(it <= LEAVE_M() for it in lefts)
    return LeaveAt(length_m, _median(missed), near, len(lefts))


def _median(told: Sequence[float]) -> Estimate | None:
    """The median and its interval by order, which asks nothing of how they lie."""
    n = len(told)
    if n < _ROWS_FEWEST:
        return None
    out = max(0, math.floor(n / 2 - 0.8225 * math.sqrt(n)))
    return Estimate(float(np.median(told)), told[out], told[n - 1 - out])
