"""What straight looks like to this golfer: measured, never assumed (handbook 5)."""

from .fit import Perception, perceive
from .method import METHODS, LooksStraight, Method, by_adjustment, by_directions
from .trial import Looks, Trial

__all__ = [
    "METHODS",
    "Looks",
    "LooksStraight",
    "Method",
    "Perception",
    "Trial",
    "by_adjustment",
    "by_directions",
    "perceive",
]
