"""Two of a golfer's lines set beside each other: the same link under two conditions, as far as all lessons tell."""

import math
from dataclasses import dataclass
from typing import Final

import numpy as np

from ..certainty.estimate import Estimate, around
from ..certainty.matter import MATTERS
from ..certainty.verdict import NINETY, NOT_WEIGHED, Verdict, weigh
from ..estimate import START
from ..estimate.cost import Mix, settles, share_within, weigh_by
from ..estimate.posterior import Floats
from .claims.difference import limits_of
from .golfers_line import GolfersLine, at_usual

MOST: Final = 8
OF_PUTTS: Final = 10
_DRAWN: Final = 2000


@dataclass(frozen=True, slots=True)
class LinesBeside:
    """Both lines.

    Attributes
    ----------
    by : how much further right, of eyes further in, the second lies, in the lines' unit
    call : whether by enough to matter; `side` is where to
    steadier : whether the second scatters less ("left") or more ("right"); None where a spread is missing, and of
        eyes, whose wander is a set-up's own matter
    more_blocks : so many more of `OF_PUTTS` readings on each should settle where they lie, four times in five; 0 where
        it is settled, None where it would take more than `MOST`
    """

    first: GolfersLine
    second: GolfersLine
    by: Estimate
    call: Verdict
    steadier: Verdict | None
    more_blocks: int | None

    @property
    def tells(self) -> bool:
        """Whether both say how far they lie: a difference needs both."""
        return self.first.has_middle and self.second.has_middle


def lines_beside(first: GolfersLine, second: GolfersLine, mix: Mix) -> LinesBeside:
    """Set two lines of one link beside each other.

    What they share of one device or one laying would fall out of the difference; it is left in, so the difference is
    surer than told, never less. Of a path that share counts that reaches the start, 1 − k.
    """
    by = around(second.now.value - first.now.value, math.hypot(first.now.doubt, second.now.doubt))
    spread = float(np.mean([_spread(it) for it in (first, second)]))
    limits = limits_of(first.quantity, spread, at_usual(mix))
    if not (first.has_middle and second.has_middle):
        return LinesBeside(first, second, by, NOT_WEIGHED, None, 0)
    call = weigh_by(by, limits)
    calmer = None
    if first.quantity.sides == "line" and first.quantity.event == "putt" and first.spread and second.spread:
        calmer = steadier(_spreads(first.spread), _spreads(second.spread), mix)
    return LinesBeside(first, second, by, call, calmer, _more_blocks(by, call, limits, (first, second)))


def steadier(first: Floats, second: Floats, mix: Mix) -> Verdict:
    """Whether the second spread, (N,) draws in degrees, is less ("left") or more ("right") than the first: by what the
    spread alone is worth at the usual putts."""
    matter = MATTERS()["difference"]
    rng = np.random.default_rng(41)
    one, other = (share_within(mix, np.zeros(it.size), rng.permutation(it)) for it in (first, second))
    gain = 100 * (other - one)
    less, more = float((gain >= matter.matters_from).mean()), float((gain <= -matter.matters_from).mean())
    return weigh(more, less, float((np.abs(gain) < matter.nothing_under).mean()))


def _more_blocks(
    by: Estimate, call: Verdict, limits: tuple[float, float], lines: tuple[GolfersLine, GolfersLine]
) -> int | None:
    """By playing both on from what is known."""
    if call.word != "open":
        return 0
    of_one = sum(it.between**2 + _spread(it) ** 2 / OF_PUTTS for it in lines)
    rng = np.random.default_rng(53)
    for more in range(1, MOST + 1):
        left = 1 / (1 / by.sd**2 + more / of_one)
        seen = rng.normal(by.value, math.sqrt(max(by.sd**2 - left, 0.0)), _DRAWN)
        if settles(seen, math.sqrt(left), limits):
            return more
    return None


def _spread(it: GolfersLine) -> float:
    prior = it.quantity.prior or START()
    return prior.spread_median if it.spread is None else it.spread.value


def _spreads(it: Estimate) -> Floats:
    """Drawn on its logarithm, as it was pooled."""
    sd = math.log(it.high / it.low) / (2 * NINETY)
    return it.value * np.exp(np.random.default_rng(47).normal(0.0, sd, _DRAWN))
