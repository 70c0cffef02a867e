"""The first look: one answer a place, told as a side and a place."""

from dataclasses import replace
from datetime import datetime
from typing import Literal

from pydantic import BaseModel, Field

from ...core.see.first_look import PLACES, FirstLook, Place, Way
from ...core.see.position import LEVERS, Grade, Lever
from ...core.see.trial import Looks
from ...lessons.see import first_looks
from ...words.see.first_look import first_words, place_words
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, Moment, VoidIn

router = Router(tags=["first_looks"])


class FirstLookIn(Entry):
    """How a true rod looks from a place: as usual, or one lever moved, a bit, much or as it is said without either."""

    lesson_id: UUID
    lever: Lever | None = Field(default=None, description="what was moved; null: the usual place")
    way: Way = "plus"
    grade: Grade = Field(default="", description="how far it was moved, as it was said; empty: not said")
    other_side: bool = Field(default=False, description="looked at from the other side of the hole")
    moved: float | None = Field(
        default=None, description="how far from usual, mm or degrees as the lever has them; null: not measured"
    )
    looks: Looks
    playable: bool | None = Field(default=None, description="null while it was not said")
    taken_at: Moment


class FirstLookOut(BaseModel):
    id: UUID
    lever: Lever | None
    way: Way
    grade: Grade
    other_side: bool
    moved: float | None
    place: str = Field(description="the place in words")
    looks: Looks
    playable: bool | None
    taken_at: datetime
    voided: bool


class HeadPlaceOut(BaseModel):
    """A place that can be chosen."""

    lever: Lever | None
    way: Way
    grade: Grade
    unit: Literal["mm", "deg", ""] = Field(description="in which it is measured")
    words: str
    other_side_words: str = Field(description="the same, from the other side of the hole")


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
                grade=look.place.grade,
                other_side=look.place.other_side,
                moved=look.moved,
                place=place_words(look.place),
                looks=look.looks,
                playable=look.playable,
                taken_at=it.taken_at,
                voided=it.voided,
            )
        )
    return FirstLooksOut(
        taken=taken,
        words=first_words(found.seen),
        places=[
            HeadPlaceOut(
                lever=it.lever,
                way=it.way,
                grade=it.grade,
                unit=LEVERS[it.lever].unit if it.lever else "",
                words=place_words(it),
                other_side_words=place_words(replace(it, other_side=True)),
            )
            for it in PLACES
        ],
    )


@router.put("/first-looks/{id}")
def keep(desk: AtDesk, id: UUID7, entry: FirstLookIn) -> FirstLooksOut:
    """Keep a first look."""
    place = Place(entry.lever, entry.way, entry.grade, entry.other_side)
    look = FirstLook(place, entry.looks, entry.playable, entry.moved)
    first_looks.keep_first_look(desk, id, entry.lesson_id, look, entry.taken_at)
    return of_lesson(desk, entry.lesson_id)


@router.put("/first-looks/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidIn) -> FirstLooksOut:
    """Void a first look, or restore it."""
    return of_lesson(desk, first_looks.void_first_look(desk, id, entry.voided).lesson_id)
