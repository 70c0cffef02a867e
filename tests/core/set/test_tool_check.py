"""An instrument's own zero, found by turning it over, sighting along it, or holding it where the answer is known."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.instruments import instruments
from libella.core.measure.limits import OutOfLimits
from libella.core.set.tool_check import WAYS, EndForEnd, ToolCheck, Turned, tool_zero


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
