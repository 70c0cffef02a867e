"""Fans from the ball to the hole, from above: the window is the only shaded wedge, angles are drawn as many times as
large as the picture says."""

import math
from collections.abc import Iterable
from typing import Final

from ....certainty.estimate import Estimate
from ....drawing import rays
from ....drawing.scene import Area, Circle, Curve, Label, Line, Ray, Role, Shape
from ....measure.constants import HOLE_M
from ....measure.side import side_of
from ....measure.window import Window

LONG: Final = 1000.0
"""How long the longest putt of a picture is drawn."""
TALL: Final = 560.0
_APART: Final = 42.0
"""Between what is written of two angles."""
_TIMES: Final = (20, 10, 8, 6, 5, 4, 3, 2, 1)
_SEEN_DEG: Final = 0.05
_FAINT: Final = 2
"""As old as a putt is drawn that stands with others."""


def across(deg: float, times: int, long: float = LONG) -> float:
    """How far beside the hole an angle ends."""
    return rays.across(long, deg, times)


def times_for(degs: Iterable[float], tall: float = TALL) -> int:
    """How many times as large angles can be drawn for the widest to fit into so tall a picture."""
    widest = max([0.5, *map(abs, degs)])
    return next((n for n in _TIMES if across(widest, n) <= tall / 2 - 20), 1)


def role_of(deg: float) -> Role:
    """Left and right in their own ink; what is neither in plain ink."""
    side = side_of(deg, _SEEN_DEG)
    return "path" if side == "neither" else side


class Fan:
    """One putt in a picture: its ball at the left at height `y`, its hole so far to the right of it."""

    def __init__(self, distance_m: float, window: Window, times: int, y: float = 0.0, long: float = LONG) -> None:
        self.y, self.times, self.long = y, times, long
        self._hole = max(6.0, HOLE_M / 2 / distance_m * long)
        self._window = window

    def at(self, deg: float) -> float:
        """Where an angle ends at the hole, down the page."""
        return self.y + across(deg, self.times, self.long)

    def ground(self) -> list[Shape]:
        """The window, the line and the hole."""
        y, far = self.y, self.long
        return [
            Area(((0, y), (far, self.at(self._window.low_deg)), (far, self.at(self._window.high_deg))), "window"),
            Line(0, y, far, y, "line"),
            Circle(far, y, self._hole, "hole"),
        ]

    def ball(self) -> Shape:
        return Circle(0, self.y, 13, "ball")

    def ray(self, deg: float, role: Role | None = None) -> Shape:
        return Curve(((0, self.y), (self.long, self.at(deg))), role or role_of(deg))

    def estimate(self, it: Estimate) -> list[Shape]:
        """A mean as a ray, its interval as an upright beyond the hole."""
        far = self.long + 8
        return [self.ray(it.value), Curve(((far, self.at(it.low)), (far, self.at(it.high))), role_of(it.value))]

    def putt(self, deg: float) -> Shape:
        """Where one putt started, fainter than a mean."""
        end, side = self.at(deg), side_of(deg, _SEEN_DEG)
        return Ray(0, self.y, self.long, end, end, end, side, _FAINT)

    def said(self, *told: tuple[str, float]) -> list[Label]:
        """What is written beside the ends of angles, from the left one to the right one, never over each other."""
        found: list[Label] = []
        at = -math.inf
        for text, deg in sorted(told, key=lambda it: it[1]):
            at = max(self.at(deg), at + _APART)
            found.append(Label(self.long + 34, at + 8, text, "start"))
        return found

    def face(self, deg: float, size: float = 62.0) -> Shape:
        """The putter's face at the ball, turned as the angles are."""
        turn = math.atan(math.tan(math.radians(deg)) * self.times)
        up, along = size * math.cos(turn), size * math.sin(turn)
        return Line(-18 + along, self.y - up, -18 - along, self.y + up, "limit")
