"""What a bias costs, in putts of a hundred that start inside the window (handbook 5, verdict words).

cost(μ, σ) = 100·(share(0, σ) − share(μ, σ)), share the part of Normal(μ, σ) within half a window either side of the
start target, over one window or the weighted mean of several. It never falls as |μ| grows, so "costs at least c" is
"lies at least as far out as where it costs c".
"""

import math
from dataclasses import dataclass
from functools import cache, cached_property, lru_cache
from typing import Final

import numpy as np
from scipy.optimize import brentq
from scipy.special import ndtr, ndtri

from ..certainty.estimate import Estimate
from ..certainty.matter import MATTERS, Matter
from ..certainty.verdict import LIKELY, NONE, SETTLES, Verdict, weigh
from ..measure.window import Window
from .posterior import Floats, Posterior, normal_below

_TINY: Final = 1e-300
_HALVINGS: Final = 14
_SPREADS: Final = (math.log(0.003), math.log(60.0))
"""Between these spreads, degrees, on logarithms, costs of a mix are tabled."""
_STEEP: Final = 0.02
"""A bias that grows by more between two of them is worked out by itself."""


@dataclass(frozen=True)
class Mix:
    """Windows a start is weighed in: the one of a putt, or those of several lengths with how often each is putted."""

    windows: tuple[Window, ...]
    weights: tuple[float, ...]

    @classmethod
    def one(cls, window: Window) -> "Mix":
        return cls((window,), (1.0,))

    @cached_property
    def halves(self) -> tuple[tuple[float, float], ...]:
        """Half of each window's span, degrees, with its share of the weights."""
        total = sum(self.weights)
        return tuple((it.half_deg, weight / total) for it, weight in zip(self.windows, self.weights, strict=True))


def share_within(mix: Mix, bias: Floats, spread: Floats) -> Floats:
    """Share of Normal(bias, spread) within half a window either side of the start target; arrays broadcast."""
    if not mix.halves:
        raise ValueError("a mix has at least one window")
    halves = np.array([half for half, _ in mix.halves] + [-half for half, _ in mix.halves])
    weights = np.array([weight for _, weight in mix.halves])
    # All edges at once: of small arrays what it costs to begin is most of it.
    shape = (halves.size, *(1,) * max(bias.ndim, spread.ndim))
    below = normal_below((halves.reshape(shape) - bias) / spread)
    return np.tensordot(np.concatenate((weights, -weights)), below, axes=1)


def costs_from(putts: Floats, spread: Floats, mix: Mix) -> Floats:
    """The least |bias| that costs so many putts of a hundred, per spread; inf where no bias costs as much.

    Parameters
    ----------
    putts : (P,) more than 0
    spread : (S,) standard deviations, degrees

    Returns
    -------
    (P, S) degrees
    """
    if len(mix.halves) == 1:
        return np.stack([_costs_of_one(float(it), mix.halves[0][0], spread) for it in putts])
    return np.stack([_costs_of_mix(float(it), mix, spread) for it in putts])


def _costs_of_mix(putts: float, mix: Mix, spread: Floats) -> Floats:
    """The same for several windows, from a table over the spread: usual putts are asked for again and again."""
    edge, at, biases = _table_of(putts, mix.windows, mix.weights)
    if at.size == 1:
        return np.full(spread.shape, math.inf)
    log = np.log(spread)
    found: Floats = np.interp(log, at, biases)
    after = np.clip(np.searchsorted(at, log), 1, at.size - 1)
    steep = (log < edge) & (biases[after] - biases[after - 1] > _STEEP * found)
    if steep.any():
        # Where a window is given up for a wider one the bias runs away between two spreads of the table.
        found[steep] = _bisected(np.array([putts]), spread[steep], mix)[0]
    return np.where(log >= edge, math.inf, found)


@lru_cache(maxsize=512)
def _table_of(putts: float, windows: tuple[Window, ...], weights: tuple[float, ...]) -> tuple[float, Floats, Floats]:
    """Logarithm of the spread from which no bias costs as much, logarithms of spreads under it, the bias that does."""
    mix = Mix(windows, weights)

    def falls_short(log: float) -> float:
        return float(share_within(mix, np.zeros(1), np.array([math.exp(log)]))[0]) - putts / 100

    low, high = _SPREADS
    if falls_short(low) <= 0:
        return low, np.array([low]), np.array([math.inf])
    edge = high if falls_short(high) > 0 else float(brentq(falls_short, low, high, xtol=1e-9))
    at: Floats = np.concatenate((np.linspace(low, edge - 0.201, 1500), edge - np.geomspace(0.2, 1e-6, 400)))
    return edge, at, _bisected(np.array([putts]), np.exp(at), mix)[0]


def _bisected(putts: Floats, spread: Floats, mix: Mix) -> Floats:
    wanted = share_within(mix, np.zeros(1), spread)[None, :] - putts[:, None] / 100
    low = np.zeros_like(wanted)
    high = np.broadcast_to(max(half for half, _ in mix.halves) + 8 * spread, wanted.shape)
    for _ in range(_HALVINGS):
        middle = (low + high) / 2
        short = share_within(mix, middle, spread) > wanted
        low, high = np.where(short, middle, low), np.where(short, high, middle)
    # Between so near ends the share is straight.
    over, under = share_within(mix, low, spread) - wanted, wanted - share_within(mix, high, spread)
    return np.where(wanted > 0, low + (high - low) * over / np.maximum(over + under, _TINY), math.inf)


