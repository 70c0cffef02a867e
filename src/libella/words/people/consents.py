"""What is asked of golfers, in plain words, and what stands of it."""

from collections.abc import Mapping
from datetime import datetime
from typing import Final

from ...core.people.consent import Asked, By, Why
from ..shared.counts import counted
from ..shared.days import date_said

QUESTIONS: Final[Mapping[Asked, tuple[str, str]]] = {
    "keeping": (
        "Readings are kept",
        "May what is read in your lessons be kept here under your name, so that the next lesson begins where this one "
        "ended?",
    ),
    "filming": (
        "Photographs and films",
        "May you be photographed and filmed while you putt, and the pictures be kept with your lessons?",
    ),
    "sharing": (
        "Passed on",
        "May your readings be handed to somebody you name: another coach, a physiotherapist, a club fitter?",
    ),
    "pooling": (
        "Counted without a name",
        "May your numbers, without your name, be counted among those of other golfers, to tell what is usual?",
    ),
}
"""Each question: how it is called, and how it is asked."""
_BY: Final[Mapping[By, str]] = {"golfer": "the golfer", "guardian": "the guardian"}
NOT_ASKED: Final = "Not asked yet."


def consent_said(given: bool, by: By, at: datetime) -> str:
    """What stands of one question, in a sentence."""
    return f"{'Agreed' if given else 'Not agreed, or withdrawn'}, by {_BY[by]}, {date_said(at)}."


def kept_until(newest_backup_goes: datetime | None, backups: int) -> str:
    """Until when somebody who is deleted stands in backups."""
    if not backups:
        return "No backup is known here that would still hold them."
    named = counted(backups, "backup")
    if newest_backup_goes is None:
        return f"{named} made before hold them still, until somebody throws these away."
    return f"{named} made before hold them still; the last of these is thrown away on {date_said(newest_backup_goes)}."


def removal_said(why: Why, rows: int, at: datetime) -> str:
    """A golfer who was deleted, without a name: that is gone, too."""
    reason = "as was asked" if why == "asked" else "not seen for as long as the rule says"
    return f"{date_said(at)}: a golfer deleted, {reason}; {counted(rows, 'entry')}."


def run_said(years: int, looked_at: int, removed: int, at: datetime) -> str:
    """What a look at who was not seen for long came to."""
    golfers = counted(looked_at, "golfer")
    gone = "nobody was deleted" if not removed else f"{removed} deleted"
    return f"{date_said(at)}: looked at {golfers} for {counted(years, 'year')} without a sign: {gone}."
