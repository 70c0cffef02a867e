"""Drills, runs and the plan, in words."""

import math
from collections.abc import Mapping
from typing import Final

from ...core.change.drill import Drill, Event, Serves
from ...core.change.goal import CountGoal, Goal, LevelGoal
from ...core.change.retest import EACH
from ...core.change.run import Progress
from ...core.change.session import Given, Item, Session, Unmet, Why, retest_min
from ...core.change.topic import TOPICS
from ..shared.counts import counted, listed
from ..shared.inside import inside

_SERVED: Final[dict[str, str]] = {
    "transfer": "Putting as on the course",
    "balance": "Every side alike",
    "retention": "What is left on another day",
    "check": "The set-up found again",
}
_EVENTS: Final[dict[Event, str]] = {"putt": "putt", "set_down": "set_down", "look": "look", "round": "time"}
_QUARTERS: Final = ("", "in front of the hole", "right of the hole", "behind the hole", "left of the hole")
_PLACES: Final = ("what weighs most", "what weighs second", "what weighs third")
MISSED: Final = "What is missed is moved to the days that are left, never piled on one of them."


def serves_name(name: Serves) -> str:
    """What a drill is for."""
    return _SERVED.get(name) or TOPICS[name].name


def goal_said(it: Goal, event: Event) -> str:
    """What is to be shown, honestly: a share by the runs together, a count as a count."""
    what = {"putt": "putts", "set_down": "set-downs", "look": "looks", "round": "rounds"}[event]
    if isinstance(it, CountGoal):
        return f"In one run {it.times} of {it.of}."
    if isinstance(it, LevelGoal):
        return f"Within {it.within_deg:g}° either side, likely, over the runs together."
    return f"At least {round(it.share * 10)} {what} of 10, likely, over the runs together."


def dose_said(it: Drill) -> str:
    """How much of it: "10 putts, about 4 minutes; 4 days a week"."""
    times = counted(it.dose.times, _EVENTS[it.event]) if it.event != "round" else "after every round"
    days = "once a week" if it.dose.days == 1 else f"{it.dose.days} days a week"
    return f"{times}, about {it.dose.minutes:g} minutes; {days}."


def progress_said(it: Progress | None, drill: Drill) -> str:
    """Where a golfer stands in a drill, and what comes next."""
    if it is None:
        return "Not run yet."
    last = f"The last run: {it.last.times} of {it.last.of}. " if it.last is not None else ""
    match it.standing:
        case "passed":
            return f"{last}Passed: {_next(drill.harder, 'the next drill')}"
        case "under":
            return f"{last}Out of reach so far: {_next(drill.easier, 'a shorter run')}"
        case _:
            return f"{last}Open after {counted(it.runs, 'run')}: once more."


def _next(words: str, otherwise: str) -> str:
    said = words or otherwise
    return f"now {inside(said).rstrip('.')}."


def item_said(it: Item, drills: Mapping[str, Drill]) -> str:
    """One thing of a session: what, how much, from where."""
    match it.kind:
        case "check":
            return "Quick check by the card, without a putt."
        case "retention":
            return f"{it.times} putts without any aid, before any other putt."
        case "retest":
            return f"The retest: as usual against changed, {EACH} putts each way, in turns."
        case _:
            drill = drills.get(it.drill)
            if drill is None:
                return "A drill that is gone."
            with_ = "" if not drill.guided else ", without the aid" if it.bare else ", with the aid"
            side = f", breaking {it.break_side}" if it.break_side != "neither" else ""
            place = f", {_QUARTERS[it.quarter]}" if it.quarter else ""
            return f"{drill.name}: {counted(it.times, _EVENTS[drill.event])}{with_}{side}{place}."


def why_said(it: Item, given: Given) -> str:
    """Why it stands there."""
    match it.kind:
        case "check":
            return "To find the set-up again."
        case "retention":
            return "To see what is left on another day."
        case "retest":
            return "To see whether the change helps."
        case _:
            place = dict(zip((name for name, _ in given.findings), _PLACES, strict=False)).get(it.serves)
            if place is None:
                return "So that it holds where it counts."
            return f"For {place}: {serves_name(it.serves).lower()}."


def session_said(it: Session) -> str:
    """A session in one line: how long it takes, with how much rest."""
    if not it.items:
        return "Free."
    work = sum(one.minutes for one in it.items)
    rests = f", {it.rests:g} of rest" if it.rests else ""
    return f"About {round(work)} of {it.minutes:g} minutes{rests}."


_WHY: Final[dict[Why, str]] = {
    "": "",
    "time": "No day has the minutes for it.",
    "half": "Half of the minutes go to the change first.",
    "new": "One new drill a session is enough.",
    "done": "Every drill has had its days this week.",
    "met": "The goals of its drills are met.",
    "body": "Its drills aren’t for this golfer’s body.",
    "bag": "Its drills need things that aren’t in the bag.",
    "card": "Its drills need a set-up card. Save one first.",
    "green": "Its drills need a green.",
    "none": "There is no drill for it.",
}


def unmet_said(it: Unmet, given: Given) -> str:
    """A wish that could not be met, and why."""
    week = f"Week {it.week}: " if it.week else ""
    longest = f"{max(given.minutes):g}"
    match it.wish:
        case "retest":
            takes = math.ceil(retest_min(given.putt_s))
            return f"{week}no retest. It takes {takes} minutes, and the longest day has {longest}."
        case "retention":
            return f"{week}no day has room for the ten putts that show what is left."
        case "check":
            return f"{week}no room for the quick check."
        case "half":
            return f"{week}less than half of the drill minutes go to the change. No day has room for more."
        case "variety":
            return f"{week}one drill is alone in three sessions in a row."
        case "aid_off":
            return f"{week}the aid is there more often, or less often, than planned."
        case "sides":
            return f"{week}no room for putts from all round the hole."
        case "free":
            return f"{week}day {it.about} is free. {_FREE[it.why]}"
        case "waits":
            return f"{serves_name(it.about)} waits. {_WHY[it.why]}"


_FREE: Final[dict[Why, str]] = {
    **_WHY,
    "time": "No drill is that short.",
    "none": "No drill can be done here.",
}


def worked_said(given: Given) -> str:
    """What a plan works on."""
    names = listed([serves_name(name).lower() for name, _ in given.findings])
    return f"It works on {names}."
