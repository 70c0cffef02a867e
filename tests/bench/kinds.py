"""What "at least" is worth: golfers drawn from the priors, ten putts each on gates of several widths.

`python -m tests.bench.kinds [blocks]` prints for each width how often "at least" is said of the level itself, how often
it holds (asked: 90 in 100), and in how many of all blocks it is said and does not hold (asked: 5 in 100 at most).
"""

import math
import sys

import numpy as np

from libella.core.estimate import START
from libella.core.estimate.kind import Bounded, kind_of
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window

WINDOW = Window(0.97, 0.97)
PUTTS = 10
HALVES = (0.5, 0.8, 1.1, 1.5)
"""Degrees to either side that a gate lets through."""


def block(rng: np.random.Generator, half: float, touches: float) -> tuple[float, list[Interval]]:
    """A golfer's true level, and what ten putts at such a gate tell; `touches`: how far a ball that touches may be."""
    prior = START()
    level = rng.normal(prior.bias_mean, prior.bias_sd)
    spread = prior.spread_median * math.exp(rng.normal(0.0, prior.spread_log_sd))
    zones = (
        Interval(-math.inf, -touches), Interval(-touches, -half), Interval(-half, half), Interval(half, touches),
        Interval(touches, math.inf),
    )  # fmt: skip
    starts = rng.normal(level, spread, PUTTS)
    return level, [next(it for it in zones if at in it) for at in starts]


def measured(half: float, blocks: int, seed: int = 5) -> tuple[int, int]:
    """How often "at least" was said of the level, and how often it held."""
    rng = np.random.default_rng(seed)
    said, held = 0, 0
    for _ in range(blocks):
        level, readings = block(rng, half, half + 8.0)
        kind = kind_of(readings, WINDOW)
        # Of the level itself it is said where every reading lies there.
        if isinstance(kind, Bounded) and kind.beyond.times == len(readings):
            said += 1
            way = 1.0 if kind.beyond.side == "right" else -1.0
            held += way * level >= abs(kind.beyond.edge)
    return said, held


def main() -> int:
    blocks = int(sys.argv[1]) if len(sys.argv) > 1 else 4000
    bad = 0
    for half in HALVES:
        said, held = measured(half, blocks)
        false = (said - held) / blocks
        share = held / said if said else 1.0
        bad += share < 0.9 or false > 0.05
        print(f"± {half:.1f}°: said of {said} of {blocks}, holds {100 * share:.1f} in 100, false {100 * false:.2f}")
    return bad


if __name__ == "__main__":
    sys.exit(main())
