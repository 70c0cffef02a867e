"""The level a golfer's blocks lie about, over weeks: pooled with all their doubts (handbook 5, several blocks).

Block means are N(m(t), τ²) about a level m that wanders as a random walk of variance q a day, and steps by N(0, 1°²) on
a day on which a change was noted. Each block enters by its likelihood: its own prior divided out, or every mean stays
short. q and τ are averaged over a small grid.
"""

import math
from collections.abc import Hashable, Iterator, Sequence
from dataclasses import dataclass, replace
from itertools import pairwise
from typing import Final

import numpy as np
from scipy.linalg import cholesky, solve_triangular

from ..certainty.estimate import INTERVAL, Estimate
from .posterior import Floats, Posterior, Prior, normal_below

_TAU_SD: Final = 0.4
"""τ ~ half-normal, degrees; as all that follows, in units of `scale` where something else than an angle is pooled."""
_WANDER_SD: Final = 0.05
"""√q ~ half-normal, degrees per root day."""
_TAUS: Final = (0.05, 0.15, 0.3, 0.5, 0.8)
USUAL_TAU: Final = _TAUS[2]
"""How far single blocks lie from the level before any was read: the middle of what is believed."""
_WANDERS: Final = (0.004, 0.02, 0.045, 0.08, 0.13)
_STEP_SD: Final = 1.0
_LEAST_SD: Final = 1e-3
_HALVINGS: Final = 14
_TINY: Final = 1e-300


@dataclass(frozen=True, slots=True)
class Pooled:
    """What one block adds: the likelihood of its mean as a normal, and what it shares with others.

    Attributes
    ----------
    day : when, in days
    mean, sd : of the block's mean, the prior divided out
    laying, laying_sd : blocks read on one laying share what is unknown of its placement
    device, device_sd : those read with one device at one setting share its zero; None where none was
    grid : where the likelihood is no normal, such as of readings that are all open to one side: values of the mean, and
        its log-likelihood there; `mean` and `sd` are then only where to begin
    """

    day: float
    mean: float
    sd: float
    laying: Hashable = None
    laying_sd: float = 0.0
    device: Hashable = None
    device_sd: float = 0.0
    grid: tuple[Floats, Floats] | None = None


@dataclass(frozen=True, slots=True)
class Step:
    """How far the level stepped on a day: its posterior as weights over a grid of sizes."""

    day: float
    size: Estimate
    larger: float
    smaller: float
    nothing: float


@dataclass(frozen=True, slots=True)
class Level:
    """The level at the days asked for, and each noted step; `between`: how far single blocks lie from it (τ)."""

    at: tuple[Estimate, ...]
    steps: tuple[Step, ...]
    between: float


def likelihood_of(values: Floats, weights: Floats, prior_mean: float, prior_sd: float) -> tuple[float, float] | None:
    """Mean and standard deviation of a normal likelihood, from a posterior on a grid and its normal prior; None where
    the readings say next to nothing."""
    mean = float(weights @ values)
    return normal_likelihood(mean, math.sqrt(float(weights @ (values - mean) ** 2)), prior_mean, prior_sd)


def normal_likelihood(mean: float, sd: float, prior_mean: float, prior_sd: float) -> tuple[float, float] | None:
    """The same from a posterior told by its mean and standard deviation."""
    var = max(sd, _LEAST_SD) ** 2
    if var >= 0.98 * prior_sd**2:
        return None
    precision = 1 / var - 1 / prior_sd**2
    return (mean / var - prior_mean / prior_sd**2) / precision, 1 / math.sqrt(precision)


def bias_likelihood(post: Posterior, prior: Prior) -> tuple[float, float] | None:
    """Of a block's bias."""
    return likelihood_of(post.bias, post.weight.sum(axis=1), prior.bias_mean, prior.bias_sd)


def spread_likelihood(post: Posterior, prior: Prior) -> tuple[float, float] | None:
    """Of the logarithm of a block's spread."""
    return likelihood_of(post.log_spread, post.weight.sum(axis=0), math.log(prior.spread_median), prior.spread_log_sd)


