"""A card: where the eyes come to be, and the overlay they are found again on."""

import pytest

from libella.core.certainty.estimate import Estimate
from libella.core.drawing.scene import Circle, Label
from libella.core.keep.card import mirror_overlay, moved_card
from libella.core.see.eyes import EyeMark, EyeTake, eye_place
from libella.words.keep.card import card_rows, change_words


def look(inside, behind, apart=0.0):
    """The trail eye so many mm further in than the lead eye."""
    lead, trail = (EyeMark((inside + side * apart / 64) / 1000, (behind + side) / 1000) for side in (-32, 32))
    return EyeTake(lead, trail, seen_m=0.002, level_doubt_percent=0.05)


def test_a_card_takes_the_eyes_where_the_change_takes_them():
    takes = [look(-40, 30), look(-42, 28), look(-38, 32)]
    found = eye_place(takes, "right", (10, 50))
    card = moved_card({"inside": 40.0}, {"stance_m": 0.3}, found, takes, Estimate(0.1, -0.3, 0.5), (10, 50))
    assert card.kept.inside.value == pytest.approx(0, abs=1)
    (lead_in, lead_behind), (trail_in, trail_behind) = card.marks
    assert (lead_in, trail_in) == pytest.approx((0, 0), abs=1)
    assert trail_behind - lead_behind == pytest.approx(64)
    assert change_words(card, "metric") == "40 mm further in"
    assert dict(card_rows(card, "metric"))["Stance width"] == "30 cm"


def test_both_eyes_keep_their_distance_and_their_line():
    takes = [look(12, 60, apart=4)] * 3
    found = eye_place(takes, "right", (0.0, 20.0))
    card = moved_card({"inside": -8.0, "behind": 5.0}, {}, found, takes, Estimate(0.1, -0.2, 0.4), (0.0, 20.0))
    assert card.kept.inside.value == pytest.approx(found.inside.value - 8.0)
    assert card.kept.behind.value == pytest.approx(found.behind.value + 5.0)
    lead, trail = card.marks
    assert (lead[0] - trail[0], lead[1] - trail[1]) == pytest.approx((-4.0, -64.0))
    assert ((lead[0] + trail[0]) / 2, (lead[1] + trail[1]) / 2) == pytest.approx(
        (card.kept.inside.value, card.kept.behind.value)
    )


def test_a_card_without_looks_has_no_marks():
    card = moved_card({"chin": 1.0}, {}, None, [], None, None)
    assert card.marks is None and card.kept.inside is None and card.nose is None


@pytest.mark.parametrize("hand", ["right", "left"])
def test_the_overlay_has_each_eye_where_it_is_in_true_size(hand):
    scene = mirror_overlay(hand, (10, 50), ((12, -30), (14, 34)))
    rings, posts = (
        [(it.x, it.y) for it in scene.shapes if isinstance(it, Circle) and it.role == role] for role in ("ring", "post")
    )
    inside = -1 if hand == "right" else 1
    assert rings == posts == [(inside * 12, -30), (inside * 14, 34)]
    [zone] = [it for it in scene.shapes if it.shape == "area"]
    assert sorted({abs(x) for x, _ in zone.points}) == [10, 50] and all(x * inside > 0 for x, _ in zone.points)
    said = [it.text for it in mirror_overlay(hand, (-5.0, 20.0), None).shapes if isinstance(it, Label)]
    assert any("5 mm outside to 20 mm inside" in it for it in said)
