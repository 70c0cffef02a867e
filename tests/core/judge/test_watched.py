"""What was watched beside the start: aids, where putts finished, the path against the one declared, the read."""

import math
from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.green.putt import Putt
from libella.core.green.read import Read
from libella.core.instruments import instruments, lay
from libella.core.instruments.rig import Rig
from libella.core.instruments.scale import Scale
from libella.core.judge.claims.level import level_of
from libella.core.judge.claims.pace import pace_of
from libella.core.judge.claims.share import share_of
from libella.core.judge.findings.judged import judge_lesson
from libella.core.judge.judgement import Occasion, judge
from libella.core.judge.ledger.entry import Batch, Event
from libella.core.judge.ledger.putt import Reader, putt_values
from libella.core.judge.ledger.quantity import quantity
from libella.core.measure.interval import Interval
from libella.core.measure.limits import OutOfLimits
from libella.core.set.station import Station
from libella.core.start.notes import NOTES, checked_asks, checked_notes, joined
from libella.core.start.path import PathModel
from libella.core.start.watched import PREFIX, note_of, watched, watched_interval
from libella.words.judge.claims import level_said, share_said, side_name
from libella.words.judge.findings import fact_said
from libella.words.judge.judgement import judgement_words
from libella.words.judge.putts import pace_said

from .samples import BY, PUTTED, batch, ledger

NO_RIG = lay("no_rig", {})
assert isinstance(NO_RIG, Rig)
STRAIGHT = PathModel("straight")


def putted(notes, aids=(), path=STRAIGHT, hand="right"):
    """A block of putts of which only this was noted."""
    events = [Event(f"{n}", putt_values(Reader(hand, path, aids), None, it, {})) for n, it in enumerate(notes)]
    declared = replace(PUTTED, path_deg=path.expected_deg(hand))
    return Batch("b", "start", 0.0, tuple(events), putted=declared)


def ended(notes, aids=()):
    return pace_of([putted(notes, aids)], BY)


def values(note):
    return list(note.options) if note.options else [note.bounds.low, 0.0, note.bounds.high]


def test_what_is_laid_is_asked_in_its_place_of_the_putt():
    notes = watched(NO_RIG, [lay("rings", {}), lay("putter_gate", {})])
    asks = checked_asks(["finish", "aid:rings", "aid:putter_gate", "strike", "felt"], notes)
    assert asks == ("felt", "strike", "aid:putter_gate", "finish", "aid:rings")


def test_what_lies_across_the_face_is_mirrored_for_a_left_hander_and_nothing_else():
    """Near and far, heel and toe change sides with the golfer; left and right of the line never do."""
    laid = [lay(kind, {}) for kind, it in instruments().items() if not issubclass(it, Rig)]
    mirrored = {name for name, it in {**NOTES, **watched(NO_RIG, laid)}.items() if it.mirrors}
    assert mirrored == {"strike", "path_going_back", "contact", "off_string", "aid:putter_gate"}
    assert next(iter(watched(NO_RIG, [lay("putter_gate", {})])["aid:putter_gate"].options)) == "near_peg"


@pytest.mark.parametrize("kind", [kind for kind, it in instruments().items() if not issubclass(it, Rig)])
def test_every_aid_that_is_laid_can_be_noted_and_is_told(kind):
    aid = lay(kind, {})
    notes = watched(NO_RIG, [aid])
    if not aid.about.noted and not aid.touched:
        # An eye is marked in See, never putt by putt; a linked sensor sends what it reads.
        assert aid.about.measures == "eyes" or kind in ("stroke_sensor", "in_words", "square_reference")
        assert notes == {}
        return
    name = PREFIX + kind
    assert len(name) <= 20 and checked_asks([name], notes) == (name,)
    for value in values(notes[name]):
        assert checked_notes({name: value}, [name], notes) == {name: value}
        interval = watched_interval(aid, value)
        assert (interval is None) == bool(aid.touched)
    batch = putted([{name: value} for value in values(notes[name])], [aid])
    assert batch.counts[name] == len(values(notes[name]))
    told = share_of([batch], name, ()) if notes[name].options else level_of([batch], name, (), BY)
    assert told is not None


