"""At the edges: nothing sent makes the server stumble, and nothing is taken for what it is not."""

import json
import socket
import threading
import time

import psycopg
import pytest
import uuid6
import uvicorn
from fastapi.testclient import TestClient
from sqlalchemy import text
from sqlalchemy.exc import OperationalError

from libella.api.app import create_app
from libella.api.base.guard import BodyLimit
from libella.api.base.shapes import cursor

from ..conftest import now


@pytest.mark.parametrize(
    "path",
    [
        "/api/golfers?q=%00",
        "/api/golfers?q=%ED%A0%80",
        "/api/stations/saved?q=%00",
        "/api/golfers?after=%00",
        "/api/golfers?after=bm90IGpzb24",
        "/api/today?after=" + cursor("x\x00", "y"),
        "/api/golfers?after=" + cursor("a\x00b", "018f0000-0000-7000-8000-000000000000"),
        "/api/today?after=" + cursor("9999-12-31T23:59:59-23:00", "018f0000-0000-7000-8000-000000000000"),
        "/api/today?after=" + cursor("2026-01-01T00:00:00", "018f0000-0000-7000-8000-000000000000"),
        "/%00",
        "/" + "a" * 5000,
        "/" + "a/" * 2500,
        "/..%2f..%2fetc%2fpasswd%00",
        "/api/lessons/not-an-id",
    ],
)
def test_no_address_makes_the_server_stumble(client, path):
    assert client.get(path).status_code < 500


@pytest.mark.parametrize("at", ["9999-12-31T23:59:59-12:00", "0001-01-01T00:00:00+12:00", "2126-01-01T00:00:00Z"])
def test_a_lesson_at_the_end_of_time_is_refused_with_the_field_and_the_limit(coach, at):
    body = {"golfer_id": coach.golfer()["id"], "place": "x", "green_speed_ft": 10, "started_at": at}
    refused = coach.put(f"/lessons/{uuid6.uuid7()}", 422, **body)
    assert refused["errors"][0]["field"] == "started_at" and "1950 to now" in refused["errors"][0]["limit"]


@pytest.mark.parametrize(
    ("raw", "status"), [({"offset_m": False}, 422), ({"offset_m": "0.01"}, 422), ({"offset_m": 0.01}, 201)]
)
def test_neither_a_truth_nor_words_become_a_number(coach, raw, status):
    coach.putt(coach.block()["id"], raw, status=status)


def test_no_number_becomes_a_truth(coach):
    lesson = coach.lesson()
    station = coach.station(lesson["id"])
    body = {"station_id": station["id"], "condition": "x", "guided": 1, "planned": 10, "started_at": now()}
    assert coach.put(f"/blocks/{uuid6.uuid7()}", 422, **body)["errors"]
    assert coach.put(f"/blocks/{uuid6.uuid7()}", 422, **body | {"guided": False, "planned": "10"})["errors"]


@pytest.mark.parametrize("name", ["a\x07b", "a\x00", "\ud800"])
def test_words_that_can_not_be_kept_are_refused(client, name):
    body = json.dumps({"name": name, "hand": "right", "level": "club"})
    answer = client.put(f"/api/golfers/{uuid6.uuid7()}", content=body, headers={"content-type": "application/json"})
    assert answer.status_code in (400, 422)


def test_a_station_file_with_absurd_numbers_is_refused(coach):
    for text_ in ('{"format":"libella-station","version":2,"x":1e400}', '{"a":' + "9" * 4000 + "}", '{"\\ud800":1}'):
        answer = coach.client.post("/api/stations/file", content=text_, headers={"content-type": "application/json"})
        assert 400 <= answer.status_code < 500, answer.status_code


def test_each_refusal_is_headed_by_what_it_is(coach):
    lesson = coach.lesson()
    block = coach.block(lesson=lesson, planned=3)
    for _ in range(3):
        putt = coach.putt(block["id"], {"offset_m": 0.0})
    full = coach.putt(block["id"], {"offset_m": 0.0}, status=409)
    assert full["title"] == "Nothing more is taken here" and full["type"].endswith("closed")
    other = coach.putt(block["id"], {"offset_m": 0.05}, id=putt["id"], status=409)
    assert other["title"] == "Already kept otherwise" and other["type"].endswith("kept-otherwise")
    laser = coach.station(lesson["id"], "ground_laser")
    body = {"station_id": laser["id"], "condition": "x", "guided": False, "planned": 5, "started_at": now()}
    assert coach.put(f"/blocks/{uuid6.uuid7()}", 409, **body)["title"] == "Something comes first"


