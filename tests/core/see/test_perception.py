"""What straight looks like: the fit against reference numbers and simulated golfers; the choice of the next angle."""

import numpy as np
import pytest
from scipy.stats import norm

from libella.core.measure.limits import OutOfLimits
from libella.core.see.fit import perceive
from libella.core.see.trial import Trial
from libella.core.simulated.golfer import SimulatedEyes

from ..estimate.reference import cases

SAYS = {"L": "left", "S": "straight", "R": "right"}


@pytest.mark.parametrize("case", cases("perception"))
def test_perception(case):
    found = perceive([Trial(it["true_deg"], SAYS[it["looks"]]) for it in case["trials"]], lapse=0)
    it = found.looks_straight
    assert it.value == pytest.approx(case["looks_straight_at_deg"], abs=0.02)
    assert (it.low, it.high) == pytest.approx(case["looks_straight_90"], abs=0.03)
    assert found.noise.value == pytest.approx(case["noise_median"], rel=0.01)
    assert found.zone.value == pytest.approx(case["straight_zone_median"], rel=0.01)
    assert not found.too_noisy and found.open_side is None


class Seer:
    """A simulated golfer with draws of its own."""

    def __init__(self, beta, noise=0.7, zone=0.4, seed=0):
        self.beta = beta
        self.eyes = SimulatedEyes(beta, noise, zone)
        self.rng = np.random.default_rng(seed)

    def looks(self, true_deg):
        return self.eyes.looks(self.rng, true_deg)


def asked(seer, n, fixed=None):
    """n trials, at the angles that tell most or at fixed ones in shuffled order."""
    trials = []
    for k in range(n):
        angle = fixed[k] if fixed is not None else perceive(trials).next_angle(float(seer.rng.random()))
        trials.append(Trial(angle, seer.looks(angle)))
    return trials


@pytest.mark.parametrize("beta", [-1.8, -0.4, 0.0, 1.1])
def test_golfers_of_either_direction_are_found(beta):
    found = perceive(asked(Seer(beta, seed=round(10 * beta) + 40), 24)).looks_straight
    assert found.low <= beta <= found.high
    assert found.high - found.low < 2.0


def test_intervals_hold_the_truth_about_nine_times_in_ten():
    rng = np.random.default_rng(3)
    held = 0
    for n in range(120):
        seer = Seer(rng.normal(0, 1.5), np.exp(rng.normal(np.log(0.7), 0.4)), np.exp(rng.normal(np.log(0.4), 0.5)), n)
        angles = rng.permutation(np.repeat(np.arange(-3, 3.5, 0.5), 2))
        found = perceive(asked(seer, 26, angles)).looks_straight
        held += found.low <= seer.beta <= found.high
    assert 98 <= held <= 118


def test_the_angles_chosen_narrow_it_more_than_fixed_ones():
    wide = {"chosen": [], "fixed": []}
    for n, beta in enumerate((-2.2, -1.0, 0.6, 1.9)):
        fixed = np.random.default_rng(n).permutation(np.arange(-4, 4.5, 0.5))
        for name, angles in (("chosen", None), ("fixed", fixed)):
            it = perceive(asked(Seer(beta, seed=n), 14, angles)).looks_straight
            wide[name].append(it.high - it.low)
    assert np.mean(wide["chosen"]) < 0.85 * np.mean(wide["fixed"])


def test_the_next_angle_is_near_what_is_not_known_and_can_not_be_foreseen():
    trials = [Trial(-2, "left"), Trial(2, "right"), Trial(0.5, "left"), Trial(1.5, "right")]
    found = perceive(trials)
    picks = {found.next_angle(draw) for draw in np.linspace(0, 0.999, 12)}
    assert len(picks) >= 2
    assert all(found.looks_straight.low - 2 <= it <= found.looks_straight.high + 2 for it in picks)
    assert all(it / 0.25 == round(it / 0.25) for it in picks)


def test_mirrored_answers_give_the_mirrored_angle():
    trials = [Trial(-1, "left"), Trial(0, "left"), Trial(1, "straight"), Trial(2, "right"), Trial(1.5, "left")]
    turned = {"left": "right", "right": "left", "straight": "straight"}
    one, other = perceive(trials), perceive([Trial(-it.true_deg, turned[it.looks]) for it in trials])
    assert one.looks_straight.value == pytest.approx(-other.looks_straight.value, abs=1e-3)
    assert one.above(0.5) == pytest.approx(1 - other.above(-0.5), abs=1e-3)


