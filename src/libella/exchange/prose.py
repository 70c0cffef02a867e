"""Headings and sentences on paper, over as many sheets as they take."""

from collections.abc import Iterable, Sequence
from typing import Final

from .font import wrapped
from .paper import FOOT, MARGIN, Sheet, foot
from .svg import line, text

_LINE_MM: Final = 4.6
_TEXT_MM: Final = 3.4
_INDENT_MM: Final = 5.0
"""What the mark before a sentence takes, and the lines below it."""


def written(first: Sheet, y: float, parts: Sequence[tuple[str, Iterable[str], str]], title: str) -> tuple[Sheet, ...]:
    """Parts (heading, sentences, the mark before each) below what `first` holds down to y mm; feet are added."""
    width, height, body = first.width, first.height, first.body
    lines = [
        row for heading, said, mark in parts for row in _rows(heading, said, mark, width - 2 * MARGIN - _INDENT_MM)
    ]
    sheets: list[Sheet] = []
    end = height - MARGIN - FOOT
    for n, (said, heading) in enumerate(lines):
        # A heading is not left alone at the foot of a sheet.
        if y + _LINE_MM * (3 if heading and n + 1 < len(lines) else 1) > end:
            sheets.append(Sheet(width, height, body + foot(width, height, title)))
            body, y = "", MARGIN
        y += _LINE_MM + (2.5 if heading else 0)
        body += text(MARGIN, y, said, size=3.8 if heading else _TEXT_MM, weight=700 if heading else 400)
        if heading:
            body += line(MARGIN, y + 1.2, width - MARGIN, y + 1.2, name="rule")
            y += 1.2
    return (*sheets, Sheet(width, height, body + foot(width, height, title)))


def _rows(title: str, said: Iterable[str], mark: str, room: float) -> list[tuple[str, bool]]:
    """A heading and its sentences as lines of a sheet; nothing where there is nothing to say."""
    rows: list[tuple[str, bool]] = []
    for it in said:
        first = f"{mark} " if mark else ""
        rows += [
            (f"{first if n == 0 else '   ' if mark else ''}{row}", False)
            for n, row in enumerate(wrapped(it, _TEXT_MM, room))
        ]
    return [(title, True), *rows] if rows else []
