"""Pace in words: counts and sizes first, then the goal zone."""

import math

from ...core.judge.pace import Pace
from ...core.measure.units import Units, tape
from ..shared.certainty import WORDS
from ..shared.counts import counted


def pace_words(it: Pace | None, units: Units) -> str:
    """ "6 of 6 short: 40 cm to 90 cm, 2 of them left. Short, clear." Empty where too little was noted."""
    if it is None:
        return ""
    said = [f"{_finished(it, units)}{_sides(it)}."]
    if it.call.names_direction:
        side = "Past" if it.call.side == "right" else "Short"
        said.append(f"{side}, {WORDS[it.call.word]}.")
    if it.of_goal > it.holed:
        zone = tape(it.zone_m, units)
        said.append(f"In the goal zone (holed, or up to {zone} past): {it.goal} of {it.of_goal}.")
    return " ".join(said)


def _finished(it: Pace, units: Units) -> str:
    if it.commoner is None:
        return f"{it.holed} of {counted(it.putts, 'putt')} holed, {it.short} short, {it.past} past"
    often, other = (it.short, it.past) if it.commoner == "short" else (it.past, it.short)
    word, others = ("short", "past") if it.commoner == "short" else ("past", "short")
    said = f"{often} of {it.putts} {word}{_range(it, units)}"
    if other:
        said = f"{said}, {other} {others}"
    return f"{said}, {it.holed} holed" if it.holed else said


def _range(it: Pace, units: Units) -> str:
    if it.nearest_m is None or it.farthest_m is None:
        return ""
    near = tape(round(it.nearest_m, 2), units)
    if math.isinf(it.farthest_m):
        return f": {near} and more"
    far = tape(round(it.farthest_m, 2), units)
    return f": {near}" if near == far else f": {near} to {far}"


def _sides(it: Pace) -> str:
    if it.left and it.right:
        return f"; {it.left} left, {it.right} right"
    if it.left:
        return f"; {it.left} of them left"
    return f"; {it.right} of them right" if it.right else ""
