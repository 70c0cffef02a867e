"""What a look at the eyes was taken with: sizes that tell nothing of the golfer and can be written down wrong."""

from collections.abc import Mapping
from dataclasses import replace
from typing import Final

from ..measure.limits import OutOfLimits
from .eyes import AnyLook
from .one_way import Way
from .side_look import SideWay

LOOKED_WITH: Final[Mapping[Way | SideWay, tuple[str, ...]]] = {
    "mirror": ("eye_height_m", "falls_in_percent", "falls_back_percent", "level_doubt_percent", "seen_m"),
    "plumb": ("seen_m",),
    "string": ("string_height_m", "lean_deg", "eye_height_m"),
    "strip": ("turns_m",),
}
"""By the way of looking: the mirror with its level, the string with its posts, where the strip turns dark."""


def look_sizes(look: AnyLook) -> dict[str, float]:
    """What it was taken with, each in the unit its name ends in."""
    return {name: getattr(look, name) for name in LOOKED_WITH[look.way]}


def taken_with(look: AnyLook, sizes: Mapping[str, float]) -> AnyLook:
    """The same look, taken with these sizes.

    Raises
    ------
    OutOfLimits
        for a size that can't be, or that such a look is not taken with.
    """
    known = LOOKED_WITH[look.way]
    for name in sizes:
        if name not in known:
            raise OutOfLimits(name, "no_look_size", named=name, known=known)
    return replace(look, **sizes)
