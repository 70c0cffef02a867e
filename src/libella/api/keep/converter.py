"""An angle or an offset said in every way."""

from fastapi import Query
from pydantic import BaseModel, Field

from ...core.keep.convert import WAYS, Way, converted
from ...words.keep.converter import WAY_NAMES, amount_said
from ..base.router import Router

router = Router(tags=["converter"])


class SaidOut(BaseModel):
    """One way of saying it."""

    way: Way
    name: str
    amount: float = Field(description="in that way's own unit, right positive")
    words: str


@router.get("/converted")
def convert(
    amount: float = Query(description="in the way's own unit, right positive"),
    way: Way = Query("deg"),
    length_m: float = Query(3.0, description="of the putt, or to where it is read: 0.1 to 30 m"),
    step_m: float = Query(0.75, description="the golfer's step: 0.3 to 1.2 m"),
) -> list[SaidOut]:
    """The same in every way."""
    it = converted(amount, way, length_m, step_m)
    return [SaidOut(way=one, name=WAY_NAMES[one], amount=it.amounts[one], words=amount_said(it, one)) for one in WAYS]
