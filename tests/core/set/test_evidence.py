"""What proves a line, and what takes the proof away."""

import math
from dataclasses import replace
from statistics import stdev

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.certainty.estimate import Estimate
from libella.core.green.putt import Putt
from libella.core.green.slope import TrialRoll, rolled_slope
from libella.core.instruments.board import Board
from libella.core.instruments.elevated_string import ElevatedString
from libella.core.measure.limits import OutOfLimits
from libella.core.see.side_look import StringLook
from libella.core.set.proof import (
    BY_EYE_DEG,
    NOT_PROVED,
    USUAL_DOUBT_M,
    Evidence,
    Measured,
    Proof,
    Repeatability,
    prove,
)
from libella.core.set.station import Station
from libella.core.set.string_fit import string_fit

LINE = Station(Putt(2.5, 0.3, 10), Board(distance_m=1.0)).line
LEVEL = (TrialRoll("out", 3.0, 0.0), TrialRoll("back", 3.0, 0.0))
TAPED = prove("tape", Evidence((Measured(2.0, 0.0),) * 2), LINE, green_speed_ft=10, check=Repeatability(0.1, 0.2, 5))
CHANGES = {
    "distance_m": "length",
    "falls_forward_percent": "slope",
    "falls_right_percent": "slope",
    "start_deg": "target",
    "rig_at_m": "rig",
    "across_m": "rig",
}


@given(st.floats(0.6, 5), st.floats(-0.05, 0.05), st.integers(2, 6))
def test_a_line_off_at_one_place_is_as_far_off_in_angle_at_the_rig(at, beside, times):
    proof = prove("string", Evidence((Measured(at, beside),) * times), LINE, green_speed_ft=10)
    assert proof.is_proved and proof.doubt_m == pytest.approx(USUAL_DOUBT_M()["string"], abs=1e-6)
    assert math.tan(math.radians(proof.correction_deg(1.0))) == pytest.approx(beside / at, abs=1e-9)


def test_measurements_that_disagree_prove_less():
    apart = prove("tape", Evidence((Measured(1.0, -0.004), Measured(1.0, 0.004))), LINE, green_speed_ft=10)
    agreeing = prove("tape", Evidence((Measured(1.0, 0.0),) * 2), LINE, green_speed_ft=10)
    assert apart.shared_deg(1.0) > 2 * agreeing.shared_deg(1.0)
    with pytest.raises(OutOfLimits, match="out_of_bounds"):
        prove("tape", Evidence((Measured(0.1, 0.05),) * 2), LINE, green_speed_ft=10)


@pytest.mark.parametrize("name", CHANGES)
def test_a_proof_falls_with_its_line_and_stands_again_with_it(name):
    other = replace(LINE, **{name: getattr(LINE, name) + 0.3})
    if name == "distance_m":
        # Longer on a slope it starts elsewhere.
        other = replace(other, start_deg=LINE.start_deg + 0.4)
    fallen = TAPED.on(other)
    assert not fallen.is_proved and fallen.fell[0] == CHANGES[name]
    # The rig's own check goes only where the rig was touched.
    assert bool(fallen.checks) == (CHANGES[name] != "rig")
    assert TAPED.on(LINE) is TAPED and TAPED.on(replace(LINE)) is TAPED
    assert TAPED.on(replace(LINE, rig_kind="peg_gate")).fell == ("rig",)


@given(st.floats(0.6, 12))
def test_a_hole_further_or_nearer_on_the_same_line_leaves_it_proved(distance):
    assert TAPED.on(replace(LINE, distance_m=distance)) is TAPED
    assert TAPED.on(replace(LINE, distance_m=distance, rig_at_m=LINE.rig_at_m + 0.3)).fell


@pytest.mark.parametrize("name", CHANGES)
def test_ground_rolled_both_ways_is_proved_whatever_stands_on_it(name):
    rolled = prove("rolled", Evidence(rolls=LEVEL), LINE, green_speed_ft=10, check=Repeatability(0.2, 0.1, 5))
    now = rolled.on(replace(LINE, **{name: getattr(LINE, name) + 0.3}))
    assert now.is_proved == (CHANGES[name] not in ("length", "slope"))
    assert bool(now.checks) == (CHANGES[name] != "rig"), "what was found of one rig is no other's"


def test_a_proof_kept_before_lines_were_is_taken_as_it_was_said():
    assert Proof("tape", doubt_m=0.001).on(LINE).is_proved
    assert NOT_PROVED.on(LINE) == NOT_PROVED


