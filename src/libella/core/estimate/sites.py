"""Blocks whose likelihood is no normal, beside all the others: expectation propagation."""

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Final

import numpy as np

from .pooled import LEAST_SD, Pooled
from .posterior import Floats

_SWEEPS: Final = 12
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
    grids = [n for n, it in enumerate(blocks) if it.grid is not None]
    mean = np.array([it.mean for it in blocks]) - about
    precision = 1 / np.maximum(np.array([it.sd**2 for it in blocks]), LEAST_SD**2)
    precision[grids], mean[grids] = _LEAST_PRECISION, 0.0
    constant = 0.0
    for sweep in range(_SWEEPS + 1):
        gain = np.linalg.solve(latent + np.diag(1 / precision), latent).astype(np.float64).T
        middle, var = gain @ mean, np.diag(latent - gain @ latent)
        for n in grids:
            grid = blocks[n].grid
            assert grid is not None
            free = max(1 / var[n] - precision[n], _LEAST_PRECISION)
            beside = (middle[n] / var[n] - mean[n] * precision[n]) / free
            values, log = grid[0] - about, grid[1]
            tilted = log - 0.5 * free * (values - beside) ** 2
            weight: Floats = np.exp(tilted - tilted.max())
            if sweep == _SWEEPS:
                apart = 1 / free + 1 / precision[n]
                mass = float(tilted.max()) + math.log(float(weight.sum()) * float(values[1] - values[0]))
                found = -0.5 * (mean[n] - beside) ** 2 / apart - 0.5 * math.log(apart)
                constant += mass + 0.5 * math.log(free) - found
                continue
            weight /= weight.sum()
            centre = float(weight @ values)
            wide = max(float(weight @ (values - centre) ** 2), LEAST_SD**2)
            told = max(1 / wide - free, _LEAST_PRECISION)
            site = (centre / wide - beside * free) / told
            # Half the way each time: all at once may overshoot.
            mixed = 0.5 * (precision[n] + told)
            mean[n] = 0.5 * (precision[n] * mean[n] + told * site) / mixed
            precision[n] = mixed
    told_by = [
        it if it.grid is None else replace(it, mean=float(mean[n]) + about, sd=float(precision[n] ** -0.5), grid=None)
        for n, it in enumerate(blocks)
    ]
    return Sited(tuple(told_by), constant)


def evidence(blocks: Sequence[Pooled], latent: Floats, about: float) -> float:
    """Log-likelihood of what normal blocks tell, but for what is the same of as many; arguments as of `sited`."""
    mean = np.array([it.mean for it in blocks]) - about
    whole = latent + np.diag([it.sd**2 for it in blocks])
    return -0.5 * float(mean @ np.linalg.solve(whole, mean)) - 0.5 * float(np.linalg.slogdet(whole)[1])
