"""Comparisons: planned, and what they come to."""

from datetime import datetime

from fastapi import Query, Request
from pydantic import BaseModel, Field

from ...core.measure.units import Units
from ...core.start.turns import Order, Question
from ...lessons.judge import comparisons
from ...lessons.judge.comparisons import ComparisonSheet
from ...lessons.start.comparisons import ComparisonEntry, Condition, begin_comparison
from ...words.judge.comparison import QUESTIONS, felt_said
from ...words.start.run import ORDERS, turn_words
from ..base.compared import ComparedOut
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Moment, ShortWords, Words20
from ..start.blocks import BlockKept

router = Router(tags=["comparisons"])


class ConditionIn(Entry):
    name: ShortWords = Field(examples=["mirror first"])
    station_id: UUID
    guided: bool = False
    factors: dict[Words20, ShortWords] = Field(
        default_factory=dict, description="in what it is not as usual", max_length=8, examples=[{"set_up": "wide base"}]
    )

    block_id: UUID7 | None = Field(
        default=None, description="its block's id, where it is putted before this is known; null: it is given one"
    )


class ComparisonIn(Entry):
    """What is planned before the first putt; nothing of it changes afterwards."""

    lesson_id: UUID
    conditions: tuple[ConditionIn, ...] = Field(min_length=2, max_length=5)
    each: int = Field(description="putts under each condition, 3 to 60", examples=[9])
    order: Order = "alternating"
    run: int = Field(default=3, description="putts before the condition changes, 1 to 10")
    question: Question = "line"
    asks: tuple[Words20, ...] = ()
    hole: bool = True
    change_id: UUID | None = Field(None, description="the change it retests; null: none")
    started_at: Moment


class PlannedPutt(BaseModel):
    """A putt of the plan: the `nth` (from 1) of its block. It is open while the block has fewer valid putts."""

    block_id: UUID
    nth: int


class ComparisonOut(BaseModel):
    """A comparison as it stands. `turn` is the block whose turn it is, None when all putts are in."""

    id: UUID
    question: Question
    question_words: str
    order_words: str
    each: int
    run: int
    started_at: datetime
    blocks: list[BlockKept]
    done: list[int]
    plan: list[PlannedPutt] = Field(description="every putt, first to last")
    turn: UUID | None
    turn_words: str
    compared: ComparedOut
    felt: str = Field(description="comfort and trust of each way; empty while nobody said")


@router.put("/comparisons/{id}")
def plan(desk: AtDesk, request: Request, id: UUID7, entry: ComparisonIn, units: InUnits = "metric") -> ComparisonOut:
    """Plan a comparison: a block for each condition is started."""
    told = ComparisonEntry(
        lesson_id=entry.lesson_id,
        conditions=tuple(
            Condition(it.name, it.station_id, it.guided, it.factors, it.block_id) for it in entry.conditions
        ),
        each=entry.each,
        order=entry.order,
        run=entry.run,
        question=entry.question,
        started_at=entry.started_at,
        asks=entry.asks,
        hole=entry.hole,
        change_id=entry.change_id,
        # The order of the shuffle follows from the id: said again, it is the same.
        seed=id.int % 2**31,
    )
    begin_comparison(desk, id, told)
    request.app.state.live.tell(entry.lesson_id, "block")
    return _out(comparisons.comparison_sheet(desk, id), units)


@router.get("/comparisons/{id}")
def one(desk: AtDesk, id: UUID, units: InUnits = "metric") -> ComparisonOut:
    return _out(comparisons.comparison_sheet(desk, id), units)


@router.get("/lessons/{id}/comparisons")
def of_lesson(desk: AtDesk, id: UUID, units: InUnits = "metric") -> list[ComparisonOut]:
    """The comparisons of a lesson, oldest first."""
    return [_out(it, units) for it in comparisons.comparisons_of(desk, id)]


@router.get("/compare")
def compare(
    desk: AtDesk,
    question: Question = "line",
    units: InUnits = "metric",
    blocks: list[UUID] = Query(min_length=2, max_length=5),
) -> ComparedOut:
    """Any blocks beside the first of them, planned so or not."""
    found, hand = comparisons.compare_blocks(desk, blocks, question)
    return ComparedOut.of(found, "start", [], hand, units)


def _out(it: ComparisonSheet, units: Units) -> ComparisonOut:
    row = it.comparison
    blocks = [BlockKept.model_validate(sheet.block) for sheet in it.sheets]
    at = it.turn.condition
    return ComparisonOut(
        id=row.id,
        question=it.question,
        question_words=QUESTIONS[row.of][it.question],
        order_words=ORDERS[row.order],
        each=row.each,
        run=row.run,
        started_at=row.started_at,
        blocks=blocks,
        done=[sum(not reading.voided for reading in sheet.readings) for sheet in it.sheets],
        plan=[PlannedPutt(block_id=blocks[it.condition].id, nth=it.nth) for it in it.plan],
        turn=None if at is None else blocks[at].id,
        turn_words=turn_words(it.turn, it.names, row.of),
        compared=ComparedOut.of(it.compared, row.of, it.names, it.hand, units),
        felt=felt_said([one.block.felt for one in it.sheets]),
    )
