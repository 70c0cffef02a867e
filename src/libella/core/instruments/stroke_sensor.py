"""A sensor on the putter that says the face, the path and the strike of each stroke."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Shape, box
from ..measure.units import Units
from .aid import About
from .degree_reader import DegreeReader


@dataclass(frozen=True)
class StrokeSensor(DegreeReader):
    """Linked, it sends every stroke by itself; its face at address can be read off its display as well."""

    _read_key: ClassVar[str] = "face_deg"
    _zero_words: ClassVar[str] = "square"

    about: ClassVar[About] = About(
        kind="stroke_sensor",
        name="Stroke sensor",
        said="stroke sensor",
        measures="face",
        entry="slide",
        slides="Where the face points, as the sensor says",
        guides=False,
        noted=False,
        tells="Face at address and at impact, path, strike and tempo, in its own figures.",
        cannot="Its own zero: what it calls square is where the putter stood when it was set.",
        read="Linked, it sends each stroke by itself; else slide to what its display says of the face.",
        mistakes=(
            "Set to zero with the putter by eye: everything is off by that angle. Use a square reference.",
            "Turned on the shaft since it was set.",
        ),
        cautions=("Tighten it before the stroke: it must not fly off.",),
        parts=(("stroke_sensor", 1),),
    )

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        return (box(-32, -70, -8, -46, "board"),)
