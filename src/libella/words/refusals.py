"""Every refusal in words: an entry that can't be used, what does not fit what stands, what is not there."""

import math
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Final

from ..core.golfer.level import LEVELS
from ..core.measure.limits import Bounds, OutOfLimits
from ..core.measure.units import Units
from .aim import refusals as aim
from .change import refusals as change
from .judge import refusals as judge
from .keep import refusals as keep
from .people import refusals as people
from .see import refusals as see
from .set import refusals as set_
from .shared import refusals as shared
from .shared.refusals import Template, filled, range_words, value_words
from .stand import refusals as stand
from .start import refusals as start
from .vocabulary import ENTRIES

REFUSALS: Final[dict[str, Template]] = (
    shared.REFUSALS
    | set_.REFUSALS
    | stand.REFUSALS
    | see.REFUSALS
    | aim.REFUSALS
    | start.REFUSALS
    | judge.REFUSALS
    | change.REFUSALS
    | keep.REFUSALS
    | people.REFUSALS
)
CONFLICTS: Final[dict[str, Template]] = (
    shared.CONFLICTS
    | set_.CONFLICTS
    | stand.CONFLICTS
    | see.CONFLICTS
    | aim.CONFLICTS
    | start.CONFLICTS
    | judge.CONFLICTS
    | change.CONFLICTS
    | keep.CONFLICTS
    | people.CONFLICTS
)
_LABELS: Final[dict[str, str]] = (
    {name: it.label for name, it in ENTRIES.items()}
    | {f"spread_{level}": f"Spread, {it.name}" for level, it in LEVELS.items()}
    | shared.LABELS
    | set_.LABELS
    | see.LABELS
    | start.LABELS
    | judge.LABELS
    | change.LABELS
)
TITLES: Final[dict[str, str]] = {
    "conflict": "It does not fit what stands here",
    "kept-otherwise": "Already kept otherwise",
    "closed": "Nothing more is taken here",
    "changed": "Changed elsewhere meanwhile",
    "not-yet": "Something comes first",
}
"""What each sort of conflict is called."""

THINGS: Final[dict[str, str]] = {
    "archive": "There is no such archive, or nobody came for it in a day.",
    "change": "There is no such change here.",
    "line": "Nothing was read on this line.",
    "line_join": "These lines are not joined here.",
    "account": "There is no such account here.",
    "answer": "There is no such answer here.",
    "screen": "There is no such screen here.",
    "screen_link": "This link was used, ran out, or is not one of ours.",
    "authority": "It vouches for itself by no authority of its own here.",
    "block": "There is no such block here.",
    "claim": "Nothing of that kind was read here.",
    "card": "There is no such card here.",
    "check": "There is no such check here.",
    "comparison": "There is no such comparison here.",
    "drawing": "There is no such drawing.",
    "lever": "A lever is told as its name, a colon and a number.",
    "drill": "There is no such drill here.",
    "drill_run": "There is no such run here.",
    "golfer": "There is no such golfer here.",
    "import": "There is no such import here.",
    "lesson": "There is no such lesson here.",
    "link": "This link was used, or has run out, or never was one.",
    "look": "There is no such look here.",
    "pairing_code": "There is no such pairing code here.",
    "practice_plan": "There is no such plan here.",
    "photo": "There is no such photograph here.",
    "putt": "There is no such putt here.",
    "round": "There is no such round here.",
    "reading": "There is no such reading here.",
    "saved_station": "There is no such saved station here.",
    "sensor": "There is no such sensor here.",
    "series": "There is no such series here.",
    "sign_in": "There is no such sign-in of yours.",
    "passkey": "There is no such passkey of yours.",
    "set_down": "There is no such set-down here.",
    "set_up": "There is no such set-up here.",
    "standin": "There is no such stand-in here; they are started from the demo only, or by their own command.",
    "station": "There is no such station here.",
    "stroke": "There is no such stroke here.",
    "second_reading": "There is no such reading by two here.",
    "tool_check": "There is no such check of an instrument here.",
    "test": "There is no such test here.",
}


@dataclass(frozen=True, slots=True)
class RefusalWords:
    """What is wrong with an entry, and what it may be."""

    message: str
    limit: str


def refusal_words(it: OutOfLimits, units: Units) -> RefusalWords:
    """An entry out of limits, in the reader's units."""
    if it.code == "out_of_bounds":
        return _beyond(it, units)
    message, limit = REFUSALS[it.code]
    facts = dict(it.facts)
    inner = facts.pop("why", None)
    if isinstance(inner, OutOfLimits):
        why = refusal_words(inner, units)
        facts |= {"why": why.message, "why_limit": why.limit}
    return RefusalWords(filled(message, facts, units), filled(limit, facts, units))


def _beyond(it: OutOfLimits, units: Units) -> RefusalWords:
    of, value, bounds = it.facts["of"], it.facts["value"], it.facts["bounds"]
    assert isinstance(of, str) and isinstance(value, float | int) and isinstance(bounds, Bounds)
    shown = value_words(value, bounds.unit, units) if math.isfinite(value) else "not a number"
    limit = range_words(bounds, units)
    return RefusalWords(f"{_LABELS.get(of, of)} is {shown}; it must be {limit}.", limit)


def conflict_words(code: str, facts: Mapping[str, str | int | float]) -> tuple[str, str]:
    """What does not fit, and what to do."""
    message, remedy = CONFLICTS[code]
    return message.format_map(facts), remedy.format_map(facts)


def not_found_words(what: str) -> str:
    """What is not there."""
    return THINGS[what]
