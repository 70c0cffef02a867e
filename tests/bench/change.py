"""How often a retest says better, and two say kept, of a change that takes 1° of bias off and of one that does nothing.

python -m tests.bench.change
"""

import numpy as np

from libella.core.change.retest import retest_of, standing_of
from libella.core.judge.claims.reads import compared
from tests.core.judge.samples import BY, batch, ledger

A_CELL = 400
ASKED = {"works": "first ≥ 70, kept ≥ 80", "does nothing": "first ≤ 15, kept ≤ 5"}


def _retest(rng: np.random.Generator, each: int, before: float, after: float, id: str):
    ways = [
        batch("start", list(rng.normal(at, 1.0, each)), levels, id=f"{id}{n}", comparison=id, turn=n, planned=each)
        for n, (at, levels) in enumerate(((before, ()), (after, (("cue", "spot"),))))
    ]
    return retest_of(compared(ledger(*ways), id, "start", "line", BY, final=True), BY.mix)


def main() -> None:
    print(f"of a hundred, {A_CELL} golfers a cell, starts scattering by 1°")
    for each in (8, 10, 12, 15):
        for name, after in (("works", 0.0), ("does nothing", 1.0)):
            rng = np.random.default_rng(each)
            first = kept = 0
            for _ in range(A_CELL):
                one, two = (_retest(rng, each, 1.0, after, it) for it in ("one", "two"))
                assert one is not None and two is not None
                first += standing_of([one]).standing == "better_so_far"
                kept += standing_of([one, two]).standing == "kept"
            found = f"first {100 * first / A_CELL:.0f}, kept {100 * kept / A_CELL:.0f}"
            print(f"{each} putts each way, {name}: {found} (asked {ASKED[name]})")


if __name__ == "__main__":
    main()
