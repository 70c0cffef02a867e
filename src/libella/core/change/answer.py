"""What a lesson answers to what the golfer came with: what was seen of it, whether that is what was felt, and what
nobody looked at (practice 1)."""

from dataclasses import dataclass
from typing import Final, Literal

from ..judge.claims.growth import Growth
from ..judge.claims.level import Level
from ..judge.claims.pace import Pace
from ..judge.claims.reads import Claim
from ..judge.claims.together import GoesWith
from ..judge.findings.finding import Finding
from ..judge.findings.judged import LessonJudged
from ..judge.findings.said import Cause_, Differs
from ..measure.side import Side
from .about import AboutAnswer, Seen, about_answers, apart_of, is_named, read_of
from .complaint import FELT, FELT_IN, Complaint

Look = Literal["sight", "aim", "start", "strike", "pace"]
_LOOKS: Final[dict[Look, tuple[str, ...]]] = {
    "sight": ("looks_straight", "first_look"),
    "aim": ("face", "to_mark", "address"),
    "start": ("start",),
    "strike": ("strike",),
    "pace": ("holed", "roll_past", "stopped"),
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
    felt_read : what was read of it, under each way; felt_apart : how far it differs between two of them;
        felt_with : what goes with it, putt by putt
    named : the causes that are named, and that what is said first does not name already
    unseen : what nobody looked at, what was felt first
    start : where the ball starts, where that was read and there is one start; starts : under each way it was read
    growth : how the start goes with the length, where it does
    finished : where the putts finished, where that was noted
    about : what else was asked, each with its answer
    """

    complaint: Complaint
    line: Seen | None
    pace: Seen | None
    felt: Seen | None
    named: tuple[Finding, ...]
    unseen: tuple[Look, ...]
    start: Level | None
    finished: Pace | None
    starts: tuple[Level, ...] = ()
    growth: Growth | None = None
    felt_read: tuple[Claim, ...] = ()
    felt_apart: tuple[Differs, ...] = ()
    felt_with: tuple[GoesWith, ...] = ()
    about: tuple[AboutAnswer, ...] = ()


def answer(complaint: Complaint, it: LessonJudged) -> Answer:
    """What a lesson as it stands answers."""
    growth = it.growth if it.findings.grows else None
    start = None if growth else it.case.level("start")
    first = it.chosen[0]
    head = first.finding.cause if isinstance(first, Cause_) else None
    named = [one for one in it.findings.ranked if one.is_named and not one.explained_by and one.cause != head]
    names = FELT_IN[complaint.felt] if complaint.felt else ()
    read, apart = read_of(names, it), apart_of(names, it)
    return Answer(
        complaint,
        _of_line(complaint, start, growth, it),
        _of_pace(complaint, it.pace),
        _of_felt(complaint, it, read, apart),
        tuple(named[:_MOST]),
        _unseen(complaint, it),
        start,
        it.pace,
        tuple(one for one in it.reads if isinstance(one, Level) and one.quantity.name == "start"),
        growth,
        read,
        apart,
        tuple(one for one in it.together if one.quantity in names),
        about_answers(complaint, it),
    )


def _of_line(complaint: Complaint, start: Level | None, growth: Growth | None, it: LessonJudged) -> Seen | None:
    if not {"left", "right", "both"} & {*complaint.misses}:
        return None
    if not it.case.ledger.was_read("start"):
        return "unread"
    if growth is None and (start is None or not start.enough or start.call is None or start.call.word == "open"):
        return "open"
    call = growth.call if growth is not None else start.call if start is not None else None
    assert call is not None
    side: Side = call.side if call.names_direction else "neither"
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


def _of_felt(
    complaint: Complaint, it: LessonJudged, read: tuple[Claim, ...], apart: tuple[Differs, ...]
) -> Seen | None:
    if complaint.felt is None:
        return None
    of = [one for one in it.findings.ranked if one.cause in FELT[complaint.felt]]
    if any(one.is_named and not one.explained_by for one in of) or apart:
        return "as_said"
    if any(is_named(one) for one in read) or any(one.quantity in FELT_IN[complaint.felt] for one in it.together):
        return "as_said"
    if not read and not any(it.case.ledger.was_read(name) for name in FELT_IN[complaint.felt]):
        return "unread"
    return "not_there" if all(one.call.word == "none" for one in of) else "open"


def _unseen(complaint: Complaint, it: LessonJudged) -> tuple[Look, ...]:
    ledger = it.case.ledger
    unseen: list[Look] = [look for look, names in _LOOKS.items() if not any(ledger.was_read(name) for name in names)]
    return tuple(sorted(unseen, key=lambda look: look != complaint.felt))
