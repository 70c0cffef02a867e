"""What follows from a lesson for its golfer: what may be changed, in order, and the drill that practises it."""

from collections.abc import Sequence
from dataclasses import dataclass
from uuid import UUID

from ...core.change.fitting import Fitting, fitting
from ...core.change.follows import follows
from ...core.change.proposal import Chosen
from ...core.judge.findings.next_check import Check
from ...store.tables import LessonRow
from ..desk.desk import Desk
from ..judge.findings import WholeLesson, judge_whole
from ..lesson.lessons import golfer_in


@dataclass(frozen=True, slots=True)
class Following:
    """What follows from a lesson's account.

    Attributes
    ----------
    fitting : each thing that can be worked on with the changes that fit, the first first; empty where nothing is at
        least likely
    check : what to check next; None where nothing more would tell anything
    """

    whole: WholeLesson
    fitting: tuple[Fitting, ...]
    check: Check | None


def following(desk: Desk, lesson_id: UUID) -> Following:
    """What follows from a lesson as it stands."""
    whole = judge_whole(desk, lesson_id)
    with desk.transaction() as session:
        limits = golfer_in(desk, session, desk.get(session, LessonRow, lesson_id, "lesson")).limits
    told = tuple(fitting(it, whole.judged, limits) for it in follows(whole.judged))
    return Following(whole, told, next(iter(whole.judged.next), None))


def chosen_first(told: Sequence[Fitting], chosen: Chosen | None) -> list[Fitting]:
    """The same, what was chosen to be changed before all else."""
    if chosen is None or not chosen.cause:
        return list(told)
    return sorted(told, key=lambda it: it.follow.topic != chosen.cause)
