"""The set-up record: what may be noted, what changed, how far it wanders, and the drawings to scale."""

import numpy as np
import pytest

from libella.core.drawing.scene import flipped
from libella.core.measure.limits import OutOfLimits
from libella.core.stand.drawn import set_up_above, set_up_behind
from libella.core.stand.set_up import ENTRIES, Noted, checked
from libella.words.stand.set_up import value_words
from tests.said import beside, wander

from ...said import refusal

STANDS = {"ball_breast_m": 0.03, "ball_toes_m": 0.24, "stance_m": 0.3, "shoulders_deg": -4.0, "eye_height_m": 1.4}


@pytest.mark.parametrize(
    ("values", "field", "unit"),
    [
        ({"nose_m": 1.0}, "values.nose_m", ""),
        ({"ball_toes_m": 3.0}, "values.ball_toes_m", "m"),
        ({"weight_percent": 120}, "values.weight_percent", "%"),
        ({"feet_deg": "up"}, "values.feet_deg", "deg"),
        ({"ball_toes_m": "near"}, "values.ball_toes_m", "m"),
        ({"sole": 3.0}, "values.sole", ""),
        ({"tilt_deg": float("nan")}, "values.tilt_deg", "deg"),
    ],
)
def test_what_can_not_be_is_refused_with_field_limit_and_unit(values, field, unit):
    with pytest.raises(OutOfLimits) as refused:
        checked(values)
    assert (refused.value.field, refused.value.unit) == (field, unit) and refusal(refused.value).limit


def test_every_entry_takes_what_it_offers():
    for name, entry in ENTRIES.items():
        for option in entry.options:
            assert checked({name: option}) == {name: option}
        if entry.unit != "words":
            checked({name: entry.low}), checked({name: entry.high})
            assert entry.low < entry.high and entry.step > 0


def test_the_one_before_stands_beside_it_with_what_changed():
    now = STANDS | {"ball_toes_m": 0.26, "shoulders_deg": "parallel", "sole": "flat"}
    rows = {it.name: it for it in beside(now, STANDS | {"sole": "heel_up"}, "metric")}
    assert rows["ball_toes_m"].change == "20 mm further off" and rows["ball_toes_m"].before == "24 cm"
    assert rows["shoulders_deg"].change == "was 4° left"
    assert rows["sole"].change == "was heel up"
    assert rows["stance_m"].change == ""
    assert [it.name for it in beside(now, None, "metric") if it.change] == []


def test_less_than_half_a_step_is_no_change():
    rows = beside({"ball_toes_m": 0.242}, {"ball_toes_m": 0.24}, "metric")
    assert rows[0].change == ""


@pytest.mark.parametrize("steps", [-3.0, -0.6, 0.6, 1.0, 3.0])
def test_half_a_step_and_more_is_a_change_with_its_direction(steps):
    for name, entry in ENTRIES.items():
        if not entry.options and entry.step:
            middle = (entry.low + entry.high) / 2
            told = Noted(name, middle + steps * entry.step, middle)
            assert told.is_changed and told.moved == pytest.approx(steps * entry.step), name
            assert not Noted(name, middle + 0.4 * entry.step, middle).is_changed


def test_values_are_said_as_a_coach_says_them():
    assert value_words("hands_m", -0.02, "metric") == "−20 mm"
    assert value_words("shoulders_deg", -4.0, "metric") == "4° left"
    assert value_words("feet_deg", 0.0, "metric") == "parallel"
    assert value_words("weight_percent", 55.0, "metric") == "55 %"
    assert value_words("stance_m", 0.3048, "feet") == "1 ft"


def test_a_set_up_that_wanders_is_a_finding_and_one_that_does_not_is_not():
    rng = np.random.default_rng(2)
    times = [
        STANDS | {"ball_toes_m": 0.24 + float(rng.normal(0, 0.03)), "stance_m": 0.3 + float(rng.normal(0, 0.001))}
        for _ in range(6)
    ]
    found = {it.name: it for it in wander(times, "metric")}
    assert found["ball_toes_m"].wandering > 0.95 and "wanders" in found["ball_toes_m"].words
    assert found["stance_m"].wandering < 0.2 and "comes back" in found["stance_m"].words
    assert next(iter(found)) == "ball_toes_m"
    assert wander(times[:2], "metric") == ()


@pytest.mark.parametrize("hand", ["right", "left"])
def test_the_drawings_are_to_scale_and_mirrored_by_hand(hand):
    side = -1 if hand == "right" else 1
    above = set_up_above(STANDS, None, hand, "metric")
    tapes = {it.text: it for it in above.shapes if it.shape == "tape"}
    toes = tapes["24 cm"]
    assert (toes.y1, toes.y2) == (0, side * 240)
    assert abs(tapes["30 cm"].x2 - tapes["30 cm"].x1) == pytest.approx(300)
    [shoulders] = [it for it in above.shapes if it.shape == "line" and it.role == "limit"]
    turned = np.degrees(np.arctan2(shoulders.y2 - shoulders.y1, shoulders.x2 - shoulders.x1))
    # Four degrees left of the line, which a mirrored picture shows on the other side.
    assert turned == pytest.approx(-4 if hand == "right" else 4)
    behind = set_up_behind(STANDS, STANDS, 0.03, hand, "metric")
    [eye] = [it for it in behind.shapes if it.shape == "circle" and it.role == "post"]
    assert (eye.x, eye.y) == (side * 30, -1400)
    other = set_up_behind(STANDS, STANDS, 0.03, "left" if hand == "right" else "right", "metric")
    assert tuple(flipped(it) for it in behind.shapes) == other.shapes
