"""Holed or missed, by where the putt started: what separates the start line from read and pace.

A start lies inside the window only where its whole reading does (handbook 6): a wide gate passed clean tells nothing of
a narrower window.
"""

from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

from scipy.special import betainc

from ..certainty.matter import MATTERS
from ..certainty.verdict import is_likely
from ..measure.interval import Interval
from ..measure.window import Window
from ..start.notes import Notes

Place = Literal["inside", "outside", "untold"]
PLACES: Final[tuple[Place, ...]] = ("inside", "outside", "untold")
_FEWEST: Final = 3


def place_of(start: Interval, window: Window) -> Place:
    """Where a reading surely lies against the window; untold where it reaches over an edge."""
    if window.low_deg <= start.low and start.high <= window.high_deg:
        return "inside"
    if start.high < window.low_deg or start.low > window.high_deg:
        return "outside"
    return "untold"


@dataclass(frozen=True, slots=True)
class Holed:
    """Putts whose end was noted, by place of the start: how many fell and how many missed."""

    counts: tuple[tuple[Place, int, int], ...]
    """Place of the start, how many fell, how many missed; every place once."""

    @property
    def fell(self) -> dict[Place, int]:
        return {place: fell for place, fell, _ in self.counts}

    @property
    def missed(self) -> dict[Place, int]:
        return {place: missed for place, _, missed in self.counts}

    @property
    def putts(self) -> int:
        return sum(fell + missed for _, fell, missed in self.counts)

    @property
    def lost_inside(self) -> float:
        """Putts of a hundred that surely started inside the window and missed: what read and pace cost."""
        return 100 * self.missed["inside"] / self.putts if self.putts else 0.0

    @property
    def matters(self) -> bool:
        """True where it is at least likely that read and pace cost enough to matter (uniform prior on their share)."""
        if self.fell["inside"] + self.missed["inside"] < _FEWEST:
            return False
        n = self.missed["inside"]
        share = MATTERS["gain"].matters_from / 100
        return n > 1 and is_likely(float(1 - betainc(n + 1, self.putts - n + 1, share)))


def holed(putts: Sequence[tuple[Interval, Notes]], window: Window) -> Holed | None:
    """The putts whose end was noted; None where none was."""
    told = [(place_of(start, window), notes["finish"] == "holed") for start, notes in putts if "finish" in notes]
    if not told:
        return None
    times = Counter(told)
    return Holed(tuple((it, times[it, True], times[it, False]) for it in PLACES))
