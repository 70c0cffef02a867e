"""Two of a golfer's lines set beside each other: the same link under two conditions, as far as all lessons tell."""

import math
from dataclasses import dataclass
from typing import Final

import numpy as np
from scipy.special import ndtr

from ..certainty.estimate import Estimate, around
from ..certainty.matter import MATTERS, Matter
from ..certainty.verdict import NINETY, Verdict, weigh
from ..estimate import START
from ..estimate.cost import Mix, weigh_difference
from ..estimate.posterior import Floats
from .chain import K_USUAL
from .findings.two import steadier
from .golfers_line import GolfersLine, Link

_DRAWN: Final = 2000
_BY_SIZE: Final[dict[Link, Matter]] = {
    "eyes": MATTERS["eyes_outside_zone"],
    "looks_straight": MATTERS["looks_straight"],
}
"""Links that no putts are lost by as such: how far apart they lie is what matters."""


@dataclass(frozen=True, slots=True)
class LinesBeside:
    """Both lines.

    Attributes
    ----------
    by : how much further right, of eyes further in, the second lies, in the lines' unit
    call : whether by enough to matter; `side` is where to
    steadier : whether the second scatters less ("left") or more ("right"); None where a spread is missing, and of
        eyes, whose wander is a set-up's own matter
    """

    first: GolfersLine
    second: GolfersLine
    by: Estimate
    call: Verdict
    steadier: Verdict | None


def lines_beside(first: GolfersLine, second: GolfersLine, mix: Mix) -> LinesBeside:
    """Set two lines of one link beside each other.

    What they share of one device or one laying would fall out of the difference; it is left in, so the difference is
    surer than told, never less. Of a path that share counts that reaches the start, 1 − k.
    """
    by = around(second.now.value - first.now.value, math.hypot(first.now.doubt, second.now.doubt))
    by_size = _BY_SIZE.get(first.link)
    if by_size is not None:
        call = _by_size(by, by_size)
    else:
        share = 1 - K_USUAL.value if first.link == "path" else 1.0
        felt = around(share * by.value, share * by.doubt)
        call = weigh_difference(felt, float(np.mean([_spread(it) for it in (first, second)])), mix)
    if first.link in _BY_SIZE or first.spread is None or second.spread is None:
        return LinesBeside(first, second, by, call, None)
    return LinesBeside(first, second, by, call, steadier(_spreads(first.spread), _spreads(second.spread), mix))


def _by_size(by: Estimate, matter: Matter) -> Verdict:
    sd = max(by.sd, 1e-6)
    from_, under = matter.matters_from, matter.nothing_under
    right, left = (float(ndtr((it - from_) / sd)) for it in (by.value, -by.value))
    return weigh(right, left, float(ndtr((under - by.value) / sd) - ndtr((-under - by.value) / sd)))


def _spread(it: GolfersLine) -> float:
    return START.spread_median if it.spread is None else it.spread.value


def _spreads(it: Estimate) -> Floats:
    """Drawn on its logarithm, as it was pooled."""
    sd = math.log(it.high / it.low) / (2 * NINETY)
    return it.value * np.exp(np.random.default_rng(47).normal(0.0, sd, _DRAWN))
