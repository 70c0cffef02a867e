"""How many more putts it would take, by playing the block on from what is known."""

from collections.abc import Callable, Sequence

import numpy as np
from numpy.typing import NDArray

from ..certainty.matter import Matter
from ..certainty.verdict import SETTLES
from ..measure.interval import Interval
from ..measure.window import Window
from .cost import Mix, Sides
from .posterior import LAPSE_REACH, LAPSE_SHARE, Floats, Posterior

MOST_FURTHER = 40
_STEPS = (1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 18, 21, 25, 30, 35, MOST_FURTHER)
_PLAYED = 200

Settled = Callable[[Floats, Floats, Floats], NDArray[np.bool_]]


def further_putts(
    post: Posterior,
    zones: Sequence[Interval],
    window: Window | Mix,
    settled: Settled,
    *,
    matter: Matter,
    doubt: float = 0.0,
    seed: int = 0,
) -> int | None:
    """Further putts on this rig after which a block should be settled in 4 of 5 simulated continuations.

    Parameters
    ----------
    post : what is known now
    zones : the rig's readings, left to right, covering all angles; degrees
    window : what the hole allows
    settled : given the chances that the bias costs enough to matter on the right, on the left, and too little to mend,
        (N,) each, of every continuation, says which are settled, (N,)
    matter : from what cost on it matters, and under what it does not
    doubt : what stays unknown of the rig's own aim, degrees; no number of putts takes it away
    seed : of the simulation; the same block always gives the same number

    Returns
    -------
    int or None
        Number of putts (1 to 40), or None for more than 40.
    """
    rng = np.random.default_rng(seed)
    picks = rng.choice(post.weight.size, size=_PLAYED, p=post.weight.ravel())
    rows, columns = np.unravel_index(picks, post.weight.shape)
    starts = rng.normal(
        post.bias[rows, None], np.hypot(post.spread[columns, None], post.noise), (_PLAYED, MOST_FURTHER)
    )
    mishit = rng.random(starts.shape) < LAPSE_SHARE
    starts[mishit] = rng.uniform(-LAPSE_REACH, LAPSE_REACH, int(mishit.sum()))
    read = np.searchsorted([it.high for it in zones[:-1]], starts)

    seen = np.unique(read)
    table = post.log_likelihood([zones[int(n)] for n in seen]).reshape(seen.size, -1)
    one_hot = np.searchsorted(seen, read)[:, :, None] == np.arange(seen.size)
    counts = np.cumsum(one_hot, axis=1, dtype=np.float64)
    now = np.log(np.maximum(post.weight.ravel(), 1e-300))
    sides = Sides.of(post, Mix.one(window) if isinstance(window, Window) else window, matter, doubt)
    told = np.stack([it.ravel() for it in (sides.right, sides.left, sides.small)], axis=1)
    for step in _STEPS:
        value = now + counts[:, step - 1] @ table
        weight = np.exp(value - value.max(axis=1, keepdims=True))
        weight /= weight.sum(axis=1, keepdims=True)
        if settled(*(weight @ told).T).mean() >= SETTLES():
            return step
    return None
