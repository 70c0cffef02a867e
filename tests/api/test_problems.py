"""What goes wrong gets a clear answer and loses nothing that was acknowledged."""

import json
import math
import threading
import time

import pytest
import uuid6
from fastapi.testclient import TestClient

from libella.api.app import create_app
from libella.api.base.units import UNITS, numbers
from libella.store.server.database import connect

from ..conftest import Coach, migrated_database, now

HANGS_S = 120.0
STATION = {"distance_m": 2.5, "past_m": 0.3, "green_speed_ft": 10, "rig_kind": "peg_gate", "rig_sizes_m": {}}


@pytest.mark.parametrize(
    ("change", "field", "said"),
    [
        ({"distance_m": -2}, "distance_m", "300 mm to 15 m"),
        ({"distance_m": 400}, "distance_m", "300 mm to 15 m"),
        ({"green_speed_ft": 90}, "green_speed_ft", "4 ft to 16 ft"),
        ({"past_m": 2.9, "green_speed_ft": 5}, "past_m", "under"),
        ({"rig_sizes_m": {"inside_width_m": 0.03}}, "rig_sizes_m.inside_width_m", "43.7 mm to 300 mm"),
        ({"rig_sizes_m": {"distance_m": -1}}, "rig_sizes_m.distance_m", "100 mm to 3 m"),
        ({"rig_sizes_m": {"distance_m": 2.6}, "distance_m": 1}, "distance_m", "at most"),
        ({"rig_sizes_m": {"depth_m": 1}}, "rig_sizes_m.depth_m", "one of"),
        ({"rig_kind": "sundial"}, "rig_kind", "one of"),
        ({"capture": "magnet"}, "capture", "free_fall"),
        ({"falls_forward_percent": 7.5, "green_speed_ft": 13, "distance_m": 4}, "falls_forward_percent", "can stop"),
        ({"falls_right_percent": 40}, "falls_right_percent", "-12 % to 12 %"),
        ({"colour": "red"}, "colour", ""),
    ],
)
def test_an_entry_out_of_limits_names_field_limit_and_unit(client, change, field, said):
    answer = client.post("/api/stations/preview", json=STATION | change)
    assert answer.status_code == 422
    assert answer.headers["content-type"] == "application/problem+json"
    [problem] = answer.json()["errors"]
    assert problem["field"] == field
    assert said in problem["limit"]


@pytest.mark.parametrize("value", [math.nan, math.inf, -math.inf])
def test_what_is_not_a_number_is_refused(client, value):
    body = json.dumps(STATION | {"distance_m": value})
    answer = client.post("/api/stations/preview", content=body, headers={"content-type": "application/json"})
    assert answer.status_code in (400, 422) and answer.json()["detail"]


def test_an_offset_beyond_the_ruler_says_where_it_ends(coach):
    block = coach.block()
    said = coach.putt(block["id"], {"offset_m": 0.3}, status=422)
    assert "ends at 10 cm" in said["detail"] and "off the end" in said["detail"]
    assert coach.judged(block["id"])["judgement"]["putts"] == 0


@pytest.mark.parametrize(
    "raw", [{}, {"crossing": "sideways"}, {"offset_m": None}, {"a": 1, "b": 2, "c": 3, "d": 4, "e": 5}]
)
def test_a_reading_the_rig_cannot_give_is_refused(coach, raw):
    coach.putt(coach.block()["id"], raw, status=422)


def test_broken_json_is_answered(client):
    answer = client.put(
        f"/api/golfers/{uuid6.uuid7()}", content=b'{"name": ', headers={"content-type": "application/json"}
    )
    assert answer.status_code == 400 and "not valid JSON" in answer.json()["detail"]


def test_ten_megabytes_are_refused_before_they_are_read(client):
    answer = client.put(f"/api/golfers/{uuid6.uuid7()}", content=b"x" * 10_000_000)
    assert answer.status_code == 413 and "64 KiB" in answer.json()["detail"]

    def endless():
        for _ in range(100):
            yield b"y" * 10_000

    assert client.put(f"/api/golfers/{uuid6.uuid7()}", content=endless()).status_code == 413


@pytest.mark.parametrize("name", ["", " " * 9, "x" * 81, "bell\u0007", None, 7])
def test_names_are_words(coach, name):
    said = coach.put(f"/golfers/{uuid6.uuid7()}", 422, name=name, hand="right", level="club")
    assert said["errors"][0]["field"] == "name"


