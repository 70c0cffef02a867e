"""A plan for the weeks after a lesson: drills, mixed putting and checks that fit the days there are (practice 4).

Each week is a small mixed-integer programme of its own, which begins where the weeks before ended: so a plan goes on
from what was done, and a missed week never doubles the next.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Final

from .drill import Drill, Serves
from .drills import serving
from .room import Room
from .session import Before, Given, Session, Unmet, Why
from .week import Week, in_order

_OF_EACH: Final = 2
"""Drills a plan takes of each topic: more would be new all the time."""
_LONG_M: Final = 5.0
"""No floor at home is longer."""


@dataclass(frozen=True, slots=True)
class Plan:
    sessions: tuple[Session, ...]
    unmet: tuple[Unmet, ...]


def plan(given: Given, before: Before = Before()) -> Plan:
    """The weeks that are left, from where the weeks before ended."""
    sessions: list[Session] = []
    unmet: list[Unmet] = []
    used = drills_used(given)
    begun = before
    for week in range(before.weeks + 1, given.weeks + 1):
        made = Week(given, before, week, used)
        room = Room(given, before, made.sessions(), used, made.serves)
        unmet += made.unmet + room.filled()
        turned = sum(bool(it.quarter) for one in sessions for it in one.items)
        own = in_order(room.sessions, used, made.weights, level=given.no_green, turned=turned)
        sessions += own
        before = _after(before, own)
    # Whatever a drill's minutes count for, it practises all that it serves.
    worked = {name for one in sessions for it in one.items if it.drill in used for name in used[it.drill].serves}
    for name, _ in given.findings:
        if sessions and name not in worked and not begun.minutes.get(name):
            unmet.append(Unmet("waits", 0, str(name), _waits(name, given, used, sessions, begun)))
    return Plan(tuple(sessions), tuple(unmet))


def drills_used(given: Given) -> dict[str, Drill]:
    """The drills a plan may take: of each topic those that the golfer may do with what there is, and mixed ones."""
    names = [name for name, _ in given.findings]
    every = {name: _fitting(name, given, first=name == names[0]) for name in (*names, "transfer")}
    found: dict[str, Drill] = {}
    # The first topic's first, then putting as on the course, then the others: in that order they are new.
    for n in range(_OF_EACH):
        for name in (*names[:1], "transfer", *names[1:]):
            found |= {it.code: it for it in every[name][n : n + 1] if it.code not in found}
    return found


def drill_for(given: Given) -> Drill | None:
    """The drill to take home: the first of the change's own that can be done here, else of what it is for."""
    found = _fitting(given.findings[0][0], given, first=True)
    return found[0] if found else None


def _fitting(name: Serves, given: Given, *, first: bool) -> list[Drill]:
    """The drills of a topic that can be done, the best first: the change's, then the coach's own, then by school."""
    own = {it.code for it in given.more}
    # What practises the change practises what it is for, whatever else it is used for.
    drills = [it for it in (*given.more, *serving(name)) if name in it.serves]

    def place(it: Drill) -> tuple[bool, int, int, int]:
        chosen = given.drills.index(it.code) if first and it.code in given.drills else len(given.drills)
        return it.code not in own, chosen, _rival(it, given), _held(it, given)

    return sorted((it for it in drills if not _unfit(it, given)), key=place)


def _rival(it: Drill, given: Given) -> int:
    """Where the school of the change brings a drill: its own before the others (-1), any other's after them (1)."""
    if not it.school or not (given.schools or given.change):
        return 0
    return -1 if it.school in given.schools else 1


def _held(it: Drill, given: Given) -> int:
    """Where the schools held bring a drill: before the others (-1), after them (1), or nowhere."""
    return (it.code in given.last) - (it.code in given.first)


def _unfit(it: Drill, given: Given) -> Why:
    """Why a drill can't be done; empty where it can."""
    if it.event == "round" or (it.kept and it.code not in given.drills):
        return "none"
    if it.code in given.without:
        return "met"
    if set(it.unfit) & set(given.limits):
        return "body"
    if it.card and not given.card:
        return "card"
    if given.no_green and (max(it.layout.lengths_m, default=0.0) > _LONG_M or _needs_slope(it)):
        return "green"
    if given.owned is None:
        return ""
    rigs = [kind for kind in it.layout.rigs if kind == "no_rig" or kind in given.owned]
    return "" if rigs and all(kind in given.owned for kind in it.layout.aids) else "bag"


def _needs_slope(it: Drill) -> bool:
    """It is putted across a slope, and nothing says how it is done on a floor."""
    return bool(it.layout.falls_percent) and not it.indoors


def _waits(name: Serves, given: Given, used: Mapping[str, Drill], sessions: Sequence[Session], before: Before) -> Why:
    """Why nothing of a topic is in the plan."""
    own = [code for code, it in used.items() if name in it.serves]
    if not own:
        return _lacking(name, given)
    room = Room(given, before, sessions, used, dict.fromkeys(used, name))
    told = {room.hindered(n, code) for n in range(len(sessions)) for code in own}
    if "" in told:
        return "half"
    return "done" if "done" in told else "new" if "new" in told else "time"


def _lacking(name: Serves, given: Given) -> Why:
    """Why none of a topic's drills can be done: what stands in the way of the best of them."""
    drills = [it for it in (*given.more, *serving(name)) if name in it.serves]
    return _unfit(drills[0], given) if drills else "none"


def _after(before: Before, sessions: Sequence[Session]) -> Before:
    """What was practised once these sessions are done, too."""
    minutes = dict(before.minutes)
    known = set(before.known)
    for one in sessions:
        for it in one.items:
            if it.kind == "drill":
                minutes[it.serves] = minutes.get(it.serves, 0.0) + it.minutes
                known.add(it.drill)
    sets = [*before.last, *(frozenset(it.drill for it in one.items if it.kind == "drill") for one in sessions)]
    done = before.sessions + len(sessions)
    return replace(before, minutes=minutes, known=frozenset(known), last=tuple(sets[-2:]), weeks=before.weeks + 1,
                   sessions=done)  # fmt: skip
