"""What looks straight: the fit, the next angle, and how many answers chosen and fixed angles take."""

import time
from collections.abc import Callable

import numpy as np

from libella.core.perception import Trial, perceive
from libella.core.perception.fit import _perceived
from libella.core.simulated import SimulatedEyes

ENOUGH_DEG = 0.5
MOST = 60


def timed(what: Callable[[], object], times: int) -> float:
    took: list[float] = []
    for _ in range(times):
        _perceived.cache_clear()
        began = time.perf_counter()
        what()
        took.append(time.perf_counter() - began)
    return float(np.median(took)) * 1000


def answers_needed(eyes: SimulatedEyes, seed: int, *, chosen: bool) -> int:
    """Answers until the 90 % interval is within ± 0.5°."""
    rng = np.random.default_rng(seed)
    fixed = np.concatenate([rng.permutation(np.arange(-3, 3.5, 0.5)) for _ in range(6)])
    trials: list[Trial] = []
    for n in range(MOST):
        found = perceive(trials)
        it = found.looks_straight
        if n and it.high - it.low <= 2 * ENOUGH_DEG and found.open_side is None:
            return n
        angle = found.next_angle(float(rng.random())) if chosen else float(fixed[n])
        trials.append(Trial(angle, eyes.looks(rng, angle)))
    return MOST


def main() -> None:
    rng = np.random.default_rng(1)
    eyes = SimulatedEyes(0.8)
    trials = [Trial(float(a), eyes.looks(rng, float(a))) for a in rng.integers(-12, 13, 40) * 0.25]
    found = perceive(trials)
    fit = timed(lambda: perceive(trials), 15)
    print(f"fit of 40 answers: {fit:.1f} ms (asked: 30)")
    print(f"next angle: {timed(lambda: found.next_angle(0.4), 15):.1f} ms (asked: 100)")
    golfers = [SimulatedEyes(float(b)) for b in np.linspace(-2.2, 2.2, 10)]
    for name, chosen in (("chosen angles", True), ("fixed angles", False)):
        needed = [answers_needed(it, n, chosen=chosen) for n, it in enumerate(golfers)]
        print(f"answers to ± {ENOUGH_DEG}°, {name}: median {np.median(needed):.0f}, all {sorted(needed)}")


if __name__ == "__main__":
    main()
