"""What is said of a lesson judged whole."""

from datetime import UTC, datetime
from itertools import product
from typing import Literal, get_args

from ...core.certainty.estimate import Estimate, normal
from ...core.certainty.verdict import Verdict, Word
from ...core.certainty.vial import Bubble, vial
from ...core.golfer.band import BANDED, usual_band
from ...core.golfer.level import LEVELS
from ...core.judge.findings.answer import ANSWERS, ToldThen
from ...core.judge.findings.chain_picture import Chain, Largest, LinkName, LinkShown
from ...core.judge.findings.evidence import Place
from ...core.judge.findings.finding import CAUSES, Cause, Fact, Finding, Missing
from ...core.judge.findings.guards import Guard, GuardName
from ...core.judge.findings.misses import REASONS, Miss
from ...core.judge.findings.next_check import CHECKS, WAYS, Check
from ...core.judge.findings.ranked import Findings, Starts
from ...core.judge.findings.two import LinkBeside, TwoSides
from ...core.judge.pace import pace
from ...core.measure.side import Side
from ...core.measure.window import Window
from ..judge import findings, lesson, two
from ..judge.bands import band_said
from ..judge.plain import for_golfer
from .reading import Reading

_WORDS: tuple[Word, ...] = get_args(Word)
_SIDES: tuple[Side, ...] = ("left", "right")


def findings_aloud(it: Reading) -> None:
    _causes(it)
    _lessons(it)
    for what, form in findings.FACTS.items():
        sized = any(f"{{{part}}}" in form for part in ("size", "plain", "slope"))
        sizes = (normal(0.8, 0.2), normal(-11.0, 2.0)) if sized else (None,)
        for size in sizes:
            fact = Fact(what, "for", size, "mm" if size and size.value < -5 else "deg", number=4, of=9, length_m=2.5)
            it.say("judge", findings.fact_said, fact, it.units)
    it.say("judge", findings.fact_said, Fact("body_shoulders", "for", normal(-3.0, 0.6)), it.units)
    it.say("judge", findings.fact_said, Fact("body_left_forearms", "for"), it.units)
    for name, side in product(CHECKS, ((), ("rod",))):
        it.say("judge", lesson.check_said, Check(name, WAYS[name].minutes, WAYS[name].parts, side, 0.2))
    values = (normal(0.9, 0.2), normal(0.2, 0.2))
    guards: tuple[GuardName, ...] = get_args(GuardName)
    for name in guards:
        told = {"disturbed": ("wind", "tired"), "one_sided": ("left",), "read_off": ("right",)}.get(name, ())
        it.say("judge", lesson.guard_said, Guard(name, 3, 12, values, told))
    starts: list[tuple[float | None, Literal["heel", "toe", ""]]] = [(None, ""), (-1.4, "heel"), (0.9, "toe")]
    missed = [
        Miss("b", f"{n}", n, "left", start, reason, 0.6, off)
        for start, off in starts
        for n, reason in enumerate(REASONS, 1)
    ]
    for one in missed:
        it.say("judge", lesson.miss_said, one)
    for told in ((), tuple(missed)):
        it.say("judge", lesson.misses_said, told)
    _chain(it)
    _two(it)
    _bands(it)
    ran = pace([{"finish": "short"}] * 6, (), 0.35)
    assert ran is not None
    it.say("judge", lesson.pace_said, "as usual", ran, it.units)
    for answer, words in product(ANSWERS, ("", "the grip, not the face")):
        it.say("judge", lesson.answer_said, answer, words)


def _finding(cause: Cause, word: Word, side: Side, **more: object) -> Finding:
    size = normal(-14.0 if cause == "strike" else 1.1 if side == "right" else -1.1, 0.2)
    weight = Estimate(11.0, 4.0, 18.0) if word != "open" else Estimate(-6.0, -14.0, 2.0)
    halves = (Estimate(-14.0, -30.0, -2.0), Estimate(0.2, -3.0, 4.0)) if cause == "compensation" else ()
    return Finding(cause, weight, Verdict(word, side, 0.9, 11.0), size, halves=halves, **more)  # pyright: ignore[reportArgumentType]


