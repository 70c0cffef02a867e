"""Lessons: when, where and with whom; and what stands in one."""

from collections.abc import Sequence
from dataclasses import asdict, dataclass, replace
from datetime import datetime
from typing import Final
from uuid import UUID

from sqlalchemy import ColumnElement, select, tuple_
from sqlalchemy.dialects.postgresql import distinct_on
from sqlalchemy.orm import Session

from ...core.green.capture import GREEN_SPEED
from ...core.measure.units import Units
from ...core.set.floor import Surface
from ...store.tables import BlockRow, GolferRow, LessonRow, ReadingRow
from ..desk.desk import Desk
from ..desk.merge import merged
from ..desk.problem import Closed, Conflict
from ..golfer.handovers import was_of
from ..values import KeptBlock, KeptGolfer, KeptLesson, KeptReading, columns_of, value_of, values_of

PAGE = 12


@dataclass(frozen=True, slots=True)
class LessonEntry:
    """What a coach notes when a lesson starts."""

    golfer_id: UUID
    place: str
    surface: Surface
    green_speed_ft: float
    started_at: datetime
    conditions: str = ""
    invented: bool = False
    units: Units | None = None
    """Of its papers; None: as they are, in metres where it is new."""

    def __post_init__(self) -> None:
        GREEN_SPEED.check("green_speed_ft", "green_speed_ft", self.green_speed_ft)


@dataclass(frozen=True, slots=True)
class LessonSheet:
    """A lesson with everything that stands in it, oldest first."""

    lesson: KeptLesson
    golfer: KeptGolfer
    blocks: Sequence["BlockSheet"]


@dataclass(frozen=True, slots=True)
class BlockSheet:
    """A block with its readings, voided ones included, oldest first."""

    block: KeptBlock
    readings: Sequence[KeptReading]


def in_lesson(golfer: KeptGolfer, lesson: LessonRow | KeptLesson) -> KeptGolfer:
    """A golfer as in that lesson: with the hand that was in use."""
    return replace(golfer, hand=lesson.hand)


def golfer_in(desk: Desk, session: Session, lesson: LessonRow | KeptLesson) -> KeptGolfer:
    """The golfer of a lesson, as in it."""
    return in_lesson(value_of(KeptGolfer, desk.get(session, GolferRow, lesson.golfer_id, "golfer")), lesson)


_EDITED: Final = ("place", "surface", "green_speed_ft", "started_at", "conditions", "units")


def keep_lesson(desk: Desk, id: UUID, entry: LessonEntry, seen: LessonEntry | None = None) -> KeptLesson:
    """Start a lesson, or take over its edited entry; its golfer stays. `seen`: as it was when the editing began.

    Raises
    ------
    Changed
        where a field that was edited says something else by now.
    """
    with desk.transaction() as session:
        golfer = desk.get(session, GolferRow, entry.golfer_id, "golfer")
        told = asdict(entry) | {"units": entry.units or "metric", "golfer_id": golfer.id}
        row, new = desk.add(session, LessonRow, id, **told, hand=golfer.hand)
        if not new:
            if row.golfer_id != golfer.id and not was_of(desk, id, golfer.id):
                raise Conflict("lesson_of_another")
            row = desk.get(session, LessonRow, id, "lesson", lock=True)
            stands = {name: getattr(row, name) for name in _EDITED}
            told, before = (
                {name: said for name in _EDITED if (said := getattr(it, name, None)) is not None}
                for it in (entry, seen)
            )
            for name, said in merged(stands, told, before).items():
                setattr(row, name, said)
        return value_of(KeptLesson, row)


def open_lesson(desk: Desk, session: Session, id: UUID, at: datetime | None = None) -> KeptLesson:
    """The lesson, or `Conflict` where it takes nothing more: voided, or ended before `at` (always, without one)."""
    row = desk.get(session, LessonRow, id, "lesson")
    if row.voided_at is not None:
        raise Closed("lesson_voided")
    # What was taken before the end may arrive after it: it was waiting for the network.
    if row.ended_at is not None and (at is None or at > row.ended_at):
        raise Closed("lesson_ended")
    return value_of(KeptLesson, row)


