"""The perception map over simulated golfers: who is asked again, who is given a change, whether intervals hold.

The usual place and one place each for five levers, 12 to 16 answers a place; then once more where the map says.
Asked: of
golfers whom no lever moves at most 13 % are asked again somewhere and at most 3 % are given a change, none before the
second asking; of those whom one lever moves 0.8° (1.2°) at least 50 % (75 %) are asked again there, and at least 70 %
(90 %) of the right ones stand; 90 % intervals hold in at least 85 %, for linear and for bent truths.
"""

import sys
from dataclasses import dataclass, replace

import numpy as np

from libella.core.see.map import PerceptionMap, Tried, perception_map
from libella.core.see.method import by_directions
from libella.core.see.position import LEVERS, Lever, Position, rounded, same_place
from libella.core.see.trial import Trial
from libella.core.simulated.golfer import SimulatedEyes

TRIED: tuple[Lever, ...] = ("inside", "behind", "tilt", "chin", "distance")
LIMIT = 0.5


@dataclass
class Truth:
    """A golfer's eyes, whom at most one lever moves: by `moves` at its tried place, straight or bent."""

    eyes: SimulatedEyes
    lever: Lever | None
    moves: float
    bent: bool

    def straight_at(self, position: Position) -> float:
        far = place_of(self.lever).get(self.lever, 1.0) if self.lever else 1.0
        share = position.get(self.lever, 0.0) / far if self.lever else 0.0
        return self.eyes.straight_deg + self.moves * (share * abs(share) if self.bent else share)


def place_of(lever: Lever) -> Position:
    return {lever: rounded(lever, 1.25 * LEVERS[lever].ease)}


def ask(rng: np.random.Generator, truth: Truth, position: Position) -> Tried:
    """A test at a place, the head put back to within a little."""
    straight = truth.straight_at(position) + float(rng.normal(0, 0.1))
    eyes = replace(truth.eyes, straight_deg=straight)
    trials: list[Trial] = []
    answers = int(rng.integers(12, 17))
    for _ in range(answers):
        found = by_directions(trials, LIMIT)
        sd = max(found.angle.sd, 0.3)
        # Near where straight is thought to be, as the product chooses them, but quicker to work out.
        angle = float(np.clip(round((found.angle.value + rng.normal(0, min(1.2, sd) + 0.4)) * 4) / 4, -8, 8))
        trials.append(Trial(angle, eyes.looks(rng, angle)))
    return Tried(position, by_directions(trials, LIMIT))


def golfer(rng: np.random.Generator, moves: float, bent: bool) -> Truth:
    noise = float(np.exp(rng.normal(np.log(0.6), 0.2)))
    if not moves:
        return Truth(SimulatedEyes(float(rng.normal(0, 1.5)), noise, 0.4), None, 0.0, bent)
    start = float(rng.choice([-1, 1])) * (moves + float(rng.uniform(-0.2, 0.6)))
    return Truth(SimulatedEyes(start, noise, 0.4), TRIED[int(rng.integers(len(TRIED)))], -np.sign(start) * moves, bent)


def cell(moves: float, bent: bool, golfers: int, seed: int) -> dict[str, float]:
    asked = there = early = given = right = held = places = 0
    for n in range(golfers):
        rng = np.random.default_rng([seed, n])
        truth = golfer(rng, moves, bent)
        tried = [ask(rng, truth, it) for it in ({}, *(place_of(lever) for lever in TRIED))]
        found = perception_map(tried, LIMIT)
        early += found.change is not None
        held += sum(_holds(found, truth, it.position) for it in tried)
        places += len(tried)
        again = found.ask_again
        if again is None:
            continue
        asked += 1
        helps = truth.lever is not None and set(again.position) == {truth.lever}
        there += helps
        second = perception_map([*tried, ask(rng, truth, again.position)], LIMIT)
        change = second.change
        if change is not None:
            given += 1
            right += helps and same_place(change.position, again.position)
    return {
        "asked again": asked / golfers,
        "there": there / golfers,
        "early": early / golfers,
        "given": given / golfers,
        "stand": right / there if there else 0.0,
        "hold": held / places,
    }


def _holds(found: PerceptionMap, truth: Truth, position: Position) -> bool:
    it = found.at(position)
    return it.low <= truth.straight_at(position) <= it.high


def main() -> None:
    golfers = int(sys.argv[1]) if len(sys.argv) > 1 else 400
    print(f"{golfers} golfers a cell")
    print("truth             | asked again   there   change at once   after the second   right stand   intervals hold")
    for moves in (0.0, 0.8, 1.2):
        for bent in (False, True) if moves else (False,):
            it = cell(moves, bent, golfers, 17)
            name = f"moves {moves:.1f}° {'bent' if bent else 'straight'}" if moves else "nothing moves"
            shown = (it[key] for key in ("asked again", "there", "early", "given", "stand", "hold"))
            print(f"{name:17} | " + "   ".join(f"{value:10.1%}" for value in shown), flush=True)


if __name__ == "__main__":
    main()
