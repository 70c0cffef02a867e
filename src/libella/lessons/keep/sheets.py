"""The sheet a golfer takes home: the coach's own words on it, and whether its golfer sees it, signed in himself."""

from collections.abc import Sequence
from datetime import datetime
from uuid import UUID

from sqlalchemy import select

from ...store.tables import LessonRow
from ..desk.desk import Desk
from ..desk.problem import NotFound
from ..lesson.lessons import lesson_to_note
from ..values import KeptLesson, value_of, values_of


def keep_note(desk: Desk, lesson_id: UUID, note: str) -> KeptLesson:
    """Keep the coach's words for the sheet; said again they take the place of what was said before."""
    with desk.transaction() as session:
        row = lesson_to_note(desk, session, lesson_id)
        row.sheet_note = note.strip()
        return value_of(KeptLesson, row)


def release(desk: Desk, lesson_id: UUID, at: datetime | None) -> KeptLesson:
    """Let the golfer see the sheet from `at` on, or (None) no more; released twice it stays released as it was."""
    with desk.transaction() as session:
        row = lesson_to_note(desk, session, lesson_id)
        row.released_at = row.released_at or at if at else None
        return value_of(KeptLesson, row)


def released_to(desk: Desk, golfer_id: UUID) -> Sequence[KeptLesson]:
    """A golfer's lessons whose sheets were released, newest first."""
    query = (
        select(LessonRow)
        .where(LessonRow.studio_id == desk.studio_id, LessonRow.golfer_id == golfer_id)
        .where(LessonRow.released_at.is_not(None), LessonRow.voided_at.is_(None))
        .order_by(LessonRow.started_at.desc(), LessonRow.id.desc())
    )
    with desk.transaction() as session:
        return values_of(KeptLesson, session.scalars(query))


def check_released(desk: Desk, golfer_id: UUID, lesson_id: UUID) -> None:
    """`NotFound` unless this lesson's sheet was released to this golfer: what was not is as if it were not there."""
    if lesson_id not in {it.id for it in released_to(desk, golfer_id)}:
        raise NotFound("lesson")
