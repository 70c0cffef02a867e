"""Whether what is offered first belongs to the true cause, by hand: `python -m tests.bench.follows [lessons a cause]`.

Simulated golfers with known causes, as coaches record them. What follows first is the true cause's, or is honestly
general with the check before it, or there is nothing but the check; or it belongs to another cause.
"""

import sys
from collections import Counter
from typing import Literal

import numpy as np

from libella.core.change.follows import follows
from libella.core.judge.findings.judged import judge_lesson
from tests.golfers.kept import KEPT
from tests.golfers.lesson import Truth, by_hand, lesson
from tests.golfers.tuned import NONE, TUNED

Kind = Literal["own", "general", "check", "wrong"]
_PARTS = {"pace": "read_and_pace", "read": "read_and_pace"}
_HONEST, _WRONG = 90, 3


def first_of(truth: Truth, seed: list[int]) -> tuple[Kind, str]:
    """What is offered first of one lesson: which kind it is, and its topic."""
    told = follows(judge_lesson(lesson(truth, by_hand(truth), np.random.default_rng(seed))))
    if not told:
        return "check", ""
    topic = told[0].topic
    if _PARTS.get(topic, topic) in truth.causes or (topic == "hold" and not truth.causes):
        return "own", topic
    return ("general" if told[0].general or topic == "hold" else "wrong"), topic


def offered(truths: tuple[Truth, ...], lessons: int) -> Counter[Kind]:
    whole: Counter[Kind] = Counter()
    for at, truth in enumerate(truths):
        kinds: Counter[Kind] = Counter()
        topics: Counter[str] = Counter()
        for n in range(lessons):
            kind, topic = first_of(truth, [n, at, 53])
            kinds[kind] += 1
            topics[topic] += kind == "wrong"
        whole += kinds
        print(f"  {' + '.join(truth.causes) or 'none':32} {dict(kinds)} {dict(+topics)}")
    return whole


def main() -> None:
    lessons = int(sys.argv[1]) if len(sys.argv) > 1 else 20
    for name, truths in (("tuned", TUNED), ("kept apart", KEPT), ("no cause", NONE)):
        told = offered(truths, lessons)
        all_ = told.total()
        print(
            f"{name}: the true cause's {told['own'] / all_:.1%}, general {told['general'] / all_:.1%}, the check alone "
            f"{told['check'] / all_:.1%} (together {_HONEST} asked), another's {told['wrong'] / all_:.1%} "
            f"({_WRONG} at most)"
        )


if __name__ == "__main__":
    main()
