"""Putts in words: how their error goes with the length, and where they finished."""

from typing import Final

from ...core.certainty.estimate import Estimate
from ...core.golfer.hand import Hand
from ...core.judge.claims.growth import Growth
from ...core.judge.claims.level import FEWEST
from ...core.judge.claims.pace import Pace
from ...core.measure.constants import FOOT_M
from ...core.measure.side import Side, side_of
from ...core.measure.units import Units, roughly, tape
from ...core.start.notes import NOTES, Notes
from ..shared.certainty import WORDS
from ..shared.counts import counted, listed
from .claims import against_plan

_SMALL: Final = 0.05


def growth_said(it: Growth, hand: Hand, units: Units) -> str:
    """The side by distance: where it starts at each length, and whether it grows."""
    at = [f"{_sided(one.bias)} at {tape(one.distance_m, units)}" for one in it.lengths]
    where = f"Starts {listed(at)}"
    over = "" if it.lessons == 1 else f", over {counted(it.lessons, 'lesson')}"
    slope = _with_length(abs(it.slope.value), units)
    if it.call.names_direction:
        return f"{where}{over}: it grows, {slope} to the {it.call.side}, {WORDS[it.call.word]}."
    word = "it does not grow by enough to matter" if it.call.word == "none" else "whether it grows, can't tell yet"
    return f"{where}{over}: {word}."


def _with_length(degrees_a_metre: float, units: Units) -> str:
    if units == "feet":
        return f"{degrees_a_metre * FOOT_M:.2f}° with every foot"
    return f"{degrees_a_metre:.2f}° with every metre"


def _sided(it: Estimate) -> str:
    side: Side = side_of(it.value, _SMALL)
    return "on the line" if side == "neither" else f"{abs(it.value):.1f}° {side}"


def ended_said(notes: Notes, units: Units) -> str:
    """Where one putt ended, as it was noted: "short, left by 40 cm"; empty where that was not noted."""
    finish, past = notes.get("finish"), notes.get("ran_past_m")
    said = NOTES["finish"].options[finish] if isinstance(finish, str) else ""
    if not isinstance(past, float | int):
        return said
    far = tape(abs(past), units)
    if said:
        return f"{said} by {far}" if past else said
    if not past:
        return "at the hole"
    return f"{far} {NOTES['ran_past_m'].low_word if past < 0 else NOTES['ran_past_m'].high_word}"


def pace_said(it: Pace | None, units: Units) -> str:
    """Where the putts finished; empty where too little was noted."""
    return " ".join(pace_sentences(it, units))


def pace_sentences(it: Pace | None, units: Units) -> list[str]:
    """The same one by one: counts and sizes first, then against the pace planned, then the goal zone."""
    if it is None:
        return []
    said = [f"{finished_said(it, units)}."]
    level = it.level
    if level is not None and level.is_sized and level.call is not None and it.missed_all >= FEWEST:
        against = against_plan(level, units)
        if level.as_weighed or level.call.word == "none":
            said.append("Pace as planned.")
        else:
            said.append(f"{against[0].upper()}{against[1:]}: {WORDS[level.call.word]}.")
    elif level is not None and level.beyond is not None and level.call is not None and level.call.names_direction:
        said.append(f"Short of the pace planned: {WORDS[level.call.word]}.")
    if it.of_goal > it.holed:
        said.append(f"In the goal zone (holed, or up to {tape(it.zone_m, units)} past): {it.goal} of {it.of_goal}.")
    return said


def finished_said(it: Pace, units: Units) -> str:
    """How many finished where: "4 of 6 short, by 40 to 90 cm, 2 of them left; 2 holed"."""
    parts: list[str] = []
    order = (("short", it.short, it.short_sides), ("past", it.past, it.past_sides))
    for word, times, sides in sorted(order, key=lambda one: -one[1]):
        if not times:
            continue
        of = f" of {it.putts}" if not parts else ""
        range_ = _range(it, units) if not parts else ""
        parts.append(f"{times}{of} {word}{range_}{_to_sides(times, sides)}")
    if it.holed:
        parts.append(f"{it.holed} holed" if parts else f"{it.holed} of {it.putts} holed")
    beside = it.putts - it.short - it.past - it.holed
    if beside:
        said = _to_sides(beside, it.beside).removeprefix(", ").replace(" of them", "")
        parts.append(f"{beside} missed{f': {said}' if said else ''}")
    return "; ".join(parts)


def _range(it: Pace, units: Units) -> str:
    if it.beyond_m is not None:
        far = f"more than {roughly(it.beyond_m, units)}"
        return f", by {far}" if it.nearest_m is None else f", by {roughly(it.nearest_m, units)} to {far}"
    if it.nearest_m is None or it.farthest_m is None:
        return ""
    near, far = roughly(it.nearest_m, units), roughly(it.farthest_m, units)
    return f", by {near}" if near == far else f", by {near} to {far}"


def _to_sides(times: int, sides: tuple[int, int]) -> str:
    told = [f"{n} of them {word}" for n, word in zip(sides, ("left", "right"), strict=True) if n]
    return f", {' and '.join(told)}" if told else ""
