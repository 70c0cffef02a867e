"""Files of putts on their way in: kept as given, taken in whole or not at all, undone by voiding what they made."""

import gzip
import hashlib
import json
from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass
from datetime import UTC, datetime
from typing import Any, Generic, TypeVar
from uuid import UUID

import uuid6
from sqlalchemy import func, select, text, update
from sqlalchemy.dialects.postgresql import insert
from sqlalchemy.orm import Session, undefer

from ...core.measure.limits import OutOfLimits
from ...core.set.station import Station
from ...store.copied import copy_in
from ...store.tables import BlockRow, ColumnMapRow, FileImportRow, GolferRow, LessonRow, ReadingRow, StationRow
from ..desk.desk import Desk
from ..desk.problem import KeptOtherwise, NotYet
from ..set.stations import StationEntry, laid_values
from ..values import KeptFileImport, KeptGolfer, KeptLesson, value_of, values_of

MOST_BLOCKS = 2000
_TOGETHER = 5000
_UNDONE = "import undone"
_EARLIEST, _LATEST = datetime.min.replace(tzinfo=UTC), datetime.max.replace(tzinfo=UTC)
Row = TypeVar("Row")


@dataclass(frozen=True, slots=True)
class PuttRow:
    """One putt of a file, in Libella's units and signs; `lesson` and `block` tell which rows belong together."""

    lesson: str
    block: tuple[str, ...]
    taken_at: datetime
    condition: str
    guided: bool
    station: StationEntry
    raw: dict[str, float | str]
    notes: dict[str, str | float]
    voided: bool = False
    void_reason: str | None = None
    flags: tuple[str, ...] = ()


def too_many_blocks() -> OutOfLimits:
    """The error for a file that falls apart into more blocks than anybody putted."""
    return OutOfLimits("mapping", "too_many_blocks", most=MOST_BLOCKS)


Progress = Callable[[int], None]
"""Told how many putts are written; may raise `stoppable.Cancelled`."""


def keep_file(desk: Desk, id: UUID, golfer_id: UUID, name: str, content: bytes, at: datetime) -> KeptFileImport:
    """Keep a file as it was given. Given again under its id it is one."""
    digest = hashlib.sha256(content).hexdigest()
    with desk.transaction() as session:
        desk.get(session, GolferRow, golfer_id, "golfer")
        values = {"golfer_id": golfer_id, "name": name, "digest": digest, "state": "given", "given_at": at}
        row, new = desk.add(session, FileImportRow, id, **values, content=gzip.compress(content, 3))
        if not new and (row.digest, row.golfer_id) != (digest, golfer_id):
            raise KeptOtherwise("file")
        return value_of(KeptFileImport, row)


def file_import(desk: Desk, id: UUID) -> KeptFileImport:
    with desk.transaction() as session:
        return value_of(KeptFileImport, desk.get(session, FileImportRow, id, "import"))


def content_of(desk: Desk, id: UUID) -> bytes:
    """The file as it was given."""
    query = select(FileImportRow).where(FileImportRow.studio_id == desk.studio_id, FileImportRow.id == id)
    with desk.transaction() as session:
        desk.get(session, FileImportRow, id, "import")
        return gzip.decompress(session.scalars(query.options(undefer(FileImportRow.content))).one().content)


def imports_of(desk: Desk, golfer_id: UUID) -> Sequence[KeptFileImport]:
    """A golfer's files, newest first."""
    query = select(FileImportRow).where(FileImportRow.studio_id == desk.studio_id, FileImportRow.golfer_id == golfer_id)
    with desk.transaction() as session:
        return values_of(KeptFileImport, session.scalars(query.order_by(FileImportRow.given_at.desc()).limit(20)))


