"""Whatever is told of a golfer over the lessons, opened: the line, what to expect on the course, a change."""

from datetime import UTC, datetime

from fastapi import APIRouter, Query

from ...core.course.explained import OutlookExplained
from ...core.judge.explained.line import LineExplained
from ...lessons.change.explained import of_golfer
from ...lessons.change.outlook import expected
from ...lessons.desk.problem import NotFound
from ...lessons.golfer.golfers import golfer
from ...lessons.judge.golfers_line import golfers_lines
from ...words.change.explained import change_opened, line_opened, outlook_opened
from ...words.judge.golfers_line import line_name
from ..base.shapes import UUID, AtDesk, InUnits, Words200
from ..judge.explained import ExplainedOut, opened_out

router = APIRouter(tags=["explained"])


@router.get("/golfers/{id}/explained")
def of_a_golfer(
    desk: AtDesk, id: UUID, claim: Words200 = Query(description="its key"), units: InUnits = "metric"
) -> ExplainedOut:
    """Open what is told of a golfer over the lessons."""
    with desk.together() as whole:
        who = golfer(whole, id)
        every, since = of_golfer(whole, id)
        if claim not in every:
            raise NotFound("claim")
        it = every[claim]()
        match it:
            case LineExplained():
                lines = golfers_lines(whole, id).lines
                others = [
                    line_name(one, units)
                    for one in lines
                    if one.quantity == it.line.quantity and one.keys != it.line.keys
                ]
                said = line_opened(it, others, since or datetime.now(UTC), who.hand, units)
            case OutlookExplained():
                said = outlook_opened(it, expected(whole, id).starts, units)
            case _:
                kept = [one.comparison for one in it.retests]
                where = [(str(one.id), one.started_at, str(one.lesson_id)) for one in kept]
                said = change_opened(it.chosen.what, it.tested, it.chosen.asks, it.beside, where)
    return opened_out(said, units)
