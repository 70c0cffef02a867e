"""A lesson as it is kept and taken home: what they came with, what was found, one change, one drill, the first week."""

from collections.abc import Callable, Sequence
from datetime import UTC, datetime
from functools import partial
from typing import Literal

from fastapi import Query
from fastapi.responses import Response
from pydantic import BaseModel, Field

from ...core.drawing.scene import Scene
from ...core.golfer.wording import wording_for
from ...core.keep.caution import Case
from ...core.measure.units import Units
from ...exchange.golfer_sheet import Told, golfer_sheet
from ...exchange.paper import PaperName, Sheet, usual_paper
from ...exchange.station_sheet import station_sheet
from ...lessons.change.practice import drill_home
from ...lessons.desk.desk import Desk
from ...lessons.keep import cautions, sheets
from ...lessons.keep.cards import cards_of
from ...lessons.lesson.lessons import LessonSheet, lesson_sheet
from ...words.keep import summary as words
from ...words.keep.caution import cautions_said
from ...words.shared.label import labelled
from ...words.shared.plain import put, put_scene
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, Entry, LongWords
from ..change import changes, practice
from ..golfer.handovers import moved
from ..judge import findings
from ..start.corrections import superseded
from .cards import card_on_paper
from .prints import printed

router = Router(tags=["summary"])


class DrillBrief(BaseModel):
    """The drill that is taken home."""

    code: str
    name: str
    steps: list[str]
    goal: str
    dose: str
    stage: Scene


class SummaryOut(BaseModel):
    """A lesson on one page; what there is none of is empty."""

    revision: int = Field(0, description="the mark of the data it was made from")
    golfer: str
    units: Units = Field(description="of its lengths: those of the lesson’s papers")
    under: str = Field(description="where and when")
    complaint: str
    found: list[str] = Field(description="in the golfer's own wording, by level")
    picture: Scene | None
    picture_words: str
    change: list[str] = Field(description="what, how it should feel, where it stands")
    drill: DrillBrief | None
    week: list[str] = Field(description="the first sessions, one line each")
    first_check: str = Field(description="what comes first next time")
    cautions: list[str]
    superseded: list[str] = Field(description="what was put right since: a sheet printed before says otherwise")
    note: str = Field(description="the coach's own words")
    missing: str = Field(description="what is not there yet; empty where nothing is missing")
    invented: bool
    released_at: datetime | None = Field(description="since when the golfer sees it, signed in; null: not released")


class NoteIn(Entry):
    note: LongWords = Field("", max_length=600)


class ReleasedIn(Entry):
    released: bool


@router.get("/lessons/{id}/summary")
def of_lesson(desk: AtDesk, id: UUID) -> SummaryOut:
    """A lesson as it is taken home, in the units of its papers whoever reads it."""
    return _summary(desk, lesson_sheet(desk, id))


@router.put("/lessons/{id}/sheet-note")
def keep_note(desk: AtDesk, id: UUID, entry: NoteIn) -> SummaryOut:
    """Keep the coach's own words for the sheet."""
    sheets.keep_note(desk, id, entry.note)
    return of_lesson(desk, id)


@router.put("/lessons/{id}/released")
def release(desk: AtDesk, id: UUID, entry: ReleasedIn) -> SummaryOut:
    """Let the golfer see the sheet, signed in himself, with the plan and the cards of this lesson; or no more."""
    sheets.release(desk, id, datetime.now(UTC) if entry.released else None)
    return of_lesson(desk, id)


@router.get(
    "/lessons/{id}/golfers-sheet",
    response_class=Response,
    responses={200: {"content": {"application/pdf": {}, "image/svg+xml": {}}, "description": "The sheet."}},
)
def on_paper(
    desk: AtDesk,
    id: UUID,
    form: Literal["pdf", "svg"] = Query("pdf"),
    paper: PaperName | None = Query(None, description="null: as is usual where its units are"),
    sheet: int = Query(1, ge=1),
    whole: bool = Query(False, description="with the drill’s station and the lesson’s set-up card behind it"),
) -> Response:
    """The sheet the golfer takes home."""
    it = of_lesson(desk, id)
    paper = paper or usual_paper(it.units)
    sheets_, title = sheets_of(it, paper)
    if whole:
        sheets_ = [*sheets_, *_behind(desk, id, it, paper)]
    return printed(sheets_, title, "golfers-sheet", form, paper, sheet)


