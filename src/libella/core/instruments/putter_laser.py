"""A laser on the putter, read on a ruler across the line."""

from dataclasses import dataclass
from typing import ClassVar

from ..measure.angle import angle_deg
from .aid import About, dimension
from .thrown import Thrown


@dataclass(frozen=True)
class PutterLaser(Thrown):
    """Spot s on a ruler at D from an emitter s₀ right of the line: θ = atan2(s − s₀, D) (handbook 3)."""

    mount_offset_m: float = dimension(
        "Emitter right of the line", low=-0.1, high=0.1, default=0.0, step=0.001, hint="Left of it is minus."
    )

    about: ClassVar[About] = About(
        kind="putter_laser",
        laser=True,
        name="Laser on the putter",
        said="laser on the putter",
        measures="face",
        entry="slide",
        slides="Where the laser's spot lies on the ruler",
        guides=False,
        tells="Where the face points at address, to a mark of the ruler; and how steadily it is held there.",
        cannot="Where the face points at impact. Nothing of the ball.",
        read="Set the putter down without a stroke; read where the spot stands on the ruler.",
        mistakes=(
            "The mount not square to the face: check it against a square reference.",
            "The emitter's own place beside the line left out.",
            "The throw measured from the ball instead of from the emitter.",
        ),
        cautions=("Tighten it before the stroke: it must not fly off.",),
        parts=(("putter_laser", 1), ("ruler_board", 1)),
    )

    def _value(self, offset_m: float) -> float:
        return angle_deg(offset_m - self.mount_offset_m, self.distance_m)
