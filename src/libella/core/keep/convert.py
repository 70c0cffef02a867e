"""An angle or an offset said in every way coaches say it, at one length."""

from dataclasses import dataclass
from typing import Final, Literal, get_args

from ..golfer.step import STEP
from ..measure.angle import angle_deg, hole_widths, offset_m
from ..measure.constants import HOLE_M, INCH_M
from ..measure.limits import Bounds, OutOfLimits

Way = Literal["deg", "minutes", "mm", "in", "edges", "cups", "steps"]
"""Degrees; minutes of a clock's face, sixty to the round; across the line at the length, in millimetres or inches;
from the hole's centre, an edge being half its width; hole widths; the golfer's steps."""
WAYS: Final[tuple[Way, ...]] = get_args(Way)
LENGTH: Final = Bounds(0.1, 30.0, "m")
_MINUTE_DEG: Final = 6.0
_WIDEST_DEG: Final = 80.0


@dataclass(frozen=True, slots=True)
class Converted:
    """One angle in every way, right positive; `amounts` by way."""

    length_m: float
    amounts: dict[Way, float]


def converted(amount: float, way: Way, length_m: float, step_m: float = 0.75) -> Converted:
    """An amount, right positive, said in every way at that length.

    Raises
    ------
    OutOfLimits
        for a way that is none, a length or a step out of bounds, or what is no start line: over 80° to a side.
    """
    if way not in WAYS:
        raise OutOfLimits("way", "no_such_choice", named=way, known=WAYS)
    LENGTH.check("length_m", "convert_length", length_m)
    STEP.check("step_m", "step_m", step_m)
    across = {"mm": 0.001, "in": INCH_M, "edges": HOLE_M / 2, "cups": HOLE_M, "steps": step_m}
    if way in across:
        angle = angle_deg(amount * across[way], length_m)
    else:
        angle = amount * (_MINUTE_DEG if way == "minutes" else 1.0)
    if not abs(angle) <= _WIDEST_DEG:
        raise OutOfLimits("amount", "convert_widest", "deg", most_deg=_WIDEST_DEG)
    offset = offset_m(angle, length_m)
    amounts: dict[Way, float] = {
        "deg": angle,
        "minutes": angle / _MINUTE_DEG,
        "mm": offset * 1000,
        "in": offset / INCH_M,
        "edges": offset / (HOLE_M / 2),
        "cups": hole_widths(angle, length_m),
        "steps": offset / step_m,
    }
    return Converted(length_m, amounts)
