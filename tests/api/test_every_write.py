"""What every write of a lesson keeps to: said twice it is one, a closed lesson takes none, another studio sees none."""

from dataclasses import dataclass
from datetime import UTC, datetime, timedelta

import pytest
import uuid6
from fastapi.testclient import TestClient
from sqlalchemy import text, update

from libella.api.app import create_app
from libella.store.tables import LessonRow

from ..conftest import Coach, now
from .see.test_eyes import look


@dataclass
class Write:
    """A write: its address, its body, and where its lesson shows it."""

    path: str
    body: dict
    shows: str


def lesson_with_everything(coach) -> dict:
    """A lesson with what the writes below refer to."""
    lesson = coach.lesson()
    station = coach.station(lesson["id"])
    coach.put(f"/lessons/{lesson['id']}/laser-cautions")
    put = {"lesson_id": lesson["id"]}
    coach.put(f"/set-ups/{uuid6.uuid7()}", **put, values={"stance_m": 0.3}, taken_at=now())
    card = coach.put(f"/set-up-cards/{uuid6.uuid7()}", **put, kept_at=now())
    test = coach.put(f"/sight-tests/{uuid6.uuid7()}", **put, started_at=now())
    sets = coach.put(f"/aim-series/{uuid6.uuid7()}", **put, started_at=now())
    block = coach.block(lesson=lesson)
    sensor = str(uuid6.uuid7())
    coach.put(f"/sensors/{sensor}", **put, kind="face_and_path")
    return {
        "sensor": sensor,
        "lesson": lesson["id"],
        "station": station["id"],
        "card": card["id"],
        "test": test["test"]["id"],
        "set": sets["sheets"][0]["series"]["id"],
        "block": block["id"],
    }


def write(kind: str, ids: dict) -> Write:
    lesson = ids["lesson"]
    here = {"lesson_id": lesson}
    raw = {"true_deg": 1.0, "looks": "left"}
    block = {"station_id": ids["station"], "condition": "as usual", "guided": False, "planned": 10}
    return {
        "block": Write("blocks", block | {"started_at": now()}, f"/lessons/{lesson}"),
        "eye take": Write("eye-takes", here | look() | {"taken_at": now()}, f"/lessons/{lesson}/eyes"),
        "string look": Write(
            "eye-looks", here | {"way": "string", "covers": "edge", "taken_at": now()}, f"/lessons/{lesson}/eyes"
        ),
        "sight test": Write("sight-tests", here | {"started_at": now()}, f"/lessons/{lesson}/sights"),
        "sight trial": Write(
            "sight-trials", {"test_id": ids["test"], "raw": raw, "taken_at": now()}, f"/lessons/{lesson}/sights"
        ),
        "first look": Write(
            "first-looks",
            here | {"lever": "chin", "looks": "left", "taken_at": now()},
            f"/lessons/{lesson}/first-looks",
        ),
        "set-up": Write(
            "set-ups", here | {"values": {"stance_m": 0.31}, "taken_at": now()}, f"/lessons/{lesson}/stand"
        ),
        "card": Write("set-up-cards", here | {"note": "x", "kept_at": now()}, f"/set-up-cards/{ids['card']}/print"),
        "check": Write(
            "quick-checks", here | {"card_id": ids["card"], "taken_at": now()}, f"/lessons/{lesson}/quick-checks"
        ),
        "comparison": Write(
            "comparisons",
            here
            | {"conditions": [{"name": it, "station_id": ids["station"]} for it in "ab"], "each": 3}
            | {"started_at": now()},
            f"/lessons/{lesson}/comparisons",
        ),
        "sensor": Write("sensors", here | {"kind": "level"}, f"/lessons/{lesson}/sensors"),
        "stroke tap": Write(
            "stroke-taps", {"sensor_id": ids["sensor"], "tapped_at": now()}, f"/lessons/{lesson}/sensors"
        ),
        "aim set": Write("aim-series", here | {"started_at": now()}, f"/lessons/{lesson}/aim"),
        "set-down": Write(
            "set-downs",
            {"series_id": ids["set"], "raw": {"angle_deg": 1.0, "seen_deg": 0.5}, "taken_at": now()},
            f"/lessons/{lesson}/aim",
        ),
    }[kind]


