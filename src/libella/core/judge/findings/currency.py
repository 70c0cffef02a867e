"""One currency: putts of a hundred at the golfer's usual putts, counted again with a cause taken away (handbook 6).

Taken away means shifted by the posterior median of what the cause does, never set to nothing: that would also remove
our ignorance, and every innocent link would seem to bring a few putts.
"""

from dataclasses import dataclass
from functools import cached_property

import numpy as np

from ...certainty.estimate import INTERVAL, Estimate
from ...estimate import START, Posterior
from ...estimate.cost import Mix, share_within
from ...estimate.posterior import Floats
from ..claims.difference import drawn as drawn_from

DRAWN = 2000
"""Golfers drawn from what is known."""
_SEED = 5


@dataclass(frozen=True)
class Putts:
    """Draws of the start's bias and spread, degrees, and the putts they are counted at.

    Attributes
    ----------
    bias, spread : (N,) from the posterior of the starts, or from the links where no start was read
    """

    bias: Floats
    spread: Floats
    mix: Mix

    def share(self, shift: Floats | float = 0.0, spread: Floats | None = None) -> Floats:
        """(N,) putts of a hundred that start inside the window with every bias shifted."""
        return 100 * share_within(self.mix, self.bias + shift, self.spread if spread is None else spread)

    @cached_property
    def as_it_is(self) -> Floats:
        """(N,) the same with nothing taken away; worked out once however many causes are weighed."""
        return self.share()

    def gain(self, shift: float) -> Floats:
        """(N,) what shifting every start by so much brings; negative where it costs."""
        return self.share(shift) - self.as_it_is


def weight_of(gain: Floats) -> Estimate:
    """The mean gain and its 90 % interval."""
    low, high = np.quantile(gain, INTERVAL)
    return Estimate(float(gain.mean()), float(low), float(high))


def drawn(post: Posterior, n: int = DRAWN) -> tuple[Floats, Floats]:
    """Bias and spread drawn together from a posterior, always the same draws."""
    return drawn_from(post, n, np.random.default_rng(_SEED))


def unseen_spread(middle_deg: float, n: int = DRAWN) -> Floats:
    """Spreads of a golfer whose starts nobody read: about what is expected of the level."""
    rng = np.random.default_rng(_SEED + 1)
    return middle_deg * np.exp(rng.normal(0.0, START().spread_log_sd / 2, n))
