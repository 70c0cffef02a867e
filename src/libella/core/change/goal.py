"""Goals of drills: passed when what is measured is likely at least that, since the last step (practice 3)."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

from ..certainty.verdict import is_likely
from ..estimate.shares import Share, falls_short

Standing = Literal["passed", "under", "open"]
"""Passed: harder next. Under: two runs told that it is out of reach, easier next. Open: once more."""

MOST_SHOWN: Final = 0.85
"""A share above it can't be shown in a few putts: such a goal is a count, and is called a count."""
_RUNS_UNDER: Final = 2


@dataclass(frozen=True, slots=True)
class ShareGoal:
    """So large a share of the putts, or larger; shown by the runs together."""

    share: float

    def __post_init__(self) -> None:
        if not 0 < self.share <= MOST_SHOWN:
            raise ValueError(f"a share shown in a few putts is over 0 and at most {MOST_SHOWN:g}: {self.share:g}")

    def standing(self, runs: Sequence[Share]) -> Standing:
        """`runs` since the last step, oldest first."""
        together = Share(sum(it.times for it in runs), sum(it.of for it in runs))
        return "passed" if is_likely(1 - _falls_short(self.share, together)) else _if_not_passed(self.share, runs)


@dataclass(frozen=True, slots=True)
class CountGoal:
    """So many of one run: done, not shown. One who can do it nine times in ten gets 14 of 15 in every other run."""

    times: int
    of: int

    def __post_init__(self) -> None:
        if not 0 < self.times <= self.of:
            raise ValueError(f"a count of {self.of} is from 1 to {self.of}: {self.times}")

    def standing(self, runs: Sequence[Share]) -> Standing:
        """`runs` since the last step, oldest first; one shorter than the goal's can't pass it."""
        if any(it.of >= self.of and it.of - it.times <= self.of - self.times for it in runs):
            return "passed"
        return _if_not_passed(self.times / self.of, runs)


Goal = ShareGoal | CountGoal


def _falls_short(share: float, seen: Share) -> float:
    """The chance that the golfer's own share is under it."""
    return falls_short(share, seen.times, seen.of - seen.times)


def _if_not_passed(share: float, runs: Sequence[Share]) -> Standing:
    last = runs[-_RUNS_UNDER:]
    told = [it for it in last if it.of and is_likely(_falls_short(share, it))]
    return "under" if len(told) == _RUNS_UNDER else "open"
