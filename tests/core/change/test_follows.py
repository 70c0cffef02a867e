"""What follows from a lesson: a change for everything that is at least likely, and for nothing else."""

from dataclasses import replace
from itertools import product

import pytest

from libella.core.change.drills import drills, serving
from libella.core.change.fitting import fitting
from libella.core.change.follows import Follow, follows
from libella.core.change.proposal import PROPOSALS, proposals_for
from libella.core.change.topic import TOPICS
from libella.core.golfer.limits import LIMITS
from libella.core.judge.findings.judged import Planned, judge_lesson
from libella.core.judge.findings.next_check import CHECKS
from libella.core.judge.findings.said import Nothing
from libella.core.measure.interval import Interval
from tests.core.judge.samples import batch, ledger

RIGHT = [1.5, 1.3, 1.6, 1.4, 1.5, 1.3, 1.7, 1.4, 1.5, 1.6]
FINE = [0.1, -0.1, 0.2, 0.0, -0.2, 0.1, 0.0, -0.1, 0.1, 0.0]
WAYS = {
    "strike": ("heel", "toe"),
    "pace": ("short", "past"),
    "face_aim": ("open", "closed"),
    "face_at_impact": ("open", "closed"),
}


def judged(*batches, planned=(), **more):
    return judge_lesson(ledger(*batches, **more), planned)


def topics(it) -> list[str]:
    return [one.topic for one in follows(it)]


def offered(follow: Follow, it, limits=()) -> set[str]:
    return {one.proposal.code for one in fitting(follow, it, limits).fits}


@pytest.mark.parametrize("topic", TOPICS)
def test_every_topic_to_every_side_has_a_change_a_drill_and_a_check(topic):
    fine = judged(batch("start", FINE))
    for way, limit in product(("", *WAYS.get(topic, ("left", "right"))), (None, *LIMITS)):
        limits = () if limit is None else (limit,)
        it = fitting(Follow(topic, Nothing(None), "clear", way), fine, limits)
        assert it.fits, (topic, way, limit)
        drilled = [one for one in serving(topic) if not one.kept and not set(one.unfit) & set(limits)]
        assert bool(drilled) == TOPICS[topic].drilled, (topic, limit)
    assert TOPICS[topic].check in CHECKS
    # Whatever is offered is practised by a drill there is, and one of the same topic first.
    for one in proposals_for(topic):
        assert set(one.drills) <= set(drills())
        assert set(one.ways) <= set(one.topics)
        assert not TOPICS[topic].drilled or any(set(drills()[code].serves) & set(one.topics) for code in one.drills)


def test_starts_alone_are_practised_in_general_and_an_open_lesson_is_not():
    alone = judged(batch("start", RIGHT))
    [it] = follows(alone)
    assert (it.topic, it.way, it.general) == ("start", "right", True)
    assert offered(it, alone) == {"start_gate", "same_routine", "near_spot"}
    assert follows(judged(batch("start", [0.6, 0.1, 0.9]))) == ()


def test_nothing_wrong_is_held_and_nothing_read_leads_nowhere():
    assert topics(judged(batch("start", FINE))) == ["hold"]
    assert topics(judged()) == []


def test_a_wide_spread_alone_has_something_to_do():
    wide = judged(batch("start", [3.0, -2.8, 2.6, -3.1, 0.3, -0.2, 2.9, -2.7, 1.5, -1.6, 3.2, -2.9]))
    assert topics(wide) == ["spread"]
    assert "wide_base" in offered(follows(wide)[0], wide)
    assert "wide_base" not in offered(follows(wide)[0], wide, ("back",))


def test_a_strike_has_its_side():
    heel = [Interval(-float("inf"), -6.0)] * 9 + [Interval(-6.0, 6.0)] * 3
    it = judged(batch("strike", heel))
    assert [(one.topic, one.way) for one in follows(it)] == [("strike", "heel")]
    assert offered(follows(it)[0], it) == {"further_from_ball", "stand_taller"}


def test_a_true_line_that_looks_straight_rules_out_moving_the_eyes():
    seen = batch("first_look", ["straight"] * 12, step="see", id="seen", putted=None)
    it = judged(seen)
    told = Follow("compensation", Nothing(None), "likely")
    assert "move_the_head" not in offered(told, it) and "square_first" in offered(told, it)
    # What says so less surely stands beside the change, and doesn't rule it out.
    few = judged(replace(seen, events=seen.events[:3]))
    surer = fitting(replace(told, word="clear"), few)
    assert {one.proposal.code for one in surer.fits if one.against} >= {"move_the_head"}


def test_rolls_that_wobble_are_worked_on_without_a_word_of_their_own():
    it = judged(batch("roll", ["wobble"] * 6 + ["clean"] * 4))
    assert [(one.topic, one.word) for one in follows(it)] == [("roll", "clear")]


def _looked(id, answers, levels=(), **more):
    return batch("first_look", answers, levels, step="see", id=id, putted=None, label=id, **more)


def test_a_place_from_which_it_looks_straight_is_kept_unless_nobody_can_putt_from_it():
    usual = _looked("usual", ["right"] * 6)
    there = _looked("further in", ["straight"] * 5, (("set_up", "further in"),))
    it = judged(usual, there)
    [first, *_] = follows(it)
    assert first.better is not None and first.better.levels == (("set_up", "further in"),)
    assert all(one.better is None for one in follows(judged(usual, replace(there, playable=False))))


def _arm(id, starts, turn, levels=()):
    return batch("start", starts, levels, id=id, label=id, comparison="c", turn=turn, planned=len(starts))


def test_the_better_way_of_a_comparison_comes_first_and_the_usual_one_is_nothing_to_keep():
    asked = (Planned("c", "start", "line", final=True),)
    changed = (("set_up", "wide base"),)
    it = judged(_arm("usual", RIGHT * 2, 0), _arm("wide base", FINE * 2, 1, changed), planned=asked)
    first = follows(it)[0]
    assert first.better is not None and (first.better.name, first.better.kind) == ("wide base", "set_up")
    worse = judged(_arm("usual", FINE * 2, 0), _arm("wide base", RIGHT * 2, 1, changed), planned=asked)
    assert all(one.better is None for one in follows(worse))
    both = (*changed, ("cue", "stripe"))
    mixed = judged(_arm("usual", RIGHT * 2, 0), _arm("both", FINE * 2, 1, both), planned=asked)
    assert follows(mixed)[0].better is not None and follows(mixed)[0].better.several


def test_every_proposal_says_by_how_much_only_where_it_has_a_place_for_it():
    for it in PROPOSALS.values():
        assert "{by}" in it.sized or not it.sized
