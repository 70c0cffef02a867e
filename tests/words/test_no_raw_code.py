"""No code of a registry reaches a coach: whatever is listed, tabled, drawn or printed is in words."""

import re

import pytest

from libella.core.instruments import instruments, lay
from libella.core.see.choices_drawn import choice_pictures
from libella.core.start.notes import NOTES
from libella.core.start.watched import watched
from libella.words.aloud import page
from libella.words.vocabulary import ENTRIES, choices

CODE = re.compile(r"\b[a-z]+_[a-z0-9_]+\b")


@pytest.mark.parametrize("units", ["metric", "feet"])
@pytest.mark.parametrize("kind", instruments())
def test_every_reading_of_an_instrument_is_in_words(kind: str, units):
    aid = lay(kind, {})
    said = [aid.about.name, aid.about.said, aid.about.tells, aid.about.cannot, aid.about.read, *aid.about.mistakes]
    for zone in aid.zones(units):
        said += [zone.name, aid.words(zone.raw, units)]
    said += [it.label for it in aid.dimensions()] + [it.hint for it in aid.dimensions()]
    said += [aid.picture(units).words, *aid.touched.values()]
    assert [it for it in said if CODE.search(it)] == []


def test_every_note_and_every_choice_has_a_name():
    laid = [lay(kind, {}) for kind in instruments()]
    notes = {**NOTES, **watched(laid[0], laid[1:])}
    for name, it in notes.items():
        assert not CODE.search(f"{it.label} {it.question} {it.low_word} {it.high_word}"), name
        assert [one for one in it.options.values() if CODE.search(one)] == [], name
    for kind, told in choices().items():
        assert [one for one in told.values() if CODE.search(one)] == [], kind
    for name, it in ENTRIES.items():
        assert not CODE.search(f"{it.label} {it.hint}"), name


def test_nothing_that_is_said_holds_a_code(heard):
    lines = [it for it in page(heard[0]).splitlines() if not it.startswith("#")]
    # A line that is a code alone is one that goes with a sentence: which size it is about.
    assert [it for it in lines if CODE.search(it) and " " in it.removeprefix("- ")] == []


def test_what_is_drawn_is_a_choice_there_is():
    named = choices() | {"set_up": None, "method": None, "head": None}
    for hand in ("right", "left"):
        for kind, drawn in choice_pictures(hand).items():
            if named.get(kind):
                assert set(drawn) <= set(named[kind]), kind


def test_a_left_hander_sees_what_is_drawn_from_above_from_the_other_side():
    right, left = choice_pictures("right"), choice_pictures("left")
    for kind, code in (("set_up", "wide base"), ("head", "inside_plus"), ("cue", "near_spot"), ("link", "face")):
        one, other = right[kind][code], left[kind][code]
        assert (other.top, other.bottom) == (-one.bottom, -one.top)
        for a, b in zip(one.shapes, other.shapes, strict=True):
            assert [(x, -y) for x, y in a.corners] == list(b.corners) or a.shape == "circle"
    # A face from in front, a head from the side, an eye are as they are.
    for kind, code in (("head", "tilt_plus"), ("head", "chin_minus"), ("eyes", "left")):
        assert right[kind][code] == left[kind][code]
