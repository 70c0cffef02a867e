"""Directions from the ball, drawn from above with what is across the line enlarged."""

import math

from .scene import Area, Line, Role


def across(length_mm: float, deg: float, enlarged: float) -> float:
    """Where a direction lies after so far, mm of the page, right of the line down."""
    return length_mm * math.tan(math.radians(deg)) * enlarged


def ray(length_mm: float, deg: float, enlarged: float, role: Role) -> Line:
    """A direction from the ball."""
    return Line(0.0, 0.0, length_mm, across(length_mm, deg, enlarged), role)


def wedge(length_mm: float, low_deg: float, high_deg: float, enlarged: float, role: Role) -> Area:
    """Everything between two directions."""
    ends = [(length_mm, across(length_mm, deg, enlarged)) for deg in (low_deg, high_deg)]
    return Area(((0.0, 0.0), *ends), role)
