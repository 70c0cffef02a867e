"""What devices share that say an angle: a scale of tenths of a degree to slide along, and their stated uncertainty."""

from dataclasses import dataclass
from math import inf
from typing import ClassVar

from ..drawing.scene import Label, Line, Scene, Shape, box
from ..measure.interval import Interval
from ..measure.limits import Bounds, OutOfLimits
from ..measure.units import Units
from .aid import Aid, Raw, Zone, choice, dimension

READ: Bounds = Bounds(-30.0, 30.0, "deg")
_STEP_DEG = 0.1
_STEPS = 50
_MM_PER_STEP = 4.0


@dataclass(frozen=True)
class DegreeReader(Aid):
    """Raw reading: `_read_key` with what it said, read off to a tenth; or `beyond`, the end that was passed."""

    u_deg: float = dimension(
        "Stated uncertainty", low=0.02, high=3.0, default=0.2, step=0.05, unit="deg",
        hint="One standard uncertainty, as its maker or its own check says.",
    )  # fmt: skip

    _read_key: ClassVar[str]
    _zero_words: ClassVar[str] = "on the line"

    def interval(self, raw: Raw) -> Interval:
        if "beyond" in raw:
            limit = (_STEPS + 0.5) * _STEP_DEG
            left = choice(raw, "beyond", ("left", "right")) == "left"
            return Interval(-inf, -limit) if left else Interval(limit, inf)
        if self._read_key not in raw:
            raise OutOfLimits("raw", "no_degrees", "deg", name=self.about.name)
        read = degrees(raw, self._read_key, {self._read_key})
        return Interval(read - _STEP_DEG / 2, read + _STEP_DEG / 2)

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        def at(n: int) -> Zone:
            raw: Raw = {self._read_key: round(n * _STEP_DEG, 1)}
            middle = n * _MM_PER_STEP
            span = (middle - _MM_PER_STEP / 2, middle + _MM_PER_STEP / 2)
            return Zone(self.words(raw, units), raw, self.interval(raw), None if n else "0", span)

        def off(side: str) -> Zone:
            raw: Raw = {"beyond": side}
            near, far = (_STEPS + 0.5) * _MM_PER_STEP, (_STEPS + 9) * _MM_PER_STEP
            span, key = ((-far, -near), "[") if side == "left" else ((near, far), "]")
            return Zone(self.words(raw, units), raw, self.interval(raw), key, span)

        return (off("left"), *(at(n) for n in range(-_STEPS, _STEPS + 1)), off("right"))

    def words(self, raw: Raw, units: Units = "metric") -> str:
        return f"off the {raw['beyond']} end" if "beyond" in raw else self._said(float(raw[self._read_key]))

    def _said(self, read: float) -> str:
        said = f"{abs(read):.1f}°"
        return self._zero_words if said == "0.0°" else f"{said} {'right' if read > 0 else 'left'}"

    def picture(self, units: Units = "metric") -> Scene:
        end, tall = (_STEPS + 0.5) * _MM_PER_STEP, 70.0
        shapes: list[Shape] = [box(-end, -tall, end, 0, "board")]
        for n in range(-_STEPS, _STEPS + 1):
            x, long = n * _MM_PER_STEP, n % 10 == 0
            shapes.append(Line(x, -tall, x, -tall * (0.45 if long else 0.75), "mark"))
            if long:
                shapes.append(Label(x, -tall * 0.12, f"{abs(n) // 10}" if n else "0"))
        shapes += [Label(end, -tall * 1.07, "°", "end"), Line(0, -tall * 1.25, 0, -tall, "line")]
        wide = (_STEPS + 9) * _MM_PER_STEP
        words = f"{self.about.name}: a scale of tenths of a degree, 5° to either side."
        return Scene(-wide, -tall * 1.3, wide, 0, words, tuple(shapes))


def degrees(raw: Raw, key: str, known: set[str]) -> float:
    """What a raw reading gives in degrees under `key`, which may stand with the other `known` ones alone."""
    value = raw[key]
    if not set(raw) <= known or isinstance(value, str):
        raise OutOfLimits(f"raw.{key}", "reads_degrees", "deg", known=tuple(sorted(known)))
    return READ.check(f"raw.{key}", "start_deg", value)
