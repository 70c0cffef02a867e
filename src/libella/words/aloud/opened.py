"""Whatever a lesson says, opened."""

import math
from dataclasses import replace
from itertools import product

import numpy as np

from ...core.certainty.estimate import Estimate, normal
from ...core.certainty.verdict import Grounds, Verdict
from ...core.golfer.band import usual_band
from ...core.judge.claims.difference import Group, difference
from ...core.judge.claims.reads import reads
from ...core.judge.explained.claim import Explained, Moves, explained
from ...core.judge.explained.finding import FindingExplained
from ...core.judge.explained.finishes import FinishesExplained
from ...core.judge.explained.growth import growth_explained
from ...core.judge.explained.pair import pair_explained
from ...core.judge.explained.readings import LeftOut, Rests
from ...core.judge.findings.finding import Fact, Missing
from ...core.judge.findings.next_check import Check
from ...core.judge.ledger.entry import Event, Ledger, Value
from ...core.judge.ledger.place import Place
from ...core.judge.ledger.quantity import quantity
from ...core.measure.interval import Interval
from ..judge.explained import claim as claims
from ..judge.explained import finding, others
from ..judge.explained.opened import opened_said
from .claims import BY, LEVELS, SIDES, WORDS, batch, growths, levels_read, paces, read_about, shares_read, told_sides
from .findings import a_finding
from .reading import Reading

_LEDGER = Ledger("right", BY.mix, (2.0,), Estimate(0.85, 0.8, 0.9), "club", usual_band("club"))
_RESTS = (Rests(Place("start", "b"), "a", "holed", 1.0), Rests(Place("start", "b"), "c", "missed", 0.5))


def opened_aloud(it: Reading) -> None:
    """Every kind, and every function of its sums."""
    _claims(it)
    _findings(it)
    _pairs(it)
    for growth in growths():
        opened = growth_explained(_LEDGER, replace(growth, line=np.array([[-0.6, 0.4], [-0.5, 0.4]])), BY)
        it.say("judge", opened_said, opened, it.hand, it.units)
        weighed = replace(growth.call, grounds=Grounds(0.9, 0.0, 0.02))
        opened = replace(opened, growth=replace(opened.growth, call=weighed))
        it.say("judge", others.growth_sums_said, opened, it.units)
    for pace in paces():
        finished = FinishesExplained(pace, _RESTS, _of_pace() if pace.level else None)
        it.say("judge", opened_said, finished, it.hand, it.units)
        it.say("judge", others.finishes_sums_said, finished, it.hand, it.units)


def _findings(it: Reading) -> None:
    missing, check = (Missing("starts", 2, 5),), Check("second_proof", 5, (), (), 0.2)
    facts = (
        Fact("links_share", "for", number=3, at=Place("start", "b")),
        Fact("links_differ", "against", number=2),
    )
    for word, side, proved, first in product(WORDS, SIDES, (True, False), (True, False)):
        weighed = Verdict(word, side, 0.9, 11.0, Grounds(0.9, 0.0, 0.05, proved))
        one = replace(a_finding("face_aim", word, side, facts=facts), call=weighed)
        adds = replace(one, adds=normal(1.1, 0.2), inside=(52.0, 63.0))
        for each in (one, adds, replace(one, missing=missing), replace(adds, kind="stays", explained_by="guide")):
            told = FindingExplained(
                each, Estimate(0.85, 0.8, 0.9), 0.4 if each.adds else None, 0.6 if each.adds else None, first, proved,
                (LeftOut("voided", 2), LeftOut("other_way", 4, LEVELS[1])), check if proved else None,
            )  # fmt: skip
            it.say("judge", opened_said, told, it.hand, it.units)
            it.say("judge", finding.finding_sums_said, told)
            it.say("judge", finding.finding_moves_said, told)
    line = replace(a_finding("rig", "likely", "left"), adds=normal(-0.6, 0.1), inside=(50.0, 54.0))
    line = replace(line, call=replace(line.call, grounds=Grounds(0.0, 0.9, 0.0)))
    told = FindingExplained(line, Estimate(0.85, 0.8, 0.9), 0.4, 0.6, False, True, (), None)
    it.say("judge", opened_said, told, it.hand, it.units)
    half = a_finding("compensation", "clear", "left")
    half = replace(half, call=replace(half.call, grounds=Grounds(0.0, 0.9, 0.0)))
    told = FindingExplained(half, Estimate(0.85, 0.8, 0.9), None, None, False, True, (), None)
    it.say("judge", opened_said, told, it.hand, it.units)


