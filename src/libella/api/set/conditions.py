"""Conditions that are to be compared, drawn beside each other before they are putted."""

from dataclasses import replace

from pydantic import BaseModel, Field

from ...core.drawing.scene import Scene
from ...core.golfer.hand import Hand
from ...core.see.choices_drawn import choice_pictures
from ...core.set.layout import from_above
from ...words.set.conditions import ConditionTold, conditions_said
from ..base.router import Router
from ..base.shapes import Entry, InUnits, ShortWords, Words20
from .stations import LaidIn

router = Router(tags=["stations"])


class ConditionDrawnIn(Entry):
    name: ShortWords = ""
    factors: dict[Words20, ShortWords] = Field(default_factory=dict, max_length=8)
    guided: bool = False
    plan: LaidIn


class ConditionsDrawnIn(Entry):
    hand: Hand = "right"
    conditions: list[ConditionDrawnIn] = Field(min_length=2, max_length=5)


class ConditionDrawn(BaseModel):
    stage: Scene = Field(description="the station from above, to the same scale as the others")
    inset: Scene | None = Field(description="what differs in how it is putted, where that has a drawing")
    differs: str


class ConditionsDrawn(BaseModel):
    stays: str
    conditions: list[ConditionDrawn]


@router.post("/conditions-drawn")
def drawn(entry: ConditionsDrawnIn, units: InUnits = "metric") -> ConditionsDrawn:
    """Each condition as a small stage: what stays, what differs. Keeps nothing."""
    told = [ConditionTold(it.name, it.plan.entry(units).station(), it.guided) for it in entry.conditions]
    stays, differs = conditions_said(told, units)
    stages = [from_above(it.station, entry.hand, units) for it in told]
    left, right = min(it.left for it in stages), max(it.right for it in stages)
    top, bottom = min(it.top for it in stages), max(it.bottom for it in stages)
    return ConditionsDrawn(
        stays=stays,
        conditions=[
            ConditionDrawn(
                stage=replace(stage, left=left, right=right, top=top, bottom=bottom),
                inset=_inset(it, entry.hand),
                differs=said,
            )
            for it, stage, said in zip(entry.conditions, stages, differs, strict=True)
        ],
    )


def _inset(it: ConditionDrawnIn, hand: Hand) -> Scene | None:
    pictures = choice_pictures(hand)
    for factor, level in it.factors.items():
        found = pictures.get(factor, {}).get(level) or pictures["factor"].get(factor)
        if found:
            return found
    return pictures["set_up"][""]
