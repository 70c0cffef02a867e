"""Set-ups: noted, set beside the one before, taken again after stepping away."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.drawing.scene import Scene
from ...core.measure.limits import OutOfLimits
from ...core.measure.units import Units
from ...core.stand.drawn import set_up_above, set_up_behind
from ...core.stand.set_up import ENTRIES, Noted, SetUp, Wander, beside, checked, wander
from ...store.tables import LessonRow, SetUpRow, StudioRow
from ..desk.desk import Desk
from ..desk.problem import Conflict, KeptOtherwise
from ..lesson.lessons import golfer_in, open_lesson
from ..values import KeptGolfer, KeptLesson, KeptSetUp, value_of, values_of

USUALLY_WANTED = ("ball_breast_m", "ball_toes_m", "stance_m", "shoulders_deg", "feet_deg", "handle_m", "eye_height_m")


@dataclass(frozen=True, slots=True)
class StandSheet:
    """The set-up of a lesson: the newest beside the one before, how far it wanders, and both drawings.

    `before_at` is when the one before was noted: in this lesson, or the golfer's newest in an earlier one.
    """

    wanted: Sequence[str]
    taken: Sequence[KeptSetUp]
    now: KeptSetUp | None
    before: KeptSetUp | None
    noted: tuple[Noted, ...]
    wander: tuple[Wander, ...]
    times: int
    above: Scene
    behind: Scene


@dataclass(frozen=True, slots=True)
class SetUpEntry:
    """A set-up as noted, and when. `name`: what it is called in this lesson, empty as usual; `again_of`: the first of a
    run of the same set-up, taken again after stepping away."""

    lesson_id: UUID
    values: SetUp
    taken_at: datetime
    name: str = ""
    again_of: UUID | None = None

    def __post_init__(self) -> None:
        checked(self.values)


def keep_set_up(desk: Desk, id: UUID, entry: SetUpEntry) -> KeptSetUp:
    """Keep a set-up; said again with other values or another name it takes them over (it is one entry, being filled
    in)."""
    lesson_id, again_of = entry.lesson_id, entry.again_of
    with desk.transaction() as session:
        open_lesson(desk, session, lesson_id, entry.taken_at)
        if again_of is not None and desk.get(session, SetUpRow, again_of, "set_up").lesson_id != lesson_id:
            raise Conflict("set_up_of_another")
        told = {"values": dict(entry.values), "name": entry.name.strip()}
        row, new = desk.add(
            session, SetUpRow, id, lesson_id=lesson_id, taken_at=entry.taken_at, again_of=again_of, **told
        )
        if not new:
            if (row.lesson_id, row.again_of) != (lesson_id, again_of):
                raise KeptOtherwise("set_up")
            row.values, row.name = dict(entry.values), entry.name.strip()
        return value_of(KeptSetUp, row)


def void_set_up(desk: Desk, id: UUID, voided: bool) -> KeptSetUp:
    """Void a set-up, or restore it."""
    return desk.void(KeptSetUp, SetUpRow, id, "set_up", voided)


def want_noted(desk: Desk, names: Sequence[str]) -> Sequence[str]:
    """Choose what is asked of a set-up, for every golfer; in the order in which it is asked."""
    for name in names:
        if name not in ENTRIES:
            raise OutOfLimits("names", "no_entry", named=name, known=tuple(ENTRIES))
    ordered = [it for it in ENTRIES if it in names]
    with desk.transaction() as session:
        session.get_one(StudioRow, desk.studio_id).set_up_wanted = ordered
    return ordered


@dataclass(frozen=True, slots=True)
class _Stands:
    """What a lesson's set-up is told from; `run` are the times its newest one was taken."""

    golfer: KeptGolfer
    wanted: Sequence[str] | None
    taken: Sequence[KeptSetUp]
    now: KeptSetUp | None
    before: KeptSetUp | None
    run: Sequence[KeptSetUp]

    @property
    def noted(self) -> tuple[Noted, ...]:
        return beside(self.now.values if self.now else {}, self.before.values if self.before else None)

    @property
    def wander(self) -> tuple[Wander, ...]:
        return wander([it.values for it in self.run])