KINDS = [
    "block", "eye take", "string look", "first look", "sight test", "sight trial", "set-up", "card", "check",
    "comparison", "sensor", "aim set", "set-down", "stroke tap",
]  # fmt: skip


def test_said_twice_it_is_one(coach):
    ids = lesson_with_everything(coach)
    for kind in KINDS:
        it, id = write(kind, ids), uuid6.uuid7()
        coach.put(f"/{it.path}/{id}", **it.body)
        shown = None if kind == "card" else coach.get(it.shows)
        coach.put(f"/{it.path}/{id}", **it.body)
        if shown is not None:
            assert coach.get(it.shows) == shown, kind
            # A tap shows in what it tells of the clock alone.
            assert str(id) in str(shown) or kind == "stroke tap", kind


@pytest.mark.parametrize("kind", KINDS)
def test_a_voided_lesson_takes_nothing_more_and_an_ended_one_nothing_taken_later(coach, kind):
    ids = lesson_with_everything(coach)
    ended = write(kind, ids)
    coach.put(f"/lessons/{ids['lesson']}/end", ended_at=now())
    later = {key: now() for key in ended.body if key.endswith("_at")}
    refused = coach.put(f"/{ended.path}/{uuid6.uuid7()}", 409, **ended.body | later)
    assert "ended" in refused["detail"] and refused["remedy"]
    coach.drop(f"/lessons/{ids['lesson']}/end")
    coach.put(f"/lessons/{ids['lesson']}/voided", reason="not this golfer")
    refused = coach.put(f"/{ended.path}/{uuid6.uuid7()}", 409, **ended.body)
    assert "voided" in refused["detail"]


@pytest.mark.parametrize("kind", [kind for kind in KINDS if kind != "sensor"])
def test_what_was_taken_before_the_end_is_kept_though_it_comes_after(coach, kind):
    ids = lesson_with_everything(coach)
    it = write(kind, ids)
    ago = (datetime.now(UTC) - timedelta(minutes=20)).isoformat()
    with coach.client.app.state.desk().transaction() as session:
        begun = datetime.now(UTC) - timedelta(hours=1)
        session.execute(update(LessonRow).where(LessonRow.id == ids["lesson"]).values(started_at=begun))
    ended = (datetime.now(UTC) - timedelta(minutes=10)).isoformat()
    coach.put(f"/lessons/{ids['lesson']}/end", ended_at=ended)
    coach.put(f"/{it.path}/{uuid6.uuid7()}", **it.body | {key: ago for key in it.body if key.endswith("_at")})


def test_an_id_that_is_not_of_time_and_a_field_that_is_not_known_are_refused(coach):
    ids = lesson_with_everything(coach)
    for kind in KINDS:
        it = write(kind, ids)
        coach.put(f"/{it.path}/2f4d6a52-5e1c-4f0b-9c1a-000000000001", 422, **it.body)
        refused = coach.put(f"/{it.path}/{uuid6.uuid7()}", 422, **it.body, nonsense=1)
        assert any("nonsense" in error["field"] for error in refused["errors"]), kind


def test_another_studio_sees_and_touches_nothing_of_it(coach, engine):
    ids = lesson_with_everything(coach)
    writes = {kind: write(kind, ids) for kind in KINDS}
    with engine.begin() as connection:
        # The studio with the lowest id is the one that is served.
        connection.execute(
            text("insert into studio (id, name, place, coach) values (:id, 'Other', '', '')"),
            {"id": "00000000-0000-7000-8000-000000000001"},
        )
    with TestClient(create_app(engine), base_url="http://127.0.0.1", raise_server_exceptions=False) as client:
        other = Coach(client)
        assert other.get("/golfers")["items"] == []
        for kind, it in writes.items():
            other.get(it.shows, 404)
            assert other.put(f"/{it.path}/{uuid6.uuid7()}", 404, **it.body)["title"], kind
        for path in (f"/lessons/{ids['lesson']}/map", f"/lessons/{ids['lesson']}/question"):
            other.get(path, 404)
        for path, body in (
            (f"/sight-tests/{ids['test']}/felt", {"playable": False}),
            (f"/sight-tests/{ids['test']}/shown", {}),
            (f"/set-up-cards/{ids['card']}/away", {"put_away": True}),
        ):
            other.put(path, 404, **body)
