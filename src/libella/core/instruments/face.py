"""Instruments that show where the face aims at address: laser on the putter, mirror on the face, square reference."""

import math
from dataclasses import dataclass
from typing import ClassVar

from ..angle import angle_deg
from ..drawing.scene import Shape, Tape, box
from ..wording import Units, tape
from .cautions import LASER, MIRROR_AND_LASER
from .rig import About, Raw, dimension
from .ruled import Ruled


@dataclass(frozen=True)
class _Thrown(Ruled):
    """A spot thrown onto a ruler across the line at some distance."""

    distance_m: float = dimension(
        "Throw", low=0.5, high=8.0, default=2.0, step=0.1, hint="From the emitter, or the mirror, to the ruler."
    )
    half_width_m: float = dimension(
        "Ruler, each side", low=0.02, high=0.6, default=0.15, step=0.01, hint="From its zero to its end."
    )
    mark_m: float = dimension(
        "Smallest mark", low=0.001, high=0.05, default=0.005, step=0.001, hint="The spacing you really read to."
    )

    _event: ClassVar[str] = "set-down"
    _zero_words: ClassVar[str] = "on the zero mark"

    @property
    def station_m(self) -> float:
        return self.distance_m

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        x = self.distance_m * 1000
        half = self.half_width_m * 1000
        return (box(x, -half, x + 25, half, "board"), Tape(0, 0, x, 0, tape(self.distance_m, units), 1))


@dataclass(frozen=True)
class PutterLaser(_Thrown):
    """Spot s on a ruler at D from an emitter s₀ right of the line: θ = atan2(s − s₀, D) (handbook 3)."""

    mount_offset_m: float = dimension(
        "Emitter right of the line", low=-0.1, high=0.1, default=0.0, step=0.001, hint="Left of it is minus."
    )

    about: ClassVar[About] = About(
        kind="putter_laser",
        laser=True,
        name="Laser on the putter",
        measures="face",
        entry="slide",
        guides=False,
        tells="Where the face points at address, to a mark of the ruler; and how steadily it is held there.",
        cannot="Where the face points at impact. Nothing of the ball.",
        read="Set the putter down without a stroke; read where the spot stands on the ruler.",
        mistakes=(
            "The mount not square to the face: check it against a square reference.",
            "The emitter's own place beside the line left out.",
            "The throw measured from the ball instead of from the emitter.",
        ),
        cautions=LASER,
    )

    def _angle(self, offset_m: float) -> float:
        return angle_deg(offset_m - self.mount_offset_m, self.distance_m)


@dataclass(frozen=True)
class FaceMirror(_Thrown):
    """A mirror on the face sends a laser at the ruler back: θ = ½·atan2(s, D), s from where it falls when square."""

    about: ClassVar[About] = About(
        kind="face_mirror",
        laser=True,
        name="Mirror on the face",
        measures="face",
        entry="slide",
        guides=False,
        tells="Where the face points at address, twice as finely as a laser on the putter: a mirror doubles it.",
        cannot="Anything while the laser can reach a face. Nothing of the stroke.",
        read="Set the putter down without a stroke; read where the returned spot stands, from its square place.",
        mistakes=(
            "The mirror not flat on the face.",
            "The zero taken at the emitter, though the emitter stands beside the line.",
            "Read as if the angle were not doubled.",
        ),
        cautions=(*LASER, MIRROR_AND_LASER),
    )

    def _angle(self, offset_m: float) -> float:
        return angle_deg(offset_m, self.distance_m) / 2


@dataclass(frozen=True)
class SquareReference(Ruled):
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

    _event: ClassVar[str] = "set-down"
    _zero_words: ClassVar[str] = "touches at both ends"

    about: ClassVar[About] = About(
        kind="square_reference",
        name="Square reference",
        measures="face",
        entry="slide",
        guides=True,
        tells="Whether the face is square, and by the gap how far it is not.",
        cannot="The natural aim: with a square edge in view the golfer squares to it.",
        read="Push the putter gently against the edge; one end touches, read the gap at the other.",
        mistakes=(
            "The reference itself not square to the line.",
            "Both ends pushed on: the putter turns until there is no gap.",
            "A curved or milled face touches before its ends.",
        ),
        cautions=("Lift it when you leave the station: it trips people.",),
    )

    @property
    def station_m(self) -> float:
        return 0.05

    def _angle(self, offset_m: float) -> float:
        return math.degrees(math.asin(max(-1.0, min(1.0, offset_m / self.face_length_m))))

    def words(self, raw: Raw, units: Units = "metric") -> str:
        if "beyond" in raw or float(raw["offset_m"]) == 0:
            return super().words(raw, units)
        offset = float(raw["offset_m"])
        return f"{tape(abs(offset), units)} gap at the {'right' if offset > 0 else 'left'} end"

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        half = self.face_length_m * 500
        return (box(50, -half, 75, half, "board"), Tape(50, -half, 50, half, tape(self.face_length_m, units), 1))
