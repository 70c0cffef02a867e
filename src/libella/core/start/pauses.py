"""Pauses of a run of putts: move on from a spot, move the feet, straighten up (handbook 7 and 8)."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

from ..measure.limits import Bounds

SPOT_PUTTS: Final = Bounds(3, 50, "putts")
MINUTES: Final = Bounds(2, 30, "min")
NEVER: Final = -math.inf
_GAP_S: Final = 150.0
"""Longer than this between two putts and the golfer has straightened up."""


@dataclass(frozen=True, slots=True)
class Pauses:
    """When to break off: an opinion, so a setting. `spot_putts`: putts from one spot before moving on."""

    spot_putts: float = 10
    feet_min: float = 12
    rest_min: float = 12

    def __post_init__(self) -> None:
        SPOT_PUTTS.check("spot_putts", "spot_putts", self.spot_putts)
        MINUTES.check("feet_min", "feet_min", self.feet_min)
        MINUTES.check("rest_min", "rest_min", self.rest_min)


@dataclass(frozen=True, slots=True)
class Stand:
    """How long a golfer has stood, at the last putt.

    `spot` counts putts from this spot in a row; `feet_since_s` and `bent_since_s` are when, on the clock of the putts,
    the golfer came to stand here and bent down; None while nobody putts.
    """

    spot: int
    feet_since_s: float | None
    bent_since_s: float | None


def stand(putts: Sequence[tuple[float, str]], *, moved_s: float = NEVER, rested_s: float = NEVER) -> Stand:
    """How long a golfer has stood.

    Parameters
    ----------
    putts : seconds and spot of each putt of the lesson, oldest first
    moved_s, rested_s : when the coach last said that the feet moved, that the golfer rested, seconds
    """
    spot, feet, bent = 0, None, None
    before: tuple[float, str] | None = None
    for at, place in putts:
        rested = before is None or at - before[0] > _GAP_S or before[0] <= rested_s < at
        elsewhere = before is None or place != before[1]
        moved = elsewhere or before is None or before[0] <= moved_s < at
        if rested:
            bent = at
        if moved or rested:
            feet = at
        spot = 1 if elsewhere or moved else spot + 1
        before = (at, place)
    if before is not None and moved_s >= before[0]:
        spot, feet = 0, None
    if before is not None and rested_s >= before[0]:
        bent, feet = None, None
    return Stand(spot, feet, bent)


@dataclass(frozen=True, slots=True)
class Nudge:
    """Something to do before the next putt: after how many minutes, or putts from one spot, it is due."""

    what: Literal["rest", "feet", "spot"]
    after: float


def nudges(it: Stand, now_s: float, pauses: Pauses) -> tuple[Nudge, ...]:
    """What is due: rest first, then the feet, then another spot."""
    found: list[Nudge] = []
    if it.bent_since_s is not None and now_s - it.bent_since_s >= pauses.rest_min * 60:
        found.append(Nudge("rest", pauses.rest_min))
    if it.feet_since_s is not None and now_s - it.feet_since_s >= pauses.feet_min * 60:
        found.append(Nudge("feet", pauses.feet_min))
    if it.spot >= pauses.spot_putts:
        found.append(Nudge("spot", it.spot))
    return tuple(found)