def sheets_of(it: SummaryOut, paper: PaperName) -> tuple[Sequence[Sheet], str]:
    """The golfer's sheet on paper, and its title."""
    title = labelled(it.golfer, it.invented)
    told = Told(
        superseded=it.superseded,
        found=it.found,
        change=it.change,
        drill=[it.drill.name, *it.drill.steps, f"Goal: {it.drill.goal} {it.drill.dose}"] if it.drill else [],
        week=it.week,
        first_check=it.first_check,
        cautions=it.cautions,
        note=it.note,
        picture=it.picture,
        station=it.drill.stage if it.drill else None,
    )
    return golfer_sheet(told, title, it.under, paper), title


def _behind(desk: Desk, id: UUID, it: SummaryOut, paper: PaperName) -> list[Sheet]:
    """What is laid and how to stand, each on a sheet of its own; none of what there is none of."""
    sheet, units = lesson_sheet(desk, id), it.units
    found: list[Sheet] = []
    station = practice.station_in(desk, it.drill.code, units) if it.drill else None
    if it.drill is not None and station is not None:
        title, wording = labelled(it.drill.name, it.invented), wording_for(sheet.golfer.level, sheet.golfer.wording)
        found += station_sheet(station, title, sheet.lesson.hand, units, paper, wording)
    card = next((one for one in cards_of(desk, sheet.golfer.id) if one.row.lesson_id == id), None)
    if card is not None:
        found += card_on_paper(desk, card, sheet.golfer, units, paper)[0]
    return found


def _summary(desk: Desk, sheet: LessonSheet) -> SummaryOut:
    lesson, golfer, units = sheet.lesson, sheet.golfer, sheet.lesson.units
    found = findings.findings_in(desk, lesson.id, units)
    change = changes.change_in(desk, lesson.id, units)
    # What was chosen and planned in this lesson: an older one's sheet does not speak of what came later.
    held = next((it for it in change.held if not it.dropped and it.lesson_id == lesson.id), None)
    newest = practice.now(desk, golfer.id)
    plan = newest if newest is not None and newest.lesson_id == lesson.id else None
    first = [one for one in plan.sessions if one.items and one.week == plan.sessions[0].week] if plan else []
    code = _drill_home(desk, lesson.id, golfer.id, first)
    drill = practice.drill_in(desk, code, lesson.hand, units)
    wording = wording_for(golfer.level, golfer.wording)
    say = partial(put, wording=wording, units=units)
    return SummaryOut(
        # The older of the two it is put together from.
        revision=min(found.revision, change.revision),
        golfer=golfer.name,
        units=units,
        under=words.under_said(lesson.place, lesson.started_at.date()),
        complaint=change.complaint_words,
        found=[say(it) for it in (found.for_golfer, found.pace) if it],
        picture=None if found.picture is None else put_scene(found.picture, wording, units),
        picture_words=say(found.picture_words),
        change=[say(it) for it in (held.what, held.feel, held.words) if it] if held else [],
        drill=_brief(code, drill, say, partial(put_scene, wording=wording, units=units)) if drill else None,
        week=[say(words.session_said(one.day, [it.words for it in one.items], one.words)) for one in first],
        first_check=say(_first_check(found, held)),
        cautions=_mind(drill, cautions.for_home(desk, lesson.id, code, found.named)),
        superseded=[*moved(desk, lesson.id), *superseded(desk, lesson.id, units)],
        note=lesson.sheet_note,
        missing="" if held and plan else words.NOTHING_PLANNED,
        invented=lesson.invented,
        released_at=lesson.released_at,
    )


def _drill_home(desk: Desk, lesson_id: UUID, golfer_id: UUID, first: Sequence[practice.SessionOut]) -> str:
    """The drill that practises the change; of a plan the one it has, where it has that one."""
    wanted = drill_home(desk, lesson_id, golfer_id)
    planned = [item.drill for one in first for item in one.items if item.kind == "drill"]
    return wanted if not planned or wanted in planned else planned[0]


def _brief(
    code: str, drill: practice.DrillOut, say: Callable[[str], str], draw: Callable[[Scene], Scene]
) -> DrillBrief:
    steps, goal = [say(it) for it in drill.steps], say(drill.goal)
    return DrillBrief(code=code, name=drill.name, steps=steps, goal=goal, dose=drill.dose, stage=draw(drill.stage))


def _mind(drill: practice.DrillOut | None, case: Case) -> list[str]:
    """What to mind at home: of the drill first, then all that applies."""
    own = [f"{drill.name}: {it}" for it in (drill.risk, drill.stop) if it] if drill else []
    return list(dict.fromkeys([*own, *cautions_said(case)]))


def _first_check(found: findings.LessonFindings, held: changes.HeldOut | None) -> str:
    if held is not None and held.standing in ("untested", "open", "better_so_far"):
        return held.retest_words
    return found.following
