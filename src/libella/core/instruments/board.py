"""Ruler board: a board or tape across the line, read where the ball crossed it."""

import math
from dataclasses import dataclass
from typing import ClassVar

from ..angle import angle_deg
from ..drawing.scene import Label, Line, Scene, Shape, Tape, box
from ..green.putt import Putt
from ..interval import Interval
from ..limits import OutOfLimits
from ..wording import Units, count, fine_degrees, tape
from .rig import About, Raw, Remedy, Rig, Sight, Zone, choice, dimension

_MOST_MARKS = 100
_COARSE_SHARE = 1 / 3
_MARKS_M = (0.02, 0.01, 0.005, 0.002, 0.001)
_ENDS = ("left", "right")


@dataclass(frozen=True)
class Board(Rig):
    """Offset y read to the nearest mark: start error in atan2(y ± mark/2, L) (handbook 3)."""

    distance_m: float = dimension(
        "Ball to board", low=0.1, high=5.0, default=1.0, step=0.05, hint="From the ball's centre to the board's face."
    )
    half_width_m: float = dimension(
        "Board, each side",
        low=0.02,
        high=0.6,
        default=0.1,
        step=0.01,
        hint="From the zero mark to the end of the board.",
    )
    mark_m: float = dimension(
        "Smallest mark", low=0.001, high=0.05, default=0.005, step=0.001, hint="The spacing you really read to."
    )

    about: ClassVar[About] = About(
        kind="board",
        name="Ruler board",
        measures="start",
        entry="slide",
        guides=False,
        tells="Which side of the line the ball started, and how far off, putt by putt.",
        cannot="Why it started there. It says nothing of the face or the path.",
        read="Watch where the ball's centre crosses the edge of the board; read the nearest mark.",
        mistakes=(
            "The zero mark off the line: every reading is off by the same angle.",
            "The board not square to the line.",
            "The ball not put back on its spot.",
        ),
        cautions=("A board on the ground trips people: lift it when you leave the station.",),
    )

    def check(self) -> None:
        if self.half_width_m < self.mark_m:
            raise OutOfLimits(
                "half_width_m",
                "The board is narrower than one mark each side; widen it or read finer marks.",
                limit=f"at least {self.mark_m * 1000:g} mm",
                unit="m",
            )
        if self.half_width_m / self.mark_m > _MOST_MARKS + 0.5:
            raise OutOfLimits(
                "half_width_m",
                f"More than {_MOST_MARKS} marks each side cannot be read at a glance; "
                "use a narrower board or coarser marks.",
                limit=f"at most {self.mark_m * _MOST_MARKS * 1000:g} mm",
                unit="m",
            )

    @property
    def station_m(self) -> float:
        return self.distance_m

    @property
    def _marks(self) -> int:
        return math.floor(self.half_width_m / self.mark_m + 1e-9)

    @property
    def _reach_m(self) -> float:
        """How far off the line the last mark still reads, m."""
        return (self._marks + 0.5) * self.mark_m

    def interval(self, raw: Raw) -> Interval:
        if "beyond" in raw:
            limit = angle_deg(self._reach_m, self.distance_m)
            left = choice(raw, "beyond", _ENDS) == "left"
            return Interval(-math.inf, -limit) if left else Interval(limit, math.inf)
        offset = raw.get("offset_m")
        if set(raw) != {"offset_m"} or isinstance(offset, str) or offset is None or not math.isfinite(offset):
            raise OutOfLimits(
                "raw.offset_m", "A board reads the offset of the ball's centre.", limit="a number", unit="m"
            )
        end = self._marks * self.mark_m
        if abs(offset) > end + 1e-8:
            raise OutOfLimits(
                "raw.offset_m",
                f"{offset * 1000:g} mm is beyond the board, which ends at {end * 1000:g} mm; record it as off the end.",
                limit=f"{-end * 1000:g} to {end * 1000:g} mm",
                unit="m",
            )
        half = self.mark_m / 2
        return Interval(angle_deg(offset - half, self.distance_m), angle_deg(offset + half, self.distance_m))

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
        return "on the line" if offset == 0 else f"{tape(abs(offset), units)} {'right' if offset > 0 else 'left'}"

    def sight(self, putt: Putt, spread_deg: float, units: Units = "metric") -> Sight:
        half = angle_deg(self.mark_m / 2, self.distance_m)
        reach = angle_deg(self._reach_m, self.distance_m)
        window = putt.window.narrow_deg
        share = half / window
        said = (
            f"Reads each putt to ± {fine_degrees(half)}, out to {fine_degrees(reach)} either side. "
            f"The window is ± {fine_degrees(window)}."
        )
        if share > _COARSE_SHARE:
            words = f"{said} Too coarse: the marks should be under a third of the window."
            return Sight(half, share, "coarse", words, self._finer(putt, units))
        wanted = 2 * spread_deg
        if reach < wanted:
            wide = math.ceil(math.tan(math.radians(wanted)) * self.distance_m / 0.01 - 1e-9) * 0.01
            remedies = (Remedy("half_width_m", wide, f"Board {tape(wide, units)} each side"),) if wide <= 0.6 else ()
            words = f"{said} Too short: about one putt in twenty would pass the end unread."
            return Sight(half, share, "short", words, remedies)
        return Sight(half, share, "good", f"{said} That will do.")

    def _finer(self, putt: Putt, units: Units) -> tuple[Remedy, ...]:
        third = math.tan(math.radians(putt.window.narrow_deg * _COARSE_SHARE))
        remedies: list[Remedy] = []
        readable = [m for m in _MARKS_M if m / 2 <= third * self.distance_m and self.half_width_m / m <= _MOST_MARKS]
        if readable:
            remedies.append(Remedy("mark_m", readable[0], f"Read to {tape(readable[0], units)}"))
        away = math.ceil(self.mark_m / 2 / third / 0.05 - 1e-9) * 0.05
        if away <= 5.0 and away < putt.distance_m - 0.1:
            remedies.append(Remedy("distance_m", round(away, 2), f"Board at {tape(away, units)}"))
        return tuple(remedies)

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
            f"Ruler board from behind the ball, {count(2 * self._marks + 1, 'mark')} of {tape(self.mark_m, units)}.",
            tuple(shapes),
        )

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        x = self.distance_m * 1000
        half = self.half_width_m * 1000
        return (
            box(x, -half, x + 25, half, "board"),
            Tape(0, 0, x, 0, tape(self.distance_m, units), 1),
            Tape(x, 0, x, half, tape(self.half_width_m, units), 1),
        )
