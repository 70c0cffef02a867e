"""A tape laid through the hole: how far past it a putt ran."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Shape, Tape, box
from ..measure.units import Units, tape
from .aid import About, dimension
from .scale import Scale


@dataclass(frozen=True)
class RollPast(Scale):
    """Where the ball came to rest along the line, from the hole's centre; short is minus."""

    half_width_m: float = dimension(
        "Tape, each way", low=0.2, high=3.0, default=1.0, step=0.1, hint="From the hole's centre to its end."
    )
    mark_m: float = dimension(
        "Smallest mark", low=0.01, high=0.2, default=0.05, step=0.01, hint="The spacing you really read to."
    )

    _zero_words: ClassVar[str] = "at the hole"

    about: ClassVar[About] = About(
        kind="roll_past",
        name="Tape for the roll past",
        said="tape for the roll past",
        measures="pace",
        entry="slide",
        slides="Where the ball came to rest along the tape",
        guides=False,
        at="hole",
        tells="How far past the hole, or short of it, each putt came to rest.",
        cannot="The pace of a holed putt: cover the hole, or read only what missed.",
        read="Read the mark beside the ball at rest, along the line.",
        mistakes=(
            "Read from the hole's far edge instead of its centre.",
            "A ball that went far off line is read along it.",
        ),
        cautions=("A tape on the green trips people: take it up when you leave.",),
        parts=(("tape_measure", 1),),
    )

    def _value(self, offset_m: float) -> float:
        return offset_m

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        end = self.half_width_m * 1000
        return (
            box(-end, 62, end, 78, "board"),
            Tape(0, 78, end, 78, tape(self.half_width_m, units), 1, "half_width_m"),
        )
