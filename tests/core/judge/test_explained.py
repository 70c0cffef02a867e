"""Whatever a lesson says, opened: it rests on what was read, and the numbers shown give the word and size told."""

import math
import re
from dataclasses import replace

import numpy as np
import pytest

from libella.core.judge.claims.growth import growth
from libella.core.judge.claims.level import Level
from libella.core.judge.claims.reads import reads
from libella.core.judge.claims.share import share_estimate
from libella.core.judge.explained.claim import Explained, explained
from libella.core.judge.explained.every import chosen_key, of_block, of_lesson
from libella.core.judge.explained.finding import FindingExplained
from libella.core.judge.explained.finishes import FinishesExplained
from libella.core.judge.explained.growth import growth_explained
from libella.core.judge.explained.pair import PairExplained
from libella.core.judge.findings.case import Case
from libella.core.judge.findings.judged import Planned, judge_lesson
from libella.words.judge.explained.claim import moves_said, reading_said, sums_said
from libella.words.judge.explained.opened import opened_said
from libella.words.shared.certainty import WORDS
from tests.golfers.lesson import Size, Truth, lesson


def opened(ledger):
    case = Case(ledger)
    return [explained(ledger, it, case.weighing) for it in reads(ledger, case.weighing)]


def whole(seed: int):
    """A lesson with everything noted, of an honest golfer or one who aims off, its second half otherwise."""
    rng = np.random.default_rng(seed)
    size = Size(putts=12, sensor=True, strike=True, finish=True, still=True)
    ledger = lesson(Truth((), aim=1.2 if seed % 2 else 0.0), size, rng)
    [first] = [it for it in ledger.batches if it.putted][-1:]
    one, other = (
        replace(first, id=f"{n}", label=label, levels=levels, comparison="it", turn=n)
        for n, (label, levels) in enumerate((("as usual", ()), ("wide base", (("set_up", "wide base"),))))
    )
    ledger = replace(ledger, batches=(*(it for it in ledger.batches if it is not first), one, other))
    return ledger, judge_lesson(ledger, [Planned("it", "start", "line", final=True)])


@pytest.fixture(scope="module")
def lessons():
    return [whole(seed) for seed in range(4)]


@pytest.fixture(scope="module")
def every(lessons):
    """All that is said in them, opened."""
    return [open_() for ledger, judged in lessons for open_ in of_lesson(ledger, judged).values()]


def test_whatever_a_lesson_says_opens_and_so_does_a_block_alone(lessons):
    for ledger, judged in lessons:
        keys = of_lesson(ledger, judged).keys()
        assert {key for it in judged.chosen if (key := chosen_key(it))} <= keys
        assert {kind.split(":")[0] for kind in keys} >= {"cause", "pair", "finishes", "start"}
        case = Case(ledger)
        own = reads(ledger, case.weighing)
        assert of_block(ledger, own, case).keys() <= keys


def test_it_rests_on_every_reading_of_its_own_and_on_no_other(every):
    claims = [it for it in every if isinstance(it, Explained)]
    assert {it.claim.quantity.name for it in claims} >= {"start", "strike", "holed", "still"}
    for it in claims:
        if it.rests:
            count = it.claim.count if isinstance(it.claim, Level) else it.claim.of
            assert len(it.rests) == count, it.claim.quantity.name
            assert all(one.at.id in it.claim.batches for one in it.rests)


def test_the_sums_of_a_claim_give_the_word_and_the_size_that_are_told(every):
    seen = 0
    for it in every:
        if not isinstance(it, Explained) or it.sums is None:
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
            assert told.endswith(f"{WORDS[call.word]}.")
    assert seen > 10


def test_the_sums_of_a_share_are_its_counts_and_give_what_is_told(every):
    shares = [it.claim for it in every if isinstance(it, Explained) and not isinstance(it.claim, Level)]
    assert len(shares) > 8
    for it in shares:
        told = " ".join(sums_said(Explained(it, (), (), None, it.call, ()), "right", "metric"))
        times = it.times(it.told)
        middle, low, high = map(int, re.search(r": (\d+) of a hundred \((\d+) to (\d+)\)", told).groups())
        again = share_estimate(times, it.of)
        assert (middle, low, high) == tuple(round(one) for one in (again.value, again.low, again.high))


