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


def test_what_is_said_of_a_block_alone_opens_by_its_putts(coach):
    lesson = coach.lesson()
    block = putted(coach, lesson, [0.03 + 0.005 * (n % 3 - 1) for n in range(12)])
    putted(coach, lesson, [-0.03 + 0.005 * (n % 3 - 1) for n in range(6)])
    [row] = [it for it in coach.get(f"/blocks/{block['id']}/read")["read"] if it["quantity"] == "start"]
    why = coach.get(f"/blocks/{block['id']}/explained", claim=row["key"])
    assert why["says"] == row["words"] and len(why["readings"]) == row["count"] == 12
    coach.get(f"/blocks/{block['id']}/explained", 404, claim="cause:path")


def test_what_is_told_over_the_lessons_opens_lesson_by_lesson(coach):
    golfer = coach.golfer(level="club")["id"]
    lessons = [coach.lesson(golfer) for _ in range(2)]
    blocks = [putted(coach, it, [0.03 + 0.005 * (n % 3 - 1) for n in range(12)])["id"] for it in lessons]
    [line] = [it for it in coach.get(f"/golfers/{golfer}/line")["lines"] if it["link"] == "start"]
    why = coach.get(f"/golfers/{golfer}/explained", claim=line["why"])
    assert why["says"] == line["words"] and why["name"] == line["name"]
    assert {(it["lesson"], it["at"]) for it in why["readings"]} == {
        (it["id"], at) for it, at in zip(lessons, blocks, strict=True)
    }
    assert len(why["moves"]) == 2 and all("Without the lesson of" in it for it in why["moves"])
    expected = coach.get(f"/golfers/{golfer}/expected")
    told = coach.get(f"/golfers/{golfer}/explained", claim=expected["why"])
    assert told["says"] == expected["words"] and told["rests"] == expected["basis"] and len(told["moves"]) == 4
    feet = coach.get(f"/golfers/{golfer}/explained", claim=expected["why"], units="feet")
    assert not re.search(r"[0-9] (mm|cm|m)[ .,]", " ".join([*feet["sums"], *feet["moves"]]))
    coach.get(f"/golfers/{golfer}/explained", 404, claim="line:clouds")
    assert coach.get(f"/golfers/{coach.golfer()['id']}/expected")["why"] == ""


def test_on_the_demo_whatever_is_said_opens_and_says_the_same(cluster):
    engine, kinds, over_kinds, schools = connect(demo_database(cluster)), set(), set(), set()
    with TestClient(create_app(engine), base_url="http://localhost") as client:
        for one in client.get("/api/golfers").json()["items"]:
            lessons = client.get(f"/api/golfers/{one['golfer']['id']}/lessons").json()["items"]
            lesson = lessons[0]["lesson"]["id"]
            golfer = f"/api/golfers/{one['golfer']['id']}"
            line = client.get(f"{golfer}/line").json()
            over = {it["why"]: it["words"] for it in [*line["lines"], *line["shares"]]}
            expected = client.get(f"{golfer}/expected").json()
            over |= {expected["why"]: expected["words"]} if expected["why"] else {}
            held = client.get(f"/api/lessons/{lesson}/change").json()["held"]
            over |= {it["why"]: it["words"] for it in held}
            for claim, words in over.items():
                why = client.get(f"{golfer}/explained", params={"claim": claim}).json()
                assert (why["says"] == words and why["sums"]) or not why["readings"], (claim, why)
                over_kinds.add(claim.partition(":")[0])
            # What a golfer's own data say of a school is the newest lesson's, and opens there, or as what was retested.
            for it in client.get(f"{golfer}/schools").json()["disagreements"]:
                if it["why"]:
                    opens = f"/api/lessons/{it['why_lesson']}" if it["why_lesson"] else golfer
                    why = client.get(f"{opens}/explained", params={"claim": it["why"]})
                    assert why.status_code == 200, (it["code"], why.text)
                    schools.add(it["code"])
            found = client.get(f"/api/lessons/{lesson}/findings").json()
            said = {row["key"]: row["words"] for row in found["read"]}
            said |= {f"cause:{it['cause']}": it["words"] for it in [*found["first"], *found["more"]]}
            said |= {key: "" for key in [*found["why"], *(it["why"] for it in found["links"])] if key not in said}
            pairs = [pair for it in found["compared"] for pair in it["compared"]["pairs"]]
            said |= {key: words for it in pairs for key, words in zip(it["why"][1:], it["others"], strict=True)}
            said |= {it["why"][0]: "" for it in pairs}
            said |= {"finishes": found["pace"]} if found["pace"] else {}
            said |= {"growth": found["growth"]} if found["growth"] else {}
            for key, words in said.items():
                if not key:
                    continue
                answer = client.get(f"/api/lessons/{lesson}/explained", params={"claim": key})
                assert answer.status_code == 200, (key, answer.text)
                why = answer.json()
                assert words in ("", why["says"]), key
                assert why["sums"] and (why["readings"] or key.startswith("cause:")), key
                kinds.add(key.split(":")[0].split("|")[0])
            # So do the perception map and each lever that was tried on it.
            seen = client.get(f"/api/lessons/{lesson}/map").json()
            tried = {it["lever"]: it["measured"] for it in seen["words"]["effects"] if it["tried"]}
            for key, words in tried.items() | ({("map", seen["words"]["headline"])} if seen["places"] else set()):
                why = client.get(f"/api/lessons/{lesson}/map/explained", params={"claim": key}).json()
                assert why["says"].startswith(words) and why["sums"] and why["readings"], (key, why)
                kinds.add("map" if key == "map" else "lever")
    engine.dispose()
    assert over_kinds >= {"line", "share", "expected"} and schools
    assert kinds >= {"cause", "pair", "start", "face", "finishes", "map", "lever"}
