"""The first look, before any test: how a true rod looks, and from where it looks straight (handbook 5).

One answer a place: it tells a side and a place, never degrees.
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
class FirstSeen:
    """What first looks tell.

    Attributes
    ----------
    usual : how it looks from the usual place, as said last; None while that was not asked
    straight : places from which it looked straight when it was last asked there, the playable first
    undecided : places of which two answers differ
    """

    usual: Looks | None
    straight: tuple[FirstLook, ...]
    undecided: tuple[Place, ...]


def first_seen(looks: Sequence[FirstLook]) -> FirstSeen:
    """What these first looks tell, oldest first."""
    by_place: dict[Place, list[FirstLook]] = {}
    for it in looks:
        by_place.setdefault(it.place, []).append(it)
    usual = by_place.pop(Place(), [])
    straight = [all_[-1] for all_ in by_place.values() if all_[-1].looks == "straight"]
    straight.sort(key=lambda it: it.playable is False)
    undecided = [place for place, all_ in by_place.items() if len({it.looks for it in all_}) > 1]
    return FirstSeen(usual[-1].looks if usual else None, tuple(straight), tuple(undecided))
