"""What looks straight: the fit beside a general-purpose one, the next angle, chosen against fixed angles, the map."""

import time
import warnings
from collections.abc import Callable

import numpy as np
import psignifit

from libella.core.see.fit import _perceived, perceive
from libella.core.see.map import Tried, perception_map
from libella.core.see.method import by_directions
from libella.core.see.position import LEVERS
from libella.core.see.trial import Trial
from libella.core.simulated.golfer import SimulatedEyes

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


def beside_psignifit(eyes: SimulatedEyes, rng: np.random.Generator) -> None:
    """The same 40 answers, left or right only, which is what both can fit."""
    levels = np.arange(-2.0, 3.75, 0.75)
    rights = [sum(eyes.straight_deg + float(rng.normal(0, eyes.noise_deg)) < a for _ in range(5)) for a in levels]
    trials = [
        Trial(float(a), "right" if n < right else "left")
        for a, right in zip(levels, rights, strict=True)
        for n in range(5)
    ]
    ours = timed(lambda: perceive(trials), 9)
    data = np.array([[a, right, 5] for a, right in zip(levels, rights, strict=True)])
    began = time.perf_counter()
    with warnings.catch_warnings():
        warnings.simplefilter("ignore")
        theirs = psignifit.psignifit(data, experiment_type="equal asymptote", sigmoid="norm")
    took = (time.perf_counter() - began) * 1000
    it = perceive(trials).looks_straight
    here, low, high = it.value, it.low, it.high
    there = theirs.parameter_estimate["threshold"]
    ends = theirs.confidence_intervals["threshold"]["0.9"]
    print(f"{len(trials)} answers by psignifit: {took:.0f} ms, here {ours:.1f} ms, ratio {took / ours:.0f}")
    print(f"  angle there {there:.2f}° ({ends[0]:.2f} to {ends[1]:.2f}), here {here:.2f}° ({low:.2f} to {high:.2f})")


def maps_hold(golfers: int) -> None:
    """How often the change proposed lands inside its stated interval."""
    held = made = 0
    for seed in range(golfers):
        rng = np.random.default_rng(seed)
        slopes = {lever: float(rng.normal(0, about.slope_sd)) for lever, about in LEVERS.items()}
        eyes = SimulatedEyes(float(rng.normal(0, 1.5)), 0.6, 0.4, slopes)
        places: list[Tried] = []
        for _ in range(5):
            position = perception_map(places, 0.3).next
            if position is None:
                break
            there = eyes.at({lever: far + float(rng.normal(0, 3)) for lever, far in position.items()})
            angles = rng.permutation(np.linspace(-3.5, 3.5, 18))
            answers = [Trial(float(a), there.looks(rng, float(a))) for a in angles]
            places.append(Tried(position, by_directions(answers, 0.3)))
        change = perception_map(places, 0.3).change
        if change and change.position:
            made += 1
            held += change.after.low <= eyes.at(change.position).straight_deg <= change.after.high
    print(f"map: {made} changes proposed to {golfers} golfers, {held / made:.0%} inside their 90 % interval")


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
    maps_hold(100)
    beside_psignifit(eyes, rng)


if __name__ == "__main__":
    main()
