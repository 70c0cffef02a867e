"""The check for every day, in words: link by link against the card, and in one sentence."""

from collections.abc import Sequence
from typing import Final

from ...core.certainty.verdict import Verdict
from ...core.keep.quick_check import DIRECTIONS, Drift
from ...core.measure.side import side_of
from ...core.measure.units import Units, about, degrees, percent

LINKS: Final = {"eyes": "Eyes", "square": "Face against the square", "sight": "What looks straight"}
_GONE: Final[dict[tuple[str, ...], str]] = {
    ("eyes",): "eyes",
    ("square",): "the face against the square",
    ("sight",): "what looks straight",
    ("eyes", "square"): "eyes and the face against the square",
    ("eyes", "sight"): "eyes and what looks straight",
    ("square", "sight"): "the face against the square and what looks straight",
    ("eyes", "square", "sight"): "eyes, the face against the square and what looks straight",
}
_WORDS: Final = {"clear": "drifted", "likely": "likely drifted", "none": "steady", "open": "can't tell yet"}


def drift_word(it: Drift) -> str:
    """A link in a word."""
    return "not looked at" if it.call is None else _WORDS[it.call.word]


def alert_words(found: Sequence[Drift]) -> str:
    """The check in one sentence."""
    gone = tuple(it.what for it in found if it.drifted)
    if gone:
        if any(it.call is not None and it.call.word == "clear" for it in found if it.drifted):
            return f"Drift: {_GONE[gone]}. Look again before anything is changed."
        return f"Drift likely: {_GONE[gone]}. Look again before anything is changed."
    if all(it.call is None for it in found):
        return "Nothing was looked at yet."
    if any(it.call is not None and it.call.word == "open" for it in found):
        return "No drift seen; not all of it can be told from one look."
    return "Steady: as it was kept."


def drift_words(it: Drift, units: Units) -> str:
    """A link in a sentence."""
    return {"eyes": _eyes, "square": _square, "sight": _sight}[it.what](it, units)


def _eyes(it: Drift, units: Units) -> str:
    if it.call is None:
        return "No look at the eyes." if it.card_has_it else "The card holds no eyes."
    facts = {"sure": _sure(it.call)}
    for one in it.shifts:
        facts[one.of] = about(one.by.value / 1000, one.by.doubt / 1000, units)
        facts[_GIVE[one.of]] = about(one.by.doubt / 1000, one.by.doubt / 1000, units)
    return _MOVED[tuple(one.by.value > 0 for one in it.shifts)].format(**facts)


_GIVE: Final = {"inside": "in_give", "behind": "along_give", "angle": "give"}
_MOVED: Final[dict[tuple[bool, ...], str]] = {
    (True,): "Now {inside} further in (± {in_give}) than on the card: {sure}.",
    (False,): "Now {inside} further out (± {in_give}) than on the card: {sure}.",
    (True, True): "Now {inside} further in (± {in_give}), {behind} further behind (± {along_give}): {sure}.",
    (True, False): "Now {inside} further in (± {in_give}), {behind} further ahead (± {along_give}): {sure}.",
    (False, True): "Now {inside} further out (± {in_give}), {behind} further behind (± {along_give}): {sure}.",
    (False, False): "Now {inside} further out (± {in_give}), {behind} further ahead (± {along_give}): {sure}.",
}
"""By whether the eyes moved in, and behind where the card has that too."""


def _square(it: Drift, units: Units) -> str:
    if it.call is None:
        return "No square check."
    side = side_of(it.read_deg, 0.05)
    said = "square" if side == "neither" else f"{degrees(it.read_deg, 0.5)} {side}"
    if it.drifted:
        return f"Set down {said}; one set-down scatters by about 1°, this is more."
    return f"Set down {said}; within what one set-down scatters."


def _sight(it: Drift, units: Units) -> str:
    if not it.card_has_it:
        return "The card holds no looks-straight angle."
    if it.call is None:
        return f"{it.asked} of {DIRECTIONS} asked."
    moved = it.shifts[0].by
    side, give = side_of(moved.value, 0.05), degrees(moved.doubt, 0.5)
    if side == "neither":
        return f"As on the card (± {give}, five answers): {_sure(it.call)}."
    return f"{degrees(moved.value, 0.5)} {side} of the card (± {give}, five answers): {_sure(it.call)}."


def _sure(it: Verdict) -> str:
    if it.word == "open":
        return "one look can't tell"
    return f"{_WORDS[it.word]} ({percent(it.probability)})"
