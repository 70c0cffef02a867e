"""Set-up cards: kept, gone by, and checked against in under two minutes."""

import hashlib
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import datetime
from typing import Final
from uuid import UUID

from sqlalchemy import select

from ...core.instruments.square_reference import SquareReference
from ...core.keep.card import Card, moved_card
from ...core.measure.interval import Interval
from ...core.measure.limits import Bounds, OutOfLimits
from ...core.see.eyes import EyeTake
from ...core.see.position import LEVERS, Position, position_of
from ...core.see.quick_check import DIRECTIONS, Drift, asked_angles, drifts
from ...core.see.trial import Looks, Trial
from ...store.tables import GolferRow, LessonRow, QuickCheckRow, SetUpCardRow
from ..desk.desk import Desk
from ..desk.problem import Conflict, KeptOtherwise, NotYet
from ..desk.stored import Stored
from ..lesson.lessons import golfer_in, open_lesson
from ..see.first_looks import LOOK, first_looks
from ..see.maps import map_sheet
from ..stand.set_ups import newest_values
from ..values import KeptGolfer, KeptQuickCheck, KeptSetUpCard, value_of, values_of

PAGE = 20
GAP = Bounds(-SquareReference().half_width_m, SquareReference().half_width_m, "m")


@dataclass(frozen=True, slots=True)
class Looked:
    """What a check has looked at so far, as it is kept."""

    eyes: EyeTake | None
    square_m: float | None
    answers: tuple[Looks, ...]


_CARD: Final[Stored[Card]] = Stored(Card)
_LOOKED: Final[Stored[Looked]] = Stored(Looked)


@dataclass(frozen=True, slots=True)
class KeptCard:
    """A card with when and why it was kept."""

    row: KeptSetUpCard
    card: Card


@dataclass(frozen=True, slots=True)
class CheckEntry:
    """What was looked at so far: each part may still be missing.

    `square_m` is the gap at the square reference, right end positive; `answers` are how each asked rod looks, in order.
    """

    card_id: UUID
    eyes: EyeTake | None
    square_m: float | None
    answers: Sequence[Looks]


@dataclass(frozen=True, slots=True)
class CheckSheet:
    """A check with what it says against its card; `angles` are the true angles to ask, in order."""

    check: KeptQuickCheck
    card: KeptCard
    entry: CheckEntry
    angles: tuple[float, ...]
    drifts: tuple[Drift, ...]


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
    values = newest_values(desk, lesson_id)
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
        return _kept(row)


def put_away_card(desk: Desk, id: UUID, at: datetime | None) -> KeptCard:
    """Take a card out of the golfer's list, or bring it back (None)."""
    with desk.transaction() as session:
        row = desk.get(session, SetUpCardRow, id, "card", lock=True)
        row.put_away_at = at
        return _kept(row)


def card(desk: Desk, id: UUID) -> tuple[KeptCard, KeptGolfer]:
    """One card and whose it is."""
    with desk.transaction() as session:
        row = desk.get(session, SetUpCardRow, id, "card")
        return _kept(row), golfer_in(desk, session, desk.get(session, LessonRow, row.lesson_id, "lesson"))


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
        return [_kept(it) for it in session.scalars(query)]


def keep_check(desk: Desk, id: UUID, lesson_id: UUID, entry: CheckEntry, taken_at: datetime) -> KeptQuickCheck:
    """Keep what was looked at so far; each call says all of it, so that a call said twice changes nothing."""
    if len(entry.answers) > DIRECTIONS:
        raise OutOfLimits("answers", "directions_count", "answers", most=DIRECTIONS)
    if entry.square_m is not None:
        GAP.check("square_m", "square_m", entry.square_m)
    raw = _LOOKED.keep(Looked(entry.eyes, entry.square_m, tuple(entry.answers)))
    with desk.transaction() as session:
        lesson = open_lesson(desk, session, lesson_id, taken_at)
        if desk.get(session, SetUpCardRow, entry.card_id, "card").golfer_id != lesson.golfer_id:
            raise Conflict("card_of_another")
        values = {"lesson_id": lesson_id, "card_id": entry.card_id}
        row, new = desk.add(session, QuickCheckRow, id, **values, raw=raw, taken_at=taken_at)
        if not new:
            if (row.lesson_id, row.card_id) != (lesson_id, entry.card_id):
                raise KeptOtherwise("check")
            row.raw = raw
        return value_of(KeptQuickCheck, row)


def check_sheet(desk: Desk, id: UUID) -> CheckSheet:
    """One check against its card."""
    with desk.transaction() as session:
        row = value_of(KeptQuickCheck, desk.get(session, QuickCheckRow, id, "check"))
        return _checked(row, _kept(desk.get(session, SetUpCardRow, row.card_id, "card")))


def checks_of(desk: Desk, lesson_id: UUID) -> list[CheckSheet]:
    """The checks of a lesson, newest first."""
    query = select(QuickCheckRow).where(QuickCheckRow.studio_id == desk.studio_id, QuickCheckRow.lesson_id == lesson_id)
    with desk.transaction() as session:
        desk.get(session, LessonRow, lesson_id, "lesson")
        found = session.scalars(query.order_by(QuickCheckRow.taken_at.desc(), QuickCheckRow.id.desc())).all()
        rows = values_of(KeptQuickCheck, found)
        return [_checked(it, _kept(desk.get(session, SetUpCardRow, it.card_id, "card"))) for it in rows]


def _checked(row: KeptQuickCheck, kept: KeptCard) -> CheckSheet:
    told = _LOOKED.read(row.raw)
    entry = CheckEntry(row.card_id, told.eyes, told.square_m, told.answers)
    # Nobody foresees them, and they are the same when asked again.
    seed = int.from_bytes(hashlib.sha256(row.id.bytes).digest()[:4])
    angles = asked_angles(kept.card.kept, seed)
    trials = [Trial(angle, looks) for angle, looks in zip(angles, told.answers, strict=False)]
    found = drifts(kept.card.kept, told.eyes, _square(entry.square_m), trials)
    return CheckSheet(row, kept, entry, angles, found)


def _square(gap_m: float | None) -> Interval | None:
    """The face against the square reference: a gap at the right end is open to a right-handed golfer, aims right."""
    return None if gap_m is None else SquareReference().interval({"offset_m": gap_m})


def _first_look(desk: Desk, lesson_id: UUID, set_up: str, position: Position) -> tuple[Looks, int] | None:
    """How a true line looked from there, as said last, and how often it was said so."""
    looks = [LOOK.read(it.raw) for it in first_looks(desk, lesson_id).taken if not it.voided]
    moved = [LEVERS[lever].way(plus=value > 0) for lever, value in position.items()]
    wanted = set_up or (moved[0] if len(moved) == 1 else "")
    if not wanted:
        return None
    here: list[Looks] = [
        it.looks for it in looks if it.place.lever and LEVERS[it.place.lever].way(plus=it.place.way == "plus") == wanted
    ]
    return (here[-1], here.count(here[-1])) if here else None


def _kept(row: SetUpCardRow) -> KeptCard:
    return KeptCard(value_of(KeptSetUpCard, row), _CARD.read(row.raw))
