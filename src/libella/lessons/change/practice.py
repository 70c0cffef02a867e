"""The plan of the weeks after a lesson: made from its findings for the days there are, and made anew from what was
done."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import UTC, date, datetime, timedelta
from typing import Any, Final
from uuid import UUID
from zoneinfo import ZoneInfo, available_timezones

from sqlalchemy import select

from ...core.change.drill import Drill, Serves
from ...core.change.drills import drills
from ...core.change.plan import Plan, drill_for, plan
from ...core.change.proposal import PROPOSALS, Chosen
from ...core.change.session import Before, Given
from ...core.change.topic import TOPICS
from ...core.change.week import minutes_of
from ...core.instruments.registry import instruments
from ...core.measure.limits import OutOfLimits
from ...core.set.kit import in_bag
from ...store.tables import GolferRow, LessonRow, PracticePlanRow, SetUpCardRow
from ..desk.desk import Desk
from ..desk.problem import Closed
from ..desk.stored import Stored
from ..golfer.schools import schools_of
from ..set.bag import bag
from ..values import KeptGolfer, KeptPracticePlan, value_of, values_of
from .changes import chosen_now
from .drills import Known, Run, drills_known, progress_of, told_runs
from .following import chosen_first, following


def _half_was_two(told: dict[str, Any]) -> dict[str, Any]:
    """Once six minutes of ten went to the first two findings; now half goes to what the change is for."""
    unmet = [it | {"wish": "half"} if it["wish"] == "first_two" else it for it in told["unmet"]]
    return told | {"unmet": unmet}


_GIVEN: Final[Stored[Given]] = Stored(Given)
_PLAN: Final[Stored[Plan]] = Stored(Plan, [_half_was_two])
_MOST: Final = 3
_KEPT: Final = tuple(code for code, it in drills().items() if it.kept)
"""What practises a way that did better."""
_LATEST: Final = timedelta(days=366)
"""A plan begins within a year of its lesson."""


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

    def day(self, number: int) -> date:
        """The day a session is for, by the person's own calendar: the days of a week lie evenly over it."""
        it = self.plan.sessions[number - 1]
        apart = 7 * (it.day - 1) // len(self.given.minutes)
        return _day(self.kept.starts_at, self.given.zone) + timedelta(days=7 * (it.week - 1) + apart)

    @property
    def today(self) -> date:
        """Today, by the person's own calendar."""
        return _day(datetime.now(UTC), self.given.zone)


@dataclass(frozen=True, slots=True)
class PlanEntry:
    """What a coach asks for.

    minutes : of each day of a week; weeks : how many
    starts_at : the first day; zone : where days begin and end, a name of the tz database, empty for UTC
    no_green : there is only a floor or a mat at home
    """

    lesson_id: UUID
    minutes: tuple[float, ...]
    weeks: int
    starts_at: datetime
    made_at: datetime
    zone: str = ""
    no_green: bool = False


def _day(at: datetime, zone: str) -> date:
    return at.astimezone(ZoneInfo(zone or "UTC")).date()


def make_plan(desk: Desk, id: UUID, entry: PlanEntry) -> Practice:
    """Make a plan from a lesson's findings, its golfer and the bag, and keep it as it is. Said twice it is one."""
    with desk.transaction() as session:
        lesson = desk.get(session, LessonRow, entry.lesson_id, "lesson")
        if lesson.voided_at is not None:
            raise Closed("lesson_voided")
        golfer_id, began = lesson.golfer_id, lesson.started_at
    if entry.zone and entry.zone not in available_timezones():
        raise OutOfLimits("zone", "no_such_zone", named=entry.zone)
    if not _day(began, entry.zone) <= _day(entry.starts_at, entry.zone) <= _day(began + _LATEST, entry.zone):
        raise OutOfLimits("starts_at", "plan_starts", first=_day(began, entry.zone).isoformat())
    return _kept(desk, id, golfer_id, entry, Before())


def go_on(desk: Desk, id: UUID, from_: UUID, now: datetime) -> Practice:
    """A plan made anew from today for the weeks that are left of another, from what was done of it: what was missed is
    moved, never piled up."""
    before = practice(desk, from_)
    given = before.given
    gone = (before.today - _day(before.kept.starts_at, given.zone)).days // 7
    weeks = min(given.weeks - 1, max(0, gone))
    entry = PlanEntry(
        before.kept.lesson_id,
        given.minutes,
        given.weeks,
        now - timedelta(weeks=weeks),
        now,
        given.zone,
        given.no_green,
    )
    return _kept(desk, id, before.kept.golfer_id, entry, _done(before, weeks))


def _kept(desk: Desk, id: UUID, golfer_id: UUID, entry: PlanEntry, before: Before) -> Practice:
    """Made and kept as it is; what was kept before stays as it was then."""
    with desk.transaction() as session:
        golfer = value_of(KeptGolfer, desk.get(session, GolferRow, golfer_id, "golfer"))
        kept = session.get(PracticePlanRow, (desk.studio_id, id))
    if kept is None:
        given = _given(desk, entry, golfer, chosen_now(desk, golfer_id))
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


def drill_home(desk: Desk, lesson_id: UUID, golfer_id: UUID) -> str:
    """The code of the drill that practises a lesson's own change; empty where none was chosen, or nothing practises
    it here."""
    with desk.transaction() as session:
        lesson = desk.get(session, LessonRow, lesson_id, "lesson")
        golfer = value_of(KeptGolfer, desk.get(session, GolferRow, golfer_id, "golfer"))
        at = lesson.started_at
    chosen = chosen_now(desk, golfer_id, lesson_id=lesson_id)
    if not chosen:
        return ""
    found = drill_for(_given(desk, PlanEntry(lesson_id, (20.0,), 1, at, at), golfer, chosen))
    return found.code if found is not None else ""


def _given(desk: Desk, entry: PlanEntry, golfer: KeptGolfer, chosen: Sequence[Chosen]) -> Given:
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
        began = desk.get(session, LessonRow, entry.lesson_id, "lesson").started_at
    held = schools_of(desk, golfer)
    of = PROPOSALS.get(chosen[0].proposal) if chosen else None
    return Given(
        findings=_worked_on(desk, entry.lesson_id, chosen[0] if chosen else None),
        drills=_KEPT if chosen and chosen[0].way else of.drills if of is not None else (),
        same_day=_day(began, entry.zone) == _day(entry.starts_at, entry.zone),
        no_green=entry.no_green,
        zone=entry.zone,
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


def _worked_on(desk: Desk, lesson_id: UUID, chosen: Chosen | None) -> tuple[tuple[Serves, float], ...]:
    """What a plan works on, with its weight in putts of 100: what the change is for, then what else follows from the
    lesson; where nothing does, putting as on the course."""
    found: dict[Serves, float] = {}
    for it in chosen_first(following(desk, lesson_id).fitting, chosen):
        if TOPICS[it.follow.topic].drilled:
            found.setdefault(it.follow.topic, it.follow.weight)
    if chosen is not None and chosen.cause and chosen.cause not in found and TOPICS[chosen.cause].drilled:
        # What the change was chosen for is practised, whatever the lesson has read since.
        found = {chosen.cause: max(found.values(), default=1.0)} | found
    return tuple(found.items())[:_MOST] or (("transfer", 1.0),)


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
