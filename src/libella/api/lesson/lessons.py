"""Lessons, and the day's first page."""

from datetime import UTC, datetime

from fastapi import APIRouter, Query
from pydantic import BaseModel, Field

from ...core.golfer.hand import Hand
from ...core.golfer.level import Level
from ...lessons.aim import aims
from ...lessons.desk import kept
from ...lessons.desk.desk import Desk, studio
from ...lessons.lesson import lessons
from ...lessons.lesson.lessons import Surface
from ...lessons.see import sights
from ...lessons.stand import set_ups
from ...store.tables import GolferRow, LessonRow
from ..base.shapes import (
    UUID,
    UUID7,
    AtDesk,
    Entry,
    InUnits,
    Kept,
    LongWords,
    Moment,
    Page,
    ShortWords,
    as_kept,
    cursor,
    opened,
)
from ..set.stations import StationOut, station_out
from ..start.blocks import BlockLine, BlockOut, block_line, block_out

router = APIRouter(tags=["lessons"])


class StudioOut(Kept):
    name: str
    place: str
    coach: str
    invented: bool = Field(description="true when this is the invented demo")


class LessonIn(Entry):
    golfer_id: UUID
    place: ShortWords = Field(examples=["The Ropewalk"])
    surface: Surface = "indoor mat"
    stimp_ft: float = Field(description="green speed, ft on the ramp, 4 to 16", examples=[10.0])
    started_at: Moment
    conditions: LongWords = Field(default="", examples=["lights dimmed"])


class LessonOut(Kept):
    id: UUID
    golfer_id: UUID
    place: str
    surface: Surface
    stimp_ft: float
    started_at: datetime
    ended_at: datetime | None
    voided_at: datetime | None
    void_reason: str | None
    laser_read_at: datetime | None = Field(description="when the laser's cautions were read in this lesson")
    kit_checked: list[str] = Field(description="items of the kit check that are ticked")
    conditions: str
    invented: bool


class GolferBrief(Kept):
    id: UUID
    name: str
    hand: Hand
    level: Level
    invented: bool


class LessonSheetOut(BaseModel):
    """A lesson with everything that stands in it, oldest first."""

    revision: int = Field(description="the mark of the data it was made from; a new line says the newest")
    lesson: LessonOut
    golfer: GolferBrief
    stations: list[StationOut]
    blocks: list[BlockOut]
    stand: str = Field(description="the set-up, in one line")
    sight: str = Field(description="what looks straight, in one line")
    aim: str = Field(description="the aim at address, in one line")


class OpenLesson(BaseModel):
    lesson: LessonOut
    golfer: GolferBrief
    blocks: list[BlockLine]


class Today(Page):
    """A page of the lessons in progress, newest first."""

    studio: StudioOut
    lessons: list[OpenLesson]


class EndIn(Entry):
    ended_at: Moment


class ReasonIn(Entry):
    reason: ShortWords = Field(examples=["talked through"])


@router.get("/studio")
def this_studio(desk: AtDesk) -> StudioOut:
    return StudioOut.model_validate(studio(desk))


@router.get("/today")
def today(desk: AtDesk, after: str | None = Query(None, description="page mark"), units: InUnits = "metric") -> Today:
    """What stands open, a page at a time."""
    rows = lessons.open_lessons(desk, opened(after, datetime.fromisoformat, UUID))
    items = [_open_lesson(desk, lesson, golfer, units) for lesson, golfer in rows]
    more = cursor(rows[-1][0].started_at.isoformat(), rows[-1][0].id) if len(rows) == lessons.PAGE else None
    return Today(studio=StudioOut.model_validate(studio(desk)), lessons=items, next=more)


def _open_lesson(desk: Desk, lesson: LessonRow, golfer: GolferRow, units: InUnits) -> OpenLesson:
    def make(_: int) -> str:
        return OpenLesson(
            lesson=LessonOut.model_validate(lesson),
            golfer=GolferBrief.model_validate(golfer),
            blocks=[block_line(it, golfer, units) for it in lessons.blocks_of(desk, [lesson.id])],
        ).model_dump_json()

    return OpenLesson.model_validate_json(kept.of_lesson(desk, lesson.id, f"today, {units}", make))


@router.put("/lessons/{id}")
def keep(desk: AtDesk, id: UUID7, entry: LessonIn) -> LessonOut:
    """Start a lesson, or take over its edited entry."""
    return LessonOut.model_validate(lessons.keep_lesson(desk, id, lessons.LessonEntry(**entry.model_dump())))


@router.get("/lessons/{id}")
def one(desk: AtDesk, id: UUID, units: InUnits = "metric") -> LessonSheetOut:
    """One lesson whole."""
    return as_kept(
        kept.of_lesson(
            desk, id, f"lesson, {units}", lambda revision: _whole(desk, id, units, revision).model_dump_json()
        )
    )


def _whole(desk: Desk, id: UUID, units: InUnits, revision: int) -> LessonSheetOut:
    sheet = lessons.lesson_sheet(desk, id)
    return LessonSheetOut(
        revision=revision,
        lesson=LessonOut.model_validate(sheet.lesson),
        golfer=GolferBrief.model_validate(sheet.golfer),
        stations=[station_out(it, units) for it in sheet.stations],
        blocks=[block_out(it, sheet.golfer, units) for it in sheet.blocks],
        stand=set_ups.stand_line(desk, id, units),
        sight=sights.in_one_line(desk, id),
        aim=aims.aim_line(desk, id, units),
    )


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


@router.put("/lessons/{id}/void")
def void(desk: AtDesk, id: UUID, entry: ReasonIn) -> LessonOut:
    """Void a lesson; nothing in it is deleted."""
    return LessonOut.model_validate(lessons.void_lesson(desk, id, entry.reason, datetime.now(UTC)))


@router.delete("/lessons/{id}/void")
def restore(desk: AtDesk, id: UUID) -> LessonOut:
    """Restore a voided lesson."""
    return LessonOut.model_validate(lessons.void_lesson(desk, id, None, datetime.now(UTC)))
