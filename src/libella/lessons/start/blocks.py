"""Blocks and readings: a run of putts under one condition, recorded, voided, restored."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace
from datetime import datetime
from uuid import UUID

import uuid6
from sqlalchemy import func, select
from sqlalchemy.orm import Session

from ...core.judge.chain import K
from ...core.judge.disturbed import SCORE, checked_disturbances
from ...core.judge.ledger.factors import Factor, levels_of
from ...core.measure.flag import checked_flags, weight_of
from ...core.measure.interval import Interval
from ...core.measure.limits import Bounds, OutOfLimits
from ...core.see.misled import Looker
from ...core.set.station import Station
from ...core.start.ladder import Rung, rung
from ...core.start.notes import CONTACT, NOTES, Note, Notes, checked_asks, checked_notes, ends_before
from ...core.start.path import NO_PATH, PathModel
from ...core.start.watched import asks_contact, watched
from ...store.tables import BlockRow, GolferRow, LessonRow, ReadingMarkRow, ReadingRow, StationRow
from ..desk.desk import Desk
from ..desk.problem import Closed, Conflict, KeptOtherwise, NotYet
from ..lesson.lessons import BlockSheet, golfer_in, open_lesson, with_readings
from ..set.stations import entry_of, laid_values
from ..values import KeptBlock, KeptGolfer, KeptReading, value_of

PLANNED = Bounds(3, 200, "putts")


@dataclass(frozen=True, slots=True)
class BlockEntry:
    """What a coach sets before a block: where, under which condition, how many putts."""

    station_id: UUID
    condition: str
    guided: bool
    planned: int
    started_at: datetime
    asks: tuple[str, ...] = ()
    hole: bool = True
    path: PathModel = NO_PATH
    factors: Mapping[str, str] = field(default_factory=dict[str, str])
    """In what it is not as usual: see `core.judge.ledger.factors`."""
    drill: str = ""
    """The drill it is a run of, by its code; empty for none."""

    def __post_init__(self) -> None:
        PLANNED.check("planned", "planned", self.planned)
        levels_of(self.factors)

    def asked(self, station: Station) -> tuple[str, ...]:
        """What is noted of every putt there; `OutOfLimits` for what can't be."""
        more = notes_laid(station)
        asks = checked_asks(self.asks, more)
        for name, note in ((it, NOTES[it]) for it in asks if it in NOTES):
            if note.needs_hole and not self.hole:
                raise OutOfLimits("asks", "note_needs_hole", label=note.label)
            if note.needs_string and name not in more:
                raise OutOfLimits("asks", "note_needs_string", label=note.label)
        if not asks and not station.rig.reads_start:
            raise OutOfLimits("asks", "nothing_watched")
        if CONTACT not in asks and asks_contact(asks, station.rig, station.aids):
            return checked_asks((*asks, CONTACT), more)
        return asks


def begin_block(desk: Desk, id: UUID, entry: BlockEntry) -> KeptBlock:
    """Start a block on a station, with the rig as it stands. Said twice it is one block; said otherwise, a conflict."""
    with desk.transaction() as session:
        return add_block(desk, session, id, entry)


def add_block(
    desk: Desk,
    session: Session,
    id: UUID,
    entry: BlockEntry,
    *,
    comparison_id: UUID | None = None,
    turn: int | None = None,
) -> KeptBlock:
    """The same inside a transaction, as one condition of a comparison where one is named."""
    station = desk.get(session, StationRow, entry.station_id, "station")
    lesson = open_lesson(desk, session, station.lesson_id, entry.started_at)
    laid = entry_of(station).station()
    if laid.has_laser and lesson.laser_read_at is None:
        raise NotYet("laser_unread_block")
    told = {
        "station_id": station.id,
        "condition": entry.condition,
        "guided": entry.guided,
        "first_planned": entry.planned,
        "asks": list(entry.asked(laid)),
        "hole": entry.hole,
        "path_model": entry.path.name,
        "ball_ahead_m": entry.path.ball_ahead_m,
        "factors": dict(levels_of(entry.factors)),
        "drill": entry.drill,
    }
    row = desk.keep(
        session,
        BlockRow,
        id,
        "block",
        told,
        lesson_id=station.lesson_id,
        planned=entry.planned,
        started_at=entry.started_at,
        comparison_id=comparison_id,
        turn=turn,
        **laid_values(entry_of(station)),
    )
    return value_of(KeptBlock, row)


