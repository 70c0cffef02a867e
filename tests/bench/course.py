"""What is expected on the course: how often its interval holds, how often an exact record parts, how long it
takes. `python -m tests.bench.course`

Golfers are drawn with a start line and a roll of their own; a lesson of each is read as a board and a tape read it;
then the average of many rounds is told, and held against what it truly is.
"""

import math
import sys
import time

import numpy as np

from libella.core.certainty.estimate import Estimate, estimated
from libella.core.change.made import Tried, made_at
from libella.core.course.chance import LENGTHS_M, Green, chances, known_starter
from libella.core.course.golf_round import Played
from libella.core.course.outlook import DRAWN, outlook, starter_of
from libella.core.course.roller import Finish, known_roller, roller
from libella.core.estimate import START, posterior
from libella.core.measure.interval import Interval
from tests.golfers.finishes import noted, rolled

GREEN = Green(10.0)
PUTTS = 40


def read_of(starts, half):
    """Bias and spread of starts, degrees, each read to so much either way."""
    found = posterior([Interval(it - half, it + half) for it in starts], START())
    return estimated(found.bias_quantile), estimated(found.spread_quantile)


def finishes(rng, roll):
    """Half of the putts from two metres, half from six."""
    return [
        Finish(length, Interval(it - 0.05, it + 0.05))
        for length in (2.0, 6.0)
        for it in rng.normal(roll[0], roll[1] + roll[2] * length, PUTTS // 2)
    ]


def parted(rng, lengths, golfers):
    """How often an exact record is said to part from what is expected: every start and finish noted as it was."""
    more = fewer = 0
    for n in range(golfers):
        start = rng.normal(0, 0.5), math.exp(rng.normal(-0.2, 0.3))
        past, spread, grows = rng.normal(0.3, 0.12), 0.08 * math.exp(rng.normal(0, 0.4)), 0.08
        putts = [(at, rolled(rng, PUTTS // len(lengths), at, start, (past, spread + grows * at))) for at in lengths]
        starts = [it.start_deg for _, some in putts for it in some]
        starter = starter_of(*read_of(starts, 0.15), seed=n)
        ended = [Finish(at, _past(one)) for at, some in putts for one in noted(some)]
        made = made_at([Tried(at, it.fell, read=False) for at, some in putts for it in some], ())
        parts = outlook(starter, None, roller(ended, DRAWN, seed=n), GREEN, made).parts
        more += any(not it.fewer for it in parts)
        fewer += any(it.fewer for it in parts)
    return more, fewer


def _past(it):
    return it.values.get("roll_past") or it.implied["roll_past"]


def main(golfers: int = 300) -> None:
    rng = np.random.default_rng(37)
    for lengths in ((2.5,), (1.5, 2.5, 4.0)):
        more, fewer = parted(rng, lengths, golfers // 3)
        print(
            f"exact records from {', '.join(f'{it:g} m' for it in lengths)}: of {golfers // 3} said to be holed more "
            f"often than expected {more}, fewer {fewer} (asked: in at most 5 %)"
        )
    rng = np.random.default_rng(31)
    held = 0
    for n in range(golfers):
        bias, spread = rng.normal(0, 0.6), math.exp(rng.normal(0.0, 0.35))
        roll = rng.normal(0.3, 0.1), 0.1 * math.exp(rng.normal(0, 0.4)), 0.15 * math.exp(rng.normal(0, 0.3))
        truth = Played(known_starter(bias, spread), known_roller(*roll), GREEN).round().average.value
        starter = starter_of(*read_of(rng.normal(bias, spread, PUTTS), 0.03), seed=n)
        told = Played(starter.only(96), roller(finishes(rng, roll), DRAWN, seed=n).only(96), GREEN).round().average
        held += told.low <= truth <= told.high
    print(f"putts in a round: the 90 % interval held for {100 * held / golfers:.0f} % of {golfers} golfers")
    starter, rolls = starter_of(Estimate(0.3, 0.0, 0.6), Estimate(1.0, 0.8, 1.3)), roller([], DRAWN)
    for name, work in (
        ("the curve", lambda: chances(np.array(LENGTHS_M), starter, rolls, GREEN)),
        ("all of it", lambda: outlook(starter, starter, rolls, GREEN, ())),
    ):
        work()
        began = time.perf_counter()
        for _ in range(10):
            work()
        print(f"{name}: {100 * (time.perf_counter() - began):.0f} ms")


if __name__ == "__main__":
    main(*map(int, sys.argv[1:]))
