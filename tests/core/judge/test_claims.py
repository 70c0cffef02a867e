"""Claims: from what was read, no surer and no farther than it says; two of the same alike; what is shared shared."""

import math
from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from libella.core.certainty.estimate import normal
from libella.core.certainty.matter import MATTERS
from libella.core.estimate.cost import difference_limits
from libella.core.judge.claims.difference import Group, difference, differences, named
from libella.core.judge.claims.growth import growth
from libella.core.judge.claims.level import FEWEST, Level, level_of, shared_of
from libella.core.judge.claims.reads import compared, outliers, reads
from libella.core.judge.claims.share import share_of
from libella.core.judge.ledger.entry import Fitted, Putted, Source
from libella.core.judge.ledger.factors import GUIDED
from libella.core.judge.ledger.quantity import names, quantity
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window
from libella.words.judge.claims import level_said, share_said
from libella.words.judge.differences import difference_said
from libella.words.judge.putts import growth_said

from ...bench.compare import equal_ways, found_apart
from .samples import BY, batch, ledger, near

LINE = Source("line", "laid", 0.3)


def drawn(seed, middle, spread, n):
    return [float(it) for it in np.random.default_rng(seed).normal(middle, spread, n)]


def of(name, values, **more):
    return level_of([batch(name, values, **more)], name, (), BY)


def apart(one, other, name="start", **more):
    return difference(Group("a", (one,)), Group("b", (other,)), name, BY, **more)


@pytest.mark.parametrize("name", names())
def test_every_quantity_read_is_named_by_a_claim_with_its_count(name):
    """A quantity that is read and not told was the commonest fault of all."""
    about = quantity(name)
    if name == "feels_straight" or about.kind == "share":
        return
    prior = about.prior
    for n in (1, 2, 3, 12):
        values = [
            near(prior.bias_mean + prior.spread_median * at, prior.spread_median / 5) for at in np.linspace(-1, 1, n)
        ]
        [claim] = reads(ledger(batch(name, values)), BY)
        said = level_said(claim, "right", "metric")
        assert claim.count == n and (str(n) in said or {1: "once", 2: "twice"}.get(n, "?") in said)
        assert ("needs" in said) == (n < FEWEST and about.event != "set_up")
        assert claim.bias.low <= claim.bias.value <= claim.bias.high
        assert "inf" not in said and "nan" not in said


@pytest.mark.parametrize(("side", "word"), [(1, "right"), (-1, "left")])
@pytest.mark.parametrize("name", ["start", "face", "mark", "address", "impact"])
def test_the_side_said_is_the_posteriors(name, side, word):
    it = of(name, [side * at for at in (1.4, 1.6, 1.5, 1.2, 1.8, 1.5, 1.5)])
    assert it.side.side == it.call.side == word and word in level_said(it, "right", "metric")
    assert (it.bias.value > 0) == (side > 0)


def test_one_laying_over_four_blocks_is_not_averaged_away():
    """Four blocks on one line read apart once seemed to know it four times as well."""
    blocks = [batch("start", drawn(n, 0.5, 0.5, 10), id=f"{n}", sources=[LINE]) for n in range(4)]
    assert shared_of(blocks, "start") == pytest.approx(0.3)
    laid_anew = [
        batch("start", drawn(n, 0.5, 0.5, 10), id=f"{n}", sources=[Source("line", f"{n}", 0.3)]) for n in range(4)
    ]
    assert shared_of(laid_anew, "start") == pytest.approx(0.15)
    together, anew = (level_of(it, "start", (), BY) for it in (blocks, laid_anew))
    assert together.bias.sd >= 0.29 > anew.bias.sd


def test_one_laying_over_four_blocks_holds_the_truth():
    held = 0
    for seed in range(60):
        rng = np.random.default_rng(seed)
        truth, off = float(rng.normal(0, 1.5)), float(rng.normal(0, 0.3))
        blocks = [
            batch("start", [float(it) for it in rng.normal(truth + off, 0.7, 8)], id=f"{n}", sources=[LINE])
            for n in range(4)
        ]
        it = level_of(blocks, "start", (), BY).bias
        held += it.low <= truth <= it.high
    assert 48 <= held <= 59


def test_on_a_line_nobody_measured_nothing_is_clear_and_small_things_are_the_lines():
    far, small = (
        of("mark", [at] * 7, proved=False, putted=None, step="aim", sources=[Source("line", "l", 0.6)])
        for at in (3.0, 1.1)
    )
    assert far.call.word == "likely" and small.call.word == "open"
    # Against the mark the line is no matter.
    assert of("to_mark", [1.1] * 7, proved=False, putted=None, step="aim").call.word == "clear"


