"""The opening of a bridge."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Shape, box
from .aid import About, dimension
from .gate import MISTAKES, Gate, gate_about


@dataclass(frozen=True)
class BridgeGate(Gate):
    """The opening of a bridge; its pillars are the posts."""

    pillar_m: float = dimension(
        "Pillar thickness", low=0.005, high=0.08, default=0.02, step=0.005, hint="Of one pillar, across the line."
    )

    over_head: ClassVar = True
    about: ClassVar[About] = gate_about(
        "bridge_gate",
        "Bridge opening",
        "bridge opening",
        "Watch which pillar the ball touches first; through without a touch is clean.",
        "A bridge trips people: lift it when you leave the station.",
        (("bridge", 1),),
        (*MISTAKES[:1], "The bridge turned on the line: its opening is narrower than its tape says."),
    )

    @property
    def post_width_m(self) -> float:
        return self.pillar_m

    def _post_shape(self, x: float, tall: float) -> Shape:
        half = self.pillar_m * 500
        return box(x - half, -tall, x + half, 0, "post")
