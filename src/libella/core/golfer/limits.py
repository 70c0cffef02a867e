"""What limits a golfer's posture or sight: nothing that is judged, but what is not asked of them."""

from typing import Final, Literal, get_args

from ..measure.limits import OutOfLimits

Limit = Literal["back", "neck", "shoulder", "hip", "knee", "balance", "tremor"]
LIMITS: Final[tuple[Limit, ...]] = get_args(Limit)
Glasses = Literal["", "none", "single", "varifocal", "contacts"]
"""Worn while putting; empty while it is not known."""
GLASSES: Final[tuple[Glasses, ...]] = get_args(Glasses)


def checked_limits(told: tuple[str, ...]) -> tuple[Limit, ...]:
    """What limits, each once, in one order; `OutOfLimits` for what is none."""
    for it in told:
        if it not in LIMITS:
            raise OutOfLimits("limits", "no_such_choice", named=it, known=LIMITS)
    return tuple(it for it in LIMITS if it in told)
