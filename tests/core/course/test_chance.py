"""The chance of holing: reference numbers, simulated putts, what it does as things get better or worse; rounds."""

import math

import numpy as np
import pytest

from libella.core.certainty.estimate import normal
from libella.core.certainty.verdict import Verdict
from libella.core.change.made import Tried, made_at
from libella.core.change.retest import Retest, Way
from libella.core.course.chance import LENGTHS_M, Green, chances, known_starter
from libella.core.course.explained import AT_M, middle_at, outlook_explained
from libella.core.course.golf_round import FIRST_PUTTS, Played
from libella.core.course.outlook import changed_by, outlook, read_error, starter_of
from libella.core.course.roller import Finish, Roller, known_roller, roller
from libella.core.estimate.cost import Mix
from libella.core.green.capture import capture_offset, deceleration
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window

from ...bench.course import parted
from ..estimate.reference import cases

GREEN = Green(10.0)


def one(length, starter, roller_, green=GREEN):
    return float(chances(np.array([length]), starter, roller_, green)[0, 0])


@pytest.mark.parametrize("row", cases("chance"), ids=lambda it: f"{it['distance_m']} m, {it['mu_deg']}, {it['sd_deg']}")
def test_reference_numbers(row):
    found = one(
        row["distance_m"],
        known_starter(row["mu_deg"], row["sd_deg"], row["read_sd_deg"]),
        known_roller(row["past_mean_m"], row["past_sd_m"], 0.0),
        Green(row["green_speed_ft"], row["capture"]),
    )
    assert found == pytest.approx(row["chance"], abs=0.005)


def simulated(length, bias, spread, roll, green, n=100_000):
    """Putts rolled one by one: a straight line at its own angle and speed, and the rule of capture where it passes."""
    rng = np.random.default_rng(4)
    turned = np.radians(rng.normal(bias, math.hypot(spread, 0.5), n))
    past = rng.normal(roll[0], roll[1] + roll[2] * length, n)
    beside = np.abs(length * np.sin(turned))
    speed = np.sqrt(2 * deceleration(green.speed_ft) * np.maximum(past, 0))
    admitted = np.array([capture_offset(float(it), green.capture) for it in speed])
    return float(np.mean((past >= 0) & (beside <= admitted) & (admitted > 0)))


@pytest.mark.parametrize("golfer", range(12))
def test_simulated_putts_fall_as_often_as_was_said(golfer):
    rng = np.random.default_rng(golfer)
    bias, spread = rng.normal(0, 0.8), rng.uniform(0.5, 1.8)
    roll = rng.uniform(0.1, 0.5), rng.uniform(0.05, 0.2), rng.uniform(0.05, 0.2)
    green = Green(rng.uniform(8, 12), "free_fall" if golfer % 3 == 0 else "rim_assisted")
    for length in (0.7, 1.2, 2.0, 3.3, 5.0, 8.0):
        said = one(length, known_starter(bias, spread), known_roller(*roll), green)
        assert said == pytest.approx(simulated(length, bias, spread, roll, green), abs=0.01), length


def test_the_chance_falls_with_length_with_bias_and_with_spread():
    curve = chances(np.array(LENGTHS_M), known_starter(0.3, 1.0), roller([], 1), GREEN)[0]
    assert np.all(np.diff(curve) < 0) and 0 < curve[-1] < curve[0] <= 1
    usual = roller([], 1)
    assert one(2.0, known_starter(0.0, 1.0), usual) > one(2.0, known_starter(0.8, 1.0), usual)
    assert one(2.0, known_starter(0.0, 0.7), usual) > one(2.0, known_starter(0.0, 1.2), usual)
    # Left and right are alike, and who never gets there never holes.
    assert one(2.0, known_starter(0.8, 1.0), usual) == pytest.approx(one(2.0, known_starter(-0.8, 1.0), usual))
    assert one(2.0, known_starter(0.0, 1.0), known_roller(-2.0, 0.05, 0.0)) < 1e-6


def test_rounds_come_to_what_the_handbook_says():
    for spread, putts in ((0.7, 30.9), (1.0, 32.2), (1.4, 33.7)):
        it = Played(known_starter(0.0, spread), known_roller(0.30, 0.10, 0.15), GREEN).round()
        assert it.average.value == pytest.approx(putts, abs=0.1)
        assert 3 < it.single < 5


