"""A line watched past the place where a true putt leaves it: what the break does there is taken off what is read, with
all that is not known of the slope. It tells no push that was none."""

import math

import numpy as np
import pytest

from libella.core.green.putt import Putt
from libella.core.instruments import lay
from libella.core.instruments.ground_line import before_the_break_m
from libella.core.judge.judgement import Occasion, judge
from libella.core.set.proof import Proof
from libella.core.set.station import Station

AT_M = 0.84
GOLFERS = 80


def seen(right_m: float, line) -> dict:
    """On which part of the ball the line lies when the ball is so far right of it."""
    angle = math.degrees(math.atan(right_m / AT_M))
    return next(it.raw for it in line.zones() if it.interval.low <= angle <= it.interval.high)


@pytest.mark.parametrize("doubt", [0.1, 0.4])
def test_golfers_who_start_it_true_are_seldom_told_that_they_push_or_pull(doubt):
    rng = np.random.default_rng(7)
    line = lay("raised_string", {"distance_m": AT_M, "line_m": 3.0})
    told = Putt(3.0, 0.35, 10, falls_right_percent=-2.0, falls_doubt_percent=doubt)
    before = before_the_break_m(told)
    assert before is not None and before < AT_M
    station = Station(told, line, Proof("string", doubt_m=0.001))
    holds = named = 0
    for _ in range(GOLFERS):
        there = Putt(3.0, 0.35, 10, falls_right_percent=-2.0 + rng.normal(0, doubt))
        starts = np.radians(rng.normal(0.0, 0.5, 10))
        readings = [station.interval(seen(AT_M * np.tan(it) + there.drift_m(AT_M), line)) for it in starts]
        found = judge(readings, station, Occasion("right"), planned=10)
        assert found.summary is not None and found.verdict is not None
        holds += found.summary.bias.low <= 0.0 <= found.summary.bias.high
        named += found.verdict.names_direction
    assert holds >= 0.84 * GOLFERS, (holds, doubt)
    assert named <= 0.1 * GOLFERS, (named, doubt)


def test_where_the_slope_is_hardly_known_set_says_that_this_can_not_be_told():
    line = lay("raised_string", {"distance_m": AT_M, "line_m": 3.0})
    told = Putt(3.0, 0.35, 10, falls_right_percent=-2.0, falls_doubt_percent=1.0)
    assert Station(told, line, Proof("string", doubt_m=0.001)).sight(0.9).fit != "good"
