"""Why two of a golfer's lines are said to differ, or not: where each lies, by which days."""

from dataclasses import dataclass

from ..golfers_line import LineTold
from ..lines_beside import LinesBeside
from .line import LineExplained, line_explained


@dataclass(frozen=True, slots=True)
class BesideExplained:
    """Two lines beside each other, opened; `each`: both lines by themselves."""

    it: LinesBeside
    each: tuple[LineExplained, LineExplained]


def beside_explained(it: LinesBeside, told: tuple[LineTold, LineTold]) -> BesideExplained:
    """Open both; `told`: what each was pooled of."""
    first, second = told
    return BesideExplained(it, (line_explained(first, it.first), line_explained(second, it.second)))
