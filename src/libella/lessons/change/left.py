"""What is left of a change on a later day, before any other putt; how far an eye that is trained has come."""

import math
from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Final

from ...core.change.retention import Known, Retained, retained
from ...core.change.retest import Retest, Way
from ...core.change.training import Asked, Trained, trained
from ...core.judge.ledger.factors import GUIDED, Factor
from ..desk.desk import Desk
from ..judge.account import account_of
from ..lesson.lessons import every_lesson_of, lessons_alone
from ..see.maps import map_sheet
from ..values import KeptLesson
from .changes import Change

_LATER: Final = timedelta(hours=20)
"""From here on it is another day."""


@dataclass(frozen=True, slots=True)
class LeftOf:
    """What was left of a change, and when it was looked at."""

    at: datetime
    told: Retained


def left_of(desk: Desk, it: Change) -> LeftOf | None:
    """What is left of a change of the line: by the newest lesson on a later day that began with putts with nothing to
    help, as usual or as changed. None where a gain is not even likely, or nobody looked."""
    told = it.tested.together or next((one for one in reversed(it.tested.retests) if one.final), None)
    if told is None or told.ways is None or told.question != "line":
        return None
    last = max((one.comparison.started_at for one in it.retests), default=it.kept.made_at)
    lessons = every_lesson_of(desk, it.kept.golfer_id)
    later = [one for one, sheets in lessons if one.started_at >= last + _LATER and sheets]
    for lesson in reversed(later):
        found = _first_bare(desk, lesson, it.chosen.factors)
        if found is not None:
            known, putts = found
            tested = {one.comparison.lesson_id for one in it.retests}
            shared = max((_laying(desk, one) for one, _ in lessons if one.id in tested), default=0.0)
            before, after = (_known(way) for way in told.ways)
            wide = Known(known.mean, math.hypot(known.sd, shared))
            left = retained(before, after, wide, putts, _spread(told))
            return None if left is None else LeftOf(lesson.started_at, left)
    return None


def eye_of(desk: Desk, it: Change) -> Trained:
    """How far an eye has come since the change was chosen: what looked straight as usual, lesson by lesson."""
    asked: list[Asked] = []
    lessons = lessons_alone(desk, it.kept.golfer_id)
    since = next((one.started_at for one in lessons if one.id == it.kept.lesson_id), it.kept.made_at)
    for lesson in lessons:
        if lesson.started_at >= since:
            angle = map_sheet(desk, lesson.id).as_usual
            if angle is not None:
                asked.append(Asked(lesson.started_at.timestamp() / 86400.0, angle))
    return trained(asked)


def _first_bare(desk: Desk, lesson: KeptLesson, factors: Mapping[str, str]) -> tuple[Known, int] | None:
    """Where the first putts of a lesson started, and how many; None where something helped them, or they were putted
    otherwise."""
    account = account_of(desk, lesson.id)
    first = account.first_putts
    if first is None:
        return None
    told = dict(first.levels)
    if told.get("guide") == GUIDED or first.comparison or not _as_meant(told, factors):
        return None
    found = account.as_block(first)
    if found is None or found.bias is None:
        return None
    mean, sd = found.bias
    return Known(mean, math.hypot(sd, found.laying_sd, found.device_sd)), found.count


def _as_meant(told: Mapping[Factor, str], factors: Mapping[str, str]) -> bool:
    """As usual, or as changed: by then the one is the other. How long the putt was moves no start of its own."""
    rest = {name: level for name, level in told.items() if name not in ("guide", "break", "length")}
    return not rest or rest == dict(factors)


def _laying(desk: Desk, lesson: KeptLesson) -> float:
    """What is not known of the line a retest was putted on: both its ways share it, another day's does not."""
    return account_of(desk, lesson.id).compared_on_deg


def _known(it: Way) -> Known:
    return Known(*it.bias)


def _spread(it: Retest) -> float:
    assert it.ways is not None
    return math.exp(it.ways[1].log_spread[0])
