"""What rails along the stroke share: where in the stroke the head left its even gap, and to which side."""

import math
from abc import abstractmethod
from collections.abc import Mapping
from dataclasses import dataclass
from typing import ClassVar

from ..measure.interval import Interval
from ..measure.units import Units
from .aid import Aid, Raw, Zone, choice, dimension

_WIDE_MM = 120.0


@dataclass(frozen=True)
class GuideRail(Aid):
    """The head off its way by the gap or more, towards the golfer (+) or away (−), mm, on the way back or through."""

    gap_m: float = dimension(
        "Even gap", low=0.002, high=0.04, default=0.008, step=0.001, hint="Between the head and the rail, set down."
    )
    head_m: float = dimension(
        "Head, heel to toe", low=0.06, high=0.18, default=0.11, step=0.001, hint="Measure this golfer's putter."
    )
    back_m: float = dimension(
        "Rail behind the ball", low=0.05, high=0.8, default=0.35, step=0.05, hint="From the ball's centre."
    )
    through_m: float = dimension(
        "Rail beyond the ball", low=0.05, high=0.8, default=0.35, step=0.05, hint="From the ball's centre."
    )

    _seen: ClassVar[Mapping[str, tuple[int, str, str]]]
    """Readings by name: side of the head's way (+1 inside), part of the stroke, what is said."""

    def interval(self, raw: Raw) -> Interval:
        side, _, _ = self._seen[choice(raw, "rail", tuple(self._seen))]
        gap = self.gap_m * 1000
        if side == 0:
            return Interval(-gap, gap)
        return Interval(gap, math.inf) if side > 0 else Interval(-math.inf, -gap)

    def words(self, raw: Raw, units: Units = "metric") -> str:
        return self._seen[str(raw["rail"])][2]

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        edge = -_WIDE_MM * len(self._seen) / 2
        return tuple(
            Zone(
                said,
                {"rail": name},
                self.interval({"rail": name}),
                str(n + 1),
                (edge + n * _WIDE_MM, edge + (n + 1) * _WIDE_MM),
                where,
            )
            for n, (name, (_, where, said)) in enumerate(self._seen.items())
        )

    @property
    @abstractmethod
    def _far_y_m(self) -> float:
        """Where the rail beyond the toe lies beside the ball, right of the line for a right-handed golfer, m."""
