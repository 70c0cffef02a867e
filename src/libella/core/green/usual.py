"""The lengths a golfer usually putts: what a bias costs there, beside what it costs on the putt as laid (handbook
5)."""

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Final

from ..estimate.cost import Mix
from ..measure.limits import Bounds, OutOfLimits
from ..measure.window import Window
from ..opinions.held import Opinion
from .capture import DISTANCE
from .putt import Putt

WEIGHT: Final = Bounds(0.1, 100.0, "")
MOST_LENGTHS: Final = 12


@dataclass(frozen=True, slots=True)
class UsualLength:
    """A length (m) and how often it is putted beside the others."""

    distance_m: float
    weight: float = 1.0


USUAL: Final = Opinion(
    "usual_putts",
    tuple(UsualLength(*it) for it in ((1.0, 3.0), (1.5, 3.0), (2.0, 3.0), (3.0, 2.0), (4.0, 2.0), (6.0, 1.0))),
    "",
)
"""What is usual for anybody: an opinion, editable for each golfer."""


def checked_lengths(lengths: Sequence[UsualLength]) -> tuple[UsualLength, ...]:
    """The lengths from the shortest on, or `OutOfLimits` for what can't be one of them."""
    if not 1 <= len(lengths) <= MOST_LENGTHS:
        raise OutOfLimits("usual_lengths", "lengths_count", most=MOST_LENGTHS, told=len(lengths))
    for n, it in enumerate(lengths):
        DISTANCE.check(f"usual_lengths.{n}.distance_m", "usual_length_m", it.distance_m)
        WEIGHT.check(f"usual_lengths.{n}.weight", "usual_weight", it.weight)
        if any(math.isclose(it.distance_m, other.distance_m) for other in lengths[:n]):
            raise OutOfLimits(f"usual_lengths.{n}.distance_m", "length_twice", "m")
    return tuple(sorted(lengths, key=lambda it: it.distance_m))


def level_window(putt: Putt, distance_m: float) -> Window:
    """What the hole allows at another length: level, on this green, at this pace."""
    return replace(
        putt, distance_m=distance_m, falls_forward_percent=0.0, falls_right_percent=0.0, read=None, target="computed"
    ).window


def usual_mix(putt: Putt, usual: Sequence[UsualLength]) -> Mix:
    """The windows of the usual lengths, level, on this green at this pace."""
    return Mix(tuple(level_window(putt, it.distance_m) for it in usual), tuple(it.weight for it in usual))