def test_ids_are_made_with_a_time_in_them_and_times_with_a_zone(coach):
    coach.put("/golfers/5b5a5f3e-8b3d-4a39-9b3e-111111111111", 422, name="x", hand="right", level="club")
    coach.putt(coach.block()["id"], {"offset_m": 0}, status=422, taken_at="2026-01-01T10:00:00")


def test_a_lesson_cannot_end_before_it_started(coach):
    lesson = coach.lesson()
    coach.put(f"/lessons/{lesson['id']}/end", 409, ended_at="2001-01-01T00:00:00Z")


def test_other_hosts_are_not_served(client):
    assert client.get("/api/health", headers={"host": "example.org"}).status_code == 400


def test_files_outside_the_front_end_are_not_served(client, tmp_path, engine):
    (tmp_path / "ui").mkdir()
    (tmp_path / "ui" / "index.html").write_text("page")
    (tmp_path / "secret").write_text("secret")
    with TestClient(create_app(engine, tmp_path / "ui"), base_url="http://127.0.0.1") as own:
        assert own.get("/lessons/1/start").text == "page"
        assert "secret" not in own.get("/..%2fsecret").text
        assert own.get("/api/nothing").status_code == 404


def test_a_database_that_goes_away_and_comes_back_loses_nothing(own_cluster):
    engine = connect(migrated_database(own_cluster))
    with TestClient(create_app(engine), base_url="http://127.0.0.1", raise_server_exceptions=False) as client:
        coach = Coach(client)
        block = coach.block(planned=50)
        kept = [coach.putt(block["id"], {"offset_m": 0.01})["id"] for _ in range(5)]
        waiting = str(uuid6.uuid7())
        body = {"block_id": block["id"], "raw": {"offset_m": 0.02}, "taken_at": now()}
        own_cluster.kill()
        try:
            answer = client.put(f"/api/readings/{waiting}", json=body)
            assert answer.status_code == 503
            assert "not kept yet" in answer.json()["detail"] and answer.headers["retry-after"]
            assert client.get("/api/health").status_code == 503
        finally:
            own_cluster.revive()
        assert client.put(f"/api/readings/{waiting}", json=body).status_code == 201
        readings = coach.judged(block["id"])["block"]["readings"]
        assert [it["id"] for it in readings] == [*kept, waiting]
    engine.dispose()


def test_a_power_cut_in_mid_run_loses_no_acknowledged_putt_and_doubles_none(own_cluster):
    engine = connect(migrated_database(own_cluster))
    with TestClient(create_app(engine), base_url="http://127.0.0.1", raise_server_exceptions=False) as client:
        coach = Coach(client)
        block = coach.block(planned=200)
        acknowledged: list[str] = []
        stop = threading.Event()

        def record():
            while not stop.is_set():
                id = str(uuid6.uuid7())
                body = {"block_id": block["id"], "raw": {"offset_m": 0.01}, "taken_at": now()}
                while not stop.is_set():
                    if client.put(f"/api/readings/{id}", json=body).status_code in (200, 201):
                        acknowledged.append(id)
                        break
                    time.sleep(0.05)

        thread = threading.Thread(target=record)
        thread.start()
        try:
            # Cut while it records, and gone on with afterwards: however long either takes on a busy machine.
            acknowledges(acknowledged, 4)
            own_cluster.kill()
            own_cluster.revive()
            acknowledges(acknowledged, 4)
        finally:
            stop.set()
            thread.join()
        readings = [it["id"] for it in coach.judged(block["id"])["block"]["readings"]]
        assert len(readings) == len(set(readings))
        assert set(acknowledged) <= set(readings) and len(acknowledged) >= 8
    engine.dispose()


def acknowledges(told: list[str], more: int) -> None:
    """Wait until so many more putts were acknowledged than are."""
    wanted, until = len(told) + more, time.monotonic() + HANGS_S
    while len(told) < wanted:
        assert time.monotonic() < until, f"{len(told)} of {wanted} putts acknowledged"
        time.sleep(0.01)


def test_every_number_in_the_apis_description_has_its_unit(client):
    """In its name, with its field, or in one table; and the table names nothing that is not there."""
    document = client.get("/api/openapi.json").json()
    assert [f"{schema}.{name}" for schema, name, _ in numbers(document)] == []
    schemas = document["components"]["schemas"]
    fields = {(schema, name) for schema, it in schemas.items() for name in it.get("properties", {})}
    known = {name for _, name in fields} | {f"{schema}.{name}" for schema, name in fields}
    assert set(UNITS) - known == set()
