"""What is laid can be read: every aid of the library is a note at a putt, counted and judged; pace has sizes and sides;
a path noted by word is held against the one declared."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.green.putt import Putt
from libella.core.green.read import Read
from libella.core.instruments import instruments, lay
from libella.core.instruments.rig import Rig
from libella.core.instruments.scale import Scale
from libella.core.judge.judgement import Occasion, judge
from libella.core.judge.pace import pace
from libella.core.judge.watched import path_tables, watched_tables
from libella.core.measure.interval import Interval
from libella.core.measure.limits import OutOfLimits
from libella.core.set.station import Station
from libella.core.start.notes import NOTES, checked_asks, checked_notes
from libella.core.start.path import PathModel
from libella.core.start.watched import PREFIX, note_of, watched, watched_interval
from libella.words.judge.judgement import judgement_words

OPEN = Interval.of(None, None)
NO_RIG = lay("no_rig", {})
assert isinstance(NO_RIG, Rig)


def values(note):
    return list(note.options) if note.options else [note.bounds.low, 0.0, note.bounds.high]


@pytest.mark.parametrize("kind", [kind for kind, it in instruments().items() if not issubclass(it, Rig)])
def test_every_aid_that_is_laid_can_be_noted_and_is_judged(kind):
    aid = lay(kind, {})
    notes = watched(NO_RIG, [aid])
    if not aid.about.noted and not aid.touched:
        # An eye is marked in See, never putt by putt; a linked sensor sends what it reads.
        assert aid.about.measures == "eyes" or kind == "stroke_sensor"
        assert notes == {}
        return
    name = PREFIX + kind
    assert len(name) <= 20 and checked_asks([name], notes) == (name,)
    for value in values(notes[name]):
        assert checked_notes({name: value}, [name], notes) == {name: value}
        interval = watched_interval(aid, value)
        assert (interval is None) == bool(aid.touched)
    told = [(OPEN, {name: value}) for value in values(notes[name])]
    [table] = watched_tables(told, [name])
    assert table.found.putts == len(told) and sum(int(row.cells[0].n) for row in table.rows) == len(told)
    assert note_of(name).label == aid.about.name


def test_a_side_that_is_touched_again_and_again_is_named_and_one_in_turns_is_not():
    def found(*pegs):
        return watched_tables([(OPEN, {"aid:putter_gate": it}) for it in pegs], ["aid:putter_gate"])[0].found

    often = found(*["far_peg"] * 7, "clean")
    assert (often.call.word, often.call.side) == ("clear", "right")
    assert found(*["far_peg", "near_peg"] * 4).call.word == "open"


def test_an_aid_that_is_not_laid_is_not_asked():
    with pytest.raises(OutOfLimits):
        checked_asks(["aid:putter_gate"], watched(NO_RIG, [lay("twin_rails", {})]))


def test_six_of_six_short_is_said_with_its_sizes_before_any_line():
    sizes = (-0.4, -0.5, -0.9, -0.6, -0.7, -0.8)
    notes = [{"finish": "short_left" if n < 2 else "short", "ran_past_m": it} for n, it in enumerate(sizes)]
    it = pace(notes, (), 0.35)
    assert (it.short, it.past, it.left, it.nearest_m, it.farthest_m) == (6, 0, 2, 0.4, 0.9)
    assert (it.call.word, it.call.side) == ("clear", "left")


@given(st.lists(st.sampled_from(["short", "past", "holed", "left", "past_right"]), min_size=3, max_size=20))
def test_every_finish_told_is_counted_once_and_few_say_nothing(finishes):
    it = pace([{"finish": one} for one in finishes], (), 0.35)
    level = sum(one == "left" for one in finishes)
    assert it.short + it.past + it.holed + level == it.putts == len(finishes)
    assert it.call.word != "clear" or it.commoner
    assert pace([{"finish": "short"}] * 2, (), 0.35) is None


def test_rings_and_the_tape_tell_short_past_and_the_goal_zone():
    rings, tape = lay("rings", {}), lay("roll_past", {})
    it = pace([{"aid:rings": one} for one in ("past", "past", "past_out", "short")], [rings], 0.35)
    assert (it.past, it.short, it.goal, it.of_goal) == (3, 1, 2, 3)
    # Short of both rings: past the last one nothing is known but that.
    it = pace([{"aid:rings": one} for one in ("short", "short_out", "short")], [rings], 0.35)
    assert (it.nearest_m, it.farthest_m) == (0.3, math.inf)
    it = pace([{"aid:roll_past": one} for one in (0.2, 0.5, 1.0)], [tape], 0.35)
    assert (it.past, it.goal) == (3, 2)


def test_a_path_by_word_is_held_against_the_declared_one_for_either_hand():
    noted = [(OPEN, {"path": "out_to_in"})] * 7 + [(OPEN, {"path": "neutral"})]
    [table] = path_tables(noted, PathModel("straight"), "right")
    assert table.found.call.word == "clear" and table.found.out_to_in == 7
    assert path_tables(noted, PathModel(), "right") == []
    for hand, degrees in (("right", -2.0), ("left", 2.0)):
        [table] = path_tables([(OPEN, {"path_deg": degrees})] * 6, PathModel("straight"), hand)
        assert table.found.out_to_in == 6
    # On an arc a ball ahead of its middle meets a path to the left: that is as declared.
    ahead = PathModel("arc", 0.1)
    [table] = path_tables([(OPEN, {"path_deg": ahead.expected_deg("right")})] * 4, ahead, "right")
    assert table.found.as_declared == 4


def test_with_no_rig_nothing_is_said_of_the_start():
    station = Station(Putt(2.5, 0.3, 10), NO_RIG)
    reading = station.interval({"start": "not_watched"})
    it = judge([reading] * 12, station, Occasion("right"), planned=10)
    assert it.final and not it.watched and it.summary is None and it.verdict is None and it.work is None


def test_notes_of_scales_take_what_stands_on_their_own_ruler():
    for kind, it in instruments().items():
        if issubclass(it, Scale) and not issubclass(it, Rig) and it.about.noted and not it.touched:
            note = note_of(PREFIX + kind)
            assert note.bounds.high == lay(kind, {}).half_width_m
    assert "ran_past_m" in NOTES


def test_a_miss_against_the_read_is_told_from_one_against_the_computed_line():
    read = Read("outside", "right", 0.3)
    putt = Putt(3.0, 0.35, 10, falls_right_percent=-1.0, read=read, target="read")
    board = lay("board", {})
    assert isinstance(board, Rig)
    station, level = Station(putt, board), Station(Putt(3.0, 0.35, 10), board)
    reads = [Interval(-0.2, 0.2), Interval(-0.1, 0.3), Interval(-0.3, 0.1)] * 5
    on_it = judge(reads, station, Occasion("right"), planned=10)
    said = judgement_words(on_it, station, Occasion("right"), "metric").read
    assert said.startswith("Against the read") and "it is the read that lies" in said
    assert judgement_words(on_it, level, Occasion("right"), "metric").read == ""


@pytest.mark.parametrize(
    ("kind", "path", "touch", "side"),
    [
        ("twin_rails", "straight", "inside_back", "in_to_out"),
        ("twin_rails", "straight", "inside_through", "out_to_in"),
        ("curved_rail", "arc", "touched_through", "in_to_out"),
        ("path_template", "arc", "outside_back", "out_to_in"),
        ("twin_rails", "straight", "clean", "as_declared"),
    ],
)
def test_rails_laid_for_the_path_meant_tell_it(kind, path, touch, side):
    putts = [(OPEN, {f"aid:{kind}": touch})] * 4
    [table] = path_tables(putts, PathModel(path), "left")
    assert [it.of for it in table.rows] == [side]


def test_rails_of_another_shape_say_nothing_of_the_path_meant():
    assert path_tables([(OPEN, {"aid:twin_rails": "inside_back"})] * 4, PathModel("arc"), "right") == []
