"""How much of it is holed, length by length, in practice and on the course; whether it carries over (practice 3, 4)."""

import math
from collections import Counter
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from typing import Final, Literal

import numpy as np

from ..certainty.estimate import Estimate, told_by
from ..certainty.verdict import is_likely
from ..estimate.posterior import Floats
from ..estimate.shares import NONE_TOLD, Share
from ..opinions.held import Opinion

LENGTHS_M: Final = (1.0, 1.5, 2.0, 3.0, 4.5, 6.0, 9.0, 12.0)
"""What a length is counted with: the nearest of these, by ratio."""
Carries = Literal["carries", "parts", "open"]
_MATTERS: Final = Opinion("share_matters", 0.10, "share")
"""So much of a share makes a difference: an opinion."""
_DRAWN: Final = 4000


@dataclass(frozen=True, slots=True)
class Tried:
    """One putt at a hole: its length, m, whether it was holed, and whether the golfer had to read the break; None where
    that is not known."""

    length_m: float
    holed: bool
    read: bool | None = True


@dataclass(frozen=True, slots=True)
class From:
    """How many putts of one length there are: with a break to read, without one, or None where that is not known."""

    length_m: float
    of: int
    read: bool | None = True


@dataclass(frozen=True, slots=True)
class MadeAt:
    """What was holed from about one length.

    Attributes
    ----------
    practice_from, course_from : the lengths those putts had, each with how many
    """

    length_m: float
    practice: Share = NONE_TOLD
    course: Share = NONE_TOLD
    practice_from: tuple[From, ...] = ()
    course_from: tuple[From, ...] = ()


@dataclass(frozen=True, slots=True)
class Carried:
    """Practice against the course, at the lengths that both have, weighed as the course has them.

    less : how many fewer of a hundred are holed on the course, with its 90 % interval
    """

    word: Carries
    less: Estimate
    practice: int
    course: int


def length_of(length_m: float) -> float:
    """The length it is counted with."""
    return min(LENGTHS_M, key=lambda it: abs(math.log(length_m / it)))


def made_at(practice: Iterable[Tried], course: Iterable[Tried]) -> tuple[MadeAt, ...]:
    """Counts putts by length, the shortest first."""
    told = [_by_length(it) for it in (practice, course)]
    found: list[MadeAt] = []
    for at in LENGTHS_M:
        own, there = (by.get(at, ()) for by in told)
        if own or there:
            found.append(MadeAt(at, _share(own), _share(there), _from(own), _from(there)))
    return tuple(found)


def interval(it: Share) -> Estimate:
    """A share in a hundred with its 90 % interval, from a uniform prior."""
    return told_by(100 * _behind(it, np.random.default_rng(97)))


def more_than(first: Share, last: Share) -> float:
    """The chance that the share behind the last is larger than the one behind the first, from uniform priors."""
    rng = np.random.default_rng(103)
    one, other = (_behind(it, rng) for it in (first, last))
    return float(np.mean(other > one))


def carried(made: Sequence[MadeAt]) -> Carried | None:
    """Whether what is holed in practice is holed on the course; None where no length has both."""
    both = [it for it in made if it.practice.of and it.course.of]
    if not both:
        return None
    rng = np.random.default_rng(101)
    of = sum(it.course.of for it in both)
    less = np.zeros(_DRAWN)
    for it in both:
        share, there = (_behind(one, rng) for one in (it.practice, it.course))
        less += (share - there) * it.course.of / of
    word: Carries = "open"
    if is_likely(float(np.mean(less > _MATTERS()))):
        word = "parts"
    elif is_likely(float(np.mean(less < _MATTERS()))):
        word = "carries"
    return Carried(word, told_by(100 * less), sum(it.practice.of for it in both), of)


def _behind(it: Share, rng: np.random.Generator) -> Floats:
    """Draws of the share that lies behind what was seen, from a uniform prior."""
    return rng.beta(it.times + 1, it.of - it.times + 1, _DRAWN)


def _by_length(putts: Iterable[Tried]) -> dict[float, list[Tried]]:
    found: dict[float, list[Tried]] = {}
    for it in putts:
        found.setdefault(length_of(it.length_m), []).append(it)
    return found


def _share(putts: Sequence[Tried]) -> Share:
    return Share(sum(it.holed for it in putts), len(putts)) if putts else NONE_TOLD


def _from(putts: Sequence[Tried]) -> tuple[From, ...]:
    times = Counter((it.length_m, it.read) for it in putts)
    return tuple(From(length, of, read) for (length, read), of in times.items())
