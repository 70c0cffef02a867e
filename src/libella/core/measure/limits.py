"""What an entry may be, and the error that says so: a code and facts, which `words.refusals` puts in words."""

import math
from dataclasses import dataclass
from typing import TypeAlias


@dataclass(frozen=True, slots=True)
class Size:
    """A measured length among facts, m: told as it was measured, not as it is laid out."""

    m: float


Fact: TypeAlias = "str | int | float | tuple[str, ...] | Size | Bounds | OutOfLimits"


class OutOfLimits(ValueError):
    """An entry that cannot be used: names the field, what is wrong with it, and the unit.

    Attributes
    ----------
    field : name of the entry as the caller knows it
    code : what is wrong, as `words.refusals` knows it
    unit : the unit of the entry ("m", "deg", "ft", "" for a choice)
    facts : what is told with it; names of lengths end in `_m`, of angles in `_deg`
    """

    def __init__(self, field: str, code: str, unit: str = "", **facts: Fact) -> None:
        super().__init__(f"{field}: {code}")
        self.field, self.code, self.unit, self.facts = field, code, unit, facts

    def at(self, field: str) -> "OutOfLimits":
        """The same of an entry as somebody else names it."""
        return OutOfLimits(field, self.code, self.unit, **self.facts)


@dataclass(frozen=True, slots=True)
class Bounds:
    """Lowest and highest value of an entry, both allowed, in `unit`."""

    low: float
    high: float
    unit: str

    def check(self, field: str, of: str, value: float) -> float:
        """Return the value, or raise `OutOfLimits` when it is not a finite number inside the bounds.

        `of`: which entry it is, as `words.refusals` knows it; of an instrument or a note, its own label.
        """
        if not math.isfinite(value) or not self.low <= value <= self.high:
            raise OutOfLimits(field, "out_of_bounds", self.unit, of=of, value=value, bounds=self)
        return value
