"""Forms in which files of putts come in that are no text cut into cells; each one entry."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Final

from .book import Book, is_book, read_book
from .records import is_records, read_records


@dataclass(frozen=True, slots=True)
class FormIn:
    """How the names of such files end, how one is known by its bytes, and how it is read as a table; reading raises
    `OutOfLimits` for what is none."""

    ends: tuple[str, ...]
    is_one: Callable[[bytes], bool]
    read: Callable[[bytes], Book]


FORMS_IN: Final[dict[str, FormIn]] = {
    "spreadsheet": FormIn((".xlsx", ".xls", ".ods"), is_book, read_book),
    "records": FormIn((".json",), is_records, read_records),
}


def form_of(content: bytes) -> FormIn | None:
    """The form of these bytes; None for text."""
    return next((it for it in FORMS_IN.values() if it.is_one(content)), None)


def endings() -> list[str]:
    """How the names of files end that can be read."""
    return [".csv", ".txt", ".tsv", *(end for it in FORMS_IN.values() for end in it.ends)]
