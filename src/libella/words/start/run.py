"""A run of putts, in words: whose turn it is, what the ladder says, when to break off, what can be declared."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from ...core.measure.units import Units, fine_degrees, tape
from ...core.set.station import Station
from ...core.start.ladder import LAST, Rung
from ...core.start.path import PathName
from ...core.start.pauses import Nudge
from ...core.start.turns import Order, Turn
from ..shared.counts import counted

ORDERS: Final[dict[Order, str]] = {
    "alternating": "By turns, there and back",
    "shuffled": "Shuffled in each round",
    "in_order": "One after another",
}
PATHS: Final[dict[PathName, str]] = {
    "": "None declared",
    "straight": "Straight",
    "arc": "An arc",
    "arc_then_straight": "Arc back, straight through",
}


def turn_words(it: Turn, names: Sequence[str]) -> str:
    """ "2 more putts: wide base, then as usual." """
    if it.condition is None:
        return "All putts of this comparison are in."
    left, name = counted(it.left, "more_putt"), names[it.condition]
    return f"{left}: {name}, then it is done." if it.then is None else f"{left}: {name}, then {names[it.then]}."


def rung_words(it: Rung, station: Station, units: Units) -> str:
    """What the ladder says of a rig."""
    if it.step == "none":
        return f"{station.rig.about.name} has no width to tighten."
    if it.step == "wait":
        left = counted(LAST - it.of, "more_putt")
        return f"{it.passed} of {it.of} clean. The ladder moves after {left}."
    said = f"{it.passed} of the last {LAST} clean"
    if it.step == "stay":
        if it.fault is not None:
            return f"{said}, but this rig goes no further: {it.fault.said_in(units).message}"
        if it.why == "all":
            return f"{said}, and all putts together say that this width is right: stay."
        return f"{said}: stay on this rung."
    width, limit = tape(it.value_m, units), fine_degrees(it.limit_deg)
    if it.step == "tighten":
        return f"{said}: tighten to {width} (± {limit}), which three putts in four should pass."
    return f"{said}: widen to {width} (± {limit}), which three putts in four should pass."


@dataclass(frozen=True, slots=True)
class NudgeWords:
    """Something to do before the next putt."""

    what: str
    words: str


def nudge_words(it: Nudge) -> NudgeWords:
    """A nudge as it is read."""
    words = {
        "rest": (
            f"{it.after:g} minutes bent over: straighten up and walk. Stop at pain and see a licensed professional."
        ),
        "feet": f"{it.after:g} minutes on the same feet: move them, or lay a towel under; mend the green.",
        "spot": f"{counted(round(it.after), 'putt')} from this spot in a row: move on to another.",
    }[it.what]
    return NudgeWords(it.what, words)
