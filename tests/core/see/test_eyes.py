"""Eyes by mirror and plumb: the correction for level, the eye line, the estimate, and what is never said."""

import math

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.instruments.light_strip import turns_dark_m
from libella.core.measure.interval import Interval
from libella.core.measure.limits import OutOfLimits
from libella.core.schools.held import DISAGREEMENTS
from libella.core.see.eyes import EyeMark, EyeTake, eye_place, eye_vial, mirror_scene, reading_error_m
from libella.core.see.side_look import StringLook, StripLook
from libella.words.see.eyes import eye_words

from ..estimate.reference import cases

INSIDE, OWN = (DISAGREEMENTS["eyes"].schools[it].settings.eyes_mm for it in ("inside", "own"))


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
    there = eye_place([take(30.0)] * 3, "right", INSIDE)
    assert there.in_zone.word == "none"
    assert "The zone from 5 mm inside to 40 mm inside (a school's opinion): in it." in eye_words(there, "metric")
    far = eye_place([take(80.0)] * 5, "right", INSIDE)
    assert (far.in_zone.word, far.in_zone.side) == ("clear", "right") and "too far in, clear" in eye_words(
        far, "metric"
    )[-1]
    # Within 5 mm of the edge nothing is named.
    edge = eye_place([take(44.0)] * 5, "right", INSIDE)
    assert not edge.in_zone.names_direction
    assert eye_place([take(30.0)] * 3, "right", OWN).in_zone is None
    vial = eye_vial([take(30.0)] * 3, there, INSIDE)
    assert (vial.mark_left, vial.mark_right, vial.unit) == (5.0, 40.0, "mm") and vial.bubble_at == there.inside.value
    assert eye_place([], "right", None) is None and eye_vial([], None, None).bubble_at is None


def test_the_mirror_is_drawn_with_the_golfer_on_the_right_side():
    def newest(hand):
        posts = [
            it for it in mirror_scene([take(30.0)], hand, None).shapes if it.shape == "circle" and it.role == "post"
        ]
        return [(round(it.x), round(it.y)) for it in posts]

    assert newest("right") == [(12, -30), (-52, -30)]
    assert newest("left") == [(12, 30), (-52, 30)]


def test_a_string_tells_the_side_and_an_open_size():
    splits = StringLook("splits")
    assert splits.inside_mm.low == -splits.inside_mm.high and splits.inside_mm.high < 30
    quarter, edge, off = (StringLook(it).inside_mm for it in ("quarter", "edge", "off"))
    # One zone ends where the next begins, outside the ball means eyes inside the line.
    assert (splits.inside_mm.high, quarter.high, edge.high) == pytest.approx((quarter.low, edge.low, off.low))
    assert math.isinf(off.high)
    assert StringLook("edge", "inside").inside_mm == Interval(-edge.high, -edge.low)
    # e = m·(H − h)/(h − r), m a quarter of the ball's radius.
    r = 0.04267 / 2
    assert quarter.low == pytest.approx(0.25 * r * (1.45 - 0.3) / (0.3 - r) * 1000)
    with pytest.raises(OutOfLimits) as refused:
        StringLook("quarter", string_height_m=2.0)
    assert refused.value.field == "string_height_m"


@pytest.mark.parametrize("against", ["ball_line", "putter_line"])
def test_a_line_beside_the_string_tells_the_side_and_a_split_one_that_the_eye_is_over_it(against):
    near = StringLook("off", "outside", against=against, string_height_m=0.2)
    split = StringLook("splits", against=against, string_height_m=0.2)
    far = StringLook("off", "inside", against=against, string_height_m=0.2)
    # Seen on the golfer's side of the string, the eye is inside.
    assert math.isinf(near.inside_mm.high) and near.inside_mm.low == pytest.approx(split.inside_mm.high)
    assert far.inside_mm == Interval(-near.inside_mm.high, -near.inside_mm.low)
    assert -30 < split.inside_mm.low < 0 < split.inside_mm.high < 30
    with pytest.raises(OutOfLimits) as refused:
        StringLook("quarter", against=against)
    assert refused.value.field == "covers"


def test_a_strip_is_three_intervals_that_cover_everything():
    dark, light, other = (StripLook("bar", it, 0.02).inside_mm for it in ("dark_far", "light", "dark_near"))
    assert (dark.high, light.low, light.high, other.low) == (-20, -20, 20, 20)
    with pytest.raises(OutOfLimits) as refused:
        StripLook("bar", "light", 0.5)
    assert refused.value.field == "turns_m" and refused.value.unit == "m"


def test_looks_of_every_way_come_together_on_one_scale():
    only_side = eye_place([], "right", (10.0, 50.0), sides=[StringLook("edge"), StripLook("slot", "dark_far")])
    assert only_side.behind is None and only_side.eye_line_deg is None
    assert only_side.inside.low > 30 and only_side.prob_inside > 0.97
    assert "Behind or ahead of the ball was not looked at" in eye_words(only_side, "metric")[1]
    both = eye_place([take(40)], "right", None, sides=[StringLook("edge")])
    assert both.takes == 2 and both.inside.doubt < only_side.inside.doubt


def test_the_reading_error_comes_from_looks_read_twice():
    rng = np.random.default_rng(5)
    pairs = [(take(20 + float(rng.normal(0, 4))), take(20 + float(rng.normal(0, 4)))) for _ in range(60)]
    # Only the sideways readings differ here: half of the differences are 0.
    assert reading_error_m(pairs, 0.001) == pytest.approx(0.004 / math.sqrt(2), rel=0.2)
    same = [(take(20), take(20))]
    assert 0 < reading_error_m(same, 0.005) < 0.005 / math.sqrt(12)
    careful, careless = (eye_place([take(20)] * 4, "right", None, reading_m=it) for it in (0.001, 0.012))
    assert careful.inside.doubt < careless.inside.doubt and careless.reading_mm == 12


@pytest.mark.parametrize(("device", "edge"), [("bar", "dark_near"), ("slot", "dark_far")])
def test_the_two_strips_read_oppositely(device, edge):
    """Against the rays themselves: what an eye inside sees past a bar, or through a slot."""
    over, wide, eye_height = 0.05, 0.03, 1.5
    light = 0.028 if device == "bar" else 0.034
    turns = turns_dark_m(device, over, wide, light, eye_height)
    for eye in (turns * 0.98, turns * 1.02):
        seen = [eye + (side * wide / 2 - eye) * eye_height / (eye_height - over) for side in (1, -1)]
        near, far = max(seen), min(seen)
        beyond = eye > turns
        if device == "bar":
            assert (near < light / 2, far > -light / 2) == (beyond if edge == "dark_near" else False, False)
        else:
            assert (near > light / 2, far < -light / 2) == (False, beyond if edge == "dark_far" else False)
    assert StripLook(device, edge, turns).inside_mm.low == pytest.approx(turns * 1000)
