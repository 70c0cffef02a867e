"""One cell of a file: its text without what can't be seen, a number with its unit and side, a date, a time of day."""

import re
import unicodedata
from collections.abc import Iterable
from datetime import UTC, date, datetime, time, timedelta
from functools import lru_cache
from typing import Final, Literal

from ..core.measure.constants import INCH_M
from .headings import unit_word

Order = Literal["day", "month"]
_DASHES: Final = dict.fromkeys(map(ord, "−–—‒‐‑﹣－"), "-")
_QUOTES: Final = {ord("’"): "'", ord("‘"): "'", ord("′"): "'", ord("”"): '"', ord("“"): '"', ord("″"): '"'}
SIDES: Final = {
    "l": "left", "left": "left", "r": "right", "right": "right", "lt": "left", "rt": "right", "←": "left", "→": "right",
    "pull": "pull", "push": "push", "open": "open", "closed": "closed", "toe": "toe",
    "heel": "heel", "high": "high", "low": "low", "past": "past", "long": "past",
    "short": "short", "in to out": "in_to_out", "in_to_out": "in_to_out", "in-to-out": "in_to_out",
    "out to in": "out_to_in", "out_to_in": "out_to_in", "out-to-in": "out_to_in", "down": "down", "up": "up",
}  # fmt: skip
_NUMBER: Final = r"[+-]?\s?\d*[.,]?\d+(?:[eE][+-]?\d+)?"
_PARTS: Final = re.compile(rf"([^\d+\-.,]*?)\s*({_NUMBER})\s*(.*)")
_FEET: Final = re.compile(r"(\d+)\s*(?:'|ft|feet)\s*(\d+(?:[.,]\d+)?)\s*(?:\"|in|inches)?")


def plain(cell: str) -> str:
    """A cell without what can't be seen; every kind of dash, quote and space is the one on a keyboard."""
    if cell.isascii():
        return cell.strip()
    said = cell.translate(_DASHES).translate(_QUOTES)
    said = "".join(" " if unicodedata.category(it) == "Zs" else it for it in said if unicodedata.category(it) != "Cf")
    return said.strip()


def is_number(cell: str) -> bool:
    """Whether a cell is a number, whatever its decimal sign; a date is none."""
    return bool(re.fullmatch(_NUMBER, plain(cell)))


def decimal_of(cells: Iterable[str]) -> Literal[".", ","] | None:
    """The decimal sign of these cells, by the commoner; None where they tell nothing."""
    points = commas = 0
    for it in cells:
        points += bool(re.search(r"\d\.\d", it))
        commas += bool(re.search(r"\d,\d", it))
    return None if points == commas else "," if commas > points else "."


@lru_cache(maxsize=65536)
def number(cell: str, units: tuple[tuple[str, float], ...], unit: str, decimal: str) -> tuple[float, str]:
    """Number and side of a cell: "1.2", "-1,2", "12 mm", "0.5° L", "L 1.2", "(1.2)", "8' 2"; a unit in the cell goes
    before the column's. The side is as it was said; `ValueError` with the reason for what can't be read."""
    if cell[0] in "=@" or (cell[0] in "+-" and not re.match(r"[+-]\s*[\d.,]", cell)):
        raise ValueError("a formula, not a value")
    known = dict(units)
    if "ft" in known and (feet := _FEET.fullmatch(cell)):
        return (int(feet[1]) * 12 + float(feet[2].replace(",", "."))) * INCH_M, ""
    minus = re.fullmatch(r"\(([^()]*)\)", cell)
    found = _PARTS.fullmatch(minus[1] if minus else cell)
    if not found:
        raise ValueError(f"{cell[:30]!r} is no number")
    before, digits, after = found[1].strip(" :").casefold(), found[2].replace(" ", ""), found[3].strip().casefold()
    other = "," if decimal == "." else "."
    if other in digits:
        raise ValueError(f"{cell[:30]!r} has a decimal {'comma' if other == ',' else 'point'}; this file has the other")
    value = float(digits.replace(",", ".")) * (-1 if minus else 1)
    side = SIDES.get(before, "")
    if before and not side:
        raise ValueError(f"{cell[:30]!r} is no number")
    said, after = _side_after(after, known)
    if said and side:
        raise ValueError(f"{cell[:30]!r} says a side twice")
    side = side or said
    if after and (after := unit_word(after) or after) not in known:
        raise ValueError(f"{after[:20]!r} is no unit of it: {', '.join(it for it in known if it)}")
    if not (after or unit) and "" not in known:
        raise ValueError(f"{cell[:30]!r} has no unit: say the column's")
    if side and value < 0:
        raise ValueError(f"{cell[:30]!r} has a minus and a side: which of them says where")
    return value * known[after or unit], side


