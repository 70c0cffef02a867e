"""What a bias costs: the least bias that costs so many putts is where the share has fallen by as much, for any mix."""

import math

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from libella.core.certainty.matter import MATTERS
from libella.core.estimate import START, posterior
from libella.core.estimate.cost import Mix, cost, costs, costs_from, share_within
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window

SPREADS = np.exp(np.linspace(math.log(0.05), math.log(8), 60))
halves = st.floats(0.2, 8.0)


@settings(max_examples=40, deadline=None)
@given(st.lists(st.tuples(halves, st.floats(0.5, 5.0)), min_size=1, max_size=6), st.sampled_from([2.0, 5.0, 9.0]))
def test_the_bias_that_costs_so_many_costs_so_many(told, putts):
    mix = Mix(tuple(Window(half, half) for half, _ in told), tuple(weight for _, weight in told))
    [least] = costs_from(np.array([putts]), SPREADS, mix)
    straight = share_within(mix, np.zeros(1), SPREADS)
    can = np.isfinite(least)
    # None costs as much where there are not so many to lose.
    assert (np.abs(100 * straight[can != (100 * straight > putts)] - putts) < 0.01).all()
    lost = 100 * (straight - share_within(mix, np.where(can, least, 0.0), SPREADS))
    assert np.abs(lost[can] - putts).max() < 0.01
    assert (least[can] > 0).all()


def test_a_bias_costs_more_the_further_it_lies_and_nothing_where_there_is_none():
    mix = Mix.one(Window(1.2, 1.2))
    post = posterior([Interval(it - 0.05, it + 0.05) for it in (0.4, 0.9, 1.3, 0.7, 1.0, 0.2)], START())
    each = costs(post, mix)
    middle = int(np.argmin(np.abs(post.bias)))
    assert each[middle] == pytest.approx(0.0, abs=0.5)
    right = each[middle:]
    assert (np.diff(right, axis=0) >= -1e-9).all()
    found = cost(post, mix, MATTERS()["start"])
    assert found.mean == pytest.approx(post.mean(each)) and found.right > found.left
    assert found.right + found.left <= 1 + 1e-9


def test_a_mix_of_one_window_twice_is_that_window():
    one = Mix.one(Window(0.9, 0.9))
    twice = Mix((Window(0.9, 0.9), Window(0.9, 0.9)), (1.0, 3.0))
    putts = np.array([2.0, 5.0])
    assert costs_from(putts, SPREADS, twice) == pytest.approx(costs_from(putts, SPREADS, one), rel=2e-3)
