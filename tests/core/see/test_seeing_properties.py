"""Properties of set-up, eyes, map and check that hold for any golfer."""

import math
from itertools import pairwise

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from libella.core.certainty.estimate import Estimate
from libella.core.drawing.scene import reach
from libella.core.keep.card import mirror_overlay
from libella.core.keep.quick_check import Kept, asked_angles
from libella.core.measure.limits import OutOfLimits
from libella.core.see.map import perception_map
from libella.core.see.map_drawn import map_scene
from libella.core.see.position import LEVERS, position_of, rounded
from libella.core.see.side_look import StringLook, StripLook
from libella.core.see.trial import TRUE
from libella.core.stand.drawn import set_up_above, set_up_behind
from libella.core.stand.set_up import ENTRIES, checked
from libella.words.see.map import map_words
from libella.words.see.position import position_words
from libella.words.stand.set_up import value_words
from tests.said import beside

from ...said import refusal
from .test_map import LIMIT, tried

angles = st.floats(-3, 3)
doubts = st.floats(0.15, 1.5)
numbers = [name for name, it in ENTRIES.items() if it.unit != "words"]


@st.composite
def set_ups(draw):
    names = draw(st.lists(st.sampled_from(sorted(ENTRIES)), unique=True, max_size=10))
    values = {}
    for name in names:
        entry = ENTRIES[name]
        words = st.sampled_from(sorted(entry.options)) if entry.options else st.nothing()
        number = st.floats(entry.low, entry.high) if entry.unit != "words" else st.nothing()
        values[name] = draw(words | number)
    return values


@given(set_ups(), set_ups(), st.sampled_from(["metric", "feet"]))
def test_any_set_up_is_said_drawn_and_set_beside_any_other(now, before, units):
    assert checked(now) == now
    rows = beside(now, before, units)
    assert [it.name for it in rows] == [name for name in ENTRIES if name in now]
    for it in rows:
        assert it.said and (not it.change or it.name in before)
        assert value_words(it.name, now[it.name], units) == it.said
    assert all(not it.change for it in beside(now, now, units))
    for hand in ("right", "left"):
        for scene in (set_up_above(now, before, hand, units), set_up_behind(now, before, 0.02, hand, units)):
            assert all(math.isfinite(edge) for edge in reach(scene.shapes)) and scene.left < scene.right


@given(st.sampled_from(numbers), st.floats(0.01, 5), st.booleans())
def test_a_number_beyond_its_limits_is_refused_in_its_unit(name, beyond, high):
    entry = ENTRIES[name]
    with pytest.raises(OutOfLimits) as refused:
        checked({name: entry.high + beyond if high else entry.low - beyond})
    assert refused.value.unit == entry.unit and entry.label in refusal(refused.value).message


@given(angles, angles, angles, doubts)
def test_a_golfer_who_sees_it_all_mirrored_gets_the_same_change(usual, inside, behind, doubt):
    def asked(sign):
        there = [tried(sign * inside, doubt, inside=25.0)] * 2
        return [tried(sign * usual, doubt), *there, tried(sign * behind, doubt, behind=25.0)]

    places, other = asked(1), asked(-1)
    one, two = perception_map(places, LIMIT), perception_map(other, LIMIT)
    assert one.at({"inside": 10.0}).value == pytest.approx(-two.at({"inside": 10.0}).value, abs=1e-4)
    chances = [it.truer for found in (one, two) for it in found.worth_asking]
    if any(abs(it - edge) < 0.02 for it in chances for edge in (0.55, 0.8)):
        return  # the draws of both are not mirrored: at an edge they may differ
    if one.change is None:
        assert two.change is None
    else:
        assert dict(one.change.position) == dict(two.change.position)


@given(angles, angles, doubts)
def test_a_test_makes_the_map_surer_where_it_was_asked_and_their_order_does_not_matter(usual, inside, doubt):
    one, two = tried(usual, doubt), tried(inside, doubt, inside=25.0)
    less, more = perception_map([one], LIMIT), perception_map([one, two], LIMIT)
    assert more.at({"inside": 25.0}).doubt <= less.at({"inside": 25.0}).doubt + 1e-9
    assert perception_map([two, one], LIMIT).at({}).value == pytest.approx(more.at({}).value)


