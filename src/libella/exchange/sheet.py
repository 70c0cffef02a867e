"""A file of putts as a sheet: its text, how it is cut into cells, what stands above its headings, its headings."""

import contextlib
import csv
import hashlib
import re
from collections import Counter
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from typing import Final, NamedTuple

from charset_normalizer import from_bytes

from ..core.measure.limits import OutOfLimits
from .cells import is_number, plain
from .forms_in import form_of
from .headings import is_unit, means, unit_in

MOST_COLUMNS: Final = 256
MOST_ROWS: Final = 250_000
LARGEST_FILE: Final = 64 * 1024 * 1024
_LOOKED_AT: Final = 60
_BELOW: Final = 5
_NUL, _ENOUGH = "\x00", 200_000
# A quote that is never closed makes one long cell of all that follows: that is said of its row, not of the file.
csv.field_size_limit(LARGEST_FILE)


class Row(NamedTuple):
    """A row: its last line's number as an editor counts it, its cells, and how many lines a broken quote ran over."""

    line: int
    cells: list[str]
    swallowed: int


@dataclass(frozen=True, slots=True)
class Sheet:
    """A file as read.

    Attributes
    ----------
    text, delimiter : what it says, and how that is cut into cells
    headings : the columns' names, with the unit of a row of units below them
    rows : how many lines below the headings hold anything
    begins : the line after which the rows begin
    above : the lines above the headings that were passed over
    sheet, others : of a workbook, which sheet this is, and how many rows each of the others holds
    """

    text: str
    delimiter: str
    headings: tuple[str, ...]
    rows: int
    begins: int
    above: tuple[str, ...] = ()
    sheet: str = ""
    others: tuple[tuple[str, int], ...] = ()

    @property
    def digest(self) -> str:
        """The same for every file with these headings, cut in this way."""
        return hashlib.sha256("\x1f".join((self.delimiter, *self.headings)).encode()).hexdigest()

    def lines(self) -> Iterator[Row]:
        """Each row after the headings; empty ones are passed over."""
        source = list[str]()
        reader = csv.reader(_read_of(self.text, source), delimiter=self.delimiter)
        for cells in reader:
            if reader.line_num > self.begins and any(it.strip() for it in cells):
                yield Row(reader.line_num, [it.strip() for it in cells], self._swallowed(source))
            source.clear()

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


def _read_of(text: str, into: list[str] | None = None) -> Iterator[str]:
    """The lines of a text one after the other, none of it held twice; each is put into a list of the caller's, too."""
    at = 0
    while at < len(text):
        end = text.find("\n", at) + 1 or len(text)
        if into is not None:
            into.append(text[at:end].removesuffix("\n"))
        yield text[at:end]
        at = end


def read_sheet(content: bytes) -> Sheet:
    """Text, delimiter, headings; `OutOfLimits` for what is no table of putts."""
    name, others = "", ()
    if form := form_of(content):
        book = form.read(content)
        text, delimiter, name, others = book.text, ",", book.sheet, book.others
        skip = 0
    else:
        text = _decoded(content)
        if _NUL in text:
            raise OutOfLimits("file", "file_no_text")
        # A spreadsheet's own word for how it cut the file.
        told = re.match(r"sep=(.)\n", text)
        skip = 1 if told else 0
        lines = [it for it in text[:_ENOUGH].split("\n")[skip:] if it.strip()][:_LOOKED_AT]
        delimiter = told[1] if told else _delimiter(lines)
    first = _first_rows(text, delimiter, skip)
    at = _headings_at(first)
    if at is None:
        raise OutOfLimits("file", "file_no_putt")
    headings, below = [plain(it) for it in first[at].cells], at + 1
    if below < len(first) - 1 and _are_units(first[below].cells):
        headings = [f"{it} ({unit})" if unit else it for it, unit in _paired(headings, first[below].cells)]
        below += 1
    begins = first[below - 1].line
    rows = _counted(text, delimiter, begins)
    if not rows:
        raise OutOfLimits("file", "file_no_putt")
    if len(headings) > MOST_COLUMNS:
        raise OutOfLimits("file", "file_wide", told=len(headings), most=MOST_COLUMNS)
    if rows > MOST_ROWS:
        raise OutOfLimits("file", "file_long", told=rows, most=MOST_ROWS)
    named = tuple(it[:80] or f"column {n + 1}" for n, it in enumerate(headings))
    above = tuple(" ".join(filter(None, map(plain, it.cells)))[:200] for it in first[:at])
    return Sheet(text, delimiter, named, rows, begins, above, name, others)


