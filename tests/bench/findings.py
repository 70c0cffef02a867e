"""Whether findings name the true cause, by hand: `python -m tests.bench.findings [lessons]`.

Simulated golfers with known single and double causes, and none; half of them in a file the rules are not tuned on.
Prints the confusion table, false "clear", how often nothing is said of golfers without a cause.
"""

import sys
import time
from collections import Counter
from collections.abc import Callable
from dataclasses import replace

import numpy as np

from libella.core.judge.findings.ranked import Findings, findings
from tests.golfers.kept import KEPT
from tests.golfers.lesson import Size, Truth, by_hand, lesson, on_a_gate, ordinary
from tests.golfers.tuned import NONE, TUNED

BY_HAND = (85, 95, 2)
"""Asked of what coaches record: true cause first, in the first three, false clear at most, in a hundred."""


def order(found: Findings) -> list[str]:
    """Causes as ranked, what is seen through another left out."""
    return [it.cause for it in found.ranked if it.explained_by is None]


def golfers(
    name: str,
    truths: tuple[Truth, ...],
    lessons: int,
    size: Callable[[Truth], Size] = ordinary,
    asked: tuple[int, int, int] = (80, 95, 6),
) -> None:
    first, third, false, took, all_ = 0, 0, 0, 0.0, 0
    for truth in truths:
        table: Counter[str] = Counter()
        own_first = 0
        for n in range(lessons):
            rng = np.random.default_rng([n, truths.index(truth), 11])
            told = lesson(truth, size(truth), rng)
            began = time.perf_counter()
            found = findings(told)
            took += time.perf_counter() - began
            ranked = order(found)
            table[ranked[0] + ("" if found.ranked[0].is_named else "?")] += 1
            own_first += ranked[0] in truth.causes
            third += all(cause in ranked[:3] for cause in truth.causes)
            clear = {it.cause for it in found.ranked if it.call.word == "clear" and it.explained_by is None}
            false += bool(clear - set(truth.causes))
            all_ += 1
        first += own_first
        print(f"  {' + '.join(truth.causes):32} first {own_first / lessons:4.0%}  {dict(table.most_common(4))}")
    print(
        f"{name}: true cause first {first / all_:.1%} ({asked[0]} asked), in the first three {third / all_:.1%} "
        f"({asked[1]}), false clear {false / all_:.1%} ({asked[2]} at most); {1000 * took / all_:.0f} ms a lesson"
    )


def innocents(lessons: int, size: Callable[[Truth, int], Size] = ordinary) -> None:
    for putts in (14, 20, 30):
        named, nothing, clear, which = 0, 0, 0, Counter[str]()
        for truth in NONE:
            for n in range(lessons):
                rng = np.random.default_rng([n, NONE.index(truth), 13])
                found = findings(lesson(truth, size(truth, putts), rng))
                named += bool(found.named)
                nothing += found.nothing
                clear += any(it.call.word == "clear" for it in found.ranked)
                which.update(it.cause for it in found.named)
        all_ = len(NONE) * lessons
        print(
            f"no cause, {putts} putts: none named {1 - named / all_:.1%} (85 asked), nothing to mend "
            f"{nothing / all_:.1%} (55 at 14, 75 at 30), a false clear {clear / all_:.1%} (6 at most) {dict(which)}"
        )


def main() -> None:
    lessons = int(sys.argv[1]) if len(sys.argv) > 1 else 20
    golfers("tuned on", TUNED, lessons)
    golfers("kept back", KEPT, lessons)
    golfers("as coaches record it", (*TUNED, *KEPT), lessons, by_hand, BY_HAND)
    golfers("as coaches record it, through a gate", (*TUNED, *KEPT), lessons, on_a_gate, BY_HAND)
    innocents(lessons * 4)
    innocents(lessons * 4, everything)
    line_first(lessons * 4)


def everything(truth: Truth, putts: int) -> Size:
    """Everything there is to be noted, with a guide and without."""
    return replace(by_hand(truth, putts), guide=10)


def line_first(lessons: int) -> None:
    """A line laid by eye that lies off, and everything read against it."""
    first, named = 0, 0
    for n in range(lessons):
        rng = np.random.default_rng([n, 29])
        off = float(rng.choice([-1, 1])) * float(rng.uniform(0.8, 1.6))
        found = findings(lesson(Truth((), rig=off), Size(proved=False, sensor=False), rng))
        first += found.ranked[0].cause == "rig"
        named += any(it.cause != "rig" for it in found.named)
    print(
        f"line off and not proved: rig first {first / lessons:.0%} (80 asked), a link named {named / lessons:.0%} (0)"
    )


if __name__ == "__main__":
    main()
