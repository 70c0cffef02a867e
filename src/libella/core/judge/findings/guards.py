"""What makes a judgement less sure than it looks, or would make a change go wrong: told with every finding."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

import numpy as np

from ...certainty.estimate import Estimate, estimated
from ...estimate.shares import more_often
from ...measure.interval import Interval
from ..claims.level import Level, post_of
from ..claims.reads import Outliers, outliers
from ..ledger.entry import Batch
from ..ledger.factors import LAID
from .case import Case
from .misses import misses
from .ranked import Findings

GuardName = Literal[
    "unproved",
    "coarse",
    "few",
    "voids",
    "mixed",
    "several_ways",
    "conditions",
    "unsorted",
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
_FEW: Final = 10
_LIKELY: Final = 0.9
_LINKS: Final = ("start", "face", "address", "impact", "path", "mark", "to_mark")


@dataclass(frozen=True, slots=True)
class Guard:
    """One caution: its code; what it is about in numbers; estimates to set side by side; which quantity, and the level
    whose readings it is about."""

    name: GuardName
    count: int = 0
    of: int = 0
    values: tuple[Estimate, ...] = ()
    told: tuple[str, ...] = ()
    level: Level | None = None


def guards(case: Case, judged: Findings, levels: Sequence[Level]) -> tuple[Guard, ...]:
    """Those that apply, what could overturn the judgement first. `levels`: every level read, however it was taken."""
    named, starts = judged.named, judged.starts
    it, found = case.ledger, list[Guard]()
    blocks = [one for one in case.own if one.events]
    putts = len(case.starts)
    doubted = tuple(name for name in it.quantities if it.is_doubted(name))
    if doubted:
        found.append(Guard("unproved", told=doubted))
    watched = [one.putted for one in blocks if one.putted and one.putted.watched]
    if any(one.coarse for one in watched):
        found.append(Guard("coarse", sum(one.coarse for one in watched), len(watched)))
    if 0 < putts < _FEW:
        found.append(Guard("few", putts, _FEW))
    voids, kept = sum(one.voided for one in blocks), sum(len(one.events) for one in blocks)
    if voids and voids >= _VOIDS * (voids + kept):
        found.append(Guard("voids", voids, voids + kept))
    found += _ways(case)
    told = tuple(sorted({name for one in blocks if one.putted for name in one.putted.disturbances}))
    if told:
        found.append(Guard("disturbed", told=told))
    found += [_outlier(one) for level in levels if (one := _outliers(level, it.batches)) is not None]
    for one in (_halves(case), _sensor_and_hand(case), _felt(case), _one_sided(case)):
        if one is not None:
            found.append(one)
    if starts is not None and starts.costly:
        found.append(Guard("costly", round(it.band.cost)))
    if len(named) > 1:
        found.append(Guard("one_change", len(named)))
    return tuple(found)


def _ways(case: Case) -> list[Guard]:
    """How the starts were taken, where not all of them tell the golfer as usual."""
    blocks = case.ledger.of("start")
    own = {it.id for it in case.own}
    others = [it for it in blocks if it.id not in own]
    if not others:
        return []
    if not own:
        # What the ground, the length and the rig make of a putt is no way of the golfer's own.
        ways = case.ledger.groups("start")
        return [Guard("several_ways", len(ways), sum(dict(levels).keys() <= LAID for levels in ways))]
    found: list[Guard] = []
    mixed = [it for it in others if it.guided != case.own[0].guided]
    if mixed:
        found.append(Guard("mixed", len(mixed), len(blocks)))
    unsorted = tuple(dict.fromkeys(level for it in others for name, level in it.levels if name == "unsorted"))
    if unsorted:
        found.append(Guard("unsorted", len(unsorted), told=unsorted))
    rest = [it for it in others if it not in mixed and not any(name == "unsorted" for name, _ in it.levels)]
    if rest:
        found.append(Guard("conditions", len(rest), len(blocks)))
    return found


def _outliers(level: Level, batches: Sequence[Batch]) -> Outliers | None:
    return outliers(level, batches) if level.quantity.name in _LINKS else None


def _outlier(it: Outliers) -> Guard:
    return Guard("outliers", it.times, it.level.count, (it.level.bias, it.without), level=it.level)


def _halves(case: Case) -> Guard | None:
    """The first putts against the last: warm-up is no effect, and tiring widens the spread."""
    n = len(case.starts)
    if n < 12:
        return None
    posts = [post_of(part) for part in (case.starts[: n // 3], case.starts[-(n // 3) :])]
    biases = [estimated(post.bias_quantile) for post in posts]
    apart = abs(biases[1].value - biases[0].value) / float(np.hypot(biases[0].sd, biases[1].sd))
    if apart >= _APART and abs(biases[0].value) > abs(biases[1].value):
        return Guard("warm_up", n // 3, n, tuple(biases))
    spreads = [estimated(post.spread_quantile) for post in posts]
    if spreads[1].low > spreads[0].high:
        return Guard("tiring", n // 3, n, tuple(spreads))
    return None


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
    putts = case.events("felt", "start")
    called = [
        start for it in putts if it.values["felt"] == "straight" and isinstance(start := it.values["start"], Interval)
    ]
    if len(called) < 5:
        return None
    found = estimated(post_of(called).bias_quantile)
    return Guard("felt", len(called), len(putts), (found,)) if found.is_one_side else None


def _one_sided(case: Case) -> Guard | None:
    """Misses that nearly all go to one side; of those that surely started inside it is the read's, not the start's."""
    told = misses(case)
    for name, some, fewest in (
        ("read_off", [it for it in told if it.reason == "read"], 4),
        ("one_sided", [it for it in told if it.reason not in ("unread",)], 5),
    ):
        left, right = (sum(it.side == side for it in some) for side in ("left", "right"))
        if left + right >= fewest and max(more_often(left, right)) >= _LIKELY:
            which: GuardName = "read_off" if name == "read_off" else "one_sided"
            return Guard(which, max(left, right), left + right, told=("left" if left > right else "right",))
    return None
