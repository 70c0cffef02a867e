"""The door for devices: pairing, and messages over HTTP and WebSocket (docs/formats/strokes.md)."""

import asyncio
import contextlib
import json
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from time import monotonic
from typing import Annotated, Any, Literal
from uuid import UUID

from fastapi import Header, Request, WebSocket, WebSocketDisconnect
from fastapi.responses import JSONResponse
from pydantic import AwareDatetime, BaseModel, Field, TypeAdapter, ValidationError
from sqlalchemy.exc import InterfaceError, OperationalError
from starlette.concurrency import run_in_threadpool

from ...core.measure.limits import OutOfLimits
from ...core.start.clock import MOST_OUT_S
from ...core.start.stroke import MEASURES, TILT, checked_measures
from ...lessons.desk.desk import Desk
from ...lessons.desk.problem import NotFound
from ...lessons.start import sensors
from ...lessons.start.strokes import Received, StrokeEntry, receive
from ...words.start.sensors import UNKEPT
from ..base.live import Live, same_site
from ..base.problems import FieldProblem, Problem, field_problem, limit_problem, problem
from ..base.router import Router
from ..base.shapes import AtDesk, Entry, ShortWords, Words40, Words80

_HEARD_EVERY_S = 5.0
router = Router(prefix="/sensor-link", tags=["sensor-link"])

FORMAT = "libella-stroke"
VERSION = 1
MOST = 100
_MOST_TOGETHER = 400
_FACE = MEASURES["face_address_deg"].bounds


class PairIn(Entry):
    format: Literal["libella-stroke"]
    version: Literal[1]
    code: str = Field(pattern=r"^\d{6}$", examples=["402913"])
    device_id: ShortWords = Field(description="the device's own name of itself", examples=["face-7c1"])


class PairedOut(BaseModel):
    sensor_id: UUID
    token: str = Field(description="to be sent with every message: Authorization: Bearer …")


class Message(Entry):
    """One message of a device. A stroke is kept; still and level readings are worth the moment only."""

    format: Literal["libella-stroke"]
    version: Literal[1]
    kind: Literal["stroke", "still", "level"]
    device_id: ShortWords
    stroke_id: Words80 = Field(default="", description="of a stroke: the device's own id; sent again it is the same")
    at: AwareDatetime = Field(description="by the device's clock")
    measures: dict[Words40, float] = Field(max_length=20, examples=[{"face_impact_deg": 0.6, "u_deg": 0.2}])


class MessageOut(BaseModel):
    stroke_id: str
    outcome: Literal["kept", "known", "shown", "refused"]
    problem: Problem | None = None


_MESSAGES: TypeAdapter[Message] = TypeAdapter(Message)


@dataclass(frozen=True, slots=True)
class _Waiting:
    entry: StrokeEntry
    done: asyncio.Future[Received]


class Intake:
    """Strokes of all devices, kept many at once: each is answered only when it is committed.

    While one transaction runs, what arrives waits for the next; so the more arrives, the more each one holds.
    """

    def __init__(self, desk: Any, live: Live) -> None:
        self._desk, self._live = desk, live
        self._waiting: list[_Waiting] = []
        self._busy = False
        self._heard: dict[UUID, float] = {}

    async def heard(self, sensor_id: UUID) -> None:
        """Note that a device tells something; once in a few seconds is enough."""
        now = monotonic()
        if now - self._heard.get(sensor_id, -_HEARD_EVERY_S) < _HEARD_EVERY_S:
            return
        self._heard[sensor_id] = now
        with contextlib.suppress(OperationalError, InterfaceError):
            await run_in_threadpool(sensors.heard, self._desk(), sensor_id, datetime.now(UTC))

    async def keep(self, entries: Sequence[StrokeEntry]) -> list[Received]:
        """Keep strokes; raises what the database raised when they could not be kept."""
        loop = asyncio.get_running_loop()
        mine = [_Waiting(it, loop.create_future()) for it in entries]
        self._waiting += mine
        if not self._busy:
            self._busy = True
            loop.create_task(self._run())  # noqa: RUF006
        return await asyncio.gather(*(it.done for it in mine))

    async def _run(self) -> None:
        try:
            while self._waiting:
                batch, self._waiting = self._waiting[:_MOST_TOGETHER], self._waiting[_MOST_TOGETHER:]
                try:
                    told = await run_in_threadpool(self._keep, batch)
                except Exception as error:
                    # One that the database will not have must not take the others with it.
                    if len(batch) == 1 or isinstance(error, OperationalError | InterfaceError):
                        for it in batch:
                            if not it.done.done():
                                it.done.set_exception(error)
                    else:
                        await self._one_by_one(batch)
                    continue
                self._answer(batch, told)
        finally:
            self._busy = False

    def _keep(self, batch: Sequence[_Waiting]) -> Sequence[Received]:
        """Keep them and tell the screens, before anybody is answered."""
        told = receive(self._desk(), [it.entry for it in batch])
        for it, what in zip(batch, told, strict=True):
            self._tell(it.entry, what)
        return told

    async def _one_by_one(self, batch: Sequence[_Waiting]) -> None:
        for it in batch:
            try:
                self._answer([it], await run_in_threadpool(self._keep, [it]))
            except Exception as error:
                if not it.done.done():
                    it.done.set_exception(error)

    def _answer(self, batch: Sequence[_Waiting], told: Sequence[Received]) -> None:
        for it, what in zip(batch, told, strict=True):
            if not it.done.done():
                it.done.set_result(what)

    def _tell(self, entry: StrokeEntry, what: Received) -> None:
        if what.outcome != "kept" or what.lesson_id is None:
            return
        details = {"sensor_id": str(entry.sensor_id), "at": entry.at.isoformat(), "sent": dict(what.measures)}
        self._live.tell(what.lesson_id, "stroke", **details, stroke_id=str(what.stroke_id), putt=bool(what.putt))


