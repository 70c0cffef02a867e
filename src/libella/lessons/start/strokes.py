"""Strokes that sensors tell: taken in once each, put to their putts, corrected by their zero."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from datetime import datetime, timedelta
from typing import Any, Literal
from uuid import UUID

import uuid6
from sqlalchemy import func, select
from sqlalchemy.dialects.postgresql import insert
from sqlalchemy.orm import Session

from ...core.instruments.no_rig import NO_RIG, NOT_WATCHED
from ...core.start.clock import Clock, Told, clock_of
from ...core.start.stroke import UNZEROED_DEG
from ...core.start.watched import note_of
from ...store.tables import BlockRow, LessonRow, ReadingRow, SensorRow, StrokeRow
from ..desk.desk import Desk
from ..desk.problem import Conflict
from ..set.stations import entry_of
from ..values import KeptReading, KeptSensor, KeptSensorZero, KeptStroke, value_of
from .comparisons import next_block
from .sensors import taps_of, zero_at, zeros_of

READER = "start_reader"
Outcome = Literal["kept", "known", "refused"]
ONE_BALL = timedelta(seconds=4)
"""Strokes that two devices tell so near each other are of one ball."""
TAPPED_LATE, TOLD_WITHIN = timedelta(seconds=3), timedelta(seconds=30)
"""A tap may come so much after its stroke was told; and a stroke is told so soon."""
Why = Literal["", "unpaired", "lesson_voided", "lesson_ended"]
"""Why a stroke is refused; empty where it is not."""


@dataclass(frozen=True, slots=True)
class StrokeEntry:
    """A stroke as told: by which sensor, under which id of its own, when by the device's clock."""

    sensor_id: UUID
    key: str
    measures: Mapping[str, float]
    at: datetime


@dataclass(frozen=True, slots=True)
class Received:
    """What became of a stroke told; `why` it was refused; `putt` is the putt it recorded by itself.

    `measures` are those of a stroke that is new, its zero taken off.
    """

    outcome: Outcome
    lesson_id: UUID | None = None
    stroke_id: UUID | None = None
    why: Why = ""
    putt: UUID | None = None
    measures: Mapping[str, float] = field(default_factory=dict[str, float])


def receive(desk: Desk, entries: Sequence[StrokeEntry]) -> list[Received]:
    """Take in strokes of any sensors in one transaction: all that is kept when this returns is safe.

    A stroke told before, in this call or another, is known and changes nothing. A start that a paired reader tells
    while a block is read with one records its putt, unless that block asks for what was felt first.
    """
    with desk.transaction() as session:
        wanted = {it.sensor_id for it in entries}
        rows = session.scalars(select(SensorRow).where(SensorRow.studio_id == desk.studio_id, SensorRow.id.in_(wanted)))
        sensors = {it.id: it for it in rows if it.token_hash is not None}
        lessons = session.scalars(
            select(LessonRow).where(
                LessonRow.studio_id == desk.studio_id, LessonRow.id.in_({it.lesson_id for it in sensors.values()})
            )
        )
        closed = {it.id: _closed(it) for it in lessons}
        fresh: dict[tuple[UUID, str], dict[str, Any]] = {}
        for it in entries:
            sensor = sensors.get(it.sensor_id)
            if sensor is None or _shut(closed[sensor.lesson_id], it.at):
                continue
            fresh.setdefault(
                (it.sensor_id, it.key),
                {"studio_id": desk.studio_id, "id": uuid6.uuid7(), "sensor_id": it.sensor_id, "key": it.key,
                 "lesson_id": sensor.lesson_id, "measures": dict(it.measures), "at": it.at},
            )  # fmt: skip
        new = _insert(session, list(fresh.values()))
        putts = _record_putts(desk, session, [it for key, it in fresh.items() if key in new])
    zeros = zeros_of(desk, list(sensors)) if new else {}
    found: list[Received] = []
    for it in entries:
        sensor = sensors.get(it.sensor_id)
        if sensor is None:
            found.append(Received("refused", why="unpaired"))
            continue
        why = _shut(closed[sensor.lesson_id], it.at)
        if why:
            found.append(Received("refused", sensor.lesson_id, why=why))
            continue
        key = it.sensor_id, it.key
        told = key in new
        new.discard(key)
        id: UUID = fresh[key]["id"]
        zero = zero_at(zeros[it.sensor_id], it.at) if told else None
        measures = zero.corrected(it.measures) if zero else it.measures
        what = "kept" if told else "known"
        found.append(Received(what, sensor.lesson_id, id, putt=putts.get(id), measures=measures))
    return found


