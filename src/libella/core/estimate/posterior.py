"""Grid posterior of bias μ and spread σ from readings seen through intervals (handbook 5).

Readings are draws from Normal(μ, σ); an instrument shows each as an interval. The posterior lives on a grid that is
zoomed, step by step, onto where it has weight, so that a few thousand points are enough at any precision of the data.
"""

import math
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from functools import cached_property

import numpy as np
from numpy.typing import NDArray
from scipy.special import ndtr

from ..certainty.verdict import NINETY
from ..measure.interval import Interval
from ..opinions.held import Opinion

Floats = NDArray[np.float64]

LAPSE_SHARE = 0.02
"""Share of readings taken for mishits, uniform over ± `lapse_reach`; keeps one mishit from driving the answer."""
LAPSE_REACH = 10.0
_OPEN_END = 1.0  # how much further than its closed end an open reading reaches at least

_COARSE = (17, 11)
_FINE = (51, 31)
_DEPTH = 11.0  # log density below the peak at which the grid ends: e^-11, about 4.7 standard deviations
_PASSES = 8
_SEEN_FROM = 4.0  # steps of a ridge, per root of readings, from which its height is told within about one
_MOST_BLURRED = 121
_FINER_TO_BLUR = 4
_BREAKS_OFF = 4.0
_TINY = 1e-300


@dataclass(frozen=True, slots=True)
class Prior:
    """μ ~ Normal(bias_mean, bias_sd), ln σ ~ Normal(ln spread_median, spread_log_sd); `unit` of both."""

    bias_mean: float
    bias_sd: float
    spread_median: float
    spread_log_sd: float
    unit: str

    @property
    def spread_range(self) -> tuple[float, float]:
        """Where nine in ten spreads are expected."""
        low, high = (self.spread_median * math.exp(z * NINETY * self.spread_log_sd) for z in (-1, 1))
        return low, high


START = Opinion("start_prior", Prior(bias_mean=0.0, bias_sd=2.0, spread_median=1.0, spread_log_sd=0.9, unit="deg"), "")
"""Start error, face aim and ball mark. The spread is left wider open than the handbook's 0.6: decision 0017."""
PATH = Opinion("path_prior", Prior(bias_mean=0.0, bias_sd=5.0, spread_median=1.5, spread_log_sd=0.9, unit="deg"), "")
"""Path of the head and body lines."""


