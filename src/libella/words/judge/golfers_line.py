"""The golfer's line in words: where a link lies now, over how much, and what a noted change came to."""

from typing import Final

from ...core.certainty.estimate import Estimate
from ...core.judge.golfers_line import GolfersLine, LineKey, Link, Stepped
from ...core.judge.lines_beside import MOST, LinesBeside
from ...core.measure.side import side_of
from ...core.measure.units import Units, about
from ..shared.certainty import WORDS
from ..shared.counts import counted, listed

LINE_LINKS: Final[dict[Link, str]] = {
    "eyes": "Eyes",
    "start": "Start",
    "face": "Face at address",
    "ball_mark": "Ball mark",
    "to_mark": "Putter against the mark",
    "looks_straight": "What looks straight",
    "face_impact": "Face at impact",
    "path": "Path",
    "felt": "What feels straight",
}
_STEADY_DEG: Final = 0.05
_FEWEST_BETWEEN: Final = 3
"""Blocks below which how they differ among themselves is not told: it would be the prior."""


def line_name(it: GolfersLine) -> str:
    """Which line it is; of a joined one, all that is pooled in it."""
    return f"{LINE_LINKS[it.link]}, {listed([_under(key) for key in it.keys])}"


def key_name(it: LineKey) -> str:
    """Which line it would be by itself."""
    return f"{LINE_LINKS[it.link]}, {_under(it)}"


def _under(it: LineKey) -> str:
    if it.link in ("looks_straight", "eyes"):
        return it.name
    if it.link in ("start", "face_impact", "path", "felt"):
        return f"{it.name}, {'rig in view' if it.guided else 'rig out of view'}"
    return f"{it.name}, {'aid in view' if it.guided else 'no aid in view'}"


def line_short(it: GolfersLine) -> str:
    """Where it lies now, for a list of golfers."""
    return f"Starts {_sided(it.now.value)} now, from {counted(len(it.blocks), 'block')}."


def line_words(it: GolfersLine, units: Units) -> str:
    """Where it lies now, with its interval, and what stands behind it."""
    if it.link == "eyes":
        return _eyes(it, units)
    now = it.now
    where = "On the line" if abs(now.value) < _STEADY_DEG else f"{abs(now.value):.1f}° {side_of(now.value)}"
    behind = f"From {counted(len(it.blocks), 'block')} in {counted(it.lessons, 'lesson')}"
    if len(it.blocks) >= _FEWEST_BETWEEN:
        behind = f"{behind}; single blocks lie about ± {it.between:.1f}° from it"
    spread = "" if it.spread is None else f"; spread {it.spread.value:.1f}°"
    between = f"nine times in ten between {_sided(now.low)} and {_sided(now.high)}"
    return f"{where} now, {between}{spread}. {behind}."


def _eyes(it: GolfersLine, units: Units) -> str:
    now, behind = it.now, f"From {counted(len(it.blocks), 'look')} in {counted(it.lessons, 'lesson')}"
    if len(it.blocks) >= _FEWEST_BETWEEN:
        behind = f"{behind}; single ones lie about ± {about(it.between / 1000, 0.0, units)} from it"
    if now.low <= 0 <= now.high:
        return f"Over the line, as far as this tells (± {about(now.doubt / 1000, 0.0, units)}). {behind}."
    size = about(abs(now.value) / 1000, now.doubt / 1000, units)
    doubt = about(now.doubt / 1000, 0.0, units)
    return f"{size} {'inside' if now.value > 0 else 'outside'} now (± {doubt}). {behind}."


def _sided(value: float) -> str:
    return "0.0°" if abs(value) < _STEADY_DEG else f"{abs(value):.1f}° {side_of(value)}"


def step_words(it: Stepped, link: Link, units: Units) -> str:
    """What a noted change came to."""
    name = it.change.words
    if it.call.word == "none":
        return f"Since “{name}”: no step worth naming."
    if it.call.word == "open":
        return f"Since “{name}”: can’t tell yet whether it moved."
    return f"Since “{name}”: {_further(it.size, link, units)}, {WORDS[it.call.word]}."


def lines_said(it: LinesBeside, units: Units) -> str:
    """Whether the second line lies, or scatters, otherwise than the first, in one sentence."""
    said: list[str] = []
    link = it.first.link
    if it.call.names_direction:
        said.append(f"{_further(it.by, link, units)}, {WORDS[it.call.word]}")
    if it.steadier is not None and it.steadier.names_direction:
        said.append(f"{'steadier' if it.steadier.side == 'left' else 'wider spread'}, {WORDS[it.steadier.word]}")
    name = LINE_LINKS[link]
    if said:
        return f"{name}: {'; '.join(said)}."
    if it.call.word == "none":
        return f"{name}: no difference that matters, {_further(it.by, link, units)}."
    return f"{name}: can't tell yet whether they differ, {_further(it.by, link, units)}."


def more_blocks_said(it: LinesBeside) -> str:
    """How much more would settle where they lie."""
    if it.more_blocks == 0:
        return ""
    what = "look" if it.first.link == "eyes" else "block_of_ten"
    if it.more_blocks is None:
        return f"More than {counted(MOST, what)} more on each would be needed."
    return f"About {counted(it.more_blocks, what)} more on each should settle it."


def _further(it: Estimate, link: Link, units: Units) -> str:
    if link != "eyes" and abs(it.value) < _STEADY_DEG:
        return f"0.0° (± {it.doubt:.1f}°)"
    if link == "eyes":
        size, doubt = (about(abs(one) / 1000, it.doubt / 1000, units) for one in (it.value, it.doubt))
        return f"{size} (± {doubt}) further {'in' if it.value > 0 else 'out'}"
    return f"{abs(it.value):.1f}° (± {it.doubt:.1f}°) further {side_of(it.value)}"