def _closed(lesson: LessonRow) -> tuple[bool, datetime | None]:
    return lesson.voided_at is not None, lesson.ended_at


def _shut(closed: tuple[bool, datetime | None], at: datetime) -> Why:
    voided, ended_at = closed
    if voided:
        return "lesson_voided"
    return "lesson_ended" if ended_at is not None and at > ended_at else ""


def _insert(session: Session, rows: list[dict[str, Any]]) -> set[tuple[UUID, str]]:
    if not rows:
        return set()
    statement = insert(StrokeRow).on_conflict_do_nothing().returning(StrokeRow.sensor_id, StrokeRow.key)
    return {(sensor, key) for sensor, key in session.execute(statement, rows)}


def _record_putts(desk: Desk, session: Session, rows: list[dict[str, Any]]) -> dict[UUID, UUID]:
    """Putts that new strokes record by themselves, by stroke: one for a ball, however many devices tell of it."""
    found: dict[UUID, UUID] = {}
    to_come = {it["id"] for it in rows}
    strokes: dict[UUID, dict[UUID, _Made]] = {}
    for row in sorted(rows, key=lambda it: it["at"]):
        to_come.discard(row["id"])
        lesson_id = row["lesson_id"]
        block = _reading_block(desk, session, lesson_id)
        raw = _raw(block, row["measures"]) if block else None
        if block is None or raw is None:
            continue
        if lesson_id not in strokes:
            strokes[lesson_id] = _made(desk, session, lesson_id)
        at = strokes[lesson_id][row["id"]].at
        others = (it for id, it in strokes[lesson_id].items() if id not in to_come and it.sensor != row["sensor_id"])
        if any(abs(it.at - at) <= ONE_BALL and _raw(block, it.measures) is not None for it in others):
            continue
        interval = entry_of(block).station().interval(raw)
        id = uuid6.uuid7()
        values = {"low_deg": interval.low_or_none, "high_deg": interval.high_or_none, "taken_at": at}
        desk.add(session, ReadingRow, id, block_id=block.id, raw=raw, notes={}, **values)
        found[row["id"]] = id
    return found


@dataclass(frozen=True, slots=True)
class _Made:
    """A stroke: by which sensor it was told, what it tells, and when it was made by our clock, as far as that is known:
    by now."""

    sensor: UUID
    measures: Mapping[str, float]
    at: datetime


def _made(desk: Desk, session: Session, lesson_id: UUID) -> dict[UUID, _Made]:
    """The strokes of a lesson."""
    query = select(StrokeRow).where(StrokeRow.studio_id == desk.studio_id, StrokeRow.lesson_id == lesson_id)
    by_sensor: dict[UUID, list[StrokeRow]] = {}
    for it in session.scalars(query):
        by_sensor.setdefault(it.sensor_id, []).append(it)
    taps = taps_of(desk, session, list(by_sensor))
    found: dict[UUID, _Made] = {}
    for sensor, own in by_sensor.items():
        clock = clock_of([], [_told(it) for it in own], _now_s(own, taps[sensor]))
        found |= {it.id: _Made(sensor, it.measures, _made_at(it, clock)) for it in own}
    return found


def _made_at(it: StrokeRow | KeptStroke, clock: Clock) -> datetime:
    """When a stroke was made by our time; never after it arrived."""
    return min(it.at + timedelta(seconds=clock.correction_s), it.received_at)


def _told(it: StrokeRow | KeptStroke) -> Told:
    return Told(it.at.timestamp(), it.received_at.timestamp())


