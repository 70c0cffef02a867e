"""Conditions compared: the reference numbers, the words, whose turn it is, how the bias grows with distance."""

from itertools import pairwise

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy.special import ndtr

from libella.core.estimate import posterior
from libella.core.estimate.cost import Mix, share_within
from libella.core.judge.claims.difference import drawn
from libella.core.measure.limits import OutOfLimits
from libella.core.measure.window import Window
from libella.core.start.turns import Plan, turn

from ...said import refusal
from ..estimate.reference import HANDBOOK, cases, intervals


def two(case):
    rng = np.random.default_rng(3)
    posts = (posterior(intervals(case[f"{it}_intervals_deg"]), HANDBOOK, lapse=0) for it in "ab")
    return [drawn(post, 60_000, rng) for post in posts]


@pytest.mark.parametrize("case", cases("compare"))
def test_reference_numbers(case):
    (bias_a, spread_a), (bias_b, spread_b) = two(case)
    mix = Mix.one(Window(case["tolerance_deg"], case["tolerance_deg"]))
    higher = share_within(mix, bias_a, spread_a) > share_within(mix, bias_b, spread_b)
    assert (spread_a < spread_b).mean() == pytest.approx(case["prob_a_less_spread"], abs=0.01)
    assert higher.mean() == pytest.approx(case["prob_a_higher_chance"], abs=0.01)
    less = (abs(bias_a) < abs(bias_b)).mean()
    assert less == pytest.approx(case["prob_a_less_bias"], abs=0.01)
    assert less == pytest.approx(_less_bias(case), abs=0.01)


def _less_bias(case) -> float:
    """P(|μa| < |μb|) summed on plain even grids, sharing nothing with the estimator."""
    at = np.linspace(-4, 4, 1601)
    spread = np.exp(np.linspace(np.log(0.05), np.log(8), 300))

    def marginal(readings):
        log = -0.5 * (at[:, None] / 2) ** 2 - 0.5 * (np.log(spread)[None] / 0.6) ** 2
        for low, high in readings:
            log = log + np.log(ndtr((high - at[:, None]) / spread) - ndtr((low - at[:, None]) / spread) + 1e-300)
        weight = np.exp(log - log.max()).sum(axis=1)
        return weight / weight.sum()

    a, b = (marginal(case[f"{it}_intervals_deg"]) for it in "ab")
    size = np.abs(np.arange(-800, 801))
    smaller = np.bincount(size, b, 801)
    above = 1 - np.cumsum(smaller) + 0.5 * smaller
    return float((a * above[size]).sum())


plans = st.builds(
    Plan,
    conditions=st.integers(2, 5),
    each=st.integers(3, 20),
    order=st.sampled_from(["alternating", "shuffled", "in_order"]),
    run=st.integers(1, 10),
    seed=st.integers(0, 99),
)


@given(plans)
def test_every_condition_gets_its_putts_in_runs_no_longer_than_planned(plan):
    turns = plan.turns()
    assert [turns.count(n) for n in range(plan.conditions)] == [plan.each] * plan.conditions
    if plan.order != "in_order":
        run = longest = 1
        for before, after in pairwise(turns):
            run = run + 1 if before == after else 1
            longest = max(longest, run)
        assert longest <= 2 * plan.run  # there and back: two runs may meet


@given(plans, st.data())
def test_whose_turn_it_is_is_the_first_putt_not_done_and_a_voided_one_is_putted_again(plan, data):
    turns = plan.turns()
    done = [0] * plan.conditions
    for n, expected in enumerate(turns):
        here = turn(plan, done)
        assert here.condition == expected
        assert here.left >= 1 and turns[n : n + here.left] == (expected,) * here.left
        done[expected] += 1
    assert turn(plan, done).condition is None
    lost = data.draw(st.integers(0, plan.conditions - 1))
    done[lost] -= 1
    assert turn(plan, done).condition == lost


def test_alternating_puts_an_even_drift_on_all_conditions_alike():
    turns = np.array(Plan(2, 12, "alternating", 3).turns())
    places = np.arange(24)
    assert places[turns == 0].mean() == places[turns == 1].mean()


def test_a_plan_that_can_not_be_names_what_it_may_be():
    for broken in ({"conditions": 1}, {"each": 2}, {"run": 0}):
        with pytest.raises(OutOfLimits) as fault:
            Plan(**{"conditions": 2, "each": 10, "order": "shuffled", "run": 3} | broken)
        assert refusal(fault.value).limit
