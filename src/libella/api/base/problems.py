"""Errors as application/problem+json (RFC 9457), naming the field, the limit and the unit."""

import json
import logging
import re
import traceback
from collections.abc import Mapping
from typing import Any, Final

from fastapi import FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.responses import JSONResponse
from pydantic import BaseModel, Field
from sqlalchemy.exc import DBAPIError, InterfaceError, OperationalError
from sqlalchemy.exc import TimeoutError as PoolTimeout
from starlette.exceptions import HTTPException
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from ...core.measure.limits import OutOfLimits
from ...core.measure.units import Units
from ...lessons.desk.problem import Changed, Conflict, NotFound
from ...words.people.refusals import SIGN_IN
from ...words.people.refusals import TITLES as SIGN_IN_TITLES
from ...words.refusals import TITLES, conflict_words, not_found_words, refusal_words
from ...words.shared.refusals import CHANGED

_log = logging.getLogger("libella")
_MEDIA = "application/problem+json"


class FieldProblem(BaseModel):
    """What is wrong with one entry."""

    field: str = Field(examples=["rig_sizes_m.inside_width_m"])
    message: str
    limit: str = Field(default="", examples=["43.7 mm to 300 mm"])
    unit: str = Field(default="", examples=["m"])


class Problem(BaseModel):
    """RFC 9457 problem details."""

    type: str = Field(examples=["urn:libella:problem:out-of-limits"])
    title: str
    status: int
    detail: str
    remedy: str = ""
    errors: list[FieldProblem] = Field(default_factory=list)


def problem(
    status: int,
    name: str,
    title: str,
    detail: str,
    *,
    remedy: str = "",
    errors: list[FieldProblem] | None = None,
    headers: Mapping[str, str] | None = None,
) -> JSONResponse:
    """A problem response."""
    body = Problem(
        type=f"urn:libella:problem:{name}",
        title=title,
        status=status,
        detail=detail,
        remedy=remedy,
        errors=errors or [],
    )
    return _Said(body.model_dump(), status, headers=headers, media_type=_MEDIA)


class _Said(JSONResponse):
    """JSON that can be sent whatever was sent to us: half a character becomes a question mark."""

    def render(self, content: Any) -> bytes:
        return json.dumps(content, ensure_ascii=False, separators=(",", ":")).encode(errors="replace")


def too_large(limit: int) -> JSONResponse:
    """A body larger than `limit` bytes."""
    size = f"{limit // 1024**2} MiB" if limit >= 1024**2 else f"{limit // 1024} KiB"
    return problem(413, "too-large", "Too much at once", f"At most {size} are taken here; nothing was kept.")


def too_slow(patience_s: float) -> JSONResponse:
    """A body of which nothing more came for so long."""
    said = f"Nothing more of it came for {patience_s:g} s; nothing was kept."
    return problem(
        408, "too-slow", "It stopped arriving", said, remedy="Send it again.", headers={"Connection": "close"}
    )


def not_from_there() -> JSONResponse:
    """A page of another site had the browser ask."""
    said = "This came from a page that is not Libella’s; nothing was kept or shown."
    return problem(403, "not-from-there", "Not from there", said, remedy="Open Libella itself, and do it there.")


def too_often() -> JSONResponse:
    """More in a minute than one address, or one studio, is answered."""
    said = "More was asked in a minute than is answered here; what waits is sent again by itself."
    return problem(429, "too-often", "Too much at once", said, headers={"Retry-After": "10"})


def not_let_in(status: int, code: str) -> JSONResponse:
    """Somebody who may not, or who could not be told from anybody."""
    said, remedy = SIGN_IN[code]
    headers = {"Retry-After": "900"} if status == 429 else None
    return problem(status, code.replace("_", "-"), SIGN_IN_TITLES[code], said, remedy=remedy, headers=headers)


def install(app: FastAPI) -> None:
    """Answer every error of the application as a problem."""
    _install_refusals(app)
    _install_faults(app)


def _install_refusals(app: FastAPI) -> None:
    """What was asked can't be: the entry, or what it would change."""

    @app.exception_handler(OutOfLimits)
    def _out_of_limits(request: Request, error: OutOfLimits) -> JSONResponse:
        entry = limit_problem(error, _units(request))
        return problem(422, "out-of-limits", "Out of limits", entry.message, errors=[entry])

    @app.exception_handler(NotFound)
    def _not_found(_: Request, error: NotFound) -> JSONResponse:
        return problem(404, "not-found", "Not found", not_found_words(error.what))

    @app.exception_handler(Conflict)
    def _conflict(_: Request, error: Conflict) -> JSONResponse:
        message, remedy = conflict_words(error.code, error.facts)
        return problem(409, error.name, TITLES[error.name], message, remedy=remedy)

    @app.exception_handler(Changed)
    def _changed(_: Request, error: Changed) -> JSONResponse:
        message, remedy = conflict_words(error.code, error.facts)
        labels = CHANGED[error.of_field]
        errors = [
            FieldProblem(
                field=name,
                message=conflict_words(error.of_field, {"label": labels[name], "now": now, "seen": seen})[0],
            )
            for name, (now, seen) in error.fields.items()
        ]
        return problem(412, error.name, TITLES[error.name], message, remedy=remedy, errors=errors)

    @app.exception_handler(RequestValidationError)
    def _invalid(request: Request, error: RequestValidationError) -> JSONResponse:
        faults = error.errors()
        units = _units(request)
        if any(it["type"] == "json_invalid" for it in faults):
            return problem(400, "broken-json", "Not readable", "The request is not valid JSON; nothing was kept.")
        errors = [field_problem(it, units) for it in faults]
        said = "; ".join(f"{it.field}: {it.message}" for it in errors)
        return problem(422, "invalid", "An entry can't be used", said, errors=errors)

    @app.exception_handler(HTTPException)
    def _http(_: Request, error: HTTPException) -> JSONResponse:
        return problem(error.status_code, "http", "Not possible", str(error.detail), headers=error.headers)