def test_what_an_aid_showed_is_told_by_its_zones_with_the_clean_share():
    gate = lay("putter_gate", {})
    it = share_of(
        [putted([{"aid:putter_gate": one} for one in ["far_peg"] * 7 + ["clean"] * 3], [gate])], "aid:putter_gate", ()
    )
    assert it.times("far_peg") == 7 and it.told == "clean" and it.share.low < 30 < it.share.high
    assert share_said(it).startswith("7 ") and "of 10 putts" in share_said(it)
    # A peg towards the toe is touched by a putter that strikes towards the heel.
    strike = level_of([putted([{"aid:putter_gate": "far_peg"}] * 7, [gate])], "strike", (), BY)
    assert strike.side.side == "left" and strike.side.names_direction and strike.beyond is not None


def test_what_was_several_at_once_counts_for_each_and_the_putts_stay_as_many():
    noted = [{"still": "head+knees"}] * 3 + [{"still": "head"}] * 2 + [{"still": "nothing"}] * 5
    it = share_of([putted(noted, [])], "still", ())
    assert (it.of, it.times("head"), it.times("knees"), it.times("nothing")) == (10, 5, 3, 5)
    assert it.told == "nothing" and it.share.low < 50 < it.share.high


@pytest.mark.parametrize("value", ["knees+head", "head+head", "nothing+head", "head+", "head+toes"])
def test_several_at_once_are_in_order_each_once_and_never_nothing(value):
    with pytest.raises(OutOfLimits):
        checked_notes({"still": value}, ["still"])
    assert joined(["knees", "head", "knees"], NOTES["still"]) == "head+knees"


def test_one_of_a_kind_can_not_be_two():
    with pytest.raises(OutOfLimits):
        checked_notes({"roll": "clean+skid"}, ["roll"])


def test_a_rail_touched_back_and_through_tells_both_ways():
    """Inside its way going back and outside it going through: from in to out of it both times, for either hand."""
    rail = lay("twin_rails", {})
    codes = {it.where: it.raw for it in rail.zones() if it.where}
    back = next("_".join(it.raw.values()) for it in rail.zones() if it.where == "back" and it.interval.low > 0)
    through = next("_".join(it.raw.values()) for it in rail.zones() if it.where == "through" and it.interval.low <= 0)
    note = watched(NO_RIG, [rail])[PREFIX + "twin_rails"]
    assert codes and note.alone
    value = joined([through, back], note)
    assert checked_notes({PREFIX + "twin_rails": value}, [PREFIX + "twin_rails"], {PREFIX + "twin_rails": note})
    for hand, side in (("right", 1), ("left", -1)):
        told = putt_values(Reader(hand, PathModel("straight"), [rail]), None, {PREFIX + "twin_rails": value}, {})
        assert told["path_back"].anchor * side > 0 and told["path"].anchor * side > 0


def test_the_way_back_is_told_apart_from_the_way_through_in_words():
    told = putt_values(
        Reader("left", PathModel("straight")), None, {"path_going_back": "inside", "path": "out_to_in"}, {}
    )
    assert told["path_back"].high < 0 < told["path"].low


