"""A pace told against the one planned, with the putts that fell counted and without: `python -m tests.bench.pace`.

Golfers putt to a level hole, 35 cm past planned; of misses it is noted to 10 cm where they ended.
"""

import sys
from dataclasses import replace

import numpy as np

from libella.core.judge.claims.pace import pace_of
from libella.core.judge.ledger.entry import Batch
from libella.core.measure.window import Window
from tests.core.judge.samples import BY, PUTTED
from tests.golfers.finishes import noted, rolled


def main(golfers: int = 300) -> None:
    rng = np.random.default_rng(53)
    print("pace off the planned, spread, length: said (likely or clear) with the putts that fell, and without them;")
    print("how often the 90 % interval holds the true pace, with and without")
    for length_m, half in ((1.5, 1.6), (2.5, 0.97), (4.0, 0.6)):
        for off in (0.0, -0.25, 0.3):
            for spread in (0.15, 0.3):
                _row(rng, golfers, length_m, half, off, spread)


def _row(rng: np.random.Generator, golfers: int, length_m: float, half: float, off: float, spread: float) -> None:
    putted = replace(PUTTED, distance_m=length_m, window=Window(half, half))
    said, held, of = [0, 0], [0, 0], [0, 0]
    for _ in range(golfers):
        events = noted(rolled(rng, 24, length_m, (0.0, 0.8), (0.35 + off, spread)))
        for n, some in enumerate((events, [replace(it, implied={}) for it in events])):
            found = pace_of([Batch("b", "start", 0.0, tuple(some), putted=putted)], BY)
            level = None if found is None else found.level
            if level is None:
                continue
            of[n] += 1
            said[n] += level.call is not None and level.call.names_direction
            held[n] += level.bias.low <= 0.35 + off <= level.bias.high
    shares = " ".join(f"{100 * it / max(n, 1):4.0f} %" for it, n in zip((*said, *held), (*of, *of), strict=True))
    print(f"{off:+.2f} m, ± {spread:.2f} m, {length_m:.1f} m: {shares} of {of[0]}")


if __name__ == "__main__":
    main(*map(int, sys.argv[1:]))
