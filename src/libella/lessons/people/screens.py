"""Walls and golfers' screens: each let in by a key of its own, which shows what a coach sends and nothing else."""

from collections.abc import Sequence
from datetime import datetime, timedelta
from typing import Final
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.measure.limits import OutOfLimits
from ...core.people.screen import VIEWS, View
from ...store.tables import LessonRow, ScreenRow
from ..desk.desk import Desk
from ..desk.names import is_markup
from ..desk.problem import Conflict, NotFound
from ..values import KeptScreen, value_of, values_of
from .secrets import hash_of, new_token

LINK_LASTS: Final = timedelta(hours=1)
KEY_LASTS: Final = timedelta(days=365)
"""A wall hangs there for long; its key shows one lesson, which a coach chooses, and nothing else."""
_SEEN_EVERY: Final = timedelta(minutes=1)


def screens(desk: Desk) -> Sequence[KeptScreen]:
    """Every screen that may still show something, by name."""
    with desk.transaction() as session:
        query = select(ScreenRow).where(ScreenRow.studio_id == desk.studio_id, ScreenRow.ended_at.is_(None))
        return values_of(KeptScreen, session.scalars(query.order_by(ScreenRow.name, ScreenRow.id)))


def new_link(desk: Desk, id: UUID, name: str, at: datetime) -> tuple[str, datetime]:
    """A way in for a screen, made now or there already: good once, for an hour. The key it had is good no more."""
    if is_markup(name):
        raise OutOfLimits("name", "markup")
    token = new_token()
    with desk.transaction() as session:
        told = {"name": name, "key_hash": hash_of(token), "key_until": at + LINK_LASTS, "view": "putts"}
        row, new = desk.add(session, ScreenRow, id, **told)
        if not new:
            if row.ended_at is not None:
                raise Conflict("screen_ended", name=row.name)
            row.name, row.key_hash, row.key_until, row.taken_at = name, hash_of(token), at + LINK_LASTS, None
    return token, at + LINK_LASTS


def take(desk: Desk, token: str, at: datetime) -> str:
    """The screen's own key, for the link that was shown to it; `NotFound` for one that was used or ran out."""
    with desk.transaction() as session:
        row = _by_key(desk, session, token, at, lock=True)
        if row is None or row.taken_at is not None:
            raise NotFound("screen_link")
        key = new_token()
        row.key_hash, row.key_until, row.taken_at, row.seen_at = hash_of(key), at + KEY_LASTS, at, at
        return key


def end_screen(desk: Desk, id: UUID, at: datetime) -> KeptScreen:
    """It shows nothing any more."""
    with desk.transaction() as session:
        row = desk.get(session, ScreenRow, id, "screen", lock=True)
        row.ended_at, row.lesson_id = row.ended_at or at, None
        return value_of(KeptScreen, row)


def send(desk: Desk, id: UUID, lesson_id: UUID | None, view: View) -> KeptScreen:
    """Have a screen show this of a lesson from now on; nothing where none is told."""
    if view not in VIEWS:
        raise OutOfLimits("view", "no_such_choice", named=view, known=VIEWS)
    with desk.transaction() as session:
        row = desk.get(session, ScreenRow, id, "screen", lock=True)
        if row.ended_at is not None:
            raise Conflict("screen_ended", name=row.name)
        if lesson_id is not None:
            desk.get(session, LessonRow, lesson_id, "lesson")
        row.lesson_id, row.view = lesson_id, view
        return value_of(KeptScreen, row)


def screen_of(desk: Desk, key: str, at: datetime) -> KeptScreen | None:
    """The screen that shows this key; None where it was ended, ran out, or never was."""
    with desk.transaction() as session:
        row = _by_key(desk, session, key, at)
        if row is None or row.taken_at is None:
            return None
        if row.seen_at is None or at - row.seen_at > _SEEN_EVERY:
            row.seen_at = at
        return value_of(KeptScreen, row)


def _by_key(desk: Desk, session: Session, key: str, at: datetime, *, lock: bool = False) -> ScreenRow | None:
    query = select(ScreenRow).where(
        ScreenRow.studio_id == desk.studio_id,
        ScreenRow.key_hash == hash_of(key),
        ScreenRow.ended_at.is_(None),
        ScreenRow.key_until > at,
    )
    return session.scalar(query.with_for_update() if lock else query)
