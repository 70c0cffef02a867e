"""The first look in words: a side and a place, never degrees."""

from typing import Final

from ...core.see.first_look import FirstSeen, Place
from ...core.see.position import LEVERS
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


def first_brief(it: FirstSeen) -> str:
    """The first looks in a narrow run sheet."""
    if it.usual is None:
        return "not asked"
    return "looks true" if it.usual == "straight" else f"looks {it.usual}"


def first_words(it: FirstSeen) -> tuple[str, ...]:
    """What the first looks tell, a sentence each."""
    said = [NOT_ASKED if it.usual is None else _USUAL[it.usual]]
    for one in it.straight:
        place = place_words(one.place)
        if one.playable is False:
            said.append(f"With {place} it looks straight, but it can't be played from there.")
        else:
            said.append(f"With {place} it looks straight.")
    said += [f"With {place_words(place)} the answers differ: ask again, the rod held still." for place in it.undecided]
    if it.straight:
        said.append("One answer each: a side and a place, no degrees. The full test tells how far and how sure.")
    return tuple(said)
