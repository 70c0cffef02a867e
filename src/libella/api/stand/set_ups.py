"""How the golfer stands: set-ups noted, set beside the one before, taken again after stepping away."""

from datetime import datetime

from pydantic import BaseModel, Field

from ...core.drawing.scene import Scene
from ...core.stand.set_up import ENTRIES, Unit
from ...lessons.see.eyes import eyes_now
from ...lessons.stand import set_ups
from ...words.stand.set_up import GROUPS, NotedWords, WanderWords, noted_words, wander_words
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Kept, Moment, VoidIn, Words30, Words80

router = Router(tags=["set-ups"])


class EntryOut(BaseModel):
    """Something of a set-up that can be noted."""

    name: str
    label: str
    group: str
    unit: Unit
    hint: str
    low: float
    high: float
    step: float
    options: dict[str, str] = Field(description="codes, each with its name")


class SetUpIn(Entry):
    """A set-up as noted."""

    lesson_id: UUID
    values: dict[Words30, float | Words30] = Field(
        max_length=len(ENTRIES), examples=[{"ball_toes_m": 0.23, "shoulders_deg": "left"}]
    )
    name: Words80 = Field("", description="what this set-up is called in the lesson; empty as usual")
    again_of: UUID | None = Field(default=None, description="the first of its run, taken again after stepping away")
    taken_at: Moment


class SetUpOut(Kept):
    id: UUID
    name: str
    values: dict[str, float | str]
    again_of: UUID | None
    taken_at: datetime
    voided: bool


class StandOut(BaseModel):
    """The set-up of a lesson, beside the one before."""

    wanted: list[str]
    taken: list[SetUpOut]
    now: SetUpOut | None
    before: SetUpOut | None
    noted: tuple[NotedWords, ...]
    wander: tuple[WanderWords, ...] = Field(description="how far each number goes from one time to the next")
    times: int = Field(description="how often this set-up was taken")
    above: Scene
    behind: Scene


class NotedIn(Entry):
    names: list[Words30] = Field(max_length=len(ENTRIES))


@router.get("/set-up-entries")
def entries() -> list[EntryOut]:
    """What can be noted of a set-up."""
    return [
        EntryOut(
            name=name, label=it.label, group=GROUPS[it.group], unit=it.unit, hint=it.hint, low=it.low, high=it.high,
            step=it.step, options=dict(it.options),
        )
        for name, it in ENTRIES.items()
    ]  # fmt: skip


@router.put("/set-up-entries")
def want(desk: AtDesk, entry: NotedIn) -> NotedIn:
    """Choose what is asked of a set-up."""
    return NotedIn(names=list(set_ups.want_noted(desk, entry.names)))


@router.get("/lessons/{id}/stand")
def of_lesson(desk: AtDesk, id: UUID, units: InUnits = "metric") -> StandOut:
    """The set-up of a lesson."""
    found = eyes_now(desk, id)
    inside = found.inside if found else None
    sheet = set_ups.stand_sheet(desk, id, units, eyes_inside_m=inside.value / 1000 if inside else None)
    return StandOut(
        wanted=list(sheet.wanted),
        taken=[SetUpOut.model_validate(it) for it in sheet.taken],
        now=None if sheet.now is None else SetUpOut.model_validate(sheet.now),
        before=None if sheet.before is None else SetUpOut.model_validate(sheet.before),
        noted=tuple(noted_words(it, units) for it in sheet.noted),
        wander=tuple(wander_words(it, units) for it in sheet.wander),
        times=sheet.times,
        above=sheet.above,
        behind=sheet.behind,
    )


@router.put("/set-ups/{id}")
def keep(desk: AtDesk, id: UUID7, entry: SetUpIn, units: InUnits = "metric") -> StandOut:
    """Keep a set-up, or take over what was added to it."""
    set_ups.keep_set_up(desk, id, set_ups.SetUpEntry(**entry.model_dump()))
    return of_lesson(desk, entry.lesson_id, units)


@router.put("/set-ups/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidIn, units: InUnits = "metric") -> StandOut:
    """Void a set-up, or restore it."""
    return of_lesson(desk, set_ups.void_set_up(desk, id, entry.voided).lesson_id, units)