def test_limits_are_told_in_the_readers_units(coach):
    lesson = coach.lesson()
    body = {"distance_m": 99, "past_m": 0.3, "green_speed_ft": 10, "rig_kind": "board", "rig_sizes_m": {}}
    path = f"/api/stations/{uuid6.uuid7()}"
    whole = body | {"lesson_id": lesson["id"], "laid_at": now()}
    metric = coach.client.put(path, json=whole).json()["errors"][0]
    feet = coach.client.put(path, json=whole, headers={"libella-units": "feet"}).json()["errors"][0]
    assert metric["limit"] == "300 mm to 15 m" and "99 m" in metric["message"]
    assert feet["limit"] == "11 7/8 in to 49 ft 2 1/2 in" and " m" not in feet["message"].replace(" must", "")


def test_a_question_that_fails_says_nothing_of_an_entry_and_the_log_says_no_values(engine, caplog, monkeypatch):
    entered = " ".join(("Wim", "Adeyari"))

    def broken(*_):
        raise RuntimeError(entered)

    monkeypatch.setattr("libella.lessons.golfer.golfers.find_golfers", broken)
    with TestClient(create_app(engine), base_url="http://127.0.0.1", raise_server_exceptions=False) as client:
        said = client.get("/api/golfers").json()
    assert said["status"] == 500 and "could not be read" in said["detail"] and "kept" not in said["detail"]
    assert "RuntimeError" in caplog.text and "Wim" not in caplog.text and "test_edges" in caplog.text


def test_a_database_error_logs_no_values(engine, caplog):
    with pytest.raises(Exception) as fault, engine.begin() as connection:
        connection.execute(text("select cast(:name as integer)"), {"name": "Junia Thale"})
    assert "[SQL parameters hidden" in str(fault.value)


def test_every_answer_tells_the_browser_to_load_nothing_of_others(client, tmp_path, engine):
    head = client.get("/api/health").headers
    assert "default-src 'self'" in head["content-security-policy"]
    assert "frame-ancestors 'none'" in head["content-security-policy"] and "unsafe-eval" not in str(head)
    assert head["x-content-type-options"] == "nosniff" and head["referrer-policy"] == "no-referrer"
    assert head["cross-origin-resource-policy"] == head["cross-origin-opener-policy"] == "same-origin"
    assert "camera=()" in head["permissions-policy"] and "geolocation=()" in head["permissions-policy"]
    # Neither what is told nor a refusal is left in a browser's own memory, where it would lie open.
    for path in ("/api/golfers", "/api/golfers/nobody", "/api/nothing"):
        assert client.get(path).headers["cache-control"] == "no-store"
    (tmp_path / "index.html").write_text("<html><script>let a = 1</script><script src=x></script></html>")
    with TestClient(create_app(engine, tmp_path), base_url="http://127.0.0.1") as own:
        assert own.get("/").headers["content-security-policy"].count("sha256-") == 1


@pytest.mark.parametrize(
    ("told", "writes", "reads"),
    [
        ({}, True, True),
        ({"sec-fetch-site": "same-origin", "origin": "http://127.0.0.1"}, True, True),
        ({"sec-fetch-site": "none"}, True, True),
        ({"origin": "http://127.0.0.1"}, True, True),
        ({"origin": "https://elsewhere.example"}, False, True),
        ({"origin": "null"}, False, True),
        ({"sec-fetch-site": "cross-site", "sec-fetch-mode": "cors"}, False, False),
        ({"sec-fetch-site": "same-site", "sec-fetch-mode": "no-cors"}, False, False),
        # A link to a page of ours may be followed from anywhere; a form that is sent from there may not.
        ({"sec-fetch-site": "cross-site", "sec-fetch-mode": "navigate"}, False, True),
    ],
)
def test_no_page_of_another_site_keeps_or_shows_anything(client, told, writes, reads):
    golfer = f"/api/golfers/{uuid6.uuid7()}"
    kept = client.put(golfer, json={"name": "Sent", "hand": "right", "level": "club"}, headers=told)
    assert kept.status_code == (200 if writes else 403), kept.text
    assert client.get(golfer).status_code == (200 if writes else 404)
    shown = client.get("/api/golfers", headers=told)
    assert shown.status_code == (200 if reads else 403) and ("items" in shown.text) == reads
    if not writes:
        assert kept.json()["title"] == "Not from there" and kept.headers["x-content-type-options"] == "nosniff"


def test_only_hosts_that_are_ours_are_answered(client):
    for host, status in (("testserver", 400), ("evil.example", 400), ("localhost", 200), ("127.0.0.1:8090", 200)):
        assert client.get("/api/health", headers={"host": host}).status_code == status


