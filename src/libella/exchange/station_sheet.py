"""The station sheet: the drawing, the tape list in laying order, what the hole allows, parts and cautions, on paper."""

import textwrap
from collections.abc import Iterable
from typing import Final

from ..core.briefing import allows, breaks, tape_list, trust
from ..core.golfer import Hand
from ..core.kit import kit_check
from ..core.layout import from_above, from_side
from ..core.station import Station
from ..core.wording import Units
from .paper import FOOT, MARGIN, PaperName, Sheet, foot, paper_size
from .svg import drawn, line, text

_LINE_MM: Final = 4.6
_LETTERS: Final = 118
_TAPES_MM: Final = 12.0
"""Room beside the drawing for tapes that are set off from it."""


def station_sheet(station: Station, title: str, hand: Hand, units: Units, paper: PaperName) -> tuple[Sheet, ...]:
    """One sheet, or more where what there is to say does not fit one."""
    width, height = paper_size(paper)
    room = width - 2 * MARGIN
    above, side = from_above(station, hand, units), from_side(station, units)
    scale = (room - 2 * _TAPES_MM) / (above.right - above.left)
    y = MARGIN + 6
    body = text(MARGIN, y, title, size=6, weight=700)
    body += text(MARGIN, y + 6, f"{station.words(units)} · drawn 1 : {1 / scale:.1f}, {hand}-handed golfer", size=3.4)
    y += 8 + _TAPES_MM
    body += drawn(above, MARGIN + _TAPES_MM, y, scale)
    y += (above.bottom - above.top) * scale + _TAPES_MM
    if side is not None:
        body += drawn(side, MARGIN + _TAPES_MM, y, scale)
        y += (side.bottom - side.top) * scale + 6
    objections = [f"{it.words} {it.why}" for it in station.objections(hand, units)]
    parts: list[tuple[str, Iterable[str], str]] = [
        ("Lay it in this order", tape_list(station, hand, units), "□"),
        ("Mind", objections, "!"),
        ("The putt", [*breaks(station, units), allows(station, units)], ""),
        ("What the line is worth", trust(station, units), ""),
        ("Cautions", station.cautions, "!"),
        ("Kit check", kit_check([it.about for it in (station.rig, *station.aids)]), "□"),
    ]
    lines = [row for title_, said, mark in parts for row in _rows(title_, said, mark)]
    sheets: list[Sheet] = []
    end = height - MARGIN - FOOT
    for n, (said, heading) in enumerate(lines):
        # A heading is not left alone at the foot of a sheet.
        if y + _LINE_MM * (3 if heading and n + 1 < len(lines) else 1) > end:
            sheets.append(Sheet(width, height, body + foot(width, height, title)))
            body, y = "", MARGIN
        y += _LINE_MM + (2.5 if heading else 0)
        body += text(MARGIN, y, said, size=3.8 if heading else 3.4, weight=700 if heading else 400)
        if heading:
            body += line(MARGIN, y + 1.2, width - MARGIN, y + 1.2, name="rule")
            y += 1.2
    return (*sheets, Sheet(width, height, body + foot(width, height, title)))


def _rows(title: str, said: Iterable[str], mark: str) -> list[tuple[str, bool]]:
    """A heading and its sentences as lines of a sheet; nothing where there is nothing to say."""
    rows: list[tuple[str, bool]] = []
    for it in said:
        first = f"{mark} " if mark else ""
        rows += [
            (f"{first if n == 0 else '   ' if mark else ''}{row}", False)
            for n, row in enumerate(textwrap.wrap(it, _LETTERS))
        ]
    return [(title, True), *rows] if rows else []
