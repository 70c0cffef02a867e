"""The perception map: what moves the looks-straight angle, the smallest playable change, and how sure it is."""

from dataclasses import replace

import numpy as np
import pytest

from libella.core.estimate import Estimate
from libella.core.limits import OutOfLimits
from libella.core.perception import LooksStraight, Trial, by_directions
from libella.core.perception.aim import aim_question
from libella.core.perception.map import Tried, perception_map
from libella.core.perception.map_words import map_scene, map_words
from libella.core.perception.position import LEVERS, position_of, position_words, same_place
from libella.core.simulated import SimulatedEyes

LIMIT = 0.3


def seen(angle, doubt=0.3, trials=20, **more):
    found = LooksStraight(trials, Estimate(angle, angle - doubt, angle + doubt), Estimate(0.6, 0.4, 0.9), None, 0, 0)
    return replace(found, **more)


def tried(angle, doubt=0.3, *, playable=True, comfort=None, **position):
    return Tried(position, seen(angle, doubt), playable, comfort)


def mapped(*places):
    return perception_map(places, LIMIT)


def test_without_a_test_the_map_is_its_prior_and_asks_as_usual_first():
    found = mapped()
    assert found.at({}).doubt == pytest.approx(1.645 * 2)
    assert found.at({"tilt": 5.0}).doubt == pytest.approx(1.645 * np.hypot(2, 1))
    assert found.change is None and found.next == {}
    assert "as usual" in map_words(found, "metric").sure


def test_a_test_counts_once_its_own_prior_is_taken_out():
    # A test that saw nothing gives its prior back; the map must not grow surer by it.
    nothing = mapped(Tried({}, seen(0.0, 1.645 * 1.999)))
    assert nothing.at({}).doubt == pytest.approx(1.645 * 2, rel=0.01)
    once = mapped(tried(1.0)).at({})
    assert once.value == pytest.approx(1.0, abs=0.03) and once.doubt == pytest.approx(0.39, abs=0.03)


@pytest.mark.parametrize("sign", [-1, 1])
def test_golfers_of_either_direction_get_the_change_that_suits_them(sign):
    found = mapped(tried(1.2), tried(1.2 + sign * 0.75, inside=25.0))
    change = found.change
    assert set(change.position) == {"inside"} and np.sign(change.position["inside"]) == -sign
    assert change.after.low < 0 < change.after.high and change.reaches and change.nearer > 0.9
    words = map_words(found, "metric")
    assert ("further out" if sign > 0 else "further in") in words.headline
    assert ("swing" in words.effects[0].measured) and ("left" if sign > 0 else "right") in words.effects[0].measured


def test_the_change_is_the_smallest_of_all_that_reach():
    found = mapped(tried(1.2), tried(0.4, inside=25.0), tried(0.8, behind=25.0))
    it = found.change.position
    slope = found.mean[1:3]
    cost = (it["inside"] / 20) ** 2 + (it["behind"] / 20) ** 2
    for behind in np.linspace(-60, 60, 25):
        inside = -(found.mean[0] + slope[1] * behind) / slope[0]
        if abs(inside) <= 60:
            # Rounding to what can be set may cost a little either way.
            assert (inside / 20) ** 2 + (behind / 20) ** 2 > cost - 0.6


def test_what_can_not_be_played_from_bounds_the_change_and_discomfort_makes_it_dear():
    usual, chin = tried(1.5, 0.1), tried(1.0, 0.1, chin=6.0)
    free = mapped(usual, tried(1.0, 0.1, inside=25.0), chin)
    assert free.change.position["inside"] > 20
    bound = mapped(usual, tried(1.0, 0.1, inside=25.0, playable=False), chin)
    assert bound.bounds("inside") == (-60, 20) and bound.change.position["inside"] <= 20
    dear = mapped(usual, tried(1.0, 0.1, inside=25.0, comfort=1), chin)
    assert dear.change.position.get("inside", 0) < free.change.position["inside"]
    assert dear.change.position["chin"] > free.change.position["chin"]


def test_where_no_playable_change_does_it_the_other_roads_are_offered():
    found = mapped(tried(3.0), tried(2.4, 0.1, inside=25.0))
    assert not found.change.reaches
    words = map_words(found, "metric")
    assert "No playable change" in words.headline and len(words.roads) == 3
    assert not mapped(tried(0.1), tried(0.9, inside=25.0)).change.position


def test_a_lever_whose_direction_nobody_knows_is_never_proposed():
    found = mapped(tried(1.2, 0.4), tried(1.15, 0.6, inside=25.0))
    assert found.change is None
    assert "not known yet" in map_words(found, "metric").headline
    assert found.next and found.next != {"inside": 25.0}


