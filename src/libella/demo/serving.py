"""Serving: in this process, or in several that share the port, PostgreSQL and nothing else."""

import os
import shutil
import socket
import threading
import time
import urllib.error
import urllib.request
from pathlib import Path
from typing import Final

import uvicorn
from fastapi import FastAPI
from sqlalchemy import Engine
from uvicorn.supervisors import Multiprocess

from ..api.app import THIS_MACHINE, Reach, create_app
from ..api.base.settings import Settings
from ..api.watch.front import Front
from ..api.watch.log import set_up_log
from ..api.watch.metrics import SHARED, tell_metrics
from ..store.server.database import connect
from .folder import COUNTED, DATA, STANDINS
from .launcher import ProgramLauncher
from .terminal import say

IDLE_S: Final = 300
"""A line that nobody asks on stays open so long, s: longer than whoever stands before us keeps it, or a write sent on
it would meet it just closed, and nobody could say whether it was taken."""
_GRACE_S: Final = 3
_LOOKS_S: Final = 0.5


def serve(engine: Engine, url: str, settings: Settings, launcher: ProgramLauncher | None) -> None:
    """Serve until told to stop; says when it listens."""
    if not settings.signed:
        threading.Thread(target=_announce, args=(settings.port,), daemon=True).start()
    kept_in = settings.kept_in or (None if settings.database_url else DATA)
    if settings.workers == 1:
        application = _application(engine, settings, launcher, kept_in)
        if settings.metrics_port:
            tell_metrics(settings.metrics_port, engine, kept_in, application.state.metrics.registry)
        uvicorn.Server(_config(settings, application)).run()
        return
    if settings.metrics_port:
        # What one that ended had counted stays counted; what was counted before this start does not.
        counted = COUNTED / str(settings.port)
        shutil.rmtree(counted, ignore_errors=True)
        counted.mkdir(parents=True)
        os.environ[SHARED] = str(counted)
        tell_metrics(settings.metrics_port, engine, kept_in, None)
    # What a worker needs to know it reads from its environment, as it would on a machine of its own.
    os.environ["LIBELLA_DATABASE_URL"], os.environ["LIBELLA_PORT"] = url, str(settings.port)
    if kept_in:
        os.environ["LIBELLA_KEPT_IN"] = str(kept_in)
    config = _config(settings, "libella.demo.serving:worker")
    listening = socket.socket()
    listening.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
    listening.bind(("127.0.0.1", settings.port))
    Multiprocess(config, sockets=[listening]).run()


def worker() -> FastAPI:
    """The application of one worker among several."""
    settings = Settings()
    threading.Thread(target=_end_with, args=(os.getppid(),), daemon=True).start()
    set_up_log(settings.log)
    # Stand-ins are the demo's: where people sign in nobody starts programs on this machine.
    launcher = None if settings.signed else ProgramLauncher(settings.port, STANDINS)
    return _application(connect(settings.database_url), settings, launcher, settings.kept_in)


def _application(direct: Engine, settings: Settings, launcher: ProgramLauncher | None, kept_in: Path | None) -> FastAPI:
    asked = connect(settings.pool_url, pooled=True) if settings.pool_url else direct
    return create_app(
        asked,
        launcher=launcher,
        direct=direct,
        kept_in=kept_in,
        reach=Reach(
            (*THIS_MACHINE, *settings.hosts),
            settings.signed,
            settings.requests_a_minute,
            _front(settings),
            settings.backup_days,
        ),
    )


def _front(settings: Settings) -> Front | None:
    if not settings.signed or settings.folder is None:
        return None
    return Front(settings.hosts, settings.https_port, settings.folder, settings.certificate)


def _config(settings: Settings, application: FastAPI | str) -> uvicorn.Config:
    return uvicorn.Config(
        application,
        factory=isinstance(application, str),
        host="127.0.0.1",
        port=settings.port,
        workers=settings.workers,
        # Our own front, and who was named to stand before it.
        forwarded_allow_ips=["127.0.0.1", *settings.forwarding],
        server_header=False,
        # Ours is the only log: see `api.watch.log`.
        log_config=None,
        log_level="warning",
        access_log=False,
        timeout_keep_alive=IDLE_S,
        timeout_graceful_shutdown=_GRACE_S,
    )


def once_answering(port: int) -> None:
    """Return once somebody answers there, whatever he answers."""
    while True:
        try:
            urllib.request.urlopen(f"http://127.0.0.1:{port}/api/health", timeout=2).close()
        except urllib.error.HTTPError:
            break
        except OSError:
            time.sleep(0.1)
        else:
            break


def _announce(port: int) -> None:
    """Say it once somebody answers."""
    once_answering(port)
    say(f"Ready: http://127.0.0.1:{port}  (Ctrl-C stops it)")


def _end_with(parent: int) -> None:
    """A worker whose parent was killed serves nobody any more."""
    while os.getppid() == parent:
        time.sleep(_LOOKS_S)
    os._exit(1)
