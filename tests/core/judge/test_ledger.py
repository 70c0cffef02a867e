"""The ledger: what was noted is read, words as intervals; factors tell ways apart, a typed name never."""

import math
from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.instruments import instruments, lay
from libella.core.instruments.rig import Rig
from libella.core.instruments.scale import Scale
from libella.core.judge.chain import fit_k
from libella.core.judge.golfers_line import LINES
from libella.core.judge.ledger.entry import Batch, Event
from libella.core.judge.ledger.factors import CHOSEN, FACTORS, GUIDED, levels_of
from libella.core.judge.ledger.putt import Reader, putt_values, size_m, strike_intervals, typed
from libella.core.judge.ledger.quantity import names, quantity
from libella.core.measure.interval import Interval
from libella.core.measure.limits import OutOfLimits
from libella.core.simulated.golfer import SimulatedGolfer
from libella.core.stand.set_up import ENTRIES
from libella.core.start.notes import NOTES
from libella.core.start.path import PathModel
from libella.core.start.watched import PREFIX, note_of, watched
from libella.words.judge.claims import FACTOR_NAMES, quantity_name

from .samples import batch, ledger, near

STRAIGHT = PathModel("straight")
NO_RIG = lay("no_rig", {})
assert isinstance(NO_RIG, Rig)


def read(notes, *, hand="right", path=STRAIGHT, aids=(), measures=None, off=0.0):
    return putt_values(Reader(hand, path, aids, off), None, notes, measures or {})


@pytest.mark.parametrize("kind", [kind for kind, it in instruments().items() if not issubclass(it, Rig)])
def test_whatever_an_aid_shows_is_a_reading(kind):
    """An aid that can be noted and reaches no quantity would be asked for and thrown away."""
    aid = lay(kind, {})
    notes = watched(NO_RIG, [aid])
    for name, note in notes.items():
        # What is seen against the aid's string has a name of its own.
        assert note_of(name).label == (aid.about.name if name.startswith(PREFIX) else NOTES[name].label)
        some = list(note.options) if note.options else [note.bounds.low, note.bounds.high]
        for value in some:
            found = read({name: value}, aids=[aid])
            assert name in found and all(quantity(it).name == it for it in found)
            if not note.options:
                # Told in the unit it was read in, not in the degrees it comes to.
                assert found[name].low - 1e-9 <= value <= found[name].high + 1e-9, quantity(name).unit
            if aid.about.measures == "face" and not aid.touched:
                assert isinstance(found["address"], Interval), "a face read at a putt is the putt's own"
    if notes:
        assert any(aid.touched or isinstance(aid, Scale) or aid.zones() for _ in notes)


@pytest.mark.parametrize("name", list(NOTES))
def test_every_note_and_every_entry_of_a_set_up_is_a_reading_with_a_name(name):
    note = NOTES[name]
    for value in note.options or [note.bounds.low, note.bounds.high]:
        found = {it for it in read({name: value}) if it != "turned"}
        assert found or name == "read", name
        assert all(quantity_name(it) for it in found)


def test_the_registry_names_each_quantity_once_and_whoever_judges_knows_its_unit():
    told = names()
    assert len(set(told)) == len(told)
    assert set(ENTRIES) <= set(told) and {PREFIX + "putter_gate", "roll", "still", "holed"} <= set(told)
    for name in told:
        it = quantity(name)
        assert quantity_name(name) and (it.kind == "share" or it.prior is not None)
        assert (name in LINES) == (it.kind == "level" and it.event != "set_up")
    with pytest.raises(KeyError):
        quantity("nobody reads this")
    assert set(FACTOR_NAMES) == set(CHOSEN)


@pytest.mark.parametrize(("hand", "right"), [("right", "in_to_out"), ("left", "out_to_in")])
def test_a_path_in_words_lies_beyond_half_a_degree_to_the_golfers_side(hand, right):
    assert read({"path": right}, hand=hand)["path"] == Interval(0.5, math.inf, said=True)
    assert read({"path": "neutral"}, hand=hand)["path"] == Interval(-0.5, 0.5, said=True)
    arc = PathModel("arc", 0.1)
    assert read({"path": "neutral"}, hand=hand, path=arc)["path"] == replace(
        near(arc.expected_deg(hand), 0.5), said=True
    )