def begin_rung(desk: Desk, id: UUID, from_id: UUID, at: datetime) -> KeptBlock:
    """Lay the ladder's next rung and start a block on it; said again it is the same block."""
    sheet, _ = block_and_golfer(desk, from_id)
    block = sheet.block
    with desk.transaction() as session:
        kept = session.get(BlockRow, (desk.studio_id, id))
        if kept is not None:
            return value_of(KeptBlock, kept)
        it = rung_of(sheet)
        if it.step not in ("tighten", "widen"):
            raise Conflict("ladder_stays")
        laid = entry_of(block)
        laid = replace(laid, rig_sizes_m=dict(laid.rig_sizes_m) | {it.dimension: it.value_m})
        values = laid_values(laid) | {"lesson_id": block.lesson_id, "laid_at": at, "replaces_id": block.station_id}
        station, _ = desk.add(session, StationRow, uuid6.uuid7(), **values)
        desk.get(session, LessonRow, block.lesson_id, "lesson").plan_id = station.id
        return add_block(desk, session, id, entry_like(block, station.id, at))


def entry_like(block: KeptBlock, station_id: UUID, at: datetime) -> BlockEntry:
    """The same block again, on another station."""
    return BlockEntry(
        station_id, block.condition, block.guided, block.first_planned, at, tuple(block.asks), block.hole,
        path_of(block), block.factors,
    )  # fmt: skip


def say_how(desk: Desk, id: UUID, condition: str, factors: Mapping[str, str]) -> KeptBlock:
    """Say otherwise in what a block was not as usual, and what it is called."""
    with desk.transaction() as session:
        row = desk.get(session, BlockRow, id, "block", lock=True)
        row.condition, row.factors = condition, dict(levels_of(factors))
        return value_of(KeptBlock, row)


def sort_out(desk: Desk, golfer_id: UUID, name: str, factor: Factor | None) -> int:
    """Say what a name meant that was typed before factors were known: as usual (None), or one of the factors. Holds for
    all of the golfer's blocks; gives how many."""
    query = (
        select(BlockRow)
        .join(LessonRow, (LessonRow.studio_id == BlockRow.studio_id) & (LessonRow.id == BlockRow.lesson_id))
        .where(BlockRow.studio_id == desk.studio_id, LessonRow.golfer_id == golfer_id)
        .where(BlockRow.factors["unsorted"].astext == name)
    )
    with desk.transaction() as session:
        desk.get(session, GolferRow, golfer_id, "golfer")
        rows = session.scalars(query).all()
        for row in rows:
            told = {one: level for one, level in row.factors.items() if one != "unsorted"}
            row.factors = told if factor is None else dict(levels_of(told | {factor: name}))
        return len(rows)


def set_k(desk: Desk, id: UUID, k: float | None) -> KeptBlock:
    """Set the share of the face in the start, or let the putts tell it (None)."""
    if k is not None:
        K.check("k", "k", k)
    with desk.transaction() as session:
        row = desk.get(session, BlockRow, id, "block", lock=True)
        row.k = k
        return value_of(KeptBlock, row)


@dataclass(frozen=True, slots=True)
class Circumstances:
    """What lay on a whole block alike: what disturbed it, how it felt, 1 to 5 (None: not said), and who told sides
    against its string."""

    disturbances: tuple[str, ...] = ()
    comfort: int | None = None
    trust: int | None = None
    looker: Looker = ""

    def __post_init__(self) -> None:
        checked_disturbances(self.disturbances)
        for name, score in (("comfort", self.comfort), ("trust", self.trust)):
            if score is not None:
                SCORE.check(name, name, score)


def note_circumstances(desk: Desk, id: UUID, told: Circumstances) -> KeptBlock:
    """Note what lay on a whole block alike; said again it takes the place of what was said before."""
    with desk.transaction() as session:
        row = desk.get(session, BlockRow, id, "block", lock=True)
        row.disturbances = list(checked_disturbances(told.disturbances))
        row.comfort, row.trust, row.looker = told.comfort, told.trust, told.looker
        return value_of(KeptBlock, row)


def path_of(block: KeptBlock) -> PathModel:
    """The path as declared for a block."""
    return PathModel(block.path_model, block.ball_ahead_m)


def extend_block(desk: Desk, id: UUID, planned: int) -> KeptBlock:
    """Move a block's planned end further out; the verdict waits for the new end."""
    PLANNED.check("planned", "planned", planned)
    with desk.transaction() as session:
        row = desk.get(session, BlockRow, id, "block", lock=True)
        if planned < row.planned:
            raise Conflict("plan_cut_short", planned=row.planned)
        row.planned = planned
        return value_of(KeptBlock, row)


@dataclass(frozen=True, slots=True)
class Recorded:
    """A reading as kept, and whether this call added it."""

    reading: KeptReading
    new: bool
    lesson_id: UUID


