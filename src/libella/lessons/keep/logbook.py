"""The logbook: everything that was noted over the years, found by its words, by kind, by golfer, by day; and the time
line of one golfer, which is the same with nothing searched.

The words are searched by PostgreSQL, word by word as they begin, in no language of its own: names and notes are in any.
What is kept as a code (an instrument, a drill) is found by the codes whose names hold what is searched.
"""

import re
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Final, get_args
from uuid import UUID

from ...core.change.drills import drills
from ...core.instruments import instruments
from ...core.measure.limits import OutOfLimits
from ...store.logbook import found
from ...words.keep.logbook import Sort
from ..change.drills import drills_known
from ..desk.desk import Desk

SORTS: Final[tuple[Sort, ...]] = get_args(Sort)
PAGE: Final = 30
_MOST_WORDS: Final = 8


@dataclass(frozen=True, slots=True)
class LogEntry:
    """Something of the logbook.

    words : as it was written; code : what it is by its code, where it is no words; size : its number, where one is told
    lesson_id : the lesson it belongs to; None for what belongs to none
    """

    sort: Sort
    id: UUID
    golfer_id: UUID | None
    golfer: str
    lesson_id: UUID | None
    at: datetime
    words: str
    code: str
    size: float | None


@dataclass(frozen=True, slots=True)
class Sought:
    """What is looked for: words, kinds (none: all), a golfer, from and to a day; and behind which entry to go on."""

    words: str = ""
    sorts: tuple[Sort, ...] = ()
    golfer_id: UUID | None = None
    since: datetime | None = None
    until: datetime | None = None
    before: tuple[datetime, UUID] | None = None

    def __post_init__(self) -> None:
        for it in self.sorts:
            if it not in SORTS:
                raise OutOfLimits("sorts", "no_such_choice", named=it, known=SORTS)


def look_up(desk: Desk, sought: Sought) -> Sequence[LogEntry]:
    """A page of the logbook, newest first; golfers themselves only where they are searched or asked for."""
    words = re.findall(r"\w+", sought.words)[:_MOST_WORDS]
    if sought.words.strip() and not words:
        return []
    sorts = [it for it in SORTS if (it in sought.sorts if sought.sorts else words or it != "golfer")]
    facts = {
        "studio": desk.studio_id,
        "sorts": sorts,
        "golfer": sought.golfer_id,
        "query": " & ".join(f"{it}:*" for it in words),
        "codes": _codes(desk, words) if words else [],
        "since": sought.since,
        "until": sought.until,
        "before": sought.before,
        "most": PAGE,
    }
    with desk.transaction() as session:
        return [LogEntry(**it) for it in found(session, facts)]


def _codes(desk: Desk, words: Sequence[str]) -> list[str]:
    """Codes of instruments and drills whose names begin a word with every word that is searched."""
    sought = [it.lower() for it in words]
    names = {kind: it.about.name for kind, it in instruments().items()}
    names |= {code: it.name for code, it in drills().items()}
    names |= {code: it.drill.name for code, it in drills_known(desk).items()}
    return [code for code, name in names.items() if all(_begins(name, it) for it in sought)]


def _begins(name: str, word: str) -> bool:
    return any(it.startswith(word) for it in re.findall(r"\w+", name.lower()))