def test_a_body_that_stops_arriving_is_let_go(engine):
    """Half a body, then silence: answered, not waited for without end."""
    app = BodyLimit(create_app(engine), patience_s=0.3)
    with socket.socket() as listening:
        listening.bind(("127.0.0.1", 0))
        port = listening.getsockname()[1]
        server = uvicorn.Server(uvicorn.Config(app, log_level="critical", lifespan="off"))
        thread = threading.Thread(target=server.run, kwargs={"sockets": [listening]}, daemon=True)
        thread.start()
        until = time.monotonic() + 10
        while not server.started and time.monotonic() < until:
            time.sleep(0.02)
        with socket.create_connection(("127.0.0.1", port), timeout=10) as half:
            head = f"PUT /api/golfers/{uuid6.uuid7()} HTTP/1.1\r\nhost: 127.0.0.1\r\ncontent-length: 900\r\n\r\n"
            half.sendall(head.encode() + b'{"name": ')
            assert b"408" in half.recv(400)
        server.should_exit = True
        thread.join(10)


def test_what_is_told_of_a_golfer_is_kept_until_anything_of_it_changes(coach, engine, monkeypatch):
    lesson = coach.lesson()
    block = coach.block(lesson=lesson)
    coach.putt(block["id"], {"offset_m": 0.01})
    first = coach.get(f"/lessons/{lesson['id']}")

    def kept():
        with engine.connect() as connection:
            return connection.scalar(text("select count(*) from kept_answer where what = 'lesson, metric'"))

    assert kept() == 1
    made = []
    monkeypatch.setattr("libella.api.pages.lessons._whole", lambda *it: made.append(it))
    assert coach.get(f"/lessons/{lesson['id']}") == first and not made
    monkeypatch.undo()
    putt = coach.putt(block["id"], {"offset_m": 0.02})
    assert coach.get(f"/lessons/{lesson['id']}")["blocks"][0]["putts"] == 2
    coach.put(f"/readings/{putt['id']}/voided", reason="slip")
    assert coach.get(f"/lessons/{lesson['id']}")["blocks"][0]["putts"] == 1
    golfer = coach.get(f"/golfers/{lesson['golfer_id']}")
    coach.put(f"/golfers/{golfer['id']}", name="Another Name", hand="right", level="club")
    assert coach.get(f"/lessons/{lesson['id']}")["golfer"]["name"] == "Another Name"
    # Rules that changed make it anew too.
    with engine.begin() as connection:
        connection.execute(text("update kept_answer set rules = 'older', answer = '{}'"))
    assert coach.get(f"/lessons/{lesson['id']}")["blocks"][0]["putts"] == 1


def test_usual_lengths_are_kept_checked_and_used(coach):
    golfer = coach.golfer()
    assert [it["distance_m"] for it in golfer["usual_lengths"]] == [1, 1.5, 2, 3, 4, 6] and not golfer["usual_noted"]
    mine = {"name": "A", "hand": "right", "level": "club", "usual_lengths": [{"distance_m": 5, "weight": 1}]}
    kept = coach.put(f"/golfers/{golfer['id']}", **mine)
    assert kept["usual_noted"] and kept["usual_lengths"] == [{"distance_m": 5, "weight": 1}]
    twice = coach.put(f"/golfers/{golfer['id']}", 422, **mine | {"usual_lengths": [{"distance_m": 2}] * 2})
    assert twice["errors"][0]["field"] == "usual_lengths.1.distance_m"
    assert coach.put(f"/golfers/{golfer['id']}", 422, **mine | {"usual_lengths": []})["errors"]
    lesson = coach.lesson(golfer["id"])
    block = coach.block(lesson=lesson, planned=5, hole=False)
    for _ in range(5):
        coach.putt(block["id"], {"offset_m": 0.03})
    said = coach.judged(block["id"])["judgement"]
    assert "usual lengths (5.00 m)" in said["allows"] and said["counts"].startswith("5 of 5 right")


