"""Verdict words and sentences."""

import math
from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.green.putt import Putt
from libella.core.green.read import Read
from libella.core.green.usual import UsualLength
from libella.core.instruments.board import Board
from libella.core.instruments.peg_gate import PegGate
from libella.core.judge.judgement import Occasion
from libella.core.judge.judgement import judge as judged_facts
from libella.core.measure.interval import Interval
from libella.core.measure.side import side_of
from libella.core.measure.units import about, degrees, percent, tape
from libella.core.set.layout import from_above, rays
from libella.core.set.proof import Proof
from libella.core.set.station import Station
from libella.words.shared.counts import counted
from tests.said import further, judge

PROOF = Proof("tape", doubt_m=0.001)
STATION = Station(Putt(2.5, 0.3, 9.5), Board(), PROOF)


def block(*starts: float) -> list[Interval]:
    return [STATION.rig.observe(it).interval for it in starts]


RIGHT = block(1.2, 0.9, 1.4, 1.1, 0.8, 1.3, 1.0, 1.2)
LEFT = block(*(-it for it in (1.2, 0.9, 1.4, 1.1, 0.8, 1.3, 1.0, 1.2)))
STRAIGHT = block(0.1, -0.1, 0.0, 0.15, -0.05, 0.05, -0.1, 0.1, 0.0, 0.05)
LEANING = block(1.4, -0.4, 0.9, -1.2, 1.6)
WINDOW = STATION.putt.window
LOOSE = block(2.5, -2.8, 1.9, -0.4, 3.1, -2.2, 0.2, -1.5)


def judged(readings, planned=8, hand="right", units="metric"):
    return judge(readings, STATION, Occasion(hand), planned=planned, units=units)


def test_a_clear_push_is_called_by_the_golfers_hand():
    assert judged(RIGHT).headline.endswith("right, clear.")
    assert "push" in judged(RIGHT).meaning
    assert "pull" in judged(RIGHT, hand="left").meaning
    assert judged(LEFT).headline.endswith("left, clear.")
    assert "pull" in judged(LEFT).meaning


def test_a_bias_against_a_read_that_holes_nothing_is_weighed_as_if_it_did_and_says_so():
    """One page told a bias that costs half of the putts, and a loss where it was mended."""
    putt = replace(STATION.putt, falls_right_percent=1.5, read=Read("edge", "left"), target="read")
    it = judge(LEFT, replace(STATION, putt=putt), Occasion("right"), planned=8)
    assert "were the read right." in it.meaning
    assert [name for name, _ in it.gain_words] == [
        "Bias mended, the read as it is",
        "A quarter less spread, the read as it is",
    ]
    assert "the read" not in judged(LEFT).meaning and judged(LEFT).gain_words[0][0] == "Bias mended"


def test_until_the_planned_end_it_is_only_so_far():
    it = judged(RIGHT, planned=20)
    assert not it.final and it.verdict is None
    assert it.headline.startswith("So far")
    assert it.gains == ()
    assert further(RIGHT, STATION, Occasion("right"), planned=20) == ""


def test_a_steady_straight_golfer_has_no_tendency():
    it = judged(STRAIGHT, planned=10)
    assert it.headline == "Nothing to mend in the bias."


def test_a_bias_small_here_is_told_where_it_is_not():
    """0.7° on a 1 m putt costs nothing; the same angle costs putts at 3 m and 4 m."""
    near = Station(Putt(0.8, 0.3, 9.5), Board(0.6), PROOF)
    rng = np.random.default_rng(3)
    reads = [near.observe(float(it)).interval for it in rng.normal(0.9, 0.6, 30)]
    said = judge(reads, near, Occasion("right"), planned=30)
    assert said.verdict.word == "none" and "too small to matter here" in said.headline
    assert "Small here; on" in said.meaning and "in a hundred (right, clear)" in said.meaning
    only = judge(reads, near, Occasion("right", usual=(UsualLength(1.0),)), planned=30)
    assert "Small here" not in only.meaning


def test_without_a_hole_the_usual_lengths_are_what_counts():
    said = judge(RIGHT, STATION, Occasion("right", hole=False), planned=8)
    assert "usual lengths" in said.meaning and "No hole here" in said.allows and "on 2.00 m" in said.size
    assert said.vial.mark_right == pytest.approx(Putt(2.0, 0.3, 9.5).window.right_deg)
    one = judge(RIGHT, STATION, Occasion("right", usual=(UsualLength(2.5, 7.0),), hole=False), planned=8)
    assert one.summary.cost.mean == pytest.approx(judged(RIGHT).summary.cost.mean, abs=1e-9)


def test_a_bias_too_small_for_its_doubt_has_no_side():
    it = judged(block(0.0, -2.6, 2.6, 0.1, -0.1), planned=10)
    assert it.headline.startswith("So far within 1") and it.headline.endswith("of the line.")


def test_no_putts_ask_for_putts():
    it = judged([])
    assert it.headline == "No putts yet." and it.vial.bubble_at is None
    assert "after 8 putts" in it.meaning


def test_the_vial_keeps_its_marks_at_the_same_share_of_the_tube():
    far = Station(Putt(6, 0.3, 9.5), Board(), PROOF)
    for station in (STATION, far):
        vial = judge(RIGHT, station, Occasion("right"), planned=8).vial
        assert vial.mark_right / vial.reach == pytest.approx(0.4)
        assert vial.mark_left == -vial.mark_right
        assert len(vial.ticks) == len(RIGHT)
        assert vial.bubble_low < vial.bubble_at < vial.bubble_high


