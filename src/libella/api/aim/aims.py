"""Aim at address: series of set-downs, link by link."""

from dataclasses import fields
from datetime import datetime

from pydantic import BaseModel, Field

from ...core.aim.links import CUES, USUAL_TOOLS, AimFound, Cue, Link
from ...core.certainty.estimate import Estimate
from ...core.certainty.verdict import Verdict
from ...core.certainty.vial import Vial
from ...core.estimate import Summary
from ...core.instruments import instruments, usual_sizes
from ...core.start.turns import AboutStart, Order, Question
from ...lessons.aim import aims, turns
from ...lessons.aim.aims import AimEntry
from ...lessons.aim.turns import AimTurns, TurnsEntry, Way
from ...lessons.desk.desk import Desk
from ...lessons.judge.comparisons import aims_compared
from ...lessons.lesson.set_up_name import AS_USUAL
from ...words.aim.links import CUES as CUE_NAMES
from ...words.aim.links import LINKS, aid_words, aim_words, sum_words
from ...words.judge.comparison import QUESTIONS
from ...words.start.run import turn_words
from ..base.compared import ComparedOut
from ..base.router import Router
from ..base.shapes import (
    UUID,
    UUID7,
    AtDesk,
    Entry,
    FlagsIn,
    InUnits,
    Kept,
    Moment,
    ShortWords,
    VoidIn,
    Words20,
    Words40,
    Words80,
)

router = Router(tags=["aim"])


class AimSeriesIn(Entry):
    """A series to begin."""

    lesson_id: UUID
    link: Link = "face"
    cue: Cue = aims.USUAL_CUE
    aided: bool = Field(default=False, description="an aid stands in the golfer's view")
    planned: int = Field(default=7, description="set-downs; 3 to 40")
    kind: Words40 | None = Field(default=None, description="instrument the face is read with; null: an angle is read")
    sizes: dict[Words40, float] = Field(default_factory=dict, max_length=20)
    set_up: Words80 = Field(default=AS_USUAL, description="how the golfer stands, by its name; empty as usual")
    factors: dict[Words20, ShortWords] = Field(
        default_factory=dict, description="in what else it is not as usual", max_length=8
    )
    station_id: UUID | None = Field(default=None, description="the plan it is read on; null: the plan now")
    started_at: Moment


class SetDownIn(Entry):
    series_id: UUID
    raw: dict[Words20, float | Words20] = Field(
        max_length=4, examples=[{"angle_deg": 1.0, "seen_deg": 0.5}, {"offset_m": 0.001}]
    )
    taken_at: Moment


class SetDownOut(Kept):
    id: UUID
    raw: dict[str, float | str]
    taken_at: datetime
    voided: bool
    flags: list[str] = Field(description="what lowers its weight")


class AimSeriesOut(Kept):
    id: UUID
    lesson_id: UUID
    link: Link
    cue: Cue
    aided: bool
    planned: int
    kind: str | None
    sizes: dict[str, float]
    set_up: str
    factors: dict[str, str] = Field(description="in what else it is not as usual")
    station_id: UUID | None
    started_at: datetime


class AimFoundOut(BaseModel):
    """A series judged. `final` from its planned end on: then there is a verdict."""

    set_downs: int
    planned: int
    final: bool
    summary: Summary | None
    verdict: Verdict | None
    headline: str
    meaning: str
    doubt: str
    vial: Vial

    @staticmethod
    def of(it: AimFound, units: InUnits) -> "AimFoundOut":
        said = aim_words(it, units)
        return AimFoundOut(
            set_downs=it.set_downs,
            planned=it.planned,
            final=it.final,
            summary=it.summary,
            verdict=it.verdict,
            headline=said.headline,
            meaning=said.meaning,
            doubt=said.doubt,
            vial=it.vial,
        )


class AimSumOut(BaseModel):
    """The ball mark and the putter against it, added, beside the face as it was read; null for what was not."""

    mark: Estimate | None
    to_mark: Estimate | None
    added: Estimate | None
    face: Estimate | None
    words: str


class AimSheetOut(BaseModel):
    series: AimSeriesOut
    set_downs: list[SetDownOut]
    found: AimFoundOut


class AimOut(BaseModel):
    """The series of a lesson, oldest first."""

    sheets: list[AimSheetOut]
    sum: AimSumOut
    aid: str = Field(description="what an aid in view changes, in words")
    turns: list["AimTurnsOut"] = Field(description="set-downs compared in turns, oldest first")
    tools: dict[str, dict[str, float]] = Field(
        description="sizes of what reads the face: as laid here, else as read with last; the likeliest first"
    )


class AimTurnsOut(BaseModel):
    """A comparison of set-downs. `turn` is the series whose turn it is, None when all are in."""

    id: UUID
    question: Question
    question_words: str
    names: list[str]
    series: list[UUID]
    each: int
    turn: UUID | None
    turn_words: str
    compared: ComparedOut


class WayIn(Entry):
    """One of the ways compared."""

    name: ShortWords
    cue: Cue = aims.USUAL_CUE
    set_up: Words80 = AS_USUAL
    aided: bool = False
    factors: dict[Words20, ShortWords] = Field(default_factory=dict, max_length=8)


