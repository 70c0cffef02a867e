"""What each reading of a rig would say, as a table: with it a device adds up readings by itself (handbook 5).

Where no server is in reach a device sums, for every bias and spread, what was believed before and a row of the table
for each reading. Readings of the same width say the same, at the same distance from their middle: one curve serves all
of them.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

import numpy as np

from ..measure.interval import Interval
from ..measure.window import Window
from .kind import open_to
from .posterior import LAPSE_SHARE, START, Floats, Prior, Seen, lapse_reach

TO_ONE: Final = 4096
"""The log likelihood is told in whole parts of so many to one."""
_STEP: Final = 0.02
_LEAST: Final = 0.04
_SPREADS: Final = 40
_NEAR: Final = 0.5
_GROWS: Final = 1.1
_DIGITS: Final = 6
_SAME_DIGITS: Final = 3


@dataclass(frozen=True, slots=True)
class ZoneCurve:
    """What readings of one width say: `away` from the bias to their middle or, of open ones, how far within them the
    bias lies; `log` the log likelihood there at each spread, in parts of `TO_ONE`, one row for each of `away`."""

    away: tuple[float, ...]
    log: tuple[tuple[int, ...], ...]


@dataclass(frozen=True, slots=True)
class ZoneRow:
    """One reading that a rig can give: its limits (None where open), its curve, and where `away` counts from: for
    `facing` 0 to either side, else along it. `open`: it lies to a side and can't say how far; where half of the
    readings are so, no bubble stands."""

    low: float | None
    high: float | None
    curve: int
    at: float
    facing: int
    open: bool


@dataclass(frozen=True, slots=True)
class LikelihoodTable:
    """Every reading that a rig can give, and what is believed before any.

    Attributes
    ----------
    first, step : biases `first`, `first + step`, …
    before : log of what is believed of each of them, counted from anywhere
    log_spreads, spreads_before : ln spreads, evenly spaced, and the same of them
    to_one : so many parts of a curve's `log` are one
    shared : weights about a middle one with which what is known at each step is blurred, for what all readings share
    """

    first: float
    step: float
    before: tuple[float, ...]
    log_spreads: tuple[float, ...]
    spreads_before: tuple[float, ...]
    to_one: int
    rows: tuple[ZoneRow, ...]
    curves: tuple[ZoneCurve, ...]
    shared: tuple[float, ...]


def table(
    zones: Sequence[Interval], window: Window, *, noise: float, doubt: float, prior: Prior | None = None
) -> LikelihoodTable:
    """The table of all readings that a rig can give.

    Parameters
    ----------
    zones : the readings, in the prior's unit
    window : they are weighed in
    noise : standard deviation of the reading noise
    doubt : standard deviation of what all readings share; blurs the bias
    prior : see `Prior`; None: that of starts

    Notes
    -----
    Summed it agrees with `posterior` to 0.01 of the unit; a mishit reaches as far as all these zones do.
    """
    before = START() if prior is None else prior
    told = list(dict.fromkeys(Interval(it.low, it.high) for it in zones))
    ends = [abs(end) for it in told for end in (it.low, it.high) if math.isfinite(end)]
    reach = max(abs(before.bias_mean) + 5 * before.bias_sd, *ends) + before.bias_sd
    bias: Floats = np.arange(-reach, reach + _STEP / 2, _STEP)
    log_spread: Floats = np.linspace(math.log(_LEAST), math.log(2 * reach), _SPREADS)
    spread = np.hypot(np.exp(log_spread), noise)
    curves: dict[ZoneCurve, int] = {}
    rows: list[ZoneRow] = []
    for it in told:
        at, facing, alike = _like(it)
        away = _away(alike, 2 * reach)
        biases = facing * at + away
        seen = Seen([alike], LAPSE_SHARE, lapse_reach(told)).log_likelihood(biases, spread)[0]
        curve = ZoneCurve(_told(away), tuple(tuple(row) for row in np.rint(seen * TO_ONE).astype(int).tolist()))
        which = curves.setdefault(curve, len(curves))
        is_open = open_to(it, window) != "neither"
        rows.append(ZoneRow(it.low_or_none, it.high_or_none, which, at, facing, is_open))
    return LikelihoodTable(
        first=float(bias[0]),
        step=_STEP,
        before=_told(-0.5 * ((bias - before.bias_mean) / before.bias_sd) ** 2),
        log_spreads=_told(log_spread),
        spreads_before=_told(-0.5 * ((log_spread - math.log(before.spread_median)) / before.spread_log_sd) ** 2),
        to_one=TO_ONE,
        rows=tuple(rows),
        curves=tuple(curves),
        shared=_shared(doubt),
    )


def _like(it: Interval) -> tuple[float, int, Interval]:
    """Where a reading's `away` counts from, which way (to either side, or into an open end), and the reading to the
    right, or about nothing, that says the same.

    Marks of one board that lie alike within a thousandth of a degree are taken for alike, which nobody could tell.
    """
    if math.isinf(it.low) or math.isinf(it.high):
        facing = 1 if math.isfinite(it.low) else -1
        return it.anchor, facing, Interval(facing * it.anchor, math.inf)
    half = round((it.high - it.low) / 2, _SAME_DIGITS)
    return it.anchor, 0, Interval(-half, half)


def _away(it: Interval, end: float) -> Floats:
    """Where a curve is told: finely near a limit, where it bends, and ever more widely far from it."""
    near = np.arange(0, _NEAR, _STEP)
    steps = _STEP * _GROWS ** np.arange(1, math.ceil(math.log(end / _STEP) / math.log(_GROWS)))
    from_limit: Floats = np.concatenate((near, near[-1] + np.cumsum(steps)))
    if math.isinf(it.high):
        return np.concatenate((-from_limit[:0:-1], from_limit))
    half = it.high
    inside = half - from_limit[from_limit < half]
    return np.concatenate(([0.0], inside[:0:-1], half + from_limit))


def _shared(doubt: float) -> tuple[float, ...]:
    """Weights that blur what is known at every step, an odd number of them, together 1."""
    most = math.ceil(4 * doubt / _STEP)
    if not most:
        return (1.0,)
    weights = np.exp(-0.5 * (np.arange(-most, most + 1) * _STEP / doubt) ** 2)
    return _told(weights / weights.sum())


def _told(values: Floats) -> tuple[float, ...]:
    return tuple(np.round(values, _DIGITS).tolist())
