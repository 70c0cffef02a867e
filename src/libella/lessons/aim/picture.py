"""What the picture does to the aim of a lesson's golfer."""

from uuid import UUID

from ...core.aim.picture import AimQuestion, aim_question
from ...core.certainty.estimate import Estimate
from ...store.tables import LessonRow
from ..desk.desk import Desk
from ..see.sights import looks_straight_matters
from .aims import natural_aim


def aim_question_of(desk: Desk, lesson_id: UUID, as_usual: Estimate | None) -> AimQuestion:
    """The looks-straight angle of the usual set-up beside the golfer's natural aim."""
    with desk.transaction() as session:
        golfer_id = desk.get(session, LessonRow, lesson_id, "lesson").golfer_id
    return aim_question(as_usual, natural_aim(desk, golfer_id), looks_straight_matters())
