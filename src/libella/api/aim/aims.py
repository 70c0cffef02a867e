"""Aim at address: sets of set-downs, link by link."""

from dataclasses import fields
from datetime import datetime

from fastapi import APIRouter
from pydantic import BaseModel, Field

from ...core.aim.links import CUES, LINKS, AimFound, AimSum, Cue, Link
from ...core.instruments import instruments
from ...lessons.aim import aims
from ...lessons.aim.aims import AimEntry
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Kept, Moment, words

router = APIRouter(tags=["aim"])


class AimSetIn(Entry):
    """A set to begin."""

    lesson_id: UUID
    link: Link = "face"
    cue: Cue = "line"
    aided: bool = Field(default=False, description="an aid stands in the golfer's view")
    planned: int = Field(default=7, description="set-downs; 3 to 40")
    kind: words(40) | None = Field(default=None, description="instrument the face is read with; null: an angle is read")
    sizes: dict[words(40), float] = Field(default_factory=dict, max_length=20)
    started_at: Moment


class SetDownIn(Entry):
    set_id: UUID
    raw: dict[words(20), float | words(20)] = Field(
        max_length=4, examples=[{"angle_deg": 1.0, "seen_deg": 0.5}, {"offset_m": 0.001}]
    )
    taken_at: Moment


class SetDownOut(Kept):
    id: UUID
    raw: dict[str, float | str]
    taken_at: datetime
    voided: bool


class AimSetOut(Kept):
    id: UUID
    lesson_id: UUID
    link: Link
    cue: Cue
    aided: bool
    planned: int
    kind: str | None
    sizes: dict[str, float]
    started_at: datetime


class AimSheetOut(BaseModel):
    set: AimSetOut
    set_downs: list[SetDownOut]
    found: AimFound


class AimOut(BaseModel):
    """The sets of a lesson, oldest first."""

    sheets: list[AimSheetOut]
    sum: AimSum
    aid: str = Field(description="what an aid in view changes, in words")


class LinkOut(BaseModel):
    link: Link
    name: str
    how: str


class AimChoices(BaseModel):
    links: list[LinkOut]
    cues: tuple[Cue, ...]
    kinds: list[str] = Field(description="instruments that read the face aim")


class VoidSetDownIn(Entry):
    voided: bool = True


@router.get("/aim-choices")
def choices() -> AimChoices:
    """What can be read of the aim, under which cues, with what."""
    return AimChoices(
        links=[LinkOut(link=key, name=it.name, how=it.how) for key, it in LINKS.items()],
        cues=CUES,
        kinds=[kind for kind, it in instruments().items() if it.about.measures == "face"],
    )


@router.get("/lessons/{id}/aim")
def of_lesson(desk: AtDesk, id: UUID, units: InUnits = "metric") -> AimOut:
    """The aim of a lesson."""
    table = aims.aim_table(desk, id, units)
    return AimOut(
        sheets=[
            AimSheetOut(
                set=AimSetOut.model_validate(it.set),
                set_downs=[SetDownOut.model_validate(down) for down in it.set_downs],
                found=it.found,
            )
            for it in table.sheets
        ],
        sum=table.sum,
        aid=table.aid,
    )


@router.put("/aim-sets/{id}")
def begin(desk: AtDesk, id: UUID7, entry: AimSetIn, units: InUnits = "metric") -> AimOut:
    """Begin a set."""
    aims.begin_set(desk, id, AimEntry(**{it.name: getattr(entry, it.name) for it in fields(AimEntry)}))
    return of_lesson(desk, entry.lesson_id, units)


@router.put("/set-downs/{id}")
def set_down(desk: AtDesk, id: UUID7, entry: SetDownIn, units: InUnits = "metric") -> AimOut:
    """Keep one set-down."""
    aims.set_down(desk, id, entry.set_id, entry.raw, entry.taken_at)
    return of_lesson(desk, aims.lesson_of_set(desk, entry.set_id), units)


@router.put("/set-downs/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidSetDownIn, units: InUnits = "metric") -> AimOut:
    """Void a set-down, or restore it."""
    row = aims.void_set_down(desk, id, entry.voided)
    return of_lesson(desk, aims.lesson_of_set(desk, row.aim_set_id), units)
