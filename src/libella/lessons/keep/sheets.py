"""What a coach writes on the sheet a golfer takes home: words of their own, beside what was worked out."""

from uuid import UUID

from ...store.tables import LessonRow
from ..desk.desk import Desk
from ..desk.problem import Closed
from ..values import KeptLesson, value_of


def keep_note(desk: Desk, lesson_id: UUID, note: str) -> KeptLesson:
    """Keep the coach's words for the sheet; said again they take the place of what was said before."""
    with desk.transaction() as session:
        row = desk.get(session, LessonRow, lesson_id, "lesson", lock=True)
        if row.voided_at is not None:
            raise Closed("lesson_voided")
        row.sheet_note = note.strip()
        return value_of(KeptLesson, row)
