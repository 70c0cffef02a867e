"""Paper: scenes in true size on A4 or US Letter, over several sheets where they are larger, and PDF of the sheets.

Every sheet carries a bar that must measure 100 mm: a printer set to "fit to page" is found out before anything is laid.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from html import escape
from typing import Final, Literal

from ..core.drawing.scene import Scene
from ..core.measure.units import Units
from .font import FONT
from .svg import drawn, line, svg_page, text

PaperName = Literal["a4", "letter"]
_SIZES: Final[dict[PaperName, tuple[float, float]]] = {"a4": (210.0, 297.0), "letter": (215.9, 279.4)}
MARGIN: Final = 10.0
FOOT: Final = 22.0
OVERLAP: Final = 10.0
_BAR_MM: Final = 100.0


@dataclass(frozen=True, slots=True)
class Sheet:
    """One sheet of paper, mm, with what is drawn on it as SVG elements."""

    width: float
    height: float
    body: str

    @property
    def svg(self) -> str:
        """The sheet as a file."""
        return svg_page(self.width, self.height, self.body)


def paper_size(paper: PaperName, *, wide: bool = False) -> tuple[float, float]:
    """Width and height, mm; `wide` lays the sheet on its long side."""
    short, long = _SIZES[paper]
    return (long, short) if wide else (short, long)


def usual_paper(units: Units) -> PaperName:
    """What is in the printer where these units are used."""
    return "letter" if units == "feet" else "a4"


def tiled(scene: Scene, title: str, paper: PaperName) -> tuple[Sheet, ...]:
    """The scene in true size, on as few sheets as will do; their overlaps are marked with crosses."""
    wide, tall = scene.right - scene.left, scene.bottom - scene.top
    plans = [(_grid(wide, tall, *paper_size(paper, wide=lying)), lying) for lying in (False, True)]
    (columns, rows), lying = min(plans, key=lambda it: it[0][0] * it[0][1])
    width, height = paper_size(paper, wide=lying)
    room_x, room_y = width - 2 * MARGIN, height - 2 * MARGIN - FOOT
    # One sheet: in its middle. More: from the top left corner on, each going on where the one before ended.
    left = MARGIN + max(0.0, (room_x - wide) / 2) if columns == 1 else MARGIN
    top = MARGIN + max(0.0, (room_y - tall) / 2) if rows == 1 else MARGIN
    sheets: list[Sheet] = []
    for n in range(columns * rows):
        row, column = divmod(n, columns)
        x, y = left - column * (room_x - OVERLAP), top - row * (room_y - OVERLAP)
        frame = f'<rect x="{MARGIN}" y="{MARGIN}" width="{room_x:g}" height="{room_y:g}"/>'
        clip = f'<clipPath id="sheet{n}">{frame}</clipPath>'
        body = clip + f'<g clip-path="url(#sheet{n})">{drawn(scene, x, y)}</g>'
        body += _crosses(columns, rows, column, row, room_x, room_y)
        place = "" if columns * rows == 1 else f" · row {row + 1} of {rows}, column {column + 1} of {columns}"
        sheets.append(Sheet(width, height, body + foot(width, height, f"{title}{place}")))
    return tuple(sheets)


def foot(width: float, height: float, title: str) -> str:
    """The check bar and the sheet's title."""
    y = height - MARGIN - 5
    x2 = MARGIN + _BAR_MM
    bar = line(MARGIN, y, x2, y, name="check", width=0.6)
    bar += "".join(line(at, y - 2.5, at, y + 2.5, name="check", width=0.3) for at in (MARGIN, x2))
    bar += text(
        MARGIN,
        y - 4,
        "This bar must measure 100 mm, 3 15/16 in. If not, print again at 100 %, without fitting to the page.",
        size=3,
    )
    return bar + text(width - MARGIN, y + 1, title, size=3.2, anchor="end", weight=600)


def pdf(sheets: Sequence[Sheet], title: str) -> bytes:
    """The sheets as one PDF in true size."""
    from weasyprint import HTML  # takes half a second to load, and few lessons print

    width, height = sheets[0].width, sheets[0].height
    face = f"@font-face {{ font-family: 'Libella Text'; src: url('{FONT.as_uri()}'); font-weight: 200 800; }}"
    style = (
        f"{face} @page {{ size: {width:g}mm {height:g}mm; margin: 0 }} body {{ margin: 0 }} svg {{ display: block }}"
    )
    pages = "".join(
        f'<div style="break-after: {"page" if n + 1 < len(sheets) else "auto"}">{it.svg}</div>'
        for n, it in enumerate(sheets)
    )
    html = f"<html><head><title>{escape(title)}</title><style>{style}</style></head><body>{pages}</body></html>"
    made = HTML(string=html).write_pdf()
    assert made is not None, "without a target the file is given back"
    return made


def _grid(wide: float, tall: float, width: float, height: float) -> tuple[int, int]:
    """Sheets side by side and one below another."""
    room_x, room_y = width - 2 * MARGIN, height - 2 * MARGIN - FOOT

    def count(size: float, room: float) -> int:
        return 1 if size <= room else math.ceil((size - OVERLAP) / (room - OVERLAP))

    return count(wide, room_x), count(tall, room_y)


def _crosses(columns: int, rows: int, column: int, row: int, room_x: float, room_y: float) -> str:
    """Crosses in the middle of the overlaps: lay cross on cross."""
    half = OVERLAP / 2
    xs = [MARGIN + half] * (column > 0) + [MARGIN + room_x - half] * (column < columns - 1)
    ys = [MARGIN + half] * (row > 0) + [MARGIN + room_y - half] * (row < rows - 1)
    places = [(x, MARGIN + room_y * share) for x in xs for share in (0.25, 0.75)]
    places += [(MARGIN + room_x * share, y) for y in ys for share in (0.25, 0.75)]
    return "".join(
        line(x - 4, y, x + 4, y, name="cross", width=0.25) + line(x, y - 4, x, y + 4, name="cross", width=0.25)
        for x, y in places
    )