def _stands(desk: Desk, lesson_id: UUID) -> _Stands:
    with desk.transaction() as session:
        lesson = value_of(KeptLesson, desk.get(session, LessonRow, lesson_id, "lesson"))
        golfer = golfer_in(desk, session, lesson)
        wanted = session.get_one(StudioRow, desk.studio_id).set_up_wanted
        taken = _taken(desk, session, lesson_id)
        firsts = _firsts(taken)
        before = firsts[-2] if len(firsts) > 1 else _earlier(desk, session, lesson)
    now = firsts[-1] if firsts else None
    run = [it for it in taken if not it.voided and now is not None and now.id in (it.id, it.again_of)]
    return _Stands(golfer, wanted, taken, now, before, run)


def stand_sheet(desk: Desk, lesson_id: UUID, units: Units, *, eyes_inside_m: float | None = None) -> StandSheet:
    """The set-up of a lesson, drawn with the eyes where they were seen to be."""
    it = _stands(desk, lesson_id)
    values: SetUp = it.now.values if it.now else {}
    old = it.before.values if it.before else None
    hand = it.golfer.hand
    return StandSheet(
        wanted=USUALLY_WANTED if it.wanted is None else it.wanted,
        taken=it.taken,
        now=it.now,
        before=it.before,
        noted=it.noted,
        wander=it.wander,
        times=len(it.run),
        above=set_up_above(values, old, hand, units),
        behind=set_up_behind(values, old, eyes_inside_m, hand, units),
    )


@dataclass(frozen=True, slots=True)
class StandTold:
    """What a set-up says in one line: what was noted, what wanders, whether another was noted before."""

    noted: tuple[Noted, ...]
    wander: tuple[Wander, ...]
    again: bool


def stand_told(desk: Desk, lesson_id: UUID) -> StandTold:
    """For the run sheet, which is asked for often: nothing is drawn for it."""
    it = _stands(desk, lesson_id)
    return StandTold(it.noted, it.wander, it.before is not None)


def newest_values(desk: Desk, lesson_id: UUID, name: str | None = None) -> SetUp:
    """What the lesson's newest set-up says, or the newest called so; where none is called so, the newest as usual.
    Empty without one."""
    with desk.transaction() as session:
        firsts = _firsts(_taken(desk, session, lesson_id))
    called = firsts if name is None else [it for it in firsts if it.name == name]
    found = called or [it for it in firsts if not it.name]
    return found[-1].values if found else {}


def newest_run(desk: Desk, lesson_id: UUID) -> Sequence[KeptSetUp]:
    """The times the lesson's newest set-up was taken; empty without one."""
    return _stands(desk, lesson_id).run


def _firsts(taken: Sequence[KeptSetUp]) -> list[KeptSetUp]:
    return [it for it in taken if not it.voided and it.again_of is None]


def _taken(desk: Desk, session: Session, lesson_id: UUID) -> Sequence[KeptSetUp]:
    query = select(SetUpRow).where(SetUpRow.studio_id == desk.studio_id, SetUpRow.lesson_id == lesson_id)
    return values_of(KeptSetUp, session.scalars(query.order_by(SetUpRow.taken_at, SetUpRow.id)))


def _earlier(desk: Desk, session: Session, lesson: KeptLesson) -> KeptSetUp | None:
    """The golfer's newest set-up of an earlier lesson."""
    query = (
        select(SetUpRow)
        .join(LessonRow, (LessonRow.studio_id == SetUpRow.studio_id) & (LessonRow.id == SetUpRow.lesson_id))
        .where(
            SetUpRow.studio_id == desk.studio_id, LessonRow.golfer_id == lesson.golfer_id, LessonRow.voided_at.is_(None)
        )
        .where(LessonRow.started_at < lesson.started_at, SetUpRow.voided.is_(False), SetUpRow.again_of.is_(None))
        .order_by(SetUpRow.taken_at.desc(), SetUpRow.id.desc())
    )
    row = session.scalar(query.limit(1))
    return None if row is None else value_of(KeptSetUp, row)
