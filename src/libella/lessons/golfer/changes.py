"""Changes noted of a golfer, each on its day: where the golfer's line may step."""

from collections.abc import Sequence
from datetime import datetime
from uuid import UUID

from sqlalchemy import select

from ...store.tables import GolferRow, NotedChangeRow
from ..desk.desk import Desk
from ..values import KeptChange, value_of, values_of


def keep_change(desk: Desk, id: UUID, golfer_id: UUID, words: str, made_at: datetime) -> KeptChange:
    """Note a change. Said twice it is one; said otherwise, a conflict."""
    with desk.transaction() as session:
        desk.get(session, GolferRow, golfer_id, "golfer")
        told = {"golfer_id": golfer_id, "words": words, "made_at": made_at}
        return value_of(KeptChange, desk.keep(session, NotedChangeRow, id, "change", told))


def void_change(desk: Desk, id: UUID, voided: bool) -> KeptChange:
    """Take a noted change back, or bring it back."""
    return desk.void(KeptChange, NotedChangeRow, id, "change", voided)


def changes_of(desk: Desk, golfer_id: UUID) -> Sequence[KeptChange]:
    """What was noted of a golfer, oldest first, taken back ones left out."""
    query = select(NotedChangeRow).where(
        NotedChangeRow.studio_id == desk.studio_id,
        NotedChangeRow.golfer_id == golfer_id,
        NotedChangeRow.voided.is_(False),
    )
    with desk.transaction() as session:
        return values_of(KeptChange, session.scalars(query.order_by(NotedChangeRow.made_at, NotedChangeRow.id)))
