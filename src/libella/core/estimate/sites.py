"""Blocks whose likelihood is no normal, beside all the others: expectation propagation."""

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Final

import numpy as np

from .pooled import LEAST_SD, Pooled
from .posterior import Floats

_SWEEPS: Final = 12
_SETTLED: Final = 0.01
"""Part of a precision by which no site moves any more."""
_LEAST_PRECISION: Final = 1e-4


@dataclass(frozen=True, slots=True)
class Sited:
    """Blocks, each with a normal for its likelihood.

    Attributes
    ----------
    blocks : the same, none of them with a grid
    constant : sum of the logarithms of what those normals are to be multiplied by
    """

    blocks: tuple[Pooled, ...]
    constant: float


def sited(blocks: Sequence[Pooled], latent: Floats, about: float) -> Sited:
    """Give each block whose likelihood is no normal the normal that does the same beside all the others (all at once):
    a block that says "at least" pulls where it should and no further.

    Parameters
    ----------
    blocks : (N) blocks
    latent : (N, N) covariance of their means before anything was read
    about : mean of them before anything was read
    """
    which = np.array([n for n, it in enumerate(blocks) if it.grid is not None], dtype=np.intp)
    values, log = _stacked(blocks, about)
    mean = np.array([it.mean for it in blocks]) - about
    precision = 1 / np.maximum(np.array([it.sd**2 for it in blocks]), LEAST_SD**2)
    precision[which], mean[which] = _LEAST_PRECISION, 0.0
    constant, moved = 0.0, math.inf
    for sweep in range(_SWEEPS + 1):
        gain = np.linalg.solve(latent + np.diag(1 / precision), latent).astype(np.float64).T
        var = np.diag(latent - gain @ latent)[which]
        own, at = precision[which], mean[which]
        free: Floats = np.maximum(1 / var - own, _LEAST_PRECISION)
        beside: Floats = ((gain @ mean)[which] / var - at * own) / free
        tilted: Floats = log - 0.5 * free[:, None] * (values - beside[:, None]) ** 2
        top = tilted.max(axis=1)
        weight: Floats = np.exp(tilted - top[:, None])
        mass: Floats = weight.sum(axis=1)
        if sweep == _SWEEPS or moved < _SETTLED:
            apart: Floats = 1 / free + 1 / own
            found = top + np.log(mass * (values[:, 1] - values[:, 0])) + 0.5 * np.log(free)
            constant = float((found + 0.5 * (at - beside) ** 2 / apart + 0.5 * np.log(apart)).sum())
            break
        centre: Floats = (weight * values).sum(axis=1) / mass
        wide: Floats = np.maximum((weight * (values - centre[:, None]) ** 2).sum(axis=1) / mass, LEAST_SD**2)
        told: Floats = np.maximum(1 / wide - free, _LEAST_PRECISION)
        site = (centre / wide - beside * free) / told
        # Half the way each time: all at once may overshoot.
        mixed = 0.5 * (own + told)
        moved = float(np.abs(told / own - 1).max(initial=0.0))
        mean[which] = 0.5 * (own * at + told * site) / mixed
        precision[which] = mixed
    told_by = [
        it if it.grid is None else replace(it, mean=float(mean[n]) + about, sd=float(precision[n] ** -0.5), grid=None)
        for n, it in enumerate(blocks)
    ]
    return Sited(tuple(told_by), constant)


def _stacked(blocks: Sequence[Pooled], about: float) -> tuple[Floats, Floats]:
    """(K, M) means of the K blocks with a grid, from `about`, and their log-likelihoods; grids with fewer points are
    filled up by points that nothing lies at."""
    grids = [it.grid for it in blocks if it.grid is not None]
    most = max((values.size for values, _ in grids), default=2)
    values, log = np.zeros((len(grids), most)), np.full((len(grids), most), -np.inf)
    for n, (one, likelihood) in enumerate(grids):
        values[n, : one.size], log[n, : one.size] = one - about, likelihood
    return values, log


def evidence(blocks: Sequence[Pooled], latent: Floats, about: float) -> float:
    """Log-likelihood of what normal blocks tell, but for what is the same of as many; arguments as of `sited`."""
    mean = np.array([it.mean for it in blocks]) - about
    whole = latent + np.diag([it.sd**2 for it in blocks])
    return -0.5 * float(mean @ np.linalg.solve(whole, mean)) - 0.5 * float(np.linalg.slogdet(whole)[1])
