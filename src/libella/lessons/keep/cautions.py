"""What is laid, read and planned of a lesson or a golfer, as cautions ask it."""

from dataclasses import replace
from datetime import UTC, datetime, timedelta
from uuid import UUID

from sqlalchemy import exists, select

from ...core.golfer.limits import Limit
from ...core.keep.caution import At, Case, laid, of_kinds
from ...store.tables import LessonRow
from ..change.drills import drills_known
from ..desk.desk import Desk
from ..golfer.golfers import golfer
from ..lesson.complaints import complaint_of
from ..lesson.lessons import golfer_in
from ..people.consents import consent_of
from ..set.plans import plan_now
from ..set.stations import entry_of
from ..start.pauses import pause_sheet
from ..values import KeptGolfer, KeptLesson, value_of


def of_lesson(desk: Desk, id: UUID, at: At, now: datetime | None = None) -> Case:
    """The case of a lesson as it stands."""
    with desk.transaction() as session:
        lesson = value_of(KeptLesson, desk.get(session, LessonRow, id, "lesson"))
        who = golfer_in(desk, session, lesson)
        row = plan_now(desk, session, id)
    complaint = complaint_of(lesson.complaint)
    case = laid(entry_of(row).station(), at=at) if row else Case(at)
    return replace(
        case,
        surface=lesson.surface,
        conditions=lesson.conditions,
        minutes=_stood_min(desk, lesson, now or datetime.now(UTC)),
        shared=_shared(desk, lesson),
        limits=_limits(who),
        sight=who.glasses == "varifocal" or (complaint is not None and complaint.felt == "sight"),
        minor=consent_of(desk, who.id).minor,
    )


def for_home(desk: Desk, id: UUID, drill: str, causes: frozenset[str]) -> Case:
    """The case of what a golfer takes home: what the drill lays is laid there, nothing of the lesson's own is."""
    known = drills_known(desk).get(drill)
    it = of_lesson(desk, id, "sheet")
    return Case(
        "sheet",
        aids=of_kinds(*known.drill.layout.aids) if known else (),
        limits=it.limits,
        sight=it.sight,
        causes=causes,
        drill=known.drill if known else None,
        minor=it.minor,
    )


def of_golfer(desk: Desk, id: UUID, at: At) -> Case:
    """The case of a golfer outside any lesson."""
    who = golfer(desk, id)
    minor = consent_of(desk, id).minor
    return Case(at, limits=_limits(who), sight=who.glasses == "varifocal", minor=minor)


def _limits(who: KeptGolfer) -> tuple[Limit, ...]:
    return tuple(who.limits)  # type: ignore[arg-type]


def _stood_min(desk: Desk, lesson: KeptLesson, now: datetime) -> float:
    """How long the feet have stood at one place, minutes."""
    sheet = pause_sheet(desk, lesson.id, now)
    if lesson.ended_at is not None or sheet.feet_due_at is None:
        return 0.0
    since = sheet.feet_due_at - timedelta(minutes=sheet.pauses.feet_min)
    return (now - since).total_seconds() / 60


def _shared(desk: Desk, lesson: KeptLesson) -> bool:
    """Whether another golfer was here before, on the same day."""
    morning = lesson.started_at.replace(hour=0, minute=0, second=0, microsecond=0)
    other = select(LessonRow.id).where(
        LessonRow.studio_id == desk.studio_id,
        LessonRow.golfer_id != lesson.golfer_id,
        LessonRow.voided_at.is_(None),
        LessonRow.started_at >= morning,
        LessonRow.started_at < lesson.started_at,
    )
    with desk.transaction() as session:
        return bool(session.scalar(select(exists(other))))
