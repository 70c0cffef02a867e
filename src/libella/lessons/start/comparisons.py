"""Planned comparisons: conditions putted in turns, each a block, and what they come to."""

from collections.abc import Sequence
from dataclasses import asdict, dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

import uuid6
from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.judge.comparing import QUESTIONS, Arm, Compared, Question, compared
from ...core.start.turns import ORDERS, Order, Plan, Turn, turn
from ...store.tables import BlockRow, ComparisonRow, LessonRow, StationRow
from ..desk.desk import Desk
from ..desk.problem import Conflict, KeptOtherwise
from ..lesson.lessons import BlockSheet, blocks_where, open_lesson
from .blocks import BlockEntry, add_block, station_of, valid_intervals

_ORDERS: dict[str, Order] = {it: it for it in ORDERS}
_QUESTIONS: dict[str, Question] = {it: it for it in QUESTIONS}


@dataclass(frozen=True, slots=True)
class Condition:
    """One condition: its name, where it is putted, whether the rig stands in the golfer's view."""

    name: str
    station_id: UUID
    guided: bool


@dataclass(frozen=True, slots=True)
class ComparisonEntry:
    """What a coach plans before the first putt of a comparison."""

    lesson_id: UUID
    conditions: tuple[Condition, ...]
    each: int
    order: Order
    run: int
    question: Question
    started_at: datetime
    asks: tuple[str, ...] = ()
    hole: bool = True
    seed: int = 0

    def __post_init__(self) -> None:
        self.plan()
        if len({it.name for it in self.conditions}) < len(self.conditions):
            raise Conflict("Two conditions have the same name.", "Name each by what differs.")

    def plan(self) -> Plan:
        return Plan(len(self.conditions), self.each, self.order, self.run, self.seed)


@dataclass(frozen=True, slots=True)
class ComparisonSheet:
    """A comparison as it stands: its blocks in the order of its conditions, whose turn it is, what they come to."""

    comparison: ComparisonRow
    sheets: Sequence[BlockSheet]
    turns: tuple[int, ...]
    turn: Turn
    compared: Compared

    @property
    def question(self) -> Question:
        return _QUESTIONS[self.comparison.question]

    @property
    def turn_words(self) -> str:
        return self.turn.words([it.block.condition for it in self.sheets])


def plan_comparison(desk: Desk, id: UUID, entry: ComparisonEntry) -> ComparisonRow:
    """Plan a comparison and start its blocks. Said twice it is one; said otherwise, a conflict."""
    told = _told(entry)
    with desk.transaction() as session:
        open_lesson(desk, session, entry.lesson_id, entry.started_at)
        values = {name: getattr(entry, name) for name in ("lesson_id", "question", "order", "each", "run", "seed")}
        row, new = desk.add(session, ComparisonRow, id, **values, started_at=entry.started_at, entry=told)
        if not new:
            if row.entry != told:
                raise KeptOtherwise("A comparison with this id was planned otherwise.", "Plan a new one.")
            return row
        for n, it in enumerate(entry.conditions):
            station = desk.get(session, StationRow, it.station_id, "station")
            if station.lesson_id != entry.lesson_id:
                raise Conflict("That station was laid for another lesson.", "Lay it for this one.")
            block = BlockEntry(
                it.station_id, it.name, it.guided, entry.each, entry.started_at, entry.asks, hole=entry.hole
            )
            add_block(desk, session, uuid6.uuid7(), block, comparison_id=id, turn=n)
        return row


def _told(entry: ComparisonEntry) -> dict[str, Any]:
    told: dict[str, Any] = asdict(entry) | {
        "lesson_id": str(entry.lesson_id),
        "started_at": entry.started_at.isoformat(),
    }
    told["conditions"] = [asdict(it) | {"station_id": str(it.station_id)} for it in entry.conditions]
    return told | {"asks": list(entry.asks)}


def comparison_sheet(desk: Desk, id: UUID) -> ComparisonSheet:
    """One comparison as it stands."""
    with desk.transaction() as session:
        row = desk.get(session, ComparisonRow, id, "comparison")
        return _sheet(desk, session, row)


def comparisons_of(desk: Desk, lesson_id: UUID) -> list[ComparisonSheet]:
    """The comparisons of a lesson, oldest first."""
    query = select(ComparisonRow).where(ComparisonRow.studio_id == desk.studio_id, ComparisonRow.lesson_id == lesson_id)
    with desk.transaction() as session:
        desk.get(session, LessonRow, lesson_id, "lesson")
        rows = session.scalars(query.order_by(ComparisonRow.started_at, ComparisonRow.id)).all()
        return [_sheet(desk, session, row) for row in rows]


def next_block(desk: Desk, session: Session, comparison_id: UUID) -> UUID | None:
    """The block whose turn it is; None when all putts are in."""
    row = desk.get(session, ComparisonRow, comparison_id, "comparison")
    sheets = _blocks(desk, session, row)
    at = _turn(_plan(row, len(sheets)), sheets).condition
    return None if at is None else sheets[at].block.id


def compare_blocks(desk: Desk, ids: Sequence[UUID], question: Question) -> Compared:
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
        arms.append(_arm(it, f"{names[n]}, {it.block.distance_m:g} m, {n + 1}." if twice else names[n]))
    final = all(len(arm.readings) >= it.block.planned for arm, it in zip(arms, ordered, strict=True))
    return compared(arms, question, final=final)


def _arm(sheet: BlockSheet, name: str) -> Arm:
    return Arm(name, tuple(valid_intervals(sheet)), station_of(sheet.block))


def _blocks(desk: Desk, session: Session, row: ComparisonRow) -> list[BlockSheet]:
    return sorted(blocks_where(desk, session, BlockRow.comparison_id == row.id), key=lambda it: it.block.turn or 0)


def _plan(row: ComparisonRow, conditions: int) -> Plan:
    return Plan(conditions, row.each, _ORDERS[row.order], row.run, row.seed)


def _turn(plan: Plan, sheets: Sequence[BlockSheet]) -> Turn:
    return turn(plan, [len(valid_intervals(it)) for it in sheets])


def _sheet(desk: Desk, session: Session, row: ComparisonRow) -> ComparisonSheet:
    sheets = _blocks(desk, session, row)
    plan = _plan(row, len(sheets))
    at = _turn(plan, sheets)
    arms = [_arm(it, it.block.condition) for it in sheets]
    found = compared(arms, _QUESTIONS[row.question], final=at.condition is None)
    return ComparisonSheet(row, sheets, plan.turns(), at, found)
