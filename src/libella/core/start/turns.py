"""Whose turn it is: a comparison of conditions, putted in short runs so that warm-up is no effect."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import groupby
from typing import Final, Literal, get_args

import numpy as np

from ..measure.limits import Bounds, OutOfLimits

Order = Literal["alternating", "shuffled", "in_order"]
Of = Literal["start", "aim"]
"""What is compared: blocks of putts, or series of set-downs."""
Noticed = Literal["roll", "still", "touch", "strike", "finish"]
"""Questions about what was noted of the putts: names of notes."""
AboutStart = Literal["line", "spread", "window"]
Outcome = Literal["line", "spread", "window", "roll", "still", "touch", "strike", "finish"]
"""What a putt comes to: what a change is retested by."""
Question = Literal[Outcome, "face", "path"]
"""What a comparison asks: that, or a link before the ball, by a sensor or in the words noted of the putts."""
NOTICED: Final[tuple[Noticed, ...]] = get_args(Noticed)
ORDERS: Final[tuple[Order, ...]] = get_args(Order)
EACH: Final = Bounds(3, 60, "putts")
RUN: Final = Bounds(1, 10, "putts")
MOST_CONDITIONS: Final = 5


def noticed(question: Question) -> Noticed | None:
    """The note a question is about; None for one of the start."""
    return next((it for it in NOTICED if it == question), None)


@dataclass(frozen=True, slots=True)
class PlannedPutt:
    """A putt of the plan: under which condition, and the how-manieth of it, from 1."""

    condition: int
    nth: int


@dataclass(frozen=True, slots=True)
class Plan:
    """A comparison as planned. `each`: putts under each condition; `run`: putts before the condition changes."""

    conditions: int
    each: int
    order: Order
    run: int
    seed: int = 0

    def __post_init__(self) -> None:
        if not 2 <= self.conditions <= MOST_CONDITIONS:
            raise OutOfLimits("conditions", "conditions_count", most=MOST_CONDITIONS)
        EACH.check("each", "each", self.each)
        RUN.check("run", "run", self.run)

    def turns(self) -> tuple[int, ...]:
        """The condition of every putt, from the first to the last.

        Alternating goes there and back, so that whatever drifts evenly through the lesson falls on all alike.
        """
        if self.order == "in_order":
            return tuple(n for n in range(self.conditions) for _ in range(self.each))
        rng = np.random.default_rng(self.seed)
        left = [self.each] * self.conditions
        found: list[int] = []
        forth = True
        while any(left):
            round_ = list(range(self.conditions))
            if self.order == "shuffled":
                round_ = [int(it) for it in rng.permutation(self.conditions)]
            elif not forth:
                round_.reverse()
            for n in round_:
                putts = min(self.run, left[n])
                found += [n] * putts
                left[n] -= putts
            forth = not forth
        return tuple(found)

    def putts(self) -> tuple[PlannedPutt, ...]:
        """Every putt, from the first to the last."""
        done = [0] * self.conditions
        found: list[PlannedPutt] = []
        for n in self.turns():
            done[n] += 1
            found.append(PlannedPutt(n, done[n]))
        return tuple(found)


@dataclass(frozen=True, slots=True)
class Turn:
    """The condition whose turn it is, how many putts until it changes, and which comes then; None at the end."""

    condition: int | None
    left: int
    then: int | None


def turn(plan: Plan, done: Sequence[int]) -> Turn:
    """Whose turn it is when each condition has so many valid putts: a putt voided is putted again in its own place."""
    coming = [it.condition for it in plan.putts() if it.nth > done[it.condition]]
    if not coming:
        return Turn(None, 0, None)
    runs = [(n, len(list(same))) for n, same in groupby(coming)]
    return Turn(runs[0][0], runs[0][1], runs[1][0] if len(runs) > 1 else None)