def _now_s(strokes: Sequence[StrokeRow] | Sequence[KeptStroke], taps: Sequence[datetime]) -> list[float]:
    """By how much the device's clock is behind, by each tap: its stroke is the first told from then on."""
    found: list[float] = []
    for tap in taps:
        after = [it for it in strokes if timedelta() <= it.received_at - tap + TAPPED_LATE <= TOLD_WITHIN]
        if after:
            first = min(after, key=lambda it: it.received_at)
            found.append((tap - first.at).total_seconds())
    return found


def _raw(block: BlockRow, measures: Mapping[str, float]) -> dict[str, float | str] | None:
    """What a stroke records of a putt by itself; None where somebody is still to be asked, or told.

    On a reader's block its start; where nothing watches the start, that there was a putt.
    """
    if any(not set(note_of(it).told_by) & set(measures) for it in block.asks):
        return None
    if block.rig_kind == NO_RIG:
        return dict(NOT_WATCHED)
    return {"read_deg": measures["start_deg"]} if "start_deg" in measures else None


def _reading_block(desk: Desk, session: Session, lesson_id: UUID) -> BlockRow | None:
    """The lesson's block that a sensor may record by itself: the one putted now, if it has room."""
    block = session.scalar(
        select(BlockRow)
        .where(BlockRow.studio_id == desk.studio_id, BlockRow.lesson_id == lesson_id)
        .order_by(BlockRow.started_at.desc(), BlockRow.id.desc())
        .limit(1)
    )
    if block is None:
        return None
    if block.comparison_id is not None:
        at = next_block(desk, session, block.comparison_id)
        block = desk.get(session, BlockRow, at, "block") if at else None
    if block is None or block.rig_kind not in (READER, NO_RIG):
        return None
    session.refresh(block, with_for_update=True)
    valid = session.scalar(
        select(func.count()).where(
            ReadingRow.studio_id == desk.studio_id, ReadingRow.block_id == block.id, ReadingRow.voided.is_(False)
        )
    )
    return block if (valid or 0) < block.planned else None


@dataclass(frozen=True, slots=True)
class StrokeSheet:
    """A stroke with what it says once the zero is taken off, and the putt it belongs to."""

    stroke: KeptStroke
    sensor: KeptSensor
    measures: Mapping[str, float]
    zeroed: bool
    noise_deg: float
    reading_id: UUID | None
    clock: Clock
    """How the clock of its sensor stands in this lesson."""
    checks: int = 0
    zero_doubt_deg: float = field(default_factory=UNZEROED_DEG)

    @property
    def made_at(self) -> datetime:
        """When it was made, as far as the clock of its sensor is known."""
        return _made_at(self.stroke, self.clock)


def strokes_of(desk: Desk, lesson_id: UUID) -> list[StrokeSheet]:
    """The strokes of a lesson, by when they were made, each sensor's matched to the putts by themselves."""
    return strokes_of_all(desk, [lesson_id]).get(lesson_id, [])


