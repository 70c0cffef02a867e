"""The one change and its retests, in words."""

import math
from collections.abc import Sequence
from typing import Final

from ...core.change.proposal import Chosen, Kind
from ...core.change.retest import EACH, Retest, Standing, Tested
from ...core.change.session import retest_min
from ...core.start.turns import Outcome, noticed
from ..shared.brief import NOTHING
from ..shared.certainty import WORDS
from ..shared.counts import counted, listed

KIND_NAMES: Final[dict[Kind, str]] = {
    "set_up": "The set-up",
    "cue": "What is aimed by",
    "routine": "The routine",
    "stroke": "The stroke",
    "kit": "The putter or the ball",
    "practice": "How it is practised",
    "train_the_eye": "The eye",
    "trust": "Trust",
}
BRIEF: Final[dict[Kind, str]] = {
    "set_up": "set-up",
    "cue": "cue",
    "routine": "routine",
    "stroke": "stroke",
    "kit": "putter, ball",
    "practice": "practice",
    "train_the_eye": "the eye",
    "trust": "trust",
}
STANDINGS: Final[dict[Standing, str]] = {
    "untested": "not retested yet",
    "open": "can't tell yet",
    "better_so_far": "better so far",
    "kept": "kept",
    "worse": "worse",
    "dropped": "dropped",
}
_WANTED: Final[dict[Outcome, str]] = {
    "line": "start inside the window",
    "spread": "start inside the window",
    "window": "start inside the window",
    "roll": "roll clean",
    "still": "are putted still",
    "touch": "touch nothing",
    "strike": "are struck in the middle",
    "finish": "are not left short",
}
PROVED: Final[dict[int, str]] = {
    -1: "Retested with this golfer: better.",
    0: "",
    1: "Retested with this golfer: worse.",
}
ONE_AT_A_TIME: Final = (
    "One change at a time: with two, a retest tells of both together and of neither alone. "
    "Drop the other, or go on with both."
)


def change_line(chosen: Sequence[Chosen]) -> tuple[str, str]:
    """The changes a golfer goes with, in one line, and in a narrow run sheet."""
    if not chosen:
        return "Nothing chosen yet.", NOTHING
    more = f", and {counted(len(chosen) - 1, 'more_change')}" if len(chosen) > 1 else ""
    return f"{chosen[0].what}{more}.", BRIEF[chosen[0].kind]


def standing_said(it: Tested, question: Outcome, beside: Sequence[str]) -> str:
    """Where a change stands. `beside`: what else is changed; then nothing is said of it alone."""
    name = STANDINGS[it.standing]
    if it.standing in ("untested", "dropped"):
        return f"{name[0].upper()}{name[1:]}."
    last = it.together or next(one for one in reversed(it.retests) if one.final)
    if beside:
        with_ = listed([f"“{one}”" for one in beside])
        return (
            f"Retested with {with_} changed as well: what it says is of all of it together: {gain_said(last, question)}"
        )
    sure = f", {WORDS[last.call.word]}" if last.call.names_direction and it.standing != "kept" else ""
    twice = "both retests together: " if it.together else ""
    return f"{name[0].upper()}{name[1:]}{sure}; {twice}{gain_said(last, question)}"


def gain_said(it: Retest, question: Outcome) -> str:
    """What a retest came to, or several together."""
    by, low, high = (round(one) for one in (it.gain.value, it.gain.low, it.gain.high))
    ends = f"{low} to {high}" if low >= 0 else f"{-high} to {-low}" if high <= 0 else f"{-low} fewer to {high} more"
    more = "as many" if by == 0 else f"{abs(by)} {'more' if by > 0 else 'fewer'}"
    return f"about {more} of a hundred {_WANTED[question]} ({ends})."


def retest_due_said(chosen: Chosen) -> str:
    """What the next lesson checks first."""
    return f"Retest “{chosen.what}”: as usual against changed, about {_minutes()} minutes."


def _minutes() -> int:
    return math.ceil(retest_min())


def retest_said(question: Outcome) -> str:
    """What a retest takes."""
    read = "with the start read" if noticed(question) is None else "with what it is about noted"
    return f"As usual against changed, in turns: {EACH} putts each way, {read}, about {_minutes()} minutes."
