"""The plan of the weeks after a lesson: made from its findings for the days there are, and made anew from what was
done."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Final
from uuid import UUID

from sqlalchemy import select

from ...core.change.drill import Drill, Serves
from ...core.change.drills import serving
from ...core.change.plan import Plan, plan
from ...core.change.proposal import PROPOSALS
from ...core.change.session import Before, Given
from ...core.change.week import minutes_of
from ...core.change.worked_on import worked_on
from ...core.instruments.registry import instruments
from ...core.set.kit import in_bag
from ...store.tables import GolferRow, LessonRow, PracticePlanRow, SetUpCardRow
from ..desk.desk import Desk
from ..desk.problem import Closed
from ..desk.stored import Stored
from ..golfer.schools import schools_of
from ..judge.findings import judge_whole
from ..set.bag import bag
from ..values import KeptGolfer, KeptPracticePlan, value_of, values_of
from .changes import chosen_now
from .drills import Known, Run, drills_known, progress_of, told_runs

_GIVEN: Final[Stored[Given]] = Stored(Given)
_PLAN: Final[Stored[Plan]] = Stored(Plan)
_MOST: Final = 3


@dataclass(frozen=True, slots=True)
class Practice:
    """A plan as it stands: what was done of it, and its drills."""

    kept: KeptPracticePlan
    given: Given
    plan: Plan
    runs: Sequence[Run]
    drills: dict[str, Known]

    def done(self, number: int) -> bool:
        """Whether anything of a session, by its number from 1, was run."""
        return any(it.number == number for it in self.runs)

    def day(self, number: int) -> datetime:
        """The day a session is for: the days of a week lie evenly over it."""
        it = self.plan.sessions[number - 1]
        apart = 7 * (it.day - 1) // len(self.given.minutes)
        return self.kept.starts_at + timedelta(days=7 * (it.week - 1) + apart)


@dataclass(frozen=True, slots=True)
class PlanEntry:
    """What a coach asks for: minutes of each day of a week, weeks, from when on."""

    lesson_id: UUID
    minutes: tuple[float, ...]
    weeks: int
    starts_at: datetime
    made_at: datetime


def make_plan(desk: Desk, id: UUID, entry: PlanEntry) -> Practice:
    """Make a plan from a lesson's findings, its golfer and the bag, and keep it as it is. Said twice it is one."""
    with desk.transaction() as session:
        lesson = desk.get(session, LessonRow, entry.lesson_id, "lesson")
        if lesson.voided_at is not None:
            raise Closed("lesson_voided")
        golfer_id = lesson.golfer_id
    return _kept(desk, id, golfer_id, entry, Before())


