"""Instruments that read an angle on a ruler, and whether its marks are fine enough for the putt."""

import math
from dataclasses import dataclass, replace
from typing import ClassVar

from ..green.putt import Putt
from ..measure.units import Units
from .rig import Event, Remedy, Rig, Sight
from .scale import INCH_MARKS_M, MOST_MARKS, Scale

_COARSE_SHARE = 1 / 3
_MARKS_M = (0.02, 0.01, 0.005, 0.002, 0.001)


@dataclass(frozen=True)
class Ruled(Scale, Rig):
    """A ruler whose marks stand for degrees."""

    _event: ClassVar[Event] = "putt"

    def sight(self, putt: Putt, spread_deg: float, units: Units = "metric") -> Sight:
        half = (self._value(self.mark_m / 2) - self._value(-self.mark_m / 2)) / 2
        reach = (self._value(self._reach_m) - self._value(-self._reach_m)) / 2
        seen = Sight("marks", half, putt.window.narrow_deg, "good", reach_deg=reach, event=self._event)
        if seen.share > _COARSE_SHARE:
            return replace(seen, fit="coarse", remedies=self._finer(putt, units))
        wanted = 2 * spread_deg
        if reach < wanted:
            wide = math.ceil(self.half_width_m * wanted / reach / 0.01 + 0.1) * 0.01
            most = next(it.high for it in self.dimensions() if it.name == "half_width_m")
            remedies = (Remedy("half_width_m", wide, "ruler_wide"),) if wide <= most else ()
            return replace(seen, fit="short", remedies=remedies)
        return seen

    def _finer(self, putt: Putt, units: Units) -> tuple[Remedy, ...]:
        third = putt.window.narrow_deg * _COARSE_SHARE
        marks = _MARKS_M if units == "metric" else INCH_MARKS_M
        fits = (m for m in marks if self._value(m / 2) - self._value(0) <= third)
        readable = [m for m in fits if self.half_width_m / m <= MOST_MARKS]
        return (Remedy("mark_m", readable[0], "read_to"),) if readable else ()
