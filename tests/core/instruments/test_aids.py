"""The instruments beside the ball's start: what they say of strike, path, eyes, body, face and pace."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.instruments import Rig, instruments, lay
from libella.core.instruments.aid import QUANTITIES, between
from libella.core.instruments.elevated_string import ElevatedString
from libella.core.instruments.ground_mirror import GroundMirror
from libella.core.instruments.string_sight import StringSight
from libella.core.measure.constants import BALL_M
from libella.core.measure.interval import Interval
from libella.core.measure.limits import OutOfLimits
from libella.core.set.kit import PARTS

from ...said import refusal
from ..estimate.reference import cases

HANDBOOK = {
    "start_reader",
    "ground_laser", "chalk_line", "ground_string", "narrow_rail", "peg_gate", "ball_gate", "bridge_gate", "putter_gate",
    "twin_rails", "curved_rail", "putter_laser", "face_mirror", "square_reference", "rod_beside", "ball_box", "t_mark",
    "elevated_string", "ground_mirror", "plumb", "shoulder_rod", "foot_rods", "rings", "roll_past", "board",
    "raised_string", "path_template", "grip_rod", "strip_bar", "strip_slot", "rod_station", "stroke_sensor", "camera",
    "bridge_row", "rail_square",
}  # fmt: skip


def test_every_instrument_of_the_job_is_there():
    assert set(instruments()) == HANDBOOK | {"no_rig", "in_words"}


@pytest.mark.parametrize("kind", sorted(HANDBOOK))
def test_every_part_it_takes_is_one_a_bag_can_hold(kind):
    parts = instruments()[kind].about.parts
    assert parts and {name for name, _ in parts} <= set(PARTS)
    assert all(n > 0 for _, n in parts)


def test_a_peg_touched_by_the_head_tells_strike_and_not_the_balls_side():
    gate = lay("putter_gate", {"inside_width_m": 0.13, "head_m": 0.11})
    assert gate.about.measures == "strike" and not isinstance(gate, Rig)
    near, far = (gate.interval({"peg": name}) for name in ("near_peg", "far_peg"))
    # Near peg: the head came towards the golfer by the clearance or more, and met the ball nearer its toe.
    assert between(near, gate.about.quantity, "metric") == "more than 10 mm to the toe"
    assert between(far, gate.about.quantity, "metric") == "more than 10 mm to the heel"
    with pytest.raises(OutOfLimits):
        gate.interval({"crossing": "touched_left"})


def test_a_putter_that_does_not_pass_is_refused():
    with pytest.raises(OutOfLimits) as refused:
        lay("putter_gate", {"inside_width_m": 0.1, "head_m": 0.11})
    assert refused.value.field == "inside_width_m" and refused.value.unit == "m"


@pytest.mark.parametrize("kind", ["twin_rails", "curved_rail"])
def test_a_rail_tells_side_and_part_of_the_stroke(kind):
    rail = lay(kind, {"gap_m": 0.006})
    zones = {it.name: it for it in rail.zones()}
    outside = [it for it in zones.values() if it.interval.high == -6.0]
    inside = [it for it in zones.values() if it.interval.low == 6.0]
    assert {it.where for it in outside} == {it.where for it in inside} == {"back", "through"}
    [clean] = [it for it in zones.values() if not it.where]
    assert (clean.interval.low, clean.interval.high) == (-6.0, 6.0)


@pytest.mark.parametrize("case", cases("ground_mirror_slope"))
def test_a_mirror_that_is_not_level_is_corrected(case):
    mirror = GroundMirror(
        eye_height_m=case["eye_height_m"], falls_in_percent=case["slope_percent_down_towards_golfer"], mark_m=0.001
    )
    shown = round(case["shown_inside_mm"]) / 1000
    read = mirror.interval({"offset_m": shown})
    assert read.anchor == pytest.approx(case["true_inside_mm"] + shown * 1000 - case["shown_inside_mm"], abs=0.01)
    assert read.high - read.low == pytest.approx(1.0)


def test_a_mirror_steeper_than_ten_percent_is_refused():
    with pytest.raises(OutOfLimits) as refused:
        GroundMirror(falls_in_percent=11)
    assert refused.value.field == "falls_in_percent" and refused.value.unit == "%"


def test_a_ball_box_lies_beside_the_ball_and_not_across_its_way():
    [box] = lay("ball_box", {}).solids()
    assert box.y1 > 0.06 and box.x1 < 0 < box.x2


def test_every_opening_of_a_bridge_and_every_pillar_is_read_and_missing_ones_are_not():
    sizes = {"distance_m": 1.0, "middle_m": 0.06, "left_1_m": 0.1, "right_1_m": 0.0, "left_2_m": 0.08, "pillar_m": 0.02}
    row = lay("bridge_row", sizes)
    zones = {str(it.raw["bridge"]): it.interval for it in row.zones()}
    assert [it for it in zones if it.startswith("through")] == ["through_left_2", "through_left_1", "through_middle"]
    assert sum(it.startswith("touched") for it in zones) == 4
    half = math.degrees(math.atan((0.06 - BALL_M) / 2))
    assert (zones["through_middle"].low, zones["through_middle"].high) == pytest.approx((-half, half))
    # Through the left opening: from its inner pillar's far side less half a ball.
    inner = math.degrees(math.atan(0.03 + 0.02 + BALL_M / 2))
    assert zones["through_left_1"].high == pytest.approx(-inner)
    with pytest.raises(OutOfLimits) as refused:
        lay("bridge_row", sizes | {"left_1_m": 0.0})
    assert refused.value.field == "left_2_m"
    with pytest.raises(OutOfLimits):
        lay("bridge_row", sizes | {"left_1_m": 0.03})


@pytest.mark.parametrize(("kind", "inside"), [("strip_bar", "dark_near"), ("strip_slot", "dark_far")])
def test_the_two_strips_tell_the_same_eye_by_opposite_edges(kind, inside):
    strip = lay(kind, {})
    assert strip.interval({"strip": inside}).low == pytest.approx(strip.turns_m * 1000)
    lower = lay(kind, {"over_m": 0.04})
    assert lower.turns_m > strip.turns_m


def test_a_strip_that_is_dark_from_over_it_is_refused():
    with pytest.raises(OutOfLimits) as refused:
        lay("strip_bar", {"wide_m": 0.02, "light_m": 0.03})
    assert refused.value.field == "light_m"


@given(st.floats(-0.12, 0.12), st.floats(1.2, 1.7), st.floats(0.12, 0.4), st.floats(-8, 8))
def test_what_a_string_covers_gives_the_eye_back(eyes_m, eye_height, height, lean):
    """Wherever the string hangs, what these eyes see it cover is read as an interval that holds them."""
    string = ElevatedString(string_height_m=height, eye_height_m=eye_height, lean_deg=lean)
    hung, r = string.hangs_inside_m, BALL_M / 2
    # The line of sight from the eye over the string, down to the height of the ball's centre.
    share = (eye_height - r) / (eye_height - height)
    outside = -(eyes_m + (hung - eyes_m) * share)
    zone = next(it for it in string.zones() if it.interval.low <= eyes_m * 1000 <= it.interval.high)
    edges = {"off_near": (-math.inf, -1), "near_edge": (-1, -0.75), "near_quarter": (-0.75, -0.25)}
    edges |= {"middle": (-0.25, 0.25), "far_quarter": (0.25, 0.75), "far_edge": (0.75, 1), "off_far": (1, math.inf)}
    low, high = edges[str(zone.raw["covers"])]
    assert low * r - 1e-9 <= outside <= high * r + 1e-9


def test_a_string_leaned_for_its_eyes_is_read_in_the_middle():
    sight = StringSight(0.04, 1.5, 0.2)
    string = ElevatedString(string_height_m=0.2, eye_height_m=1.5, lean_deg=sight.lean_planted_deg)
    assert string.interval({"covers": "middle"}).anchor == pytest.approx(40.0, abs=0.01)
    upright = ElevatedString(string_height_m=0.2, eye_height_m=1.5)
    assert 40.0 in upright.interval({"covers": "far_quarter"})


def test_a_string_at_the_eyes_is_refused():
    with pytest.raises(OutOfLimits) as refused:
        ElevatedString(string_height_m=0.6, eye_height_m=0.8)
    assert refused.value.field == "string_height_m"


def test_a_plumb_is_direct_to_five_millimetres():
    read = lay("plumb", {}).interval({"offset_m": 0.03})
    assert (read.low, read.high) == pytest.approx((25.0, 35.0))


def test_a_rod_on_the_body_gives_its_angle():
    rod = lay("shoulder_rod", {"length_m": 1.0})
    read = rod.interval({"offset_m": -0.05})
    assert read.anchor == pytest.approx(-math.degrees(math.asin(0.05)), abs=0.01)
    assert rod.words({"offset_m": -0.05}) == "far end 50 mm left"
    assert rod.words({"offset_m": 0.0}) == "parallel"


def test_a_face_judged_by_eye_is_no_finer_than_the_eye():
    rod = lay("rod_beside", {"seen_deg": 1.0})
    assert rod.interval({"face": "square"}) == Interval(-1.0, 1.0)
    assert rod.interval({"face": "clearly_left"}) == Interval(-math.inf, -3.0)


def test_pace_is_short_or_past_the_hole():
    assert lay("rings", {}).interval({"finish": "short"}) == Interval(-0.6, -0.3)
    tape = lay("roll_past", {"mark_m": 0.1})
    assert tape.interval({"offset_m": 0.3}).anchor == pytest.approx(0.3)
    assert tape.words({"offset_m": -0.3}) == "30 cm short"
    with pytest.raises(OutOfLimits) as refused:
        lay("rings", {"inner_m": 0.6, "outer_m": 0.3})
    assert refused.value.field == "outer_m"


def test_a_line_is_not_watched_beyond_its_end():
    with pytest.raises(OutOfLimits) as refused:
        lay("chalk_line", {"line_m": 1.0, "distance_m": 1.5})
    assert refused.value.field == "distance_m" and "1.00 m" in refusal(refused.value).limit


@pytest.mark.parametrize(
    ("interval", "said"),
    [
        (Interval(-math.inf, -1.5), "more than 1.50° left"),
        (Interval(0.5, math.inf), "more than 0.50° right"),
        (Interval(-0.25, 0.25), "within 0.25° either way"),
        (Interval(0.5, 1.5), "0.50° to 1.50° right"),
        (Interval(-1.5, -0.5), "0.50° to 1.50° left"),
        (Interval(-0.5, 1.0), "0.50° left to 1.00° right"),
        (Interval(0.0, 1.0), "up to 1.00° right"),
        (Interval(-math.inf, 0.5), "at most 0.50° right"),
    ],
)
def test_an_interval_is_said_with_its_sides(interval, said):
    assert between(interval, QUANTITIES["start"], "metric") == said
