"""Goals of drills: passed when what is measured is likely at least that, since the last step (practice 3)."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

import numpy as np

from ..certainty.verdict import is_likely
from ..estimate import posterior
from ..estimate.shares import Share, falls_short
from ..measure.interval import Interval
from ..measure.limits import OutOfLimits

Standing = Literal["passed", "under", "open"]
"""Passed: harder next. Under: two runs told that it is out of reach, easier next. Open: once more."""

MOST_SHOWN: Final = 0.85
"""A share above it can't be shown in a few putts: such a goal is a count, and is called a count."""
_RUNS_UNDER: Final = 2
_WIDEST_DEG: Final = 5.0


@dataclass(frozen=True, slots=True)
class ShareGoal:
    """So large a share of the putts, or larger; shown by the runs together."""

    share: float

    def __post_init__(self) -> None:
        if not 0 < self.share <= MOST_SHOWN:
            raise OutOfLimits("goal", "goal_share", share=self.share, most=MOST_SHOWN)

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
            raise OutOfLimits("goal", "goal_count", times=self.times, of=self.of)

    def standing(self, runs: Sequence[Share]) -> Standing:
        """`runs` since the last step, oldest first; one shorter than the goal's can't pass it."""
        if any(it.of >= self.of and it.of - it.times <= self.of - self.times for it in runs):
            return "passed"
        return _if_not_passed(self.times / self.of, runs)


@dataclass(frozen=True, slots=True)
class LevelGoal:
    """A bias no larger than so many degrees, to either side; shown by the runs together."""

    within_deg: float

    def __post_init__(self) -> None:
        if not 0 < self.within_deg <= _WIDEST_DEG:
            raise OutOfLimits("goal", "goal_level", "deg", most_deg=_WIDEST_DEG)

    def standing(self, runs: Sequence[Sequence[Interval]]) -> Standing:
        """`runs`: what was read in each since the last step, oldest first."""
        told = [run for run in runs if run]
        if not told:
            return "open"
        if is_likely(self._inside([it for run in told for it in run])):
            return "passed"
        last = told[-_RUNS_UNDER:]
        beyond = [it for it in last if is_likely(1 - self._inside(it))]
        return "under" if len(beyond) == _RUNS_UNDER else "open"

    def _inside(self, readings: Sequence[Interval]) -> float:
        """The chance that the bias lies within it."""
        post = posterior(readings)
        inside = np.abs(post.bias) <= self.within_deg
        return float(post.weight.sum(axis=1)[inside].sum())


Goal = ShareGoal | CountGoal | LevelGoal


def _falls_short(share: float, seen: Share) -> float:
    """The chance that the golfer's own share is under it."""
    return falls_short(share, seen.times, seen.of - seen.times)


def _if_not_passed(share: float, runs: Sequence[Share]) -> Standing:
    last = runs[-_RUNS_UNDER:]
    told = [it for it in last if it.of and is_likely(_falls_short(share, it))]
    return "under" if len(told) == _RUNS_UNDER else "open"
