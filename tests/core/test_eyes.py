"""Eyes by mirror and plumb: the correction for level, the eye line, the estimate, and what is never said."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.eyes import ZONES, EyeMark, EyeTake, eye_place, eye_vial, eye_words, mirror_scene
from libella.core.limits import OutOfLimits

from .reference import cases


def take(inside=30.0, behind=20.0, apart=64.0, **more) -> EyeTake:
    """A look with the mid-point at so many mm, the eyes level with the line."""
    lead = EyeMark(inside / 1000, (behind - apart / 2) / 1000)
    trail = EyeMark(inside / 1000, (behind + apart / 2) / 1000)
    return EyeTake(lead, trail, **more)


@pytest.mark.parametrize("case", cases("eye_line"))
def test_eye_line(case):
    found = EyeTake(
        EyeMark(case["lead_eye_inside_mm"] / 1000, -case["lead_eye_ahead_mm"] / 1000),
        EyeMark(case["trail_eye_inside_mm"] / 1000, -case["trail_eye_ahead_mm"] / 1000),
    )
    assert found.inside_m * 1000 == pytest.approx(case["inside_mm"])
    assert found.behind_m * 1000 == pytest.approx(case["behind_mm"])
    assert found.eye_line_deg(case["handed"]) == pytest.approx(case["eye_line_deg"], rel=1e-4)


@pytest.mark.parametrize("case", cases("ground_mirror_slope"))
def test_the_level_is_corrected_in_both_directions(case):
    height, falls = case["eye_height_m"], case["slope_percent_down_towards_golfer"]
    across = take(case["shown_inside_mm"], eye_height_m=height, falls_in_percent=falls)
    assert across.inside_m * 1000 == pytest.approx(case["true_inside_mm"])
    along = take(behind=10.0, eye_height_m=height, falls_back_percent=falls)
    assert along.behind_m * 1000 == pytest.approx(10.0 + case["true_inside_mm"] - case["shown_inside_mm"])
    plumb = take(30.0, way="plumb", falls_in_percent=falls)
    assert plumb.inside_m * 1000 == pytest.approx(30.0) and plumb.level_doubt_m == 0


@given(st.floats(-80, 80), st.floats(-3, 3))
def test_mirrored_golfers_have_mirrored_eye_lines(inside, turn):
    marks = EyeMark((inside + turn) / 1000, -0.03), EyeMark((inside - turn) / 1000, 0.034)
    one = EyeTake(*marks)
    assert one.eye_line_deg("right") == pytest.approx(-one.eye_line_deg("left"))


@pytest.mark.parametrize(
    ("bad", "field", "unit"),
    [
        (lambda: take(apart=120), "trail", "m"),
        (lambda: take(apart=-64), "lead.behind_m", "m"),
        (lambda: take(falls_in_percent=11), "falls_in_percent", "%"),
        (lambda: take(eye_height_m=0.4), "eye_height_m", "m"),
        (lambda: take(inside=400), "lead.inside_m", "m"),
        (lambda: take(seen_m=0.5), "seen_m", "m"),
    ],
)
def test_what_no_head_and_no_mirror_can_be_is_refused(bad, field, unit):
    with pytest.raises(OutOfLimits) as refused:
        bad()
    assert (refused.value.field, refused.value.unit) == (field, unit)


def test_no_inside_and_no_outside_within_what_is_not_known():
    unsure = eye_place([take(8.0, level_doubt_percent=1.0)], "right", None)
    assert eye_words(unsure, "metric")[0].startswith("Over the line, as far as this tells")
    sure = eye_place([take(40.0, level_doubt_percent=0.1)] * 3, "right", None)
    assert "inside the line" in eye_words(sure, "metric")[0]
    out = eye_place([take(-40.0, level_doubt_percent=0.1)] * 3, "right", None)
    assert "outside the line" in eye_words(out, "metric")[0]


def test_the_levels_doubt_is_never_averaged_away():
    few, many = (eye_place([take(30.0, level_doubt_percent=0.7)] * n, "right", None) for n in (3, 60))
    least = 2 * 1.645 * 0.7 / 100 * 1450 * 0.98
    assert few.inside.high - few.inside.low > many.inside.high - many.inside.low > least


def test_takes_of_a_known_golfer_give_bias_and_spread():
    rng = np.random.default_rng(2)
    held = 0
    for _ in range(60):
        middle, wander = rng.normal(20, 20), np.exp(rng.normal(np.log(8), 0.3))
        takes = [take(float(x), level_doubt_percent=0.0) for x in rng.normal(middle, wander, 6)]
        found = eye_place(takes, "right", None)
        held += found.inside.low <= middle <= found.inside.high
    assert 46 <= held <= 60


def test_the_zone_is_a_schools_and_is_answered():
    there = eye_place([take(30.0)] * 3, "right", ZONES["inside"])
    assert (
        there.in_zone > 0.95
        and "In the zone from 10 mm inside to 50 mm inside (a school's opinion): yes." in eye_words(there, "metric")
    )
    assert eye_place([take(30.0)] * 3, "right", ZONES["own"]).in_zone is None
    vial = eye_vial([take(30.0)] * 3, there, ZONES["inside"])
    assert (vial.mark_left, vial.mark_right, vial.unit) == (10.0, 50.0, "mm") and vial.bubble_at == there.inside.value
    assert eye_place([], "right", None) is None and eye_vial([], None, None).bubble_at is None


def test_the_mirror_is_drawn_with_the_golfer_on_the_right_side():
    def newest(hand):
        posts = [
            it for it in mirror_scene([take(30.0)], hand, None).shapes if it.shape == "circle" and it.role == "post"
        ]
        return [(round(it.x), round(it.y)) for it in posts]

    assert newest("right") == [(12, -30), (-52, -30)]
    assert newest("left") == [(12, 30), (-52, 30)]
