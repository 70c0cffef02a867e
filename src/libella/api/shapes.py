"""Shapes that several routers share."""

import base64
import binascii
import json
from collections.abc import Callable
from typing import Annotated, Any
from uuid import UUID

from fastapi import Depends, Query, Request
from pydantic import UUID7, AfterValidator, AwareDatetime, BaseModel, ConfigDict, StringConstraints

from ..core.limits import OutOfLimits
from ..core.wording import Units
from ..lessons.desk import Desk


def _printable(text: str) -> str:
    if any(ord(letter) < 32 and letter not in "\n\t" for letter in text):
        raise ValueError("control characters can't be kept")
    return text


def words(longest: int, *, shortest: int = 0) -> Any:
    """A string type: trimmed, printable, bounded in length."""
    return Annotated[
        str,
        StringConstraints(strip_whitespace=True, min_length=shortest, max_length=longest),
        AfterValidator(_printable),
    ]


ShortWords = words(80, shortest=1)
LongWords = words(4000)


def _desk(request: Request) -> Desk:
    return request.app.state.desk()


AtDesk = Annotated[Desk, Depends(_desk)]
InUnits = Annotated[Units, Query(description="Units of lengths in sentences and drawings.")]


class Entry(BaseModel):
    """A body sent by a client: unknown fields are refused, numbers are finite."""

    model_config = ConfigDict(extra="forbid", allow_inf_nan=False)


class Kept(BaseModel):
    """A row as kept."""

    model_config = ConfigDict(from_attributes=True)


class Page(BaseModel):
    """Where the next page starts; None at the end."""

    next: str | None


def cursor(*parts: object) -> str:
    return base64.urlsafe_b64encode(json.dumps([str(it) for it in parts]).encode()).decode()


def opened(text: str | None, *kinds: Callable[[str], Any]) -> tuple[Any, ...] | None:
    """The parts of a cursor, each read by its kind, or None for the first page."""
    if not text:
        return None
    try:
        parts = json.loads(base64.urlsafe_b64decode(text.encode()))
        return tuple(kind(part) for kind, part in zip(kinds, parts, strict=True))
    except (binascii.Error, ValueError, TypeError, AttributeError):
        limit = "as given by the page before"
        raise OutOfLimits("after", "This page mark is not one of ours.", limit=limit, unit="") from None


__all__ = [
    "UUID",
    "UUID7",
    "AtDesk",
    "AwareDatetime",
    "Entry",
    "InUnits",
    "Kept",
    "LongWords",
    "Page",
    "ShortWords",
    "cursor",
    "opened",
    "words",
]
