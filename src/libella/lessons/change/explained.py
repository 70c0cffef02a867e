"""Whatever is told of a golfer over the lessons, opened by key."""

from collections.abc import Callable, Mapping
from datetime import datetime
from functools import partial
from typing import Final
from uuid import UUID

from ...core.course.explained import OutlookExplained, outlook_explained
from ...core.judge.explained.line import LineExplained, line_explained, line_key
from ..desk.desk import Desk
from ..judge.golfers_line import golfers_lines
from .changes import Change, changes_held
from .outlook import expected

Opened = LineExplained | OutlookExplained | Change
EXPECTED: Final = "expected"


def change_key(id: UUID) -> str:
    """A change that was chosen."""
    return f"change:{id}"


def of_golfer(desk: Desk, golfer_id: UUID) -> tuple[Mapping[str, Callable[[], Opened]], datetime | None]:
    """Everything that can be opened of a golfer, and the day from which a line counts its days."""
    lines, outlook = golfers_lines(desk, golfer_id), expected(desk, golfer_id)
    found: dict[str, Callable[[], Opened]] = {
        line_key(it.keys[0].text): partial(line_explained, lines.told_of(it), it) for it in lines.lines
    }
    if outlook.outlook is not None and outlook.starter is not None and outlook.roller is not None:
        found[EXPECTED] = partial(outlook_explained, outlook.outlook, outlook.starter, outlook.roller, outlook.green)
    for it in changes_held(desk, golfer_id):
        found[change_key(it.kept.id)] = partial(_itself, it)
    return found, lines.since


def _itself(it: Change) -> Change:
    """A change holds its retests: there is nothing more to open."""
    return it
