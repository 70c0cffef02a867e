"""Two sides set beside each other, in words: one question, one sentence."""

from collections.abc import Mapping, Sequence
from datetime import datetime
from typing import Final

from ...core.golfer.hand import Hand
from ...core.judge.claims.difference import Difference, named
from ...core.judge.ledger.factors import Levels
from ...core.measure.units import Units, tape
from ...core.stand.set_up import ENTRIES, Noted
from ..shared.counts import counted, listed
from .claims import difference_said, levels_said, quantity_name
from .lesson import fan_said

CHANGED: Final[Mapping[str, str]] = {
    "length": "the length of the putt",
    "green": "the green’s speed",
    "place": "the floor",
    "guide": "whether a guide was in view",
    "proof": "whether the line was proved",
    "disturbances": "what disturbed",
    "set_up": "the set-up",
    "ways": "how it was putted",
}
_SAID: Final = 3


def side_names(
    at: tuple[datetime, datetime],
    levels: tuple[Levels, Levels],
    lengths_m: tuple[Sequence[float], Sequence[float]],
    putts: tuple[int, int],
    whole: tuple[bool, bool],
    units: Units,
) -> tuple[str, str]:
    """What both sides are called: by their days, and where these are the same by what differs."""
    days = tuple(f"{one.day} {one:%b}" for one in at)
    same_day = days[0] == days[1]
    names = [_named(n, days[n], at[n], levels, lengths_m, putts, whole, units, same_day=same_day) for n in (0, 1)]
    if names[0] == names[1]:
        names = [f"{names[n]}, {at[n]:%H:%M}" for n in (0, 1)]
    return names[0], names[1]


def _named(
    n: int,
    day: str,
    at: datetime,
    levels: tuple[Levels, Levels],
    lengths_m: tuple[Sequence[float], Sequence[float]],
    putts: tuple[int, int],
    whole: tuple[bool, bool],
    units: Units,
    *,
    same_day: bool,
) -> str:
    parts = [day]
    if whole[n]:
        if same_day:
            parts.append("the lesson")
        return ", ".join(parts)
    if levels[0] != levels[1] or levels[n]:
        parts.append(levels_said(levels[n]))
    if lengths_m[0] != lengths_m[1] and lengths_m[n]:
        parts.append(listed([tape(one, units) for one in lengths_m[n]]))
    if len(parts) == 1 or putts[0] != putts[1]:
        parts.append(counted(putts[n], "putt"))
    return ", ".join(parts)


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
    """One quantity on both sides."""
    said = difference_said(it, hand, units)
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
