"""What is said of everything read: levels, shares, differences, growth, pace."""

import math
from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import replace
from functools import cache
from itertools import product
from typing import Final, get_args

import numpy as np

from ...core.certainty.estimate import Estimate, normal
from ...core.certainty.verdict import Verdict, Word
from ...core.estimate.kind import Sided
from ...core.estimate.shares import Share
from ...core.golfer.band import usual_band
from ...core.green.putt import Putt
from ...core.green.usual import USUAL, usual_mix
from ...core.instruments.string_sight import StringSight
from ...core.judge.claims.difference import Difference, Group, difference
from ...core.judge.claims.growth import AtLength, Growth
from ...core.judge.claims.level import Level, Weighing, level_of
from ...core.judge.claims.pace import Pace, pace_of
from ...core.judge.claims.reads import Compared, compared
from ...core.judge.claims.share import ShareOf, share_of
from ...core.judge.claims.together import TRAITS, GoesWith
from ...core.judge.claims.unusable import NotUsed
from ...core.judge.findings.said import Misled
from ...core.judge.ledger.entry import Batch, Event, Fitted, Ledger, Putted, Unusable, Value
from ...core.judge.ledger.factors import FACTORS, Levels
from ...core.judge.ledger.place import Place
from ...core.judge.ledger.quantity import names, quantity
from ...core.measure.interval import Interval
from ...core.measure.side import Side
from ...core.measure.window import Window
from ...core.stand.set_up import ENTRIES
from ...core.start.notes import NOTES
from ...core.start.turns import Question
from ..judge import claims, comparison, differences, putts, together, two, unusable
from .reading import Reading

WORDS: Final[tuple[Word, ...]] = get_args(Word)
SIDES: Final[tuple[Side, ...]] = ("left", "right")
BY: Final = Weighing(usual_mix(Putt(2.0, 0.35, 10), USUAL()), 0.85, 0.9)
LEVELS: Final[tuple[Levels, ...]] = ((), *(((it, "2.50" if it == "length" else "left"),) for it in FACTORS))
_PUTTED: Final = Putted(2.5, Window(0.97, 0.97))
_FELL: Final[Mapping[str, Value]] = {"holed": "holed", "stopped": "holed"}
_MIDDLES: Final = (-1.5, 0.0, 0.05, 1.5)
_FULL: Final = ("start", "face", "path", "strike", "roll_past", "eyes_inside", "eyes_behind", "strike_high")


def batch(name: str, values: Sequence[Value], levels: Levels = (), *, turn: int = 0, proved: bool = True) -> Batch:
    """Readings of one quantity as one batch."""
    events = tuple(Event(f"{n}", {name: it}) for n, it in enumerate(values))
    step = "start" if quantity(name).event == "putt" else "aim"
    label = "" if not levels else levels[0][1]
    putted = _PUTTED if step == "start" else None
    id = f"{name}{turn}{levels}{len(values)}"
    return Batch(id, step, 0.0, events, levels, label, putted=putted, comparison="it", turn=turn, proved=proved)


def read_about(name: str, middle: float, spread: float, n: int) -> list[Value]:
    """Readings about so many of its prior's spreads."""
    prior = quantity(name).prior
    assert prior is not None
    unit = prior.spread_median
    rng = np.random.default_rng(n)
    at = [prior.bias_mean + unit * (middle + spread * x) for x in rng.normal(0, 1, n)]
    return [Interval(it - 0.1 * unit, it + 0.1 * unit) for it in at]


def _open(name: str, side: int, n: int, *, all_: bool) -> list[Value]:
    prior = quantity(name).prior
    assert prior is not None
    far = prior.spread_median
    open_ = Interval(far, math.inf) if side > 0 else Interval(-math.inf, -far)
    return [open_ if all_ or it % 4 else Interval(-far, far) for it in range(n)]


def told_sides(name: str, side: int, n: int) -> list[Value]:
    """Twelve told in words, `n` of them on a side."""
    (there,), (middle,) = _open(name, side, 1, all_=True), _open(name, side, 1, all_=False)
    assert isinstance(there, Interval) and isinstance(middle, Interval)
    return [replace(it, said=True) for it in (*[there] * n, *[middle] * (12 - n))]


