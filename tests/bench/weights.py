"""How often 90 % intervals of weights hold, over golfers drawn from priors: `python -m tests.bench.weights [golfers]`.

Every link of a golfer is drawn; what taking a link away by its posterior median truly brings is counted from the truth.
"""

import sys

import numpy as np

from libella.core.estimate.cost import share_within
from libella.core.judge.findings.case import Case
from libella.core.judge.findings.joint import LINKS, Link
from libella.core.judge.findings.ranked import judged
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


def main() -> None:
    golfers = int(sys.argv[1]) if len(sys.argv) > 1 else 200
    for sparse in (True, False):
        held, of = dict.fromkeys(_CAUSES.values(), 0), 0
        for n in range(golfers):
            rng = np.random.default_rng([n, sparse, 17])
            truth = drawn(rng, sparse=sparse)
            case = Case(lesson(truth, Size(strike=True), rng))
            start = 0.85 * (truth.mark + truth.follow * truth.beta + truth.aim + truth.delivery)
            start += 0.15 * truth.path + truth.gear * truth.toe_mm
            scatter = np.hypot(truth.spread, truth.gear * 5.0)
            found = {it.cause: it for it in judged(case).ranked}
            for link, cause in _CAUSES.items():
                middle = case.joint.medians[link]
                shares = [
                    float(share_within(case.ledger.mix, np.array([bias]), np.array([scatter]))[0])
                    for bias in (start - middle, start)
                ]
                true, weight = 100 * (shares[0] - shares[1]), found[cause].weight
                held[cause] += weight.low - 0.05 <= true <= weight.high + 0.05
            of += 1
        said = ", ".join(f"{cause} {n / of:.1%}" for cause, n in held.items())
        every = sum(held.values()) / (of * len(held))
        print(f"{'each link off now and then' if sparse else 'every link off'}: {every:.1%} held (86 to 94): {said}")
    assert set(_CAUSES) | {"rig"} == set(LINKS)


if __name__ == "__main__":
    main()
