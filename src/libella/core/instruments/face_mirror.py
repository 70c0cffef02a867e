"""A mirror on the face, sending a laser back onto a ruler."""

from dataclasses import dataclass
from typing import ClassVar

from ..measure.angle import angle_deg
from .aid import About
from .thrown import Thrown


@dataclass(frozen=True)
class FaceMirror(Thrown):
    """A mirror on the face sends a laser at the ruler back: θ = ½·atan2(s, D), s from where it falls when square."""

    about: ClassVar[About] = About(
        kind="face_mirror",
        laser=True,
        mirror=True,
        name="Mirror on the face",
        said="mirror on the face",
        measures="face",
        entry="slide",
        slides="Where the laser's spot lies on the ruler",
        guides=False,
        tells="Where the face points at address, twice as finely as a laser on the putter: a mirror doubles it.",
        cannot="What the stroke does. While a face could come into the beam it is not read at all.",
        read="Set the putter down without a stroke; read where the returned spot stands, from its square place.",
        mistakes=(
            "The mirror not flat on the face.",
            "The zero taken at the emitter, though the emitter stands beside the line.",
            "Read as if the angle were not doubled.",
        ),
        cautions=("Tape it on well: it must not fall off in the stroke.",),
        parts=(("face_mirror", 1), ("pointing_laser", 1), ("ruler_board", 1)),
    )

    def _value(self, offset_m: float) -> float:
        return angle_deg(offset_m, self.distance_m) / 2
