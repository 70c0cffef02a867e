"""How sure is sure enough: the one rule from probability and cost to a word (handbook 5).

Everything that is judged, a bias, a difference, a drift, what the picture does to the aim, takes its word from here;
the texts of the words stand in `words.certainty`.
"""

from dataclasses import dataclass, field
from typing import Final, Literal

from ..measure.side import Side
from ..opinions.held import Opinion

Word = Literal["clear", "likely", "none", "open"]
CLEAR: Final = Opinion("clear", 0.95, "share", (0.905, 0.995))
LIKELY: Final = Opinion("likely", 0.80, "share", (0.6, 0.9))
NONE: Final = Opinion("nothing_to_mend", 0.80, "share", (0.6, 0.95))
"""How sure it must be that something is too small to mend."""
SETTLES: Final = Opinion("settles", 0.80, "share", (0.5, 0.95))
"""In how many continuations more readings must settle a thing before they are advised."""
NINETY: Final = 1.645
"""Half a 90 % interval of a normal, in standard deviations."""


def sure_of(chance: float) -> Literal["clear", "likely", "open"]:
    """The word for how sure one thing is, by its probability alone."""
    return "clear" if chance >= CLEAR() else "likely" if chance >= LIKELY() else "open"


def is_likely(chance: float) -> bool:
    """True from where on a thing may be called likely."""
    return chance >= LIKELY()


def is_unlikely(chance: float) -> bool:
    """True where the contrary may be called likely."""
    return chance <= 1 - LIKELY()


def clear_among(candidates: int) -> float:
    """The probability from which one of several is clear: each further one is one more chance to be wrong."""
    return _among(CLEAR(), candidates)


def likely_among(candidates: int) -> float:
    """The probability from which one of several is likely, by the same rule."""
    return _among(LIKELY(), candidates)


def _among(least: float, candidates: int) -> float:
    return 1 - (1 - least) / candidates


@dataclass(frozen=True, slots=True)
class Grounds:
    """What a word was weighed from: the arguments of `weigh`, chances 0 to 1."""

    right: float
    left: float
    small: float
    can_be_clear: bool = True
    clear: float = field(default_factory=CLEAR)

    def call(self, cost: float | None = None) -> "Verdict":
        """The word they come to."""
        return weigh(self.right, self.left, self.small, can_be_clear=self.can_be_clear, clear=self.clear, cost=cost)


@dataclass(frozen=True, slots=True)
class Verdict:
    """The word, the side it is about (neither where there is nothing to mend), the probability behind it, and what it
    costs on average, in the unit of what matters; None where it was not weighed by cost.

    `grounds`: what the word was weighed from, carried so that it can be opened; None where it was told, not weighed.
    """

    word: Word
    side: Side
    probability: float
    cost: float | None = None
    grounds: Grounds | None = field(default=None, compare=False, repr=False)

    @property
    def names_direction(self) -> bool:
        """A bias may be named as what to work on only when its direction is at least likely."""
        return self.word in ("clear", "likely")


NOT_WEIGHED: Final = Verdict("open", "neither", 0.0)
"""The word where the readings can't say how far it lies."""


def weigh(
    right: float,
    left: float,
    small: float,
    *,
    can_be_clear: bool = True,
    clear: float | None = None,
    cost: float | None = None,
) -> Verdict:
    """The one rule from probabilities to a word.

    Parameters
    ----------
    right, left : chance that it lies to that side and is large enough to matter
    small : chance that it is too small to mend
    can_be_clear : False where something shared by all readings is not checked, such as a line that is not proved
    clear : surer than usual where one of several is named: see `clear_among`; None: as usual
    cost : carried along
    """
    clear = CLEAR() if clear is None else clear
    side: Side = "right" if right >= left else "left"
    strongest, by = max(right, left), Grounds(right, left, small, can_be_clear, clear)
    if strongest >= clear and can_be_clear:
        return Verdict("clear", side, strongest, cost, by)
    if strongest >= LIKELY():
        return Verdict("likely", side, strongest, cost, by)
    if small >= NONE():
        return Verdict("none", "neither", small, cost, by)
    return Verdict("open", side, strongest, cost, by)


def weigh_event(chance: float) -> Verdict:
    """The same for something that happened or did not, such as a drift: none where it likely did not."""
    return weigh(chance, 0.0, 1 - chance)
