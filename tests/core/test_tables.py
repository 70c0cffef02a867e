"""What the notes say beside the start lines: feel against real, four cells, start by strike."""

import numpy as np
import pytest

from libella.core.green.putt import Putt
from libella.core.interval import Interval
from libella.core.judge.tables import tables
from libella.core.limits import OutOfLimits
from libella.core.notes import NOTES, checked_asks, checked_notes
from libella.core.simulated import SimulatedGolfer

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


def test_a_feel_that_has_nothing_to_do_with_the_start_is_said_and_not_fitted():
    rng = np.random.default_rng(1)
    putts = [(at(it), {"felt": str(rng.choice(["left", "right"]))}) for it in rng.uniform(-3, 3, 30)]
    assert "does not tell this golfer" in table(putts, "Felt against real").words


@pytest.mark.parametrize(
    ("inside_missed", "outside_missed", "said"),
    [(6, 1, "look at read and pace"), (0, 7, "the line comes first"), (1, 0, "went in")],
)
def test_four_cells_tell_line_from_read_and_pace(inside_missed, outside_missed, said):
    putts = [(at(0), {"finish": "holed"})] * 4
    putts += [(at(0), {"finish": "short"})] * inside_missed + [(at(3), {"finish": "right"})] * outside_missed
    found = table(putts, "Holed, by the start")
    assert said in found.words
    assert [it.cells for it in found.rows] == [("4", str(inside_missed)), ("0", str(outside_missed))]


def test_the_start_by_strike_needs_both_ends_of_the_face():
    heel = [(at(-1 + 0.05 * n), {"strike": "heel low"}) for n in range(5)]
    toe = [(at(0.8 + 0.05 * n), {"strike": "toe"}) for n in range(5)]
    assert "further left than off the toe" in table(heel + toe, "Start by strike").words
    assert "Three putts off the heel" in table(heel + toe[:2], "Start by strike").words
    alike = [(at(0.1), {"strike": it}) for it in ("heel", "toe high") for _ in range(4)]
    assert "start alike" in table(alike, "Start by strike").words


def test_other_notes_are_counted_with_what_lay_in_the_window():
    putts = [(at(0), {"touch": "nothing"})] * 3 + [(at(4), {"touch": "going back"})]
    found = table(putts, "Touch")
    assert [(it.name, it.cells) for it in found.rows] == [
        ("nothing", ("3", "over 99 %")),
        ("going back", ("1", "under 1 %")),
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
        assert refused.value.field == field and refused.value.limit
