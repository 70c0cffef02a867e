"""What a golfer sees who signs in himself: the sheets released to him, and the plan and the cards of those lessons."""

from datetime import datetime
from typing import Literal
from uuid import UUID as Id

from fastapi import Query, Request
from fastapi.responses import Response
from pydantic import BaseModel, Field

from ...exchange.paper import PaperName
from ...lessons.desk.problem import NotFound
from ...lessons.golfer.golfers import golfer
from ...lessons.keep import sheets
from ...lessons.people.sign_ins import SignedIn
from ...words.keep.summary import under_said
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, InUnits
from ..change.practice import PlanOut, now
from ..keep.cards import CardOut, of_golfer
from ..keep.summaries import SummaryOut, of_lesson
from ..keep.summaries import on_paper as sheet_on_paper

router = Router(prefix="/mine", tags=["mine"])


class ReleasedOut(BaseModel):
    """A sheet that was released."""

    lesson_id: UUID
    under: str = Field(description="where and when")
    released_at: datetime


class MineOut(BaseModel):
    """A golfer's own page; what there is none of is empty."""

    golfer: str
    sheets: list[ReleasedOut] = Field(description="the newest lesson first")
    plan: PlanOut | None = Field(description="the plan gone by, where its lesson was released")
    cards: list[CardOut] = Field(description="set-up cards of released lessons, the newest first")


@router.get("")
def mine(desk: AtDesk, request: Request, units: InUnits = "metric") -> MineOut:
    """One's own page; whoever is no golfer has none."""
    id = _golfer(request)
    released = sheets.released_to(desk, id)
    of_these, plan = {it.id for it in released}, now(desk, id)
    return MineOut(
        golfer=golfer(desk, id).name,
        sheets=[
            ReleasedOut(lesson_id=it.id, under=under_said(it.place, it.started_at.date()), released_at=it.released_at)
            for it in released
            if it.released_at
        ],
        plan=plan if plan and plan.lesson_id in of_these else None,
        cards=[it for it in of_golfer(desk, id, units) if it.lesson_id in of_these],
    )


@router.get("/sheets/{id}")
def sheet(desk: AtDesk, request: Request, id: UUID) -> SummaryOut:
    """A lesson's sheet that was released."""
    sheets.check_released(desk, _golfer(request), id)
    return of_lesson(desk, id)


@router.get(
    "/sheets/{id}/paper",
    response_class=Response,
    responses={200: {"content": {"application/pdf": {}}, "description": "The sheet."}},
)
def on_paper(
    desk: AtDesk,
    request: Request,
    id: UUID,
    form: Literal["pdf", "svg"] = Query("pdf"),
    paper: PaperName | None = Query(None, description="null: as is usual where its units are"),
    sheet: int = Query(1, ge=1),
) -> Response:
    """The same on paper."""
    sheets.check_released(desk, _golfer(request), id)
    return sheet_on_paper(desk, id, form, paper, sheet, whole=False)


def _golfer(request: Request) -> Id:
    """Whose account asks; `NotFound` for one that is no golfer's, and where nobody has to sign in."""
    who: SignedIn | None = getattr(request.state, "who", None)
    if who is None or who.account.golfer_id is None:
        raise NotFound("golfer")
    return who.account.golfer_id
