"""Rolls, aims and windows on a slope; the fall line from level readings."""

import math
import re

import numpy as np
import pytest
from hypothesis import assume, example, given, settings
from hypothesis import strategies as st
from scipy.integrate import solve_ivp
from scipy.optimize import brentq

from libella.core.green.capture import DISTANCE, GREEN_SPEED, PAST
from libella.core.green.putt import Putt
from libella.core.green.read import Read
from libella.core.green.roll import Ground, roll, roll_many
from libella.core.green.slope import (
    FALLS,
    LEVEL_RESOLUTION,
    LevelReading,
    TrialRoll,
    fall_line,
    nearest_straight,
    rolled_slope,
)
from libella.core.green.target import aim, arrival, drop_map
from libella.core.instruments import lay
from libella.core.instruments.board import Board
from libella.core.measure.limits import OutOfLimits
from libella.core.set.proof import Proof
from libella.core.set.station import Station
from libella.words.set.briefing import allows, breaks, trust
from libella.words.set.green import read_words, slope_words

from ...said import refusal
from ..estimate.reference import cases


def ground(case) -> Ground:
    return Ground(case["green_speed_ft"], case["falls_forward_percent"], case["falls_right_percent"])


@pytest.mark.parametrize("case", cases("aim"))
def test_aim(case):
    said = aim(ground(case), case["distance_m"], case["past_m"], "rim_assisted")
    assert said.start_deg == pytest.approx(case["start_deg"], abs=0.005)
    assert said.speed_m_s == pytest.approx(case["start_speed_m_s"], rel=0.002)
    assert said.plays_like_m == pytest.approx(case["plays_like_level_m"], rel=0.002)
    assert said.drift_m(0.3) * 1000 == pytest.approx(case["drift_from_tangent_at_0_3_m_mm"], abs=0.01)


@pytest.mark.parametrize("capture", ["free_fall", "rim_assisted"])
@pytest.mark.parametrize("case", cases("window_on_slope"))
def test_window_on_slope(case, capture):
    said = aim(ground(case), case["distance_m"], case["past_m"], capture).window
    assert said.right_deg == pytest.approx(case[f"{capture}_right_deg"], abs=0.003)
    assert said.left_deg == pytest.approx(case[f"{capture}_left_deg"], abs=0.003)


@pytest.mark.parametrize("case", cases("no_pace"))
def test_a_slope_on_which_no_pace_holds_is_said(case):
    with pytest.raises(OutOfLimits, match="no_putt_arrives") as refused:
        aim(ground(case), case["distance_m"], case["past_m"], "rim_assisted")
    assert refused.value.unit == "%"


@pytest.mark.parametrize("case", cases("fall_line"))
def test_fall_line(case):
    said = fall_line([LevelReading(it["azimuth_deg_right_of_line"], it["falls_percent"]) for it in case["readings"]])
    assert said.fall_percent == pytest.approx(case["fall_percent"], rel=1e-4)
    assert said.azimuth_deg == pytest.approx(case["fall_azimuth_deg"], abs=0.01)
    assert said.azimuth_doubt_deg is not None


slopes = st.floats(-2.5, 2.5)


@settings(max_examples=25, deadline=None)
@given(st.floats(7, 13), slopes, slopes, st.floats(-6, 6), st.floats(2.4, 3.4))
def test_a_roll_agrees_with_an_integrator_in_time(stimp, forward, right, start_deg, speed):
    """Same physics, another variable, another method: within a millimetre at the hole."""
    green = Ground(stimp, forward, right)
    path = roll(green, 3.0, start_deg, speed)
    assume(path.x[-1] == 3.0 and path.speed2[-1] > 0.01)
    pull, friction = green.pull, green.friction

    def change(_, state):
        vx, vy = state[2:]
        v = math.hypot(vx, vy)
        return [vx, vy, pull[0] - friction * vx / v, pull[1] - friction * vy / v]

    def level_with_hole(_, state):
        return state[0] - 3.0

    level_with_hole.terminal = True
    turn = math.radians(start_deg)
    start = [0, 0, speed * math.cos(turn), speed * math.sin(turn)]
    done = solve_ivp(change, (0, 30), start, events=level_with_hole, rtol=1e-9, atol=1e-10)
    assert path.y[-1] == pytest.approx(done.y_events[0][0][1], abs=1e-3)


