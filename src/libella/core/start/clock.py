"""A device's clock against the coach's taps: which putt each stroke belongs to, and how far the clock is out."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from typing import Final

import numpy as np
from numpy.typing import NDArray

from ..opinions.held import Opinion

_STEP_S: Final = 0.5
MOST_OUT_S: Final = 70.0
"""How far a device's clock may be out and still be told."""
_LONGEST_LAG_S: Final = 25.0
_BEHIND: Final[NDArray[np.float64]] = np.arange(-MOST_OUT_S, MOST_OUT_S + _STEP_S / 2, _STEP_S)
_LAG: Final[NDArray[np.float64]] = np.arange(-2.0, _LONGEST_LAG_S + _STEP_S / 2, _STEP_S)
_SHIFT: Final[NDArray[np.float64]] = np.arange(_BEHIND[0] + _LAG[0], _BEHIND[-1] + _LAG[-1] + _STEP_S / 2, _STEP_S)
"""How long after a stroke, by the device's clock, its putt is noted, by the coach's: clock and lag together."""
_SCALES: Final = Opinion("clock_lags", ((0.7, 0.3), (1.5, 0.3), (3.0, 0.25), (6.0, 0.15)), ("s", "share"))
"""How far lags part about their usual one, s, and how likely each is: an opinion."""
_RIGHT: Final = Opinion("clock_right", 0.8, "share")
_RIGHT_SD_S: Final = Opinion("clock_right_sd", 1.0, "s")
"""How likely a clock is right, and how right; any other error is as likely as any: an opinion."""
_EXTRA: Final = 0.15
"""How likely a stroke belongs to no putt: a practice stroke, a knock."""
_AT_ONCE, _SENT_S, _SENT_LATE_S = 0.5, 0.7, 600.0
"""How likely a stroke is sent at once, and how soon it arrives then; else within ten minutes."""
_NOW_SD_S: Final = 0.7
_ODDS: Final = 10.0
"""A stroke is put to a putt that is so many times as likely as any other."""
_FAR_S: Final = 30.0
"""No lag parts so far from the usual one."""
_MOMENT_S: Final = 2.0
"""No two balls are rolled so soon after each other."""
_ABOUT_S: Final = 7.5
"""Errors of a clock that taps alone can't tell apart, for the lag is not known."""
_ENOUGH: Final = 60
"""A constant error is known from so many strokes; what came before them tells no more."""


@dataclass(frozen=True, slots=True)
class Told:
    """A stroke: when it was made by the device's clock, and when it arrived by the server's; seconds."""

    at_s: float
    received_s: float


@dataclass(frozen=True, slots=True)
class Clock:
    """How far a device's clock is behind (ahead: negative), s, its standard uncertainty, and whether that is known.

    `known`: any other error, more than 8 s away, is ten times less likely. `putts` gives the putt of each stroke that
    has one, putt index by stroke index; a stroke that might belong to two has none.
    """

    behind_s: float
    doubt_s: float
    known: bool
    putts: dict[int, int]

    @property
    def out(self) -> bool:
        """Known to be out by more than the taps could hide."""
        return self.known and abs(self.behind_s) > max(4.0, 2 * self.doubt_s)

    @property
    def correction_s(self) -> float:
        """What to add to the device's times, s: nothing where its clock is not known to be out."""
        return self.behind_s if self.out else 0.0

    def asks_tap(self, strokes: int, unmatched: int) -> bool:
        """One tap at a stroke would settle whose they are: most fit no putt, and how the clock stands is not known."""
        return not self.known and unmatched * 2 > strokes


