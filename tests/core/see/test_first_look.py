"""The first look: a side and a place, never degrees."""

import re

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
def test_what_was_said_last_of_a_place_counts_and_contradictions_are_told(looks):
    seen = first_seen(looks)
    last = {it.place: it for it in looks}
    assert seen.usual == (last[Place()].looks if Place() in last else None)
    assert {it.place for it in seen.straight} == {
        place for place, it in last.items() if it.looks == "straight" and place != Place()
    }
    playable = [it.playable is not False for it in seen.straight]
    assert playable == sorted(playable, reverse=True)
    said = " ".join(first_words(seen))
    assert not re.search(r"\d", said) and "°" not in said
