"""Sensors of a lesson: given a code, paired, zeroed, unpaired."""

import hashlib
import secrets
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from uuid import UUID

import uuid6
from sqlalchemy import ColumnElement, and_, delete, func, select, text, update
from sqlalchemy.orm import Session

from ...core.start.stroke import SensorKind, Zero, zero_of
from ...store.tables import LessonRow, PairingTryRow, SensorRow, SensorZeroRow, StrokeRow, StrokeTapRow
from ..desk.desk import Desk
from ..desk.problem import KeptOtherwise, NotFound
from ..lesson.lessons import open_lesson
from ..values import KeptSensor, KeptSensorZero, value_of, values_of

CODE_LASTS = timedelta(minutes=10)
ELSEWHERE = timedelta(hours=12)
"""So long a device of another lesson is offered here after it was last heard."""
MOST_TRIES, MOST_TRIES_OF_HOST = 10, 60
TRIES_WITHIN = timedelta(minutes=1)


class TooMany(Exception):
    """So many wrong codes were told within a minute that no more are looked at."""


@dataclass(frozen=True, slots=True)
class SensorSheet:
    """A sensor as it stands: its newest zero, how many strokes it told in this lesson and when the last was made."""

    sensor: KeptSensor
    zero: KeptSensorZero | None
    strokes: int
    last_at: datetime | None
    lesson_ended: bool


def keep_sensor(desk: Desk, id: UUID, lesson_id: UUID, kind: SensorKind, name: str, at: datetime) -> KeptSensor:
    """Make a place for a sensor, with a code to be told to it. Said again, a code that has run out is made anew."""
    with desk.transaction() as session:
        open_lesson(desk, session, lesson_id)
        values = {"lesson_id": lesson_id, "kind": kind, "name": name, "asked_at": at}
        row, new = desk.add(session, SensorRow, id, **values, code=_code(), code_until=at + CODE_LASTS)
        if not new and row.paired_at is None and row.code_until <= at:
            row.code, row.code_until = _code(), at + CODE_LASTS
        if not new and (row.kind, row.lesson_id) != (kind, lesson_id):
            raise KeptOtherwise("sensor")
        return value_of(KeptSensor, row)


def pair(desk: Desk, code: str, device_id: str, at: datetime, host: str = "") -> tuple[KeptSensor, str]:
    """Pair the device that shows this code; the second item is its token, told once. `NotFound` for any other code.

    Wrong codes are counted by device and by address, before the code is looked at: `TooMany` for one more.
    """
    _count_try(desk, device_id, host, at)
    token = secrets.token_urlsafe(24)
    with desk.transaction() as session:
        row = session.scalar(
            select(SensorRow)
            .where(SensorRow.studio_id == desk.studio_id, SensorRow.code == code, SensorRow.code_until > at)
            .with_for_update()
        )
        if row is None:
            raise NotFound("pairing_code")
        row.code, row.device_id, row.paired_at, row.token_hash = None, device_id, at, _hash(token)
        session.execute(delete(PairingTryRow).where(_tried(desk, host), PairingTryRow.device == device_id))
        return value_of(KeptSensor, row), token


def _count_try(desk: Desk, device_id: str, host: str, at: datetime) -> None:
    since = at - TRIES_WITHIN
    with desk.transaction() as session:
        # One after another for one address: tries made at once must count each other.
        session.execute(select(func.pg_advisory_xact_lock(func.hashtextextended(f"pairing {host}", 0))))
        session.execute(delete(PairingTryRow).where(_tried(desk, host), PairingTryRow.at <= since))
        devices = list(session.scalars(select(PairingTryRow.device).where(_tried(desk, host))))
        if devices.count(device_id) >= MOST_TRIES or len(devices) >= MOST_TRIES_OF_HOST:
            raise TooMany
        desk.add(session, PairingTryRow, uuid6.uuid7(), device=device_id, host=host, at=at)


def _tried(desk: Desk, host: str) -> ColumnElement[bool]:
    return and_(PairingTryRow.studio_id == desk.studio_id, PairingTryRow.host == host)


def sensor_of(desk: Desk, token: str) -> KeptSensor | None:
    """The paired sensor with that token."""
    with desk.transaction() as session:
        row = session.scalar(
            select(SensorRow).where(SensorRow.studio_id == desk.studio_id, SensorRow.token_hash == _hash(token))
        )
        return None if row is None else value_of(KeptSensor, row)


def sensor(desk: Desk, id: UUID) -> KeptSensor:
    with desk.transaction() as session:
        return value_of(KeptSensor, desk.get(session, SensorRow, id, "sensor"))


def unpair(desk: Desk, id: UUID, at: datetime) -> KeptSensor:
    """Let a sensor go: from now on its messages are refused. What it told stays."""
    with desk.transaction() as session:
        row = desk.get(session, SensorRow, id, "sensor", lock=True)
        row.code, row.token_hash = None, None
        row.unpaired_at = row.unpaired_at or at
        return value_of(KeptSensor, row)


