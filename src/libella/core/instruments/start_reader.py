"""Start reader: a device or a file that gives the start line as a number of degrees."""

import math
from dataclasses import dataclass, replace
from typing import ClassVar

from ..drawing.scene import Label, Line, Scene, Shape, Tape, box
from ..green.putt import Putt
from ..measure.interval import Interval
from ..measure.limits import Bounds, OutOfLimits
from ..measure.units import Units, tape
from .aid import About, Raw, Solid, Zone, between, choice, dimension
from .rig import Rig, Sight

READ: Bounds = Bounds(-30.0, 30.0, "deg")
_STEP_DEG = 0.1
_STEPS = 50
_MM_PER_STEP = 4.0
_COARSE_SHARE = 1 / 3


@dataclass(frozen=True)
class StartReader(Rig):
    """Normal with the stated standard uncertainty (handbook 3, device).

    Raw reading: `read_deg`, as the device said it (a density); `start_deg`, as the coach read it off to a tenth;
    `low_deg` and `high_deg`, as a file told it, either left out where open; or `beyond`, the end that was passed.
    """

    distance_m: float = dimension(
        "Read by", low=0.05, high=3.0, default=0.3, step=0.05, hint="How far the ball has rolled when it is read."
    )
    u_deg: float = dimension(
        "Stated uncertainty", low=0.02, high=3.0, default=0.2, step=0.05, unit="deg",
        hint="One standard uncertainty, as its maker or its own check says.",
    )  # fmt: skip

    about: ClassVar[About] = About(
        kind="start_reader",
        name="Start reader",
        said="start reader",
        measures="start",
        entry="slide",
        slides="Which start the reader shows",
        guides=False,
        tells="The start line in degrees, from a device that is paired, a file, or read off its display.",
        cannot="How well it was set square to the line: prove that as for any rig.",
        read="Paired, it records by itself; else slide to what its display says, to a tenth of a degree.",
        mistakes=(
            "Its zero not on the line: every reading is off by the same angle.",
            "A stated uncertainty that nobody checked: read it against a known line.",
        ),
        cautions=("Its cable or stand trips people: keep it on the far side of the line.",),
        parts=(("start_reader", 1),),
    )

    @property
    def noise_deg(self) -> float:
        return self.u_deg

    @property
    def station_m(self) -> float:
        return self.distance_m

    def interval(self, raw: Raw) -> Interval:
        if "beyond" in raw:
            limit = (_STEPS + 0.5) * _STEP_DEG
            left = choice(raw, "beyond", ("left", "right")) == "left"
            return Interval(-math.inf, -limit) if left else Interval(limit, math.inf)
        if "read_deg" in raw:
            read = _number(raw, "read_deg", {"read_deg"})
            return Interval(read, read)
        if "start_deg" in raw:
            read = _number(raw, "start_deg", {"start_deg"})
            return Interval(read - _STEP_DEG / 2, read + _STEP_DEG / 2)
        low = _number(raw, "low_deg", {"low_deg", "high_deg"}) if "low_deg" in raw else -math.inf
        high = _number(raw, "high_deg", {"low_deg", "high_deg"}) if "high_deg" in raw else math.inf
        if not raw or low > high:
            raise OutOfLimits("raw", "no_degrees" if not raw else "limits_other_way_round", "deg", name=self.about.name)
        return Interval(low, high)

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        def at(n: int) -> Zone:
            raw: Raw = {"start_deg": round(n * _STEP_DEG, 1)}
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
        if "beyond" in raw:
            return f"off the {raw['beyond']} end"
        if "low_deg" in raw or "high_deg" in raw:
            return between(self.interval(raw), self.about.quantity, units)
        read = float(raw.get("read_deg", raw.get("start_deg", 0.0)))
        said = f"{abs(read):.1f}°"
        return "on the line" if said == "0.0°" else f"{said} {'right' if read > 0 else 'left'}"

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

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        x = self.distance_m * 1000
        return (box(x - 40, 180, x + 40, 240, "board"), Tape(0, 0, x, 0, tape(self.distance_m, units), 1, "distance_m"))

    def solids(self) -> tuple[Solid, ...]:
        x = self.distance_m
        return (Solid("reader", x - 0.04, x + 0.04, 0.18, 0.24, 0.05, of="distance_m"),)

    def sight(self, putt: Putt, spread_deg: float, units: Units = "metric") -> Sight:
        seen = Sight("device", self.u_deg, putt.window.narrow_deg, "good")
        return replace(seen, fit="cannot") if seen.share > _COARSE_SHARE else seen


def _number(raw: Raw, key: str, known: set[str]) -> float:
    value = raw[key]
    if not set(raw) <= known or isinstance(value, str):
        raise OutOfLimits(f"raw.{key}", "reads_degrees", "deg", known=tuple(sorted(known)))
    return READ.check(f"raw.{key}", "start_deg", value)
