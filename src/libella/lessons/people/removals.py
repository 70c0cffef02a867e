"""Golfers of whom everything is deleted: because it was asked for, or because the studio keeps nobody longer."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Final
from uuid import UUID

import uuid6
from sqlalchemy import func, select, update
from sqlalchemy.orm import Session

from ...core.measure.limits import OutOfLimits
from ...core.people.consent import Why
from ...store.tables import (
    AccountRow,
    ConsentRow,
    DeedRow,
    GolferRow,
    GolfRoundRow,
    LessonRow,
    RemovalRow,
    RetentionRunRow,
    StudioRow,
)
from ...store.whole.remove import remove_golfer
from ...store.whole.rows import Scope
from ..desk.desk import Desk
from ..desk.problem import Conflict
from ..values import KeptRemoval, KeptRetentionRun, value_of, values_of
from .accounts import end_all

MOST_YEARS: Final = 30
_SOON: Final = timedelta(days=60)
_GRACE: Final = timedelta(days=30)
"""Nobody goes sooner after the rule was made: whoever made it sees first whom it means."""
_YEAR: Final = timedelta(days=365.25)
_LISTED: Final = 50


@dataclass(frozen=True, slots=True)
class Due:
    """A golfer who is deleted before long: when there was the last sign of them, and from when on they go."""

    golfer_id: UUID
    name: str
    seen_at: datetime
    goes_at: datetime


def remove(desk: Desk, id: UUID, golfer_id: UUID, name: str, at: datetime, who: UUID | None = None) -> KeptRemoval:
    """Delete everything of a golfer, for good; `name` has to be the golfer's own: nobody is deleted by a slip. Asked
    twice it is done once; `who`: the account it is told of.

    Raises
    ------
    Conflict
        where the name is another.
    """
    with desk.transaction() as session:
        done = session.get(RemovalRow, (desk.studio_id, id))
        if done is not None:
            return value_of(KeptRemoval, done)
        row = desk.get(session, GolferRow, golfer_id, "golfer", lock=True)
        if row.name.strip().casefold() != name.strip().casefold():
            raise Conflict("other_name", name=row.name)
        if who is not None:
            deed = {"account_id": who, "what": "deleted", "of_table": "golfer", "row_id": golfer_id}
            session.add(DeedRow(studio_id=desk.studio_id, **deed))
        return _remove(desk, session, id, golfer_id, "asked", at)


def removals(desk: Desk) -> Sequence[KeptRemoval]:
    """Who was deleted, newest first."""
    with desk.transaction() as session:
        query = select(RemovalRow).where(RemovalRow.studio_id == desk.studio_id)
        return values_of(KeptRemoval, session.scalars(query.order_by(RemovalRow.at.desc()).limit(_LISTED)))


def is_removed(desk: Desk, session: Session, golfer_id: UUID) -> bool:
    """Whether a golfer of that id was deleted here."""
    query = select(RemovalRow.id).where(RemovalRow.studio_id == desk.studio_id, RemovalRow.golfer_id == golfer_id)
    return session.scalar(query.limit(1)) is not None


def remove_again(desk: Desk, golfers: Sequence[UUID], at: datetime) -> int:
    """Delete those who are back from a backup made before they were deleted, which this studio does not know of; how
    many. Who was taken in anew since stays."""
    with desk.transaction() as session:
        back = [
            it
            for it in golfers
            if session.get(GolferRow, (desk.studio_id, it)) is not None and not is_removed(desk, session, it)
        ]
        for it in back:
            _remove(desk, session, uuid6.uuid7(), it, "asked", at)
        return len(back)


def keep_for(desk: Desk, years: int | None, at: datetime) -> None:
    """Keep golfers so many years after the last sign of them, or until somebody deletes them. By a rule that was just
    made nobody goes for a month."""
    if years is not None and not 1 <= years <= MOST_YEARS:
        raise OutOfLimits("years", "kept_years", least=1, most=MOST_YEARS)
    with desk.transaction() as session:
        row = session.get_one(StudioRow, desk.studio_id)
        if row.kept_years != years:
            row.kept_years, row.kept_years_since = years, None if years is None else at


def due(desk: Desk, now: datetime) -> Sequence[Due]:
    """Who goes within two months by the studio's rule, the first to go first; nobody where there is none."""
    with desk.transaction() as session:
        return [it for it in _seen(desk, session) if it.goes_at <= now + _SOON]


