"""Rows of any file as putts: whatever the unit, the sign and the decimal, the same putt comes out."""

import csv
import io
import re
from dataclasses import replace
from datetime import UTC, datetime, timedelta

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from libella.core.measure.limits import OutOfLimits
from libella.core.measure.written_units import WRITTEN
from libella.exchange.columns import STARTS, TARGETS, ColumnMapping, ColumnUse, checked_mapping, columns_of
from libella.exchange.putt_rows import Check, putts
from libella.exchange.sheet import read_sheet
from libella.exchange.spreadsheet import for_spreadsheet, from_spreadsheet

GIVEN = datetime(2026, 11, 1, 12, tzinfo=UTC)
angles = st.floats(-29, 29).map(lambda it: round(it, 3))


def sheet_of(*rows: list[str], delimiter=","):
    out = io.StringIO()
    csv.writer(out, delimiter=delimiter).writerows(rows)
    return read_sheet(out.getvalue().encode())


def read(sheet, *uses: ColumnUse, hand="right", **more):
    check = Check()
    return list(putts(sheet, ColumnMapping(uses, **more), "Anyone", hand, GIVEN, check)), check


@given(
    angles, st.sampled_from(["deg", "rad", "mrad"]), st.sampled_from(["right", "left"]), st.booleans(), st.booleans()
)
def test_an_angle_is_the_same_putt_in_any_unit_sign_and_decimal(angle, unit, plus, comma, in_cell):
    told = angle / WRITTEN[unit].size * (1 if plus == "right" else -1)
    cell = f"{told:.9f}"
    cell = cell.replace(".", ",") if comma else cell
    sheet = sheet_of(["x", "y"], [f"{cell} {unit}" if in_cell else cell, "1"], delimiter=";" if comma else ",")
    # A unit in the cell goes before the column's, whatever that says.
    column = "deg" if in_cell else unit
    [row], check = read(sheet, ColumnUse(0, "start_deg", column, plus), decimal="," if comma else ".")
    assert row.raw["read_deg"] == pytest.approx(angle, abs=1e-4) and check.good == 1


@given(angles, st.sampled_from(["L", "left", "R", "right"]), st.sampled_from(["right", "left"]))
def test_a_side_in_the_cell_goes_before_the_columns_sign(angle, side, plus):
    sheet = sheet_of(["x", "y"], [f"{abs(angle)} {side}", "1"])
    [row], _ = read(sheet, ColumnUse(0, "start_deg", "deg", plus))
    assert row.raw["read_deg"] == pytest.approx(abs(angle) * (1 if side[0].lower() == "r" else -1))


@given(st.lists(st.text(max_size=12), min_size=1, max_size=30))
def test_whatever_stands_in_the_cells_every_row_is_a_putt_or_is_counted_with_its_reason(cells):
    sheet = sheet_of(["start", "mark"], *[[it.replace("\x00", ""), "x"] for it in cells])
    rows, check = read(sheet, ColumnUse(0, "start_deg", "deg", "right"))
    # A row that could be the headings is taken for them, and what stands above it is shown as passed over.
    assert check.good == len(rows) and check.good + check.bad + len(sheet.above) == len(cells)
    assert all(it.reason and it.line > 1 for it in check.listed)
    assert all(-30 <= row.raw["read_deg"] <= 30 for row in rows)


def test_putts_without_a_time_keep_their_place_and_one_in_the_future_is_refused():
    sheet = sheet_of(["start", "when"], ["1", ""], ["2", ""], ["3", "2026-11-09 10:00"], ["4", "31/10/2026 09:30"])
    uses = ColumnUse(0, "start_deg", "deg", "right"), ColumnUse(1, "taken_at")
    rows, check = read(sheet, *uses, day_first=True)
    assert [it.taken_at - GIVEN for it in rows[:2]] == [timedelta(microseconds=1), timedelta(microseconds=2)]
    assert rows[2].taken_at == datetime(2026, 10, 31, 9, 30, tzinfo=UTC)
    assert [(it.line, it.column) for it in check.listed] == [(4, "When")] and "future" in check.listed[0].reason
    # Month first, the same cell is no date, and is not read the other way round by itself.
    _, check = read(sheet, *uses, day_first=False)
    assert check.bad == 2 and "begins with the month" in check.listed[1].reason


def test_limits_swap_with_their_sign_and_open_ends_stay_open():
    sheet = sheet_of(
        ["low", "high", "x"], ["0.5", "1.5", ""], ["", "2", ""], ["3", "1", ""], ["", "", "x"], ["", "", ""]
    )
    uses = ColumnUse(0, "start_low_deg", "deg", "left"), ColumnUse(1, "start_high_deg", "deg", "left")
    rows, check = read(sheet, *uses)
    assert [dict(it.raw) for it in rows] == [{"low_deg": -1.5, "high_deg": -0.5}, {"low_deg": -2.0}]
    assert ["above" in it.reason or "neither" in it.reason for it in check.listed] == [True, True]