@settings(max_examples=20, deadline=None)
@given(st.floats(7, 13), slopes, slopes)
def test_a_bundle_rolls_as_its_balls_do_alone(stimp, forward, right):
    green = Ground(stimp, forward, right)
    starts, speeds = np.array([-3.0, 0.0, 2.0, 0.5]), np.array([3.2, 3.0, 2.8, 0.4])
    bundle = roll_many(green, 3.0, starts, speeds)
    for n in range(4):
        alone = roll(green, 3.0, starts[n], speeds[n])
        if alone.x[-1] == 3.0:
            assert bundle.y[-1][n] == pytest.approx(alone.y[-1], abs=1e-9)
        else:
            assert math.isnan(bundle.speed2[-1][n])


@settings(max_examples=25, deadline=None)
@given(st.floats(1, 6), st.floats(7, 13), st.floats(0.05, 0.6), st.floats(-1.5, 1.5), st.floats(0.1, 2))
def test_the_mirrored_green_is_aimed_on_the_other_side(distance, stimp, past, forward, right):
    try:
        one = aim(Ground(stimp, forward, right), distance, past, "rim_assisted")
    except OutOfLimits:
        with pytest.raises(OutOfLimits):
            aim(Ground(stimp, forward, -right), distance, past, "rim_assisted")
        return
    other = aim(Ground(stimp, forward, -right), distance, past, "rim_assisted")
    assert one.start_deg < 0 < other.start_deg
    assert one.start_deg == pytest.approx(-other.start_deg, abs=1e-4)
    assert one.window.left_deg == pytest.approx(other.window.right_deg, abs=1e-3)
    # The ball falls off its line, never back over it.
    assert 0 <= one.drift_m(0.3) <= one.drift_m(min(1.0, distance))


@settings(max_examples=25, deadline=None)
@given(st.floats(1, 5), st.floats(0.1, 0.6), st.floats(7, 11), st.floats(0.2, 1.2))
def test_steeper_or_faster_never_breaks_less(distance, past, stimp, right):
    here = aim(Ground(stimp, 0, right), distance, past, "rim_assisted")
    steeper = aim(Ground(stimp, 0, right * 1.3), distance, past, "rim_assisted")
    faster = aim(Ground(stimp * 1.2, 0, right), distance, past, "rim_assisted")
    assert abs(steeper.start_deg) >= abs(here.start_deg)
    assert abs(faster.start_deg) >= abs(here.start_deg)


@given(st.floats(0.5, 6), st.floats(6, 14), st.floats(0.05, 0.9), st.sampled_from(["rim_assisted", "free_fall"]))
@settings(max_examples=25, deadline=None)
def test_no_slope_gives_no_break_and_the_window_of_the_level(distance, stimp, past, capture):
    said = aim(Ground(stimp), distance, past, capture)
    assert said.start_deg == 0 and said.drift_m(distance / 2) == 0
    level = Putt(distance, past, stimp, capture).window
    assert said.window.right_deg == pytest.approx(level.right_deg, rel=0.02)
    assert said.plays_like_m == pytest.approx(distance, rel=1e-6)


def test_uphill_narrows_the_window_and_downhill_widens_it():
    level = aim(Ground(10), 3, 0.3, "rim_assisted").window.right_deg
    assert aim(Ground(10, -3), 3, 0.3, "rim_assisted").window.right_deg / level == pytest.approx(0.89, abs=0.015)
    assert aim(Ground(10, 3), 3, 0.3, "rim_assisted").window.right_deg / level == pytest.approx(1.22, abs=0.02)


def test_the_drop_map_holds_the_aim_and_agrees_with_the_window():
    green = Ground(10, -1, 1)
    said = aim(green, 3, 0.3, "rim_assisted")
    drops = drop_map(green, 3, "rim_assisted", about=said)
    column = int(np.abs(drops.past_m - 0.3).argmin())
    holed = drops.start_deg[drops.drops[:, column]]
    step = drops.start_deg[1] - drops.start_deg[0]
    assert holed[0] == pytest.approx(said.start_deg - said.window.left_deg, abs=3 * step)
    assert holed[-1] == pytest.approx(said.start_deg + said.window.right_deg, abs=3 * step)
    assert not drops.drops[0].any() and not drops.drops[-1].any()


