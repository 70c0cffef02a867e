"""How wide what is written on paper comes out, by the widths of the font that is printed with."""

from functools import cache
from pathlib import Path
from typing import Any, Final

from fontTools.ttLib import TTFont

FONT: Final = Path(__file__).parent / "fonts" / "atkinson-hyperlegible-next-latin-wght-normal.woff2"
"""The font of the screens, which ships with the package: paper is made without the front end's packages."""
_UNKNOWN: Final = 0.75
"""Of the size: a letter that the font has not is drawn in another, and may be wide."""


@cache
def _widths() -> dict[int, float]:
    """Width of each letter, as a share of the size."""
    font: Any = TTFont(FONT)
    units, wide = font["head"].unitsPerEm, font["hmtx"].metrics
    return {code: wide[name][0] / units for code, name in font.getBestCmap().items()}


def width_mm(said: str, size_mm: float) -> float:
    """How wide a line is, mm, in letters of that size."""
    widths = _widths()
    return size_mm * sum(widths.get(ord(it), _UNKNOWN) for it in said)


def wrapped(said: str, size_mm: float, room_mm: float) -> list[str]:
    """A sentence in lines that fit the room, cut between words; a word that is wider is cut where the room ends."""
    lines: list[str] = []
    line = ""
    for word in said.split():
        for piece in _pieces(word, size_mm, room_mm):
            longer = f"{line} {piece}" if line else piece
            if line and width_mm(longer, size_mm) > room_mm:
                lines.append(line)
                longer = piece
            line = longer
    return [*lines, line] if line else lines


def _pieces(word: str, size_mm: float, room_mm: float) -> list[str]:
    if width_mm(word, size_mm) <= room_mm:
        return [word]
    pieces = [""]
    for letter in word:
        if width_mm(pieces[-1] + letter, size_mm) > room_mm:
            pieces.append("")
        pieces[-1] += letter
    return pieces