def _costs_of_one(putts: float, half: float, spread: Floats) -> Floats:
    """The same for one window, from a table over half the window in spreads: everything else is scale."""
    at, biases = _table(putts)
    ratio = np.log(half / spread)
    found: Floats = np.interp(ratio, at, biases) * spread
    # Where even a bias out of all sight costs less, and beyond the table's ends, which are out of sight too.
    return np.where(ratio <= at[0], math.inf, np.where(ratio > at[-1], half, found))


@cache
def _table(putts: float) -> tuple[Floats, Floats]:
    """Logarithms of half a window in spreads, evenly, and the bias in spreads that costs so many putts there."""
    least = float(ndtri((1 + putts / 100) / 2))
    at: Floats = np.concatenate(
        (math.log(least) + np.geomspace(1e-6, 0.2, 400), np.linspace(math.log(least) + 0.201, math.log(1000), 4000))
    )
    spreads = np.exp(-at)
    one = Mix.one(Window(1.0, 1.0))
    return at, _bisected(np.array([putts]), spreads, one)[0] / spreads


@dataclass(frozen=True, slots=True)
class Cost:
    """What a posterior says its bias costs.

    Attributes
    ----------
    right, left : chance that it lies to that side and costs enough to matter
    small : chance that it costs too little to mend
    mean : posterior mean of the cost, putts of a hundred
    """

    right: float
    left: float
    small: float
    mean: float


def cost(post: Posterior, mix: Mix, matter: Matter) -> Cost:
    """What the bias costs, by the sizes that matter of the quantity (handbook 5)."""
    sides = Sides.of(post, mix, matter)
    return Cost(post.mean(sides.right), post.mean(sides.left), post.mean(sides.small), post.mean(costs(post, mix)))


def costs(post: Posterior, mix: Mix) -> Floats:
    """(M, S) what the bias costs in every grid cell, putts of a hundred."""
    straight = share_within(mix, np.zeros(1), post.spread)[None, :]
    return 100 * (straight - share_within(mix, post.bias[:, None], post.spread[None, :]))


def weigh_difference(moved: Estimate, spread: float, mix: Mix) -> Verdict:
    """The word for a difference of two biases, degrees, by what it costs at this spread."""
    return weigh_by(moved, difference_limits(spread, mix))


def difference_limits(spread: float, mix: Mix) -> tuple[float, float]:
    """From which difference of two biases on it matters at this spread, and under which it does not, degrees."""
    return limits_at(MATTERS()["difference"], spread, mix)


def limits_at(matter: Matter, spread: float, mix: Mix) -> tuple[float, float]:
    """From which |bias| on it matters at this spread, and under which there is nothing to mend, degrees."""
    far, near = costs_from(np.array([matter.matters_from, matter.nothing_under]), np.array([spread]), mix)[:, 0]
    return float(far), float(near)


def weigh_by(moved: Estimate, limits: tuple[float, float]) -> Verdict:
    """The word for a difference, by from where it matters and under where it does not."""
    chances = _chances(np.array([moved.value]), max(moved.sd, 1e-6), limits)
    right, left, small = (float(it[0]) for it in chances)
    return weigh(right, left, small)


def settles(seen: Floats, sd: float, limits: tuple[float, float]) -> bool:
    """Whether differences known to `sd` have a word in enough of what may be seen, (N,)."""
    right, left, small = _chances(seen, sd, limits)
    return float(np.mean((np.maximum(right, left) >= LIKELY()) | (small >= NONE()))) >= SETTLES()


def _chances(value: Floats, sd: float, limits: tuple[float, float]) -> tuple[Floats, Floats, Floats]:
    """(N,) each: that it matters to the right, to the left, that it does not."""
    far, near = limits
    small: Floats = ndtr((near - value) / sd) - ndtr((-near - value) / sd)
    return ndtr((value - far) / sd), ndtr((-far - value) / sd), small


@dataclass(frozen=True, slots=True)
class Sides:
    """(M, S) each: the share of every grid cell in which the bias matters on a side, or is too small to mend."""

    right: Floats
    left: Floats
    small: Floats

    @classmethod
    def of(cls, post: Posterior, mix: Mix, matter: Matter, doubt: float = 0.0) -> "Sides":
        """`doubt`: a standard uncertainty of the bias that is not in the grid yet."""
        far, near = costs_from(np.array([matter.matters_from, matter.nothing_under]), post.spread, mix)
        inside = _above(post.bias, -near, doubt) - _above(post.bias, near, doubt)
        return cls(_above(post.bias, far, doubt), 1 - _above(post.bias, -far, doubt), inside)


def _above(bias: Floats, limit: Floats, doubt: float) -> Floats:
    """(M, S) share of each cell of an even bias grid above each spread's limit, or the chance to be once doubted."""
    away = bias[:, None] - limit[None, :]
    if doubt > 0:
        return ndtr(away / doubt)
    return np.clip(away / float(bias[1] - bias[0]) + 0.5, 0.0, 1.0)
