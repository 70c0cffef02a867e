"""What falls due of a golfer, and whose turn it could be."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from typing import Final
from uuid import UUID

from sqlalchemy import select

from ...core.keep.due import CARD_D, ChangeStands, DueKind, change_due
from ...store.tables import GolferRow, NotedChangeRow, QuickCheckRow, SetUpCardRow
from ..change.changes import Change, changes_held
from ..change.left import left_of
from ..desk.desk import Desk
from .cards import KeptCard, cards_of

_DAY: Final = timedelta(days=1)
_SINCE: Final = timedelta(days=400)
"""What was chosen longer ago is no longer waited for."""
MOST: Final = 60


@dataclass(frozen=True, slots=True)
class Due:
    """Something that falls due: from when, of which lesson, and what it is of."""

    kind: DueKind
    at: datetime
    lesson_id: UUID
    of: str


def who_could_be_due(desk: Desk, now: datetime) -> Sequence[tuple[UUID, str]]:
    """Golfers who hold a change or a card, those of the newest first: id and name."""
    changed = select(NotedChangeRow.golfer_id, NotedChangeRow.made_at.label("at")).where(
        NotedChangeRow.studio_id == desk.studio_id,
        NotedChangeRow.chosen.is_not(None),
        NotedChangeRow.dropped_at.is_(None),
        NotedChangeRow.voided.is_(False),
        NotedChangeRow.made_at > now - _SINCE,
    )
    carded = select(SetUpCardRow.golfer_id, SetUpCardRow.kept_at.label("at")).where(
        SetUpCardRow.studio_id == desk.studio_id,
        SetUpCardRow.put_away_at.is_(None),
        SetUpCardRow.kept_at > now - _SINCE,
    )
    both = changed.union_all(carded).subquery()
    query = (
        select(GolferRow.id, GolferRow.name)
        .join(both, both.c.golfer_id == GolferRow.id)
        .where(GolferRow.studio_id == desk.studio_id)
        .order_by(both.c.at.desc())
        .limit(4 * MOST)
    )
    with desk.transaction() as session:
        return list(dict.fromkeys((id, name) for id, name in session.execute(query)))[:MOST]


def due_of(desk: Desk, golfer_id: UUID) -> list[Due]:
    """Everything that falls due of a golfer, sooner or later, the soonest first."""
    found = [it for it in (_of_change(desk, one) for one in changes_held(desk, golfer_id)) if it is not None]
    cards = [it for it in cards_of(desk, golfer_id) if it.row.put_away_at is None]
    found += [_of_card(desk, it) for it in cards[:1]]
    return sorted(found, key=lambda it: it.at)


def _of_change(desk: Desk, it: Change) -> Due | None:
    lesson_id = it.kept.lesson_id
    if lesson_id is None:
        return None
    retested = max((one.comparison.started_at for one in it.retests), default=None)
    stands = ChangeStands(
        standing=it.tested.standing,
        made_d=_day(it.kept.made_at),
        retested_d=None if retested is None else _day(retested),
        of_line=it.chosen.asks == "line",
        looked_at=it.tested.standing == "kept" and left_of(desk, it) is not None,
    )
    due = change_due(stands)
    return None if due is None else Due(due[0], datetime.fromtimestamp(due[1] * 86400, UTC), lesson_id, it.chosen.what)


def _day(at: datetime) -> float:
    return at.timestamp() / 86400


def _of_card(desk: Desk, it: KeptCard) -> Due:
    """A card wants a look some weeks after it was kept, or looked at last."""
    query = select(QuickCheckRow.taken_at).where(
        QuickCheckRow.studio_id == desk.studio_id, QuickCheckRow.card_id == it.row.id
    )
    with desk.transaction() as session:
        last = max([it.row.kept_at, *session.scalars(query)])
    return Due("card", last + CARD_D * _DAY, it.row.lesson_id, it.row.note)
