"""Whether what was taken in from elsewhere can be read: every page of a golfer is made of what is read here."""

from collections.abc import Callable, Iterator
from typing import Final
from uuid import UUID

from sqlalchemy import select, union

from ...core.measure.limits import OutOfLimits
from ...core.opinions.held import checked_numbers
from ...core.schools.held import checked_held
from ...store.tables import (
    AimSeriesRow,
    BlockRow,
    ComparisonRow,
    EyeTakeRow,
    FindingAnswerRow,
    FirstLookRow,
    LessonRow,
    QuickCheckRow,
    SensorRow,
    SetUpRow,
    SightTestRow,
    StationRow,
    StrokeRow,
    ToolCheckRow,
)
from ..change.changes import changes_held
from ..change.drills import drills_known, runs_of
from ..change.practice import practice_now
from ..desk import opinions
from ..desk.desk import Desk
from ..golfer.golfers import golfer, usual_of
from ..golfer.kits import kits_of
from ..golfer.rounds import rounds_of
from ..golfer.schools import coach_schools, schools_of
from ..judge.account import account_in, over_lessons
from ..judge.bands import band_for, bands_now
from ..judge.comparisons import comparisons_of
from ..judge.findings import answers_of, told_then
from ..judge.line_joins import joins_of
from ..lesson.complaints import complaint_of
from ..lesson.lessons import LessonSheet, every_lesson_of, in_lesson
from ..set.bag import bag, checked_bag, checked_spreads, spreads
from ..set.plans import plans_in
from ..set.second_readings import second_readings
from ..set.stations import entry_of, find_saved
from ..set.tool_zeros import checked_tools
from ..start.blocks import station_of
from ..start.pauses import pauses_of
from ..start.sensors import sensors_of
from ..values import KeptBlock, KeptStation, values_of
from ..values.set import Laid
from .cards import cards_of
from .quick_checks import checks_of

_UNREADABLE: Final = (ArithmeticError, AssertionError, AttributeError, LookupError, TypeError, ValueError)
_OF_STUDIO: Final[tuple[Callable[[Desk], object], ...]] = (pauses_of, bands_now, drills_known, second_readings)
_OF_GOLFER: Final[tuple[Callable[[Desk, UUID], object], ...]] = (
    kits_of, rounds_of, joins_of, cards_of, changes_held, practice_now,
)  # fmt: skip
_MORE: Final = (
    AimSeriesRow, ComparisonRow, EyeTakeRow, FindingAnswerRow, FirstLookRow, QuickCheckRow, SensorRow, SetUpRow,
    SightTestRow, StrokeRow, ToolCheckRow,
)  # fmt: skip
"""Tables of what is read in a lesson beside its putts."""
_OF_LESSON: Final[tuple[Callable[[Desk, UUID], object], ...]] = (
    comparisons_of, plans_in, checked_tools, checks_of, sensors_of,
)  # fmt: skip


def read_studio(desk: Desk) -> None:
    """Read what is the studio's own; `OutOfLimits` where it can't be."""
    try:
        checked_bag(bag(desk))
        checked_spreads(spreads(desk))
        checked_held(coach_schools(desk))
        for it in opinions.versions(desk):
            # One that is known no more counts for nothing; what is no number is no opinion.
            checked_numbers(it.numbers)
        for read in _OF_STUDIO:
            read(desk)
        for it in find_saved(desk):
            entry_of(it).station()
    except _UNREADABLE as why:
        raise OutOfLimits("archive", "archive_unreadable", whose="the studio itself") from why


def read_golfer(desk: Desk, id: UUID) -> Iterator[int]:
    """Read everything of a golfer as its pages do, lesson by lesson; gives how many readings each held.

    Raises
    ------
    OutOfLimits
        where something of it can't be read: a size out of its limits, a reading that its instrument can't give.
    """
    try:
        yield from _read(desk, id)
    except _UNREADABLE as why:
        raise OutOfLimits("archive", "archive_unreadable", whose=_name(desk, id)) from why


def _name(desk: Desk, id: UUID) -> str:
    return golfer(desk, id).name[:80]


def _read(desk: Desk, id: UUID) -> Iterator[int]:
    who = golfer(desk, id)
    schools = schools_of(desk, who)
    checked_held(schools.golfer)
    usual_of(who, schools)
    runs_of(desk, id, drills_known(desk))
    for read in _OF_GOLFER:
        read(desk, id)
    for laid in _laid(desk, id):
        entry_of(laid).station()
    lessons = every_lesson_of(desk, id)
    over_lessons(desk, who, [it for it, _ in lessons], band_for(desk, who.level, schools).spread_deg["start"])
    more = _with_more(desk, id)
    for lesson, blocks in lessons:
        complaint_of(lesson.complaint)
        for it in blocks:
            station = station_of(it.block)
            for reading in it.readings:
                station.interval(reading.raw)
        if lesson.id in more:
            _read_more(desk, LessonSheet(lesson, in_lesson(who, lesson), blocks))
        yield sum(len(it.readings) for it in blocks)


def _read_more(desk: Desk, whole: LessonSheet) -> None:
    """What else was read in a lesson, and said of it."""
    account_in(desk, whole, earlier=False)
    for read in _OF_LESSON:
        read(desk, whole.lesson.id)
    for it in answers_of(desk, whole.lesson.id):
        told_then(it)


def _with_more(desk: Desk, golfer_id: UUID) -> set[UUID]:
    """Lessons that hold more than stations and putts: most of ten years hold nothing else."""
    lessons = select(LessonRow.id).where(LessonRow.studio_id == desk.studio_id, LessonRow.golfer_id == golfer_id)
    held = [select(it.lesson_id).where(it.studio_id == desk.studio_id, it.lesson_id.in_(lessons)) for it in _MORE]
    with desk.transaction() as session:
        return set(session.scalars(union(*held)))


def _laid(desk: Desk, golfer_id: UUID) -> list[Laid]:
    """Whatever was laid for a golfer, plans that were given up and voided lessons included."""
    lessons = select(LessonRow.id).where(LessonRow.studio_id == desk.studio_id, LessonRow.golfer_id == golfer_id)
    with desk.transaction() as session:
        stations = select(StationRow).where(StationRow.studio_id == desk.studio_id, StationRow.lesson_id.in_(lessons))
        blocks = select(BlockRow).where(BlockRow.studio_id == desk.studio_id, BlockRow.lesson_id.in_(lessons))
        return [*values_of(KeptStation, session.scalars(stations)), *values_of(KeptBlock, session.scalars(blocks))]