def test_where_the_ball_has_left_its_line():
    said = aim(Ground(10, 0, 1), 4, 0.3, "rim_assisted")
    places = [said.leaves_at_m(it) for it in (0.001, 0.002, 0.005)]
    assert places == sorted(places)
    for offset, at in zip((0.001, 0.002, 0.005), places, strict=True):
        assert abs(said.drift_m(at)) == pytest.approx(offset, rel=0.05)
    assert aim(Ground(10), 4, 0.3, "rim_assisted").leaves_at_m(0.001) is None


@settings(max_examples=30)
@given(st.floats(-3, 3), st.floats(-3, 3), st.floats(0, 0.2))
def test_level_readings_give_back_the_slope(forward, right, noise):
    rng = np.random.default_rng(4)
    azimuths = [0, 40, 95, 140, 200, 260, 310]
    exact = [forward * math.cos(math.radians(a)) + right * math.sin(math.radians(a)) for a in azimuths]
    read = [LevelReading(a, f + noise * rng.normal()) for a, f in zip(azimuths, exact, strict=True)]
    said = fall_line(read)
    assert said.forward_percent == pytest.approx(forward, abs=1e-9 + 2 * noise)
    assert said.right_percent == pytest.approx(right, abs=1e-9 + 2 * noise)


@pytest.mark.parametrize("azimuths", [[], [10], [0, 180], [30, 31, 210]])
def test_one_direction_is_not_enough(azimuths):
    with pytest.raises(OutOfLimits, match="level_one_way"):
        fall_line([LevelReading(it, 1.0) for it in azimuths])


def test_readings_that_agree_are_no_more_exact_than_the_level():
    two = fall_line([LevelReading(0, 1.0), LevelReading(90, 0.5)])
    assert two.forward_doubt == pytest.approx(LEVEL_RESOLUTION) == two.right_doubt
    four = fall_line([LevelReading(it, 1.0) for it in (0, 45)] * 2)
    assert four.forward_doubt > 0.05
    exact = fall_line([LevelReading(0, 2.0), LevelReading(180, -2.0), LevelReading(90, 0.0), LevelReading(270, 0.0)])
    assert exact.forward_doubt == pytest.approx(LEVEL_RESOLUTION / 2**0.5)
    assert "± 0" not in slope_words(exact) and "°)" in slope_words(exact)
    steep = fall_line([LevelReading(it, 12 * math.cos(math.radians(it))) for it in range(0, 360, 10)])
    assert "± 0°" not in slope_words(steep)
    assert "± 0.0" not in slope_words(fall_line([LevelReading(0, 0.0), LevelReading(90, 0.0)] * 50))


@pytest.mark.parametrize("falls", [15, math.nan])
def test_a_level_steeper_than_a_green_is_refused(falls):
    with pytest.raises(OutOfLimits):
        LevelReading(0, falls)


@given(st.floats(-2.5, 2.5), st.floats(-1.5, 1.5), st.floats(6, 13), st.floats(-0.5, 0.5))
@settings(max_examples=40, deadline=None)
def test_rolls_both_ways_give_back_the_slope_they_rolled_on(forward, right, stimp, aimed_deg):
    """Balls rolled by the simulation until they stop, sent off alike and a little to one side: the slope comes out."""
    rolls = []
    for way, sign in (("out", 1), ("back", -1)):
        ground = Ground(stimp, sign * forward, sign * right)
        pull = ground.pull[0]
        if ground.friction - abs(pull) < 0.25 * ground.friction:
            return  # it would hardly stop
        length = 1.6**2 / (2 * (ground.friction - pull))
        # Up to just before it stops, where a path along the line can't follow it.
        path = roll(ground, length * 0.999, aimed_deg, 1.6)
        rolls.append(TrialRoll(way, length, path.y[-1]))
    found = rolled_slope(rolls, stimp)
    assert found.forward_percent == pytest.approx(forward, abs=0.08)
    assert found.right_percent == pytest.approx(right, abs=0.1 + 0.06 * abs(right))


def test_balls_that_tell_of_no_green_are_refused():
    with pytest.raises(OutOfLimits) as refused:
        rolled_slope([TrialRoll("out", 2.0, 1.4), TrialRoll("back", 2.0, -1.4)], 6)
    assert refused.value.field == "rolls"


