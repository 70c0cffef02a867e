"""A rod across the shoulders."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Line, Shape, Tape
from ..measure.units import Units, tape
from .aid import About
from .body_rod import BodyRod

_FROM_LINE_MM = 420.0


@dataclass(frozen=True)
class ShoulderRod(BodyRod):
    """A rod held across the chest or shoulders, taped to the line at both ends."""

    about: ClassVar[About] = About(
        kind="shoulder_rod",
        name="Rod across the shoulders",
        said="rod across the shoulders",
        measures="body",
        entry="slide",
        slides="How far the rod turns",
        guides=False,
        tells="Where the shoulders point at address, against the line.",
        cannot="What they do in the stroke; and whether this golfer needs them parallel.",
        read="Hold it across both shoulders; tape from each end down to the line; the difference is the offset.",
        mistakes=("Held by the hands: they turn it.", "Read while the golfer looks up."),
        cautions=("Step clear of the golfer's face before turning with a rod.",),
        parts=(("rod", 1), ("tape_measure", 1)),
    )

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        half = self.length_m * 500
        return (
            Line(-half, -_FROM_LINE_MM + 60, half, -_FROM_LINE_MM + 60, "limit"),
            Tape(-half, -_FROM_LINE_MM + 60, half, -_FROM_LINE_MM + 60, tape(self.length_m, units), -1, "length_m", 2),
        )
