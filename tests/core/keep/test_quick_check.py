"""The check for every day: steady is steady, drift is drift, and one look says what it can't tell."""

import numpy as np

from libella.core.certainty.estimate import Estimate
from libella.core.keep.quick_check import Kept, asked_angles
from libella.core.measure.interval import Interval
from libella.core.see.eyes import EyeMark, EyeTake
from libella.core.see.trial import Trial
from libella.core.simulated.golfer import SimulatedEyes
from tests.said import alert, drifts

KEPT = Kept(Estimate(20, 17, 23), Estimate(30, 27, 33), 2.0, Estimate(0.6, 0.2, 1.0))


def look(inside=20.0, behind=30.0, **more):
    lead, trail = (EyeMark(inside / 1000, (behind + side) / 1000) for side in (-32, 32))
    return EyeTake(lead, trail, **{"seen_m": 0.002, "level_doubt_percent": 0.05} | more)


def checked(inside=20.0, square=0.0, straight=0.6, seed=1, **more):
    eyes, rng = SimulatedEyes(straight, 0.4, 0.3), np.random.default_rng(seed)
    trials = [Trial(it, eyes.looks(rng, it)) for it in asked_angles(KEPT, seed)]
    return drifts(KEPT, look(inside, **more), Interval(square - 0.25, square + 0.25), trials, "metric")


def test_as_it_was_kept_is_steady():
    found = checked()
    assert [it.word for it in found] == ["steady", "steady", "steady"]
    assert alert(found) == "Steady: as it was kept."


def test_each_link_that_drifted_is_named_and_only_that():
    eyes = checked(inside=-15)
    assert eyes[0].word == "drifted" and "further out" in eyes[0].words
    assert alert(eyes).startswith("Drift: eyes.")
    assert checked(square=4.0)[1].word == "likely drifted"
    # The same eyes asked more often than a check asks: five answers alone see a change of 2° and more.
    assert checked(straight=4.5)[2].word in ("drifted", "likely drifted")


def test_eyes_have_drifted_from_ten_millimetres_on_either_way():
    sharp = Kept(Estimate(20, 19.9, 20.1), None, 0.1, None)
    for by in (-13, -7, 7, 13):
        found = drifts(sharp, look(20 + by, seen_m=0.001, level_doubt_percent=0.01), None, [], "metric")
        assert (found[0].word == "drifted") == (abs(by) > 10), by


def test_what_one_look_can_not_tell_it_does_not_tell():
    found = checked(inside=28, level_doubt_percent=0.8)
    assert found[0].word == "can't tell yet" and "can't tell" in found[0].words
    assert "not all of it" in alert(found)


def test_a_check_half_done_says_what_is_missing():
    found = drifts(KEPT, None, None, [], "metric")
    assert {it.word for it in found} == {"not looked at"} and "Nothing" in alert(found)
    bare = drifts(Kept(None, None, 8.0, None), look(), None, [], "metric")
    assert "holds no eyes" in bare[0].words and "holds no looks-straight" in bare[2].words


def test_the_five_angles_lie_about_the_kept_one_and_are_not_in_order():
    orders = {asked_angles(KEPT, seed) for seed in range(8)}
    assert len(orders) > 4
    for angles in orders:
        assert sorted(angles) == [-1.0, -0.25, 0.5, 1.25, 2.0]


def test_steady_golfers_are_seldom_alarmed():
    alarms = sum(any("drifted" in it.word for it in checked(20 + shift, seed=n)) for n, shift in
                 enumerate(np.random.default_rng(4).normal(0, 2, 60)))  # fmt: skip
    assert alarms <= 6
