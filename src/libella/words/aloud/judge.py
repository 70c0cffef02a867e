"""What is said under Judge."""

import math
from collections.abc import Iterator, Mapping
from dataclasses import replace
from functools import cache
from itertools import product
from typing import Any, get_args

import numpy as np

from ...core.certainty.estimate import Estimate
from ...core.estimate import START, posterior
from ...core.estimate.shares import Share
from ...core.golfer.hand import Hand
from ...core.green.putt import Putt
from ...core.green.read import Read
from ...core.instruments import Rig, lay
from ...core.judge.chain import Aimed, Declared, Delivered, chain
from ...core.judge.comparing import GOOD, AboutStart, Arm, Of, compared
from ...core.judge.distance import AtDistance, by_distance
from ...core.judge.disturbed import DISTURBANCES
from ...core.judge.holed import holed
from ...core.judge.judgement import Further, Judgement, Occasion, further, judge
from ...core.judge.noted import tables
from ...core.judge.pace import pace
from ...core.judge.watched import path_tables, watched_tables
from ...core.measure.interval import Interval
from ...core.set.proof import NOT_PROVED
from ...core.set.station import Station
from ...core.start.notes import NOTES
from ...core.start.path import PathModel
from ...core.start.watched import PREFIX, note_of
from ..judge.comparison import compared_words
from ..judge.judgement import further_words, judgement_words
from ..judge.pace import pace_words
from ..judge.tables import table_words
from .reading import Reading
from .samples import PROVED, PUTTS, about, gate, intervals


@cache
def _judged(reads: tuple[Interval, ...], station: Station, occasion: Occasion, planned: int) -> Judgement:
    """Judged once: what is said of it in other units is said of the same."""
    return judge(reads, station, occasion, planned=planned)


@cache
def _further(reads: tuple[Interval, ...], station: Station, occasion: Occasion, planned: int) -> Further | None:
    return further(reads, station, occasion, planned=planned)


def _disturbed(it: Reading, station: Station) -> None:
    for told in (("wind",), ("rough", "noise"), tuple(DISTURBANCES)):
        occasion = Occasion(it.hand, disturbances=told)
        found = _judged(intervals(0.8, 0.5, 12), station, occasion, 10)
        it.say("judge", judgement_words, found, station, occasion, it.units)


