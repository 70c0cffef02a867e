"""Every school: can be held by coach and golfer, changes something, and has a rival; none held changes nothing."""

from dataclasses import fields, replace
from itertools import combinations

import pytest

from libella.core.change.drills import drills
from libella.core.change.proposal import PROPOSALS, proposals_for
from libella.core.judge.findings.ranked import RULES
from libella.core.measure.limits import OutOfLimits
from libella.core.schools.held import DISAGREEMENTS, NONE_HELD, Schools, checked_school
from libella.core.schools.school import DECIDES, Settings
from libella.words.schools.told import changes_said

EVERY = [(of.code, code) for of in DISAGREEMENTS.values() for code in of.schools]
# What declaring these changes is said, and nothing else: they are beliefs, or tell how others are put.
WORDS_ALONE = {
    ("swing", "in_right"),
    ("swing", "in_left"),
    ("steering", "open"),
    ("steering", "closed"),
    ("levels", "scaled"),
    ("good_enough", "degrees"),
    ("good_enough", "at_the_hole"),
}


@pytest.mark.parametrize(("disagreement", "school"), EVERY)
def test_a_school_is_held_by_coach_and_golfer_changes_something_and_has_a_rival(disagreement, school):
    for held in (Schools({disagreement: school}), Schools({}, {disagreement: school})):
        [it] = held.held
        assert it.school.code == school and it.by == ("golfer" if held.golfer else "coach")
        assert it.rivals and school not in {one.code for one in it.rivals}
        assert all(one.name and one.words for one in (it.school, *it.rivals))
        acts = (
            held.settings != Settings()
            or held.stays
            or any(held.place(code) for code in (*PROPOSALS, *drills()))
        )  # fmt: skip
        assert bool(acts) != ((disagreement, school) in WORDS_ALONE)
        # What it does is told before it is declared.
        assert bool(changes_said(it.school, "feet")) == bool(acts)


def test_none_held_sets_nothing_and_moves_nothing():
    assert NONE_HELD.held == () and NONE_HELD.settings == Settings() and not NONE_HELD.stays
    assert not any(NONE_HELD.place(code) for code in (*PROPOSALS, *drills()))


def test_the_golfers_school_goes_before_the_coachs_and_only_where_it_says_something():
    both = Schools({"pace": "die", "cue": "line"}, {"pace": "past"})
    assert both.of("pace").code == "past" and both.of("cue").code == "line"
    assert both.settings.past_m == 0.35 and both.settings.cue == "line"


def test_schools_offer_and_leave_what_there_is_and_causes_that_are():
    for of in DISAGREEMENTS.values():
        for it in of.schools.values():
            assert {*it.offers, *it.leaves} <= {*PROPOSALS, *drills()}, it.code
            assert not set(it.offers) & set(it.leaves), it.code
            assert set(it.settings.causes) <= set(RULES)
    # A change that names a school of its own stands on a side somewhere: else nobody could declare it.
    sided = {code for of in DISAGREEMENTS.values() for it in of.schools.values() for code in (*it.offers, *it.leaves)}
    assert {it.code for it in PROPOSALS.values() if it.school} <= sided


def test_no_two_disagreements_set_the_same_thing():
    sets = {
        of.code: {
            one.name
            for it in of.schools.values()
            for one in fields(Settings)
            if getattr(it.settings, one.name) != one.default
        }
        for of in DISAGREEMENTS.values()
    }
    for one, other in combinations(sets, 2):
        assert not sets[one] & sets[other], (one, other)


def test_a_school_nobody_knows_is_refused_with_those_there_are():
    with pytest.raises(OutOfLimits) as none:
        checked_school("pace", "hard")
    assert none.value.field == "school" and none.value.facts["known"] == ("die", "past", "zones")
    with pytest.raises(OutOfLimits):
        checked_school("weather", "")
    checked_school("pace", "")


def test_rival_schools_offer_the_changes_of_one_finding_in_another_order():
    move, train = (Schools({"picture_cure": it}) for it in ("move", "train"))
    first = [min(proposals_for("perception"), key=lambda it, held=held: held.place(it.code)) for held in (move, train)]
    assert [it.code for it in first] == ["move_the_head", "train_the_eye"]
    assert move.deciding("train_the_eye") == ("picture_cure",)
    assert replace(move, coach={}).deciding("train_the_eye") == ()


def test_whatever_a_school_can_set_says_at_which_steps_that_is_met():
    """A setting without a step would decide with nothing there to open its rival."""
    assert set(DECIDES) == {it.name for it in fields(Settings)} and all(DECIDES.values())
    k = next(it for it in DISAGREEMENTS["face_or_path"].schools.values() if it.settings.k is not None)
    assert k.decides_at == ("judge",)
    assert DISAGREEMENTS["eyes"].schools["own"].decides_at == ()
