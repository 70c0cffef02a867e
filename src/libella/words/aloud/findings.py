"""What is said of a lesson judged whole."""

import math
from dataclasses import replace
from datetime import UTC, datetime
from itertools import product
from typing import Literal, get_args

from ...core.certainty.estimate import Estimate, normal
from ...core.certainty.verdict import Verdict, Word
from ...core.certainty.vial import Bubble, vial
from ...core.golfer.band import BANDED, usual_band
from ...core.golfer.level import LEVELS
from ...core.golfer.wording import Wording
from ...core.judge.claims.tail import Tail
from ...core.judge.findings.answer import ANSWERS, ToldThen
from ...core.judge.findings.chain_picture import Chain, Largest, LinkName, LinkShown
from ...core.judge.findings.finding import Cause, Fact, Finding, Missing
from ...core.judge.findings.guards import Guard, GuardName
from ...core.judge.findings.misses import Miss, Reason
from ...core.judge.findings.next_check import CHECKS, WAYS, Check
from ...core.judge.findings.ranked import RULES, Findings, Starts
from ...core.judge.findings.said import (
    Cause_,
    Chosen,
    Differs,
    FarOff,
    GroundOff,
    Grows,
    Joined,
    LineFirst,
    Misled,
    MissedSide,
    Nothing,
    Off,
    Open,
    PaceOff,
    PutRight,
    Wide,
)
from ...core.judge.ledger.factors import Levels as Factors
from ...core.judge.ledger.place import Place
from ...core.measure.interval import Interval
from ...core.measure.side import Side
from ...core.measure.window import Window
from ...core.stand.set_up import Noted
from ..change import complaint
from ..judge import chosen, findings, lesson, pictures, two
from ..judge.bands import band_said
from ..judge.so_far import so_far_said
from .claims import comparisons, differences_read, gone_together, growths, levels_read, paces, shares_read, unused
from .reading import Reading

_WORDS: tuple[Word, ...] = get_args(Word)
_SIDES: tuple[Side, ...] = ("left", "right")


def findings_aloud(it: Reading) -> None:
    _causes(it)
    for what, form in findings.FACTS.items():
        sized = any(f"{{{part}}}" in form for part in ("size", "plain", "slope", "share"))
        sizes = (normal(0.8, 0.2), normal(-11.0, 2.0)) if sized else (None,)
        for size in sizes:
            fact = Fact(what, "for", size, "mm" if size and size.value < -5 else "deg", number=4, of=9, length_m=2.5)
            it.say("judge", findings.fact_said, fact, it.units)
    for size in (normal(-3.0, 0.6), None):
        it.say("judge", findings.fact_said, Fact("body_turned", "for", size, name="shoulders", side="left"), it.units)
    for name, side in product(CHECKS, ((), ("rod",))):
        check = Check(name, WAYS[name].minutes, WAYS[name].parts, side, 0.2)
        it.say("judge", lesson.check_said, check)
        it.say("change", complaint.next_said, check)
    values = (normal(0.9, 0.2), normal(0.2, 0.2))
    guards: tuple[GuardName, ...] = get_args(GuardName)
    for name in guards:
        told = {
            "disturbed": ("wind", "tired"),
            "one_sided": ("left",),
            "read_off": ("right",),
            "unsorted": ("tall",),
            "unproved": ("start", "face"),
        }.get(name, ())
        it.say("judge", lesson.guard_said, Guard(name, 3, 12, values, told))
    starts: list[tuple[Interval | None, Side, Literal["heel", "toe", ""]]] = [
        (None, "neither", ""),
        (Interval(-1.4, -1.3), "neither", "heel"),
        (Interval(0.9, math.inf), "right", "toe"),
        (Interval(-0.9, 0.9), "neither", "toe"),
    ]
    missed = [
        Miss("b", f"{n}", n, "left", "past" if off else "", start, side, reason, Place("start", "b"), 0.6, off)
        for start, side, off in starts
        for n, reason in enumerate(get_args(Reason), 1)
    ]
    for one in missed:
        it.say("judge", lesson.miss_said, one)
    for told in ((), tuple(missed)):
        it.say("judge", lesson.misses_said, told)
    for times in (0, 1, 5):
        it.say("judge", pictures.times_said, times)
    for code in pictures.CODES:
        for value in (1.2, -0.4, 0.0, 3.0):
            it.say("judge", pictures.written, code, value, it.units)
    _chain(it)
    _two(it)
    _bands(it)
    _chosen(it)
    for answer, words in product(ANSWERS, ("", "the grip, not the face")):
        it.say("judge", lesson.answer_said, answer, words)


