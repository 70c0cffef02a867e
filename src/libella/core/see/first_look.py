"""The first look, before any test: how a true rod looks, and from where it looks straight (handbook 5).

It tells a side and a place, never degrees; what was answered several times is told as most of the answers say, with how
many do.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import product
from typing import Final, Literal, get_args

from ..measure.limits import Bounds, OutOfLimits
from .position import LEVERS, Grade, Lever
from .trial import Looks

Way = Literal["plus", "minus"]
SIZES: Final = {"mm": Bounds(0.0, 150.0, "mm"), "deg": Bounds(0.0, 30.0, "deg")}
"""How far from usual a place may be measured to be, the way it is moved."""


@dataclass(frozen=True, slots=True)
class Place:
    """Where the head or the ball is, in words: one lever moved up or down from usual; none is the usual place.

    `other_side`: the rod was looked at from the other side of the hole.
    """

    lever: Lever | None = None
    way: Way = "plus"
    grade: Grade = ""
    other_side: bool = False

    def __post_init__(self) -> None:
        if self.lever is not None and self.lever not in LEVERS:
            raise OutOfLimits("lever", "no_lever", named=str(self.lever), known=get_args(Lever))
        if self.lever is None:
            object.__setattr__(self, "way", "plus")
            object.__setattr__(self, "grade", "")

    @property
    def set_up(self) -> str:
        """The name of the set-up there; empty as usual."""
        return "" if self.lever is None else LEVERS[self.lever].way(plus=self.way == "plus", grade=self.grade)


PLACES: Final = (
    Place(),
    *(Place(*it) for it in product(get_args(Lever), get_args(Way), get_args(Grade))),
)
"""Every place that can be chosen, on this side of the hole."""


@dataclass(frozen=True, slots=True)
class FirstLook:
    """How a true rod looked from a place. `playable` is None while it was not said; `moved` how far from usual it was
    measured to be, mm or degrees as its lever has them, where that was measured."""

    place: Place
    looks: Looks
    playable: bool | None = None
    moved: float | None = None

    def __post_init__(self) -> None:
        if self.moved is None:
            return
        if self.place.lever is None:
            raise OutOfLimits("moved", "nothing_moved")
        about = LEVERS[self.place.lever]
        SIZES[about.unit].check("moved", about.name, self.moved)


@dataclass(frozen=True, slots=True)
class Looked:
    """How a true rod looked from one place, over everything said there: how often each way, oldest named first.

    `playable` and `moved` as they were said last of this place; None where nobody said.
    """

    place: Place
    left: int
    straight: int
    right: int
    playable: bool | None = None
    moved: float | None = None

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
    other_side : how it looks from there on the other side of the hole
    straight : places from which most of the answers say straight, the playable first
    undecided : places, the usual one among them, of which no more than half of the answers say one thing
    """

    usual: Looked | None
    other_side: Looked | None
    straight: tuple[Looked, ...]
    undecided: tuple[Place, ...]


def first_seen(looks: Sequence[FirstLook]) -> FirstSeen:
    """What these first looks tell, oldest first."""
    by_place: dict[Place, list[FirstLook]] = {}
    for it in looks:
        by_place.setdefault(it.place, []).append(it)
    found = {place: _looked(place, told) for place, told in by_place.items()}
    undecided = tuple(place for place, it in found.items() if it.looks is None)
    usual, other_side = found.pop(Place(), None), found.pop(Place(other_side=True), None)
    straight = sorted((it for it in found.values() if it.looks == "straight"), key=lambda it: it.playable is False)
    return FirstSeen(usual, other_side, tuple(straight), undecided)


def _looked(place: Place, told: Sequence[FirstLook]) -> Looked:
    said = [it.looks for it in told]
    playable = [it.playable for it in told if it.playable is not None]
    last = playable[-1] if playable else None
    moved = next((it.moved for it in reversed(told) if it.moved is not None), None)
    return Looked(place, said.count("left"), said.count("straight"), said.count("right"), last, moved)
