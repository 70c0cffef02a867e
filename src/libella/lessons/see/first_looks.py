"""First looks: how a true rod looked, and from where it looked straight."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from uuid import UUID

from sqlalchemy import select

from ...core.see.first_look import FirstLook, FirstSeen, first_seen
from ...store.tables import FirstLookRow, LessonRow
from ..desk.desk import Desk
from ..desk.problem import KeptOtherwise
from ..desk.stored import Stored
from ..lesson.lessons import open_lesson
from ..set.plans import laid_id_now
from ..values import KeptFirstLook, value_of, values_of

LOOK: Stored[FirstLook] = Stored(FirstLook)


@dataclass(frozen=True, slots=True)
class FirstLooks:
    """The first looks of a lesson, oldest first, and what they tell."""

    taken: Sequence[KeptFirstLook]
    seen: FirstSeen


def keep_first_look(desk: Desk, id: UUID, lesson_id: UUID, look: FirstLook, taken_at: datetime) -> KeptFirstLook:
    """Keep a first look; said again, it takes over whether it can be played from there, and nothing else."""
    with desk.transaction() as session:
        open_lesson(desk, session, lesson_id, taken_at)
        told = {"lesson_id": lesson_id, "taken_at": taken_at}
        plan = laid_id_now(desk, session, lesson_id)
        row, new = desk.add(session, FirstLookRow, id, **told, raw=LOOK.keep(look), station_id=plan)
        before = LOOK.read(row.raw)
        told_before = (row.lesson_id, row.taken_at, before.place, before.looks, before.moved)
        if told_before != (lesson_id, taken_at, look.place, look.looks, look.moved):
            raise KeptOtherwise("look")
        if not new:
            row.raw = LOOK.keep(look)
        return value_of(KeptFirstLook, row)


def void_first_look(desk: Desk, id: UUID, voided: bool) -> KeptFirstLook:
    """Void a first look, or restore it."""
    return desk.void(KeptFirstLook, FirstLookRow, id, "look", voided)


def first_looks(desk: Desk, lesson_id: UUID) -> FirstLooks:
    """The first looks of a lesson."""
    query = select(FirstLookRow).where(FirstLookRow.studio_id == desk.studio_id, FirstLookRow.lesson_id == lesson_id)
    with desk.transaction() as session:
        desk.get(session, LessonRow, lesson_id, "lesson")
        rows = session.scalars(query.order_by(FirstLookRow.taken_at, FirstLookRow.id))
        taken = values_of(KeptFirstLook, rows)
    return FirstLooks(taken, first_seen([LOOK.read(it.raw) for it in taken if not it.voided]))