def test_what_does_not_tell_is_left_out():
    contradictory = Tried({"inside": 25.0}, seen(5.0, too_noisy=True))
    few = Tried({"inside": -25.0}, seen(-5.0, trials=3))
    assert mapped(tried(1.0), contradictory, few).at({}).value == pytest.approx(mapped(tried(1.0)).at({}).value)


def test_the_next_place_is_new_and_in_bounds_and_ends_with_the_change_itself():
    places = [tried(1.2)]
    truth = {"inside": -0.03, "behind": 0.01, "tilt": 0.0, "chin": 0.0, "distance": 0.0, "ball": 0.0}
    for _ in range(6):
        position = mapped(*places).next
        assert not any(same_place(position, it.position) for it in places)
        assert all(abs(moved) <= LEVERS[lever].reach for lever, moved in position.items())
        places.append(tried(1.2 + sum(truth[lever] * moved for lever, moved in position.items()), **position))
    assert {"inside": 25.0} in [dict(it.position) for it in places[:3]]


def ask(rng, eyes, n=18):
    angles = rng.permutation(np.linspace(-3.5, 3.5, n))
    return by_directions([Trial(float(a), eyes.looks(rng, float(a))) for a in angles], LIMIT)


def test_proposals_land_within_their_stated_interval_nine_times_in_ten():
    held = made = 0
    for seed in range(45):
        rng = np.random.default_rng(seed)
        slopes = {lever: float(rng.normal(0, about.slope_sd)) for lever, about in LEVERS.items()}
        eyes = SimulatedEyes(float(rng.normal(0, 1.5)), 0.5, 0.3, slopes)
        places = []
        for position in ({}, {"inside": 25.0}, {"inside": -25.0}, {"behind": 25.0}, {"behind": -25.0}):
            # The head comes back to within some millimetres of where it was asked for.
            there = {lever: moved + float(rng.normal(0, 3)) for lever, moved in position.items()}
            places.append(Tried(position, ask(rng, eyes.at(there))))
        change = mapped(*places).change
        if change and change.position:
            made += 1
            held += change.after.low <= eyes.at(change.position).straight_deg <= change.after.high
    assert made >= 25 and 0.84 * made <= held


def test_the_picture_is_mirrored_for_a_left_handed_golfer_and_shades_what_may_be():
    found = mapped(tried(1.2), tried(0.4, inside=25.0), tried(1.4, behind=25.0))
    right, left = (map_scene(found, hand, (-40.0, 30.0)) for hand in ("right", "left"))
    assert [it.role for it in right.shapes] == [it.role for it in left.shapes]
    assert sum(it.role == "shade" for it in right.shapes) > 20
    [zero] = [it for it in right.shapes if it.shape == "line" and it.role == "limit"]
    for x, y in ((zero.x1, zero.y1), (zero.x2, zero.y2)):
        assert found.at({"inside": -y, "behind": -x}).value == pytest.approx(0, abs=1e-6)
    assert not any(
        it.role == "shade" for it in map_scene(mapped(tried(1.0)), "right", None).shapes if it.shape == "line"
    )


def test_positions_are_said_and_what_is_none_is_refused():
    assert position_words({"inside": 20.0, "chin": -5.0}, "metric") == "20 mm further in, 5° chin tucked"
    assert position_of({"inside": 0.0}) == {}
    for moved, field in (({"nose": 1}, "position.nose"), ({"tilt": 50}, "position.tilt")):
        with pytest.raises(OutOfLimits) as refused:
            position_of(moved)
        assert refused.value.field == field


@pytest.mark.parametrize(
    ("sight", "aim", "does"),
    [(1.5, 1.4, "follows"), (1.5, -1.2, "against"), (1.5, 0.0, "neither"), (-1.5, -1.4, "follows"), (0.1, 1.0, "open")],
)
def test_whether_the_aim_follows_the_picture_is_told_by_data(sight, aim, does):
    found = aim_question(Estimate(sight, sight - 0.3, sight + 0.3), Estimate(aim, aim - 0.2, aim + 0.2), LIMIT)
    assert found.does == does


def test_it_stays_a_question_until_the_data_answer_it():
    sight = Estimate(1.5, 1.1, 1.9)
    assert aim_question(sight, None, LIMIT).headline.endswith("?")
    assert aim_question(None, None, LIMIT).does == "open"
    assert aim_question(sight, Estimate(0.4, -1.0, 1.8), LIMIT).does == "open"
