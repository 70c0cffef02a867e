"""A row as a value."""

from collections.abc import Iterable
from dataclasses import fields
from functools import cache
from typing import Any, TypeVar

from sqlalchemy.orm import InstrumentedAttribute

from ...store.tables import Stored

Kept = TypeVar("Kept")


def value_of(kind: type[Kept], row: Stored) -> Kept:
    """What a row holds, as a value of its kind: taken while its session is open."""
    return kind(**{name: getattr(row, name) for name in _names(kind)})


def values_of(kind: type[Kept], rows: Iterable[Stored]) -> list[Kept]:
    """What each of the rows holds."""
    return [value_of(kind, row) for row in rows]


def columns_of(kind: type, table: type[Stored]) -> list[InstrumentedAttribute[Any]]:
    """The columns of a table that a kind of value holds: to be asked for where rows are many and nobody changes one."""
    return [getattr(table, name) for name in _names(kind)]


@cache
def _names(kind: type) -> tuple[str, ...]:
    return tuple(it.name for it in fields(kind))
