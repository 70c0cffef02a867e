"""Spreadsheets as people send them: the sheet of them that holds the putts, as the text of a table."""

import csv
import io
import zipfile
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, datetime, time, timedelta
from typing import Any, Final

from python_calamine import CalamineError, CalamineWorkbook

from ..core.measure.limits import OutOfLimits

_ZIP, _OLD = b"PK\x03\x04", b"\xd0\xcf\x11\xe0"
_LARGEST: Final = 256 * 1024 * 1024
"""What a workbook may come to unpacked: one that says more is no table anybody typed."""
_MOST_RATIO: Final = 200
"""A sheet packs to a tenth or a fiftieth; what packs tighter than this was made to burst."""
_SMALL: Final = 1024 * 1024
_MOST_CELLS: Final = 5_000_000
_NEVER: Final = date(1899, 12, 31)
"""A spreadsheet's time of day may come as a time of its day nought."""


@dataclass(frozen=True, slots=True)
class Book:
    """A table that was no text: its fullest sheet as CSV, that sheet's name, how many rows each of the others holds."""

    text: str
    sheet: str
    others: tuple[tuple[str, int], ...]


def is_book(content: bytes) -> bool:
    """Whether these bytes are a spreadsheet's, not a text's."""
    return content.startswith((_ZIP, _OLD))


def read_book(content: bytes) -> Book:
    """The sheet with the most rows, every row of it a line; `OutOfLimits` for what is no workbook."""
    if content.startswith(_ZIP):
        try:
            with zipfile.ZipFile(io.BytesIO(content)) as packed:
                unpacked = sum(it.file_size for it in packed.infolist())
                if unpacked > _LARGEST or (unpacked > _SMALL and unpacked > _MOST_RATIO * len(content)):
                    raise OutOfLimits("file", "file_bursts", most_mb=_LARGEST // _SMALL)
        except zipfile.BadZipFile:
            raise OutOfLimits("file", "file_no_book") from None
    try:
        book = CalamineWorkbook.from_filelike(io.BytesIO(content))
        sheets = [(name, _cells(book, name)) for name in book.sheet_names]
    except OutOfLimits:
        raise
    except (CalamineError, OSError, ValueError):
        raise OutOfLimits("file", "file_no_book") from None
    filled = [(name, rows, sum(any(cell != "" for cell in row) for row in rows)) for name, rows in sheets]
    if not filled:
        raise OutOfLimits("file", "file_no_putt")
    name, rows, _ = max(filled, key=lambda it: it[2])
    others = tuple((other, count) for other, _, count in filled if other != name and count)
    return Book(_as_csv(rows), name, others)


def _cells(book: CalamineWorkbook, name: str) -> list[list[Any]]:
    sheet = book.get_sheet_by_name(name)
    row, column = (it + 1 for it in sheet.end or (0, 0))
    if row * column > _MOST_CELLS:
        raise OutOfLimits("file", "file_far_cell", named=name, row=row, column=column)
    return sheet.to_python(skip_empty_area=False)


def _as_csv(rows: Sequence[Sequence[Any]]) -> str:
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    for row in rows:
        cells = [_said(it) for it in row]
        # An empty row keeps its line: rows are named by the number that the spreadsheet shows.
        writer.writerow(cells) if any(cells) else out.write("\n")
    return out.getvalue()


def _said(cell: Any) -> str:
    """A cell as text: numbers with a point, dates as ISO, a time of day as one; what stood over two lines on one."""
    match cell:
        case bool():
            return "true" if cell else "false"
        case float() | int():
            return f"{cell:.12g}"
        case datetime():
            return cell.time().isoformat() if cell.date() <= _NEVER else cell.isoformat(sep=" ")
        case date() | time():
            return cell.isoformat()
        case timedelta():
            return (datetime.min + cell).time().isoformat()
        case _:
            return " ".join(str(cell).split())
