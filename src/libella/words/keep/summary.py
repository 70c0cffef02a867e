"""A lesson as it is taken home, in words: what to mind, a session of the first week, what comes first next time."""

import re
from collections.abc import Sequence
from datetime import date
from typing import Final

from ...core.measure.angle import offset_m
from ...core.measure.units import Units
from ..shared.counts import counted

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
    return f"{place} · {day.day}.{day.month}.{day.year}"


_AT_M: Final = 3.0
_DEGREES: Final = re.compile(r"(?P<size>\d+(?:\.\d+)?)°")
_FINGER_M: Final = 0.018
_HAND_M: Final = 0.09


def plainly(said: str, units: Units) -> str:
    """The same without degrees, for whoever does not think in them: how wide it is at 3 m, in fingers and hands.

    >>> plainly("Within 0.5° either side.", "metric")
    'Within a finger’s width at 3 m either side.'
    """
    at = "10 ft" if units == "feet" else "3 m"
    return _DEGREES.sub(lambda it: f"{_width(offset_m(float(it['size']), _AT_M))} at {at}", said)


def _width(across_m: float) -> str:
    fingers = max(round(across_m / _FINGER_M), 1)
    if fingers <= 3:
        return ("a finger’s width", "two fingers’ width", "three fingers’ width")[fingers - 1]
    hands = round(across_m / _HAND_M)
    return "a hand’s width" if hands <= 1 else f"{hands} hands’ width"
