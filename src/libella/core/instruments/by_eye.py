"""What references share whose face angle is judged by eye: square, a little off, clearly off."""

import math
from abc import abstractmethod
from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Circle, Scene, Shape, box
from ..measure.constants import BALL_M
from ..measure.interval import Interval
from ..measure.units import Units
from .aid import Aid, Raw, Zone, choice, dimension

# Name, from and to in turns that can just be seen, words; those of the middle are the instrument's own.
_SEEN = {
    "clearly_left": (-math.inf, -3.0, "clearly left"),
    "little_left": (-3.0, -1.0, "a little left"),
    "square": (-1.0, 1.0, ""),
    "little_right": (1.0, 3.0, "a little right"),
    "clearly_right": (3.0, math.inf, "clearly right"),
}
_WIDE_MM = 60.0


@dataclass(frozen=True)
class ByEye(Aid):
    """Square to within the smallest turn that is seen; a little off up to three times that; clearly beyond it."""

    seen_deg: float = dimension(
        "Smallest turn you see", low=0.3, high=5.0, default=1.5, step=0.1, unit="deg",
        hint="Try it: turn the putter a known bit and look.",
    )  # fmt: skip

    _read_key: ClassVar[str] = "face"
    _straight: ClassVar[str] = "square"

    def interval(self, raw: Raw) -> Interval:
        low, high, _ = _SEEN[choice(raw, self._read_key, tuple(_SEEN))]
        return Interval(low * self.seen_deg, high * self.seen_deg)

    def words(self, raw: Raw, units: Units = "metric") -> str:
        return _SEEN[str(raw[self._read_key])][2] or self._straight

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        return tuple(
            Zone(
                said or self._straight,
                {self._read_key: name},
                self.interval({self._read_key: name}),
                str(n + 1),
                ((n - 2.5) * _WIDE_MM, (n - 1.5) * _WIDE_MM),
            )
            for n, (name, (_, _, said)) in enumerate(_SEEN.items())
        )

    def picture(self, units: Units = "metric") -> Scene:
        # Turned so that the hole is up the page: the coach stands behind the ball.
        shapes: tuple[Shape, ...] = (
            *self._reference_from_behind(),
            box(-55, 26, 55, 50, "board"),
            Circle(0, 0, BALL_M * 500, "ball"),
        )
        words = f"{self.about.name} with the putter behind the ball, seen from above; the hole is up."
        return Scene(-2.5 * _WIDE_MM, -110, 2.5 * _WIDE_MM, 70, words, shapes)

    @abstractmethod
    def _reference_from_behind(self) -> tuple[Shape, ...]:
        """The reference about the ball, page x right of the line, page y towards the coach, mm."""