def _first_rows(text: str, delimiter: str, skip: int) -> list[Row]:
    """The first rows that hold anything, whatever they are."""
    found: list[Row] = []
    reader = csv.reader(_read_of(text), delimiter=delimiter)
    try:
        for cells in reader:
            if reader.line_num > skip and any(it.strip() for it in cells):
                found.append(Row(reader.line_num, cells, 0))
            if len(found) == _LOOKED_AT:
                break
    except csv.Error as fault:
        raise _uncut(fault) from None
    return found


def _counted(text: str, delimiter: str, begins: int) -> int:
    reader = csv.reader(_read_of(text), delimiter=delimiter)
    try:
        return sum(reader.line_num > begins and any(it.strip() for it in cells) for cells in reader)
    except csv.Error as fault:
        raise _uncut(fault) from None


def _uncut(fault: csv.Error) -> OutOfLimits:
    return OutOfLimits("file", "file_cell_long" if "limit" in str(fault) else "file_quote_broken")


def _headings_at(rows: Sequence[Row]) -> int | None:
    """Which of the first rows holds the headings: as wide as the table is, of words, with something below it."""
    if len(rows) < 2:
        return None
    widths = Counter(_width(it.cells) for it in rows)
    usual = max(widths, key=lambda it: (widths[it], it))
    found: dict[int, tuple[bool, int, int]] = {}
    for n, row in enumerate(rows[:-1]):
        filled = [it for it in row.cells if it.strip()]
        # A table may have columns without a name; a title above it is not nearly as wide.
        wide = _width(row.cells) >= usual or len(filled) > 0.6 * usual
        if wide and not any(is_number(it) for it in filled):
            below = [it for it in rows[n + 1 :] if not _are_units(it.cells)][:_BELOW]
            known = any(means(plain(it), unit_in(it)) for it in filled)
            found[n] = known, sum(any(letter.isdigit() for letter in "".join(it.cells)) for it in below), -n
    # What was noted above the table is of words as well: its headings say something of a putt, and below them every row
    # tells something.
    return max(found, key=lambda it: found[it], default=0)


def _width(cells: Sequence[str]) -> int:
    """How many cells a row has, not counting empty ones at its end."""
    return max((n + 1 for n, it in enumerate(cells) if it.strip()), default=0)


def _are_units(cells: Sequence[str]) -> bool:
    """Whether a row below the headings is one of units."""
    filled = [it for it in cells if it.strip()]
    return bool(filled) and all(is_unit(it) for it in filled)


def _paired(headings: Sequence[str], units: Sequence[str]) -> Iterator[tuple[str, str]]:
    for n, it in enumerate(headings):
        yield it, plain(units[n]).strip("()[] ") if n < len(units) else ""


def _decoded(content: bytes) -> str:
    """The text, its lines ended alike however they were ended."""
    return _as_text(content).replace("\r\n", "\n").replace("\r", "\n")


def _as_text(content: bytes) -> str:
    if content.startswith((b"\xff\xfe", b"\xfe\xff")):
        return content.decode("utf-16", errors="replace")
    with contextlib.suppress(UnicodeDecodeError):
        return content.decode("utf-8-sig")
    # A short text gives a guesser little to go by: of what western spreadsheets write it is to choose.
    found = from_bytes(content[:_ENOUGH], cp_isolation=["cp1252", "utf_16_le", "utf_16_be", "mac_roman"]).best()
    return content.decode("cp1252" if found is None else found.encoding, errors="replace")


def _delimiter(lines: Sequence[str]) -> str:
    """The character that cuts most of the first lines into the same number of cells, the most of them; a comma, which
    may stand in numbers, only where it cuts more of them alike than any other."""

    def cells(mark: str) -> tuple[int, bool, int]:
        try:
            counts = [len(row) for row in csv.reader(lines, delimiter=mark)]
        except csv.Error:
            return 0, False, 0
        usual, alike = Counter(it for it in counts if it > 1).most_common(1)[0] if max(counts) > 1 else (0, 0)
        return alike, mark != ",", usual

    return max((";", ",", "\t", "|"), key=cells) if lines else ","
