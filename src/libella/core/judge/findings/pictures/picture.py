"""What a picture of a finding is, and what is written in it."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from ....drawing.scene import Scene, Shape, reach
from ..case import Case
from ..finding import Finding

Say = Callable[[str, float], str]
"""What is written beside something: by its code, with the number that goes with it (degrees, metres, putts)."""
_ROOM = 26.0
"""Kept free above and below."""


@dataclass(frozen=True, slots=True)
class Picture:
    """A scene, and how many times as large as true its angles are; 0 where it has none."""

    scene: Scene
    times: int


Draw = Callable[[Case, Finding, Say, str], Picture | None]
"""How a cause is drawn: from the lesson's case and the finding, with what is written in it and the words that stand
for all of it; None where nothing of it was read."""


def framed(shapes: Sequence[Shape], words: str, times: int, *, left: float = 90.0, right: float = 420.0) -> Picture:
    """What was drawn, with room for what is written to the right of it. Labels reach as far as their point."""
    low, top, high, bottom = reach(shapes)
    ys = [y for it in shapes if it.shape == "label" for y in (it.y - 14, it.y + 6)]
    ys += [it.y_at for it in shapes if it.shape == "ray"]
    top, bottom = min([top, *ys]), max([bottom, *ys])
    return Picture(Scene(low - left, top - _ROOM, high + right, bottom + _ROOM, words, tuple(shapes)), times)
