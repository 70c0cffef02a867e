"""What kind a claim is: what its readings can show, and so what may be said of it (account 1). The first that matches;
nobody else decides it, and its word follows from it."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from ..certainty.verdict import NOT_WEIGHED, Verdict, weigh
from ..measure.interval import Interval
from ..measure.side import Side
from ..measure.window import Window
from .beyond import Beyond, beyond_of, is_wide
from .shares import more_often

_EACH_SIDE: Final = 3
_OF_THE_WINDOW: Final = 0.5
_MOST: Final = 0.8
"""A zone that holds so many of the readings, wider than that share of the window, can't say it finer."""


@dataclass(frozen=True, slots=True)
class Sided:
    """Told as sides, in words: so many each way, and beyond what their words call the middle. It has no middle and no
    size; never nothing to mend.

    `edge`: how far what their words call the middle reaches, an opinion; `more`: the chances that more than half of all
    lie right of it, and left of it.
    """

    right: int
    left: int
    neither: int
    edge: float
    more: tuple[float, float]

    @property
    def side(self) -> Side:
        """The commoner side; neither where the middle is as common."""
        if max(self.right, self.left) < max(self.neither, 1):
            return "neither"
        return "neither" if self.right == self.left else "right" if self.right > self.left else "left"

    def call(self, own: float = 1.0, *, can_be_clear: bool = True) -> Verdict:
        """How sure it is that more than half lie to a side; `own`: as much of it as is the golfer's."""
        right, left = self.more
        return weigh(own * right, own * left, 0.0, can_be_clear=can_be_clear)


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
    times: int


@dataclass(frozen=True, slots=True)
class Sized:
    """Everything that has a side, a size, an interval and a spread."""


Kind = Sided | Split | Bounded | Within | Sized
SIZED: Final = Sized()


def kind_of(readings: Sequence[Interval], window: Window, against: float = 0.0) -> Kind:
    """The kind of readings of a quantity that are weighed in a window, degrees or the quantity's unit.

    `against`: what sides told in words are about: a path declared.
    """
    if 2 * sum(it.said for it in readings) > len(readings):
        return _sided(readings, against)
    ways = [open_to(it, window) for it in readings]
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
            return Within(reach, reach <= window.half_deg, holds)
    return SIZED


def allowed(call: Verdict, kind: Kind, own: float = 1.0, *, can_be_clear: bool = True) -> Verdict:
    """The word as far as its readings can show it; `own`, `can_be_clear`: of the line, where they were read against
    one."""
    match kind:
        case Sided():
            return kind.call(own, can_be_clear=can_be_clear)
        case Split():
            return NOT_WEIGHED
        case Bounded() | Within(inside=False) if call.word == "none":
            return NOT_WEIGHED
        case _:
            return call


def has_middle(kind: Kind) -> bool:
    """Whether a middle may be drawn: of what is open to a side nobody knows where it lies."""
    return isinstance(kind, Sized | Within)


def beyond_in(kind: Kind) -> Beyond | None:
    """Where its readings tell one side: which, at least how far, how often. Of words the commoner side."""
    match kind:
        case Bounded(beyond):
            return beyond
        case Sided() if kind.side != "neither":
            right = kind.side == "right"
            return Beyond(kind.side, kind.edge if right else -kind.edge, kind.right if right else kind.left)
        case _:
            return None


def _sided(readings: Sequence[Interval], against: float) -> Sided:
    right = [it for it in readings if it.low >= against]
    left = [it for it in readings if it.high <= against]
    reach = [abs(end - against) for it in readings for end in (it.low, it.high) if it.said and math.isfinite(end)]
    whole = sum(it.weight for it in readings)
    rightward, leftward = sum(it.weight for it in right), sum(it.weight for it in left)
    more = more_often(rightward, whole - rightward)[0], more_often(leftward, whole - leftward)[0]
    return Sided(len(right), len(left), len(readings) - len(right) - len(left), min(reach), more)


def pooled_sides(some: Sequence[Sided]) -> Sided:
    """Sides told in several runs, together."""
    right, left, neither = (sum(getattr(it, name) for it in some) for name in ("right", "left", "neither"))
    of = right + left + neither
    more = more_often(right, of - right)[0], more_often(left, of - left)[0]
    return Sided(right, left, neither, min(it.edge for it in some), more)


def open_to(it: Interval, window: Window) -> Side:
    """To which side a reading is open: it lies there, and has no far edge, or one too far to say how far."""
    if not (math.isinf(it.low) or math.isinf(it.high) or is_wide(it, window)):
        return "neither"
    return "right" if it.low >= 0 else "left" if it.high <= 0 else "neither"


def _edge(it: Interval) -> float:
    return it.low if it.low >= 0 else -it.high
