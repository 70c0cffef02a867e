"""Notes of a putt through the API: asked for by the block, kept with the reading, told in tables."""

import uuid6


def test_notes_are_kept_with_the_putt_and_told_in_tables(coach):
    block = coach.block(asks=["finish", "felt"])
    assert block["asks"] == ["felt", "finish"]
    for offset, felt, finish in ((0.02, "straight", "short"), (0.0, "left", "holed"), (-0.02, "left", "short")):
        coach.putt(block["id"], {"offset_m": offset}, notes={"felt": felt, "finish": finish})
    judged, tables = coach.judged(block["id"]), coach.get(f"/blocks/{block['id']}/tables")["tables"]
    assert [it["title"] for it in tables] == ["Felt against real", "Holed, by the start"]
    assert judged["block"]["readings"][0]["notes"] == {"felt": "straight", "finish": "short"}
    # What was not told of a putt may be missing; a voided putt counts in no table.
    last = coach.putt(block["id"], {"offset_m": 0.0}, notes={"finish": "holed"})
    coach.put(f"/readings/{last['id']}/void", reason="talked")
    assert coach.get(f"/blocks/{block['id']}/tables")["tables"] == tables


def test_the_same_putt_said_again_with_other_notes_is_a_conflict(coach):
    block, id = coach.block(asks=["felt"]), str(uuid6.uuid7())
    first = coach.putt(block["id"], {"offset_m": 0.0}, id, notes={"felt": "left"})
    again = {"taken_at": first["taken_at"], "notes": {"felt": "left"}}
    assert coach.putt(block["id"], {"offset_m": 0.0}, id, **again) == first
    coach.putt(block["id"], {"offset_m": 0.0}, id, status=409, **again | {"notes": {"felt": "right"}})


def test_what_is_not_asked_for_or_can_not_be_is_refused(coach):
    block = coach.block(asks=["felt"])
    for notes, field in (({"roll": "skid"}, "notes.roll"), ({"felt": "up"}, "notes.felt")):
        refused = coach.putt(block["id"], {"offset_m": 0.0}, status=422, notes=notes)
        assert refused["errors"][0]["field"] == field
    station = coach.station(coach.lesson()["id"])
    body = {"station_id": station["id"], "condition": "x", "guided": False, "planned": 10, "asks": ["nose"]}
    refused = coach.put(f"/blocks/{uuid6.uuid7()}", 422, **body, started_at="2026-01-01T10:00:00Z")
    assert refused["errors"][0]["field"] == "asks"


def test_what_can_be_noted_is_listed_in_the_order_of_the_putt(coach):
    notes = coach.get("/notes")
    assert notes[0]["note"] == "felt" and notes[0]["when"] == "before"
    assert {it["when"] for it in notes[1:]} == {"after"}
