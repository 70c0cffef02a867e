"""A plan for the weeks after a lesson: drills, mixed putting and checks that fit the days there are (practice 4).

Each week is a small mixed-integer programme of its own, which begins where the weeks before ended: so a plan goes on
from what was done, and a missed week never doubles the next.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from .drill import Drill
from .drills import serving
from .session import Before, Given, Session, Unmet
from .week import Week

_OF_EACH: Final = 2
"""Drills a plan takes of each finding: more would be new all the time."""


@dataclass(frozen=True, slots=True)
class Plan:
    sessions: tuple[Session, ...]
    unmet: tuple[Unmet, ...]


def plan(given: Given, before: Before = Before()) -> Plan:
    """The weeks that are left, from where the weeks before ended."""
    sessions: list[Session] = []
    unmet: list[Unmet] = []
    used = _used(given)
    for week in range(before.weeks + 1, given.weeks + 1):
        made = Week(given, before, week, used)
        own = made.sessions()
        sessions += own
        unmet += made.unmet
        before = _after(before, own, given)
    worked = {it.serves for one in sessions for it in one.items}
    unmet += [
        Unmet("waits", 0, str(name))
        for name, _ in given.findings
        if sessions and name not in worked and not before.minutes.get(name)
    ]
    return Plan(tuple(sessions), tuple(unmet))


def _used(given: Given) -> dict[str, Drill]:
    """The drills a plan may take: of each finding those that the golfer may do with what there is, and mixed ones."""
    names = [name for name, _ in given.findings]
    every = {
        name: sorted(
            (it for it in (*serving(name), *(one for one in given.more if name in one.serves)) if _fits(it, given)),
            key=lambda it: (_rival(it, given), _held(it, given)),
        )
        for name in (*names, "transfer")
    }
    found: dict[str, Drill] = {}
    # The first finding's first, then putting as on the course, then the others: in that order they are new.
    for n in range(_OF_EACH):
        for name in (*names[:1], "transfer", *names[1:]):
            if every[name][n : n + 1]:
                found.setdefault(every[name][n].code, every[name][n])
    return found


def _rival(it: Drill, given: Given) -> bool:
    """It is of another school than the change that was chosen."""
    return bool(it.school and given.schools and it.school not in given.schools)


def _held(it: Drill, given: Given) -> int:
    """Where the schools held bring a drill: before the others (-1), after them (1), or nowhere."""
    return (it.code in given.last) - (it.code in given.first)


def _fits(it: Drill, given: Given) -> bool:
    if it.event == "round" or it.code in given.without or set(it.unfit) & set(given.limits):
        return False
    if given.owned is None:
        return True
    rigs = [kind for kind in it.layout.rigs if kind == "no_rig" or kind in given.owned]
    return bool(rigs) and all(kind in given.owned for kind in it.layout.aids)


def _after(before: Before, sessions: Sequence[Session], given: Given) -> Before:
    """What was practised once these sessions are done, too."""
    minutes = dict(before.minutes)
    known = set(before.known)
    for one in sessions:
        for it in one.items:
            if it.kind == "drill":
                minutes[it.serves] = minutes.get(it.serves, 0.0) + it.minutes
                known.add(it.drill)
    sets = [*before.last, *(frozenset(it.drill for it in one.items if it.kind == "drill") for one in sessions)]
    return Before(minutes, frozenset(known), tuple(sets[-2:]), before.weeks + 1, before.sessions + len(sessions))