def test_a_face_at_impact_by_eye_is_a_side_and_names_no_cause():
    """Open seven of seven, and the starts go there: a fact for the cause, never its size."""
    notes = [{"face_impact": "right"}] * 7
    one = putted(notes, [])
    assert level_of([one], "impact", (), BY).beyond.side == "right"
    starts = batch("start", [1.2] * 7)
    both = replace(one, events=tuple(
        replace(it, values={**it.values, **start.values}) for it, start in zip(one.events, starts.events, strict=True)
    ))  # fmt: skip
    found = next(it for it in judge_lesson(ledger(both)).findings.ranked if it.cause == "face_at_impact")
    assert not found.is_named and found.size is None
    said = [fact_said(it, "metric") for it in found.facts]
    assert any("points right 7 of 7: a side, and no size" in it for it in said)
    # A sensor's degrees stand above what the eye says.
    both = putt_values(Reader("right", PathModel("straight")), None, notes[0], {"face_impact_deg": -0.4})
    assert both["impact"].high == -0.4


def test_an_aid_that_is_not_laid_is_not_asked():
    with pytest.raises(OutOfLimits):
        checked_asks(["aid:rings"], watched(NO_RIG, []))


def test_six_of_six_short_is_said_with_its_sizes_before_any_line():
    it = ended([{"finish": "short", "ran_past_m": -size} for size in (0.4, 0.5, 0.6, 0.5, 0.7, 0.9)])
    assert (it.short, it.putts, it.nearest_m, it.farthest_m) == (6, 6, 0.4, 0.9)
    assert pace_said(it, "metric").startswith("6 of 6 short, by 40 cm to 90 cm.")
    assert "less than planned: clear" in pace_said(it, "metric")


@given(st.lists(st.sampled_from(["short", "past", "holed", "left", "past_right"]), min_size=3, max_size=20))
def test_every_finish_told_is_counted_once_and_few_say_nothing(finishes):
    it = ended([{"finish": one} for one in finishes])
    beside = sum(one == "left" for one in finishes)
    assert it.short + it.past + it.holed + beside == it.putts == len(finishes)
    # A ball that missed at good pace is past, too: past without a size is no pace.
    if not it.short:
        assert "clear" not in pace_said(it, "metric")
    assert ended([{"finish": "short"}] * 2) is None


def test_a_holed_ball_ran_past_nothing_and_a_good_pace_is_good():
    it = ended([{"finish": "holed"}] * 4 + [{"finish": "past", "ran_past_m": size} for size in (0.3, 0.4, 0.35, 0.45)])
    assert it.level.count == 4 and "Pace as planned." in pace_said(it, "metric")
    assert (it.goal, it.of_goal) == (8, 8)


def test_rings_and_the_tape_tell_short_past_and_the_goal_zone():
    rings, tape = lay("rings", {}), lay("roll_past", {})
    it = ended([{"aid:rings": one} for one in ("past", "past", "past_out", "short")], [rings])
    assert (it.past, it.short, it.of_goal) == (3, 1, 3)
    it = ended([{"aid:rings": one} for one in ("short", "short_out", "short")], [rings])
    assert it.nearest_m is None or it.nearest_m > 0
    it = ended([{"aid:roll_past": one} for one in (0.2, 0.5, 1.0)], [tape])
    assert (it.past, it.goal) == (3, 2)


@pytest.mark.parametrize(
    ("rings", "said"),
    [
        (["short_out"] * 5, "5 of 5 short, by more than 60 cm."),
        (["short_out"] * 5 + ["short"] * 2, "7 of 7 short, by 45 cm to more than 60 cm."),
        (["short"] * 5, "5 of 5 short, by 45 cm."),
    ],
)
def test_what_stopped_beyond_the_rings_is_not_told_as_if_it_had_stopped_in_one(rings, said):
    it = ended([{"aid:rings": one} for one in rings], [lay("rings", {})])
    assert pace_said(it, "metric").startswith(said)


def test_a_size_read_between_the_marks_of_an_aid_is_the_mark_next_to_it():
    """It stands for as much as the scale can tell, wherever between the marks it was put."""
    tape = lay("roll_past", {})
    assert watched_interval(tape, 0.22) == watched_interval(tape, 0.2) == tape.interval({"offset_m": 0.2})
    assert watched_interval(tape, 0.23) == tape.interval({"offset_m": 0.25})


