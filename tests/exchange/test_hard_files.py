"""Files from other hands: none misread, nothing lost unsaid, nine in ten taken right as proposed."""

import random
from dataclasses import replace
from datetime import UTC, datetime

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from libella.core.measure.limits import OutOfLimits
from libella.exchange.columns import ColumnMapping, Mended, checked_mapping, columns_of, proposed
from libella.exchange.putt_rows import Check, putts
from libella.exchange.sheet import read_sheet

from .hard_files import DATES, DEG, SIDES, Case, cases, mixed

GIVEN = datetime(2026, 11, 1, 12, tzinfo=UTC)
CASES = list(cases())


def read(case: Case, **own) -> tuple[list, Check, ColumnMapping]:
    sheet = read_sheet(case.content)
    mapping = replace(proposed(sheet, columns_of(sheet), None), **(case.own | own))
    checked_mapping(mapping, sheet)
    check = Check()
    return list(putts(sheet, mapping, "Anyone", case.hand, GIVEN, check)), check, mapping


def same(case: Case, found: list) -> bool:
    return len(found) == len(case.putts) and all(
        row.raw["read_deg"] == pytest.approx(putt.start_deg, abs=2e-3)
        and abs((row.taken_at - putt.at).total_seconds()) < 1.5
        and (row.station.distance_m == pytest.approx(putt.distance_m, abs=1e-3) or row.station.distance_m == 2.5)
        for row, putt in zip(found, case.putts, strict=True)
    )


def test_there_are_enough_cases_and_no_two_alike():
    assert len(CASES) >= 60 and len({it.name for it in CASES}) == len(CASES)
    assert sum(it.proposed for it in CASES) >= 0.9 * len(CASES)


@pytest.mark.parametrize("case", CASES, ids=[it.name for it in CASES])
def test_a_file_is_read_right_as_proposed_or_refused_with_what_would_do(case):
    try:
        found, check, _ = read(case)
    except OutOfLimits as refused:
        assert not case.proposed and refused.code in ("column_no_unit", "date_order_untold"), refused
        return
    if case.proposed:
        assert same(case, found), [check.listed[:3], [it.raw for it in found[:3]]]
        assert check.bad == case.extra, check.listed
        return
    # Not as it stands: every row that is no putt is named with the reason, and none is another putt.
    assert check.bad == case.extra and all(it.reason for it in check.listed)
    assert not found


@settings(max_examples=60, deadline=None)
@given(
    st.builds(
        mixed, st.integers(0, 10_000), st.sampled_from(sorted(DEG)), st.sampled_from(sorted(SIDES)),
        st.sampled_from(DATES), st.sampled_from([",", ";", "\t", "|"]), st.booleans(), st.booleans(),
        st.sampled_from(["utf-8", "utf-8-sig", "utf-16", "cp1252"]),
    )
)  # fmt: skip
def test_in_any_mix_of_formats_it_is_the_same_putts(case):
    found, check, _ = read(case)
    assert same(case, found) and check.bad == case.extra, (case.content[:200], check.listed[:2])


def test_dates_that_can_be_read_two_ways_are_read_once_it_is_said_which():
    [case] = [it for it in CASES if it.name == "dates that can be read two ways"]
    found, check, _ = read(case, day_first=True)
    assert same(case, found) and check.doubts == ("either_date",)


def test_of_days_and_months_mixed_by_row_those_that_do_not_fit_are_refused_by_row():
    [case] = [it for it in CASES if it.name == "days and months mixed by row"]
    found, check, _ = read(case, day_first=True)
    assert same(case, found) and check.bad == 2
    assert all("begins with the day" in it.reason for it in check.listed)


def test_rows_left_out_to_one_side_are_warned_of():
    told = ("0.5", "1.1", "-0.4", "0.9", "0.2", "-1.x", "-0.8 beyond")
    sheet = read_sheet(("Start (deg),n\n" + "".join(f"{it},x\n" for it in told)).encode())
    check = Check()
    list(putts(sheet, proposed(sheet, columns_of(sheet), None), "Anyone", "right", GIVEN, check))
    assert check.bad == 2 and check.doubts == ("one_side_only",)


def test_starts_of_which_nothing_says_a_side_are_warned_of():
    sheet = read_sheet(("Start (deg),n\n" + "".join(f"{0.1 * n:.1f},x\n" for n in range(1, 9))).encode())
    check = Check()
    list(putts(sheet, proposed(sheet, columns_of(sheet), None), "Anyone", "right", GIVEN, check))
    assert check.doubts == ("no_side_told",)


def test_cut_anywhere_a_file_never_becomes_other_putts():
    """A file cut off, or with bytes turned, tells the same putts or names the rows: never others."""
    rng = random.Random(7)
    for case in [it for it in CASES if it.proposed and not it.own and it.content[:2] not in (b"PK", b"\xff\xfe")][::3]:
        cut = case.content[: rng.randrange(len(case.content) // 2, len(case.content))]
        try:
            found, _, _ = read(Case(case.name, cut, case.putts, hand=case.hand))
        except OutOfLimits:
            continue
        told = [round(it.start_deg, 2) for it in case.putts]
        assert [round(it.raw["read_deg"], 2) for it in found[:-1]] == told[: max(len(found) - 1, 0)], case.name


def test_a_cell_is_mended_by_line_and_column_with_either_decimal_and_the_file_stays():
    sheet = read_sheet(b"Start (deg);n\n0,5;x\n1,x;x\n-0,4;x\n")
    as_it_is = proposed(sheet, columns_of(sheet), None)
    for text in ("0.7", "0,7", "0,7 R"):
        check = Check()
        mapping = replace(as_it_is, mended=(Mended(3, 0, text),))
        found = list(putts(sheet, mapping, "Anyone", "right", GIVEN, check))
        assert [it.raw["read_deg"] for it in found] == [0.5, 0.7, -0.4] and check.bad == 0, text
    check = Check()
    list(putts(sheet, as_it_is, "Anyone", "right", GIVEN, check))
    assert [(it.line, it.at, it.cell) for it in check.listed] == [(3, 0, "1,x")]
