"""A rod along the grip that reaches to the ribs: whether hands and chest go together."""

import math
from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Line, Shape, Tape
from ..measure.units import Units, tape
from .aid import About, dimension
from .scale import Scale

_GRIP_MM = 250.0
"""Where the hands are seen from above, from the line, for a right-handed golfer."""


@dataclass(frozen=True)
class GripRod(Scale):
    """At address its top stands y ahead of the grip's end: the handle leans asin(y/ℓ) towards the hole. In the stroke
    it stays with the chest or leaves it."""

    length_m: float = dimension(
        "Rod above the grip", low=0.2, high=1.2, default=0.6, step=0.05, hint="From the hands to the rod's top."
    )
    half_width_m: float = dimension(
        "Most lean read", low=0.02, high=0.2, default=0.15, step=0.01, hint="Beyond it is read as more."
    )
    mark_m: float = dimension(
        "Smallest step", low=0.005, high=0.05, default=0.01, step=0.005, hint="The spacing you really read to."
    )

    _zero_words: ClassVar[str] = "upright"
    touched: ClassVar = {
        "clear": "stayed with the chest",
        "back": "left the chest going back",
        "through": "left the chest going through",
        "ribs": "met the ribs",
    }
    asked: ClassVar = "What did the rod do?"

    about: ClassVar[About] = About(
        kind="grip_rod",
        name="Rod on the grip",
        said="rod on the grip",
        measures="handle",
        entry="slide",
        slides="How far the handle leans",
        guides=True,
        tells="Whether hands and chest go together, and how far the handle leans at address.",
        cannot="Where the face points. A golfer with a rod at the ribs putts as the rod allows.",
        read="Look from face on: does the rod stay where it lay against the chest, going back and through?",
        mistakes=("Held tighter for the rod's sake.", "So long that it meets the ribs before the stroke is over."),
        cautions=("Its end points at the golfer: guard the tip, and no full swings with it.",),
        parts=(("rod", 1),),
    )

    def _value(self, offset_m: float) -> float:
        return math.degrees(math.asin(max(-1.0, min(1.0, offset_m / self.length_m))))

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        # It leans towards the chest: from above half of it is seen.
        top = -_GRIP_MM - self.length_m * 500
        return (
            Line(0, -_GRIP_MM, 0, top, "limit"),
            Tape(0, -_GRIP_MM, 0, top, tape(self.length_m, units), -1, "length_m", 2),
        )
