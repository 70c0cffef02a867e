"""Putts rolled one by one to a level hole, and what a coach notes of them: the start on a ruler, where each ended."""

from dataclasses import dataclass

import numpy as np

from libella.core.course.chance import Green, admitted_m
from libella.core.green.capture import longest_past
from libella.core.judge.ledger.entry import Event
from libella.core.judge.ledger.putt import size_m
from libella.core.measure.interval import Interval

GREEN = Green(10.0)
_START_DEG = 0.15


@dataclass(frozen=True)
class Rolled:
    """A putt as it truly went: where it started, degrees; how far past the hole it ran or would have, m; whether it
    fell."""

    start_deg: float
    past_m: float
    fell: bool


def rolled(rng: np.random.Generator, n: int, length_m: float, start: tuple[float, float], past: tuple[float, float]):
    """So many putts; `start`, `past`: the golfer's mean and spread of each."""
    starts, pasts = rng.normal(*start, n), rng.normal(*past, n)
    beside = np.abs(length_m * np.sin(np.radians(starts)))
    admitted = admitted_m(pasts, GREEN)
    return [
        Rolled(float(at), float(far), bool(admit > 0 and off <= admit))
        for at, far, off, admit in zip(starts, pasts, beside, admitted, strict=True)
    ]


def noted(putts: list[Rolled]) -> tuple[Event, ...]:
    """As a coach notes them, to a tenth of a metre; a holed ball says what its hole takes."""
    return tuple(_noted(it, f"p{n}") for n, it in enumerate(putts))


def _noted(it: Rolled, id: str) -> Event:
    start = Interval(it.start_deg - _START_DEG, it.start_deg + _START_DEG)
    if it.fell:
        longest = longest_past(GREEN.speed_ft, GREEN.capture)
        return Event(
            id,
            {"start": start, "holed": "holed", "stopped": "holed"},
            implied={"roll_past": Interval(0.0, longest)},
        )
    kind = "short" if it.past_m < 0 else "past"
    side = "left" if it.start_deg < 0 else "right"
    told = {"holed": "missed", "stopped": kind, "missed_side": side, "roll_past": size_m(round(it.past_m, 1))}
    return Event(id, {"start": start, **told})