def runs(desk: Desk) -> Sequence[KeptRetentionRun]:
    """What the last looks came to, newest first."""
    with desk.transaction() as session:
        query = select(RetentionRunRow).where(RetentionRunRow.studio_id == desk.studio_id)
        return values_of(KeptRetentionRun, session.scalars(query.order_by(RetentionRunRow.at.desc()).limit(5)))


def remove_unseen(desk: Desk, now: datetime) -> Sequence[UUID]:
    """Delete whoever was not seen for as long as the rule says, each by itself, and write down what it came to; who
    went. Without a rule nothing is looked at."""
    with desk.transaction() as session:
        years = session.get_one(StudioRow, desk.studio_id).kept_years
        if years is None:
            return ()
        everybody = _seen(desk, session)
    gone = [it for it in everybody if it.goes_at <= now]
    for it in gone:
        with desk.transaction() as session:
            if session.get(GolferRow, (desk.studio_id, it.golfer_id), with_for_update=True) is not None:
                _remove(desk, session, uuid6.uuid7(), it.golfer_id, "unseen", now)
    with desk.transaction() as session:
        told = {"years": years, "looked_at": len(everybody), "removed": len(gone), "at": now}
        desk.add(session, RetentionRunRow, uuid6.uuid7(), **told)
    return [it.golfer_id for it in gone]


_SIGNS: Final = (LessonRow.started_at, GolfRoundRow.played_at, ConsentRow.said_at)
"""Of a golfer who has one newer than the studio's rule asks for somebody saw something."""


def _seen(desk: Desk, session: Session) -> Sequence[Due]:
    studio = session.get_one(StudioRow, desk.studio_id)
    if studio.kept_years is None or studio.kept_years_since is None:
        return []
    least, lasts = studio.kept_years_since + _GRACE, studio.kept_years * _YEAR
    signs = [
        select(func.max(it)).where(it.class_.studio_id == GolferRow.studio_id, it.class_.golfer_id == GolferRow.id)
        for it in _SIGNS
    ]
    seen_at = func.greatest(GolferRow.updated_at, *(it.scalar_subquery() for it in signs))
    rows = session.execute(
        select(GolferRow.id, GolferRow.name, seen_at.label("seen_at"))
        .where(GolferRow.studio_id == desk.studio_id)
        .order_by(seen_at)
    )
    return [Due(it.id, it.name, it.seen_at, max(it.seen_at + lasts, least)) for it in rows]


def _remove(desk: Desk, session: Session, id: UUID, golfer_id: UUID, why: Why, at: datetime) -> KeptRemoval:
    own = update(AccountRow).where(AccountRow.studio_id == desk.studio_id, AccountRow.golfer_id == golfer_id)
    # The golfer's own way in: what was done by it stands, without a name.
    for account in session.scalars(own.returning(AccountRow.id).values(golfer_id=None, locked=True)).all():
        end_all(desk, session, account, at)
        nameless = update(AccountRow).where(AccountRow.studio_id == desk.studio_id, AccountRow.id == account)
        session.execute(nameless.values(name="deleted", known_as=str(account), passphrase="", preferences={}))
    rows = remove_golfer(session, Scope(desk.studio_id, golfer_id))
    session.expire_all()
    row, _ = desk.add(session, RemovalRow, id, golfer_id=golfer_id, why=why, rows=rows, at=at)
    return value_of(KeptRemoval, row)
