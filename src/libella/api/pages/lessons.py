"""The day's first page, and a lesson whole."""

from collections.abc import Sequence
from datetime import datetime

from fastapi import Query
from pydantic import BaseModel, Field

from ...core.aim.links import Cue
from ...core.golfer.hand import Hand
from ...core.golfer.level import Level
from ...lessons.aim import aims
from ...lessons.change import changes
from ...lessons.desk import kept
from ...lessons.desk.desk import Desk, name_studio, studio
from ...lessons.golfer.schools import schools_of
from ...lessons.keep.cards import cards_of
from ...lessons.lesson import lessons
from ...lessons.lesson.set_up_name import set_up_names
from ...lessons.see import first_looks, sights
from ...lessons.see.eyes import eyes_now
from ...lessons.set.plans import laid_last, plans_in
from ...lessons.set.stations import entry_of
from ...lessons.stand import set_ups
from ...lessons.values import KeptGolfer, KeptLesson
from ...words.aim.links import NOTHING_READ, aim_brief, aim_words
from ...words.change.change import change_line
from ...words.keep.card import change_words
from ...words.see.eyes import eye_brief, eye_words
from ...words.see.first_look import first_brief, first_words
from ...words.see.straight import BEING_ASKED, NOTHING_ASKED, sight_brief, sight_words
from ...words.set.station import apart_words
from ...words.shared.brief import NOTHING, length_brief
from ...words.stand.set_up import stand_brief, stand_line
from ..base.router import Router
from ..base.shapes import (
    UUID,
    AtDesk,
    Entry,
    InUnits,
    Kept,
    Page,
    ShortWords,
    Words40,
    as_kept,
    cursor,
    opened,
)
from ..judge.blocks import BlockLine, BlockOut, block_line, block_out
from ..lesson.lessons import LessonOut
from ..set.plans import StationOut, plan_out

router = Router(tags=["lessons"])


class StudioOut(Kept):
    name: str
    place: str
    coach: str
    invented: bool = Field(description="true when this is the invented demo")


class StudioIn(Entry):
    name: ShortWords = Field(description="how it is called", examples=["The Ropewalk"])
    place: Words40 = Field(default="", description="where it is")
    coach: Words40 = Field(default="", description="whose it is")


class GolferBrief(Kept):
    id: UUID
    name: str
    hand: Hand
    level: Level
    step_m: float | None
    invented: bool


class BriefOut(BaseModel):
    """Steps in at most twelve characters each, for a narrow run sheet."""

    set: str
    stand: str
    see: str
    aim: str
    change: str


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
    change: str = Field(description="the one change, in one line")
    brief: BriefOut
    set_ups: list[str] = Field(description="set-ups named in this lesson, in whichever step, by first use")
    set_ups_kept: list[str] = Field(description="those of the golfer’s cards beside them, the newest first")
    cues: list[Cue] = Field(description="cues of set-downs other than the usual one, by first use")
    laid_last: dict[str, dict[str, float]] = Field(
        description="sizes of each instrument as laid last, here or with this golfer before: it is laid so again"
    )


class OpenLesson(BaseModel):
    lesson: LessonOut
    golfer: GolferBrief
    blocks: list[BlockLine]


class Today(Page):
    """A page of the lessons in progress, newest first."""

    studio: StudioOut
    lessons: list[OpenLesson]


@router.get("/studio")
def this_studio(desk: AtDesk) -> StudioOut:
    return StudioOut.model_validate(studio(desk))


@router.put("/studio")
def name(desk: AtDesk, entry: StudioIn) -> StudioOut:
    """How the studio is called, where it is, and whose it is."""
    return StudioOut.model_validate(name_studio(desk, entry.name, entry.place, entry.coach))


@router.get("/today")
def today(desk: AtDesk, after: str | None = Query(None, description="page mark"), units: InUnits = "metric") -> Today:
    """What stands open, a page at a time."""
    rows = lessons.open_lessons(desk, opened(after, datetime.fromisoformat, UUID))
    items = [_open_lesson(desk, lesson, golfer, units) for lesson, golfer in rows]
    more = cursor(rows[-1][0].started_at.isoformat(), rows[-1][0].id) if len(rows) == lessons.PAGE else None
    return Today(studio=StudioOut.model_validate(studio(desk)), lessons=items, next=more)