@router.post("/pair", responses={429: {"model": Problem}})
def pair(desk: AtDesk, request: Request, entry: PairIn) -> PairedOut:
    """Pair with the code the coach reads out: once, within ten minutes."""
    host = request.client.host if request.client else ""
    try:
        row, token = sensors.pair(desk, entry.code, entry.device_id, datetime.now(UTC), host)
    except sensors.TooMany:
        said = f"{sensors.MOST_TRIES} wrong codes within a minute: wait a minute, then ask for a new code."
        return problem(429, "too-many-codes", "Too many wrong codes", said)  # type: ignore[return-value]
    except NotFound:
        fault = FieldProblem(
            field="code", message="This code is not valid, or has run out.", limit="a code under 10 min old"
        )
        return problem(422, "code", "Not paired", fault.message, errors=[fault])  # type: ignore[return-value]
    request.app.state.live.tell(row.lesson_id, "sensor")
    return PairedOut(sensor_id=row.id, token=token)


@router.post("/messages", responses={401: {"model": Problem}})
async def messages(
    request: Request, body: list[dict[str, Any]] | dict[str, Any], authorization: Annotated[str, Header()] = ""
) -> list[MessageOut]:
    """Take in one message or up to 100. Each is answered by itself: kept, known (told before), shown, or refused."""
    desk: Desk = request.app.state.desk()
    many = body if isinstance(body, list) else [body]
    if len(many) > MOST:
        said = f"A request holds at most {MOST} messages; this one holds {len(many)}."
        fault = FieldProblem(field="body", message=said, limit=f"at most {MOST} messages")
        return problem(422, "invalid", "Too many messages", said, errors=[fault])  # type: ignore[return-value]
    sensor = await run_in_threadpool(sensors.sensor_of, desk, authorization.removeprefix("Bearer ").strip())
    if sensor is None:
        return _stranger()  # type: ignore[return-value]
    return await _take(request.app, sensor.id, sensor.lesson_id, many)


@router.websocket("/stream")
async def stream(socket: WebSocket) -> None:
    """The same messages, one after another, each answered; begins with {"kind": "hello", "token": …}."""
    await socket.accept()
    desk: Desk = socket.app.state.desk()
    with contextlib.suppress(WebSocketDisconnect, RuntimeError):
        hello = await _json(socket)
        ours = isinstance(hello, dict) and hello.get("format") == FORMAT and hello.get("version") == VERSION
        sensor = None
        if ours and hello.get("kind") == "hello" and same_site(socket):
            sensor = await run_in_threadpool(sensors.sensor_of, desk, str(hello.get("token", "")))
        if sensor is None:
            refused = _stranger() if ours else _another_version(hello)
            await socket.send_text(bytes(refused.body).decode())
            await socket.close(4401)
            return
        await socket.send_json({"kind": "welcome", "format": FORMAT, "version": VERSION})
        while True:
            told = await _json(socket)
            # Another lesson may use the sensor by now: the stroke itself is put where the sensor is.
            for it in await _take(socket.app, sensor.id, sensor.lesson_id, [told]):
                await socket.send_text(it.model_dump_json())


async def _json(socket: WebSocket) -> Any:
    """The next message; None for what is none: no text, no JSON, or nested deeper than anything means."""
    message = await socket.receive()
    if message["type"] == "websocket.disconnect":
        raise WebSocketDisconnect(message.get("code", 1005))
    try:
        return json.loads(message.get("text") or "")
    except (ValueError, RecursionError):
        return None


