"""Movement: putts in which something moved scatter more than still ones, or start elsewhere."""

import math
from dataclasses import replace
from typing import Final

import numpy as np

from ....certainty.estimate import Estimate, estimated
from ....estimate import START, Prior
from ....estimate.posterior import Floats
from ....measure.interval import Interval
from ...claims.level import noise_of, post_of
from ...ledger.entry import Batch, Event
from ..case import Case
from ..currency import DRAWN, drawn
from ..finding import Fact, Finding, needs, unread
from ..pictures.drawn import two_ways
from ..pictures.picture import Picture, Say
from ..rule import Rule

NOTED, OF_EITHER = 10, 3
_ELSEWHERE: Final = 0.7
"""How far moved putts lie from still ones before data, one standard deviation, degrees (handbook 5)."""


def moved(putt: Event) -> bool | None:
    """Whether something moved; None where nobody noted it."""
    still = putt.values.get("still")
    return None if still is None else still not in ("nothing", "")


def find(case: Case) -> Finding:
    """Still putts against the others: what the others lose, as often as they happen as usual."""
    # With a wide base or the head low something moves or not as well: all that was noted of them tells.
    guided = any(it.guided for it in case.own)
    blocks = [it for it in case.ledger.of("still") if it.guided == guided] or case.ledger.of("still")
    events = [it for block in blocks for it in block.events if "still" in it.values]
    noted = case.ledger.count("still")
    told = [(start, bool(moved(it))) for it in events if isinstance(start := it.values.get("start"), Interval)]
    still = [start for start, it in told if not it]
    shaky = [start for start, it in told if it]
    missing = needs(("stillness", noted, NOTED)) or needs(("still", len(still), OF_EITHER))
    facts: list[Fact] = []
    at = blocks[0].place if blocks else case.putted_at
    if noted:
        times = sum(bool(moved(it)) for it in events)
        speaks = "for" if times >= OF_EITHER else "against"
        facts.append(Fact("moved", speaks, None, number=times, of=len(events), at=at))
    start = case.level("start")
    if start is not None and start.spread is not None and start.is_sized and case.start is not None:
        speaks = "for" if start.spread.value > case.wide_deg else "against"
        facts.append(Fact("spread", speaks, start.spread, number=start.count, at=start.at))
    if len(still) < OF_EITHER or (missing and len(shaky) < OF_EITHER):
        return unread("movement", missing, facts)
    part = _part(case, events)
    if len(shaky) < OF_EITHER:
        # How a putt in which something moves scatters is hardly known; how seldom it happens is.
        found = case.by_gain("movement", part * _lost(case, still, shaky, blocks), None, ())
        if found.call.word != "none":
            return unread("movement", missing, facts)
        return replace(found, facts=tuple(facts))
    gain = part * _lost(case, still, shaky, blocks)
    return replace(case.by_gain("movement", gain, _spread(case), missing), facts=tuple(facts))


def _part(case: Case, events: list[Event]) -> Floats:
    """(N,) the share of putts in which something moves, as usual."""
    usual = case.events("still") or events
    times = sum(bool(moved(it)) for it in usual)
    return np.random.default_rng(13).beta(1 + times, 1 + len(usual) - times, DRAWN)


def _lost(case: Case, still: list[Interval], shaky: list[Interval], blocks: list[Batch]) -> Floats:
    """(N,) putts of a hundred that a moved putt loses against a still one: each kind with its own spread, the moved
    with a mean of their own."""
    started = [it for it in blocks if it.counts.get("start")]
    noise = noise_of(started, "start")
    calm = post_of(still, START(), noise)
    middle = estimated(calm.bias_quantile)
    beside = Prior(middle.value, math.hypot(_ELSEWHERE, middle.sd), START().spread_median, START().spread_log_sd, "deg")
    loose = post_of(shaky, beside, noise)
    at, spread = drawn(calm)
    there, wide = drawn(loose)
    order = np.random.default_rng(17).permutation(DRAWN)
    putts = case.putts
    here = replace(putts, bias=at, spread=spread).share()
    return here - replace(putts, bias=there[order], spread=wide[order]).share()


def _spread(case: Case) -> Estimate | None:
    start = case.level("start")
    return start.spread if start is not None else None


def draw(case: Case, finding: Finding, say: Say, words: str) -> Picture | None:
    """Still putts and the others, as two fans."""
    events = [it for block in case.ledger.of("still") for it in block.events]
    told = [(moved(it), start.anchor) for it in events if isinstance(start := it.values.get("start"), Interval)]
    kinds = {
        code: [at for is_moved, at in told if is_moved is which] for code, which in (("still", False), ("moved", True))
    }
    return two_ways(case, kinds, say, words)


RULE = Rule(
    "movement",
    "Movement",
    "A wide base and a low head, then one-foot putts; keep still till the ball is heard.",
    find,
    draw,
    "movement",
)
