"""What a lesson answers to what the golfer came with: what was seen of it, whether that is what was felt, and what
nobody looked at (practice 1)."""

from dataclasses import dataclass
from typing import Final, Literal

from ..judge.claims.level import Level
from ..judge.claims.pace import Pace
from ..judge.findings.chosen import Cause_
from ..judge.findings.finding import Finding
from ..judge.findings.judged import LessonJudged
from ..measure.side import Side
from .complaint import FELT, Complaint

Seen = Literal["as_said", "otherwise", "not_there", "open", "unread"]
"""As said; to the other side, or the other way; looked at and nothing to mend; cannot be told yet; nobody looked."""
Look = Literal["sight", "aim", "start", "strike", "pace"]
_LOOKS: Final[dict[Look, tuple[str, ...]]] = {
    "sight": ("looks_straight",),
    "aim": ("face", "to_mark", "address"),
    "start": ("start",),
    "strike": ("strike",),
    "pace": ("holed", "roll_past"),
}
"""What a whole lesson looks at, in the order of the chain, each with the quantities that tell it."""
_MOST: Final = 3


@dataclass(frozen=True, slots=True)
class Answer:
    """The answer.

    Attributes
    ----------
    line, pace : what the lesson saw of a miss to a side, and of one short or past; None where that was not said
    felt : whether what was felt is what was found; None where nothing was felt
    named : the causes that are named, and that what is said first does not name already
    unseen : what nobody looked at, what was felt first
    start : where the ball starts, where that was read
    finished : where the putts finished, where that was noted
    """

    complaint: Complaint
    line: Seen | None
    pace: Seen | None
    felt: Seen | None
    named: tuple[Finding, ...]
    unseen: tuple[Look, ...]
    start: Level | None
    finished: Pace | None


def answer(complaint: Complaint, it: LessonJudged) -> Answer:
    """What a lesson as it stands answers."""
    start = it.case.level("start")
    first = it.chosen[0]
    head = first.finding.cause if isinstance(first, Cause_) else None
    named = [one for one in it.findings.ranked if one.is_named and not one.explained_by and one.cause != head]
    return Answer(
        complaint,
        _of_line(complaint, start),
        _of_pace(complaint, it.pace),
        _of_felt(complaint, it),
        tuple(named[:_MOST]),
        _unseen(complaint, it),
        start,
        it.pace,
    )


def _of_line(complaint: Complaint, start: Level | None) -> Seen | None:
    if not {"left", "right", "both"} & {*complaint.misses}:
        return None
    if start is None or not start.enough or start.call is None:
        return "unread"
    if start.call.word == "open":
        return "open"
    side: Side = start.call.side if start.call.names_direction else "neither"
    if complaint.side == "neither":
        # Who misses to both sides has no side: a spread, not a bias.
        return "otherwise" if side != "neither" else "as_said"
    return "not_there" if side == "neither" else "as_said" if side == complaint.side else "otherwise"


def _of_pace(complaint: Complaint, pace: Pace | None) -> Seen | None:
    said = [it for it in complaint.misses if it in ("short", "past")]
    if not said:
        return None
    if pace is None:
        return "unread"
    if pace.short == pace.past == 0:
        return "not_there" if pace.holed == pace.putts else "open"
    if len(said) > 1:
        return "as_said" if pace.short and pace.past else "otherwise"
    more, less = (pace.short, pace.past) if said == ["short"] else (pace.past, pace.short)
    return "as_said" if more > less else "otherwise" if less > more else "open"


def _of_felt(complaint: Complaint, it: LessonJudged) -> Seen | None:
    if complaint.felt is None:
        return None
    of = [one for one in it.findings.ranked if one.cause in FELT[complaint.felt]]
    if any(one.is_named and not one.explained_by for one in of):
        return "as_said"
    if all(one.missing and not one.facts for one in of):
        return "unread"
    return "not_there" if all(one.call.word == "none" for one in of) else "open"


def _unseen(complaint: Complaint, it: LessonJudged) -> tuple[Look, ...]:
    ledger = it.case.ledger
    unseen: list[Look] = [look for look, names in _LOOKS.items() if not any(ledger.count(name) for name in names)]
    return tuple(sorted(unseen, key=lambda look: look != complaint.felt))
