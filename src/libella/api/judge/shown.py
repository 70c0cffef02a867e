"""What a lesson comes to, for the golfer's screen."""

from pydantic import BaseModel, Field

from ...core.drawing.scene import Scene
from ...lessons.lesson.lessons import is_invented
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, InUnits
from .findings import findings_in

router = Router(tags=["findings"])


class ShownFindingOut(BaseModel):
    """What a lesson comes to, as its golfer is shown it, and nothing else of it."""

    for_golfer: str
    picture: Scene | None
    picture_words: str
    headline: str = Field(description="what the picture says, for whoever does not see it")
    invented: bool


@router.get("/lessons/{id}/finding-shown")
def shown(desk: AtDesk, id: UUID, units: InUnits = "metric") -> ShownFindingOut:
    """For the golfer's screen: one sentence and one picture."""
    told = findings_in(desk, id, units).model_dump(include={"for_golfer", "picture", "picture_words", "headline"})
    return ShownFindingOut(**told, invented=is_invented(desk, id))
