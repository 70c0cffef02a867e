"""What a golfer may expect on the course, from everything that was read of starts, finishes and reads."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final
from uuid import UUID

from ...core.change.made import MadeAt
from ...core.change.retest import Retest
from ...core.course.chance import Green, Starter
from ...core.course.outlook import DRAWN, Outlook, changed_by, outlook, read_error, starter_of
from ...core.course.roller import Finish, Roller, roller
from ...core.judge.golfers_line import GolfersLine
from ..desk.desk import Desk
from ..desk.in_hand import InHand
from ..desk.kept import mark_of_golfer
from ..golfer.golfers import golfer
from ..golfer.schools import schools_of
from ..judge.account import over_lessons
from ..judge.bands import band_for
from ..judge.golfers_line import golfers_lines
from ..lesson.lessons import lessons_alone
from .changes import Change, changes_held
from .on_the_course import on_the_course

_FEWEST: Final = 5
"""Starts below which nothing is predicted."""


@dataclass(frozen=True, slots=True)
class Expected:
    """What may be expected, and from what it is told.

    Attributes
    ----------
    outlook : None where too few starts were read
    starts : how many were; green : the one it is told for
    change : the change set beside it; None where none was retested by its starts
    """

    outlook: Outlook | None
    starts: int
    green: Green
    change: Change | None
    made: Sequence[MadeAt]
    starter: Starter | None = None
    roller: Roller | None = None
    """What it is told from."""


_IN_HAND: Final = InHand[Expected](4)


def expected(desk: Desk, golfer_id: UUID) -> Expected:
    """What a golfer may expect."""
    mark = mark_of_golfer(desk, golfer_id)
    return _IN_HAND.of(desk, mark, golfer_id, lambda: _expected(desk, golfer_id))


def _expected(desk: Desk, golfer_id: UUID) -> Expected:
    who = golfer(desk, golfer_id)
    schools = schools_of(desk, who)
    lessons = [it for it in lessons_alone(desk, golfer_id) if it.hand == who.hand]
    speed = lessons[-1].green_speed_ft if lessons else 10.0
    green = Green(speed, schools.settings.capture or "rim_assisted")
    made = on_the_course(desk, golfer_id).made
    line = _starts(golfers_lines(desk, golfer_id, starts_only=True).lines)
    if line is None or line.spread is None or line.readings < _FEWEST:
        return Expected(None, line.readings if line else 0, green, None, made)
    band = band_for(desk, who.level, schools)
    told = over_lessons(desk, who, lessons, band.spread_deg["start"])
    starter = starter_of(line.now, line.spread, read_error(told.reads_off))
    change, retest = _retested(changes_held(desk, golfer_id))
    rolls = roller([Finish(it.distance_m, it.past) for it in told.ended], DRAWN)
    found = outlook(
        starter,
        changed_by(starter, retest) if retest else None,
        rolls,
        green,
        made,
        len(told.reads_off),
    )
    return Expected(found, line.readings, green, change, made, starter, rolls)


def _starts(lines: Sequence[GolfersLine]) -> GolfersLine | None:
    """The line of the starts with nothing in view; else the one there is."""
    told = [it for it in lines if it.quantity.name == "start" and it.has_middle]
    return next((it for it in told if not it.guided), told[0] if told else None)


def _retested(held: Sequence[Change]) -> tuple[Change | None, Retest | None]:
    """The newest change that stands and was retested by its starts, with what its retests say together."""
    for it in held:
        if it.tested.standing in ("dropped", "untested") or it.beside:
            continue
        told = it.tested.together or next((one for one in reversed(it.tested.retests) if one.final), None)
        if told is not None and told.ways is not None:
            return it, told
    return None, None
