"""Grows with distance: the bias goes with the length of the putt."""

from dataclasses import replace

import numpy as np

from ....certainty.estimate import Estimate
from ....certainty.matter import MATTERS
from ....estimate import START
from ....estimate.cost import Mix, share_within
from ....estimate.posterior import Floats
from ....measure.interval import Interval
from ...claims.growth import Growth
from ...claims.level import noise_of, post_of
from ..case import Case
from ..currency import DRAWN, drawn, weight_of
from ..finding import Fact, Finding, called, needs, unread
from ..pictures.drawn import lengths
from ..rule import Rule

LENGTHS, EACH = 3, 6


def find(case: Case) -> Finding:
    """Weighed by turning the slope level: about the usual lengths' mean, or down to what the shortest putts show,
    whichever brings more; an error that grows from nothing has no other mean to be mended."""
    found = case.growth
    enough = sum(it.putts >= EACH for it in found.lengths) if found else _lengths(case)
    missing = needs(("lengths", enough, LENGTHS))
    facts = (
        tuple(
            Fact("at_length", "for", it.bias, number=it.putts, at=it.at, length_m=it.distance_m) for it in found.lengths
        )
        if found
        else ()
    )
    if found is not None and missing and found.is_named:
        # That it grows is a claim from two lengths on, and said as one; what levelling it brings needs a third.
        return replace(unread("distance", missing, facts), kind="grows")
    if missing or found is None:
        return unread("distance", missing, facts)
    shares = [weight for _, weight in case.ledger.mix.halves]
    about = float(np.dot(shares, case.ledger.lengths_m))
    near = found.lengths[0].distance_m
    scatter = _scatter(case, found)
    gain = max((_gain(case, found, it, scatter) for it in (about, near)), key=lambda it: float(it.mean()))
    weight, matter, call = weight_of(gain), MATTERS()["gain"], found.call
    # What grows must also be worth levelling; both are told by the same slope.
    worth = float((gain >= matter.matters_from).mean())
    chance = min(call.probability, worth) if call.names_direction else 0.0
    right, left = (chance, 0.0) if call.side == "right" else (0.0, chance)
    word = called(right, left, float((gain < matter.nothing_under).mean()), missing, cost=weight.value)
    if not word.names_direction:
        facts = tuple(
            Fact(it.what, "against", it.size, number=it.number, at=it.at, length_m=it.length_m) for it in facts
        )
    return Finding("distance", weight, word, found.slope, "deg_per_m", facts, missing)


def _lengths(case: Case) -> int:
    """One length or none, counted all the same."""
    return int(case.ledger.count("start") >= EACH)


def grows_from_nothing(case: Case) -> bool:
    """Whether no bias is left at no length: what the stroke shows is then all of the growth."""
    if case.growth is None:
        return False
    low, high = np.quantile(case.growth.line[:, 0], (0.05, 0.95))
    return not Estimate(0.0, float(low), float(high)).is_one_side


def _scatter(case: Case, found: Growth) -> Floats:
    """(N,) the spread about the line: over all lengths together, what grows would be taken for scatter."""
    at, slope = (float(it) for it in np.median(found.line, axis=0))
    reads = [
        start.shifted(-(at + slope * block.putted.distance_m))
        for block in case.own
        if block.putted
        for it in block.events
        if isinstance(start := it.values.get("start"), Interval)
    ]
    few = len(reads) < EACH
    spread = case.spread if few else drawn(post_of(reads, START(), noise_of(case.own, "start")))[1]
    return np.random.default_rng(37).permutation(spread)


def _gain(case: Case, found: Growth, about_m: float, scatter: Floats) -> Floats:
    it, slope = case.ledger, float(np.median(found.line[:, 1]))
    gain = np.zeros(DRAWN)
    for length, window, (_, weight) in zip(it.lengths_m, it.mix.windows, it.mix.halves, strict=True):
        mix, bias = Mix.one(window), found.line[:, 0] + found.line[:, 1] * length
        level = bias - slope * (length - about_m)
        gain += 100 * weight * (share_within(mix, level, scatter) - share_within(mix, bias, scatter))
    return gain


RULE = Rule(
    "distance",
    "Grows with distance",
    "Length and rhythm of the stroke at the longer putts; keep the short ones as they are.",
    find,
    lengths,
    "by length",
)
