"""A lesson of 500 readings judged whole, by hand: `python -m tests.bench.whole_lesson`.

Asked: all claims anew in at most 150 ms; just after a putt, nothing else new, at most 60 ms (95 of 100).
"""

import time
from dataclasses import replace

import numpy as np

from libella.core.judge.findings.judged import judge_lesson
from libella.core.measure.interval import Interval
from tests.golfers.lesson import Size, Truth, lesson

_SIZE = Size(putts=360, strike=True, still=True, guide=125, lengths=(1.5, 2.5, 4.0), finish=True, second_proof=True)


def main() -> None:
    told = lesson(Truth((), aim=1.0, delivery=0.6), _SIZE, np.random.default_rng(1))
    readings = sum(sum(it.counts.values()) for it in told.batches)
    took: list[float] = []
    for n in range(25):
        *others, last = told.batches
        first = last.events[0]
        putt = replace(first, id=f"{n}", values={**first.values, "start": Interval(0.01 * n, 0.01 * n + 0.28)})
        told = replace(told, batches=(*others, replace(last, events=(*last.events, putt))))
        began = time.perf_counter()
        judge_lesson(told)
        took.append(1000 * (time.perf_counter() - began))
    p95 = float(np.quantile(took[1:], 0.95))
    print(f"{readings} readings: {took[0]:.0f} ms anew (150 asked), just after a putt {p95:.0f} ms at p95 (60 asked)")


if __name__ == "__main__":
    main()
