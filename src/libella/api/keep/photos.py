"""Photographs of how a golfer stands."""

from datetime import datetime
from typing import Annotated

from fastapi import Query, Request, Response
from fastapi.concurrency import run_in_threadpool
from pydantic import BaseModel

from ...exchange.photo import small_photo
from ...lessons.keep import photos
from ...lessons.keep.photos import PhotoEntry, SeenFrom
from ...lessons.values import KeptSetUpPhoto
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, Moment, VoidIn

router = Router(tags=["photos"])


class PhotoIn(Entry):
    """Of what a photograph is."""

    lesson_id: UUID
    taken_at: Moment
    seen_from: SeenFrom = "behind"


class PhotoOut(BaseModel):
    """A photograph; its picture is asked for by itself."""

    id: UUID
    lesson_id: UUID
    seen_from: SeenFrom
    taken_at: datetime
    voided: bool


@router.put("/photos/{id}")
async def give(desk: AtDesk, request: Request, id: UUID7, entry: Annotated[PhotoIn, Query()]) -> PhotoOut:
    """Give a photograph as the body of the request, at most 25 MB: it is made smaller, and nothing of it is kept but
    the picture."""
    content = await request.body()
    told = PhotoEntry(entry.lesson_id, entry.seen_from, entry.taken_at)
    return await run_in_threadpool(lambda: _photo(photos.keep_photo(desk, id, told, small_photo(content))))


@router.put("/photos/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidIn) -> PhotoOut:
    """Take a photograph away, or bring it back."""
    return _photo(photos.void_photo(desk, id, entry.voided))


@router.get("/golfers/{id}/photos")
def of_golfer(desk: AtDesk, id: UUID) -> list[PhotoOut]:
    """A golfer's photographs, newest first."""
    return [_photo(it) for it in photos.photos_of(desk, id)]


@router.get("/photos/{id}/picture", response_class=Response)
def picture(desk: AtDesk, id: UUID) -> Response:
    """The picture itself."""
    return Response(photos.picture_of(desk, id), media_type="image/jpeg")


def _photo(it: KeptSetUpPhoto) -> PhotoOut:
    return PhotoOut.model_validate(it, from_attributes=True)
