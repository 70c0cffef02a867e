"""No instrument: the coach looks and says whether the face is square, or points to a side."""

import math
from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Circle, Line, Scene, Shape, box
from ..measure.constants import BALL_M
from ..measure.interval import Interval
from ..measure.units import Units
from .aid import About, Aid, Raw, Zone, choice, dimension

_SEEN = {"left": "points left", "square": "square", "right": "points right"}
_WIDE_MM = 60.0


@dataclass(frozen=True)
class InWords(Aid):
    """Square within its edges, or pointing beyond them: a side, and no size."""

    edge_deg: float = dimension(
        "Square within", low=0.2, high=3.0, default=0.5, step=0.1, unit="deg",
        hint="From where on you would no longer call it square: an opinion.",
    )  # fmt: skip

    about: ClassVar[About] = About(
        kind="in_words",
        name="By eye, in words",
        said="words alone",
        measures="face",
        entry="tap",
        guides=False,
        tells="Whether the face looks square to the line, or points to a side.",
        cannot="How far it points: words have no size.",
        read="Set the putter down without a stroke; look from behind the ball; say what you see.",
        mistakes=("Looked at from beside the line: a square face looks turned.",),
        cautions=("Eyes see a line and a face each golfer’s own way: a reference tells more.",),
        noted=False,
    )

    def interval(self, raw: Raw) -> Interval:
        edge = self.edge_deg
        ends = {"left": (-math.inf, -edge), "square": (-edge, edge), "right": (edge, math.inf)}
        return Interval(*ends[choice(raw, "face", tuple(_SEEN))], said=True)

    def words(self, raw: Raw, units: Units = "metric") -> str:
        return _SEEN[str(raw["face"])]

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        return tuple(
            Zone(
                said,
                {"face": name},
                self.interval({"face": name}),
                str(n + 1),
                ((n - 1.5) * _WIDE_MM, (n - 0.5) * _WIDE_MM),
            )
            for n, (name, said) in enumerate(_SEEN.items())
        )

    def picture(self, units: Units = "metric") -> Scene:
        # Turned so that the hole is up the page: the coach stands behind the ball. Each zone shows the face as said.
        shapes: list[Shape] = []
        for n, turn in enumerate((-1, 0, 1)):
            x, lean = (n - 1) * _WIDE_MM, 7.0 * turn
            shapes += [Line(x, 30, x, -80, "line"), Circle(x, 0, BALL_M * 300, "ball")]
            shapes.append(Line(x - 22, 22 - lean, x + 22, 22 + lean, "limit"))
        shapes.append(box(-1.5 * _WIDE_MM, -90, 1.5 * _WIDE_MM, 40, "ghost"))
        words = "The face behind the ball from above, the hole up: pointing left, square, pointing right."
        return Scene(-1.5 * _WIDE_MM, -90, 1.5 * _WIDE_MM, 40, words, tuple(shapes))

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        return ()
