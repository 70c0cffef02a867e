"""Grows with distance: the bias goes with the length of the putt."""

from collections.abc import Sequence

import numpy as np

from ....certainty.estimate import estimated, normal
from ....certainty.matter import MATTERS
from ....estimate import Posterior
from ....estimate.cost import Mix, share_within
from ....estimate.posterior import Floats
from ...distance import Trend, grown, trend
from ..case import Case, pooled
from ..currency import DRAWN, weight_of
from ..evidence import Place
from ..finding import Fact, Finding, called, needs, unread

LENGTHS, EACH = 3, 6


def at_lengths(case: Case) -> list[tuple[float, Posterior, int]]:
    """Own putts by length, shortest first: length (m), posterior, putts."""
    lengths = sorted({round(it.distance_m, 1) for it in case.own if it.starts})
    found: list[tuple[float, Posterior, int]] = []
    for length in lengths:
        here = [it for it in case.own if it.starts and round(it.distance_m, 1) == length]
        putts = sum(len(it.starts) for it in here)
        if putts >= EACH:
            found.append((length, pooled(here), putts))
    return found


def find(case: Case) -> Finding:
    """Weighed by turning the slope level: about the usual lengths' mean, or down to what the shortest putts show,
    whichever brings more; an error that grows from nothing has no other mean to be mended."""
    told = at_lengths(case)
    missing = needs(("lengths", len(told), LENGTHS))
    if missing:
        return unread("distance", missing)
    line = _line(told)
    shares = [weight for _, weight in case.evidence.mix.halves]
    about = float(np.dot(shares, case.evidence.lengths_m))
    gain = max((_gain(case, line, it) for it in (about, told[0][0])), key=lambda it: float(it.mean()))
    weight = weight_of(gain)
    far, _ = case.matters_deg
    found = grown(line, told[0][0], told[-1][0], far)
    matter = MATTERS["gain"]
    # What grows must also be worth levelling; both are told by the same slope.
    chance = min(found.grows, float((gain >= matter.matters_from).mean()))
    right, left = (chance, 0.0) if found.slope.value > 0 else (0.0, chance)
    call = called(right, left, float((gain < matter.nothing_under).mean()), missing, cost=weight.value)
    speaks = "for" if call.names_direction else "against"
    facts = tuple(
        Fact(
            "at_length",
            speaks,
            estimated(post.bias_quantile),
            number=count,
            at=Place("start", _block_at(case, length)),
            length_m=length,
        )
        for length, post, count in told
    )
    return Finding("distance", weight, call, found.slope, "deg_per_m", facts, missing)


def grows_from_nothing(case: Case) -> bool:
    """Whether no bias is left at no length: what the stroke shows is then all of the growth."""
    line = _line(at_lengths(case))
    return not normal(float(line.mean[0]), float(np.sqrt(line.cov[0, 0]))).is_one_side


def _line(told: Sequence[tuple[float, Posterior, int]]) -> Trend:
    return trend([(length, estimated(post.bias_quantile)) for length, post, _ in told])


def _gain(case: Case, line: Trend, about_m: float) -> Floats:
    it = case.evidence
    drawn = np.random.default_rng(19).multivariate_normal(line.mean, line.cov, DRAWN)
    slope, scatter = float(line.mean[1]), np.random.default_rng(37).permutation(case.spread)
    gain = np.zeros(DRAWN)
    for length, window, (_, weight) in zip(it.lengths_m, it.mix.windows, it.mix.halves, strict=True):
        mix, bias = Mix.one(window), drawn[:, 0] + drawn[:, 1] * length
        level = bias - slope * (length - about_m)
        gain += 100 * weight * (share_within(mix, level, scatter) - share_within(mix, bias, scatter))
    return gain


def _block_at(case: Case, length: float) -> str:
    return next(it.id for it in case.own if round(it.distance_m, 1) == length)
