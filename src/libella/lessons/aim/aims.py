"""Aim at address: series of set-downs, begun, read, judged, added up."""

import math
from collections.abc import Mapping, Sequence
from dataclasses import asdict, dataclass, field
from datetime import datetime
from typing import Final
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.aim.links import (
    PLANNED,
    AimFound,
    AimSum,
    Cue,
    Link,
    Moved,
    aim_found,
    aim_sum,
    by_degrees,
    natural_and_aided,
)
from ...core.certainty.estimate import Estimate
from ...core.green.putt import USUAL_PAST_M, Putt
from ...core.green.usual import usual_mix
from ...core.instruments import lay
from ...core.instruments.aid import Raw
from ...core.judge.ledger.factors import levels_of
from ...core.measure.flag import checked_flags, weight_of
from ...core.measure.interval import Interval
from ...core.measure.limits import OutOfLimits
from ...core.measure.window import Window
from ...core.set.proof import NOT_PROVED
from ...core.set.station import Station
from ...core.set.tool_check import UNCHECKED
from ...store.tables import AimSeriesRow, LessonRow, SetDownRow
from ..desk.desk import Desk
from ..desk.problem import Closed, NotYet
from ..golfer.golfers import usual_of
from ..golfer.schools import schools_of
from ..lesson.lessons import golfer_in, open_lesson
from ..lesson.set_up_name import AS_USUAL
from ..set.plans import laid_id_now, laid_in, laid_now, plan_now
from ..set.stations import entry_of
from ..set.tool_zeros import checked_here
from ..values import KeptAimSeries, KeptLesson, KeptSetDown, KeptStation, value_of, values_of

MOST = 80
USUAL_CUE: Final[Cue] = "line"
"""What a series is begun with where nobody says otherwise."""
FEWEST = 3
"""Set-downs before a link counts in a sum or beside the picture."""


@dataclass(frozen=True, slots=True)
class AimEntry:
    """What a coach sets before a series. `kind` is the instrument the face is read with; None reads an angle."""

    lesson_id: UUID
    link: Link
    cue: Cue
    aided: bool
    planned: int
    started_at: datetime
    kind: str | None = None
    sizes: Mapping[str, float] = field(default_factory=dict[str, float])
    set_up: str = AS_USUAL
    station_id: UUID | None = None
    factors: Mapping[str, str] = field(default_factory=dict[str, str])

    def __post_init__(self) -> None:
        PLANNED.check("planned", "set_downs", self.planned)
        levels_of(self.factors)
        if self.kind is None:
            return
        if self.link != "face" or lay(self.kind, self.sizes).about.measures != "face":
            raise OutOfLimits("kind", "reads_no_face")


@dataclass(frozen=True, slots=True)
class AimSheet:
    """A series as it stands, oldest set-down first."""

    series: KeptAimSeries
    set_downs: Sequence[KeptSetDown]
    found: AimFound
    reads: tuple[Interval, ...]
    """What counts of them, degrees, the tool's own error put right."""
    window: Window
    shared_deg: float
    """What is not known of the line and of the tool, one standard deviation."""
    line_deg: float
    """The line's part of that; 0 where none counts."""

    @property
    def bias(self) -> Estimate | None:
        """Its bias, once it rests on enough."""
        it = self.found
        return it.summary.bias if it.summary and it.set_downs >= FEWEST else None


@dataclass(frozen=True, slots=True)
class AimTable:
    """The series of a lesson, oldest first; the links added up, and what an aid in view changes."""

    sheets: Sequence[AimSheet]
    sum: AimSum
    aid: Moved | None
    tools: Mapping[str, Mapping[str, float]]
    """Sizes of what reads the face, by kind: as laid here, else as read with last; the likeliest first."""


def begin_series(desk: Desk, id: UUID, entry: AimEntry) -> KeptAimSeries:
    """Begin a series. Said twice it is one; said otherwise, a conflict."""
    with desk.transaction() as session:
        return value_of(KeptAimSeries, add_series(desk, session, id, entry))


def add_series(
    desk: Desk,
    session: Session,
    id: UUID,
    entry: AimEntry,
    *,
    comparison_id: UUID | None = None,
    turn: int | None = None,
) -> AimSeriesRow:
    """A series within a transaction: alone, or as one of a comparison's."""
    factors = dict(levels_of(entry.factors))
    values = asdict(entry) | {"sizes": _whole(entry), "factors": factors, "comparison_id": comparison_id, "turn": turn}
    values.pop("station_id")
    lesson = open_lesson(desk, session, entry.lesson_id, entry.started_at)
    if entry.kind is not None and lay(entry.kind, entry.sizes).about.laser and lesson.laser_read_at is None:
        raise NotYet("laser_unread_aim")
    station_id = laid_id_now(desk, session, entry.lesson_id, entry.station_id)
    return desk.keep(session, AimSeriesRow, id, "series", values, station_id=station_id)


