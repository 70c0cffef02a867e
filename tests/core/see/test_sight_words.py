"""What a test of looking straight says: never more than the answers hold."""

import pytest

from libella.core.measure.limits import OutOfLimits
from libella.core.measure.window import Window
from libella.core.see.method import FEWEST, by_adjustment, by_directions, pointed_to, spot_of, turned_to
from libella.core.see.straight import curve, laid_rod, sight_vial
from libella.core.see.trial import Trial
from libella.words.see.straight import rod_words, sight_words
from libella.words.see.straight import truer_words as less

from .test_perception import Seer, asked

WINDOW = Window(0.8, 0.8)


def said_of(beta, n=24, seed=3, noise=0.5):
    return by_directions(asked(Seer(beta, noise=noise, seed=seed), n), WINDOW.narrow_deg / 4)


@pytest.mark.parametrize(("beta", "side", "looks"), [(1.5, "right", "left"), (-1.5, "left", "right")])
def test_a_rod_that_must_point_right_means_a_true_line_looks_left(beta, side, looks):
    words = sight_words(said_of(beta))
    assert f"{side} of true, clear" in words.headline
    assert f"one on the true line looks {looks}" in words.meaning
    assert "nine in ten, from 24 answers" in words.doubt


def test_eyes_that_see_true_are_told_so():
    words = sight_words(said_of(0.0, n=60, noise=0.15))
    assert words.headline == "A true line looks straight." and "Nothing there to mend" in words.meaning


def test_too_few_answers_say_nothing_and_show_no_bubble():
    few = said_of(1.5, n=FEWEST - 1)
    if few.open_side is None:
        assert sight_words(few).headline == f"{FEWEST - 1} of at least {FEWEST} answers."
    assert sight_vial(few, (), WINDOW, settled=False).bubble_at is None
    assert sight_words(by_directions([], 0.2)).headline == "Nothing asked yet."


def test_all_alike_names_a_bound_and_how_to_go_on():
    found = by_directions([Trial(a, "right") for a in (-3, -2, -1, 0, 1, 2)], 0.2)
    words = sight_words(found)
    assert "All answers alike" in words.headline and "left" in words.headline
    assert "Turn the rod further left" in words.meaning
    assert sight_vial(found, (), WINDOW, settled=True).bubble_at is None


def test_two_tests_are_compared_by_size_and_not_by_side():
    near, far = said_of(0.1), said_of(-2.0, seed=5)
    assert less(near, far, ("with both eyes", "with one")) == less(far, near, ("with one", "with both eyes"))
    assert "truer with both eyes than with one: clear" in less(near, far, ("with both eyes", "with one"))
    assert "can't tell yet" in less(near, said_of(0.1, seed=9), ("a", "b"))


def test_adjustments_are_readings_of_the_angle():
    ends = [turned_to(x, 2.0, 0.005) for x in (0.03, 0.05, 0.04, 0.035, 0.045)]
    found = by_adjustment(ends, 0.2)
    assert found.angle.low < 1.146 < found.angle.high and found.zone is None
    assert pointed_to(0.04, 2.0, 0.005).anchor == pytest.approx(-turned_to(0.04, 2.0, 0.005).anchor)
    for bad, field in (((3.0, 2.0, 0.01), "beside_m"), ((0.1, 90, 0.01), "away_m"), ((0.1, 2.0, 0.5), "seen_m")):
        with pytest.raises(OutOfLimits) as refused:
            turned_to(*bad)
        assert refused.value.field == field and refused.value.unit == "m"


def test_the_rod_is_laid_by_tape():
    assert spot_of(1.0, 2.0) == pytest.approx(0.0349, abs=1e-4)
    assert rod_words(-0.75, spot_of(-0.75, 2.0), 2.0, "metric") == (
        "0.75° left: its far end 26 mm left of the line, 2.00 m away."
    )
    assert rod_words(0.0, 0.0, 2.0, "metric") == "on the line, its far end 2.00 m away."
    scene = laid_rod(spot_of(2.0, 2.0), 2.0, "metric", "The rod.")
    rod = next(it for it in scene.shapes if it.shape == "line" and it.role == "limit")
    assert (rod.x2, rod.y2) == pytest.approx((2000, 69.8), abs=0.1)
    assert all(scene.left <= it.x1 and it.x2 <= scene.right for it in scene.shapes if it.shape == "tape")


def test_the_curve_falls_for_left_rises_for_right_and_marks_each_answer():
    trials = tuple(asked(Seer(0.8, seed=2), 18))
    scene = curve(trials)
    left, right = (
        next(it for it in scene.shapes if it.shape == "curve" and it.role == role) for role in ("left", "right")
    )
    assert [y for _, y in left.points] == sorted(y for _, y in left.points)
    assert [-y for _, y in right.points] == sorted(-y for _, y in right.points)
    assert sum(it.shape == "circle" for it in scene.shapes) == len(trials)