def test_rolls_know_how_sure_they_are():
    pair = [TrialRoll("out", 3.0, 0.1), TrialRoll("back", 3.2, -0.1)]
    one = rolled_slope(pair, 10)
    more = rolled_slope(pair * 4, 10)
    assert one.right_percent > 0 > one.forward_percent
    assert 0 < more.right_doubt < one.right_doubt and 0 < more.forward_doubt < one.forward_doubt
    scattered = [*pair, TrialRoll("out", 3.6, 0.4), TrialRoll("back", 2.6, 0.3)]
    assert rolled_slope(scattered, 10).right_doubt > one.right_doubt
    for lonely in ([], pair[:1], pair[1:]):
        with pytest.raises(OutOfLimits) as refused:
            rolled_slope(lonely, 10)
        assert refused.value.field == "rolls"


@given(st.floats(-3, 3), st.floats(-3, 3), st.floats(1, 8))
@settings(max_examples=80)
def test_the_nearest_straight_putt_is_straight(forward, right, distance):
    assume(abs(forward) + abs(right) > 0.1)
    found = nearest_straight(forward, right, distance)
    turn = math.radians(found.turn_deg)
    # The same fall, seen along the turned line: nothing is left across it.
    along = forward * math.cos(turn) + right * math.sin(turn)
    across = right * math.cos(turn) - forward * math.sin(turn)
    assert across == pytest.approx(0, abs=1e-9) and (along < 0) == found.uphill
    assert abs(found.turn_deg) <= 90 + 1e-9
    # Its ball is as far from the hole.
    assert math.hypot(distance + found.ball_back_m, found.ball_right_m) == pytest.approx(distance)


def test_on_level_ground_every_putt_is_straight():
    assert nearest_straight(0, 0, 3) is None


READS = [
    (Read(), 0.0, "the centre"),
    (Read("inside_edge", "left"), -0.032665, "just inside the left edge"),
    (Read("edge", "right"), 0.054, "the right edge"),
    (Read("outside", "left", 0.05), -0.104, "50 mm outside left"),
]


@pytest.mark.parametrize(("read", "offset", "words"), READS)
def test_a_read_is_a_place_beside_the_hole(read, offset, words):
    assert read.offset_m == pytest.approx(offset) and read_words(read, "metric") == words


def test_a_read_that_makes_no_sense_is_refused():
    for bad, field in (
        (lambda: Read("edge", "left", 0.1), "outside_m"),
        (lambda: Read("outside", "left", 9), "outside_m"),
    ):
        with pytest.raises(OutOfLimits) as refused:
            bad()
        assert refused.value.field == field
    with pytest.raises(OutOfLimits) as refused:
        Putt(3, 0.3, 10, target="read")
    assert refused.value.field == "read"


def test_a_read_as_target_moves_line_window_and_drift():
    level = Putt(3.0, 0.3, 10, read=Read("edge", "right"), target="read")
    half = Putt(3.0, 0.3, 10).window.left_deg
    assert level.start_deg == pytest.approx(math.degrees(math.atan(0.054 / 3)))
    # What holes the putt lies to the left of a line that starts right of the hole.
    assert level.window.low_deg == pytest.approx(-half - level.start_deg)
    assert level.window.high_deg == pytest.approx(half - level.start_deg)
    assert level.arrives.beside_m == pytest.approx(0.054, abs=1e-4) and not level.arrives.drops

    slope = {"falls_forward_percent": -1.0, "falls_right_percent": 1.5}
    computed = Putt(3.0, 0.3, 10, **slope)
    aim = computed.aim
    side = "left" if aim.aim_m < 0 else "right"
    near = Putt(3.0, 0.3, 10, **slope, read=Read("outside", side, abs(aim.aim_m) - 0.054), target="read")
    assert near.start_deg == pytest.approx(aim.start_deg)
    assert near.window.off_deg == pytest.approx(0, abs=1e-9)
    assert near.drift_m(0.5) == pytest.approx(computed.drift_m(0.5), abs=1e-6)
    assert near.arrives.drops and abs(near.arrives.beside_m) < 1e-4


def test_a_putt_that_drops_has_a_pace_that_drops_however_steep_it_is():
    putt = Putt(8.149, 1.5605, 6.46, "rim_assisted", 4.73, 9.63)
    assert putt.arrives.drops and putt.paces is not None
    assert putt.paces.least_past_m < 1.5605 < putt.paces.most_past_m