@dataclass(frozen=True)
class Posterior:
    """Weights over a grid of bias (axis 0) and log spread (axis 1).

    Attributes
    ----------
    bias : (M,) grid of μ, in the prior's unit, evenly spaced
    log_spread : (S,) grid of ln σ, evenly spaced
    weight : (M, S) probability of each grid point, sums to 1
    noise : standard deviation of the reading noise, already taken out of the spread
    """

    bias: Floats
    log_spread: Floats
    weight: Floats
    noise: float = 0.0

    @cached_property
    def spread(self) -> Floats:
        """(S,) grid of σ."""
        return np.exp(self.log_spread)

    @cached_property
    def _bias_cdf(self) -> tuple[Floats, Floats]:
        return cumulative(self.bias, self.weight.sum(axis=1))

    @cached_property
    def _spread_cdf(self) -> tuple[Floats, Floats]:
        return cumulative(self.log_spread, self.weight.sum(axis=0))

    def bias_quantile(self, share: float) -> float:
        at, mass = self._bias_cdf
        return float(np.interp(share, mass, at))

    def spread_quantile(self, share: float) -> float:
        at, mass = self._spread_cdf
        return float(np.exp(np.interp(share, mass, at)))

    def spread_above(self, value: float) -> float:
        """P(σ > value)."""
        at, mass = self._spread_cdf
        return 1.0 - float(np.interp(math.log(value), at, mass))

    def bias_above(self, value: float) -> float:
        """P(μ > value)."""
        at, mass = self._bias_cdf
        return 1.0 - float(np.interp(value, at, mass))

    def inside(self, left: float, right: float, *, shift: float = 0.0, spread_factor: float = 1.0) -> Floats:
        """(M, S) chance at each grid point that a putt lies within −left … right, Φ((w_R − μ)/σ) − Φ((−w_L − μ)/σ).

        `shift` moves every μ, `spread_factor` multiplies every σ: what a change would do.
        """
        return _between(-left, right, self.bias + shift, self.spread * spread_factor)

    def mean(self, values: Floats) -> float:
        """Posterior mean of a value known at each grid point."""
        return float((values * self.weight).sum())

    def quantiles(self, values: Floats, shares: Sequence[float]) -> list[float]:
        """Posterior quantiles of a value known at each grid point."""
        order = np.argsort(values, axis=None)
        mass = np.cumsum(self.weight.ravel()[order])
        at = np.minimum(np.searchsorted(mass, shares), values.size - 1)
        return [float(it) for it in values.ravel()[order][at]]

    def log_likelihood(self, intervals: Sequence[Interval], lapse: float = LAPSE_SHARE) -> Floats:
        """(K, M, S) log likelihood of each interval at each grid point."""
        seen = Seen(intervals, lapse, lapse_reach(intervals))
        return seen.log_likelihood(self.bias, np.hypot(self.spread, self.noise))

    def blurred(self, doubt: float) -> "Posterior":
        """The same with a shared uncertainty (a standard deviation, in the prior's unit) added to the bias."""
        if doubt <= 0:
            return self
        reach = 4 * doubt
        low, high = float(self.bias[0]) - reach, float(self.bias[-1]) + reach
        step = min(float(self.bias[1] - self.bias[0]), doubt / 3)
        bias: Floats = np.linspace(low, high, min(math.ceil((high - low) / step) + 1, _MOST_BLURRED))
        # What lies between two points of the grid is shared out along a straight line; points alone would stand as
        # lumps wherever the doubt is smaller than the step between them.
        at, mass = _finer(self.bias, self.weight, _FINER_TO_BLUR)
        apart = float(at[1] - at[0])
        away: Floats = bias[:, None] - at[None, :]
        kernel = _ramp(away + apart, doubt) - 2 * _ramp(away, doubt) + _ramp(away - apart, doubt)
        np.maximum(kernel, 0.0, out=kernel)
        weight: Floats = kernel @ mass
        return Posterior(bias, self.log_spread, weight / float(weight.sum()), self.noise)


def posterior(
    intervals: Sequence[Interval], prior: Prior | None = None, *, lapse: float = LAPSE_SHARE, noise: float = 0.0
) -> Posterior:
    """Posterior of bias and spread given readings.

    Parameters
    ----------
    intervals : readings in the prior's unit; an interval of no width is a density; may be empty. One that weighs half
        counts as half a reading: its likelihood to the power of its weight
    prior : see `Prior`; None: that of starts
    lapse : share of readings taken for mishits, 0 ≤ lapse < 1
    noise : standard deviation s of the reading noise: adds s² to σ² in the likelihood; spread is without it

    Returns
    -------
    Posterior

    References
    ----------
    Handbook 5. Interval-censored normal likelihood; the lapse is uniform over ± 10 units, or as far as the readings
    reach.
    """
    before = START() if prior is None else prior
    counts: dict[Interval, int] = {}
    for it in intervals:
        counts[it] = counts.get(it, 0) + 1
    seen = list(counts)
    times = np.array([counts[it] * it.weight for it in seen], dtype=np.float64)
    told = Seen(seen, lapse, lapse_reach(seen)) if seen else None

    def log_density(bias: Floats, log_spread: Floats) -> Floats:
        z = (bias - before.bias_mean) / before.bias_sd
        y = (log_spread - math.log(before.spread_median)) / before.spread_log_sd
        value = -0.5 * (z[:, None] ** 2 + y[None, :] ** 2)
        if told:
            table = told.log_likelihood(bias, np.hypot(np.exp(log_spread), noise))
            value += (times @ table.reshape(times.size, -1)).reshape(value.shape)
        return value

    low, high = _start_box(seen, before)
    readings = float(times.sum())
    for _ in range(_PASSES):
        bias, log_spread = _axes(low, high, _COARSE)
        # Of spreads so small beside the step that their ridge may lie between two biases nothing is known yet.
        blind = np.hypot(np.exp(log_spread), noise) < (bias[1] - bias[0]) * math.sqrt(readings) / _SEEN_FROM
        low, high, shrunk = _zoom(log_density(bias, log_spread), bias, log_spread, blind)
        if not shrunk:
            break
    bias, log_spread = _axes(low, high, _FINE)
    value = log_density(bias, log_spread)
    weight = np.exp(value - value.max())
    return Posterior(bias, log_spread, weight / weight.sum(), noise)