def clock_of(putts_s: Sequence[float], strokes: Sequence[Told], now_s: Sequence[float] = ()) -> Clock:
    """The clock of a device from its strokes, the coach's taps, and when the strokes arrived.

    Parameters
    ----------
    putts_s : when each putt was noted, seconds on the coach's clock
    strokes : what one device told, in any order
    now_s : what a tap at the moment of a stroke gave: coach's clock less the device's, seconds

    Notes
    -----
    A grid over the error and the coach's usual lag. A stroke is a putt's with a lag about the usual one (t, 3 degrees
    of freedom, its scale not known), or nobody's. It is sent at once or later, never before it was made. Each stroke's
    putt is weighed over all of that: an alignment that could be another one leaves it with none.
    """
    if not strokes:
        return Clock(0.0, _RIGHT_SD_S(), known=False, putts={})
    order = sorted(range(len(strokes)), key=lambda m: strokes[m].at_s)
    newest = order[-_ENOUGH:]
    made = np.array([strokes[m].at_s for m in newest])
    before = _clock_prior() * _arrived(made, np.array([strokes[m].received_s for m in newest]), now_s)
    before /= before.sum()
    noted = np.sort(np.array(putts_s, dtype=float))
    rank = np.argsort(np.array(putts_s, dtype=float), kind="stable")
    if not noted.size:
        return _summed(before, {})
    told = _told_by_taps(noted, made)
    weight = np.stack([np.convolve(before, _lag_prior())] * len(_SCALES())) * told
    weight /= weight.sum()
    # What the error is, whatever the lag: each error with every lag's shift.
    windows = np.lib.stride_tricks.sliding_window_view(told.sum(axis=0), _LAG.size)
    behind = before * (windows @ _lag_prior())
    clock = _summed(behind / behind.sum(), {})
    everything = np.array([strokes[m].at_s for m in order])
    pairs = _pairs(noted, everything, weight, clock.correction_s)
    return replace(clock, putts={order[m]: int(rank[n]) for m, n in pairs.items()})


@lru_cache
def _clock_prior() -> NDArray[np.float64]:
    right = np.exp(-0.5 * (_BEHIND / _RIGHT_SD_S()) ** 2)
    return _RIGHT() * right / right.sum() + (1 - _RIGHT()) / _BEHIND.size


@lru_cache
def _lag_prior() -> NDArray[np.float64]:
    """A putt is noted some five seconds after its stroke, seldom just before it (sensors are late, too)."""
    after = np.maximum(_LAG, 0.0)
    likely = after * np.exp(-after / 2.5) + 0.05 * np.exp(-0.5 * _LAG**2)
    return likely / likely.sum()


def _arrived(made: NDArray[np.float64], received: NDArray[np.float64], now_s: Sequence[float]) -> NDArray[np.float64]:
    """How likely what arrived when it did is, by the clock's error; the best is 1."""
    on_the_way = (received - made)[:, None] - _BEHIND[None, :]
    gone = np.maximum(on_the_way, 0.0)
    early = np.exp(-0.5 * (np.minimum(on_the_way, 0.0) / 0.5) ** 2)
    log = np.log(early * (_AT_ONCE * np.exp(-gone / _SENT_S) / _SENT_S + (1 - _AT_ONCE) / _SENT_LATE_S) + 1e-12).sum(0)
    for it in now_s:
        log = log - 2.0 * np.log1p(((_BEHIND - it) / _NOW_SD_S) ** 2 / 3)
    return np.exp(log - log.max())


def _density(off: NDArray[np.float64], scale: float) -> NDArray[np.float64]:
    """Student's t with 3 degrees of freedom."""
    return 0.3675525969 / scale / (1 + (off / scale) ** 2 / 3) ** 2


@lru_cache
def _kernels() -> NDArray[np.float64]:
    """Densities by scale, difference and shift."""
    off = _SHIFT[:, None] - _SHIFT[None, :]
    return np.stack([_density(off, scale) for scale, _ in _SCALES()])


def _span(noted: NDArray[np.float64], made: NDArray[np.float64]) -> float:
    return float(max(noted.max(), made.max()) - min(noted.min(), made.min())) + 60.0


