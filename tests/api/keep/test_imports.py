"""Files in: any columns, units and signs; bad rows listed; one transaction; undone; and the round trip."""

import csv
import io
import threading
import time

import pytest
import uuid6

from libella.exchange.columns import ColumnMapping, ColumnUse, columns_of
from libella.exchange.putt_rows import Check, putts
from libella.exchange.sheet import read_sheet
from libella.lessons.keep import file_work
from libella.lessons.keep import imports as lessons_imports

from ..start.test_sensors import paired, stroke, tell

WORKING = ("checking", "taking")


def give(coach, golfer, text, name="putts.csv", status=200):
    content = text if isinstance(text, bytes) else text.encode()
    id = str(uuid6.uuid7())
    answer = coach.client.put(f"/api/imports/{id}", params={"golfer_id": golfer["id"], "name": name}, content=content)
    assert answer.status_code == status, answer.text
    return answer.json()


def wait(coach, id):
    until = time.monotonic() + 30
    while (it := coach.get(f"/imports/{id}/progress"))["phase"] in WORKING:
        assert time.monotonic() < until
        time.sleep(0.02)
    return it


def read(coach, given, **more):
    coach.put(f"/imports/{given['id']}/mapping", **given["mapping"] | more)
    return wait(coach, given["id"])


def take(coach, id, skip_bad=False):
    coach.put(f"/imports/{id}/putts", skip_bad=skip_bad)
    return wait(coach, id)


def use(column, target, unit="deg", positive="right"):
    return {"column": column, "target": target, "unit": unit, "positive": positive}


def rows(text, *uses, decimal=".", hand="right", **more):
    """The putts and the bad rows of a text read so."""
    sheet, check = read_sheet(text.encode()), Check()
    mapping = ColumnMapping(tuple(ColumnUse(**it) for it in uses), decimal=decimal, **more)
    from datetime import UTC, datetime

    given = datetime(2026, 11, 1, tzinfo=UTC)
    return list(putts(sheet, mapping, "Test Golfer", hand, given, check)), check


@pytest.mark.parametrize("form", ["csv", "json"])
def test_what_goes_out_comes_back_the_same(coach, form):
    golfer = coach.golfer("Åse, “the” Golfer", hand="left")
    lesson = coach.lesson(golfer["id"])
    block = coach.block(lesson=lesson, asks=["felt", "path_deg", "back_m"])
    _, head = paired(coach, lesson)
    putt = coach.putt(block["id"], {"offset_m": 0.015}, notes={"felt": "left", "path_deg": -1.5, "back_m": 0.25})
    tell(coach, head, stroke("a", putt["taken_at"], face_impact_deg=0.31, strike_toe_mm=-4.0, u_deg=0.2))
    coach.putt(block["id"], {"beyond": "right"}, notes={"felt": "right"})
    slip = coach.putt(block["id"], {"offset_m": 0.0})
    coach.put(f"/readings/{slip['id']}/voided", reason="=talked")
    coach.putt(coach.block("peg_gate", lesson=lesson, condition="under pressure")["id"], {"crossing": "clean"})
    before = coach.client.get(f"/api/exports/golfer/{golfer['id']}?form=csv").text
    twin = coach.golfer("Åse, “the” Golfer", hand="left")
    given = give(coach, twin, coach.client.get(f"/api/exports/golfer/{golfer['id']}?form={form}").text)
    found = read(coach, given)
    assert found["bad"] == 0, found["bad_rows"]
    assert take(coach, given["id"])["phase"] == "done"
    after = coach.client.get(f"/api/exports/golfer/{twin['id']}?form=csv").text
    # Ids, the rig, and how it was proved are the record's own; all that was measured and noted is the same.
    own = {"lesson_id", "lesson_started_at", "place", "block_id", "putt_id", "rig", "raw", "line_proved"}

    def kept(text):
        return [{k: v for k, v in row.items() if k not in own} for row in csv.DictReader(io.StringIO(text))]

    assert len(kept(before)) == 4
    for one, other in zip(kept(before), kept(after), strict=True):
        for name, value in one.items():
            try:
                assert float(other[name]) == pytest.approx(float(value), abs=1e-6), name
            except ValueError:
                assert other[name] == value, name


