"""What makes a judgement less sure than it looks, or would make a change go wrong: told with every finding."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

import numpy as np

from ...certainty.estimate import Estimate, estimated
from ...estimate import START, posterior
from ...estimate.shares import more_often
from ..holed import place_of
from .case import Case
from .ranked import Findings

GuardName = Literal[
    "unproved",
    "coarse",
    "few",
    "voids",
    "mixed",
    "conditions",
    "warm_up",
    "tiring",
    "outliers",
    "disturbed",
    "sensor_and_hand",
    "felt",
    "one_sided",
    "read_off",
    "costly",
    "one_change",
]
_VOIDS: Final = 0.15
_APART: Final = 2.0
"""Standard deviations from which two readings of one thing disagree."""
_OUT: Final = 3.2
_FEW: Final = 10
_LIKELY: Final = 0.9


@dataclass(frozen=True, slots=True)
class Guard:
    """One caution: its code; what it is about in numbers; estimates to set side by side."""

    name: GuardName
    count: int = 0
    of: int = 0
    values: tuple[Estimate, ...] = ()
    told: tuple[str, ...] = ()


def guards(case: Case, judged: Findings) -> tuple[Guard, ...]:
    """Those that apply, what could overturn the judgement first."""
    named, starts = judged.named, judged.starts
    it, found = case.evidence, list[Guard]()
    blocks = [one for one in case.own if one.putts]
    putts = len(case.starts)
    if it.line_deg is None and (blocks or it.face or it.mark or it.picture):
        found.append(Guard("unproved"))
    if any(one.coarse for one in blocks):
        found.append(Guard("coarse", sum(one.coarse for one in blocks), len(blocks)))
    if 0 < putts < _FEW:
        found.append(Guard("few", putts, _FEW))
    voids, kept = sum(one.voided for one in blocks), sum(len(one.putts) for one in blocks)
    if voids and voids >= _VOIDS * (voids + kept):
        found.append(Guard("voids", voids, voids + kept))
    if any(one.guided for one in it.blocks) and any(not one.guided for one in it.blocks):
        found.append(Guard("mixed", sum(one.guided for one in it.blocks), len(it.blocks)))
    if len(case.own) < len([one for one in it.blocks if not one.guided]):
        found.append(Guard("conditions", len(it.blocks) - len(case.own), len(it.blocks)))
    told = tuple(sorted({name for one in blocks for name in one.disturbances}))
    if told:
        found.append(Guard("disturbed", told=told))
    for one in (_halves(case), _outliers(case), _sensor_and_hand(case), _felt(case), _one_sided(case), _read_off(case)):
        if one is not None:
            found.append(one)
    if starts is not None and starts.costly:
        found.append(Guard("costly", round(it.band.cost)))
    if len(named) > 1:
        found.append(Guard("one_change", len(named)))
    return tuple(found)


def _halves(case: Case) -> Guard | None:
    """The first putts against the last: warm-up is no effect, and tiring widens the spread."""
    n = len(case.starts)
    if n < 12:
        return None
    posts = [posterior(part, START) for part in (case.starts[: n // 3], case.starts[-(n // 3) :])]
    biases = [estimated(post.bias_quantile) for post in posts]
    apart = abs(biases[1].value - biases[0].value) / float(np.hypot(biases[0].sd, biases[1].sd))
    if apart >= _APART and abs(biases[0].value) > abs(biases[1].value):
        return Guard("warm_up", n // 3, n, tuple(biases))
    spreads = [estimated(post.spread_quantile) for post in posts]
    if spreads[1].low > spreads[0].high:
        return Guard("tiring", n // 3, n, tuple(spreads))
    return None


def _outliers(case: Case) -> Guard | None:
    """Starts far off the others: kept, flagged, and the bias told with and without them."""
    if case.start is None or len(case.starts) < 8:
        return None
    middle = float(np.median([it.anchor for it in case.starts]))
    far = _OUT * case.start.spread_quantile(0.5)
    # A wide zone is no mishit for lying partly far out.
    kept = [it for it in case.starts if it.low - middle <= far and middle - it.high <= far]
    out = len(case.starts) - len(kept)
    if not out:
        return None
    without = posterior(kept, START, noise=case.start.noise)
    values = (estimated(case.start.bias_quantile), estimated(without.bias_quantile))
    return Guard("outliers", out, len(case.starts), values)


def _sensor_and_hand(case: Case) -> Guard | None:
    """The face at address, read by the sensor and at set-downs."""
    hand, sensed = case.told.face, case.told.address
    if hand is None or sensed is None:
        return None
    sd = float(np.hypot(np.hypot(hand.sd, sensed.sd), case.told.zero_deg))
    if abs(hand.value - sensed.value) < _APART * sd:
        return None
    return Guard("sensor_and_hand", values=(hand, sensed))


def _felt(case: Case) -> Guard | None:
    """What felt straight, where the calls tell that it is not: starts called straight that lie to one side."""
    called = [putt.start for putt in case.putted if putt.notes.get("felt") == "straight" and putt.start is not None]
    if len(called) < 5:
        return None
    found = estimated(posterior(called, START).bias_quantile)
    return Guard("felt", len(called), len(case.putted), (found,)) if found.is_one_side else None


def _one_sided(case: Case) -> Guard | None:
    """Misses that nearly all go to one side."""
    return _to_one_side("one_sided", [str(putt.notes.get("finish", "")) for putt in case.putted], 5)


def _read_off(case: Case) -> Guard | None:
    """Putts that surely started inside the window and missed, nearly all to one side: the read, not the start."""
    finishes = [
        str(putt.notes["finish"])
        for block in case.own
        for putt in block.putts
        if putt.start is not None and "finish" in putt.notes and place_of(putt.start, block.window) == "inside"
    ]
    return _to_one_side("read_off", finishes, 4)


def _to_one_side(name: GuardName, finishes: Sequence[str], fewest: int) -> Guard | None:
    """The guard where at least so many finished to a side, and nearly all to the same."""
    left, right = (sum(side in it for it in finishes) for side in ("left", "right"))
    if left + right < fewest or max(more_often(left, right)) < _LIKELY:
        return None
    return Guard(name, max(left, right), left + right, told=("left" if left > right else "right",))
