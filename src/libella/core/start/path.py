"""What a declared path model expects of the head's direction at the ball."""

import math
from dataclasses import dataclass
from typing import Final, Literal

from ..golfer.hand import Hand
from ..measure.limits import Bounds
from ..opinions.held import Opinion

PathName = Literal["", "straight", "arc", "arc_then_straight"]
"""The path as declared; empty where none was."""
BALL_AHEAD: Final = Bounds(-0.3, 0.3, "m")
ARC_M: Final = Opinion("arc_radius", 1.6, "m")
"""Radius of the head's path over the ground in an arc: an opinion, and only used where the ball is off its middle."""


@dataclass(frozen=True, slots=True)
class PathModel:
    """A path as declared. `ball_ahead_m`: how far the ball lies ahead of the arc's middle, towards the hole."""

    name: PathName = ""
    ball_ahead_m: float = 0.0

    def __post_init__(self) -> None:
        BALL_AHEAD.check("ball_ahead_m", "ball_ahead_m", self.ball_ahead_m)

    def expected_deg(self, hand: Hand) -> float:
        """Direction of the head at the ball, right positive.

        On an arc the head comes back inside after its middle: a ball ahead of it meets a path to the left for a
        right-handed golfer, by asin(ahead/radius).
        """
        if self.name != "arc" and not (self.name == "arc_then_straight" and self.ball_ahead_m < 0):
            return 0.0
        inwards = math.degrees(math.asin(self.ball_ahead_m / ARC_M()))
        return -inwards if hand == "right" else inwards


NO_PATH: Final = PathModel()
