"""A string stretched low along the line."""

from dataclasses import dataclass
from typing import ClassVar

from .aid import About
from .ground_line import GroundLine, line_about


@dataclass(frozen=True)
class GroundString(GroundLine):
    """A string stretched low along the line."""

    about: ClassVar[About] = line_about(
        "ground_string",
        "String on the ground",
        "string on the ground",
        "Slack: wind and feet move it.",
        ("A string trips people: flag it, and take it up when you leave.",),
        "string",
    )
