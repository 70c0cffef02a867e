"""A row as a value."""

from collections.abc import Iterable
from dataclasses import fields
from functools import cache
from typing import TypeVar

from ...store.tables import Stored

Kept = TypeVar("Kept")


def value_of(kind: type[Kept], row: Stored) -> Kept:
    """What a row holds, as a value of its kind: taken while its session is open."""
    return kind(**{name: getattr(row, name) for name in _names(kind)})


def values_of(kind: type[Kept], rows: Iterable[Stored]) -> list[Kept]:
    """What each of the rows holds."""
    return [value_of(kind, row) for row in rows]


@cache
def _names(kind: type) -> tuple[str, ...]:
    return tuple(it.name for it in fields(kind))