def test_what_a_finding_brings_and_its_word_follow_from_the_numbers_shown(every):
    found = [it for it in every if isinstance(it, FindingExplained)]
    assert sum(it.finding.is_named for it in found) >= 1
    for it in found:
        one = it.finding
        said = " ".join(opened_said(it, "right", "metric").sums).replace("−", "-")
        if one.inside is not None:
            as_is, without = map(float, re.search(r"putts (.*?) start inside with it, (.*?) would", said).groups())
            weight = float(re.search(r"taken away: (\S+) \(", said)[1])
            assert without - as_is == pytest.approx(weight, abs=0.11) == pytest.approx(one.weight.value, abs=0.06)
        if not one.missing and not it.line_first and one.kind != "stays":
            assert one.call.grounds.call().word == one.call.word
            assert said.endswith(f"{WORDS[one.call.word]}.")
            chance, small = map(int, re.search(r": (\d+) in a hundred; .*?: (\d+)\.", said).groups())
            expected = small if one.call.word == "none" else chance
            assert expected == pytest.approx(100 * one.call.probability, abs=0.51)


def test_a_difference_is_what_lies_between_the_middles_shown(every):
    pairs = [it for it in every if isinstance(it, PairExplained)]
    assert {it.difference.shares is None for it in pairs} == {True, False}
    for it in pairs:
        one, sums = it.difference, opened_said(it, "right", "metric").sums
        assert one.call.grounds.call().word == one.call.word
        assert any(said.endswith(f"{WORDS[one.call.word]}.") for said in sums)
        if it.middles is not None:
            wide = max(one.by.high - one.by.low, 0.02)
            assert it.middles[1] - it.middles[0] == pytest.approx(one.by.value, abs=0.08 * wide)
        else:
            shown = re.search(r": (\d+) of (\d+) first, (\d+) of (\d+) second", sums[0]).groups()
            assert [int(shown[1]), int(shown[3])] == [it.of for it in one.shares]


def test_finishes_add_up_to_the_putts_told(every):
    finished = [it for it in every if isinstance(it, FinishesExplained)]
    assert len(finished) == 4
    for it in finished:
        said = opened_said(it, "right", "feet").sums[0]
        parts, whole = said.split(": ")
        assert sum(int(one.split()[0]) for one in parts.split(", ")) == int(whole.split()[0]) == it.pace.putts
        assert len(it.rests) == it.pace.putts


def test_the_line_through_the_lengths_gives_the_growth_and_its_word():
    ledger = lesson(Truth(()), Size(putts=12), np.random.default_rng(1))
    [block] = [it for it in ledger.batches if it.putted][:1]
    batches = []
    for n, (far, by) in enumerate(((1.5, 0.0), (3.0, 0.7), (5.0, 1.6))):
        events = tuple(replace(it, values={"start": it.values["start"].shifted(by)}) for it in block.events)
        batches.append(replace(block, id=f"{n}", events=events, putted=replace(block.putted, distance_m=far)))
    case = Case(replace(ledger, batches=tuple(batches)))
    found = growth(batches, case.weighing)
    it = growth_explained(case.ledger, found, case.weighing)
    said = [one.replace("−", "-") for one in opened_said(it, "right", "metric").sums]
    near, far, between = map(
        float, re.search(r"positive: (\S+)° at .*?, (\S+)° at .*?: (\S+)° between", said[3]).groups()
    )
    assert far - near == pytest.approx(between, abs=0.011)
    assert between == pytest.approx(found.slope.value * 3.5, abs=0.03)
    assert found.call.grounds.call() == found.call and said[-1].endswith(f"{WORDS[found.call.word]}.")


def test_what_would_change_it_most_comes_first_and_does_what_it_says(every):
    for it in every:
        if isinstance(it, Explained):
            sizes = [one.by for one in it.moves]
            assert sizes == sorted(sizes, reverse=True)
            for one in it.moves:
                assert moves_said(one, it.claim.quantity, "right", "feet")
                assert one.what != "one_reading" or one.reading in it.rests


def test_what_was_read_in_another_way_or_voided_is_named_and_not_counted():
    ledger = lesson(Truth(()), Size(putts=12), np.random.default_rng(1))
    other = replace(ledger.batches[-1], id="other", levels=(("set_up", "wide base"),))
    last = replace(ledger.batches[-1], voided=2)
    both = replace(ledger, batches=(*ledger.batches[:-1], last, other))
    it = next(one for one in opened(both) if one.claim.quantity.name == "start" and not one.claim.levels)
    why = {one.why: one.count for one in it.left_out}
    assert why["voided"] == 2 and why["other_way"] == other.counts["start"]
    assert all(reading_said(one, it.claim.quantity, "left", "metric") for one in it.rests)