def _side_after(said: str, known: dict[str, float]) -> tuple[str, str]:
    """The side at the end of what stands behind a number, and the rest."""
    if said in known or unit_word(said) in known:
        return "", said
    for word in sorted(SIDES, key=len, reverse=True):
        rest = said.removesuffix(word)
        if rest != said and (not rest or rest[-1] in " °%" or unit_word(rest) in known):
            return SIDES[word], rest.strip()
    return "", said


_DAYS: Final[dict[Order, tuple[str, ...]]] = {
    "day": ("%d/%m/%Y", "%d/%m/%y", "%d-%m-%Y", "%d-%m-%y"),
    "month": ("%m/%d/%Y", "%m/%d/%y", "%m-%d-%Y", "%m-%d-%y"),
}
_NAMED: Final = ("%d.%m.%Y", "%d.%m.%y", "%Y/%m/%d", "%Y.%m.%d", "%d %b %Y", "%d %B %Y", "%d-%b-%Y", "%d-%b-%y",
                 "%d %b %y", "%b %d, %Y", "%B %d, %Y", "%b %d %Y")  # fmt: skip
"""Dates that can be read one way only, whoever wrote them."""
_CLOCKS: Final = ("%H:%M:%S", "%H:%M", "%H:%M:%S.%f", "%I:%M:%S %p", "%I:%M %p", "%I:%M:%S%p", "%I:%M%p", "%H.%M.%S")
_EITHER: Final = re.compile(r"(\d{1,2})[/-](\d{1,2})[/-](\d{2}|\d{4})(?!\d)")
_SERIAL: Final = re.compile(r"[2-7]\d{4}(\.\d+)?")
_EPOCH: Final = re.compile(r"1\d{9}(\.\d+)?|1\d{12}")
_SPREADSHEET: Final = datetime(1899, 12, 30, tzinfo=UTC)


def is_either(cell: str) -> bool:
    """Whether a date can be read with the day first and with the month first, and is another day then."""
    found = _EITHER.match(cell)
    return found is not None and int(found[1]) <= 12 and int(found[2]) <= 12 and found[1] != found[2]


def order_of(cells: Iterable[str]) -> tuple[Order | None, bool]:
    """Whether dates that can be read two ways begin with the day or the month, by all of them together; and whether
    any is there. None where none of them tells, or some tell one and some the other."""
    day = month = either = False
    for it in cells:
        if found := _EITHER.match(it):
            either = True
            day, month = day or int(found[1]) > 12, month or int(found[2]) > 12
    return (None if day == month else "day" if day else "month"), either


@lru_cache(maxsize=8192)
def moment(cell: str, order: Order | None) -> tuple[datetime, bool] | None:
    """A date and time, and whether it names its zone; without one it is taken for UTC. None for what is neither."""
    if _SERIAL.fullmatch(cell):
        return _SPREADSHEET + timedelta(seconds=round(float(cell) * 86400)), False
    if _EPOCH.fullmatch(cell):
        value = float(cell)
        return datetime.fromtimestamp(value / 1000 if value > 1e11 else value, UTC), True
    try:
        found = datetime.fromisoformat(cell)
    except ValueError:
        found = None
    if found is not None:
        if found.tzinfo is None:
            return found.replace(tzinfo=UTC), False
        try:
            return found.astimezone(UTC), True
        except OverflowError:
            return None
    for said, hour in _cut(cell):
        on, at = _date(said, order), clock(hour) if hour else time()
        if on is not None and at is not None:
            return datetime.combine(on, at, UTC), False
    return None


def _cut(cell: str) -> Iterable[tuple[str, str]]:
    """Where a date may end and its time begin: nowhere, or at any space or T."""
    yield cell, ""
    for it in re.finditer(r",?\s+|(?<=\d)T(?=\d)", cell):
        yield cell[: it.start()], cell[it.end() :]


@lru_cache(maxsize=4096)
def _date(said: str, order: Order | None) -> date | None:
    for form in (*_NAMED, *(_DAYS[order] if order else ())):
        try:
            return datetime.strptime(said, form).date()
        except ValueError:
            continue
    return None


@lru_cache(maxsize=8192)
def clock(cell: str) -> time | None:
    """A time of day; None for what is none. A spreadsheet may give it as a share of the day."""
    if re.fullmatch(r"0?\.\d+|0", cell):
        return (datetime.min + timedelta(seconds=round(float(cell) * 86400))).time()
    said = re.sub(r"\b([ap])\.?\s?m\.?$", r"\1m", cell.strip().casefold()).upper()
    for form in _CLOCKS:
        try:
            return datetime.strptime(said, form).time()
        except ValueError:
            continue
    return None
