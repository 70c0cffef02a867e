"""The work on a file of putts, as it is kept: every process can say how far it is, and stop it, whichever does it.

A restart finds it where it was: work that nobody does any more is begun again from the start, and taking in is one
transaction, so nothing is taken in twice or by half.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Final
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.dialects.postgresql import insert

from ...store.tables import FileImportRow, FileWorkRow
from ...store.tables.keep import Phase
from ...words.keep.file_rows import Doubt, ReadRow
from ..desk.desk import Desk
from ..desk.problem import NotYet
from ..desk.stored import Stored
from .stoppable import Cancelled, say


@dataclass(frozen=True, slots=True)
class BadRow:
    """A row that can't be taken in, and why.

    `at`, `cell`: the column that can't be read and what stands in it, where that can be mended; -1 where it is the row.
    """

    line: int
    column: str
    reason: str
    at: int = -1
    cell: str = ""


@dataclass(frozen=True, slots=True)
class Found:
    """What reading a whole file found; the first bad rows are listed, all are counted."""

    good: int = 0
    bad: int = 0
    listed: tuple[BadRow, ...] = ()
    blocks: int = 0
    lessons: int = 0
    first_at: datetime | None = None
    last_at: datetime | None = None
    read_out: tuple[ReadRow, ...] = ()
    doubts: tuple[Doubt, ...] = ()
    refused: str = ""
    """The field for which the file can't be read so at all; empty where it can."""


FOUND: Final[Stored[Found]] = Stored(Found)
_BUSY: Final = ("checking", "taking")


@dataclass(frozen=True, slots=True)
class Work:
    """The work on a file as it stands; `idle` before any."""

    phase: Phase | None = None
    total: int = 0
    done: int = 0
    found: Found = Found()

    @property
    def is_going_on(self) -> bool:
        return self.phase in _BUSY


def work_on(desk: Desk, import_ids: Sequence[UUID]) -> dict[UUID, Work]:
    """The work on each of these files; a file that was never worked on is left out."""
    query = select(FileWorkRow).where(FileWorkRow.studio_id == desk.studio_id, FileWorkRow.import_id.in_(import_ids))
    with desk.transaction() as session:
        return {
            it.import_id: Work(it.phase, it.total, it.done, Found() if it.found is None else FOUND.read(it.found))
            for it in session.scalars(query)
        }


def begin(desk: Desk, import_id: UUID, phase: Phase, total: int) -> None:
    """Begin work on a file; `NotYet` while other work on it goes on. What was found stays while it is taken in."""
    with desk.transaction() as session:
        desk.get(session, FileImportRow, import_id, "import", lock=True)
        row = session.get(FileWorkRow, (desk.studio_id, import_id), with_for_update=True)
        if row is not None and row.phase in _BUSY:
            raise NotYet("file_worked_on")
        values = {"phase": phase, "total": total, "done": 0, "stop_asked": False}
        if phase == "checking":
            values |= {"found": None}
        session.execute(
            insert(FileWorkRow)
            .values(studio_id=desk.studio_id, import_id=import_id, **values)
            .on_conflict_do_update(index_elements=["studio_id", "import_id"], set_=values)
        )


def at(desk: Desk, import_id: UUID, done: int) -> None:
    """How far it is; raises `Cancelled` when it was told to stop."""
    stop = _set(desk, import_id, done=done)
    if stop:
        raise Cancelled


def end(desk: Desk, import_id: UUID, phase: Phase, found: Found | None = None) -> None:
    """How it ended; with what was found, where it was the reading."""
    _set(desk, import_id, phase=phase, **({} if found is None else {"found": FOUND.keep(found)}))


def ask_stop(desk: Desk, import_id: UUID) -> None:
    """Ask whoever works on it to stop."""
    _set(desk, import_id, stop_asked=True)


def _set(desk: Desk, import_id: UUID, **values: object) -> bool:
    return say(desk, FileWorkRow, FileWorkRow.import_id, import_id, **values)
