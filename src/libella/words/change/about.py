"""What is asked that no miss tells, what would tell it, and the answer, in words."""

from collections.abc import Sequence
from typing import Final

from ...core.change.about import AboutAnswer
from ...core.change.complaint import About
from ...core.golfer.hand import Hand
from ...core.judge.claims.reads import Claim
from ...core.judge.findings.said import Differs
from ...core.measure.units import Units
from ..judge.chosen import chosen_said
from ..judge.claims import reads_said
from ..shared.inside import inside

ABOUT_NAMES: Final[dict[About, str]] = {
    "roll": "How it rolls",
    "contact": "The contact",
    "nerves": "Nerves",
    "aid_true": "Is my aid true?",
    "which_better": "Which of two is better?",
    "nothing_wrong": "Nothing wrong",
}
ABOUT_TELLS: Final[dict[About, str]] = {
    "roll": "Note how ten putts roll: clean, or with a wobble.",
    "contact": "Note where ten putts are struck on the face.",
    "nerves": "Ten putts alone and ten with something at stake, in turns: note what moves.",
    "aid_true": "Measure the line a second way, or turn the aid round: it must read the same.",
    "which_better": "Compare the two in turns, ten putts each.",
    "nothing_wrong": "Read ten starts, and note where the putts finish.",
}
"""What would answer it."""
ABOUT_ASKED: Final[dict[About, str]] = {
    "roll": "ask how the ball rolls",
    "contact": "ask about the contact",
    "nerves": "are nervous over it",
    "aid_true": "ask whether your aid is true",
    "which_better": "ask which of two is better",
    "nothing_wrong": "have nothing wrong and want to know",
}
_TRUE: Final = {
    "as_said": "Your aid is true: measured a second way, the line agrees.",
    "otherwise": "Your aid does not lie true.",
}
_WELL: Final = {
    "as_said": "You came with nothing wrong, and so it is.",
    "otherwise": "You came with nothing wrong; there is something to work on.",
    "open": "You came with nothing wrong: whether it is so, can't be told yet.",
}


def about_said(it: AboutAnswer, headline: str, hand: Hand, units: Units) -> str:
    """One question's answer; `headline`: what the lesson says first, which is not said twice."""
    name = ABOUT_NAMES[it.about].rstrip("?")
    if it.seen == "unread":
        return f"{name}: not looked at yet. {ABOUT_TELLS[it.about]}"
    if it.about == "aid_true":
        return _TRUE["otherwise" if it.seen == "otherwise" else "as_said"]
    if it.about == "nothing_wrong":
        return _WELL["open" if it.seen not in _WELL else it.seen]
    apart = apart_said(it.apart, headline, hand, units)
    if it.about == "which_better":
        return " ".join(apart) if it.apart else "Which of two is better, can't be told yet."
    read = each_said(it.read, hand, units)
    match it.seen:
        case "not_there":
            return f"You asked about {inside(name)}: nothing to mend there."
        case "as_said":
            return " ".join([f"You asked about {inside(name)}.", *(apart or read)])
        case _:
            return " ".join([f"You asked about {inside(name)}: can't tell yet.", *read])


def apart_said(some: Sequence[Differs], headline: str, hand: Hand, units: Units) -> list[str]:
    """How two ways differ, as far as the headline has not said it."""
    return [said for one in some if (said := chosen_said(one, hand, units)).lower() not in headline.lower()]


def each_said(some: Sequence[Claim], hand: Hand, units: Units) -> list[str]:
    """What was read of it, with what it is: "Strike: towards the heel 8 of 10, clear." """
    return [f"{name}: {inside(said)}" for name, said in reads_said(some, hand, units)]
