"""Proof of the line: what it takes off the readings, and what it leaves in doubt however many putts follow."""

import math

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from libella.core.estimate import posterior, summarise
from libella.core.green.putt import Putt
from libella.core.instruments.board import Board
from libella.core.instruments.peg_gate import PegGate
from libella.core.judge.judgement import Occasion
from libella.core.measure.angle import angle_deg
from libella.core.measure.interval import Interval
from libella.core.measure.limits import OutOfLimits
from libella.core.measure.window import Window
from libella.core.set.layout import from_above
from libella.core.set.proof import USUAL_DOUBT_M, Proof, budget, repeatability
from libella.core.set.station import Station
from libella.words.set.briefing import breaks
from tests.said import further, judge

PUTT = Putt(2.5, 0.3, 9.5)
BREAKING = Putt(3.0, 0.3, 10, falls_forward_percent=-1, falls_right_percent=1.2)
WINDOW = Window(1.0, 1.0)


@given(st.floats(-0.02, 0.02), st.floats(-3, 3))
def test_a_zero_found_off_the_line_is_put_right(offset, start):
    """A rig laid too far right reads too far left; with the offset noted, the readings hold the truth again."""
    rig = Board(distance_m=1.0, half_width_m=0.15, mark_m=0.005)
    read = rig.observe(angle_deg(math.tan(math.radians(start)) - offset, 1.0))
    station = Station(PUTT, rig, Proof("tape", offset_m=offset))
    interval = station.interval(read.raw)
    assert interval.low - 0.02 <= start <= interval.high + 0.02


@given(st.floats(-4, 4))
def test_the_drift_at_the_rig_is_taken_off(start):
    station = Station(BREAKING, Board(distance_m=0.8, half_width_m=0.15), Proof("tape"))
    drift = BREAKING.aim.drift_m(0.8)
    seen = station.rig.observe(angle_deg(math.tan(math.radians(start)) * 0.8 + drift, 0.8))
    interval = station.interval(seen.raw)
    assert interval.low - 0.02 <= start <= interval.high + 0.02
    assert station.interval({"offset_m": 0.0}).anchor == pytest.approx(-angle_deg(drift, 0.8))


@given(st.floats(-20, 20))
def test_what_is_observed_at_a_station_holds_the_truth(start):
    station = Station(BREAKING, PegGate(), Proof("string", offset_m=0.002, zero_deg=0.1))
    zone = station.observe(start)
    assert start in zone.interval and zone.interval == station.interval(zone.raw)


def test_a_shared_doubt_is_never_averaged_away():
    rng = np.random.default_rng(2)
    block = [Interval(x - 0.05, x + 0.05) for x in rng.normal(0.5, 0.5, 400)]
    sharp = summarise(posterior(block), WINDOW)
    blurred = summarise(posterior(block).blurred(0.3), WINDOW)
    assert sharp.bias.doubt < 0.06
    assert blurred.bias.doubt == pytest.approx(1.645 * 0.3, rel=0.05)
    assert blurred.bias.value == pytest.approx(sharp.bias.value, abs=0.01)
    assert blurred.spread.value == pytest.approx(sharp.spread.value, rel=0.01)
    assert posterior(block).blurred(0.0).bias_quantile(0.95) == posterior(block).bias_quantile(0.95)


@settings(max_examples=15, deadline=None)
@given(st.floats(0.005, 1.0))
def test_blurring_adds_variance_and_nothing_else(doubt):
    post = posterior([Interval(0.4, 0.6), Interval(0.1, 0.3), Interval(0.5, 0.7)])

    def moments(it):
        mass = it.weight.sum(axis=1)
        mean = float(mass @ it.bias)
        return mean, float(mass @ (it.bias - mean) ** 2)

    mean, variance = moments(post)
    blurred_mean, blurred = moments(post.blurred(doubt))
    assert blurred_mean == pytest.approx(mean, abs=0.01)
    assert blurred == pytest.approx(variance + doubt**2, rel=0.03)


def test_reading_noise_is_taken_out_of_the_spread():
    rng = np.random.default_rng(8)
    seen = rng.normal(0, 0.6, 600) + rng.normal(0, 0.8, 600)
    block = [Interval(x - 0.05, x + 0.05) for x in seen]
    assert posterior(block).spread_quantile(0.5) == pytest.approx(1.0, rel=0.06)
    assert posterior(block, noise=0.8).spread_quantile(0.5) == pytest.approx(0.6, rel=0.1)


