"""Aim at address: judged as a block is, link by link, and added up."""

import numpy as np
import pytest

from libella.core.aim.links import by_degrees
from libella.core.aim.picture import aim_question
from libella.core.certainty.estimate import Estimate, normal
from libella.core.estimate import START, posterior
from libella.core.green.putt import Putt
from libella.core.instruments import lay
from libella.core.measure.limits import OutOfLimits
from tests.said import aim_found, aim_sum, natural_and_aided

PUTT = Putt(2.5, 0.3, 10)


def found(angles, link="face", hand="right", planned=7, proved=True, **more):
    reads = [by_degrees(it, 0.25) for it in angles]
    return aim_found(reads, link, PUTT, hand, "metric", planned=planned, proved=proved, **more)


def near(value, doubt=0.2):
    return Estimate(value, value - doubt, value + doubt)


def test_set_downs_are_judged_as_a_block_is_at_their_planned_end():
    so_far = found([1.5] * 4)
    assert not so_far.final and so_far.verdict is None and so_far.headline.startswith("So far 1")
    done = found([1.4, 1.6, 1.5, 1.2, 1.8, 1.5, 1.5])
    assert done.headline == "1.5° right, clear." and "the face is open to the line" in done.meaning
    assert done.summary.bias.value == pytest.approx(
        posterior([by_degrees(it, 0.25) for it in (1.4, 1.6, 1.5, 1.2, 1.8, 1.5, 1.5)], START()).bias_quantile(0.5)
    )
    assert found([]).headline == "No set-down yet."


def test_open_and_closed_go_by_the_golfers_hand_and_a_mark_is_neither():
    right = [1.4, 1.6, 1.5, 1.2, 1.8, 1.5, 1.5]
    assert "closed" in found(right, hand="left").meaning
    assert "open to the mark" in found(right, "to_mark").meaning
    assert "open" not in found(right, "mark").meaning and "right at the hole" in found(right, "mark").meaning


def test_on_a_line_that_is_not_proved_nothing_is_clear_and_its_doubt_is_carried():
    right = [1.4, 1.6, 1.5, 1.2, 1.8, 1.5, 1.5]
    # 1.5° may be the line, laid by eye; so far off as three no line is laid.
    assert found(right, proved=False).verdict.word == "open"
    unproved = found([2 * it for it in right], proved=False)
    assert unproved.verdict.word == "likely" and "not proved" in unproved.meaning
    assert found(right, shared_deg=0.6).summary.bias.doubt > 2 * found(right).summary.bias.doubt


def test_mirrored_set_downs_give_the_mirrored_bias():
    angles = [0.5, 1.5, -0.5, 2.0]
    one, other = found(angles).summary.bias, found([-it for it in angles]).summary.bias
    assert one.value == pytest.approx(-other.value, abs=1e-3)


def test_the_links_add_up_and_are_held_against_the_face_itself():
    whole = aim_sum(near(0.8), near(0.4, 0.3), near(1.3), PUTT)
    assert whole.added.value == pytest.approx(1.2) and whole.added.doubt == pytest.approx(np.hypot(0.2, 0.3))
    assert "as the face reads" in whole.words and "not as" not in whole.words
    assert "read one of them again" in aim_sum(near(0.8), near(0.4), near(-1.0), PUTT).words
    assert "putter against the mark" in aim_sum(near(0.8), None, near(1.0), PUTT).words
    assert aim_sum(None, None, None, PUTT).added is None
    assert "was not read" in aim_sum(near(0.8), near(0.4), None, PUTT).words


def test_what_an_aid_in_view_changes_is_told_only_when_it_is_more_than_the_doubt():
    assert "1.5° left" in natural_and_aided(near(1.6), near(0.1), PUTT)
    assert "no difference worth having" in natural_and_aided(near(0.15), near(0.1), PUTT)
    assert natural_and_aided(near(1.0), None, PUTT) == ""


def test_what_can_not_be_told_is_never_called_the_same():
    wide = natural_and_aided(near(1.5, 1.3), near(0.7, 1.3), PUTT)
    assert "can't be told yet" in wide and "0.8° left" in wide
    # 2.5° against 0.7°, each to ± 1.3°, is not the same either.
    assert "likely" in natural_and_aided(near(2.5, 1.3), near(0.7, 1.3), PUTT)
    apart = aim_sum(near(0.8, 0.6), near(0.4, 0.6), near(2.2, 0.6), PUTT)
    assert ", as the face reads" not in apart.words and "likely not as the face reads" in apart.words
    open_ = aim_sum(near(0.8, 0.6), near(0.4, 0.6), near(1.7, 0.6), PUTT)
    assert "may or may not be how the face reads" in open_.words


def test_the_set_downs_of_an_instrument_come_back_as_the_angle_that_was_set():
    rng = np.random.default_rng(3)
    for kind in ("face_mirror", "putter_laser", "square_reference"):
        zones = lay(kind, {}).zones()
        reads = [next(it for it in zones if angle <= it.interval.high).interval for angle in rng.normal(0.9, 0.5, 30)]
        it = aim_found(reads, "face", PUTT, "right", "metric", planned=7, proved=True).summary.bias
        assert it.low <= 0.9 <= it.high, kind


@pytest.mark.parametrize(("angle", "seen", "field"), [(30, 0.5, "angle_deg"), (1, 0, "seen_deg"), (1, 9, "seen_deg")])
def test_what_can_not_be_read_is_refused(angle, seen, field):
    with pytest.raises(OutOfLimits) as refused:
        by_degrees(angle, seen)
    assert refused.value.field == field and refused.value.unit == "deg"


@pytest.mark.parametrize("side", [1, -1])
def test_an_aim_to_the_pictures_side_follows_it_and_one_to_the_other_goes_against_it(side):
    picture = normal(side * 2.0, 0.2)
    for aim, does in ((1.5, "follows"), (-1.5, "against"), (0.0, "neither")):
        assert aim_question(picture, normal(side * aim, 0.2), 0.7).does == does
    assert aim_question(picture, normal(side * 0.7, 1.0), 0.7).does == "open"
    assert aim_question(normal(0.3, 0.1), normal(1.5, 0.2), 0.7).call is None