@cache
def levels_read() -> tuple[Level, ...]:
    """Levels of every quantity, in every way in which they can lie."""
    found: list[Level | None] = []
    numbers = [it for it in names() if quantity(it).kind == "level" and it != "feels_straight"]
    for name in numbers:
        shapes: list[Sequence[Value]] = [read_about(name, 1.5, 0.3, 12)]
        if quantity(name).event == "set_up":
            shapes.append(read_about(name, 1.5, 0.3, 1))
        if name in _FULL:
            shapes += [read_about(name, it, 0.3, 12) for it in _MIDDLES]
            shapes += [read_about(name, 0.5, 1.0, 2), [Interval(-4.0, 4.0)] * 9]
            if quantity(name).sides != "pace":
                shapes += [_open(name, side, 9, all_=all_) for side, all_ in product((-1, 1), (True, False))]
                shapes.append([*_open(name, -1, 4, all_=True), *_open(name, 1, 5, all_=True)])
                shapes += [told_sides(name, side, n) for side, n in product((-1, 1), (2, 5, 8, 12))]
        found += [level_of([batch(name, it)], name, (), BY) for it in shapes]
    found += [level_of([batch("roll_past", [it] * 6)], "roll_past", (), BY) for it in (
        Interval(0.0, math.inf), Interval(-math.inf, 0.0), Interval(0.3, 0.4), Interval(-0.6, -0.5),
    )]  # fmt: skip
    found += [level_of([_felt(n, felt)], "feels_straight", (), BY) for n, felt in product((4, 12), ("left", "mixed"))]
    found += [level_of([it], name, (), BY) for it in _seen() for name in it.fitted]
    return tuple(it for it in found if it is not None)


def _felt(n: int, felt: str) -> Batch:
    calls = ("left", "straight", "right")
    events = tuple(
        Event(
            f"{i}",
            {"start": Interval(0.3 * i - 1, 0.3 * i - 1), "feels_straight": calls[i % 3] if felt == "mixed" else felt},
        )
        for i in range(n)
    )
    return Batch(f"felt{n}{felt}", "start", 0.0, events, putted=_PUTTED)


def _seen() -> Iterator[Batch]:
    for n, tells, side in product((5, 12), (True, False), ("neither", "left")):
        it = Fitted(normal(1.1, 0.3), normal(0.8, 0.2), n, tells, side)
        yield Batch(f"{n}{tells}{side}", "see", 0.0, (), fitted={"looks_straight": it})
    for side in ("left", "right"):
        eyes = Fitted(normal(30.0, 25.0), None, 3, tells=False, open_side=side)
        yield Batch(f"eyes{side}", "see", 0.0, (), fitted={"eyes_inside": eyes, "eyes_behind": eyes})


@cache
def shares_read() -> tuple[ShareOf, ...]:
    """Shares of every quantity that is noted."""
    found: list[ShareOf | None] = []
    told: Mapping[str, tuple[str, ...]] = {
        "holed": ("holed", "missed"),
        "missed_side": ("left", "right"),
        "stopped": ("short", "past", "level"),
        "first_look": ("left", "straight", "right"),
    }
    for name in names():
        if quantity(name).kind != "share":
            continue
        options = told.get(name) or _options(name)
        if not options:
            continue
        for some in (options, options[:1], options[-1:], options[:1] * 5, options[-1:] * 5):
            found.append(share_of([batch(name, list(some) * 4)], name, ()))
    return tuple(it for it in found if it is not None)


def _options(name: str) -> tuple[str, ...]:
    if name in ENTRIES:
        return tuple(ENTRIES[name].options)
    if name in NOTES:
        return tuple(NOTES[name].options)
    return tuple(claims.note_of(name).options)


@cache
def differences_read() -> tuple[Difference, ...]:
    """Differences of every word, to either side, and of spreads."""
    found: list[Difference | None] = []
    for name in ("start", "face", "path", "strike", "roll_past", "eyes_inside", "eyes_behind", "strike_high"):
        for middle, spread in ((-2.0, 0.3), (2.0, 0.3), (0.0, 0.3), (0.5, 1.5), (0.0, 2.5), (0.0, 0.05)):
            one, other = (
                Group("", (batch(name, read_about(name, at, wide, 14), turn=n),))
                for n, (at, wide) in enumerate(((0.0, 0.3), (middle, spread)))
            )
            found.append(difference(one, other, name, BY))
            if name == "start":
                found.append(difference(other, one, name, BY))
    for name in ("face", "path", "strike"):
        five, *told = (Group("", (batch(name, told_sides(name, 1, n), turn=n),)) for n in (5, 0, 6, 12))
        found += [difference(five, it, name, BY) for it in told]
    near = Group("", (batch("start", read_about("start", 0.0, 0.1, 12)),))
    for side, all_ in product((-1, 1), (True, False)):
        gate = Group("", (batch("start", _open("start", side, 12, all_=all_), turn=1),))
        found += [difference(near, gate, "start", BY), difference(gate, near, "start", BY)]
    for name, good, bad in (("holed", "holed", "missed"), ("roll", "clean", "hop"), ("still", "nothing", "head")):
        five, *others = (Group("", (batch(name, [good] * n + [bad] * (10 - n), turn=n),)) for n in (5, 0, 5, 10))
        found += [difference(five, it, name, BY) for it in others]
    return tuple(it for it in found if it is not None)


