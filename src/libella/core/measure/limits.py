"""What an entry may be, and the error that says so."""

import math
from dataclasses import dataclass
from typing import Final

from .constants import FOOT_M, INCH_M
from .units import Units

_LAID_BY_HAND_M: Final = 0.6


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

    def said_in(self, units: Units) -> "OutOfLimits":
        """The same in the reader's units, where it is of a size with bounds."""
        return self


class OutOfBounds(OutOfLimits):
    """A number beyond its bounds."""

    def __init__(self, field: str, label: str, value: float, bounds: "Bounds", units: Units = "metric") -> None:
        low, high, said = (bounds.said(it, units) for it in (bounds.low, bounds.high, value))
        limit = f"{low} to {high}"
        shown = said if math.isfinite(value) else "not a number"
        super().__init__(field, f"{label} is {shown}; it must be {limit}.", limit=limit, unit=bounds.unit)
        self._told = label, value, bounds

    def said_in(self, units: Units) -> OutOfLimits:
        label, value, bounds = self._told
        return OutOfBounds(self.field, label, value, bounds, units)


@dataclass(frozen=True, slots=True)
class Bounds:
    """Lowest and highest value of an entry, both allowed, in `unit`."""

    low: float
    high: float
    unit: str

    def check(self, field: str, label: str, value: float) -> float:
        """Return the value, or raise `OutOfLimits` when it is not a finite number inside the bounds."""
        if not math.isfinite(value) or not self.low <= value <= self.high:
            raise OutOfBounds(field, label, value, self)
        return value

    def said(self, value: float, units: Units) -> str:
        """A value in words, in the reader's units."""
        if self.unit == "m" and units == "feet":
            # What may be long is told in feet, what is laid out by hand in inches.
            feet = max(abs(self.low), abs(self.high)) > _LAID_BY_HAND_M
            return f"{value / FOOT_M:.4g} ft" if feet else f"{value / INCH_M:.4g} in"
        # Small lengths are laid out and read in millimetres.
        if self.unit == "m" and abs(value) < 1:
            return f"{value * 1000:.4g} mm"
        return f"{value:g} {self.unit}".strip()
