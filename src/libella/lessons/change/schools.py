"""What a golfer's own data say where coaches contradict each other."""

from collections.abc import Sequence
from uuid import UUID

from ...core.change.school_told import GolferTold, Retested
from ..desk.desk import Desk
from ..judge.findings import WholeLesson, judge_whole
from ..lesson.lessons import latest_lessons, lesson_sheet
from ..see.maps import map_sheet
from .changes import Change, changes_held


def golfer_told(desk: Desk, lesson_id: UUID, whole: WholeLesson | None = None) -> GolferTold:
    """What a lesson read and its golfer tried; `whole`: the lesson, where it was judged already."""
    judged = (whole or judge_whole(desk, lesson_id)).judged
    sheet = map_sheet(desk, lesson_id)
    levers = sheet.map.effects if len(sheet.sights) > 1 else ()
    held = changes_held(desk, lesson_sheet(desk, lesson_id).golfer.id)
    return GolferTold(judged, tried(held), levers, str(lesson_id))


def tried(held: Sequence[Change]) -> tuple[Retested, ...]:
    """What a golfer's changes came to, of those that are usual, newest first."""
    return tuple(
        Retested(it.chosen.proposal, it.tested.standing, it.key)
        for it in held
        # Of two changed at once neither is said alone.
        if it.chosen.proposal and not it.beside
    )


def newest_told(desk: Desk, golfer_id: UUID) -> GolferTold | None:
    """The same of a golfer's newest lesson; None before the first."""
    lesson = latest_lessons(desk, [golfer_id]).get(golfer_id)
    return golfer_told(desk, lesson.id) if lesson else None
