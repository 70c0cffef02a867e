"""The first look: a side and a place, never degrees."""

import re
from collections import Counter

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.measure.limits import OutOfLimits
from libella.core.see.first_look import PLACES, FirstLook, Place, first_seen
from libella.words.see.first_look import first_words

OTHER = Place(other_side=True)
LOOKS = st.builds(
    FirstLook,
    st.sampled_from([*PLACES, OTHER]),
    st.sampled_from(["left", "straight", "right"]),
    st.sampled_from([None, True, False]),
)


@given(st.lists(LOOKS, max_size=12))
def test_most_of_the_answers_of_a_place_count_and_contradictions_are_told(looks):
    seen = first_seen(looks)
    told = {place: Counter(it.looks for it in looks if it.place == place) for place in {it.place for it in looks}}
    most = {place: next((it for it in n if 2 * n[it] > n.total()), None) for place, n in told.items()}
    assert (seen.usual.looks if seen.usual else None) == most.get(Place())
    assert {it.place for it in seen.straight} == {
        place for place, it in most.items() if it == "straight" and place not in (Place(), OTHER)
    }
    assert (seen.other_side.looks if seen.other_side else None) == most.get(OTHER)
    assert {*seen.undecided} == {place for place, it in most.items() if it is None}
    playable = [it.playable is not False for it in seen.straight]
    assert playable == sorted(playable, reverse=True)
    said = " ".join(first_words(seen))
    assert "°" not in said
    # Numbers are counts of answers, never a size.
    counted = {f"{n[it]} of {n.total()}" for n in told.values() for it in n}
    assert {*re.findall(r"\d+ of \d+", said)} <= counted and len(re.findall(r"\d+", said)) == 2 * len(
        re.findall(r"\d of \d", said)
    )


def test_one_answer_after_five_does_not_take_their_place():
    seen = first_seen([FirstLook(Place(), "right")] * 5 + [FirstLook(Place(), "straight")])
    assert first_words(seen)[0] == "From the usual place a true line looks right, 5 of 6."


def test_how_far_it_was_moved_is_a_place_of_its_own():
    bit, plain, much = (Place("inside", "plus", it) for it in ("bit", "", "much"))
    assert [it.set_up for it in (bit, plain, much)] == ["a bit further in", "further in", "much further in"]
    seen = first_seen([FirstLook(bit, "left"), FirstLook(plain, "straight", None, 24.0), FirstLook(much, "right")])
    assert [it.place for it in seen.straight] == [plain] and seen.straight[0].moved == 24
    assert Place("tilt", "plus", "bit").set_up == "tilted a bit to the trail side"
    assert Place("chin", "minus", "much").set_up == "chin tucked a lot"


def test_the_other_side_of_the_hole_is_told_apart():
    seen = first_seen([FirstLook(Place(), "left"), FirstLook(OTHER, "right"), FirstLook(OTHER, "right")])
    assert first_words(seen) == (
        "From the usual place a true line looks left.",
        "From the other side of the hole it looks right, 2 of 2.",
    )


@pytest.mark.parametrize(("place", "moved"), [(Place(), 5.0), (Place("inside"), 151.0), (Place("chin"), -1.0)])
def test_a_size_of_a_place_that_can_not_be_is_refused(place, moved):
    with pytest.raises(OutOfLimits) as refused:
        FirstLook(place, "left", moved=moved)
    assert refused.value.field == "moved"
