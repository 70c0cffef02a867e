"""Plans: no hard limit is ever broken, what can't be met is named, and a week that was missed is not made up for."""

from collections import Counter

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from libella.core.change.drills import drills, serving
from libella.core.change.plan import Plan, plan
from libella.core.change.session import Before, Given, Item
from libella.core.golfer.limits import LIMITS
from libella.core.judge.findings.ranked import RULES
from libella.core.measure.limits import OutOfLimits

TRAINED = [cause for cause in RULES if serving(cause)]
FINDINGS = st.lists(st.sampled_from(TRAINED), min_size=1, max_size=3, unique=True).map(
    lambda causes: tuple((cause, 9.0 / (n + 1)) for n, cause in enumerate(causes))
)
DAYS = st.lists(st.sampled_from([5.0, 10.0, 15.0, 30.0, 60.0]), min_size=1, max_size=6).map(tuple)
GIVEN = st.builds(
    Given,
    FINDINGS,
    DAYS,
    weeks=st.integers(1, 4),
    change=st.booleans(),
    card=st.booleans(),
    limits=st.lists(st.sampled_from(LIMITS), max_size=3, unique=True).map(tuple),
)
THREE = (("face_at_impact", 9.0), ("strike", 4.0), ("read_and_pace", 2.0))


def runs(it: Plan) -> list[Item]:
    return [one for session in it.sessions for one in session.items if one.kind == "drill"]


def holds(it: Plan, given: Given) -> None:
    known: set[str] = set()
    for session in it.sessions:
        assert sum(one.minutes for one in session.items) <= session.minutes * 8 / 9 + 1e-6
        own = [one for one in session.items if one.kind == "drill"]
        for code, minutes in Counter({one.drill: 0.0 for one in own}).items():
            assert minutes + sum(one.minutes for one in own if one.drill == code) <= 12 + 1e-6
        for one in own:
            drill = drills().get(one.drill)
            assert drill is not None and not set(drill.unfit) & set(given.limits) and one.serves in drill.serves
        new = {one.drill for one in own} - known
        assert len(new) <= 1
        known |= new
        kinds = [one.kind for one in session.items]
        assert kinds == sorted(kinds, key=["check", "retention", "retest", "drill"].index)


@settings(max_examples=25, deadline=None)
@given(GIVEN)
def test_no_hard_limit_is_ever_broken_and_what_is_not_met_is_named(given: Given):
    made = plan(given)
    assert len(made.sessions) == given.weeks * len(given.minutes)
    holds(made, given)
    unmet = {(it.wish, it.week) for it in made.unmet}
    for week in range(1, given.weeks + 1):
        own = [it for it in made.sessions if it.week == week]
        kinds = Counter(one.kind for session in own for one in session.items)
        assert ("retention", week) in unmet or kinds["retention"] == 1
        assert not given.card or ("check", week) in unmet or kinds["check"] == 1
        if given.change and week in (2, min(given.weeks, 5)):
            assert ("retest", week) in unmet or kinds["retest"] == 1
        breaks = Counter(one.break_side for session in own for one in session.items)
        assert abs(breaks["left"] - breaks["right"]) <= 1
    worked = {one.serves for one in runs(made)}
    assert {it.about for it in made.unmet if it.wish == "waits"} == {n for n, _ in given.findings} - worked


@pytest.mark.parametrize("cause", TRAINED)
@pytest.mark.parametrize(("days", "minutes"), [(1, 5.0), (2, 20.0), (6, 5.0), (3, 60.0)])
def test_every_finding_has_a_plan_in_whatever_time_there_is(cause: str, days: int, minutes: float):
    made = plan(given := Given(((cause, 8.0),), (minutes,) * days, weeks=2))
    holds(made, given)
    assert runs(made) or made.unmet


def test_four_weeks_with_time_bring_every_finding_in_and_the_first_two_most():
    made = plan(Given(THREE, (30.0,) * 4, change=True, card=True))
    minutes = Counter({name: 0.0 for name, _ in THREE})
    for one in runs(made):
        minutes[one.serves] += one.minutes
    assert all(minutes[name] > 0 for name, _ in THREE)
    assert minutes["face_at_impact"] + minutes["strike"] >= 0.6 * sum(minutes.values()) - 12
    assert sum(one.kind == "retest" for session in made.sessions for one in session.items) == 2
    assert not [it for it in made.unmet if it.wish in ("retest", "retention", "check", "first_two")]
    # All quarters of the hole over the weeks.
    assert {one.quarter for one in runs(made)} - {0} == {1, 2, 3, 4}


def test_the_aid_goes_as_the_weeks_go():
    made = plan(Given((("path", 9.0),), (30.0,) * 4))

    def share(week: int) -> float:
        own = [it for s in made.sessions if s.week == week for it in s.items if it.kind in ("drill", "retention")]
        putts = [(it.times if it.kind == "retention" or drills()[it.drill].putts else 0, it.bare) for it in own]
        return sum(n for n, bare in putts if bare) / sum(n for n, _ in putts)

    assert share(1) < share(4) and share(4) >= 0.6


def test_a_missed_week_is_not_made_up_for():
    asked = Given(THREE, (15.0, 15.0, 30.0), change=True)
    whole = plan(asked)
    later = plan(asked, Before(weeks=1))
    assert [it.week for it in later.sessions] == [2] * 3 + [3] * 3 + [4] * 3
    holds(later, asked)
    first = sum(it.minutes for s in later.sessions if s.week == 2 for it in s.items)
    most = max(sum(it.minutes for s in whole.sessions if s.week == week for it in s.items) for week in range(1, 5))
    assert first <= 1.2 * most


def test_the_school_of_the_change_comes_before_its_rival():
    def first(*schools: str) -> str:
        return next(it.drill for it in runs(plan(Given((("movement", 9.0),), (15.0,) * 3, schools=schools))))

    assert first("Wide and low") == "wide_and_low" and first("The lead side") == "lead_foot"


def test_a_goal_that_is_met_makes_room_for_the_next_drill():
    asked = Given((("strike", 9.0),), (15.0,) * 3)
    before = {it.drill for it in runs(plan(asked))}
    after = {it.drill for it in runs(plan(Given((("strike", 9.0),), (15.0,) * 3, without=("clean_roll",))))}
    assert "clean_roll" in before and "clean_roll" not in after and after


@pytest.mark.parametrize("more", [{"minutes": ()}, {"minutes": (4.0,)}, {"minutes": (30.0,) * 7}, {"weeks": 9}])
def test_what_no_week_can_be_is_refused(more):
    with pytest.raises(OutOfLimits):
        Given(**{"findings": THREE, "minutes": (15.0,)} | more)
    with pytest.raises(OutOfLimits):
        Given((), (15.0,))
