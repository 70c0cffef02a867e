"""Putts sent as JSON, as Libella sends them itself: a list of records, or one object that holds such a list."""

import csv
import io
import json
import re
from collections.abc import Mapping, Sequence
from typing import Any, Final, cast

from ..core.measure.limits import OutOfLimits
from .book import Book
from .spreadsheet import for_spreadsheet

_BEGINS: Final = re.compile(rb'\s*(\[\s*\{|\{\s*")')


def is_records(content: bytes) -> bool:
    """Whether these bytes begin as records do, not as a table in brackets."""
    return bool(_BEGINS.match(content.removeprefix(b"\xef\xbb\xbf")[:200]))


def read_records(content: bytes) -> Book:
    """Every record a row, under all names any of them has; `OutOfLimits` for what holds no list of records."""
    try:
        told = json.loads(content.decode("utf-8-sig"))
    except (ValueError, RecursionError):
        raise OutOfLimits("file", "file_no_records") from None
    rows = _rows(told)
    names = list(dict.fromkeys(name for row in rows for name in row))
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    writer.writerow(names)
    writer.writerows([_cell(row.get(name)) for name in names] for row in rows)
    return Book(out.getvalue(), "", ())


def _rows(told: Any) -> Sequence[Mapping[str, Any]]:
    held: list[Any] = list(cast("Mapping[str, Any]", told).values()) if isinstance(told, dict) else [told]
    lists = [cast("list[Any]", it) for it in held if isinstance(it, list)]
    of_records = [it for it in lists if it and all(isinstance(one, dict) for one in it)]
    if not of_records:
        raise OutOfLimits("file", "file_no_records")
    # The dictionary of our own files is a list of records too, shorter than any lesson's or told before it.
    named = cast("Mapping[str, Any]", told).get("putts") if isinstance(told, dict) else None
    return cast("Sequence[Mapping[str, Any]]", named if named in of_records else max(of_records, key=len))


def _cell(value: Any) -> str:
    match value:
        case None:
            return ""
        case bool():
            return "true" if value else "false"
        case str():
            return for_spreadsheet(value)
        case dict() | list():
            return json.dumps(value, ensure_ascii=False, sort_keys=True)
        case _:
            return f"{value}"