@given(st.floats(1, 6), st.floats(-2, 2), st.floats(0.1, 0.8))
@example(5.25, 2.0, 0.125)
@settings(max_examples=30, deadline=None)
def test_the_pace_window_holds_the_pace_meant_and_ends_where_it_stops_dropping(distance, across, past):
    putt = Putt(distance, past, 10, falls_right_percent=across)
    paces = putt.paces
    assert paces.least_past_m <= past <= paces.most_past_m + 1e-9
    ground = Ground(10, 0, across)

    def pace(speed):
        path = roll(ground, distance, putt.start_deg, speed)
        return path.speed2[-1] / (2 * ground.friction) if path.x[-1] >= distance else -1.0

    speed = putt.aim.speed_m_s
    for factor, drops in ((0.95, True), (1.07, False)):
        wanted = paces.most_past_m * factor
        found = brentq(lambda v, wanted=wanted: pace(v) - wanted, speed * 0.5, speed * 2.5)
        assert arrival(ground, distance, "rim_assisted", roll(ground, distance, putt.start_deg, found)).drops == drops


def test_what_is_not_known_of_the_slope_is_shared_by_the_block():
    slope = {"falls_right_percent": 1.0}
    known, doubted = Putt(3, 0.3, 10, **slope), Putt(3, 0.3, 10, **slope, falls_doubt_percent=0.3)
    board = Board(distance_m=1.0)
    assert Station(doubted, board).shared_deg > Station(known, board).shared_deg
    assert doubted.drift_doubt_m(3) == pytest.approx(0.3 * abs(known.curve_m), rel=0.15)
    assert known.drift_doubt_m(3) == 0


anywhere = {
    "distance_m": st.floats(DISTANCE.low, DISTANCE.high),
    "past_m": st.floats(PAST.low, PAST.high),
    "green_speed_ft": st.floats(GREEN_SPEED.low, GREEN_SPEED.high),
    "forward": st.floats(FALLS.low, FALLS.high),
    "right": st.floats(FALLS.low, FALLS.high),
    "doubt": st.floats(0, 1),
    "read": st.none() | st.builds(Read, st.just("outside"), st.sampled_from(["left", "right"]), st.floats(0, 0.5)),
    "capture": st.sampled_from(["rim_assisted", "free_fall"]),
}


@settings(max_examples=60, deadline=None)
@example(5.94, 0.3, 12.6, 3.0, -4.8, 0.0, None, "rim_assisted")
@example(4.39, 0.3, 10.0, -10.5, -9.4, 0.1, None, "rim_assisted")
@example(6.64, 1.93, 10.0, -9.7, -9.0, 0.0, None, "rim_assisted")
@example(0.3553018, 0.129022, 8.0936, 8.0457, -10.0756, 0.2, None, "rim_assisted")
@example(0.475073, 2.82221, 15.1589, -6.25178, -5.5047, 0.2, None, "rim_assisted")
@example(3.0, 0.3, 10.0, 0.0, 12.0, 0.5, None, "rim_assisted")
@example(10.0, 0.9375, 8.25, 5.25, 7.5, 0.0, None, "rim_assisted")
@given(*anywhere.values())
def test_any_putt_that_can_be_entered_is_told_or_refused(distance, past, stimp, forward, right, doubt, read, capture):
    """Never a crash, a number that is none, or a pace that could not be entered."""
    try:
        target = "read" if read else "computed"
        putt = Putt(distance, past, stimp, capture, forward, right, doubt, read, target)
        station = Station(putt, lay("board", {"distance_m": min(1.0, distance * 0.6)}), Proof("tape"))
    except OutOfLimits as refused:
        assert refused.field in ("past_m", "falls_forward_percent", "distance_m") and refusal(refused).limit
        return
    numbers = [putt.start_deg, putt.window.left_deg, putt.window.right_deg, station.shared_deg, station.shift_deg]
    if not putt.is_level:
        numbers += [putt.aim.aim_m, putt.aim.speed_m_s, putt.aim.plays_like_m, putt.drift_m(distance)]
        putt.drops("metric")
    assert all(math.isfinite(it) for it in numbers)
    assert 0 <= putt.window.left_deg <= 90 and 0 <= putt.window.right_deg <= 90
    if paces := putt.paces:
        assert 0 <= paces.least_past_m < paces.most_past_m <= PAST.high
    words = " ".join((*breaks(station, "metric"), allows(station, "metric"), *trust(station, "feet")))
    assert "nan" not in words and "inf" not in words.replace("information", "")
    assert not re.search(r"(?<![.\d])\d{5,}", words)
