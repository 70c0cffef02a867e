"""A set-up card on paper: what to change, distances and marks, both drawings; and the overlay for the mirror."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass

from ..core.golfer.hand import Hand
from ..core.keep.card import Card
from ..core.measure.units import Units
from ..core.stand.drawn import set_up_above, set_up_behind
from ..words.keep.card import card_rows, change_words
from .paper import MARGIN, PaperName, Sheet, paper_size
from .prose import written
from .svg import drawn, text

_DRAWN_MM = 80.0


@dataclass(frozen=True, slots=True)
class Said:
    """What a card says beside its sizes: its title, the coach's note, cautions that apply."""

    title: str
    note: str
    mind: Sequence[str]


def card_sheet(card: Card, said: Said, hand: Hand, units: Units, paper: PaperName) -> tuple[Sheet, ...]:
    """One sheet, or more where what there is to say does not fit one."""
    width, height = paper_size(paper)
    inside = card.kept.inside
    body = text(MARGIN, MARGIN + 6, said.title, size=6, weight=700)
    y = MARGIN + 14
    x = MARGIN
    tall = 0.0
    for scene in (
        set_up_above(card.values, None, hand, units),
        set_up_behind(card.values, None, inside.value / 1000 if inside else None, hand, units),
    ):
        scale = min(_DRAWN_MM / (scene.right - scene.left), _DRAWN_MM / (scene.bottom - scene.top))
        body += drawn(scene, x, y, scale)
        body += text(x, y + (scene.bottom - scene.top) * scale + 5, f"1 : {1 / scale:.0f}", size=3)
        tall = max(tall, (scene.bottom - scene.top) * scale)
        x += (width - 2 * MARGIN) / 2
    parts: list[tuple[str, Iterable[str], str]] = [
        ("Change", [change_words(card, units)] if card.position else [], "□"),
        ("Stand like this", [f"{name}: {size}" for name, size in card_rows(card, units)], "□"),
        ("Note", [said.note] if said.note else [], ""),
        ("Mind", said.mind, "!"),
    ]
    return written(Sheet(width, height, body), y + tall + 8, parts, said.title)
