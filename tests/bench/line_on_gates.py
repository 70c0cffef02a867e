"""The golfer's line of blocks putted through gates, by hand: `python -m tests.bench.line_on_gates [golfers]`.

Golfers of a known level and spread, six blocks of ten a week apart, each on a gate laid anew, through the functions of
the golfer's page. It prints how often the level's interval, or what "at least" says, holds (asked: 86 in 100), and the
spread's, where one is told (asked: 86 in 100).
"""

import math
import sys
from collections.abc import Iterator
from dataclasses import dataclass
from itertools import pairwise, product

import numpy as np

from libella.core.green.putt import Putt
from libella.core.green.usual import USUAL, usual_mix
from libella.core.judge.golfers_line import GolfersLine, LineKey, at_usual, golfers_line
from libella.core.judge.ledger.entry import Batch, Event, Source
from libella.core.judge.line_block import line_block
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window

LEVELS = (0.0, 0.8, 1.6)
SPREADS = (0.3, 0.8)
HALVES = (0.5, 0.8, 1.1)
BLOCKS, PUTTS = 6, 10
_LINE_DEG, _LAID_DEG, _WANDER_DEG = 0.09, 0.1, 0.25
_TOUCHES_DEG = 8.0
MIX = usual_mix(Putt(2.5, 0.35, 10.0), USUAL())


@dataclass
class Kept:
    """How often something was told, and held."""

    told: int = 0
    held: int = 0

    def count(self, *, held: bool) -> None:
        self.told += 1
        self.held += held

    @property
    def share(self) -> float:
        return self.held / self.told if self.told else 1.0


def blocks(rng: np.random.Generator, level: float, spread: float, half: float) -> Iterator[Batch]:
    """Six blocks as a gate of `half` degrees to either side tells them."""
    ends = (-math.inf, -half - _TOUCHES_DEG, -half, half, half + _TOUCHES_DEG, math.inf)
    zones = [Interval(*it) for it in pairwise(ends)]
    for n in range(BLOCKS):
        off = rng.normal(0.0, math.hypot(_LINE_DEG, _LAID_DEG)) + rng.normal(0.0, _WANDER_DEG)
        starts = rng.normal(level + off, spread, PUTTS)
        events = tuple(
            Event(f"{n}.{nth}", {"start": next(it for it in zones if at in it)}) for nth, at in enumerate(starts)
        )
        laid = (Source("line", n, _LINE_DEG), Source("laying", n, _LAID_DEG))
        yield Batch(str(n), "start", 7.0 * n, events, lesson=n, sources={"start": laid}, proved=True)


def line(rng: np.random.Generator, level: float, spread: float, half: float) -> GolfersLine | None:
    """The line they come to."""
    told = [line_block(it, "start", at_usual(MIX)) for it in blocks(rng, level, spread, half)]
    kept = [it for it in told if it is not None]
    return golfers_line([LineKey("start", ())], kept, [], Window(0.97, 0.97), MIX)


def holds(it: GolfersLine, level: float) -> bool:
    """Whether what is told of the level is so."""
    if it.beyond is not None:
        return (level if it.beyond.side == "right" else -level) >= abs(it.beyond.edge)
    if it.zone is not None:
        return abs(level) <= it.zone
    return it.now.low <= level <= it.now.high


def measured(level: float, spread: float, half: float, golfers: int, seed: int = 7) -> tuple[Kept, Kept]:
    """Of so many golfers: the level, and the spread."""
    rng = np.random.default_rng(seed)
    levels, spreads = Kept(), Kept()
    for _ in range(golfers):
        it = line(rng, level, spread, half)
        if it is None:
            continue
        levels.count(held=holds(it, level))
        if it.spread is not None:
            spreads.count(held=it.spread.low <= spread <= it.spread.high)
    return levels, spreads


def main() -> int:
    golfers = int(sys.argv[1]) if len(sys.argv) > 1 else 200
    bad = 0
    for half, level, spread in product(HALVES, LEVELS, SPREADS):
        levels, spreads = measured(level, spread, half, golfers)
        bad += levels.share < 0.86 or spreads.share < 0.86
        print(
            f"± {half}°, level {level}°, spread {spread}°: level holds {levels.held} of {levels.told}, "
            f"spread {spreads.held} of {spreads.told}"
        )
    return bad


if __name__ == "__main__":
    sys.exit(main())
