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
    held = cast("dict[str, Any]", told) if isinstance(told, dict) else {"": told}
    lists = {name: cast("list[Any]", it) for name, it in held.items() if isinstance(it, list) and it}
    records = {name: it for name, it in lists.items() if all(isinstance(one, dict) for one in it)}
    if not records:
        raise OutOfLimits("file", "file_no_records")
    # Our own files hold their dictionary as records, too.
    return records.get("putts") or max(records.values(), key=len)


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
