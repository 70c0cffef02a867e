"""What a reading says: the quantity lies between two limits."""

import math
from dataclasses import dataclass

from .side import Side, side_of


@dataclass(frozen=True, slots=True)
class Interval:
    """Limits of one reading, in the unit of what is measured; an end is ±inf when the instrument only says "beyond".

    `low == high` is a density: a value whose instrument states no resolution.
    `weight`: as much of a whole reading it counts; see `flag.weight_of`. `said`: told in words as a side or the middle,
    its edges are opinions: it tells where it lies, and no size.
    """

    low: float
    high: float
    weight: float = 1.0
    said: bool = False

    def __post_init__(self) -> None:
        if math.isnan(self.low) or math.isnan(self.high) or self.low > self.high:
            raise ValueError(f"not an interval: {self.low} to {self.high}")

    @classmethod
    def of(cls, low: float | None, high: float | None, weight: float = 1.0) -> "Interval":
        """From stored ends, where None is an open end."""
        return cls(-math.inf if low is None else low, math.inf if high is None else high, weight)

    @property
    def low_or_none(self) -> float | None:
        return self.low if math.isfinite(self.low) else None

    @property
    def high_or_none(self) -> float | None:
        return self.high if math.isfinite(self.high) else None

    @property
    def anchor(self) -> float:
        """Where to draw the reading: the middle, or the closed end of an open interval (0 when both are open)."""
        if math.isinf(self.low):
            return 0.0 if math.isinf(self.high) else self.high
        return self.low if math.isinf(self.high) else (self.low + self.high) / 2

    @property
    def side(self) -> Side:
        """The side the reading lies on; one that may lie on the line has none."""
        return "neither" if 0 in self else side_of(self.anchor)

    def shifted(self, by: float) -> "Interval":
        """The same reading with something added to its quantity."""
        return Interval(self.low + by, self.high + by, self.weight, self.said)

    def weighing(self, weight: float) -> "Interval":
        """The same reading, counting as much of a whole one."""
        return Interval(self.low, self.high, weight, self.said)

    def __contains__(self, value: float) -> bool:
        return self.low <= value <= self.high
