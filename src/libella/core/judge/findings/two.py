"""Two sides against each other in every link the data hold: two lessons, two blocks, one before a change and one after.

A link's difference is weighed by what it costs at the golfer's usual putts, as everything is; the spread by what the
narrower one gains.
"""

import math
from dataclasses import dataclass
from typing import Final, Literal

import numpy as np

from ...certainty.estimate import Estimate, around
from ...certainty.matter import MATTERS
from ...certainty.verdict import Verdict, weigh
from ...certainty.vial import Vial
from ...estimate.cost import Mix, difference_limits, settles, share_within, weigh_difference
from ...estimate.posterior import Floats
from ...measure.window import Window
from .case import Case
from .chain_picture import Chain, LinkName, chain_of
from .evidence import Evidence

Changed = Literal["length", "green", "guide", "proof", "disturbances", "place", "set_up"]
MOST: Final = 60
_DRAWN: Final = 400


@dataclass(frozen=True, slots=True)
class LinkBeside:
    """A link on both sides.

    Attributes
    ----------
    by : how much further right it lies on the second side, degrees
    call : whether by enough to matter; `side` is where to
    """

    name: LinkName
    first: Vial
    second: Vial
    by: Estimate
    call: Verdict


@dataclass(frozen=True, slots=True)
class TwoSides:
    """Both sides.

    Attributes
    ----------
    links : those read on both, the start last
    steadier : whether the second side scatters less ("left") or more ("right"); None where a start is missing
    spreads : of the starts, first and second
    more_putts : so many more starts on each side should settle the start, four times in five; 0 where it is settled,
        None where it would take more than `MOST`, or nothing was putted on a side
    """

    links: tuple[LinkBeside, ...]
    chains: tuple[Chain, Chain]
    steadier: Verdict | None
    spreads: tuple[Estimate, Estimate] | None
    more_putts: int | None

    @property
    def moved(self) -> tuple[LinkBeside, ...]:
        """The links that likely moved."""
        return tuple(it for it in self.links if it.call.names_direction)


def two_sides(first: Evidence, second: Evidence, window: Window) -> TwoSides:
    """Set the second side beside the first."""
    cases = Case(first), Case(second)
    chains = chain_of(cases[0], window), chain_of(cases[1], window)
    spread = float(np.mean([np.median(it.spread) for it in cases]))
    shown = {it.name: it for it in chains[1].links}
    links: list[LinkBeside] = []
    for it in chains[0].links:
        other = shown.get(it.name)
        if other is None:
            continue
        by = around(other.bias.value - it.bias.value, math.hypot(it.bias.doubt, other.bias.doubt))
        links.append(LinkBeside(it.name, it.vial, other.vial, by, weigh_difference(by, spread, first.mix)))
    starts = [it.start for it in cases]
    if starts[0] is None or starts[1] is None:
        return TwoSides(tuple(links), chains, None, None, None)
    start = next(it for it in links if it.name == "start")
    told = tuple(next(it.spread for it in chain.links if it.name == "start") for chain in chains)
    assert told[0] is not None and told[1] is not None
    calmer = steadier(cases[0].spread, cases[1].spread, cases[0].evidence.mix)
    return TwoSides(tuple(links), chains, calmer, (told[0], told[1]), _more_putts(start, cases, spread))


def steadier(first: Floats, second: Floats, mix: Mix) -> Verdict:
    """Whether the second spread, (N,) draws in degrees, is less ("left") or more ("right") than the first: by what the
    spread alone is worth at the usual putts."""
    matter = MATTERS["difference"]
    rng = np.random.default_rng(41)
    one, other = (share_within(mix, np.zeros(it.size), rng.permutation(it)) for it in (first, second))
    gain = 100 * (other - one)
    less, more = float((gain >= matter.matters_from).mean()), float((gain <= -matter.matters_from).mean())
    return weigh(more, less, float((np.abs(gain) < matter.nothing_under).mean()))


def _more_putts(it: LinkBeside, cases: tuple[Case, Case], spread: float) -> int | None:
    """By playing both sides on from what is known: what they share for themselves never averages out."""
    if it.call.word != "open":
        return 0
    limits = difference_limits(spread, cases[0].evidence.mix)
    counts = [len(case.starts) for case in cases]
    sampled = sum(float(np.median(case.spread)) ** 2 / n for case, n in zip(cases, counts, strict=True))
    shared = max(it.by.sd**2 - sampled, 0.0)
    rng = np.random.default_rng(43)
    true = rng.normal(it.by.value, it.by.sd, _DRAWN)
    for more in (5, 10, 15, 20, 30, 40, MOST):
        later = sum(float(np.median(case.spread)) ** 2 / (n + more) for case, n in zip(cases, counts, strict=True))
        if settles(rng.normal(true, math.sqrt(later)), math.sqrt(shared + later), limits):
            return more
    return None