def taken_before(desk: Desk, row: KeptFileImport) -> datetime | None:
    """When the very same file was taken in for the same golfer, and not undone since."""
    query = select(func.max(FileImportRow.taken_at)).where(
        FileImportRow.studio_id == desk.studio_id,
        FileImportRow.golfer_id == row.golfer_id,
        FileImportRow.digest == row.digest,
        FileImportRow.state == "taken",
        FileImportRow.id != row.id,
    )
    with desk.transaction() as session:
        return session.scalar(query)


MOST_TOLD = 20


def lessons_made(desk: Desk, id: UUID) -> Sequence[KeptLesson]:
    """The lessons a file made, newest first, the first `MOST_TOLD`; none where it was undone."""
    query = (
        select(LessonRow)
        .where(LessonRow.studio_id == desk.studio_id, LessonRow.file_import_id == id, LessonRow.voided_at.is_(None))
        .order_by(LessonRow.started_at.desc(), LessonRow.id.desc())
        .limit(MOST_TOLD)
    )
    with desk.transaction() as session:
        return values_of(KeptLesson, session.scalars(query))


def keep_mapping(desk: Desk, id: UUID, headings: str, mapping: Mapping[str, Any], at: datetime) -> None:
    """Keep how a file's columns are read, for it and for the next file with the same headings."""
    with desk.transaction() as session:
        desk.get(session, FileImportRow, id, "import", lock=True).mapping = dict(mapping)
        values = {"mapping": dict(mapping), "kept_at": at}
        session.execute(
            insert(ColumnMapRow)
            .values(studio_id=desk.studio_id, headings=headings, **values)
            .on_conflict_do_update(index_elements=["studio_id", "headings"], set_=values)
        )


def remembered(desk: Desk, headings: str) -> Mapping[str, Any] | None:
    """How a file with these headings was read last."""
    with desk.transaction() as session:
        row = session.get(ColumnMapRow, (desk.studio_id, headings))
        return None if row is None else row.mapping


def take(
    desk: Desk, id: UUID, rows: Iterator[PuttRow], skipped: int, at: datetime, progress: Progress
) -> KeptFileImport:
    """Take a file's putts in, in one transaction.

    Lessons are the file's own, and ended: nobody adds to them by accident, and undoing touches nothing else.
    """
    with desk.transaction() as session:
        row = desk.get(session, FileImportRow, id, "import", lock=True)
        if row.state == "taken":
            return value_of(KeptFileImport, row)
        # Thousands of statements are one change of what is told of the golfer: it is raised at the end.
        session.execute(text("set local libella.quiet = 'on'"))
        golfer = desk.get(session, GolferRow, row.golfer_id, "golfer")
        made = _Made(desk, session, value_of(KeptFileImport, row), value_of(KeptGolfer, golfer))
        waiting: list[tuple[object, ...]] = []
        done = 0
        for it in rows:
            waiting.append(made.reading(it))
            if len(waiting) == _TOGETHER:
                done += copy_in(session, ReadingRow.__tablename__, _COLUMNS, waiting)
                progress(done)
                waiting = []
        done += copy_in(session, ReadingRow.__tablename__, _COLUMNS, waiting)
        progress(done)
        session.flush()
        session.execute(text("set local libella.quiet = 'off'"))
        made.end()
        golfer.updated_at = at
        row.state, row.putts, row.skipped, row.taken_at = "taken", done, skipped, at
        return value_of(KeptFileImport, row)


def undo(desk: Desk, id: UUID, undone: bool, at: datetime) -> KeptFileImport:
    """Undo an import by voiding the lessons it made, or bring them back."""
    with desk.transaction() as session:
        row = desk.get(session, FileImportRow, id, "import", lock=True)
        if row.state == "given":
            raise NotYet("file_not_taken")
        values = {"voided_at": at if undone else None, "void_reason": _UNDONE if undone else None}
        session.execute(
            update(LessonRow)
            .where(LessonRow.studio_id == desk.studio_id, LessonRow.file_import_id == id)
            .values(**values)
        )
        row.state = "undone" if undone else "taken"
        return value_of(KeptFileImport, row)


