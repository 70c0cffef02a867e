"""The vial: the one way a result is shown. Numbers only; whoever draws decides the ink."""

from collections.abc import Sequence
from dataclasses import dataclass

from ..measure.interval import Interval
from ..measure.window import Window
from .estimate import Estimate

REACH_IN_MARKS = 2.5
"""Every vial reaches so many times as far as its marks, so that one glance compares any two."""


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


@dataclass(frozen=True, slots=True)
class Bubble:
    """What the bubble shows: where the bias lies, and how far single readings spread about it."""

    bias: Estimate
    spread: Estimate


def vial(
    readings: Sequence[Interval], bubble: Bubble | None, window: Window, *, settled: bool, unit: str = "deg"
) -> Vial:
    """The vial of a run of readings, oldest first; `settled` when its verdict is given.

    `window`: where its marks stand, in the vial's unit. Where the start target is not the line that holes the putt the
    marks lie to one side, and the tube reaches past them all the same.
    """
    bias, film = (bubble.bias, bubble.spread.value) if bubble else (None, 0.0)
    widest = max(abs(window.left_deg), abs(window.right_deg))
    return Vial(
        unit=unit,
        reach=max(REACH_IN_MARKS * widest, -1.2 * window.low_deg, 1.2 * window.high_deg),
        mark_left=window.low_deg,
        mark_right=window.high_deg,
        bubble_at=bias.value if bias else None,
        bubble_low=bias.low if bias else None,
        bubble_high=bias.high if bias else None,
        film_low=bias.value - film if bias else None,
        film_high=bias.value + film if bias else None,
        ticks=tuple(Tick(it.low_or_none, it.high_or_none, it.anchor) for it in readings),
        settled=settled,
    )
