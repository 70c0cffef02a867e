"""Readings that can't be used, in words: how many, and why."""

from collections.abc import Sequence

from ...core.certainty.estimate import Estimate
from ...core.judge.claims.unusable import NotUsed
from ...core.judge.findings.said import Misled
from ...core.measure.units import Units, about
from ..shared.counts import listed
from .claims import quantity_name


def misled_said(it: Misled, units: Units) -> str:
    """ "To these eyes the string lies about 12 mm outside the line: lean its posts to the golfer, and read again." """
    way = "to the golfer" if it.off.value > 0 else "away from the golfer"
    names = listed([f"{quantity_name(one.quantity.name).lower()} {one.count} times" for one in it.unused])
    lies = f"{_lies(it.off, units)}: lean its posts {way}, and read again."
    return f"{lies} What was seen against it can't be used: {names}.{_whose_eyes(it.unused)}"


def not_used_said(it: NotUsed, units: Units) -> str:
    """One quantity's, as it stands beside the claims."""
    return f"Read {it.count} times, and not to be used. {_lies(it.why.off, units)}."


def not_used_name(it: NotUsed) -> str:
    """What was read; by this name beside what can be used of it."""
    return f"{quantity_name(it.quantity.name)}, seen against the string"


def _whose_eyes(unused: Sequence[NotUsed]) -> str:
    if all(it.why.looked for it in unused):
        return ""
    return " If it was you who looked, from behind the line, say so under “More of this block”: then it counts."


def _lies(it: Estimate, units: Units) -> str:
    side = "outside" if it.value > 0 else "inside"
    return f"To these eyes the string lies about {about(abs(it.value) / 1000, it.doubt / 1000, units)} {side} the line"
