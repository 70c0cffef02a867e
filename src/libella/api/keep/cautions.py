"""Cautions where they apply: of a lesson as it stands, of a golfer, of a record."""

from dataclasses import replace

from fastapi import Query
from pydantic import BaseModel, Field

from ...core.keep.caution import At, Case
from ...lessons.keep import cautions
from ...words.keep.caution import cautions_said
from ..base.router import Router
from ..base.shapes import UUID, AtDesk
from ..judge import findings

router = Router(tags=["cautions"])


class CautionsOut(BaseModel):
    """What to mind, each once; empty where nothing calls for it."""

    cautions: list[str] = Field(description="sentences")


@router.get("/cautions")
def told(
    desk: AtDesk,
    at: At = Query(description="where it would be told"),
    lesson: UUID | None = Query(None, description="the lesson it is told in"),
    golfer: UUID | None = Query(None, description="the golfer it is told of, outside a lesson"),
) -> CautionsOut:
    """What to mind there."""
    if lesson is not None:
        case = cautions.of_lesson(desk, lesson, at)
        if at == "judged":
            # What is laid, and where, is told where it is laid.
            named = findings.findings_in(desk, lesson, "metric").named
            case = replace(case, causes=named, aids=(), surface=None)
    elif golfer is not None:
        case = cautions.of_golfer(desk, golfer, at)
    else:
        case = Case(at)
    return CautionsOut(cautions=cautions_said(case))
