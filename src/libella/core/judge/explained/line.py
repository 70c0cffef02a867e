"""Why a golfer's line lies where it does: every block, what was believed before, which lesson it hangs on most."""

from dataclasses import dataclass
from typing import Final

from ...certainty.estimate import Estimate
from ...estimate import START, Prior
from ..golfers_line import GolfersLine, LineTold
from ..ledger.place import Place
from ..line_block import LineBlock

_MOST: Final = 12
"""Lessons that are left out one by one: the newest."""


@dataclass(frozen=True, slots=True)
class LineRest:
    """A block it rests on, where it was read, and its own mean, its prior divided out; None where it has none."""

    block: LineBlock
    place: Place
    mean: Estimate | None


@dataclass(frozen=True, slots=True)
class Without:
    """Without what one lesson told, the line would lie elsewhere now: by how much, in its unit, right positive."""

    day: float
    by: float


@dataclass(frozen=True, slots=True)
class LineExplained:
    """A golfer's line, opened.

    Attributes
    ----------
    rests : the newest first
    moves : lessons, the one that moves it most first
    """

    line: GolfersLine
    prior: Prior
    rests: tuple[LineRest, ...]
    moves: tuple[Without, ...]


def line_key(key: str) -> str:
    """A line, by its own key: what opens it."""
    return f"line:{key}"


def line_explained(it: LineTold, line: GolfersLine) -> LineExplained:
    """Open a line."""
    read = [one for one in it.blocks if one.bias is not None and one.place is not None]
    means = [mean for _, mean in line.blocks]
    rests = [
        LineRest(one, one.place, mean if one.sized else None)
        for one, mean in zip(read, means, strict=True)
        if one.place is not None
    ]
    # Where nobody can say how far, nobody can say by how much less.
    days = {one.lesson: one.day for one in read if line.has_middle}
    moves: list[Without] = []
    for lesson in list(days)[-_MOST:] if len(days) > 1 else []:
        other = it.without(lesson)
        if other is not None:
            moves.append(Without(days[lesson], other.now.value - line.now.value))
    moves.sort(key=lambda one: -abs(one.by))
    return LineExplained(line, line.quantity.prior or START(), tuple(reversed(rests)), tuple(moves))
