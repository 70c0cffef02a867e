"""What a golfer's own data say where coaches disagree: of innocents seldom anything, and only by readings of that."""

from dataclasses import replace

import pytest

from libella.core.change.school_told import READERS, GolferTold, told_of
from libella.core.judge.claims.fell import fell_outside
from libella.core.judge.findings.judged import judge_lesson
from libella.core.judge.ledger.entry import Batch, Event, Source
from libella.core.measure.interval import Interval

from ...bench.schools import innocent, told
from ..judge.samples import PUTTED

GOLFERS = 20


def test_innocents_are_seldom_told_a_school():
    """A tenth of the bench: each question at least likely 20 of a hundred, clear 5, as far as the draws allow."""
    likely, clear = told(GOLFERS)
    assert all(likely[it] <= 8 and clear[it] <= 3 for it in READERS), (likely, clear)


def test_where_the_eyes_are_is_told_by_eyes_that_were_read():
    with_eyes = innocent(0)
    without = replace(with_eyes, batches=tuple(it for it in with_eyes.batches if it.id != "eyes"))
    assert told_of(GolferTold(judge_lesson(without)), "eyes") is None


@pytest.mark.parametrize(("shared", "surely"), [(0.05, True), (0.5, False)])
def test_a_putt_fell_from_outside_only_by_more_than_its_line_leaves_open(shared, surely):
    fell = {"start": Interval(1.25, 1.35), "holed": "holed"}
    line = Source("line", "a", shared)
    it = Batch("b", "start", 0.0, (Event("p", fell),), putted=PUTTED, sources={"start": (line,)})
    [chance] = fell_outside([it])
    assert (chance > 0.95) == surely
    assert fell_outside([replace(it, putted=replace(PUTTED, hole=False))]) == []
    assert fell_outside([replace(it, events=(Event("p", {"holed": "holed"}),))]) == []
