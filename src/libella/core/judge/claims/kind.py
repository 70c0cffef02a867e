"""What kind a claim about a level is: what its readings can show, and so what may be said of it (account 1). The first
that matches; nobody else decides it."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from ...estimate.beyond import Beyond, beyond_of, is_wide
from ...measure.interval import Interval
from ...measure.side import Side
from ...measure.window import Window

_EACH_SIDE: Final = 3
_OF_THE_WINDOW: Final = 0.5
_MOST: Final = 0.8
"""A zone that holds so many of the readings, wider than that share of the window, can't say it finer."""


@dataclass(frozen=True, slots=True)
class Split:
    """Open to both sides: so many each way, each by at least so much. It has no middle; never nothing to mend."""

    left: int
    right: int
    edge: float


@dataclass(frozen=True, slots=True)
class Bounded:
    """Open to one side: at least so far. It has no middle and no upper end, and is never nothing to mend."""

    beyond: Beyond


@dataclass(frozen=True, slots=True)
class Within:
    """In one closed zone about the line that says no more: nothing to mend only where all of it lies in the window."""

    reach: float
    inside: bool


@dataclass(frozen=True, slots=True)
class Sized:
    """Everything that has a side, a size, an interval and a spread."""


Kind = Split | Bounded | Within | Sized
SIZED: Final = Sized()


def kind_of(readings: Sequence[Interval], window: Window) -> Kind:
    """The kind of readings of a quantity that are weighed in a window, degrees or the quantity's unit."""
    ways = [_open_to(it, window) for it in readings]
    left, right = ways.count("left"), ways.count("right")
    if min(left, right) >= _EACH_SIDE and 2 * (left + right) > len(readings):
        edges = [_edge(it) for it, way in zip(readings, ways, strict=True) if way != "neither"]
        return Split(left, right, min(edges))
    beyond = beyond_of(readings, window)
    if beyond is not None:
        return Bounded(beyond)
    zones = [it for it in readings if 0 in it and math.isfinite(it.low) and math.isfinite(it.high)]
    for zone in {(it.low, it.high) for it in zones}:
        holds = sum((it.low, it.high) == zone for it in zones)
        if holds >= _MOST * len(readings) and zone[1] - zone[0] > _OF_THE_WINDOW * 2 * window.half_deg:
            reach = max(-zone[0], zone[1])
            return Within(reach, inside=reach <= window.half_deg)
    return SIZED


def _open_to(it: Interval, window: Window) -> Side:
    """To which side a reading is open: it lies there, and has no far edge, or one too far to say how far."""
    if not (math.isinf(it.low) or math.isinf(it.high) or is_wide(it, window)):
        return "neither"
    return "right" if it.low >= 0 else "left" if it.high <= 0 else "neither"


def _edge(it: Interval) -> float:
    return it.low if it.low >= 0 else -it.high
