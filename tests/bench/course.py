"""What is expected on the course: how often its interval holds, and how long it takes. `python -m tests.bench.course`

Golfers are drawn with a start line and a roll of their own; a lesson of each is read as a board and a tape read it;
then the average of many rounds is told, and held against what it truly is.
"""

import math
import sys
import time

import numpy as np

from libella.core.certainty.estimate import Estimate
from libella.core.course.chance import LENGTHS_M, Green, chances, known_starter
from libella.core.course.golf_round import Played
from libella.core.course.outlook import DRAWN, outlook, starter_of
from libella.core.course.roller import Finish, known_roller, roller
from libella.core.estimate import START, posterior
from libella.core.measure.interval import Interval

GREEN = Green(10.0)
PUTTS = 40
SIDES = (0.5, 0.05, 0.95)


def read_of(rng, bias, spread):
    """The posterior of a lesson of starts, read to half a millimetre at a metre."""
    found = posterior([Interval(it - 0.03, it + 0.03) for it in rng.normal(bias, spread, PUTTS)], START())
    return Estimate(*map(found.bias_quantile, SIDES)), Estimate(*map(found.spread_quantile, SIDES))


def finishes(rng, roll):
    """Half of the putts from two metres, half from six."""
    return [
        Finish(length, Interval(it - 0.05, it + 0.05))
        for length in (2.0, 6.0)
        for it in rng.normal(roll[0], roll[1] + roll[2] * length, PUTTS // 2)
    ]


def main(golfers: int = 300) -> None:
    rng = np.random.default_rng(31)
    held = 0
    for n in range(golfers):
        bias, spread = rng.normal(0, 0.6), math.exp(rng.normal(0.0, 0.35))
        roll = rng.normal(0.3, 0.1), 0.1 * math.exp(rng.normal(0, 0.4)), 0.15 * math.exp(rng.normal(0, 0.3))
        truth = Played(known_starter(bias, spread), known_roller(*roll), GREEN).round().average.value
        starter = starter_of(*read_of(rng, bias, spread), seed=n)
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
