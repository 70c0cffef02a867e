"""Everything computed so far against the reference numbers."""

import math

import pytest

from libella.core.estimate import posterior, summarise
from libella.core.green.capture import capture_offset, speed_past
from libella.core.green.putt import Putt
from libella.core.instruments.board import Board
from libella.core.instruments.face_mirror import FaceMirror
from libella.core.instruments.gate import clearance_limit_deg, width_for_limit
from libella.core.instruments.ground_laser import GroundLaser
from libella.core.instruments.narrow_rail import NarrowRail
from libella.core.instruments.peg_gate import PegGate
from libella.core.instruments.putter_laser import PutterLaser
from libella.core.instruments.square_reference import SquareReference
from libella.core.measure.angle import angle_deg
from libella.core.measure.window import Window

from .reference import HANDBOOK, cases, intervals

CLOSE = 1e-4


@pytest.mark.parametrize("case", cases("board"))
def test_board(case):
    said = angle_deg(case["offset_m"], case["distance_m"])
    assert said == pytest.approx(case["start_deg"], rel=CLOSE)
    board = Board(distance_m=case["distance_m"], half_width_m=0.1, mark_m=0.0001 * 10)
    reading = board.interval({"offset_m": case["offset_m"]})
    assert reading.low < case["start_deg"] < reading.high


@pytest.mark.parametrize("case", cases("gate_limit"))
def test_gate_limit(case):
    said = clearance_limit_deg(case["inside_width_m"], case["distance_m"])
    assert said == pytest.approx(case["limit_deg"], rel=CLOSE)


@pytest.mark.parametrize("case", cases("gate_width_for_limit"))
def test_gate_width(case):
    said = width_for_limit(case["limit_deg"], case["distance_m"])
    assert said == pytest.approx(case["inside_width_m"], rel=CLOSE)


@pytest.mark.parametrize("case", cases("gate_intervals"))
@pytest.mark.parametrize("crossing", ["clean", "touched_left", "touched_right", "outside_left", "outside_right"])
def test_gate_intervals(case, crossing):
    gate = PegGate(distance_m=case["distance_m"], inside_width_m=case["inside_width_m"], post_m=case["post_m"])
    said = gate.interval({"crossing": crossing})
    low, high = case[crossing]
    assert said.low == pytest.approx(-math.inf if low is None else low, rel=CLOSE)
    assert said.high == pytest.approx(math.inf if high is None else high, rel=CLOSE)


@pytest.mark.parametrize("case", cases("ground_laser"))
@pytest.mark.parametrize(
    ("said", "line_on"),
    [
        ("line_in_right_quarter_zone", "right_quarter"),
        ("line_in_centre_zone", "centre"),
        ("line_on_left_edge_zone", "left_edge"),
        ("line_off_the_right", "off_right"),
    ],
)
def test_ground_line(case, said, line_on):
    reading = GroundLaser(distance_m=case["seen_at_m"]).interval({"line_on": line_on})
    low, high = case[said]
    assert reading.low == pytest.approx(-math.inf if low is None else low, rel=CLOSE)
    assert reading.high == pytest.approx(math.inf if high is None else high, rel=CLOSE)


@pytest.mark.parametrize("case", cases("narrow_rail_limit"))
def test_narrow_rail(case):
    stayed = NarrowRail(width_m=case["width_m"], length_m=case["length_m"]).interval({"rail": "stayed"})
    assert stayed.high == -stayed.low == pytest.approx(case["limit_deg"], rel=CLOSE)


@pytest.mark.parametrize("case", cases("face_mirror"))
def test_face_mirror(case):
    said = FaceMirror(distance_m=case["distance_m"])._value(case["spot_m"])
    assert said == pytest.approx(case["face_deg"], rel=CLOSE)


@pytest.mark.parametrize("case", cases("putter_laser"))
def test_putter_laser(case):
    rig = PutterLaser(distance_m=case["distance_m"], mount_offset_m=case["mount_offset_m"])
    assert rig._value(case["spot_m"]) == pytest.approx(case["face_deg"], rel=CLOSE)


@pytest.mark.parametrize("case", cases("square_gap"))
def test_square_reference(case):
    # The toe is right of the line for a right-handed golfer, left of it for a left-handed one.
    toe = 1 if case["handed"] == "right" else -1
    gap = case["gap_m"] * (toe if case["end"] == "toe" else -toe)
    said = SquareReference(face_length_m=case["face_length_m"])._value(gap)
    assert said == pytest.approx(case["face_deg"], rel=CLOSE)


@pytest.mark.parametrize("case", cases("window"))
def test_window_by_free_fall(case):
    speed = speed_past(case["past_m"], case["green_speed_ft"])
    assert speed == pytest.approx(case["speed_at_hole_m_s"], rel=CLOSE)
    assert capture_offset(speed, "free_fall") == pytest.approx(case["capture_offset_m"], rel=CLOSE)
    putt = Putt(case["distance_m"], case["past_m"], case["green_speed_ft"], "free_fall")
    assert putt.window.left_deg == putt.window.right_deg == pytest.approx(case["window_deg"], rel=CLOSE)


@pytest.mark.parametrize("case", cases("window_rim_assisted"))
def test_window_rim_assisted(case):
    putt = Putt(case["distance_m"], case["past_m"], case["green_speed_ft"], "rim_assisted")
    assert putt.window.narrow_deg == pytest.approx(case["window_deg"], rel=CLOSE)


@pytest.mark.parametrize("case", cases("estimate"))
def test_estimate(case):
    post = posterior(intervals(case["intervals_deg"]), HANDBOOK, lapse=0.0)
    w = case["tolerance_deg"]
    said = summarise(post, Window(w, w))
    assert said.bias.value == pytest.approx(case["bias_median"], abs=0.02)
    assert (said.bias.low, said.bias.high) == pytest.approx(case["bias_90"], abs=0.03)
    assert said.spread.value == pytest.approx(case["spread_median"], rel=0.01)
    assert (said.spread.low, said.spread.high) == pytest.approx(case["spread_90"], rel=0.012)
    chances = {
        "prob_right": said.prob_right,
        "on_line_rate": said.inside.value,
        "on_line_rate_spread_down_quarter": said.inside.value + said.gain_steadier.value,
        "gain_from_mending_bias": said.gain_unbiased.value,
        "gain_from_quarter_less_spread": said.gain_steadier.value,
        "prob_bias_right_of_quarter_window": post.bias_above(w / 4),
        "prob_bias_left_of_quarter_window": 1 - post.bias_above(-w / 4),
    }
    assert chances == pytest.approx({name: case[name] for name in chances}, abs=0.01)


@pytest.mark.parametrize("case", cases("cost"))
def test_cost(case):
    post = posterior(intervals(case["intervals_deg"]), HANDBOOK, lapse=0.0)
    half = case["span_half_deg"]
    said = summarise(post, Window(half, half)).cost
    chances = {
        "prob_right_costs_2": said.right,
        "prob_left_costs_2": said.left,
        "prob_costs_under_5": said.small,
    }
    assert chances == pytest.approx({name: case[name] for name in chances}, abs=0.01)
    assert said.mean == pytest.approx(case["mean_cost_per_hundred"], abs=0.15)
