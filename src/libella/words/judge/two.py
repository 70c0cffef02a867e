"""Two sides set beside each other, in words: one question, one sentence."""

from datetime import datetime
from typing import Final

from ...core.judge.findings.two import MOST, Changed, LinkBeside, TwoSides
from ...core.measure.side import side_of
from ...core.measure.units import degrees
from ..shared.certainty import WORDS, with_doubt
from ..shared.counts import counted, listed
from .lesson import LINK_NAMES, fan_said

CHANGED: Final[dict[Changed, str]] = {
    "length": "the length of the putt",
    "green": "the green’s speed",
    "place": "the floor",
    "guide": "whether a guide was in view",
    "proof": "whether the line was proved",
    "disturbances": "what disturbed",
    "set_up": "the set-up",
}


def side_name(at: datetime, block: str) -> str:
    """What a side is called."""
    day = f"{at.day} {at:%b}"
    return f"{day}, {block}" if block else day


def two_said(it: TwoSides) -> str:
    """Whether anything moved, in one sentence."""
    if not it.links:
        return "Nothing was read on both sides."
    said = [_moved(one) for one in it.moved]
    if it.steadier is not None and it.steadier.names_direction:
        said.append(f"{'steadier' if it.steadier.side == 'left' else 'wider spread'}, {WORDS[it.steadier.word]}")
    if said:
        sentence = "; ".join(said)
        return f"{sentence[0].upper()}{sentence[1:]}."
    if all(one.call.word == "none" for one in it.links):
        return "Nothing moved by enough to matter."
    return "Can't tell yet whether anything moved."


def _moved(it: LinkBeside) -> str:
    size = degrees(it.by.value, it.by.doubt)
    return f"{LINK_NAMES[it.name]} {size} further {side_of(it.by.value)}, {WORDS[it.call.word]}"


def link_beside_said(it: LinkBeside) -> str:
    """One link on both sides."""
    if it.call.word == "none":
        return f"no difference that matters: {with_doubt(it.by)}"
    if it.call.word == "open":
        return f"can't tell yet: {with_doubt(it.by)}"
    return f"{degrees(it.by.value, it.by.doubt)} further {side_of(it.by.value)}, {WORDS[it.call.word]}"


def over_said(times: int) -> str:
    """How the two fans are drawn."""
    return f"{fan_said(times)} Dashed grey: the side before."


def spreads_said(it: TwoSides) -> str:
    """The spreads of the starts on both sides."""
    if it.spreads is None or it.steadier is None:
        return ""
    one, other = (f"{spread.value:.1f}°" for spread in it.spreads)
    word = it.steadier.word
    if word in ("none", "open"):
        return f"Spread {one} and {other}: {'no difference that matters' if word == 'none' else WORDS['open']}."
    return f"Spread {one} and {other}: {'steadier' if it.steadier.side == 'left' else 'wider'}, {WORDS[word]}."


def more_said(it: TwoSides) -> str:
    """How many more putts would settle the start."""
    if it.spreads is None or it.more_putts == 0:
        return ""
    if it.more_putts is None:
        return f"More than {counted(MOST, 'more_putt')} on each side would be needed to settle the start."
    return f"About {counted(it.more_putts, 'more_putt')} on each side should settle the start."


def changed_said(changed: tuple[Changed, ...], noted: tuple[str, ...]) -> str:
    """What else is not the same, so that a difference may be its doing; empty where nothing is known to be."""
    said: list[str] = []
    if changed:
        said.append(f"Not the same on both sides: {listed([CHANGED[it] for it in changed])}. It may be that.")
    if noted:
        said.append(f"Noted between them: {listed(list(noted))}.")
    return " ".join(said)
