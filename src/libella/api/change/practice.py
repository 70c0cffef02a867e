"""Drills with their stations, runs, and the plan of the weeks after a lesson."""

from dataclasses import dataclass, replace
from datetime import UTC, date, datetime
from typing import Literal

from fastapi import Response
from pydantic import BaseModel, Field

from ...core.change.drill import CountGoal, Dose, Drill, Event, LevelGoal, ShareGoal
from ...core.change.drill_station import Form, lacking, station_of
from ...core.change.run import Next, Progress
from ...core.change.scored import asks_of, is_read
from ...core.drawing.scene import Scene
from ...core.golfer.hand import Hand
from ...core.golfer.level import LEVELS
from ...core.measure.units import tape
from ...core.set.layout import from_above
from ...core.set.station import Station
from ...exchange.calendar import calendar_of
from ...lessons.change import drills, practice
from ...lessons.change.drills import Known
from ...lessons.desk.desk import Desk
from ...lessons.golfer.golfers import golfer
from ...lessons.set.bag import bag
from ...words.change import practice as words
from ...words.keep.caution import drill_cautions_said
from ...words.shared.label import labelled
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, LongWords, Moment, ShortWords, VoidIn
from ..set.stations import AidIn, LaidIn, LaidOut

router = Router(tags=["practice"])
_SPEED_FT = 10.0


class DrillOut(BaseModel):
    """A drill as it is read, with its station to scale; `code` names it, an own one's is its id."""

    code: str
    name: str
    purpose: str
    serves: list[str]
    serves_names: list[str]
    event: Event
    steps: list[str]
    dose: str
    times: int = Field(description="events of a run")
    goal: str
    asks: str = Field(description="what is tapped after each, where nothing else tells it")
    angles: bool = Field(description="an angle is told each time, not whether it was done")
    easier: str
    harder: str
    risk: str
    stop: str
    mind: list[str] = Field(description="cautions that apply to it")
    indoors: str
    outdoors: str
    school: str
    guided: bool
    stage: Scene
    laid: LaidOut = Field(description="its station, to be laid in a lesson")
    read_in_lesson: bool = Field(description="putted in a lesson, it scores itself by what is read and noted")
    notes: list[str] = Field(description="what such a run notes of every putt")
    lengths: list[str] = Field(description="of the putts, in turns, in words; empty where nothing is putted")
    lacking: list[str] = Field(description="what it takes that is not in the bag")
    own: bool
    copied_from: str
    retired: bool
    progress: str = Field(description="where the golfer stands in it; empty where nobody was named")
    next: Next | None


class DrillIn(Entry):
    """A drill of the coach's own, after the one it is copied from: what is not said is as there."""

    copied_from: str = Field(examples=["clean_roll"])
    name: ShortWords = Field(min_length=1)
    purpose: LongWords = ""
    steps: tuple[LongWords, ...] = Field((), max_length=8, description="empty: as there")
    times: int = Field(description="events of a run, 3 to 60")
    minutes: float = Field(description="minutes of a run, 0.5 to 12")
    days: int = Field(3, description="days a week, 1 to 7")
    goal: Literal["share", "count", "level"] = "share"
    goal_size: float = Field(description="a share to 0.85, a count of the run, or degrees")
    risk: LongWords = ""


class RunIn(Entry):
    """A run, event by event."""

    golfer_id: UUID
    drill: str
    plan_id: UUID | None = None
    number: int | None = Field(None, description="of the plan: which of its sessions, from 1")
    bare: bool = True
    done: tuple[Literal[0, 1], ...] = Field((), max_length=120, description="1 as wanted, 0 not, one for each")
    angles_deg: tuple[float, ...] = Field((), max_length=120, description="of a drill of angles: one for each")
    done_at: Moment


class RunOut(BaseModel):
    id: UUID
    drill: str
    words: str = Field(description="where the golfer stands in the drill now")
    next: Next


class PlanIn(Entry):
    """What a plan is to fit."""

    lesson_id: UUID
    minutes: tuple[float, ...] = Field(min_length=1, max_length=7, description="minutes (min) of each day, 5 to 60")
    weeks: int = Field(4, description="1 to 8")
    starts_at: Moment
    made_at: Moment
    zone: str = Field("", max_length=64, description="where days begin and end, by the tz database; empty: UTC")
    no_green: bool = Field(False, description="there is only a floor or a mat at home")


class ItemOut(BaseModel):
    kind: str
    drill: str
    words: str
    why: str
    minutes: float = Field(description="minutes (min), its laying included")
    bare: bool


class SessionOut(BaseModel):
    number: int = Field(description="from 1")
    week: int
    day: date
    words: str
    items: list[ItemOut]
    done: bool
    missed: bool


