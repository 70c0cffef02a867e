"""Two lessons, or blocks of them, set beside each other in every link."""

from datetime import datetime

from fastapi import APIRouter
from pydantic import BaseModel, Field

from ...core.certainty.verdict import Word
from ...core.certainty.vial import Vial
from ...core.drawing.scene import Scene
from ...core.judge.findings.chain_picture import LinkName, fan
from ...core.measure.side import Side as SideWord
from ...lessons.judge.two import Side, compare_sides
from ...words.judge import lesson as lesson_words
from ...words.judge import two as words
from ..base.shapes import UUID, AtDesk

router = APIRouter(tags=["two sides"])


class LinkBesideOut(BaseModel):
    """A link on both sides, and how they differ."""

    name: LinkName
    label: str
    first: Vial
    second: Vial
    words: str
    word: Word
    side: SideWord


class TwoSidesOut(BaseModel):
    """Both sides: one sentence, their fans, every link read on both, and what else changed."""

    headline: str
    names: tuple[str, str]
    at: tuple[datetime, datetime]
    fan: Scene | None = Field(description="the second side, the first drawn faintly under it")
    fan_words: str
    links: list[LinkBesideOut]
    spreads: str
    more: str
    changed: str


@router.get("/compare-sides")
def compare(
    desk: AtDesk, first: UUID, second: UUID, first_block: UUID | None = None, second_block: UUID | None = None
) -> TwoSidesOut:
    """What moved from the first lesson, or block of it, to the second."""
    it = compare_sides(desk, Side(first, first_block), Side(second, second_block))
    found = it.found
    before, after = found.chains
    labels = {one.name: lesson_words.ray_said(one) for one in after.links}
    headline = words.two_said(found)
    drawn = fan(after, it.putt, labels, headline, before=before) if after.links else None
    return TwoSidesOut(
        headline=headline,
        names=(words.side_name(it.at[0], it.names[0]), words.side_name(it.at[1], it.names[1])),
        at=it.at,
        fan=drawn[0] if drawn else None,
        fan_words=words.over_said(drawn[1]) if drawn else "",
        links=[
            LinkBesideOut(
                name=one.name,
                label=lesson_words.LINK_NAMES[one.name],
                first=one.first,
                second=one.second,
                words=words.link_beside_said(one),
                word=one.call.word,
                side=one.call.side,
            )
            for one in found.links
        ],
        spreads=words.spreads_said(found),
        more=words.more_said(found),
        changed=words.changed_said(it.changed, it.noted),
    )
