"""Holed putts that may have started outside the window."""

import math
from collections.abc import Sequence
from typing import Final

from scipy.special import ndtr

from ...measure.interval import Interval
from ..ledger.entry import Batch
from .level import shared_of

_LEAST_DEG: Final = 1e-3


def fell_outside(batches: Sequence[Batch]) -> list[float]:
    """The chance that each holed putt started outside its window, given the reading's noise and what all readings of
    its block share. Putts whose start was not read are left out."""
    found: list[float] = []
    for batch in batches:
        if batch.putted is None or not batch.putted.hole or not batch.counts.get("start"):
            continue
        window = batch.putted.window
        doubt = max(math.hypot(batch.noise.get("start", 0.0), shared_of([batch], "start")), _LEAST_DEG)
        for event in batch.events:
            start = event.values.get("start")
            if event.values.get("holed") == "holed" and isinstance(start, Interval):
                by = max(start.low - window.high_deg, window.low_deg - start.high)
                found.append(float(ndtr(by / doubt)))
    return found
