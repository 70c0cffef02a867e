"""The account of a lesson: gathered once of every state of the golfer's data, and read by every page."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final
from uuid import UUID

from sqlalchemy import select

from ...core.judge.account import Account, Ended, ended, reads_off
from ...core.judge.findings.judged import Planned
from ...core.start.turns import Of
from ...store.tables import ComparisonRow, LessonRow
from ..aim.turns import AimTurns
from ..desk.desk import Desk
from ..desk.in_hand import InHand
from ..desk.kept import mark_of_lesson
from ..lesson.complaints import complaint_of
from ..lesson.lessons import BlockSheet, LessonSheet, lesson_sheet
from ..start.comparisons import plan_of, turn_of
from ..values import KeptComparison, KeptGolfer, KeptLesson, values_of
from .bands import bands_are_tried
from .ledger import every_batch, ledger_of

_IN_HAND: Final = InHand[Account](16)


def account_of(desk: Desk, lesson_id: UUID) -> Account:
    """What a lesson says by itself: for its blocks, its halves, its comparisons."""

    def made() -> Account:
        return account_in(desk, lesson_sheet(desk, lesson_id), earlier=False)

    return made() if bands_are_tried() else _IN_HAND.of(desk, mark_of_lesson(desk, lesson_id), lesson_id, made)


def account_in(desk: Desk, sheet: LessonSheet, *, earlier: bool = True) -> Account:
    """The account of a lesson already read from the store; `earlier`: with what the lessons before tell of growth."""
    told = ledger_of(desk, sheet, earlier=earlier)
    asked = complaint_of(sheet.lesson.complaint)
    planned = _planned(desk, sheet.lesson.id, sheet.blocks, told.turns)
    return Account(told.ledger, told.putt, tuple(planned), asked.asks if asked else ())


def _planned(desk: Desk, lesson_id: UUID, sheets: Sequence[BlockSheet], turns: Sequence[AimTurns]) -> list[Planned]:
    """The comparisons of a lesson, of starts and of aims, as far as they were read."""
    found: list[Planned] = []
    for row in comparison_rows(desk, lesson_id, "start"):
        own = sorted((it for it in sheets if it.block.comparison_id == row.id), key=lambda it: it.block.turn or 0)
        at = turn_of(plan_of(row, len(own)), own)
        found.append(Planned(str(row.id), row.of, row.question, at.condition is None))
    for it in turns:
        found.append(Planned(str(it.comparison.id), "aim", it.comparison.question, it.turn.condition is None))
    return found


def comparison_rows(desk: Desk, lesson_id: UUID, of: Of) -> Sequence[KeptComparison]:
    """The comparisons of a lesson as they were planned, oldest first."""
    query = select(ComparisonRow).where(ComparisonRow.studio_id == desk.studio_id, ComparisonRow.lesson_id == lesson_id)
    with desk.transaction() as session:
        desk.get(session, LessonRow, lesson_id, "lesson")
        rows = session.scalars(query.where(ComparisonRow.of == of).order_by(ComparisonRow.started_at, ComparisonRow.id))
        return values_of(KeptComparison, rows)


@dataclass(frozen=True, slots=True)
class OverLessons:
    """What the putts of many lessons tell of pace and reads: where they ended, how far the reads lay off, degrees."""

    ended: list[Ended]
    reads_off: list[float]


def over_lessons(desk: Desk, golfer: KeptGolfer, lessons: Sequence[KeptLesson], expected_deg: float) -> OverLessons:
    """Of these lessons of a golfer's; `expected_deg`: the spread expected where none was read."""
    batches = list(every_batch(desk, golfer, lessons, expected_deg, starts_only=True))
    return OverLessons(ended(batches), reads_off(batches))
