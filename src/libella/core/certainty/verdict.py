"""How sure is sure enough, and how much is enough to matter: one rule and one table for everything judged (handbook 5).

A thing *matters* from one size on and is *nothing to mend* under another; sizes are putts of a hundred that start
inside the window, or degrees or millimetres where nothing is putted. All of these are opinions.
"""

from dataclasses import dataclass
from typing import Final, Literal

from ..measure.side import Side

Word = Literal["clear", "likely", "none", "open"]
CLEAR: Final = 0.95
LIKELY: Final = 0.80
NONE: Final = 0.80
NINETY: Final = 1.645
"""Half a 90 % interval of a normal, in standard deviations."""

WORDS: Final[dict[Word, str]] = {
    "clear": "clear",
    "likely": "likely",
    "none": "nothing to mend",
    "open": "can't tell yet",
}

Sure = Literal["clear", "likely", "can't tell yet"]


def sure_of(chance: float) -> Sure:
    """The word for how sure a direction is, by its probability."""
    return "clear" if chance >= CLEAR else "likely" if chance >= LIKELY else "can't tell yet"


@dataclass(frozen=True, slots=True)
class Verdict:
    """The word, the side it is about (neither where there is nothing to mend), and the probability behind it."""

    word: Word
    side: Side
    probability: float

    @property
    def names_direction(self) -> bool:
        """A bias may be named as what to work on only when its direction is at least likely."""
        return self.word in ("clear", "likely")


def weigh(right: float, left: float, small: float, *, can_be_clear: bool = True, clear: float = CLEAR) -> Verdict:
    """The one rule from probabilities to a word.

    Parameters
    ----------
    right, left : chance that it lies to that side and is large enough to matter
    small : chance that it is too small to mend
    can_be_clear : False where something shared by all readings is not checked, such as a line that is not proved
    clear : surer than usual where one of several is named
    """
    side: Side = "right" if right >= left else "left"
    strongest = max(right, left)
    if strongest >= clear and can_be_clear:
        return Verdict("clear", side, strongest)
    if strongest >= LIKELY:
        return Verdict("likely", side, strongest)
    if small >= NONE:
        return Verdict("none", "neither", small)
    return Verdict("open", side, strongest)
