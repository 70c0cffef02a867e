"""Reading a whole file of putts, and taking it in: the work itself, for whichever process does it."""

import logging
from collections.abc import Iterator
from datetime import UTC, datetime
from uuid import UUID

from ..core.measure.limits import OutOfLimits
from ..lessons.desk.desk import Desk
from ..lessons.golfer import golfers
from ..lessons.keep import file_work, imports
from ..lessons.keep.imports import PuttRow
from ..lessons.keep.stoppable import Cancelled
from ..lessons.values import KeptFileImport
from .apart import read_apart
from .columns import MAPPING, ColumnMapping
from .putt_rows import Check, putts
from .sheet import Sheet

_log = logging.getLogger("libella")
_EVERY = 1000
_newest: dict[UUID, tuple[ColumnMapping, list[PuttRow]]] = {}
"""The rows this process read last, so that taking them in need not read them again; any other process reads anew."""


def check_file(desk: Desk, id: UUID) -> None:
    """Read the whole file as told, and keep what was found."""
    row, mapping = _file(desk, id)
    sheet = read_apart(imports.content_of(desk, id))
    check, rows = Check(), list[PuttRow]()
    try:
        for it in _rows(desk, row, mapping, sheet, check):
            rows.append(it)
            if check.good % _EVERY == 0:
                file_work.at(desk, id, check.good + check.bad)
        file_work.at(desk, id, sheet.rows)
    except Cancelled:
        file_work.end(desk, id, "stopped", check.found())
        return
    except OutOfLimits as fault:
        file_work.end(desk, id, "failed", check.found(refused=fault.field))
        return
    except Exception:
        file_work.end(desk, id, "failed")
        _log.exception("reading a file failed")
        raise
    _newest.clear()
    _newest[id] = mapping, rows
    file_work.end(desk, id, "checked", check.found())


def take_file(desk: Desk, id: UUID) -> None:
    """Take the good rows in, all in one transaction; one that is in already is left as it is."""
    row, mapping = _file(desk, id)
    kept = _newest.pop(id, None)
    if kept and kept[0] == mapping:
        rows = iter(kept[1])
    else:
        rows = _rows(desk, row, mapping, read_apart(imports.content_of(desk, id)), Check())
    bad = file_work.work_on(desk, [id])[id].found.bad
    try:
        imports.take(desk, id, rows, bad, datetime.now(UTC), lambda done: file_work.at(desk, id, done))
    except Cancelled:
        file_work.end(desk, id, "stopped")
    except Exception:
        file_work.end(desk, id, "failed")
        _log.exception("taking a file in failed")
        raise
    else:
        file_work.end(desk, id, "done")


def _file(desk: Desk, id: UUID) -> tuple[KeptFileImport, ColumnMapping]:
    row = imports.file_import(desk, id)
    return row, MAPPING.read(row.mapping or {})


def _rows(desk: Desk, row: KeptFileImport, mapping: ColumnMapping, sheet: Sheet, check: Check) -> Iterator[PuttRow]:
    golfer = golfers.golfer(desk, row.golfer_id)
    return putts(sheet, mapping, golfer.name, golfer.hand, row.given_at, check)