class TurnsIn(Entry):
    """What is planned before the first set-down of a comparison."""

    lesson_id: UUID
    ways: tuple[WayIn, ...] = Field(min_length=2, max_length=5)
    each: int = Field(default=7, description="set-downs of each way, 3 to 40")
    link: Link = "face"
    kind: Words40 | None = None
    sizes: dict[Words40, float] = Field(default_factory=dict, max_length=20)
    order: Order = "alternating"
    run: int = Field(default=2, description="set-downs before the way changes, 1 to 10")
    question: AboutStart = "line"
    station_id: UUID | None = None
    started_at: Moment


class LinkOut(BaseModel):
    link: Link
    name: str
    how: str


class AimChoices(BaseModel):
    links: list[LinkOut]
    cues: dict[Cue, str] = Field(description="what the ball shows, each with its name")
    kinds: list[str] = Field(description="instruments that read the face aim")


@router.get("/aim-choices")
def choices() -> AimChoices:
    """What can be read of the aim, under which cues, with what."""
    return AimChoices(
        links=[LinkOut(link=key, name=it.name, how=it.how) for key, it in LINKS.items()],
        cues={it: CUE_NAMES[it] for it in CUES},
        kinds=sorted(
            (kind for kind, it in instruments().items() if it.about.measures == "face"),
            key=lambda it: USUAL_TOOLS.index(it) if it in USUAL_TOOLS else len(USUAL_TOOLS),
        ),
    )


@router.get("/lessons/{id}/aim")
def of_lesson(desk: AtDesk, id: UUID, units: InUnits = "metric") -> AimOut:
    """The aim of a lesson."""
    table = aims.aim_table(desk, id)
    return AimOut(
        sheets=[
            AimSheetOut(
                series=AimSeriesOut.model_validate(it.series),
                set_downs=[SetDownOut.model_validate(down) for down in it.set_downs],
                found=AimFoundOut.of(it.found, units),
            )
            for it in table.sheets
        ],
        sum=AimSumOut(
            mark=table.sum.mark,
            to_mark=table.sum.to_mark,
            added=table.sum.added,
            face=table.sum.face,
            words=sum_words(table.sum),
        ),
        aid=aid_words(table.aid),
        turns=[_turns_out(desk, id, it, units) for it in turns.aim_turns(desk, id, table.sheets)],
        tools={kind: dict(sizes) for kind, sizes in table.tools.items()},
    )


@router.put("/aim-series/{id}")
def begin(desk: AtDesk, id: UUID7, entry: AimSeriesIn, units: InUnits = "metric") -> AimOut:
    """Begin a series."""
    told = {it.name: getattr(entry, it.name) for it in fields(AimEntry)}
    if entry.kind is not None:
        told["sizes"] = usual_sizes(entry.kind, entry.sizes, units)
    aims.begin_series(desk, id, AimEntry(**told))
    return of_lesson(desk, entry.lesson_id, units)


@router.put("/aim-turns/{id}")
def compare(desk: AtDesk, id: UUID7, entry: TurnsIn, units: InUnits = "metric") -> AimOut:
    """Plan a comparison of set-downs: a series for each way is begun."""
    sizes = usual_sizes(entry.kind, entry.sizes, units) if entry.kind else {}
    told = {it.name: getattr(entry, it.name) for it in fields(TurnsEntry) if it.name in TurnsIn.model_fields}
    told |= {"ways": tuple(Way(**it.model_dump()) for it in entry.ways), "sizes": sizes, "seed": id.int % 2**31}
    turns.begin_turns(desk, id, TurnsEntry(**told))
    return of_lesson(desk, entry.lesson_id, units)


@router.put("/set-downs/{id}")
def set_down(desk: AtDesk, id: UUID7, entry: SetDownIn, units: InUnits = "metric") -> AimOut:
    """Keep one set-down."""
    aims.keep_set_down(desk, id, entry.series_id, entry.raw, entry.taken_at)
    return of_lesson(desk, aims.lesson_of_series(desk, entry.series_id), units)


@router.put("/set-downs/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidIn, units: InUnits = "metric") -> AimOut:
    """Void a set-down, or restore it."""
    row = aims.void_set_down(desk, id, entry.voided)
    return of_lesson(desk, aims.lesson_of_series(desk, row.aim_series_id), units)


@router.put("/set-downs/{id}/flags")
def flag(desk: AtDesk, id: UUID, entry: FlagsIn, units: InUnits = "metric") -> AimOut:
    """Say what lowers the weight of a set-down."""
    row = aims.flag_set_down(desk, id, entry.flags)
    return of_lesson(desk, aims.lesson_of_series(desk, row.aim_series_id), units)


def _turns_out(desk: Desk, id: UUID, it: AimTurns, units: InUnits) -> AimTurnsOut:
    row = it.comparison
    compared, hand = aims_compared(desk, id, it)
    return AimTurnsOut(
        id=row.id,
        question=row.question,
        question_words=QUESTIONS[row.of][row.question],
        names=list(it.names),
        series=[sheet.series.id for sheet in it.sheets],
        each=row.each,
        turn=it.turn_of,
        turn_words=turn_words(it.turn, it.names, row.of),
        compared=ComparedOut.of(compared, row.of, list(it.names), hand, units),
    )
