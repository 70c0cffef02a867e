"""Seen from outside: it says whether it lives and can keep, counts by template, and its log names nobody."""

import io
import json
import logging
import re

import pytest
import uuid6
from fastapi.testclient import TestClient
from prometheus_client import generate_latest
from prometheus_client.parser import text_string_to_metric_families
from sqlalchemy import text

from libella.api.app import Reach, create_app
from libella.api.watch.log import JsonLines
from libella.api.watch.metrics import Kept
from libella.api.watch.state import LATE_S, LEAST_FREE, Disk, Waiting, waiting
from libella.store.server.database import connect

from ...conftest import Coach

_ID = re.compile(r"[0-9a-f]{8}-[0-9a-f]{4}")
NAME, PLACE = "Quilla Brandwater", "The Hidden Ropewalk"


@pytest.fixture
def watched(engine, tmp_path):
    with TestClient(create_app(engine, kept_in=tmp_path), base_url="http://127.0.0.1") as client:
        yield client


def _people(client: TestClient) -> None:
    """A golfer with a name, a lesson at a place, a search by name, a refusal that quotes what was entered, a fault."""
    coach = Coach(client)
    golfer = str(uuid6.uuid7())
    coach.put(f"/golfers/{golfer}", name=NAME, hand="right", level="club")
    coach.get("/golfers?q=Quilla")
    lesson = coach.lesson(golfer)
    client.put(f"/api/lessons/{uuid6.uuid7()}", json={"golfer_id": golfer, "place": PLACE, "green_speed_ft": 99})
    client.get(f"/api/lessons/{lesson['id']}")
    client.get("/Quilla-Brandwater.php")


def test_it_lives_while_the_database_is_away_and_is_not_ready(tmp_path):
    engine = connect("postgresql://nobody@127.0.0.1:9/none")
    with TestClient(create_app(engine), base_url="http://127.0.0.1", raise_server_exceptions=False) as client:
        assert client.get("/api/health/live").json() == {"status": "live"}
        assert client.get("/api/health").status_code == 503
    counted = create_app(engine).state.metrics.registry
    counted.register(Kept(engine, tmp_path))
    told = {it.name: it.samples for it in text_string_to_metric_families(generate_latest(counted).decode())}
    assert told["libella_database_up"][0].value == 0 and told["libella_disk_free_bytes"][0].value > 0
    engine.dispose()


def test_health_tells_of_disk_and_of_work_that_waits(watched, engine):
    told = {"status": "ready", "disk": "ok", "jobs": "ok", "certificate": "not_told"}
    assert watched.get("/api/health").json() == told
    assert Disk(LEAST_FREE - 1, LEAST_FREE).state == "low"
    assert Waiting({"todo": 1}, LATE_S + 1).state == "late"
    # What the application's own clock sets to work meanwhile is not seen.
    with engine.connect().execution_options(isolation_level="REPEATABLE READ") as connection:
        before = waiting(connection).by_status.get("todo", 0)
        connection.execute(
            text("insert into procrastinate_jobs (queue_name, task_name, args) values ('unworked', 'nothing', '{}')")
        )
        found = waiting(connection)
        connection.rollback()
    assert found.by_status.get("todo") == before + 1 and found.oldest_s < LATE_S


def test_answers_are_counted_by_template_and_nobody_is_named_by_it(watched):
    _people(watched)
    told = generate_latest(watched.app.state.metrics.registry).decode()
    families = {it.name: it for it in text_string_to_metric_families(told)}
    counted = {
        (it.labels["method"], it.labels["route"], it.labels["status"]): it.value
        for it in families["libella_answers"].samples
        if it.name.endswith("_total")
    }
    assert counted["PUT", "/api/golfers/{id}", "200"] == 1 and counted["GET", "/api/lessons/{id}", "200"] >= 1
    assert counted["PUT", "/api/lessons/{id}", "422"] == 1
    assert not _ID.search(told) and "Quilla" not in told and "Ropewalk" not in told
    # A name of whatever is not there would make a series of its own for everybody who guesses.
    assert {route for _, route, _ in counted} & {"page", "none"} and not any(".php" in it for _, it, _ in counted)


def test_the_log_is_json_line_by_line_and_holds_nothing_that_was_entered(watched, monkeypatch, caplog):
    written = io.StringIO()
    handler = logging.StreamHandler(written)
    handler.setFormatter(JsonLines())
    logger = logging.getLogger("libella")
    logger.addHandler(handler)
    caplog.set_level(logging.INFO, "libella.answers")
    try:
        _people(watched)

        def broken(*_, **__):
            raise RuntimeError(f"no such golfer: {NAME}")

        monkeypatch.setattr("libella.api.golfer.golfers.golfers.golfer", broken)
        failed = watched.get(f"/api/golfers/{uuid6.uuid7()}")
    finally:
        logger.removeHandler(handler)
    assert failed.status_code == 500 and failed.json()["title"] == "Something went wrong here"
    # It tells the browser what every other answer does, and whoever serves us hears nothing that he could log.
    assert failed.headers["x-content-type-options"] == "nosniff"
    lines = [json.loads(it) for it in written.getvalue().splitlines()]
    answers = [it for it in lines if it["says"] == "answered"]
    assert {(it["method"], it["route"]) for it in answers} >= {("PUT", "/api/golfers/{id}"), ("GET", "/api/golfers")}
    assert all({"status", "ms", "request", "at", "process"} <= set(it) for it in answers)
    # A line is found again by the name that its answer carries.
    assert failed.headers["x-request-id"] in {it["request"] for it in answers if it["status"] == 500}
    for word in ("Quilla", "Brandwater", "Ropewalk"):
        assert word not in written.getvalue()
    assert not _ID.search(written.getvalue())


def test_who_asks_too_much_is_told_when_to_come_again_and_health_is_always_answered(engine):
    with TestClient(create_app(engine, reach=Reach(a_minute=5)), base_url="http://127.0.0.1") as client:
        answers = [client.get("/api/golfers") for _ in range(8)]
        assert [it.status_code for it in answers] == [200] * 5 + [429] * 3
        assert int(answers[-1].headers["retry-after"]) > 0
        assert answers[-1].json()["type"] == "urn:libella:problem:too-often"
        # What the browser is told with every answer it is told with this one.
        assert answers[-1].headers["x-content-type-options"] == "nosniff"
        assert client.get("/api/health").status_code == 200