def _start_box(seen: Sequence[Interval], prior: Prior) -> tuple[tuple[float, float], tuple[float, float]]:
    ends = [end for it in seen for end in (it.low, it.high) if math.isfinite(end)]
    bias_low = min([prior.bias_mean - 5 * prior.bias_sd, *ends])
    bias_high = max([prior.bias_mean + 5 * prior.bias_sd, *ends])
    middle = math.log(prior.spread_median)
    spread_high = max(middle + 5 * prior.spread_log_sd, math.log(bias_high - bias_low))
    return (bias_low, middle - 5 * prior.spread_log_sd), (bias_high, spread_high)


def _axes(low: tuple[float, float], high: tuple[float, float], shape: tuple[int, int]) -> tuple[Floats, Floats]:
    return np.linspace(low[0], high[0], shape[0]), np.linspace(low[1], high[1], shape[1])


def _zoom(
    value: Floats, bias: Floats, log_spread: Floats, blind: NDArray[np.bool_]
) -> tuple[tuple[float, float], tuple[float, float], bool]:
    """The box that holds everything within _DEPTH of the peak, one cell wider; and whether it got clearly smaller.

    Spreads that are `blind`, the smallest, stay in it unless the next larger one and all of them are far from the peak.
    """
    near = value > value.max() - _DEPTH
    rows, known = np.flatnonzero(near.any(axis=1)), near.any(axis=0)
    if known[blind].any() or known[~blind][:1].all():
        known |= blind
    columns = np.flatnonzero(known)
    first = (max(int(rows[0]) - 1, 0), max(int(columns[0]) - 1, 0))
    last = (min(int(rows[-1]) + 1, bias.size - 1), min(int(columns[-1]) + 1, log_spread.size - 1))
    kept = (last[0] - first[0]) / (bias.size - 1) * (last[1] - first[1]) / (log_spread.size - 1)
    return (
        (float(bias[first[0]]), float(log_spread[first[1]])),
        (float(bias[last[0]]), float(log_spread[last[1]])),
        kept < 0.6,
    )


def _ramp(away: Floats, doubt: float) -> Floats:
    """The mean of max(away + e, 0) over e ~ Normal(0, doubt): its second differences blur what is linear in between."""
    z = away / doubt
    return away * normal_below(z) + doubt / math.sqrt(2 * math.pi) * np.exp(-0.5 * z * z)


def _between(low: float, high: float, bias: Floats, spread: Floats) -> Floats:
    scale = 1 / spread[None, :]
    return normal_below((high - bias[:, None]) * scale) - normal_below((low - bias[:, None]) * scale)


class Seen:
    """Different readings, ready to be weighed on any grid: (K,) of them, and the (E,) edges they share."""

    def __init__(self, seen: Sequence[Interval], lapse: float, reach: float) -> None:
        self._low = np.array([it.low for it in seen])
        high = np.array([it.high for it in seen])
        # Neighbouring marks share their edges, so the normal integral is taken once an edge.
        self._edges, place = np.unique(np.concatenate((self._low, high)), return_inverse=True)
        self._lows, self._highs = place[: len(seen)], place[len(seen) :]
        self._exact = np.flatnonzero(self._low == high)
        self._keep = 1 - lapse
        share = (np.clip(high, -reach, reach) - np.clip(self._low, -reach, reach)) / (2 * reach)
        share[self._exact] = 1 / (2 * reach)
        self._slip = lapse * share

    def log_likelihood(self, bias: Floats, spread: Floats) -> Floats:
        """(K, M, S) log likelihood of each at each grid point."""
        scale = 1 / spread
        below = normal_below((self._edges[:, None, None] - bias[None, :, None]) * scale)
        chance: Floats = below[self._highs]
        chance -= below[self._lows]
        if self._exact.size:
            z = (self._low[self._exact, None, None] - bias[None, :, None]) * scale
            chance[self._exact] = np.exp(-0.5 * z * z) * (scale / math.sqrt(2 * math.pi))
        chance *= self._keep
        chance += self._slip[:, None, None]
        return np.log(np.maximum(chance, _TINY, out=chance), out=chance)