@given(st.integers(1, 9), st.sampled_from(["right", "left"]), st.booleans())
def test_readings_open_to_a_side_say_at_least_and_no_size(n, side, whole):
    open_ = Interval(1.1, math.inf) if side == "right" else Interval(-math.inf, -1.1)
    values = [open_] * (n + 2) + ([] if whole else [Interval(-1.1, 1.1)])
    it = of("start", values)
    said = level_said(it, "right", "metric")
    assert it.beyond.side == side and it.beyond.times == n + 2 and side in said.lower()
    assert "these readings can't say" in said and ("At least 1.1°" in said) == whole


def test_words_say_a_side_and_what_lies_in_one_wide_zone_is_not_told_finer():
    it = of("address", [Interval(0.5, math.inf)] * 8 + [Interval(-0.5, 0.5)] * 2)
    assert level_said(it, "left", "metric").startswith("Right (closed) 8 of 10, each by 0.5° or more")
    flat = of("start", [Interval(-0.8, 0.8)] * 10)
    assert level_said(flat, "right", "metric").startswith("All 10 within ± 0.8°")
    turned = of("shoulders_deg", [Interval(-4.5, -3.5)] * 3, step="stand")
    assert "4.0° left" in level_said(turned, "right", "metric"), "a zone that lies off is told with its side"


@pytest.mark.parametrize("name", ["start", "face", "path", "strike", "eyes_inside", "roll_past"])
def test_swapped_a_difference_says_the_same_the_other_way_round(name):
    unit = quantity(name).prior.spread_median
    one = batch(name, [near(unit * it, unit / 9) for it in drawn(1, 0.0, 0.6, 14)])
    two = batch(name, [near(unit * it, unit / 9) for it in drawn(2, 3.0, 0.6, 14)], id="b")
    here, there = apart(one, two, name), apart(two, one, name)
    assert here.call.side == "right" and there.call.side == "left" and here.call.word == there.call.word == "clear"
    assert here.by.value == pytest.approx(-there.by.value, rel=0.05)
    assert here.ratio.value * there.ratio.value == pytest.approx(1, abs=0.1)


def test_what_both_share_does_not_blur_how_far_they_lie_apart():
    far = Source("line", "laid", 1.0)
    one, two = (
        batch("start", drawn(n, at, 0.5, 12), id=f"{n}", sources=[far], proved=False) for n, at in ((1, 0.0), (2, 1.5))
    )
    same = apart(one, two)
    other = batch("start", drawn(2, 1.5, 0.5, 12), id="c", sources=[Source("line", "another", 1.0)], proved=False)
    assert same.by.doubt < 0.6 and same.call.word == "clear"
    assert apart(one, other).by.doubt > 1.5 and apart(one, other).call.word != "clear"


def test_steadier_and_wider_are_told_with_the_side_they_go_to():
    wide, calm = batch("start", drawn(3, 0.0, 1.6, 30)), batch("start", drawn(4, 0.0, 0.5, 30), id="b")
    assert apart(wide, calm).steadier.side == "left" and "steadier" in difference_said(
        apart(wide, calm), "right", "metric"
    )
    assert "wider spread" in difference_said(apart(calm, wide), "right", "metric")
    assert apart(wide, calm).inside[0].value > 0


def test_one_of_several_must_be_the_surer():
    one, two = batch("start", drawn(1, 0.0, 0.8, 12)), batch("start", drawn(2, 0.95, 0.8, 12), id="b")
    alone, among = apart(one, two), apart(one, two, among=4)
    assert alone.by.value == among.by.value and among.call.word == "likely"
    assert alone.call.probability == among.call.probability < 0.99


def test_identical_blocks_are_seldom_told_apart():
    """Of blocks of one golfer a word for each of three answers is chance: no more of it than was asked."""
    likely = dict.fromkeys(("line", "spread", "inside"), 0)
    any_, blocks = 0, 120
    for seed in range(blocks):
        rng = np.random.default_rng([seed, 5])
        spread, at = float(np.exp(rng.normal(math.log(0.8), 0.3))), float(rng.normal(0, 0.8))
        one, two = (batch("start", [float(it) for it in rng.normal(at, spread, 10)], id=f"{n}") for n in range(2))
        it = apart(one, two)
        said = {"line": it.call, "spread": it.steadier, "inside": it.inside[1]}
        named_ = [name for name, call in said.items() if call.names_direction]
        for name in named_:
            likely[name] += 1
        any_ += bool(named_)
    assert all(n <= 0.24 * blocks for n in likely.values()), likely
    assert any_ <= 0.36 * blocks


