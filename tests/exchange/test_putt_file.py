"""Putts out and back: every value survives, every column is told, nothing is taken for a formula."""

import csv
import io
import json

import pytest

from libella.exchange.putt_file import DICTIONARY, as_csv

from ..conftest import ROOT

NAMES = [it.name for it in DICTIONARY]


@pytest.fixture
def lesson(coach):
    golfer = coach.golfer("=cmd|' /C calc'!A0", hand="left")
    lesson = coach.lesson(golfer["id"], surface="carpet")
    block = coach.block(lesson=lesson, asks=["felt", "strike"])
    coach.putt(block["id"], {"offset_m": 0.015}, notes={"felt": "left", "strike": "toe_low"})
    coach.putt(block["id"], {"beyond": "right"})
    slip = coach.putt(block["id"], {"offset_m": 0.0})
    coach.put(f"/readings/{slip['id']}/voided", reason='talked, "through"\nit')
    coach.block("peg_gate", lesson=lesson, condition="ünder pressure")
    return lesson | {"block": block["id"]}


def out(coach, scope, id, form):
    answer = coach.client.get(f"/api/exports/{scope}/{id}?form={form}")
    assert answer.status_code == 200 and f'putts-of-{scope}.{form}"' in answer.headers["content-disposition"]
    return answer.text


def test_what_comes_out_as_csv_and_as_json_is_the_same_and_is_what_was_read(coach, lesson):
    rows = list(csv.DictReader(io.StringIO(out(coach, "lesson", lesson["id"], "csv"))))
    document = json.loads(out(coach, "lesson", lesson["id"], "json"))
    assert (document["format"], document["version"]) == ("libella-putts", 4)
    assert [it["name"] for it in document["dictionary"]] == NAMES
    assert len(rows) == len(document["putts"]) == 3
    readings = coach.judged(lesson["block"])["block"]["readings"]
    for row, putt, reading in zip(rows, document["putts"], readings, strict=True):
        assert list(row) == list(putt) == NAMES
        assert putt["start_low_deg"] == reading["low_deg"] and putt["start_high_deg"] == reading["high_deg"]
        assert json.loads(putt["raw"]) == reading["raw"] and putt["putt_id"] == reading["id"]
        for name in NAMES:
            value = putt[name]
            if value is None:
                assert row[name] == ""
            elif isinstance(value, bool):
                assert row[name] == str(value).lower()
            elif isinstance(value, int | float):
                assert float(row[name]) == value
            elif name not in ("golfer", "void_reason"):
                assert row[name] == value
    first, beyond, slip = document["putts"]
    assert (first["felt"], first["strike"], beyond["felt"]) == ("left", "toe_low", None)
    assert beyond["start_high_deg"] is None and beyond["start_low_deg"] > 0
    assert slip["voided"] and slip["void_reason"].startswith("talked")
    # A name that a spreadsheet would run is words in CSV and itself in JSON.
    assert rows[0]["golfer"].startswith("'=") and first["golfer"].startswith("=")


def test_a_block_is_part_of_its_lesson_and_a_golfer_is_all_of_them(coach, lesson):
    later = coach.lesson(lesson["golfer_id"])
    coach.putt(coach.block(lesson=later)["id"], {"offset_m": 0.01})
    block, whole, golfer = (
        json.loads(out(coach, scope, id, "json"))["putts"]
        for scope, id in (("block", lesson["block"]), ("lesson", lesson["id"]), ("golfer", lesson["golfer_id"]))
    )
    assert block == whole and golfer[:3] == whole and len(golfer) == 4
    coach.put(f"/lessons/{later['id']}/voided", reason="test")
    assert len(json.loads(out(coach, "golfer", lesson["golfer_id"], "json"))["putts"]) == 3


def test_nothing_recorded_is_a_header_and_what_is_not_there_is_not_found(coach):
    assert as_csv([]).split("\r\n") == [",".join(NAMES), ""]
    empty = coach.lesson()
    assert json.loads(out(coach, "lesson", empty["id"], "json"))["putts"] == []
    for scope in ("block", "lesson", "golfer"):
        coach.get(f"/exports/{scope}/{empty['id'][:-4]}0000", 404)
    coach.get(f"/exports/studio/{empty['id']}", 422)


def test_every_column_is_told_in_the_docs():
    told = (ROOT / "docs" / "formats" / "putts.md").read_text()
    for it in DICTIONARY:
        assert f"| `{it.name}` | {it.unit} | {it.meaning} |" in told
