"""The plans of a lesson: what is laid in it, which one is current, and the proof of each one's line."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import datetime
from typing import Final
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.instruments.aid import Raw
from ...core.instruments.gate import Gate
from ...core.instruments.ground_line import GroundLine
from ...core.instruments.registry import instruments
from ...core.measure.limits import OutOfLimits
from ...core.set.proof import NOT_PROVED, Evidence, Proof, Repeatability, Way, prove, repeatability
from ...core.set.station import Station
from ...core.set.tool_check import ToolZero
from ...store.tables import (
    AimSeriesRow,
    BlockRow,
    EyeTakeRow,
    FirstLookRow,
    LessonRow,
    ReadingRow,
    SightTestRow,
    StationRow,
)
from ..desk.desk import Desk
from ..desk.merge import merged
from ..desk.problem import Changed, Conflict, PlanChanged
from ..values import KeptStation, value_of, values_of
from .second_readings import reading_errors
from .stations import PROOF, StationEntry, entry_of, laid_values
from .tool_zeros import zero_here


@dataclass(frozen=True, slots=True)
class Plan:
    """A plan of a lesson.

    Attributes
    ----------
    station : as laid
    replaced : the plan it took the place of
    used : something was read on it: it stands as it was read with
    current : it is the lesson's plan now
    """

    station: KeptStation
    replaced: KeptStation | None
    used: bool
    current: bool


_LOOKED_BACK: Final = 20
"""So many plans back: what was laid longer ago is not in the bag as it was."""
_ON_A_PLAN: Final = (BlockRow, AimSeriesRow, SightTestRow, EyeTakeRow, FirstLookRow)
"""Whatever is read on a plan names it."""


def plan_now(desk: Desk, session: Session, lesson_id: UUID, station_id: UUID | None = None) -> KeptStation | None:
    """The plan of a lesson, or the named one of its plans; None before one is laid.

    Where none was ever picked it is the one laid last.
    """
    lesson = desk.get(session, LessonRow, lesson_id, "lesson")
    named = station_id or lesson.plan_id
    if named:
        row = desk.get(session, StationRow, named, "station")
        if row.lesson_id != lesson_id:
            raise Conflict("station_of_another")
        return value_of(KeptStation, row)
    last = session.scalar(
        select(StationRow)
        .where(StationRow.studio_id == desk.studio_id, StationRow.lesson_id == lesson_id)
        .order_by(StationRow.laid_at.desc(), StationRow.id.desc())
        .limit(1)
    )
    return None if last is None else value_of(KeptStation, last)


def plan_id_now(desk: Desk, session: Session, lesson_id: UUID, station_id: UUID | None = None) -> UUID | None:
    """The id of that plan."""
    plan = plan_now(desk, session, lesson_id, station_id)
    return plan.id if plan else None


def laid_now(desk: Desk, session: Session, lesson_id: UUID) -> KeptStation | None:
    """The line that lies there: the plan now, or while that is only planned the one whose place it takes.

    A plan is laid once something was read on it or its line is proved; one that takes nobody's place is laid as told.
    """
    plan = plan_now(desk, session, lesson_id)
    if plan is None or plan.replaces_id is None or entry_of(plan).station().proof.is_proved:
        return plan
    laid, used = plan, used_stations(desk, session, lesson_id)
    while laid is not None and laid.id not in used and not entry_of(laid).station().proof.is_proved:
        before = laid.replaces_id
        laid = value_of(KeptStation, desk.get(session, StationRow, before, "station")) if before else None
    return laid or plan


def laid_id_now(desk: Desk, session: Session, lesson_id: UUID, station_id: UUID | None = None) -> UUID | None:
    """The id of the line that lies there, or of the named plan."""
    named = plan_now(desk, session, lesson_id, station_id) if station_id else laid_now(desk, session, lesson_id)
    return named.id if named else None


@dataclass(frozen=True, slots=True)
class LaidIn:
    """The plans of a lesson, oldest first: which of them something was read on."""

    plans: tuple[KeptStation, ...]

    def read_on(self, station_id: UUID | None, at: datetime) -> KeptStation | None:
        """The plan kept with it, else the one laid last before. What was read before any was laid is of the first:
        which line it was nobody else can tell, and no later plan changes it."""
        if station_id:
            return next(it for it in self.plans if it.id == station_id)
        before = [it for it in self.plans if it.laid_at <= at]
        return before[-1] if before else self.plans[0] if self.plans else None


def laid_in(desk: Desk, session: Session, lesson_id: UUID) -> LaidIn:
    """The plans of a lesson."""
    rows = session.scalars(
        select(StationRow)
        .where(StationRow.studio_id == desk.studio_id, StationRow.lesson_id == lesson_id)
        .order_by(StationRow.laid_at, StationRow.id)
    )
    return LaidIn(tuple(values_of(KeptStation, rows)))


def used_stations(desk: Desk, session: Session, lesson_id: UUID) -> set[UUID]:
    """The plans of a lesson on which something was read: they stand as they were read with."""
    found: set[UUID] = set()
    for table in _ON_A_PLAN:
        query = select(table.station_id).where(table.studio_id == desk.studio_id, table.lesson_id == lesson_id)
        found |= {it for it in session.scalars(query.distinct()) if it}
    return found


def plans_of(desk: Desk, session: Session, lesson_id: UUID) -> list[Plan]:
    """The plans of a lesson, oldest first."""
    kept = {it.id: it for it in laid_in(desk, session, lesson_id).plans}
    used, now = used_stations(desk, session, lesson_id), plan_id_now(desk, session, lesson_id)
    return [
        Plan(it, kept.get(it.replaces_id) if it.replaces_id else None, used=id in used, current=id == now)
        for id, it in kept.items()
    ]


def plans_in(desk: Desk, lesson_id: UUID) -> list[Plan]:
    """The same, for whoever has no transaction of his own."""
    with desk.transaction() as session:
        desk.get(session, LessonRow, lesson_id, "lesson")
        return plans_of(desk, session, lesson_id)


def laid_last(desk: Desk, lesson_id: UUID) -> dict[str, dict[str, float]]:
    """Sizes of each instrument as they were laid last: in this lesson, else with this golfer before.

    Where a rig lies hangs on the putt, so that of another lesson it is left out.
    """
    with desk.transaction() as session:
        lesson = desk.get(session, LessonRow, lesson_id, "lesson")
        here = StationRow.lesson_id == lesson_id
        rows = session.scalars(
            select(StationRow)
            .join(LessonRow, (LessonRow.studio_id == StationRow.studio_id) & (LessonRow.id == StationRow.lesson_id))
            .where(StationRow.studio_id == desk.studio_id, LessonRow.golfer_id == lesson.golfer_id)
            .where(LessonRow.voided_at.is_(None))
            .order_by(here.desc(), StationRow.laid_at.desc(), StationRow.id.desc())
            .limit(_LOOKED_BACK)
        )
        found: dict[str, dict[str, float]] = {}
        for row in rows:
            entry = entry_of(row)
            for kind, sizes in ((entry.rig_kind, entry.rig_sizes_m), *((it.kind, it.sizes) for it in entry.aids)):
                carried = dict(sizes) if row.lesson_id == lesson_id else _anywhere(sizes)
                if carried:
                    found.setdefault(kind, carried)
        return found


def _anywhere(sizes: Mapping[str, float]) -> dict[str, float]:
    return {name: it for name, it in sizes.items() if name != "distance_m"}


def plan(desk: Desk, id: UUID) -> Plan:
    """One plan."""
    with desk.transaction() as session:
        lesson_id = desk.get(session, StationRow, id, "station").lesson_id
        return next(it for it in plans_of(desk, session, lesson_id) if it.station.id == id)


def proof_of(desk: Desk, id: UUID | None) -> Proof:
    """How the line of a kept plan is proved."""
    if id is None:
        return NOT_PROVED
    with desk.transaction() as session:
        row = session.get(StationRow, (desk.studio_id, id))
        return NOT_PROVED if row is None else PROOF.read(row.proof)


@dataclass(frozen=True, slots=True)
class Laying:
    """Where and when a plan is laid, and in whose place; `current`: it is the lesson's plan from now on."""

    lesson_id: UUID
    laid_at: datetime
    replaces_id: UUID | None = None
    current: bool = True


