"""Start reader: a device or a file that gives the start line as a number of degrees."""

import math
from dataclasses import dataclass, replace
from typing import ClassVar

from ..drawing.scene import Shape, Tape, box
from ..green.putt import Putt
from ..measure.interval import Interval
from ..measure.limits import OutOfLimits
from ..measure.units import Units, tape
from .aid import About, Raw, Solid, between, dimension
from .degree_reader import DegreeReader, degrees
from .rig import Rig, Sight

_COARSE_SHARE = 1 / 3


@dataclass(frozen=True)
class StartReader(DegreeReader, Rig):
    """Normal with the stated standard uncertainty (handbook 3, device).

    Raw reading: `read_deg`, as the device said it (a density); `start_deg`, as the coach read it off to a tenth;
    `low_deg` and `high_deg`, as a file told it, either left out where open; or `beyond`, the end that was passed.
    """

    distance_m: float = dimension(
        "Read by", low=0.05, high=3.0, default=0.3, step=0.05, hint="How far the ball has rolled when it is read."
    )
    _read_key: ClassVar[str] = "start_deg"

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
        if "read_deg" in raw:
            read = degrees(raw, "read_deg", {"read_deg"})
            return Interval(read, read)
        if not raw.keys() & {"low_deg", "high_deg"}:
            return super().interval(raw)
        low = degrees(raw, "low_deg", {"low_deg", "high_deg"}) if "low_deg" in raw else -math.inf
        high = degrees(raw, "high_deg", {"low_deg", "high_deg"}) if "high_deg" in raw else math.inf
        if low > high:
            raise OutOfLimits("raw", "limits_other_way_round", "deg", name=self.about.name)
        return Interval(low, high)

    def words(self, raw: Raw, units: Units = "metric") -> str:
        if raw.keys() & {"low_deg", "high_deg"}:
            return between(self.interval(raw), self.about.quantity, units)
        return self._said(float(raw["read_deg"])) if "read_deg" in raw else super().words(raw, units)

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        x = self.distance_m * 1000
        return (box(x - 40, 180, x + 40, 240, "board"), Tape(0, 0, x, 0, tape(self.distance_m, units), 1, "distance_m"))

    def solids(self) -> tuple[Solid, ...]:
        x = self.distance_m
        return (Solid("reader", x - 0.04, x + 0.04, 0.18, 0.24, 0.05, of="distance_m"),)

    def sight(self, putt: Putt, spread_deg: float, units: Units = "metric") -> Sight:
        seen = Sight("device", self.u_deg, putt.window.narrow_deg, "good")
        return replace(seen, fit="cannot") if seen.share > _COARSE_SHARE else seen