def _told_by_taps(noted: NDArray[np.float64], made: NDArray[np.float64]) -> NDArray[np.float64]:
    """Scales by shifts: how likely these strokes are, the scale's own likelihood in it; the best is about 1."""
    apart = noted[None, :] - made[:, None]
    bins = np.rint((apart - _SHIFT[0]) / _STEP_S).astype(int)
    counts = np.zeros((made.size, _SHIFT.size))
    stroke, putt = np.nonzero((bins >= 0) & (bins < _SHIFT.size))
    np.add.at(counts, (stroke, bins[stroke, putt]), 1.0)
    nobodys = _EXTRA / _span(noted, made)
    log = np.stack([np.log(nobodys + (1 - _EXTRA) / noted.size * (counts @ kernel)).sum(0) for kernel in _kernels()])
    log += np.log([likely for _, likely in _SCALES()])[:, None]
    return np.exp(log - log.max())


def _pairs(
    noted: NDArray[np.float64], made: NDArray[np.float64], weight: NDArray[np.float64], shift_s: float
) -> dict[int, int]:
    """Putt by stroke, both by rank: where it is ten times as likely as any other and likelier than nobody's.

    `shift_s`: how far the clock is known to be out.
    """
    nobodys = _EXTRA / _span(noted, made) * noted.size / (1 - _EXTRA)
    likely: list[list[int]] = np.argwhere(weight > 1e-3 * weight.max()).tolist()
    shifts = [float(_SHIFT[shift]) for _, shift in likely]
    low, high = min(shifts) - _FAR_S, max(shifts) + _FAR_S
    stroke, putt = np.nonzero(_within(noted[None, :] - made[:, None], low, high))
    apart = noted[putt] - made[stroke]
    total, none = np.zeros(stroke.size), np.zeros(made.size)
    for scale, shift in likely:
        near = _density(apart - _SHIFT[shift], _SCALES()[scale][0])
        whole = np.bincount(stroke, near, made.size) + nobodys
        total += weight[scale, shift] * near / whole[stroke]
        none += weight[scale, shift] * nobodys / whole
    # Putts noted within a moment of each other are none that were rolled so: they were told together, and which of them
    # it is goes by order alone.
    moment = np.concatenate(([0], np.cumsum(np.diff(noted) > _MOMENT_S)))
    group = stroke * (int(moment[-1]) + 1) + moment[putt]
    groups, which = np.unique(group, return_inverse=True)
    of_moment = np.bincount(which, total).astype(float)
    clear = of_moment >= _ODDS * _next_best(groups // (int(moment[-1]) + 1), of_moment, made.size)
    alone = np.bincount(moment)[moment[putt]] == 1
    nearness = np.where(alone, -total, np.abs(apart - shift_s))
    found: dict[int, int] = {}
    for it in np.lexsort((nearness, ~alone)):
        m, n = int(stroke[it]), int(putt[it])
        likelier = of_moment[which[it]] > none[m]
        if clear[which[it]] and likelier and m not in found and n not in found.values():
            found[m] = n
    return found


def _within(values: NDArray[np.float64], low: float, high: float) -> NDArray[np.bool_]:
    return (values >= low) & (values <= high)


def _next_best(group: NDArray[np.int_], values: NDArray[np.float64], groups: int) -> NDArray[np.float64]:
    """The largest of the others of its group, for each; nothing where it is alone."""
    first, second = np.zeros(groups), np.zeros(groups)
    np.maximum.at(first, group, values)
    own = values == first[group]
    np.maximum.at(second, group[~own], values[~own])
    # Two alike are each other's next best.
    twice = np.bincount(group[own], minlength=groups) > 1
    second[twice] = first[twice]
    return np.where(own, second[group], first[group])


def _summed(behind: NDArray[np.float64], putts: dict[int, int]) -> Clock:
    at = int(behind.argmax())
    near = np.abs(_BEHIND - _BEHIND[at]) <= _ABOUT_S
    mean = float((behind[near] * _BEHIND[near]).sum() / behind[near].sum())
    doubt = float(np.sqrt((behind[near] * (_BEHIND[near] - mean) ** 2).sum() / behind[near].sum()))
    # A lump as wide as the one found, anywhere else.
    others = np.convolve(np.where(near, 0.0, behind), np.ones(2 * int(_ABOUT_S / _STEP_S) + 1), "same").max()
    return Clock(mean, doubt, known=bool(behind[near].sum() >= _ODDS * others), putts=putts)
