"""What can be said of one reading that makes it count less: stated amounts, opinions all of them."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from typing import Final, Literal

from .limits import OutOfLimits

ReadingOf = Literal["putt", "set_down", "answer"]


@dataclass(frozen=True, slots=True)
class Flag:
    """Something said of one reading.

    weight : as much of a whole reading it then counts, above 0 and below 1
    of : the kinds of reading it can be said of
    """

    weight: float
    of: tuple[ReadingOf, ...]


FLAGS: Final[dict[str, Flag]] = {
    "rough": Flag(0.5, ("putt", "set_down", "answer")),
    "talked_through": Flag(0.5, ("putt", "set_down", "answer")),
    "unverified": Flag(0.25, ("putt", "set_down", "answer")),
}
"""Read in haste or roughly; somebody talked as it was made; the angle or place it was read at was not checked."""


def checked_flags(told: Sequence[str], of: ReadingOf) -> tuple[str, ...]:
    """Flags in their order, each once; `OutOfLimits` for what cannot be said of such a reading."""
    known = tuple(name for name, it in FLAGS.items() if of in it.of)
    for it in told:
        if it not in known:
            raise OutOfLimits("flags", "no_flag", named=it, known=known)
    return tuple(it for it in known if it in told)


@dataclass(frozen=True, slots=True)
class Lessened:
    """Readings that count less: how many of them, and as many whole ones they count together."""

    times: int
    weight: float


def lessened(weights: Iterable[float]) -> Lessened | None:
    """Those that count less; None where all count whole."""
    less = [it for it in weights if it < 1]
    return Lessened(len(less), sum(less)) if less else None


def weight_of(told: Iterable[str]) -> float:
    """How much of a whole reading one counts: of several flags each takes its share. 1 where nothing was said."""
    weight = 1.0
    for it in told:
        weight *= FLAGS[it].weight
    return weight
