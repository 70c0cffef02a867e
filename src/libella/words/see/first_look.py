"""The first look in words: a side and a place, never degrees."""

from typing import Final

from ...core.see.first_look import FirstSeen, Looked, Place
from ...core.see.position import Lever
from ...core.see.trial import Looks

_USUAL: Final[dict[Looks, str]] = {
    "left": "From the usual place a true line looks left",
    "straight": "From the usual place a true line looks straight",
    "right": "From the usual place a true line looks right",
}
_OTHER_SIDE: Final[dict[Looks, str]] = {
    "left": "From the other side of the hole it looks left",
    "straight": "From the other side of the hole it looks straight",
    "right": "From the other side of the hole it looks right",
}
NOT_ASKED: Final = "Lay the rod true, and ask how it looks from the usual place."


def place_words(it: Place) -> str:
    """A place as it is chosen: "chin tucked", "as usual"."""
    place = it.set_up or "as usual"
    return f"{place}, from the other side of the hole" if it.other_side else place


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
    place = f"with {_WITH[it.lever].format(it.set_up)}" if it.lever else "from the usual place"
    return f"{place}, on the other side of the hole," if it.other_side else place


def first_brief(it: FirstSeen) -> str:
    """The first looks in a narrow run sheet."""
    if it.usual is None:
        return "not asked"
    looks = it.usual.looks
    return "not one way" if looks is None else "looks true" if looks == "straight" else f"looks {looks}"


def first_words(it: FirstSeen) -> tuple[str, ...]:
    """What the first looks tell, a sentence each."""
    said: list[str] = []
    if it.usual is None:
        said.append(NOT_ASKED)
    elif it.usual.looks is not None:
        said.append(f"{_USUAL[it.usual.looks]}{_of(it.usual)}.")
    if it.other_side is not None and it.other_side.looks is not None:
        said.append(f"{_OTHER_SIDE[it.other_side.looks]}{_of(it.other_side)}.")
    for one in it.straight:
        it_looks = f"{_begun(one.place)} it looks straight{_of(one)}"
        said.append(f"{it_looks}, but it can't be played from there." if one.playable is False else f"{it_looks}.")
    for undecided in it.undecided:
        said.append(f"{_begun(undecided)} the answers differ: ask again, the rod held still.")
    if any(one.times == 1 for one in it.straight):
        said.append("One answer each: a side and a place, no degrees. The full test tells how far and how sure.")
    elif it.straight:
        said.append("This tells a side and a place, no degrees. The full test tells how far and how sure.")
    return tuple(said)


def _begun(place: Place) -> str:
    said = _with_place(place)
    return f"{said[0].upper()}{said[1:]}"


def _of(it: Looked) -> str:
    """How many of the answers say so, where there are several."""
    return f", {it.so} of {it.times}" if it.times > 1 else ""
