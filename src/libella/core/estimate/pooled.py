"""What one block adds to a golfer's level: its likelihood, its own prior divided out, and what it shares."""

import math
from collections.abc import Hashable, Sequence
from dataclasses import dataclass
from typing import Final

import numpy as np

from .posterior import Floats, Posterior, Prior

LEAST_SD: Final = 1e-3
_TINY: Final = 1e-300
_OFF_GRID: Final = -30.0
"""Log-likelihood of a spread beyond a block's grid: it has next to no weight there."""


@dataclass(frozen=True, slots=True)
class Pooled:
    """What one block adds: the likelihood of its mean as a normal, and what it shares with others.

    Attributes
    ----------
    day : when, in days
    mean, sd : of the block's mean, the prior divided out
    laying, laying_sd : blocks read on one laying share what is unknown of its placement
    device, device_sd : those read with one device at one setting share its zero; None where none was
    grid : where the likelihood is no normal, such as of readings that are all open to one side: values of the mean, and
        its log-likelihood there; `mean` and `sd` are then only where to begin, and `sited` finds the normal
    joint : where the mean is told by the spread, which all blocks share: `common_spread` lays the grid of it
    """

    day: float
    mean: float
    sd: float
    laying: Hashable = None
    laying_sd: float = 0.0
    device: Hashable = None
    device_sd: float = 0.0
    grid: tuple[Floats, Floats] | None = None
    joint: "Joint | None" = None


def likelihood_of(values: Floats, weights: Floats, prior_mean: float, prior_sd: float) -> tuple[float, float] | None:
    """Mean and standard deviation of a normal likelihood, from a posterior on a grid and its normal prior; None where
    the readings say next to nothing."""
    mean = float(weights @ values)
    return normal_likelihood(mean, math.sqrt(float(weights @ (values - mean) ** 2)), prior_mean, prior_sd)


def normal_likelihood(mean: float, sd: float, prior_mean: float, prior_sd: float) -> tuple[float, float] | None:
    """The same from a posterior told by its mean and standard deviation."""
    var = max(sd, LEAST_SD) ** 2
    if var >= 0.98 * prior_sd**2:
        return None
    precision = 1 / var - 1 / prior_sd**2
    return (mean / var - prior_mean / prior_sd**2) / precision, 1 / math.sqrt(precision)


def bias_likelihood(post: Posterior, prior: Prior) -> tuple[float, float] | None:
    """Of a block's bias."""
    return likelihood_of(post.bias, post.weight.sum(axis=1), prior.bias_mean, prior.bias_sd)


def spread_likelihood(post: Posterior, prior: Prior) -> tuple[float, float] | None:
    """Of the logarithm of a block's spread."""
    return likelihood_of(post.log_spread, post.weight.sum(axis=0), math.log(prior.spread_median), prior.spread_log_sd)


@dataclass(frozen=True, slots=True)
class Joint:
    """The likelihood of a block's mean and spread together, where its readings tell the one by the other.

    Attributes
    ----------
    bias : (M,) means
    log_spread : (S,) logarithms of spreads
    log : (M, S) log-likelihood
    """

    bias: Floats
    log_spread: Floats
    log: Floats

    def at(self, log_spread: float) -> tuple[Floats, Floats]:
        """Means, and the log-likelihood of each were the spread this."""
        place = np.interp(log_spread, self.log_spread, np.arange(self.log_spread.size))
        if not self.log_spread[0] <= log_spread <= self.log_spread[-1]:
            return self.bias, np.full(self.bias.size, _OFF_GRID)
        low = min(int(place), self.log_spread.size - 2)
        part = place - low
        return self.bias, (1 - part) * self.log[:, low] + part * self.log[:, low + 1]


def joint_likelihood(post: Posterior, prior: Prior) -> Joint:
    """A posterior with its prior divided out."""
    z = (post.bias - prior.bias_mean) / prior.bias_sd
    y = (post.log_spread - math.log(prior.spread_median)) / prior.spread_log_sd
    log = np.log(np.maximum(post.weight, _TINY)) + 0.5 * (z[:, None] ** 2 + y[None, :] ** 2)
    return Joint(post.bias, post.log_spread, log)


def off_by_themselves(blocks: Sequence[Pooled]) -> Floats:
    """What blocks are off by themselves, and what they share by laying and device."""
    found: Floats = np.diag([it.sd**2 for it in blocks])
    for key, size in (("laying", "laying_sd"), ("device", "device_sd")):
        sd = np.array([getattr(it, size) for it in blocks])
        numbers: dict[Hashable, int] = {}
        # One of its own shares with nobody, and is as unsure: it gets a number none else has.
        names = [getattr(it, key) for it in blocks]
        own = np.array([-1 - n if it is None else numbers.setdefault(it, len(numbers)) for n, it in enumerate(names)])
        found = found + np.where(np.equal.outer(own, own), np.minimum.outer(sd, sd) ** 2, 0.0)
    return found