def test_a_round_played_putt_by_putt_comes_to_the_same():
    rng = np.random.default_rng(2)
    first = [length for length, n in FIRST_PUTTS() for _ in range(n)]
    rounds = np.zeros(1500)
    for n in range(len(rounds)):
        for length in first:
            left = length
            for putt in range(1, 7):
                rounds[n] += 1
                past, turned = rng.normal(0.3, 0.1 + 0.15 * left), math.radians(rng.normal(0.5, math.hypot(1.1, 0.5)))
                speed = math.sqrt(2 * deceleration(10.0) * max(past, 0))
                admitted = capture_offset(speed, "rim_assisted")
                if (past >= 0 and admitted > 0 and abs(left * math.sin(turned)) <= admitted) or putt == 6:
                    break
                gone = max(left + past, 0.0)
                left = max(0.15, math.sqrt(left**2 + gone**2 - 2 * left * gone * math.cos(turned)))
    it = Played(known_starter(0.5, 1.1), known_roller(0.3, 0.1, 0.15), GREEN).round()
    assert it.average.value == pytest.approx(rounds.mean(), abs=0.25)
    assert it.single == pytest.approx(1.645 * rounds.std(), rel=0.15)


def test_the_roll_is_an_opinion_until_five_finishes_were_noted_then_it_is_fitted():
    rng = np.random.default_rng(8)

    def noted(length, n):
        past = rng.normal(0.55, 0.05 + 0.08 * length, n)
        return [Finish(length, Interval(it - 0.05, it + 0.05)) for it in past]

    opinion = roller(noted(3.0, 4), 50)
    assert opinion.told == 0 and set(opinion.past_m) == {0.30}
    # One length tells what it is there, and leaves the doubt of carrying it to another.
    near = roller(noted(3.0, 40), 400)
    assert (near.told, near.at_m) == (40, 3.0)
    assert np.mean(near.past_m) == pytest.approx(0.55, abs=0.12)
    there, far = (near.spread_at(np.array([it])) for it in (3.0, 9.0))
    # Forty putts tell a spread to an eighth; what is believed before them lies wider.
    assert np.mean(there) == pytest.approx(0.29, abs=0.09)
    assert np.std(far) / np.mean(far) > 1.3 * np.std(there) / np.mean(there)
    fitted = roller([*noted(2.0, 40), *noted(6.0, 40)], 400)
    assert (fitted.told, fitted.at_m) == (80, None)
    assert np.mean(fitted.past_m) == pytest.approx(0.55, abs=0.08)
    assert np.mean(fitted.spread_at(np.array([6.0]))) == pytest.approx(0.53, abs=0.12)


def test_a_misses_end_further_off_from_further_away():
    left = Played(known_starter(0.0, 1.0), roller([], 1), GREEN).left((2.0, 4.5, 9.0))
    assert [it.length_m for it in left] == [2.0, 4.5, 9.0]
    assert left[0].median_m < left[1].median_m < left[2].median_m
    assert all(it.near_m <= it.median_m <= it.far_m for it in left)


def test_a_change_that_mended_a_bias_is_worth_putts_and_one_about_the_spread_leaves_the_bias():
    before = starter_of(normal(1.2, 0.15), normal(1.0, 0.1))
    ways = (Way((1.2, 0.15), (0.0, 0.1)), Way((0.1, 0.15), (0.3, 0.1)))
    told = Verdict("clear", "right", 0.99, 8.0)
    mix = Mix.one(Window(1.0, 1.0))
    line, spread = (Retest("a", it, normal(8, 2), told, True, mix, ways) for it in ("line", "spread"))
    after = changed_by(before, line)
    assert np.mean(after.bias_deg) == pytest.approx(0.1, abs=0.1) and np.array_equal(
        after.spread_deg, before.spread_deg
    )
    found = outlook(before, after, roller([], 256), GREEN, ())
    assert found.worth.low > 0 and found.changed[10].value > found.chance[10].value
    assert np.array_equal(changed_by(before, spread).bias_deg, before.bias_deg)
    assert changed_by(before, Retest("b", "roll", normal(8, 2), told, True, mix)) is None


def holed(length_m, times, of, read=True):
    return [Tried(length_m, n < times, read) for n in range(of)]