async def _take(app: Any, sensor_id: UUID, lesson_id: UUID, many: Sequence[Any]) -> list[MessageOut]:
    """Take in messages in their order; a stroke's answer waits until it is committed."""
    await app.state.intake.heard(sensor_id)
    answers: dict[int, MessageOut] = {}
    strokes: dict[int, StrokeEntry] = {}
    for n, told in enumerate(many):
        try:
            it = _MESSAGES.validate_python(told)
            _check(it)
            at = it.at.astimezone(UTC)
        except (ValidationError, OutOfLimits, OverflowError) as fault:
            answers[n] = MessageOut(stroke_id=_id_of(told), outcome="refused", problem=_refusal(told, fault))
            continue
        if it.kind == "stroke":
            strokes[n] = StrokeEntry(sensor_id, it.stroke_id, it.measures, at)
        else:
            await run_in_threadpool(_show, app.state.live, sensor_id, lesson_id, it)
            answers[n] = MessageOut(stroke_id=it.stroke_id, outcome="shown")
    if strokes:
        try:
            received = await app.state.intake.keep(list(strokes.values()))
        except Exception:
            received = [Received("refused", why="") for _ in strokes]
        for n, what in zip(strokes, received, strict=True):
            why = _unkept(what) if what.outcome == "refused" else None
            answers[n] = MessageOut(stroke_id=strokes[n].key, outcome=what.outcome, problem=why)
    return [answers[n] for n in range(len(many))]


def _check(it: Message) -> None:
    """What a message's shape alone does not tell."""
    late = it.at - datetime.now(UTC)
    if late > timedelta(seconds=MOST_OUT_S):
        raise OutOfLimits("at", "clock_ahead", "s", ahead=round(late.total_seconds()), most=MOST_OUT_S)
    if it.kind == "stroke":
        checked_measures(it.measures)
        if not it.stroke_id:
            raise OutOfLimits("stroke_id", "stroke_without_id")
    else:
        known = {"face_deg": _FACE} if it.kind == "still" else {"along_percent": TILT, "across_percent": TILT}
        if set(it.measures) != set(known):
            raise OutOfLimits("measures", f"{it.kind}_measures", known=tuple(known))
        for name, bounds in known.items():
            bounds.check(f"measures.{name}", f"sent_{name}", it.measures[name])


def _show(live: Live, sensor_id: UUID, lesson_id: UUID, it: Message) -> None:
    live.tell(lesson_id, it.kind, sensor_id=str(sensor_id), sent=dict(it.measures))


def _id_of(told: Any) -> str:
    said = str(told.get("stroke_id", ""))[:80] if isinstance(told, dict) else ""
    return said.encode(errors="replace").decode()


def _refusal(told: Any, fault: ValidationError | OutOfLimits | OverflowError) -> Problem:
    if isinstance(told, dict) and (told.get("format") != FORMAT or told.get("version") != VERSION):
        return _as_problem(_another_version(told))
    if isinstance(fault, OutOfLimits):
        errors = [limit_problem(fault, "metric")]
    elif isinstance(fault, ValidationError):
        errors = [field_problem(it) for it in fault.errors()]
    else:
        errors = [FieldProblem(field="at", message="That is beyond any date.", limit="a date", unit="")]
    said = "; ".join(f"{it.field}: {it.message}" for it in errors)
    return Problem(type="urn:libella:problem:invalid", title="Message refused", status=422, detail=said, errors=errors)


def _unkept(what: Received) -> Problem:
    if what.why:
        remedy = "Pair it again, or open the lesson."
        return Problem(
            type="urn:libella:problem:conflict", title="Not kept", status=409, detail=UNKEPT[what.why], remedy=remedy
        )
    return Problem(
        type="urn:libella:problem:database-away",
        title="The record book can't be reached",
        status=503,
        detail="This stroke was not kept.",
        remedy="Send it again.",
    )


def _stranger() -> JSONResponse:
    said = "This device is not paired, or not any more."
    return problem(401, "not-paired", "Not paired", said, remedy="Ask the coach for a code and pair it.")


def _another_version(told: Any) -> JSONResponse:
    seen = f"{told.get('format')!r} version {told.get('version')!r}" if isinstance(told, dict) else "no message"
    fault = FieldProblem(field="version", message=f"This is {seen}.", limit=f"{FORMAT} version {VERSION}")
    return problem(422, "version", "Another format", f"{seen} is not understood here.", errors=[fault])


def _as_problem(answer: JSONResponse) -> Problem:
    return Problem.model_validate_json(bytes(answer.body))
