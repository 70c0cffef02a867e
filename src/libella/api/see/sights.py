"""What looks straight to this golfer: tests, their answers, what they found."""

from collections.abc import Sequence
from dataclasses import fields
from datetime import UTC, datetime

from pydantic import BaseModel, Field

from ...core.certainty.vial import Vial
from ...core.drawing.scene import Scene
from ...core.measure.units import Units
from ...core.see.method import FEWEST, METHODS, Eyes, Glasses, LooksStraight, Method, Toward, Trace
from ...core.see.position import position_of
from ...core.see.straight import laid_rod
from ...lessons.lesson.lessons import is_invented
from ...lessons.see import sights
from ...lessons.see.sights import Asked, SightEntry, SightSheet
from ...words.see.straight import METHODS as METHOD_WORDS
from ...words.see.straight import (
    AskedUnder,
    SightWords,
    condition_words,
    line_words,
    rod_words,
    sight_words,
    truer_words,
)
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, FlagsIn, InUnits, Kept, Moment, VoidIn, Words20, Words80

router = Router(tags=["sights"])


class SightIn(Entry):
    """A test to begin."""

    lesson_id: UUID
    method: Method = "directions"
    condition: Words80 = Field(default="", description="the set-up by its name in this lesson; empty as usual")
    trace: Trace = "as_usual"
    eyes: Eyes = "both"
    glasses: Glasses = "none"
    away_m: float = Field(default=2.0, description="rod's near end, or the ball, to where it is read; 0.5 to 15 m")
    started_at: Moment
    toward: Toward = Field(default="hole", description="what is called straight: the hole, or a breaking putt's start")
    position: dict[Words20, float] = Field(
        default_factory=dict,
        max_length=6,
        description="levers moved from usual, mm or degrees",
        examples=[{"inside": 25}],
    )
    station_id: UUID | None = Field(default=None, description="the plan it is asked on; null: the plan now")


class SightTestOut(Kept):
    id: UUID
    lesson_id: UUID
    method: Method
    condition: str
    trace: Trace
    eyes: Eyes
    glasses: Glasses
    away_m: float
    started_at: datetime
    ended_at: datetime | None = Field(description="when it was shown; until then its answers are hidden")
    toward: Toward
    position: dict[str, float]
    station_id: UUID | None
    playable: bool
    comfort: int | None
    trust: int | None


class SightTrialOut(Kept):
    id: UUID
    test_id: UUID
    raw: dict[str, float | str]
    taken_at: datetime
    voided: bool
    flags: list[str] = Field(description="what lowers its weight")


class SightOut(BaseModel):
    """A test as it stands."""

    test: SightTestOut
    under: str = Field(description="under what it was asked, in words")
    line: str = Field(description="what the rod's angles are against, in words")
    trials: list[SightTrialOut]
    found: LooksStraight
    words: SightWords
    vial: Vial
    next: Asked | None
    lay: str = Field(description="how to lay the rod for the next answer")
    stage: Scene | None = Field(description="the rod as it is to lie")
    curve: Scene | None
    fewest: int = Field(description="answers before anything is said of them")


class SightsOut(BaseModel):
    """The tests of a lesson, oldest first, and the last two set against each other."""

    tests: list[SightOut]
    compared: str


class MethodOut(BaseModel):
    method: Method
    name: str
    how: str


class LeftIn(Entry):
    left: bool = Field(default=True, description="false takes it up again")


class AnswerIn(Entry):
    """One answer: a true angle and how it looks; or where the rod stopped or the golfer pointed."""

    test_id: UUID
    raw: dict[Words20, float | Words20] = Field(
        max_length=4, examples=[{"true_deg": 0.75, "looks": "left"}, {"beside_m": 0.02, "seen_m": 0.005}]
    )
    taken_at: Moment


class FeltIn(Entry):
    """How the golfer found the position of a test."""

    playable: bool = True
    comfort: int | None = Field(default=None, description="1 to 5")
    trust: int | None = Field(default=None, description="1 to 5")


class QuestionOut(BaseModel):
    """What the golfer's own screen shows: the question, and nothing else."""

    question: str = Field(description="empty while nothing is asked")
    answer: int = Field(description="which answer is waited for")
    invented: bool = Field(description="true when this is the invented demo")


@router.get("/sight-methods")
def methods() -> list[MethodOut]:
    """The ways of asking what looks straight."""
    return [MethodOut(method=it, name=METHOD_WORDS[it].name, how=METHOD_WORDS[it].how) for it in METHODS]


@router.get("/lessons/{id}/sights")
def of_lesson(desk: AtDesk, id: UUID, units: InUnits = "metric") -> SightsOut:
    """The tests of a lesson."""
    found = sights.sights_of(desk, id)
    return SightsOut(tests=[_out(it, units) for it in found], compared=_compared(found, units))


