"""A lesson of 500 readings judged whole, by hand: `python -m tests.bench.whole_lesson`.

Asked: the judgement in at most 150 ms; first content in at most 400 ms.
"""

import time

import numpy as np

from libella.core.judge.findings.judged import judge_lesson
from tests.golfers.lesson import Size, Truth, lesson

_SIZE = Size(putts=360, strike=True, still=True, guide=125, lengths=(1.5, 2.5, 4.0), finish=True, second_proof=True)


def main() -> None:
    told = lesson(Truth((), aim=1.0, delivery=0.6), _SIZE, np.random.default_rng(1))
    putts = sum(len(it.putts) for it in told.blocks)
    took: list[float] = []
    for _ in range(25):
        began = time.perf_counter()
        judge_lesson(told, told.blocks[0].window)
        took.append(time.perf_counter() - began)
    print(f"{putts} putts and {7 + 7 + 8} other readings: {1000 * min(took):.0f} ms at best of 25 (150 asked)")


if __name__ == "__main__":
    main()