def test_bad_rows_are_listed_and_nothing_is_taken_until_agreed(coach):
    golfer = coach.golfer()
    given = give(
        coach, golfer, "when,start (deg)\n2026-03-01 10:00,0.5\n2026-03-01 10:01,=1+1\n2026-03-01 10:02,\nx,0.1\n"
    )
    assert [it["guess"]["target"] for it in given["columns"]] == ["taken_at", "start_deg"]
    early = coach.put(f"/imports/{given['id']}/putts", 409, skip_bad=True)
    assert "how this file is read" in early["detail"]
    it = read(coach, given)
    assert (it["good"], it["bad"]) == (1, 3)
    assert [(row["line"], row["column"]) for row in it["bad_rows"]] == [(3, "Start"), (4, "Start"), (5, "When")]
    assert "formula" in it["bad_rows"][0]["reason"]
    refused = coach.put(f"/imports/{given['id']}/putts", 409, skip_bad=False)
    assert "3 rows" in refused["detail"]
    assert coach.get(f"/golfers/{golfer['id']}/lessons")["items"] == []
    done = take(coach, given["id"], skip_bad=True)
    assert (done["state"], done["putts"], done["skipped"]) == ("taken", 1, 3)
    # Undone, its lessons are gone from every list; brought back, they stand again.
    coach.put(f"/imports/{given['id']}/undone")
    assert coach.get(f"/golfers/{golfer['id']}/lessons")["items"] == []
    coach.drop(f"/imports/{given['id']}/undone")
    assert len(coach.get(f"/golfers/{golfer['id']}/lessons")["items"]) == 1
    assert give(coach, golfer, "when,start (deg)\n2026-03-01 10:00,0.5\n")["remembered"]


def test_all_putts_of_a_file_were_planned(coach):
    """A block that looks cut short, or overfull, would get no verdict, or take no putt."""
    golfer = coach.golfer()
    given = give(coach, golfer, "start (deg)\n" + "0.5\n" * 7)
    read(coach, given)
    [lesson] = take(coach, given["id"])["made"]
    [block] = coach.get(f"/lessons/{lesson['id']}")["blocks"]
    assert (block["planned"], block["first_planned"], block["putts"]) == (7, 7, 7)


def test_rows_without_a_start_are_putts_all_the_same(coach):
    golfer = coach.golfer()
    text = "when,finish,face (deg),consistency (%)\n2026-03-01 10:00,short left,0.5,81\n"
    text += "2026-03-01 10:01,holed,,\n2026-03-01,,,\n"
    given = give(coach, golfer, text)
    assert [it["guess"]["target"] for it in given["columns"]] == [
        "taken_at", "finish", "face_impact_deg", "sensor_consistency",
    ]  # fmt: skip
    it = read(coach, given)
    assert (it["good"], [row["line"] for row in it["bad_rows"]]) == (2, [4])
    take(coach, given["id"], skip_bad=True)
    [lesson] = coach.get(f"/golfers/{golfer['id']}/lessons")["items"]
    [block] = coach.get(f"/lessons/{lesson['lesson']['id']}")["blocks"]
    assert block["rig_kind"] == "no_rig" and block["putts"] == 2
    assert block["readings"][0]["notes"] == {"finish": "short_left", "face_impact_deg": 0.5, "sensor_consistency": 81.0}
    # Of a file that tells starts, the rows without one are blocks beside the others.
    mixed = give(coach, golfer, "when,start (deg),finish\n2026-03-02 10:00,0.5,holed\n2026-03-02 10:01,,short\n")
    assert read(coach, mixed)["good"] == 2
    take(coach, mixed["id"])
    kinds = [it["rig_kind"] for it in coach.get(f"/lessons/{_newest(coach, golfer)}")["blocks"]]
    assert sorted(kinds) == ["no_rig", "start_reader"]


