"""The chance of holing by length as a picture: the band, the curve with the change beside it, what was recorded."""

import math
from collections.abc import Callable, Sequence
from typing import Final

from ..change.made import MadeAt, interval
from ..drawing.scene import Area, Circle, Curve, Label, Line, Scene, Shape, box
from ..measure.constants import FOOT_M
from ..measure.units import Units
from .outlook import Outlook

_WIDE, _TALL = 640.0, 260.0
_TICKS: Final[dict[Units, tuple[float, ...]]] = {
    "metric": (0.5, 1.0, 2.0, 3.0, 4.5, 6.0, 9.0),
    "feet": tuple(it * FOOT_M for it in (2, 4, 6, 10, 15, 20, 30)),
}


def chance_drawn(it: Outlook, made: Sequence[MadeAt], units: Units, words: str) -> Scene:
    """Length runs right, each doubling as wide; the chance runs up, from none to all."""
    x, y = _across(it.lengths_m), _up
    shapes: list[Shape] = [
        *(one for share in (0, 25, 50, 75, 100) for one in _rule(share, y)),
        *(one for length in _TICKS[units] for one in _tick(length, units, x)),
        _band(it, x),
        Curve(tuple((x(length), y(one.value)) for length, one in zip(it.lengths_m, it.chance, strict=True)), "path"),
    ]
    if it.changed is not None:
        points = zip(it.lengths_m, it.changed, strict=True)
        shapes.append(Curve(tuple((x(length), y(one.value)) for length, one in points), "line"))
    for one in made:
        if not it.lengths_m[0] <= one.length_m <= it.lengths_m[-1]:
            continue
        if one.practice.of:
            told, at = interval(one.practice), x(one.length_m) - 4
            shapes += [
                Line(at, y(told.low), at, y(told.high), "mark"),
                box(at - 4, y(told.value) - 4, at + 4, y(told.value) + 4, "board"),
            ]
        if one.course.of:
            told, at = interval(one.course), x(one.length_m) + 4
            shapes += [Line(at, y(told.low), at, y(told.high), "mark"), Circle(at, y(told.value), 4.4, "post")]
    return Scene(-34, -_TALL - 10, _WIDE + 14, 24, words, tuple(shapes))


def _across(lengths_m: Sequence[float]) -> Callable[[float], float]:
    first, last = math.log(lengths_m[0]), math.log(lengths_m[-1])
    return lambda it: _WIDE * (math.log(it) - first) / (last - first)


def _up(share: float) -> float:
    return -_TALL * share / 100


def _rule(share: float, y: Callable[[float], float]) -> tuple[Shape, ...]:
    return Line(0, y(share), _WIDE, y(share), "stance"), Label(-6, y(share) + 4, f"{share}", "end")


def _tick(length_m: float, units: Units, x: Callable[[float], float]) -> tuple[Shape, ...]:
    text = f"{length_m:g} m" if units == "metric" else f"{round(length_m / FOOT_M)} ft"
    return Line(x(length_m), 0, x(length_m), 5, "ground"), Label(x(length_m), 17, text)


def _band(it: Outlook, x: Callable[[float], float]) -> Area:
    both = list(zip(it.lengths_m, it.chance, strict=True))
    upper = [(x(length), _up(one.high)) for length, one in both]
    lower = [(x(length), _up(one.low)) for length, one in reversed(both)]
    return Area((*upper, *lower), "shade")
