"""What happens in a lesson, told at once to every screen that shows it: a WebSocket a screen, one-way.

A screen that was away asks for everything again when it is back; so nothing here is kept.
"""

import asyncio
import contextlib
from collections import deque
from time import monotonic
from typing import Any, Literal
from urllib.parse import urlsplit
from uuid import UUID

from fastapi import APIRouter, WebSocket, WebSocketDisconnect
from starlette.concurrency import run_in_threadpool

from ...lessons.desk import kept

router = APIRouter()

What = Literal["putt", "block", "stroke", "still", "level", "sensor", "pause"]
_MOST_WAITING = 200
_STILL_LASTS_S = 6.0


class Live:
    """Screens by lesson, and what sensors tell that is worth only the moment. Safe to tell from any thread."""

    def __init__(self) -> None:
        self._screens: dict[UUID, set[asyncio.Queue[dict[str, Any]]]] = {}
        self._still: dict[UUID, deque[tuple[float, float]]] = {}
        self._loop: asyncio.AbstractEventLoop | None = None

    def tell(self, lesson_id: UUID, what: What, **details: object) -> None:
        """Tell the lesson's screens that something of it is new."""
        if self._loop is not None and not self._loop.is_closed() and self._screens.get(lesson_id):
            self._loop.call_soon_threadsafe(self._put, lesson_id, {"what": what, **details})

    def _put(self, lesson_id: UUID, event: dict[str, Any]) -> None:
        for screen in self._screens.get(lesson_id, ()):
            if screen.qsize() < _MOST_WAITING:
                screen.put_nowait(event)

    @contextlib.contextmanager
    def screen(self, lesson_id: UUID):
        """A queue of what happens in a lesson, while the screen is there."""
        self._loop = asyncio.get_running_loop()
        queue: asyncio.Queue[dict[str, Any]] = asyncio.Queue()
        self._screens.setdefault(lesson_id, set()).add(queue)
        try:
            yield queue
        finally:
            self._screens[lesson_id].discard(queue)
            if not self._screens[lesson_id]:
                del self._screens[lesson_id]

    def still(self, sensor_id: UUID, face_deg: float) -> None:
        """A reading of the face held still."""
        self._still.setdefault(sensor_id, deque(maxlen=50)).append((monotonic(), face_deg))

    def stills(self, sensor_id: UUID) -> list[float]:
        """The face as read in the last seconds, oldest first."""
        since = monotonic() - _STILL_LASTS_S
        return [face for at, face in self._still.get(sensor_id, ()) if at >= since]


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
        await socket.send_json({"what": "here", "revision": revision})
        gone = asyncio.ensure_future(_until_gone(socket))
        try:
            while not gone.done():
                coming = asyncio.ensure_future(queue.get())
                await asyncio.wait({coming, gone}, return_when=asyncio.FIRST_COMPLETED)
                if not coming.done():
                    coming.cancel()
                    break
                await socket.send_json(coming.result())
        except (WebSocketDisconnect, RuntimeError):
            pass
        finally:
            gone.cancel()


async def _until_gone(socket: WebSocket) -> None:
    with contextlib.suppress(WebSocketDisconnect, RuntimeError):
        while True:
            await socket.receive_text()
