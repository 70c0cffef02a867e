"""What rods on the body share: an end's offset over the rod's length is the body line's angle."""

import math
from dataclasses import dataclass
from typing import ClassVar

from ..measure.units import Units
from .aid import Raw, dimension
from .scale import Scale


@dataclass(frozen=True)
class BodyRod(Scale):
    """The end towards the hole stands y right of where a parallel rod's would: θ = asin(y/ℓ)."""

    length_m: float = dimension(
        "Rod length", low=0.3, high=2.0, default=1.0, step=0.05, hint="Between the ends you tape at."
    )
    half_width_m: float = dimension(
        "Most offset read", low=0.02, high=0.25, default=0.15, step=0.01, hint="Beyond it is read as more."
    )
    mark_m: float = dimension(
        "Smallest step", low=0.002, high=0.05, default=0.01, step=0.001, hint="The spacing you really read to."
    )

    _zero_words: ClassVar[str] = "parallel"

    def _value(self, offset_m: float) -> float:
        return math.degrees(math.asin(max(-1.0, min(1.0, offset_m / self.length_m))))

    def words(self, raw: Raw, units: Units = "metric") -> str:
        said = super().words(raw, units)
        return said if "beyond" in raw or raw["offset_m"] == 0 else f"far end {said}"
