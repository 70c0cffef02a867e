"""A lesson, or everything, that goes to the golfer whose it is, in words."""

from collections.abc import Mapping
from datetime import date, datetime
from typing import Final

from ...core.golfer.hand import Hand
from ..shared.counts import counted, listed
from ..shared.days import date_said, day_in_figures

_ALONG: Final[Mapping[str, str]] = {
    "lesson": "lesson", "putt": "putt", "set_up_card": "card", "set_up_photo": "photograph", "practice_plan": "plan",
    "drill_run": "run", "golf_round": "round", "noted_change": "noted_change", "file_import": "file",
}  # fmt: skip
"""What is told of what comes along, by its table; the rest comes along untold."""
RELEASED_ANEW: Final = "The sheet is released to nobody until you release it anew."
OLD_SHEETS: Final = "A sheet printed before names somebody else: it no longer holds."
FILLED: Final = "What was noted only there is kept: it fills what stands empty here."


def lesson_goes(started: datetime, former: str, golfer: str, came: Mapping[str, int]) -> str:
    """What goes with a lesson."""
    return f"The lesson of {date_said(started)} goes from “{former}” to “{golfer}”{_with(came, leave='lesson')}."


def all_goes(former: str, golfer: str, came: Mapping[str, int]) -> str:
    """What goes where two entries are one golfer."""
    return f"“{former}” and “{golfer}” become one, kept as “{golfer}”{_with(came)}."


def hand_stays(golfer: str, hand: Hand) -> str:
    """Where the two putt from other sides."""
    return f"“{golfer}” is noted as {hand}-handed, and stays so. Lessons stay as they were putted."


def moved_said(made: date) -> str:
    """What a sheet says above everything else where its lesson was kept under another name."""
    day = day_in_figures(made)
    return f"Until {day} this lesson was kept under another name. A sheet printed before that no longer holds."


def _with(came: Mapping[str, int], leave: str = "") -> str:
    told = [counted(came[it], what) for it, what in _ALONG.items() if came.get(it) and it != leave]
    return f", with {listed(told)}" if told else ""
