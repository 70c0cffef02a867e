"""Two of a golfer's lines beside each other: named by cost, told alike from both sides, settled by more of the same."""

from dataclasses import replace

import numpy as np
import pytest

from libella.core.judge.golfers_line import LineKey, golfers_line
from libella.core.judge.ledger.entry import Source
from libella.core.judge.line_block import line_block
from libella.core.judge.lines_beside import lines_beside
from libella.core.measure.window import Window

from .samples import BY, batch

MIX = BY.mix


def line(middle, spread=0.7, *, link="start", blocks=3, levels=()):
    rng = np.random.default_rng(8)
    told = []
    for day in range(blocks):
        reads = [float(it) for it in middle + spread * rng.standard_normal(12)]
        laid = Source("line", f"{day}", 0.1)
        one = line_block(batch(link, reads, levels, id=f"{day}", sources=[laid], lesson=f"{day}"), link, BY)
        told.append(replace(one, day=7.0 * day))
    return golfers_line([LineKey(link, levels)], told, (), Window(1.3, 1.3), MIX)


def test_a_difference_is_told_alike_from_both_sides():
    here, there = line(-1.0), line(1.2)
    one, other = lines_beside(here, there, MIX), lines_beside(there, here, MIX)
    assert (one.call.word, one.call.side, other.call.side) == ("clear", "right", "left")
    assert one.by.value == pytest.approx(-other.by.value) and one.more_blocks == 0


def test_what_is_open_takes_more_blocks_and_less_the_more_there_are():
    few = lines_beside(line(0.0, blocks=1), line(0.5, blocks=1), MIX)
    many = lines_beside(line(0.0, blocks=6), line(0.5, blocks=6), MIX)
    assert few.call.word == "open" and few.more_blocks != 0
    assert many.by.doubt < few.by.doubt


def test_a_path_matters_less_than_a_start_by_what_of_it_reaches_the_ball():
    start = lines_beside(line(0.0), line(1.6), MIX)
    path = lines_beside(line(0.0, link="path"), line(1.6, link="path"), MIX)
    assert start.call.word == "clear" and path.call.word != "clear"


def test_the_steadier_line_is_named():
    found = lines_beside(line(0.0, 2.0, blocks=5), line(0.0, 0.5, blocks=5), MIX)
    assert found.steadier.side == "left" and found.steadier.names_direction
    assert lines_beside(line(0.0), line(0.0), MIX).steadier.word in ("none", "open")


@pytest.mark.parametrize("text", ["", "nobody|", "feet|cue=a", "start|mood=good"])
def test_a_key_reads_as_it_is_written_and_nothing_else_is_one(text):
    key = LineKey("face", (("set_up", "wide | base"), ("guide", "in_view")))
    assert LineKey.read(key.text) == key
    assert LineKey.read(text) is None
