"""What a lesson answers to a question that no miss tells: is it so, of what was read, or what would tell it."""

from dataclasses import dataclass
from typing import Literal

from ..judge.claims.level import Level
from ..judge.claims.reads import Claim
from ..judge.findings.judged import LessonJudged
from ..judge.findings.said import Cause_, Differs, PutRight
from .complaint import ABOUT_IN, About, Complaint

Seen = Literal["as_said", "otherwise", "not_there", "open", "unread"]
"""As said; to the other side, or the other way; looked at and nothing to mend; cannot be told yet; nobody looked."""


@dataclass(frozen=True, slots=True)
class AboutAnswer:
    """One question's answer: `read` and `apart` are what was read of it, and how two ways of it differ."""

    about: About
    seen: Seen
    read: tuple[Claim, ...] = ()
    apart: tuple[Differs, ...] = ()


def about_answers(complaint: Complaint, it: LessonJudged) -> tuple[AboutAnswer, ...]:
    """An answer to each, in the order in which they were asked."""
    return tuple(_answer(one, it) for one in complaint.about)


def _answer(about: About, it: LessonJudged) -> AboutAnswer:
    if about == "aid_true":
        return AboutAnswer(about, _line_true(it))
    if about == "which_better":
        return _which_better(it)
    if about == "nothing_wrong":
        return AboutAnswer(about, _nothing_wrong(it))
    read, apart = read_of(ABOUT_IN[about], it), apart_of(ABOUT_IN[about], it)
    if not read:
        return AboutAnswer(about, "unread")
    if apart or any(is_named(one) for one in read):
        return AboutAnswer(about, "as_said", read, apart)
    none = all(one.call is not None and one.call.word == "none" for one in read)
    return AboutAnswer(about, "not_there" if none else "open", read)


def _line_true(it: LessonJudged) -> Seen:
    """Whether what was laid lies true: only a second way of measuring it tells."""
    if not it.case.ledger.proved:
        return "unread"
    off = any(
        isinstance(one, PutRight) or (isinstance(one, Cause_) and one.finding.cause == "rig") for one in it.chosen
    )
    return "otherwise" if off else "as_said"


def _which_better(it: LessonJudged) -> AboutAnswer:
    apart = tuple(one for one in it.chosen if isinstance(one, Differs))
    if apart:
        return AboutAnswer("which_better", "as_said", (), apart)
    return AboutAnswer("which_better", "open" if it.compared else "unread")


def _nothing_wrong(it: LessonJudged) -> Seen:
    if any(one.is_named for one in it.findings.ranked) or any(is_named(one) for one in it.reads):
        return "otherwise"
    if not it.reads:
        return "unread"
    return "as_said" if it.chosen and it.chosen[0].word == "none" else "open"


def read_of(names: tuple[str, ...], it: LessonJudged) -> tuple[Claim, ...]:
    """What was read of some quantities, under each way it was read."""
    # What was seen from a place that nobody can putt from answers nothing by itself.
    out = {one.id for one in it.case.ledger.batches if one.playable is False}
    found = [one for one in it.reads if one.quantity.name in names and not set(one.batches) <= out]
    # What is sure enough to be said of it; where nothing is, whatever there is.
    return tuple(one for one in found if is_named(one)) or tuple(found)


def apart_of(names: tuple[str, ...], it: LessonJudged) -> tuple[Differs, ...]:
    """How some quantities differ between two ways."""
    told = [one for one in it.chosen if isinstance(one, Differs) and one.difference.quantity.name in names]
    # Where one can putt from comes before where one can't: beside it that is no answer.
    return tuple(one for one in told if not one.group.unplayable) or tuple(told)


def is_named(it: Claim) -> bool:
    """At least likely, by its size or by its side alone."""
    if not isinstance(it, Level):
        return it.call is not None and it.call.names_direction
    return it.is_named or it.tells_side
