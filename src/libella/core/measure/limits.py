"""What an entry may be, and the error that says so."""

import math
from collections.abc import Callable
from dataclasses import dataclass

from .units import Units, tape

Said = str | Callable[[Units], str]


class OutOfLimits(ValueError):
    """An entry that cannot be used: names the field, the limit and the unit.

    Attributes
    ----------
    field : name of the entry as the caller knows it
    limit : the limit broken, in words with its unit
    unit : the unit of the entry ("m", "deg", "ft", "" for a choice)

    Message and limit are told by the units where a length stands in them.
    """

    def __init__(self, field: str, message: Said, *, limit: Said, unit: str, units: Units = "metric") -> None:
        self._told = message, limit
        self.message, self.limit = (it if isinstance(it, str) else it(units) for it in (message, limit))
        super().__init__(self.message)
        self.field = field
        self.unit = unit

    def said_in(self, units: Units) -> "OutOfLimits":
        """The same in the reader's units."""
        message, limit = self._told
        return OutOfLimits(self.field, message, limit=limit, unit=self.unit, units=units)


class OutOfBounds(OutOfLimits):
    """A number beyond its bounds."""

    def __init__(self, field: str, label: str, value: float, bounds: "Bounds", units: Units = "metric") -> None:
        def limit(units: Units) -> str:
            return f"{bounds.said(bounds.low, units)} to {bounds.said(bounds.high, units)}"

        def message(units: Units) -> str:
            shown = bounds.said(value, units) if math.isfinite(value) else "not a number"
            return f"{label} is {shown}; it must be {limit(units)}."

        super().__init__(field, message, limit=limit, unit=bounds.unit, units=units)


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
            return f"{'−' if value < 0 else ''}{tape(abs(value), units)}" if math.isfinite(value) else "not a number"
        # Small lengths are laid out and read in millimetres.
        if self.unit == "m" and abs(value) < 1:
            return f"{value * 1000:.4g} mm"
        return f"{value:g} {self.unit}".strip()
