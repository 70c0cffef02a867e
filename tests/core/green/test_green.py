"""The window on the level."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.green.capture import capture_offset, longest_past, speed_past
from libella.core.green.putt import Putt
from libella.core.green.roll import Ground
from libella.core.green.target import aim, started_at
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


def test_a_putt_counts_as_straight_up_to_a_centimetre_of_curve():
    seen = set()
    for percent in [0.05 * n for n in range(1, 30)]:
        putt = Putt(2.5, 0.3, 10, falls_right_percent=percent)
        assert putt.is_straight == (abs(putt.curve_m) < 0.010)
        seen.add((putt.is_straight, abs(putt.curve_m) < 0.018))
    assert (False, True) in seen, "some must curve a little more than that"


@pytest.mark.parametrize("by_deg", [1.0, -0.5, 0.0])
def test_from_another_start_the_true_line_lies_on_the_other_side(by_deg):
    ground = Ground(10.0, 0.0, 1.0)
    true = aim(ground, 3.0, 0.3, "rim_assisted")
    other = started_at(ground, 3.0, 0.3, "rim_assisted", true.start_deg + by_deg)
    assert other.window.off_deg == pytest.approx(-by_deg) and other.start_deg == true.start_deg + by_deg
    assert other.window.half_deg == pytest.approx(true.window.half_deg)
