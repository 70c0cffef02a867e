"""Walls and golfers' screens: let in by a link, sent something to show, and taken away again."""

from datetime import UTC, datetime

from fastapi import Request, Response
from pydantic import BaseModel, Field

from ...core.people.screen import View
from ...lessons.people import screens
from ...lessons.values import KeptScreen
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, ShortWords, Words200
from .accounts import LinkForIn, LinkForOut
from .admit import SCREEN, give_key

router = Router(prefix="/screens", tags=["screens"])


class ScreenLinkIn(LinkForIn):
    name: ShortWords = Field(description="how it is called where it is chosen", examples=["Wall at the mats"])


class ShowsIn(Entry):
    lesson_id: UUID | None = Field(description="whose; null: nothing is shown")
    view: View


class TakeScreenIn(Entry):
    token: Words200


class ScreenOut(BaseModel):
    """A screen as it is chosen, and what it shows."""

    id: UUID
    name: str
    taken: bool = Field(description="false: its link was not opened yet")
    seen_at: datetime | None
    lesson_id: UUID | None
    view: View


class HereOut(BaseModel):
    """What a screen is to show; no name where it is none, or none any more."""

    name: str
    lesson_id: UUID | None
    view: View


@router.get("")
def listed(desk: AtDesk) -> list[ScreenOut]:
    """Every screen something can be sent to."""
    return [_out(it) for it in screens.screens(desk)]


@router.put("/{id}/link")
def link(desk: AtDesk, id: UUID7, entry: ScreenLinkIn) -> LinkForOut:
    """A link that makes a device this screen, once; the device that was it before is it no more."""
    token, until = screens.new_link(desk, id, entry.name, datetime.now(UTC))
    return LinkForOut.to(entry.address, token, until)


@router.put("/{id}/ended")
def end(desk: AtDesk, id: UUID) -> ScreenOut:
    """It shows nothing any more, and is chosen no more."""
    return _out(screens.end_screen(desk, id, datetime.now(UTC)))


@router.put("/{id}/shows")
def shows(desk: AtDesk, id: UUID, entry: ShowsIn) -> ScreenOut:
    """Send it something to show, or nothing."""
    return _out(screens.send(desk, id, entry.lesson_id, entry.view))


@router.post("/take")
def take(desk: AtDesk, response: Response, entry: TakeScreenIn) -> HereOut:
    """Become the screen a link is for. It comes as a body: an address would stand in logs."""
    at = datetime.now(UTC)
    key = screens.take(desk, entry.token, at)
    give_key(response, SCREEN, key, screens.KEY_LASTS)
    return _here(screens.screen_of(desk, key, at))


@router.get("/here")
def here(desk: AtDesk, request: Request) -> HereOut:
    """What this device is to show, where it is a screen."""
    key = request.cookies.get(SCREEN, "")
    return _here(screens.screen_of(desk, key, datetime.now(UTC)) if key else None)


def _here(it: KeptScreen | None) -> HereOut:
    if it is None:
        return HereOut(name="", lesson_id=None, view="putts")
    return HereOut(name=it.name, lesson_id=it.lesson_id, view=it.view)


def _out(it: KeptScreen) -> ScreenOut:
    return ScreenOut(
        id=it.id,
        name=it.name,
        taken=it.taken_at is not None,
        seen_at=it.seen_at,
        lesson_id=it.lesson_id,
        view=it.view,
    )