def test_contradictory_answers_are_too_noisy_and_good_ones_are_not():
    rng = np.random.default_rng(8)
    noisy = sum(
        perceive([Trial(float(a), str(rng.choice(["left", "right"]))) for a in rng.uniform(-3, 3, 16)]).too_noisy
        for _ in range(12)
    )
    assert noisy >= 10
    good = sum(
        perceive(asked(Seer(0.5, seed=n), 16, rng.permutation(np.linspace(-3, 3, 16)))).too_noisy for n in range(12)
    )
    assert good == 0


@pytest.mark.parametrize(("looks", "side"), [("left", "right"), ("right", "left"), ("straight", None)])
def test_answers_all_alike_leave_the_angle_open(looks, side):
    found = perceive([Trial(a, looks) for a in (-2, -1, 0, 1, 2)])
    assert found.open_side == side and not found.too_noisy
    if side == "right":
        assert found.looks_straight.low > 1
    assert perceive([]).open_side is None


def test_what_nobody_can_turn_is_refused():
    with pytest.raises(OutOfLimits) as refused:
        Trial(12, "left")
    assert refused.value.field == "true_deg" and refused.value.unit == "deg"


def test_chances_at_an_angle_add_up():
    found = perceive([Trial(0, "left"), Trial(2, "right")])
    said = found.answers(np.linspace(-6, 6, 25))
    assert said.sum(axis=1) == pytest.approx(np.ones(25))
    assert np.all(np.diff(said[:, 2]) > 0) and np.all(np.diff(said[:, 0]) < 0)
    assert norm.cdf(0) == pytest.approx(0.5)


def test_one_slip_among_many_answers_is_taken_for_one():
    answers = [
        Trial(at, "left" if at < 0.25 else "right") for at in (-3, -2, -1.5, -1, -0.5, 0, 0.5, 1, 1.5, 2, 2.5, 3)
    ]
    clean, slipped = perceive(answers), perceive([*answers, Trial(3.0, "left")])
    believed = perceive([*answers, Trial(3.0, "left")], lapse=0.0)
    assert abs(slipped.looks_straight.value - clean.looks_straight.value) < 0.2
    # Taken at its word it would blur all the others.
    assert slipped.noise.value < 0.75 * believed.noise.value


def test_answers_are_called_too_noisy_from_eight_on():
    said = ("right", "left", "left", "right", "straight", "right", "left", "right", "left")
    trials = [Trial(at, looks) for at, looks in zip((-2, 2, -1, 1, 0, -2, 2, -1, 1), said, strict=True)]
    assert [perceive(trials[:n]).too_noisy for n in (3, 7, 8, 9)] == [False, False, True, True]


@pytest.mark.parametrize("weight", [0.5, 0.25])
def test_answers_that_all_count_less_contradict_each_other_no_more_than_whole_ones(weight):
    """Flagged, the answers of this golfer were told to contradict each other more than guesses would."""
    said = ["0.5L", "1.75S", "1.25S", "2.0L", "3.0R", "2.75R", "1.75S", "2.0R", "1.25S", "1.5S", "1.25S", "0.25L"]
    whole = [Trial(float(it[:-1]), SAYS[it[-1]]) for it in said]
    less = perceive([it.weighing(weight) for it in whole])
    assert not perceive(whole).too_noisy and not less.too_noisy
    guessed = [Trial((n % 8 - 4) * 0.75, "left" if (n * 7) % 5 < 2 else "right") for n in range(16)]
    assert perceive(guessed).too_noisy and perceive([it.weighing(weight) for it in guessed]).too_noisy


def test_guesses_that_count_less_beside_good_answers_do_not_take_the_angle_away():
    good = [Trial(n / 2, "left" if n < 1 else "straight" if n < 3 else "right") for n in range(-5, 9)]
    guesses = [Trial(4.5 - n, "left" if n < 4 else "right") for n in range(8)]
    assert perceive([*good, *guesses]).too_noisy
    beside = perceive([*good, *(it.weighing(0.25) for it in guesses)])
    assert not beside.too_noisy and beside.looks_straight.value == pytest.approx(0.75, abs=0.4)
