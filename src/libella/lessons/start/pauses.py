"""Pauses in a lesson: what is due, and what the coach says was done."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from typing import Final, Literal
from uuid import UUID

from sqlalchemy import select

from ...core.start.pauses import NEVER, Nudge, Pauses, nudges, stand
from ...store.tables import BlockRow, LessonRow, ReadingRow, StudioRow
from ..desk.desk import Desk
from ..desk.stored import Stored

_LOOK_BACK = timedelta(hours=2)
Done = Literal["moved", "rested"]


PAUSES: Final[Stored[Pauses]] = Stored(Pauses)


@dataclass(frozen=True, slots=True)
class PauseSheet:
    """What is due now, and when the next rest and move of the feet will be; None while nobody putts."""

    pauses: Pauses
    spot: int
    feet_due_at: datetime | None
    rest_due_at: datetime | None
    nudges: tuple[Nudge, ...]


def pauses_of(desk: Desk) -> Pauses:
    """When this studio breaks off."""
    with desk.transaction() as session:
        return PAUSES.read(session.get_one(StudioRow, desk.studio_id).pauses)


def keep_pauses(desk: Desk, told: Mapping[str, float]) -> Pauses:
    """Keep when to break off."""
    pauses = Pauses(**told)
    with desk.transaction() as session:
        session.get_one(StudioRow, desk.studio_id).pauses = PAUSES.keep(pauses)
    return pauses


def note_pause(desk: Desk, lesson_id: UUID, done: Done, at: datetime) -> None:
    """Note that the feet moved, or that the golfer straightened up."""
    with desk.transaction() as session:
        row = desk.get(session, LessonRow, lesson_id, "lesson", lock=True)
        if done == "moved":
            row.moved_at = at
        else:
            row.rested_at = at


def pause_sheet(desk: Desk, lesson_id: UUID, now: datetime) -> PauseSheet:
    """The pauses of a lesson as they stand."""
    query = (
        select(ReadingRow.taken_at, BlockRow.station_id)
        .join(BlockRow, (BlockRow.studio_id == ReadingRow.studio_id) & (BlockRow.id == ReadingRow.block_id))
        .where(ReadingRow.studio_id == desk.studio_id, BlockRow.lesson_id == lesson_id)
        .where(ReadingRow.taken_at > now - _LOOK_BACK)
        .order_by(ReadingRow.taken_at)
    )
    with desk.transaction() as session:
        lesson = desk.get(session, LessonRow, lesson_id, "lesson")
        putts = [(at.timestamp(), str(spot)) for at, spot in session.execute(query)]
    it = stand(putts, moved_s=_seconds(lesson.moved_at), rested_s=_seconds(lesson.rested_at))
    pauses = pauses_of(desk)
    return PauseSheet(
        pauses=pauses,
        spot=it.spot,
        feet_due_at=_due(it.feet_since_s, pauses.feet_min),
        rest_due_at=_due(it.bent_since_s, pauses.rest_min),
        nudges=nudges(it, now.timestamp(), pauses),
    )


def _seconds(at: datetime | None) -> float:
    return at.timestamp() if at else NEVER


def _due(since_s: float | None, minutes: float) -> datetime | None:
    return None if since_s is None else datetime.fromtimestamp(since_s + minutes * 60, UTC)
