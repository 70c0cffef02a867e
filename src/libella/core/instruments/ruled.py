"""What instruments read on a ruler share: marks left and right of a zero, each standing for an interval of angle."""

import math
from abc import abstractmethod
from dataclasses import dataclass
from typing import TYPE_CHECKING, ClassVar

from ..drawing.scene import Label, Line, Scene, Shape, box
from ..green.putt import Putt
from ..interval import Interval
from ..limits import OutOfLimits
from ..wording import Units, count, fine_degrees, tape
from .rig import Raw, Remedy, Rig, Sight, Zone, choice

_MOST_MARKS = 100
_COARSE_SHARE = 1 / 3
_MARKS_M = (0.02, 0.01, 0.005, 0.002, 0.001)
_ENDS = ("left", "right")


@dataclass(frozen=True)
class Ruled(Rig):
    """Raw reading: `offset_m`, the mark right of zero, or `beyond`, the end that was passed."""

    if TYPE_CHECKING:  # dimensions, declared by each instrument in its own laying order
        half_width_m: float
        mark_m: float

    _event: ClassVar[str] = "putt"
    _zero_words: ClassVar[str] = "on the line"

    @abstractmethod
    def _angle(self, offset_m: float) -> float:
        """The angle, degrees, that a place on the ruler stands for; grows from left to right."""

    def check(self) -> None:
        if self.half_width_m < self.mark_m:
            raise OutOfLimits(
                "half_width_m",
                "The ruler is narrower than one mark each side; widen it or read finer marks.",
                limit=f"at least {self.mark_m * 1000:g} mm",
                unit="m",
            )
        if self.half_width_m / self.mark_m > _MOST_MARKS + 0.5:
            raise OutOfLimits(
                "half_width_m",
                f"More than {_MOST_MARKS} marks each side cannot be read at a glance; "
                "use a narrower ruler or coarser marks.",
                limit=f"at most {self.mark_m * _MOST_MARKS * 1000:g} mm",
                unit="m",
            )

    @property
    def _marks(self) -> int:
        return math.floor(self.half_width_m / self.mark_m + 1e-9)

    @property
    def _reach_m(self) -> float:
        """How far off the line the last mark still reads, m."""
        return (self._marks + 0.5) * self.mark_m

    def interval(self, raw: Raw) -> Interval:
        if "beyond" in raw:
            left = choice(raw, "beyond", _ENDS) == "left"
            limit = self._angle(-self._reach_m if left else self._reach_m)
            return Interval(-math.inf, limit) if left else Interval(limit, math.inf)
        offset = raw.get("offset_m")
        if set(raw) != {"offset_m"} or isinstance(offset, str) or offset is None or not math.isfinite(offset):
            raise OutOfLimits(
                "raw.offset_m", f"{self.about.name} reads a mark of its ruler.", limit="a number", unit="m"
            )
        end = self._marks * self.mark_m
        if abs(offset) > end + 1e-8:
            raise OutOfLimits(
                "raw.offset_m",
                f"{offset * 1000:g} mm is beyond the ruler, which ends at {end * 1000:g} mm; record it as off the end.",
                limit=f"{-end * 1000:g} to {end * 1000:g} mm",
                unit="m",
            )
        half = self.mark_m / 2
        return Interval(self._angle(offset - half), self._angle(offset + half))

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        mark = self.mark_m * 1000
        end = self._reach_m * 1000
        pad = end * 0.16

        def at(n: int) -> Zone:
            raw: Raw = {"offset_m": round(n * self.mark_m, 9)}
            return Zone(
                self.words(raw, units),
                raw,
                self.interval(raw),
                "0" if n == 0 else None,
                ((n - 0.5) * mark, (n + 0.5) * mark),
            )

        def off(side: str) -> Zone:
            raw: Raw = {"beyond": side}
            span = (-end - pad, -end) if side == "left" else (end, end + pad)
            return Zone(self.words(raw, units), raw, self.interval(raw), "[" if side == "left" else "]", span)

        return (off("left"), *(at(n) for n in range(-self._marks, self._marks + 1)), off("right"))

    def words(self, raw: Raw, units: Units = "metric") -> str:
        if "beyond" in raw:
            return f"off the {raw['beyond']} end"
        offset = float(raw["offset_m"])
        return self._zero_words if offset == 0 else f"{tape(abs(offset), units)} {'right' if offset > 0 else 'left'}"

    def sight(self, putt: Putt, spread_deg: float, units: Units = "metric") -> Sight:
        half = (self._angle(self.mark_m / 2) - self._angle(-self.mark_m / 2)) / 2
        reach = (self._angle(self._reach_m) - self._angle(-self._reach_m)) / 2
        window = putt.window.narrow_deg
        share = half / window
        said = (
            f"Reads each {self._event} to ± {fine_degrees(half)}, out to {fine_degrees(reach)} either side. "
            f"The window is ± {fine_degrees(window)}."
        )
        if share > _COARSE_SHARE:
            words = f"{said} Too coarse: the marks should be under a third of the window."
            return Sight(half, share, "coarse", words, self._finer(putt, units))
        wanted = 2 * spread_deg
        if reach < wanted:
            wide = math.ceil(self.half_width_m * wanted / reach / 0.01 + 0.1) * 0.01
            most = next(it.high for it in self.dimensions() if it.name == "half_width_m")
            remedies = (Remedy("half_width_m", wide, f"Ruler {tape(wide, units)} each side"),) if wide <= most else ()
            words = f"{said} Too short: about one {self._event} in twenty would pass the end unread."
            return Sight(half, share, "short", words, remedies)
        return Sight(half, share, "good", f"{said} That will do.")

    def _finer(self, putt: Putt, units: Units) -> tuple[Remedy, ...]:
        third = putt.window.narrow_deg * _COARSE_SHARE
        fits = (m for m in _MARKS_M if self._angle(m / 2) - self._angle(0) <= third)
        readable = [m for m in fits if self.half_width_m / m <= _MOST_MARKS]
        return (Remedy("mark_m", readable[0], f"Read to {tape(readable[0], units)}"),) if readable else ()

    def picture(self, units: Units = "metric") -> Scene:
        end = self._reach_m * 1000
        mark = self.mark_m * 1000
        pad = end * 0.16
        tall = (end + pad) * 0.3
        shapes: list[Shape] = [box(-end, -tall, end, 0, "board")]
        every = next(n for n in (1, 2, 5, 10, 20, 50) if n * 9 >= self._marks)
        per_label, unit = (1, "mm") if units == "metric" else (25.4, "in")
        for n in range(-self._marks, self._marks + 1):
            long = n % every == 0
            shapes.append(Line(n * mark, -tall, n * mark, -tall * (0.45 if long else 0.75), "mark"))
            if long:
                shapes.append(Label(n * mark, -tall * 0.12, f"{abs(n) * mark / per_label:.3g}" if n else f"0 {unit}"))
        shapes.append(Line(0, -tall * 1.25, 0, -tall, "line"))
        return Scene(
            -end - pad,
            -tall * 1.3,
            end + pad,
            0,
            f"{self.about.name}: a ruler with {count(2 * self._marks + 1, 'mark')} of {tape(self.mark_m, units)}.",
            tuple(shapes),
        )
