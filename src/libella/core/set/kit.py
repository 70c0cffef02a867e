"""What a coach carries: the parts instruments take, what is in the bag, and the check before the start."""

from collections import Counter
from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from typing import Final

from ..instruments.aid import About


@dataclass(frozen=True, slots=True)
class Part:
    """One kind of thing in the bag, and what of it is to be checked before the start."""

    name: str
    checks: tuple[str, ...] = ()


_LASER = ("batteries fresh", "switch or remote works, and stays in the coach's hand", "label can be read")
_TIPS = ("tips guarded, or flat on the ground",)
PARTS: Final[Mapping[str, Part]] = {
    it.name: it
    for it in (
        Part("ball", ("clean, and of one kind",)),
        Part("ball box"),
        Part("bridge", ("stands square, and does not rock",)),
        Part("chalk line"),
        Part("cloth tape"),
        Part("curved rail"),
        Part("face mirror", ("clean, and flat on the face",)),
        Part("feeler card"),
        Part("ground mirror", ("clean, and lies without rocking",)),
        Part("guide rail"),
        Part("level", ("reads the same turned end for end",)),
        Part("line laser", _LASER),
        Part("narrow rail", ("straight, and level across",)),
        Part("peg", _TIPS),
        Part("plumb line"),
        Part("pointing laser", _LASER),
        Part("putter laser", (*_LASER, "switched on, and tight on the putter")),
        Part("ring"),
        Part("rod", _TIPS),
        Part("ruler board"),
        Part("square"),
        Part("stake", _TIPS),
        Part("start reader", ("charged, paired, and its zero proved",)),
        Part("string", ("tight, and flagged where people walk",)),
        Part("tape measure"),
    )
}
MOST: Final = 99
ALWAYS: Final = (
    "The line is clear: no stones, leaves or old peg holes",
    "Nobody walks through the station",
)
AFTERWARDS: Final = (
    "Everything switched off and picked up",
    "Holes mended, chalk and tape off, floor clean",
)


@dataclass(frozen=True, slots=True)
class Needed:
    """A part a station takes, and how many of it are in the bag; None where the bag was not told."""

    part: str
    count: int
    owned: int | None

    @property
    def is_there(self) -> bool:
        return self.owned is None or self.owned >= self.count


def needed(abouts: Iterable[About], bag: Mapping[str, int] | None) -> tuple[Needed, ...]:
    """The parts that instruments take together, with a ball to putt and a tape to lay them by."""
    count = Counter({"ball": 1, "tape measure": 1})
    for about in abouts:
        for part, n in about.parts:
            # One tape lays everything; of all else each instrument needs its own.
            count[part] = max(count[part], n) if part == "tape measure" else count[part] + n
    return tuple(Needed(part, n, None if bag is None else bag.get(part, 0)) for part, n in sorted(count.items()))


def in_bag(abouts: Iterable[About], bag: Mapping[str, int] | None) -> bool:
    """True when the bag, if told, holds all that these instruments take."""
    return all(it.is_there for it in needed(abouts, bag))


def kit_check(abouts: Iterable[About]) -> tuple[str, ...]:
    """What to look at before the start, and after it, for these instruments."""
    these = needed(abouts, None)
    parts = [f"{it.part.capitalize()}: {check}" for it in these for check in PARTS[it.part].checks]
    return (*parts, *ALWAYS, *AFTERWARDS)
