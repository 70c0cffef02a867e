"""The words of the job, each as a small drawing: from above the line runs to the right, the ball at its left end."""

from functools import cache
from typing import Final

from ..drawing.scene import Area, Circle, Curve, Line, Scene, Shape, box

_BALL: Final = Circle(-46, 0, 5, "ball")
_HOLE: Final = Circle(46, 0, 9, "hole")
_LINE: Final = Line(-54, 0, 56, 0, "line")
_GROUND: Final[tuple[Shape, ...]] = (_LINE, _BALL, _HOLE)
_WEDGE: Final = Area(((-46, 0), (46, -9), (46, 9)), "shade")


def _rays(*ends: float) -> tuple[Shape, ...]:
    return tuple(Line(-41, 0, 44, it, "path") for it in ends)


def _tube(middle: float, half: float) -> tuple[Shape, ...]:
    """A level: its glass, the marks of what the hole allows, the bubble."""
    glass = box(-54, -12, 54, 12, "board")
    marks = (Line(-20, -16, -20, 16, "limit"), Line(20, -16, 20, 16, "limit"))
    return (glass, box(middle - half, -7, middle + half, 7, "post"), *marks)


_PUTTER: Final[tuple[Shape, ...]] = (box(-50, -24, -38, 24, "board"), Line(-38, -24, -38, 24, "limit"))
_TILTED: Final[tuple[Shape, ...]] = (
    Area(((-52, -20), (-41, -25), (-28, 20), (-39, 25)), "board"),
    Line(-41, -25, -28, 20, "limit"),
)

_DRAWN: Final[dict[str, tuple[Shape, ...]]] = {
    "line": (*_GROUND, Line(-41, 0, 37, 0, "limit")),
    "start": (*_GROUND, *_rays(20)),
    "bias": (*_GROUND, *_rays(16, 20, 24), Line(46, 9, 46, 20, "limit")),
    "spread": (*_GROUND, *_rays(-22, -8, 6, 22), Line(50, -22, 50, 22, "limit")),
    "window": (*_GROUND, _WEDGE, Line(-46, 0, 46, -9, "limit"), Line(-46, 0, 46, 9, "limit")),
    "tendency": (*_GROUND, *_rays(10, 15, 20, 25, 30, -8)),
    "clear": _tube(38, 10),
    "likely": _tube(28, 18),
    "open": _tube(14, 34),
    "none": _tube(0, 12),
    "hundred": (*(Circle(-44 + 11 * (n % 9), -22 + 11 * (n // 9), 4, "ball") for n in range(45)),
                *(Circle(-44 + 11 * n, 33, 4, "hole") for n in range(9))),
    "face_aim": (_LINE, *_PUTTER, Line(-38, 0, 50, -16, "path")),
    "face_at_impact": (_LINE, *_TILTED, Circle(-26, 0, 9, "ball"), Line(-16, 0, 50, -22, "path")),
    "path": (_LINE, Circle(0, 0, 8, "ball"), Curve(((-54, 22), (-20, 8), (0, 0), (22, -6), (54, -10)), "path")),
    "compensation": (_LINE, *_TILTED, Curve(((-30, -10), (-6, -26), (10, -8)), "path"), Line(-10, 0, 50, 0, "limit")),
    "strike": (box(-12, -34, 2, 34, "board"), Circle(12, 0, 9, "ball"), Line(-20, 0, 2, 0, "line"),
               Circle(2, 16, 4, "post")),
    "looks_straight": (_LINE, _BALL, Line(-40, 0, 50, 16, "limit"), Circle(0, -28, 11, "board"),
                       Circle(-4, -26, 2, "post"), Circle(4, -26, 2, "post")),
    "eyes": (_LINE, Circle(0, 0, 6, "ball"), Circle(0, -22, 11, "board"), Circle(0, 22, 11, "ghost"),
             Line(30, -3, 30, -22, "limit")),
    "proved": (*_GROUND, Line(-40, -10, 36, -10, "path"), Line(36, 10, -40, 10, "path"),
               Curve(((28, -15), (36, -10), (28, -5)), "path"), Curve(((-32, 5), (-40, 10), (-32, 15)), "path")),
    "read": (_LINE, _BALL, _HOLE, Line(-46, 0, 46, -24, "line"), Circle(46, -24, 3, "post"),
             Curve(((-46, 0), (-10, -9), (24, -9), (46, 0)), "path")),
    "pace": (Line(-54, 0, 56, 0, "line"), _BALL, Circle(26, 0, 9, "hole"), Circle(50, 0, 5, "ghost"),
             Line(26, 16, 50, 16, "limit")),
    "slope": (Line(-50, 20, 50, 20, "line"), Line(-50, -14, 50, 18, "limit"), Circle(-30, -14, 6, "ball")),
    "in_view": (*_GROUND, Circle(10, -10, 4, "post"), Circle(10, 10, 4, "post"), Circle(-46, -26, 9, "board"),
                Line(-36, -22, 6, -12, "line")),
    "rig": (_LINE, _BALL, Circle(10, -10, 4, "post"), Circle(10, 10, 4, "post"), box(30, -26, 38, 26, "board")),
    "flagged": (*_GROUND, *_rays(10), Line(20, 4, 20, -28, "limit"), Area(((20, -28), (42, -20), (20, -12)), "post")),
}  # fmt: skip


@cache
def term_pictures() -> dict[str, Scene]:
    """A drawing of every term of the glossary, by its code."""
    return {code: Scene(-60, -40, 60, 40, "", shapes) for code, shapes in _DRAWN.items()}