def end_lesson(desk: Desk, id: UUID, ended_at: datetime | None) -> KeptLesson:
    """End a lesson, or open it again (None)."""
    with desk.transaction() as session:
        row = desk.get(session, LessonRow, id, "lesson", lock=True)
        if ended_at and ended_at < row.started_at:
            raise Conflict("end_before_start")
        row.ended_at = ended_at
        return value_of(KeptLesson, row)


def read_laser_cautions(desk: Desk, id: UUID, at: datetime) -> KeptLesson:
    """Note that the laser's cautions were read; the first time in a lesson counts."""
    with desk.transaction() as session:
        row = desk.get(session, LessonRow, id, "lesson", lock=True)
        row.laser_read_at = row.laser_read_at or at
        return value_of(KeptLesson, row)


def void_lesson(desk: Desk, id: UUID, reason: str | None, at: datetime) -> KeptLesson:
    """Void a lesson, or restore it (reason None). Its readings stay as they are."""
    with desk.transaction() as session:
        row = desk.get(session, LessonRow, id, "lesson", lock=True)
        row.voided_at, row.void_reason = (at, reason) if reason else (None, None)
        return value_of(KeptLesson, row)


def lesson_sheet(desk: Desk, id: UUID) -> LessonSheet:
    """One lesson whole."""
    with desk.transaction() as session:
        lesson = desk.get(session, LessonRow, id, "lesson")
        return LessonSheet(
            value_of(KeptLesson, lesson),
            golfer_in(desk, session, lesson),
            blocks_where(desk, session, BlockRow.lesson_id == id),
        )


def blocks_of(desk: Desk, lesson_ids: Sequence[UUID]) -> list[BlockSheet]:
    """The blocks of some lessons with their readings, oldest first."""
    with desk.transaction() as session:
        return blocks_where(desk, session, BlockRow.lesson_id.in_(lesson_ids))


def blocks_where(desk: Desk, session: Session, *which: ColumnElement[bool]) -> list[BlockSheet]:
    """The blocks of this studio that fulfil something, with their readings, oldest first."""
    blocks = session.scalars(
        select(BlockRow).where(BlockRow.studio_id == desk.studio_id, *which).order_by(BlockRow.started_at, BlockRow.id)
    )
    return with_readings(desk, session, values_of(KeptBlock, blocks))


def lesson_to_note(desk: Desk, session: Session, id: UUID) -> LessonRow:
    """A lesson to note something of, locked; `Closed` where it is voided. It may have ended."""
    row = desk.get(session, LessonRow, id, "lesson", lock=True)
    if row.voided_at is not None:
        raise Closed("lesson_voided")
    return row


def with_readings(desk: Desk, session: Session, blocks: Sequence[KeptBlock]) -> list[BlockSheet]:
    """Blocks with their readings, oldest first."""
    # Thousands of them may come from one file: no row is followed that nobody changes.
    readings = session.execute(
        select(*columns_of(KeptReading, ReadingRow))
        .where(ReadingRow.studio_id == desk.studio_id, ReadingRow.block_id.in_([it.id for it in blocks]))
        .order_by(ReadingRow.taken_at, ReadingRow.id)
    )
    by_block: dict[UUID, list[KeptReading]] = {it.id: [] for it in blocks}
    for one in readings.mappings():
        reading = KeptReading(**one)
        by_block[reading.block_id].append(reading)
    return [BlockSheet(it, by_block[it.id]) for it in blocks]


def newest_lessons(
    desk: Desk, golfer_id: UUID, most: int, before: tuple[datetime, UUID] | None = None
) -> Sequence[KeptLesson]:
    """A golfer's newest lessons, newest first; voided ones are left out."""
    query = select(LessonRow).where(
        LessonRow.studio_id == desk.studio_id, LessonRow.golfer_id == golfer_id, LessonRow.voided_at.is_(None)
    )
    if before:
        query = query.where(tuple_(LessonRow.started_at, LessonRow.id) < before)
    with desk.transaction() as session:
        desk.get(session, GolferRow, golfer_id, "golfer")
        query = query.order_by(LessonRow.started_at.desc(), LessonRow.id.desc()).limit(most)
        return values_of(KeptLesson, session.scalars(query))


