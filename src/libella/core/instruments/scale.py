"""What instruments read on a ruler share: marks either side of a zero, each standing for an interval."""

import math
from abc import abstractmethod
from dataclasses import dataclass, replace
from typing import TYPE_CHECKING, ClassVar, Final

from ..drawing.scene import Label, Line, Scene, Shape, box
from ..measure.constants import INCH_M
from ..measure.interval import Interval
from ..measure.limits import OutOfLimits
from ..measure.units import Units, fraction, tape
from .aid import Aid, Dimension, Raw, Zone, choice

MOST_MARKS = 100
INCH_MARKS_M: Final = tuple(INCH_M / parts for parts in (1, 2, 4, 8))
"""What a ruler in inches is marked in, m: inches, halves, quarters, eighths."""
_AS_FINE: Final = 1.5
_ENDS = ("left", "right")
TYPED: Final = "typed"
"""In a raw reading: a number somebody typed, between the marks too; it is known no better than to half a mark."""
_ON_MARK: Final = 1e-4


@dataclass(frozen=True)
class Scale(Aid):
    """Raw reading: `offset_m`, the mark on the plus side of zero, or `beyond`, the end that was passed; `typed`
    beside an offset says that it may lie between marks."""

    if TYPE_CHECKING:  # dimensions, declared by each instrument in its own laying order
        half_width_m: float
        mark_m: float

    _zero_words: ClassVar[str] = "on the line"

    @abstractmethod
    def _value(self, offset_m: float) -> float:
        """What a place on the ruler stands for, in the unit of the quantity; grows from left to right."""

    @classmethod
    def dimensions(cls, units: Units = "metric") -> tuple[Dimension, ...]:
        known = super().dimensions(units)
        return tuple(_in_inches(it) if units == "feet" and it.name == "mark_m" else it for it in known)

    def check(self) -> None:
        if self.half_width_m < self.mark_m:
            raise OutOfLimits("half_width_m", "ruler_too_narrow", "m", mark_m=self.mark_m)
        if self.half_width_m / self.mark_m > MOST_MARKS + 0.5:
            raise OutOfLimits("half_width_m", "too_many_marks", "m", most=MOST_MARKS, widest_m=self.mark_m * MOST_MARKS)

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
            limit = self._value(-self._reach_m if left else self._reach_m)
            return Interval(-math.inf, limit) if left else Interval(limit, math.inf)
        offset = raw.get("offset_m")
        if set(raw) - {TYPED} != {"offset_m"} or isinstance(offset, str) or offset is None or not math.isfinite(offset):
            raise OutOfLimits("raw.offset_m", "not_a_mark", "m", name=self.about.name)
        end = self._marks * self.mark_m
        if abs(offset) > end + 1e-8:
            raise OutOfLimits("raw.offset_m", "beyond_ruler", "m", read_m=abs(offset), end_m=end)
        half = self.mark_m / 2
        return Interval(self._value(offset - half), self._value(offset + half))

    def kept(self, raw: Raw) -> Interval:
        found = self.interval(raw)
        if "beyond" not in raw and TYPED not in raw:
            marks = float(raw["offset_m"]) / self.mark_m
            if abs(marks - round(marks)) > _ON_MARK:
                below = math.floor(marks) * self.mark_m
                ends = {"low_m": below, "high_m": below + self.mark_m}
                raise OutOfLimits("raw.offset_m", "between_marks", "m", mark_m=self.mark_m, **ends)
        return found

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
        told = self.about.quantity
        if "beyond" in raw:
            side = told.low_side if raw["beyond"] == "left" else told.high_side
            return f"off the {side} end" if told.unit == "deg" else f"off the end, {side}"
        offset = float(raw["offset_m"])
        if offset == 0:
            return self._zero_words
        typed = ", as typed" if TYPED in raw else ""
        return f"{tape(abs(offset), units)} {told.high_side if offset > 0 else told.low_side}{typed}"

    def _marked(self, end: float, mark: float, tall: float) -> tuple[str, list[Shape]]:
        """The unit and the marks of a metric ruler, mm."""
        every = next(n for n in (1, 2, 5, 10, 20, 50) if n * 9 >= self._marks)
        per_label, unit = (1, "mm") if end < 500 else (1000, "m")
        found: list[Shape] = []
        for n in range(-self._marks, self._marks + 1):
            long = n % every == 0
            found.append(Line(n * mark, -tall, n * mark, -tall * (0.45 if long else 0.75), "mark"))
            if long:
                # Words of a mark close to an end stand inside it: the end's own line must not strike them through.
                inside = "middle" if end - abs(n * mark) > 0.05 * end else "end" if n > 0 else "start"
                x = n * mark if inside == "middle" else math.copysign(end - 0.012 * end, n)
                found.append(Label(x, -tall * 0.12, f"{abs(n) * mark / per_label:.3g}" if n else "0", inside))
        return unit, found

    def picture(self, units: Units = "metric") -> Scene:
        end = self._reach_m * 1000
        mark = self.mark_m * 1000
        pad = end * 0.16
        tall = (end + pad) * 0.3
        shapes: list[Shape] = [box(-end, -tall, end, 0, "board")]
        unit, marks = ("in", _inches(end, tall)) if units == "feet" else self._marked(end, mark, tall)
        shapes += marks
        shapes.append(Label(end, -tall * 1.07, unit, "end"))
        shapes.append(Line(0, -tall * 1.25, 0, -tall, "line"))
        return Scene(
            -end - pad,
            -tall * 1.45,
            end + pad,
            0,
            f"{self.about.name}: a ruler in inches, read to {tape(self.mark_m, units)}."
            if units == "feet"
            else f"{self.about.name}: a ruler with {2 * self._marks + 1} marks of {tape(self.mark_m, units)}.",
            tuple(shapes),
        )


def _inches(end_mm: float, tall_mm: float) -> list[Shape]:
    """Numbered marks at whole inches, or at parts of one on a short ruler, and short ones at eighths where there is
    room: an inch ruler has its own marks, not the metric ones."""
    parts = next((n for n in (8, 4, 2, 1) if end_mm / (25.4 / n) <= 9), 1)
    every = 1 if parts > 1 else next(n for n in (1, 2, 5, 10, 20, 50) if n * 25.4 * 9 >= end_mm)
    step = 25.4 / parts * every
    found: list[Shape] = []
    fine = next((n for n in (8, 4, 2, 1) if end_mm / (25.4 / n) <= 36), 0)
    for n in range(-int(end_mm / 25.4 * fine), int(end_mm / 25.4 * fine) + 1 if fine else 0):
        found.append(Line(n * 25.4 / fine, -tall_mm, n * 25.4 / fine, -tall_mm * 0.75, "mark"))
    for n in range(-int(end_mm / step), int(end_mm / step) + 1):
        x = n * step
        found.append(Line(x, -tall_mm, x, -tall_mm * 0.45, "mark"))
        if end_mm - abs(x) > 0.05 * end_mm:
            found.append(Label(x, -tall_mm * 0.12, fraction(abs(n) * every, parts)))
    return found


def _in_inches(mark: Dimension) -> Dimension:
    """The smallest mark as a ruler in inches has it, where one is about as fine."""
    nearest = min(INCH_MARKS_M, key=lambda it: abs(it - mark.default))
    return replace(mark, default=nearest) if nearest <= mark.default * _AS_FINE else mark
