"""Readings that are open to one side, or lie in one zone too wide to say how far: they tell a side and at least how far
(handbook 5, one-sided readings)."""

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Final

from ..measure.interval import Interval
from ..measure.side import Side
from ..measure.window import Window
from ..opinions.held import Opinion

_WIDE: Final = Opinion("zone_too_wide", 1.0, "times")
"""A zone wider than this share of the window can't say how far: an opinion of the handbook's."""
_OPEN_SHARE: Final = 0.5


@dataclass(frozen=True, slots=True)
class Beyond:
    """Readings that are open to one side: so many lie at `edge` or beyond; how far, none of them says."""

    side: Side
    edge: float
    times: int


def is_wide(it: Interval, window: Window) -> bool:
    """A reading too wide to say how far."""
    return it.high - it.low > _WIDE() * 2 * window.half_deg


def beyond_of(readings: Sequence[Interval], window: Window) -> Beyond | None:
    """Whether at least half of the readings are open to one side, or lie in a zone there too wide to say how far."""
    wide = _WIDE() * 2 * window.half_deg

    sides: tuple[tuple[Side, Callable[[Interval], tuple[float, float]]], ...] = (
        ("right", lambda it: (it.low, it.high)),
        ("left", lambda it: (-it.high, -it.low)),
    )
    for side, ends in sides:
        far = [it for one in readings if (it := ends(one))[0] >= 0]
        if len(far) < _OPEN_SHARE * len(readings):
            continue
        edges = [low for low, high in far if math.isinf(high) or high - low > wide]
        # Something that reads finer on that side says how far, as well as it can.
        finer = any(low > 0 and not (math.isinf(high) or high - low > wide) for low, high in far)
        if edges and len(edges) >= _OPEN_SHARE * len(readings) and not finer:
            edge = min(edges)
            return Beyond(side, edge if side == "right" else -edge, len(edges))
    return None
