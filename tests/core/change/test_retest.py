"""Retests: what helps is told as better, what does nothing is not, and what only blurs is left out."""

import numpy as np
import pytest

from libella.core.change.retest import EACH, Retest, retest_of, standing_of
from libella.core.judge.claims.reads import compared
from tests.bench.change import WAYS, standings
from tests.core.judge.samples import BY, batch, ledger


def retest(before, after, *, question="line", spread=(1.0, 1.0), seed=4, id="it", final=True) -> Retest | None:
    rng = np.random.default_rng(seed)
    ways = [
        batch("start", list(_drawn(rng, at, sd)), levels, id=f"{id}{n}", comparison=id, turn=n, planned=EACH)
        for n, (at, sd, levels) in enumerate(zip((before, after), spread, ((), (("cue", "spot"),)), strict=True))
    ]
    return retest_of(compared(ledger(*ways), id, "start", question, BY, final=final), BY.mix)


def _drawn(rng, middle, spread):
    """Putts that lie about their middle as evenly as they can: no luck of the draw."""
    return middle + spread * rng.permutation(np.linspace(-1.6, 1.6, EACH))


def test_a_bias_taken_away_is_better_once_and_kept_twice():
    once = [retest(1.2, 0.0, id="one"), retest(1.2, 0.0, id="two")]
    assert standing_of(once[:1]).standing == "better_so_far"
    both = standing_of(once)
    assert both.standing == "kept" and both.together is not None
    # Two together are known better than either.
    assert both.together.gain.doubt < min(it.gain.doubt for it in once)


def test_what_does_nothing_is_never_better_and_what_harms_is_worse():
    assert standing_of([retest(1.0, 1.0)]).standing == "open"
    assert standing_of([retest(0.0, 1.3)]).standing == "worse"
    assert standing_of([retest(0.0, 1.3), retest(0.0, 1.3, id="two")]).standing == "worse"


def test_a_retest_on_its_way_decides_nothing_and_the_coach_may_drop_whatever_was_putted():
    assert standing_of([retest(1.2, 0.0, final=False)]).standing == "untested"
    assert standing_of([retest(1.2, 0.0)], dropped=True).standing == "dropped"
    assert standing_of([]).standing == "untested"


def test_the_other_side_as_far_off_is_no_better():
    # Two degrees further left, and just as wrong.
    assert standing_of([retest(1.0, -1.0)]).standing == "open"


def test_a_change_of_the_spread_is_asked_of_the_spread_alone():
    steadier = retest(0.0, 0.9, question="spread", spread=(2.0, 0.8))
    assert steadier.call.side == "right" and steadier.call.names_direction
    # The same putts asked about the line are worse.
    assert retest(0.0, 1.4, spread=(1.2, 0.8)).call.side == "left"


def test_retests_of_two_questions_say_nothing_together():
    assert standing_of([retest(1.2, 0.0), retest(1.2, 0.0, question="window", id="two")]).together is None


@pytest.mark.parametrize(("question", "good", "bad"), [("finish", "holed", "short"), ("roll", "clean", "skid")])
def test_what_is_noted_is_better_the_oftener_it_is_as_wanted(question, good, bad):
    name = "stopped" if question == "finish" else question
    wanted = "past" if question == "finish" else good
    ways = [
        batch(name, told, levels, id=f"b{n}", comparison="it", turn=n, planned=EACH)
        for n, (told, levels) in enumerate(
            (([bad] * 10 + [wanted] * 2, ()), ([bad] * 2 + [wanted] * 10, (("cue", "x"),)))
        )
    ]
    found = compared(ledger(*ways), "it", "start", question, BY, final=True)
    once = retest_of(found, BY.mix)
    assert once is not None and once.gain.value > 0 and standing_of([once]).standing == "better_so_far"
    turned = compared(ledger(*reversed(ways)), "it", "start", question, BY, final=True)
    assert turned is not None


@pytest.mark.parametrize("question", ["line", "spread", "window"])
def test_of_changes_that_do_nothing_few_are_kept_or_told_worse(question):
    # A tenth of the bench: 5 in a hundred are asked, and 40 draw up to 5 of them.
    found = standings(WAYS["does nothing to a bias"], question, 40)
    assert found.get("kept", 0) <= 5
    assert found.get("worse", 0) <= 5 and found.get("first worse", 0) <= 5


def test_of_changes_that_take_a_bias_away_most_are_kept():
    found = standings(WAYS["takes 0.8° away"], "line", 40)
    assert found["kept"] >= 28 and found.get("worse", 0) == 0
