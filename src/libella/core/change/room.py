"""What is left of a week's minutes: no topic waits and no session is empty while there is room for a drill."""

from collections.abc import Mapping, Sequence
from dataclasses import replace
from typing import Final

from .drill import Drill, Serves
from .session import Before, Given, Item, Session, Unmet, Why
from .week import minutes_of, worked

_HINDERS: Final[tuple[Why, ...]] = ("", "time", "done", "new")
"""What hinders a drill, the nearest to being put right last."""


class Room:
    """The sessions of a week, and what more they can hold.

    sessions : as planned; `filled` adds to them
    used : the drills the plan may take; serves : what the minutes of each count for
    """

    def __init__(
        self,
        given: Given,
        before: Before,
        sessions: Sequence[Session],
        used: Mapping[str, Drill],
        serves: Mapping[str, Serves],
    ) -> None:
        self.given, self.before = given, before
        self.sessions = list(sessions)
        self.used, self.serves = used, serves

    def filled(self) -> list[Unmet]:
        """Put in what was left out though a day has room for it; what stays empty is named with the reason,
        and where the change has less than half."""
        runs = [it.drill for one in self.sessions for it in one.items if it.drill in self.used]
        worked_on = {name for code in runs for name in self.used[code].serves}
        for name, _ in self.given.findings:
            if name not in worked_on and not self.before.minutes.get(name):
                self._add(name)
        empty = [n for n, one in enumerate(self.sessions) if not one.items]
        for n in empty:
            # What the change is for goes first, then what comes up least.
            for code in sorted(self.used, key=lambda code: (self.serves[code] != self._first, self._days(code))):
                if not self.hindered(n, code):
                    self._put(n, code)
                    break
        # What was put in made some drills known, and room for others.
        while self._short() and self._add(self._first):
            pass
        week = self.sessions[0].week if self.sessions else 0
        still = [n for n in empty if not self.sessions[n].items]
        free = [Unmet("free", week, str(self.sessions[n].day), self._why(n)) for n in still]
        return [*free, *([Unmet("half", week)] if self._short() else [])]

    @property
    def _first(self) -> Serves:
        return self.given.findings[0][0]

    def _short(self) -> bool:
        """Less than half of the drill minutes goes to what the change is for."""
        return self._over() > 1e-9

    def _over(self) -> float:
        """Minutes by which the rest has more than what the change is for."""
        drills = [it for one in self.sessions for it in one.items if it.kind == "drill"]
        return sum(-it.minutes if it.serves == self._first else it.minutes for it in drills)

    def _add(self, name: Serves) -> bool:
        """Put in one run for a topic where a day has room for it, and half is still the change's."""
        for code in self.used:
            if self.serves[code] != name or (name != self._first and self._over() + self._takes(code) > 1e-9):
                continue
            for n in range(len(self.sessions)):
                if not self.hindered(n, code):
                    self._put(n, code)
                    return True
        return False

    def _put(self, n: int, code: str) -> None:
        drill, one = self.used[code], self.sessions[n]
        # With its aid while it is new, without it once it is known.
        bare = not drill.guided or code in self._known_before(n)
        item = Item("drill", self._takes(code), drill.dose.times, code, self.serves[code], bare)
        self.sessions[n] = replace(one, items=(*one.items, item))

    def hindered(self, n: int, code: str) -> Why:
        """Why a session can't hold a drill; empty where it can."""
        one = self.sessions[n]
        drills = [it.drill for it in one.items if it.kind == "drill"]
        if code in drills or self._days(code) >= self.used[code].dose.days:
            return "done"
        if sum(it.minutes for it in one.items) + self._takes(code) > worked(one.minutes) + 1e-9:
            return "time"
        known = self._known_before(n)
        # A drill that is put in early is known earlier: what was new after it stays new, and alone.
        return "new" if code not in known and any(it not in known for it in drills) else ""

    def _why(self, n: int) -> Why:
        """What hinders most: with minutes enough for none of them it is the minutes."""
        told = {self.hindered(n, code) for code in self.used}
        hinders: list[Why] = [it for it in _HINDERS if it in told]
        return hinders[-1] if hinders else "none"

    def _known_before(self, n: int) -> frozenset[str]:
        earlier = (it.drill for one in self.sessions[:n] for it in one.items if it.kind == "drill")
        return self.before.known | frozenset(earlier)

    def _days(self, code: str) -> int:
        return sum(any(it.drill == code for it in one.items) for one in self.sessions)

    def _takes(self, code: str) -> float:
        return minutes_of(self.used[code], self.given.putt_s)
