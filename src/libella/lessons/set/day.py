"""A day's work as a device takes it along: whose lessons, and which."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final
from uuid import UUID

from sqlalchemy import select

from ...store.tables import BlockRow, LessonRow
from ..desk.desk import Desk
from ..golfer.golfers import seen_last
from ..values import KeptGolfer
from .plans import plans_in

LESSONS: Final = 20
"""So many lessons before today's are taken along: an opinion."""


@dataclass(frozen=True, slots=True)
class Day:
    """What is taken along, the newest first.

    Attributes
    ----------
    golfers : those who putted last
    lessons : the open ones and the last before them
    blocks : theirs
    open_blocks : those of lessons that have not ended
    open_lessons : those of them that have not ended
    stations : plans of open lessons on which a block may begin
    """

    golfers: Sequence[KeptGolfer]
    lessons: Sequence[UUID]
    blocks: Sequence[UUID]
    open_blocks: Sequence[UUID]
    open_lessons: Sequence[UUID]
    stations: Sequence[UUID]


def day(desk: Desk) -> Day:
    """What is taken along now."""
    with desk.together() as whole:
        return _day(whole)


def _day(desk: Desk) -> Day:
    query = (
        select(LessonRow.id, LessonRow.ended_at)
        .where(LessonRow.studio_id == desk.studio_id, LessonRow.voided_at.is_(None))
        # Open ones first, then the last.
        .order_by(LessonRow.ended_at.is_not(None), LessonRow.started_at.desc(), LessonRow.id)
        .limit(LESSONS)
    )
    with desk.transaction() as session:
        lessons = session.execute(query).all()
        ids = [it.id for it in lessons]
        blocks = session.execute(
            select(BlockRow.id, BlockRow.lesson_id)
            .where(BlockRow.studio_id == desk.studio_id, BlockRow.lesson_id.in_(ids))
            .order_by(BlockRow.started_at.desc(), BlockRow.id)
        ).all()
    going_on = [it.id for it in lessons if it.ended_at is None]
    stations = [plan.station.id for id in going_on for plan in plans_in(desk, id)]
    open_blocks = [it.id for it in blocks if it.lesson_id in going_on]
    return Day(seen_last(desk), ids, [it.id for it in blocks], open_blocks, going_on, stations)
