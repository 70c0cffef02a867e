"""What square edges in front of the face share: the gap they leave at one end."""

import math
from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Shape, Tape, box
from ..measure.units import Units, tape
from .aid import Raw, Solid, dimension
from .rig import Event
from .ruled import Ruled


@dataclass(frozen=True)
class SquareEdge(Ruled):
    """A gap g at one end of a face of length F, the other touching: |θ| = asin(g/F).

    Positive at the end right of the line. That is the toe for a right-handed golfer (open) and the heel for a
    left-handed one (closed): both point the face right.
    """

    face_length_m: float = dimension(
        "Face length", low=0.06, high=0.2, default=0.11, step=0.001, hint="Between the two ends you read at."
    )
    half_width_m: float = dimension(
        "Widest gap read", low=0.002, high=0.03, default=0.01, step=0.001, hint="Beyond it is read as more."
    )
    mark_m: float = dimension(
        "Smallest step",
        low=0.0005,
        high=0.005,
        default=0.001,
        step=0.0005,
        hint="A feeler, a card, a coin.",
    )

    _event: ClassVar[Event] = "set_down"
    _zero_words: ClassVar[str] = "touches at both ends"

    @property
    def station_m(self) -> float:
        return 0.05

    def _value(self, offset_m: float) -> float:
        return math.degrees(math.asin(max(-1.0, min(1.0, offset_m / self.face_length_m))))

    def words(self, raw: Raw, units: Units = "metric") -> str:
        if "beyond" in raw or float(raw["offset_m"]) == 0:
            return super().words(raw, units)
        offset = float(raw["offset_m"])
        return f"{tape(abs(offset), units)} gap at the {'right' if offset > 0 else 'left'} end"

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        half = self.face_length_m * 500
        return (
            box(50, -half, 75, half, "board"),
            Tape(50, -half, 50, half, tape(self.face_length_m, units), 1, "face_length_m", 2),
        )

    def solids(self) -> tuple[Solid, ...]:
        half = self.face_length_m / 2
        return (Solid("edge", 0.05, 0.075, -half, half, 0.01),)
