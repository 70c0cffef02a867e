"""Two lessons, or blocks of them, set beside each other in everything read on both."""

from datetime import datetime

from fastapi import Query
from pydantic import BaseModel, Field

from ...core.certainty.verdict import Word
from ...core.certainty.vial import Vial
from ...core.drawing.scene import Scene
from ...core.judge.findings.chain_picture import fan
from ...core.measure.side import Side as SideWord
from ...lessons.judge.two import Side, SideRead, compare_sides, explain_sides
from ...words.judge import lesson as lesson_words
from ...words.judge import two as words
from ...words.judge.explained.opened import opened_said
from ..base.router import Router
from ..base.shapes import UUID, AtDesk, InUnits, Words200
from .explained import ExplainedOut, opened_out

router = Router(tags=["two sides"])


class BesideOut(BaseModel):
    """A quantity on both sides, and how they differ; vials of a level in degrees or of where the eyes are."""

    quantity: str
    label: str
    first: Vial | None
    second: Vial | None
    words: str
    word: Word
    side: SideWord


class TwoSidesOut(BaseModel):
    """Both sides: one sentence, their fans, everything read on both, and what else changed."""

    headline: str
    names: tuple[str, str]
    at: tuple[datetime, datetime]
    fan: Scene | None = Field(description="the second side, the first drawn faintly under it")
    fan_words: str
    links: list[BesideOut]
    changed: str


@router.get("/compare-sides/explained")
def explained(
    desk: AtDesk,
    first: UUID,
    second: UUID,
    claim: Words200 = Query(description="the quantity"),
    first_block: UUID | None = None,
    second_block: UUID | None = None,
    units: InUnits = "metric",
) -> ExplainedOut:
    """Open what is said of a quantity on both sides."""
    with desk.together() as whole:
        it, hand = explain_sides(whole, Side(first, first_block), Side(second, second_block), claim)
    return opened_out(opened_said(it, hand, units), units)


@router.get("/compare-sides")
def compare(
    desk: AtDesk,
    first: UUID,
    second: UUID,
    first_block: UUID | None = None,
    second_block: UUID | None = None,
    units: InUnits = "metric",
) -> TwoSidesOut:
    """What moved from the first lesson, or block of it, to the second."""
    it = compare_sides(desk, Side(first, first_block), Side(second, second_block))
    before, after = it.chains
    labels = {one.name: lesson_words.ray_said(one) for one in after.links}
    headline = words.two_said(it.differences, it.stood, it.hand, units)
    drawn = fan(after, it.putt, labels, headline, before=before) if after.links else None
    one, other = it.sides
    return TwoSidesOut(
        headline=headline,
        names=words.side_names(_side(one), _side(other), units),
        at=(one.at, other.at),
        fan=drawn[0] if drawn else None,
        fan_words=words.over_said(drawn[1]) if drawn else "",
        links=[
            BesideOut(
                quantity=found.quantity.name,
                label=words.label_said(found),
                first=found.first.vial if found.first and found.quantity.sides in ("line", "eyes") else None,
                second=found.second.vial if found.second and found.quantity.sides in ("line", "eyes") else None,
                words=words.beside_said(found, it.hand, units),
                word=found.call.word,
                side=found.call.side,
            )
            for found in it.differences
        ],
        changed=words.changed_said(it.changed, it.noted),
    )


def _side(it: SideRead) -> words.SideSaid:
    return words.SideSaid(it.at, it.levels, it.lengths_m, it.putts, it.whole)
