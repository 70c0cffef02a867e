"""Two sides set beside each other, in words: one question, one sentence."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Final

from ...core.golfer.hand import Hand
from ...core.judge.claims.difference import Difference, named
from ...core.judge.ledger.factors import Levels
from ...core.measure.units import Units, tape
from ...core.stand.set_up import ENTRIES, Noted
from ..shared.counts import counted, listed
from ..shared.days import day_said
from .claims import levels_said, quantity_name
from .differences import difference_said
from .lesson import fan_said

CHANGED: Final[Mapping[str, str]] = {
    "length": "the length of the putt",
    "green": "the green’s speed",
    "place": "the floor",
    "hand": "the hand putted with",
    "guide": "whether a guide was in view",
    "proof": "whether the line was proved",
    "disturbances": "what disturbed",
    "set_up": "the set-up",
    "ways": "how it was putted",
}
_SAID: Final = 3


@dataclass(frozen=True, slots=True)
class SideSaid:
    """One side as it is named: when, its blocks' levels and lengths, its putts; `whole` is a lesson, not a block."""

    at: datetime
    levels: Levels
    lengths_m: Sequence[float]
    putts: int
    whole: bool


def side_names(first: SideSaid, second: SideSaid, units: Units) -> tuple[str, str]:
    """What both sides are called: by their days, and where these are the same by what differs."""
    one, other = _named(first, second, units), _named(second, first, units)
    if one == other:
        return f"{one}, {first.at:%H:%M}", f"{other}, {second.at:%H:%M}"
    return one, other


def _named(it: SideSaid, beside: SideSaid, units: Units) -> str:
    parts = [_day(it)]
    if it.whole:
        if _day(it) == _day(beside):
            parts.append("the lesson")
        return ", ".join(parts)
    if it.levels or beside.levels:
        parts.append(levels_said(it.levels))
    if it.lengths_m != beside.lengths_m and it.lengths_m:
        parts.append(listed([tape(one, units) for one in it.lengths_m]))
    if len(parts) == 1 or it.putts != beside.putts:
        parts.append(counted(it.putts, "putt"))
    return ", ".join(parts)


def _day(it: SideSaid) -> str:
    return day_said(it.at)


def two_said(found: Sequence[Difference], stood: Sequence[Noted], hand: Hand, units: Units) -> str:
    """Whether anything moved, in one sentence, and what it means."""
    if not found:
        changed = [ENTRIES[it.name].label.lower() for it in stood]
        if changed:
            return f"Nothing else was read on both sides; the set-up changed: {listed(changed)}."
        return "Nothing was read on both sides."
    said = [difference_said(it, hand, units) for it in named(found)[:_SAID]]
    if said:
        sentence = "; ".join(said)
        return f"{sentence[0].upper()}{sentence[1:]}."
    if all(one.call.word == "none" for one in found):
        return "Nothing moved by enough to matter."
    return "Can't tell yet whether anything moved."


def label_said(it: Difference) -> str:
    """What a row is about, and how it was read where that was not as usual."""
    levels = it.first.levels if it.first else it.shares[0].levels if it.shares else ()
    name = quantity_name(it.quantity.name)
    return f"{name}, {levels_said(levels)}" if levels else name


def beside_said(it: Difference, hand: Hand, units: Units) -> str:
    """One quantity on both sides, below its own name."""
    name = quantity_name(it.quantity.name).lower()
    said = difference_said(it, hand, units).removeprefix(f"{name} ").removeprefix(f"{name}: ")
    return f"{said[0].upper()}{said[1:]}."


def over_said(times: int) -> str:
    """How the two fans are drawn."""
    return f"{fan_said(times)} Dashed grey: the side before."


def changed_said(changed: Sequence[str], noted: Sequence[str]) -> str:
    """What else is not the same, so that a difference may be its doing; empty where nothing is known to be."""
    said: list[str] = []
    if changed:
        said.append(f"Not the same on both sides: {listed([CHANGED[it] for it in changed])}. It may be that.")
    if noted:
        said.append(f"Noted between them: {listed(list(noted))}.")
    return " ".join(said)