def use_sensor(desk: Desk, id: UUID, lesson_id: UUID) -> KeptSensor:
    """Send a paired sensor's strokes to another lesson from now on."""
    with desk.transaction() as session:
        open_lesson(desk, session, lesson_id)
        row = desk.get(session, SensorRow, id, "sensor", lock=True)
        row.lesson_id = lesson_id
        return value_of(KeptSensor, row)


def keep_zero(desk: Desk, id: UUID, sensor_id: UUID, still_deg: Sequence[float], at: datetime) -> KeptSensorZero:
    """Keep what a sensor read while its putter was held against the square reference."""
    with desk.transaction() as session:
        desk.get(session, SensorRow, sensor_id, "sensor")
        kept = session.get(SensorZeroRow, (desk.studio_id, id))
        if kept is not None:
            return value_of(KeptSensorZero, kept)
        zero = zero_of(still_deg)
        values = {"face_deg": zero.face_deg, "noise_deg": zero.noise_deg, "still_deg": list(still_deg)}
        row, _ = desk.add(session, SensorZeroRow, id, sensor_id=sensor_id, taken_at=at, **values)
        return value_of(KeptSensorZero, row)


def heard(desk: Desk, id: UUID, at: datetime) -> None:
    """Note that a device told something. No reading changes by it, so nothing kept of the lesson is out of date."""
    with desk.transaction() as session:
        session.execute(text("set local libella.quiet = 'on'"))
        session.execute(
            update(SensorRow).where(SensorRow.studio_id == desk.studio_id, SensorRow.id == id).values(heard_at=at)
        )


def keep_tap(desk: Desk, id: UUID, sensor_id: UUID, at: datetime) -> KeptSensor:
    """Keep a tap made at the moment of a stroke that this device tells: by it its clock is known."""
    with desk.transaction() as session:
        row = desk.get(session, SensorRow, sensor_id, "sensor")
        open_lesson(desk, session, row.lesson_id, at=at)
        desk.keep(session, StrokeTapRow, id, "stroke_tap", {"sensor_id": sensor_id, "tapped_at": at})
        return value_of(KeptSensor, row)


def taps_of(desk: Desk, session: Session, sensor_ids: Sequence[UUID]) -> dict[UUID, list[datetime]]:
    """The taps made at the moment of a stroke, by sensor, oldest first."""
    query = (
        select(StrokeTapRow.sensor_id, StrokeTapRow.tapped_at)
        .where(StrokeTapRow.studio_id == desk.studio_id, StrokeTapRow.sensor_id.in_(sensor_ids))
        .order_by(StrokeTapRow.tapped_at)
    )
    found: dict[UUID, list[datetime]] = {it: [] for it in sensor_ids}
    for sensor_id, at in session.execute(query):
        found[sensor_id].append(at)
    return found


def zeros_of(desk: Desk, sensor_ids: Sequence[UUID]) -> dict[UUID, list[KeptSensorZero]]:
    """The zeros of some sensors, oldest first."""
    query = select(SensorZeroRow).where(
        SensorZeroRow.studio_id == desk.studio_id, SensorZeroRow.sensor_id.in_(sensor_ids)
    )
    found: dict[UUID, list[KeptSensorZero]] = {it: [] for it in sensor_ids}
    with desk.transaction() as session:
        for row in session.scalars(query.order_by(SensorZeroRow.taken_at, SensorZeroRow.id)):
            found[row.sensor_id].append(value_of(KeptSensorZero, row))
    return found


def zero_at(zeros: Sequence[KeptSensorZero], at: datetime) -> Zero | None:
    """The zero in force then; None where the sensor was not zeroed yet."""
    before = [it for it in zeros if it.taken_at <= at]
    return Zero(before[-1].face_deg, before[-1].noise_deg, len(before[-1].still_deg)) if before else None


def sensors_of(desk: Desk, lesson_id: UUID) -> list[SensorSheet]:
    """The sensors of a lesson, and those paired in another that could be used here; oldest first."""
    query = select(SensorRow).where(SensorRow.studio_id == desk.studio_id, SensorRow.unpaired_at.is_(None))
    lately = func.coalesce(SensorRow.heard_at, SensorRow.paired_at) > func.now() - ELSEWHERE
    query = query.where((SensorRow.lesson_id == lesson_id) | (SensorRow.token_hash.is_not(None) & lately))
    told = (
        select(StrokeRow.sensor_id, func.count(), func.max(StrokeRow.at))
        .where(StrokeRow.studio_id == desk.studio_id, StrokeRow.lesson_id == lesson_id)
        .group_by(StrokeRow.sensor_id)
    )
    with desk.transaction() as session:
        ended = desk.get(session, LessonRow, lesson_id, "lesson").ended_at is not None
        rows = values_of(KeptSensor, session.scalars(query.order_by(SensorRow.asked_at, SensorRow.id)))
        counts = {id: (n, last) for id, n, last in session.execute(told)}
    zeros = zeros_of(desk, [it.id for it in rows])
    return [SensorSheet(it, (zeros[it.id] or [None])[-1], *counts.get(it.id, (0, None)), ended) for it in rows]


def _code() -> str:
    return f"{secrets.randbelow(1_000_000):06d}"


def _hash(token: str) -> str:
    return hashlib.sha256(token.encode()).hexdigest()
