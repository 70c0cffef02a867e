"""One week of a plan as a small mixed-integer programme: what it may hold, what it is to do, what it came to
(practice 4)."""

import math
from collections.abc import Mapping, Sequence
from dataclasses import replace
from itertools import pairwise
from typing import Final

from ..measure.side import Side
from ..opinions.held import Opinion
from .drill import Drill, Serves
from .programme import Programme
from .retest import EACH
from .session import LAY_MIN, REST_EVERY_MIN, Before, Given, Item, Kind, Session, Unmet, Wish, retest_min

RETENTION_PUTTS: Final = 10
CHECK_LOOKS: Final = 3
TEN_WITHOUT_HELP, BY_THE_CARD = "ten_without_help", "by_the_card"
"""The drills that are run as these two: see `drills`."""
_CHECK_MIN, _LONGEST_MIN = 1.5, 12.0
_HALF: Final = 0.5
"""So much of the drill minutes goes to what the change is for, at least."""
_AID_OFF: Final = (0.3, 0.7)
_FIRST: Final[tuple[Kind, ...]] = ("check", "retention", "retest")
"""In this order, before any drill: what is left without help shows before any other putt."""
_MISSED_BY: Final = 8.0
"""So many putts beside the share wanted are none: a run is not cut in two for it."""
_HALF_LIFE_MIN: Final = 60.0
_PIECES: Final = (0.0, 15.0, 30.0, 60.0, 120.0, 240.0)
_TRANSFER: Final = Opinion("mixed_putting", 0.25, "share")
"""Mixed putting weighs a quarter of the weightiest finding: an opinion."""
_COST: Final[dict[Wish, float]] = {
    "half": 200.0,
    "variety": 600.0,
    "aid_off": 2.0,
    "sides": 150.0,
}
_SLACK: Final[tuple[Wish, ...]] = ("variety", "aid_off", "sides")
"""Wishes whose shortfall the programme itself tells."""


def minutes_of(it: Drill, putt_s: float) -> float:
    """A run with its laying: as long as the drill says, longer where the golfer's putts take longer."""
    putted = it.putts * putt_s / 60 + LAY_MIN() if it.putts else 0.0
    return min(max(it.dose.minutes, putted), _LONGEST_MIN)


def worked(minutes: float) -> float:
    """What is left of a day beside its rests: one minute in nine is rest, eight are worked."""
    return minutes * REST_EVERY_MIN / (REST_EVERY_MIN + 1)


def _serves(it: Drill, weights: Mapping[Serves, float], first: Serves) -> Serves:
    """Of what is worked on, what a drill's minutes count for: what the change is for, else the weightiest it serves."""
    if first in it.serves:
        return first
    return max((name for name in it.serves if name in weights), key=lambda name: weights[name])