def test_further_putts_are_asked_only_where_they_help():
    assert further(RIGHT, STATION, Occasion("right"), planned=8).startswith("Settled")
    assert "further putt" in further(LEANING, STATION, Occasion("right"), planned=5)


def test_the_judgement_is_the_same_every_time():
    assert judged(LOOSE).facts == judged(LOOSE).facts
    assert further(LOOSE, STATION, Occasion("right"), planned=8) == further(
        LOOSE, STATION, Occasion("right"), planned=8
    )


def test_gate_readings_alone_are_judged_too():
    station = Station(Putt(2.5, 0.3, 9.5), PegGate(), PROOF)
    readings = [station.rig.interval({"crossing": "touched_right"})] * 8
    it = judge(readings, station, Occasion("right"), planned=8)
    assert it.verdict.word == "clear" and it.verdict.side == "right"
    # Touched again and again it says at least how far, and promises no gain of a size nobody read.
    assert it.headline.startswith("At least 1.4° right") and it.gains == () and it.vial.bubble_at is None


def test_about_a_line_nobody_measured_no_gain_is_promised():
    loose = Station(STATION.putt, STATION.rig)
    it = judge(RIGHT, loose, Occasion("right"), planned=8)
    assert it.gains == () and it.verdict.word != "clear"


@pytest.mark.parametrize(
    ("length", "units", "said"),
    [
        (0.0627, "metric", "62.7 mm"),
        (0.5, "metric", "50 cm"),
        (2.5, "metric", "2.50 m"),
        (0.0254, "feet", "1 in"),
        (2.5, "feet", "8 ft 2 1/2 in"),
        (0.3047, "feet", "1 ft"),
        (1.8287, "feet", "6 ft"),
    ],
)
def test_a_tape_is_read_in_the_coachs_units(length, units, said):
    assert tape(length, units) == said


@given(st.floats(0, 2), st.floats(0.0001, 1))
def test_a_measured_length_is_never_finer_than_its_doubt(length, doubt):
    said = about(length, doubt, "metric")
    step = max((s for s in (1, 5, 10, 50, 100) if s <= doubt * 500), default=1)
    value, unit = said.removeprefix("under ").split()
    assert unit == "mm"
    assert float(value) % step == pytest.approx(0, abs=1e-9) or said.startswith("under")
    if not said.startswith("under"):
        assert abs(float(value) - length * 1000) <= step / 2 + 1e-6


def test_small_words():
    assert degrees(0.64, 0.3) == "0.6°" and degrees(2.4, 1.8) == "2°"
    assert percent(0.999) == "over 99 %" and percent(0.001) == "under 1 %" and percent(0.5) == "50 %"
    assert counted(1, "putt") == "1 putt" and counted(0, "putt") == "0 putts"
    assert (side_of(0.1), side_of(-0.1), side_of(0.1, 0.2)) == ("right", "left", "neither")


def test_the_stage_is_to_scale_and_mirrors_for_a_left_handed_golfer():
    scene = from_above(STATION, "right", "metric")
    [hole] = [it for it in scene.shapes if it.shape == "circle" and it.role == "hole"]
    assert (hole.x, hole.r) == (2500, 54)
    feet = {hand: _feet(hand) for hand in ("right", "left")}
    assert max(y for _, y in feet["right"]) < 0 < min(y for _, y in feet["left"])
    lanes = {hand: {it.lane for it in _taped(hand)} for hand in ("right", "left")}
    assert lanes == {"right": {1, 2}, "left": {-1, -2}}


def _feet(hand):
    areas = [it for it in from_above(STATION, hand, "metric").shapes if it.shape == "area" and it.role == "stance"]
    return [point for it in areas for point in it.points]


def _taped(hand):
    return [it for it in from_above(STATION, hand, "metric").shapes if it.shape == "tape" and it.y1 == it.y2]


def test_rays_are_drawn_where_the_ball_would_be():
    drawn = [
        it for it in rays(STATION, (Interval(0.9, 1.1), Interval.of(2.0, None)), "metric").shapes if it.shape == "ray"
    ]
    assert [it.age for it in drawn] == [1, 0]
    assert drawn[0].y_at == pytest.approx(2500 * math.tan(math.radians(1)))
    assert drawn[0].side == "right" and drawn[1].y_high is None


def test_a_bias_that_is_cheap_here_and_dear_elsewhere_is_told_with_where():
    """Cheap on a short putt, dear at the longest usual length; where it is dear here already, nothing more is said."""
    usual = (UsualLength(1.0, 1), UsualLength(2.5, 1), UsualLength(5.0, 1))
    scatter = (0.2, -0.2, 0.0, 0.3, -0.1, 0.1, -0.2, 0.2, 0.0, 0.1, 0.2, -0.2)

    def dear(length_m, bias, lengths=usual):
        station = Station(Putt(length_m, 0.3, 9.5), Board(distance_m=0.6), PROOF)
        reads = [station.rig.observe(bias + it).interval for it in scatter]
        return judged_facts(reads, station, Occasion("right", usual=lengths), planned=12).dear

    for length_m in (1.2, 2.5):
        told = dear(length_m, 0.5)
        assert (told.distance_m, told.call.word, told.call.side) == (5.0, "clear", "right") and told.putts > 30
    assert dear(2.5, 1.2) is None
    assert dear(2.5, 0.5, (UsualLength(2.5, 1),)) is None and dear(2.5, 0.02) is None
