"""A lesson in one line, wherever one is told so."""

from pydantic import BaseModel, Field

from ...core.certainty.vial import Vial
from ...lessons.desk.desk import Desk
from ..base.shapes import UUID, InUnits
from .findings import findings_in


class FoundOut(BaseModel):
    """A lesson in one line: what it found, what is to be looked at next, and the vial of the link it is about."""

    lesson_id: UUID
    found: str
    read: bool = Field(description="something was read in it")
    next: str
    due: bool = Field(description="`next` is a check that is due; else it says that there is none")
    vial: Vial | None


def found_in(desk: Desk, id: UUID, units: InUnits) -> FoundOut:
    """A lesson's one sentence, wherever a lesson is told in one line."""
    whole = findings_in(desk, id, units)
    vial = next((it.vial for it in whole.links if it.name == whole.about), None)
    return FoundOut(
        lesson_id=id, found=whole.headline, read=bool(whole.read), next=whole.following, due=bool(whole.next), vial=vial
    )
