"""One spread behind all blocks of a golfer, where readings through zones tell the level by it.

Ten putts through a wide gate are as likely of a golfer who scatters little and starts beside its middle as of one who
scatters more and starts in it. Weighed block by block each takes the golfer for the second, and six of them make that
certain. Weighed together, over the spreads there may be, they don't: the spread is one, and what it is stays open.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Final

import numpy as np

from ..certainty.estimate import INTERVAL, Estimate
from .level import Member, before_reading, believed_taus
from .pooled import Pooled
from .posterior import Floats, Prior, cumulative
from .sites import evidence, sited

_NODES: Final = 11
_REACH: Final = 2.5
_PASSES: Final = 3
_FINE_ENOUGH: Final = 0.7
"""Steps between nodes, in standard deviations of what is told of the spread."""
_NEXT_TO_NONE: Final = 0.01
_TELLS: Final = 0.6
"""The spread is told where what is known of it is narrower than this part of what is believed before."""


@dataclass(frozen=True, slots=True)
class Common:
    """The spread that all blocks share, and the blocks under each that is likely; `spread` is None where the readings
    say next to nothing of it."""

    spread: Estimate | None
    members: tuple[Member, ...]


def common_spread(blocks: Sequence[Pooled], steps: Sequence[float], prior: Prior, scale: float) -> Common:
    """Weigh the spreads there may be.

    Parameters
    ----------
    blocks, steps, scale : as `level` takes them; what a block with a joint likelihood tells is told by that alone
    prior : of level and spread
    """
    among = _Among(
        blocks,
        prior,
        before_reading(blocks, steps, prior.bias_sd, scale),
        tuple((before_reading(blocks, steps, prior.bias_sd, scale, tau), log) for tau, log in believed_taus()),
    )
    told = among.over(math.log(prior.spread_median), prior.spread_log_sd)
    for _ in range(_PASSES):
        if told.wide >= _FINE_ENOUGH * told.step:
            break
        told = among.over(told.centre, max(told.wide, told.step / _REACH))
    return Common(
        spread=_estimate(told.nodes, told.weight) if told.wide < _TELLS * prior.spread_log_sd else None,
        members=tuple(
            among.member(float(node))
            for node, share in zip(told.nodes, told.weight, strict=True)
            if share > _NEXT_TO_NONE
        ),
    )


@dataclass(frozen=True, slots=True)
class _Weighed:
    """(N,) logarithms of spreads, and the weight of each."""

    nodes: Floats
    weight: Floats

    @property
    def centre(self) -> float:
        return float(self.weight @ self.nodes)

    @property
    def wide(self) -> float:
        return math.sqrt(float(self.weight @ (self.nodes - self.centre) ** 2))

    @property
    def step(self) -> float:
        return float(self.nodes[1] - self.nodes[0])


@dataclass(frozen=True, slots=True)
class _Among:
    """Blocks among themselves before anything was read: as they usually lie, and as they may, each with the logarithm
    of how likely that is."""

    blocks: Sequence[Pooled]
    prior: Prior
    usual: Floats
    latents: tuple[tuple[Floats, float], ...]

    def over(self, centre: float, wide: float) -> _Weighed:
        """Weigh spreads about a middle one, all told by their logarithms."""
        nodes: Floats = np.linspace(centre - _REACH * wide, centre + _REACH * wide, _NODES)
        log = np.array([self._believed(float(it)) + self._evidence(float(it)) for it in nodes])
        weight: Floats = np.exp(log - log.max())
        return _Weighed(nodes, weight / weight.sum())

    def member(self, log_spread: float) -> Member:
        """The blocks as they would tell the level, were this the spread."""
        it = sited(self._at(log_spread), self.usual, self.prior.bias_mean)
        return Member(self._believed(log_spread) + it.constant, it.blocks)

    def _at(self, log_spread: float) -> list[Pooled]:
        return [it if it.joint is None else replace(it, grid=it.joint.at(log_spread)) for it in self.blocks]

    def _believed(self, log_spread: float) -> float:
        return -0.5 * ((log_spread - math.log(self.prior.spread_median)) / self.prior.spread_log_sd) ** 2

    def _evidence(self, log_spread: float) -> float:
        """How well a spread tells what was read. It also tells how far blocks lie from each other: were that taken for
        certain, the spread would be too sure."""
        at, about = self._at(log_spread), self.prior.bias_mean
        each: list[float] = []
        for latent, log in self.latents:
            # A gate tells flatly and breaks off: the normal that stands for it beside some is none beside others.
            it = sited(at, latent, about)
            each.append(log + it.constant + evidence(it.blocks, latent, about))
        return float(np.logaddexp.reduce(each))


def _estimate(nodes: Floats, weight: Floats) -> Estimate:
    at, mass = cumulative(nodes, weight)
    low, middle, high = (math.exp(float(np.interp(it, mass, at))) for it in (INTERVAL[0], 0.5, INTERVAL[1]))
    return Estimate(middle, low, high)
