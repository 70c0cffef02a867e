"""A tail: single starts far off while the middle lies where it should (account 1)."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from ...measure.interval import Interval
from ...measure.side import Side
from ..ledger.entry import Batch
from .level import Level

_FEWEST: Final = 3


@dataclass(frozen=True, slots=True)
class Tail:
    """So many of so many starts lie wholly outside the window, to one side.

    missed : of these, how many missed to that side; misses : all that missed there, of the putts whose end was noted
    """

    side: Side
    times: int
    of: int
    missed: int
    misses: int

    @property
    def are_the_misses(self) -> bool:
        """Every one of them missed to that side, and nothing else did."""
        return self.missed == self.misses == self.times


def tail_of(level: Level, batches: Sequence[Batch]) -> Tail | None:
    """The longer tail of the starts that a level was worked out of; None where there are fewer than three, or where the
    middle itself lies outside."""
    if not level.is_sized or not level.vial.mark_left <= level.bias.value <= level.vial.mark_right:
        return None
    found = [it for side in _SIDES if (it := _to(side, level, batches)) is not None]
    return max(found, key=lambda it: it.times, default=None)


_SIDES: Final[tuple[Side, ...]] = ("left", "right")


def _to(side: Side, level: Level, batches: Sequence[Batch]) -> Tail | None:
    times, missed, misses = 0, 0, 0
    for batch in batches:
        if batch.id not in level.batches or batch.putted is None:
            continue
        window = batch.putted.window
        for event in batch.events:
            start = event.values.get("start")
            gone = event.values.get("missed_side") == side
            misses += gone
            if isinstance(start, Interval) and (
                start.low >= window.high_deg if side == "right" else start.high <= window.low_deg
            ):
                times, missed = times + 1, missed + gone
    return Tail(side, times, level.count, missed, misses) if times >= _FEWEST else None