class Week:
    """One week as a programme: what it may hold, what it is to do, what it came to."""

    def __init__(self, given: Given, before: Before, week: int, used: Mapping[str, Drill]) -> None:
        self.given, self.before, self.week, self.used = given, before, week, used
        self.unmet: list[Unmet] = []
        self.it = Programme()
        self.days = range(len(given.minutes))
        weights = dict(given.findings)
        first = given.findings[0][0]
        # What the change is for is worked on most, whatever else would bring more.
        weights[first] = max(weights.values())
        weights.setdefault("transfer", _TRANSFER() * weights[first])
        self.weights = weights
        self.serves = {code: _serves(it, weights, first) for code, it in used.items()}
        self.run = {
            (day, code, bare): self.it.add(top=1, whole=True)
            for day in self.days
            for code, it in used.items()
            for bare in ((False, True) if it.guided else (True,))
        }
        self.on = {(day, code): self.it.add(0.01, 1, whole=True) for day in self.days for code in used}
        self.checks = self._placed()
        self.slack: dict[tuple[Wish, int], int] = {}
        self._limits()
        self._wishes()
        self._worth()

    def _placed(self) -> list[list[Item]]:
        """What stands before any drill, by day: the retest where there is most time, what was retained and the quick
        check as early as they fit. What fits nowhere is named."""
        room = [worked(minutes) for minutes in self.given.minutes]
        found: list[list[Item]] = [[] for _ in self.days]

        def place(it: Item, wish: Wish, order: Sequence[int]) -> None:
            day = next((day for day in order if room[day] >= it.minutes), None)
            if day is None:
                self.unmet.append(Unmet(wish, self.week))
                return
            room[day] -= it.minutes
            found[day].append(it)

        longest = sorted(self.days, key=lambda day: -room[day])
        if self.given.change and self.week in (2, min(self.given.weeks, 5)):
            place(Item("retest", retest_min(self.given.putt_s), 2 * EACH), "retest", longest)
        retained = RETENTION_PUTTS * self.given.putt_s / 60 + LAY_MIN() / 2
        # On the lesson's own day nothing was kept overnight yet.
        rested = self.days[1:] if self.given.same_day and self.week == 1 else self.days
        place(Item("retention", retained, RETENTION_PUTTS, TEN_WITHOUT_HELP), "retention", rested)
        if self.given.card:
            place(Item("check", _CHECK_MIN, CHECK_LOOKS, BY_THE_CARD), "check", self.days)
        return [sorted(items, key=lambda it: _FIRST.index(it.kind)) for items in found]

    def _missing(self, wish: Wish, n: int = 0) -> int:
        self.slack[wish, n] = self.it.add(_COST[wish])
        return self.slack[wish, n]

    def _spent(self, day: int) -> dict[int, float]:
        """Minutes of a day's runs."""
        return {
            name: minutes_of(self.used[code], self.given.putt_s) for (d, code, _), name in self.run.items() if d == day
        }

    def _limits(self) -> None:
        for day, minutes in enumerate(self.given.minutes):
            taken = sum(it.minutes for it in self.checks[day])
            self.it.hold(self._spent(day), high=worked(minutes) - taken)
            for code in self.used:
                runs = [name for (d, c, _), name in self.run.items() if (d, c) == (day, code)]
                # Nothing twice a session, with its aid or without.
                self.it.hold(dict.fromkeys(runs, 1.0) | {self.on[day, code]: -1.0}, low=0, high=0)
        for code, it in self.used.items():
            self.it.hold({self.on[day, code]: 1.0 for day in self.days}, high=it.dose.days)

    def _wishes(self) -> None:
        mixed = [name for (_, code, _), name in self.run.items() if self.used[code].sides]
        if mixed:
            self.it.hold(dict.fromkeys(mixed, 1.0) | {self._missing("sides"): 1.0}, low=1)
        self._half()
        self._variety()
        self._aid_off()
        self._one_new()

    def _half(self) -> None:
        first = self.given.findings[0][0]
        share = {
            name: minutes_of(self.used[code], self.given.putt_s)
            * ((1.0 if self.serves[code] == first else 0.0) - _HALF)
            for (_, code, _), name in self.run.items()
        }
        self.it.hold(share | {self._missing("half"): 1.0}, low=0)

    def _variety(self) -> None:
        """No drill alone in three sessions running."""
        past: list[frozenset[str] | int] = [*self.before.last[-2:], *self.days]
        for n in range(2, len(past)):
            three = past[n - 2 : n + 1]
            for code in self.used:
                terms: dict[int, float] = {}
                known = others = 0
                for one in three:
                    if isinstance(one, int):
                        terms[self.on[one, code]] = 1.0
                        terms |= {self.on[one, other]: -1.0 for other in self.used if other != code}
                    else:
                        known += code in one
                        others += len(one - {code})
                if known == sum(not isinstance(one, int) for one in three):
                    self.it.hold(terms | {self._missing("variety", len(self.slack)): -1.0}, high=2 - known + others)

    def _aid_off(self) -> None:
        first, last = _AID_OFF
        wanted = first + (last - first) * (self.week - 1) / max(1, self.given.weeks - 1)
        putts = {
            name: self.used[code].putts * ((1.0 if bare else 0.0) - wanted)
            for (_, code, bare), name in self.run.items()
            if self.used[code].putts
        }
        retained = sum(it.times for day in self.checks for it in day if it.kind == "retention") * (1 - wanted)
        self.it.hold(putts | {self._missing("aid_off"): 1.0}, low=-_MISSED_BY - retained)
        # Of what can be run with an aid not too much is run without it while it is new.
        guided = {
            name: self.used[code].putts * ((1.0 if bare else 0.0) - wanted)
            for (_, code, bare), name in self.run.items()
            if self.used[code].guided
        }
        if guided:
            self.it.hold(guided | {self._missing("aid_off", 1): -1.0}, high=_MISSED_BY)

    def _one_new(self) -> None:
        """At most one new drill a session: of those not known yet each session may begin with its own alone."""
        fresh = [code for code in self.used if code not in self.before.known]
        for day in self.days:
            at = (self.before.sessions + day) % max(1, len(fresh))
            for n, code in enumerate(fresh):
                if n != at:
                    earlier = {self.on[d, code]: -1.0 for d in range(day)}
                    self.it.hold({self.on[day, code]: 1.0} | earlier, high=0)

    def _worth(self) -> None:
        """What the minutes of a finding bring, in pieces: weight × (1 − e^(−minutes / 60)), an opinion."""
        for name, weight in self.weights.items():
            minutes = {
                n: minutes_of(self.used[code], self.given.putt_s)
                for (_, code, _), n in self.run.items()
                if self.serves[code] == name
            }
            done = self.before.minutes.get(name, 0.0)
            pieces: dict[int, float] = {}
            for low, high in pairwise(_PIECES):
                gained = math.exp(-(done + low) / _HALF_LIFE_MIN) - math.exp(-(done + high) / _HALF_LIFE_MIN)
                pieces[self.it.add(-weight * gained / (high - low), high - low)] = -1.0
            if minutes:
                # No minute counts for more than it is; what lies beyond the last piece brings nothing more.
                self.it.hold(minutes | pieces, low=0)
            else:
                self.it.hold(dict.fromkeys(pieces, 1.0), high=0)

    def sessions(self) -> list[Session]:
        """The week's sessions, in order; what could not be met is noted."""
        found = self.it.solved()
        short = {wish for (wish, _), name in self.slack.items() if found[name] > 1e-6}
        self.unmet += [Unmet(wish, self.week) for wish in _SLACK if wish in short]
        return [
            Session(self.week, day + 1, minutes, tuple(self._items(day, found)))
            for day, minutes in enumerate(self.given.minutes)
        ]

    def _items(self, day: int, found: Sequence[float]) -> list[Item]:
        spent = self._spent(day)
        runs = [
            Item("drill", spent[name], self.used[code].dose.times, code, self.serves[code], bare)
            for (d, code, bare), name in self.run.items()
            if d == day
            for _ in range(round(found[name]))
        ]
        return self.checks[day] + runs


