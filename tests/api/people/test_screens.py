"""Screens: let in by a link, they show what was sent to them and open nothing else."""

from datetime import UTC, datetime, timedelta

import pytest
import uuid6
from starlette.websockets import WebSocketDisconnect

from libella.api.people.roles import FOR_SCREENS, is_open
from libella.lessons.people import screens


def screen(floor, name="Wall at the mats"):
    """A device that became a screen by a link, and the screen's id."""
    owner, id = floor.owner or floor.first(), str(uuid6.uuid7())
    told = owner.put(f"/screens/{id}/link", name=name, address="https://green.example/screen")
    device = floor.browser()
    answer = device.client.post("/api/screens/take", json={"token": told["link"].partition("#")[2]})
    assert answer.status_code == 200 and answer.json()["name"] == name
    return device, id


def hears(line, what: str) -> None:
    """That it was told: what was entered before the line was open may still come first."""
    while (heard := line.receive_json()["what"]) != what:
        assert heard == "block"


def test_a_screen_shows_the_lesson_sent_to_it_and_no_other(floor):
    wall, id = screen(floor)
    owner = floor.owner
    lesson, other = owner.lesson(), owner.lesson()
    block = owner.block(lesson=lesson)
    assert wall.get("/screens/here") == {"name": "Wall at the mats", "lesson_id": None, "view": "putts"}
    wall.get(f"/lessons/{lesson['id']}/wall", 401)
    owner.put(f"/screens/{id}/shows", lesson_id=lesson["id"], view="finding")
    assert wall.get("/screens/here")["lesson_id"] == lesson["id"]
    for what in ("wall", "question", "finding-shown"):
        assert wall.get(f"/lessons/{lesson['id']}/{what}")
        wall.get(f"/lessons/{other['id']}/{what}", 401)
    with wall.client.websocket_connect(f"wss://localhost/api/live/lessons/{lesson['id']}") as line:
        hears(line, "here")
        owner.putt(block["id"], {"offset_m": 0.01})
        hears(line, "putt")
    with (
        pytest.raises(WebSocketDisconnect),
        wall.client.websocket_connect(f"wss://localhost/api/live/lessons/{other['id']}") as line,
    ):
        line.receive_json()
    with wall.client.websocket_connect(f"wss://localhost/api/live/lessons/{lesson['id']}") as line:
        hears(line, "here")
        owner.put(f"/screens/{id}/shows", lesson_id=None, view="putts")
        # A line that is open hears nothing of what is no longer sent there.
        owner.putt(block["id"], {"offset_m": 0.02})
        with pytest.raises(WebSocketDisconnect):
            line.receive_json()
    wall.get(f"/lessons/{lesson['id']}/wall", 401)


def test_whoever_is_locked_out_hears_nothing_more_on_the_line_that_is_open(floor):
    owner = floor.first()
    coach, block = floor.person("coach", "Coach"), owner.block(lesson=(lesson := owner.lesson()))
    with coach.client.websocket_connect(f"wss://localhost/api/live/lessons/{lesson['id']}") as line:
        hears(line, "here")
        owner.putt(block["id"], {"offset_m": 0.01})
        hears(line, "putt")
        owner.put(f"/accounts/{coach.id}/locked", locked=True)
        owner.putt(block["id"], {"offset_m": 0.01})
        with pytest.raises(WebSocketDisconnect) as closed:
            line.receive_json()
    assert closed.value.code == 4401


def test_a_screen_opens_nothing_else(floor):
    """Every request of the API, with the ids of what it shows."""
    wall, id = screen(floor)
    owner = floor.owner
    lesson = owner.lesson()
    owner.put(f"/screens/{id}/shows", lesson_id=lesson["id"], view="putts")
    tried = 0
    for path, methods in wall_routes(floor):
        for method in methods:
            request = f"{method} {path}"
            if request in FOR_SCREENS or is_open(request):
                continue
            tried += 1
            at = path.replace("{id}", lesson["id"]).replace("{golfer_id}", lesson["golfer_id"])
            answer = wall.client.request(method, at, json={})
            assert answer.status_code == 401, (request, answer.status_code)
    assert tried > 150


def wall_routes(floor):
    """Every route as it is described."""
    paths = floor.application.openapi()["paths"]
    return [(path, [it.upper() for it in told]) for path, told in paths.items()]


def test_its_link_is_good_once_and_it_is_taken_away_at_once(floor):
    owner = floor.first()
    id = str(uuid6.uuid7())
    body = {"name": "Wall", "address": "https://green.example/screen"}
    first = owner.put(f"/screens/{id}/link", **body)["link"].partition("#")[2]
    second = owner.put(f"/screens/{id}/link", **body)["link"].partition("#")[2]
    one, two = floor.browser(), floor.browser()
    assert one.client.post("/api/screens/take", json={"token": first}).status_code == 404
    said = one.client.post("/api/screens/take", json={"token": second})
    for part in ("HttpOnly", "Secure", "SameSite=lax", "__Host-libella-screen="):
        assert part in said.headers["set-cookie"]
    assert two.client.post("/api/screens/take", json={"token": second}).status_code == 404
    assert two.get("/screens/here")["name"] == ""
    # The link itself is no key, nor is one that nobody opened within the hour.
    assert screens.screen_of(floor.desk, second, datetime.now(UTC)) is None
    late = owner.put(f"/screens/{uuid6.uuid7()}/link", **body)["link"].partition("#")[2]
    with pytest.raises(LookupError):
        screens.take(floor.desk, late, datetime.now(UTC) + timedelta(minutes=61))
    lesson = owner.lesson()
    owner.put(f"/screens/{id}/shows", lesson_id=lesson["id"], view="putts")
    assert one.get(f"/lessons/{lesson['id']}/wall")
    owner.put(f"/screens/{id}/ended")
    one.get(f"/lessons/{lesson['id']}/wall", 401)
    assert one.get("/screens/here")["name"] == "" and id not in {it["id"] for it in owner.get("/screens")}
    assert "taken away" in owner.put(f"/screens/{id}/shows", 409, lesson_id=lesson["id"], view="putts")["detail"]


def test_an_assistant_sends_to_screens_and_lets_none_in(floor):
    wall, id = screen(floor)
    hand = floor.person("assistant", "Hand")
    lesson = hand.lesson()
    hand.put(f"/screens/{id}/shows", lesson_id=lesson["id"], view="question")
    assert wall.get("/screens/here")["view"] == "question"
    hand.put(f"/screens/{uuid6.uuid7()}/link", 403, name="Mine", address="https://green.example/screen")
    hand.put(f"/screens/{id}/ended", 403)
