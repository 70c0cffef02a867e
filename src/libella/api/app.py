"""The application: routers under /api, the front end beside them."""

import contextlib
import gzip
import mimetypes
from collections.abc import AsyncGenerator, Sequence
from contextlib import asynccontextmanager
from dataclasses import dataclass
from functools import cache, lru_cache
from pathlib import Path
from typing import Any, Final

from anyio import CapacityLimiter
from fastapi import APIRouter, Depends, FastAPI, Request
from fastapi.responses import FileResponse, Response
from fastapi.routing import APIRoute
from pydantic.json_schema import models_json_schema
from sqlalchemy import Engine
from sqlalchemy.exc import InterfaceError, OperationalError
from starlette.concurrency import run_in_threadpool
from starlette.middleware.gzip import GZipMiddleware
from starlette.middleware.trustedhost import TrustedHostMiddleware

from .. import __version__
from ..exchange.archive.work import check_archive, take_archive
from ..exchange.file_work import check_file, take_file
from ..lessons.desk.desk import Desk, desk_in_use, open_desk
from .aim import aims
from .away import days, rehearsal
from .base import live, problems
from .base.guard import BodyLimit, OwnPagesOnly, SafeHeaders
from .base.jobs import Jobs, Task
from .base.opinions import hold_opinions
from .base.router import PREFIX
from .base.units import with_units
from .change import changes, course, practice
from .change import explained as golfer_explained
from .golfer import golfers, handovers, kits
from .golfer import schools as golfer_schools
from .judge import bands, comparisons, explained, findings, golfers_line, shown, two
from .judge import blocks as judged_blocks
from .keep import (
    archives,
    cards,
    cautions,
    converter,
    exports,
    guide,
    imports,
    logbook,
    opinions,
    photos,
    prints,
    quick_checks,
    summaries,
)
from .lesson import lessons
from .pages import golfers as golfer_pages
from .pages import lessons as lesson_pages
from .pages import mine, vocabulary
from .people import accounts, consents, front, passkeys, removals, screens, session
from .people import admit as admission
from .see import eyes, first_looks, maps, sights
from .set import bag, conditions, green, instruments, plans, saved, second_readings, stations, tool_checks
from .stand import set_ups
from .start import blocks, corrections, pauses, sensor_link, sensors, standins
from .teach import drawings as teaching
from .watch import health
from .watch.front import Front
from .watch.metrics import Metrics
from .watch.observed import FRONT, Observed, RateLimit

FRONT_END = Path(__file__).parents[3] / "ui" / "build"
_REFUSALS = (400, 404, 408, 409, 413, 422, 503, 507)
ROUTERS = (
    golfers,
    golfer_pages,
    lessons,
    lesson_pages,
    days,
    vocabulary,
    plans,
    tool_checks,
    second_readings,
    corrections,
    stations,
    conditions,
    saved,
    blocks,
    judged_blocks,
    comparisons,
    bands,
    golfer_schools,
    findings,
    shown,
    explained,
    golfer_explained,
    golfers_line,
    two,
    changes,
    practice,
    teaching,
    course,
    handovers,
    kits,
    pauses,
    sensors,
    aims,
    sights,
    first_looks,
    eyes,
    set_ups,
    maps,
    cards,
    quick_checks,
    photos,
    summaries,
    archives,
    cautions,
    logbook,
    opinions,
    guide,
    converter,
    instruments,
    green,
    bag,
    prints,
    exports,
    imports,
    live,
    sensor_link,
    standins,
    health,
    session,
    passkeys,
    accounts,
    front,
    consents,
    removals,
    screens,
    mine,
)
"""What answers, in the order in which an address is looked for."""
WEIGH_NOTHING: Final = (live, sensor_link, health, session, passkeys, accounts, front, consents, removals, screens)
"""Whose answers hang on nobody's opinions: a socket tells that something changed, never what it means."""
THIS_MACHINE: Final = ("127.0.0.1", "localhost", "[::1]")
_LONGEST_PATH = 1024
_FILES_AT_ONCE: Final = 2
"""Files that are looked at at the same time; the next waits, and takes no thread from anybody."""
_PROBLEM_IS: Final = {"$ref": "#/components/schemas/Problem"}
# By its name alone: with the model itself, one would be built for every refusal of every route.
_PROBLEM: Final = {"content": {"application/problem+json": {}, "application/json": {"schema": _PROBLEM_IS}}}


