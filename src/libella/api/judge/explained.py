"""Whatever a lesson or a block says, opened: what it rests on, what was left out, how its word came about, what would
change it most."""

from collections.abc import Mapping

from fastapi import Query
from pydantic import BaseModel, Field

from ...core.golfer.hand import Hand
from ...core.judge.explained.every import Opener, of_block, of_lesson
from ...core.opinions.held import held_now
from ...lessons.desk.problem import NotFound
from ...lessons.judge import blocks
from ...lessons.judge.findings import judge_whole
from ...lessons.see import maps
from ...words.judge.explained.opened import OpenedWords, ReadingWords, opened_said
from ...words.judge.explained.perception import map_opened
from ...words.opinions.held import held_said
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, InUnits, Words200

router = Router(tags=["explained"])


class RestsOut(BaseModel):
    """A reading it rests on, with where it was tapped."""

    words: str
    weight: float = Field(description="as much of a whole reading as it counts")
    step: str
    at: str = Field(description="the block, series or set-up it was read in")
    id: str
    lesson: str = Field(description="the lesson it was read in; empty: the one that is open")


class ExplainedOut(BaseModel):
    name: str
    says: str = Field(description="what is said, as it is said")
    rests: str
    readings: list[RestsOut]
    left_out: list[str]
    sums: list[str] = Field(description="what was believed before, the numbers, how the word follows")
    moves: list[str] = Field(description="what would change it most, the most first")
    held: list[str] = Field(description="opinions that are held otherwise than they stand")


@router.get("/lessons/{id}/explained")
def of_a_lesson(
    desk: AtDesk, id: UUID, claim: Words200 = Query(description="its key"), units: InUnits = "metric"
) -> ExplainedOut:
    """Open what a lesson says."""
    with desk.together() as whole:
        it = judge_whole(whole, id)
    return _opened(of_lesson(it.ledger, it.judged), claim, it.ledger.hand, units)


@router.get("/lessons/{id}/map/explained")
def of_a_map(
    desk: AtDesk,
    id: UUID,
    claim: Words200 = Query(description="map for what it says, or a lever's code"),
    units: InUnits = "metric",
) -> ExplainedOut:
    """Open what a lesson's perception map says."""
    it = maps.open_map(desk, id, claim)
    return opened_out(map_opened(it.it, [str(one) for one in it.tests], it.left_out, units), units)


@router.get("/blocks/{id}/explained")
def of_a_block(
    desk: AtDesk, id: UUID, claim: Words200 = Query(description="its key"), units: InUnits = "metric"
) -> ExplainedOut:
    """Open what is said of a block's putts."""
    with desk.together() as whole:
        it = blocks.read_of_block(whole, id)
    return _opened(of_block(it.ledger, it.reads, it.case), claim, it.hand, units)


def _opened(every: Mapping[str, Opener], key: str, hand: Hand, units: InUnits) -> ExplainedOut:
    if key not in every:
        raise NotFound("claim")
    return opened_out(opened_said(every[key](), hand, units), units)


def opened_out(it: OpenedWords, units: InUnits) -> ExplainedOut:
    """Whatever was opened, as it is sent, with what is held otherwise than it stands."""
    return ExplainedOut(
        name=it.name,
        says=it.says,
        rests=it.rests,
        readings=[_rests(one) for one in it.readings],
        left_out=list(it.left_out),
        sums=list(it.sums),
        moves=list(it.moves),
        held=list(held_said(held_now(), units)),
    )


def _rests(it: ReadingWords) -> RestsOut:
    step, at = (it.at.step, it.at.id) if it.at else ("", "")
    return RestsOut(words=it.words, weight=it.weight, step=step, at=at, id=it.id, lesson=it.lesson)
