"""A lesson's batch as a block of the golfer's line."""

import math
from collections.abc import Hashable
from dataclasses import dataclass, replace
from typing import Final

from ..estimate.beyond import Beyond
from ..estimate.kind import Sided, Within
from ..estimate.pooled import Joint, bias_likelihood, joint_likelihood, normal_likelihood, spread_likelihood
from ..estimate.posterior import Prior
from .claims.level import FEWEST, Weighing, level_of
from .claims.level import Level as LevelClaim
from .ledger.entry import Batch
from .ledger.place import Place

_LEAST_SD: Final = 0.01


@dataclass(frozen=True, slots=True)
class LineBlock:
    """What one block tells of a quantity: when, in days; its level's likelihood and its spread's on its logarithm; what
    it shares with others of one laying, or of one device."""

    day: float
    bias: tuple[float, float] | None
    spread: tuple[float, float] | None
    lesson: Hashable
    laying: Hashable = None
    laying_sd: float = 0.0
    device: Hashable = None
    device_sd: float = 0.0
    joint: Joint | None = None
    """Its level and spread together; None where no single readings are kept."""
    sized: bool = True
    """Its readings say how far, by themselves."""
    beyond: Beyond | None = None
    """Its readings are open to one side; its edge is 0 where not all of them are: then a side is all they say."""
    count: int = 1
    zone: float | None = None
    """How far to either side the one zone reaches in which all its readings lie: they say no more."""
    place: Place | None = None
    """Where it was read."""
    proved: bool = True
    """What it was read against was measured a second way, or none counts."""
    sided: Sided | None = None
    """Told as sides, in words."""


def line_block(batch: Batch, name: str, by: Weighing) -> LineBlock | None:
    """A batch as a block of a line; None where it holds too little."""
    found = level_of([batch], name, (), by)
    if found is None or (found.count < FEWEST and found.raw is not None):
        return None
    shared = {it.what: it for it in batch.sources.get(name, ())}
    laying = [it for it in shared.values() if it.what in ("line", "laying", "slope", "tool", "disturbed")]
    device = shared.get("device")
    prior = found.quantity.prior
    assert prior is not None
    bias, spread = _likelihood(found, prior)
    stands_alone = found.raw is None or found.quantity.sides in ("more", "")
    return LineBlock(
        day=batch.day,
        bias=bias,
        spread=spread,
        lesson=batch.lesson,
        laying=(laying[0].id if laying else batch.id),
        laying_sd=math.hypot(*(it.sd for it in laying)),
        device=device.id if device else None,
        device_sd=device.sd if device else 0.0,
        joint=None if found.raw is None or stands_alone else joint_likelihood(found.raw, prior),
        sized=found.is_sized,
        beyond=_open(found),
        count=found.count,
        zone=found.kind.reach if isinstance(found.kind, Within) else None,
        sided=found.kind if isinstance(found.kind, Sided) else None,
        place=batch.place,
        proved=found.proved,
    )


def _open(it: LevelClaim) -> Beyond | None:
    if isinstance(it.kind, Sided):
        return None
    if it.beyond is None or it.beyond.times == it.count:
        return it.beyond
    return replace(it.beyond, edge=0.0)


def _likelihood(it: LevelClaim, prior: Prior) -> tuple[tuple[float, float] | None, tuple[float, float] | None]:
    if it.raw is None:
        if it.beyond is not None or it.vial.bubble_at is None:
            return None, None
        sd = max(it.bias.sd, _LEAST_SD)
        return normal_likelihood(it.bias.value, sd, prior.bias_mean, prior.bias_sd), None
    if it.quantity.sides in ("more", ""):
        # Its prior was laid about its own readings: they stand for themselves.
        return (it.bias.value, max(it.bias.sd, _LEAST_SD)), None
    if it.is_sized:
        return bias_likelihood(it.raw, prior), spread_likelihood(it.raw, prior)
    if isinstance(it.kind, Within):
        return bias_likelihood(it.raw, prior), None
    # Readings that all lie in one zone say next to nothing of how far they scatter.
    return (it.bias.value, 5 * prior.bias_sd), None
