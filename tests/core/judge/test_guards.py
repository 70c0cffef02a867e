"""What may overturn a judgement, and from how much on a note tells anything."""

from dataclasses import replace

import numpy as np
import pytest

from libella.core.judge.claims.level import Level
from libella.core.judge.claims.reads import reads
from libella.core.judge.findings.case import Case
from libella.core.judge.findings.finding import Missing
from libella.core.judge.findings.guards import guards
from libella.core.judge.findings.next_check import checks
from libella.core.judge.findings.ranked import judged
from libella.core.judge.ledger.entry import Event
from libella.core.judge.ledger.factors import GUIDED
from libella.words.judge.lesson import guard_said

from .samples import batch, ledger, near


def guards_of(it):
    case = Case(it)
    levels = [one for one in reads(it, case.weighing) if isinstance(one, Level)]
    return {one.name: one for one in guards(case, judged(case), levels)}


def starts(*parts):
    """Putts of each middle, degrees, scattered by 0.3°, a third of the lesson each."""
    rng = np.random.default_rng(5)
    return ledger(batch("start", [near(float(it)) for middle in parts for it in rng.normal(middle, 0.3, 6)]))


def test_only_first_putts_that_lie_farther_off_than_the_last_are_a_warm_up():
    assert guards_of(starts(2.5, 1.0, 0.0))["warm_up"].count == 6
    assert guards_of(starts(-2.5, -1.0, 0.0))["warm_up"].of == 18
    assert "warm_up" not in guards_of(starts(0.0, 1.0, 2.5))
    assert "warm_up" not in guards_of(starts(0.0, 0.0, 0.0))


def test_a_spread_that_widens_is_tiring_and_one_that_narrows_is_not():
    rng = np.random.default_rng(6)
    widths = (0.2, 0.5, 2.5)

    def of(order):
        return ledger(batch("start", [near(float(it), 0.05) for sd in order for it in rng.normal(0.0, sd, 10)]))

    assert "tiring" in guards_of(of(widths)) and "tiring" not in guards_of(of(widths[::-1]))


def noted(n):
    """So many putts whose start and finish were read."""
    some = batch("start", [near(0.1 * (-1) ** it) for it in range(n)])
    events = tuple(replace(it, values={**it.values, "holed": "holed", "stopped": "short"}) for it in some.events)
    return ledger(replace(some, events=events))


@pytest.mark.parametrize("n", [6, 9, 10])
def test_finishes_tell_from_ten_on_and_are_asked_till_then(n):
    case = Case(noted(n))
    found = judged(case)
    told = next(it for it in found.ranked if it.cause == "read_and_pace")
    assert (Missing("finishes", n, 10) in told.missing) == (n < 10)
    assert ("finish" in {it.name for it in checks(case, found.ranked)}) == (n < 10)


def test_what_moved_with_the_guide_in_view_is_not_what_moves_without():
    def still(id, what, levels=()):
        some = batch("start", [near(0.0)] * 10, levels, id=id)
        return replace(some, events=tuple(Event(it.id, {**it.values, "still": what}) for it in some.events))

    guided = still("guided", "head", (("guide", GUIDED),))
    told = next(it for it in judged(Case(ledger(still("own", "nothing"), guided))).ranked if it.cause == "movement")
    assert [(it.number, it.of) for it in told.facts if it.what == "moved"] == [(0, 10)]


@pytest.mark.parametrize(("levels", "usual"), [((("break", "right"),), 1), ((("cue", "blank"),), 0)])
def test_a_way_is_the_golfers_own_and_not_what_the_ground_makes_of_a_putt(levels, usual):
    """On a slope as usual is as usual: only where every block had its own cue was none."""
    other = (*levels, ("cue", "near_spot")) if usual else (("cue", "near_spot"),)
    it = ledger(batch("start", [near(0.1)] * 6, levels), batch("start", [near(0.1)] * 6, other, id="b"))
    found = guards_of(it)["several_ways"]
    assert (found.count, found.of) == (2, usual)
    assert guard_said(found).startswith("Putted in 2 ways and none" if not usual else "Putted in 2 ways: each")
