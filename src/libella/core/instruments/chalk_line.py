"""A chalk line snapped on the ground."""

from dataclasses import dataclass
from typing import ClassVar

from .aid import About
from .ground_line import GroundLine, line_about


@dataclass(frozen=True)
class ChalkLine(GroundLine):
    """A chalk line snapped on the ground."""

    about: ClassVar[About] = line_about(
        "chalk_line",
        "Chalk line",
        "chalk line",
        "Snapped from a string that was lifted to one side.",
        ("The greenkeeper's rules come first: ask before you chalk a green.",),
        "chalk_line",
    )
