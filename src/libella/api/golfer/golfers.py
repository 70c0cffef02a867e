"""Golfers."""

from datetime import datetime
from typing import Annotated

from fastapi import APIRouter, Query
from pydantic import BaseModel, Field

from ...core.golfer.hand import Hand
from ...core.golfer.level import LEVELS, Level
from ...core.green.usual import UsualLength
from ...lessons.desk import kept
from ...lessons.desk.desk import Desk
from ...lessons.golfer import golfers
from ...lessons.lesson import lessons
from ...lessons.lesson.lessons import BlockSheet
from ...store.tables import GolferRow, LessonRow
from ..base.shapes import (
    UUID,
    UUID7,
    AtDesk,
    Entry,
    InUnits,
    Kept,
    LongWords,
    Page,
    ShortWords,
    as_kept,
    cursor,
    opened,
    words,
)
from ..lesson.lessons import LessonOut
from ..start.blocks import BlockLine, block_line

router = APIRouter(tags=["golfers"])
Search = Annotated[words(80), Query(description="part of the name")]


class UsualLengthIn(Entry):
    """A length and how often it is putted beside the others."""

    distance_m: float = Field(examples=[2.0])
    weight: float = Field(1.0, examples=[3.0])


class GolferIn(Entry):
    """What a coach notes of a golfer."""

    name: ShortWords = Field(examples=["Greta Solvang"])
    hand: Hand = Field(description="right or left: the side the golfer putts from", examples=["right"])
    level: Level = Field(description="sizes the rig before anything is measured", examples=["club"])
    notes: LongWords = ""
    usual_lengths: list[UsualLengthIn] | None = Field(
        None, max_length=12, description="lengths usually putted; null takes what is usual for anybody"
    )


class GolferOut(Kept):
    id: UUID
    name: str
    hand: Hand
    level: Level
    notes: str
    usual_lengths: list[UsualLengthIn] = Field(description="as noted, or as usual for anybody")
    usual_noted: bool = Field(description="false where they are what is usual for anybody")
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


def golfer_out(row: GolferRow) -> GolferOut:
    """A golfer, with the usual lengths in force."""
    return GolferOut(
        id=row.id,
        name=row.name,
        hand=row.hand,
        level=row.level,
        notes=row.notes,
        usual_lengths=[UsualLengthIn(distance_m=it.distance_m, weight=it.weight) for it in golfers.usual_of(row)],
        usual_noted=row.usual_lengths is not None,
        invented=row.invented,
    )


@router.get("/levels")
def levels() -> list[LevelOut]:
    """The levels a golfer may be noted at."""
    return [LevelOut(level=key, name=it.name) for key, it in LEVELS.items()]


@router.get("/golfers")
def find(
    desk: AtDesk,
    q: Search = "",
    after: str | None = Query(None, description="page mark"),
    units: InUnits = "metric",
) -> GolferPage:
    """Golfers by name, a page at a time, each with the newest result."""
    rows = golfers.find_golfers(desk, q, opened(after, str, UUID))
    last = lessons.latest_lessons(desk, [it.id for it in rows])
    items: list[GolferLine] = []
    for row in rows:
        lesson, blocks = last.get(row.id, (None, []))
        newest = _last(desk, lesson, blocks[-1], row, units) if lesson else None
        items.append(GolferLine(golfer=golfer_out(row), last=newest))
    more = cursor(rows[-1].name, rows[-1].id) if len(rows) == golfers.PAGE else None
    return GolferPage(items=items, next=more)


def _last(desk: Desk, lesson: LessonRow, block: BlockSheet, who: GolferRow, units: InUnits) -> LastLesson:
    def make(_: int) -> str:
        return LastLesson(started_at=lesson.started_at, block=block_line(block, who, units)).model_dump_json()

    return LastLesson.model_validate_json(kept.of_lesson(desk, lesson.id, f"last, {units}", make))


@router.put("/golfers/{id}")
def keep(desk: AtDesk, id: UUID7, entry: GolferIn) -> GolferOut:
    """Add a golfer, or take over the edited entry."""
    lengths = entry.usual_lengths
    usual = None if lengths is None else tuple(UsualLength(it.distance_m, it.weight) for it in lengths)
    told = golfers.GolferEntry(entry.name, entry.hand, entry.level, entry.notes, usual)
    return golfer_out(golfers.keep_golfer(desk, id, told))


@router.get("/golfers/{id}")
def one(desk: AtDesk, id: UUID) -> GolferOut:
    return golfer_out(golfers.golfer(desk, id))


@router.get("/golfers/{id}/lessons")
def lessons_of(
    desk: AtDesk, id: UUID, after: str | None = Query(None, description="page mark"), units: InUnits = "metric"
) -> GolferLessonPage:
    """A golfer's lessons, newest first, each block with its vial."""
    before = opened(after, datetime.fromisoformat, UUID)
    if before is not None:
        return as_kept(_lessons(desk, id, before, units))
    return as_kept(kept.of_golfer(desk, id, f"lessons, {units}", lambda _: _lessons(desk, id, None, units)))


def _lessons(desk: Desk, id: UUID, before: tuple[datetime, UUID] | None, units: InUnits) -> str:
    who = golfers.golfer(desk, id)
    rows = lessons.lessons_of(desk, id, before)
    items = [
        GolferLesson(lesson=LessonOut.model_validate(it), blocks=[block_line(block, who, units) for block in blocks])
        for it, blocks in rows
    ]
    more = cursor(rows[-1][0].started_at.isoformat(), rows[-1][0].id) if len(rows) == lessons.PAGE else None
    return GolferLessonPage(items=items, next=more).model_dump_json()
