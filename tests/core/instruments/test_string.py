"""The string as a sight."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.instruments.string_sight import StringSight, eyes_from_cover
from libella.core.measure.constants import BALL_M
from libella.core.measure.limits import OutOfLimits
from libella.words.set.string import string_words

from ..estimate.reference import cases

CLOSE = 1e-4
eyes = st.floats(-0.15, 0.15)
eye_heights = st.floats(1.1, 1.8)
heights = st.floats(0.06, 0.5)


@pytest.mark.parametrize("case", cases("string"))
def test_string(case):
    sight = StringSight(case["eyes_inside_m"], case["eye_height_m"], case["string_height_m"])
    assert sight.covers_outside_m(0.0) == pytest.approx(case["covers_outside_at_ground_m"], rel=CLOSE)
    assert sight.covers_outside_m(BALL_M) == pytest.approx(case["covers_outside_at_ball_top_m"], rel=CLOSE)
    assert -sight.shift_inside_m == pytest.approx(case["move_string_outside_m"], rel=CLOSE)
    assert sight.lean_about_ball_deg == pytest.approx(case["lean_about_ball_centre_height_deg"], rel=CLOSE)
    assert sight.lean_planted_deg == pytest.approx(case["lean_posts_planted_on_line_deg"], rel=CLOSE)


@given(eyes, eye_heights, heights)
def test_the_moved_string_lies_on_the_sight_line_through_the_balls_centre(e, eye_height, height):
    sight = StringSight(e, eye_height, height)
    r = BALL_M / 2
    share = (height - r) / (eye_height - r)
    assert sight.shift_inside_m == pytest.approx(e * share, abs=1e-12)
    # Posts planted on the line at that lean carry the string to the same place.
    assert height * math.tan(math.radians(sight.lean_planted_deg)) == pytest.approx(sight.shift_inside_m, abs=1e-12)


@given(eyes, eye_heights, heights, st.floats(0, 0.05))
def test_what_it_covers_gives_back_the_eyes(e, eye_height, height, z):
    covers = StringSight(e, eye_height, height).covers_outside_m(z)
    assert eyes_from_cover(covers, z, eye_height, height) == pytest.approx(e, abs=1e-9)


@given(eyes, eye_heights, heights)
def test_eyes_outside_mirror_eyes_inside(e, eye_height, height):
    one, other = StringSight(e, eye_height, height), StringSight(-e, eye_height, height)
    assert one.covers_outside_m(0) == -other.covers_outside_m(0)
    scenes = [it.from_behind(hand, "metric").shapes for it, hand in ((one, "right"), (other, "left"))]
    assert scenes[0][3:7] == scenes[1][3:7], "eyes as far to the left of the line look along the same lines"


def test_in_words():
    inside = string_words(StringSight(0.04, 1.5, 0.2), "metric")
    assert "outside the true one" in inside[0] and "inside the line" in inside[1] and "°" in inside[2]
    assert "true for these eyes" in string_words(StringSight(0.0, 1.5, 0.2), "metric")[0]
    assert all(
        "upright plane" in string_words(it, "feet")[-1]
        for it in (StringSight(0.0, 1.5, 0.2), StringSight(-0.1, 1.5, 0.2))
    )


@pytest.mark.parametrize(
    ("values", "field"),
    [
        ((0.9, 1.5, 0.2), "eyes_inside_m"),
        ((0.0, 0.3, 0.2), "eye_height_m"),
        ((0.0, 1.5, 0.02), "string_height_m"),
        ((0.0, math.nan, 0.2), "eye_height_m"),
        ((0.0, 0.85, 0.58), "string_height_m"),
    ],
)
def test_impossible_heights_are_refused(values, field):
    with pytest.raises(OutOfLimits) as refused:
        StringSight(*values)
    assert refused.value.field == field and refused.value.unit == "m"


@pytest.mark.parametrize("height", [-0.01, 0.2, 0.5])
def test_a_mark_above_the_string_tells_nothing(height):
    with pytest.raises(OutOfLimits, match="mark_over_string"):
        eyes_from_cover(0.01, height, 1.5, 0.2)