@cache
def growths() -> tuple[Growth, ...]:
    """Growth of every word."""
    at = tuple(AtLength(far, 8, normal(0.4 * far - 0.6, 0.1), Place("start")) for far in (1.5, 3.0, 4.5))
    draws = np.zeros((2, 2))
    return tuple(
        Growth(at, normal(0.4 if side == "right" else -0.4, 0.05), Verdict(word, side, 0.9), draws, lessons)
        for word, side, lessons in product(WORDS, SIDES, (1, 3))
    )


@cache
def paces() -> tuple[Pace, ...]:
    """What can become of putts."""
    ends: list[list[Mapping[str, Value]]] = [
        [_FELL] * 6,
        [_ended("short", Interval(-0.6, -0.5), n) for n in range(9)],
        [_ended("short", Interval(-math.inf, 0.0), n) for n in range(9)],
        [_ended("short", Interval(-math.inf, -0.6), n) for n in range(9)],
        [_ended("short", Interval(-math.inf if n % 2 else -0.6, -0.6 if n % 2 else -0.3), n) for n in range(9)],
        [_ended("past", Interval(0.3, 0.4), n) for n in range(9)],
        [_ended("past", Interval(1.6, 1.7 + 0.1 * n), n) for n in range(9)],
        [_ended("past", Interval(0.0, math.inf), n) for n in range(5)],
        [_ended("", None, n) for n in range(5)],
        [*(_ended("short", Interval(-0.6, -0.5), n) for n in range(4)), _FELL, _ended("past", Interval(0.3, 0.4), 1)],
    ]  # fmt: skip
    found = (
        pace_of(
            [Batch(f"{n}", "start", 0.0, tuple(Event(f"{i}", it) for i, it in enumerate(told)), putted=_PUTTED)], BY
        )
        for n, told in enumerate(ends)
    )
    return tuple(it for it in found if it is not None)


def _ended(kind: str, at: Interval | None, n: int) -> Mapping[str, Value]:
    told: dict[str, Value] = {"holed": "missed"}
    if n % 3 < 2:
        told["missed_side"] = ("left", "right")[n % 3]
    if kind:
        told["stopped"] = kind
    if at is not None:
        told["roll_past"] = at
    return told


@cache
def comparisons() -> tuple[Compared, ...]:
    """Comparisons under every question, so far and whole, of one other condition and of two."""
    found: list[Compared | None] = []
    questions: tuple[Question, ...] = ("line", "spread", "window", "roll", "strike", "face", "path")
    for question, final, apart, wide in product(questions, (True, False), (0.0, 2.0), (0.3, 0.002)):
        arms = [
            batch("start", read_about("start", at, spread, 14), (("trial", name),) if name else (), turn=n)
            for n, (name, at, spread) in enumerate(
                (("", 0.0, 0.3), ("wide base", apart, wide), ("no line", -apart, 1.5))
            )
        ]
        for some in (arms[:2], arms):
            ledger = Ledger(
                "right", BY.mix, (1.2, 2.5), Estimate(0.85, 0.8, 0.9), "skilled", usual_band("skilled"), tuple(some)
            )
            found.append(compared(ledger, "it", "start", question, BY, final=final))
    return tuple(it for it in found if it is not None)


def gone_together() -> Iterable[GoesWith]:
    """Every trait as what is given, and as what goes with it."""
    for given, then in zip(TRAITS, (*TRAITS[1:], TRAITS[0]), strict=True):
        for chance, middle in ((0.97, True), (0.85, False)):
            yield GoesWith(given, then, Share(4, 5), Share(0, 5), chance, middle, middle)


