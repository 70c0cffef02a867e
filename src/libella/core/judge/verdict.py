"""Verdict words: they need size as well as direction (handbook 5)."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from ..estimate.continuation import further_putts
from ..estimate.posterior import Floats, Posterior
from ..estimate.summary import Summary
from ..green.capture import Window
from ..interval import Interval
from ..wording import Side

Word = Literal["clear", "likely", "none", "open"]
CLEAR, LIKELY, NONE = 0.95, 0.80, 0.80

WORDS: dict[Word, str] = {
    "clear": "clear",
    "likely": "likely",
    "none": "no tendency",
    "open": "can't tell yet",
}


Sure = Literal["clear", "likely", "can't tell yet"]


def sure_of(chance: float) -> Sure:
    """The word for how sure a direction is, by its probability."""
    return "clear" if chance >= CLEAR else "likely" if chance >= LIKELY else "can't tell yet"


@dataclass(frozen=True, slots=True)
class Verdict:
    """The word, the side it is about (neither for "none"), and the probability behind it."""

    word: Word
    side: Side
    probability: float

    @property
    def names_direction(self) -> bool:
        """A bias may be named as what to work on only when its direction is at least likely."""
        return self.word in ("clear", "likely")


def verdict(summary: Summary, *, proved: bool = True) -> Verdict:
    """Clear: P(|μ| beyond w/4 on that side) ≥ 95 %; likely ≥ 80 %; no tendency: P(|μ| < w/4) ≥ 80 %; else open.

    On a line that is not proved nothing is clear: the line itself may be what is off.
    """
    right, left = summary.prob_right_of_quarter, summary.prob_left_of_quarter
    side: Side = "right" if right >= left else "left"
    strongest = max(right, left)
    if strongest >= CLEAR and proved:
        return Verdict("clear", side, strongest)
    if strongest >= LIKELY:
        return Verdict("likely", side, strongest)
    if summary.prob_small >= NONE:
        return Verdict("none", "neither", summary.prob_small)
    return Verdict("open", "right" if summary.bias.value >= 0 else "left", strongest)


def putts_to_settle(
    post: Posterior, zones: Sequence[Interval], window: Window, word: Word, *, doubt: float = 0.0
) -> int | None:
    """Further putts that should settle a block: from "can't tell yet" to any other word, from "likely" to clear
    or none.

    None for more than 40. A block already settled needs 0. `doubt`: of the rig's own aim, degrees.
    """
    if word in ("clear", "none"):
        return 0
    direction = CLEAR if word == "likely" else LIKELY

    def settled(right: Floats, left: Floats) -> NDArray[np.bool_]:
        return (np.maximum(right, left) >= direction) | (1 - right - left >= NONE)

    return further_putts(post, zones, window, settled, doubt=doubt)
