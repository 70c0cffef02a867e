"""What a golfer's own data say where coaches disagree, of golfers without a cause: `python -m tests.bench.schools`.

Every question by itself: how often innocents are told a school at least likely, and clear.
"""

import sys
from collections import Counter
from dataclasses import replace

import numpy as np

from libella.core.change.school_told import READERS, GolferTold, told_of
from libella.core.judge.findings.judged import judge_lesson
from libella.core.judge.ledger.entry import Batch, Event, Ledger
from libella.core.measure.interval import Interval
from tests.golfers.lesson import Size, Truth, lesson

_HOLE_DEG = 1.24
_EYES_SD = 30.0


def innocent(seed: int) -> Ledger:
    """A lesson of everything read of a golfer without a cause; his eyes lie anywhere, and what falls falls by its true
    start and pace."""
    rng = np.random.default_rng([seed, 91])
    truth = Truth((), spread=float(np.exp(rng.normal(-0.1, 0.25))))
    found = lesson(truth, Size(putts=25, strike=True, still=True, finish=True), rng)
    at = float(rng.normal(0, _EYES_SD))
    looks = tuple(Event(f"e{n}", {"eyes_inside": Interval(at - 4, at + 4)}) for n in range(3))
    return replace(found, batches=(*found.batches, Batch("eyes", "see", 0.0, looks, lesson="now")))


def told(golfers: int) -> tuple[Counter[str], Counter[str]]:
    """By question: of so many innocents told at least likely, and clear."""
    likely: Counter[str] = Counter()
    clear: Counter[str] = Counter()
    for seed in range(golfers):
        golfer = GolferTold(judge_lesson(innocent(seed)))
        for question in READERS:
            it = told_of(golfer, question)
            if it is not None:
                likely[question] += 1
                clear[question] += it.sure == "clear"
    return likely, clear


def main(golfers: int = 200) -> None:
    likely, clear = told(golfers)
    print(f"innocents: {golfers}; asked of each question: at least likely 20 %, clear 5 %")
    for question in READERS:
        print(f"{question:16} likely {likely[question] / golfers:6.1%}, clear {clear[question] / golfers:6.1%}")


if __name__ == "__main__":
    main(*map(int, sys.argv[1:]))
