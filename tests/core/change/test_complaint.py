"""What a golfer comes with, and what a lesson answers to it."""

from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.change.answer import answer
from libella.core.change.complaint import FELT, MISSES, Complaint
from libella.core.change.proposal import FACTOR_OF, KINDS, PROPOSALS, Chosen, proposals_for
from libella.core.change.topic import TOPICS
from libella.core.judge.findings.judged import judge_lesson
from libella.core.judge.findings.ranked import RULES
from libella.core.judge.ledger.entry import Event
from libella.core.measure.interval import Interval
from libella.core.measure.limits import OutOfLimits
from libella.words.change.complaint import answer_said
from tests.core.judge.samples import batch, ledger

RIGHT = batch("start", [1.2, 0.9, 1.4, 1.1, 0.8, 1.5, 1.0, 1.3, 1.1, 0.9])


def answered(*batches, **said):
    return answer(Complaint(**said), judge_lesson(ledger(*batches)))


@given(st.lists(st.sampled_from(MISSES), max_size=5), st.floats(0.3, 30), st.floats(0.3, 30))
def test_both_sides_stand_for_left_and_right_and_lengths_go_up(misses, first, last):
    told = tuple(misses)
    fine = len(set(told)) == len(told) and not ("both" in told and {"left", "right"} & set(told)) and first <= last
    if fine:
        assert Complaint(told, first, last).side in ("left", "right", "neither")
    else:
        with pytest.raises(OutOfLimits):
            Complaint(told, first, last)


@pytest.mark.parametrize(
    ("misses", "line"),
    [(("right",), "as_said"), (("left",), "otherwise"), (("both",), "otherwise"), (("short",), None)],
)
def test_the_start_says_whether_it_is_so(misses, line):
    assert answered(RIGHT, misses=misses).line == line


def test_who_misses_to_both_sides_is_told_of_no_side():
    both = batch("start", [1.2, -1.1, 0.9, -0.9, 1.4, -1.3, 0.1, -0.1, 1.0, -1.0])
    said = answer_said(answered(both, misses=("both",)), "", "right", "metric")[0]
    assert said.startswith("So it is: to no one side for sure; the starts scatter by 1.")


def test_what_nobody_read_is_said_and_what_was_felt_comes_first():
    told = answered(RIGHT, misses=("right", "short"), felt="strike")
    assert told.pace == "unread" and told.felt == "unread"
    assert told.unseen == ("strike", "sight", "aim", "pace")
    assert answered(misses=("right",)).line == "unread"


def test_what_was_felt_is_borne_out_by_the_cause_that_is_named():
    aim = batch("face", [1.6, 1.4, 1.5, 1.7, 1.3, 1.5, 1.6, 1.4], step="aim", id="aim", putted=None)
    told = answered(RIGHT, aim, felt="aim")
    assert told.felt == "as_said" and all(it.cause != "face_aim" for it in told.named)


def test_every_cause_has_a_change_and_every_change_a_cause():
    assert all(proposals_for(topic) for topic in TOPICS)
    assert {topic for it in PROPOSALS.values() for topic in it.topics} <= set(TOPICS)
    assert {cause for causes in FELT.values() for cause in causes} <= set(RULES)
    # Who names a school names its rival: nothing is picked silently.
    assert all(bool(it.school) == bool(it.rival) for it in PROPOSALS.values())


@pytest.mark.parametrize("kind", KINDS)
def test_a_change_is_told_apart_from_as_usual_by_one_factor(kind):
    assert Chosen("Grip down", "", kind, "line").factors == {FACTOR_OF[kind]: "Grip down"}


@pytest.mark.parametrize("more", [{"what": " "}, {"what": "x" * 81}, {"kind": "magic"}, {"proposal": "none"}])
def test_a_change_that_says_nothing_is_refused(more):
    with pytest.raises(OutOfLimits):
        Chosen(**{"what": "Grip down", "feel": "", "kind": "set_up", "asks": "line"} | more)


def test_which_of_two_and_a_true_aid_are_answered_by_a_comparison_and_a_proof():
    unproved = answer(Complaint(about=("which_better", "aid_true")), judge_lesson(ledger(line_deg=None)))
    assert [it.seen for it in unproved.about] == ["unread", "unread"]
    assert [it.seen for it in answered(RIGHT, about=("aid_true", "nothing_wrong")).about] == ["as_said", "otherwise"]


def test_a_strike_that_was_felt_and_goes_with_the_roll_is_borne_out():
    heel, middle = Interval(-float("inf"), -6.0), Interval(-6.0, 6.0)
    told = [(heel, "wobble")] * 4 + [(heel, "clean")] + [(middle, "clean")] * 5
    events = tuple(Event(f"p{n}", {"strike": strike, "roll": roll}) for n, (strike, roll) in enumerate(told))
    putts = replace(batch("strike", []), events=events)
    it = answer(Complaint(felt="strike"), judge_lesson(ledger(putts)))
    assert it.felt == "as_said" and it.felt_with
