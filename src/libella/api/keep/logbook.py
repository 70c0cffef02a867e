"""The logbook: searched, filtered, as a golfer's time line; and what falls due."""

from datetime import UTC, datetime, timedelta
from typing import Final

from fastapi import Query
from pydantic import BaseModel, Field, TypeAdapter

from ...core.instruments import instruments
from ...core.keep.due import UNFINISHED_D, DueKind
from ...lessons.change.drills import drills_known
from ...lessons.desk import kept
from ...lessons.desk.desk import Desk
from ...lessons.keep import due, logbook
from ...lessons.keep.logbook import LogEntry, Sort, Sought
from ...lessons.lesson.lessons import open_lessons
from ...words.keep import logbook as words
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, InUnits, Page, Words80, cursor, opened
from ..judge.found import FoundOut, found_in

router = Router(tags=["logbook"])


class LogEntryOut(BaseModel):
    """An entry of the logbook."""

    sort: Sort
    name: str = Field(description="of its kind")
    id: UUID
    at: datetime
    golfer_id: UUID | None
    golfer: str
    lesson_id: UUID | None
    words: str
    found: FoundOut | None = Field(description="of a lesson in a golfer's time line: what it came to")


class LogPage(Page):
    """A page of the logbook, newest first."""

    items: list[LogEntryOut]
    nothing: str = Field(description="said where nothing is found")


class DueOut(BaseModel):
    """Something that is due."""

    kind: DueKind
    since: datetime
    golfer_id: UUID
    golfer: str
    lesson_id: UUID
    words: str


@router.get("/logbook")
def look_up(
    desk: AtDesk,
    q: Words80 = Query("", description="beginnings of words, all of which are to be there"),
    sorts: list[Sort] = Query([], description="kinds of entries; empty: all"),
    golfer: UUID | None = Query(None, description="of one golfer"),
    since: datetime | None = Query(None, description="from this moment on"),
    until: datetime | None = Query(None, description="up to this moment"),
    after: str | None = Query(None, description="page mark"),
    units: InUnits = "metric",
) -> LogPage:
    """What was noted, newest first."""
    sought = Sought(q, tuple(sorts), golfer, _zoned(since), _zoned(until), opened(after, datetime.fromisoformat, UUID))
    rows = logbook.look_up(desk, sought)
    names = {kind: it.about.name for kind, it in instruments().items()}
    if any(it.sort == "drill" for it in rows):
        names |= {code: it.drill.name for code, it in drills_known(desk).items()}
    more = cursor(rows[-1].at.isoformat(), rows[-1].id) if len(rows) == logbook.PAGE else None
    items = [_entry(desk, it, names.get(it.code, ""), units, told=golfer is not None) for it in rows]
    return LogPage(items=items, next=more, nothing="" if items or after else words.nothing_found(q))


def _zoned(at: datetime | None) -> datetime | None:
    return at.replace(tzinfo=UTC) if at is not None and at.tzinfo is None else at


def _entry(desk: Desk, it: LogEntry, name: str, units: InUnits, *, told: bool) -> LogEntryOut:
    return LogEntryOut(
        sort=it.sort,
        name=words.SORT_NAMES[it.sort],
        id=it.id,
        at=it.at,
        golfer_id=it.golfer_id,
        golfer=it.golfer,
        lesson_id=it.lesson_id,
        words=words.entry_said(it.sort, " ".join(it.words.split()), it.code, name, it.size, units),
        # In one golfer's time line each lesson says what it found; over all golfers that would be worked out for ever.
        found=found_in(desk, it.id, units) if told and it.sort == "lesson" else None,
    )


@router.get("/due")
def what_is_due(desk: AtDesk) -> list[DueOut]:
    """What is due today, what has waited longest first: retests, what is left of a change, cards, lessons left open."""
    now = datetime.now(UTC)
    found = [
        DueOut(
            kind=it.kind, since=it.at, golfer_id=id, golfer=name, lesson_id=it.lesson_id,
            words=words.due_said(it.kind, it.of),
        )
        for id, name in due.who_could_be_due(desk, now)
        for it in _due_of(desk, id)
        if it.at <= now
    ]  # fmt: skip
    left = now - timedelta(days=UNFINISHED_D)
    found += [
        DueOut(
            kind="lesson", since=lesson.started_at, golfer_id=golfer.id, golfer=golfer.name, lesson_id=lesson.id,
            words=words.due_said("lesson", ""),
        )
        for lesson, golfer in open_lessons(desk)
        if lesson.started_at <= left
    ]  # fmt: skip
    return sorted(found, key=lambda it: it.since)[: due.MOST]


_DUE: Final = TypeAdapter(list[due.Due])


def _due_of(desk: Desk, golfer_id: UUID) -> list[due.Due]:
    # Kept, for Today asks it of everybody; the day it falls due is in it, so that no day makes it old.
    told = kept.of_golfer(
        desk, golfer_id, "due", lambda whole, _: _DUE.dump_json(due.due_of(whole, golfer_id)).decode()
    )
    return _DUE.validate_json(told)
