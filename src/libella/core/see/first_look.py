"""The first look, before any test: how a true rod looks, and from where it looks straight (handbook 5).

It tells a side and a place, never degrees; what was answered several times is told as most of the answers say, with how
many do.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal, get_args

from ..measure.limits import OutOfLimits
from .position import LEVERS, Lever
from .trial import Looks

Way = Literal["plus", "minus"]


@dataclass(frozen=True, slots=True)
class Place:
    """Where the head or the ball is, in words: one lever moved up or down from usual; none is the usual place."""

    lever: Lever | None = None
    way: Way = "plus"

    def __post_init__(self) -> None:
        if self.lever is not None and self.lever not in LEVERS:
            raise OutOfLimits("lever", "no_lever", named=str(self.lever), known=get_args(Lever))
        if self.lever is None:
            object.__setattr__(self, "way", "plus")


@dataclass(frozen=True, slots=True)
class FirstLook:
    """How a true rod looked from a place. `playable` is None while it was not said."""

    place: Place
    looks: Looks
    playable: bool | None = None


@dataclass(frozen=True, slots=True)
class Looked:
    """How a true rod looked from one place, over everything said there: how often each way, oldest named first.

    `playable` as it was said last of this place; None where nobody said.
    """

    place: Place
    left: int
    straight: int
    right: int
    playable: bool | None = None

    @property
    def times(self) -> int:
        return self.left + self.straight + self.right

    @property
    def looks(self) -> Looks | None:
        """As most of the answers say; None where no more than half say one thing."""
        counts: dict[Looks, int] = {"left": self.left, "straight": self.straight, "right": self.right}
        return next((looks for looks, n in counts.items() if 2 * n > self.times), None)

    @property
    def so(self) -> int:
        """How many say so."""
        return max(self.left, self.straight, self.right)


@dataclass(frozen=True, slots=True)
class FirstSeen:
    """What first looks tell.

    Attributes
    ----------
    usual : how it looks from the usual place; None while that was not asked
    straight : places from which most of the answers say straight, the playable first
    undecided : places, the usual one among them, of which no more than half of the answers say one thing
    """

    usual: Looked | None
    straight: tuple[Looked, ...]
    undecided: tuple[Place, ...]


def first_seen(looks: Sequence[FirstLook]) -> FirstSeen:
    """What these first looks tell, oldest first."""
    by_place: dict[Place, list[FirstLook]] = {}
    for it in looks:
        by_place.setdefault(it.place, []).append(it)
    found = {place: _looked(place, told) for place, told in by_place.items()}
    undecided = tuple(place for place, it in found.items() if it.looks is None)
    usual = found.pop(Place(), None)
    straight = sorted((it for it in found.values() if it.looks == "straight"), key=lambda it: it.playable is False)
    return FirstSeen(usual, tuple(straight), undecided)


def _looked(place: Place, told: Sequence[FirstLook]) -> Looked:
    said = [it.looks for it in told]
    playable = [it.playable for it in told if it.playable is not None]
    last = playable[-1] if playable else None
    return Looked(place, said.count("left"), said.count("straight"), said.count("right"), last)
