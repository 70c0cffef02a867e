"""A lesson, or everything, that was kept under another golfer: put under the one whose it is. What stood is kept."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any, Final
from uuid import UUID

import uuid6
from sqlalchemy import CursorResult, Table, delete, func, literal_column, select, update
from sqlalchemy.orm import Session

from ...core.measure.limits import OutOfLimits
from ...store.marks import raise_marks
from ...store.tables import (
    AccountRow,
    BlockRow,
    GolferRow,
    HandoverRow,
    KeptAnswerRow,
    LessonRow,
    ReadingRow,
    Stored,
)
from ..desk.desk import Desk
from ..desk.problem import Conflict
from ..values import KeptGolfer, KeptHandover, KeptLesson, value_of, values_of

_FILLED: Final = (
    "eye_zone_mm",
    "sighting_eye",
    "usual_lengths",
    "step_m",
    "usual_misses",
    "glasses",
    "limits",
    "wording",
)
"""What is noted of a golfer and stays empty until somebody does."""


@dataclass(frozen=True, slots=True)
class Handover:
    """What is told: under whom it is kept, whose it is, and which lesson goes; None: both are one golfer."""

    former_id: UUID
    golfer_id: UUID
    lesson_id: UUID | None = None


@dataclass(frozen=True, slots=True)
class Would:
    """What a handover does: who it was kept under, whose it is since, what comes along."""

    former: KeptGolfer
    golfer: KeptGolfer
    lesson: KeptLesson | None
    """The one lesson that goes; None where both are one golfer."""
    came: KeptHandover
    putts: int
    """Read in the lessons that come along."""
    filled: bool
    """Whether something noted of the other entry stands now where nothing was noted."""


def would(desk: Desk, told: Handover, at: datetime) -> Would:
    """What a handover would do; keeps nothing. Raises as `hand_over` does."""
    with desk.transaction() as session:
        row = desk.get(session, LessonRow, told.lesson_id, "lesson") if told.lesson_id else None
        lesson = value_of(KeptLesson, row) if row else None
        former, golfer = (
            value_of(KeptGolfer, desk.get(session, GolferRow, it, "golfer")) for it in (told.former_id, told.golfer_id)
        )
    with desk.taken_back() as tried:
        came = hand_over(tried, uuid6.uuid7(), told, at)
        with tried.transaction() as session:
            after = value_of(KeptGolfer, tried.get(session, GolferRow, told.golfer_id, "golfer"))
            putts = _putts_of(tried, session, came.lesson_ids)
    filled = any(getattr(after, it) != getattr(golfer, it) for it in (*_FILLED, "notes", "schools"))
    return Would(former, golfer, lesson, came, putts, filled)


def hand_over(desk: Desk, id: UUID, told: Handover, at: datetime) -> KeptHandover:
    """Put a lesson under the golfer whose it is, or everything of one who is the same golfer. Told again under the same
    id nothing more happens.

    What hangs on the lesson goes with it. Its sheet is released to nobody any more. Of two who are one, the other entry
    is no more: what only it had noted stands in the one that stays, and all of it is kept in the record.

    Raises
    ------
    OutOfLimits
        where both are the same entry, or one of them is invented and the other is not
    Conflict
        where the lesson is another golfer's, or both have an account
    """
    with desk.transaction() as session:
        known = session.get(HandoverRow, (desk.studio_id, id))
        if known is not None:
            return value_of(KeptHandover, known)
        former_id, golfer_id, lesson_id = told.former_id, told.golfer_id, told.lesson_id
        if former_id == golfer_id:
            raise OutOfLimits("golfer_id", "same_golfer")
        # In one order, or two who join the same two wait for each other.
        rows = {it: desk.get(session, GolferRow, it, "golfer", lock=True) for it in sorted((former_id, golfer_id))}
        former, golfer = rows[former_id], rows[golfer_id]
        if former.invented != golfer.invented:
            raise OutOfLimits("golfer_id", "invented_and_real")
        joined = None
        if lesson_id is None:
            _one_account(desk, session, former_id, golfer)
            lessons, came = _everything(desk, session, former_id, golfer_id)
            joined = _entry(desk, session, former_id)
            _fill(former, golfer)
        else:
            lessons, came = [lesson_id], _lesson(desk, session, lesson_id, former_id, golfer_id)
        _weighed_anew(desk, session, former_id, golfer_id)
        if joined is not None:
            session.delete(former)
            session.flush()
        kept: dict[str, Any] = {"golfer_id": golfer_id, "former_id": former_id, "joined": joined, "came": came}
        row, _ = desk.add(session, HandoverRow, id, **kept, lesson_ids=[str(it) for it in lessons], made_at=at)
        return value_of(KeptHandover, row)


def handovers_of(desk: Desk, lesson_id: UUID) -> Sequence[KeptHandover]:
    """When a lesson was kept under another golfer, or under another entry of the same, oldest first."""
    query = select(HandoverRow).where(
        HandoverRow.studio_id == desk.studio_id, HandoverRow.lesson_ids.contains([str(lesson_id)])
    )
    with desk.transaction() as session:
        return values_of(KeptHandover, session.scalars(query.order_by(HandoverRow.made_at, HandoverRow.id)))


def was_of(desk: Desk, lesson_id: UUID, golfer_id: UUID) -> bool:
    """Whether a lesson was kept under that golfer before: a device that was away knows it so still."""
    return any(it.former_id == golfer_id for it in handovers_of(desk, lesson_id))


def _entry(desk: Desk, session: Session, golfer_id: UUID) -> dict[str, Any]:
    """All that is noted of a golfer, as the database writes it."""
    whole = func.to_jsonb(literal_column(GolferRow.__tablename__))
    row = session.scalars(select(whole).where(GolferRow.studio_id == desk.studio_id, GolferRow.id == golfer_id)).one()
    return {name: it for name, it in row.items() if name != "studio_id"}


def _one_account(desk: Desk, session: Session, former_id: UUID, golfer: GolferRow) -> None:
    """A golfer comes in by one account."""
    query = select(func.count()).where(
        AccountRow.studio_id == desk.studio_id, AccountRow.golfer_id.in_((former_id, golfer.id))
    )
    if (session.scalar(query) or 0) > 1:
        raise Conflict("two_accounts", name=golfer.name)


def _everything(desk: Desk, session: Session, former_id: UUID, golfer_id: UUID) -> tuple[list[UUID], dict[str, int]]:
    """Every row of one golfer put under the other; the lessons that came, and how many rows of each table."""
    of_former = LessonRow.studio_id == desk.studio_id, LessonRow.golfer_id == former_id
    lessons = list(session.scalars(select(LessonRow.id).where(*of_former).order_by(LessonRow.started_at)))
    return lessons, {it.name: n for it in _tables() if (n := _moved(desk, session, it, former_id, golfer_id))}


def _lesson(desk: Desk, session: Session, lesson_id: UUID, former_id: UUID, golfer_id: UUID) -> dict[str, int]:
    """One lesson with what hangs on it."""
    row = desk.get(session, LessonRow, lesson_id, "lesson", lock=True)
    if row.golfer_id != former_id:
        raise Conflict("lesson_of_another")
    row.golfer_id, row.released_at = golfer_id, None
    session.flush()
    along = (it for it in _tables() if "lesson_id" in it.c)
    came = {it.name: n for it in along if (n := _moved(desk, session, it, former_id, golfer_id, lesson_id))}
    return {"lesson": 1, **came}


def _tables() -> list[Table]:
    """All tables whose rows are a golfer's by a column of their own; what is worked out goes with the golfer."""
    return [
        table
        for table in Stored.metadata.sorted_tables
        if any(it.ondelete is None and it.column.table.name == "golfer" for it in table.foreign_keys)
    ]