def go_on(desk: Desk, id: UUID, from_: UUID, now: datetime) -> Practice:
    """A plan made anew for the weeks that are left of another, from what was done of it: what was missed is moved,
    never piled up."""
    before = practice(desk, from_)
    given = before.given
    entry = PlanEntry(before.kept.lesson_id, given.minutes, given.weeks, before.kept.starts_at, now)
    weeks = min(given.weeks - 1, max(0, (now - before.kept.starts_at).days // 7))
    return _kept(desk, id, before.kept.golfer_id, entry, _done(before, weeks))


def _kept(desk: Desk, id: UUID, golfer_id: UUID, entry: PlanEntry, before: Before) -> Practice:
    """Made and kept as it is; what was kept before stays as it was then."""
    with desk.transaction() as session:
        golfer = value_of(KeptGolfer, desk.get(session, GolferRow, golfer_id, "golfer"))
        kept = session.get(PracticePlanRow, (desk.studio_id, id))
    if kept is None:
        given = _given(desk, entry, golfer)
        values = {
            "golfer_id": golfer_id,
            "lesson_id": entry.lesson_id,
            "starts_at": entry.starts_at,
            "made_at": entry.made_at,
            "given": _GIVEN.keep(given),
            "made": _PLAN.keep(plan(given, before)),
        }
        with desk.transaction() as session:
            desk.add(session, PracticePlanRow, id, **values)
    return practice(desk, id)


def _given(desk: Desk, entry: PlanEntry, golfer: KeptGolfer) -> Given:
    parts = bag(desk)
    known = drills_known(desk)
    met = [code for code, it in progress_of(desk, golfer.id, known).items() if it.standing == "passed" and it.step >= 1]
    retired = [code for code, it in known.items() if it.retired]
    with desk.transaction() as session:
        card = session.scalar(
            select(SetUpCardRow.id).where(
                SetUpCardRow.studio_id == desk.studio_id,
                SetUpCardRow.golfer_id == golfer.id,
                SetUpCardRow.put_away_at.is_(None),
            )
        )
    chosen, held = chosen_now(desk, golfer.id), schools_of(desk, golfer)
    return Given(
        findings=_worked_on(desk, entry.lesson_id),
        minutes=entry.minutes,
        weeks=entry.weeks,
        change=bool(chosen),
        schools=tuple(PROPOSALS[it.proposal].school for it in chosen if it.proposal and PROPOSALS[it.proposal].school),
        first=tuple(it for it in known if held.place(it) < 0),
        last=tuple(it for it in known if held.place(it) > 0),
        card=card is not None,
        limits=tuple(golfer.limits),
        without=(*met, *retired),
        owned=None if parts is None else frozenset(k for k, it in instruments().items() if in_bag([it.about], parts)),
        more=tuple(it.drill for it in known.values() if it.own is not None and not it.retired),
    )


def _worked_on(desk: Desk, lesson_id: UUID) -> tuple[tuple[Serves, float], ...]:
    """What a plan works on, with its weight in putts of a hundred: the findings named, else those that something speaks
    for, else putting as on the course."""
    ranked = judge_whole(desk, lesson_id).judged.findings.ranked
    told = [(it.cause, max(1.0, it.importance)) for it in worked_on(ranked, serving)[:_MOST]]
    return tuple(told) or (("transfer", 1.0),)


def practice(desk: Desk, id: UUID) -> Practice:
    """One plan as it stands."""
    with desk.transaction() as session:
        kept = value_of(KeptPracticePlan, desk.get(session, PracticePlanRow, id, "practice_plan"))
    runs = [it for it in told_runs(desk, kept.golfer_id) if it.plan_id == id]
    return Practice(kept, _GIVEN.read(kept.given), _PLAN.read(kept.made), runs, drills_known(desk))


def practice_now(desk: Desk, golfer_id: UUID) -> Practice | None:
    """The newest plan of a golfer; None before the first."""
    query = (
        select(PracticePlanRow)
        .where(
            PracticePlanRow.studio_id == desk.studio_id,
            PracticePlanRow.golfer_id == golfer_id,
            PracticePlanRow.voided.is_(False),
        )
        .order_by(PracticePlanRow.made_at.desc(), PracticePlanRow.id.desc())
        .limit(1)
    )
    with desk.transaction() as session:
        kept = values_of(KeptPracticePlan, session.scalars(query))
    return practice(desk, kept[0].id) if kept else None


def void_plan(desk: Desk, id: UUID, voided: bool) -> Practice:
    """Take a plan away, or bring it back: what was run of it stays."""
    desk.void(KeptPracticePlan, PracticePlanRow, id, "practice_plan", voided)
    return practice(desk, id)


def _done(it: Practice, weeks: int) -> Before:
    """What was practised, by the runs that were kept: what was only planned was not."""
    minutes: dict[Serves, float] = {}
    worked = [name for name, _ in it.given.findings]
    for run in it.runs:
        known: Drill | None = it.drills[run.drill].drill if run.drill in it.drills else None
        served = next((name for name in worked if known is not None and name in known.serves), None)
        if known is not None and served is not None:
            minutes[served] = minutes.get(served, 0.0) + minutes_of(known, it.given.putt_s)
    return Before(minutes, frozenset(run.drill for run in it.runs), (), weeks, weeks * len(it.given.minutes))