def keep_reading(
    desk: Desk,
    id: UUID,
    block_id: UUID,
    raw: Mapping[str, float | str],
    taken_at: datetime,
    notes: Notes | None = None,
) -> Recorded:
    """Record one putt, with what else was noted of it.

    The same reading said again changes nothing; the same id with another body is a conflict.

    Raises
    ------
    OutOfLimits
        when the block's rig cannot give that reading.
    NotFound, Conflict
        when there is no such block here, or its lesson is voided or had ended, or the plan is full.
    """
    with desk.transaction() as session:
        block = desk.get(session, BlockRow, block_id, "block", lock=True)
        station = entry_of(block).station()
        interval = station.kept(raw)
        noted = dict(checked_notes(notes or {}, block.asks, notes_there(station)))
        kept = session.get(ReadingRow, (desk.studio_id, id))
        if kept is None:
            open_lesson(desk, session, block.lesson_id, taken_at)
            valid = session.scalar(
                select(func.count()).where(
                    ReadingRow.studio_id == desk.studio_id,
                    ReadingRow.block_id == block_id,
                    ReadingRow.voided.is_(False),
                )
            )
            if (valid or 0) >= block.planned:
                raise Closed("block_full", planned=block.planned)
            kept, new = desk.add(
                session,
                ReadingRow,
                id,
                block_id=block_id,
                raw=dict(raw),
                low_deg=interval.low_or_none,
                high_deg=interval.high_or_none,
                notes=noted,
                taken_at=taken_at,
            )
            if new:
                return Recorded(value_of(KeptReading, kept), True, block.lesson_id)
        if kept.block_id != block_id or kept.raw != dict(raw) or kept.notes != noted or kept.taken_at != taken_at:
            raise KeptOtherwise("reading")
        return Recorded(value_of(KeptReading, kept), False, block.lesson_id)


def void_reading(desk: Desk, id: UUID, reason: str | None) -> KeptReading:
    """Void a reading for a reason, or restore it (None). Every change is kept in its history."""
    with desk.transaction() as session:
        row = desk.get(session, ReadingRow, id, "reading", lock=True)
        if (row.voided, row.void_reason) != (reason is not None, reason):
            row.voided, row.void_reason = reason is not None, reason
            mark = {"reading_id": id, "voided": row.voided, "reason": reason}
            desk.add(session, ReadingMarkRow, uuid6.uuid7(), **mark)
        return value_of(KeptReading, row)


def flag_reading(desk: Desk, id: UUID, flags: Sequence[str]) -> KeptReading:
    """Say what lowers the weight of a putt; said again it takes the place of what was said before."""
    return desk.flag(KeptReading, ReadingRow, id, "reading", checked_flags(flags, "putt"))


def block_now(desk: Desk, lesson_id: UUID) -> UUID | None:
    """The block putted last, or else started last; None before the first."""
    query = (
        select(BlockRow.id)
        .outerjoin(ReadingRow, (ReadingRow.studio_id == BlockRow.studio_id) & (ReadingRow.block_id == BlockRow.id))
        .where(BlockRow.studio_id == desk.studio_id, BlockRow.lesson_id == lesson_id)
        .order_by(func.coalesce(ReadingRow.recorded_at, BlockRow.started_at).desc(), BlockRow.id.desc())
        .limit(1)
    )
    with desk.transaction() as session:
        desk.get(session, LessonRow, lesson_id, "lesson")
        return session.scalar(query)


def lesson_of_block(desk: Desk, id: UUID) -> UUID:
    """The lesson a block belongs to."""
    with desk.transaction() as session:
        return desk.get(session, BlockRow, id, "block").lesson_id


def rung_of(sheet: BlockSheet) -> Rung:
    """What the ladder says of the rig of a block."""
    return rung([it.raw for it in sheet.readings if not it.voided], station_of(sheet.block))


def block_sheet(desk: Desk, id: UUID) -> BlockSheet:
    """One block with its readings."""
    return block_and_golfer(desk, id)[0]


def notes_laid(station: Station) -> dict[str, Note]:
    """What can be noted of what is laid on a station."""
    return watched(station.rig, station.aids)


def notes_there(station: Station) -> dict[str, Note]:
    """Every note that a putt on a station can have, as that putt bounds it."""
    return {**NOTES, **notes_laid(station), **ends_before(station.putt.distance_m)}


def station_of(block: KeptBlock) -> Station:
    """The putt and rig of a block, as they stood."""
    return entry_of(block).station()


def valid_intervals(sheet: BlockSheet) -> list[Interval]:
    """The readings that count, oldest first."""
    return [start_of(it) for it in sheet.readings if not it.voided]


def start_of(it: KeptReading) -> Interval:
    """Where one putt started, as it is weighed wherever it is: flagged it counts less."""
    return Interval.of(it.low_deg, it.high_deg, weight_of(it.flags))


def block_and_golfer(desk: Desk, id: UUID) -> tuple[BlockSheet, KeptGolfer]:
    """A block with its readings, and who putted it."""
    with desk.transaction() as session:
        block = desk.get(session, BlockRow, id, "block")
        lesson = desk.get(session, LessonRow, block.lesson_id, "lesson")
        [sheet] = with_readings(desk, session, [value_of(KeptBlock, block)])
        return sheet, golfer_in(desk, session, lesson)
