"""The face's share of the start: start = k·face + (1 − k)·path + rest (handbook 5, chain)."""

import math
from collections.abc import Sequence
from typing import Final

import numpy as np

from ..certainty.estimate import INTERVAL, Estimate
from ..estimate.posterior import Floats
from ..measure.interval import Interval
from ..measure.limits import Bounds
from .ledger.entry import Batch

K: Final = Bounds(0.5, 1.0, "")
K_USUAL: Final = Estimate(0.85, 0.78, 0.92)
"""How far the start follows the face rather than the path (handbook 5)."""
_FEWEST: Final = 8
_TURNS: Final = 0.3
"""Least standard deviation, degrees, of face against path from which putts themselves can tell k."""


def fit_k(batches: Sequence[Batch]) -> Estimate | None:
    """The share of the face from putts whose face and path were read, or None where they hardly part or are too few.

    Notes
    -----
    x = face − path and y = start − path of a putt are normal with covariance [[X² + 2u², kX² + u²], [kX² + u²,
    k²X² + R² + u²]]: the sensor's error u stands in both through the path, and without it every k comes out too small.
    Posterior of k on a grid over X and R with the sample covariance's own distribution (Wishart); k ~ N(0.85, 0.043).
    """
    told = [
        (start.anchor, face.anchor, path.anchor, batch.noise.get("impact", 0.0), start.high - start.low)
        for batch in batches
        for it in batch.events
        if isinstance(start := it.values.get("start"), Interval)
        and isinstance(face := it.values.get("impact"), Interval)
        and isinstance(path := it.values.get("path"), Interval)
        and all(math.isfinite(end) for one in (start, path) for end in (one.low, one.high))
    ]
    if len(told) < _FEWEST:
        return None
    rows: Floats = np.array(told, dtype=np.float64)
    x, y = rows[:, 1] - rows[:, 2], rows[:, 0] - rows[:, 2]
    if float(x.std(ddof=1)) < _TURNS:
        return None
    u2, read2 = float((rows[:, 3] ** 2).mean()), float((rows[:, 4] ** 2).mean()) / 12
    sample, n = np.cov(np.array([x, y]), ddof=1), len(told)
    k: Floats = np.linspace(0.5, 1.1, 121)
    wide = np.exp(np.linspace(math.log(0.1), math.log(6.0), 31))[None, :, None] ** 2
    rest = np.exp(np.linspace(math.log(0.02), math.log(2.0), 25))[None, None, :] ** 2
    at = k[:, None, None]
    a, b = wide + 2 * u2, at * wide + u2
    c = at**2 * wide + rest + u2 + read2
    det = np.maximum(a * c - b**2, 1e-12)
    value = -0.5 * (n - 1) * (np.log(det) + (c * sample[0, 0] - 2 * b * sample[0, 1] + a * sample[1, 1]) / det)
    value = value - 0.5 * ((at - K_USUAL.value) / K_USUAL.sd) ** 2
    weight: Floats = np.exp(value - value.max()).sum(axis=(1, 2))
    below = np.cumsum(weight / weight.sum())
    low, middle, high = (float(np.interp(share, below, k)) for share in (INTERVAL[0], 0.5, INTERVAL[1]))
    return Estimate(middle, low, high)
