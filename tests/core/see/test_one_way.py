"""Eyes told one way alone: what was told is known, the rest is not, and a side alone is no place."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.measure.limits import OutOfLimits
from libella.core.see.eyes import EyeMark, EyeTake, eye_place, eye_vial
from libella.core.see.one_way import SIZED, OneWayLook
from libella.words.see.eyes import eye_brief, eye_words


def seen(*looks, zone=None):
    return eye_place([], "right", zone, sides=looks)


def test_inside_alone_leaves_behind_unlooked_at():
    found = seen(*[OneWayLook("inside", 0.027)] * 3)
    assert found.inside.value == pytest.approx(27, abs=1) and found.behind is None
    assert eye_words(found, "metric")[1] == "Behind or ahead of the ball was not looked at."


def test_behind_alone_leaves_inside_unlooked_at():
    found = seen(OneWayLook("behind", 0.03), OneWayLook("behind", 0.034))
    assert (found.inside, found.side, found.in_zone) == (None, "over", None)
    assert found.behind.value == pytest.approx(32, abs=2) and (found.looked, found.looked_behind) == (0, 2)
    assert eye_brief(found, "metric") == "32 mm back"
    assert eye_vial([OneWayLook("behind", 0.03)], found, None).ticks == ()


@pytest.mark.parametrize(("told", "said"), [("inside", "inside"), ("outside", "outside")])
def test_a_side_alone_is_counted_and_never_a_size(told, said):
    found = seen(*[OneWayLook(told)] * 3, OneWayLook("over"), zone=(5, 40))
    assert found.inside is None and found.open.beyond == 3 and found.side == said
    assert eye_words(found, "metric")[0] == f"Eyes {said} the line in 3 of 4 looks; how far was not read."
    assert eye_brief(found, "metric") == said
    assert eye_vial([OneWayLook(told)], found, None).bubble_at is None


def test_over_the_line_is_a_place_and_no_side():
    found = seen(*[OneWayLook("over")] * 3)
    assert found.open is None and abs(found.inside.value) < 1 and found.side == "over"


@given(st.sampled_from(SIZED), st.floats(0, 0.26), st.floats(-3, 3), st.floats(-3, 3))
def test_the_level_moves_a_size_told_one_way_as_it_moves_both_eyes(told, size, falls_in, falls_back):
    sign = 1 if told in ("inside", "behind") else -1
    fall = {"falls_in_percent": falls_in, "falls_back_percent": falls_back, "eye_height_m": 1.5}
    one = OneWayLook(told, size, **fall)
    if told in ("inside", "outside"):
        both = EyeTake(EyeMark(sign * size, -0.03), EyeMark(sign * size, 0.03), **fall)
        assert one.behind_mm is None and one.inside_mm.low == pytest.approx(both.inside_mm.low, abs=1e-9)
    else:
        both = EyeTake(EyeMark(0, sign * size - 0.03), EyeMark(0, sign * size + 0.03), **fall)
        assert one.inside_mm is None and one.behind_mm.high == pytest.approx(both.behind_mm.high, abs=1e-9)


def test_by_plumb_no_level_moves_it():
    assert OneWayLook("inside", 0.02, way="plumb", falls_in_percent=5).inside_mm.low == pytest.approx(17.5)


@pytest.mark.parametrize(
    ("bad", "field"),
    [
        ({"told": "over", "size_m": 0.01}, "size_m"),
        ({"told": "inside", "size_m": 0.31}, "size_m"),
        ({"told": "inside", "size_m": -0.01}, "size_m"),
        ({"told": "inside", "seen_m": 0.5}, "seen_m"),
    ],
)
def test_what_can_not_be_told_is_refused(bad, field):
    with pytest.raises(OutOfLimits) as refused:
        OneWayLook(**bad)
    assert refused.value.field == field
