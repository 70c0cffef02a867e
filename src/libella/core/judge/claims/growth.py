"""Whether an error grows with the length of the putt: start = a + b·distance (handbook 5)."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

import numpy as np

from ...certainty.estimate import Estimate, told_by
from ...certainty.matter import MATTERS
from ...certainty.verdict import Verdict, weigh
from ...estimate.cost import limits_at
from ...estimate.posterior import Floats
from ..ledger.entry import Batch
from ..ledger.lengths import length_among, lengths_of
from ..ledger.place import Place
from .level import Weighing, level_of

EACH: Final = 3
"""Putts from which a length counts."""
_TELLS: Final = 6
"""Putts of each of two lengths from which that it grows is a claim (account 3)."""
_DRAWN: Final = 2000
_PRIOR_SD: Final = (2.0, 0.5)
_TAUS: Final = ((0.05, 0.3), (0.2, 0.3), (0.4, 0.25), (0.7, 0.15))
"""How far the same golfer's lessons lie apart, degrees, with their weights: half-normal 0.4°."""


@dataclass(frozen=True, slots=True)
class AtLength:
    """A length: its putts, and where these start by themselves: the same as wherever that length is told."""

    distance_m: float
    putts: int
    bias: Estimate
    at: Place


@dataclass(frozen=True)
class Growth:
    """The side by distance.

    Attributes
    ----------
    lengths : shortest first
    slope : degrees a metre, right positive
    call : whether its size grows by enough to matter over the lengths putted
    line : (N, 2) draws of a and b
    lessons : so many lessons were putted at them
    """

    lengths: tuple[AtLength, ...]
    slope: Estimate
    call: Verdict
    line: Floats
    lessons: int

    @property
    def is_named(self) -> bool:
        """That it grows is at least likely, and read at two lengths at least: then there is no one start."""
        return self.call.names_direction and sum(it.putts >= _TELLS for it in self.lengths) > 1


def growth(batches: Sequence[Batch], by: Weighing) -> Growth | None:
    """Blocks of starts by their lengths; None for one length.

    Parameters
    ----------
    batches : starts taken alike but for their length, of one lesson or several: lessons lie apart by themselves
    """
    told = [it for it in batches if it.putted and it.counts.get("start", 0) >= EACH]
    lengths = lengths_of(told)
    if len(lengths) < 2:
        return None
    rows: list[tuple[float, float, float, str]] = []
    for lesson in dict.fromkeys(it.lesson for it in told):
        for length in lengths:
            here = [it for it in told if it.lesson == lesson and length_among(it, lengths) == length]
            level = level_of(here, "start", (), by) if here else None
            if level is None:
                continue
            rows.append((length, level.bias.value, level.bias.sd, lesson))
    line = _line(rows)
    at: list[AtLength] = []
    for length in lengths:
        here = [it for it in told if length_among(it, lengths) == length]
        level = level_of(here, "start", (), by)
        assert level is not None
        at.append(AtLength(length, level.count, level.bias, here[-1].place))
    near, far = line[:, 0] + line[:, 1] * lengths[0], line[:, 0] + line[:, 1] * lengths[-1]
    matters_from, nothing_under = limits_at(MATTERS()["growth"], by.spread_deg, by.mix)
    grows = (np.abs(far) > np.abs(near)) & (np.abs(far - near) >= matters_from)
    right, left = float((grows & (far > 0)).mean()), float((grows & (far < 0)).mean())
    call = weigh(right, left, float((np.abs(far - near) < nothing_under).mean()))
    return Growth(tuple(at), told_by(line[:, 1]), call, line, len({it.lesson for it in told}))


def _line(rows: Sequence[tuple[float, float, float, str]]) -> Floats:
    """(N, 2) draws of a and b; with several lessons averaged over how far these lie apart."""
    x, y, sd = (np.array([row[n] for row in rows], dtype=np.float64) for n in range(3))
    lessons = [row[3] for row in rows]
    same = np.array([[one == other for other in lessons] for one in lessons], dtype=np.float64)
    design = np.column_stack((np.ones_like(x), x))
    prior = np.diag([it**2 for it in _PRIOR_SD])
    taus = _TAUS if len(set(lessons)) > 1 else ((0.0, 1.0),)
    logs: list[float] = []
    solved: list[tuple[Floats, Floats]] = []
    for tau, weight in taus:
        noise = np.diag(np.maximum(sd, 0.01) ** 2) + tau**2 * same
        spread = design @ prior @ design.T + noise
        back = prior @ design.T @ np.linalg.inv(spread)
        solved.append((back @ y, prior - back @ design @ prior))
        _, log_det = np.linalg.slogdet(spread)
        logs.append(math.log(weight) - 0.5 * float(y @ np.linalg.solve(spread, y)) - 0.5 * float(log_det))
    chance = np.exp(np.array(logs) - max(logs))
    rng = np.random.default_rng(19)
    times = rng.multinomial(_DRAWN, chance / chance.sum())
    parts = [rng.multivariate_normal(mean, cov, n) for (mean, cov), n in zip(solved, times, strict=True)]
    return rng.permutation(np.concatenate(parts))