def keep_set_down(desk: Desk, id: UUID, series_id: UUID, raw: Raw, taken_at: datetime) -> KeptSetDown:
    """Keep one set-down; the same one said again changes nothing."""
    with desk.transaction() as session:
        row = value_of(KeptAimSeries, desk.get(session, AimSeriesRow, series_id, "series", lock=True))
        _read(row, raw, new=True)

        def goes_on() -> None:
            open_lesson(desk, session, row.lesson_id, taken_at)
            if sum(not it.voided for it in _set_downs(desk, session, [series_id])) >= MOST:
                raise Closed("series_full", most=MOST)

        told = {"aim_series_id": series_id, "raw": dict(raw), "taken_at": taken_at}
        return value_of(KeptSetDown, desk.keep(session, SetDownRow, id, "set_down", told, checked=goes_on))


def void_set_down(desk: Desk, id: UUID, voided: bool) -> KeptSetDown:
    """Void a set-down, or restore it."""
    return desk.void(KeptSetDown, SetDownRow, id, "set_down", voided)


def flag_set_down(desk: Desk, id: UUID, flags: Sequence[str]) -> KeptSetDown:
    """Say what lowers the weight of a set-down, in place of what was said before."""
    return desk.flag(KeptSetDown, SetDownRow, id, "set_down", checked_flags(flags, "set_down"))


def lesson_of_series(desk: Desk, id: UUID) -> UUID:
    """The lesson a series belongs to."""
    with desk.transaction() as session:
        return desk.get(session, AimSeriesRow, id, "series").lesson_id


def aim_table(desk: Desk, lesson_id: UUID) -> AimTable:
    """The aim of a lesson."""
    with desk.transaction() as session:
        lesson = value_of(KeptLesson, desk.get(session, LessonRow, lesson_id, "lesson"))
        sheets = _sheets(desk, session, lesson)
        putt, _ = _laid(lesson, laid_now(desk, session, lesson.id))
        tools = _tools(desk, session, lesson, sheets)
    natural = _newest(sheets, "face", aided=False)
    return AimTable(
        sheets=sheets,
        sum=aim_sum(_newest(sheets, "mark"), _newest(sheets, "to_mark"), natural, putt),
        aid=natural_and_aided(natural, _newest(sheets, "face", aided=True), putt),
        tools=tools,
    )


def natural_aim(desk: Desk, golfer_id: UUID) -> Estimate | None:
    """The golfer's newest face aim at address with no aid in view, degrees."""
    query = (
        select(LessonRow)
        .join(AimSeriesRow, (LessonRow.studio_id == AimSeriesRow.studio_id) & (LessonRow.id == AimSeriesRow.lesson_id))
        .where(LessonRow.studio_id == desk.studio_id, LessonRow.golfer_id == golfer_id, LessonRow.voided_at.is_(None))
        .where(AimSeriesRow.link == "face", AimSeriesRow.aided.is_(False))
        .order_by(AimSeriesRow.started_at.desc())
        .limit(3)
    )
    with desk.transaction() as session:
        for lesson in values_of(KeptLesson, session.scalars(query)):
            if found := _newest(_sheets(desk, session, lesson), "face", aided=False):
                return found
    return None


def aim_told(desk: Desk, lesson_id: UUID) -> tuple[AimFound | None, Sequence[Cue]]:
    """The series that tells the aim of a lesson in one line: the newest of the face with no aid in view, else the
    newest. And the cues that were tried beside the usual one, by first use: the next block may be putted under them."""
    sheets = aim_table(desk, lesson_id).sheets
    faces = [it for it in sheets if it.series.link == "face" and not it.series.aided] or sheets
    cues: dict[Cue, None] = dict.fromkeys(it.series.cue for it in sheets)
    cues.pop(USUAL_CUE, None)
    return (faces[-1].found if faces else None), list(cues)


def _newest(sheets: Sequence[AimSheet], link: Link, *, aided: bool | None = None) -> Estimate | None:
    biases = [it.bias for it in sheets if it.series.link == link and aided in (None, it.series.aided)]
    return next((it for it in reversed(biases) if it), None)


