"""A lesson, or everything, that was kept under another golfer: what putting it right does, shown first, and done."""

from datetime import UTC, datetime

from pydantic import BaseModel, Field

from ...lessons.desk.desk import Desk
from ...lessons.golfer import golfers, handovers
from ...lessons.golfer.schools import schools_of
from ...words.people import handover as words
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry
from .golfers import GolferOut, golfer_out

router = Router(prefix="/handovers", tags=["golfers"])


class HandoverIn(Entry):
    former_id: UUID = Field(description="under whom it is kept now")
    golfer_id: UUID = Field(description="whose it is")
    lesson_id: UUID | None = Field(None, description="the lesson that goes; null: both are one golfer")

    def told(self) -> handovers.Handover:
        return handovers.Handover(self.former_id, self.golfer_id, self.lesson_id)


class WouldGoOut(BaseModel):
    """What putting it right does, a sentence each."""

    says: list[str]


@router.post("")
def would(desk: AtDesk, entry: HandoverIn) -> WouldGoOut:
    """What would go to the other golfer; keeps nothing."""
    now = datetime.now(UTC)
    it = handovers.would(desk, entry.told(), now)
    came = {**it.came.came, "putt": it.putts}
    if it.lesson is None:
        says = [words.all_goes(it.former.name, it.golfer.name, came)]
    else:
        says = [words.lesson_goes(it.lesson.started_at, it.former.name, it.golfer.name, came)]
    if it.former.hand != it.golfer.hand:
        says.append(words.hand_stays(it.golfer.name, it.golfer.hand))
    if it.filled:
        says.append(words.FILLED)
    if it.lesson is not None and it.lesson.released_at is not None:
        says.append(words.RELEASED_ANEW)
    if it.came.lesson_ids:
        says.append(words.OLD_SHEETS)
    return WouldGoOut(says=says)


@router.put("/{id}")
def hand_over(desk: AtDesk, id: UUID7, entry: HandoverIn) -> GolferOut:
    """Put it under the golfer whose it is; what stood there stays in the record."""
    done = handovers.hand_over(desk, id, entry.told(), datetime.now(UTC))
    row = golfers.golfer(desk, done.golfer_id)
    return golfer_out(row, schools_of(desk, row))


def moved(desk: Desk, lesson_id: UUID) -> list[str]:
    """What a lesson's sheet says where it was kept under another name."""
    return [words.moved_said(it.made_at.date()) for it in handovers.handovers_of(desk, lesson_id)]
