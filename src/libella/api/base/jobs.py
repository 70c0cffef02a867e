"""Long work: jobs kept in PostgreSQL, done by whichever process is free, begun again when that one is gone.

A task is a function of the desk and an id. Its progress, its end and the wish that it stop are kept by the task itself,
with what it works on; here is only who does it.
"""

import asyncio
import contextlib
import logging
import threading
from collections.abc import Callable, Generator, Mapping
from contextlib import contextmanager
from typing import Final
from uuid import UUID

from procrastinate import App, PsycopgConnector, SyncPsycopgConnector
from procrastinate.exceptions import AlreadyEnqueued, ConnectorException
from sqlalchemy import Engine

from ...lessons.desk.desk import Desk

Task = Callable[[Desk, UUID], None]
_HEARTBEAT_S: Final = 2.0
_GONE_S: Final = 8.0
"""Without a sign of life for so long a process is taken for gone, and another begins its work again."""
_PATIENCE_S: Final = 3.0
"""How long anything here waits for the database."""
_LOOKS_S: Final = 0.05
_HOURLY: Final = "17 * * * *"
_log = logging.getLogger("libella")


class Jobs:
    """The queue of one database, and this process as one who works it off."""

    def __init__(
        self, engine: Engine, desk: Callable[[], Desk], tasks: Mapping[str, Task], nightly: Callable[[], None]
    ) -> None:
        url = engine.url.set(drivername="postgresql").render_as_string(hide_password=False)
        options = {"connect_timeout": 3, "options": "-c timezone=utc"}
        self._app = App(
            connector=PsycopgConnector(conninfo=url, kwargs=options, min_size=1, max_size=3, timeout=_PATIENCE_S)
        )
        for name, task in tasks.items():
            self._app.task(name=name, queue="work")(self._task(task, desk))
        # Of several processes one does it. Every hour: a machine that is off at night does it when it is on.
        self._app.periodic(cron=_HOURLY)(self._app.task(name="nightly", queue="work")(_at_night(nightly)))
        # Requests ask from threads of their own, which must not wait for the loop that works the queue off; so they ask
        # through an application that knows the tasks by name only.
        self._asking = App(
            connector=SyncPsycopgConnector(conninfo=url, kwargs=options, min_size=0, max_size=2, timeout=_PATIENCE_S)
        )

    @staticmethod
    def _task(task: Task, desk: Callable[[], Desk]) -> Callable[[str], None]:
        def run(id: str) -> None:
            task(desk(), UUID(id))

        return run

    def begin(self, task: str, id: UUID) -> None:
        """Have something done; asked twice while it waits it is one. Work on one id is never done twice at once."""
        with contextlib.suppress(AlreadyEnqueued):
            self._asking.configure_task(
                task, allow_unknown=True, queue="work", lock=str(id), queueing_lock=f"{task} {id}"
            ).defer(id=str(id))

    @contextmanager
    def at_work(self) -> Generator[None]:
        """Work off the queue while the block lasts, in a thread and a loop of its own: it never holds up a request, and
        a database that is away never holds up the end."""
        end = threading.Event()
        worker = threading.Thread(target=lambda: asyncio.run(self._until(end)), name="jobs", daemon=True)
        worker.start()
        try:
            with self._asking.open():
                yield
        finally:
            end.set()
            worker.join(_PATIENCE_S)

    async def _until(self, end: threading.Event) -> None:
        going = [asyncio.create_task(self._work()), asyncio.create_task(self._take_over())]
        while not end.is_set():
            await asyncio.sleep(_LOOKS_S)
        for it in going:
            it.cancel()
        await asyncio.wait(going, timeout=_PATIENCE_S)

    async def _work(self) -> None:
        while True:
            try:
                async with self._app.open_async():
                    await self._app.run_worker_async(
                        queues=["work"],
                        concurrency=1,
                        install_signal_handlers=False,
                        update_heartbeat_interval=_HEARTBEAT_S,
                        stalled_worker_timeout=_GONE_S,
                        shutdown_graceful_timeout=2.0,
                        delete_jobs="successful",
                    )
                return
            except (ConnectorException, OSError) as fault:
                _log.warning("the queue of jobs can't be reached: %s", fault)
                await asyncio.sleep(1)

    async def _take_over(self) -> None:
        """Begin again what a process that is gone was working on."""
        while True:
            await asyncio.sleep(_HEARTBEAT_S)
            with contextlib.suppress(ConnectorException, OSError):
                for job in await self._app.job_manager.get_stalled_jobs(seconds_since_heartbeat=_GONE_S):
                    await self._app.job_manager.retry_job(job)


def _at_night(done: Callable[[], None]) -> Callable[[int], None]:
    def run(timestamp: int) -> None:
        done()

    return run
