"""Whatever is told of a golfer over the lessons, opened by key: only what is asked for is worked out."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from datetime import UTC, datetime
from typing import Final
from uuid import UUID

from ...core.course.explained import OutlookExplained, outlook_explained
from ...core.judge.explained.line import LineExplained, line_explained, line_key
from ...core.judge.golfers_line import GolfersLine
from ...core.judge.share_line import ShareLine
from ..desk.desk import Desk
from ..desk.problem import NotFound
from ..judge.golfers_line import golfers_lines
from .changes import Change, changes_held
from .outlook import expected

EXPECTED: Final = "expected"


@dataclass(frozen=True, slots=True)
class LineOpened:
    """A line, the lines of the same that are told by themselves, and the day from which it counts its days."""

    it: LineExplained
    beside: tuple[GolfersLine, ...]
    since: datetime


@dataclass(frozen=True, slots=True)
class OutlookOpened:
    """What may be expected on the course, and from how many putts it is told."""

    it: OutlookExplained
    starts: int


@dataclass(frozen=True, slots=True)
class ShareOpened:
    """How often something is so, the same noted in other ways, and the day from which days are counted."""

    it: ShareLine
    beside: tuple[ShareLine, ...]
    since: datetime


Opened = LineOpened | ShareOpened | OutlookOpened | Change


def opened_of_golfer(desk: Desk, golfer_id: UUID, key: str) -> Opened:
    """Open what is told of a golfer; `NotFound` where nothing of that key is. A change holds its retests itself."""
    opener = _OPENERS.get(key.partition(":")[0])
    found = opener(desk, golfer_id, key) if opener else None
    if found is None:
        raise NotFound("claim")
    return found


def _line(desk: Desk, golfer_id: UUID, key: str) -> Opened | None:
    lines = golfers_lines(desk, golfer_id)
    one = next((it for it in lines.lines if line_key(it.keys[0].text) == key), None)
    if one is None or lines.since is None:
        return None
    beside = tuple(it for it in lines.lines if it.quantity == one.quantity and it.keys != one.keys)
    return LineOpened(line_explained(lines.told_of(one), one), beside, lines.since)


def _share(desk: Desk, golfer_id: UUID, key: str) -> Opened | None:
    lines = golfers_lines(desk, golfer_id)
    one = next((it for it in lines.shares if it.key == key), None)
    if one is None:
        return None
    beside = tuple(it for it in lines.shares if it.quantity == one.quantity and it != one)
    return ShareOpened(one, beside, datetime.fromtimestamp(0, UTC))


def _outlook(desk: Desk, golfer_id: UUID, key: str) -> Opened | None:
    it = expected(desk, golfer_id)
    if it.outlook is None or it.starter is None or it.roller is None:
        return None
    return OutlookOpened(outlook_explained(it.outlook, it.starter, it.roller, it.green), it.starts)


def _change(desk: Desk, golfer_id: UUID, key: str) -> Opened | None:
    return next((it for it in changes_held(desk, golfer_id) if it.key == key), None)


_OPENERS: Final[Mapping[str, Callable[[Desk, UUID, str], Opened | None]]] = {
    "line": _line,
    "share": _share,
    EXPECTED: _outlook,
    "change": _change,
}
"""What opens a kind, by what its keys begin with."""
