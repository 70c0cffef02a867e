"""A laser line laid on the ground."""

from dataclasses import dataclass
from typing import ClassVar

from .aid import About
from .ground_line import GroundLine, line_about


@dataclass(frozen=True)
class GroundLaser(GroundLine):
    """A laser line laid on the ground."""

    about: ClassVar[About] = line_about(
        "ground_laser",
        "Laser on the ground",
        "laser on the ground",
        "The laser not over the ball's spot and the aim point both.",
        ("Its stand trips people: keep it out of the way to the ball.",),
        "line_laser",
        laser=True,
    )
