"""Golfers: who they are."""

from collections.abc import Sequence
from dataclasses import dataclass
from uuid import UUID

from sqlalchemy import select, tuple_

from ..core.golfer import Hand, Level
from ..store.tables import Golfer
from .desk import Desk

PAGE = 20


@dataclass(frozen=True, slots=True)
class GolferEntry:
    """What a coach notes of a golfer."""

    name: str
    hand: Hand
    level: Level
    notes: str = ""
    invented: bool = False


def keep_golfer(desk: Desk, id: UUID, entry: GolferEntry) -> Golfer:
    """Add a golfer, or take over the edited entry."""
    with desk.transaction() as session:
        values = {"name": entry.name, "hand": entry.hand, "level": entry.level, "notes": entry.notes}
        row, new = desk.add(session, Golfer, id, **values, invented=entry.invented)
        if not new:
            for name, value in values.items():
                setattr(row, name, value)
        session.flush()
        session.refresh(row)
        return row


def golfer(desk: Desk, id: UUID) -> Golfer:
    with desk.transaction() as session:
        return desk.get(session, Golfer, id, "golfer")


def find_golfers(desk: Desk, search: str = "", after: tuple[str, UUID] | None = None) -> Sequence[Golfer]:
    """A page of golfers by name, those whose name holds `search`, starting behind `after` (name, id)."""
    query = select(Golfer).where(Golfer.studio_id == desk.studio_id)
    if search.strip():
        query = query.where(Golfer.name.icontains(search.strip(), autoescape=True))
    if after:
        query = query.where(tuple_(Golfer.name, Golfer.id) > after)
    with desk.transaction() as session:
        return session.scalars(query.order_by(Golfer.name, Golfer.id).limit(PAGE)).all()
