"""What is said under Keep."""

from dataclasses import dataclass
from typing import Any

from ...core.keep.card import Card
from ...core.see.position import LEVERS, Position
from ...core.see.quick_check import Kept
from ..keep import card as cards
from ..keep.file_work import work_words
from .reading import Reading
from .samples import about


def keep_aloud(it: Reading) -> None:
    kept = Kept(about(20.0, 5.0), about(0.0, 10.0), 4.0, about(0.5, 0.3))
    positions: list[Position] = [{}, *({lever: size} for lever in LEVERS for size in (-20.0, 20.0))]
    for position in positions:
        for some in (kept, Kept(None, None, 0.0, None), Kept(about(-20.0, 5.0), None, 0.0, about(0.0, 0.3))):
            card = Card(position, {"ball_toes_m": 0.24, "stance_m": 0.3}, some, None, (10, 50))
            it.say("keep", cards.card_rows, card, it.units)
            it.say("keep", cards.change_words, card, it.units)
    for phase, refused in (("stopped", ""), ("failed", ""), ("failed", "mapping"), ("done", "")):
        it.say("keep", work_words, _Ended(phase, _Found(refused)))


@dataclass(frozen=True)
class _Found:
    refused: str


@dataclass(frozen=True)
class _Ended:
    phase: Any
    found: _Found
