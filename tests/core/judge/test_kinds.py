"""What readings can show, and no more: the kinds of claims (account 1)."""

import math
from dataclasses import replace

import pytest

from libella.core.estimate.kind import SIZED, Bounded, Sided, Split, Within, kind_of
from libella.core.golfer.band import usual_band
from libella.core.green.putt import Putt
from libella.core.green.usual import USUAL, usual_mix
from libella.core.instruments import lay
from libella.core.judge.claims.difference import Group, difference
from libella.core.judge.claims.level import Weighing, level_of
from libella.core.judge.golfers_line import LineKey, golfers_line
from libella.core.judge.judgement import Occasion, further
from libella.core.judge.ledger.entry import Batch, Event, Putted
from libella.core.judge.line_block import line_block
from libella.core.measure.interval import Interval
from libella.core.measure.window import Window
from libella.core.set.proof import NOT_PROVED
from libella.core.set.station import Station
from libella.words.judge.claims import level_said
from libella.words.judge.differences import difference_said

WINDOW = Window(0.97, 0.97)
LEFT, RIGHT = Interval(-math.inf, -2.9), Interval(2.9, math.inf)
CLEAN = Interval(-0.8, 0.8)
BY = Weighing(usual_mix(Putt(2.5, 0.35, 10), USUAL()), 0.85, usual_band("skilled").spread_deg["start"])


def starts(readings):
    events = tuple(Event(str(n), {"start": it}) for n, it in enumerate(readings))
    return level_of([Batch("b", "start", 0.0, events, putted=Putted(2.5, WINDOW))], "start", (), BY)


@pytest.mark.parametrize(
    ("readings", "kind"),
    [
        ([LEFT] * 4 + [RIGHT] * 4, Split),
        ([LEFT] * 3 + [RIGHT] * 3 + [CLEAN] * 5, Split),
        ([LEFT] * 2 + [RIGHT] * 6, Bounded),
        ([CLEAN] * 3 + [RIGHT] * 7, Bounded),
        ([CLEAN] * 8 + [RIGHT] * 2, Within),
        ([CLEAN] * 10, Within),
        ([Interval(0.1, 0.4)] * 10, type(SIZED)),
        ([CLEAN] * 7 + [LEFT] * 2 + [RIGHT], type(SIZED)),
    ],
)
def test_the_kind_is_what_most_readings_can_show(readings, kind):
    assert isinstance(kind_of(readings, WINDOW), kind)


def test_readings_open_to_both_sides_are_never_nothing_to_mend_and_have_no_middle():
    level = starts([LEFT] * 4 + [RIGHT] * 4)
    assert level.call is not None and level.call.word == "open"
    said = level_said(level, "right", "metric")
    assert said == "4 left, 4 right, each by at least 2.9°: how far, these readings can't say."


@pytest.mark.parametrize("touched", [6, 7, 8, 9, 10])
def test_what_is_open_to_one_side_is_never_nothing_to_mend(touched):
    near = Interval(0.05, math.inf)
    level = starts([near] * touched + [CLEAN] * (10 - touched))
    assert isinstance(level.kind, Bounded) and level.call is not None and level.call.word != "none"


def test_no_number_of_more_putts_is_promised_on_a_rig_that_cannot_say_it():
    gate = lay("peg_gate", {})
    station = Station(Putt(2.5, 0.35, 10), gate, replace(NOT_PROVED, way="string"))
    both = [LEFT] * 4 + [RIGHT] * 4
    found = further(both, station, Occasion("right"), planned=8)
    assert found is not None and found.putts is None and found.call.word == "open"


def test_one_wide_zone_is_nothing_to_mend_only_inside_the_window():
    assert starts([CLEAN] * 12).kind == Within(0.8, inside=True, times=12)
    wide = starts([Interval(-1.4, 1.4)] * 12)
    assert wide.kind == Within(1.4, inside=False, times=12) and wide.call is not None and wide.call.word != "none"


SAID_RIGHT, SAID_MIDDLE = Interval(0.5, math.inf, said=True), Interval(-0.5, 0.5, said=True)


