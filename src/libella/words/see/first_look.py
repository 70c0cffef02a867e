"""The first look in words: a side and a place, never degrees."""

from typing import Final

from ...core.see.first_look import FirstSeen, Place
from ...core.see.position import LEVERS, Lever
from ...core.see.trial import Looks

_USUAL: Final[dict[Looks, str]] = {
    "left": "From the usual place a true line looks left.",
    "straight": "From the usual place a true line looks straight.",
    "right": "From the usual place a true line looks right.",
}
NOT_ASKED: Final = "Lay the rod true, and ask how it looks from the usual place."


def place_words(it: Place) -> str:
    """A place as it is chosen: "chin tucked", "as usual"."""
    if it.lever is None:
        return "as usual"
    about = LEVERS[it.lever]
    return about.way(plus=it.way == "plus")


_WITH: Final[dict[Lever, str]] = {
    "inside": "the eyes {}",
    "behind": "the eyes {}",
    "tilt": "the head {}",
    "chin": "the {}",
    "distance": "the feet {}",
    "ball": "the {}",
}


def _with_place(it: Place) -> str:
    """A place within a sentence: "with the eyes further in"."""
    return f"with {_WITH[it.lever].format(place_words(it))}" if it.lever else "from the usual place"


def first_brief(it: FirstSeen) -> str:
    """The first looks in a narrow run sheet."""
    if it.usual is None:
        return "not asked"
    return "looks true" if it.usual == "straight" else f"looks {it.usual}"


def first_words(it: FirstSeen) -> tuple[str, ...]:
    """What the first looks tell, a sentence each."""
    said = [NOT_ASKED if it.usual is None else _USUAL[it.usual]]
    for one in it.straight:
        place = _with_place(one.place)
        if one.playable is False:
            said.append(f"{place[0].upper()}{place[1:]} it looks straight, but it can't be played from there.")
        else:
            said.append(f"{place[0].upper()}{place[1:]} it looks straight.")
    for undecided in it.undecided:
        place = _with_place(undecided)
        said.append(f"{place[0].upper()}{place[1:]} the answers differ: ask again, the rod held still.")
    if it.straight:
        said.append("One answer each: a side and a place, no degrees. The full test tells how far and how sure.")
    return tuple(said)
