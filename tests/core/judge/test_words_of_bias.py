"""The first words of any judgement: a side only where one is known, no decimal that is not known."""

import math
import re

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.aim.links import by_degrees
from libella.core.certainty.estimate import Estimate
from libella.core.estimate import START, posterior, summarise
from libella.core.estimate.verdict import verdict
from libella.core.green.putt import Putt
from libella.core.instruments import lay
from libella.core.judge.judgement import Occasion, judge
from libella.core.measure.interval import Interval
from libella.core.set.station import Station
from libella.words.judge.judgement import judgement_words
from libella.words.shared.certainty import headline, nameless
from tests.said import aim_found, aim_question, aim_sum, natural_and_aided

PUTT = Putt(2.5, 0.3, 10)
starts = st.lists(st.floats(-4, 4), min_size=1, max_size=12)


def near(value, doubt):
    return Estimate(value, value - doubt, value + doubt)


@given(starts)
def test_the_words_carry_their_unit_their_side_and_no_more_than_is_known(angles):
    summary = summarise(posterior([by_degrees(it, 0.25) for it in angles], START()), PUTT.window)
    for call in (None, verdict(summary), verdict(summary, proved=False)):
        words = headline(summary, call, "Nothing.")
        if words == "Nothing to mend in the bias.":
            continue
        assert re.search(r"\d°", words) and words.endswith(".")
        assert words.startswith("So far") == (call is None)
        if summary.bias.doubt >= 1.5:
            assert not re.search(r"\d\.\d°", words.split(",")[0])
        if nameless(summary.bias):
            assert "ithin" in words and "right" not in words and "left" not in words
        else:
            assert ("right" in words) == (summary.bias.value > 0)
        if call and call.word == "clear":
            assert "clear" in words
    assert headline(None, None, "Nothing.") == "Nothing."


@given(starts, st.sampled_from(["face", "mark", "to_mark"]), st.sampled_from(["right", "left"]))
def test_any_set_of_set_downs_is_told_and_drawn(angles, link, hand):
    reads = [by_degrees(it, 0.5) for it in angles]
    found = aim_found(reads, link, PUTT, hand, "feet", planned=7, proved=True)
    assert found.final == (len(angles) >= 7) and len(found.vial.ticks) == len(angles)
    if found.beyond is None:
        assert found.vial.bubble_low <= found.vial.bubble_at <= found.vial.bubble_high
    assert found.meaning.endswith(".") and ("°" in found.doubt) == found.is_sized
    assert (found.verdict is None) == (not found.final)


@given(st.floats(-3, 3), st.floats(-3, 3), st.floats(0.1, 1), st.floats(0.1, 1))
def test_links_add_up_whichever_way_they_point(mark, to_mark, one, two):
    found = aim_sum(near(mark, one), near(to_mark, two), None, PUTT)
    assert found.added.value == pytest.approx(mark + to_mark)
    assert max(one, two) <= found.added.doubt <= one + two
    mirrored = aim_sum(near(-mark, one), near(-to_mark, two), None, PUTT)
    assert mirrored.added.value == pytest.approx(-found.added.value)


@given(st.floats(-3, 3), st.floats(-3, 3), st.floats(0.1, 1.5))
def test_an_aid_that_changes_nothing_sure_is_never_said_to_move_the_aim(natural, aided, doubt):
    words = natural_and_aided(near(natural, doubt), near(aided, doubt), PUTT)
    if abs(aided - natural) < 0.5 * doubt:
        assert not words.startswith("The aid in view moves the aim")
    if abs(aided - natural) > 0.6:
        assert "no difference" not in words


@given(st.floats(-3, 3), st.floats(0.1, 1.5), st.floats(-3, 3), st.floats(0.1, 1.5))
def test_following_and_working_against_change_places_when_the_picture_turns(seen, seen_doubt, aimed, aim_doubt):
    one = aim_question(near(seen, seen_doubt), near(aimed, aim_doubt), 0.3)
    other = aim_question(near(-seen, seen_doubt), near(aimed, aim_doubt), 0.3)
    swapped = {"follows": "against", "against": "follows", "neither": "neither", "open": "open"}
    assert other.does == swapped[one.does]
    assert one.headline and one.why


def counts_of(*readings):
    station = Station(PUTT, lay("board", {"distance_m": 1.0}))
    found = judge([Interval(low, high) for low, high in readings], station, Occasion("right"), planned=10)
    return judgement_words(found, station, Occasion("right"), "metric").counts


def test_the_range_that_is_told_is_that_of_the_zones_tapped_and_none_where_they_say_no_size():
    # A zone from 1.4° to 9.1° left is no 5.3°: which of them it was, nobody saw.
    assert counts_of((-9.1, -1.4), (-9.1, -1.4), (-0.7, 0.7)) == "0 of 3 right, 2 left, 1 on neither side."
    assert (
        counts_of((-0.6, 0.6), (0.6, 1.8)) == "1 of 2 right, 0 left, 1 on neither side; from 0.6° left to 1.8° right."
    )
    assert "beyond 2.4° left to 0.1° right" in counts_of((-math.inf, -2.4), (-0.1, 0.1))
