"""Which side of the line a right-positive value lies."""

from typing import Literal

Side = Literal["left", "right", "neither"]


def side_of(value: float, nothing: float = 0.0) -> Side:
    """Which side of the line a right-positive value lies; within `nothing` of it is neither."""
    if abs(value) <= nothing:
        return "neither"
    return "right" if value > 0 else "left"