@dataclass(frozen=True, slots=True)
class RigCheck:
    """A rig read again and again with nothing changing, or against a known angle, degrees; no readings drop it."""

    raws: Sequence[Raw]
    known_deg: float = 0.0


def keep_station(
    desk: Desk, id: UUID, entry: StationEntry, laying: Laying, seen: Sequence[StationEntry] = ()
) -> KeptStation:
    """Keep a plan of a lesson, or take over the changed one; once something was read on it, it stands as it was.

    `seen`: as it was when the editing began, and as it was told since without an answer; what others changed of it
    meanwhile stands, and `PlanChanged` where both changed the same.

    Its proof is kept by `prove_station` alone: a new plan takes over that of the one it replaces, which holds as far as
    its line is the same.
    """
    lesson_id, replaces_id = laying.lesson_id, laying.replaces_id
    told = laid_values(entry)
    del told["proof"]
    with desk.transaction() as session:
        lesson = desk.get(session, LessonRow, lesson_id, "lesson", lock=True)
        proof = PROOF.keep(NOT_PROVED)
        if replaces_id is not None:
            replaced = desk.get(session, StationRow, replaces_id, "station")
            if replaced.lesson_id != lesson_id:
                raise Conflict("station_of_another")
            proof = replaced.proof
        more = {"lesson_id": lesson_id, "laid_at": laying.laid_at, "proof": proof, "replaces_id": replaces_id}
        row, new = desk.add(session, StationRow, id, **more, **told)
        if row.lesson_id != lesson_id:
            raise Conflict("station_used")
        changed = {} if new else _changes(row, told, seen)
        if changed:
            if id in used_stations(desk, session, lesson_id):
                raise Conflict("station_used")
            for name, said in changed.items():
                setattr(row, name, said)
            # What two changed apart must go together.
            entry_of(value_of(KeptStation, row)).station()
        own, known = PROOF.read(row.proof), zero_here(desk, session, lesson_id, row.rig_kind)
        reader_m = _reader_m(desk, row.rig_kind, laying.laid_at)
        stands = own.tool_deg == known.right_deg and own.reader_m == reader_m
        if not stands and id not in used_stations(desk, session, lesson_id):
            tool = {"tool_deg": known.right_deg, "tool_doubt_deg": known.doubt_deg}
            row.proof = PROOF.keep(replace(own, **tool, reader_m=reader_m))
        if laying.current:
            lesson.plan_id = id
        return value_of(KeptStation, row)


