"""The golfer's line: blocks of several lessons pooled by link and condition, and what a noted change came to."""

import re
from datetime import UTC, datetime, timedelta

import pytest
import uuid6


def when(days):
    return (datetime.now(UTC) - timedelta(days=days)).isoformat()


def putted(coach, golfer, days, offset_m, **more):
    lesson = coach.put(
        f"/lessons/{uuid6.uuid7()}", golfer_id=golfer["id"], place="Floor", green_speed_ft=10, started_at=when(days)
    )
    block = coach.block(lesson=lesson, started_at=when(days), planned=6, **more)
    for n in range(6):
        coach.putt(block["id"], {"offset_m": offset_m + 0.005 * (n % 3 - 1)}, taken_at=when(days))
    return block


def test_lessons_are_pooled_and_conditions_are_lines_of_their_own(coach):
    golfer = coach.golfer()
    assert coach.get(f"/golfers/{golfer['id']}/line") == {
        "lines": [],
        "shares": [],
        "changes": [],
        "joins": [],
        "aside": "",
    }
    for days in (28, 21, 14):
        putted(coach, golfer, days, 0.02)
    putted(coach, golfer, 14, -0.03, guided=True)
    found = coach.get(f"/golfers/{golfer['id']}/line")["lines"]
    assert [(it["link"], it["guided"]) for it in found] == [("start", False), ("start", True)]
    blind, guided = found
    assert blind["vial"]["bubble_low"] > 0 > guided["vial"]["bubble_high"]
    # What the next lesson is planned for: the spread with nothing in view.
    now = coach.get(f"/golfers/{golfer['id']}/line-now")
    assert 0.2 <= now["spread_deg"] <= 2.0 and now["vial"] == blind["vial"] and "from 3 blocks" in now["short"]
    other = coach.golfer("Nobody")
    assert coach.get(f"/golfers/{other['id']}/line-now") == {"vial": None, "words": "", "short": "", "spread_deg": None}
    assert "3 blocks in 3 lessons" in blind["words"] and blind["path"] and guided["path"] is None


def test_a_noted_change_is_told_and_taken_back(coach):
    golfer = coach.golfer()
    for days in (42, 35, 28):
        putted(coach, golfer, days, -0.02)
    id = str(uuid6.uuid7())
    body = {"golfer_id": golfer["id"], "words": "new putter", "made_at": when(24)}
    assert coach.put(f"/changes/{id}", **body) == coach.put(f"/changes/{id}", **body)
    for days in (21, 14):
        putted(coach, golfer, days, 0.03)
    [line] = coach.get(f"/golfers/{golfer['id']}/line")["lines"]
    [said] = line["steps"]
    assert "new putter" in said and "further right" in said
    coach.put(f"/changes/{id}/voided", voided=True)
    told = coach.get(f"/golfers/{golfer['id']}/line")
    assert told["changes"] == [] and told["lines"][0]["steps"] == []
    coach.put(f"/changes/{uuid6.uuid7()}", 404, **body | {"golfer_id": str(uuid6.uuid7())})


def test_two_lines_are_set_beside_each_other_and_pooled_where_the_coach_says_so(coach):
    golfer = coach.golfer()
    for days in (28, 21, 14):
        putted(coach, golfer, days, 0.03)
        putted(coach, golfer, days, -0.03, condition="anything", factors={"set_up": "wide base"})
    address = f"/golfers/{golfer['id']}"
    usual, wide = (it["key"] for it in sorted(coach.get(f"{address}/line")["lines"], key=lambda it: it["key"]))
    said = coach.get(f"{address}/lines-beside", first=usual, second=wide)
    assert "further left, clear" in said["words"] and said["word"] == "clear"
    assert said["more"] == ""
    assert [name.split(", ")[1] for name in said["names"]] == ["as usual", "wide base"]
    assert coach.get(f"{address}/lines-beside", first=wide, second=usual)["words"].count("further right, clear") == 1
    why = coach.get(f"{address}/lines-beside/explained", first=usual, second=wide)
    assert why["says"] == said["words"] and len(why["readings"]) == 6 and len(why["sums"]) >= 4
    assert len({it["lesson"] for it in why["readings"]}) == 6 and all(it["step"] == "start" for it in why["readings"])
    # Its numbers give the difference: what lies between both lines is what is said to.
    ends = [float(re.search(r": (\d\.\d+)° (left|right),", it)[1]) for it in why["sums"][:2]]
    assert float(re.search(r"(\d\.\d+)°", why["sums"][2])[1]) == pytest.approx(sum(ends), abs=0.06)
    for first, second, status in ((usual, usual, 409), (usual, "face|", 404), (usual, "nothing", 404)):
        coach.get(f"{address}/lines-beside", status, first=first, second=second)
        coach.get(f"{address}/lines-beside/explained", status, first=first, second=second)

    id = str(uuid6.uuid7())
    body = {"golfer_id": golfer["id"], "first": usual, "second": wide, "made_at": when(1)}
    assert coach.put(f"/line-joins/{id}", **body) == coach.put(f"/line-joins/{id}", **body)
    told = coach.get(f"{address}/line")
    [line], [join] = told["lines"], told["joins"]
    assert "6 blocks in 6 lessons" in line["words"] and join["id"] == id
    assert "as usual" in line["name"] and "wide base" in line["name"]
    coach.put(f"/line-joins/{uuid6.uuid7()}", 409, **body | {"second": "face|"})
    coach.put(f"/line-joins/{id}/voided", voided=True)
    assert len(coach.get(f"{address}/line")["lines"]) == 2 and coach.get(f"{address}/line")["joins"] == []


