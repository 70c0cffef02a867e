"""The golfer's line: mirrored where the golfer is, the same in any order of what was read, surer the more there is."""

import math
from dataclasses import replace

import numpy as np
import pytest

from libella.core.judge.explained.line import line_explained
from libella.core.judge.golfers_line import (
    LINES,
    Change,
    LineKey,
    LineTold,
    golfers_line,
    path_drawn,
)
from libella.core.judge.ledger.entry import Source
from libella.core.judge.ledger.quantity import quantity
from libella.core.judge.line_block import LineBlock, line_block
from libella.core.judge.lines_beside import lines_beside
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window
from libella.words.judge.golfers_line import line_words, lines_said, rest_said

from ...bench.level import steps_told
from .samples import BY, batch

WINDOW = Window(1.3, 1.3)


def block(day, middle, *, n=12, spread=0.7, seed=5, name="start", laying=None, values=None):
    rng = np.random.default_rng(seed + round(day))
    reads = values or [float(it) for it in middle + spread * rng.standard_normal(n)]
    laid = Source("line", f"{laying or day}", 0.1)
    it = batch(name, reads, id=f"{day}", sources=[laid], lesson=f"{day}")
    return replace(line_block(it, name, BY), day=day)


def line(blocks, changes=(), link="start"):
    return golfers_line([LineKey(link, ())], blocks, changes, WINDOW, BY.mix)


def mirrored(it):
    mean, sd = it.bias
    return replace(it, bias=(-mean, sd))


def test_mirrored_readings_are_the_mirrored_line():
    blocks = [block(day, 0.6) for day in (0.0, 7.0, 14.0)]
    one, other = line(blocks, [Change(10.0, "x")]), line([mirrored(it) for it in blocks], [Change(10.0, "x")])
    assert one.now.value == pytest.approx(-other.now.value) and one.now.low == pytest.approx(-other.now.high)
    assert one.steps[0].size.value == pytest.approx(-other.steps[0].size.value)
    assert one.spread == other.spread and one.between == pytest.approx(other.between)


def test_more_lessons_make_it_surer_and_one_laying_less_so():
    one = line([block(0.0, 0.5)])
    many = line([block(float(day), 0.5) for day in range(0, 35, 7)])
    shared = line([block(float(day), 0.5, laying="the same") for day in range(0, 35, 7)])
    assert many.now.doubt < one.now.doubt
    assert shared.now.doubt > many.now.doubt
    assert (one.lessons, many.lessons) == (1, 5)


def test_only_changes_between_the_first_block_and_the_newest_can_be_told():
    blocks = [block(0.0, -0.8), block(7.0, -0.8), block(21.0, 0.8), block(28.0, 0.8)]
    found = line(blocks, [Change(-3.0, "before"), Change(14.0, "new putter"), Change(60.0, "after")])
    [step] = found.steps
    assert step.change.words == "new putter" and step.call.side == "right" and step.call.names_direction
    assert step.size.low < 1.6 < step.size.high


def test_a_path_is_held_by_its_own_wider_prior():
    far = [block(day, -7.0, n=8, name="path") for day in (0.0, 7.0)]
    assert line(far, link="path").now.value < -6.0


def test_readings_that_say_nothing_are_no_line():
    assert line_block(batch("start", [0.5, 0.6]), "start", BY) is None
    assert line([LineBlock(0.0, None, None, "a")]) is None


def test_a_gate_touched_on_one_side_says_at_least_and_never_a_size():
    """Read as if it were one, it would stand as a size nobody measured."""
    far = block(0.0, 0.0, values=[Interval(1.1, math.inf)] * 9)
    found = line([far])
    assert found.beyond.edge == 1.1 and found.vial.bubble_at is None
    assert line_words(found, "right", "metric").startswith(
        "At least 1.1° right now; how far, these readings can't say."
    )
    words = line([block(0.0, 0.0, values=[Interval(0.5, math.inf)] * 8 + [Interval(-0.5, 0.5)] * 2, name="face")])
    assert line_words(words, "right", "metric").startswith("Right now; how far")
    left = line([block(0.0, 0.0, values=[Interval(-math.inf, -0.5)] * 8 + [Interval(-0.5, 0.5)] * 2, name="face")])
    assert line_words(left, "right", "metric").startswith("Left now; how far")


def through_the_gate(at):
    if abs(at) <= 1.1:
        return Interval(-1.1, 1.1)
    return Interval(1.1, math.inf) if at > 0 else Interval(-math.inf, -1.1)


@pytest.mark.parametrize("truth", [0.0, 1.0, 2.0])
def test_pooled_gates_hold_the_truth_wherever_it_lies(truth):
    """Blocks through one gate of 1.1°: their likelihood is no normal, and read as one it lay beside the truth."""
    held = 0
    for seed in range(25):
        rng = np.random.default_rng(seed)
        blocks = []
        for day in range(4):
            at = rng.normal(truth, 0.7, 12)
            reads = [
                Interval(1.1, math.inf) if it > 1.1 else Interval(-math.inf, -1.1) if it < -1.1 else Interval(-1.1, 1.1)
                for it in at
            ]
            blocks.append(block(7.0 * day, 0.0, values=reads))
        now = line(blocks).now
        held += now.low - 0.1 <= truth <= now.high + 0.1
    assert held >= 20


