"""Rounds on the course, as golfers tell them afterwards."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Final
from uuid import UUID

from sqlalchemy import select

from ...core.golfer.golf_round import Hole, checked_holes
from ...store.tables import GolferRow, GolfRoundRow
from ..desk.desk import Desk
from ..desk.stored import Stored
from ..values import KeptGolfRound, value_of, values_of

_HOLE: Final[Stored[Hole]] = Stored(Hole)


@dataclass(frozen=True, slots=True)
class Played:
    """A round as it was told."""

    kept: KeptGolfRound
    holes: Sequence[Hole]


def keep_round(desk: Desk, id: UUID, golfer_id: UUID, holes: Sequence[Hole], played_at: datetime) -> Played:
    """Keep a round. Said twice it is one; said otherwise, a conflict."""
    told = [_HOLE.keep(it) for it in checked_holes(holes)]
    with desk.transaction() as session:
        desk.get(session, GolferRow, golfer_id, "golfer")
        values = {"golfer_id": golfer_id, "holes": told, "played_at": played_at}
        return _played(value_of(KeptGolfRound, desk.keep(session, GolfRoundRow, id, "round", values)))


def void_round(desk: Desk, id: UUID, voided: bool) -> Played:
    """Take a round out of what counts, or bring it back."""
    return _played(desk.void(KeptGolfRound, GolfRoundRow, id, "round", voided))


def rounds_of(desk: Desk, golfer_id: UUID) -> list[Played]:
    """The rounds of a golfer that count, newest first."""
    query = (
        select(GolfRoundRow)
        .where(
            GolfRoundRow.studio_id == desk.studio_id,
            GolfRoundRow.golfer_id == golfer_id,
            GolfRoundRow.voided.is_(False),
        )
        .order_by(GolfRoundRow.played_at.desc(), GolfRoundRow.id.desc())
    )
    with desk.transaction() as session:
        desk.get(session, GolferRow, golfer_id, "golfer")
        return [_played(it) for it in values_of(KeptGolfRound, session.scalars(query))]


def _played(it: KeptGolfRound) -> Played:
    return Played(it, [_HOLE.read(one) for one in it.holes])
