"""The work on an archive, as it is kept: every process can say how far it is, and stop it, whichever does it. Its file
is kept in pieces until it is fetched, or taken in."""

from collections.abc import Iterator
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from typing import IO, Final
from uuid import UUID

from sqlalchemy import delete, func, select
from sqlalchemy.dialects.postgresql import insert

from ...core.measure.limits import OutOfLimits
from ...store.tables import ArchivePartRow, ArchiveWorkRow, GolferRow
from ...store.tables.keep import ArchivePhase
from ..desk.desk import Desk
from ..desk.problem import KeptOtherwise, NotYet
from ..desk.stored import Stored
from .stoppable import Cancelled, say

LARGEST_PART: Final = 8 * 1024 * 1024
MOST_PARTS: Final = 128
"""An archive may be a gigabyte."""
_BUSY: Final = ("making", "checking", "taking")
_KEPT_FOR: Final = timedelta(days=1)
"""How long a file waits to be fetched, or taken in."""


@dataclass(frozen=True, slots=True)
class Damage:
    """A file of an archive that can't be used; `needed`: rows stand in it, so nothing can be taken in without it."""

    file: str
    code: str
    needed: bool = False
    facts: tuple[tuple[str, str], ...] = ()


@dataclass(frozen=True, slots=True)
class Found:
    """What reading an archive found, and what taking it in came to; counts by table."""

    of: str = ""
    """The golfer's or the studio's name."""
    scope: str = ""
    invented: bool = False
    made_at: str = ""
    golfers: tuple[str, ...] = ()
    """The names of the first of them."""
    counts: tuple[tuple[str, int], ...] = ()
    damages: tuple[Damage, ...] = ()
    refused: str = ""
    """Why it can't be taken in, by its code; empty where it can."""
    facts: tuple[tuple[str, str], ...] = ()
    new: tuple[tuple[str, int], ...] = ()
    here: int = 0
    otherwise: int = 0
    rows_otherwise: tuple[tuple[str, str], ...] = ()


FOUND: Final[Stored[Found]] = Stored(Found)


@dataclass(frozen=True, slots=True)
class ArchiveWork:
    """An archive on its way, as it stands."""

    id: UUID
    golfer_id: UUID | None
    name: str
    phase: ArchivePhase
    total: int
    done: int
    found: Found


def work_on(desk: Desk, id: UUID) -> ArchiveWork:
    """How the work on an archive stands; `NotFound` for one that is not on its way, or was fetched long ago."""
    with desk.transaction() as session:
        row = desk.get(session, ArchiveWorkRow, id, "archive")
        found = Found() if row.found is None else FOUND.read(row.found)
        return ArchiveWork(row.id, row.golfer_id, row.name, row.phase, row.total, row.done, found)


def begin_out(desk: Desk, id: UUID, golfer_id: UUID | None, name: str) -> None:
    """Begin an archive of a golfer, or of the studio. Begun twice it is one; older ones are let go."""
    with desk.transaction() as session:
        if golfer_id is not None:
            desk.get(session, GolferRow, golfer_id, "golfer")
        _let_go(desk)
        row, new = desk.add(session, ArchiveWorkRow, id, golfer_id=golfer_id, name=name, phase="making")
        if not new and row.golfer_id != golfer_id:
            raise KeptOtherwise("archive")


