"""Notices between processes: told through PostgreSQL's NOTIFY, heard by every process that listens."""

import json
import logging
import threading
from collections.abc import Callable, Mapping
from typing import Any, Final

import psycopg
from sqlalchemy import Engine, text

_CHANNEL: Final = "libella"
_LONGEST: Final = 7900
"""Bytes of a notice; PostgreSQL takes no more than 8000."""
_log = logging.getLogger("libella")
Notice = Mapping[str, Any]


class Notices:
    """Tells notices, and hands those of all processes, this one's own among them, to one listener.

    `heard` is called from a thread of its own, with None each time listening begins anew: what was told meanwhile was
    not heard.
    """

    def __init__(self, engine: Engine, heard: Callable[[Notice | None], None]) -> None:
        self._engine, self._heard = engine, heard
        self._closed = threading.Event()
        self._listening = threading.Lock()
        self._thread: threading.Thread | None = None

    def tell(self, notice: Notice) -> None:
        """Tell every process that listens; returns once PostgreSQL has it."""
        told = json.dumps(notice, default=str)
        if len(told.encode()) > _LONGEST:
            raise ValueError(f"a notice of {len(told)} characters is too long to be told")
        with self._engine.connect().execution_options(isolation_level="AUTOCOMMIT") as connection:
            connection.execute(text("select pg_notify(:channel, :told)"), {"channel": _CHANNEL, "told": told})

    def listen(self) -> None:
        """Listen from now on; returns once it does, or at once where the database is away, and then goes on trying."""
        with self._listening:
            if self._thread is not None and self._thread.is_alive() and not self._closed.is_set():
                return
            ready, self._closed = threading.Event(), threading.Event()
            self._thread = threading.Thread(target=self._run, args=(ready, self._closed), name="notices", daemon=True)
            self._thread.start()
        ready.wait(2)

    def close(self) -> None:
        """Stop listening."""
        self._closed.set()

    def _run(self, ready: threading.Event, closed: threading.Event) -> None:
        while not closed.is_set():
            try:
                self._hear(ready, closed)
            except (psycopg.Error, OSError) as fault:
                if not closed.is_set():
                    _log.warning("notices can't be heard: %s", fault)
                    closed.wait(0.5)
            ready.set()

    def _hear(self, ready: threading.Event, closed: threading.Event) -> None:
        url = self._engine.url.set(drivername="postgresql").render_as_string(hide_password=False)
        with psycopg.connect(url, autocommit=True, connect_timeout=3) as connection:
            connection.execute(f"listen {_CHANNEL}")
            ready.set()
            self._heard(None)
            while not closed.is_set():
                for notice in connection.notifies(timeout=1.0):
                    if closed.is_set():
                        return
                    self._heard(json.loads(notice.payload))
