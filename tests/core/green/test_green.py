"""The window on the level."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.green.capture import capture_offset, longest_past, speed_past
from libella.core.green.putt import Putt
from libella.core.measure.angle import angle_deg, hole_widths, offset_m
from libella.core.measure.constants import HOLE_M
from libella.core.measure.limits import OutOfLimits

captures = st.sampled_from(["rim_assisted", "free_fall"])


@given(st.floats(-60, 60), st.floats(0.1, 15))
def test_degrees_and_offset_are_one_angle(angle, length):
    assert angle_deg(offset_m(angle, length), length) == pytest.approx(angle, abs=1e-9)
    assert hole_widths(angle, length) * HOLE_M == pytest.approx(offset_m(angle, length))


@given(captures, st.floats(0, 1.6), st.floats(0, 1.6))
def test_a_faster_ball_needs_a_truer_line(capture, slow, fast):
    slow, fast = sorted((slow, fast))
    assert capture_offset(slow, capture) >= capture_offset(fast, capture) >= 0


@given(st.floats(0.5, 8), st.floats(0.5, 8))
def test_the_window_narrows_with_length(near, far):
    near, far = sorted((near, far))
    assert Putt(near, 0.3, 10).window.narrow_deg >= Putt(far, 0.3, 10).window.narrow_deg


@given(captures, st.floats(4, 16))
def test_the_longest_pace_is_where_the_window_closes(capture, stimp):
    longest = longest_past(stimp, capture)
    assert capture_offset(speed_past(longest * 0.999, stimp), capture) > 0
    assert capture_offset(speed_past(longest * 1.001, stimp), capture) == pytest.approx(0, abs=1e-6)


def test_which_limit_is_kinder_depends_on_pace():
    slow, fast = 0.5, 1.2
    assert capture_offset(slow, "free_fall") > capture_offset(slow, "rim_assisted")
    assert capture_offset(fast, "free_fall") < capture_offset(fast, "rim_assisted")


@pytest.mark.parametrize(
    ("putt", "field"),
    [
        ((-1, 0.3, 10), "distance_m"),
        ((20, 0.3, 10), "distance_m"),
        ((math.nan, 0.3, 10), "distance_m"),
        ((2, -0.1, 10), "past_m"),
        ((2, 2.9, 6), "past_m"),
        ((2, 0.3, 2), "green_speed_ft"),
    ],
)
def test_absurd_putts_are_refused_with_their_limit(putt, field):
    with pytest.raises(OutOfLimits) as refused:
        Putt(*putt)
    assert refused.value.field == field and refused.value.unit in ("m", "ft")
