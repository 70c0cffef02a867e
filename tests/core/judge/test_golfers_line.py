"""The golfer's line: mirrored where the golfer is, the same in any order of what was read, surer the more there is."""

import numpy as np
import pytest

from libella.core.estimate import PATH, START, posterior
from libella.core.judge.golfers_line import LINKS, Change, LineBlock, LineKey, golfers_line, path_drawn
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window

WINDOW = Window(1.3, 1.3)


def block(day, middle, *, n=12, spread=0.7, seed=5, prior=START, laying=None):
    rng = np.random.default_rng(seed + round(day))
    reads = [Interval(it - 0.05, it + 0.05) for it in middle + spread * rng.standard_normal(n)]
    return LineBlock.read(day, posterior(reads, prior), prior, (laying or day, 0.1), day)


def line(blocks, changes=(), link="start"):
    return golfers_line([LineKey(link, False, "as usual")], blocks, changes, WINDOW)


def mirrored(it):
    mean, sd = it.bias
    return LineBlock(it.day, (-mean, sd), it.spread, it.laying, it.laying_sd, it.lesson)


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
    far = [block(day, -7.0, n=8, prior=PATH) for day in (0.0, 7.0)]
    assert line(far, link="path").now.value < -6.0


def test_readings_that_say_nothing_are_no_line():
    gate_always_missed = LineBlock.read(0.0, posterior([], START), START, ("a", 0.1), 0)
    assert gate_always_missed.bias is None and line([gate_always_missed]) is None


@pytest.mark.parametrize("link", LINKS)
def test_every_link_is_drawn_within_its_picture(link):
    scale = 20.0 if link == "eyes" else 1.0
    blocks = [LineBlock(day, (scale * it, scale * 0.3), None, day, 0.0, day) for day, it in ((0.0, 3.0), (9.0, -2.0))]
    found = line(blocks, [Change(4.0, "eyes in")], link)
    scene = path_drawn(found, "words")
    for shape in scene.shapes:
        if hasattr(shape, "points"):
            xs, ys = zip(*shape.points, strict=True)
            assert scene.left <= min(xs) <= max(xs) <= scene.right and scene.top <= min(ys) <= max(ys) <= scene.bottom
    assert found.vial.unit == ("mm" if link == "eyes" else "deg")
