"""What a coach carries: the parts instruments take, what is in the bag, and the check before the start."""

from collections import Counter
from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field
from typing import Final

from ..instruments.aid import About


@dataclass(frozen=True, slots=True)
class Part:
    """One kind of thing in the bag, and what of it is to be checked before the start: codes, each with its words."""

    name: str
    checks: Mapping[str, str] = field(default_factory=dict[str, str])


_LASER = {
    "batteries": "batteries fresh",
    "switch": "switch or remote works, and stays in the coach's hand",
    "label": "label can be read",
}
_TIPS = {"tips": "tips guarded, or flat on the ground"}
PARTS: Final[Mapping[str, Part]] = {
    "ball": Part("ball", {"clean": "clean, and of one kind"}),
    "ball_box": Part("ball box"),
    "bridge": Part("bridge", {"square": "stands square, and does not rock"}),
    "camera": Part("camera", {"charged": "charged, with room for the lesson"}),
    "chalk_line": Part("chalk line"),
    "cloth_tape": Part("cloth tape"),
    "curved_rail": Part("curved rail"),
    "face_mirror": Part("face mirror", {"clean": "clean, and flat on the face"}),
    "feeler_card": Part("feeler card"),
    "ground_mirror": Part("ground mirror", {"flat": "clean, and lies without rocking"}),
    "guide_rail": Part("guide rail"),
    "level": Part("level", {"turned": "reads the same turned end for end"}),
    "light_strip": Part("light and dark strip", {"flat": "lies flat, and its bar or slot straight over it"}),
    "line_laser": Part("line laser", _LASER),
    "narrow_rail": Part("narrow rail", {"straight": "straight, and level across"}),
    "path_template": Part("printed path", {"scale": "its scale holds against a tape"}),
    "peg": Part("peg", _TIPS),
    "plumb_line": Part("plumb line"),
    "pointing_laser": Part("pointing laser", _LASER),
    "putter_laser": Part("putter laser", {**_LASER, "tight": "switched on, and tight on the putter"}),
    "rail_square": Part("rail with a square", {"square": "square fast to its rail, and true"}),
    "ring": Part("ring"),
    "rod": Part("rod", _TIPS),
    "ruler_board": Part("ruler board"),
    "square": Part("square"),
    "stake": Part("stake", _TIPS),
    "start_reader": Part("start reader", {"charged": "charged, paired, and its zero proved"}),
    "string": Part("string", {"tight": "tight, and flagged where people walk"}),
    "stroke_sensor": Part("stroke sensor", {"charged": "charged, linked, and tight on the shaft"}),
    "tape_measure": Part("tape measure"),
}
MOST: Final = 99
ALWAYS: Final = {
    "line_clear": "The line is clear: no stones, leaves or old peg holes",
    "nobody_walks": "Nobody walks through the station",
}
AFTERWARDS: Final = {
    "picked_up": "Everything switched off and picked up",
    "mended": "Holes mended, chalk and tape off, floor clean",
}


@dataclass(frozen=True, slots=True)
class Needed:
    """A part a station takes, and how many of it are in the bag; None where the bag was not told."""

    part: str
    name: str
    count: int
    owned: int | None

    @property
    def is_there(self) -> bool:
        return self.owned is None or self.owned >= self.count


def needed(abouts: Iterable[About], bag: Mapping[str, int] | None) -> tuple[Needed, ...]:
    """The parts that instruments take together, with a ball to putt and a tape to lay them by."""
    count = Counter({"ball": 1, "tape_measure": 1})
    for about in abouts:
        for part, n in about.parts:
            # One tape lays everything; of all else each instrument needs its own.
            count[part] = max(count[part], n) if part == "tape_measure" else count[part] + n
    return tuple(
        Needed(part, PARTS[part].name, n, None if bag is None else bag.get(part, 0))
        for part, n in sorted(count.items())
    )


def in_bag(abouts: Iterable[About], bag: Mapping[str, int] | None) -> bool:
    """True when the bag, if told, holds all that these instruments take."""
    return all(it.is_there for it in needed(abouts, bag))


@dataclass(frozen=True, slots=True)
class KitItem:
    """Something to look at; `code` is what is kept when it is ticked."""

    code: str
    words: str


def kit_check(abouts: Iterable[About]) -> tuple[KitItem, ...]:
    """What to look at before the start, and after it, for these instruments."""
    parts = [
        KitItem(f"{it.part}.{code}", f"{it.name}: {words}")
        for it in needed(abouts, None)
        for code, words in PARTS[it.part].checks.items()
    ]
    return (*parts, *(KitItem(code, words) for code, words in (ALWAYS | AFTERWARDS).items()))


def is_kit_item(code: str) -> bool:
    """True for what a kit check may hold."""
    part, _, check = code.partition(".")
    return code in ALWAYS or code in AFTERWARDS or (part in PARTS and check in PARTS[part].checks)
