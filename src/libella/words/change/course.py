"""What is holed and what is left, in practice and on the course; backstroke and roll; in words."""

from collections.abc import Sequence
from typing import Final

from ...core.certainty.verdict import is_likely, sure_of
from ...core.change.made import Carried, Carries, MadeAt, interval, more_than
from ...core.change.pace_table import LEAVE_M, WITHIN, LeaveAt, PaceTable
from ...core.estimate.shares import Share
from ...core.golfer.golf_round import RoundTold
from ...core.measure.constants import FOOT_M
from ...core.measure.units import Units, roughly, tape
from ..shared.certainty import WORDS
from ..shared.counts import counted, listed

_CARRIES: Final[dict[Carries, str]] = {
    "carries": "What is holed in practice is holed on the course, likely",
    "parts": "On the course less is holed than in practice, likely",
    "open": "Whether as much is holed on the course can’t be told yet",
}
NO_ROUND: Final = "No round yet. After one: each first putt, how many putts, where it missed."


def rounds_said(it: RoundTold) -> str:
    """What the rounds come to."""
    if not it.rounds:
        return NO_ROUND
    misses = [
        f"{n} {where}"
        for n, where in ((it.left, "left"), (it.right, "right"), (it.short, "short"), (it.past, "past"))
        if n
    ]
    first = f" First putts missed: {listed(misses)}." if misses else ""
    return f"{counted(it.rounds, 'round')}, {counted(it.holes, 'hole')}: {counted(it.putts, 'putt')}.{first}"


def round_said(holes: int, putts: int) -> str:
    """One round in brief."""
    return f"{counted(holes, 'hole')}, {counted(putts, 'putt')}"


def carried_said(it: Carried | None) -> str:
    """Whether practice carries over; empty where no length has both."""
    if it is None:
        return ""
    low, value, high = (round(one) for one in (it.less.low, it.less.value, it.less.high))
    by = f"{abs(value)} {'fewer' if value >= 0 else 'more'} of a hundred"
    ends = (
        f"{low} to {high} fewer"
        if low >= 0
        else f"{-low} more to {high} fewer"
        if high >= 0
        else (f"{-high} to {-low} more")
    )
    putts = f"{counted(it.course, 'putt')} there, {it.practice} in practice"
    return f"{_CARRIES[it.word]}: {by} ({ends}), by {putts} from the lengths that both have."


def share_said(it: Share) -> str:
    """How many of how many were holed, with how well that is known."""
    if not it.of:
        return "none yet"
    told = interval(it)
    return f"{it.times} of {it.of} ({round(told.low)} to {round(told.high)} of a hundred)"


def _length(length_m: float, units: Units) -> str:
    """A length that stands for all near it."""
    return f"about {length_m:g} m" if units == "metric" else f"about {round(length_m / FOOT_M)} ft"


def made_said(it: MadeAt, units: Units) -> str:
    """One length: practice and course."""
    practice, course = share_said(it.practice), share_said(it.course)
    length = _length(it.length_m, units)
    return f"{length[0].upper()}{length[1:]}: in practice {practice}; on the course {course}."


def leave_said(it: LeaveAt, units: Units) -> str:
    """What is left from one length."""
    near = f"{it.near} of {it.of} within {tape(LEAVE_M(), units)}"
    median = ""
    if it.left is not None:
        low, high = roughly(it.left.low, units), roughly(it.left.high, units)
        median = f"; half of what missed within {roughly(it.left.value, units)} ({low} to {high})"
    return f"From {_length(it.length_m, units)}: {near}{median}."


def table_said(it: PaceTable) -> str:
    """How well a table of backstroke and roll holds."""
    scatters = f"rolls lie {round(100 * it.scatters)} in a hundred from it"
    strokes = counted(it.strokes, "putt")
    if it.fitted:
        return f"Fitted, likely within {round(100 * WITHIN())} in a hundred: {scatters}, by {strokes}."
    return f"Not fitted yet: {scatters}, by {strokes}."


def row_said(row: tuple[float, float], units: Units) -> str:
    """How far back for what roll."""
    roll, back = row
    # A thumb's breadth is as fine as a backstroke is seen.
    return f"{tape(roll, units)}: {roughly(back, units)} back"


def helpless_said(runs: Sequence[Share]) -> str:
    """The runs of ten without help, the oldest first, and whether the newest is better."""
    if not runs:
        return ""
    told = ", ".join(f"{it.times} of {it.of}" for it in runs)
    return f"Before any other putt, with nothing to help, holed: {told}.{_more(runs)}"


def _more(runs: Sequence[Share]) -> str:
    if len(runs) == 1:
        return ""
    chance = more_than(runs[0], runs[-1])
    if is_likely(chance):
        return f" More than at first, {WORDS[sure_of(chance)]}."
    if is_likely(1 - chance):
        return f" Fewer than at first, {WORDS[sure_of(1 - chance)]}."
    return " Whether it is more than at first can’t be told yet."