def a_finding(cause: Cause, word: Word, side: Side, **more: object) -> Finding:
    """A finding of about a degree."""
    size = normal(-14.0 if cause == "strike" else 1.1 if side == "right" else -1.1, 0.2)
    weight = Estimate(11.0, 4.0, 18.0) if word != "open" else Estimate(-6.0, -14.0, 2.0)
    halves = (Estimate(-14.0, -30.0, -2.0), Estimate(0.2, -3.0, 4.0)) if cause == "compensation" else ()
    return Finding(cause, weight, Verdict(word, side, 0.9, 11.0), size, halves=halves, **more)  # pyright: ignore[reportArgumentType]


def _causes(it: Reading) -> None:
    missing = tuple(Missing(what, n, 5) for n, what in enumerate(findings.NEEDS))
    for cause, word, side in product(RULES, _WORDS, _SIDES):
        one = a_finding(cause, word, side)
        it.say("judge", findings.cause_said, one, it.hand, it.units)
        it.say("judge", findings.weight_said, one)
        it.say("judge", findings.change_said, one)
    for kind in ("read", "pace", "ground", "read_off", ""):
        it.say(
            "judge",
            findings.cause_said,
            a_finding("read_and_pace", "clear", "right", kind=kind),
            it.hand,
            it.units,
        )
    for kind in ("shorter", "longer"):
        it.say("judge", findings.cause_said, a_finding("read_and_pace", "open", "right", kind=kind), it.hand, it.units)
    it.say("judge", findings.change_said, a_finding("read_and_pace", "clear", "right", kind="ground"))
    for kind in ("whole", "own"):
        it.say("judge", findings.cause_said, a_finding("face_aim", "likely", "left", kind=kind), it.hand, it.units)
    it.say(
        "judge",
        findings.cause_said,
        replace(a_finding("face_aim", "likely", "left"), size=None),
        it.hand,
        it.units,
    )
    it.say("judge", findings.cause_said, a_finding("distance", "open", "left", kind="grows"), it.hand, it.units)
    it.say("judge", findings.cause_said, a_finding("compensation", "none", "left", kind="stays"), it.hand, it.units)
    for word in ("clear", "open"):
        through = a_finding("face_at_impact", word, "left", explained_by="distance")
        it.say("judge", findings.cause_said, through, it.hand, it.units)
        it.say("judge", findings.through_said, through)
    it.say("judge", findings.halves_said, a_finding("compensation", "clear", "right"))
    it.say("judge", findings.missing_said, missing)
    it.say("judge", findings.missing_said, ())
    for weight in (Estimate(0.0, 0.0, 0.0), Estimate(9.0, 2.0, 17.0)):
        for word in _WORDS:
            it.say("judge", findings.then_said, ToldThen(word, "right", weight))


