"""A claim opened: what it rests on is what was read, and the numbers shown give the word and the size that are told."""

import math
import re
from dataclasses import replace

import numpy as np
import pytest

from libella.core.judge.claims.reads import reads
from libella.core.judge.explained import explained
from libella.core.judge.findings.case import Case
from libella.words.judge.explained import moves_said, reading_said, sums_said
from tests.golfers.lesson import Size, Truth, lesson


def opened(ledger):
    case = Case(ledger)
    return [explained(ledger, it, case.weighing) for it in reads(ledger, case.weighing)]


@pytest.fixture(scope="module")
def every():
    """Claims of several lessons, opened."""
    found = []
    for seed in range(4):
        rng = np.random.default_rng(seed)
        size = Size(putts=12, sensor=True, strike=True, finish=True, still=True)
        ledger = lesson(Truth((), aim=1.2 if seed % 2 else 0.0), size, rng)
        found += opened(ledger)
    return found


def test_it_rests_on_every_reading_of_its_own_and_on_no_other(every):
    assert {it.claim.quantity.name for it in every} >= {"start", "strike", "holed", "still"}
    for it in every:
        if it.rests:
            count = it.claim.of if hasattr(it.claim, "of") else it.claim.count
            assert len(it.rests) == count, it.claim.quantity.name
            assert len({one.id for one in it.rests}) == len(it.rests)
            assert all(one.at.id in it.claim.batches for one in it.rests)


def test_the_numbers_shown_give_the_word_and_the_size_that_are_told(every):
    seen = 0
    for it in every:
        if it.sums is None:
            continue
        seen += 1
        sums, call = it.sums, it.claim.call
        assert math.hypot(sums.single, sums.shared) == pytest.approx(sums.together, rel=0.12, abs=0.02)
        again = sums.chances.call(can_be_clear=it.claim.proved)
        assert (again.word, again.side, again.probability) == (call.word, call.side, call.probability)
        if sums.without is not None:
            assert sums.without - sums.with_it == pytest.approx(call.cost, abs=0.05)
            told = " ".join(sums_said(it, "right", "metric"))
            shown = re.search(r"putts (.*?) would .*, (.*?) do: it costs (.*?)\. ", told)
            without, with_it, cost = map(float, shown.groups())
            assert without - with_it == pytest.approx(cost, abs=0.11)
            assert told.endswith({"clear": "clear.", "likely": "likely.", "none": "mend.", "open": "yet."}[call.word])
    assert seen > 10


def test_what_would_change_it_most_comes_first_and_does_what_it_says(every):
    for it in every:
        sizes = [one.by for one in it.moves]
        assert sizes == sorted(sizes, reverse=True)
        for one in it.moves:
            assert moves_said(one, it.claim.quantity, "right", "feet")
            if one.what == "one_reading":
                assert one.reading in it.rests


def test_what_was_read_in_another_way_or_voided_is_named_and_not_counted():
    ledger = lesson(Truth(()), Size(putts=12), np.random.default_rng(1))
    other = replace(ledger.batches[-1], id="other", levels=(("set_up", "wide base"),))
    last = replace(ledger.batches[-1], voided=2)
    whole = replace(ledger, batches=(*ledger.batches[:-1], last, other))
    it = next(one for one in opened(whole) if one.claim.quantity.name == "start" and not one.claim.levels)
    why = {one.why: one.count for one in it.left_out}
    assert why["voided"] == 2 and why["other_way"] == other.counts["start"]
    assert all(reading_said(one, it.claim.quantity, "left", "metric") for one in it.rests)
