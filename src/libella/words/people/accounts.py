"""Roles, and who did what, in words."""

from collections.abc import Mapping
from typing import Final

from ...core.people.role import Role

ROLES: Final[Mapping[Role, tuple[str, str]]] = {
    "owner": ("Owner", "Everything, and who may come in."),
    "coach": ("Coach", "Golfers, lessons, judging, plans; takes away what is wrong."),
    "assistant": ("Assistant", "Records lessons; judges and takes away nothing."),
    "golfer": ("Golfer", "Sees what was released of his own."),
}
"""Each role: its name, and what it may do."""
_DONE: Final = {"kept": "kept", "changed": "changed", "deleted": "took away"}
THINGS: Final = {
    "studio": "the studio", "golfer": "a golfer", "golf_round": "a round", "line_join": "two lines joined",
    "noted_change": "a noted change", "lesson": "a lesson", "station": "a plan", "saved_station": "a kept station",
    "second_reading": "a second reading", "tool_check": "a check of a tool", "block": "a block",
    "correction": "a size put right", "handover": "whose a lesson is",
    "comparison": "a comparison", "reading": "a putt", "reading_mark": "what is said of a putt",
    "set_up": "a set-up", "set_up_photo": "a photograph", "aim_set": "a series of set-downs",
    "set_down": "a set-down", "sight_test": "a test of what looks straight", "sight_trial": "an answer",
    "first_look": "a first look", "eye_take": "a look at the eyes", "sensor": "a sensor",
    "sensor_zero": "a sensor’s zero", "stroke": "a stroke", "stroke_tap": "a tap at a stroke",
    "finding_answer": "an answer to a finding", "band_version": "bands", "opinion_version": "an opinion",
    "drill": "a drill", "drill_run": "a run of a drill", "practice_plan": "a plan of weeks",
    "set_up_card": "a set-up card", "quick_check": "a quick check", "file_import": "a file of putts",
    "account": "an account", "consent": "what was agreed to", "passkey": "a passkey",
}  # fmt: skip
"""What is kept, by its table."""


def deed_said(what: str, table: str) -> str:
    """>>> deed_said("changed", "lesson")
    'changed a lesson'
    """
    return f"{_DONE[what]} {THINGS[table]}"


_SYSTEMS: Final = {
    "iPad": "a tablet", "iPhone": "a phone", "Android": "a phone or tablet", "Windows": "Windows", "Mac OS": "a Mac",
    "CrOS": "a Chromebook", "Linux": "Linux",
}  # fmt: skip
_BROWSERS: Final = {"Firefox": "Firefox", "Edg": "Edge", "Chrom": "Chromium", "Safari": "Safari"}
"""What browsers call themselves, the more particular first: each says it is all that come after it, too."""


def device_said(told: str) -> str:
    """What a browser says of itself, in a few words: "Chromium on Linux"."""
    system = next((name for it, name in _SYSTEMS.items() if it in told), "")
    browser = next((name for it, name in _BROWSERS.items() if it in told), "")
    if not browser and not system:
        return "a device that does not say what it is"
    return f"{browser or 'a browser'} on {system or 'a device that does not say what it is'}"