@given(st.lists(st.sampled_from(["holed", "missed"]), min_size=1, max_size=20))
def test_a_share_is_counted_whole_and_keeps_its_interval(notes):
    it = share_of([batch("holed", notes)], "holed", ())
    assert sum(n for _, n in it.counts) == it.of == len(notes) and it.told == "holed"
    assert 0 < it.share.low < it.share.value < it.share.high < 100
    said = share_said(it)
    assert f"of {len(notes)} putt" in said and "0 of 0" not in said and "mostly" not in said


def test_growth_is_drawn_at_its_lengths_and_lessons_lie_apart_by_themselves():
    def at(length, middle, lesson):
        putted = Putted(length, Window(0.97, 0.97))
        return batch(
            "start", drawn(int(10 * length), middle, 0.4, 8), id=f"{length}{lesson}", putted=putted, lesson=lesson
        )

    one = growth([at(1.6, 0.4, "a"), at(2.8, 1.0, "a"), at(4.4, 1.8, "a")], BY)
    apart_ = growth([at(1.6, 0.4, "a"), at(2.8, 1.0, "b"), at(4.4, 1.8, "c")], BY)
    assert one.call.word == "clear" and one.call.side == "right" and [it.putts for it in one.lengths] == [8, 8, 8]
    assert apart_.slope.doubt > one.slope.doubt and apart_.lessons == 3
    assert growth_said(one, "right", "metric").endswith("to the right, clear.")
    assert growth([at(1.6, 0.4, "a")], BY) is None
    [flat] = [growth([at(1.6, 0.5, "a"), at(2.8, 0.5, "a"), at(4.4, 0.5, "a")], BY)]
    assert "it grows" not in growth_said(flat, "right", "metric")


def test_once_the_error_goes_with_the_length_there_is_no_start_over_all_of_them():
    short, long = (
        batch("start", drawn(n, at, 0.4, 8), id=f"{n}", putted=Putted(length, Window(0.97, 0.97)))
        for n, at, length in ((1, 0.3, 1.6), (2, 1.9, 4.4))
    )
    told = ledger(short, long)
    assert [it.count for it in reads(told, BY)] == [16]
    each = reads(told, BY, grows=True)
    assert [(dict(it.levels)["length"], it.count) for it in each] == [("1.60", 8), ("4.40", 8)]


def test_conditions_of_one_comparison_are_never_the_golfer():
    one = batch("address", drawn(1, 1.2, 0.4, 7), (("cue", "stripe"),), comparison="c", turn=0, label="stripe")
    two = batch("address", drawn(2, -1.1, 0.4, 7), (("cue", "blank"),), id="b", comparison="c", turn=1, label="blank")
    told = ledger(one, two)
    assert len(reads(told, BY)) == 2 and told.main("address") == []
    found = compared(told, "c", "start", "line", BY, final=True)
    [(group, difference_)] = found.named
    assert group.name == "blank" and difference_.call.side == "left" and difference_.call.word == "clear"
    assert compared(told, "another", "start", "line", BY, final=True) is None


def test_a_reading_far_off_the_others_is_kept_and_told_with_and_without():
    values = [-1.5, -0.7, -4.2, -0.6, -1.7, -1.2, -1.1]
    block = batch("impact", [near(it, 0.001) for it in values])
    found = outliers(of("impact", [near(it, 0.001) for it in values]), [block])
    assert found.times == 1 and found.without.value > found.level.bias.value
    assert outliers(of("impact", drawn(1, 0.0, 0.5, 8)), [batch("impact", drawn(1, 0.0, 0.5, 8))]) is None


def test_a_level_that_its_own_step_worked_out_stands_as_it_is():
    def seen(tells, count=12):
        fitted = Fitted(normal(1.1, 0.2), None, count, tells)
        return batch("looks_straight", [], step="see", putted=None, fitted={"looks_straight": fitted})

    it = level_of([seen(True)], "looks_straight", (), BY)
    assert it.count == 12 and it.call.word == "clear" and "1.1° right" in level_said(it, "right", "metric")
    against = level_of([seen(False)], "looks_straight", (), BY)
    assert "contradict" in level_said(against, "right", "metric") and against.call.word == "open"


