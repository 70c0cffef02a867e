"""Sensors as the coach sees them: ask for one, see what it tells, zero it, put its strokes to putts, let it go."""

from collections.abc import Sequence
from datetime import UTC, datetime
from typing import Literal

from fastapi import Request
from pydantic import BaseModel, Field

from ...core.start.stroke import SensorKind
from ...lessons.start import sensors, strokes
from ...lessons.values import KeptSensor
from ...words.start.sensors import SENSORS, clock_words, silent_words, zero_words
from ..base.live import Live
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, Moment, Words80

router = Router(tags=["sensors"])
SILENT_S = 60.0
"""A device of which nothing was heard for so long is said to be silent."""


class SensorIn(Entry):
    lesson_id: UUID
    kind: SensorKind
    name: Words80 = ""


class LessonOfSensorIn(Entry):
    lesson_id: UUID


class ZeroIn(Entry):
    sensor_id: UUID


class StrokeTapIn(Entry):
    sensor_id: UUID
    tapped_at: Moment = Field(description="at the very moment of a stroke")


class StrokePlaceIn(Entry):
    reading_id: UUID | None = Field(default=None, description="the putt it belongs to; left out, the time decides")
    set_aside: bool = Field(default=False, description="true: it belongs to no putt")


class ZeroOut(BaseModel):
    face_deg: float
    noise_deg: float
    readings: int
    taken_at: datetime
    words: str


class SensorOut(BaseModel):
    """A sensor of a lesson. `code` is shown until it is paired; `still` counts what would zero it now."""

    id: UUID
    kind: SensorKind
    kind_words: str
    name: str
    code: str | None
    code_until: datetime
    device_id: str | None
    state: Literal["waiting", "run_out", "paired", "elsewhere"]
    strokes: int
    last_at: datetime | None
    zero: ZeroOut | None
    still: int
    clock_words: str = Field(description="how its clock stands and which strokes fit no putt; empty where all is well")
    asks_now: bool = Field(description="a tap at the moment of a stroke would tell how its clock stands")
    silent_words: str = Field(description="that nothing was heard of it for a while; empty where it was")


class StrokeLine(BaseModel):
    """A stroke with its zero taken off, degrees and mm; the putt it belongs to, None for none."""

    id: UUID
    sensor_id: UUID
    sensor: str
    at: datetime
    late_s: float = Field(description="how long after it was made it arrived, its sensor's clock put right, s")
    measures: dict[str, float]
    zeroed: bool
    reading_id: UUID | None
    by_hand: bool
    set_aside: bool


class SensorsOut(BaseModel):
    sensors: list[SensorOut]
    strokes: list[StrokeLine]


@router.put("/sensors/{id}")
def ask(desk: AtDesk, request: Request, id: UUID7, entry: SensorIn) -> SensorsOut:
    """Make a place for a sensor; the code is shown for ten minutes."""
    sensors.keep_sensor(desk, id, entry.lesson_id, entry.kind, entry.name, datetime.now(UTC))
    return of_lesson(desk, request, entry.lesson_id)


@router.get("/lessons/{id}/sensors")
def of_lesson(desk: AtDesk, request: Request, id: UUID) -> SensorsOut:
    """The sensors of a lesson and the strokes they told, newest stroke first."""
    live: Live = request.app.state.live
    rows = sensors.sensors_of(desk, id)
    told = strokes.strokes_of(desk, id)
    lines = [_line(it) for it in reversed(told)]
    return SensorsOut(sensors=[_out(it, live, id, told) for it in rows], strokes=lines)


@router.put("/sensors/{id}/lesson")
def use(desk: AtDesk, request: Request, id: UUID, entry: LessonOfSensorIn) -> SensorsOut:
    """Send its strokes to this lesson from now on."""
    sensors.use_sensor(desk, id, entry.lesson_id)
    return of_lesson(desk, request, entry.lesson_id)