@pytest.mark.parametrize("link", LINES)
def test_every_link_is_drawn_within_its_picture(link):
    scale = quantity(link).prior.spread_median
    blocks = [LineBlock(day, (scale * it, scale * 0.3), None, day) for day, it in ((0.0, 3.0), (9.0, -2.0))]
    found = line(blocks, [Change(4.0, "eyes in")], link)
    scene = path_drawn(found, "words")
    for shape in scene.shapes:
        if hasattr(shape, "points"):
            xs, ys = zip(*shape.points, strict=True)
            assert scene.left <= min(xs) <= max(xs) <= scene.right and scene.top <= min(ys) <= max(ys) <= scene.bottom
    assert found.vial.unit == quantity(link).unit


def test_a_newest_lesson_that_lies_elsewhere_is_said_and_days_as_they_usually_are_seldom():
    moved = line([block(0.0, 1.9, spread=0.3), block(7.0, 1.8, spread=0.3), block(14.0, 0.2, spread=0.3)])
    assert moved.moved.call.side == "left" and moved.moved.size.low < -1.65 < moved.moved.size.high
    assert "The newest lesson lies" in line_words(moved, "right", "metric")
    # Once a change was noted, its step is what is told.
    blocks = [block(0.0, 1.9, spread=0.3), block(14.0, 0.2, spread=0.3)]
    assert line(blocks, [Change(10.0, "new putter")]).moved is None and line(blocks[:1]).moved is None
    rng = np.random.default_rng(3)
    innocent = [
        line([block(7.0 * n, float(0.3 * rng.standard_normal()), seed=90 * it + n) for n in range(4)])
        for it in range(60)
    ]
    assert sum(it.moved is not None for it in innocent) <= 4


def test_a_line_opens_to_its_blocks_and_hangs_most_on_the_lesson_that_lies_elsewhere():
    blocks = [block(0.0, 0.4), block(7.0, 0.4), block(14.0, 2.4), block(21.0, 0.4)]
    told = LineTold([LineKey("start", ())], blocks, [], WINDOW, BY.mix)
    found = told.pooled()
    opened = line_explained(told, found)
    assert [it.block.day for it in opened.rests] == [21.0, 14.0, 7.0, 0.0]
    assert sum(it.block.count for it in opened.rests) == found.readings == 48
    assert [it.mean for it in reversed(opened.rests)] == [it for _, it in found.blocks]
    assert opened.moves[0].day in (14.0, 21.0) and abs(opened.moves[0].by) >= abs(opened.moves[-1].by)
    for it in opened.moves:
        rest = line([one for one in blocks if one.day != it.day])
        assert it.by == pytest.approx(rest.now.value - found.now.value)
    alone = LineTold(told.keys, blocks[:1], [], WINDOW, BY.mix)
    assert line_explained(alone, alone.pooled()).moves == ()


@pytest.mark.parametrize("to", ["right", "left", "within"])
def test_a_line_without_a_middle_shows_none_and_opens_to_none(to):
    """Six blocks through one gate, all on one side of it or all inside."""
    zone = {"right": Interval(1.1, math.inf), "left": Interval(-math.inf, -1.1), "within": Interval(-1.1, 1.1)}[to]
    blocks = [block(7.0 * n, 0.0, values=[zone] * 10) for n in range(6)]
    told = LineTold([LineKey("start", ())], blocks, [Change(20.0, "eyes in")], WINDOW, BY.mix)
    found = told.pooled()
    assert not found.has_middle and found.spread is None and found.moved is None
    assert found.vial.bubble_at is None and found.steps[0].call.word == "open"
    opened = line_explained(told, found)
    assert all(it.mean is None for it in opened.rests) and not opened.moves
    said = [rest_said(it, found.quantity, "right", "metric") for it in opened.rests]
    way = "all within ± 1.1°" if to == "within" else f"at least 1.1° {to}"
    assert all(way in it and it.count("°") == 1 for it in said)
    beside = lines_beside(found, line([block(0.0, 0.2)]), BY.mix)
    assert not beside.tells and beside.call.word == "open" and "°" not in lines_said(beside, "right", "metric")


def test_a_step_is_told_and_none_is_not():
    """A tenth of the bench: of 0.7° likely 65 of a hundred, of none 15, as far as its draws allow."""
    rng, golfers = np.random.default_rng(21), 60
    _, none, _ = steps_told(rng, "stay", golfers)
    _, stepped, _ = steps_told(rng, "step", golfers)
    assert none <= 15 and stepped >= 31, (none, stepped)
