"""Shares of putts: which of two things happens oftener, and how far two shares lie apart."""

import math
from dataclasses import dataclass
from typing import Final

import numpy as np
from scipy.special import betainc, betaln

from ..certainty.estimate import Estimate

_GRID = 201


def more_often(one: float, other: float) -> tuple[float, float]:
    """Chances that the first, and that the other, is the commoner (uniform prior on the share of the first)."""
    other_more = falls_short(0.5, one, other)
    return 1 - other_more, other_more


def falls_short(of: float, times: float, others: float) -> float:
    """The chance that a thing's share is under `of`, seen so often against the other thing (uniform prior)."""
    return float(betainc(times + 1, others + 1, of))


@dataclass(frozen=True, slots=True)
class Share:
    """How often something happened, of how many."""

    times: int
    of: int


NONE_TOLD: Final = Share(0, 0)


@dataclass(frozen=True, slots=True)
class Apart:
    """How much larger the second of two shares is, in a hundred, with its 90 % interval; the chances that it is larger,
    or smaller, by enough to matter, and that the difference is too small to mend."""

    gain: Estimate
    more: float
    less: float
    small: float


def apart(first: Share, second: Share, matters_from: float, nothing_under: float) -> Apart:
    """Two shares compared, each with a uniform prior; what matters in a hundred."""
    at = (np.arange(_GRID) + 0.5) / _GRID
    logs = [it.times * np.log(at) + (it.of - it.times) * np.log1p(-at) for it in (first, second)]
    masses = [np.exp(it - it.max()) for it in logs]
    a, b = (it / it.sum() for it in masses)
    # On a grid of equal steps the difference of two shares is a sum along diagonals.
    mass = np.convolve(b, a[::-1])
    by = (np.arange(mass.size) - (_GRID - 1)) / _GRID * 100
    below = np.cumsum(mass)

    def quantile(share: float) -> float:
        return float(by[min(int(np.searchsorted(below, share)), by.size - 1)])

    return Apart(
        gain=Estimate(quantile(0.5), quantile(0.05), quantile(0.95)),
        more=float(mass[by > matters_from].sum()),
        less=float(mass[by < -matters_from].sum()),
        small=float(mass[np.abs(by) <= nothing_under].sum()),
    )


def goes_with(one: Share, other: Share, before: float, *, oftener: bool) -> float:
    """The chance that a thing happens otherwise in the first of two groups than in the other (account 2): beta-binomial
    shares apart against one share for both, each with a uniform prior.

    Parameters
    ----------
    before : that chance before any reading
    oftener : it is asked whether the first is the larger, and nothing else
    """
    apart_ = _log_mass(one) + _log_mass(other)
    alike = _log_mass(Share(one.times + other.times, one.of + other.of))
    if oftener:
        # Of the two orders of two shares one is asked about: twice as dense there, nothing in the other.
        apart_ += math.log(max(2 * _larger(one, other), 1e-300))
    odds = math.exp(apart_ - alike) * before / (1 - before)
    return odds / (1 + odds)


def _log_mass(it: Share) -> float:
    return float(betaln(it.times + 1, it.of - it.times + 1))


def _larger(one: Share, other: Share) -> float:
    """The chance that the first share is the larger, both with a uniform prior."""
    at = (np.arange(_GRID) + 0.5) / _GRID
    log = one.times * np.log(at) + (one.of - one.times) * np.log1p(-at)
    mass = np.exp(log - log.max())
    below = betainc(other.times + 1, other.of - other.times + 1, at)
    return float((mass * below).sum() / mass.sum())
