"""A file of putts as a sheet: its text, how it is cut into cells, its headings."""

import contextlib
import csv
import hashlib
import io
import re
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from typing import Final, Literal, NamedTuple

from ..core.measure.limits import OutOfLimits

MOST_COLUMNS: Final = 256
MOST_ROWS: Final = 250_000
LARGEST_FILE: Final = 64 * 1024 * 1024
# A quote that is never closed makes one long cell of all that follows: that is said of its row, not of the file.
csv.field_size_limit(LARGEST_FILE)


class Row(NamedTuple):
    """A row: its last line's number as an editor counts it, its cells, and how many lines a broken quote ran over."""

    line: int
    cells: list[str]
    swallowed: int


@dataclass(frozen=True, slots=True)
class Sheet:
    """A file as read: its text, how it is cut into cells, its headings."""

    text: str
    delimiter: str
    headings: tuple[str, ...]
    rows: int
    decimal: Literal[".", ","] | None
    """As the first rows write it; None where they tell nothing."""

    @property
    def digest(self) -> str:
        """The same for every file with these headings."""
        return hashlib.sha256("\x1f".join(self.headings).encode()).hexdigest()

    def lines(self) -> Iterator[Row]:
        """Each row after the headings; empty ones are passed over."""
        source = self.text.split("\n")
        reader = csv.reader(io.StringIO(self.text), delimiter=self.delimiter)
        next(reader, None)
        before = reader.line_num
        for cells in reader:
            first, before = before, reader.line_num
            if any(cells):
                yield Row(before, cells, self._swallowed(source[first:before]))

    def _swallowed(self, lines: Sequence[str]) -> int:
        """How many lines a quote that was never closed, or closed in the wrong place, made one row of; 0 for a sound
        row, which may run over several lines too."""
        if len(lines) < 2:
            return 0
        try:
            list(csv.reader(lines, delimiter=self.delimiter, strict=True))
        except csv.Error:
            return len(lines)
        return 0


def read_sheet(content: bytes) -> Sheet:
    """Text, delimiter, headings; `OutOfLimits` for what is no table of putts."""
    text = _decoded(content)
    if "\x00" in text:
        raise OutOfLimits("file", "file_no_text")
    lines = [it for it in text[:200_000].splitlines() if it.strip()][:30]
    if len(lines) < 2:
        raise OutOfLimits("file", "file_no_putt")
    delimiter = _delimiter(lines)
    try:
        headings = next(csv.reader(io.StringIO(text), delimiter=delimiter))
        rows = sum(1 for cells in csv.reader(io.StringIO(text), delimiter=delimiter) if any(cells)) - 1
    except csv.Error as fault:
        what = "file_cell_long" if "limit" in str(fault) else "file_quote_broken"
        raise OutOfLimits("file", what) from None
    if len(headings) > MOST_COLUMNS:
        raise OutOfLimits("file", "file_wide", told=len(headings), most=MOST_COLUMNS)
    if rows > MOST_ROWS:
        raise OutOfLimits("file", "file_long", told=rows, most=MOST_ROWS)
    cells = [cell for row in csv.reader(io.StringIO("\n".join(lines[1:])), delimiter=delimiter) for cell in row]
    commas = sum(bool(re.fullmatch(r"[+-]?\d+,\d+", it.strip())) for it in cells)
    points = sum(bool(re.fullmatch(r"[+-]?\d+\.\d+", it.strip())) for it in cells)
    named = tuple(it.strip()[:80] or f"column {n + 1}" for n, it in enumerate(headings))
    return Sheet(text, delimiter, named, rows, None if commas == points else "," if commas > points else ".")


def _last_whole(text: str, delimiter: str) -> int:
    """The last line up to which a text can be cut into cells."""
    reader = csv.reader(io.StringIO(text), delimiter=delimiter)
    with contextlib.suppress(csv.Error):
        for _ in reader:
            pass
    return reader.line_num


def _decoded(content: bytes) -> str:
    """The text, its lines ended alike however they were ended."""
    return _as_text(content).replace("\r\n", "\n").replace("\r", "\n")


def _as_text(content: bytes) -> str:
    if content.startswith((b"\xff\xfe", b"\xfe\xff")):
        return content.decode("utf-16", errors="replace")
    try:
        return content.decode("utf-8-sig")
    except UnicodeDecodeError:
        return content.decode("cp1252", errors="replace")


def _delimiter(lines: Sequence[str]) -> str:
    """The character that cuts the first lines into the same number of cells, the most of them."""

    def cells(mark: str) -> tuple[int, int]:
        try:
            counts = [len(row) for row in csv.reader(lines, delimiter=mark)]
        except csv.Error:
            return 0, 0
        alike = sum(it == counts[0] for it in counts) if counts[0] > 1 else 0
        return alike, counts[0]

    return max((";", ",", "\t", "|"), key=cells)
