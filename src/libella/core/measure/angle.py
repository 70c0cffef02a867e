"""One angle said three ways: degrees, offset at a length, hole widths."""

import math

from .constants import HOLE_M


def offset_m(angle_deg: float, length_m: float) -> float:
    """Where a start line lies beside the intended line.

    Parameters
    ----------
    angle_deg : angle against the line, degrees, right positive, |angle| < 90
    length_m : distance along the line from the ball's start centre, m

    Returns
    -------
    float
        Offset across the line at that length, m, right positive.

    >>> round(offset_m(1.0, 3.0) * 1000, 1)
    52.4
    """
    return length_m * math.tan(math.radians(angle_deg))


def angle_deg(offset_m: float, length_m: float) -> float:
    """Angle of the line from the ball to a point `offset_m` beside the line at `length_m` (handbook 3, board)."""
    return math.degrees(math.atan2(offset_m, length_m))


def hole_widths(angle_deg: float, length_m: float) -> float:
    """The offset at a length as a number of hole diameters, right positive."""
    return offset_m(angle_deg, length_m) / HOLE_M
