"""What is in hand: within limits, and told by what differs."""

from dataclasses import fields, replace

import pytest

from libella.core.golfer.kit import BALL_MARKS, NO_KIT, Kit, changed
from libella.core.measure.limits import OutOfLimits
from libella.words.change.kit import FIELDS, MARK_NAMES


def test_a_kit_differs_in_what_was_changed_alone():
    it = Kit("Blade", length_m=0.86, ball_mark="line")
    assert changed(NO_KIT, it) == ("putter", "length_m", "ball_mark")
    assert changed(it, replace(it, length_m=0.84)) == ("length_m",) and changed(it, it) == ()


@pytest.mark.parametrize(
    "bad",
    [
        {"length_m": 2.0},
        {"lie_deg": 20.0},
        {"loft_deg": 30.0},
        {"head_g": 20.0},
        {"ball_mark": "x"},
        {"ball": "b" * 81},
    ],
)
def test_what_no_putter_is_is_refused(bad):
    with pytest.raises(OutOfLimits):
        Kit(**bad)


def test_every_field_has_its_name():
    assert list(FIELDS) == [it.name for it in fields(Kit)] and set(MARK_NAMES) == set(BALL_MARKS)
