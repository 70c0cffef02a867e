"""What an entry may be, and the error that says so."""

import math
from dataclasses import dataclass


class OutOfLimits(ValueError):
    """An entry that cannot be used: names the field, the limit and the unit.

    Attributes
    ----------
    field : name of the entry as the caller knows it
    limit : the limit broken, in words with its unit
    unit : the unit of the entry ("m", "deg", "ft", "" for a choice)
    """

    def __init__(self, field: str, message: str, *, limit: str, unit: str) -> None:
        super().__init__(message)
        self.field = field
        self.message = message
        self.limit = limit
        self.unit = unit


@dataclass(frozen=True, slots=True)
class Bounds:
    """Lowest and highest value of an entry, both allowed, in `unit`."""

    low: float
    high: float
    unit: str

    def check(self, field: str, label: str, value: float) -> float:
        """Return the value, or raise `OutOfLimits` when it is not a finite number inside the bounds."""
        if not math.isfinite(value) or not self.low <= value <= self.high:
            said = self._said(value) if math.isfinite(value) else "not a number"
            limit = f"{self._said(self.low)} to {self._said(self.high)}"
            raise OutOfLimits(field, f"{label} is {said}; it must be {limit}.", limit=limit, unit=self.unit)
        return value

    def _said(self, value: float) -> str:
        # Small lengths are laid out and read in millimetres.
        if self.unit == "m" and abs(value) < 1:
            return f"{value * 1000:.4g} mm"
        return f"{value:g} {self.unit}".strip()
