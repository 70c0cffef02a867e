"""The one picture of See: every lever can be taken hold of, and moves the part the way its words say."""

import pytest

from libella.core.green.putt import Putt
from libella.core.instruments import lay
from libella.core.see.place_drawn import place_drawn
from libella.core.see.position import LEVERS
from libella.core.set.layout import from_above
from libella.core.set.station import Station


@pytest.mark.parametrize("hand", ["right", "left"])
def test_every_lever_is_one_part_of_the_picture(hand):
    pulled = [it.lever for part in place_drawn(hand).parts for it in part.pulls]
    assert sorted(pulled) == sorted(LEVERS)


def test_further_in_is_towards_the_golfer_and_behind_away_from_the_hole_for_either_hand():
    for hand, towards in (("right", -1), ("left", 1)):
        found = place_drawn(hand)
        pulls = {it.lever: it for part in found.parts for it in part.pulls}
        feet = next(part for part in found.parts if part.name == "feet")
        # The golfer's feet lie on that side of the line.
        assert all(y * towards > 0 for shape in feet.shapes for _, y in shape.corners)
        assert pulls["inside"].y * towards > 0 and pulls["distance"].y * towards > 0
        assert pulls["behind"].x < 0 < pulls["ball"].x
        # From in front the trail side of a right-hander is at the left.
        assert pulls["tilt"].turn * towards > 0


def test_the_eye_nearer_the_hole_is_the_leading_one():
    for hand, leading in (("right", 0), ("left", 1)):
        eyes = place_drawn(hand).eyes
        assert eyes[leading][0] > eyes[1 - leading][0]


def test_the_words_of_a_drawing_say_on_which_side_the_golfer_stands():
    station = Station(Putt(2.5, 0.3, 10), lay("peg_gate", {}))
    for hand, side in (("right", "left"), ("left", "right")):
        assert f"golfer {side} of the line" in place_drawn(hand).scene.words
        assert f"golfer stands {side} of the line" in from_above(station, hand, "metric").words
