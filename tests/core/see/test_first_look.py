"""The first look: a side and a place, never degrees."""

import re
from collections import Counter

from hypothesis import given
from hypothesis import strategies as st

from libella.core.see.first_look import FirstLook, Place, first_seen
from libella.core.see.position import LEVERS
from libella.words.see.first_look import first_words

PLACES = [Place(), *(Place(lever, way) for lever in LEVERS for way in ("plus", "minus"))]
LOOKS = st.builds(
    FirstLook,
    st.sampled_from(PLACES),
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
        place for place, it in most.items() if it == "straight" and place != Place()
    }
    assert {*seen.undecided} == {place for place, it in most.items() if it is None}
    playable = [it.playable is not False for it in seen.straight]
    assert playable == sorted(playable, reverse=True)
    said = " ".join(first_words(seen))
    assert "°" not in said
    # Numbers are counts of answers, never a size.
    counted = {f"{n[it]} of {n.total()}" for n in told.values() for it in n}
    assert {*re.findall(r"\d+ of \d+", said)} <= counted and len(re.findall(r"\d+", said)) == 2 * said.count(" of ")


def test_one_answer_after_five_does_not_take_their_place():
    seen = first_seen([FirstLook(Place(), "right")] * 5 + [FirstLook(Place(), "straight")])
    assert first_words(seen)[0] == "From the usual place a true line looks right, 5 of 6."
