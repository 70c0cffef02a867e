"""The side by distance: whether an error grows with the length of the putt (handbook 5, μ(d) = a + b·d)."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

import numpy as np

from ..certainty.estimate import Estimate, estimated, normal
from ..certainty.matter import MATTERS
from ..estimate import Posterior
from ..estimate.cost import Mix, costs_from
from ..estimate.posterior import Floats
from ..measure.window import Window
from .table import Angles, Count, RowFacts, TableFacts

_FEWEST: Final = 3
_DRAWN: Final = 20_000


@dataclass(frozen=True, slots=True)
class AtDistance:
    """A block for the side by distance: its length (m), its posterior with what its rig leaves unknown, its putts, and
    what the hole allowed."""

    distance_m: float
    post: Posterior
    putts: int
    window: Window


def by_distance(blocks: Sequence[AtDistance]) -> TableFacts | None:
    """The side by distance; None for one distance."""
    told = [it for it in blocks if it.putts >= _FEWEST]
    distances = sorted({round(it.distance_m, 2) for it in told})
    if len(distances) < 2:
        return None
    rows: list[RowFacts] = []
    for d in distances:
        here = [it for it in told if round(it.distance_m, 2) == d]
        biases = Angles([it.post.bias_quantile(0.5) for it in here])
        rows.append(RowFacts("distance", (Count(sum(it.putts for it in here)), biases), length_m=d))
    return TableFacts("distance", ("putts", "bias"), tuple(rows), _growth(told))


@dataclass(frozen=True, slots=True)
class Grown:
    """Chances that over the range putted the bias changes by enough to matter and its size grows; that it changes.

    `slope`: degrees a metre, right positive.
    """

    grows: float
    turns: float
    slope: Estimate


def _growth(told: Sequence[AtDistance]) -> Grown:
    far = max(told, key=lambda it: it.distance_m)
    near_m = min(it.distance_m for it in told)
    line = trend([(it.distance_m, estimated(it.post.bias_quantile)) for it in told])
    spread = float(np.median([it.post.spread_quantile(0.5) for it in told]))
    cost_from = costs_from(np.array([MATTERS["growth"].matters_from]), np.array([spread]), Mix.one(far.window))
    return grown(line, near_m, far.distance_m, float(cost_from[0, 0]))


@dataclass(frozen=True, slots=True)
class Trend:
    """μ(d) = a + b·d: normal, `mean` (2,) and `cov` (2, 2), degrees and degrees a metre."""

    mean: Floats
    cov: Floats

    @property
    def slope(self) -> Estimate:
        return normal(float(self.mean[1]), float(np.sqrt(self.cov[1, 1])))


def trend(biases: Sequence[tuple[float, Estimate]]) -> Trend:
    """How the bias goes with distance, from biases at distances (m); each taken for normal.

    Priors a ~ N(0, 2°), b ~ N(0, 0.5°/m).
    """
    d = np.array([it for it, _ in biases])
    y = np.array([it.value for _, it in biases])
    weight = 1 / np.array([max(it.sd, 0.02) for _, it in biases]) ** 2
    design = np.column_stack((np.ones_like(d), d))
    precision: Floats = design.T @ (design * weight[:, None]) + np.diag([1 / 2.0**2, 1 / 0.5**2])
    covariance: Floats = np.linalg.inv(precision).astype(np.float64)
    return Trend(covariance @ (design.T @ (weight * y)), covariance)


def grown(line: Trend, near_m: float, far_m: float, matters_deg: float) -> Grown:
    """Whether an error grows with distance: the change over the range must matter, and the size must grow.

    A bias that shrinks to nothing, or goes through the line, does not grow; the side is the likelier one.
    """
    draws = np.random.default_rng(0).multivariate_normal(line.mean, line.cov, _DRAWN)
    near, far = draws[:, 0] + draws[:, 1] * near_m, draws[:, 0] + draws[:, 1] * far_m
    way = 1.0 if line.mean[1] > 0 else -1.0
    turns = (far - near) * way >= matters_deg
    return Grown(float((turns & (np.abs(far) > np.abs(near))).mean()), float(turns.mean()), line.slope)
