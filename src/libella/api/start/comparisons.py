"""Planned comparisons, the ladder and the pauses of a run of putts."""

from datetime import UTC, datetime
from typing import Literal

from fastapi import APIRouter, Query, Request
from pydantic import BaseModel, Field

from ...core.judge.comparing import QUESTIONS, Compared, Question
from ...core.start.pauses import Nudge, Pauses
from ...core.start.turns import ORDERS, Order
from ...lessons.start import comparisons, pauses
from ...lessons.start.comparisons import ComparisonEntry, ComparisonSheet, Condition
from ..base.shapes import UUID, UUID7, AtDesk, Entry, Kept, Moment, ShortWords, words
from .blocks import BlockKept

router = APIRouter(tags=["comparisons"])


class ConditionIn(Entry):
    name: ShortWords = Field(examples=["mirror first"])
    station_id: UUID
    guided: bool = False


class ComparisonIn(Entry):
    """What is planned before the first putt; nothing of it changes afterwards."""

    lesson_id: UUID
    conditions: tuple[ConditionIn, ...] = Field(min_length=2, max_length=5)
    each: int = Field(description="putts under each condition, 3 to 60", examples=[9])
    order: Order = "alternating"
    run: int = Field(default=3, description="putts before the condition changes, 1 to 10")
    question: Question = "line"
    asks: tuple[words(20), ...] = ()
    hole: bool = True
    started_at: Moment


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
    turns: tuple[int, ...] = Field(description="the condition of every putt, first to last")
    turn: UUID | None
    turn_words: str
    compared: Compared


class ChoicesOut(BaseModel):
    orders: dict[Order, str]
    questions: dict[Question, str]


class PausesIn(Entry):
    spot_putts: float
    feet_min: float
    rest_min: float


class PauseIn(Entry):
    done: Literal["moved", "rested"]


class PausesOut(Kept):
    pauses: Pauses
    spot: int
    feet_due_at: datetime | None
    rest_due_at: datetime | None
    nudges: tuple[Nudge, ...]


@router.get("/comparison-choices")
def choices() -> ChoicesOut:
    """The orders there are, and the questions a comparison can be planned to answer."""
    return ChoicesOut(orders=ORDERS, questions=QUESTIONS)


@router.put("/comparisons/{id}")
def plan(desk: AtDesk, request: Request, id: UUID7, entry: ComparisonIn) -> ComparisonOut:
    """Plan a comparison: a block for each condition is started."""
    told = entry.model_dump() | {"conditions": tuple(Condition(**it.model_dump()) for it in entry.conditions)}
    # The order of the shuffle follows from the id: said again, it is the same.
    comparisons.plan_comparison(desk, id, ComparisonEntry(**told, seed=id.int % 2**31))
    request.app.state.live.tell(entry.lesson_id, "block")
    return _out(comparisons.comparison_sheet(desk, id))


@router.get("/comparisons/{id}")
def one(desk: AtDesk, id: UUID) -> ComparisonOut:
    return _out(comparisons.comparison_sheet(desk, id))


@router.get("/lessons/{id}/comparisons")
def of_lesson(desk: AtDesk, id: UUID) -> list[ComparisonOut]:
    """The comparisons of a lesson, oldest first."""
    return [_out(it) for it in comparisons.comparisons_of(desk, id)]


@router.get("/compare")
def compare(
    desk: AtDesk, question: Question = "line", blocks: list[UUID] = Query(min_length=2, max_length=5)
) -> Compared:
    """Any blocks beside the first of them, planned so or not."""
    return comparisons.compare_blocks(desk, blocks, question)


@router.get("/lessons/{id}/pauses")
def pauses_now(desk: AtDesk, id: UUID) -> PausesOut:
    """When to break off, and what is due."""
    return PausesOut.model_validate(pauses.pause_sheet(desk, id, datetime.now(UTC)))


@router.put("/lessons/{id}/pauses")
def paused(desk: AtDesk, request: Request, id: UUID, entry: PauseIn) -> PausesOut:
    """Note that the feet moved, or that the golfer straightened up."""
    pauses.note_pause(desk, id, entry.done, datetime.now(UTC))
    request.app.state.live.tell(id, "pause")
    return pauses_now(desk, id)


@router.put("/pauses")
def keep_pauses(desk: AtDesk, entry: PausesIn) -> Pauses:
    """Keep when to break off, in every lesson from now on."""
    return pauses.keep_pauses(desk, entry.model_dump())


def _out(it: ComparisonSheet) -> ComparisonOut:
    row = it.comparison
    blocks = [BlockKept.model_validate(sheet.block) for sheet in it.sheets]
    at = it.turn.condition
    return ComparisonOut(
        id=row.id,
        question=it.question,
        question_words=QUESTIONS[it.question],
        order_words=ORDERS[next(o for o in ORDERS if o == row.order)],
        each=row.each,
        run=row.run,
        started_at=row.started_at,
        blocks=blocks,
        done=[sum(not reading.voided for reading in sheet.readings) for sheet in it.sheets],
        turns=it.turns,
        turn=None if at is None else blocks[at].id,
        turn_words=it.turn_words,
        compared=it.compared,
    )
