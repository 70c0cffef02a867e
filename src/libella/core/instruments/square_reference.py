"""A square edge in front of the face, and the gap it leaves."""

from dataclasses import dataclass
from typing import ClassVar

from .aid import About
from .square_edge import SquareEdge


@dataclass(frozen=True)
class SquareReference(SquareEdge):
    """A square edge alone, laid square to the line."""

    about: ClassVar[About] = About(
        kind="square_reference",
        name="Square reference",
        said="square reference",
        measures="face",
        entry="slide",
        slides="How wide the gap is, and at which end",
        guides=True,
        slid_in=True,
        tells="Whether the face is square, and by the gap how far it is not.",
        cannot="The natural aim: with a square edge in view the golfer squares to it.",
        read="Push the putter gently against the edge; one end touches, read the gap at the other.",
        mistakes=(
            "The reference itself not square to the line.",
            "Both ends pushed on: the putter turns until there is no gap.",
            "A curved or milled face touches before its ends.",
        ),
        cautions=("Lift it when you leave the station: it trips people.",),
        parts=(("square", 1), ("feeler_card", 1)),
    )