def test_strikes_finishes_and_typed_values_are_as_fine_as_they_were_said():
    assert strike_intervals("heel")[0] == Interval(-math.inf, -6.0, said=True)
    assert strike_intervals("toe_high") == (Interval(6.0, math.inf, said=True),) * 2
    assert typed(1.0).high - typed(1.0).low == pytest.approx(0.1)
    assert size_m(0.4).high - size_m(0.4).low == pytest.approx(0.1)
    assert size_m(0.43).high - size_m(0.43).low == pytest.approx(0.01)
    holed, short = read({"finish": "holed"}), read({"finish": "short_left"})
    assert "roll_past" not in holed and holed["holed"] == "holed"
    assert short["roll_past"] == Interval(-math.inf, 0.0) and short["missed_side"] == "left"
    past = read({"finish": "past_right", "ran_past_m": 0.4})
    assert past["roll_past"].low == pytest.approx(0.35) and past["stopped"] == "past"


def test_what_the_line_was_found_off_is_put_right_in_what_sensors_and_words_tell():
    sensed = read({}, measures={"face_address_deg": 1.0, "face_impact_deg": 1.5, "path_deg": 2.0}, off=-0.8)
    assert sensed["address"].anchor == pytest.approx(0.2) and sensed["path"].anchor == pytest.approx(1.2)
    # What lies between two readings of one device is no matter of the line.
    assert sensed["turned"] == Interval(0.5, 0.5)


@given(st.dictionaries(st.sampled_from(FACTORS), st.sampled_from(["", " ", "wide base", "a"])))
def test_as_usual_is_the_absence_of_a_difference_and_a_blank_is_none(told):
    levels = levels_of(told)
    assert [it for it, _ in levels] == [it for it in FACTORS if told.get(it, "").strip()]
    assert levels_of(dict(levels)) == levels


def test_a_factor_nobody_knows_is_refused():
    for told in ({"mood": "good"}, {"set_up": "x" * 81}):
        with pytest.raises(OutOfLimits):
            levels_of(told)


def test_only_what_may_move_a_quantity_tells_it_apart_and_a_label_never_does():
    plain = batch("face", [1.0] * 5, label="as usual", step="aim", putted=None)
    named = batch("face", [1.0] * 5, label="mine", step="aim", putted=None, id="b")
    other = batch("face", [1.0] * 5, (("hole_side", "far"),), step="aim", putted=None, id="c")
    told = ledger(plain, named, other)
    assert [len(it) for it in told.groups("face").values()] == [3]
    wide = batch("start", [1.0] * 5, (("set_up", "wide base"),), id="d")
    assert len(ledger(batch("start", [0.0] * 5), wide).groups("start")) == 2
    # Of two ways and none as usual there is no golfer.
    narrow = batch("start", [1.0] * 5, (("set_up", "narrow"),), id="e")
    assert ledger(wide, narrow).main("start") == [] and ledger(wide).main("start") == [wide]


@pytest.mark.parametrize(("blind", "main"), [(4, "guided"), (5, "blind")])
def test_putts_with_a_guide_in_view_stand_for_the_golfer_only_where_few_were_without(blind, main):
    guided = batch("start", [0.0] * 10, (("guide", GUIDED),), id="guided")
    [found] = ledger(guided, batch("start", [1.0] * blind, id="blind")).main("start")
    assert found.id == main


def test_counts_are_of_what_was_read_and_of_nothing_else():
    it = Batch("b", "start", 0.0, (Event("1", {"start": near(0), "roll": "clean"}), Event("2", {"start": near(1)})))
    assert dict(it.counts) == {"start": 2, "roll": 1} and it.noted("roll") == ["clean"] and len(it.read("start")) == 2


@pytest.mark.parametrize("k", [0.8, 0.9])
def test_the_share_of_the_face_is_fitted_where_face_and_path_part(k):
    golfer, rng = SimulatedGolfer(0.0, 1.5, k=k, path_noise_deg=3.0), np.random.default_rng(4)
    putts = [golfer.stroke(rng, 2.5) for _ in range(60)]
    events = [
        Event(f"{n}", {"start": near(start, 0.05), "impact": near(face, 0), "path": near(path, 0)})
        for n, (start, face, path) in enumerate((it.start_deg, it.face_impact_deg, it.path_deg) for it in putts)
    ]
    found = fit_k([Batch("b", "start", 0.0, tuple(events), noise={"impact": 0.05})])
    assert found is not None and found.low <= k <= found.high and found.doubt < 0.06
    assert fit_k([Batch("b", "start", 0.0, tuple(events[:7]))]) is None
