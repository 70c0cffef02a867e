"""Comparisons judged: what the conditions come to, planned so or not."""

from collections.abc import Sequence
from dataclasses import dataclass
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.judge.comparing import Arm, Compared, Question, compared, good_of
from ...core.measure.units import Units, tape
from ...core.start.turns import PlannedPutt, Turn
from ...store.tables import BlockRow, ComparisonRow, LessonRow
from ..desk.desk import Desk
from ..lesson.lessons import BlockSheet, blocks_where
from ..start.blocks import station_of, valid_intervals
from ..start.comparisons import blocks_of_comparison, plan_of, turn_of
from ..values import KeptComparison, value_of, values_of


@dataclass(frozen=True, slots=True)
class ComparisonSheet:
    """A comparison as it stands: its blocks in the order of its conditions, whose turn it is, what they come to."""

    comparison: KeptComparison
    sheets: Sequence[BlockSheet]
    plan: tuple[PlannedPutt, ...]
    turn: Turn
    compared: Compared

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
        return _sheet(desk, session, row)


def comparisons_of(desk: Desk, lesson_id: UUID) -> list[ComparisonSheet]:
    """The comparisons of a lesson, oldest first."""
    query = select(ComparisonRow).where(ComparisonRow.studio_id == desk.studio_id, ComparisonRow.lesson_id == lesson_id)
    query = query.where(ComparisonRow.of == "start")
    with desk.transaction() as session:
        desk.get(session, LessonRow, lesson_id, "lesson")
        rows = session.scalars(query.order_by(ComparisonRow.started_at, ComparisonRow.id)).all()
        return [_sheet(desk, session, it) for it in values_of(KeptComparison, rows)]


def compare_blocks(desk: Desk, ids: Sequence[UUID], question: Question, units: Units) -> Compared:
    """Any blocks set beside the first, whether planned so or not: a block with putts to come is told as so far."""
    with desk.transaction() as session:
        sheets = {it.block.id: it for it in blocks_where(desk, session, BlockRow.id.in_(ids))}
        for id in ids:
            desk.get(session, BlockRow, id, "block")
    ordered = [sheets[it] for it in ids]
    names = [it.block.condition for it in ordered]
    arms: list[Arm] = []
    for n, it in enumerate(ordered):
        twice = names.count(names[n]) > 1
        arms.append(
            _arm(it, f"{names[n]}, {tape(it.block.distance_m, units)}, {n + 1}." if twice else names[n], question)
        )
    final = all(len(arm.readings) >= it.block.planned for arm, it in zip(arms, ordered, strict=True))
    return compared(arms, question, final=final)


def _arm(sheet: BlockSheet, name: str, question: Question) -> Arm:
    good = good_of([it.notes for it in sheet.readings if not it.voided], question)
    return Arm.at(name, valid_intervals(sheet), station_of(sheet.block), sheet.block.disturbances, good)


def _sheet(desk: Desk, session: Session, row: KeptComparison) -> ComparisonSheet:
    sheets = blocks_of_comparison(desk, session, row)
    plan = plan_of(row, len(sheets))
    at = turn_of(plan, sheets)
    arms = [_arm(it, it.block.condition, row.question) for it in sheets]
    found = compared(arms, row.question, final=at.condition is None)
    return ComparisonSheet(row, sheets, plan.putts(), at, found)
