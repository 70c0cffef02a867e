"""What goes with what, in words: "4 of 5 off the heel did not roll clean, none of 5 from the middle: likely." """

from typing import Final

from ...core.estimate.shares import Share
from ...core.golfer.hand import Hand
from ...core.judge.claims.together import GoesWith, Trait
from ...core.judge.ledger.quantity import quantity
from ..shared.certainty import WORDS
from .claims import side_name

WHICH: Final[dict[Trait, str]] = {
    "heel": "off the heel",
    "toe": "off the toe",
    "started_left": "that started left",
    "started_right": "that started right",
    "wide": "that started outside the window",
    "unclean": "that did not roll clean",
    "moved": "with movement",
    "touched": "that touched",
    "path_right": "with the path {path_right}",
    "path_left": "with the path {path_left}",
    "missed_left": "missed left",
    "missed_right": "missed right",
    "felt_left": "felt as started left",
    "felt_right": "felt as started right",
}
"""Which putts are meant."""
WHAT: Final[dict[Trait, str]] = {
    "heel": "were struck off the heel",
    "toe": "were struck off the toe",
    "started_left": "started left",
    "started_right": "started right",
    "wide": "started outside the window",
    "unclean": "did not roll clean",
    "moved": "had movement",
    "touched": "touched something",
    "path_right": "had the path {path_right}",
    "path_left": "had the path {path_left}",
    "missed_left": "missed left",
    "missed_right": "missed right",
    "felt_left": "were felt as started left",
    "felt_right": "were felt as started right",
}
"""What they did."""


def together_said(it: GoesWith, hand: Hand) -> str:
    """The one set against the other, with how sure it is that they go together."""
    path = {
        f"path_{side}": side_name(quantity("path"), value, hand) for side, value in (("right", 1.0), ("left", -1.0))
    }
    rest = "from the middle" if it.from_middle else "of the others"
    told = f"{_of(it.with_it)} {WHICH[it.given]} {WHAT[it.then]}, {_of(it.without)} {rest}".format(**path)
    return f"{told[0].upper()}{told[1:]}: {WORDS[it.word]}."


def _of(it: Share) -> str:
    return f"{it.times or 'none'} of {it.of}"
