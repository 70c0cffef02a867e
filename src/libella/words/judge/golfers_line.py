"""The golfer's line in words: where a link lies now, over how much, and what a noted change came to."""

from typing import Final

from ...core.judge.golfers_line import GolfersLine, Link, Stepped
from ...core.measure.side import side_of
from ..shared.certainty import WORDS
from ..shared.counts import counted

LINE_LINKS: Final[dict[Link, str]] = {
    "start": "Start",
    "face": "Face at address",
    "ball_mark": "Ball mark",
    "to_mark": "Putter against the mark",
    "looks_straight": "What looks straight",
    "face_impact": "Face at impact",
    "path": "Path",
}
_STEADY_DEG: Final = 0.05
_FEWEST_BETWEEN: Final = 3
"""Blocks below which how they differ among themselves is not told: it would be the prior."""


def line_name(it: GolfersLine) -> str:
    """Which line it is."""
    if it.link == "looks_straight":
        return f"{LINE_LINKS[it.link]}, {it.name}"
    if it.link in ("start", "face_impact", "path"):
        seen = "rig in view" if it.guided else "rig out of view"
        return f"{LINE_LINKS[it.link]}, {it.name}, {seen}"
    seen = "aid in view" if it.guided else "no aid in view"
    return f"{LINE_LINKS[it.link]}, {it.name}, {seen}"


def line_short(it: GolfersLine) -> str:
    """Where it lies now, for a list of golfers."""
    return f"Starts {_sided(it.now.value)} now, from {counted(len(it.blocks), 'block')}."


def line_words(it: GolfersLine) -> str:
    """Where it lies now, with its interval, and what stands behind it."""
    now = it.now
    where = "On the line" if abs(now.value) < _STEADY_DEG else f"{abs(now.value):.1f}° {side_of(now.value)}"
    behind = f"From {counted(len(it.blocks), 'block')} in {counted(it.lessons, 'lesson')}"
    if len(it.blocks) >= _FEWEST_BETWEEN:
        behind = f"{behind}; single blocks lie about ± {it.between:.1f}° from it"
    spread = "" if it.spread is None else f"; spread {it.spread.value:.1f}°"
    between = f"nine times in ten between {_sided(now.low)} and {_sided(now.high)}"
    return f"{where} now, {between}{spread}. {behind}."


def _sided(value: float) -> str:
    return "0.0°" if abs(value) < _STEADY_DEG else f"{abs(value):.1f}° {side_of(value)}"


def step_words(it: Stepped) -> str:
    """What a noted change came to."""
    name, size = it.change.words, it.size
    if it.call.word == "none":
        return f"Since “{name}”: no step worth naming."
    if it.call.word == "open":
        return f"Since “{name}”: can’t tell yet whether it moved."
    return (
        f"Since “{name}”: {abs(size.value):.1f}° (± {size.doubt:.1f}°) further {side_of(size.value)}, "
        f"{WORDS[it.call.word]}."
    )
