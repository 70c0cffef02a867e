"""What accompanies a run of putts: the ladder, the pauses, and the strokes that sensors tell."""

import math

import numpy as np
import pytest

from libella.core.estimate import posterior
from libella.core.green.putt import Putt
from libella.core.instruments import lay
from libella.core.measure.limits import OutOfLimits
from libella.core.set.proof import Proof
from libella.core.set.station import Station
from libella.core.start.ladder import three_in_four_deg
from libella.core.start.notes import checked_notes
from libella.core.start.path import PathModel
from libella.core.start.pauses import Pauses, Stand, nudges, stand
from libella.core.start.stroke import Zero, checked_measures, zero_of
from tests.said import refusal, rung

from ..estimate.reference import HANDBOOK, cases, intervals

PUTT = Putt(2.5, 0.3, 10)


@pytest.mark.parametrize("case", cases("estimate"))
def test_the_width_that_three_in_four_pass(case):
    found = three_in_four_deg(posterior(intervals(case["intervals_deg"]), HANDBOOK, lapse=0))
    assert found == pytest.approx(case["limit_passed_3_of_4_deg"], abs=0.03)


def gate(width=0.06, kind="peg_gate"):
    return Station(PUTT, lay(kind, {"inside_width_m": width} if kind == "peg_gate" else {}), Proof("tape"))


def raws(station, spread, n, seed=1):
    rng = np.random.default_rng(seed)
    return [station.observe(float(it)).raw for it in rng.normal(0, spread, n)]


def test_the_ladder_tightens_when_the_last_ten_allow_and_widens_when_they_do_not():
    station = gate(0.08)
    loose = rung(raws(station, 0.5, 20), station, "metric")
    assert loose.step == "tighten" and loose.dimension == "inside_width_m" and 0.044 < loose.value_m < 0.08
    strict = gate(0.046)
    assert rung(raws(strict, 1.5, 20), strict, "metric").step == "widen"


def test_the_ladder_waits_for_ten_and_has_no_rung_on_a_ruler():
    station = gate()
    waiting = rung(raws(station, 0.5, 7), station, "metric")
    assert waiting.step == "wait" and "3 more putts" in waiting.words
    assert rung([], gate(kind="board"), "metric").step == "none"
    mixed = [{"crossing": "clean"}] * 7 + [{"crossing": "touched_left"}] * 3
    assert rung(mixed, station, "metric").step == "stay"


def putting(n, spot="a", start=0.0, every=20.0):
    return [(start + i * every, spot) for i in range(n)]


def test_pauses_are_due_by_the_clock_and_by_the_count():
    it = stand(putting(31))
    assert it.spot == 31 and it.bent_since_s == it.feet_since_s == 0.0
    assert [n.what for n in nudges(it, 600, Pauses(50, 10, 10))] == ["rest", "feet"]
    assert [n.what for n in nudges(it, 599, Pauses(10, 10, 10))] == ["spot"]
    assert nudges(stand([]), 1e6, Pauses()) == ()


def test_another_spot_moves_the_feet_a_gap_rests_and_so_does_the_coach():
    moved = stand(putting(20) + putting(5, "b", 400))
    assert (moved.spot, moved.feet_since_s, moved.bent_since_s) == (5, 400, 0)
    rested = stand(putting(20) + putting(5, "a", 700))
    assert rested.bent_since_s == rested.feet_since_s == 700 and rested.spot == 25
    said = stand(putting(20), moved_s=300)
    assert said.feet_since_s == 320 and said.spot == 4
    now = stand(putting(20), rested_s=390)
    assert now.bent_since_s is None and nudges(now, 5000, Pauses(50, 10, 10)) == ()
    with pytest.raises(OutOfLimits):
        Pauses(rest_min=1)


def test_a_zero_is_taken_off_the_face_and_not_off_the_path():
    zero = zero_of([0.9, 1.0, 1.1, 1.0, 1.0])
    told = {"face_impact_deg": 1.5, "path_deg": 2.0, "u_deg": 0.3}
    assert zero.corrected(told) == pytest.approx({"face_impact_deg": 0.5, "path_deg": 2.0, "u_deg": 0.3})
    assert Zero(0.0, 0.1, 5).corrected(told) == told
    for still, limit in (([1.0] * 4, "at least 5"), ([0, 3, 0, 3, 0], "at most 1°")):
        with pytest.raises(OutOfLimits) as fault:
            zero_of(still)
        assert limit in refusal(fault.value).limit


@pytest.mark.parametrize(
    ("told", "field"),
    [({}, "measures"), ({"u_deg": 0.1}, "measures"), ({"spin": 1.0}, "measures.spin"),
     ({"path_deg": 31.0}, "measures.path_deg"), ({"start_deg": math.nan}, "measures.start_deg")],
)  # fmt: skip
def test_a_stroke_that_can_not_be_names_the_measure_and_its_limit(told, field):
    with pytest.raises(OutOfLimits) as fault:
        checked_measures(told)
    assert fault.value.field == field and refusal(fault.value).limit


def test_a_size_is_noted_within_its_limits_and_a_word_is_no_size():
    assert checked_notes({"path_deg": -1.5}, ("path_deg",)) == {"path_deg": -1.5}
    for value in ("wide", 16.0):
        with pytest.raises(OutOfLimits) as fault:
            checked_notes({"path_deg": value}, ("path_deg",))
        assert fault.value.unit == "deg" and fault.value.field == "notes.path_deg"


def test_a_start_reader_reads_a_device_a_display_and_a_file():
    rig = lay("start_reader", {"u_deg": 0.3})
    assert rig.noise_deg == 0.3
    density = rig.interval({"read_deg": 0.4})
    assert density.low == density.high == 0.4
    shown = rig.interval({"start_deg": 0.4})
    assert (shown.low, shown.high) == pytest.approx((0.35, 0.45))
    assert rig.interval({"low_deg": 1.0}).high == math.inf
    for raw in ({}, {"read_deg": 31.0}, {"low_deg": 2.0, "high_deg": 1.0}, {"read_deg": 1.0, "start_deg": 1.0}):
        with pytest.raises(OutOfLimits):
            rig.interval(raw)


def test_each_pause_is_due_at_its_own_setting_and_not_a_putt_before():
    pauses = Pauses(spot_putts=5, feet_min=4, rest_min=10)

    def due(minutes, spot=0):
        return [it.what for it in nudges(Stand(spot, 0.0, 0.0), minutes * 60, pauses)]

    assert due(0, 4) == [] and due(0, 5) == ["spot"]
    assert due(3.99) == [] and due(4) == due(9.99) == ["feet"] and due(10) == ["rest", "feet"]


@pytest.mark.parametrize(
    ("name", "ahead_m", "expected"),
    [
        ("straight", 0.05, 0.0),
        ("arc", 0.0, 0.0),
        ("arc", 0.05, -1.79),
        ("arc", -0.05, 1.79),
        ("arc_then_straight", 0.05, 0.0),
        ("arc_then_straight", -0.05, 1.79),
    ],
)
def test_a_ball_off_the_middle_of_an_arc_meets_another_direction(name, ahead_m, expected):
    """Past its middle the head comes back inside: left for a right-handed golfer, by asin(5 cm / 1.6 m)."""
    model = PathModel(name, ahead_m)
    assert model.expected_deg("right") == pytest.approx(expected, abs=0.005) == -model.expected_deg("left")
