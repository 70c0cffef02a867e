"""How often 90 % intervals of weights hold: `python -m tests.bench.weights [golfers]`.

Golfers drawn from the priors (86 to 94 asked), and golfers made otherwise (80 or more): links uniform instead of
normal, causes in pairs that answer each other, putts that scatter in two ways nobody noted. What taking a cause away
truly brings is counted from the truth; of a link and of a slope, taking away its posterior median.
"""

import sys
from collections.abc import Callable
from dataclasses import replace
from functools import partial

import numpy as np

from libella.core.estimate.cost import Mix, share_within
from libella.core.judge.findings.case import Case
from libella.core.judge.findings.joint import LINKS, Link
from libella.core.judge.findings.ranked import judged
from libella.core.judge.findings.rules import distance
from tests.golfers.lesson import Size, Truth, lesson

_CAUSES: dict[Link, str] = {
    "mark": "ball_mark",
    "picture": "perception",
    "aim": "face_aim",
    "delivery": "face_at_impact",
    "path": "path",
    "strike": "strike",
}


def drawn(rng: np.random.Generator, *, sparse: bool) -> Truth:
    """A golfer from the priors: every link off, or each with the chance the rules suppose."""

    def off(sd: float) -> float:
        return float(rng.normal(0, sd if not sparse or rng.random() < 0.35 else 0.1 * sd))

    return Truth(
        (),
        mark=off(1.3),
        beta=off(2.0),
        follow=float(rng.normal(0.5, 0.5)),
        aim=off(1.3),
        delivery=off(1.3),
        path=off(4.0),
        toe_mm=float(rng.normal(0, 6)),
        gear=float(rng.normal(0.03, 0.03)),
        spread=float(np.exp(rng.normal(0, 0.4))),
    )


def uniform(rng: np.random.Generator) -> Truth:
    """A golfer whose links lie anywhere, as often far off as near."""
    return replace(
        drawn(rng, sparse=False),
        mark=float(rng.uniform(-2.5, 2.5)),
        beta=float(rng.uniform(-4, 4)),
        aim=float(rng.uniform(-2.5, 2.5)),
        delivery=float(rng.uniform(-2.5, 2.5)),
        path=float(rng.uniform(-8, 8)),
    )


def paired(rng: np.random.Generator) -> Truth:
    """A golfer whose stroke answers the aim, nearly or wholly, and whose path answers the mark."""
    aim, mark = float(rng.normal(0, 2.0)), float(rng.normal(0, 1.5))
    back = float(rng.uniform(0.5, 1.1))
    return replace(drawn(rng, sparse=True), aim=aim, delivery=-back * aim, mark=mark, path=-4 * back * mark)


def moved(rng: np.random.Generator, *, by: float) -> Truth:
    """A golfer of a group whose links lie so many deviations off on the whole, each to its side."""

    def off(sd: float, side: int = 1) -> float:
        return float(rng.normal(side * by * sd, sd))

    told = drawn(rng, sparse=False)
    return replace(told, mark=off(1.3), beta=off(2.0), aim=off(1.3, -1), delivery=off(1.3), path=off(4.0, -1))


def mixed(rng: np.random.Generator) -> Truth:
    """A golfer of whom every third putt scatters two or three times as wide, and nobody notes why."""
    return replace(drawn(rng, sparse=True), moving=0.33, loose=float(rng.uniform(2, 3)))


def links(name: str, make: Callable[[np.random.Generator], Truth], golfers: int, asked: str) -> None:
    held, of = dict.fromkeys(_CAUSES.values(), 0), 0
    for n in range(golfers):
        rng = np.random.default_rng([n, 17])
        truth = make(rng)
        case = Case(lesson(truth, Size(strike=True), rng))
        start = 0.85 * (truth.mark + truth.follow * truth.beta + truth.aim + truth.delivery)
        start += 0.15 * truth.path + truth.gear * truth.toe_mm
        found = {it.cause: it for it in judged(case).ranked}
        for link, cause in _CAUSES.items():
            without = start - case.joint.medians[link]
            true, weight = _share(truth, case, without) - _share(truth, case, start), found[cause].weight
            held[cause] += weight.low - 0.05 <= true <= weight.high + 0.05
        of += 1
    said = ", ".join(f"{cause} {n / of:.1%}" for cause, n in held.items())
    every = sum(held.values()) / (of * len(held))
    print(f"{name}: {every:.1%} held ({asked}): {said}", flush=True)