@dataclass(frozen=True, slots=True)
class Reach:
    """Who reaches the application, and how.

    Attributes
    ----------
    hosts : by which names it is opened
    signed : everybody has to sign in, and may what his role may; else whoever is on this machine is its owner
    a_minute : so many requests are answered of one address; 0: as many as come
    front : how it is opened from elsewhere; None where it is on this machine alone
    backup_days : backups are thrown away after so many days; 0: never
    """

    hosts: Sequence[str] = THIS_MACHINE
    signed: bool = False
    a_minute: int = 0
    front: Front | None = None
    backup_days: int = 0


HERE: Final = Reach()


class _Described(FastAPI):
    """An application whose description of itself tells the unit of every number, and what a refusal is."""

    def openapi(self) -> dict[str, Any]:
        if self.openapi_schema is None:
            told = super().openapi()
            _, refused = models_json_schema(
                [(problems.Problem, "serialization")], ref_template="#/components/schemas/{model}"
            )
            schemas = told["components"]["schemas"] | refused["$defs"]
            told["components"]["schemas"] = dict(sorted(schemas.items()))
            with_units(told)
        return self.openapi_schema or {}


def create_app(
    engine: Engine,
    front_end: Path = FRONT_END,
    launcher: standins.Launcher | None = None,
    *,
    direct: Engine | None = None,
    kept_in: Path | None = None,
    reach: Reach = HERE,
) -> FastAPI:
    """The application on a migrated database.

    Parameters
    ----------
    engine : see `store.database.connect`
    front_end : folder of the built front end; without it only the API is served
    launcher : starts stand-ins for devices, in the demo
    direct : the same database with no pool before it, for notices and long work; None: `engine` is that
    kept_in : the folder on whose disk everything is kept; None where the database is elsewhere
    reach : who reaches it, and how
    """
    app = _Described(
        title="Libella",
        version=__version__,
        docs_url=None,
        redoc_url=None,
        openapi_url="/api/openapi.json",
        generate_unique_id_function=_operation_name,
        lifespan=_at_work,
    )
    app.state.desk = _Once(engine)
    app.state.signed = reach.signed
    app.state.front = reach.front
    app.state.let_in = admission.admit
    app.state.live = live.Live(direct or engine)
    app.state.launcher = launcher
    app.state.kept_in = kept_in
    app.state.metrics = Metrics()
    app.state.backup_days = reach.backup_days
    app.state.jobs = Jobs(
        direct or engine,
        app.state.desk,
        TASKS,
        lambda: removals.nightly(app.state.desk(), kept_in, reach.backup_days),
    )
    app.state.intake = sensor_link.Intake(app.state.desk, app.state.live)
    problems.install(app)
    admission.install(app)
    rehearsal.install(app)
    _guard(app, front_end, reach)
    app.router.routes.extend(_api().routes)
    _serve_pages(app, front_end)
    return app


@cache
def _api() -> APIRouter:
    """Every route: the same of every application of the process, for what each takes and gives is worked out once."""
    api = APIRouter(generate_unique_id_function=_operation_name)
    refusals: dict[int | str, dict[str, Any]] = {it: dict(_PROBLEM) for it in _REFUSALS}
    for module in ROUTERS:
        held = [] if module in WEIGH_NOTHING else [Depends(hold_opinions)]
        api.include_router(
            module.router, prefix=PREFIX, responses=refusals, dependencies=[Depends(admission.admit), *held]
        )
    return api


