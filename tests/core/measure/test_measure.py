"""Angles, intervals and lengths as they are told."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.measure.angle import angle_deg, hole_widths, offset_m
from libella.core.measure.interval import Interval
from libella.core.measure.units import about, degrees, fine_degrees, fraction, percent, rounds_to_nothing, sided, tape
from libella.core.measure.window import Window


@given(st.floats(-80, 80), st.floats(0.1, 20))
def test_an_angle_is_an_offset_at_a_length_and_back(deg, length_m):
    off = offset_m(deg, length_m)
    assert angle_deg(off, length_m) == pytest.approx(deg, abs=1e-9)
    assert hole_widths(deg, length_m) == pytest.approx(off / 0.108)


def test_an_open_reading_is_drawn_at_its_closed_end():
    assert Interval(1.0, math.inf).anchor == 1.0 and Interval(-math.inf, -2.0).anchor == -2.0
    assert Interval(-math.inf, math.inf).anchor == 0.0 and Interval(1.0, 3.0).anchor == 2.0
    assert Interval(-0.1, 3.0).side == "neither" and Interval(0.1, 3.0).side == "right"
    assert Interval.of(None, 2.0) == Interval(-math.inf, 2.0) and Interval(1.0, math.inf).high_or_none is None
    assert Interval(1.0, 2.0).shifted(-3.0) == Interval(-2.0, -1.0)
    for low, high in ((1.0, 0.0), (math.nan, 1.0), (0.0, math.nan)):
        with pytest.raises(ValueError, match="not an interval"):
            Interval(low, high)


def test_a_window_lies_about_the_true_line():
    it = Window(1.0, 2.0, off_deg=0.5)
    assert (it.low_deg, it.high_deg, it.half_deg, it.narrow_deg) == (-0.5, 2.5, 1.5, 1.0)


@pytest.mark.parametrize(
    ("length_m", "metric", "feet"),
    [(0.0999, "99.9 mm", "3 7/8 in"), (0.1, "10 cm", "3 7/8 in"), (0.6096, "61 cm", "2 ft"),
     (1.0, "1.00 m", "3 ft 3 1/2 in"), (2.5, "2.50 m", "8 ft 2 1/2 in")],
)  # fmt: skip
def test_a_tape_is_read_in_its_usual_unit(length_m, metric, feet):
    assert (tape(length_m, "metric"), tape(length_m, "feet")) == (metric, feet)


def test_nothing_is_told_finer_than_it_is_known():
    assert about(0.0263, 0.001, "metric") == "26 mm" and about(0.0263, 0.03, "metric") == "30 mm"
    assert about(0.001, 0.03, "metric") == "under 10 mm" and rounds_to_nothing(0.001, 0.03, "metric")
    assert about(12.0, 0.2, "metric") == "12.00 m" and about(0.0001, 0.03, "feet") == "under 1/2 in"
    assert degrees(-3.26, 1.49) == "3.3°" and degrees(3.26, 1.5) == "3°"
    assert fine_degrees(1.994) == "1.99°" and fine_degrees(-2.04) == "2.0°"
    assert sided(0.04) == "0.0°" and sided(-0.56) == "0.6° left"
    assert [percent(it) for it in (0.009, 0.5, 0.991)] == ["under 1 %", "50 %", "over 99 %"]
    assert fraction(-9, 8) == "−1 1/8"
