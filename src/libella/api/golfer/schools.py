"""Schools: where coaches contradict each other, who holds what, what that changes, what this golfer's data say."""

from dataclasses import dataclass
from typing import Literal

from pydantic import BaseModel, Field

from ...core.change.school_told import GolferTold, told_of
from ...core.golfer.hand import Hand
from ...core.green.capture import Capture
from ...core.schools.held import DISAGREEMENTS, HeldSchool, Schools, Whose
from ...core.schools.school import First, Told
from ...core.start.path import PathName
from ...lessons.change.schools import golfer_told, newest_told
from ...lessons.desk import kept
from ...lessons.desk.desk import Desk
from ...lessons.golfer import golfers, schools
from ...lessons.lesson.lessons import lesson_sheet
from ...words.schools import told as words
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, Entry, InUnits, as_kept

router = Router(tags=["schools"])


class DeclaredIn(Entry):
    school: str = Field(description="the code of a school; empty: none is held")


class SchoolOut(BaseModel):
    """One side."""

    code: str
    name: str
    words: str
    changes: list[str] = Field(description="what declaring it changes, sentence by sentence; empty: words alone")


class DisagreementOut(BaseModel):
    """Something on which coaches contradict each other."""

    code: str
    asks: str
    at: Told = Field(description="the step at which it is told")
    at_name: str
    also_at: list[Told] = Field(description="where else the school that counts decides something")
    schools: list[SchoolOut]
    coach: str = Field(description="the school the coach holds; empty: none")
    golfer: str = Field(description="the school held for this golfer; empty: none")
    held: str = Field(description="the school that counts: the golfer's before the coach's; empty: none")
    by: Whose | None
    by_words: str
    words: str = Field(description="the school that counts, in a sentence; empty: none")
    told: str = Field(description="what this golfer's own data say")
    told_school: str = Field(description="the school they speak for; empty: none of them, or nothing yet")
    told_sure: Literal["clear", "likely"] | None
    why: str = Field(description="what opens what they say; empty: nothing does")
    why_lesson: str = Field(description="of which lesson that is opened; empty: of the golfer over the lessons")
    stands: str = Field(description="how they stand to the school that is held; empty while they say nothing")


class SettingsOut(BaseModel):
    """What the schools held set where nobody said otherwise; null: they leave it as it is."""

    past_m: float | None
    capture: Capture | None
    hole: bool | None
    trace: str | None
    cue: str | None
    path: PathName | None
    first: First | None
    days_a_week: int | None
    minutes_a_day: int | None


class SchoolsOut(BaseModel):
    """Every disagreement, in the order of the steps, and what the schools held set together."""

    disagreements: list[DisagreementOut]
    settings: SettingsOut


@router.get("/schools")
def of_coach(desk: AtDesk, units: InUnits = "metric") -> SchoolsOut:
    """Where coaches contradict each other, and what this one holds."""
    return _out(_Of(schools.schools_of(desk), None, "right", units, words.NO_GOLFER))


@router.put("/schools/{disagreement}")
def declare(desk: AtDesk, disagreement: str, entry: DeclaredIn, units: InUnits = "metric") -> SchoolsOut:
    """Say which school the coach holds, or none."""
    schools.declare(desk, disagreement, entry.school)
    return of_coach(desk, units)


@router.get("/golfers/{id}/schools")
def of_golfer(desk: AtDesk, id: UUID, units: InUnits = "metric") -> SchoolsOut:
    """The same of a golfer, with what the newest lesson and the retests say."""

    def make(whole: Desk, _: int) -> str:
        who = golfers.golfer(whole, id)
        told = newest_told(whole, id)
        return _out(_Of(schools.schools_of(whole, who), told, who.hand, units)).model_dump_json()

    return as_kept(kept.of_golfer(desk, id, f"schools, {units}", make))


@router.put("/golfers/{id}/schools/{disagreement}")
def declare_of(desk: AtDesk, id: UUID, disagreement: str, entry: DeclaredIn, units: InUnits = "metric") -> SchoolsOut:
    """Say which school is held for a golfer, or none: then the coach's holds."""
    schools.declare(desk, disagreement, entry.school, id)
    return of_golfer(desk, id, units)


@router.get("/lessons/{id}/schools")
def of_lesson(desk: AtDesk, id: UUID, units: InUnits = "metric") -> SchoolsOut:
    """The same in a lesson, with what it read."""

    def make(whole: Desk, _: int) -> str:
        who = lesson_sheet(whole, id).golfer
        return _out(_Of(schools.schools_of(whole, who), golfer_told(whole, id), who.hand, units)).model_dump_json()

    return as_kept(kept.of_lesson(desk, id, f"schools, {units}", make))


@dataclass(frozen=True, slots=True)
class _Of:
    """Of whom it is told: what is held, what was read (None: nothing), by which hand, in which units."""

    held: Schools
    told: GolferTold | None
    hand: Hand
    units: InUnits
    nothing: str = words.NOTHING_TOLD


def _out(of: _Of) -> SchoolsOut:
    held = {it.of.code: it for it in of.held.held}
    return SchoolsOut(
        disagreements=[_one(code, held.get(code), of) for code in DISAGREEMENTS],
        settings=SettingsOut.model_validate(of.held.settings, from_attributes=True),
    )


def _one(code: str, held: HeldSchool | None, of: _Of) -> DisagreementOut:
    it = DISAGREEMENTS[code]
    told = told_of(of.told, code) if of.told is not None else None
    return DisagreementOut(
        code=code,
        asks=it.asks,
        at=it.at,
        at_name=words.STEP_NAMES[it.at],
        also_at=[step for step in held.school.decides_at if step != it.at] if held else [],
        schools=[
            SchoolOut(code=one.code, name=one.name, words=one.words, changes=words.changes_said(one, of.units))
            for one in it.schools.values()
        ],
        coach=of.held.coach.get(code, ""),
        golfer=of.held.golfer.get(code, ""),
        held=held.school.code if held else "",
        by=held.by if held else None,
        by_words=words.by_said(held.by if held else None),
        words=words.held_said(held) if held else "",
        told=words.told_said(told, of.hand) if told else of.nothing,
        told_school=told.school if told else "",
        told_sure=told.sure if told else None,
        why=told.why if told else "",
        why_lesson=of.told.lesson if of.told and told and told.of_lesson else "",
        stands=words.stands_said(told, held) if held else "",
    )
