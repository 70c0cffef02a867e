"""Gate of two balls."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Circle, Shape
from ..measure.constants import BALL_M
from ..opinions.held import Opinion
from .aid import About, dimension
from .gate import AT_HINT, FARTHEST_M, NEAREST_M, Gate, gate_about

_FAR_M = Opinion("gate_of_balls", 1.1, "m", (1.1, 1.1))
"""Two balls usually lie a good metre out, pegs near the ball (handbook 7): opinions."""


@dataclass(frozen=True)
class BallGate(Gate):
    """A gate of two balls; the width is the gap between them."""

    about: ClassVar[About] = gate_about(
        "ball_gate",
        "Gate of two balls",
        "gate of two balls",
        "Watch which ball is touched first; none is clean. Put a struck ball back on its spot.",
        "Mark both spots: a knocked ball put back by eye changes the gate.",
        (("ball", 2),),
    )

    distance_m: float = dimension(
        "Ball to gate", low=NEAREST_M, high=FARTHEST_M, default=_FAR_M(), step=0.05, hint=AT_HINT
    )

    @property
    def post_width_m(self) -> float:
        return BALL_M

    def _post_shape(self, x: float, tall: float) -> Shape:
        return Circle(x, -BALL_M * 500, BALL_M * 500, "post")

    @property
    def _post_tall_m(self) -> float:
        return BALL_M
