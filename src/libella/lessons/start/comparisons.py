"""Planned comparisons: conditions putted in turns, each a block."""

from collections.abc import Mapping, Sequence
from dataclasses import asdict, dataclass, field
from datetime import datetime
from typing import Any
from uuid import UUID

import uuid6
from sqlalchemy.orm import Session

from ...core.judge.ledger.factors import levels_of
from ...core.start.turns import Order, Plan, Question, Turn, noticed, turn
from ...core.start.watched import kind_of
from ...store.tables import BlockRow, ComparisonRow, NotedChangeRow, StationRow
from ..desk.desk import Desk
from ..desk.problem import Conflict, KeptOtherwise
from ..lesson.lessons import BlockSheet, blocks_where, open_lesson
from ..set.stations import entry_of
from ..values import KeptComparison, value_of
from .blocks import BlockEntry, add_block, notes_laid, valid_intervals


@dataclass(frozen=True, slots=True)
class Condition:
    """One condition: its name, where it is putted, whether the rig stands in the golfer's view, and in what else it is
    not as usual (see `core.judge.ledger.factors`)."""

    name: str
    station_id: UUID
    guided: bool
    factors: Mapping[str, str] = field(default_factory=dict[str, str])
    block_id: UUID | None = None
    """The id of its block, where a device without a network has begun to putt in it; None: it is given one."""

    def __post_init__(self) -> None:
        levels_of(self.factors)


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
    change_id: UUID | None = None
    """The change it retests."""

    def __post_init__(self) -> None:
        self.plan()
        if len({it.name for it in self.conditions}) < len(self.conditions):
            raise Conflict("conditions_alike")

    @property
    def asked(self) -> tuple[str, ...]:
        """What is noted of every putt: what the question is about, at least."""
        note = noticed(self.question)
        return self.asks if note is None or note in self.asks else (*self.asks, note)

    def plan(self) -> Plan:
        return Plan(len(self.conditions), self.each, self.order, self.run, self.seed)


def begin_comparison(desk: Desk, id: UUID, entry: ComparisonEntry) -> KeptComparison:
    """Plan a comparison and start its blocks. Said twice it is one; said otherwise, a conflict."""
    told = _told(entry)
    with desk.transaction() as session:
        lesson = open_lesson(desk, session, entry.lesson_id, entry.started_at)
        if entry.change_id is not None:
            change = desk.get(session, NotedChangeRow, entry.change_id, "change")
            if change.golfer_id != lesson.golfer_id:
                raise Conflict("change_of_another")
        values = {
            name: getattr(entry, name)
            for name in ("lesson_id", "question", "order", "each", "run", "seed", "change_id")
        }
        row, new = desk.add(session, ComparisonRow, id, **values, started_at=entry.started_at, entry=told)
        if not new:
            if row.entry != told:
                raise KeptOtherwise("comparison")
            return value_of(KeptComparison, row)
        for n, it in enumerate(entry.conditions):
            station = desk.get(session, StationRow, it.station_id, "station")
            if station.lesson_id != entry.lesson_id:
                raise Conflict("station_of_another")
            # Of an aid that is lifted under this condition nothing is asked.
            laid = notes_laid(entry_of(station).station())
            asks = tuple(ask for ask in entry.asked if kind_of(ask) is None or ask in laid)
            block = BlockEntry(
                it.station_id,
                it.name,
                it.guided,
                entry.each,
                entry.started_at,
                asks,
                hole=entry.hole,
                factors=it.factors,
            )
            add_block(desk, session, it.block_id or uuid6.uuid7(), block, comparison_id=id, turn=n)
        return value_of(KeptComparison, row)


def _told(entry: ComparisonEntry) -> dict[str, Any]:
    told: dict[str, Any] = asdict(entry) | {
        "lesson_id": str(entry.lesson_id),
        "started_at": entry.started_at.isoformat(),
    }
    told["conditions"] = [_condition(it) for it in entry.conditions]
    # As it was said before changes could be retested, where it retests none.
    change = told.pop("change_id")
    return told | {"asks": list(entry.asks)} | ({"change_id": str(change)} if change else {})


def _condition(it: Condition) -> dict[str, Any]:
    told = asdict(it) | {"station_id": str(it.station_id), "factors": dict(it.factors)}
    block = told.pop("block_id")
    return told | ({"block_id": str(block)} if block else {})


def next_block(desk: Desk, session: Session, comparison_id: UUID) -> UUID | None:
    """The block whose turn it is; None when all putts are in."""
    row = value_of(KeptComparison, desk.get(session, ComparisonRow, comparison_id, "comparison"))
    sheets = blocks_of_comparison(desk, session, row)
    at = turn_of(plan_of(row, len(sheets)), sheets).condition
    return None if at is None else sheets[at].block.id


def blocks_of_comparison(desk: Desk, session: Session, row: KeptComparison) -> list[BlockSheet]:
    """Its blocks in the order of its conditions."""
    return sorted(blocks_where(desk, session, BlockRow.comparison_id == row.id), key=lambda it: it.block.turn or 0)


def plan_of(row: KeptComparison, conditions: int) -> Plan:
    """The plan of a comparison as kept."""
    return Plan(conditions, row.each, row.order, row.run, row.seed)


def turn_of(plan: Plan, sheets: Sequence[BlockSheet]) -> Turn:
    """Whose turn it is."""
    return turn(plan, [len(valid_intervals(it)) for it in sheets])
