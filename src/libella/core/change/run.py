"""Runs of a drill against its goal: where the golfer stands, at which step, and what comes next (practice 3)."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from typing import Literal

from ..estimate.shares import Share
from ..measure.interval import Interval
from ..measure.limits import OutOfLimits
from .drill import Drill
from .goal import LevelGoal, Standing

Told = tuple[int | tuple[float, float], ...]
"""A run, event by event: 1 as wanted, 0 not; or the ends of an angle, degrees, where the goal is of angles."""
Next = Literal["harder", "again", "easier"]


@dataclass(frozen=True, slots=True)
class Progress:
    """Where a golfer stands in a drill.

    standing : of the runs since the last step; step : steps passed less steps back
    runs : so many since the last step; last : of the newest one as wanted, of how many; None where angles are read
    """

    standing: Standing
    step: int
    runs: int
    last: Share | None

    @property
    def next_step(self) -> int:
        """The step at which the next run is laid."""
        return self.step + {"passed": 1, "under": -1, "open": 0}[self.standing]

    @property
    def next(self) -> Next:
        return "harder" if self.standing == "passed" else "easier" if self.standing == "under" else "again"


def checked_run(it: Drill, told: Told) -> Told:
    """A run as it may be kept: at least one event, each of the kind its goal takes; `OutOfLimits` else."""
    angles = isinstance(it.goal, LevelGoal)
    if not told or any(isinstance(one, int) == angles or (one not in (0, 1) and not angles) for one in told):
        raise OutOfLimits("told", "run_of_angles" if angles else "run_of_counts")
    if len(told) > 2 * it.dose.times:
        raise OutOfLimits("told", "run_too_long", most=2 * it.dose.times)
    return told


def progress(it: Drill, runs: Sequence[Told]) -> Progress:
    """`runs`: all of this drill, oldest first. After a pass, or two runs likely under it, the next step begins."""
    return [Progress("open", 0, 0, None), *_after_each(it, runs)][-1]


def steps_of(it: Drill, runs: Sequence[Told]) -> list[int]:
    """The step at which each run was laid, steps passed less steps back; `runs` as in `progress`."""
    return [0, *(one.next_step for one in _after_each(it, runs))][: len(runs)]


def _after_each(it: Drill, runs: Sequence[Told]) -> Iterator[Progress]:
    """Where the golfer stood after each run."""
    step, since = 0, list[Told]()
    standing: Standing = "open"
    for run in runs:
        if standing != "open":
            step, since = step + (1 if standing == "passed" else -1), []
        since.append(run)
        standing = _standing(it, since)
        if standing == "passed" and len(run) < it.dose.times:
            # Stopped half way it may go on from here; it is not passed.
            standing = "open"
        last = None if isinstance(it.goal, LevelGoal) else share_of(run)
        yield Progress(standing, step, len(since), last)


def _standing(it: Drill, runs: Sequence[Told]) -> Standing:
    if isinstance(it.goal, LevelGoal):
        return it.goal.standing([[Interval(*one) for one in run if not isinstance(one, int)] for run in runs])
    return it.goal.standing([share_of(run) for run in runs])


def share_of(run: Told) -> Share:
    """How many of a run were as wanted."""
    return Share(sum(one for one in run if isinstance(one, int)), len(run))
