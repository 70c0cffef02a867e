"""The perception map: what moves the looks-straight angle, the smallest playable change, and how sure it is."""

from dataclasses import replace

import numpy as np
import pytest

from libella.core.certainty.estimate import Estimate
from libella.core.measure.limits import OutOfLimits
from libella.core.see.map import Tried, perception_map, rows_at
from libella.core.see.map_drawn import map_scene
from libella.core.see.map_explained import map_explained
from libella.core.see.method import LooksStraight, by_directions
from libella.core.see.position import LEVERS, position_of, same_place
from libella.core.see.trial import Trial
from libella.core.simulated.golfer import SimulatedEyes
from libella.words.see.map import map_words
from libella.words.see.position import position_words
from tests.said import aim_question

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
    assert found.at({}).doubt == pytest.approx(1.645 * 2, rel=1e-3)
    # A lever matters or not: what is not known there lies between both.
    assert 1.645 * 2 < found.at({"tilt": 5.0}).doubt < 1.645 * np.hypot(2, 1)
    assert found.change is None and found.next == {}
    assert "as usual" in map_words(found, "metric").sure


def test_a_test_counts_once_its_own_prior_is_taken_out():
    # A test that saw nothing gives its prior back; the map must not grow surer by it.
    nothing = mapped(Tried({}, seen(0.0, 1.645 * 1.999)))
    assert nothing.at({}).doubt == pytest.approx(1.645 * 2, rel=0.01)
    once = mapped(tried(1.0)).at({})
    assert once.value == pytest.approx(1.0, abs=0.03) and once.doubt == pytest.approx(0.39, abs=0.03)


@pytest.mark.parametrize("sign", [-1, 1])
def test_a_place_that_looks_truer_is_asked_again_before_it_is_a_change(sign):
    there = 1.2 - 1.0
    once = [tried(sign * 1.2), tried(sign * there, inside=25.0), tried(sign * 1.2, behind=25.0)]
    found = mapped(*once)
    assert found.change is None and found.ask_again.position == {"inside": 25.0} == found.next
    words = map_words(found, "metric")
    assert words.headline == "Worth asking again: 25 mm further in." and "no change yet" in words.sure
    twice = mapped(*once, tried(sign * there, inside=25.0))
    assert twice.change.position == {"inside": 25.0} and twice.change.stands and twice.change.truer >= 0.8
    assert twice.change.after.low < 0.3 and twice.ask_again is None
    words = map_words(twice, "metric")
    assert words.headline.startswith("Smallest playable change: 25 mm further in") and "asked there again" in words.sure
    assert ("right" if sign > 0 else "left") in words.effects[0].measured
    fallen = mapped(*once, tried(sign * 1.3, inside=25.0))
    assert fallen.change is None


def test_a_lever_that_may_do_nothing_is_not_thought_to_do_much():
    """One test hardly off its neighbours is more likely noise than a lever."""
    found = mapped(tried(1.2, 0.5), tried(0.9, 0.5, inside=25.0), tried(1.4, 0.5, behind=25.0))
    assert found.ask_again is None and found.change is None
    assert all(it.sure == "open" for it in found.effects)
    assert "can't be told yet" in map_words(found, "metric").effects[0].measured
    still = mapped(tried(1.2, 0.1), tried(1.2, 0.1, inside=25.0), tried(1.2, 0.1, inside=-25.0))
    assert still.effects[0].matters <= 0.2 and "Does nothing" in map_words(still, "metric").effects[0].measured


def test_a_map_that_bends_is_not_read_as_a_slope():
    """Truer both ways: neither direction is a slope, and both places are worth asking."""
    found = mapped(tried(1.6, 0.2), tried(0.6, 0.2, inside=30.0), tried(0.6, 0.2, inside=-30.0))
    assert {25.0, 30.0, -30.0} & {it.position.get("inside") for it in found.worth_asking}
    at = [found.at({"inside": x}).value for x in (-30.0, 0.0, 30.0)]
    assert at[1] - at[0] > 0.5 and at[1] - at[2] > 0.5


def test_what_can_not_be_played_from_bounds_the_map_and_is_never_proposed():
    usual = tried(1.5, 0.1)
    bound = mapped(usual, tried(0.3, 0.1, inside=25.0, playable=False), tried(1.5, 0.1, behind=25.0))
    assert bound.bounds("inside") == (-60, 20)
    assert all(it.position.get("inside", 0) <= 20 for it in bound.worth_asking)


def test_of_changes_that_stand_the_one_easiest_to_play_is_proposed():
    twice = [*(tried(0.2, 0.15, inside=25.0) for _ in range(2)), *(tried(0.2, 0.15, behind=40.0) for _ in range(2))]
    assert mapped(tried(1.4, 0.15), *twice).change.position == {"inside": 25.0}
    dear = [*(tried(0.2, 0.15, inside=25.0, comfort=1) for _ in range(2)), *twice[2:]]
    assert mapped(tried(1.4, 0.15), *dear).change.position == {"behind": 40.0}


