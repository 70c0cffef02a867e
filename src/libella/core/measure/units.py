"""Numbers as a coach reads them: with their unit, and never finer than what was seen."""

import math
from typing import Final, Literal

from .constants import FOOT_M, INCH_M
from .side import side_of

Units = Literal["metric", "feet"]


def tape(length_m: float, units: Units) -> str:
    """A length as read from a tape. Round in these units it is said as it was typed: to the millimetre (under 10 cm, to
    a tenth of one), or to 1/32 or 1/100 of an inch. Else it was computed or typed in the others, and is said as people
    say it: from a metre to the centimetre, from a foot to the half inch, else to an eighth.

    >>> tape(15 * 0.3048, "feet"), tape(0.0627, "metric"), tape(2.345, "metric")
    ('15 ft', '62.7 mm', '2.345 m')
    >>> tape(2.5, "metric"), tape(2.5, "feet"), tape(8.2 * 0.3048, "feet")
    ('2.50 m', '8 ft 2 1/2 in', '8.2 ft')
    """
    return _feet(length_m) if units == "feet" else _metric(length_m)


def roughly(length_m: float, units: Units) -> str:
    """A length that was computed, without sign, to the centimetre or half inch; in centimetres below a metre, so that
    two that stand beside each other have one unit.

    >>> roughly(0.3048, "feet"), roughly(0.317, "feet"), roughly(0.317, "metric"), roughly(0.038, "metric")
    ('1 ft', '1 ft 1/2 in', '32 cm', '4 cm')
    """
    step = INCH_M / 2 if units == "feet" else 0.01
    steps = round(abs(length_m) / step)
    return f"{steps} cm" if units == "metric" and steps < 100 else tape(steps * step, units)


def round_in_feet(length_m: float, step_m: float = 0.0) -> float:
    """What a usual length given in metres is where feet are used: whole feet from three, halves from two, whole inches
    from six, quarters from three, else eighths; or by the step that is given. What is under half an eighth stays.

    >>> [tape(round_in_feet(it), "feet") for it in (2.5, 0.35, 0.061)]
    ['8 ft', '1 ft 2 in', '2 3/8 in']
    """
    ladder = ((3 * FOOT_M, FOOT_M), (2 * FOOT_M, FOOT_M / 2), (6 * INCH_M, INCH_M), (3 * INCH_M, INCH_M / 4))
    step = step_m or next((step for least, step in ladder if abs(length_m) >= least), INCH_M / _PARTS)
    return round(length_m / step) * step or length_m


_DOUBT_M: Final = 1e-8
"""How far the double of what was typed may be off its figure: far under what can be typed, far over what doubles do."""


def _metric(length_m: float) -> str:
    size = abs(length_m)
    if size < 1:
        one, unit = (1e-3, "mm") if size < 0.1 else (0.01, "cm")
        return f"{length_m / one:.1f}".removesuffix(".0") + f" {unit}"
    finer = _decimals(length_m, 1, 3) == 3
    return f"{length_m:.{3 if finer else 2}f} m"


def _decimals(length_m: float, one: float, finest: int) -> int | None:
    """How many decimals of a unit tell it whole; None where `finest` don't."""
    return next((it for it in range(finest + 1) if _whole(length_m, one / 10**it)), None)


def _whole(length_m: float, one: float) -> bool:
    return abs(length_m - round(length_m / one) * one) < _DOUBT_M


def _feet(length_m: float) -> str:
    sign, size = "−" if length_m < 0 else "", abs(length_m)
    parts = next((it for it in (8, 16, 32) if _whole(size, INCH_M / it)), 0)
    if not parts and size >= FOOT_M and (decimals := _decimals(size, FOOT_M, 2)) is not None:
        return f"{sign}{size / FOOT_M:.{decimals}f} ft"
    if not parts and (decimals := _decimals(size, INCH_M, 2)) is not None:
        # Never "12 in": what is that near to a foot is whole in eighths.
        feet = int(size / FOOT_M)
        inches = f"{size / INCH_M - 12 * feet:.{decimals}f}"
        return f"{sign}{f'{feet} ft ' if feet else ''}{inches} in"
    return sign + in_parts(size, parts or parts_said(size))


def parts_said(length_m: float) -> int:
    """Into how many parts of an inch a length that is round in none is said: finely under a foot."""
    return 8 if abs(length_m) < FOOT_M else 2


def in_parts(length_m: float, parts: int) -> str:
    """Feet and inches, rounded to so many parts of an inch.

    >>> in_parts(2.5, 8), in_parts(0.3, 2)
    ('8 ft 2 3/8 in', '1 ft')
    """
    feet, rest = divmod(round(length_m / INCH_M * parts), 12 * parts)
    if not feet:
        return f"{fraction(rest, parts)} in"
    return f"{feet} ft {fraction(rest, parts)} in" if rest else f"{feet} ft"


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


# As finely as a ruler in inches is read.
_PARTS: Final = 8
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