@dataclass
class _Made:
    """What an import has made so far: lessons and blocks by the keys of the file."""

    desk: Desk
    session: Session
    row: KeptFileImport
    golfer: KeptGolfer

    def __post_init__(self) -> None:
        self._lessons: dict[str, _Held[LessonRow]] = {}
        self._blocks: dict[tuple[str, ...], _Held[BlockRow]] = {}

    def reading(self, it: PuttRow) -> tuple[object, ...]:
        """The putt as a row of the readings' table."""
        lesson = self._lessons.get(it.lesson) or self._lesson(it)
        block = self._blocks.get((it.lesson, *it.block)) or self._block(it, lesson.row)
        lesson.hold(it)
        block.hold(it)
        interval = block.rig.interval(it.raw).shifted(block.shift_deg)
        return (
            self.desk.studio_id, uuid6.uuid7(), block.row.id, json.dumps(it.raw), interval.low_or_none,
            interval.high_or_none, json.dumps(it.notes), it.taken_at, it.voided, it.void_reason,
            json.dumps(it.flags),
        )  # fmt: skip

    def _lesson(self, it: PuttRow) -> "_Held[LessonRow]":
        lesson = LessonRow(
            studio_id=self.desk.studio_id,
            id=uuid6.uuid7(),
            golfer_id=self.golfer.id,
            hand=self.golfer.hand,
            place=f"From {self.row.name}"[:80],
            surface="indoor_mat",
            green_speed_ft=it.station.green_speed_ft,
            conditions="",
            started_at=it.taken_at,
            ended_at=it.taken_at,
            invented=self.golfer.invented,
            file_import_id=self.row.id,
        )
        held = self._lessons[it.lesson] = _Held(self._add(lesson), it.station.station())
        return held

    def _block(self, it: PuttRow, lesson: LessonRow) -> "_Held[BlockRow]":
        if len(self._blocks) >= MOST_BLOCKS:
            raise too_many_blocks()
        laid = {"lesson_id": lesson.id} | laid_values(it.station)
        station = self._add(StationRow(studio_id=self.desk.studio_id, id=uuid6.uuid7(), laid_at=it.taken_at, **laid))
        block = BlockRow(
            studio_id=self.desk.studio_id,
            id=uuid6.uuid7(),
            station_id=station.id,
            condition=it.condition,
            guided=it.guided,
            planned=1,
            first_planned=1,
            asks=[],
            started_at=it.taken_at,
            **laid,
        )
        held = self._blocks[(it.lesson, *it.block)] = _Held(self._add(block), it.station.station())
        return held

    def _add(self, row: Any) -> Any:
        # At once: readings are copied beside the session, and refer to it.
        self.session.add(row)
        self.session.flush()
        return row

    def end(self) -> None:
        """What is known only at the end: when lessons and blocks were, and that all their putts were planned."""
        for it in self._lessons.values():
            it.row.started_at, it.row.ended_at = it.first_at, it.last_at
        for it in self._blocks.values():
            it.row.started_at = it.first_at
            it.row.planned = it.row.first_planned = max(it.valid, 1)


class _Held(Generic[Row]):
    """A row that is filled, and what its putts come to; kept beside the row, which is slow to change for each putt."""

    def __init__(self, row: Row, station: Station) -> None:
        self.row = row
        # Worked out once: a station's own `interval` works its shift out for each reading.
        self.rig, self.shift_deg = station.rig, station.shift_deg
        self.first_at, self.last_at = _LATEST, _EARLIEST
        self.valid = 0

    def hold(self, it: PuttRow) -> None:
        self.first_at, self.last_at = min(self.first_at, it.taken_at), max(self.last_at, it.taken_at)
        self.valid += not it.voided


_COLUMNS = (
    "studio_id", "id", "block_id", "raw", "low_deg", "high_deg", "notes", "taken_at", "voided", "void_reason",
    "flags",
)  # fmt: skip