@pytest.mark.parametrize("state", [psycopg.errors.DiskFull, psycopg.errors.IoError])
def test_a_full_disk_is_said_and_health_says_it_too(engine, monkeypatch, state):
    """Not "does not answer": the database does, and has no room."""

    def full(*_, **__):
        raise OperationalError("insert", {}, state('could not extend file "base/1/2": No space left on device'))

    with TestClient(create_app(engine), base_url="http://127.0.0.1", raise_server_exceptions=False) as client:
        monkeypatch.setattr("sqlalchemy.orm.Session.execute", full)
        health = client.get("/api/health")
        monkeypatch.setattr("libella.lessons.golfer.golfers.keep_golfer", full)
        body = {"name": "A", "hand": "right", "level": "club"}
        write = client.put(f"/api/golfers/{uuid6.uuid7()}", json=body)
    for answer in (health, write):
        assert answer.status_code == 507 and answer.json()["title"] == "No room to keep anything", answer.text
    assert "this entry was not kept yet" in write.json()["detail"] and "Make room" in write.json()["remedy"]


def test_a_golfers_own_step_is_kept_checked_and_told_with_the_lesson(coach):
    lesson = coach.lesson()
    whole = coach.get(f"/lessons/{lesson['id']}")
    golfer = whole["golfer"]
    assert golfer["step_m"] is None
    mine = {"name": "A", "hand": "right", "level": "club", "step_m": 0.8}
    assert coach.put(f"/golfers/{golfer['id']}", **mine)["step_m"] == 0.8
    assert coach.get(f"/lessons/{lesson['id']}")["golfer"]["step_m"] == 0.8
    refused = coach.put(f"/golfers/{golfer['id']}", 422, **mine | {"step_m": 8})
    assert refused["errors"][0]["field"] == "step_m" and "it must be 300 mm to 1.2 m" in str(refused)


def test_a_page_answers_for_places_and_never_for_files(engine, tmp_path):
    """What a tool asks for by a file's name must not be told it is there, nor what the build left for itself."""
    (tmp_path / "index.html").write_text("<!doctype html>")
    (tmp_path / ".prepared").write_text("mark")
    (tmp_path / "icon.svg").write_text("<svg/>")
    with TestClient(create_app(engine, front_end=tmp_path), base_url="http://127.0.0.1") as client:
        told = {it: client.get(it).status_code for it in ("/", "/lessons/x/judge", "/icon.svg")}
        assert set(told.values()) == {200}, told
        for path in ("/.prepared", "/openapi.json", "/robots.txt", "/lessons/.git/config", "/app.js.map"):
            assert client.get(path).status_code == 404, path


def test_two_who_edit_one_golfer_keep_what_each_changed_and_never_write_over_unseen(coach):
    golfer = coach.golfer("Anna", notes="")
    seen = {name: golfer[name] for name in ("name", "hand", "level", "notes", "step_m")}
    # One changes the name, the other, who saw the old one, the notes: both stand.
    coach.put(f"/golfers/{golfer['id']}", **seen | {"name": "Anna B"}, seen=seen)
    both = coach.put(f"/golfers/{golfer['id']}", **seen | {"notes": "left eye"}, seen=seen)
    assert (both["name"], both["notes"]) == ("Anna B", "left eye")
    # Another name by who saw neither: refused with what it says now, and nothing of it is kept.
    refused = coach.put(f"/golfers/{golfer['id']}", 412, **seen | {"name": "Anne", "level": "elite"}, seen=seen)
    [wrong] = refused["errors"]
    assert wrong["field"] == "name" and "“Anna B”" in wrong["message"] and "“Anna”" in wrong["message"]
    stands = coach.get(f"/golfers/{golfer['id']}")
    assert (stands["name"], stands["level"]) == ("Anna B", "club")
    # Seen, it can be said over; the same said twice is no clash.
    now_ = seen | {"name": "Anna B", "notes": "left eye"}
    assert coach.put(f"/golfers/{golfer['id']}", **now_ | {"name": "Anne"}, seen=now_)["name"] == "Anne"
    assert coach.put(f"/golfers/{golfer['id']}", **now_ | {"name": "Anne"}, seen=now_)["name"] == "Anne"


def test_two_who_edit_one_lesson_keep_what_each_changed(coach):
    lesson = coach.lesson()
    names = ("golfer_id", "place", "surface", "green_speed_ft", "started_at", "conditions")
    seen = {name: lesson[name] for name in names}
    coach.put(f"/lessons/{lesson['id']}", **seen | {"place": "Hall"}, seen=seen)
    both = coach.put(f"/lessons/{lesson['id']}", **seen | {"green_speed_ft": 9}, seen=seen)
    assert (both["place"], both["green_speed_ft"]) == ("Hall", 9)
    refused = coach.put(f"/lessons/{lesson['id']}", 412, **seen | {"place": "Barn"}, seen=seen)
    assert [it["field"] for it in refused["errors"]] == ["place"]
    assert coach.get(f"/lessons/{lesson['id']}")["lesson"]["place"] == "Hall"
