"""A number with what is not known of it."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Final

import numpy as np
from numpy.typing import NDArray

from .verdict import NINETY

INTERVAL: Final = (0.05, 0.95)
"""The quantiles at the ends of every interval that is told."""


@dataclass(frozen=True, slots=True)
class Estimate:
    """A posterior value (median for a quantity, mean for a chance) and its 90 % interval."""

    value: float
    low: float
    high: float

    @property
    def doubt(self) -> float:
        """Half the width of the 90 % interval."""
        return (self.high - self.low) / 2

    @property
    def is_one_side(self) -> bool:
        """True where the whole interval lies on one side of 0."""
        return self.low * self.high > 0

    @property
    def sd(self) -> float:
        """The standard deviation a normal with that interval would have."""
        return self.doubt / NINETY


def estimated(quantile: Callable[[float], float]) -> Estimate:
    """The median and the 90 % interval of what has these quantiles."""
    return Estimate(quantile(0.5), *(quantile(it) for it in INTERVAL))


def told_by(draws: NDArray[np.float64]) -> Estimate:
    """The median of what was drawn, and its 90 % interval."""
    return estimated(lambda share: float(np.quantile(draws, share)))


def normal(middle: float, sd: float) -> Estimate:
    """A normal quantity told by its middle and its 90 % interval."""
    return Estimate(middle, middle - NINETY * sd, middle + NINETY * sd)


def around(middle: float, doubt: float) -> Estimate:
    """The same from half the width of its interval."""
    return Estimate(middle, middle - doubt, middle + doubt)