def test_honest_golfers_on_a_misplaced_rig_are_seldom_called_clear():
    """Ignored, 0.4° of the rig's own aim makes false verdicts; carried as a shared doubt, few are left."""
    rng = np.random.default_rng(5)
    doubt_m = math.tan(math.radians(0.4))
    careful = Station(PUTT, Board(1.0, 0.2, 0.005), Proof("tape", doubt_m=doubt_m))
    naive = Station(PUTT, Board(1.0, 0.2, 0.005), Proof("tape", doubt_m=0.0))
    called = {"careful": 0, "naive": 0}
    for _ in range(150):
        off = rng.normal(0, 0.4)
        block = [naive.observe(x).interval for x in rng.normal(off, 0.5, 20)]
        for name, station in (("careful", careful), ("naive", naive)):
            called[name] += judge(block, station, Occasion("right"), planned=20).verdict.word == "clear"
    assert called["naive"] / 150 > 0.2
    assert called["careful"] / 150 < 0.06


def test_on_a_line_not_proved_nothing_is_clear():
    block = [Interval(2.9, 3.1)] * 10
    station = Station(PUTT, Board())
    said = judge(block, station, Occasion("right"), planned=10)
    assert said.verdict.word == "likely" and said.verdict.probability > 0.95
    assert said.meaning.endswith("The line is not proved.")
    assert further(block, station, Occasion("right"), planned=10).startswith("Prove the line first")
    proved = judge(block, Station(PUTT, Board(), Proof("tape", doubt_m=0.001)), Occasion("right"), planned=10)
    assert proved.verdict.word == "clear"


def test_a_repeatability_check_gives_zero_noise_and_what_stays_unknown():
    found = repeatability([0.2, 0.4, 0.3, 0.5, 0.1], known_deg=0.1)
    assert (found.zero_deg, found.checks) == (pytest.approx(0.2), 5)
    assert found.noise_deg == pytest.approx(math.sqrt(0.025))
    proof = Proof("tape", doubt_m=0.0, zero_deg=found.zero_deg, noise_deg=found.noise_deg, checks=5)
    assert proof.shared_deg(1.0) == pytest.approx(found.noise_deg / math.sqrt(5))
    assert proof.correction_deg(1.0) == pytest.approx(-0.2)
    for few in ([], [0.1], [0.1, 0.2]):
        with pytest.raises(OutOfLimits, match="too_few_checks"):
            repeatability(few)


def test_the_budget_names_the_largest_contributor():
    loose = budget(Proof("rolled", doubt_m=USUAL_DOUBT_M()["rolled"]), 0.5)
    assert loose.contributors[0].by == "zero"
    exact = budget(Proof("second_laser", doubt_m=0.0002), 0.3)
    assert exact.contributors[0].by == "ball"
    assert exact.contributors[0].bias_deg == pytest.approx(angle_deg(0.0015, 0.3))
    assert loose.total_deg == pytest.approx(math.hypot(*(it.bias_deg for it in loose.contributors)))


@pytest.mark.parametrize("change", [{"offset_m": 0.5}, {"doubt_m": -0.001}, {"zero_deg": math.nan}, {"noise_deg": 9}])
def test_absurd_proofs_are_refused(change):
    with pytest.raises(OutOfLimits):
        Proof("tape", **change)


def test_a_breaking_station_says_how_it_is_started():
    said = " ".join(breaks(Station(BREAKING, PegGate(), Proof("tape")), "metric"))
    assert "left of the hole's centre" in said and "taken off every reading" in said and "Plays like" in said
    scene = from_above(Station(BREAKING, PegGate()), "right", "metric")
    [path] = [it for it in scene.shapes if it.shape == "curve"]
    [hole] = [it for it in scene.shapes if it.shape == "circle" and it.role == "hole"]
    assert path.points[-1] == pytest.approx((hole.x, hole.y), abs=0.5)
    assert hole.y > 0, "a ball that starts left finds the hole right of its start line"
    assert breaks(Station(PUTT, PegGate()), "metric") == ()


def test_what_is_not_known_of_the_instrument_is_shared_by_every_reading():
    it = Proof("tape", doubt_m=0.0, noise_deg=0.3, checks=9, tool_deg=0.5, tool_doubt_deg=0.4)
    assert it.own_deg == pytest.approx(math.hypot(0.1, 0.4)) and it.shared_deg(1.0) == pytest.approx(it.own_deg)
    assert Proof("tape", doubt_m=0.0, tool_doubt_deg=0.4).own_deg == pytest.approx(0.4)
    assert it.correction_deg(1.0) == pytest.approx(0.5)