def test_sides_are_counted_from_what_the_quantity_is_weighed_from():
    """Six putts that ran 10 cm past are all short of the pace planned, which is 30 cm."""
    it = ended([{"finish": "past", "ran_past_m": 0.1}] * 6)
    assert (it.level.counted.right, it.level.counted.left) == (0, 6)


@pytest.mark.parametrize("calls", [5, 6])
def test_what_feels_straight_is_told_from_six_calls_on(calls):
    felt = [(-1.0, "left"), (1.0, "right"), (-0.6, "left"), (0.6, "right"), (0.0, "straight"), (0.1, "straight")]
    events = tuple(
        Event(f"{n}", {"start": Interval(at - 0.1, at + 0.1), "feels_straight": said})
        for n, (at, said) in enumerate(felt[:calls])
    )
    it = level_of([Batch("b", "start", 0.0, events, putted=PUTTED)], "feels_straight", (), BY)
    assert (it.vial.bubble_at is not None) == (calls == 6)


@pytest.mark.parametrize(("hand", "opens"), [("right", 1), ("left", -1)])
def test_a_head_going_back_is_inside_or_outside(hand, opens):
    assert [side_name(quantity("path_back"), opens * at, hand) for at in (1.0, -1.0)] == ["inside", "outside"]
    assert side_name(quantity("path"), opens * 1.0, hand) == "in to out"


@pytest.mark.parametrize(("hand", "side"), [("right", "left"), ("left", "right")])
def test_a_path_by_word_is_held_against_the_declared_one_for_either_hand(hand, side):
    noted = putted([{"path": "out_to_in"}] * 7 + [{"path": "neutral"}], hand=hand)
    it = level_of([noted], "path", (), BY)
    assert it.side.word == "clear" and it.side.side == side and it.beyond.times == 7
    assert level_said(it, hand, "metric").startswith("Out to in 7 of 8")
    # On an arc a ball ahead of its middle meets a path across the line: that is as declared.
    ahead = PathModel("arc", 0.1)
    it = level_of([putted([{"path": "neutral"}] * 8, path=ahead, hand=hand)], "path", (), BY)
    assert it.beyond is None and level_said(it, hand, "metric") == "Of 8 putts: as declared 8."


def test_with_no_rig_nothing_is_said_of_the_start():
    station = Station(Putt(2.5, 0.3, 10), NO_RIG)
    reading = station.interval({"start": "not_watched"})
    it = judge([reading] * 12, station, Occasion("right"), planned=10)
    assert it.final and not it.watched and it.summary is None and it.verdict is None and it.gains == ()


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
    ("kind", "path", "touch", "name", "side"),
    [
        ("twin_rails", "straight", "inside_back", "path_back", "in_to_out"),
        ("twin_rails", "straight", "inside_through", "path", "out_to_in"),
        ("curved_rail", "arc", "touched_through", "path", "in_to_out"),
        ("path_template", "arc", "outside_back", "path_back", "out_to_in"),
        ("twin_rails", "straight", "clean", "path", "neutral"),
    ],
)
def test_rails_laid_for_the_path_meant_tell_it_going_back_and_through(kind, path, touch, name, side):
    """Going back and going through are two directions: one touch is no reading of the other."""
    model = PathModel(path)
    [event] = putted([{f"aid:{kind}": touch}], [lay(kind, {})], model, "left").events
    read = event.values[name]
    expected = model.expected_deg("left")
    if side == "neutral":
        assert read == Interval(expected - 0.5, expected + 0.5, said=True)
    else:
        assert (read.high == math.inf) == (side == "out_to_in")
        assert {"path", "path_back"} & set(event.values) == {name}


def test_rails_of_another_shape_say_nothing_of_the_path_meant():
    [event] = putted([{"aid:twin_rails": "inside_back"}], [lay("twin_rails", {})], PathModel("arc")).events
    assert "path" not in event.values and "path_back" not in event.values