def lapse_reach(intervals: Iterable[Interval]) -> float:
    """How far out a mishit may lie: ± 10 units, and as far out as these readings reach."""
    ends = (
        abs(end) + (_OPEN_END if math.inf in (abs(it.low), abs(it.high)) else 0.0)
        for it in intervals
        for end in (it.low, it.high)
        if math.isfinite(end)
    )
    return max(LAPSE_REACH, *ends, LAPSE_REACH)


_TABLE_END, _TABLE_STEPS, _BLOCK, _FEW = 9, 256, 8192, 1500
_TABLE_AT = np.arange(-_TABLE_END * _TABLE_STEPS, _TABLE_END * _TABLE_STEPS + 1) / _TABLE_STEPS
_TABLE_BELOW = ndtr(_TABLE_AT)
_TABLE_RISE = np.exp(-0.5 * _TABLE_AT**2) / math.sqrt(2 * math.pi) / _TABLE_STEPS
_TABLE_BEND = -0.5 * _TABLE_AT * _TABLE_RISE / _TABLE_STEPS
_TABLE_TURN = (_TABLE_AT**2 - 1) * _TABLE_RISE / _TABLE_STEPS**2 / 6


def normal_below(z: Floats) -> Floats:
    """Φ(z) to 1e-12, for the one place where it takes most of the time.

    Of many: third-order expansion about the nearest point of a table, half again as fast as `ndtr`.
    """
    if z.size < _FEW:
        return ndtr(z)
    flat, out = z.reshape(-1), np.empty(z.size)
    # In blocks, so that what it needs on the way stays in the processor's cache.
    for first in range(0, z.size, _BLOCK):
        at = flat[first : first + _BLOCK] * _TABLE_STEPS
        at += _TABLE_END * _TABLE_STEPS
        np.maximum(at, 0, out=at)
        np.minimum(at, 2 * _TABLE_END * _TABLE_STEPS, out=at)
        nearest = np.rint(at)
        at -= nearest
        cell = nearest.astype(np.intp)
        step = _TABLE_TURN.take(cell, mode="clip")
        for table in (_TABLE_BEND, _TABLE_RISE, _TABLE_BELOW):
            step *= at
            step += table.take(cell, mode="clip")
        out[first : first + _BLOCK] = step
    return out.reshape(z.shape)


def cumulative(at: Floats, mass: Floats) -> tuple[Floats, Floats]:
    """Cumulative distribution of a density known on an even grid, on one ten times finer."""
    fine, density = _finer(at, mass, 10)
    total = np.concatenate(([0.0], np.cumsum((density[1:] + density[:-1]) / 2)))
    return fine, total / total[-1]


def _finer(at: Floats, mass: Floats, times: int) -> tuple[Floats, Floats]:
    """A density known on an even grid (axis 0), on one so many times finer; its sum is not kept.

    Where the log density is smooth it is interpolated by a local parabola; where it breaks off, as for spreads far
    under the width of a zone, the density itself by a straight line: a parabola would rise far over it.
    """
    fine: Floats = np.linspace(float(at[0]), float(at[-1]), (at.size - 1) * times + 1)
    nearest = np.clip(np.rint((fine - at[0]) / (at[1] - at[0])).astype(np.intp), 1, at.size - 2)
    t = ((fine - at[nearest]) / (at[1] - at[0])).reshape(-1, *[1] * (mass.ndim - 1))
    log_mass = np.log(np.maximum(mass, _TINY))
    before, here, after = log_mass[nearest - 1], log_mass[nearest], log_mass[nearest + 1]
    bend = after - 2 * here + before
    smooth = np.abs(bend) < _BREAKS_OFF
    curved = np.exp(np.where(smooth, here + t * (after - before) / 2 + t * t * bend / 2, 0.0))
    beside = np.where(t < 0, mass[nearest - 1], mass[nearest + 1])
    return fine, np.where(smooth, curved, mass[nearest] + np.abs(t) * (beside - mass[nearest]))
