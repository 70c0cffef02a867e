"""What a plan is made of: what it is given, sessions with their items, the wishes that were not met (practice 4)."""

import math
from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Final, Literal

from ..golfer.limits import Limit
from ..measure.limits import Bounds, OutOfLimits
from ..measure.side import Side
from ..opinions.held import Opinion
from .drill import Drill, Serves
from .retest import EACH

Kind = Literal["check", "retention", "retest", "drill"]
Wish = Literal["retest", "retention", "check", "half", "variety", "aid_off", "sides", "waits", "free"]
"""What a plan should do beside staying within its minutes, the weightiest first; what it could not is named."""
Why = Literal["", "time", "half", "new", "done", "met", "body", "bag", "card", "green", "none"]
"""Why not: no day has the minutes; half of them go to the change; one new drill a session is enough; every drill had
its days this week; its goals are met; the body, the bag, a card or a green that is missing rule its drills out; there
is no drill."""
DAYS: Final = Bounds(1, 7, "days")
MINUTES: Final = Bounds(5, 60, "min")
WEEKS: Final = Bounds(1, 8, "weeks")
PUTT_S: Final = Opinion("putt_takes", 15.0, "s")
"""A putt with what belongs to it: an opinion, until the golfer's own was recorded."""
REST_EVERY_MIN: Final = 8.0
LAY_MIN: Final = Opinion("laying_takes", 1.0, "min")
"""To lay a station, or to change to the other way: an opinion."""


def retest_min(putt_s: float | None = None) -> float:
    """Minutes of a retest, both ways together with the laying."""
    return 2 * EACH * (PUTT_S() if putt_s is None else putt_s) / 60 + LAY_MIN()


@dataclass(frozen=True, slots=True)
class Given:
    """What a plan is made for.

    findings : what is worked on, with its weight in putts of 100; what the change is for comes first, then the
        weightiest
    drills : those that practise the change, the best first
    minutes : of each day of a week that is practised
    change : one was chosen, and is retested; card : there is a set-up card to check by
    limits : what limits the golfer; without : drills that are done with, or that nobody wants
    owned : kinds of instrument at hand; None: not told
    putt_s : seconds a putt takes; more : drills of the coach's own
    schools : those of the change that was chosen: a drill of a rival school comes after the others
    first, last : drills that the schools held stand for, and those they do without
    same_day : the first day is the lesson's own: nothing can be kept overnight by then
    no_green : there is no green at home, only a floor or a mat
    zone : where the person's days begin and end, by its name in the tz database; empty: UTC
    """

    findings: tuple[tuple[Serves, float], ...]
    minutes: tuple[float, ...]
    weeks: int = 4
    change: bool = False
    card: bool = False
    limits: tuple[Limit, ...] = ()
    without: tuple[str, ...] = ()
    owned: frozenset[str] | None = None
    putt_s: float = field(default_factory=PUTT_S)
    more: tuple[Drill, ...] = ()
    schools: tuple[str, ...] = ()
    first: tuple[str, ...] = ()
    last: tuple[str, ...] = ()
    drills: tuple[str, ...] = ()
    same_day: bool = False
    no_green: bool = False
    zone: str = ""

    def __post_init__(self) -> None:
        DAYS.check("days", "plan_days", len(self.minutes))
        WEEKS.check("weeks", "plan_weeks", self.weeks)
        for n, it in enumerate(self.minutes):
            MINUTES.check(f"minutes.{n}", "plan_minutes", it)
        if not self.findings:
            raise OutOfLimits("findings", "plan_of_nothing")


@dataclass(frozen=True, slots=True)
class Item:
    """One thing of a session.

    drill : its code; `serves`: the finding it is there for
    times : putts, set-downs or looks; `bare`: without the aid
    break_side : to which side the putts break; `quarter`: from which quarter of the hole, 1 to 4, 0 for any
    """

    kind: Kind
    minutes: float
    times: int = 0
    drill: str = ""
    serves: Serves = ""
    bare: bool = True
    break_side: Side = "neither"
    quarter: int = 0


@dataclass(frozen=True, slots=True)
class Session:
    """A day's practice: in which week and on the how-manieth day of it, both from 1; in order; `rests`: minutes of rest
    within it."""

    week: int
    day: int
    minutes: float
    items: tuple[Item, ...]

    @property
    def rests(self) -> float:
        return math.floor(sum(it.minutes for it in self.items) / REST_EVERY_MIN)


@dataclass(frozen=True, slots=True)
class Unmet:
    """A wish that could not be met: in which week, 0 for the whole plan; `about`: what waits, or which day of the week
    is free; why."""

    wish: Wish
    week: int = 0
    about: str = ""
    why: Why = ""


@dataclass(frozen=True)
class Before:
    """What was practised before: minutes for each finding, the drills known, those of the last two sessions; weeks and
    sessions so far."""

    minutes: Mapping[Serves, float] = field(default_factory=dict[Serves, float])
    known: frozenset[str] = frozenset()
    last: tuple[frozenset[str], ...] = ()
    weeks: int = 0
    sessions: int = 0
