"""The check for every day against the card gone by, in under two minutes."""

import hashlib
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Final
from uuid import UUID

from sqlalchemy import select

from ...core.instruments.square_reference import SquareReference
from ...core.keep.quick_check import DIRECTIONS, Drift, asked_angles, drifts
from ...core.measure.interval import Interval
from ...core.measure.limits import Bounds, OutOfLimits
from ...core.see.eyes import EyeTake
from ...core.see.trial import Looks, Trial
from ...store.tables import LessonRow, QuickCheckRow, SetUpCardRow
from ..desk.desk import Desk
from ..desk.problem import Conflict, KeptOtherwise
from ..desk.stored import Stored
from ..lesson.lessons import open_lesson
from ..values import KeptQuickCheck, value_of, values_of
from .cards import KeptCard, kept_card

GAP = Bounds(-SquareReference().half_width_m, SquareReference().half_width_m, "m")


@dataclass(frozen=True, slots=True)
class Looked:
    """What a check has looked at so far, as it is kept."""

    eyes: EyeTake | None
    square_m: float | None
    answers: tuple[Looks, ...]


_LOOKED: Final[Stored[Looked]] = Stored(Looked)


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
        return _checked(row, kept_card(desk.get(session, SetUpCardRow, row.card_id, "card")))


def checks_of(desk: Desk, lesson_id: UUID) -> list[CheckSheet]:
    """The checks of a lesson, newest first."""
    query = select(QuickCheckRow).where(QuickCheckRow.studio_id == desk.studio_id, QuickCheckRow.lesson_id == lesson_id)
    with desk.transaction() as session:
        desk.get(session, LessonRow, lesson_id, "lesson")
        found = session.scalars(query.order_by(QuickCheckRow.taken_at.desc(), QuickCheckRow.id.desc())).all()
        rows = values_of(KeptQuickCheck, found)
        return [_checked(it, kept_card(desk.get(session, SetUpCardRow, it.card_id, "card"))) for it in rows]


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
