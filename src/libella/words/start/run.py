"""A run of putts, in words: whose turn it is, what the ladder says, when to break off, what can be declared."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from ...core.start.path import PathName
from ...core.start.pauses import Nudge
from ...core.start.turns import Of, Order, Turn
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


_ALL_IN: Final[dict[Of, str]] = {
    "start": "All putts of this comparison are in.",
    "aim": "All set-downs of this comparison are in.",
}
_MORE: Final[dict[Of, str]] = {"start": "more_putt", "aim": "more_set_down"}


def turn_words(it: Turn, names: Sequence[str], of: Of) -> str:
    """ "2 more putts: wide base, then as usual." """
    if it.condition is None:
        return _ALL_IN[of]
    left, name = counted(it.left, _MORE[of]), names[it.condition]
    return f"{left}: {name}, then it is done." if it.then is None else f"{left}: {name}, then {names[it.then]}."


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
