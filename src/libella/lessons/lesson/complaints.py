"""What a golfer came with."""

from collections.abc import Mapping
from typing import Any, Final
from uuid import UUID

from ...core.change.complaint import Complaint
from ..desk.desk import Desk
from ..desk.stored import Stored
from ..values import KeptLesson, value_of
from .lessons import lesson_to_note

_COMPLAINT: Final[Stored[Complaint]] = Stored(Complaint)


def keep_complaint(desk: Desk, lesson_id: UUID, told: Complaint) -> KeptLesson:
    """Keep what the golfer came with; said again it takes the place of what was said before."""
    with desk.transaction() as session:
        row = lesson_to_note(desk, session, lesson_id)
        row.complaint = _COMPLAINT.keep(told)
        return value_of(KeptLesson, row)


def complaint_of(told: Mapping[str, Any] | None) -> Complaint | None:
    """As it is kept of a lesson; None where nobody asked."""
    return None if told is None else _COMPLAINT.read(told)
