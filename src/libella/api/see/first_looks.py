"""The first look: one answer a place, told as a side and a place."""

from datetime import datetime

from pydantic import BaseModel, Field

from ...core.see.first_look import FirstLook, Place, Way
from ...core.see.position import LEVERS, Lever
from ...core.see.trial import Looks
from ...lessons.see import first_looks
from ...words.see.first_look import first_words, place_words
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, Moment, VoidIn

router = Router(tags=["first_looks"])


class FirstLookIn(Entry):
    """How a true rod looks from a place: as usual, or one lever moved, without a size."""

    lesson_id: UUID
    lever: Lever | None = Field(default=None, description="what was moved; null: the usual place")
    way: Way = "plus"
    looks: Looks
    playable: bool | None = Field(default=None, description="null while it was not said")
    taken_at: Moment


class FirstLookOut(BaseModel):
    id: UUID
    lever: Lever | None
    way: Way
    place: str = Field(description="the place in words")
    looks: Looks
    playable: bool | None
    taken_at: datetime
    voided: bool


class HeadPlaceOut(BaseModel):
    """A place that can be chosen."""

    lever: Lever | None
    way: Way
    words: str


class FirstLooksOut(BaseModel):
    taken: list[FirstLookOut]
    words: tuple[str, ...]
    places: list[HeadPlaceOut]


@router.get("/lessons/{id}/first-looks")
def of_lesson(desk: AtDesk, id: UUID) -> FirstLooksOut:
    """The first looks of a lesson, oldest first."""
    found = first_looks.first_looks(desk, id)
    taken: list[FirstLookOut] = []
    for it in found.taken:
        look = first_looks.LOOK.read(it.raw)
        taken.append(
            FirstLookOut(
                id=it.id,
                lever=look.place.lever,
                way=look.place.way,
                place=place_words(look.place),
                looks=look.looks,
                playable=look.playable,
                taken_at=it.taken_at,
                voided=it.voided,
            )
        )
    ways: tuple[Way, ...] = ("plus", "minus")
    places = [Place(), *(Place(lever, way) for lever in LEVERS for way in ways)]
    return FirstLooksOut(
        taken=taken,
        words=first_words(found.seen),
        places=[HeadPlaceOut(lever=it.lever, way=it.way, words=place_words(it)) for it in places],
    )


@router.put("/first-looks/{id}")
def keep(desk: AtDesk, id: UUID7, entry: FirstLookIn) -> FirstLooksOut:
    """Keep a first look."""
    look = FirstLook(Place(entry.lever, entry.way), entry.looks, entry.playable)
    first_looks.keep_first_look(desk, id, entry.lesson_id, look, entry.taken_at)
    return of_lesson(desk, entry.lesson_id)


@router.put("/first-looks/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidIn) -> FirstLooksOut:
    """Void a first look, or restore it."""
    return of_lesson(desk, first_looks.void_first_look(desk, id, entry.voided).lesson_id)
