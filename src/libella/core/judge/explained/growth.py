"""Why the side by distance says what it says: each length, the line through them, from where it matters."""

from dataclasses import dataclass

import numpy as np

from ...certainty.matter import MATTERS
from ...estimate.cost import limits_at
from ..claims.growth import Growth
from ..claims.level import Weighing
from ..ledger.entry import Ledger
from .readings import LeftOut, left_out


@dataclass(frozen=True, slots=True)
class GrowthExplained:
    """The side by distance, opened: start = a + b·length.

    Attributes
    ----------
    a, b : medians, degrees and degrees a metre
    far_deg, near_deg : from which difference of the shortest and the longest on it matters, and under which it does not
    """

    growth: Growth
    a: float
    b: float
    far_deg: float
    near_deg: float
    left_out: tuple[LeftOut, ...]


def growth_explained(ledger: Ledger, it: Growth, by: Weighing) -> GrowthExplained:
    """Open the side by distance."""
    a, b = (float(one) for one in np.median(it.line, axis=0))
    far, near = limits_at(MATTERS()["growth"], by.spread_deg, by.mix)
    return GrowthExplained(it, a, b, far, near, left_out(ledger, "start", ledger.main("start")))
