"""A drill: what it serves, how its station is laid, its steps, dose, goal, what is easier and harder, its risk
(practice 3). Every figure is an opinion that a coach may change."""

import re
from dataclasses import dataclass, field, replace
from typing import Final, Literal, get_args

from ..golfer.limits import Limit
from ..measure.limits import Bounds, OutOfLimits
from ..measure.units import Units
from .goal import CountGoal, Goal, LevelGoal, ShareGoal
from .topic import Topic

Serves = Topic | Literal["transfer", "balance", "retention", "check"]
"""A topic, or what belongs to none: putting as on the course, all sides alike, what is left on another day, the
set-up found again."""
Event = Literal["putt", "set_down", "look", "round"]
"""What is done over and over: a putt, a set-down, a look at a line; or a round on the course."""
EVENTS: Final[tuple[Event, ...]] = get_args(Event)
PUTTS: Final = Bounds(3, 60, "putts")
MINUTES: Final = Bounds(0.5, 12, "min")
"""Of one run: nobody stands longer in one place (practice 4)."""
DAYS: Final = Bounds(1, 7, "days")
_LONGEST: Final = 300


@dataclass(frozen=True, slots=True)
class Dose:
    """How much: events in a run, minutes a run takes with its laying, days a week."""

    times: int
    minutes: float
    days: int = 3

    def __post_init__(self) -> None:
        PUTTS.check("times", "dose_times", self.times)
        MINUTES.check("minutes", "dose_minutes", self.minutes)
        DAYS.check("days", "dose_days", self.days)


@dataclass(frozen=True, slots=True)
class Narrowing:
    """What a step harder narrows, and a step easier widens: a dimension of what lies there, so much a step, m."""

    kind: str
    dimension: str
    by_m: float


@dataclass(frozen=True, slots=True)
class Layout:
    """How its station is laid.

    rigs : kinds of rig by preference: the first of which the bag holds what it takes
    aids : what lies beside it, as far as the bag holds it
    lengths_m : of the putts, in turns; empty where nothing is putted
    falls_percent : across the line, to the left and the right in turns; 0 on the level
    hole : there is a hole; else a tape mark
    narrows : what of it is narrower with every step
    """

    rigs: tuple[str, ...] = ("no_rig",)
    aids: tuple[str, ...] = ()
    lengths_m: tuple[float, ...] = (2.5,)
    falls_percent: float = 0.0
    hole: bool = True
    narrows: Narrowing | None = None


@dataclass(frozen=True, slots=True)
class Scored:
    """What counts as done, once for each event: a note of the putt with one of these options, or a size within these
    ends; a start that the rig read to be on the line; a start that was felt as it was read; else what whoever watches
    taps.

    note, options : of a putt that was noted; empty: none
    sizes : ends of a noted size, in its unit; where it is how far the ball ran past, a holed putt lies within them
    start : the start as the rig read it lies within so many degrees, or where that is 0, passed clean; None: not the
        start
    called : the start that was felt is the one that was read
    asks : what is tapped where nothing else tells it: "Clean?"
    """

    asks: str
    note: str = ""
    options: tuple[str, ...] = ()
    sizes: tuple[float, float] | None = None
    start: float | None = None
    called: bool = False

    @property
    def of_holed(self) -> bool:
        """What counts as done is a putt that was holed."""
        return self.options == ("holed",)


_EITHER: Final = re.compile(r"\{([^|{}]*)\|([^|{}]*)\}")
_TEXTS: Final = ("purpose", "easier", "harder", "risk", "stop", "indoors", "outdoors")


@dataclass(frozen=True, slots=True)
class Drill:
    """One drill.

    Attributes
    ----------
    code, name : its file, and what it is called
    serves : the findings it is for, the first most
    steps : what is done, in order
    indoors, outdoors : what is other there
    easier, harder : the next step either way, in words; a gate's own width comes from the ladder. In every text a
        length is written in both systems, {one metre|3 ft}: see `told_in`
    guided : an aid is in view that can be taken away: then it is run with it, and bare
    breaks : it is putted across a slope, from both sides in turns
    sides : it is putted from all round the hole
    unfit : what limits a golfer too much for it
    card : it is done by the limits of a set-up card
    kept : it practises a way that did better: for who keeps one, and for nobody else
    """

    code: str
    name: str
    purpose: str
    serves: tuple[Serves, ...]
    event: Event
    layout: Layout
    steps: tuple[str, ...]
    dose: Dose
    scored: Scored
    goal: Goal
    easier: str = ""
    harder: str = ""
    risk: str = ""
    stop: str = ""
    indoors: str = ""
    outdoors: str = ""
    school: str = ""
    guided: bool = False
    breaks: bool = False
    sides: bool = False
    unfit: tuple[Limit, ...] = field(default_factory=tuple)
    card: bool = False
    kept: bool = False

    def __post_init__(self) -> None:
        for name, said in (("name", self.name), ("purpose", self.purpose)):
            if not said.strip():
                raise OutOfLimits(name, "drill_wanted")
        for text in (self.name, self.purpose, self.easier, self.harder, self.risk, self.stop, *self.steps):
            if len(text) > _LONGEST:
                raise OutOfLimits("steps", "said_too_long", most=_LONGEST)
        if self.event not in EVENTS:
            raise OutOfLimits("event", "no_such_choice", named=self.event, known=EVENTS)
        if isinstance(self.goal, CountGoal) and self.goal.of > self.dose.times:
            raise OutOfLimits("goal", "goal_over_dose", of=self.goal.of, times=self.dose.times)

    def told_in(self, units: Units) -> "Drill":
        """The same with every length in one system: what is written {one metre|3 ft} is said as whoever reads it says
        it."""

        def said(text: str) -> str:
            return _EITHER.sub(lambda it: it[1 if units == "metric" else 2], text)

        asks = replace(self.scored, asks=said(self.scored.asks))
        steps = tuple(said(it) for it in self.steps)
        texts = {name: said(getattr(self, name)) for name in _TEXTS}
        return replace(self, steps=steps, scored=asks, **texts)

    @property
    def putts(self) -> int:
        """Putts of a run; 0 where nothing is putted."""
        return self.dose.times if self.event == "putt" else 0


__all__ = [
    "CountGoal", "Dose", "Drill", "Event", "Goal", "Layout", "LevelGoal", "Narrowing", "Scored", "Serves", "ShareGoal",
]  # fmt: skip
