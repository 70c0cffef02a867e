"""What is said of a block under Judge."""

import math
from functools import cache
from itertools import product

from ...core.green.putt import Putt
from ...core.instruments import Rig, lay
from ...core.judge.disturbed import DISTURBANCES
from ...core.judge.judgement import Further, Judgement, Occasion, further, judge
from ...core.measure.interval import Interval
from ...core.set.proof import NOT_PROVED
from ...core.set.station import Station
from ..judge.judgement import further_words, judgement_words
from .reading import Reading
from .samples import PROVED, PUTTS, gate, intervals


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


def judge_aloud(it: Reading) -> None:
    laid = gate("metric")
    gates = [Station(PUTTS[0], laid, proof) for proof in (NOT_PROVED, PROVED)]
    putted = product(gates, (-1.5, -0.4, 0.0, 1.5), (0.2, 1.8), (0, 1, 4, 12), (True, False))
    for station, middle, spread, n, hole in putted:
        reads = intervals(middle, spread, n)
        occasion = Occasion(it.hand, hole=hole)
        it.say("judge", judgement_words, _judged(reads, station, occasion, 10), station, occasion, it.units)
        if n == 12 and hole:
            it.say("judge", further_words, _further(reads, station, occasion, 10))
    it.say("judge", further_words, None)
    for n, spread, middle in ((5, 2.5, 0.3), (10, 0.9, 0.35), (20, 0.3, 0.0), (40, 0.2, 0.5), (12, 2.0, 2.0)):
        for station in gates:
            it.say("judge", further_words, _further(intervals(middle, spread, n), station, Occasion(it.hand), n))
    gated = [Interval(-math.inf, -0.7)] * 3 + [Interval(-0.7, 0.7)] * 9
    for reads in ((Interval(1.1, math.inf),) * 4, (Interval(-math.inf, -1.1),) * 4):
        found = _judged(reads, gates[1], Occasion(it.hand), 9)
        it.say("judge", judgement_words, found, gates[1], Occasion(it.hand), it.units)
    touched = (Interval(-math.inf, -0.7),) * 5 + (Interval(0.7, math.inf),) * 5
    wide = (touched, touched[2:8], (gated[-1],) * 9, (gated[-1],) * 4, tuple(gated))
    for reads in (*wide, (Interval(1.1, math.inf),) * 9, (Interval(-math.inf, -1.1),) * 9):
        it.say(
            "judge",
            judgement_words,
            _judged(reads, gates[1], Occasion(it.hand), 9),
            gates[1],
            Occasion(it.hand),
            it.units,
        )
    for putt, middle in product((it for it in PUTTS if it.read), (-4.0, -1.5, 0.0, 1.5, 4.0)):
        reading = Station(putt, laid, PROVED)
        for aside in (0.0, *(at - putt.start_deg for at in putt.lines_deg or ())):
            reads = intervals(aside or middle, 0.2, 12)
            found = _judged(reads, reading, Occasion(it.hand), 10)
            it.say("judge", judgement_words, found, reading, Occasion(it.hand), it.units)
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
    alone = lay("no_rig", {})
    assert isinstance(alone, Rig)
    for hole, n in product((True, False), (4, 12)):
        station = Station(PUTTS[0], alone)
        found = _judged((Interval(-math.inf, math.inf),) * n, station, Occasion(it.hand, hole=hole), 10)
        it.say("judge", judgement_words, found, station, Occasion(it.hand, hole=hole), it.units)
