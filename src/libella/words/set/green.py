"""A green and what a coach reads of it, in words."""

import math

from ...core.green.read import Read
from ...core.green.slope import Slope
from ...core.measure.units import Units, tape


def read_words(it: Read, units: Units) -> str:
    """As a coach says it: "the left edge", "4 cm outside right"."""
    if it.place == "centre":
        return "the centre"
    if it.place == "inside_edge":
        return f"just inside the {it.side} edge"
    if it.place == "edge":
        return f"the {it.side} edge"
    return f"{tape(it.outside_m, units)} outside {it.side}"


def falls_words(along: bool, percent: float) -> str:
    """A fall along or across the line: "1.0 % down to the hole", "level across"."""
    if abs(percent) < 0.05:
        return "level along it" if along else "level across it"
    size = f"{abs(percent):.1f} %"
    if along:
        return f"{size} down to the hole" if percent > 0 else f"{size} up to the hole"
    return f"{size} to the right" if percent > 0 else f"{size} to the left"


def slope_words(it: Slope) -> str:
    """Where it falls, with its doubt, and how sure that is."""
    doubt = max(it.forward_doubt, it.right_doubt)
    if it.fall_percent < max(2 * doubt, 0.05):
        return f"Level, as far as these readings tell (± {max(0.1, 2 * doubt):.1f} %)."
    turn = (it.azimuth_deg + 180) % 360 - 180
    fall = f"{it.fall_percent:.1f} %"
    if it.azimuth_doubt_deg is None:
        return f"Falls {fall}. Which way is not sure."
    doubt = f"± {max(1, math.ceil(2 * it.azimuth_doubt_deg))}°"
    if abs(turn) < 0.5:
        return f"Falls {fall} along the line, towards the hole ({doubt})."
    if abs(turn) > 179.5:
        return f"Falls {fall} along the line, towards the ball ({doubt})."
    if turn > 0:
        return f"Falls {fall}, {turn:.0f}° right of the line ({doubt})."
    return f"Falls {fall}, {-turn:.0f}° left of the line ({doubt})."
