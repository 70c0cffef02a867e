"""How the golfer's line holds its level, and how often a step is told, by hand: `python -m tests.bench.level`.

Golfers who stay, wander or step by 0.7° at a noted change: four lessons of 20 putts before it, two after, a week apart.
"""

import time

import numpy as np

from libella.core.estimate.level import level
from libella.core.green.putt import Putt
from libella.core.green.usual import USUAL, usual_mix
from libella.core.judge.golfers_line import Change, LineKey, golfers_line
from libella.core.judge.line_block import LineBlock
from libella.core.measure.window import Window
from tests.core.estimate.test_level import golfer

GOLFERS = 600


def main() -> None:
    rng = np.random.default_rng(2)
    told: dict[str, list[float]] = {}
    for kind in ("stay", "wander", "step"):
        held, likely, clear = 0, 0, 0
        told[kind] = []
        for _ in range(GOLFERS):
            blocks, now, changed = golfer(
                rng, wander=abs(rng.normal(0, 0.05)) if kind == "wander" else 0.0, step=0.7 if kind == "step" else 0.0
            )
            found = level(blocks, [blocks[-1].day], [changed])
            held += found.at[0].low <= now <= found.at[0].high
            surest = max(found.steps[0].larger, found.steps[0].smaller)
            told[kind].append(abs(found.steps[0].size.value))
            likely, clear = likely + (surest >= 0.8), clear + (surest >= 0.95)
        print(
            f"{kind:7} interval holds {held / GOLFERS:.1%} (86 to 94 %), step likely {likely / GOLFERS:.1%}, "
            f"clear {clear / GOLFERS:.1%}"
        )
    # The best that any rule by the size alone could do: the limit that one in five passes by chance.
    limit = float(np.quantile(told["stay"] + told["wander"], 0.8))
    print(
        f"a limit at {limit:.2f}°, passed by chance in 20 %, is passed by {np.mean(np.array(told['step']) > limit):.1%}"
    )
    print("asked: step likely in at least 75 %; none: likely in at most 20 %, clear in at most 4 %")
    many = [LineBlock(n / 2, (rng.normal(), 0.3), (rng.normal(0, 0.3), 0.2), n // 2, n // 2, 0.1) for n in range(300)]
    noted = [Change(50.0, "new putter"), Change(100.0, "eyes in")]
    mix, took = usual_mix(Putt(2.0, 0.35, 10), USUAL()), []
    for _ in range(5):
        began = time.perf_counter()
        golfers_line([LineKey("start", ())], many, noted, Window(1.5, 1.5), mix)
        took.append(time.perf_counter() - began)
    print(f"300 blocks: {1000 * min(took):.0f} ms at best of five, asked 200 ms")


if __name__ == "__main__":
    main()