@settings(max_examples=25, deadline=None)
@given(st.sampled_from([-1, 1]), st.floats(1.6, 3), st.floats(-0.1, 0.2), st.floats(-0.1, 0.6), st.floats(0.1, 0.25))
def test_a_change_stays_in_its_bounds_never_makes_it_worse_by_its_own_map_and_is_drawn(side, far, left, other, doubt):
    usual, inside, chin = (side * far * it for it in (1, left, other))
    found = perception_map(
        [tried(usual, doubt), *[tried(inside, doubt, inside=25.0)] * 2, *[tried(chin, doubt, chin=-6.0)] * 2], LIMIT
    )
    change = found.change
    assert change is not None
    for lever, moved in change.position.items():
        low, high = found.bounds(lever)
        assert low <= moved <= high and rounded(lever, moved) == moved
    assert abs(change.after.value) <= abs(change.before.value) + 1e-6
    assert 0 <= change.enough <= 1 and 0.8 <= change.truer <= 1
    words = map_words(found, "feet")
    assert words.headline and words.sure and len(words.effects) == len(LEVERS)
    assert map_scene(found, "left", (30.0, 20.0)).shapes


@given(st.dictionaries(st.sampled_from(sorted(LEVERS)), st.floats(-30, 30), max_size=4))
def test_any_position_is_said_and_comes_back_without_what_did_not_move(moved):
    position = position_of(moved)
    assert set(position) == {lever for lever, far in moved.items() if far}
    assert position_words(position, "metric").count(",") == max(0, len(position) - 1)


@given(st.floats(0.08, 0.55), st.floats(0.95, 1.9))
def test_what_a_string_covers_cuts_every_place_of_the_eyes_into_zones(string, eye):
    sides = [("off", "inside"), ("edge", "inside"), ("quarter", "inside"), ("splits", "outside"),
             ("quarter", "outside"), ("edge", "outside"), ("off", "outside")]  # fmt: skip
    zones = [StringLook(covers, side, string, eye).inside_mm for covers, side in sides]
    assert zones[0].low == -math.inf and zones[-1].high == math.inf
    for left, right in pairwise(zones):
        assert left.high == pytest.approx(right.low)
    # A higher string moves further for the same eyes: it tells the place more finely.
    higher = StringLook("quarter", "outside", min(0.6, string + 0.04), eye).inside_mm
    assert higher.high - higher.low < zones[4].high - zones[4].low


@given(st.floats(0.001, 0.1))
def test_a_strip_cuts_every_place_into_three(turns):
    dark, light, other = (StripLook("slot", it, turns).inside_mm for it in ("dark_near", "light", "dark_far"))
    assert (dark.low, dark.high, light.high, other.high) == (-math.inf, light.low, other.low, math.inf)


@given(st.floats(-8, 8), st.integers(0, 2**32 - 1))
def test_a_checks_angles_can_be_laid_whatever_the_card_says(kept, seed):
    asked = asked_angles(Kept(None, None, 5.0, Estimate(kept, kept - 0.4, kept + 0.4)), seed)
    assert len(asked) == 5 and all(TRUE.low <= it <= TRUE.high for it in asked)
    assert asked == asked_angles(Kept(None, None, 5.0, Estimate(kept, kept - 0.4, kept + 0.4)), seed)


@given(st.floats(-70, 70), st.floats(-90, 60), st.sampled_from(["right", "left"]))
def test_the_overlay_of_any_eyes_fits_its_page(inside, behind, hand):
    scene = mirror_overlay(hand, (-10.0, 120.0), ((inside, behind), (inside, behind + 64)))
    left, top, right, bottom = reach(scene.shapes)
    assert scene.left - 12 <= left and right <= scene.right + 12 and scene.top <= top + 12
    assert bottom <= scene.bottom + 40
