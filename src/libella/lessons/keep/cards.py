"""Set-up cards: kept, and gone by."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from datetime import datetime
from typing import Final
from uuid import UUID

from sqlalchemy import select

from ...core.keep.card import Card, moved_card
from ...core.see.position import LEVERS, Position, position_of
from ...core.see.trial import Looks
from ...store.tables import GolferRow, LessonRow, SetUpCardRow
from ..desk.desk import Desk
from ..desk.problem import KeptOtherwise, NotYet
from ..desk.stored import Stored
from ..lesson.lessons import golfer_in, open_lesson
from ..see.first_looks import LOOK, first_looks
from ..see.maps import map_sheet
from ..stand.set_ups import newest_values
from ..values import KeptGolfer, KeptSetUpCard, value_of

PAGE = 20


_CARD: Final[Stored[Card]] = Stored(Card)


@dataclass(frozen=True, slots=True)
class KeptCard:
    """A card with when and why it was kept."""

    row: KeptSetUpCard
    card: Card


def keep_card(
    desk: Desk,
    id: UUID,
    lesson_id: UUID,
    stood: Mapping[str, float] | Position | str,
    note: str,
    kept_at: datetime,
) -> KeptCard:
    """Keep a change of the lesson's usual set-up as a card, or by its name a set-up that was measured by itself, with
    everything the lesson knows of it by now.

    Said twice it is one card, as it was the first time; said otherwise, a conflict.
    """
    set_up = stood if isinstance(stood, str) else ""
    position = position_of({} if isinstance(stood, str) else stood)
    found = map_sheet(desk, lesson_id)
    eyes = found.eyes
    angle = found.angle_at(position) if any(it.tried.tells for it in found.sights) else None
    values = newest_values(desk, lesson_id, set_up)
    # Where this set-up was marked itself, that is where the eyes are; else where they are as usual, moved.
    there = next((it for it in eyes.set_ups if it.name == set_up), eyes.now if not set_up else None)
    first = _first_look(desk, lesson_id, set_up, position)
    if not values and (there is None or there.found is None) and angle is None and first is None:
        raise NotYet("nothing_to_keep")
    place, looks = (there.found, there.looks) if there else (None, ())
    card = replace(moved_card(position, values, place, looks, angle, eyes.zone_mm), set_up=set_up, first=first)
    with desk.transaction() as session:
        lesson = open_lesson(desk, session, lesson_id, kept_at)
        raw = _CARD.keep(card)
        row, new = desk.add(
            session,
            SetUpCardRow,
            id,
            golfer_id=lesson.golfer_id,
            lesson_id=lesson_id,
            note=note,
            raw=raw,
            kept_at=kept_at,
        )
        if not new and (row.lesson_id, row.raw["position"], row.note) != (lesson_id, raw["position"], note):
            raise KeptOtherwise("card")
        return kept_card(row)


def put_away_card(desk: Desk, id: UUID, at: datetime | None) -> KeptCard:
    """Take a card out of the golfer's list, or bring it back (None)."""
    with desk.transaction() as session:
        row = desk.get(session, SetUpCardRow, id, "card", lock=True)
        row.put_away_at = at
        return kept_card(row)


def card(desk: Desk, id: UUID) -> tuple[KeptCard, KeptGolfer]:
    """One card and whose it is."""
    with desk.transaction() as session:
        row = desk.get(session, SetUpCardRow, id, "card")
        return kept_card(row), golfer_in(desk, session, desk.get(session, LessonRow, row.lesson_id, "lesson"))


def cards_of(desk: Desk, golfer_id: UUID) -> list[KeptCard]:
    """A golfer's newest cards that are not put away, newest first; the first is gone by."""
    query = (
        select(SetUpCardRow)
        .where(
            SetUpCardRow.studio_id == desk.studio_id,
            SetUpCardRow.golfer_id == golfer_id,
            SetUpCardRow.put_away_at.is_(None),
        )
        .order_by(SetUpCardRow.kept_at.desc(), SetUpCardRow.id.desc())
        .limit(PAGE)
    )
    with desk.transaction() as session:
        desk.get(session, GolferRow, golfer_id, "golfer")
        return [kept_card(it) for it in session.scalars(query)]


def _first_look(desk: Desk, lesson_id: UUID, set_up: str, position: Position) -> tuple[Looks, int] | None:
    """How a true line looked from there, as said last, and how often it was said so."""
    looks = [LOOK.read(it.raw) for it in first_looks(desk, lesson_id).taken if not it.voided]
    moved = [LEVERS[lever].way(plus=value > 0) for lever, value in position.items()]
    wanted = set_up or (moved[0] if len(moved) == 1 else "")
    if not wanted:
        return None
    here: list[Looks] = [it.looks for it in looks if it.place.set_up == wanted and not it.place.other_side]
    return (here[-1], here.count(here[-1])) if here else None


def kept_card(row: SetUpCardRow) -> KeptCard:
    """A card as it stands in its row."""
    return KeptCard(value_of(KeptSetUpCard, row), _CARD.read(row.raw))