class PlanOut(BaseModel):
    """A plan as it stands: session by session, what could not be met, and today's session."""

    id: UUID
    lesson_id: UUID
    made_at: datetime
    worked: str
    weeks: int
    minutes: list[float] = Field(description="minutes of each day of a week")
    sessions: list[SessionOut]
    unmet: list[str]
    next: int | None = Field(description="the session that is next; null when all are done or past")
    missed_words: str = Field(description="empty where nothing was missed")


@router.get("/drills")
def every(
    desk: AtDesk, golfer_id: UUID | None = None, serves: str = "", hand: Hand = "right", units: InUnits = "metric"
) -> list[DrillOut]:
    """Drills, those that serve a finding first where one is named; with where a golfer stands in each."""
    known = drills.drills_known(desk)
    stands = drills.progress_of(desk, golfer_id, known) if golfer_id else {}
    order = sorted(known.items(), key=lambda it: (serves not in it[1].drill.serves, it[1].retired))
    drawn = Drawn(bag(desk), hand, units)
    found = [_drill(code, it, drawn, stands.get(code)) for code, it in order]
    for one in found if golfer_id else []:
        one.progress = words.progress_said(stands.get(one.code), known[one.code].drill.told_in(units))
        one.next = stands[one.code].next if one.code in stands else None
    return found


@router.put("/drills/{id}")
def keep_drill(desk: AtDesk, id: UUID7, entry: DrillIn, units: InUnits = "metric") -> DrillOut:
    """Keep a drill of one's own: a copy of another, changed."""
    known = drills.drills_known(desk)
    drills.checked_copy(known, entry.copied_from)
    of = known[entry.copied_from].drill
    goal = {
        "share": lambda: ShareGoal(entry.goal_size),
        "count": lambda: CountGoal(round(entry.goal_size), entry.times),
        "level": lambda: LevelGoal(entry.goal_size),
    }[entry.goal]()
    told = replace(
        of,
        code=str(id),
        name=entry.name,
        purpose=entry.purpose or of.purpose,
        steps=entry.steps or of.steps,
        dose=Dose(entry.times, entry.minutes, entry.days),
        goal=goal,
        risk=entry.risk or of.risk,
    )
    kept = drills.keep_drill(desk, id, told, entry.copied_from)
    return _drill(str(id), kept, Drawn(bag(desk), "right", units))


@router.put("/drills/{id}/retired")
def retire(desk: AtDesk, id: UUID, entry: VoidIn, units: InUnits = "metric") -> DrillOut:
    """Retire a drill of one's own, or bring it back."""
    kept = drills.retire_drill(desk, id, entry.voided)
    return _drill(str(id), kept, Drawn(bag(desk), "right", units))


@router.put("/drill-runs/{id}")
def keep_run(desk: AtDesk, id: UUID7, entry: RunIn, units: InUnits = "metric") -> RunOut:
    """Keep a run of a drill, told event by event."""
    half = 0.25
    told = entry.done or tuple((it - half, it + half) for it in entry.angles_deg)
    run = drills.RunEntry(entry.golfer_id, entry.drill, told, entry.done_at, entry.bare, entry.plan_id, entry.number)
    return _run(desk, drills.keep_run(desk, id, run).golfer_id, id, entry.drill, units)


@router.put("/drill-runs/{id}/voided")
def void_run(desk: AtDesk, id: UUID, entry: VoidIn, units: InUnits = "metric") -> RunOut:
    """Take a run out of what counts, or bring it back."""
    kept = drills.void_run(desk, id, entry.voided)
    return _run(desk, kept.golfer_id, id, kept.drill, units)


@router.put("/practice-plans/{id}")
def make(desk: AtDesk, id: UUID7, entry: PlanIn) -> PlanOut:
    """Make a plan from the findings of a lesson, for the days there are."""
    return _plan(practice.make_plan(desk, id, practice.PlanEntry(**entry.model_dump())))


@router.put("/practice-plans/{id}/on-from/{before}")
def go_on(desk: AtDesk, id: UUID7, before: UUID) -> PlanOut:
    """The weeks that are left, planned anew from what was done: what was missed is moved, never piled up."""
    return _plan(practice.go_on(desk, id, before, datetime.now(UTC)))


@router.put("/practice-plans/{id}/voided")
def void_plan(desk: AtDesk, id: UUID, entry: VoidIn) -> PlanOut:
    """Take a plan away, or bring it back."""
    return _plan(practice.void_plan(desk, id, entry.voided))


@router.get("/golfers/{id}/practice-plan")
def now(desk: AtDesk, id: UUID) -> PlanOut | None:
    """The plan a golfer goes by; null before the first."""
    found = practice.practice_now(desk, id)
    return None if found is None else _plan(found)


@router.get("/practice-plans/{id}/calendar", response_class=Response)
def calendar(desk: AtDesk, id: UUID) -> Response:
    """The plan as a calendar file."""
    it = practice.practice(desk, id)
    told = _plan(it)
    who = golfer(desk, it.kept.golfer_id)
    name = labelled(who.name, who.invented)
    days = [(one.day, one.words, [item.words for item in one.items]) for one in told.sessions if one.items]
    return Response(calendar_of(str(id), name, days, it.kept.made_at), media_type="text/calendar; charset=utf-8")


