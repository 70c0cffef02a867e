"""A lesson as it is taken home, in words: what to mind, a session of the first week, what comes first next time."""

from collections.abc import Sequence
from datetime import date
from typing import Final

from ..shared.counts import counted
from ..shared.days import day_in_figures

_DAYS: Final = ("Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday")
NOTHING_PLANNED: Final = "Nothing is planned yet: choose a change and plan the weeks."


def session_said(day: date, items: Sequence[str], words: str) -> str:
    """A session of the first week, in one line."""
    told = [_times(it, items.count(it)) for it in dict.fromkeys(items)]
    return f"{_DAYS[day.weekday()]}: {' '.join(told)} {words}"


def _times(said: str, times: int) -> str:
    """What is done more than once is said once."""
    return said if times == 1 else f"{said.rstrip('.')}, {'twice' if times == 2 else counted(times, 'time')}."


def under_said(place: str, day: date) -> str:
    """Where and when, below the title."""
    return f"{place} · {day_in_figures(day)}"
