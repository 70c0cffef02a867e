"""From a chance to a word: where each word begins, and what keeps it from being said."""

import math

import pytest

from libella.core.certainty.estimate import around, normal
from libella.core.certainty.verdict import clear_among, is_likely, is_unlikely, sure_of, weigh, weigh_event
from libella.core.certainty.vial import Bubble, vial
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window


@pytest.mark.parametrize(
    ("right", "left", "small", "word", "side"),
    [
        (0.95, 0.02, 0.0, "clear", "right"),
        (0.02, 0.95, 0.0, "clear", "left"),
        (0.949, 0.0, 0.0, "likely", "right"),
        (0.0, 0.80, 0.1, "likely", "left"),
        (0.799, 0.0, 0.1, "open", "right"),
        (0.1, 0.05, 0.80, "none", "neither"),
        (0.1, 0.05, 0.799, "open", "right"),
    ],
)
def test_each_word_begins_at_its_chance(right, left, small, word, side):
    said = weigh(right, left, small)
    assert (said.word, said.side) == (word, side)
    assert said.names_direction == (word in ("clear", "likely"))


def test_nothing_is_clear_about_what_is_not_checked():
    assert weigh(0.999, 0.0, 0.0, can_be_clear=False).word == "likely"


def test_one_of_several_must_be_surer():
    assert clear_among(1) == pytest.approx(0.95) and clear_among(5) == pytest.approx(0.99)
    assert weigh(0.97, 0.0, 0.0, clear=clear_among(5)).word == "likely"
    assert weigh(0.97, 0.0, 0.0, clear=clear_among(1)).word == "clear"


def test_what_happened_or_not_takes_the_same_words():
    assert [weigh_event(it).word for it in (0.96, 0.85, 0.5, 0.1)] == ["clear", "likely", "open", "none"]
    assert [sure_of(it) for it in (0.95, 0.80, 0.79)] == ["clear", "likely", "open"]
    assert is_likely(0.80) and not is_likely(0.79) and is_unlikely(0.199) and not is_unlikely(0.21)


def test_an_interval_holds_nine_tenths_of_a_normal():
    it = normal(1.0, 2.0)
    below = [0.5 * (1 + math.erf((end - 1.0) / 2.0 / math.sqrt(2))) for end in (it.low, it.high)]
    assert below[1] - below[0] == pytest.approx(0.90, abs=1e-3)
    assert it.sd == pytest.approx(2.0) and around(1.0, it.doubt) == it
    assert normal(5.0, 1.0).is_one_side and normal(-5.0, 1.0).is_one_side and not it.is_one_side


def test_the_tube_reaches_past_both_marks_and_the_film_is_one_spread():
    aside = vial([], Bubble(normal(0.5, 0.1), normal(0.8, 0.1)), Window(0.2, 0.2, off_deg=3.0), settled=True)
    assert aside.mark_left == pytest.approx(2.8) and aside.mark_right == pytest.approx(3.2)
    assert aside.reach >= 1.2 * 3.2 and (aside.film_low, aside.film_high) == pytest.approx((-0.3, 1.3))
    other = vial([Interval(-math.inf, -1.0)], None, Window(0.2, 0.2, off_deg=-3.0), settled=False)
    assert other.reach == pytest.approx(aside.reach)
    assert (other.ticks[0].low, other.ticks[0].at, other.bubble_at) == (None, -1.0, None)
