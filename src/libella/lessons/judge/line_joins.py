"""Lines of a golfer that the coach joined: pooled as one from then on, until they are taken apart again."""

from collections.abc import Sequence
from datetime import datetime
from typing import Final
from uuid import UUID

from sqlalchemy import select

from ...core.judge.golfers_line import LineKey
from ...store.tables import GolferRow, LineJoinRow
from ..desk.desk import Desk
from ..desk.problem import Conflict
from ..values import KeptLineJoin, value_of, values_of

LONGEST: Final = 200
"""Characters of a line's key."""


def keep_join(desk: Desk, id: UUID, golfer_id: UUID, pair: tuple[LineKey, LineKey], made_at: datetime) -> KeptLineJoin:
    """Join two lines of one quantity. Said twice it is one; said otherwise, a conflict."""
    first, second = pair
    if first.name != second.name or first == second:
        raise Conflict("lines_not_of_one_link")
    with desk.transaction() as session:
        desk.get(session, GolferRow, golfer_id, "golfer")
        told = {"golfer_id": golfer_id, "first": first.text, "second": second.text, "made_at": made_at}
        return value_of(KeptLineJoin, desk.keep(session, LineJoinRow, id, "line_join", told))


def void_join(desk: Desk, id: UUID, voided: bool) -> KeptLineJoin:
    """Take two lines apart again, or join them anew."""
    return desk.void(KeptLineJoin, LineJoinRow, id, "line_join", voided)


def joins_of(desk: Desk, golfer_id: UUID) -> Sequence[KeptLineJoin]:
    """What was joined of a golfer's lines, oldest first; what was taken apart is left out."""
    query = select(LineJoinRow).where(
        LineJoinRow.studio_id == desk.studio_id, LineJoinRow.golfer_id == golfer_id, LineJoinRow.voided.is_(False)
    )
    with desk.transaction() as session:
        return values_of(KeptLineJoin, session.scalars(query.order_by(LineJoinRow.made_at, LineJoinRow.id)))


def joined(desk: Desk, golfer_id: UUID, keys: Sequence[LineKey]) -> list[list[LineKey]]:
    """The keys in the groups that are pooled together, in their order; a join with a line nothing was read on waits."""
    group = {key: key for key in keys}

    def head(key: LineKey) -> LineKey:
        while group[key] != key:
            key = group[key]
        return key

    for it in joins_of(desk, golfer_id):
        one, other = (LineKey.read(text) for text in (it.first, it.second))
        if one in group and other in group:
            group[head(other)] = head(one)
    found: dict[LineKey, list[LineKey]] = {}
    for key in keys:
        found.setdefault(head(key), []).append(key)
    return list(found.values())