def _newest(coach, golfer):
    return coach.get(f"/golfers/{golfer['id']}/lessons")["items"][0]["lesson"]["id"]


def test_the_same_file_given_again_is_known_and_a_mapping_is_remembered(coach):
    golfer, text = coach.golfer(), "a;b\n1,5;left\n0,5;right\n"
    given = give(coach, golfer, text)
    assert given["delimiter"] == ";" and given["mapping"]["decimal"] == "," and not given["remembered"]
    read(coach, given, columns=[use(0, "start_deg", positive="left"), use(1, "felt", "", "")])
    take(coach, given["id"])
    again = give(coach, coach.golfer("Other"), text)
    assert again["remembered"] and again["mapping"]["columns"][0]["positive"] == "left" and not again["taken_before"]
    assert give(coach, golfer, text)["taken_before"]


def test_a_failure_in_the_middle_keeps_nothing_and_so_does_stopping(coach, monkeypatch):
    golfer = coach.golfer()
    given = give(coach, golfer, "start (deg)\n" + "0.5\n" * 12_000)
    assert read(coach, given)["good"] == 12_000
    copy, calls = lessons_imports.copy_in, []

    def breaks(*told):
        calls.append(len(told[-1]))
        if len(calls) == 2:
            raise RuntimeError("disk full")
        return copy(*told)

    monkeypatch.setattr(lessons_imports, "copy_in", breaks)
    failed = take(coach, given["id"])
    assert failed["phase"] == "failed" and failed["state"] == "given"

    def stops(*told):
        coach.drop(f"/imports/{given['id']}/work")
        return copy(*told)

    monkeypatch.setattr(lessons_imports, "copy_in", stops)
    assert take(coach, given["id"])["phase"] == "stopped"
    assert coach.get(f"/golfers/{golfer['id']}/lessons")["items"] == []
    monkeypatch.setattr(lessons_imports, "copy_in", copy)
    assert take(coach, given["id"])["putts"] == 12_000


@pytest.mark.parametrize(
    ("cell", "column", "hand", "degrees"),
    [
        ("1.5", use(0, "start_deg"), "right", 1.5),
        ("1.5", use(0, "start_deg", positive="left"), "right", -1.5),
        ("0.5 L", use(0, "start_deg"), "right", -0.5),
        ("1.5° right", use(0, "start_deg", positive="left"), "right", 1.5),
        ("10 mrad", use(0, "start_deg"), "right", 0.57296),
        ("−0.5", use(0, "start_deg"), "right", -0.5),
        ("20", use(0, "start_offset", "mm"), "right", 3.81407),
        ("2 cm", use(0, "start_offset", "mm"), "right", 3.81407),
        ('1"', use(0, "start_offset", "mm"), "right", 4.83953),
    ],
)
def test_units_and_signs_are_read_as_told_and_a_unit_in_the_cell_goes_first(cell, column, hand, degrees):
    text = "x\n" + '"' + cell.replace('"', '""') + '"\n'
    [row], check = rows(text, column, hand=hand)
    assert row.raw["read_deg"] == pytest.approx(degrees, abs=1e-4) and check.bad == 0


@pytest.mark.parametrize(("hand", "right"), [("right", 1.0), ("left", -1.0)])
def test_open_and_in_to_out_follow_the_golfers_hand(hand, right):
    text = "s,f,p\n0,2,3 out to in\n"
    uses = use(0, "start_deg"), use(1, "face_impact_deg", positive="open"), use(2, "path_deg", positive="in to out")
    [row], _ = rows(text, *uses, hand=hand)
    assert row.notes == {"face_impact_deg": 2 * right, "path_deg": -3 * right}


