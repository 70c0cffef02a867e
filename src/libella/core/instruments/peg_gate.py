"""Gate of two pegs."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Shape, box
from .aid import About, dimension
from .gate import Gate, gate_about


@dataclass(frozen=True)
class PegGate(Gate):
    """A gate of two pegs."""

    post_m: float = dimension(
        "Peg thickness", low=0.001, high=0.03, default=0.005, step=0.001, hint="Pegs taller than half a ball."
    )

    about: ClassVar[About] = gate_about(
        "peg_gate",
        "Gate of pegs",
        "gate of pegs",
        "Watch which peg the ball touches first; none is clean.",
        "Pegs trip people: flag them, and pull them when you leave. Mend the holes.",
        (("peg", 2),),
    )

    @property
    def post_width_m(self) -> float:
        return self.post_m

    def _post_shape(self, x: float, tall: float) -> Shape:
        half = self.post_m * 500
        return box(x - half, -tall, x + half, 0, "post")