def test_another_golfers_rows_and_sizes_that_can_not_be_are_left_out():
    sheet = sheet_of(["who", "start", "length"], ["anyone", "1", "3"], ["Else", "1", "3"], ["Anyone", "1", "90"])
    uses = ColumnUse(0, "golfer"), ColumnUse(1, "start_deg", "deg", "right"), ColumnUse(2, "distance_m", "m")
    rows, check = read(sheet, *uses)
    assert len(rows) == 1 and rows[0].station.distance_m == 3
    assert "belongs to Else" in check.listed[0].reason and "90" in check.listed[1].reason


@pytest.mark.parametrize("name", sorted(TARGETS))
def test_every_column_of_our_own_is_guessed_by_its_name_with_a_unit_that_it_can_have(name):
    told = TARGETS[name]
    sample = told.options[0] if told.options else "1"
    guess = columns_of(sheet_of([name, "start_deg" if name != "start_deg" else "x"], [sample, "1"]))[0].guess
    assert guess.target == name
    if told.kind == "length" and not guess.unit:
        # Of what says no unit it is asked for: it is never guessed.
        with pytest.raises(OutOfLimits, match="column_no_unit"):
            checked_mapping(ColumnMapping((guess,)), sheet_of([name, "x"], [sample, "1"]))
        guess = replace(guess, unit="mm")
    other = ColumnUse(1, "taken_at") if name == "clock" else ColumnUse(1, "start_deg", "deg", "right")
    alone = name in STARTS
    uses = (guess,) if alone else (guess, other, ColumnUse(2, "touch"))
    uses = uses[:2] if name == "touch" else uses
    checked_mapping(ColumnMapping(uses), sheet_of([name, "start_deg", "touch"], [sample, "1", "soft"]))
    if told.sides:
        with pytest.raises(OutOfLimits):
            broken = ColumnUse(0, name, guess.unit, "up and away")
            checked_mapping(ColumnMapping((broken,)), sheet_of([name, "x"], ["1", "1"]))


def test_a_distance_in_every_row_refuses_only_the_rows_that_are_wrong():
    """Faults are known by their sizes: with thousands of stations a good row never answers for another's typo."""
    rng = np.random.default_rng(1)
    lengths = [f"{it:.3f}" for it in rng.uniform(0.5, 14.0, 6000)]
    typos = set(rng.choice(6000, 120, replace=False).tolist())
    told = [["1", "99" if n in typos else it] for n, it in enumerate(lengths)]
    sheet = sheet_of(["start", "length"], *told)
    uses = ColumnUse(0, "start_deg", "deg", "right"), ColumnUse(1, "distance_m", "m")
    check = Check()
    # Not kept in a list: what is thrown away leaves its place to others.
    good = 0
    try:
        for _ in putts(sheet, ColumnMapping(uses), "Anyone", "right", GIVEN, check):
            good += 1
    except OutOfLimits as refused:
        assert refused.field == "mapping"
    assert check.bad == sum(n in typos for n in range(check.good + check.bad))
    assert {it.line - 2 for it in check.listed} <= typos


def test_more_blocks_than_anybody_putted_are_refused_while_they_are_read():
    sheet = sheet_of(["start", "length"], *[["1", f"{0.5 + n * 0.002:.3f}"] for n in range(3000)])
    uses = ColumnUse(0, "start_deg", "deg", "right"), ColumnUse(1, "distance_m", "m")
    check = Check()
    with pytest.raises(OutOfLimits, match="too_many_blocks"):
        list(putts(sheet, ColumnMapping(uses), "Anyone", "right", GIVEN, check))
    assert check.good == 2001


@pytest.mark.parametrize(("closed", "bad"), [(False, 39), (True, 20)])
def test_a_quote_that_runs_on_is_counted_and_named_with_its_line(closed, bad):
    lines = ["start,note", *(f"1.{n},x" for n in range(50))]
    lines[12] = '1.1,"x'
    if closed:
        lines[31] = '1.1,"x'
    read_, check = read(read_sheet("\n".join(lines).encode()), ColumnUse(0, "start_deg", "deg", "right"))
    assert (len(read_), check.bad) == (50 - bad, bad)
    assert f"runs on over {bad} lines" in check.listed[0].reason