@pytest.mark.parametrize(
    ("cell", "reason"),
    [("=2", "formula"), ("@x", "formula"), ("1,5", "decimal comma"), ("abc", "no number"), ("3 mm", "no unit"),
     ("45", "beyond"), ("", "tells nothing")],
)  # fmt: skip
def test_a_cell_that_can_not_be_read_says_why(cell, reason):
    _, check = rows(f'x,y\n"{cell}",1\n', use(0, "start_deg"))
    assert [it.line for it in check.listed] == [2] and reason in check.listed[0].reason


def test_files_of_every_make_are_cut_right_and_what_is_no_table_is_refused(coach):
    golfer = coach.golfer()
    for content in ("﻿start\n1\n".encode(), "start\n1\n".encode("utf-16"), "stärt;start\nx;1\n".encode("cp1252")):
        assert "start" in [it["heading"] for it in give(coach, golfer, content)["columns"]]
    wide = ",".join(f"c{n}" for n in range(199)) + ",start\n" + "1," * 199 + "0.5\n"
    assert len(give(coach, golfer, wide)["columns"]) == 200
    for content, limit in (
        (b"start\n", "2 lines"),
        (b"\x00\x01\x02\n\x00\n", "text"),
        (b'{"start": 1.2}', "list"),
        (b'[{"start": 1.2}, ', "list"),
        ((",".join("c" * 300) + "\n1\n").encode(), "256 columns"),
    ):
        refused = give(coach, golfer, content, status=422)
        assert limit in refused["errors"][0]["limit"]
    huge = coach.client.put(
        f"/api/imports/{uuid6.uuid7()}", params={"golfer_id": golfer["id"], "name": "x"}, content=b"x",
        headers={"content-length": str(1024**3)},
    )  # fmt: skip
    assert huge.status_code == 413 and "64 MiB" in huge.json()["detail"]


@pytest.mark.parametrize(
    ("columns", "field"),
    [
        ([], "columns"),
        ([use(0, "start_deg", "mm")], "columns.0.unit"),
        ([use(0, "start_deg", positive="")], "columns.0.positive"),
        ([use(0, "start_deg"), use(1, "start_deg")], "columns.1"),
        ([use(7, "start_deg")], "columns.7"),
        ([use(0, "nose")], "columns.0"),
    ],
)
def test_a_mapping_that_can_not_be_names_the_column(coach, columns, field):
    given = give(coach, coach.golfer(), "a,b\n1,2\n")
    refused = coach.put(f"/imports/{given['id']}/mapping", 422, columns=columns)
    assert refused["errors"][0]["field"] == field and refused["errors"][0]["limit"]


def test_no_two_columns_are_guessed_to_tell_the_same():
    found = columns_of(read_sheet(b"face angle,face at impact,start line (mrad),start\n1,2,3,4\n"))
    assert [it.guess.target for it in found] == ["face_impact_deg", "", "start_deg", ""]
    assert found[2].guess.unit == "mrad"


def test_a_file_is_never_told_done_beside_what_it_was_before(coach, monkeypatch):
    """A screen that asks while the putts are committed would take that for the end and ask no more."""
    given = give(coach, coach.golfer(), "start (deg)\n0.5\n")
    read(coach, given)
    commit, take_in = threading.Event(), lessons_imports.take
    monkeypatch.setattr(lessons_imports, "take", lambda *told: commit.wait(10) and take_in(*told))
    work_on = file_work.work_on
    coach.put(f"/imports/{given['id']}/putts", skip_bad=False)

    def read_just_before(desk, ids):
        found = work_on(desk, ids)
        if not threading.current_thread().name.startswith("AnyIO"):
            return found  # whoever works on the file looks too
        commit.set()
        while any(it.phase == "taking" for it in work_on(desk, ids).values()):
            time.sleep(0.01)
        return found

    monkeypatch.setattr(file_work, "work_on", read_just_before)
    told = coach.get(f"/imports/{given['id']}/progress")
    assert told["phase"] == "taking" and told["state"] == "taken"
    monkeypatch.undo()
    told = coach.get(f"/imports/{given['id']}/progress")
    assert (told["phase"], told["state"]) == ("done", "taken")