@router.put("/sensor-zeros/{id}")
def zero(desk: AtDesk, request: Request, id: UUID7, entry: ZeroIn) -> ZeroOut:
    """Zero a sensor whose putter is held against the square reference now: from its readings of the last seconds."""
    live: Live = request.app.state.live
    live.catch_up()
    row = sensors.keep_zero(desk, id, entry.sensor_id, live.stills(entry.sensor_id), datetime.now(UTC))
    live.tell(sensors.sensor(desk, entry.sensor_id).lesson_id, "sensor")
    return _zero(row.face_deg, row.noise_deg, len(row.still_deg), row.taken_at)


@router.put("/stroke-taps/{id}")
def tap(desk: AtDesk, request: Request, id: UUID7, entry: StrokeTapIn) -> SensorsOut:
    """A tap at the very moment of a stroke: by what the device tells of it, its clock is known."""
    row = sensors.keep_tap(desk, id, entry.sensor_id, entry.tapped_at)
    request.app.state.live.tell(row.lesson_id, "sensor")
    return of_lesson(desk, request, row.lesson_id)


@router.delete("/sensors/{id}/link")
def unpair(desk: AtDesk, request: Request, id: UUID) -> SensorsOut:
    """Let a sensor go; what it told stays."""
    row = sensors.unpair(desk, id, datetime.now(UTC))
    return of_lesson(desk, request, row.lesson_id)


@router.put("/strokes/{id}/putt")
def put(desk: AtDesk, request: Request, id: UUID, entry: StrokePlaceIn) -> SensorsOut:
    """Put a stroke to a putt, or set it aside."""
    row = strokes.put_stroke(desk, id, entry.reading_id, set_aside=entry.set_aside)
    request.app.state.live.tell(row.lesson_id, "sensor")
    return of_lesson(desk, request, row.lesson_id)


def _out(it: sensors.SensorSheet, live: Live, lesson_id: UUID, told: Sequence[strokes.StrokeSheet]) -> SensorOut:
    row = it.sensor
    own = [one for one in told if one.sensor.id == row.id and not one.stroke.set_aside]
    unmatched = sum(one.reading_id is None for one in own)
    return SensorOut(
        id=row.id,
        kind=row.kind,
        kind_words=SENSORS[row.kind],
        name=row.name or SENSORS[row.kind],
        code=row.code if row.paired_at is None else None,
        code_until=row.code_until,
        device_id=row.device_id,
        state=_state(row, lesson_id),
        strokes=it.strokes,
        last_at=it.last_at,
        zero=_zero(it.zero.face_deg, it.zero.noise_deg, len(it.zero.still_deg), it.zero.taken_at) if it.zero else None,
        still=len(live.stills(row.id)),
        clock_words=clock_words(own[0].clock, len(own), unmatched) if own else "",
        asks_now=bool(own) and own[0].clock.asks_tap(len(own), unmatched),
        silent_words="" if it.lesson_ended else _silent(row, lesson_id),
    )


def _silent(row: KeptSensor, lesson_id: UUID) -> str:
    heard = row.heard_at or row.paired_at
    if _state(row, lesson_id) != "paired" or heard is None:
        return ""
    seconds = (datetime.now(UTC) - heard).total_seconds()
    return silent_words(seconds) if seconds > SILENT_S else ""


def _state(row: KeptSensor, lesson_id: UUID) -> Literal["waiting", "run_out", "paired", "elsewhere"]:
    if row.token_hash is None:
        return "run_out" if row.code_until <= datetime.now(UTC) else "waiting"
    return "paired" if row.lesson_id == lesson_id else "elsewhere"


def _zero(face: float, noise: float, readings: int, at: datetime) -> ZeroOut:
    return ZeroOut(face_deg=face, noise_deg=noise, readings=readings, taken_at=at, words=zero_words(face, noise))


def _line(it: strokes.StrokeSheet) -> StrokeLine:
    row = it.stroke
    return StrokeLine(
        id=row.id,
        sensor_id=row.sensor_id,
        sensor=it.sensor.name or SENSORS[it.sensor.kind],
        at=it.made_at,
        late_s=(row.received_at - it.made_at).total_seconds(),
        measures=dict(it.measures),
        zeroed=it.zeroed,
        reading_id=it.reading_id,
        by_hand=row.reading_id is not None,
        set_aside=row.set_aside,
    )