def _reader_m(desk: Desk, kind: str, at: datetime) -> float:
    """How far a reading of such a rig is off across the line, as two readers found it."""
    it = instruments().get(kind)
    thing = "gate" if it and issubclass(it, Gate) else "laser" if it and issubclass(it, GroundLine) else None
    return reading_errors(desk, at).mm(thing) / 1000 if thing else 0.0


def _changes(row: StationRow, told: Mapping[str, object], seen: Sequence[StationEntry]) -> dict[str, object]:
    stands = {name: getattr(row, name) for name in told}
    try:
        kept = merged(stands, told, *(laid_values(it) for it in seen))
    except Changed as both:
        raise PlanChanged(both.fields) from None
    return {name: said for name, said in kept.items() if stands[name] != said}


def pick_plan(desk: Desk, lesson_id: UUID, station_id: UUID) -> KeptStation:
    """Make another of a lesson's plans its current one."""
    with desk.transaction() as session:
        lesson = desk.get(session, LessonRow, lesson_id, "lesson", lock=True)
        row = desk.get(session, StationRow, station_id, "station")
        if row.lesson_id != lesson_id:
            raise Conflict("station_of_another")
        lesson.plan_id = station_id
        return value_of(KeptStation, row)


def prove_station(
    desk: Desk, id: UUID, way: Way, evidence: Evidence, at: datetime, rig_check: RigCheck | None = None
) -> KeptStation:
    """Prove a line, correct its proof, or take it back ("none"): what was read on it is judged again.

    `rig_check` None leaves the check of its rig as it is.

    Raises
    ------
    OutOfLimits
        where what was measured proves nothing.
    """
    with desk.transaction() as session:
        row = desk.get(session, StationRow, id, "station", lock=True)
        entry = entry_of(row)
        station = entry.station()
        try:
            check = _check(station, rig_check)
            proof = prove(way, evidence, station.line, green_speed_ft=entry.green_speed_ft, check=check)
            own = PROOF.read(row.proof)
            tool = {"tool_deg": own.tool_deg, "tool_doubt_deg": own.tool_doubt_deg}
            proof = replace(proof, **tool, reader_m=own.reader_m)
        except OutOfLimits as fault:
            raise fault.at(f"proof.{fault.field}") from None
        _give(desk, session, row, proof, at)
        return value_of(KeptStation, row)


def zero_of_rig(desk: Desk, session: Session, row: StationRow, zero: ToolZero, at: datetime) -> None:
    """Give a plan the own error of the instrument that watches it: what was read on it is judged again."""
    proof = replace(PROOF.read(row.proof), tool_deg=zero.right_deg, tool_doubt_deg=zero.doubt_deg)
    _give(desk, session, row, proof, at)


def _give(desk: Desk, session: Session, row: StationRow, proof: Proof, at: datetime) -> None:
    row.proof = PROOF.keep(proof)
    blocks = session.scalars(
        select(BlockRow).where(BlockRow.studio_id == desk.studio_id, BlockRow.station_id == row.id).with_for_update()
    )
    for block in blocks:
        _judge_again(desk, session, block, proof, at)


def _check(station: Station, it: RigCheck | None) -> Repeatability | None:
    before = station.proof
    if it is None:
        return Repeatability(before.zero_deg, before.noise_deg, before.checks) if before.checks else None
    return repeatability([station.rig.interval(raw).anchor for raw in it.raws], it.known_deg) if it.raws else None


def _judge_again(desk: Desk, session: Session, block: BlockRow, proof: Proof, at: datetime) -> None:
    """Give a block another proof: its raw readings stay, what they stand for is worked out anew."""
    kept = PROOF.keep(proof)
    if block.proof != kept:
        block.proof = kept
        read_anew(desk, session, block, at)


def read_anew(desk: Desk, session: Session, block: BlockRow, at: datetime) -> None:
    """What the raw readings of a block stand for, by what lies there now; the raw stays."""
    station = entry_of(block).station()
    readings = session.scalars(
        select(ReadingRow).where(ReadingRow.studio_id == desk.studio_id, ReadingRow.block_id == block.id)
    ).all()
    for it in readings:
        interval = station.interval(it.raw)
        it.low_deg, it.high_deg = interval.low_or_none, interval.high_or_none
    if readings:
        block.judged_again_at = at
