"""Errors as application/problem+json (RFC 9457), naming the field, the limit and the unit."""

import logging
from collections.abc import Mapping
from typing import Any

from fastapi import FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.responses import JSONResponse
from pydantic import BaseModel, Field
from sqlalchemy.exc import DBAPIError, InterfaceError, OperationalError
from sqlalchemy.exc import TimeoutError as PoolTimeout
from starlette.exceptions import HTTPException

from ..core.limits import OutOfLimits
from ..lessons.problem import Conflict, NotFound

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
    return JSONResponse(body.model_dump(), status, headers=headers, media_type=_MEDIA)


def too_large(limit: int) -> JSONResponse:
    """A body larger than `limit` bytes."""
    size = f"{limit // 1024**2} MiB" if limit >= 1024**2 else f"{limit // 1024} KiB"
    return problem(413, "too-large", "Too much at once", f"At most {size} are taken here; nothing was kept.")


def install(app: FastAPI) -> None:
    """Answer every error of the application as a problem."""

    @app.exception_handler(OutOfLimits)
    def _out_of_limits(_: Request, error: OutOfLimits) -> JSONResponse:
        entry = FieldProblem(field=error.field, message=error.message, limit=error.limit, unit=error.unit)
        return problem(422, "out-of-limits", "Out of limits", error.message, errors=[entry])

    @app.exception_handler(NotFound)
    def _not_found(_: Request, error: NotFound) -> JSONResponse:
        return problem(404, "not-found", "Not found", str(error))

    @app.exception_handler(Conflict)
    def _conflict(_: Request, error: Conflict) -> JSONResponse:
        return problem(409, "conflict", "Already kept otherwise", str(error), remedy=error.remedy)

    @app.exception_handler(RequestValidationError)
    def _invalid(_: Request, error: RequestValidationError) -> JSONResponse:
        faults = error.errors()
        if any(it["type"] == "json_invalid" for it in faults):
            return problem(400, "broken-json", "Not readable", "The request is not valid JSON; nothing was kept.")
        errors = [field_problem(it) for it in faults]
        said = "; ".join(f"{it.field}: {it.message}" for it in errors)
        return problem(422, "invalid", "An entry can't be used", said, errors=errors)

    @app.exception_handler(HTTPException)
    def _http(_: Request, error: HTTPException) -> JSONResponse:
        return problem(error.status_code, "http", "Not possible", str(error.detail), headers=error.headers)

    @app.exception_handler(OperationalError)
    @app.exception_handler(InterfaceError)
    @app.exception_handler(PoolTimeout)
    def _away(_: Request, error: Exception) -> JSONResponse:
        _log.warning("database away: %s", error)
        return problem(
            503,
            "database-away",
            "The record book can't be reached",
            "The database does not answer just now. What was confirmed is safe; this entry was not kept yet.",
            remedy="Leave the page open: it tries again by itself.",
            headers={"Retry-After": "2"},
        )

    @app.exception_handler(DBAPIError)
    def _database(request: Request, error: DBAPIError) -> JSONResponse:
        # A connection cut in mid-statement also arrives under other names.
        return _away(request, error) if error.connection_invalidated else _unexpected(request, error)

    @app.exception_handler(Exception)
    def _unexpected(_: Request, error: Exception) -> JSONResponse:
        _log.error("unexpected", exc_info=error)
        return problem(500, "unexpected", "Something went wrong here", "This entry was not kept. The log says more.")


def field_problem(fault: Mapping[str, Any]) -> FieldProblem:
    """What a validation found wrong with one entry."""
    path = [str(part) for part in fault["loc"] if part not in ("body", "query", "path")]
    context = fault.get("ctx") or {}
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
    return FieldProblem(field=field, message=fault["msg"], limit=", ".join(limits), unit=unit)
