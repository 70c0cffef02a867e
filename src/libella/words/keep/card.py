"""A set-up card, in words: what to move, and every size in the order in which a golfer takes the stance."""

from ...core.certainty.estimate import Estimate
from ...core.keep.card import Card
from ...core.keep.quick_check import Kept
from ...core.measure.side import side_of
from ...core.measure.units import Units, about, degrees
from ...core.stand.set_up import ENTRIES
from ..see.position import position_words
from ..shared.counts import counted
from ..stand.set_up import value_words


def card_rows(card: Card, units: Units) -> tuple[tuple[str, str], ...]:
    """Names and sizes."""
    rows = [
        (entry.label, value_words(name, card.values[name], units))
        for name, entry in ENTRIES.items()
        if name in card.values
    ]
    if card.kept.inside:
        rows.append(("Eyes", _eyes(card.kept, units)))
    if card.kept.angle:
        rows.append(("Straight is seen", _angle(card.kept.angle)))
    elif card.first:
        looks, times = card.first
        rows.append(("A true line looks", f"{looks} ({counted(times, 'time')}, a first look)"))
    return tuple(rows)


def change_words(card: Card, units: Units) -> str:
    """What to move."""
    if card.position:
        return position_words(card.position, units)
    return card.set_up or "as usual"


def _angle(it: Estimate) -> str:
    side, doubt = side_of(it.value, 0.05), max(0.1, it.doubt)
    if side == "neither":
        return f"true (± {doubt:.1f}°)"
    return f"{degrees(it.value, it.doubt)} {side} (± {doubt:.1f}°)"


def _eyes(kept: Kept, units: Units) -> str:
    said: list[str] = []
    if kept.inside is not None:
        size, doubt = _sizes(kept.inside, units)
        side = "inside" if kept.inside.value >= 0 else "outside"
        said.append(f"{size} {side} the line (± {doubt})")
    if kept.behind is not None:
        size, doubt = _sizes(kept.behind, units)
        said.append(
            f"{size} behind the ball (± {doubt})" if kept.behind.value >= 0 else f"{size} ahead of it (± {doubt})"
        )
    return ", ".join(said)


def _sizes(it: Estimate, units: Units) -> tuple[str, str]:
    return about(it.value / 1000, 0.0, units), about(it.doubt / 1000, 0.0, units)
