"""What disturbed a block, and how much less sure its bias is for it: stated amounts, opinions all of them."""

import math
from collections.abc import Iterable, Sequence
from typing import Final

from ..measure.limits import Bounds, OutOfLimits

SCORE: Final = Bounds(1, 5, "of 5")
"""Trust and comfort, as the golfer says them."""


DISTURBANCES: Final[dict[str, float]] = {
    "rough": 0.25,
    "wind": 0.2,
    "wet": 0.15,
    "light": 0.15,
    "noise": 0.1,
    "watched": 0.1,
    "tired": 0.15,
    "hurry": 0.15,
}
"""What may lie on a whole block alike, and the standard uncertainty, degrees, that it adds to the block's bias: more
putts don't average it away."""


def checked_disturbances(told: Sequence[str]) -> tuple[str, ...]:
    """Disturbances in their order; `OutOfLimits` for what is none."""
    for it in told:
        if it not in DISTURBANCES:
            raise OutOfLimits("disturbances", "no_disturbance", named=it, known=tuple(DISTURBANCES))
    return tuple(it for it in DISTURBANCES if it in told)


def disturbed_deg(told: Iterable[str]) -> float:
    """Standard uncertainty of a bias for what disturbed it, degrees: independent of each other."""
    return math.hypot(*(DISTURBANCES[it] for it in told))


def with_disturbances(shared_deg: float, told: Iterable[str]) -> float:
    """What a whole block shares, degrees: what its rig's own aim leaves unknown, and what disturbed it."""
    return math.hypot(shared_deg, disturbed_deg(told))