def unused() -> tuple[tuple[NotUsed, ...], ...]:
    """What can't be used: of eyes to either side, one quantity and several."""
    found: list[tuple[NotUsed, ...]] = []
    for inside in (-0.08, 0.08):
        sight = StringSight(inside, 1.5, 0.2)
        why = Unusable(7, normal(sight.lies_outside_m(0.0215, 0.0) * 1000, 3.0), sight, looked=inside > 0)
        told = tuple(NotUsed(quantity(name), 7, why, Place("start")) for name in ("path", "path_back"))
        found += [told[:1], told]
    return tuple(found)


def _unused_aloud(it: Reading) -> None:
    for some in unused():
        it.say("judge", unusable.misled_said, Misled(some), it.units)
        for one in some:
            it.say("judge", unusable.not_used_said, one, it.units)
            it.say("judge", unusable.not_used_name, one)


def _shares_aloud(it: Reading) -> None:
    for share in shares_read():
        for said in (claims.share_said, claims.counts_said, claims.counted_said):
            it.say("judge", said, share)
        it.say("judge", claims.claim_name, share)
        for category, _ in share.counts:
            it.say("judge", claims.category_name, share.quantity.name, category)


def claims_aloud(it: Reading) -> None:
    _unused_aloud(it)
    for name in names():
        it.say("judge", claims.quantity_name, name)
    _shares_aloud(it)
    for levels in LEVELS:
        it.say("judge", claims.levels_said, levels, it.units)
        it.say("judge", claims.claim_name, replace(levels_read()[0], levels=levels))
    for level in levels_read():
        about = level.quantity
        if isinstance(level.kind, Sided):
            it.say("judge", claims.sides_said, about, level.kind, it.hand)
        it.say("judge", claims.level_said, level, it.hand, it.units)
        it.say("judge", claims.claim_name, level)
        it.say("judge", claims.call_said, level)
        it.say("judge", claims.headed, level, it.hand, it.units)
        if about.name == "roll_past":
            it.say("judge", claims.against_plan, level, it.units)
        if level.spread is not None:
            it.say("judge", claims.spread_said, level, it.units)
        if level.beyond is not None and level.raw is not None:
            it.say("judge", claims.beyond_said, level, level.beyond, it.hand, it.units)
        for value in (-1.0, 0.0, 1.0):
            it.say("judge", claims.side_name, about, value, it.hand)
            it.say("judge", differences.further, about, value, it.hand)
            it.say("judge", claims.sized, about, value, 0.1, it.hand, it.units)
            it.say("judge", claims.size_said, about, value, 0.1, it.units)
            it.say("judge", claims.is_small, about, value, claims.size_said(about, value, 0.1, it.units))
            it.say("judge", claims.open_or_closed, about.name, value > 0, it.hand)
        it.say("judge", claims.between_said, about, level.bias, it.hand, it.units)
    it.say("judge", claims.reads_said, [*levels_read()[:2], *shares_read()[:1]], it.hand, it.units)
    found = differences_read()
    for one in found:
        it.say("judge", differences.difference_said, one, it.hand, it.units)
        if one.shares is None:
            it.say("judge", differences.shift_said, one, it.hand, it.units)
        it.say("judge", two.label_said, one)
        it.say("judge", two.beside_said, one, it.hand, it.units)
    it.say("judge", two.two_said, found, (), it.hand, it.units)
    for one in gone_together():
        it.say("judge", together.together_said, one, it.hand)
    for growth in growths():
        it.say("judge", putts.growth_said, growth, it.hand, it.units)
    for pace in (*paces(), None):
        it.say("judge", putts.pace_said, pace, it.units)
        it.say("judge", putts.pace_sentences, pace, it.units)
        if pace is not None:
            it.say("judge", putts.finished_said, pace, it.units)
    for finish, past in product((None, *NOTES["finish"].options), (None, -0.4, 0.0, 1.3)):
        noted = {name: told for name, told in (("finish", finish), ("ran_past_m", past)) if told is not None}
        it.say("judge", putts.ended_said, noted, it.units)
    for told in (*comparisons(), None):
        of = ("start", "aim") if told is None else (told.of,)
        for one in of:
            it.say("judge", comparison.compared_words, told, one, it.hand, it.units)
        if told is not None:
            it.say("judge", comparison.group_name, told.first)
    for felt in ((), (("", None, 4), ("wide base", 3, 2)), (("", None, None),)):
        it.say("judge", comparison.felt_said, felt)
