"""Numbers as a coach reads them: with their unit, and never finer than what was seen."""

import math
from typing import Final, Literal

from .constants import INCH_M
from .side import side_of

Units = Literal["metric", "feet"]


def tape(length_m: float, units: Units) -> str:
    """A length to lay out, as read from a tape: mm under 10 cm, cm under 1 m, else m; or feet and parts of an inch.

    >>> tape(0.0627, "metric"), tape(2.5, "metric"), tape(2.5, "feet")
    ('62.7 mm', '2.50 m', '8 ft 2 3/8 in')
    """
    if units == "metric":
        if length_m < 0.1:
            return f"{length_m * 1000:.1f}".removesuffix(".0") + " mm"
        if length_m < 1:
            return f"{length_m * 100:.1f}".removesuffix(".0") + " cm"
        return f"{length_m:.2f} m"
    return _feet(length_m)


# As finely as a tape in inches is read, in a sentence as where it is typed: one length must not have two figures.
_PARTS: Final = 8


def _feet(length_m: float) -> str:
    count = round(length_m / INCH_M * _PARTS)
    feet, rest = divmod(count, 12 * _PARTS)
    if not feet:
        return f"{fraction(rest, _PARTS)} in"
    return f"{feet} ft {fraction(rest, _PARTS)} in" if rest else f"{feet} ft"


def fraction(count: int, parts: int) -> str:
    """So many parts of an inch, as a ruler shows them.

    >>> fraction(39, 16), fraction(6, 8), fraction(8, 8), fraction(-5, 4)
    ('2 7/16', '3/4', '1', '−1 1/4')
    """
    whole, rest = divmod(abs(count), parts)
    common = math.gcd(rest, parts)
    part = f"{rest // common}/{parts // common}" if rest else ""
    said = " ".join(it for it in (str(whole) if whole or not rest else "", part) if it)
    return f"−{said}" if count < 0 else said


_METRES_FROM_MM = 10_000


def about(length_m: float, uncertainty_m: float, units: Units) -> str:
    """A measured length, rounded to what its uncertainty (half a 90 % interval, m) still supports, without sign.

    >>> about(0.0263, 0.011, "metric"), about(0.0263, 0.011, "feet")
    ('25 mm', '1 in')
    """
    count, step = _steps(length_m, uncertainty_m, units)
    if units == "feet":
        said = fraction(round((count or 1) * step * _PARTS), _PARTS)
        return f"{said} in" if count else f"under {said} in"
    rounded = count * step
    if rounded == 0:
        return f"under {step:g} mm"
    if rounded >= _METRES_FROM_MM:
        return f"{rounded / 1000:.2f} m"
    return f"{rounded:g} mm"


def rounds_to_nothing(length_m: float, uncertainty_m: float, units: Units) -> bool:
    """Whether a measured length is less than the smallest that its uncertainty supports."""
    return _steps(length_m, uncertainty_m, units)[0] == 0


def _steps(length_m: float, uncertainty_m: float, units: Units) -> tuple[int, float]:
    """A length as a count of steps no finer than what is known of it, and that step, in mm or inches."""
    one, steps = (INCH_M, (1 / _PARTS, 1 / 4, 1 / 2, 1, 2, 4)) if units == "feet" else (1e-3, (1, 5, 10, 50, 100))
    step = max((s for s in steps if s <= uncertainty_m / one / 2), default=steps[0])
    return round(abs(length_m) / one / step), step


def decimals_for(doubt: float) -> int:
    """Decimals an angle may show when it is known to ± `doubt` degrees: whole degrees from 1.5°, else tenths."""
    return 0 if doubt >= 1.5 else 1


def degrees(angle_deg: float, doubt_deg: float) -> str:
    """An angle without sign, no finer than what is known of it: "0.6°"."""
    return f"{abs(angle_deg):.{decimals_for(doubt_deg)}f}°"


def sided(angle_deg: float) -> str:
    """A right-positive angle with its side: "0.6° right"; "0.0°" has none."""
    side = side_of(angle_deg, 0.05)
    return "0.0°" if side == "neither" else f"{abs(angle_deg):.1f}° {side}"


def fine_degrees(angle_deg: float) -> str:
    """A computed angle (a limit, a window) without sign, to two decimals under 2°, one above: "0.85°"."""
    size = abs(angle_deg)
    return f"{size:.2f}°" if size < 2 else f"{size:.1f}°"


def percent(share: float) -> str:
    """A share as whole putts in a hundred, never claiming certainty: "68 %", "under 1 %", "over 99 %"."""
    if share < 0.01:
        return "under 1 %"
    if share > 0.99:
        return "over 99 %"
    return f"{round(share * 100)} %"