def _open_lesson(desk: Desk, lesson: KeptLesson, golfer: KeptGolfer, units: InUnits) -> OpenLesson:
    def make(whole: Desk, _: int) -> str:
        return OpenLesson(
            lesson=LessonOut.model_validate(lesson),
            golfer=GolferBrief.model_validate(golfer),
            blocks=[
                block_line(it, golfer, schools_of(whole, golfer), units) for it in lessons.blocks_of(whole, [lesson.id])
            ],
        ).model_dump_json()

    return OpenLesson.model_validate_json(kept.up_to_lesson(desk, lesson.id, f"today, {units}", make))


@router.get("/lessons/{id}")
def one(desk: AtDesk, id: UUID, units: InUnits = "metric") -> LessonSheetOut:
    """One lesson whole."""
    return as_kept(
        kept.of_lesson(
            desk, id, f"lesson, {units}", lambda whole, revision: _whole(whole, id, units, revision).model_dump_json()
        )
    )


def _whole(desk: Desk, id: UUID, units: InUnits, revision: int) -> LessonSheetOut:
    sheet, laid = lessons.lesson_sheet(desk, id), plans_in(desk, id)
    plans = [plan_out(it, units) for it in laid]
    stand, sight, aim = _stand(desk, id, units), _sight(desk, id, units), _aim(desk, id, units)
    change = change_line(changes.chosen_now(desk, sheet.golfer.id))
    blocks = [block_out(it, sheet.golfer, schools_of(desk, sheet.golfer), units) for it in sheet.blocks]
    # Plans that would read alike say what differs, wherever this lesson names them.
    told = dict(
        zip((it.id for it in plans), apart_words([entry_of(it.station).station() for it in laid], units), strict=True)
    )
    for it in plans:
        it.words = told[it.id]
    for it in blocks:
        it.station = told.get(it.station_id, it.station)
    named = set_up_names(desk, id)
    return LessonSheetOut(
        revision=revision,
        lesson=LessonOut.model_validate(sheet.lesson),
        golfer=GolferBrief.model_validate(sheet.golfer),
        stations=plans,
        blocks=blocks,
        stand=stand[0],
        sight=sight[0],
        aim=aim[0],
        change=change[0],
        brief=BriefOut(set=_set_brief(plans, units), stand=stand[1], see=sight[1], aim=aim[1], change=change[1]),
        laid_last=laid_last(desk, id),
        cues=list(aim[2]),
        set_ups=named,
        set_ups_kept=[it for it in _on_cards(desk, sheet.golfer.id, units) if it not in named],
    )


def _on_cards(desk: Desk, golfer_id: UUID, units: InUnits) -> list[str]:
    """The set-ups of a golfer's cards by name, each once; the usual one needs none."""
    cards = (it.card for it in cards_of(desk, golfer_id))
    return [*dict.fromkeys(change_words(it, units)[:80] for it in cards if it.set_up or it.position)]


def _set_brief(plans: Sequence[StationOut], units: InUnits) -> str:
    now = next((it for it in plans if it.current), None)
    return length_brief(now.distance_m, units) if now else NOTHING


def _stand(desk: Desk, id: UUID, units: InUnits) -> tuple[str, str]:
    """The set-up in one line, and in a narrow run sheet; so the others."""
    told = set_ups.stand_told(desk, id)
    return stand_line(told.noted, told.wander, again=told.again, units=units), stand_brief(told.noted, told.wander)


def _sight(desk: Desk, id: UUID, units: InUnits) -> tuple[str, str]:
    told, asked = sights.told_last(desk, id)
    if told is None and not asked:
        first = first_looks.first_looks(desk, id).seen
        if first.usual is not None:
            return first_words(first)[0], first_brief(first)
        if (found := eyes_now(desk, id)) is not None:
            return eye_words(found, units)[0], eye_brief(found, units)
    if told is None:
        return (BEING_ASKED, "being asked") if asked else (NOTHING_ASKED, NOTHING)
    return sight_words(told.found).headline, sight_brief(told.found)


def _aim(desk: Desk, id: UUID, units: InUnits) -> tuple[str, str, Sequence[Cue]]:
    told, cues = aims.aim_told(desk, id)
    return (aim_words(told, units).headline, aim_brief(told), cues) if told else (NOTHING_READ, NOTHING, cues)
