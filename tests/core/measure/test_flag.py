"""What is said of one reading makes it count less, everywhere it is counted."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.estimate.posterior import posterior
from libella.core.judge.claims.share import share_of
from libella.core.judge.ledger.entry import Batch, Event
from libella.core.measure.flag import FLAGS, checked_flags, lessened, weight_of
from libella.core.measure.interval import Interval
from libella.core.measure.limits import OutOfLimits
from libella.core.see.fit import perceive
from libella.core.see.trial import Trial


@given(st.lists(st.sampled_from(tuple(FLAGS)), unique=True))
def test_a_flagged_reading_counts_less_and_never_nothing(told):
    weight = weight_of(told)
    assert 0 < weight <= 1 and (weight == 1) == (not told)
    assert weight_of(checked_flags(told, "putt")) == pytest.approx(weight)


def test_what_cannot_be_said_is_refused():
    with pytest.raises(OutOfLimits):
        checked_flags(["rough", "moon"], "putt")


def test_two_halves_are_one_whole_reading():
    reading = Interval(0.4, 0.6)
    halves = posterior([reading.weighing(0.5)] * 2 + [Interval(-0.1, 0.1)])
    whole = posterior([reading, Interval(-0.1, 0.1)])
    assert halves.bias_quantile(0.5) == pytest.approx(whole.bias_quantile(0.5), abs=1e-9)
    # It stays what it is where it is moved: put right by a line that was found off.
    assert reading.weighing(0.5).shifted(1.0) == Interval(1.4, 1.6, 0.5)


def test_a_doubted_outlier_pulls_less():
    steady, far = [Interval(-0.05, 0.05)] * 5, Interval(2.9, 3.1)
    pulled = [posterior([*steady, far.weighing(it)]).bias_quantile(0.95) for it in (1.0, 0.5, 0.125)]
    assert pulled == sorted(pulled, reverse=True) and pulled[0] > pulled[-1]


def test_a_doubted_answer_tells_less_of_what_looks_straight():
    told = [Trial(0.0, "left"), Trial(1.0, "straight"), Trial(2.0, "right")] * 3
    doubted = [Trial(it.true_deg, it.looks, 0.25) for it in told]
    sure, unsure = perceive(told).looks_straight, perceive(doubted).looks_straight
    assert unsure.high - unsure.low > sure.high - sure.low


def test_a_doubted_note_is_counted_and_weighs_less():
    def noted(weight):
        events = tuple(Event(str(n), {"roll": "skid" if n < 4 else "clean"}, weight) for n in range(8))
        return share_of([Batch("b", "start", 0.0, events)], "roll", ())

    whole, half = noted(1.0), noted(0.5)
    assert whole.counts == half.counts and whole.of == half.of == 8
    assert half.share.high - half.share.low > whole.share.high - whole.share.low


def test_how_many_count_less_is_told_with_what_they_come_to():
    assert lessened([1.0, 1.0]) is None
    it = lessened([0.5, 1.0, 0.25])
    assert (it.times, it.weight) == (2, 0.75)