def paths(readings, batch="b", hand="right", against=0.0):
    putted = Putted(2.5, WINDOW, path_deg=against)
    events = tuple(Event(str(n), {"path": it}) for n, it in enumerate(readings))
    return Batch(batch, "start", 0.0, events, putted=putted)


@pytest.mark.parametrize(
    ("times", "word"), [(10, "clear"), (8, "clear"), (7, "likely"), (6, "open"), (3, "open"), (0, "open")]
)
def test_a_side_told_in_words_has_its_word_by_how_often_and_never_a_size(times, word):
    level = level_of([paths([SAID_RIGHT] * times + [SAID_MIDDLE] * (10 - times))], "path", (), BY)
    assert isinstance(level.kind, Sided) and not level.is_sized
    assert level.call is not None and level.call.word == word
    said = level_said(level, "right", "metric")
    assert "°" not in said.replace("0.5°", "")
    if times >= 6:
        assert said.startswith(f"In to out {times} of 10, each by 0.5° or more: ")
    elif times:
        assert said == f"Of 10 putts: in to out {times}, as declared {10 - times}."


def test_a_side_is_told_about_the_path_declared():
    arc = [Interval(2.5, math.inf, said=True)] * 8 + [Interval(1.5, 2.5, said=True)] * 2
    level = level_of([paths(arc, against=2.0)], "path", (), BY)
    assert isinstance(level.kind, Sided)
    assert (level.kind.right, level.kind.left, level.kind.neither, level.kind.edge) == (8, 0, 2, 0.5)


def test_two_ways_told_as_sides_differ_by_how_often_and_by_no_degrees():
    one = Group("usual", (paths([SAID_RIGHT] * 9 + [SAID_MIDDLE], "a"),))
    other = Group("new", (paths([SAID_RIGHT] + [SAID_MIDDLE] * 9, "b"),))
    found = difference(one, other, "path", BY)
    assert found is not None and not found.is_sized and found.call.word == "clear" and found.call.side == "left"
    assert difference_said(found, "right", "metric") == "path: in to out 1 of 10 against 9 of 10, clear"


def test_what_is_open_against_what_is_nearer_differs_by_at_least():
    near = [Interval(-0.1, 0.1)] * 10
    far = [Interval(1.1, math.inf)] * 10
    groups = [
        Group(
            name,
            (
                Batch(
                    name,
                    "start",
                    0.0,
                    tuple(Event(f"{name}{n}", {"start": it}) for n, it in enumerate(some)),
                    putted=Putted(2.5, WINDOW),
                ),
            ),
        )
        for name, some in (("near", near), ("far", far))
    ]
    found = difference(*groups, "start", BY)
    assert found is not None and found.least is not None and 0.7 <= found.least <= 1.1
    assert "at least" in difference_said(found, "right", "metric")
    back = difference(*reversed(groups), "start", BY)
    assert back is not None and back.least == -found.least
    # Both open to one side, by the same gate: by how often; by gates of other widths not at all.
    again = difference(groups[1], groups[1], "start", BY)
    assert again is not None and again.sides is not None and again.call.word != "clear"


@pytest.mark.parametrize("reading", [RIGHT, SAID_RIGHT, Interval(2.9, 3.1), CLEAN])
@pytest.mark.parametrize("count", [3, 4, 5])
def test_few_readings_of_any_kind_are_neither_clear_nor_likely_nor_nothing_to_mend(reading, count):
    """Four putts short, or four in to out, were clear on one page and nothing on another."""
    name = "path" if reading.said else "start"
    events = tuple(Event(str(n), {name: reading}) for n in range(count))
    batch = Batch("b", "start", 0.0, events, putted=Putted(2.5, WINDOW))
    level = level_of([batch], name, (), BY)
    assert (level.sure.word == "open") == (count < 5 or reading is CLEAN)
    block = line_block(batch, name, BY)
    line = golfers_line([LineKey(name, ())], [block], (), WINDOW, BY.mix)
    if reading.said:
        assert (line.sides_call.word == "open") == (count < 5)
        assert replace(line, proved=False).sides_call.word != "clear"
