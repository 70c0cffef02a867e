"""A claim opened: what it rests on, what was left out, how its word came about, what would change it most."""

from fastapi import APIRouter, Query
from pydantic import BaseModel, Field

from ...core.golfer.hand import Hand
from ...core.judge.claims.level import Level
from ...core.judge.explained import Explained, Rests, explained
from ...lessons.desk.problem import NotFound
from ...lessons.judge.findings import judge_whole
from ...words.judge import explained as words
from ...words.judge.claims import level_said, share_said
from ..base.read import key_of
from ..base.shapes import UUID, AtDesk, InUnits, Words200

router = APIRouter(tags=["explained"])


class RestsOut(BaseModel):
    """A reading it rests on, with where it was tapped."""

    words: str
    weight: float = Field(description="as much of a whole reading as it counts")
    step: str
    at: str = Field(description="the block, series or set-up it was read in")
    id: str


class ExplainedOut(BaseModel):
    title: str
    says: str = Field(description="the claim itself")
    rests: str
    readings: list[RestsOut]
    left_out: list[str]
    sums: list[str] = Field(description="what was believed before, the numbers, how the word follows")
    moves: list[str] = Field(description="what would change it most, the most first")


@router.get("/lessons/{id}/explained")
def of_claim(
    desk: AtDesk, id: UUID, claim: Words200 = Query(description="its key"), units: InUnits = "metric"
) -> ExplainedOut:
    """Open a claim of a lesson."""
    with desk.together() as whole:
        it = judge_whole(whole, id)
    found = next((one for one in it.judged.reads if key_of(one) == claim), None)
    if found is None:
        raise NotFound("claim")
    opened = explained(it.ledger, found, it.judged.case.weighing)
    hand = it.ledger.hand
    return ExplainedOut(
        title=words.title_said(opened),
        says=level_said(found, hand, units) if isinstance(found, Level) else share_said(found),
        rests=words.rests_said(opened),
        readings=[_rests(one, opened, hand, units) for one in opened.rests],
        left_out=[words.left_said(one, units) for one in opened.left_out],
        sums=words.sums_said(opened, hand, units),
        moves=[words.moves_said(one, found.quantity, hand, units) for one in opened.moves],
    )


def _rests(it: Rests, of: Explained, hand: Hand, units: InUnits) -> RestsOut:
    said = words.reading_said(it, of.claim.quantity, hand, units)
    return RestsOut(words=said, weight=it.weight, step=it.at.step, at=it.at.id, id=it.id)