def strokes_of_all(desk: Desk, lesson_ids: Sequence[UUID]) -> dict[UUID, list[StrokeSheet]]:
    """The strokes of several lessons, those without any left out."""
    query = (
        select(StrokeRow, SensorRow)
        .join(SensorRow, (SensorRow.studio_id == StrokeRow.studio_id) & (SensorRow.id == StrokeRow.sensor_id))
        .where(StrokeRow.studio_id == desk.studio_id, StrokeRow.lesson_id.in_(lesson_ids))
        .order_by(StrokeRow.at, StrokeRow.id)
    )
    with desk.transaction() as session:
        both = session.execute(query)
        rows = [(value_of(KeptStroke, stroke), value_of(KeptSensor, sensor)) for stroke, sensor in both]
        told = {stroke.lesson_id for stroke, _ in rows}
        if not told:
            return {}
        putts = (
            select(BlockRow.lesson_id, ReadingRow.id, ReadingRow.taken_at)
            .join(BlockRow, (BlockRow.studio_id == ReadingRow.studio_id) & (BlockRow.id == ReadingRow.block_id))
            .where(ReadingRow.studio_id == desk.studio_id, BlockRow.lesson_id.in_(told))
            .order_by(ReadingRow.taken_at, ReadingRow.id)
        )
        noted: dict[UUID, list[tuple[UUID, float]]] = {it: [] for it in told}
        for lesson_id, id, at in session.execute(putts):
            noted[lesson_id].append((id, at.timestamp()))
        taps = taps_of(desk, session, list({sensor.id for _, sensor in rows}))
    zeros = zeros_of(desk, list(taps))
    found: dict[UUID, list[StrokeSheet]] = {it: [] for it in told}
    for lesson_id in told:
        for sensor_id in zeros:
            own = [(stroke, of) for stroke, of in rows if (of.id, stroke.lesson_id) == (sensor_id, lesson_id)]
            clock, putt_of = _matched([it for it, _ in own], noted[lesson_id], taps[sensor_id])
            found[lesson_id] += [_sheet(it, of, zeros[sensor_id], putt_of.get(it.id), clock) for it, of in own]
        found[lesson_id].sort(key=lambda it: (it.made_at, it.stroke.id))
    return found


def _matched(
    strokes: Sequence[KeptStroke], noted: Sequence[tuple[UUID, float]], taps: Sequence[datetime]
) -> tuple[Clock, dict[UUID, UUID]]:
    """The clock of one sensor, and the putt of each of its strokes: where the coach put it, else by time."""
    by_hand = {it.id: it.reading_id for it in strokes if it.reading_id is not None and not it.set_aside}
    free = [it for it in strokes if it.id not in by_hand and not it.set_aside]
    open_putts = [(id, at) for id, at in noted if id not in by_hand.values()]
    clock = clock_of([at for _, at in open_putts], [_told(it) for it in free], _now_s(strokes, taps))
    return clock, by_hand | {free[m].id: open_putts[n][0] for m, n in clock.putts.items()}


def _sheet(
    stroke: KeptStroke, sensor: KeptSensor, zeros: Sequence[KeptSensorZero], reading_id: UUID | None, clock: Clock
) -> StrokeSheet:
    zero = zero_at(zeros, stroke.at + timedelta(seconds=clock.correction_s))
    told: Mapping[str, float] = stroke.measures
    measures = zero.corrected(told) if zero else told
    noise = max(told.get("u_deg", 0.0), zero.noise_deg if zero else 0.0)
    checks, doubt = (zero.readings, zero.doubt_deg) if zero else (0, UNZEROED_DEG())
    return StrokeSheet(stroke, sensor, measures, zero is not None, noise, reading_id, clock, checks, doubt)


def strokes_by_putt(strokes: Sequence[StrokeSheet]) -> dict[UUID, list[StrokeSheet]]:
    """What sensors told of each putt."""
    found: dict[UUID, list[StrokeSheet]] = {}
    for it in strokes:
        if it.reading_id is not None:
            found.setdefault(it.reading_id, []).append(it)
    return found


def measures_of(reading: KeptReading, strokes: Sequence[StrokeSheet]) -> Mapping[str, float]:
    """A putt's measures as sensors told them, and where none did, as they came with a file."""
    noted = {name: value for name, value in reading.notes.items() if isinstance(value, float | int)}
    told = {name: value for it in strokes for name, value in it.measures.items()}
    return noted | told


def put_stroke(desk: Desk, id: UUID, reading_id: UUID | None, *, set_aside: bool) -> KeptStroke:
    """Put a stroke to a putt by hand, set it aside, or let the time decide again (neither)."""
    with desk.transaction() as session:
        row = desk.get(session, StrokeRow, id, "stroke", lock=True)
        if reading_id is not None:
            reading = desk.get(session, ReadingRow, reading_id, "putt")
            if desk.get(session, BlockRow, reading.block_id, "block").lesson_id != row.lesson_id:
                raise Conflict("putt_of_another")
        row.reading_id, row.set_aside = reading_id, set_aside
        return value_of(KeptStroke, row)
