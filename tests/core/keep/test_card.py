"""A card: where the eyes come to be, and the overlay they are found again on."""

import pytest

from libella.core.certainty.estimate import normal
from libella.core.drawing.scene import Circle, Label
from libella.core.keep.card import mirror_overlay, moved_card
from libella.core.see.eyes import EyeMark, EyeTake, eye_place

USUAL = EyeTake(lead=EyeMark(0.010, 0.030), trail=EyeMark(0.014, 0.090))


def test_the_eyes_go_where_the_change_takes_them():
    found = eye_place([USUAL] * 3, "right", (0.0, 20.0))
    card = moved_card({"inside": -8.0, "behind": 5.0}, {}, found, [USUAL] * 3, normal(0.1, 0.2), (0.0, 20.0))
    assert card.kept.inside.value == pytest.approx(found.inside.value - 8.0)
    assert card.kept.behind.value == pytest.approx(found.behind.value + 5.0)
    lead, trail = card.marks
    # Both eyes keep their distance and their line; their middle is where the change takes them.
    assert (lead[0] - trail[0], lead[1] - trail[1]) == pytest.approx((-4.0, -60.0))
    assert ((lead[0] + trail[0]) / 2, (lead[1] + trail[1]) / 2) == pytest.approx(
        (card.kept.inside.value, card.kept.behind.value)
    )


def test_a_card_without_looks_has_no_marks():
    card = moved_card({"chin": 1.0}, {}, None, [], None, None)
    assert card.marks is None and card.kept.inside is None and card.nose is None


@pytest.mark.parametrize(("hand", "side"), [("right", -1), ("left", 1)])
def test_the_overlay_puts_inside_on_the_golfers_side(hand, side):
    scene = mirror_overlay(hand, (-5.0, 20.0), ((10.0, 30.0), (14.0, 90.0)), (12.0, 60.0))
    posts = [(it.x, it.y) for it in scene.shapes if isinstance(it, Circle) and it.role == "post"]
    assert posts == [(side * 10.0, 30.0), (side * 14.0, 90.0)]
    said = [it.text for it in scene.shapes if isinstance(it, Label)]
    assert any("5 mm outside to 20 mm inside" in it for it in said)