def _sheets(desk: Desk, session: Session, lesson: KeptLesson) -> list[AimSheet]:
    golfer = golfer_in(desk, session, lesson)
    mix = usual_mix(Putt(2.0, USUAL_PAST_M(), lesson.green_speed_ft), usual_of(golfer, schools_of(desk, golfer)))
    sets = session.scalars(
        select(AimSeriesRow)
        .where(AimSeriesRow.studio_id == desk.studio_id, AimSeriesRow.lesson_id == lesson.id)
        .order_by(AimSeriesRow.started_at, AimSeriesRow.id)
    )
    kept = values_of(KeptAimSeries, sets)
    downs = _set_downs(desk, session, [it.id for it in kept])
    laid_here = laid_in(desk, session, lesson.id)
    zeros = {it.kept.kind: it.zero for it in checked_here(desk, session, lesson.id)}
    found: list[AimSheet] = []
    for row in kept:
        own = [it for it in downs if it.aim_series_id == row.id]
        putt, laid = _laid(lesson, laid_here.read_on(row.station_id, row.started_at))
        proof = laid.proof if laid else NOT_PROVED
        # Of a line that was never laid nothing is known but that somebody drew it by eye.
        shared = proof.line_deg(laid.rig.station_m if laid else 1.0)
        zero = zeros.get(row.kind or "", UNCHECKED)
        # The putter against the mark needs no line: neither what was found of it nor what is not known counts there.
        against_line = row.link != "to_mark"
        off = proof.line_off_deg(laid.rig.station_m) if laid and against_line else 0.0
        reads = tuple(
            _read(row, it.raw).shifted(zero.right_deg + off).weighing(weight_of(it.flags))
            for it in own
            if not it.voided
        )
        line = shared if against_line else 0.0
        shared = math.hypot(line, zero.doubt_deg)
        judged = aim_found(
            reads,
            row.link,
            putt,
            golfer.hand,
            planned=row.planned,
            proved=proof.proves_line or not against_line,
            mix=mix,
            shared_deg=shared,
        )
        found.append(AimSheet(row, own, judged, reads, putt.window, shared, line))
    return found


def _tools(
    desk: Desk, session: Session, lesson: KeptLesson, sheets: Sequence[AimSheet]
) -> dict[str, Mapping[str, float]]:
    plan = plan_now(desk, session, lesson.id)
    found = {it.kind: it.sizes for it in entry_of(plan).aids if _reads_face(it.kind)} if plan else {}
    for it in reversed(sheets):
        if it.series.kind:
            found.setdefault(it.series.kind, it.series.sizes)
    earlier = (
        select(AimSeriesRow)
        .join(LessonRow, (LessonRow.studio_id == AimSeriesRow.studio_id) & (LessonRow.id == AimSeriesRow.lesson_id))
        .where(AimSeriesRow.studio_id == desk.studio_id, LessonRow.golfer_id == lesson.golfer_id)
        .where(AimSeriesRow.kind.is_not(None))
        .order_by(AimSeriesRow.started_at.desc())
        .limit(20)
    )
    for row in session.scalars(earlier):
        found.setdefault(row.kind or "", row.sizes)
    return found


def _reads_face(kind: str) -> bool:
    return lay(kind, {}).about.measures == "face"


def _whole(entry: AimEntry) -> dict[str, float]:
    """Every size the face is read with, so that a default changed later does not change what was read."""
    return {} if entry.kind is None else dict(lay(entry.kind, entry.sizes).sizes())


def _laid(lesson: KeptLesson, row: KeptStation | None) -> tuple[Putt, Station | None]:
    """The putt of a plan with its station; a usual putt before anything was laid."""
    laid = entry_of(row).station() if row else None
    return (laid.putt if laid else Putt(2.5, USUAL_PAST_M(), lesson.green_speed_ft)), laid


def _set_downs(desk: Desk, session: Session, series_ids: Sequence[UUID]) -> Sequence[KeptSetDown]:
    query = select(SetDownRow).where(SetDownRow.studio_id == desk.studio_id, SetDownRow.aim_series_id.in_(series_ids))
    return values_of(KeptSetDown, session.scalars(query.order_by(SetDownRow.taken_at, SetDownRow.id)))


def _read(row: KeptAimSeries, raw: Raw, *, new: bool = False) -> Interval:
    if row.kind is not None:
        aid = lay(row.kind, row.sizes)
        return aid.kept(raw) if new else aid.interval(raw)
    angle, seen = raw.get("angle_deg"), raw.get("seen_deg")
    if set(raw) != {"angle_deg", "seen_deg"} or not isinstance(angle, float | int) or not isinstance(seen, float | int):
        raise OutOfLimits("raw", "link_takes_angle", "deg")
    return by_degrees(angle, seen)