def _chosen(it: Reading) -> None:
    starts = [
        Starts(level, wide)
        for level, wide in product([one for one in levels_read() if one.quantity.name == "start"], (False, True))
        if level.spread is not None
    ]
    few = Findings((), None)
    told: list[Chosen] = [LineFirst(a_finding("rig", "open", "left"), levels_read()[:2], side, 1.1) for side in _SIDES]
    for cause, word, side in product(RULES, _WORDS[:2], _SIDES):
        told += [Cause_(a_finding(cause, word, side), found) for found in (few, Findings((), starts[0]))]
    for kind, pace in product(("pace", "ground", "read_off", "read"), paces()[:3]):
        told.append(Cause_(a_finding("read_and_pace", "clear", "right", kind=kind), few, pace))
    told += [Cause_(a_finding("distance", "clear", "right"), few, None, growth) for growth in growths()]
    told += [PutRight(a_finding("rig", "clear", "left"), found) for found in (few, Findings((), starts[0]))]
    for one in comparisons():
        told += [Differs(replace(one, id=id), *it) for id, it in product(("", "it"), one.named[:2])]
        for group, difference in one.named[:1]:
            seen = replace(group, batches=tuple(replace(it, playable=False) for it in group.batches))
            told.append(Differs(one, seen, difference))
    for level in levels_read():
        told.append(Off(level))
    for start in starts:
        told += [
            Off(start.level, *flags)
            for flags in ((True,), (False, True), (False, False, True), (False, False, False, True))
        ]
        told += [Wide(start), Wide(start, "left"), Wide(start, "right"), Nothing(start), Open(start, True)]
    told += [Off(replace(starts[0].level, levels=(("set_up", "wide base"),)))]
    told += [PaceOff(pace) for pace in paces()]
    told += [Grows(growth) for growth in growths()]
    told += [Joined(one) for one in gone_together()]
    told += [
        GroundOff(4, 8),
        FarOff(Tail("left", 3, 12, 3, 3), starts[0].level),
        FarOff(Tail("right", 4, 12, 2, 5), starts[0].level),
        FarOff(Tail("left", 3, 20, 0, 0), starts[0].level),
        *(Misled(some) for some in unused()),
        MissedSide("left", 7, 8, 8),
        MissedSide("right", 7, 8, 0),
        Open(None, True),
        Open(None, False),
        Open(None, True, shares_read()[:1]),
        Open(None, True, shares_read()[1:3]),
        Open(None, True, (next(one for one in levels_read() if one.quantity.unit == "mm"), *shares_read()[1:2])),
        *(Open(None, True, shares_read()[:1], pace) for pace in paces()[:2]),
    ]
    for one in told:
        it.say("judge", chosen.chosen_said, one, it.hand, it.units)
        it.say("judge", chosen.meaning_said, one, it.hand)
        it.say("judge", chosen.chosen_brief, [one])
        if isinstance(one, Open):
            it.say("judge", so_far_said, one, it.hand, it.units)
        for wording in get_args(Wording):
            it.say("judge", chosen.for_golfer, [one], it.hand, wording, it.units)
    it.say("judge", chosen.headline_said, told, it.hand, it.units)
    it.say("judge", chosen.also_said, told, it.hand, it.units)
    it.say("judge", findings.rules_changed_said, "Can't tell yet.")


def _chain(it: Reading) -> None:
    window = Window(1.2, 1.2)
    names: tuple[LinkName, ...] = get_args(LinkName)
    for name, spread, adds in product(names, (None, normal(0.9, 0.1)), (None, normal(-0.4, 0.1))):
        bias = normal(0.7, 0.2)
        drawn = vial((), Bubble(bias, normal(0.9, 0.1)), window, settled=True)
        one = LinkShown(name, bias, spread, adds, 12, drawn, Place("aim"))
        it.say("judge", lesson.link_said, one)
        it.say("judge", lesson.ray_said, one)
    largest = Largest("face_aim", Estimate(0.6, 0.4, 0.8))
    for bias, spread in product((None, largest), (None, largest)):
        it.say("judge", lesson.chain_said, Chain((), bias, spread))
    for times in (1, 10):
        it.say("judge", lesson.fan_said, times)


def _two(it: Reading) -> None:
    days = datetime(2026, 3, 9, tzinfo=UTC), datetime(2026, 4, 9, tzinfo=UTC)
    ways: tuple[tuple[Factors, Factors], ...] = ((), ()), ((), (("set_up", "wide base"),))
    lengths = ((2.5,), (2.5,)), ((1.5,), (2.5, 4.0))
    for at, levels, long, putts, whole in product(
        (days, (days[0], days[0])), ways, lengths, ((10, 10), (10, 20)), ((True, True), (False, False))
    ):
        sides = [two.SideSaid(*one) for one in zip(at, levels, long, putts, whole, strict=True)]
        it.say("judge", two.side_names, *sides, it.units)
    by_word = {one.call.word: one for one in differences_read() if one.steadier is None or one.steadier.word != "clear"}
    for some in ((), *((by_word[word],) for word in ("none", "open") if word in by_word)):
        for stood in ((), (Noted("stance_m", 0.4, 0.3),)):
            it.say("judge", two.two_said, some, stood, it.hand, it.units)
    for changed, noted in product(((), tuple(two.CHANGED)), ((), ("new putter",))):
        it.say("judge", two.changed_said, changed, noted)
    it.say("judge", two.over_said, 10)


def _bands(it: Reading) -> None:
    for link, level, bias, spread in product(BANDED, LEVELS, (0.01, 30.0), (None, 0.02, 30.0)):
        told = None if spread is None else normal(spread, 0.001)
        it.say("judge", band_said, link, normal(bias, 0.001), told, usual_band(level), level)
