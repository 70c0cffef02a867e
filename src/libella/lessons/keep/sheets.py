"""What a coach writes on the sheet a golfer takes home: words of their own, beside what was worked out."""

from uuid import UUID

from ..desk.desk import Desk
from ..lesson.lessons import lesson_to_note
from ..values import KeptLesson, value_of


def keep_note(desk: Desk, lesson_id: UUID, note: str) -> KeptLesson:
    """Keep the coach's words for the sheet; said again they take the place of what was said before."""
    with desk.transaction() as session:
        row = lesson_to_note(desk, session, lesson_id)
        row.sheet_note = note.strip()
        return value_of(KeptLesson, row)