def _noticed(it: Reading, station: Station) -> None:
    reads = intervals(0.0, 0.3, 20)
    told = [(Share(n // 2, n), Share(good * n // 10, n)) for n in (0, 4, 20) for good in (2, 5, 10)]
    told.append((Share(95, 100), Share(95, 100)))
    for question, shares, final in product(GOOD, told, (True, False)):
        arms = [Arm.at(name, reads, station, (), good) for name, good in zip(("level", "ahead"), shares, strict=True)]
        it.say("judge", compared_words, compared(arms, question, final=final))


def judge_aloud(it: Reading) -> None:
    laid = gate("metric")
    gates = [Station(PUTTS[0], laid, proof) for proof in (NOT_PROVED, PROVED)]
    putted = product(gates, (-1.5, -0.4, 0.0, 1.5), (0.2, 1.8), (0, 1, 4, 12), (True, False))
    for station, middle, spread, n, hole in putted:
        reads = intervals(middle, spread, n)
        ended = holed([(read, {"finish": "short"}) for read in reads], station.putt.window) if n else None
        occasion = Occasion(it.hand, hole=hole, holed=ended if hole else None)
        it.say("judge", judgement_words, _judged(reads, station, occasion, 10), station, occasion, it.units)
        if n == 12 and hole:
            it.say("judge", further_words, _further(reads, station, occasion, 10))
    it.say("judge", further_words, None)
    for n, spread, middle in ((5, 2.5, 0.3), (10, 0.9, 0.35), (20, 0.3, 0.0), (40, 0.2, 0.5), (12, 2.0, 2.0)):
        for station in gates:
            it.say("judge", further_words, _further(intervals(middle, spread, n), station, Occasion(it.hand), n))
    gated = [Interval(-math.inf, -0.7)] * 3 + [Interval(-0.7, 0.7)] * 9
    for finishes in (["holed"] * 12, ["short"] * 12, ["holed", "short"] * 6):
        noted = [(read, {"finish": end}) for read, end in zip(gated, finishes, strict=True)]
        for reads in (tuple(gated), intervals(0.0, 0.1, 12), intervals(0.9, 0.5, 12)):
            noted = [(read, {"finish": end}) for read, end in zip(reads, finishes, strict=True)]
            occasion = Occasion(it.hand, holed=holed(noted, gates[1].putt.window))
            it.say("judge", judgement_words, _judged(reads, gates[1], occasion, 10), gates[1], occasion, it.units)
    _disturbed(it, gates[1])
    near = Station(Putt(0.8, 0.3, 10), laid, PROVED)
    for middle, n in ((0.8, 30), (0.9, 20), (1.1, 20), (1.2, 12), (1.5, 12), (1.5, 8)):
        wide, occasion = intervals(middle, 1.2, n), Occasion(it.hand)
        it.say("judge", judgement_words, _judged(wide, near, occasion, 6), near, occasion, it.units)
    short = Station(Putt(1.0, 0.3, 10), laid, PROVED)
    for middle, n in ((0.5, 12), (0.5, 40), (0.3, 12)):
        reads = intervals(middle, 0.4, n)
        it.say(
            "judge",
            judgement_words,
            _judged(reads, short, Occasion(it.hand), 10),
            short,
            Occasion(it.hand),
            it.units,
        )
    for question, apart, n, final in product(get_args(AboutStart), (0.0, 0.6, 2.0), (0, 4, 20), (True, False)):
        arms = [
            Arm.at("as usual", intervals(0.0, 0.3, n), gates[1]),
            Arm.at("wide base", intervals(apart, 0.3 + apart, n), gates[1]),
            Arm.at("no line", intervals(-apart, 0.3, n), gates[1]),
        ]
        # One steadier by far than the other.
        if question == "spread" and n:
            still = [
                Arm.at("as usual", intervals(0.0, 2.5, n), gates[1]),
                Arm.at("still", intervals(0.0, 0.01, n), gates[1]),
            ]
            it.say("judge", compared_words, compared(still, question, final=final))
        for some, of in product((arms[:2], arms), get_args(Of)):
            found = compared(some, question, final=final, of=of)
            it.say("judge", compared_words, found)
            if found.table:
                it.say("judge", table_words, found.table, it.units)
    _noticed(it, gates[1])
    for table in (*_tables(it.hand), *_told_tables(it.hand)):
        it.say("judge", table_words, table, it.units)
    _watched_aloud(it)


def _watched_aloud(it: Reading) -> None:
    """What was watched beside the start: aids, pace, the path against the one declared, the read."""
    alone = lay("no_rig", {})
    assert isinstance(alone, Rig)
    for hole in (True, False):
        station = Station(PUTTS[0], alone)
        for n in (4, 12):
            unread = (Interval(-math.inf, math.inf),) * n
            found = _judged(unread, station, Occasion(it.hand, hole=hole), 10)
            it.say("judge", judgement_words, found, station, Occasion(it.hand, hole=hole), it.units)
    finishes = (
        [("short_left", -0.4), ("short_left", -0.9)] * 3,
        [("past_right", 0.5)] * 4 + [("short", -0.3), ("holed", None)],
        [("short_left", None), ("past_right", None), ("holed", None), ("left", 0.2)],
        [("holed", None)] * 3 + [("past", 0.3), ("past", 0.3)],
    )
    for told in finishes:
        notes = [{"finish": end} | ({} if past is None else {"ran_past_m": past}) for end, past in told]
        it.say("judge", pace_words, pace(notes, (), 0.35), it.units)
    ringed = pace([{"aid:rings": "short_out"}] * 3, [lay("rings", {})], 0.35)
    it.say("judge", pace_words, ringed, it.units)
    it.say("judge", pace_words, None, it.units)
    unread = Interval(-math.inf, math.inf)
    for kind in ("putter_gate", "twin_rails", "elevated_string", "rings", "roll_past"):
        name = PREFIX + kind
        note = note_of(name)
        values = list(note.options) or [-0.2, 0.0, 0.3]
        for some in (values, [values[-1]] * 8, [values[0]] * 8):
            for table in watched_tables([(unread, {name: value}) for value in some], [name]):
                it.say("judge", table_words, table, it.units)
    for words in (["out_to_in"] * 7, ["in_to_out"] * 7, ["neutral", "in_to_out"]):
        for table in path_tables([(unread, {"path": word}) for word in words], PathModel("straight"), it.hand):
            it.say("judge", table_words, table, it.units)
    read = Read("outside", "right", 0.3)
    station = Station(Putt(2.5, 0.3, 10, falls_right_percent=-1.0, read=read, target="read"), gate("metric"), PROVED)
    off = station.putt.lines_deg
    assert off is not None
    for middle in (0.0, off[1] - off[0], 3.0):
        reads = intervals(middle, 0.2, 20)
        occasion = Occasion(it.hand)
        it.say("judge", judgement_words, _judged(reads, station, occasion, 10), station, occasion, it.units)


def _tables(hand: Hand) -> Iterator[Any]:
    window = PUTTS[0].window
    for offset in (0.0, 1.2):
        noted: list[tuple[Interval, Mapping[str, str | float]]] = []
        for n, read in enumerate(intervals(offset, 0.8, 24)):
            noted.append((read, {name: _noted(name, n) for name in NOTES}))
        yield from tables(noted, window)
        yield from tables(noted[:2], window)
        told = [
            Delivered(read, 0.5 + offset, read.anchor * 0.8 + n % 3 * 0.1, n % 5 * 0.4 - 0.8, 0.2, n % 7, 0.1)
            for n, (read, _) in enumerate(noted)
        ]
        for aimed in (Aimed(), Aimed(about(0.3, 0.1), about(0.2, 0.1), about(0.5, 0.1))):
            yield from chain(told, aimed, window, hand)
            yield from chain(told, aimed, window, hand, Declared(k=0.8))
            yield from chain(told[:2], aimed, window, hand)
        posts = [posterior(list(intervals(offset * far, 0.5, 9)), START) for far in (1, 2, 3)]
        at = [AtDistance(far, post, 9, window) for far, post in zip((1.5, 3.0, 4.5), posts, strict=True)]
        distances = by_distance(at)
        if distances:
            yield distances


def _feels_as_it_is(at: float) -> str:
    return "right" if at > 0.3 else "left" if at < -0.3 else "straight"


def _feels_further_left(at: float) -> str:
    return _feels_as_it_is(at - 1.0)


def _feels_left(at: float) -> str:
    return "left"


def _told_tables(hand: Hand) -> Iterator[Any]:
    """Tables in which something shows: a strike that turns the start, a block that drifts, a stroke that makes up."""
    window = PUTTS[0].window
    reads = intervals(0.0, 0.3, 24)
    drifting = [(read.shifted(0.0 if n < 12 else 2.0), {"strike": "middle"}) for n, read in enumerate(reads)]
    wilder = [
        (Interval(read.low * (1 if n < 12 else 8), read.low * (1 if n < 12 else 8) + 0.1), {"strike": "middle"})
        for n, read in enumerate(reads)
    ]
    struck = [
        (read.shifted(1.5 if n % 2 else -1.5), {"strike": "toe" if n % 2 else "heel"}) for n, read in enumerate(reads)
    ]
    feels: list[list[tuple[Interval, Mapping[str, str | float]]]] = [
        [(read, {"felt": call(read.anchor)}) for read in intervals(0.0, 1.2, 24)]
        for call in (_feels_as_it_is, _feels_further_left, _feels_left)
    ]
    for noted in (drifting, wilder, struck, *feels):
        yield from tables(noted, window)
    for share, checks in ((1.0, 7), (0.0, 7), (0.5, 7), (1.0, 0)):
        for off in (1.5, 0.0):
            told = [
                Delivered(
                    read, off + aim, off * (1 - share) + aim * (1 - share) + read.anchor * 0.1, 0.0, 0.1, checks, 0.05
                )
                for read, aim in zip(reads, np.linspace(-1.5, 1.5, 24), strict=True)
            ]
            yield from chain(told, Aimed(), window, hand)
            yield from chain(
                [replace(one, face_aim_deg=None) if n > 4 else one for n, one in enumerate(told)], Aimed(), window, hand
            )
            yield from chain(told, Aimed(), window, hand, Declared(model=PathModel("straight")))
            yield from chain(
                [replace(one, path_deg=2.0 if n < 20 else -2.0) for n, one in enumerate(told)],
                Aimed(),
                window,
                hand,
                Declared(model=PathModel("straight")),
            )
    apart = [Delivered(read) for read in reads]
    for aim in (3.3, 0.1):
        yield from chain(apart, Aimed(face=Estimate(aim, aim - 0.8, aim + 0.8)), window, hand)
    for slope in (1.5, -1.5):
        posts = [posterior(list(intervals(slope * far, 0.2, 12)), START) for far in (1, 2, 3)]
        found = by_distance(
            [AtDistance(far, post, 12, window) for far, post in zip((1.5, 3.0, 4.5), posts, strict=True)]
        )
        if found:
            yield found
    turning = [posterior(list(intervals(middle, 0.2, 12)), START) for middle in (1.5, 0.0, -1.5)]
    found = by_distance([AtDistance(far, post, 12, window) for far, post in zip((1.5, 3.0, 4.5), turning, strict=True)])
    if found:
        yield found


def _noted(name: str, n: int) -> str | float:
    note = NOTES[name]
    if note.bounds is None:
        options = list(note.options)
        return options[n % len(options)]
    return note.bounds.low + (note.bounds.high - note.bounds.low) * (n % 9) / 9
