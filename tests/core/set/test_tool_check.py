"""An instrument's own zero, found by turning it over, sighting along it, or holding it where the answer is known."""

import math
from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.instruments import instruments
from libella.core.measure.limits import OutOfLimits
from libella.core.see.side_look import StripLook
from libella.core.set.tool_check import WAYS, EndForEnd, Gaps, ToolCheck, Turned, tool_zero
from libella.words.set.tool_check import ASKS, HOW, SIZES
from libella.words.vocabulary import ENTRIES


@given(st.floats(-1.0, 1.0), st.floats(0.3, 2.0))
def test_half_of_what_moves_when_it_is_turned_over_is_its_own_error(off_deg, over_m):
    tip = math.tan(math.radians(off_deg)) * over_m
    turns = (Turned(-2 * tip, over_m),) * 3
    assert tool_zero(ToolCheck("rod_beside", turns)).right_deg == pytest.approx(off_deg, abs=1e-9)


def test_a_string_sighted_along_tells_its_whole_error():
    zero = tool_zero(ToolCheck("ground_string", (Turned(0.01, 2.0),) * 2))
    assert zero.right_deg == pytest.approx(math.degrees(math.atan2(0.01, 2.0)))


def test_readings_that_agree_are_not_exact_and_more_of_them_tell_more():
    few, many = (tool_zero(ToolCheck("square_reference", (Turned(0.0, 0.3),) * n)) for n in (2, 8))
    assert 0 < many.doubt_deg < few.doubt_deg
    scattered = tool_zero(ToolCheck("square_reference", (Turned(0.004, 0.3), Turned(-0.004, 0.3))))
    assert scattered.doubt_deg > 3 * few.doubt_deg


def test_a_face_held_square_tells_how_far_its_own_laser_points_beside():
    tool = instruments()["putter_laser"]
    raws = tuple({"offset_m": 0.02} for _ in range(3))
    zero = tool_zero(ToolCheck("putter_laser", raws=raws))
    assert zero.right_deg == pytest.approx(-tool.laid({}).interval(raws[0]).anchor)


def test_a_mirror_turned_end_for_end_shows_the_same_eye_on_the_other_side_of_the_truth():
    mark = EndForEnd(0.024, 0.036, 0.016, 0.044)
    zero = tool_zero(ToolCheck("ground_mirror", marks=(mark, mark)))
    assert (zero.inside_m, zero.behind_m) == pytest.approx((0.004, -0.004))


def test_what_has_no_zero_of_its_own_is_refused_and_so_is_a_single_reading():
    with pytest.raises(OutOfLimits):
        ToolCheck("peg_gate")
    for kind in WAYS:
        with pytest.raises(OutOfLimits):
            tool_zero(ToolCheck(kind, (Turned(0.0, 1.0),)))


@given(st.floats(-2.0, 2.0), st.floats(0.05, 0.3))
def test_a_square_flipped_on_its_rail_shows_twice_how_far_it_looks_beside(looks_right_deg, arm_m):
    # Looking right, its right end stood behind; turned over it stands as far ahead.
    behind = arm_m * math.tan(math.radians(looks_right_deg))
    turns = (Turned(2 * behind, arm_m),) * 2
    assert tool_zero(ToolCheck("rail_square", turns)).right_deg == pytest.approx(looks_right_deg, abs=1e-6)


@given(st.floats(-2.0, 2.0))
def test_a_ts_bar_is_known_by_its_two_halves_taped_from_far_down_the_stem(looks_right_deg):
    half, stem, turn = 0.075, 1.5, math.radians(looks_right_deg)
    right = math.dist((stem, 0), (-half * math.sin(turn), half * math.cos(turn)))
    left = math.dist((stem, 0), (half * math.sin(turn), -half * math.cos(turn)))
    zero = tool_zero(ToolCheck("t_mark", (Turned(right - left, 2 * half),) * 2))
    assert zero.right_deg == pytest.approx(looks_right_deg, abs=0.02)


@pytest.mark.parametrize(("kind", "side"), [("strip_bar", 1), ("strip_slot", -1)])
def test_a_bar_beside_its_light_shows_the_eye_on_the_other_side_and_a_look_is_put_right_by_it(kind, side):
    tool = instruments()[kind].laid({})
    beside = 0.001
    # 1 mm towards the golfer: a bar reaches further there, a slot falls short by less.
    gaps = (Gaps(0.004 + side * beside, 0.004 - side * beside),) * 3
    zero = tool_zero(ToolCheck(kind, gaps=gaps), dict(tool.sizes()))
    assert zero.inside_m == pytest.approx(-beside * tool.eye_height_m / tool.over_m)
    look = StripLook(tool.device, "light", 0.015)
    told = replace(look, zero_m=zero.inside_m, doubt_m=zero.doubt_m).inside_mm
    assert (told.low + told.high) / 2 == pytest.approx(-zero.inside_m * 1000)
    assert told.high - told.low > look.inside_mm.high - look.inside_mm.low


def test_every_tool_that_is_checked_says_what_to_do_and_asks_for_entries_there_are():
    for kind, way in WAYS.items():
        assert HOW[kind] and ASKS[way] and all(name in ENTRIES for name in SIZES[way]), kind
    assert set(HOW) == set(WAYS)