def _run(desk: Desk, golfer_id: UUID, id: UUID, code: str, units: InUnits) -> RunOut:
    known = drills.drills_known(desk)
    stands = drills.progress_of(desk, golfer_id, known).get(code)
    return RunOut(
        id=id,
        drill=code,
        words=words.progress_said(stands, known[code].drill.told_in(units)),
        next=stands.next if stands is not None else "again",
    )


def _plan(it: practice.Practice) -> PlanOut:
    named = {code: known.drill for code, known in it.drills.items()}
    sessions: list[SessionOut] = []
    for number, one in enumerate(it.plan.sessions, 1):
        day, done = it.day(number), it.done(number)
        sessions.append(
            SessionOut(
                number=number,
                week=one.week,
                day=day,
                words=words.session_said(one),
                items=[
                    ItemOut(
                        kind=item.kind,
                        drill=item.drill,
                        words=words.item_said(item, named),
                        why=words.why_said(item, it.given),
                        minutes=item.minutes,
                        bare=item.bare,
                    )
                    for item in one.items
                ],
                done=done,
                missed=bool(one.items) and not done and day < it.today,
            )
        )
    return PlanOut(
        id=it.kept.id,
        lesson_id=it.kept.lesson_id,
        made_at=it.kept.made_at,
        worked=words.worked_said(it.given),
        weeks=it.given.weeks,
        minutes=list(it.given.minutes),
        sessions=sessions,
        unmet=[words.unmet_said(one, it.given) for one in it.plan.unmet],
        next=next((one.number for one in sessions if one.items and not one.done and not one.missed), None),
        missed_words=words.MISSED if any(one.missed for one in sessions) else "",
    )


def drill_in(desk: Desk, code: str, hand: Hand, units: InUnits) -> DrillOut | None:
    """One drill; None where there is none of that code."""
    known = drills.drills_known(desk).get(code)
    return None if known is None else _drill(code, known, Drawn(bag(desk), hand, units))


def station_in(desk: Desk, code: str, units: InUnits) -> Station | None:
    """A drill's station as it is laid from the bag; None where there is no such drill."""
    known = drills.drills_known(desk).get(code)
    return None if known is None else _station(known.drill, bag(desk), units)


def _station(it: Drill, owned: dict[str, int] | None, units: InUnits, form: Form = Form()) -> Station:
    return station_of(it, _SPEED_FT, LEVELS["club"].spread_deg, owned, units, form)


@dataclass(frozen=True, slots=True)
class Drawn:
    """From what stations are drawn: what is in the bag, for which hand, in which units."""

    owned: dict[str, int] | None
    hand: Hand
    units: InUnits


def _laid(it: Station, units: InUnits) -> LaidOut:
    putt = it.putt
    told = LaidIn(
        distance_m=putt.distance_m,
        past_m=putt.past_m,
        green_speed_ft=putt.green_speed_ft,
        falls_right_percent=putt.falls_right_percent,
        falls_doubt_percent=putt.falls_doubt_percent,
        rig_kind=it.rig.about.kind,
        rig_sizes_m=dict(it.rig.sizes()),
        aids=[AidIn(kind=one.about.kind, sizes=dict(one.sizes())) for one in it.aids],
    )
    return LaidOut(**LaidOut.of(told.entry(units), units))


def _drill(code: str, it: Known, drawn: Drawn, stands: Progress | None = None) -> DrillOut:
    drill = it.drill.told_in(drawn.units)
    form = Form(step=0 if stands is None else stands.next_step)
    station = _station(drill, drawn.owned, drawn.units, form)
    return DrillOut(
        code=code,
        name=drill.name,
        purpose=drill.purpose,
        serves=list(drill.serves),
        serves_names=[words.serves_name(one) for one in drill.serves],
        event=drill.event,
        steps=list(drill.steps),
        dose=words.dose_said(drill),
        times=drill.dose.times,
        goal=words.goal_said(drill.goal, drill.event),
        asks=drill.scored.asks,
        angles=isinstance(drill.goal, LevelGoal),
        easier=drill.easier,
        harder=drill.harder,
        risk=drill.risk,
        stop=drill.stop,
        mind=drill_cautions_said(drill),
        indoors=drill.indoors,
        outdoors=drill.outdoors,
        school=drill.school,
        guided=drill.guided,
        stage=from_above(station, drawn.hand, drawn.units),
        laid=_laid(station, drawn.units),
        read_in_lesson=drill.event == "putt" and is_read(drill.scored),
        notes=list(asks_of(drill.scored)),
        lengths=[tape(one, drawn.units) for one in drill.layout.lengths_m],
        lacking=[one.name for one in lacking(drill, drawn.owned)],
        own=it.own is not None,
        copied_from=it.copied_from,
        retired=it.retired,
        progress="",
        next=None,
    )