def give_part(desk: Desk, id: UUID, name: str, number: int, content: bytes) -> None:
    """Give a piece of an archive's file, from 0; given again it takes the place of what was given."""
    if not 0 <= number < MOST_PARTS or len(content) > LARGEST_PART:
        raise OutOfLimits("archive", "archive_large", most_mb=MOST_PARTS * LARGEST_PART // 1024**2)
    with desk.transaction() as session:
        _let_go(desk)
        row, _ = desk.add(session, ArchiveWorkRow, id, name=name, phase="given")
        if row.phase != "given":
            raise NotYet("archive_worked_on")
        key = {"studio_id": desk.studio_id, "work_id": id, "number": number}
        session.execute(
            insert(ArchivePartRow)
            .values(**key, content=content)
            .on_conflict_do_update(index_elements=list(key), set_={"content": content})
        )


def begin_in(desk: Desk, id: UUID, phase: ArchivePhase) -> None:
    """Begin to read a given archive, or to take a read one in; asked twice it is done once."""
    before = {"checking": ("given", "checked", "stopped"), "taking": ("checked", "stopped")}[phase]
    with desk.transaction() as session:
        row = desk.get(session, ArchiveWorkRow, id, "archive", lock=True)
        if row.phase in (phase, "taken"):
            return
        if row.phase not in before:
            raise NotYet("archive_worked_on" if row.phase in _BUSY else "archive_not_read")
        found = Found() if row.found is None else FOUND.read(row.found)
        if phase == "taking" and (row.found is None or found.refused):
            raise NotYet("archive_not_read")
        row.phase, row.done, row.total, row.stop_asked = phase, 0, 0, False


def at(desk: Desk, id: UUID, done: int, total: int) -> None:
    """How far it is; raises `Cancelled` when it was told to stop."""
    if _set(desk, id, done=done, total=total):
        raise Cancelled


def end(desk: Desk, id: UUID, phase: ArchivePhase, found: Found | None = None) -> None:
    """How it ended, with what was found or came of it."""
    _set(desk, id, phase=phase, **({} if found is None else {"found": FOUND.keep(found)}))


def ask_stop(desk: Desk, id: UUID) -> None:
    """Ask whoever works on it to stop."""
    with desk.transaction() as session:
        desk.get(session, ArchiveWorkRow, id, "archive")
    _set(desk, id, stop_asked=True)


def keep_file(desk: Desk, id: UUID, file: IO[bytes]) -> None:
    """Keep what was made, piece by piece, in place of what work that was cut off left."""
    let_go_of_file(desk, id)
    with desk.transaction() as session:
        for number in range(MOST_PARTS):
            content = file.read(LARGEST_PART)
            if not content:
                return
            session.add(ArchivePartRow(studio_id=desk.studio_id, work_id=id, number=number, content=content))
            session.flush()
            session.expunge_all()
        raise OutOfLimits("archive", "archive_large", most_mb=MOST_PARTS * LARGEST_PART // 1024**2)


def let_go_of_file(desk: Desk, id: UUID) -> None:
    """Let go of a file that was taken in; what came of it stays."""
    with desk.transaction() as session:
        session.execute(
            delete(ArchivePartRow).where(ArchivePartRow.studio_id == desk.studio_id, ArchivePartRow.work_id == id)
        )


def pieces(desk: Desk, id: UUID) -> Iterator[bytes]:
    """The file, piece by piece, each fetched as it is asked for."""
    query = select(ArchivePartRow.content).where(
        ArchivePartRow.studio_id == desk.studio_id, ArchivePartRow.work_id == id
    )
    for number in range(MOST_PARTS):
        with desk.transaction() as session:
            content = session.scalar(query.where(ArchivePartRow.number == number))
        if content is None:
            return
        yield content


def size_of(desk: Desk, id: UUID) -> int:
    """How many bytes the file has."""
    query = select(func.sum(func.length(ArchivePartRow.content))).where(
        ArchivePartRow.studio_id == desk.studio_id, ArchivePartRow.work_id == id
    )
    with desk.transaction() as session:
        return session.scalar(query) or 0


def _let_go(desk: Desk) -> None:
    """Files that nobody came for are not kept for ever; what is worked on stays."""
    with desk.transaction() as session:
        session.execute(
            delete(ArchiveWorkRow).where(
                ArchiveWorkRow.studio_id == desk.studio_id,
                ArchiveWorkRow.begun_at < datetime.now(UTC) - _KEPT_FOR,
                ArchiveWorkRow.phase.not_in(_BUSY),
            )
        )


def _set(desk: Desk, id: UUID, **values: object) -> bool:
    return say(desk, ArchiveWorkRow, ArchiveWorkRow.id, id, **values)
