"""Lessons: started, ended, voided."""

from datetime import UTC, datetime

from fastapi import Request
from pydantic import Field

from ...core.measure.units import Units
from ...core.set.floor import Surface
from ...lessons.lesson import lessons, set_up_name
from ..base.problems import Problem
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, Kept, LongWords, Moment, ShortWords, VoidForReasonIn

router = Router(tags=["lessons"])


class LessonNoted(Entry):
    """What a coach notes of a lesson."""

    golfer_id: UUID
    place: ShortWords = Field(examples=["The Ropewalk"])
    surface: Surface = "indoor_mat"
    green_speed_ft: float = Field(description="green speed, ft on the ramp, 4 to 16", examples=[10.0])
    started_at: Moment
    conditions: LongWords = Field(default="", examples=["lights dimmed"])
    units: Units | None = Field(default=None, description="of its papers; null: as they are, in metres where it is new")


class LessonIn(LessonNoted):
    """The same as it is kept; what was changed elsewhere meanwhile is not written over."""

    seen: LessonNoted | None = Field(None, description="as it was when the editing began; null for a new one")


class LessonOut(Kept):
    id: UUID
    golfer_id: UUID
    place: str
    surface: Surface
    green_speed_ft: float
    started_at: datetime
    ended_at: datetime | None
    voided_at: datetime | None
    void_reason: str | None
    laser_read_at: datetime | None = Field(description="when the laser's cautions were read in this lesson")
    kit_checked: list[str] = Field(description="items of the kit check that are ticked")
    conditions: str
    units: Units = Field(description="of lengths on its papers")
    invented: bool


class CalledIn(Entry):
    """A set-up of a lesson, and what it is called from now on."""

    name: ShortWords = Field(min_length=1)
    called: ShortWords = Field(min_length=1)


class EndIn(Entry):
    ended_at: Moment


@router.put("/lessons/{id}", responses={412: {"model": Problem}})
def keep(desk: AtDesk, id: UUID7, entry: LessonIn) -> LessonOut:
    """Start a lesson, or take over its edited entry."""
    told = lessons.LessonEntry(**entry.model_dump(exclude={"seen"}))
    seen = entry.seen and lessons.LessonEntry(**entry.seen.model_dump())
    return LessonOut.model_validate(lessons.keep_lesson(desk, id, told, seen))


@router.put("/lessons/{id}/end")
def end(desk: AtDesk, id: UUID, entry: EndIn) -> LessonOut:
    """End a lesson. Putts taken before the end are still taken in when they arrive after it."""
    return LessonOut.model_validate(lessons.end_lesson(desk, id, entry.ended_at))


@router.delete("/lessons/{id}/end")
def reopen(desk: AtDesk, id: UUID) -> LessonOut:
    """Open a lesson again."""
    return LessonOut.model_validate(lessons.end_lesson(desk, id, None))


@router.put("/lessons/{id}/laser-cautions")
def read_laser_cautions(desk: AtDesk, id: UUID) -> LessonOut:
    """Note that the laser's cautions were read; asked for once a lesson, before its first block with a laser."""
    return LessonOut.model_validate(lessons.read_laser_cautions(desk, id, datetime.now(UTC)))


@router.put("/lessons/{id}/set-up-names")
def call_set_up(desk: AtDesk, request: Request, id: UUID, entry: CalledIn) -> list[str]:
    """Call a set-up of the lesson otherwise, in every step that names it."""
    names = set_up_name.call_set_up(desk, id, entry.name, entry.called)
    request.app.state.live.tell(id, "block")
    return names


@router.put("/lessons/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidForReasonIn) -> LessonOut:
    """Void a lesson, or restore it; nothing in it is deleted."""
    return LessonOut.model_validate(lessons.void_lesson(desk, id, entry.why, datetime.now(UTC)))