@given(st.floats(0.5, 3), st.sampled_from(["out", "back"]))
def test_balls_that_tell_another_slope_prove_nothing(percent, falls):
    drift = 0.14 * percent * (1 if falls == "out" else -1)
    rolls = (TrialRoll("out", 3.0, drift), TrialRoll("back", 3.0, -drift))
    with pytest.raises(OutOfLimits, match="rolled_other_right"):
        prove("rolled", Evidence(rolls=rolls), LINE, green_speed_ft=10)
    assert prove("rolled", Evidence(rolls=LEVEL), LINE, green_speed_ft=10).is_proved


@pytest.mark.parametrize(("beyond", "proves"), [(-0.02, True), (0.02, False)])
@pytest.mark.parametrize("side", [1, -1])
def test_rolled_balls_may_differ_from_the_plan_by_a_tenth_and_twice_their_doubt(beyond, proves, side):
    rolls = tuple(TrialRoll(way, 3.0, sign * side * 0.06) for way, sign in (("out", 1), ("back", -1)) for _ in range(3))
    told = rolled_slope(rolls, 10)
    planned = told.right_percent - side * (2 * told.right_doubt + 0.1 + beyond)
    line = replace(LINE, falls_right_percent=planned, falls_forward_percent=told.forward_percent)
    if proves:
        assert prove("rolled", Evidence(rolls=rolls), line, green_speed_ft=10).is_proved
        return
    with pytest.raises(OutOfLimits, match="rolled_other_right"):
        prove("rolled", Evidence(rolls=rolls), line, green_speed_ft=10)


@given(st.floats(-0.08, 0.08), st.floats(0.1, 0.4), st.floats(1.2, 1.7))
def test_a_string_leant_as_offered_splits_the_ball_for_these_eyes_and_is_read_so(inside, height, eye):
    eyes = Estimate(inside * 1000, inside * 1000 - 3, inside * 1000 + 3)
    upright = ElevatedString(string_height_m=round(height, 3), eye_height_m=round(eye, 3))
    fit = string_fit(upright, eyes)
    assert fit.wrong == (abs(fit.covers_outside_m) >= 0.002 and abs(inside) * 1000 > 3)
    leant = replace(upright, lean_deg=fit.lean_deg)
    again = string_fit(leant, eyes)
    assert abs(again.covers_outside_m) < 0.0005 and not again.wrong
    # Who sees it split the ball has his eye where it was measured: the same sums backwards, as it is laid.
    look = StringLook("splits", string_height_m=leant.string_height_m, eye_height_m=eye, lean_deg=fit.lean_deg)
    assert look.inside_mm.low - 2 <= inside * 1000 <= look.inside_mm.high + 2
    if abs(inside) > 0.06 and height > 0.3:
        plain = replace(look, lean_deg=0.0).inside_mm
        assert not plain.low <= inside * 1000 <= plain.high, "an upright string would be read otherwise"


@pytest.mark.parametrize("covers", ["splits", "quarter", "edge", "off"])
@pytest.mark.parametrize("side", ["inside", "outside"])
def test_an_upright_string_is_the_same_both_ways(covers, side):
    look = StringLook(covers, side).inside_mm
    other = StringLook(covers, "outside" if side == "inside" else "inside").inside_mm
    assert (look.low, look.high) == (pytest.approx(-other.high), pytest.approx(-other.low))


def test_a_line_takes_two_measurements_and_their_scatter_shrinks_with_more():
    with pytest.raises(OutOfLimits):
        prove("tape", Evidence((Measured(1.0, 0.002),)), LINE, green_speed_ft=10)
    for n in (1, 4):
        told = tuple(Measured(1.0, beside) for beside in (0.001, 0.005) * n)
        found = prove("tape", Evidence(told), LINE, green_speed_ft=10)
        scatter = stdev(it.beside_m for it in told) / math.sqrt(len(told))
        assert found.offset_m == pytest.approx(0.003)
        assert found.doubt_m == pytest.approx(math.hypot(USUAL_DOUBT_M()["tape"], scatter))


def test_a_line_laid_by_eye_is_known_to_so_many_tenths():
    assert NOT_PROVED.line_deg(1.0) == NOT_PROVED.line_deg(3.0) == BY_EYE_DEG() == 0.6


@pytest.mark.parametrize(("share", "fit"), [(0.30, "good"), (0.36, "unsure")])
def test_a_rig_that_hides_a_third_of_its_window_is_unsure(share, fit):
    putt = Putt(2.5, 0.3, 10)
    plain = Station(putt, Board(distance_m=1.0), Proof("tape", doubt_m=0.0001))
    assert plain.sight(1.0).fit == "good"
    own = math.sqrt(max((share * plain.sight(1.0).window_deg) ** 2 - plain.shared_deg**2, 0.0))
    station = replace(plain, proof=Proof("tape", doubt_m=0.0001, tool_doubt_deg=own))
    assert station.sight(1.0).fit == fit
