"""A lesson as it is taken home, in words: what to mind, a session of the first week, what comes first next time."""

from collections.abc import Sequence
from datetime import date
from typing import Final

from ...core.change.proposal import BACK
from ...core.golfer.limits import Limit
from ..shared.counts import counted

ADVICE: Final = "This is an opinion on putting, from what was read that day: neither medical advice nor a fitting."
NO_LASER: Final = "Practise without a laser at home; never look along one, nor into a mirror while one is on."
ONE_FOOT: Final = "No drill on one foot."
_DAYS: Final = ("Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday")
NOTHING_PLANNED: Final = "Nothing is planned yet: choose a change and plan the weeks."


def mind_said(risks: Sequence[str], limits: Sequence[Limit]) -> list[str]:
    """What to mind at home: of the drill, of the golfer, of all practice; each once."""
    own = [ONE_FOOT] if {"hip", "knee", "balance"} & set(limits) else []
    return list(dict.fromkeys([*(it for it in risks if it), *own, BACK, NO_LASER, ADVICE]))


def session_said(day: date, items: Sequence[str], words: str) -> str:
    """A session of the first week, in one line."""
    told = [_times(it, items.count(it)) for it in dict.fromkeys(items)]
    return f"{_DAYS[day.weekday()]}: {' '.join(told)} {words}"


def _times(said: str, times: int) -> str:
    """What is done more than once is said once."""
    return said if times == 1 else f"{said.rstrip('.')}, {'twice' if times == 2 else counted(times, 'time')}."


def under_said(place: str, day: date) -> str:
    """Where and when, below the title."""
    return f"{place} · {day.day}.{day.month}.{day.year}"
