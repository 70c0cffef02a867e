"""How often a retest says better, and two say kept, of a change that takes 1° of bias off and of one that does nothing;
how often a drill's goal is passed, and what is left of a gain is called kept; how long a plan of four weeks takes.

python -m tests.bench.change
"""

import time

import numpy as np

from libella.core.change.goal import CountGoal, ShareGoal
from libella.core.change.plan import plan
from libella.core.change.retention import Known, retained
from libella.core.change.retest import retest_of, standing_of
from libella.core.change.session import Given
from libella.core.estimate.shares import Share
from libella.core.judge.claims.reads import compared
from tests.core.judge.samples import BY, batch, ledger

A_CELL = 400
ASKED = {"works": "first ≥ 70, kept ≥ 80", "does nothing": "first ≤ 15, kept ≤ 5"}


WAYS = {
    "does nothing": ((0.0, 1.0), (0.0, 1.0)),
    "does nothing to a bias": ((1.0, 1.0), (1.0, 1.0)),
    "takes 0.8° away": ((0.8, 0.9), (0.0, 0.9)),
    "steadies": ((0.0, 1.2), (0.0, 0.7)),
}
"""Where the starts lie and how they scatter, degrees, as usual and changed."""


def _retest(rng: np.random.Generator, each: int, ways, id: str, question: str = "line"):
    told = [
        batch("start", list(rng.normal(*way, each)), levels, id=f"{id}{n}", comparison=id, turn=n, planned=each)
        for n, (way, levels) in enumerate(zip(ways, ((), (("cue", "spot"),)), strict=True))
    ]
    return retest_of(compared(ledger(*told), id, "start", question, BY, final=True), BY.mix)


def standings(ways, question: str, golfers: int, each: int = 15, seed: int = 5) -> dict[str, int]:
    """Of so many golfers, where the change stands after one retest and after two."""
    rng, found = np.random.default_rng(seed), dict[str, int]()
    for _ in range(golfers):
        one, two = (_retest(rng, each, ways, it, question) for it in ("one", "two"))
        assert one is not None and two is not None
        for name in (f"first {standing_of([one]).standing}", standing_of([one, two]).standing):
            found[name] = found.get(name, 0) + 1
    return found


def questions() -> None:
    for question in ("line", "spread", "window"):
        for name, ways in WAYS.items():
            found = standings(ways, question, A_CELL)
            told = ", ".join(f"{it} {100 * n / A_CELL:.0f}" for it, n in sorted(found.items()))
            print(f"asked of the {question}, {name}: {told}")
    print("(asked: of what does nothing kept ≤ 5, better ≤ 12, worse ≤ 5; 0.8° kept ≥ 80)")


def goals() -> None:
    """Within three runs of ten, of golfers above, at and below the goal."""
    for goal in (0.7, 0.8):
        for by, asked in ((0.1, "73 to 77"), (0.0, "25 to 32"), (-0.15, "2 to 4")):
            rng, passed = np.random.default_rng(17), 0
            for _ in range(A_CELL):
                runs = [Share(int(rng.binomial(10, goal + by)), 10) for _ in range(3)]
                passed += any(ShareGoal(goal).standing(runs[: n + 1]) == "passed" for n in range(3))
            print(f"goal {goal}, golfer {goal + by:.2f}: passed by {100 * passed / A_CELL:.0f} (asked {asked})")
    for share, asked in ((0.95, 83), (0.9, 55), (0.75, 8)):
        rng = np.random.default_rng(19)
        told = [CountGoal(14, 15).standing([Share(int(rng.binomial(15, share)), 15)]) for _ in range(A_CELL)]
        print(f"14 of 15, golfer {share}: passed by {100 * told.count('passed') / A_CELL:.0f} (asked {asked})")


def retention() -> None:
    """A gain of 1° at a spread of 1°, wholly kept, half kept and gone."""
    for putts, asked in ((10, 50), (20, 64), (40, 80)):
        for left in (1.0, 0.5, 0.0):
            rng, sd = np.random.default_rng(23), 1 / np.sqrt(putts)
            words = []
            for _ in range(A_CELL):
                known = [Known(float(at + rng.normal(0, sd)), float(sd)) for at in (1.5, 0.5, 1.5 - left)]
                it = retained(known[0], known[1], known[2], putts, 1.0)
                words.append("nothing" if it is None else it.word)
            told = ", ".join(f"{it} {100 * words.count(it) / A_CELL:.0f}" for it in ("kept", "open", "lost", "nothing"))
            print(f"{putts} putts, {left:g} of the gain left: {told}" + (f" (kept asked {asked})" if left == 1 else ""))


def planner() -> None:
    """Four weeks, the slowest of every number of days and minutes."""
    findings = (("face_at_impact", 9.0), ("read_and_pace", 6.0), ("strike", 4.0))
    slowest = 0.0
    for days in range(1, 7):
        for minutes in (5, 10, 15, 20, 30, 45, 60):
            began = time.perf_counter()
            plan(Given(findings, (float(minutes),) * days, change=True, card=True))
            slowest = max(slowest, time.perf_counter() - began)
    print(f"a plan of four weeks: at most {1000 * slowest:.0f} ms (asked 500)")


def main() -> None:
    print(f"of a hundred, {A_CELL} golfers a cell, starts scattering by 1°")
    for each in (8, 10, 12, 15):
        for name, after in (("works", 0.0), ("does nothing", 1.0)):
            told = standings(((1.0, 1.0), (after, 1.0)), "line", A_CELL, each, seed=each)
            first, kept = (100 * told.get(it, 0) / A_CELL for it in ("first better_so_far", "kept"))
            print(f"{each} putts each way, {name}: first {first:.0f}, kept {kept:.0f} (asked {ASKED[name]})")
    questions()
    goals()
    retention()
    planner()


if __name__ == "__main__":
    main()