def _install_faults(app: FastAPI) -> None:
    """What was asked could be, but not now or not here: the database, or a fault of ours."""

    @app.exception_handler(OperationalError)
    @app.exception_handler(InterfaceError)
    @app.exception_handler(PoolTimeout)
    def _away(request: Request, error: Exception) -> JSONResponse:
        if is_full(error):
            return _full(request, error)
        _log.warning("database away: %s", _kind_of(error))
        return problem(
            503,
            "database-away",
            "The record book can't be reached",
            f"The database does not answer just now. What was confirmed is safe; {_undone(request)} yet.",
            remedy="Leave the page open: it tries again by itself.",
            headers={"Retry-After": "2"},
        )

    def _full(request: Request, error: Exception) -> JSONResponse:
        _log.error("no room for the database: %s", _kind_of(error))
        return problem(
            507,
            "no-room",
            "No room to keep anything",
            f"The disk that holds the record book is full. What was confirmed is safe; {_undone(request)} yet.",
            remedy="Make room on the machine that Libella runs on; this page tries again by itself.",
            headers={"Retry-After": "10"},
        )

    @app.exception_handler(DBAPIError)
    def _database(request: Request, error: DBAPIError) -> JSONResponse:
        if is_full(error):
            return _full(request, error)
        # A connection cut in mid-statement also arrives under other names.
        return _away(request, error) if error.connection_invalidated else _unexpected(request, error)


def _unexpected(request: Request, error: Exception) -> JSONResponse:
    log_fault("unexpected", error)
    said = _undone(request)
    return problem(500, "unexpected", "Something went wrong here", f"{said[0].upper()}{said[1:]}. The log says more.")


class Faults:
    """Answers a fault of ours before whoever serves us hears of it: he would write its words into the log, and they may
    hold what was entered; and his answer would not tell the browser what every other does."""

    def __init__(self, app: ASGIApp) -> None:
        self._app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http":
            return await self._app(scope, receive, send)
        begun = False

        async def noticed(message: Message) -> None:
            nonlocal begun
            begun = begun or message["type"] == "http.response.start"
            await send(message)

        try:
            await self._app(scope, receive, noticed)
        except Exception as error:
            if begun:
                log_fault("an answer broke off", error)
                raise ConnectionError("an answer broke off") from None
            await _unexpected(Request(scope), error)(scope, receive, send)


def log_fault(what: str, error: BaseException) -> None:
    """Write down where a fault happened and of which kind; never its words, which may hold what was entered."""
    frames = "".join(traceback.format_tb(error.__traceback__))
    _log.error("%s: %s\n%s", what, _kind_of(error), frames)


def is_full(error: BaseException) -> bool:
    """True when the database had no room left: on its disk, or in its memory for a disk."""
    state = getattr(getattr(error, "orig", None), "sqlstate", None)
    return state in ("53100", "58030") or "No space left" in str(getattr(error, "orig", ""))


def _kind_of(error: BaseException) -> str:
    inner = getattr(error, "orig", None)
    state = getattr(inner, "sqlstate", None)
    return type(error).__name__ + (f" ({type(inner).__name__} {state or ''})".rstrip() if inner is not None else "")


def _undone(request: Request) -> str:
    """What did not happen: a question was not answered, or an entry was not kept."""
    return "this could not be read" if request.method in ("GET", "HEAD") else "this entry was not kept"


def _units(request: Request) -> Units:
    """The reader's units: as asked for, or as the page says with every request."""
    told = request.query_params.get("units") or request.headers.get("libella-units")
    return "feet" if told == "feet" else "metric"


def limit_problem(error: OutOfLimits, units: Units) -> FieldProblem:
    """An entry out of limits, in the reader's units."""
    said = refusal_words(error, units)
    return FieldProblem(field=error.field, message=said.message, limit=said.limit, unit=error.unit)


_BRANCH: Final = re.compile(r"function-|(float|int|str|bool|constrained-str|none)$|(literal|tagged-union|list|dict)\[")
"""How a validation calls the kinds that one entry may be of: no field of anybody's."""


def field_problem(fault: Mapping[str, Any], units: Units = "metric") -> FieldProblem:
    """What a validation found wrong with one entry."""
    context = fault.get("ctx") or {}
    path = [it for part in fault["loc"] if part not in ("body", "query", "path") and not _BRANCH.match(it := str(part))]
    inner = context.get("error")
    if isinstance(inner, OutOfLimits):
        return limit_problem(inner, units).model_copy(update={"field": ".".join(path) or inner.field})
    bounds = {"ge": "at least", "gt": "more than", "le": "at most", "lt": "under"}
    limits = [f"{word} {context[key]}" for key, word in bounds.items() if key in context]
    if "max_length" in context:
        limits.append(f"at most {context['max_length']} characters")
    if "min_length" in context:
        limits.append(f"at least {context['min_length']} characters")
    if "expected" in context:
        limits.append(f"one of {context['expected']}")
    field = ".".join(path) or "body"
    unit = next((unit for end, unit in (("_m", "m"), ("_ft", "ft"), ("_deg", "deg")) if field.endswith(end)), "")
    message = str(fault["msg"]).removeprefix("Value error, ")
    return FieldProblem(field=field, message=message, limit=", ".join(limits), unit=unit)
