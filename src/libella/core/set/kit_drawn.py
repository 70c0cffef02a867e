"""What is in the bag, each part drawn small so that it is known before its name is read."""

from functools import cache
from typing import Final

from ..drawing.scene import Area, Circle, Line, Scene, Shape, box
from ..instruments.likeness import likeness
from ..instruments.registry import instruments
from .kit import PARTS

_BALL: Final[tuple[Shape, ...]] = (Circle(0, 0, 21, "ball"), Line(-12, 0, 12, 0, "mark"))
_TAPE: Final[tuple[Shape, ...]] = (
    Circle(-60, 0, 34, "ball"),
    box(-60, 18, 90, 34, "board"),
    *(Line(x, 18, x, 27, "mark") for x in range(-40, 90, 13)),
)
_LEVEL: Final[tuple[Shape, ...]] = (
    box(-90, -20, 90, 20, "board"),
    box(-30, -9, 30, 9, "window"),
    Circle(4, 0, 7, "ball"),
    Line(-12, -9, -12, 9, "mark"),
    Line(12, -9, 12, 9, "mark"),
)
_PLAIN: Final[tuple[Shape, ...]] = (box(-50, -28, 50, 28, "board"),)
"""Of a part nobody has drawn, which no instrument takes."""
_CARD: Final[tuple[Shape, ...]] = (
    box(-60, -30, 60, 30, "board"),
    *(Line(-40, y, 40 - 3 * y, y, "mark") for y in (-15, 0, 15)),
)
_POINTER: Final[tuple[Shape, ...]] = (
    box(-90, -9, -40, 9, "post"),
    Line(-40, 0, 62, 0, "path"),
    Circle(80, 0, 18, "ball"),
)
_SQUARE: Final[tuple[Shape, ...]] = (
    Area(((-60, -40), (-44, -40), (-44, 24), (70, 24), (70, 40), (-60, 40)), "board"),
    *(Line(x, 24, x, 31, "mark") for x in range(-30, 70, 14)),
)
_LINE_LASER: Final[tuple[Shape, ...]] = (
    box(-90, -12, -54, 12, "post"),
    Line(-54, 0, 90, 0, "path"),
    Circle(-20, 0, 15, "ball"),
    Circle(80, 0, 18, "hole"),
)
_STRING: Final[tuple[Shape, ...]] = (
    Line(-80, 36, -80, -36, "limit"),
    Line(80, 36, 80, -36, "limit"),
    Line(-80, -24, 80, -24, "path"),
    Line(-95, 36, 95, 36, "ground"),
    Circle(-40, 21, 15, "ball"),
)
_OWN: Final = {
    "line_laser": _LINE_LASER,
    "string": _STRING,
    "ball": _BALL,
    "tape_measure": _TAPE,
    "level": _LEVEL,
    "feeler_card": _CARD,
    "pointing_laser": _POINTER,
    "square": _SQUARE,
}
"""Parts that go with instruments and are none themselves."""


@cache
def part_picture(part: str) -> Scene:
    """A part by itself, or the plainest instrument that takes it."""
    if part in _OWN:
        return Scene(-100, -45, 100, 45, PARTS[part].name, _OWN[part])
    takes = [it for it in instruments().values() if part in dict(it.about.parts)]
    if not takes:
        return Scene(-100, -45, 100, 45, PARTS[part].name, _PLAIN)
    plainest = min(takes, key=lambda it: (len(it.about.parts), it.about.kind))
    return likeness(plainest.laid({}), "metric")


@cache
def most_taken(part: str) -> int:
    """How many of it an instrument takes at most: where that is one, having it or not is all there is to say."""
    return max([1, *(dict(it.about.parts).get(part, 0) for it in instruments().values())])
