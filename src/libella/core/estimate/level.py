"""The level a golfer's blocks lie about, over weeks: pooled with all their doubts (handbook 5, several blocks).

Block means are N(m(t), τ²) about a level m that wanders as a random walk of variance q a day, and steps by N(0, 1°²) on
a day on which a change was noted. Each block enters by its likelihood: its own prior divided out, or every mean stays
short. q and τ are averaged over a small grid.
"""

import math
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from itertools import pairwise
from typing import Final

import numpy as np
from scipy.linalg import cholesky, solve_triangular

from ..certainty.estimate import INTERVAL, Estimate
from .pooled import LEAST_SD, Pooled, off_by_themselves
from .posterior import Floats, normal_below

_TAU_SD: Final = 0.4
"""τ ~ half-normal, degrees; as all that follows, in units of `scale` where something else than an angle is pooled."""
_WANDER_SD: Final = 0.05
"""√q ~ half-normal, degrees per root day."""
_TAUS: Final = (0.05, 0.15, 0.3, 0.5, 0.8)
USUAL_TAU: Final = _TAUS[2]
"""How far single blocks lie from the level before any was read: the middle of what is believed."""
_WANDERS: Final = (0.004, 0.02, 0.045, 0.08, 0.13)
_STEP_SD: Final = 1.0
_HALVINGS: Final = 14
_TINY: Final = 1e-300


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


@dataclass(frozen=True, slots=True)
class Member:
    """Blocks under one of several things that may be so, each with a normal likelihood; `log`: the logarithm of how
    likely that is, but for how well the blocks lie beside each other under it."""

    log: float
    blocks: Sequence[Pooled]


def believed_taus() -> tuple[tuple[float, float], ...]:
    """How far single blocks may lie from the level, in units of `scale`, and the logarithm of how likely each is."""
    return tuple(
        (tau, math.log(wide) - 0.5 * (tau / _TAU_SD) ** 2) for tau, wide in zip(_TAUS, _widths(_TAUS), strict=True)
    )


def before_reading(
    blocks: Sequence[Pooled], steps: Sequence[float], prior_sd: float, scale: float, tau: float = USUAL_TAU
) -> Floats:
    """(N, N) covariance of the blocks' means before anything was read, at the usual wander."""
    at = np.array([it.day for it in blocks])
    stepped = _after(at, steps)
    walk = np.minimum.outer(at - at.min(), at - at.min())
    wander = _WANDERS[1] * scale
    latent: Floats = prior_sd**2 + (_STEP_SD * scale) ** 2 * stepped.T @ stepped + wander**2 * walk
    shared = off_by_themselves(blocks) - np.diag([it.sd**2 for it in blocks])
    return latent + (tau * scale) ** 2 * np.eye(at.size) + shared


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
    blocks : at least one, each with a normal likelihood
    days : when it is wanted
    steps : days on which a change was noted; a block on such a day is taken after it
    prior : mean and standard deviation of the level on the first day
    matters : a step matters from the first size on, and is none under the second
    scale : what stands for a degree where it is not an angle, in the unit of the blocks
    """
    return level_over([Member(0.0, blocks)], days, steps, prior=prior, matters=matters, scale=scale)


def level_over(
    members: Sequence[Member],
    days: Sequence[float],
    steps: Sequence[float] = (),
    *,
    prior: tuple[float, float] = (0.0, 2.0),
    matters: tuple[float, float] = (0.12, 0.5),
    scale: float = 1.0,
) -> Level:
    """The same, averaged over what may be so; all members are of the same blocks."""
    logs: list[float] = []
    means: list[Floats] = []
    sds: list[Floats] = []
    for member in members:
        for fit, mean, sd in _fits(member.blocks, days, steps, prior, scale):
            logs.append(fit + member.log)
            means.append(mean)
            sds.append(sd)
    cells = np.array([wide * long for wide in _widths(_WANDERS) for long in _widths(_TAUS)])
    weight: Floats = np.exp(np.array(logs) - max(logs)) * np.tile(cells, len(members))
    weight /= weight.sum()
    middles, about = np.array(means), np.array(sds)
    low, middle, high = (_quantile(weight, middles, about, it) for it in (INTERVAL[0], 0.5, INTERVAL[1]))
    found = [Estimate(float(m), float(lo), float(hi)) for m, lo, hi in zip(middle, low, high, strict=True)]
    n = len(days)
    return Level(
        at=tuple(Estimate(it.value + prior[0], it.low + prior[0], it.high + prior[0]) for it in found[:n]),
        steps=tuple(
            _step(day, found[n + k], weight, middles[:, n + k], about[:, n + k], matters) for k, day in enumerate(steps)
        ),
        between=scale * float(weight @ np.array(_TAUS * len(_WANDERS) * len(members))),
    )


def _after(at: Floats, steps: Sequence[float]) -> Floats:
    """(K, N) 1 where a block was read after a step."""
    return np.array([(at >= day).astype(float) for day in steps]).reshape(len(steps), at.size)


def _fits(
    blocks: Sequence[Pooled], days: Sequence[float], steps: Sequence[float], prior: tuple[float, float], scale: float
) -> Iterator[tuple[float, Floats, Floats]]:
    """For each wander with each τ how well it fits, and mean and standard deviation of the level on each day and of
    each step."""
    jump = (_STEP_SD * scale) ** 2
    at, told = np.array([it.day for it in blocks]), np.array([it.mean for it in blocks]) - prior[0]
    first = float(min(at.min(), *days)) if days else float(at.min())
    walk = np.minimum.outer(at - first, at - first)
    stepped = _after(at, steps)
    base: Floats = prior[1] ** 2 + jump * stepped.T @ stepped + off_by_themselves(blocks)
    wanted = np.array(days, dtype=float) - first
    walk_to = np.minimum.outer(wanted, at - first)
    steps_to = _after(np.array(days, dtype=float), steps)
    cross: Floats = prior[1] ** 2 + jump * steps_to.T @ stepped
    own: Floats = prior[1] ** 2 + jump * steps_to.sum(axis=0)
    for wander in _WANDERS:
        q = (wander * scale) ** 2
        covariance: Floats = base + q * walk
        to: Floats = np.vstack([cross + q * walk_to, jump * stepped])
        right: Floats = np.column_stack([told, to.T])
        before = np.concatenate([own + q * wanted, np.full(len(steps), jump)])
        for fit, mean, sd in _by_difference(covariance, right, before, scale):
            yield fit - 0.5 * (wander / _WANDER_SD) ** 2, mean, sd


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
        yield fit, seen @ of, np.sqrt(np.maximum(before - (of**2).sum(axis=0), LEAST_SD**2))


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
