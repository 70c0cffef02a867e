"""Why a claim says what it says: what it rests on, what was left out, how its word came about, what would change it
most. All of it is worked out from the claim itself and from what it was made of."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

import numpy as np

from ...certainty.estimate import estimated
from ...certainty.verdict import Verdict
from ...estimate import Posterior, Prior
from ...estimate.cost import share_within
from ...estimate.kind import Sided, Split
from ...estimate.posterior import Floats
from ...measure.interval import Interval
from ..claims.level import Chances, Level, Weighing, chances_of, noise_of, post_of, shared_of
from ..claims.reads import Claim
from ..claims.share import ShareOf
from ..ledger.entry import Batch, Ledger
from .readings import LeftOut, Rests, left_out, rests_on

_MOST: Final = 60
"""Readings beyond which none is taken out to see what it does."""


@dataclass(frozen=True, slots=True)
class Sums:
    """How a level's word comes about.

    Attributes
    ----------
    prior : what was believed before
    single, shared, together : what is not known of the middle, one standard deviation each: by single readings, by what
        they all share, and both; in the quantity's unit
    chances : what the word hangs on
    without, with_it : putts of a hundred that start inside without the bias and with it; None where no putt weighs it
    """

    prior: Prior
    single: float
    shared: float
    together: float
    chances: Chances
    without: float | None
    with_it: float | None


@dataclass(frozen=True, slots=True)
class Moves:
    """What would change it: `by`: how far its middle, or how much less is left unknown, in the quantity's unit."""

    what: Literal["prove_line", "twice_as_many", "one_reading"]
    by: float
    reading: Rests | None = None


@dataclass(frozen=True)
class Explained:
    """A claim opened; no sums of what is not weighed by readings here: shares, and what its own step worked out."""

    claim: Claim
    rests: tuple[Rests, ...]
    left_out: tuple[LeftOut, ...]
    sums: Sums | None
    call: Verdict | None
    moves: tuple[Moves, ...]


def explained(ledger: Ledger, claim: Claim, by: Weighing) -> Explained:
    """Open a claim that was made of this ledger."""
    name = claim.quantity.name
    told = [it for it in ledger.of(name) if it.id in claim.batches]
    rests = rests_on(told, name)
    if isinstance(claim, ShareOf):
        return Explained(claim, rests, left_out(ledger, name, told), None, claim.call, ())
    sums = _sums(claim, by)
    moves = _moves(claim, told, rests, sums) if sums else ()
    return Explained(claim, rests, left_out(ledger, name, told), sums, claim.call, moves)


def _sums(it: Level, by: Weighing) -> Sums | None:
    if isinstance(it.kind, Sided | Split):
        return None
    if it.raw is None or it.post is None or it.quantity.prior is None or it.call is None or not it.quantity.matter:
        return None
    single, together = estimated(it.raw.bias_quantile).sd, it.bias.sd
    chances = chances_of(it.post, it.quantity, it.against, by, proved=it.proved)
    if chances is None:
        return None
    without, with_it = _inside(it.post, by) if chances.cost is not None else (None, None)
    return Sums(it.quantity.prior, single, it.shared, together, chances, without, with_it)


def _inside(post: Posterior, by: Weighing) -> tuple[float, float]:
    """Putts of a hundred inside the windows of the usual putts, without the bias and with it."""
    spread: Floats = np.broadcast_to(post.spread[None, :], (post.bias.size, post.spread.size))
    straight = share_within(by.mix, np.zeros_like(spread), spread)
    as_is = share_within(by.mix, np.broadcast_to(post.bias[:, None], spread.shape), spread)
    return 100 * post.mean(straight), 100 * post.mean(as_is)


def _moves(it: Level, told: Sequence[Batch], rests: Sequence[Rests], sums: Sums) -> tuple[Moves, ...]:
    """What would change it most, the most first."""
    name = it.quantity.name
    without_line = math.hypot(sums.single, shared_of(told, name, but=("line",)))
    whole = math.hypot(sums.single, sums.shared)
    found = [
        Moves("prove_line", whole - without_line),
        Moves("twice_as_many", whole - math.hypot(sums.single / math.sqrt(2), sums.shared)),
    ]
    one = _one_reading(it, told, rests)
    found += [one] if one is not None else []
    return tuple(sorted((move for move in found if move.by > 0), key=lambda move: -move.by))


def _one_reading(it: Level, told: Sequence[Batch], rests: Sequence[Rests]) -> Moves | None:
    """The reading without which the middle lies elsewhere most."""
    numbers = [(n, one.value) for n, one in enumerate(rests) if isinstance(one.value, Interval)]
    if not 3 <= len(numbers) <= _MOST or it.quantity.prior is None:
        return None
    noise = noise_of(told, it.quantity.name)
    middles: dict[Interval, float] = {}
    for _, value in numbers:
        if value not in middles:
            rest = [other for _, other in numbers]
            rest.remove(value)
            middles[value] = post_of([*rest, *it.implied], it.quantity.prior, noise).bias_quantile(0.5)
    n, value = max(numbers, key=lambda one: abs(middles[one[1]] - it.bias.value))
    return Moves("one_reading", abs(middles[value] - it.bias.value), rests[n])
