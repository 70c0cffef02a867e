"""Golfers with their newest results, and all their lessons."""

from datetime import datetime
from functools import partial
from typing import Final

from fastapi import Query
from pydantic import BaseModel

from ...lessons.change import changes
from ...lessons.desk import kept
from ...lessons.desk.desk import Desk
from ...lessons.golfer import golfers
from ...lessons.golfer.schools import schools_of, schools_of_each
from ...lessons.lesson import lessons
from ...words.change.change import retest_due_said
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, InUnits, Page, Search, as_kept, cursor, opened
from ..golfer.golfers import GolferOut, golfer_out
from ..judge.blocks import BlockLine, block_line
from ..judge.found import FoundOut, found_in
from ..lesson.lessons import LessonOut

router = Router(tags=["golfers"])


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
    """A lesson of a golfer: what it came to, in the words of its own page, and its blocks."""

    lesson: LessonOut
    found: str
    blocks: list[BlockLine]


class GolferLessonPage(Page):
    items: list[GolferLesson]


@router.get("/golfers")
def find(
    desk: AtDesk,
    q: Search = "",
    after: str | None = Query(None, description="page mark"),
    units: InUnits = "metric",
) -> GolferPage:
    """Golfers by name, a page at a time, each with the newest result."""
    rows = golfers.find_golfers(desk, q, opened(after, str, UUID))
    newest = {golfer: it.id for golfer, it in lessons.latest_lessons(desk, [it.id for it in rows]).items()}
    told = kept.up_to_lessons(desk, list(newest.values()), f"last, {units}", partial(_last, units=units))
    last = {golfer: LastLesson.model_validate_json(told[id]) for golfer, id in newest.items() if id in told}
    items = [
        GolferLine(golfer=golfer_out(it, held), last=last.get(it.id))
        for it, held in zip(rows, schools_of_each(desk, rows), strict=True)
    ]
    more = cursor(rows[-1].name, rows[-1].id) if len(rows) == golfers.PAGE else None
    return GolferPage(items=items, next=more)


def _last(desk: Desk, id: UUID, _: int, units: InUnits) -> str:
    sheet = lessons.lesson_sheet(desk, id)
    who = golfers.golfer(desk, sheet.golfer.id)
    line = block_line(sheet.blocks[-1], who, schools_of(desk, who), units)
    return LastLesson(started_at=sheet.lesson.started_at, block=line).model_dump_json()


@router.get("/golfers-seen-last")
def seen_last(desk: AtDesk, q: Search = "") -> list[GolferOut]:
    """The golfers of the newest lessons, for whoever putts next."""
    rows = golfers.seen_last(desk, q)
    return [golfer_out(it, held) for it, held in zip(rows, schools_of_each(desk, rows), strict=True)]


_LOOKED_AT: Final = 12
"""So many lessons back what was read last is looked for: lessons begun and left are few."""


@router.get("/golfers/{id}/found")
def found(desk: AtDesk, id: UUID, units: InUnits = "metric") -> FoundOut | None:
    """What the golfer's last lesson found in which anything was read; null before the first."""
    golfers.golfer(desk, id)
    newest = (found_in(desk, it.id, units) for it in lessons.newest_lessons(desk, id, _LOOKED_AT, None))
    told = next((it for it in newest if it.read), None)
    if told is None:
        return None
    # A change that was chosen comes before whatever else could be checked. Kept, for Today asks it of everybody.
    due = kept.of_golfer(desk, id, "retest due", _retest_due(id))
    return told.model_copy(update={"next": due, "due": True}) if due else told


def _retest_due(golfer_id: UUID) -> kept.Make:
    def make(whole: Desk, _: int) -> str:
        due = changes.retest_due(whole, golfer_id)
        return "" if due is None else retest_due_said(due)

    return make


@router.get("/golfers/{id}/lessons")
def lessons_of(
    desk: AtDesk, id: UUID, after: str | None = Query(None, description="page mark"), units: InUnits = "metric"
) -> GolferLessonPage:
    """A golfer's lessons, newest first, each block with its vial."""
    before = opened(after, datetime.fromisoformat, UUID)
    if before is not None:
        return as_kept(_lessons(desk, id, before, units))
    return as_kept(kept.of_golfer(desk, id, f"lessons, {units}", lambda whole, _: _lessons(whole, id, None, units)))


def _lessons(desk: Desk, id: UUID, before: tuple[datetime, UUID] | None, units: InUnits) -> str:
    golfers.golfer(desk, id)
    rows = lessons.newest_lessons(desk, id, lessons.PAGE, before)
    told = kept.up_to_lessons(desk, [it.id for it in rows], f"line, {units}", partial(_line, units=units))
    more = cursor(rows[-1].started_at.isoformat(), rows[-1].id) if len(rows) == lessons.PAGE else None
    items = [GolferLesson.model_validate_json(told[it.id]) for it in rows]
    return GolferLessonPage(items=items, next=more).model_dump_json()


def _line(desk: Desk, id: UUID, _: int, units: InUnits) -> str:
    sheet = lessons.lesson_sheet(desk, id)
    who = golfers.golfer(desk, sheet.golfer.id)
    held = schools_of(desk, who)
    return GolferLesson(
        lesson=LessonOut.model_validate(sheet.lesson),
        found=found_in(desk, id, units).found,
        blocks=[block_line(it, who, held, units) for it in sheet.blocks],
    ).model_dump_json()
