"""A claim opened over the wire: its readings lead to where they were tapped, its numbers give its word."""

import re

from fastapi.testclient import TestClient

from libella.api.app import create_app
from libella.store.server.database import connect

from ...conftest import demo_database
from .test_findings import found, putted


def test_every_claim_of_a_lesson_opens_and_a_voided_putt_is_named(coach):
    lesson = coach.lesson()
    block = putted(coach, lesson, [0.03 + 0.005 * (n % 3 - 1) for n in range(12)])
    id = coach.get(f"/lessons/{lesson['id']}")["blocks"][0]["readings"][-1]["id"]
    coach.put(f"/readings/{id}/voided", reason="talked")
    [row] = found(coach, lesson)["read"]
    why = coach.get(f"/lessons/{lesson['id']}/explained", claim=row["key"])
    assert why["says"] == row["words"] and len(why["readings"]) == row["count"] == 11
    assert all(one["at"] == block["id"] and one["step"] == "start" for one in why["readings"])
    assert why["left_out"] == ["Left out: 1 reading that was voided."]
    assert why["moves"] and re.search(r"clear|likely|mend|tell yet", why["sums"][-1])
    feet = coach.get(f"/lessons/{lesson['id']}/explained", claim=row["key"], units="feet")
    assert not re.search(r"[0-9] (mm|cm|m)[ .,]", " ".join([*feet["sums"], *feet["moves"]]))
    coach.get(f"/lessons/{lesson['id']}/explained", 404, claim="clouds")


def test_on_the_demo_every_claim_opens_and_says_what_its_row_says(cluster):
    engine, opened = connect(demo_database(cluster)), 0
    with TestClient(create_app(engine), base_url="http://localhost") as client:
        for one in client.get("/api/golfers").json()["items"]:
            lessons = client.get(f"/api/golfers/{one['golfer']['id']}/lessons").json()["items"]
            lesson = lessons[0]["lesson"]["id"]
            for row in client.get(f"/api/lessons/{lesson}/findings").json()["read"]:
                answer = client.get(f"/api/lessons/{lesson}/explained", params={"claim": row["key"]})
                assert answer.status_code == 200, (row["key"], answer.text)
                why = answer.json()
                assert why["says"] == row["words"] and why["title"].endswith(row["name"]), row["key"]
                opened += 1
    engine.dispose()
    assert opened > 15
