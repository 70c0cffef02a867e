"""What disturbed a block makes its bias less sure, by a stated amount and never the other way."""

from dataclasses import replace

import pytest

from libella.core.green.putt import Putt
from libella.core.instruments import lay
from libella.core.judge.claims.difference import Group, difference
from libella.core.judge.disturbed import DISTURBANCES, checked_disturbances, disturbed_deg
from libella.core.judge.judgement import Occasion, judge
from libella.core.judge.ledger.entry import Source
from libella.core.measure.interval import Interval
from libella.core.measure.limits import OutOfLimits
from libella.core.set.station import Station
from libella.words.judge.judgement import judgement_words

from .samples import BY, batch

STATION = Station(Putt(2.5, 0.35, 10), lay("board", {}))
READS = [Interval(0.5 + it / 10, 0.8 + it / 10) for it in range(-5, 5)]


def test_it_widens_the_bias_by_what_is_stated_and_says_so():
    calm, disturbed = (Occasion("right", disturbances=it) for it in ((), ("wind", "rough")))
    one, other = (judge(READS, STATION, it, planned=10) for it in (calm, disturbed))
    added = disturbed_deg(("wind", "rough"))
    assert added == pytest.approx((0.2**2 + 0.25**2) ** 0.5)
    assert other.summary.bias.sd**2 == pytest.approx(one.summary.bias.sd**2 + added**2, rel=0.03)
    assert other.verdict.probability < one.verdict.probability
    assert "wind" in judgement_words(other, STATION, disturbed, "metric").doubt
    assert "Disturbed" not in judgement_words(one, STATION, calm, "metric").doubt


def test_a_difference_between_a_calm_and_a_disturbed_block_is_less_sure_too():
    calm, moved = batch("start", READS), batch("start", [it.shifted(0.8) for it in READS], id="b")
    wind = Source("disturbed", "b", disturbed_deg(("wind",)))
    windy = replace(moved, sources={"start": (wind,)})
    widths = [difference(Group("", (calm,)), Group("", (it,)), "start", BY).by.sd for it in (moved, windy)]
    assert widths[1] > widths[0]


def test_disturbances_are_known_ones():
    assert checked_disturbances(["wind", "rough"]) == ("rough", "wind")
    assert all(it > 0 for it in DISTURBANCES.values())
    with pytest.raises(OutOfLimits):
        checked_disturbances(["earthquake"])