def _causes(it: Reading) -> None:
    missing = tuple(Missing(what, n, 5) for n, what in enumerate(findings.NEEDS))
    for cause, word, side in product(CAUSES, _WORDS, _SIDES):
        one = _finding(cause, word, side)
        it.say("judge", findings.cause_said, one, it.hand)
        it.say("judge", findings.weight_said, one)
    for kind in ("read", "pace", ""):
        it.say("judge", findings.cause_said, _finding("read_and_pace", "clear", "right", kind=kind), it.hand)
    it.say("judge", findings.cause_said, _finding("face_aim", "likely", "left", kind="whole"), it.hand)
    it.say("judge", findings.cause_said, _finding("compensation", "none", "left", kind="stays"), it.hand)
    for word in ("clear", "open"):
        through = _finding("face_at_impact", word, "left", explained_by="distance")
        it.say("judge", findings.cause_said, through, it.hand)
        it.say("judge", findings.through_said, through)
    it.say("judge", findings.halves_said, _finding("compensation", "clear", "right"))
    it.say("judge", findings.missing_said, missing)
    it.say("judge", findings.missing_said, ())
    for weight in (Estimate(0.0, 0.0, 0.0), Estimate(9.0, 2.0, 17.0)):
        for word in _WORDS:
            it.say("judge", findings.then_said, ToldThen(word, "right", weight))


def _lessons(it: Reading) -> None:
    named = (_finding("face_aim", "likely", "left"),)
    for ranked, word, wide, middle in product(((), named), _WORDS, (False, True), (0.0, -0.9)):
        starts = Starts(normal(middle, 0.2), normal(1.1, 0.1), Verdict(word, "left", 0.9, 7.0), 20, wide)
        found = Findings(ranked, starts)
        for by_stroke in (False, True):
            it.say("judge", findings.headline_said, Findings(ranked, starts, by_stroke), it.hand)
        it.say("judge", findings.meaning_said, found)
        for level in LEVELS:
            it.say("judge", for_golfer, found, it.hand, level)
    for cause, word, kind in product(CAUSES, ("clear", "likely"), ("read", "pace", "")):
        one = (_finding(cause, word, "left", kind=kind),)
        it.say("judge", for_golfer, Findings(one, None), it.hand, "club")
    it.say("judge", findings.rules_changed_said, "Can't tell yet.")
    for ranked in ((), named):
        it.say("judge", findings.headline_said, Findings(ranked, None), it.hand)
        it.say("judge", findings.meaning_said, Findings(ranked, None))


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
    window, none = Window(1.2, 1.2), Chain((), None, None)
    drawn = vial((), None, window, settled=True)
    calls = [Verdict(word, side, 0.9, 6.0) for word, side in product(_WORDS, _SIDES)]
    for call, steadier, more in product(calls, (None, *calls), (None, 0, 10)):
        beside = LinkBeside("start", drawn, drawn, normal(0.7 if call.side == "right" else -0.7, 0.3), call)
        spreads = None if steadier is None else (normal(1.2, 0.1), normal(0.9, 0.1))
        found = TwoSides((beside,), (none, none), steadier, spreads, more)
        for say in (two.two_said, two.spreads_said, two.more_said):
            it.say("judge", say, found)
        it.say("judge", two.link_beside_said, beside)
    it.say("judge", two.two_said, TwoSides((), (none, none), None, None, None))
    for changed, noted in product(((), tuple(two.CHANGED)), ((), ("new putter",))):
        it.say("judge", two.changed_said, changed, noted)
    it.say("judge", two.over_said, 10)
    for block in ("", "as usual"):
        it.say("judge", two.side_name, datetime(2026, 3, 9, tzinfo=UTC), block)


def _bands(it: Reading) -> None:
    for link, level, bias, spread in product(BANDED, LEVELS, (0.01, 30.0), (None, 0.02, 30.0)):
        told = None if spread is None else normal(spread, 0.001)
        it.say("judge", band_said, link, normal(bias, 0.001), told, usual_band(level), level)
