"""A bridge with several openings, each of its own width: which one the ball takes, or which pillar it meets."""

import math
from dataclasses import dataclass, replace
from typing import ClassVar, Self

from ..drawing.scene import Circle, Line, Scene, Shape, Tape, box
from ..green.putt import Putt
from ..measure.angle import angle_deg
from ..measure.constants import BALL_M
from ..measure.interval import Interval
from ..measure.limits import OutOfLimits
from ..measure.units import Units, tape
from .aid import About, Raw, Solid, Zone, choice, dimension
from .gate import (
    AT_HINT,
    FARTHEST_M,
    NARROWEST_M,
    NEAREST_M,
    WIDEST_M,
    clearance_limit_deg,
    opening_remedies,
    width_for_limit,
)
from .rig import Remedy, Rig, Sight, passing_sight

_FINGER_MM = 14.0
_SIDE_HINT = "More than a ball; 0: there is none."
_NAMES = {"left_2": "outer left", "left_1": "left", "middle": "middle", "right_1": "right", "right_2": "outer right"}


@dataclass(frozen=True)
class BridgeRow(Rig):
    """The middle opening lies on the line. A ball through an opening passed clear of its two pillars; one that meets a
    pillar came within half a ball of it."""

    distance_m: float = dimension(
        "Ball to bridge", low=NEAREST_M, high=FARTHEST_M, default=1.1, step=0.05, hint=AT_HINT
    )
    middle_m: float = dimension(
        "Middle opening",
        low=NARROWEST_M,
        high=WIDEST_M,
        default=0.08,
        step=0.001,
        hint="Between its pillars; on the line.",
    )
    left_1_m: float = dimension("Left opening", low=0.0, high=WIDEST_M, default=0.08, step=0.001, hint=_SIDE_HINT)
    right_1_m: float = dimension("Right opening", low=0.0, high=WIDEST_M, default=0.08, step=0.001, hint=_SIDE_HINT)
    left_2_m: float = dimension("Outer left opening", low=0.0, high=WIDEST_M, default=0.0, step=0.001, hint=_SIDE_HINT)
    right_2_m: float = dimension(
        "Outer right opening", low=0.0, high=WIDEST_M, default=0.0, step=0.001, hint=_SIDE_HINT
    )
    pillar_m: float = dimension(
        "Pillar thickness", low=0.003, high=0.08, default=0.02, step=0.001, hint="Of one pillar, across the line."
    )

    over_head: ClassVar = True
    about: ClassVar[About] = About(
        kind="bridge_row",
        name="Bridge with several openings",
        said="bridge with several openings",
        measures="start",
        entry="tap",
        guides=True,
        strict=True,
        tells="Through which opening the ball goes: the side, and by how many openings it is off.",
        cannot="How far off a putt was within an opening. A bridge in view also guides the golfer.",
        read="Tap the opening it went through, or the pillar it met first.",
        mistakes=(
            "The middle opening not on the line: every putt is told beside its own.",
            "The bridge turned on the line: its openings are narrower than the tape says.",
        ),
        cautions=("A bridge trips people: lift it when you leave the station.",),
        parts=(("bridge", 1),),
    )

    def check(self) -> None:
        for name, label in (("left_1_m", "Left"), ("right_1_m", "Right"), ("left_2_m", "Left"), ("right_2_m", "Right")):
            wide = getattr(self, name)
            if 0 < wide < NARROWEST_M:
                raise OutOfLimits(name, "opening_too_narrow", "m", least_m=NARROWEST_M)
            if name.endswith("2_m") and wide and not getattr(self, name.replace("2", "1")):
                raise OutOfLimits(name, "opening_without_inner", "m", side=label.lower())

    @property
    def station_m(self) -> float:
        return self.distance_m

    def _pillars_m(self) -> list[float]:
        """Middles of the pillars across the line, left to right, m."""
        half, thick = self.middle_m / 2, self.pillar_m
        left, right = [-half - thick / 2], [half + thick / 2]
        for wide in (self.left_1_m, self.left_2_m):
            left += [left[-1] - thick - wide] if wide else []
        for wide in (self.right_1_m, self.right_2_m):
            right += [right[-1] + thick + wide] if wide else []
        return [*reversed(left), *right]

    def _openings(self) -> list[str]:
        """Names of the openings there are, left to right."""
        return [name for name in _NAMES if getattr(self, f"{name}_m")]

    def _seen(self) -> dict[str, tuple[str, float, float]]:
        """Readings by name: what is said, and between which ways across the line its ball's centre passed, m."""
        near = (self.pillar_m + BALL_M) / 2
        pillars, openings = self._pillars_m(), self._openings()
        found = {"outside_left": ("outside, left of the bridge", -math.inf, pillars[0] - near)}
        last = len(pillars) - 1
        for n, at in enumerate(pillars):
            inner = [it for it in (n - 1, n) if 0 <= it < len(openings)]
            # A pillar is named by the opening nearer the line that it bounds, and the side on which it stands.
            of = min((openings[it] for it in inner), key=lambda it: abs(list(_NAMES).index(it) - 2))
            side = "left" if at < 0 else "right"
            found[f"touched_{of}_{side}"] = (f"met the {side} pillar of the {_NAMES[of]} opening", at - near, at + near)
            if n < last:
                said = f"through the {_NAMES[openings[n]]} opening"
                found[f"through_{openings[n]}"] = (said, at + near, pillars[n + 1] - near)
        return found | {"outside_right": ("outside, right of the bridge", pillars[-1] + near, math.inf)}

    def interval(self, raw: Raw) -> Interval:
        seen = self._seen()
        _, low, high = seen[choice(raw, "bridge", tuple(seen))]
        return Interval(self._angle(low), self._angle(high))

    def _angle(self, across_m: float) -> float:
        return across_m if math.isinf(across_m) else angle_deg(across_m, self.distance_m)

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        seen = self._seen()
        # A finger needs room on a thin pillar.
        half = max(self.pillar_m * 500, _FINGER_MM / 2)
        edges = [edge for at in self._pillars_m() for edge in (at * 1000 - half, at * 1000 + half)]
        edges = [edges[0] - 60, *edges, edges[-1] + 60]
        keys = {"outside_left": "[", "outside_right": "]"}
        passed = [name for name in seen if name.startswith("through")]
        keys |= {name: str(n + 1) for n, name in enumerate(passed)}
        return tuple(
            Zone(said, {"bridge": name}, self.interval({"bridge": name}), keys.get(name), (edges[n], edges[n + 1]))
            for n, (name, (said, _, _)) in enumerate(seen.items())
        )

    def words(self, raw: Raw, units: Units = "metric") -> str:
        return self._seen()[str(raw["bridge"])][0]

    def sight(self, putt: Putt, spread_deg: float, units: Units = "metric") -> Sight:
        def finer() -> tuple[Remedy, ...]:
            return opening_remedies("middle_m", self.middle_m, self.distance_m, spread_deg, putt)

        return passing_sight(clearance_limit_deg(self.middle_m, self.distance_m), spread_deg, putt, finer)

    def tuned(self, limit_deg: float) -> Self:
        return replace(self, middle_m=round(width_for_limit(limit_deg, self.distance_m), 4))

    def picture(self, units: Units = "metric") -> Scene:
        ball, half = BALL_M * 1000, self.pillar_m * 500
        tall = ball * 1.6
        at = [it * 1000 for it in self._pillars_m()]
        left, right = at[0] - half - 70, at[-1] + half + 70
        shapes: list[Shape] = [Line(left, 0, right, 0, "ground"), Line(0, -tall, 0, 0, "line")]
        shapes += [box(it - half, -tall, it + half, 0, "post") for it in at]
        shapes.append(box(at[0] - half, -tall - 14, at[-1] + half, -tall, "board"))
        shapes.append(Circle(0, -ball / 2, ball / 2, "ghost"))
        wide = tape(self.middle_m, units)
        shapes.append(Tape(-self.middle_m * 500, 0, self.middle_m * 500, 0, wide, 1))
        words = f"{self.about.name} from behind the ball, the middle one {wide} wide."
        return Scene(left, -tall * 1.6, right, tall * 0.5, words, tuple(shapes))

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        x, half = self.distance_m * 1000, self.pillar_m * 500
        middle = self.middle_m * 500
        return (
            *(box(x - 20, it * 1000 - half, x + 20, it * 1000 + half, "post") for it in self._pillars_m()),
            Tape(0, 0, x, 0, tape(self.distance_m, units), 1, "distance_m"),
            Tape(x, -middle, x, middle, tape(self.middle_m, units), 1, "middle_m", 2),
        )

    def solids(self) -> tuple[Solid, ...]:
        x, half = self.distance_m, self.pillar_m / 2
        return tuple(
            Solid("pillar", x - 0.02, x + 0.02, at - half, at + half, 0.07, of="distance_m") for at in self._pillars_m()
        )
