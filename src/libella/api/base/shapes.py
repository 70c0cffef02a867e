"""Shapes that several routers share."""

import base64
import binascii
import json
import unicodedata
from collections.abc import Callable, Mapping
from datetime import datetime
from functools import cache
from types import UnionType
from typing import Annotated, Any, Final, Literal, Union, get_args, get_origin
from uuid import UUID

from fastapi import Depends, Query, Request, Response
from pydantic import (
    UUID7,
    AfterValidator,
    AwareDatetime,
    BaseModel,
    ConfigDict,
    Field,
    StringConstraints,
    model_validator,
)

from ...core.measure.limits import OutOfLimits
from ...core.measure.units import Units
from ...lessons.desk.desk import Desk
from ...lessons.desk.names import is_markup
from ...lessons.desk.times import checked_time

_SAID: Final = frozenset([str, UUID, datetime, Any, object])


def _printable(text: str) -> str:
    if any(unicodedata.category(letter) in ("Cc", "Cs") and letter not in "\n\t" for letter in text):
        raise ValueError("control characters can't be kept")
    return text


def _named(text: str) -> str:
    if is_markup(text):
        raise ValueError("markup is no name")
    return text


def _kept(told: Any) -> Any:
    """The same of everything inside; what is nested deeper than any form is refused by who reads the JSON."""
    if isinstance(told, str):
        return _printable(told)
    for it in (*told, *told.values()) if isinstance(told, dict) else told if isinstance(told, list) else ():
        _kept(it)
    return told


Whatever = Annotated[dict[str, Any], AfterValidator(_kept)]
"""An object of somebody else's making, which is kept or looked up as it came."""
_Trimmed = Annotated[str, StringConstraints(strip_whitespace=True), AfterValidator(_printable)]
"""Trimmed and printable; the aliases below bound its length."""
Words10 = Annotated[_Trimmed, StringConstraints(max_length=10)]
Words20 = Annotated[_Trimmed, StringConstraints(max_length=20)]
Words30 = Annotated[_Trimmed, StringConstraints(max_length=30)]
Words40 = Annotated[_Trimmed, StringConstraints(max_length=40)]
Words80 = Annotated[_Trimmed, StringConstraints(max_length=80)]
Words200 = Annotated[_Trimmed, StringConstraints(max_length=200)]
ShortWords = Annotated[_Trimmed, StringConstraints(min_length=1, max_length=80), AfterValidator(_named)]
LongWords = Annotated[_Trimmed, StringConstraints(max_length=4000)]
Search = Annotated[Words80, Query(description="part of the name")]


def _moment(at: datetime) -> datetime:
    return checked_time("at", at)


Moment = Annotated[AwareDatetime, AfterValidator(_moment)]
"""When something happened: with its zone, not before 1950, not in the future."""


def _desk(request: Request) -> Desk:
    return request.app.state.desk()


AtDesk = Annotated[Desk, Depends(_desk)]
InUnits = Annotated[Units, Query(description="Units of lengths in sentences and drawings.")]


class Entry(BaseModel):
    """A body sent by a client: unknown fields are refused, numbers are finite."""

    model_config = ConfigDict(extra="forbid", allow_inf_nan=False)

    @model_validator(mode="before")
    @classmethod
    def _nothing_is_guessed(cls, told: Any) -> Any:
        """A truth value is no number, and words are no number: neither is turned into one."""
        if isinstance(told, dict):
            for name, field in cls.model_fields.items():
                if name in told and _misread(told[name], field.annotation):
                    raise ValueError(f"{name} takes another kind of value")
        return told


def _misread(value: Any, kind: Any) -> bool:
    """True where a value would be taken for a number, or a truth, that it is not."""
    parts = _parts(kind)
    if isinstance(value, bool):
        return bool not in parts and not parts & {Any, object}
    if isinstance(value, str):
        return bool(parts & {int, float, bool}) and not parts & _SAID
    if isinstance(value, int | float):
        return parts <= {bool, type(None)}
    inner = [it for it in (get_args(kind) or ()) if it is not type(None)]
    if isinstance(value, dict) and get_origin(kind) in (dict, Mapping):
        return any(_misread(it, get_args(kind)[1]) for it in value.values())
    if isinstance(value, list):
        if get_origin(kind) in (list, tuple) and inner:
            return any(_misread(it, inner[min(n, len(inner) - 1)] if Ellipsis not in inner else inner[0])
                       for n, it in enumerate(value))  # fmt: skip
        return any(_misread(value, it) for it in inner if get_origin(it) in (list, tuple))
    if isinstance(value, dict):
        return any(_misread(value, it) for it in inner if get_origin(it) is dict)
    return False


@cache
def _parts(kind: Any) -> frozenset[Any]:
    """The plain types a field may hold, choices counted as what they are."""
    if get_origin(kind) is Literal:
        return frozenset(type(it) for it in get_args(kind))
    if get_origin(kind) in (Union, UnionType, Annotated):
        inner = get_args(kind)[:1] if get_origin(kind) is Annotated else get_args(kind)
        return frozenset().union(*(_parts(it) for it in inner))
    return frozenset([get_origin(kind) or kind])


class VoidIn(Entry):
    """What was kept taken out of all that counts, or brought back; the record keeps it either way."""

    voided: bool = True


class VoidForReasonIn(VoidIn):
    """The same of what nobody takes out without saying why."""

    reason: Words80 = ""

    @property
    def why(self) -> str | None:
        """The reason; None brings it back. `OutOfLimits` where none is said."""
        if self.voided and not self.reason:
            raise OutOfLimits("reason", "void_reason_wanted")
        return self.reason if self.voided else None


class FlagsIn(Entry):
    """What lowers the weight of one reading, in place of what was said before."""

    flags: list[Words20] = Field(default_factory=list[str], max_length=8, examples=[["talked_through"]])


class Kept(BaseModel):
    """A row as kept."""

    model_config = ConfigDict(from_attributes=True)


class Page(BaseModel):
    """Where the next page starts; None at the end."""

    next: str | None


def as_kept(answer: str) -> Any:
    """An answer kept as JSON, passed on as it is."""
    return Response(answer, media_type="application/json")


def cursor(*parts: object) -> str:
    return base64.urlsafe_b64encode(json.dumps([str(it) for it in parts]).encode()).decode()


def opened(text: str | None, *kinds: Callable[[str], Any]) -> tuple[Any, ...] | None:
    """The parts of a cursor, each read by its kind, or None for the first page."""
    if not text:
        return None
    try:
        parts = json.loads(base64.b64decode(text.encode(), altchars=b"-_", validate=True))
        found = tuple(kind(part) for kind, part in zip(kinds, parts, strict=True))
        if any(isinstance(it, str) and "\x00" in it for it in found):
            raise ValueError("not one of ours")
        if any(isinstance(it, datetime) and it.tzinfo is None for it in found):
            raise ValueError("not one of ours")
        json.dumps(parts).encode()
        return tuple(str(it).encode().decode() if isinstance(it, str) else it for it in found)
    except (binascii.Error, ValueError, TypeError, AttributeError, RecursionError, OverflowError):
        raise OutOfLimits("after", "page_mark") from None


__all__ = [
    "UUID",
    "UUID7",
    "AtDesk",
    "Entry",
    "FlagsIn",
    "InUnits",
    "Kept",
    "LongWords",
    "Moment",
    "Page",
    "Search",
    "ShortWords",
    "VoidForReasonIn",
    "VoidIn",
    "Words10",
    "Words20",
    "Words30",
    "Words40",
    "Words80",
    "Words200",
    "as_kept",
    "cursor",
    "opened",
]
