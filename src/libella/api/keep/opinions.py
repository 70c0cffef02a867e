"""Every number that is an opinion, as it counts."""

from fastapi import APIRouter
from pydantic import BaseModel, Field

from ...words.opinions.held import HELD, OPINIONS, Step
from ..base.shapes import InUnits

router = APIRouter(tags=["opinions"])


class OpinionOut(BaseModel):
    step: Step
    name: str
    value: str = Field(description="as it counts, with its unit")
    held: str = Field(description="who may hold another")
    page: str = Field(description="where; empty: nowhere")


@router.get("/opinions")
def every(units: InUnits = "metric") -> list[OpinionOut]:
    """Every prior, threshold, default and band that nobody measured, in the order of a lesson."""
    return [
        OpinionOut(step=it.step, name=it.name, value=it.value_said(units), held=HELD[it.held][1], page=HELD[it.held][0])
        for it in OPINIONS
    ]
