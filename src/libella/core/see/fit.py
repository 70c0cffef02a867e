"""Posterior of what a golfer sees: looks-straight angle β, noise ς, half-width τ of the zone called straight.

P(looks right) = Φ((θ − β − τ)/ς), P(looks left) = Φ((−τ − (θ − β))/ς), else straight (handbook 5); a share of answers
is taken for slips, any of the three alike. The posterior lives on a grid of β, ln ς and ln τ, zoomed once onto its
weight.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from functools import cached_property, lru_cache
from typing import Final

import numpy as np
from scipy.special import gammaln

from ..certainty.estimate import Estimate, estimated
from ..estimate.posterior import LAPSE_SHARE, Floats, cumulative, normal_below
from .trial import STEP_DEG, TRUE, Looks, Trial

BIAS_SD: Final = 2.0
_NOISE: Final = (math.log(0.7), 0.6)
_ZONE: Final = (math.log(0.4), 0.7)
_COARSE: Final = (41, 9, 7)
_FINE: Final = (61, 13, 11)
Axes = tuple[Floats, ...]
"""Grids of β, ln ς and ln τ."""
_DEPTH: Final = 10.0
_ORDER: Final[tuple[Looks, ...]] = ("left", "straight", "right")
_FEWEST: Final = 8
"""Whole answers before they can be called contradictory."""


@dataclass(frozen=True)
class Perception:
    """Weights over the grid.

    Attributes
    ----------
    beta, log_noise, log_zone : the axes, (B,), (N,), (Z,)
    weight : (B, N, Z) probability of each grid point, sums to 1
    trials : answers it rests on
    too_noisy : the answers are told better by guessing than by any looks-straight angle
    open_side : all answers are alike: the angle lies beyond the angles tried, on that side; None where both were given
    """

    beta: Floats
    log_noise: Floats
    log_zone: Floats
    weight: Floats
    trials: int
    too_noisy: bool
    open_side: Looks | None

    @cached_property
    def _beta_cdf(self) -> tuple[Floats, Floats]:
        return cumulative(self.beta, self.weight.sum(axis=(1, 2)))

    def _estimate(self, cdf: tuple[Floats, Floats]) -> Estimate:
        at, mass = cdf
        return estimated(lambda share: float(np.interp(share, mass, at)))

    @property
    def looks_straight(self) -> Estimate:
        """β, degrees, median with its 90 % interval."""
        return self._estimate(self._beta_cdf)

    @property
    def noise(self) -> Estimate:
        """ς, degrees."""
        it = self._estimate(cumulative(self.log_noise, self.weight.sum(axis=(0, 2))))
        return Estimate(math.exp(it.value), math.exp(it.low), math.exp(it.high))

    @property
    def zone(self) -> Estimate:
        """τ, the half-width of what is called straight, degrees."""
        it = self._estimate(cumulative(self.log_zone, self.weight.sum(axis=(0, 1))))
        return Estimate(math.exp(it.value), math.exp(it.low), math.exp(it.high))

    def above(self, value: float) -> float:
        """P(β > value)."""
        at, mass = self._beta_cdf
        return 1.0 - float(np.interp(value, at, mass))

    def answers(self, true_deg: Floats) -> Floats:
        """(A, 3) chance of left, straight and right at each true angle, over all that is not known."""
        table = _chances(true_deg, (self.beta, self.log_noise, self.log_zone))
        flat = [it.reshape(true_deg.size, -1) @ self.weight.ravel() for it in table]
        return np.stack(flat, axis=1)

    def next_angle(self, draw: float) -> float:
        """The true angle to try next, degrees.

        The angles that tell most about β, by how much an answer is expected to narrow it; `draw` (0 to 1) picks one
        of those nearly as good as the best, so that the golfer can't foresee it.
        """
        it = self.looks_straight
        reach = max(2.0, self.noise.value * 2)
        first, last = max(TRUE.low, it.low - reach), min(TRUE.high, it.high + reach)
        steps = range(math.ceil(first / STEP_DEG), math.floor(last / STEP_DEG) + 1)
        angles = np.array([n * STEP_DEG for n in steps])
        # Every other grid point is plenty to compare angles by.
        axes = self.beta[::2], self.log_noise[::2], self.log_zone[::2]
        weight = self.weight[::2, ::2, ::2] / self.weight[::2, ::2, ::2].sum()
        by_beta = weight.sum(axis=(1, 2))
        # P(answer | angle, β): what is not known of noise and zone is averaged out first.
        given = np.stack([(table * weight).sum(axis=(2, 3)) for table in _chances(angles, axes)], axis=-1)
        given /= np.maximum(by_beta, 1e-300)[:, None]
        told = _entropy((given * by_beta[:, None]).sum(axis=1)) - _entropy(given) @ by_beta
        good = angles[told >= 0.85 * told.max()]
        return float(good[min(int(draw * good.size), good.size - 1)])


def perceive(trials: Sequence[Trial], *, lapse: float = LAPSE_SHARE) -> Perception:
    """Fit what a golfer sees to the answers; with none it is the prior.

    Parameters
    ----------
    trials : true angles with the answers given
    lapse : share of answers taken for slips, 0 ≤ lapse < 1
    """
    return _perceived(tuple(trials), lapse)


@lru_cache(maxsize=256)
def _perceived(trials: tuple[Trial, ...], lapse: float) -> Perception:
    counts: dict[tuple[float, Looks], float] = {}
    for it in trials:
        counts[it.true_deg, it.looks] = counts.get((it.true_deg, it.looks), 0.0) + it.weight
    # Each answer needs the chances at its own angles only.
    by_answer = {looks: sorted((angle, n) for (angle, said), n in counts.items() if said == looks) for looks in _ORDER}

    def told(axes: Axes) -> Floats:
        total: Floats = np.zeros(tuple(it.size for it in axes))
        for column, looks in enumerate(_ORDER):
            if pairs := by_answer[looks]:
                angles, times = (np.array(it, dtype=np.float64) for it in zip(*pairs, strict=True))
                chance = _chances(angles, axes, lapse=lapse, only=looks)[column]
                total += np.tensordot(times, np.log(np.maximum(chance, 1e-300)), axes=1)
        return total

    axes: Axes = tuple(
        np.linspace(middle - 4 * sd, middle + 4 * sd, n)
        for (middle, sd), n in zip(((0.0, BIAS_SD), _NOISE, _ZONE), _COARSE, strict=True)
    )
    prior, likely = _prior(axes), told(axes)
    value = prior + likely
    near = value > value.max() - _DEPTH
    fine: list[Floats] = []
    for n, axis in enumerate(axes):
        rows = np.flatnonzero(near.any(axis=tuple(it for it in range(3) if it != n)))
        ends = float(axis[max(int(rows[0]) - 1, 0)]), float(axis[min(int(rows[-1]) + 1, axis.size - 1)])
        fine.append(np.linspace(*ends, _FINE[n]))
    beta, log_noise, log_zone = fine
    value = _prior((beta, log_noise, log_zone)) + told((beta, log_noise, log_zone))
    weight: Floats = np.exp(value - value.max())
    kinds = {it.looks for it in trials}
    return Perception(
        beta,
        log_noise,
        log_zone,
        weight / weight.sum(),
        trials=len(trials),
        too_noisy=len(kinds) > 1
        and _contradict(likely, prior, [sum(n for _, n in by_answer[looks]) for looks in _ORDER], trials),
        open_side=_beyond(trials[0].looks) if len(kinds) == 1 else None,
    )


def _prior(axes: Axes) -> Floats:
    """Log prior on the grid, up to a constant."""
    z, y, x = (
        ((axis - middle) / sd) ** 2 for axis, (middle, sd) in zip(axes, ((0.0, BIAS_SD), _NOISE, _ZONE), strict=True)
    )
    return -0.5 * (z[:, None, None] + y[None, :, None] + x[None, None, :])


def _contradict(likely: Floats, prior: Floats, counts: Sequence[float], trials: Sequence[Trial]) -> bool:
    """Whether guessing tells the answers better than any looks-straight angle.

    Answers that all count less contradict each other no more than they would whole: each counts as much of one as
    beside the one that counts most.
    """
    most = max(it.weight for it in trials)
    beside = [n / most for n in counts]
    return sum(beside) >= _FEWEST and _log_mean(likely / most, prior) < _guessed(beside)


def _beyond(looks: Looks) -> Looks | None:
    """All answers alike: a rod that always looks left must point further right to look straight."""
    if looks == "straight":
        return None
    return "right" if looks == "left" else "left"


def _chances(
    angles: Floats, axes: Axes, *, lapse: float = LAPSE_SHARE, only: Looks | None = None
) -> tuple[Floats, Floats, Floats]:
    """Chance of left, straight and right, each (A, B, N, Z); `only` leaves out what another answer does not need."""
    beta, log_noise, log_zone = axes
    away = angles[:, None, None, None] - beta[None, :, None, None]
    scale = np.exp(-log_noise)[None, None, :, None]
    zone = np.exp(log_zone)[None, None, None, :]
    nothing: Floats = np.zeros(1)
    right = nothing if only == "left" else normal_below((away - zone) * scale)
    left = nothing if only == "right" else normal_below((-zone - away) * scale)
    keep, slip = 1 - lapse, lapse / 3
    return keep * left + slip, keep * (1 - left - right) + slip, keep * right + slip


def _entropy(chances: Floats) -> Floats:
    return -(chances * np.log(np.maximum(chances, 1e-300))).sum(axis=-1)


def _log_mean(told: Floats, prior: Floats) -> float:
    """Log of the likelihood's mean over the prior."""
    weight = np.exp(prior - prior.max())
    most = told.max()
    return float(most + np.log((np.exp(told - most) * weight).sum() / weight.sum()))


def _guessed(counts: Sequence[float]) -> float:
    """Log evidence of answers that have nothing to do with the angle, their shares unknown."""
    return float(gammaln(3) - gammaln(sum(counts) + 3) + sum(gammaln(n + 1) for n in counts))
