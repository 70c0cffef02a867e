"""A mirror on the ground: where the golfer sees an eye, the eye is, if the mirror lies level."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Shape, Tape, box
from ..measure.units import Units, tape
from .aid import About, Solid, dimension
from .scale import Scale

_LONG_M = 0.3


@dataclass(frozen=True)
class GroundMirror(Scale):
    """An eye H above a mirror that falls p % is H·p/100 further downhill than the mirror shows it (handbook 3)."""

    eye_height_m: float = dimension(
        "Eye above the mirror", low=0.8, high=2.0, default=1.45, step=0.01, hint="Straight down from the eye."
    )
    falls_in_percent: float = dimension(
        "Mirror falls to the golfer", low=-10.0, high=10.0, default=0.0, step=0.1, unit="%",
        hint="By the bubble, across the line; away from the golfer −.",
    )  # fmt: skip
    half_width_m: float = dimension(
        "Mirror, each side", low=0.03, high=0.2, default=0.08, step=0.005, hint="From its line to its edge."
    )
    mark_m: float = dimension(
        "Smallest mark", low=0.001, high=0.02, default=0.005, step=0.001, hint="The spacing you really read to."
    )

    _zero_words: ClassVar[str] = "on the mirror's line"

    about: ClassVar[About] = About(
        kind="ground_mirror",
        name="Mirror on the ground",
        said="mirror on the ground",
        measures="eyes",
        entry="slide",
        slides="Where the eyes show in the mirror",
        guides=True,
        noted=False,
        mirror=True,
        tells="How far inside or outside the line an eye is, closely once the mirror is level.",
        cannot="Head tilt. Anything within the error of its level: "
        "each 1 % moves the eye by a hundredth of its height above the mirror.",
        read="One eye shut, read where the open one shows; then the other. An eye sees only itself at its own spot.",
        mistakes=(
            "Not level: ask for the bubble along the line and across it, and enter what it says.",
            "Both eyes open: the other eye shows half an eye-distance off.",
            "The mirror's line not on the line.",
        ),
        cautions=("A mirror blinds in low sun: turn it over when you leave it.",),
        parts=(("ground_mirror", 1), ("level", 1)),
    )

    def _value(self, offset_m: float) -> float:
        return (offset_m + self.eye_height_m * self.falls_in_percent / 100) * 1000

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        half, long = self.half_width_m * 1000, _LONG_M * 1000
        return (
            box(-long - 30, -half, -30, half, "board"),
            Tape(-long - 30, 0, -long - 30, half, tape(self.half_width_m, units), -1, "half_width_m"),
        )

    def solids(self) -> tuple[Solid, ...]:
        half = self.half_width_m
        return (Solid("mirror", -_LONG_M - 0.03, -0.03, -half, half, 0.004, of="half_width_m"),)