def level(
    blocks: Sequence[Pooled],
    days: Sequence[float],
    steps: Sequence[float] = (),
    *,
    prior: tuple[float, float] = (0.0, 2.0),
    matters: tuple[float, float] = (0.12, 0.5),
    scale: float = 1.0,
) -> Level:
    """The level pooled from blocks.

    Parameters
    ----------
    blocks : at least one
    days : when it is wanted
    steps : days on which a change was noted; a block on such a day is taken after it
    prior : mean and standard deviation of the level on the first day
    matters : a step matters from the first size on, and is none under the second
    scale : what stands for a degree where it is not an angle, in the unit of the blocks
    """
    jump = (_STEP_SD * scale) ** 2
    if any(it.grid is not None for it in blocks):
        blocks = _sites(blocks, steps, prior, jump, scale)
    at, told = np.array([it.day for it in blocks]), np.array([it.mean for it in blocks]) - prior[0]
    first = float(min(at.min(), *days)) if days else float(at.min())
    fixed = _fixed(blocks)
    walk = np.minimum.outer(at - first, at - first)
    stepped = np.array([(at >= day).astype(float) for day in steps]).reshape(len(steps), at.size)
    base: Floats = prior[1] ** 2 + jump * stepped.T @ stepped + fixed
    wanted = np.array(days, dtype=float) - first
    walk_to = np.minimum.outer(wanted, at - first)
    steps_to = np.array([(np.array(days) >= day).astype(float) for day in steps]).reshape(len(steps), wanted.size)
    cross: Floats = prior[1] ** 2 + jump * steps_to.T @ stepped
    own: Floats = prior[1] ** 2 + jump * steps_to.sum(axis=0)
    logs: list[float] = []
    means: list[Floats] = []
    sds: list[Floats] = []
    for wander in _WANDERS:
        q = (wander * scale) ** 2
        covariance: Floats = base + q * walk
        to: Floats = np.vstack([cross + q * walk_to, jump * stepped])
        right: Floats = np.column_stack([told, to.T])
        before = np.concatenate([own + q * wanted, np.full(len(steps), jump)])
        for fit, mean, sd in _by_difference(covariance, right, before, scale):
            logs.append(fit - 0.5 * (wander / _WANDER_SD) ** 2)
            means.append(mean)
            sds.append(sd)
    weight = _weights(logs)
    middles, about = np.array(means), np.array(sds)
    low, middle, high = (_quantile(weight, middles, about, it) for it in (INTERVAL[0], 0.5, INTERVAL[1]))
    found = [Estimate(float(m), float(lo), float(hi)) for m, lo, hi in zip(middle, low, high, strict=True)]
    n = len(days)
    return Level(
        at=tuple(Estimate(it.value + prior[0], it.low + prior[0], it.high + prior[0]) for it in found[:n]),
        steps=tuple(
            _step(day, found[n + k], weight, middles[:, n + k], about[:, n + k], matters) for k, day in enumerate(steps)
        ),
        between=scale * float(weight @ np.array(_TAUS * len(_WANDERS))),
    )


def _weights(logs: Sequence[float]) -> Floats:
    """Of every wander with every τ, by how well it fits and how much of the grid it stands for."""
    cells = np.array([wide * long for wide in _widths(_WANDERS) for long in _widths(_TAUS)])
    weight: Floats = np.exp(np.array(logs) - max(logs)) * cells
    return weight / weight.sum()


def _by_difference(
    about: Floats, right: Floats, before: Floats, scale: float
) -> Iterator[tuple[float, Floats, Floats]]:
    """For each τ how well it fits, and mean and standard deviation of all that is wanted.

    Parameters
    ----------
    about : (N, N) covariance of the blocks without τ
    right : (N, 1 + W) what the blocks told, then their covariance with each thing wanted
    before : (W,) variance of each before anything was told
    """
    alone = np.eye(len(about))
    for tau in _TAUS:
        # Whitened by the blocks' covariance: its quadratic forms become sums of squares.
        root = cholesky(about + (tau * scale) ** 2 * alone, lower=True, check_finite=False)
        white: Floats = solve_triangular(root, right, lower=True, check_finite=False)
        seen, of = white[:, 0], white[:, 1:]
        fit = -0.5 * float(seen @ seen) - float(np.log(np.diag(root)).sum()) - 0.5 * (tau / _TAU_SD) ** 2
        yield fit, seen @ of, np.sqrt(np.maximum(before - (of**2).sum(axis=0), _LEAST_SD**2))


_SWEEPS: Final = 12
_LEAST_PRECISION: Final = 1e-4


