"""Conditions compared: the reference numbers, the words, whose turn it is, how the bias grows with distance."""

from itertools import pairwise

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy.special import ndtr

from libella.core.certainty.estimate import Estimate
from libella.core.estimate import posterior
from libella.core.estimate.comparison import compare
from libella.core.green.putt import Putt
from libella.core.instruments import lay
from libella.core.judge.comparing import Arm
from libella.core.judge.distance import AtDistance, grown, trend
from libella.core.measure.interval import Interval
from libella.core.measure.limits import OutOfLimits
from libella.core.measure.window import Window
from libella.core.set.proof import Proof
from libella.core.set.station import Station
from libella.core.start.turns import Plan, turn
from tests.said import by_distance, compared, tables

from ...said import refusal
from .reference import HANDBOOK, cases, intervals

PROVED = Proof("tape", doubt_m=0.0015)
STATION = Station(Putt(2.5, 0.3, 10), lay("board", {}), PROVED)


def two(case):
    a, b = (posterior(intervals(case[f"{it}_intervals_deg"]), HANDBOOK, lapse=0) for it in "ab")
    window = Window(case["tolerance_deg"], case["tolerance_deg"])
    return compare(a, b, (window, window))


@pytest.mark.parametrize("case", cases("compare"))
def test_reference_numbers(case):
    found = two(case)
    assert found.less_spread == pytest.approx(case["prob_a_less_spread"], abs=0.01)
    assert found.higher_chance == pytest.approx(case["prob_a_higher_chance"], abs=0.01)
    assert found.less_bias == pytest.approx(case["prob_a_less_bias"], abs=0.01)
    assert found.less_bias == pytest.approx(_less_bias(case), abs=0.002)


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


def test_swapped_the_comparison_says_the_same_the_other_way_round():
    case = cases("compare")[0]
    one = two(case)
    other = two(case | {"a_intervals_deg": case["b_intervals_deg"], "b_intervals_deg": case["a_intervals_deg"]})
    assert one.shift.value == pytest.approx(-other.shift.value, abs=0.01)
    assert one.less_bias == pytest.approx(1 - other.less_bias, abs=0.01)
    assert one.line.more == pytest.approx(other.line.less, abs=0.01)
    assert one.spread.less == pytest.approx(other.spread.more, abs=0.01)
    assert one.window.small == pytest.approx(other.window.small, abs=0.01)
    assert one.spread_ratio.value * other.spread_ratio.value == pytest.approx(1, abs=0.02)


def arm(name, bias, n=12, spread=0.6, seed=1, station=STATION):
    rng = np.random.default_rng(seed)
    starts = rng.normal(bias, spread, n)
    return Arm.at(name, tuple(station.observe(float(it)).interval for it in starts), station)


def test_only_what_was_asked_gets_a_word_and_only_at_the_planned_end():
    arms = arm("as usual", 0.0), arm("mirror first", 1.3, seed=2)
    found = compared(arms, "line", final=True)
    assert found.pairs[0].word == "clear" and "further right than “as usual”: clear." in found.headline
    early = compared(arms, "line", final=False)
    assert early.pairs[0].word is None and early.headline.startswith("So far")
    steadier = compared((arm("usual", 0.0, 30, 1.4), arm("wide base", 0.0, 30, 0.5, 3)), "spread", final=True)
    assert "times as much" in steadier.headline and steadier.pairs[0].word in ("clear", "likely")
    same = compared((arm("a", 0.0, 40, 0.3), arm("b", 0.0, 40, 0.3, 4)), "line", final=True)
    assert same.pairs[0].word == "none" and "no difference" in same.headline


def test_what_one_rig_leaves_unknown_does_not_blur_a_shift_read_on_that_same_rig():
    loose = Station(STATION.putt, STATION.rig, Proof("rolled", doubt_m=0.02))
    other = Station(STATION.putt, lay("board", {"distance_m": 1.2}), Proof("rolled", doubt_m=0.02))
    same = compared((arm("a", 0.0, station=loose), arm("b", 1.3, seed=2, station=loose)), "line", final=True)
    apart = compared((arm("a", 0.0, station=loose), arm("b", 1.3, seed=2, station=other)), "line", final=True)
    assert same.pairs[0].comparison.shift.doubt < 0.6 < 1.5 < apart.pairs[0].comparison.shift.doubt
    assert same.pairs[0].word == "clear" != apart.pairs[0].word


def test_further_conditions_must_each_be_the_surer_and_nothing_is_told_of_one_alone():
    arms = arm("a", 0.0), arm("b", 0.1, seed=2), arm("c", 0.2, seed=3)
    found = compared(arms, "line", final=True)
    assert len(found.pairs) == 2 and found.note and len(found.vials) == 3
    assert compared((arms[0], Arm.at("b", (), STATION)), "line", final=True).pairs == ()


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


def at_distances(*pairs, spread=0.7, n=14, seed=5):
    """Blocks at (metres, true bias)."""
    rng = np.random.default_rng(seed)
    return [
        AtDistance(
            d,
            posterior([Interval(v - 0.1, v + 0.1) for v in rng.normal(bias, spread, n)]),
            n,
            Putt(d, 0.3, 10).window,
        )
        for d, bias in pairs
    ]


def test_what_grows_with_distance_is_found_and_one_distance_tells_nothing():
    blocks = at_distances(*((d, -0.3 + 0.42 * d) for d in (1.5, 2.5, 4.0)))
    table = by_distance(blocks, "metric")
    assert table is not None and "It grows" in table.words and len(table.rows) == 3
    assert "right with every metre" in table.words
    feet = by_distance(blocks, "feet")
    assert "with every foot" in feet.words and feet.rows[0].name == "4 ft 11 in"
    assert by_distance(blocks[:1], "metric") is None
    line = trend([(d, Estimate(0.4 * d, 0.4 * d - 0.05, 0.4 * d + 0.05)) for d in (1.0, 2.0, 5.0)])
    assert line.slope.low < 0.4 < line.slope.high and line.slope.doubt < 0.05
    # With one block nothing is known beyond the prior.
    assert trend([(2.0, Estimate(1.0, 0.5, 1.5))]).slope.doubt > 0.4


def test_a_bias_that_shrinks_with_distance_does_not_grow():
    shrinks = at_distances((1.0, 2.0), (2.5, 1.0), (4.0, 0.1), spread=0.4, n=20)
    words = by_distance(shrinks, "metric").words
    assert not words.startswith("It grows") and "does not get larger" in words
    line = trend([(1.0, Estimate(2.0, 1.9, 2.1)), (4.0, Estimate(0.0, -0.1, 0.1))])
    assert grown(line, 1.0, 4.0, 0.3).grows < 0.1 < 0.9 < grown(line, 1.0, 4.0, 0.3).turns


def test_a_sure_growth_that_costs_nothing_is_not_said():
    small = at_distances((1.0, 0.0), (1.4, 0.06), spread=0.3, n=60)
    assert by_distance(small, "metric").words.startswith("It does not grow")


def test_warming_up_inside_a_block_is_told():
    rng = np.random.default_rng(2)
    cold = [(Interval(v, v), {}) for v in [*rng.normal(2.0, 0.4, 7), *rng.normal(0.0, 0.4, 7)]]
    [table] = [it for it in tables(cold, STATION.putt.window) if it.title == "First half, second half"]
    assert "moved 1.9°" in table.words and "left" in table.words
    even = [(Interval(v, v), {}) for v in rng.normal(0.3, 0.5, 14)]
    [table] = [it for it in tables(even, STATION.putt.window) if it.title == "First half, second half"]
    assert table.words.startswith("No sign")