def every_lesson_of(desk: Desk, golfer_id: UUID) -> list[tuple[KeptLesson, list[BlockSheet]]]:
    """All of a golfer's lessons with their blocks, oldest first; voided ones are left out."""
    return _with_blocks(desk, lessons_alone(desk, golfer_id))


def lessons_before(desk: Desk, lesson: KeptLesson) -> list[KeptLesson]:
    """The lessons of the same golfer before one, from the same side of the ball, oldest first."""
    same = [it for it in lessons_alone(desk, lesson.golfer_id) if it.hand == lesson.hand]
    return [it for it in same if it.started_at < lesson.started_at]


def lessons_alone(desk: Desk, golfer_id: UUID) -> list[KeptLesson]:
    """All of a golfer's lessons without what was read in them, oldest first; voided ones are left out."""
    query = select(LessonRow).where(
        LessonRow.studio_id == desk.studio_id, LessonRow.golfer_id == golfer_id, LessonRow.voided_at.is_(None)
    )
    with desk.transaction() as session:
        return values_of(KeptLesson, session.scalars(query.order_by(LessonRow.started_at, LessonRow.id)))


def open_lessons(desk: Desk, before: tuple[datetime, UUID] | None = None) -> Sequence[tuple[KeptLesson, KeptGolfer]]:
    """A page of the lessons in progress, newest first, starting behind `before` (started, id)."""
    query = (
        select(LessonRow, GolferRow)
        .join(GolferRow, (GolferRow.studio_id == LessonRow.studio_id) & (GolferRow.id == LessonRow.golfer_id))
        .where(LessonRow.studio_id == desk.studio_id, LessonRow.ended_at.is_(None), LessonRow.voided_at.is_(None))
        .order_by(LessonRow.started_at.desc(), LessonRow.id.desc())
        .limit(PAGE)
    )
    if before:
        query = query.where(tuple_(LessonRow.started_at, LessonRow.id) < before)
    with desk.transaction() as session:
        return [
            (value_of(KeptLesson, lesson), in_lesson(value_of(KeptGolfer, golfer), lesson))
            for lesson, golfer in session.execute(query)
        ]


def latest_lessons(desk: Desk, golfer_ids: Sequence[UUID]) -> dict[UUID, KeptLesson]:
    """Each golfer's newest lesson that holds a block, by golfer."""
    held = select(BlockRow.id).where(BlockRow.studio_id == LessonRow.studio_id, BlockRow.lesson_id == LessonRow.id)
    query = (
        select(LessonRow)
        .ext(distinct_on(LessonRow.golfer_id))
        .where(LessonRow.studio_id == desk.studio_id, LessonRow.golfer_id.in_(golfer_ids))
        .where(LessonRow.voided_at.is_(None), held.exists())
        .order_by(LessonRow.golfer_id, LessonRow.started_at.desc())
    )
    with desk.transaction() as session:
        return {it.golfer_id: it for it in values_of(KeptLesson, session.scalars(query))}


def is_invented(desk: Desk, lesson_id: UUID) -> bool:
    """Whether a lesson is of the invented demo."""
    with desk.transaction() as session:
        return desk.get(session, LessonRow, lesson_id, "lesson").invented


def own_lessons(desk: Desk) -> int:
    """How many lessons are not of the invented demo."""
    with desk.transaction() as session:
        rows = session.scalars(
            select(LessonRow.id).where(LessonRow.studio_id == desk.studio_id, LessonRow.invented.is_(False))
        ).all()
    return len(rows)


def _with_blocks(desk: Desk, rows: Sequence[KeptLesson]) -> list[tuple[KeptLesson, list[BlockSheet]]]:
    by_lesson: dict[UUID, list[BlockSheet]] = {it.id: [] for it in rows}
    for sheet in blocks_of(desk, list(by_lesson)):
        by_lesson[sheet.block.lesson_id].append(sheet)
    return [(it, by_lesson[it.id]) for it in rows]
