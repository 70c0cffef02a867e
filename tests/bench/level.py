"""How the golfer's line holds its level, and how often a step is told, by hand: `python -m tests.bench.level`.

Golfers who stay, wander or step by 0.7° at a noted change: four lessons of 20 putts before it, two after, a week apart;
through the function that pages call.
"""

import math
import time

import numpy as np

from libella.core.green.putt import Putt
from libella.core.green.usual import USUAL, usual_mix
from libella.core.judge.golfers_line import Change, GolfersLine, LineKey, golfers_line
from libella.core.judge.line_block import LineBlock
from libella.core.measure.window import Window
from tests.core.estimate.test_level import PLACED, golfer

GOLFERS = 600
MIX = usual_mix(Putt(2.0, 0.35, 10), USUAL())
STARTS = (LineKey("start", ()),)
PUTTS = 20
_LOG_SD = 0.16
"""How far a spread of twenty putts is known, by its logarithm."""


def line_of(rng: np.random.Generator, kind: str) -> tuple[GolfersLine, float]:
    """One golfer's line as a page has it, and where his level truly is now."""
    wander = abs(rng.normal(0, 0.05)) if kind == "wander" else 0.0
    blocks, now, changed = golfer(rng, wander=wander, step=0.7 if kind == "step" else 0.0)
    log = math.log(blocks[0].sd * math.sqrt(PUTTS))
    told = [
        LineBlock(it.day, (it.mean, it.sd), (log + rng.normal(0, _LOG_SD), _LOG_SD), n, it.laying, PLACED, count=PUTTS)
        for n, it in enumerate(blocks)
    ]
    found = golfers_line(STARTS, told, [Change(changed, "grip")], Window(1, 1), MIX)
    assert found is not None
    return found, now


def steps_told(rng: np.random.Generator, kind: str, golfers: int) -> tuple[int, int, int]:
    """Of so many golfers: how many whose interval holds the level, whose step is told likely, and clear."""
    held = likely = clear = 0
    for _ in range(golfers):
        found, now = line_of(rng, kind)
        call = found.steps[0].call
        held += found.now.low <= now <= found.now.high
        likely, clear = likely + call.names_direction, clear + (call.word == "clear")
    return held, likely, clear


def main() -> None:
    rng = np.random.default_rng(2)
    for kind in ("stay", "wander", "step"):
        held, likely, clear = (it / GOLFERS for it in steps_told(rng, kind, GOLFERS))
        print(f"{kind:7} interval holds {held:.1%} (86 to 94 %), step likely {likely:.1%}, clear {clear:.1%}")
    print("asked: of 0.7° likely in at least 65 %, of none in at most 15 %; of", GOLFERS)
    many = [LineBlock(n / 2, (rng.normal(), 0.3), (rng.normal(0, 0.3), 0.2), n // 2, n // 2, 0.1) for n in range(300)]
    noted = [Change(50.0, "new putter"), Change(100.0, "eyes in")]
    took = []
    for _ in range(5):
        began = time.perf_counter()
        golfers_line([LineKey("start", ())], many, noted, Window(1.5, 1.5), MIX)
        took.append(time.perf_counter() - began)
    print(f"300 blocks: {1000 * min(took):.0f} ms at best of five, asked 200 ms")


if __name__ == "__main__":
    main()
