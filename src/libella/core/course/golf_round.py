"""Putts in a round, and what is left after a miss: the chance of holing played on until the ball is in (practice 5)."""

from dataclasses import dataclass
from functools import cache
from typing import Final

import numpy as np
from scipy.special import ndtri

from ..certainty.estimate import Estimate, told_by
from ..estimate.posterior import Floats
from ..opinions.held import Opinion
from .chance import Green, Starter, admitted_m
from .roller import Roller

FIRST_PUTTS: Final = Opinion(
    "first_putts", ((1.0, 2), (2.0, 3), (3.0, 3), (4.5, 3), (6.0, 3), (9.0, 2), (12.0, 2)), ("m", "count")
)
"""How long the first putts of a round are, and how many: an opinion (practice 5)."""
_NEAREST_M, _FARTHEST_M = 0.15, 14.0
_GRID: Final = np.geomspace(_NEAREST_M, _FARTHEST_M, 22)
_SAMPLED: Final = 256
_ROLLED: Final = 4
_BAND: Final = 1.645


@dataclass(frozen=True, slots=True)
class Round:
    """Putts in a round.

    Attributes
    ----------
    average : of many rounds, with what is not known of this golfer
    single : a single round lies within so many of the average, nine times in ten
    draws : (N,) the average for each draw of the golfer, for whoever sets two beside each other
    """

    average: Estimate
    single: float
    draws: Floats


@dataclass(frozen=True, slots=True)
class Left:
    """How far from the hole a miss ends, from one length: the median and where half of what misses lies, m."""

    length_m: float
    median_m: float
    near_m: float
    far_m: float


def _each(at: Floats, grid: Floats, told: Floats) -> Floats:
    """Each draw's own curve, (N, L) over the grid, read where that draw asks, (N, …)."""
    found: Floats = np.empty(at.shape)
    for n in range(at.shape[0]):
        found[n] = np.interp(at[n], grid, told[n])
    return found


@cache
def _luck() -> Floats:
    """(S, 2) the luck of each putt of the sample, in standard deviations: of its start and of its pace."""
    # Here, for it brings the whole of scipy.stats along, which takes as long to start as all else of scipy.
    from scipy.stats import qmc

    return ndtri(qmc.Sobol(2, seed=5).random(_SAMPLED))


class Played:
    """Every draw of a golfer played from every length: what is holed, and how far off the rest ends.

    One putt of the sample has the same luck at every length and in every draw, so that what two golfers, or two ways,
    differ by is not luck.
    """

    def __init__(self, starter: Starter, roller: Roller, green: Green) -> None:
        luck = _luck()
        lengths = _GRID
        # (N, L, S)
        turned = np.radians(starter.bias_deg)[:, None] + starter.scatter[:, None] * luck[None, :, 0]
        past = roller.past_m[:, None, None] + roller.spread_at(lengths)[..., None] * luck[None, None, :, 1]
        rolled = np.maximum(lengths[None, :, None] + past, 0.0)
        angle = turned[:, None, :]
        beside = lengths[None, :, None] * np.sin(angle)
        table_m = np.linspace(0.0, float(past.max()) + 0.01, 2048)
        admitted = np.interp(past, table_m, admitted_m(table_m, green), left=0.0)
        self.missed = (past < 0) | (np.abs(beside) > admitted) | (admitted <= 0)
        far = lengths[None, :, None]
        self.left_m = np.sqrt(np.maximum(far**2 + rolled**2 - 2 * far * rolled * np.cos(angle), 0.0))
        self._moments = self._solve()

    def _solve(self) -> tuple[Floats, Floats]:
        """(N, L) the mean of the putts from each length, and the mean of their square: first as if every second putt
        fell, then as it is from where the first was left."""
        draws, lengths, _ = self.missed.shape
        once, square = np.ones((draws, lengths)), np.ones((draws, lengths))
        missed = self.missed.astype(float)
        at = np.log(np.clip(self.left_m, _NEAREST_M, _FARTHEST_M))
        grid = np.log(_GRID)
        for _ in range(_ROLLED):
            then, then_square = (_each(at, grid, one) for one in (once, square))
            once = 1 + (missed * then).mean(axis=-1)
            square = 1 + (missed * (2 * then + then_square)).mean(axis=-1)
        return once, square

    def round(self, first_putts: tuple[tuple[float, int], ...] | None = None) -> Round:
        """Putts of a round with these first putts; None: with the usual ones."""
        first_putts = FIRST_PUTTS() if first_putts is None else first_putts
        once, square = self._moments
        lengths = np.log([it for it, _ in first_putts])
        of = np.array([float(it) for _, it in first_putts])
        at: Floats = np.broadcast_to(lengths, (once.shape[0], lengths.size))
        mean, squares = (_each(at, np.log(_GRID), one) for one in (once, square))
        average: Floats = mean @ of
        within = float(np.sqrt(np.mean((squares - mean**2) @ of)))
        return Round(told_by(average), _BAND * within, average)

    def left(self, lengths_m: tuple[float, ...]) -> tuple[Left, ...]:
        """How far from the hole a miss ends, from these lengths."""
        found: list[Left] = []
        for it in lengths_m:
            n = int(np.argmin(np.abs(np.log(_GRID / it))))
            ends = self.left_m[:, n][self.missed[:, n]] * (it / _GRID[n])
            if ends.size:
                near, median, far = (float(np.quantile(ends, q)) for q in (0.25, 0.5, 0.75))
                found.append(Left(it, median, near, far))
        return tuple(found)