def _guard(app: FastAPI, front_end: Path, reach: Reach) -> None:
    """What every request goes through, the last named first."""
    app.add_middleware(problems.Faults)
    app.add_middleware(GZipMiddleware, minimum_size=2000, compresslevel=4)
    app.add_middleware(BodyLimit)
    app.add_middleware(OwnPagesOnly)
    app.add_middleware(TrustedHostMiddleware, allowed_hosts=list(reach.hosts))
    if reach.a_minute:
        app.add_middleware(RateLimit, a_minute=reach.a_minute)
    app.add_middleware(SafeHeaders, page=front_end / "index.html")
    app.add_middleware(Observed, metrics=app.state.metrics)


@lru_cache(maxsize=16)
def _packed(file: Path) -> bytes:
    """A file that never changes, compressed once for everybody."""
    return gzip.compress(file.read_bytes(), 6)


def _serve_pages(app: FastAPI, front_end: Path) -> None:
    @app.get(FRONT, include_in_schema=False)
    def front(path: str, request: Request) -> Response:
        """A file of the front end, or its page, which finds its own way."""
        if path.startswith("api/"):
            return problems.problem(404, "not-found", "Not found", "There is no such address.")
        hidden = any(it.startswith(".") for it in path.split("/"))
        if len(path) > _LONGEST_PATH or not path.isprintable() or hidden:
            return problems.problem(404, "not-found", "Not found", "There is no such address.")
        file = (front_end / path).resolve()
        if path and file.is_file() and file.is_relative_to(front_end.resolve()):
            if "/immutable/" not in path:
                return FileResponse(file, headers={"Cache-Control": "no-cache"})
            lasting = {"Cache-Control": "public, max-age=31536000, immutable"}
            if file.suffix not in (".js", ".css") or "gzip" not in request.headers.get("accept-encoding", ""):
                return FileResponse(file, headers=lasting)
            packed = lasting | {"Content-Encoding": "gzip", "Vary": "Accept-Encoding"}
            return Response(_packed(file), media_type=mimetypes.types_map[file.suffix], headers=packed)
        if "." in path.rsplit("/", 1)[-1]:
            # A file by its name, and none of ours: no page answers for it.
            return problems.problem(404, "not-found", "Not found", "There is no such file.")
        page = front_end / "index.html"
        if not page.is_file():
            return problems.problem(404, "no-front-end", "Not built", "The front end is not built; run ./demo.")
        return FileResponse(page, headers={"Cache-Control": "no-cache"})


@asynccontextmanager
async def _at_work(app: FastAPI) -> AsyncGenerator[None]:
    """Hear what other processes tell and take a share of the jobs, for as long as the application serves."""
    app.state.live.listen()
    app.state.readers = CapacityLimiter(_FILES_AT_ONCE)
    # Whoever a backup brought back that was made before they were deleted goes again; with the database away, later.
    with contextlib.suppress(OperationalError, InterfaceError):
        await run_in_threadpool(lambda: removals.remove_again(app.state.desk, app.state.kept_in))
    try:
        with app.state.jobs.at_work():
            yield
    finally:
        app.state.live.close()


TASKS: Final[dict[str, Task]] = {
    "check_file": check_file,
    "take_file": take_file,
    "make_archive": archives.make_archive,
    "check_archive": check_archive,
    "take_archive": take_archive,
}
"""Long work by name; each is begun with the id of what it works on."""


class _Once:
    """The desk, opened at the first use and kept: the database may be away when the server starts."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine
        self._desk: Desk | None = None

    def __call__(self) -> Desk:
        if (spoken_for := desk_in_use()) is not None:
            return spoken_for
        if self._desk is None:
            self._desk = open_desk(self._engine)
        return self._desk

    def forget(self) -> None:
        """Open it anew at the next use: another studio may be the first one now."""
        self._desk = None


def _operation_name(route: APIRoute) -> str:
    return f"{route.tags[0] if route.tags else 'api'}_{route.name}"
