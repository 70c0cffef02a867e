"""What is holed by length, and whether practice carries over to the course."""

import numpy as np
import pytest

from libella.core.change.made import LENGTHS_M, From, Tried, carried, interval, length_of, made_at, more_than
from libella.core.change.pace_table import Stroke, leave_at, pace_table
from libella.core.estimate.shares import Share
from libella.core.golfer.golf_round import Hole, checked_holes, told_together
from libella.core.measure.limits import OutOfLimits


def test_a_length_is_counted_with_the_nearest_by_ratio():
    assert [length_of(it) for it in (0.3, 1.2, 1.3, 2.4, 2.5, 40.0)] == [1.0, 1.0, 1.5, 2.0, 3.0, 12.0]
    made = made_at([Tried(2.1, True), Tried(1.9, False, read=False), Tried(6.2, False)], [Tried(2.0, True)])
    assert [(it.length_m, it.practice, it.course) for it in made] == [
        (2.0, Share(1, 2), Share(1, 1)),
        (6.0, Share(0, 1), Share(0, 0)),
    ]
    assert all(it.length_m in LENGTHS_M for it in made)
    assert made[0].practice_from == (From(2.1, 1), From(1.9, 1, read=False)) and made[1].course_from == ()


def test_a_share_is_told_with_an_interval_that_holds_it():
    it = interval(Share(7, 10))
    assert it.low < 70 < it.high and it.high - it.low > 25


def _played(share: float, of: int) -> list[Tried]:
    return [Tried(2.0, n < round(share * of)) for n in range(of)]


@pytest.mark.parametrize(
    ("practice", "course", "of", "word"),
    [(0.7, 0.7, 200, "carries"), (0.8, 0.4, 60, "parts"), (0.7, 0.6, 9, "open"), (0.4, 0.8, 60, "carries")],
)
def test_what_is_holed_in_practice_is_set_beside_the_course(practice, course, of, word):
    it = carried(made_at(_played(practice, of), _played(course, of)))
    assert it is not None and it.word == word and it.course == of
    assert it.less.low <= 100 * (practice - course) <= it.less.high


def test_lengths_that_only_one_has_say_nothing_of_the_other():
    assert carried(made_at([Tried(2.0, True)] * 9, [Tried(9.0, False)] * 9)) is None


def test_who_holes_alike_is_seldom_told_to_hole_less_there():
    rng, wrong = np.random.default_rng(5), 0
    for _ in range(400):
        told = [[Tried(2.0, bool(rng.random() < 0.6)) for _ in range(of)] for of in (40, 18)]
        it = carried(made_at(*told))
        wrong += it is not None and it.word == "parts"
    assert wrong / 400 <= 0.1


def test_the_table_of_backstroke_and_roll_finds_what_a_stroke_does_and_says_when_it_does_not():
    rng = np.random.default_rng(3)
    strokes = [Stroke(it, 40 * it**1.7 * float(np.exp(rng.normal(0, 0.04)))) for it in (0.15, 0.25, 0.35) * 5]
    it = pace_table(strokes)
    assert it is not None and it.fitted and it.strokes == 15
    for roll, back in it.rows:
        assert back == pytest.approx((roll / 40) ** (1 / 1.7), rel=0.06)
    # Never further than was putted, and a quarter beyond.
    rolls = [one.roll_m for one in strokes]
    assert all(min(rolls) / 1.25 <= roll <= max(rolls) * 1.25 for roll, _ in it.rows)
    wild = [Stroke(one.back_m, one.roll_m * float(np.exp(rng.normal(0, 0.3)))) for one in strokes]
    assert (told := pace_table(wild)) is not None and not told.fitted
    assert pace_table(strokes[:5]) is None and pace_table([Stroke(0.2, 3.0)] * 9) is None


def test_what_is_left_counts_the_holed_as_near_and_not_among_the_missed():
    it = leave_at(6.0, [0.0, 0.4, 0.5, 0.9, 1.2])
    assert (it.near, it.of) == (3, 5) and it.left is not None
    assert it.left.value == pytest.approx(0.7) and it.left.low <= 0.7 <= it.left.high
    assert leave_at(6.0, [0.0, 0.4]).left is None


def test_a_round_is_kept_as_it_can_be_and_no_other():
    told = told_together([[Hole(3.0, 1), Hole(9.0, 2, "left", "short")], [Hole(1.0, 3, "left")]])
    assert (told.rounds, told.holes, told.putts, told.left, told.short, told.right) == (2, 3, 6, 2, 1, 0)
    for bad in ((3.0, 1, "left"), (3.0, 0), (3.0, 9), (0.1, 1), (3.0, 2, "up")):
        with pytest.raises(OutOfLimits):
            Hole(*bad)
    for holes in ([], [Hole(3.0, 1)] * 37):
        with pytest.raises(OutOfLimits):
            checked_holes(holes)


def test_a_later_run_is_more_only_as_far_as_few_putts_can_tell():
    assert more_than(Share(4, 10), Share(4, 10)) == pytest.approx(0.5, abs=0.05)
    assert 0.5 < more_than(Share(4, 10), Share(5, 10)) < 0.8 < more_than(Share(3, 10), Share(8, 10))
    back = more_than(Share(8, 10), Share(3, 10))
    assert back == pytest.approx(1 - more_than(Share(3, 10), Share(8, 10)), abs=0.02)
