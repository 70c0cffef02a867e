"""Verdict words over simulated golfers: by what a bias costs, beside the old rule by a quarter of the window.

Asked (handbook 5): with no bias "can't tell yet" in about 53, 38 and 35 % of blocks of 10 putts at 2.5, 4 and 6 m
(24, 21
and 16 % at 20), false "clear" in at most 6 % from 2.5 to 9 m, also with a rig 0.3° off that is entered as known to
0.3°.
"""

import sys
from collections import Counter

import numpy as np

from libella.core.certainty.verdict import weigh
from libella.core.estimate import START, posterior, summarise
from libella.core.estimate.verdict import verdict
from libella.core.green.putt import Putt
from libella.core.instruments.board import Board
from libella.core.measure.window import Window

SPREAD = 1.0


def words(
    bias: float, length: float, putts: int, rig_sd: float, blocks: int, seed: int = 11
) -> tuple[Counter, Counter]:
    """How often each word is said, by cost and by the quarter of the window; wrong sides are told apart."""
    rng = np.random.default_rng(seed)
    window = Putt(length, 0.35, 10).window
    zones = [it.interval for it in Board(1.0, 0.3, 0.005).zones()]
    edges = [it.high for it in zones[:-1]]
    new: Counter = Counter()
    old: Counter = Counter()
    for _ in range(blocks):
        off = rng.normal(0, rig_sd) if rig_sd else 0.0
        starts = rng.normal(bias + off, SPREAD, putts)
        post = posterior([zones[n] for n in np.searchsorted(edges, starts)], START()).blurred(rig_sd)
        new[_named(verdict(summarise(post, window)), bias)] += 1
        old[_named(_by_quarter(post, window), bias)] += 1
    return new, old


def _by_quarter(post, window: Window):
    right, left = post.bias_above(window.right_deg / 4), 1 - post.bias_above(-window.left_deg / 4)
    return weigh(right, left, 1 - right - left)


def _named(call, bias: float) -> str:
    wrong = bias and call.names_direction and call.side != ("right" if bias > 0 else "left")
    return "wrong side" if wrong else call.word


def main() -> None:
    blocks = int(sys.argv[1]) if len(sys.argv) > 1 else 1500
    print(f"{blocks} blocks a cell, 5 mm marks at 1 m, spread {SPREAD:g}°: by cost (by a quarter of the window)")
    print("bias  rig    length putts |  can't tell        nothing to mend   likely            clear")
    for bias, rig in ((0.0, 0.0), (0.0, 0.3), (1.0, 0.0)):
        for length in (2.5, 4.0, 6.0, 9.0):
            for putts in (10, 20):
                new, old = words(bias, length, putts, rig, blocks)
                cells = [
                    f"{new[it] / blocks:6.1%} ({old[it] / blocks:6.1%})" for it in ("open", "none", "likely", "clear")
                ]
                print(f"{bias:3.1f}°  {rig:3.1f}°  {length:4.1f} m  {putts:4}  | " + "   ".join(cells), flush=True)


if __name__ == "__main__":
    main()