def test_who_sees_straight_as_it_is_has_nothing_to_change():
    found = mapped(tried(0.05, 0.1), tried(0.7, 0.2, inside=25.0))
    assert found.is_true_already and found.change is None
    assert "nothing to mend" in map_words(found, "metric").headline


def test_a_lever_whose_direction_nobody_knows_is_never_proposed():
    found = mapped(tried(1.2, 0.4), tried(1.15, 0.6, inside=25.0))
    assert found.change is None and found.ask_again is None
    assert "nothing known yet" in map_words(found, "metric").headline
    assert found.next and found.next != {"inside": 25.0}


def test_what_does_not_tell_is_left_out():
    contradictory = Tried({"inside": 25.0}, seen(5.0, too_noisy=True))
    few = Tried({"inside": -25.0}, seen(-5.0, trials=3))
    assert mapped(tried(1.0), contradictory, few).at({}).value == pytest.approx(mapped(tried(1.0)).at({}).value)


def test_the_next_place_is_new_and_in_bounds_and_ends_with_the_change_itself():
    places = [tried(1.2)]
    truth = {"inside": -0.03, "behind": 0.01, "tilt": 0.0, "chin": 0.0, "distance": 0.0, "ball": 0.0}
    for _ in range(6):
        found = mapped(*places)
        position = found.next
        again = found.ask_again is not None and position == found.ask_again.position
        assert again or not any(same_place(position, it.position) for it in places)
        assert all(abs(moved) <= LEVERS[lever].reach for lever, moved in position.items())
        places.append(tried(1.2 + sum(truth[lever] * moved for lever, moved in position.items()), **position))
    assert {"inside": 25.0} in [dict(it.position) for it in places[:3]]


def ask(rng, eyes, n=14):
    angles = rng.permutation(np.linspace(-3.5, 3.5, n))
    return by_directions([Trial(float(a), eyes.looks(rng, float(a))) for a in angles], LIMIT)


def test_golfers_whom_nothing_moves_are_seldom_asked_again_and_one_whom_a_lever_moves_often_is():
    """A small run of tests/bench/map.py: usual and five levers once each."""
    places = [{}, {"inside": 25.0}, {"behind": 25.0}, {"tilt": 5.0}, {"chin": 6.0}, {"distance": 25.0}]
    asked = {"nothing": 0, "inside": 0}
    held = 0
    for seed in range(30):
        for name, slopes in (("nothing", {}), ("inside", {"inside": -1.2 / 25})):
            rng = np.random.default_rng([seed, len(slopes)])
            eyes = SimulatedEyes(1.4, 0.6, 0.3, slopes)
            found = mapped(*(Tried(it, ask(rng, eyes.at(it))) for it in places))
            assert found.change is None
            again = found.ask_again
            asked[name] += again is not None and (name == "nothing" or set(again.position) == {"inside"})
            held += sum(found.at(it).low <= eyes.at(it).straight_deg <= found.at(it).high for it in places)
    assert asked["nothing"] <= 4 and asked["inside"] >= 20
    assert held / (60 * len(places)) >= 0.85


def test_the_picture_is_mirrored_for_a_left_handed_golfer_and_shades_what_may_be():
    found = mapped(tried(1.2), tried(0.4, inside=25.0), tried(1.4, behind=25.0))
    right, left = (map_scene(found, hand, (-40.0, 30.0)) for hand in ("right", "left"))
    assert [it.role for it in right.shapes] == [it.role for it in left.shapes]
    assert sum(it.role == "shade" for it in right.shapes) > 20
    zero = [it for it in right.shapes if it.shape == "curve" and it.role == "limit"]
    assert zero
    for x, y in (point for it in zero for point in it.points):
        assert abs(rows_at(np.array([-y]), np.array([-x])) @ found.mean) < 0.01
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


def test_opened_it_tells_what_each_test_is_worth():
    places = [tried(1.2, 0.2), tried(0.0, 0.2, inside=25.0), tried(0.1, 0.2, inside=25.0), tried(1.2, 0.2, chin=5.0)]
    whole, over_all = mapped(*places), map_explained(places, LIMIT, None)
    assert whole.change is not None and over_all.place == whole.change.position
    assert over_all.chance == pytest.approx(whole.change.truer)
    for one in over_all.without:
        rest = mapped(*places[: one.test], *places[one.test + 1 :])
        # Without the test as usual nothing can be called truer than now.
        assert (one.chance is None) == (one.test == 0)
        assert one.chance is None or one.chance == pytest.approx(rest.truer(over_all.place))
    assert over_all.without[0].test == 0
    eyes = map_explained(places, LIMIT, "inside")
    told = next(it for it in whole.effects if it.lever == "inside")
    assert eyes.chance == pytest.approx(max(told.right, told.left)) and eyes.slope_sd == LEVERS["inside"].slope_sd
    # A lever that was not moved is weighed by nothing, and no test moves what is not said.
    assert map_explained(places, LIMIT, "tilt").chance is None and map_explained(places, LIMIT, "tilt").without == ()
    true_already = map_explained([tried(0.0, 0.1)] * 2, LIMIT, None)
    assert true_already.place == {} and true_already.chance == pytest.approx(true_already.map.enough({}))