def _share(truth: Truth, case: Case, bias: float, mix: Mix | None = None) -> float:
    """Of a hundred putts those that start inside, whatever moved."""
    mix, inside = mix or case.ledger.mix, 0.0
    for part, loose in ((1 - truth.moving, 1.0), (truth.moving, truth.loose)):
        scatter = np.hypot(truth.spread * loose, truth.gear * 5.0)
        inside += part * float(share_within(mix, np.array([bias]), np.array([scatter]))[0])
    return 100 * inside


def moving(rng: np.random.Generator) -> tuple[Truth, Size]:
    truth = Truth((), moving=float(rng.uniform(0.15, 0.6)), loose=float(np.exp(rng.normal(0.4, 0.5))),
                  aim=float(rng.normal(0, 1)), spread=float(np.exp(rng.normal(0, 0.4))))  # fmt: skip
    return truth, Size(still=True)


def still_gain(truth: Truth, case: Case) -> float:
    bias = 0.85 * truth.aim
    return _share(replace(truth, moving=0.0), case, bias) - _share(truth, case, bias)


def growing(rng: np.random.Generator) -> tuple[Truth, Size]:
    truth = Truth((), growth=float(rng.normal(0, 0.4)), aim=float(rng.normal(0, 1)),
                  spread=float(np.exp(rng.normal(0, 0.4))))  # fmt: skip
    return truth, Size(lengths=(1.5, 3.0, 5.0))


def level_gain(truth: Truth, case: Case) -> float:
    """Of taking away the posterior median of the slope, about the length that the rule chose."""
    it, found = case.ledger, case.growth
    assert found is not None
    slope = float(np.median(found.line[:, 1]))

    def gain(about: float) -> float:
        each: list[float] = []
        for length, window in zip(it.lengths_m, it.mix.windows, strict=True):
            bias, mix = 0.85 * truth.aim + truth.growth * length, Mix.one(window)
            each.append(_share(truth, case, bias - slope * (length - about), mix) - _share(truth, case, bias, mix))
        return float(np.dot([weight for _, weight in it.mix.halves], each))

    about = float(np.dot([weight for _, weight in it.mix.halves], it.lengths_m)), found.lengths[0].distance_m
    scatter = distance._scatter(case, found)
    return gain(max(about, key=lambda at: float(distance._gain(case, found, at, scatter).mean())))


def losing(rng: np.random.Generator) -> tuple[Truth, Size]:
    truth = Truth((), lost=float(rng.uniform(0, 0.7)), spread=float(np.exp(rng.normal(-0.3, 0.4))))
    return truth, Size(finish=True)


def lost_gain(truth: Truth, case: Case) -> float:
    window = Mix.one(next(it.putted.window for it in case.putted if it.putted))
    return truth.lost * _share(truth, case, 0.0, window) - case.ledger.band.lost_inside


def one_cause(
    cause: str,
    make: Callable[[np.random.Generator], tuple[Truth, Size]],
    gain: Callable[[Truth, Case], float],
    golfers: int,
) -> None:
    held, told = 0, 0
    for n in range(golfers):
        rng = np.random.default_rng([n, 19])
        truth, size = make(rng)
        case = Case(lesson(truth, size, rng))
        found = next(it for it in judged(case).ranked if it.cause == cause)
        if found.missing:
            continue
        told += 1
        held += found.weight.low - 0.05 <= gain(truth, case) <= found.weight.high + 0.05
    print(f"{cause}: {held / told:.1%} held of {told} (86 to 94)", flush=True)


def main() -> None:
    golfers = int(sys.argv[1]) if len(sys.argv) > 1 else 200
    assert set(_CAUSES) | {"rig"} == set(LINKS)
    one_cause("movement", moving, still_gain, golfers)
    one_cause("distance", growing, level_gain, golfers)
    one_cause("read_and_pace", losing, lost_gain, golfers)
    links("each link off now and then", partial(drawn, sparse=True), golfers, "86 to 94")
    links("every link off", partial(drawn, sparse=False), golfers, "86 to 94")
    links("uniform", uniform, golfers, "80 at least")
    for by in (1.0, 1.5):
        links(f"means moved by {by:g}", partial(moved, by=by), golfers, "84 at least")
    links("in pairs", paired, golfers, "84 at least")
    links("mixed", mixed, golfers, "80 at least")


if __name__ == "__main__":
    main()