def _pairs(it: Reading) -> None:
    for name in ("start", "face", "path", "strike", "roll_past", "eyes_inside", "eyes_behind", "strike_high"):
        for middle, spread in ((-2.0, 0.3), (0.5, 1.5), (0.0, 0.05)):
            one = Group("", (batch(name, read_about(name, 0.0, 0.3, 14)),))
            other = Group("wide base", (batch(name, read_about(name, middle, spread, 14), turn=1),))
            _pair(it, one, other, name)
    for name in ("face", "path"):
        five, ten = (Group("", (batch(name, told_sides(name, 1, n), turn=n),)) for n in (3, 12))
        _pair(it, five, ten, name)
    for name, good, bad in (("holed", "holed", "missed"), ("still", "nothing", "head")):
        five, ten = (Group("", (batch(name, [good] * n + [bad] * (10 - n), turn=n),)) for n in (5, 10))
        _pair(it, five, ten, name)


def _pair(it: Reading, one: Group, other: Group, name: str) -> None:
    found = difference(one, other, name, BY)
    assert found is not None
    told = pair_explained(one, other, found, BY)
    it.say("judge", opened_said, told, it.hand, it.units)
    it.say("judge", others.pair_sums_said, replace(told, apart=0.3), it.hand, it.units)


def _of_pace() -> Explained:
    own = batch("roll_past", read_about("roll_past", 0.9, 0.2, 9))
    return _opened(replace(_LEDGER, batches=(own,)), "roll_past")


def _claims(it: Reading) -> None:
    for name in ("start", "face", "strike", "path", "eyes_inside", "roll_past", "still", "holed"):
        notes: list[Value] = ["nothing", "head"] * 4 if name == "still" else ["holed", "missed"] * 4
        values = notes if quantity(name).kind == "share" else read_about(name, 1.5, 0.3, 8)
        doubted = tuple(Event(f"{n}", {name: one}, 0.5 if n < 2 else 1.0) for n, one in enumerate(values))
        own = batch(name, values, proved=name != "start")
        own = replace(
            own, events=doubted if name == "face" else own.events[:1] + doubted[:1] + own.events[2:], voided=1
        )
        other = batch(name, values[:3], LEVELS[1], turn=1)
        opened = _opened(replace(_LEDGER, batches=(own, other)), name)
        it.say("judge", opened_said, opened, it.hand, it.units)
        it.say("judge", claims.rests_said, opened.rests)
        it.say("judge", claims.sums_said, opened, it.hand, it.units)
        for one in opened.left_out:
            it.say("judge", claims.left_said, one, it.units)
        for move in opened.moves:
            it.say("judge", claims.moves_said, move, opened.claim.quantity, it.hand, it.units)
        for read in opened.rests:
            it.say("judge", claims.reading_said, read, opened.claim.quantity, it.hand, it.units)
    for size, unit in product((0.31, 14.0), ("deg", "mm", "m")):
        it.say("judge", claims.plain, size, unit, it.units)
    for share in shares_read():
        it.say("judge", claims.share_sums_said, share)
    for word in WORDS:
        it.say("judge", claims.rule_said, Verdict(word, "left", 0.9))
    split = [Interval(-math.inf, -1.1)] * 4 + [Interval(1.1, math.inf)] * 4
    for name, told in (("path", told_sides("path", 1, 9)), ("path", told_sides("path", -1, 4)), ("start", split)):
        opened = _opened(replace(_LEDGER, batches=(batch(name, told),)), name)
        it.say("judge", opened_said, opened, it.hand, it.units)
    level = levels_read()[0]
    by_itself = Explained(replace(level, raw=None), (), (), None, level.call, ())
    it.say("judge", opened_said, by_itself, it.hand, it.units)
    it.say("judge", claims.moves_said, Moves("prove_line", 0.3), quantity("start"), it.hand, it.units)
    for low, high in ((-math.inf, 1.0), (1.0, math.inf), (-math.inf, math.inf), (0.5, 0.5)):
        read = Rests(Place("start", "b"), "a", Interval(low, high), 1.0)
        it.say("judge", claims.reading_said, read, quantity("start"), it.hand, it.units)


def _opened(ledger: Ledger, name: str) -> Explained:
    """The claim of a quantity as usual, opened."""
    found = next(one for one in reads(ledger, BY) if one.quantity.name == name and not one.levels)
    return explained(ledger, found, BY)
