"""A small table of facts behind a judgement: codes and figures; its words are found in `words.judge.tables`."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from ..certainty.estimate import Estimate
from ..certainty.vial import Vial


@dataclass(frozen=True, slots=True)
class Count:
    """How many."""

    n: int


@dataclass(frozen=True, slots=True)
class Angles:
    """Angles in degrees, right positive, without what is not known of them."""

    values: Sequence[float]


@dataclass(frozen=True, slots=True)
class Bias:
    """An angle in degrees, right positive, with its interval."""

    it: Estimate


@dataclass(frozen=True, slots=True)
class Spread:
    """A spread in degrees, with its interval where that is told."""

    value: float
    doubt: float | None = None


@dataclass(frozen=True, slots=True)
class Chance:
    """A probability."""

    it: float


@dataclass(frozen=True, slots=True)
class Share:
    """A share between 0 and 1 with its interval."""

    it: Estimate


SizeUnit = Literal["m", "deg", "%"]


@dataclass(frozen=True, slots=True)
class Size:
    """What was read off, in `unit`; `scatter` is one standard deviation of it, which has no side."""

    value: float
    unit: SizeUnit
    scatter: bool = False


@dataclass(frozen=True, slots=True)
class Code:
    """Something that is told in words: "too_few", "at_set_down", "" for nothing."""

    code: str


@dataclass(frozen=True, slots=True)
class PathOff:
    """The path against what was declared: degrees, in to out positive; None of it declared is right positive."""

    off_deg: float
    declared: bool


Cell = Count | Angles | Bias | Spread | Chance | Share | Size | Code | PathOff
NOTHING = Code("")
TOO_FEW = Code("too_few")


@dataclass(frozen=True, slots=True)
class RowFacts:
    """A line of a table: what it is about, its figures by column, and the vial where it is an angle.

    `of` is a code; `said` a name a person gave, in its place; `length_m` a length, in its place.
    """

    of: str
    cells: tuple[Cell, ...]
    vial: Vial | None = None
    said: str = ""
    length_m: float | None = None


@dataclass(frozen=True, slots=True)
class TableFacts:
    """A table: what it shows, by code, its columns and rows, and what it comes to, which is a value of its own kind."""

    of: str
    columns: tuple[str, ...]
    rows: tuple[RowFacts, ...]
    found: object
