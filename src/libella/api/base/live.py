"""What happens in a lesson, told at once to every screen that shows it: a WebSocket a screen, one-way.

A screen that was away asks for everything again when it is back; so nothing here is kept.
"""

import asyncio
import contextlib
import threading
from collections import deque
from collections.abc import Mapping
from dataclasses import dataclass
from time import monotonic
from typing import Any, Literal
from urllib.parse import urlsplit
from uuid import UUID, uuid4

from fastapi import WebSocket, WebSocketDisconnect
from sqlalchemy import Engine
from sqlalchemy.exc import InterfaceError, OperationalError
from starlette.concurrency import run_in_threadpool

from ...lessons.desk import kept
from ...lessons.desk.desk import desk_in_use
from ...store.server.notices import Notices
from .router import Router

router = Router()

What = Literal["putt", "block", "stroke", "still", "level", "sensor", "pause"]
_MOST_WAITING = 200
_STILL_LASTS_S = 6.0
_CATCHES_UP_S = 2.0
_ASKED_AGAIN_S = 60.0
"""So often it is asked of a line on which nothing happens whether it may still be open."""


class Live:
    """Screens by lesson, and what sensors tell that is worth only the moment.

    Whatever happens is told through PostgreSQL, and every process hears it: which one a screen, a device or a coach
    happens to talk to makes no difference. Safe to tell from any thread.
    """

    def __init__(self, engine: Engine) -> None:
        self._screens: dict[UUID, set[_Screen]] = {}
        self._still: dict[UUID, deque[tuple[float, float]]] = {}
        self._marks: dict[str, threading.Event] = {}
        self._lock = threading.Lock()
        self._notices = Notices(engine, self._hear)

    def listen(self) -> None:
        """Hear what other processes tell, from now on."""
        self._notices.listen()

    def close(self) -> None:
        """Hear nothing more, until it is listened again."""
        self._notices.close()

    def tell(self, lesson_id: UUID, what: What, **details: object) -> None:
        """Tell the lesson's screens, wherever they are shown, that something of it is new.

        A database that is away just now keeps no write from having been made: screens ask anew when it is back. What is
        only rehearsed is told to nobody.
        """
        if desk_in_use() is not None:
            return
        with contextlib.suppress(OperationalError, InterfaceError):
            self._notices.tell({"lesson": str(lesson_id), "event": {"what": what, **details}})

    def _hear(self, notice: Mapping[str, Any] | None) -> None:
        if notice is None:
            # What was told meanwhile was not heard: every screen is told to ask anew.
            with self._lock:
                lessons = list(self._screens)
            for lesson_id in lessons:
                self._put(lesson_id, {"what": "block"})
            return
        if mark := notice.get("mark"):
            with self._lock:
                reached = self._marks.pop(mark, None)
            if reached is not None:
                reached.set()
            return
        event = notice["event"]
        if event["what"] == "still":
            self._keep_still(UUID(event["sensor_id"]), float(event["sent"]["face_deg"]))
        self._put(UUID(notice["lesson"]), event)

    def _put(self, lesson_id: UUID, event: dict[str, Any]) -> None:
        with self._lock:
            screens = list(self._screens.get(lesson_id, ()))
        for screen in screens:
            screen.put(event)

    @contextlib.contextmanager
    def screen(self, lesson_id: UUID):
        """A queue of what happens in a lesson, while the screen is there."""
        self.listen()
        screen = _Screen(asyncio.get_running_loop(), asyncio.Queue())
        with self._lock:
            self._screens.setdefault(lesson_id, set()).add(screen)
        try:
            yield screen.queue
        finally:
            with self._lock:
                self._screens[lesson_id].discard(screen)
                if not self._screens[lesson_id]:
                    del self._screens[lesson_id]

    def _keep_still(self, sensor_id: UUID, face_deg: float) -> None:
        with self._lock:
            self._still.setdefault(sensor_id, deque(maxlen=50)).append((monotonic(), face_deg))

    def catch_up(self) -> None:
        """Wait until everything told before is heard here, too: what was answered to a device counts from then on.

        What is told is heard in the order in which it was told; after two seconds it is gone on without.
        """
        mark, reached = uuid4().hex, threading.Event()
        with self._lock:
            self._marks[mark] = reached
        with contextlib.suppress(OperationalError, InterfaceError):
            self._notices.tell({"mark": mark})
            reached.wait(_CATCHES_UP_S)
        with self._lock:
            self._marks.pop(mark, None)

    def stills(self, sensor_id: UUID) -> list[float]:
        """The face as read in the last seconds, oldest first."""
        since = monotonic() - _STILL_LASTS_S
        with self._lock:
            return [face for at, face in self._still.get(sensor_id, ()) if at >= since]


@dataclass(frozen=True, eq=False)
class _Screen:
    """A screen's queue, in the loop that serves it."""

    loop: asyncio.AbstractEventLoop
    queue: asyncio.Queue[dict[str, Any]]

    def put(self, event: dict[str, Any]) -> None:
        if not self.loop.is_closed() and self.queue.qsize() < _MOST_WAITING:
            with contextlib.suppress(RuntimeError):
                self.loop.call_soon_threadsafe(self.queue.put_nowait, event)


def same_site(socket: WebSocket) -> bool:
    """False for a page of another site: browsers let any page open a WebSocket, and say whose it is."""
    origin = socket.headers.get("origin")
    return origin is None or urlsplit(origin).netloc == socket.headers.get("host")


@router.websocket("/live/lessons/{id}")
async def live(socket: WebSocket, id: UUID) -> None:
    """Tells {"what": …} whenever something of the lesson is new; begins with {"what": "here", "revision": …}."""
    if not same_site(socket):
        await socket.close(4403)
        return
    await socket.accept()
    with socket.app.state.live.screen(id) as queue:
        # The newest mark, looked up once the screen hears: what it holds already need not be asked again.
        revision = await run_in_threadpool(lambda: kept.revision_of_lesson(socket.app.state.desk(), id))
        gone = asyncio.ensure_future(_until_gone(socket))
        try:
            await socket.send_json({"what": "here", "revision": revision})
            while True:
                coming = asyncio.ensure_future(queue.get())
                await asyncio.wait({coming, gone}, timeout=_ASKED_AGAIN_S, return_when=asyncio.FIRST_COMPLETED)
                if gone.done():
                    coming.cancel()
                    break
                # Whoever was locked out meanwhile hears nothing more: no line outlasts what let it in.
                await socket.app.state.let_in(socket)
                if coming.done():
                    await socket.send_json(coming.result())
                else:
                    coming.cancel()
        except (WebSocketDisconnect, RuntimeError):
            pass
        finally:
            gone.cancel()


async def _until_gone(socket: WebSocket) -> None:
    with contextlib.suppress(WebSocketDisconnect, RuntimeError):
        while True:
            await socket.receive_text()
