"""Shapes moved, mirrored and measured: what every drawing of a station rests on."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.drawing.scene import Area, Circle, Curve, Label, Line, Ray, Tape, mirrored, moved, reach
from libella.core.instruments import instruments

SHAPES = [shape for cls in instruments().values() for shape in cls.laid({}).from_above()]
EACH = [
    Line(0, 1, 2, 3, "line"),
    Circle(5, -7, 2, "post"),
    Area(((0, 0), (4, 1), (2, 5)), "board"),
    Curve(((0, 0), (4, -1)), "path"),
    Label(3, 4, "said"),
    Tape(0, 0, 9, 0, "9 mm", 1, "length_m"),
    Tape(2, -3, 2, 3, "6 mm", -1, "width_m", 2),
]


@pytest.mark.parametrize("shape", EACH)
def test_mirrored_twice_is_as_it_was(shape):
    assert mirrored(mirrored(shape)) == shape
    assert mirrored(shape) != shape or shape.shape == "label"


@given(st.sampled_from(SHAPES), st.integers(-900, 900), st.integers(-900, 900))
def test_moved_there_and_back_is_as_it_was(shape, x, y):
    left, top, right, bottom = reach([shape])
    there = moved(shape, x, y)
    if shape.shape != "label":
        assert reach([there]) == pytest.approx((left + x, top + y, right + x, bottom + y))
    back = moved(there, -x, -y)
    assert reach([back]) == pytest.approx(reach([shape])) and type(back) is type(shape)


@given(st.lists(st.sampled_from(SHAPES), min_size=1, max_size=8))
def test_what_is_mirrored_reaches_as_far_on_the_other_side(shapes):
    left, top, right, bottom = reach(shapes)
    assert reach([mirrored(it) for it in shapes]) == pytest.approx((left, -bottom, right, -top))


def test_a_tape_along_the_line_changes_its_side_and_one_across_keeps_its_lane():
    along, across = EACH[5], EACH[6]
    assert mirrored(along).lane == -1 and mirrored(across).lane == -1
    assert (mirrored(across).of, mirrored(across).per) == ("width_m", 2)


def test_nothing_reaches_nowhere_and_a_putt_is_not_laid_out():
    assert reach([]) == (0, 0, 0, 0)
    ray = Ray(0, 0, 100, 5, None, 7, "right", 0)
    for change in (mirrored, lambda it: moved(it, 1, 1)):
        with pytest.raises(TypeError, match="it is read"):
            change(ray)