def _moved(
    desk: Desk, session: Session, table: Table, former_id: UUID, golfer_id: UUID, lesson_id: UUID | None = None
) -> int:
    its = update(table).where(table.c.studio_id == desk.studio_id, table.c.golfer_id == former_id)
    if lesson_id is not None:
        its = its.where(table.c.lesson_id == lesson_id)
    done = session.execute(its.values(golfer_id=golfer_id))
    assert isinstance(done, CursorResult)
    return done.rowcount


def _fill(former: GolferRow, golfer: GolferRow) -> None:
    """What is noted of the other entry alone, noted of the golfer."""
    for name in _FILLED:
        if not getattr(golfer, name):
            setattr(golfer, name, getattr(former, name))
    golfer.schools = {**former.schools, **golfer.schools}
    if former.notes and former.notes not in golfer.notes:
        golfer.notes = "\n".join(it for it in (golfer.notes, former.notes) if it)


def _weighed_anew(desk: Desk, session: Session, *golfers: UUID) -> None:
    """What was worked out of them is worked out anew."""
    for it in sorted(golfers):
        session.execute(
            delete(KeptAnswerRow).where(KeptAnswerRow.studio_id == desk.studio_id, KeptAnswerRow.golfer_id == it)
        )
    session.flush()
    raise_marks(session, desk.studio_id, golfers)
    session.expire_all()


def _putts_of(desk: Desk, session: Session, lessons: Sequence[str]) -> int:
    block = (BlockRow.studio_id == ReadingRow.studio_id) & (BlockRow.id == ReadingRow.block_id)
    query = select(func.count()).select_from(ReadingRow).join(BlockRow, block)
    its = ReadingRow.studio_id == desk.studio_id, BlockRow.lesson_id.in_([UUID(it) for it in lessons])
    return session.scalar(query.where(*its, ReadingRow.voided.is_(False))) or 0
