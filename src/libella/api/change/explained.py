"""Whatever is told of a golfer over the lessons, opened: the line, what to expect on the course, a change."""

from fastapi import Query

from ...lessons.change.changes import Change
from ...lessons.change.explained import LineOpened, OutlookOpened, ShareOpened, opened_of_golfer
from ...lessons.golfer.golfers import golfer
from ...words.change.explained import change_opened, line_opened, outlook_opened, share_opened
from ...words.judge.golfers_line import line_name, share_line_name
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, InUnits, Words200
from ..judge.explained import ExplainedOut, opened_out

router = Router(tags=["explained"])


@router.get("/golfers/{id}/explained")
def of_a_golfer(
    desk: AtDesk, id: UUID, claim: Words200 = Query(description="its key"), units: InUnits = "metric"
) -> ExplainedOut:
    """Open what is told of a golfer over the lessons."""
    with desk.together() as whole:
        it = opened_of_golfer(whole, id, claim)
        hand = golfer(whole, id).hand
    match it:
        case LineOpened():
            said = line_opened(it.it, [line_name(one, units) for one in it.beside], it.since, hand, units)
        case ShareOpened():
            said = share_opened(it.it, [share_line_name(one) for one in it.beside], it.since)
        case OutlookOpened():
            said = outlook_opened(it.it, it.starts, units)
        case Change():
            kept = [one.comparison for one in it.retests]
            where = [(str(one.id), one.started_at, str(one.lesson_id)) for one in kept]
            said = change_opened(it.chosen.what, it.tested, it.chosen.asks, it.beside, where)
    return opened_out(said, units)
