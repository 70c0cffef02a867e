"""Set-up cards."""

from datetime import UTC, datetime
from typing import Literal

from fastapi import Query
from fastapi.responses import Response
from pydantic import BaseModel, Field

from ...core.keep.card import mirror_overlay
from ...core.measure.units import Units
from ...exchange.card_sheet import Said, card_sheet
from ...exchange.paper import PaperName, Sheet, tiled
from ...lessons.desk.desk import Desk
from ...lessons.keep import cards, cautions
from ...lessons.keep.cards import KeptCard
from ...lessons.values import KeptGolfer
from ...words.keep.card import card_rows, change_words
from ...words.keep.caution import cautions_said
from ...words.shared.label import labelled
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, LongWords, Moment, Words20, Words80
from .prints import printed

router = Router(tags=["cards"])


class CardIn(Entry):
    """A set-up to keep: the usual one with these levers moved."""

    lesson_id: UUID
    position: dict[Words20, float] = Field(default_factory=dict, max_length=6)
    set_up: Words80 = Field(default="", description="the set-up it was marked in, by its name; empty as usual")
    note: LongWords = ""
    kept_at: Moment


class RowOut(BaseModel):
    name: str
    size: str


class CardOut(BaseModel):
    """A card as it is read."""

    id: UUID
    lesson_id: UUID
    kept_at: datetime
    note: str
    change: str = Field(description="what to move, in words")
    rows: list[RowOut]
    put_away_at: datetime | None
    has_eyes: bool
    has_sight: bool


class AwayIn(Entry):
    put_away: bool = True


@router.put("/set-up-cards/{id}")
def keep(desk: AtDesk, id: UUID7, entry: CardIn, units: InUnits = "metric") -> CardOut:
    """Keep this set-up."""
    return _card(
        cards.keep_card(desk, id, entry.lesson_id, entry.set_up or entry.position, entry.note, entry.kept_at), units
    )


@router.put("/set-up-cards/{id}/away")
def put_away(desk: AtDesk, id: UUID, entry: AwayIn, units: InUnits = "metric") -> CardOut:
    """Take a card out of the list, or bring it back."""
    return _card(cards.put_away_card(desk, id, datetime.now(UTC) if entry.put_away else None), units)


@router.get("/golfers/{id}/set-up-cards")
def of_golfer(desk: AtDesk, id: UUID, units: InUnits = "metric") -> list[CardOut]:
    """A golfer's cards, newest first; the first is gone by."""
    return [_card(it, units) for it in cards.cards_of(desk, id)]


@router.get(
    "/set-up-cards/{id}/print",
    response_class=Response,
    responses={200: {"content": {"application/pdf": {}, "image/svg+xml": {}}, "description": "The print."}},
)
def print_card(
    desk: AtDesk,
    id: UUID,
    what: Literal["card", "mirror"] = Query("card", description="the card, or the overlay for the mirror"),
    form: Literal["pdf", "svg"] = Query("pdf"),
    paper: PaperName = Query("a4"),
    sheet: int = Query(1, ge=1),
    units: InUnits = "metric",
) -> Response:
    """The card, or the mirror's overlay in true size."""
    kept, golfer = cards.card(desk, id)
    if what == "card":
        sheets, title = card_on_paper(desk, kept, golfer, units, paper)
    else:
        title = labelled(f"{golfer.name}: overlay for the mirror", golfer.invented)
        overlay = mirror_overlay(golfer.hand, kept.card.zone_mm, kept.card.marks, kept.card.nose)
        sheets = tiled(overlay, title, paper)
    return printed(sheets, title, f"set-up-{what}", form, paper, sheet)


def card_on_paper(
    desk: Desk, kept: KeptCard, golfer: KeptGolfer, units: Units, paper: PaperName
) -> tuple[tuple[Sheet, ...], str]:
    """A card on paper, and its title."""
    title = labelled(f"{golfer.name}: set-up card", golfer.invented)
    mind = cautions_said(cautions.of_golfer(desk, golfer.id, "card"))
    return card_sheet(kept.card, Said(title, kept.row.note, mind), golfer.hand, units, paper), title


def _card(it: KeptCard, units: Units) -> CardOut:
    return CardOut(
        id=it.row.id,
        lesson_id=it.row.lesson_id,
        kept_at=it.row.kept_at,
        note=it.row.note,
        change=change_words(it.card, units),
        rows=[RowOut(name=name, size=size) for name, size in card_rows(it.card, units)],
        put_away_at=it.row.put_away_at,
        has_eyes=it.card.kept.inside is not None,
        has_sight=it.card.kept.angle is not None,
    )
