"""What is left of a gain: the rates of practice 4, and nothing without a gain."""

import math

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.change.retention import Known, retained

_OFTEN = 400


def seen(rng, truth: float, putts: int, spread: float = 1.0) -> Known:
    return Known(truth + rng.normal(0.0, spread / math.sqrt(putts)), spread / math.sqrt(putts))


def rate(word: str, left: float, putts: int) -> float:
    """How often a gain of 1° of which so much is left is told so, all three told by so many putts."""
    rng = np.random.default_rng(11)
    found = [
        retained(seen(rng, 1.5, putts), seen(rng, 0.5, putts), seen(rng, 1.5 - left, putts), putts, 1.0)
        for _ in range(_OFTEN)
    ]
    return sum(it is not None and it.word == word for it in found) / _OFTEN


@pytest.mark.parametrize(("putts", "share"), [(10, 0.50), (20, 0.64), (40, 0.80)])
def test_a_gain_wholly_kept_is_called_kept_as_often_as_practice_says(putts, share):
    # Three standard deviations of 400 tries.
    assert rate("kept", 1.0, putts) == pytest.approx(share, abs=3 * math.sqrt(share * (1 - share) / _OFTEN))


def test_a_gain_that_is_gone_is_seldom_called_kept_and_mostly_lost_with_many_putts():
    assert rate("kept", 0.0, 20) <= 0.05
    assert rate("lost", 0.0, 40) >= 0.75
    assert rate("lost", 1.0, 20) <= 0.05


def test_nothing_is_said_without_a_gain_and_the_mirrored_golfer_is_told_the_same():
    worse, same = Known(1.0, 0.2), Known(1.0, 0.2)
    assert retained(worse, same, Known(0.4, 0.2), 10, 1.0) is None
    # Over to the other side by as much is no gain.
    assert retained(Known(1.0, 0.1), Known(-1.1, 0.1), Known(0.0, 0.1), 10, 1.0) is None
    one = retained(Known(1.5, 0.2), Known(0.2, 0.2), Known(0.3, 0.2), 20, 1.0)
    other = retained(Known(-1.5, 0.2), Known(-0.2, 0.2), Known(-0.3, 0.2), 20, 1.0)
    assert one is not None and one == other


@given(later=st.floats(-0.5, 2.5), sd=st.floats(0.05, 0.6), putts=st.integers(3, 60))
def test_what_is_open_says_how_many_more_putts_and_those_would_tell(later, sd, putts):
    before, after = Known(1.6, 0.15), Known(0.4, 0.15)
    spread = sd * math.sqrt(putts)
    it = retained(before, after, Known(later, sd), putts, spread)
    assert it is not None
    if it.word == "open" and it.more_putts is not None:
        many = putts + it.more_putts + 1
        told = retained(before, after, Known(later, spread / math.sqrt(many)), many, spread)
        assert told is not None and told.word != "open"