def test_a_note_over_two_lines_is_one_sound_row():
    sheet = sheet_of(["start", "note"], ["1", "first\nsecond, with a comma"], ["2", "x"])
    rows, check = read(sheet, ColumnUse(0, "start_deg", "deg", "right"))
    assert (len(rows), check.bad) == (2, 0)


@pytest.mark.parametrize("ends", [["\r"], ["\n"], ["\r\n"], ["\r", "\n", "\r\n"]])
def test_lines_may_end_in_any_way(ends):
    text = "".join(line + ends[n % len(ends)] for n, line in enumerate(["start,x", "1,a", "2,b", "3,c"]))
    rows, check = read(read_sheet(text.encode()), ColumnUse(0, "start_deg", "deg", "right"))
    assert [it.raw["read_deg"] for it in rows] == [1, 2, 3] and check.bad == 0


def test_a_time_before_anybody_putted_and_a_control_character_are_refused():
    cells = ["0001-01-01T10:00:00", "1949-12-31", "9999-12-31T23:59:59+00:00", "2026-10-01 10:00"]
    sheet = sheet_of(["start", "when", "condition"], *[["1", it, "x"] for it in cells], ["1", "", "a\x07b"])
    uses = ColumnUse(0, "start_deg", "deg", "right"), ColumnUse(1, "taken_at"), ColumnUse(2, "condition")
    rows, check = read(sheet, *uses)
    assert [it.taken_at.year for it in rows] == [2026]
    assert ["1950" in it.reason for it in check.listed] == [True, True, False, False]
    assert "future" in check.listed[2].reason and "control character" in check.listed[3].reason


def test_a_time_with_its_zone_is_held_to_now_and_one_without_may_be_of_another_place():
    sheet = sheet_of(["start", "when"], ["1", "2026-11-01T12:00:20+00:00"], ["1", "2026-11-01 22:00"])
    rows, check = read(sheet, ColumnUse(0, "start_deg", "deg", "right"), ColumnUse(1, "taken_at"))
    assert check.bad == 1 and [it.taken_at for it in rows] == [GIVEN]


@pytest.mark.parametrize(
    "said", ["=1+1", "\t=1+1", "\r=1", "a;=1+1", "a,@b", "'=1", "''-1", "x|+1", "  =1", "on-line", "-"]
)
def test_what_a_spreadsheet_would_take_for_a_formula_comes_back_as_it_was(said):
    out = for_spreadsheet(said)
    assert not re.search(r"(^|[\t\r\n;,|])\s*[=+\-@]", out)
    assert from_spreadsheet(out) == said


@given(st.text("=+-@';,|\t a", max_size=12))
def test_no_words_are_changed_by_a_spreadsheet_and_back(said):
    assert from_spreadsheet(for_spreadsheet(said)) == said


def test_a_long_file_without_times_is_one_lesson_at_whatever_hour_it_is_given():
    sheet = read_sheet(("start\n" + "0.5\n" * 3000).encode())
    late = datetime(2026, 3, 1, 23, 59, 59, 999_000, tzinfo=UTC)
    found = list(putts(sheet, ColumnMapping((ColumnUse(0, "start_deg", "deg", "right"),)), "G", "right", late))
    assert {it.lesson for it in found} == {"2026-03-01"}
    assert [it.taken_at for it in found] == sorted({it.taken_at for it in found}), "each has its place"


@pytest.mark.parametrize(("unit", "cell"), [("mm", "5"), ("cm", "0.5"), ("in", "0.19685"), ("m", "0.005")])
def test_a_strike_is_told_in_millimetres_in_whatever_unit_it_came(unit, cell):
    sheet = sheet_of(["x", "y"], ["0.5", cell])
    [row], check = read(sheet, ColumnUse(0, "start_deg", "deg", "right"), ColumnUse(1, "strike_toe_mm", unit, "toe"))
    assert check.good == 1 and row.notes["strike_toe_mm"] == pytest.approx(5.0, abs=0.01)


@pytest.mark.parametrize("cell", ["-0.5 L", "L -0.5", "-0.5 right"])
def test_a_minus_and_a_side_in_one_cell_are_not_read_as_either(cell):
    rows, check = read(sheet_of(["start (deg)"], [cell], ["0.5 L"]), ColumnUse(0, "start_deg", "deg", "right"))
    assert [it.raw["read_deg"] for it in rows] == [-0.5] and "a minus and a side" in check.listed[0].reason


@pytest.mark.parametrize(
    ("cells", "target"), [(["1 May 2026", "2 May 2026"], "taken_at"), (["warm-up", "after lunch"], "")]
)
def test_a_heading_is_not_believed_against_its_own_cells(cells, target):
    column, _ = columns_of(sheet_of(["date", "start (deg)"], *([it, "0.5"] for it in cells)))
    assert column.guess.target == target