def test_a_record_is_set_against_the_chance_at_its_own_length_and_without_a_read_where_none_was_made():
    starter, rolls = starter_of(normal(0.0, 0.05), normal(0.8, 0.03)), known_roller(0.3, 0.1, 0.0)
    rolls = Roller(*(np.repeat(it, 256) for it in (rolls.past_m, rolls.spread_m, rolls.grows)))
    true = {read: one(2.5, known_starter(0.0, 0.8, 0.5 * read), known_roller(0.3, 0.1, 0.0)) for read in (True, False)}
    assert true[False] - true[True] > 0.05
    for read, share in true.items():
        as_true = made_at(holed(2.5, round(400 * share), 400, read), ())
        assert outlook(starter, None, rolls, GREEN, as_true).parts == ()
    # Where nobody said, it parts only if it does either way.
    for share in true.values():
        unsaid = made_at(holed(2.5, round(400 * share), 400, None), ())
        assert outlook(starter, None, rolls, GREEN, unsaid).parts == ()
    [parts] = outlook(starter, None, rolls, GREEN, made_at(holed(2.5, 100, 400, None), ())).parts
    assert parts.length_m == pytest.approx(2.5) and parts.fewer


def test_where_the_record_parts_for_sure_it_is_said_and_else_not():
    starter = starter_of(normal(0.0, 0.1), normal(1.0, 0.05))
    made = made_at(holed(2.0, 2, 40), [*holed(2.0, 5, 9), *holed(6.0, 0, 4)])
    [parts] = outlook(starter, None, roller([], 256), GREEN, made).parts
    assert (parts.length_m, parts.where, parts.fewer) == (2.0, "practice", True)


def test_what_is_predicted_of_its_own_golfer_is_seldom_said_to_part():
    rng = np.random.default_rng(3)
    said = 0
    for _ in range(16):
        starter = starter_of(normal(0.0, 0.1), normal(1.0, 0.05))
        truth = one(2.0, known_starter(0.0, 1.0), roller([], 1))
        made = made_at(holed(2.0, int(rng.binomial(30, truth)), 30), ())
        said += bool(outlook(starter, None, roller([], 256), GREEN, made).parts)
    assert said <= 4


@pytest.mark.parametrize("lengths", [(2.5,), (1.5, 4.0)])
def test_an_exact_record_is_seldom_said_to_be_noted_wrong(lengths):
    """Of ten in twelve it was: set against the chance at another length, with a pace and a read that weren't theirs."""
    more, fewer = parted(np.random.default_rng(37), lengths, 20)
    assert more <= 2 and fewer <= 2


def test_reads_tell_how_far_they_lie_off_once_there_are_three():
    assert read_error([2.0, -2.0]) == 0.5
    assert 0.5 < read_error([2.0, -2.0, 1.5]) < 2.0
    assert read_error([0.1] * 20) < 0.3


def test_what_may_be_expected_opens_to_numbers_that_give_it():
    starter, rolls = starter_of(normal(0.9, 0.2), normal(0.8, 0.1)), roller([], 256)
    it = outlook_explained(outlook(starter, None, rolls, GREEN, ()), starter, rolls, GREEN)
    shown = (round(one, 2) for one in (it.bias.value, it.spread.value, it.outlook.read_deg))
    roll = tuple(round(one, 2) for one in (it.past_m, it.spread_m, it.grows))
    assert middle_at(*shown, roll, GREEN) == pytest.approx(it.middle, abs=0.6)
    assert it.whole == pytest.approx(it.middle, abs=4)
    told = float(np.interp(AT_M, LENGTHS_M, [one.value for one in it.outlook.chance]))
    assert told == pytest.approx(it.whole, abs=0.5)
    more = {one.what: one.more for one in it.moves}
    assert all(one > 0 for one in more.values()) and it.moves[0].more == max(more.values())
    # Another golfer whose starts lie on the line: nothing is left to gain there.
    straight = starter_of(normal(0.0, 0.01), normal(0.8, 0.1))
    other = outlook_explained(outlook(straight, None, rolls, GREEN, ()), straight, rolls, GREEN)
    assert next(one.more for one in other.moves if one.what == "nothing_off") == pytest.approx(0, abs=0.1)
