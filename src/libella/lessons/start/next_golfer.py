"""The next golfer at the same station: the same line, rig and block, in a lesson of their own."""

from dataclasses import asdict, replace
from datetime import datetime
from uuid import UUID

import uuid6
from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.green.read import SAYS_NOTHING
from ...store.tables import BlockRow, GolferRow, LessonRow, StationRow
from ..desk.desk import Desk
from ..lesson.lessons import LessonEntry
from ..set.stations import entry_of, laid_values
from ..values import KeptBlock, KeptLesson, value_of
from .blocks import add_block, entry_like


def next_golfer(desk: Desk, id: UUID, from_id: UUID, golfer_id: UUID, at: datetime) -> KeptBlock:
    """Start for another golfer what a block was: the station stays where it is, its proof with it.

    It goes into the golfer's open lesson at that place, or into one that is begun. Said again it is the same block.
    """
    with desk.transaction() as session:
        kept = session.get(BlockRow, (desk.studio_id, id))
        if kept is not None:
            return value_of(KeptBlock, kept)
        block = value_of(KeptBlock, desk.get(session, BlockRow, from_id, "block"))
        before = value_of(KeptLesson, desk.get(session, LessonRow, block.lesson_id, "lesson"))
        desk.get(session, GolferRow, golfer_id, "golfer")
        lesson = _lesson(desk, session, golfer_id, before, at)
        # The cautions were read at this very laser.
        lesson.laser_read_at = lesson.laser_read_at or before.laser_read_at
        # What the one said of the green, the other did not.
        laid = replace(entry_of(block), golfer_says=SAYS_NOTHING)
        values = laid_values(laid) | {"lesson_id": lesson.id, "laid_at": at}
        station, _ = desk.add(session, StationRow, uuid6.uuid7(), **values)
        lesson.plan_id = station.id
        return add_block(desk, session, id, entry_like(block, station.id, at))


def _lesson(desk: Desk, session: Session, golfer_id: UUID, before: KeptLesson, at: datetime) -> LessonRow:
    found = session.scalar(
        select(LessonRow)
        .where(LessonRow.studio_id == desk.studio_id, LessonRow.golfer_id == golfer_id, LessonRow.place == before.place)
        .where(LessonRow.ended_at.is_(None), LessonRow.voided_at.is_(None))
        .order_by(LessonRow.started_at.desc())
        .limit(1)
    )
    if found is None:
        entry = LessonEntry(
            golfer_id,
            before.place,
            before.surface,
            before.green_speed_ft,
            at,
            before.conditions,
            before.invented,
            before.units,
        )
        hand = desk.get(session, GolferRow, golfer_id, "golfer").hand
        found, _ = desk.add(session, LessonRow, uuid6.uuid7(), **asdict(entry), hand=hand)
    return found
