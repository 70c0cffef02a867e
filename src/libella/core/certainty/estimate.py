"""A number with what is not known of it."""

from collections.abc import Callable
from dataclasses import dataclass

from .verdict import NINETY


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
    def sd(self) -> float:
        """The standard deviation a normal with that interval would have."""
        return self.doubt / NINETY


def estimated(quantile: Callable[[float], float]) -> Estimate:
    """The median and the 90 % interval of what has these quantiles."""
    return Estimate(quantile(0.5), quantile(0.05), quantile(0.95))
