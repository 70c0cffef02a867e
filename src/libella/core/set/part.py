"""One thing whose sizes were written down, as it is put right afterwards."""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

PartOf = Literal["putt", "instrument", "look"]


@dataclass(frozen=True, slots=True)
class Part:
    """The putt itself, an instrument, or what looks were taken with.

    Attributes
    ----------
    of : which of these
    kind : which instrument, or which way of looking; empty of the putt
    sizes : each in the unit its name ends in
    """

    of: PartOf
    kind: str
    sizes: Mapping[str, float]
