"""Pauses of a run of putts."""

from datetime import UTC, datetime
from typing import Literal

from fastapi import Request
from pydantic import BaseModel

from ...core.start.pauses import Pauses
from ...lessons.start import pauses
from ...words.start.run import NudgeWords, nudge_words
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, Entry

router = Router(tags=["pauses"])


class PausesIn(Entry):
    spot_putts: float
    feet_min: float
    rest_min: float


class PauseIn(Entry):
    done: Literal["moved", "rested"]


class PausesOut(BaseModel):
    pauses: Pauses
    spot: int
    feet_due_at: datetime | None
    rest_due_at: datetime | None
    nudges: list[NudgeWords]


@router.get("/lessons/{id}/pauses")
def pauses_now(desk: AtDesk, id: UUID) -> PausesOut:
    """When to break off, and what is due."""
    it = pauses.pause_sheet(desk, id, datetime.now(UTC))
    return PausesOut(
        pauses=it.pauses,
        spot=it.spot,
        feet_due_at=it.feet_due_at,
        rest_due_at=it.rest_due_at,
        nudges=[nudge_words(one) for one in it.nudges],
    )


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