@settings(max_examples=40, deadline=None)
@given(st.data())
def test_another_reading_never_makes_another_quantity_unread(data):
    """What was asked of a face, a rig in view, a new note: once each hid what had been read before."""
    some = data.draw(
        st.lists(st.sampled_from(["start", "face", "path", "holed", "roll", "address"]), min_size=1, max_size=4)
    )
    levels = [(), (("guide", GUIDED),), (("trial", "mine"),)]

    def batches(names_, offset):
        made = []
        for n, name in enumerate(names_):
            values = ["holed"] * 3 if name == "holed" else ["clean"] * 3 if name == "roll" else [0.5, 0.7, 0.9]
            made.append(batch(name, values, data.draw(st.sampled_from(levels)), id=f"{offset}{n}{name}"))
        return made

    before = batches(some, "a")
    more = (
        batches(data.draw(st.lists(st.sampled_from(["start", "mark", "still"]), max_size=2)), "b")
        if data.draw(st.booleans())
        else []
    )
    more = [it for it in more if "still" not in it.counts]
    counts = {(it.quantity.name, it.levels): _count(it) for it in reads(ledger(*before), BY)}
    after = {(it.quantity.name, it.levels): _count(it) for it in reads(ledger(*before, *more), BY)}
    assert set(counts) <= set(after) and all(after[key] >= n for key, n in counts.items())


def _count(it):
    return it.count if isinstance(it, Level) else it.of


def test_named_differences_come_surest_first():
    one = batch("start", drawn(1, 0.0, 0.4, 14))
    found = differences(Group("a", (one,)), Group("b", (batch("start", drawn(2, 2.0, 0.4, 14), id="b"),)), BY)
    assert [it.quantity.name for it in named(found)] == ["start"]
    far, near_ = difference_limits(0.9, BY.mix)
    assert far > 0 and near_ > 0 and MATTERS()["difference"].matters_from > 0


def test_spreads_a_fifth_apart_are_told_so_by_the_pair_as_by_each():
    """What is believed of two spreads before data must not stand against what both pages read."""
    wide, calm = (-2.3, 1.7, -1.2, 2.0, -1.7, 1.4, -2.6, 2.3, 0.9, -2.0), (-0.3, 0.6, 0.0, 0.3, -0.6, 0.3, 0.0, -0.3)
    found = difference(Group("", (batch("start", wide),)), Group("", (batch("start", calm, id="b"),)), "start", BY)
    assert found.ratio.low < found.second.spread.value / found.first.spread.value < found.ratio.high
    assert found.steadier.word == "clear" and found.steadier.side == "left"


def test_spreads_alike_are_told_alike():
    same = (-0.8, 0.5, -0.3, 0.9, -0.6, 0.2, 0.7, -1.0, 0.4, -0.2)
    found = difference(Group("", (batch("start", same),)), Group("", (batch("start", same, id="b"),)), "start", BY)
    assert found.ratio.value == pytest.approx(1.0, abs=0.05) and not found.steadier.names_direction


@pytest.mark.parametrize("far", [6.0, -6.0])
def test_a_mishit_to_either_side_is_told_with_and_without(far):
    values = [near(it, 0.05) for it in [*drawn(3, 0.0, 0.4, 14), far]]
    found = outliers(of("start", values), [batch("start", values)])
    assert found.times == 1 and abs(found.without.value) < abs(found.level.bias.value) + 0.2
    assert found.without.doubt <= found.level.bias.doubt + 0.01


@pytest.mark.parametrize("far", [-6.0, 6.0])
def test_two_mishits_to_one_side_are_two(far):
    values = [*drawn(5, 0.0, 0.4, 14), far, far * 1.1]
    found = outliers(of("start", values), [batch("start", values)])
    assert found is not None and found.times == 2 and abs(found.without.value) < 0.4


def test_whose_read_was_used_is_told_and_never_compared():
    """It is how a putt was gone about: that it was the same in both ways is no finding."""
    one, other = (
        replace(it, events=tuple(replace(each, values={**each.values, "read": "coach"}) for each in it.events))
        for it in (batch("start", drawn(1, 0.0, 0.4, 8)), batch("start", drawn(2, 1.0, 0.4, 8), id="b"))
    )
    found = differences(Group("one", (one,)), Group("other", (other,)), BY)
    assert [it.quantity.name for it in found] == ["start"]
    assert "read" in {it.quantity.name for it in reads(ledger(one, other), BY)}


def test_equal_ways_are_seldom_told_apart_and_a_degree_is_found():
    """A tenth of the bench, as its draws allow: likely 12, clear 3, any of three 30 of a hundred; a degree 85."""
    said = equal_ways(np.random.default_rng(7), 40)
    likely, clear = said.sum(axis=0).T
    assert max(likely) <= 9 and max(clear) <= 4, (likely, clear)
    assert said[:, :, 0].any(axis=1).sum() <= 17
    assert found_apart(np.random.default_rng(8), 40) >= 0.72
