"""Comparisons judged: what the conditions come to, planned so or not."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from uuid import UUID

from sqlalchemy import select

from ...core.estimate.cost import Mix
from ...core.golfer.hand import Hand
from ...core.judge.claims.level import Weighing
from ...core.judge.claims.reads import Compared, compared
from ...core.judge.findings.case import Case
from ...core.judge.findings.judged import Planned
from ...core.judge.ledger.entry import Batch, Ledger
from ...core.start.turns import Of, PlannedPutt, Question, Turn
from ...store.tables import BlockRow, ComparisonRow, LessonRow
from ..aim.turns import AimTurns
from ..desk.desk import Desk
from ..lesson.lessons import BlockSheet, lesson_sheet
from ..start.comparisons import blocks_of_comparison, plan_of, turn_of
from ..values import KeptComparison, value_of, values_of
from .ledger import Gathered, ledger_of

_ASIDE = "beside"
"""The name of a comparison that nobody planned."""


@dataclass(frozen=True, slots=True)
class ComparisonSheet:
    """A comparison as it stands: its blocks in the order of its conditions, whose turn it is, what they come to, and
    the windows its starts are weighed by."""

    comparison: KeptComparison
    sheets: Sequence[BlockSheet]
    plan: tuple[PlannedPutt, ...]
    turn: Turn
    compared: Compared | None
    hand: Hand
    mix: Mix

    @property
    def question(self) -> Question:
        return self.comparison.question

    @property
    def names(self) -> list[str]:
        """The conditions by name."""
        return [it.block.condition for it in self.sheets]


def comparison_sheet(desk: Desk, id: UUID) -> ComparisonSheet:
    """One comparison as it stands."""
    with desk.transaction() as session:
        row = value_of(KeptComparison, desk.get(session, ComparisonRow, id, "comparison"))
    return comparison_sheets(desk, row.lesson_id, [row])[0]


def comparisons_of(desk: Desk, lesson_id: UUID) -> list[ComparisonSheet]:
    """The comparisons of a lesson, oldest first."""
    rows = _rows(desk, lesson_id, "start")
    return comparison_sheets(desk, lesson_id, rows) if rows else []


def planned_in(desk: Desk, lesson_id: UUID, sheets: Sequence[BlockSheet], turns: Sequence[AimTurns]) -> list[Planned]:
    """The comparisons of a lesson, of starts and of aims, as far as they were read."""
    found: list[Planned] = []
    for row in _rows(desk, lesson_id, "start"):
        own = sorted((it for it in sheets if it.block.comparison_id == row.id), key=lambda it: it.block.turn or 0)
        at = turn_of(plan_of(row, len(own)), own)
        found.append(Planned(str(row.id), row.of, row.question, at.condition is None))
    for it in turns:
        found.append(Planned(str(it.comparison.id), "aim", it.comparison.question, it.turn.condition is None))
    return found


def aims_compared(desk: Desk, lesson_id: UUID, it: AimTurns) -> tuple[Compared | None, Hand]:
    """What a comparison of set-downs comes to."""
    ledger, by = _weighed(ledger_of(desk, lesson_sheet(desk, lesson_id), earlier=False))
    final = it.turn.condition is None
    return compared(ledger, str(it.comparison.id), "aim", it.comparison.question, by, final=final), ledger.hand


def compare_blocks(desk: Desk, ids: Sequence[UUID], question: Question) -> tuple[Compared | None, Hand]:
    """Any blocks set beside the first, whether planned so or not: a block with putts to come is told as so far."""
    with desk.transaction() as session:
        lessons = [desk.get(session, BlockRow, id, "block").lesson_id for id in ids]
    told = {it: _weighed(ledger_of(desk, lesson_sheet(desk, it), earlier=False)) for it in dict.fromkeys(lessons)}
    batches: list[Batch] = []
    for n, (id, lesson) in enumerate(zip(ids, lessons, strict=True)):
        own = next((it for it in told[lesson][0].batches if it.id == str(id)), None)
        if own is not None:
            batches.append(replace(own, comparison=_ASIDE, turn=n))
    ledger, by = told[lessons[0]]
    final = len(batches) == len(ids) and all(len(it.events) >= it.planned for it in batches)
    return compared(replace(ledger, batches=tuple(batches)), _ASIDE, "start", question, by, final=final), ledger.hand


def _weighed(it: Gathered) -> tuple[Ledger, Weighing]:
    return it.ledger, Case(it.ledger).weighing


def _rows(desk: Desk, lesson_id: UUID, of: Of) -> Sequence[KeptComparison]:
    query = select(ComparisonRow).where(ComparisonRow.studio_id == desk.studio_id, ComparisonRow.lesson_id == lesson_id)
    with desk.transaction() as session:
        desk.get(session, LessonRow, lesson_id, "lesson")
        rows = session.scalars(query.where(ComparisonRow.of == of).order_by(ComparisonRow.started_at, ComparisonRow.id))
        return values_of(KeptComparison, rows)


def comparison_sheets(desk: Desk, lesson_id: UUID, rows: Sequence[KeptComparison]) -> list[ComparisonSheet]:
    """Some comparisons of a lesson as they stand."""
    ledger, by = _weighed(ledger_of(desk, lesson_sheet(desk, lesson_id), earlier=False))
    found: list[ComparisonSheet] = []
    for row in rows:
        with desk.transaction() as session:
            sheets = blocks_of_comparison(desk, session, row)
        plan = plan_of(row, len(sheets))
        at = turn_of(plan, sheets)
        come_to = compared(ledger, str(row.id), row.of, row.question, by, final=at.condition is None)
        found.append(ComparisonSheet(row, sheets, plan.putts(), at, come_to, ledger.hand, ledger.mix))
    return found
