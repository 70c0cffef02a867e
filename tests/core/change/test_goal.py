"""Goals of drills hold the rates that practice names, exactly, and never get harder by a better run."""

from collections.abc import Callable
from itertools import product

import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy.stats import binom

from libella.core.change.goal import CountGoal, LevelGoal, ShareGoal
from libella.core.estimate.shares import Share
from libella.core.measure.interval import Interval
from libella.core.measure.limits import OutOfLimits

RUNS = st.lists(st.integers(0, 10), min_size=1, max_size=5)


def within_three_runs(goal: ShareGoal | CountGoal, of: int, can: float) -> float:
    """The exact chance of a pass in at most three runs, of somebody who can do it so often."""
    each = [float(binom.pmf(n, of, can)) for n in range(of + 1)]

    def passed(before: tuple[Share, ...], chance: float) -> float:
        if before and goal.standing(before) == "passed":
            return chance
        if len(before) == 3:
            return 0.0
        return sum(passed((*before, Share(n, of)), chance * each[n]) for n in range(of + 1))

    return passed((), 1.0)


@pytest.mark.parametrize(
    ("goal", "by", "least", "most"),
    [(goal, *it) for goal, it in product((0.7, 0.8), [(0.1, 0.73, 0.77), (0.0, 0.25, 0.32), (-0.15, 0.02, 0.04)])],
)
def test_who_is_above_it_passes_mostly_and_who_is_below_hardly_ever(goal: float, by: float, least: float, most: float):
    assert least - 0.005 <= within_three_runs(ShareGoal(goal), 10, goal + by) <= most + 0.005


@pytest.mark.parametrize(("can", "passes"), [(0.95, 0.83), (0.9, 0.55), (0.75, 0.08)])
def test_a_count_of_fourteen_in_fifteen_is_passed_as_often_as_it_is_said(can: float, passes: float):
    goal = CountGoal(14, 15)
    passing = sum(float(binom.pmf(n, 15, can)) for n in range(16) if goal.standing([Share(n, 15)]) == "passed")
    assert passing == pytest.approx(passes, abs=0.005)


@given(RUNS, st.sampled_from([ShareGoal(0.5), ShareGoal(0.8), CountGoal(9, 10)]), st.data())
def test_a_better_last_run_never_makes_it_worse(runs: list[int], goal: ShareGoal | CountGoal, data: st.DataObject):
    order = ("under", "open", "passed")
    better = [*runs[:-1], data.draw(st.integers(runs[-1], 10))]
    was, now = (goal.standing([Share(it, 10) for it in those]) for those in (runs, better))
    assert order.index(now) >= order.index(was)


@given(RUNS)
def test_easier_only_after_two_runs_that_each_tell_so(runs: list[int]):
    standing = ShareGoal(0.7).standing([Share(it, 10) for it in runs])
    if standing == "under":
        assert len(runs) >= 2 and max(runs[-2:]) < 7


def test_nothing_putted_is_open_and_a_short_run_passes_no_count():
    assert ShareGoal(0.7).standing([]) == "open"
    assert ShareGoal(0.7).standing([Share(0, 0), Share(0, 0)]) == "open"
    assert CountGoal(14, 15).standing([Share(14, 14)]) == "open"


@pytest.mark.parametrize(
    "made",
    [
        lambda: ShareGoal(0.9),
        lambda: ShareGoal(0),
        lambda: CountGoal(16, 15),
        lambda: CountGoal(0, 15),
        lambda: LevelGoal(0),
    ],
)
def test_a_goal_that_cannot_be_shown_or_met_is_refused(made: Callable[[], object]):
    with pytest.raises(OutOfLimits):
        made()


def near(*degrees: float) -> list[Interval]:
    return [Interval(it - 0.1, it + 0.1) for it in degrees]


def test_a_bias_is_shown_by_the_runs_together_and_out_of_reach_by_two_of_them():
    goal, once, off = LevelGoal(0.5), near(0.2, -0.4, 0.5, -0.1, 0.3), near(1.4, 1.6, 1.5, 1.7, 1.3)
    assert goal.standing([]) == goal.standing([[]]) == "open"
    # One run of five can't show it; three together do.
    assert goal.standing([once * 3]) == goal.standing([once] * 3) == "passed"
    assert goal.standing([off]) == "open" and goal.standing([off, off]) == "under"
    assert goal.standing([off, off, once]) == "open"
