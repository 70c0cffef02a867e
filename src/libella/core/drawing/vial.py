"""The vial: the one way a result is shown. Numbers only; whoever draws decides the ink."""

from collections.abc import Sequence
from dataclasses import dataclass

from ..estimate.summary import Summary
from ..green.capture import Window
from ..interval import Interval

REACH_IN_MARKS = 2.5
"""Every vial reaches so many times as far as its marks, so that one glance compares any two."""


def reach(*marks: float) -> float:
    """How far a vial with these marks reaches either side, in their unit."""
    return REACH_IN_MARKS * max(abs(it) for it in marks)


@dataclass(frozen=True, slots=True)
class Tick:
    """One putt under the tube: its limits (None where open) and where its tick stands."""

    low: float | None
    high: float | None
    at: float


@dataclass(frozen=True, slots=True)
class Vial:
    """A tube from −reach to +reach in `unit`, right positive.

    The fixed marks stand at the window and at the same share of the tube, so that one glance compares any two vials;
    only where the start target is not the line that holes the putt do they move aside. The bubble sits at the bias, as
    wide as its 90 % interval; the film spans one spread either side of it.
    """

    unit: str
    reach: float
    mark_left: float
    mark_right: float
    bubble_at: float | None
    bubble_low: float | None
    bubble_high: float | None
    film_low: float | None
    film_high: float | None
    ticks: tuple[Tick, ...]
    settled: bool


def vial(readings: Sequence[Interval], summary: Summary | None, window: Window, *, settled: bool) -> Vial:
    """The vial of a block of start errors, oldest reading first; `settled` when its verdict is given."""
    ticks = tuple(Tick(it.low_or_none, it.high_or_none, it.anchor) for it in readings)
    bias = summary.bias if summary else None
    film = summary.spread.value if summary else 0.0
    return Vial(
        unit="deg",
        reach=max(reach(window.left_deg, window.right_deg), -1.2 * window.low_deg, 1.2 * window.high_deg),
        mark_left=window.low_deg,
        mark_right=window.high_deg,
        bubble_at=bias.value if bias else None,
        bubble_low=bias.low if bias else None,
        bubble_high=bias.high if bias else None,
        film_low=bias.value - film if bias else None,
        film_high=bias.value + film if bias else None,
        ticks=ticks,
        settled=settled,
    )