def in_order(
    sessions: Sequence[Session], used: Mapping[str, Drill], weights: Mapping[Serves, float], *, level: bool, turned: int
) -> list[Session]:
    """The sessions of a week with their drills in order, what weighs most first and mixed putting last; each side of a
    break as often as the other, the places round the hole in turns. `level`: there is no slope at home; `turned`: runs
    round the hole so far."""
    week = sessions[0].week
    # Week by week the other side comes first: where a week holds one run the next one evens it out.
    breaks = {"left": 0, "right": 0} if week % 2 else {"left": 1, "right": 0}
    found: list[Session] = []
    for one in sessions:
        items: list[Item] = []
        for it in sorted(one.items, key=lambda it: _place(it, weights)):
            if it.kind == "drill" and used[it.drill].breaks and not level:
                side: Side = "left" if breaks["left"] <= breaks["right"] else "right"
                breaks[side] += 1
                it = replace(it, break_side=side)
            items.append(it)
        found.append(replace(one, items=tuple(items)))
    return _round_the_hole(found, used, turned)


def _place(it: Item, weights: Mapping[Serves, float]) -> tuple[int, bool, float, str]:
    if it.kind != "drill":
        return _FIRST.index(it.kind), False, 0.0, ""
    return len(_FIRST), it.serves == "transfer", -weights[it.serves], it.drill


def _round_the_hole(sessions: Sequence[Session], used: Mapping[str, Drill], at: int) -> list[Session]:
    turned: list[Session] = []
    for one in sessions:
        items: list[Item] = []
        for it in one.items:
            if it.kind == "drill" and used[it.drill].sides:
                at += 1
                items.append(replace(it, quarter=1 + (at - 1) % 4))
            else:
                items.append(it)
        turned.append(replace(one, items=tuple(items)))
    return turned
