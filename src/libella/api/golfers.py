"""Golfers."""

from datetime import datetime

from fastapi import APIRouter, Query
from pydantic import BaseModel, Field

from ..core.golfer import LEVELS, Hand, Level
from ..lessons import golfers, lessons
from .blocks import BlockLine, block_line
from .lessons import LessonOut
from .shapes import UUID, UUID7, AtDesk, Entry, InUnits, Kept, LongWords, Page, ShortWords, cursor, opened, words

router = APIRouter(tags=["golfers"])
Search = words(80)


class GolferIn(Entry):
    """What a coach notes of a golfer."""

    name: ShortWords = Field(examples=["Greta Solvang"])
    hand: Hand = Field(description="right or left: the side the golfer putts from", examples=["right"])
    level: Level = Field(description="sizes the rig before anything is measured", examples=["club"])
    notes: LongWords = ""


class GolferOut(Kept):
    id: UUID
    name: str
    hand: Hand
    level: Level
    notes: str
    invented: bool


class LevelOut(BaseModel):
    level: Level
    name: str


class LastLesson(BaseModel):
    """A golfer's newest lesson with putts, by its last block."""

    started_at: datetime
    block: BlockLine


class GolferLine(BaseModel):
    golfer: GolferOut
    last: LastLesson | None


class GolferPage(Page):
    items: list[GolferLine]


class GolferLesson(BaseModel):
    lesson: LessonOut
    blocks: list[BlockLine]


class GolferLessonPage(Page):
    items: list[GolferLesson]


@router.get("/levels")
def levels() -> list[LevelOut]:
    """The levels a golfer may be noted at."""
    return [LevelOut(level=key, name=it.name) for key, it in LEVELS.items()]


@router.get("/golfers")
def find(
    desk: AtDesk,
    q: Search = Query("", description="part of the name"),
    after: str | None = Query(None, description="page mark"),
    units: InUnits = "metric",
) -> GolferPage:
    """Golfers by name, a page at a time, each with the newest result."""
    rows = golfers.find_golfers(desk, q, opened(after, str, UUID))
    last = lessons.latest_lessons(desk, [it.id for it in rows])
    items: list[GolferLine] = []
    for row in rows:
        lesson, blocks = last.get(row.id, (None, []))
        newest = LastLesson(started_at=lesson.started_at, block=block_line(blocks[-1], row, units)) if lesson else None
        items.append(GolferLine(golfer=GolferOut.model_validate(row), last=newest))
    more = cursor(rows[-1].name, rows[-1].id) if len(rows) == golfers.PAGE else None
    return GolferPage(items=items, next=more)


@router.put("/golfers/{id}")
def keep(desk: AtDesk, id: UUID7, entry: GolferIn) -> GolferOut:
    """Add a golfer, or take over the edited entry."""
    return GolferOut.model_validate(golfers.keep_golfer(desk, id, golfers.GolferEntry(**entry.model_dump())))


@router.get("/golfers/{id}")
def one(desk: AtDesk, id: UUID) -> GolferOut:
    return GolferOut.model_validate(golfers.golfer(desk, id))


@router.get("/golfers/{id}/lessons")
def lessons_of(
    desk: AtDesk, id: UUID, after: str | None = Query(None, description="page mark"), units: InUnits = "metric"
) -> GolferLessonPage:
    """A golfer's lessons, newest first, each block with its vial."""
    who = golfers.golfer(desk, id)
    rows = lessons.lessons_of(desk, id, opened(after, datetime.fromisoformat, UUID))
    items = [
        GolferLesson(lesson=LessonOut.model_validate(it), blocks=[block_line(block, who, units) for block in blocks])
        for it, blocks in rows
    ]
    more = cursor(rows[-1][0].started_at.isoformat(), rows[-1][0].id) if len(rows) == lessons.PAGE else None
    return GolferLessonPage(items=items, next=more)