def _sites(
    blocks: Sequence[Pooled], steps: Sequence[float], prior: tuple[float, float], jump: float, scale: float
) -> list[Pooled]:
    """Blocks whose likelihood is no normal, each given the normal that does the same beside all the others (expectation
    propagation, all at once): a block that says "at least" pulls where it should and no further."""
    grids = [n for n, it in enumerate(blocks) if it.grid is not None]
    at = np.array([it.day for it in blocks])
    stepped = np.array([(at >= day).astype(float) for day in steps]).reshape(len(steps), at.size)
    walk = np.minimum.outer(at - at.min(), at - at.min())
    own = np.array([it.sd**2 for it in blocks])
    tau, wander = USUAL_TAU * scale, _WANDERS[1] * scale
    latent: Floats = prior[1] ** 2 + jump * stepped.T @ stepped + wander**2 * walk + tau**2 * np.eye(at.size)
    latent = latent + _fixed(blocks) - np.diag(own)
    mean = np.array([it.mean for it in blocks]) - prior[0]
    precision = 1 / np.maximum(own, _LEAST_SD**2)
    precision[grids], mean[grids] = _LEAST_PRECISION, 0.0
    for _ in range(_SWEEPS):
        gain = np.linalg.solve(latent + np.diag(1 / precision), latent).astype(np.float64).T
        middle, var = gain @ mean, np.diag(latent - gain @ latent)
        for n in grids:
            grid = blocks[n].grid
            assert grid is not None
            free = max(1 / var[n] - precision[n], _LEAST_PRECISION)
            beside = (middle[n] / var[n] - mean[n] * precision[n]) / free
            values, log = grid
            weight: Floats = np.exp((tilted := log - 0.5 * free * (values - prior[0] - beside) ** 2) - tilted.max())
            weight /= weight.sum()
            centre = float(weight @ (values - prior[0]))
            wide = max(float(weight @ (values - prior[0] - centre) ** 2), _LEAST_SD**2)
            told = max(1 / wide - free, _LEAST_PRECISION)
            site = (centre / wide - beside * free) / told
            # Half the way each time: all at once may overshoot.
            mixed = 0.5 * (precision[n] + told)
            mean[n] = 0.5 * (precision[n] * mean[n] + told * site) / mixed
            precision[n] = mixed
    return [
        it if it.grid is None else replace(it, mean=float(mean[n]) + prior[0], sd=float(precision[n] ** -0.5))
        for n, it in enumerate(blocks)
    ]


def _fixed(blocks: Sequence[Pooled]) -> Floats:
    """What blocks are off by themselves, and what they share by laying and device."""
    found: Floats = np.diag([it.sd**2 for it in blocks])
    for key, size in (("laying", "laying_sd"), ("device", "device_sd")):
        sd = np.array([getattr(it, size) for it in blocks])
        numbers: dict[Hashable, int] = {}
        # One of its own shares with nobody, and is as unsure: it gets a number none else has.
        names = [getattr(it, key) for it in blocks]
        own = np.array([-1 - n if it is None else numbers.setdefault(it, len(numbers)) for n, it in enumerate(names)])
        found = found + np.where(np.equal.outer(own, own), np.minimum.outer(sd, sd) ** 2, 0.0)
    return found


def _widths(nodes: tuple[float, ...]) -> list[float]:
    """How much of its prior each node of the grid stands for."""
    edges = [0.0, *((a + b) / 2 for a, b in pairwise(nodes)), nodes[-1] * 1.25]
    return [b - a for a, b in pairwise(edges)]


def _quantile(weight: Floats, mean: Floats, sd: Floats, share: float) -> Floats:
    """Quantiles of mixtures of normals, one a column."""
    low: Floats = (mean - 8 * sd).min(axis=0)
    high: Floats = (mean + 8 * sd).max(axis=0)

    def below(at: Floats) -> Floats:
        return weight @ normal_below((at - mean) / sd)

    for _ in range(_HALVINGS):
        middle = (low + high) / 2
        under = below(middle) < share
        low, high = np.where(under, middle, low), np.where(under, high, middle)
    # Between so near ends it is straight.
    less, more = share - below(low), below(high) - share
    return low + (high - low) * less / np.maximum(less + more, _TINY)


def _step(day: float, size: Estimate, weight: Floats, mean: Floats, sd: Floats, matters: tuple[float, float]) -> Step:
    def below(at: float) -> float:
        return float(weight @ normal_below((at - mean) / sd))

    least, nothing = matters
    return Step(day, size, 1 - below(least), below(-least), below(nothing) - below(-nothing))