def test_the_eyes_are_a_line_too_in_the_coachs_units(coach):
    golfer = coach.golfer()
    for days in (28, 14):
        lesson = coach.put(
            f"/lessons/{uuid6.uuid7()}", golfer_id=golfer["id"], place="Floor", green_speed_ft=10, started_at=when(days)
        )
        for inside in (0.048, 0.052, 0.05):
            eyes = {"inside_m": inside, "behind_m": 0.01}, {"inside_m": inside, "behind_m": 0.07}
            look = {"way": "plumb", "lead": eyes[0], "trail": eyes[1], "lesson_id": lesson["id"]}
            coach.put(f"/eye-takes/{uuid6.uuid7()}", taken_at=when(days), **look)
    line, *others = coach.get(f"/golfers/{golfer['id']}/line")["lines"]
    assert (line["link"], line["vial"]["unit"]) == ("eyes_inside", "mm")
    assert {it["link"] for it in others} == {"eyes_behind", "eye_line"}
    assert line["words"].startswith("50 mm inside now") and "6 looks in 2 lessons" in line["words"]
    assert " in inside now" in coach.get(f"/golfers/{golfer['id']}/line", units="feet")["lines"][0]["words"]


def test_what_feels_straight_is_followed_over_lessons(coach):
    golfer = coach.golfer()
    for days in (21, 7):
        lesson = coach.put(
            f"/lessons/{uuid6.uuid7()}", golfer_id=golfer["id"], place="Floor", green_speed_ft=10, started_at=when(days)
        )
        block = coach.block(lesson=lesson, started_at=when(days), planned=12, asks=["felt"])
        # To this golfer a start of about 1.7° right feels straight.
        for offset in (-0.03, 0.0, 0.01, 0.03, 0.035, 0.05, 0.06, 0.03, 0.0, 0.065, 0.03, -0.01):
            felt = "left" if offset < 0.02 else "right" if offset > 0.04 else "straight"
            coach.putt(block["id"], {"offset_m": offset}, taken_at=when(days), notes={"felt": felt})
    lines = {it["link"]: it for it in coach.get(f"/golfers/{golfer['id']}/line")["lines"]}
    felt = lines["feels_straight"]
    assert set(lines) == {"start", "feels_straight"} and felt["name"].startswith("What feels straight")
    assert felt["vial"]["bubble_low"] > 0.5 and felt["path"]


def test_who_putts_next_is_offered_by_who_was_seen_last(coach):
    first, second = coach.golfer("Anna"), coach.golfer("Zora")
    coach.golfer("Mila")
    coach.lesson(first["id"], started_at=when(2))
    coach.lesson(second["id"], started_at=when(1))
    names = [it["name"] for it in coach.get("/golfers-seen-last")]
    assert names.index("Mila") < names.index("Zora") < names.index("Anna"), "one just noted is who is new here"
    assert [it["name"] for it in coach.get("/golfers-seen-last", q="mil")] == ["Mila"]


def test_what_can_not_be_said_finer_in_a_lesson_is_not_said_finer_of_the_golfer(coach):
    golfer = coach.golfer()
    lesson = coach.lesson(golfer["id"])
    station = coach.station(lesson["id"], "no_rig", aids=[{"kind": "putter_gate", "sizes": {}}])
    told = {"station_id": station["id"], "condition": "as usual", "guided": False, "planned": 6, "started_at": when(0)}
    block = coach.put(f"/blocks/{uuid6.uuid7()}", **told, asks=["aid:putter_gate"])
    for _ in range(6):
        coach.putt(block["id"], {"start": "not_watched"}, notes={"aid:putter_gate": "clean"})
    read = coach.get(f"/lessons/{lesson['id']}/findings")["read"]
    [here] = [it["words"] for it in read if it["quantity"] == "strike"]
    [line] = [it["words"] for it in coach.get(f"/golfers/{golfer['id']}/line")["lines"] if it["link"] == "strike"]
    assert here.startswith("All 6 within ± 10 mm") and "can't say it finer" in here
    assert line.startswith("All within ± 10 mm") and "can't say it finer" in line and "spread" not in line
