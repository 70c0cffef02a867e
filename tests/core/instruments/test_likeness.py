"""Instruments are told apart by their drawings, and every drawing stays in its frame."""

from itertools import combinations

from libella.core.drawing.scene import reach
from libella.core.instruments import instruments
from libella.core.instruments.likeness import _DRAWN, likeness
from libella.core.set.kit import PARTS
from libella.core.set.kit_drawn import most_taken, part_picture


def test_no_two_instruments_or_parts_look_alike():
    kinds = {kind: likeness(it.laid({}), "metric") for kind, it in instruments().items()}
    assert set(_DRAWN) <= set(kinds)
    faces = [kind for kind, it in instruments().items() if it.about.measures == "face"]
    for one, other in combinations(faces, 2):
        assert kinds[one].shapes != kinds[other].shapes, (one, other)
    for one, other in combinations(PARTS, 2):
        assert part_picture(one).shapes != part_picture(other).shapes, (one, other)


def test_every_likeness_is_in_its_frame():
    for scene in [likeness(instruments()[kind].laid({}), "feet") for kind in _DRAWN]:
        left, top, right, bottom = reach(scene.shapes)
        assert scene.shapes and scene.words
        assert scene.left <= left and scene.top <= top and right <= scene.right and bottom <= scene.bottom


def test_a_count_is_asked_of_what_is_taken_several_at_once():
    assert most_taken("peg") > 1 and most_taken("level") == 1 and all(most_taken(it) >= 1 for it in PARTS)
