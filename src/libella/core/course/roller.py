"""How far past the hole this golfer's putts roll: an opinion until five finishes were recorded, then fitted.

A putt from d metres is meant to run s₀ past; how far it does lies about that with a spread of a + c·d (practice 5).
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

import numpy as np
from scipy.special import ndtr

from ..estimate.posterior import Floats
from ..measure.interval import Interval
from ..opinions.held import Opinion

PAST_M: Final = 0.30
SPREAD_M: Final = Opinion("roll_spread", (0.10, 0.15), ("m", "share"))
"""Mean roll past the hole, m; and its spread: so much, and so much more a metre of length: opinions (practice 5)."""
_PAST_SD: Final = Opinion("roll_differs", 0.25, "m")
_LOG_SD: Final = Opinion("roll_spread_differs", (0.6, 0.5), "log")
"""How far this golfer may differ from that, before any finish was recorded: opinions."""
_APART: Final = 1.3
"""Lengths within this ratio of each other count as one length."""
_FEWEST: Final = 5
_BEYOND: Final = 0.02


@dataclass(frozen=True, slots=True)
class Finish:
    """Where a putt ended: from how far, m; and how far past the hole it did or would run, short negative."""

    length_m: float
    past_m: Interval


@dataclass(frozen=True)
class Roller:
    """Draws of s₀, a and c, each (N,); `told`: from how many finishes, 0 where it is the opinion alone; `at_m`: the one
    length they all had, None where there are several."""

    past_m: Floats
    spread_m: Floats
    grows: Floats
    told: int = 0
    at_m: float | None = None

    def spread_at(self, lengths_m: Floats) -> Floats:
        """(N, L) the spread from each length, m."""
        return self.spread_m[:, None] + self.grows[:, None] * lengths_m[None, :]

    def only(self, n: int) -> "Roller":
        """The first of the draws."""
        return Roller(self.past_m[:n], self.spread_m[:n], self.grows[:n], self.told, self.at_m)


def known_roller(past_m: float, spread_m: float, grows: float) -> Roller:
    """One of whom all of it is known."""
    return Roller(np.array([past_m]), np.array([spread_m]), np.array([grows]))


def roller(finishes: Sequence[Finish], n: int, seed: int = 11) -> Roller:
    """What finishes tell, with the opinion before them; the opinion alone from fewer than five.

    By intervals, as everything that is read: a putt counts for the chance that it ends between its limits. One length
    tells the spread there: how much of it grows with length stays as it was believed, and so does the doubt of carrying
    it to another.
    """
    rng = np.random.default_rng(seed)
    lengths = [it.length_m for it in finishes]
    if len(finishes) < _FEWEST:
        return Roller(np.full(n, PAST_M), np.full(n, SPREAD_M()[0]), np.full(n, SPREAD_M()[1]))
    past = PAST_M + _PAST_SD() * np.linspace(-3, 3, 25)
    spread, grows = (mean * np.exp(sd * np.linspace(-3, 3, 17)) for mean, sd in zip(SPREAD_M(), _LOG_SD(), strict=True))
    grid: Floats = np.array(np.meshgrid(past, spread, grows, indexing="ij")).reshape(3, -1)
    before = -0.5 * (
        ((grid[0] - PAST_M) / _PAST_SD()) ** 2
        + (np.log(grid[1] / SPREAD_M()[0]) / _LOG_SD()[0]) ** 2
        + (np.log(grid[2] / SPREAD_M()[1]) / _LOG_SD()[1]) ** 2
    )
    log: Floats = before
    for it in finishes:
        sd = grid[1] + grid[2] * it.length_m
        low, high = ((end - grid[0]) / sd for end in (it.past_m.low, it.past_m.high))
        if it.past_m.low == it.past_m.high:
            within: Floats = np.exp(-0.5 * low**2) / (sd * math.sqrt(2 * math.pi))
        else:
            within = np.asarray(ndtr(high) - ndtr(low), dtype=np.float64)
        # One that was mishit drives nothing.
        log = log + np.log((1 - _BEYOND) * within + _BEYOND * 0.1)
    weight: Floats = np.exp(log - log.max())
    at = rng.choice(weight.size, size=n, p=weight / weight.sum())
    one_length = max(lengths) < _APART * min(lengths)
    at_m = sum(lengths) / len(lengths) if one_length else None
    return Roller(grid[0, at], grid[1, at], grid[2, at], len(finishes), at_m)
