"""What the notes say beside the start lines: feel against real, four cells, start by strike."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.green.putt import Putt
from libella.core.judge.holed import holed, place_of
from libella.core.measure.interval import Interval
from libella.core.measure.limits import OutOfLimits
from libella.core.simulated.golfer import SimulatedGolfer
from libella.core.start.notes import NOTES, checked_asks, checked_notes
from tests.said import tables

from ...said import refusal

WINDOW = Putt(2.5, 0.3, 10).window


def at(angle):
    return Interval(angle - 0.1, angle + 0.1)


def table(putts, title):
    [found] = [it for it in tables(putts, WINDOW) if it.title == title]
    return found


def test_what_was_not_noted_has_no_table():
    assert tables([(at(1), {}), (at(2), {})], WINDOW) == ()
    assert [it.title for it in tables([(at(1), {"roll": "skid"})], WINDOW)] == ["Roll"]


@pytest.mark.parametrize("truth", [-1.2, 1.0])
def test_what_feels_straight_is_found_whichever_way_it_lies(truth):
    rng = np.random.default_rng(4)
    golfer = SimulatedGolfer(truth, 1.2, feels_straight_deg=truth, feel_noise_deg=0.4)
    strokes = [golfer.stroke(rng, 2.5) for _ in range(40)]
    putts = [(at(it.start_deg), {"felt": golfer.notes(rng, it, WINDOW)["felt"]}) for it in strokes]
    words = table(putts, "Felt against real").words
    side = "right" if truth > 0 else "left"
    said = float(words.split("a start ")[1].split("°")[0])
    assert f"° {side}" in words and said == pytest.approx(abs(truth), abs=0.5)


def test_calls_are_counted_against_what_was_read_and_a_reading_on_the_line_is_straight():
    putts = [(at(1), {"felt": "left"}), (at(1.2), {"felt": "right"}), (Interval(-0.3, 0.2), {"felt": "straight"})]
    found = table(putts, "Felt against real")
    assert found.words.startswith("2 of 3 calls right.") and "from 6 calls on" in found.words
    assert [it.cells for it in found.rows] == [("0", "0", "0"), ("0", "1", "0"), ("1", "0", "1")]
    gate = table([*putts, (Interval(-1.0, 1.0), {"felt": "straight"})], "Felt against real")
    assert gate.rows[-1].cells == ("0", "1", "0") and gate.rows[-1].name == "the rig can't tell"
    assert gate.words.startswith("2 of 3 calls right.")


def test_a_feel_that_has_nothing_to_do_with_the_start_is_said_and_not_fitted():
    rng = np.random.default_rng(1)
    putts = [(at(it), {"felt": str(rng.choice(["left", "right"]))}) for it in rng.uniform(-3, 3, 30)]
    assert "does not tell this golfer" in table(putts, "Felt against real").words


def test_holed_by_the_start_counts_what_surely_lay_inside_and_outside():
    putts = [(at(0), {"finish": "holed"})] * 4 + [(at(0), {"finish": "short"})] * 6 + [(at(3), {"finish": "right"})]
    found = table(putts, "Holed, by the start")
    assert [it.cells for it in found.rows] == [("4", "6"), ("0", "1")]
    assert found.words == ("6 of 10 that surely started in the window missed. 1 of 1 that started outside it missed.")
    assert holed(putts, WINDOW).matters and holed(putts, WINDOW).lost_inside == pytest.approx(600 / 11)


def test_a_clean_gate_wider_than_the_window_does_not_blame_read_and_pace():
    far = Putt(6, 0.3, 10).window
    clean, touched = Interval(-1.0, 1.0), Interval(1.0, 3.0)
    putts = [(clean, {"finish": "right"})] * 9 + [(touched, {"finish": "right"})] * 3
    it = holed(putts, far)
    assert not it.matters and it.missed == {"inside": 0, "outside": 3, "untold": 9}
    [found] = [it for it in tables(putts, far) if it.title == "Holed, by the start"]
    assert found.rows[-1].name == "the rig can't tell" and "can't tell whether they started" in found.words


@given(st.floats(-3, 3), st.floats(0, 3))
def test_a_place_is_told_only_by_the_whole_reading(low, wide):
    start = Interval(low, low + wide)
    place = place_of(start, WINDOW)
    if place == "inside":
        assert WINDOW.low_deg <= start.low and start.high <= WINDOW.high_deg
    else:
        assert (place == "outside") == (start.high < WINDOW.low_deg or start.low > WINDOW.high_deg)


def test_strokes_all_alike_have_a_spread_of_nothing_not_too_few():
    found = table([(at(0), {"back_m": 0.3})] * 4, "Sizes of the stroke")
    assert found.rows[0].cells == ("4", "30 cm", "± 0 cm")


def test_the_start_by_strike_needs_both_ends_of_the_face():
    heel = [(at(-1 + 0.05 * n), {"strike": "heel_low"}) for n in range(5)]
    toe = [(at(0.8 + 0.05 * n), {"strike": "toe"}) for n in range(5)]
    assert "further left than off the toe" in table(heel + toe, "Start by strike").words
    assert "Three putts off the heel" in table(heel + toe[:2], "Start by strike").words
    alike = [(at(0.1), {"strike": it}) for it in ("heel", "toe_high") for _ in range(4)]
    assert "start alike" in table(alike, "Start by strike").words


def test_other_notes_are_counted_with_what_lay_in_the_window():
    putts = [(at(0), {"touch": "nothing"})] * 3 + [(at(4), {"touch": "going_back"})]
    found = table(putts, "Touch")
    assert [(it.name, it.cells) for it in found.rows] == [
        ("nothing", ("3", "3", "0")),
        ("going back", ("1", "0", "1")),
    ]
    assert found.words == "Mostly nothing: 3 of 4 putts."


def test_asks_come_in_the_order_of_the_putt_and_what_is_none_is_refused():
    assert checked_asks(["finish", "felt"]) == ("felt", "finish")
    assert [it.when for it in NOTES.values()].index("after") == 1
    for call, field in (
        (lambda: checked_asks(["nose"]), "asks"),
        (lambda: checked_notes({"felt": "left"}, ("strike",)), "notes.felt"),
        (lambda: checked_notes({"felt": "up"}, ("felt",)), "notes.felt"),
    ):
        with pytest.raises(OutOfLimits) as refused:
            call()
        assert refused.value.field == field and refusal(refused.value).limit