@router.put("/sight-tests/{id}")
def begin(desk: AtDesk, id: UUID7, entry: SightIn, units: InUnits = "metric") -> SightOut:
    """Begin a test."""
    values = {it.name: getattr(entry, it.name) for it in fields(SightEntry)}
    sights.begin_test(desk, id, SightEntry(**values))
    return one(desk, id, units)


@router.get("/sight-tests/{id}")
def one(desk: AtDesk, id: UUID, units: InUnits = "metric") -> SightOut:
    """A test with what it found and what to ask next."""
    return _out(sights.sight_sheet(desk, id), units)


@router.put("/sight-tests/{id}/shown")
def show(desk: AtDesk, id: UUID, units: InUnits = "metric") -> SightOut:
    """Show what it found; from then on it takes no more answers."""
    sights.show_test(desk, id, datetime.now(UTC))
    return one(desk, id, units)


@router.delete("/sight-tests/{id}/shown")
def go_on(desk: AtDesk, id: UUID, units: InUnits = "metric") -> SightOut:
    """Hide it again, and go on asking."""
    sights.show_test(desk, id, None)
    return one(desk, id, units)


@router.put("/sight-tests/{id}/left")
def leave(desk: AtDesk, id: UUID, entry: LeftIn, units: InUnits = "metric") -> SightsOut:
    """Leave a test begun by mistake, or take it up again."""
    row = sights.leave_test(desk, id, datetime.now(UTC) if entry.left else None)
    return of_lesson(desk, row.lesson_id, units)


@router.put("/sight-tests/{id}/felt")
def felt(desk: AtDesk, id: UUID, entry: FeltIn, units: InUnits = "metric") -> SightOut:
    """Say whether the golfer can play from there, how comfortable it is, and how far it is trusted."""
    sights.felt_there(desk, id, playable=entry.playable, comfort=entry.comfort, trust=entry.trust)
    return one(desk, id, units)


@router.get("/lessons/{id}/question")
def question(desk: AtDesk, id: UUID) -> QuestionOut:
    """For the golfer's own screen."""
    asked = next((it for it in reversed(sights.sights_of(desk, id)) if not it.test.ended_at), None)
    invented = is_invented(desk, id)
    if asked is None:
        return QuestionOut(question="", answer=0, invented=invented)
    count = sum(not it.voided for it in asked.trials)
    return QuestionOut(question=METHOD_WORDS[asked.test.method].question, answer=count + 1, invented=invented)


@router.put("/sight-trials/{id}")
def answer(desk: AtDesk, id: UUID7, entry: AnswerIn, units: InUnits = "metric") -> SightOut:
    """Keep one answer, and say what to ask next."""
    sights.keep_answer(desk, id, entry.test_id, entry.raw, entry.taken_at)
    return one(desk, entry.test_id, units)


@router.put("/sight-trials/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidIn, units: InUnits = "metric") -> SightOut:
    """Void an answer (a slip of the finger), or restore it."""
    return one(desk, sights.void_answer(desk, id, entry.voided).test_id, units)


@router.put("/sight-trials/{id}/flags")
def flag(desk: AtDesk, id: UUID, entry: FlagsIn, units: InUnits = "metric") -> SightOut:
    """Say what lowers the weight of an answer."""
    return one(desk, sights.flag_answer(desk, id, entry.flags).test_id, units)


def _out(sheet: SightSheet, units: Units) -> SightOut:
    test, asked = sheet.test, sheet.next
    lay = rod_words(asked.true_deg, asked.spot_m, test.away_m, units) if asked else ""
    return SightOut(
        test=SightTestOut.model_validate(test),
        under=_under(sheet, units),
        line=line_words(test.toward, sheet.putt, units),
        trials=[SightTrialOut.model_validate(it) for it in sheet.trials],
        found=sheet.found,
        words=sight_words(sheet.found),
        vial=sheet.vial,
        next=asked,
        lay=lay,
        stage=laid_rod(asked.spot_m, test.away_m, units, f"The rod truly {lay}") if asked else None,
        curve=sheet.curve,
        fewest=FEWEST,
    )


def _under(sheet: SightSheet, units: Units) -> str:
    it = sheet.test
    position = position_of(it.position)
    return condition_words(AskedUnder(it.condition, it.toward, it.trace, it.eyes, it.glasses, position), units)


def _compared(sheets: Sequence[SightSheet], units: Units) -> str:
    """The last two shown tests set against each other; empty with fewer."""
    two = sights.last_two(sheets)
    if two is None:
        return ""
    names = _under(two[0], units), _under(two[1], units)
    if names[0] == names[1]:
        names = "the first time", "the second time"
    return truer_words(two[0].measured, two[1].measured, names)
