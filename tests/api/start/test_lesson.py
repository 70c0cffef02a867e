"""A lesson through the API, on real PostgreSQL: recorded, voided, restored, judged, found again."""

import threading

import pytest
import uuid6
from sqlalchemy import text

from libella.core.instruments import lay
from libella.core.measure.interval import Interval
from libella.lessons.lesson.lessons import blocks_of

from ...conftest import now

CLEAN = {"crossing": "clean"}
RIGHT = {"offset_m": 0.02}


def test_a_lesson_from_golfer_to_verdict(coach):
    golfer = coach.golfer("Ada Longname", hand="left", notes="grips low")
    lesson = coach.lesson(golfer["id"], surface="carpet", conditions="lights dimmed")
    block = coach.block(lesson=lesson, planned=5)
    for n in range(5):
        assert not coach.judged(block["id"])["judgement"]["final"], n
        coach.putt(block["id"], {"offset_m": 0.03})
    judged = coach.judged(block["id"])
    assert judged["judgement"]["verdict"]["word"] == "clear"
    assert judged["judgement"]["verdict"]["side"] == "right"
    assert "pull" in judged["judgement"]["meaning"]
    assert len(judged["rays"]["shapes"]) > 5
    assert [it["words"] for it in judged["block"]["readings"]] == ["30 mm right"] * 5
    sheet = coach.get(f"/lessons/{lesson['id']}")
    assert sheet["golfer"]["name"] == "Ada Longname"
    assert [it["headline"] for it in sheet["blocks"]] == [judged["judgement"]["headline"]]
    assert coach.get("/today")["lessons"][0]["lesson"]["id"] == lesson["id"]
    [found] = coach.get("/golfers", q="longN")["items"]
    assert found["last"]["block"]["putts"] == 5
    [taught] = coach.get(f"/golfers/{golfer['id']}/lessons")["items"]
    assert taught["blocks"][0]["vial"]["settled"]


def test_the_same_reading_said_twice_is_one_reading(coach):
    block = coach.block()
    id, at = str(uuid6.uuid7()), now()
    first = coach.client.put(f"/api/readings/{id}", json={"block_id": block["id"], "raw": RIGHT, "taken_at": at})
    again = coach.client.put(f"/api/readings/{id}", json={"block_id": block["id"], "raw": RIGHT, "taken_at": at})
    assert (first.status_code, again.status_code) == (201, 200)
    assert first.json() == again.json()
    assert coach.judged(block["id"])["judgement"]["putts"] == 1


@pytest.mark.parametrize("change", [{"raw": {"offset_m": 0.025}}, {"taken_at": "2026-01-01T00:00:00Z"}])
def test_the_same_id_with_another_body_is_a_conflict_and_changes_nothing(coach, change):
    block = coach.block()
    kept = coach.putt(block["id"], RIGHT)
    said = coach.putt(block["id"], **{"raw": RIGHT, "taken_at": kept["taken_at"]} | change, id=kept["id"], status=409)
    assert said["remedy"]
    [line] = coach.judged(block["id"])["block"]["readings"]
    assert (line["raw"], line["taken_at"]) == (kept["raw"], kept["taken_at"])


def test_ten_that_say_the_same_at_once_add_one(coach):
    block = coach.block()
    id, at = str(uuid6.uuid7()), now()
    answers = []

    def say():
        body = {"block_id": block["id"], "raw": RIGHT, "taken_at": at}
        answers.append(coach.client.put(f"/api/readings/{id}", json=body).status_code)

    threads = [threading.Thread(target=say) for _ in range(10)]
    for it in threads:
        it.start()
    for it in threads:
        it.join()
    assert sorted(answers) == [200] * 9 + [201]
    assert coach.judged(block["id"])["judgement"]["putts"] == 1


def test_a_plan_is_never_overrun_by_putts_that_arrive_at_once(coach):
    block = coach.block(planned=3)
    answers = []

    def say():
        body = {"block_id": block["id"], "raw": RIGHT, "taken_at": now()}
        answers.append(coach.client.put(f"/api/readings/{uuid6.uuid7()}", json=body).status_code)

    threads = [threading.Thread(target=say) for _ in range(8)]
    for it in threads:
        it.start()
    for it in threads:
        it.join()
    assert sorted(answers) == [201] * 3 + [409] * 5


def test_void_and_restore_keep_the_raw_reading_and_the_history(coach, engine):
    block = coach.block()
    kept = coach.putt(block["id"], RIGHT)
    path = f"/readings/{kept['id']}/voided"
    assert coach.put(path, reason="talked through")["void_reason"] == "talked through"
    assert coach.judged(block["id"])["judgement"]["putts"] == 0
    back = coach.put(path, voided=False)
    assert not back["voided"] and back["raw"] == kept["raw"]
    assert coach.judged(block["id"])["judgement"]["putts"] == 1
    with engine.connect() as connection:
        marks = connection.execute(text("select voided, reason from reading_mark order by id")).all()
    assert marks == [(True, "talked through"), (False, None)]


def test_a_number_between_the_marks_is_refused_unless_it_is_said_to_be_typed(coach):
    block = coach.block()
    refused = coach.putt(block["id"], {"offset_m": 0.0213}, status=422)["errors"][0]
    assert refused["field"] == "raw.offset_m" and "20 mm or 25 mm" in refused["limit"]
    typed = coach.putt(block["id"], {"offset_m": 0.0213, "typed": 1})
    # Known to half a mark, wherever it lies.
    marked = coach.putt(block["id"], RIGHT)
    assert typed["high_deg"] - typed["low_deg"] == pytest.approx(marked["high_deg"] - marked["low_deg"], rel=0.02)
    [line, _] = coach.get(f"/lessons/{block['lesson_id']}")["blocks"][0]["readings"]
    assert line["words"] == "21.3 mm right, as typed"


def test_nothing_with_a_reason_to_give_is_voided_without_one(coach):
    block = coach.block()
    putt = coach.putt(block["id"], RIGHT)
    for thing in (f"/readings/{putt['id']}", f"/lessons/{block['lesson_id']}"):
        assert coach.put(f"{thing}/voided", 422)["errors"][0]["field"] == "reason"


def test_a_voided_putt_makes_room_in_the_plan(coach):
    block = coach.block(planned=3)
    ids = [coach.putt(block["id"], RIGHT)["id"] for _ in range(3)]
    assert "Extend" in coach.putt(block["id"], RIGHT, status=409)["remedy"]
    coach.put(f"/readings/{ids[0]}/voided", reason="debris")
    coach.putt(block["id"], RIGHT)


def test_a_plan_grows_but_is_not_cut_short(coach):
    block = coach.block(planned=5)
    assert coach.put(f"/blocks/{block['id']}/plan", planned=8)["planned"] == 8
    coach.put(f"/blocks/{block['id']}/plan", 409, planned=6)
    coach.put(f"/blocks/{block['id']}/plan", 422, planned=900)
    # The word that started it, said again by a retry, is still the same word.
    again = {"station_id": block["station_id"], "condition": "as usual", "guided": False, "planned": 5}
    assert coach.put(f"/blocks/{block['id']}", started_at=now(), **again)["planned"] == 8


def test_recomputing_from_raw_gives_the_stored_interval(coach, desk):
    for kind in ("board", "peg_gate", "ball_gate"):
        block = coach.block(kind=kind, planned=200)
        for zone in coach.get(f"/blocks/{block['id']}/entry")["zones"]:
            coach.putt(block["id"], zone["raw"])
        [sheet] = blocks_of(desk, [block["lesson_id"]])
        rig = lay(sheet.block.rig_kind, sheet.block.rig_sizes_m)
        assert len(sheet.readings) > 4
        for it in sheet.readings:
            assert rig.interval(it.raw) == Interval.of(it.low_deg, it.high_deg)


def test_a_block_keeps_the_rig_as_it_stood(coach):
    lesson = coach.lesson()
    station = coach.station(lesson["id"], "peg_gate", {"inside_width_m": 0.06})
    body = {"distance_m": 2.5, "past_m": 0.3, "green_speed_ft": 10, "rig_kind": "peg_gate", "lesson_id": lesson["id"]}
    path = f"/stations/{station['id']}"
    changed = coach.put(path, **body, rig_sizes_m={"inside_width_m": 0.07}, laid_at=now())
    assert changed["rig_sizes_m"]["inside_width_m"] == 0.07
    block = {"station_id": station["id"], "condition": "x", "guided": True, "planned": 5, "started_at": now()}
    coach.put(f"/blocks/{uuid6.uuid7()}", **block)
    coach.put(path, 409, **body, rig_sizes_m={"inside_width_m": 0.08}, laid_at=now())


def test_nothing_is_recorded_in_a_voided_or_ended_lesson_but_late_putts_arrive(coach):
    block = coach.block()
    lesson = f"/lessons/{block['lesson_id']}"
    before = now()
    assert "before it started" in coach.put(f"{lesson}/end", 409, ended_at="2026-01-01T10:00:00Z")["detail"]
    coach.put(f"{lesson}/end", ended_at=now())
    assert "ended" in coach.putt(block["id"], RIGHT, status=409)["detail"]
    coach.putt(block["id"], RIGHT, taken_at=before)
    coach.drop(f"{lesson}/end")
    coach.putt(block["id"], RIGHT)
    coach.put(f"{lesson}/voided", reason="wrong golfer")
    assert "voided" in coach.putt(block["id"], RIGHT, status=409)["detail"]
    assert coach.get("/today")["lessons"] == []
    coach.put(f"{lesson}/voided", voided=False)
    coach.putt(block["id"], RIGHT)


def test_foreign_things_are_not_found(coach, client):
    lost = uuid6.uuid7()
    coach.putt(str(lost), RIGHT, status=404)
    coach.put(f"/readings/{lost}/voided", 404, reason="x")
    coach.get(f"/lessons/{lost}", 404)
    coach.put(
        f"/blocks/{uuid6.uuid7()}", 404, station_id=str(lost), condition="x", guided=False, planned=5, started_at=now()
    )
    assert client.get("/api/nothing").status_code == 404


def test_a_lesson_stays_with_its_golfer(coach):
    lesson = coach.lesson()
    other = coach.golfer("Other")
    body = {"golfer_id": other["id"], "place": "x", "green_speed_ft": 10, "started_at": lesson["started_at"]}
    coach.put(f"/lessons/{lesson['id']}", 409, **body)
    body["golfer_id"] = lesson["golfer_id"]
    assert coach.put(f"/lessons/{lesson['id']}", **body)["place"] == "x"


def test_golfers_come_in_pages_and_are_found_by_any_part_of_the_name(coach):
    for n in range(23):
        coach.golfer(f"Golfer {n:02}%_")
    first = coach.get("/golfers")
    second = coach.get("/golfers", after=first["next"])
    names = [it["golfer"]["name"] for it in first["items"] + second["items"]]
    assert names == sorted(names) and len(set(names)) == 23 and second["next"] is None
    assert len(coach.get("/golfers", q="07%_")["items"]) == 1
    coach.get("/golfers", 422, after="bm90IG91cnM")


def test_lessons_come_newest_first_in_pages(coach):
    golfer = coach.golfer()
    for n in range(15):
        coach.lesson(golfer["id"], started_at=f"2026-03-{n + 1:02}T10:00:00Z")
    first = coach.get(f"/golfers/{golfer['id']}/lessons")
    second = coach.get(f"/golfers/{golfer['id']}/lessons", after=first["next"])
    days = [it["lesson"]["started_at"] for it in first["items"] + second["items"]]
    assert days == sorted(days, reverse=True) and len(days) == 15


def test_lessons_in_progress_come_in_pages_so_that_none_left_open_is_lost(coach):
    golfer = coach.golfer()
    begun = [coach.lesson(golfer["id"], started_at=f"2026-03-{n // 2 + 1:02}T10:00:00Z")["id"] for n in range(15)]
    coach.put(f"/lessons/{begun[3]}/end", ended_at="2026-03-30T10:00:00Z")
    first = coach.get("/today")
    second = coach.get("/today", after=first["next"])
    pages = [it["lesson"] for it in first["lessons"] + second["lessons"]]
    days = [it["started_at"] for it in pages]
    assert days == sorted(days, reverse=True) and second["next"] is None
    assert {it["id"] for it in pages} == set(begun) - {begun[3]} and len(pages) == 14


def test_a_golfer_is_changed_in_place(coach):
    golfer = coach.golfer("Before")
    coach.put(f"/golfers/{golfer['id']}", name="  After ", hand="left", level="elite", notes="n")
    kept = coach.get(f"/golfers/{golfer['id']}")
    assert (kept["name"], kept["hand"], kept["level"], kept["notes"]) == ("After", "left", "elite", "n")


def test_a_preview_speaks_the_coachs_units_and_keeps_nothing(coach, client, engine):
    body = {
        "distance_m": 2.5,
        "past_m": 0.3,
        "green_speed_ft": 10,
        "rig_kind": "board",
        "rig_sizes_m": {"mark_m": 0.05},
    }
    said = client.post("/api/stations/preview?units=feet", json=body).json()
    assert "ft" in said["words"] and "in" in said["allows"]
    assert said["sight"]["fit"] == "coarse" and said["sight"]["remedies"]
    with engine.connect() as connection:
        assert connection.scalar(text("select count(*) from station")) == 0


def test_further_putts_are_said_at_the_planned_end(coach):
    block = coach.block(kind="peg_gate", planned=3)
    assert coach.get(f"/blocks/{block['id']}/further")["words"] == ""
    for crossing in ("clean", "touched_right", "touched_left"):
        coach.putt(block["id"], {"crossing": crossing})
    assert "further putts" in coach.get(f"/blocks/{block['id']}/further")["words"]


def test_instruments_publish_their_form(coach):
    known = coach.get("/instruments")
    kinds = {it["about"]["kind"]: it for it in known}
    assert {"board", "peg_gate", "ball_gate"} <= set(kinds)
    for it in known:
        assert all(d["low"] < d["high"] and d["unit"] and d["label"] for d in it["dimensions"])


LEVELS = [{"azimuth_deg": a, "falls_percent": f} for a, f in ((0, -1.0), (90, 1.2), (45, 0.2))]


def test_a_breaking_putt_is_judged_against_its_start_target(coach, client):
    found = client.post("/api/green/slope", json={"readings": LEVELS}).json()
    assert "right of the line" in found["words"]
    slope = found["slope"]
    lesson = coach.lesson()
    falls = {"falls_forward_percent": slope["forward_percent"], "falls_right_percent": slope["right_percent"]}
    station = coach.station(lesson["id"], "board", **falls)
    assert station["falls_right_percent"] == slope["right_percent"]
    block = {"station_id": station["id"], "condition": "x", "guided": False, "planned": 3, "started_at": now()}
    id = coach.put(f"/blocks/{uuid6.uuid7()}", **block)["id"]
    kept = coach.putt(id, {"offset_m": 0.0})
    # On the zero mark, the ball had started left of its line: the fall to the right had brought it back.
    assert kept["high_deg"] < 0
    zone = next(it for it in coach.get(f"/blocks/{id}/entry")["zones"] if it["raw"] == {"offset_m": 0.0})
    assert (zone["low"], zone["high"]) == (kept["low_deg"], kept["high_deg"])


def test_an_unproved_line_is_marked_and_its_verdict_is_not_clear(coach):
    lesson = coach.lesson()
    station = coach.station(lesson["id"], proved=False)
    block = {"station_id": station["id"], "condition": "x", "guided": False, "planned": 8, "started_at": now()}
    id = coach.put(f"/blocks/{uuid6.uuid7()}", **block)["id"]
    for _ in range(8):
        coach.putt(id, {"offset_m": 0.05})
    judged = coach.judged(id)
    assert judged["judgement"]["verdict"]["word"] == "likely"
    assert not judged["block"]["proved"]


def test_the_drop_map_is_a_picture(client):
    body = {"distance_m": 3, "past_m": 0.3, "green_speed_ft": 10, "falls_right_percent": 1}
    scene = client.post("/api/green/drops", json=body).json()
    assert any(it["shape"] == "area" and len(it["points"]) > 20 for it in scene["shapes"])


def test_a_string_is_worked_out_for_the_golfers_eyes(client):
    body = {"eyes_inside_m": 0.04, "eye_height_m": 1.5, "string_height_m": 0.2}
    said = client.post("/api/instruments/string?units=feet", json=body).json()
    assert said["shift_inside_m"] == pytest.approx(0.004833, rel=1e-3)
    assert "in" in said["words"][0] and said["scene"]["shapes"]
    bad = client.post("/api/instruments/string", json=body | {"string_height_m": 3})
    assert bad.status_code == 422 and bad.json()["errors"][0]["field"] == "string_height_m"


def test_a_lasers_cautions_are_read_once_a_lesson_before_its_first_block(coach):
    lesson = coach.lesson()
    station = coach.station(lesson["id"], "ground_laser")
    block = {"station_id": station["id"], "condition": "x", "guided": True, "planned": 5, "started_at": now()}
    assert "Read them" in coach.put(f"/blocks/{uuid6.uuid7()}", 409, **block)["remedy"]
    read = coach.put(f"/lessons/{lesson['id']}/laser-cautions")["laser_read_at"]
    assert coach.put(f"/lessons/{lesson['id']}/laser-cautions")["laser_read_at"] == read
    id = coach.put(f"/blocks/{uuid6.uuid7()}", **block)["id"]
    # From then on nothing stands in the way of a putt, nor of another block.
    coach.putt(id, {"line_on": "left_quarter"})
    coach.put(f"/blocks/{uuid6.uuid7()}", **block)
    other = coach.lesson()
    station = coach.station(other["id"], "ground_laser")
    coach.put(f"/blocks/{uuid6.uuid7()}", 409, **block | {"station_id": station["id"]})


@pytest.mark.parametrize("kind", ["ground_laser", "chalk_line", "ground_string", "narrow_rail", "bridge_gate"])
def test_every_way_of_watching_the_start_is_recorded_and_judged(coach, kind):
    lesson = coach.lesson()
    coach.put(f"/lessons/{lesson['id']}/laser-cautions")
    block = coach.block(kind=kind, planned=30, lesson=lesson)
    zones = coach.get(f"/blocks/{block['id']}/entry")["zones"]
    for zone in zones:
        kept = coach.putt(block["id"], zone["raw"])
        assert (kept["low_deg"], kept["high_deg"]) == (zone["low"], zone["high"])
    judged = coach.judged(block["id"])
    assert [it["words"] for it in judged["block"]["readings"]] == [it["name"] for it in zones]
    # One putt to each place, left as often as right: no side.
    assert abs(judged["judgement"]["summary"]["bias"]["value"]) < 0.05


def test_a_gate_is_made_as_strict_as_wanted(client):
    body = {"distance_m": 2.5, "past_m": 0.3, "green_speed_ft": 10, "rig_kind": "peg_gate"}
    sizes = client.post("/api/stations/tune", json=body | {"limit_deg": 1.2}).json()
    seen = client.post("/api/stations/preview", json=body | {"rig_sizes_m": sizes}).json()
    assert seen["sight"]["narrowest_deg"] == pytest.approx(1.2, abs=0.01)
    refused = client.post("/api/stations/tune", json=body | {"limit_deg": 0.01})
    assert refused.status_code == 422 and "can't be had here" in refused.json()["detail"]
    assert client.post("/api/stations/tune", json=body | {"rig_kind": "board", "limit_deg": 1}).status_code == 422


def test_the_next_golfer_putts_at_the_same_station_in_a_lesson_of_their_own(coach):
    block = coach.block(planned=8, asks=["felt"], guided=True, condition="line up")
    coach.putt(block["id"], {"offset_m": 0.02}, notes={"felt": "left"})
    other = coach.golfer("Next Golfer", hand="left")
    body = {"from_block_id": block["id"], "golfer_id": other["id"], "started_at": now()}
    id = str(uuid6.uuid7())
    theirs = coach.put(f"/turns/{id}", **body)
    assert theirs["lesson_id"] != block["lesson_id"] and coach.put(f"/turns/{id}", **body) == theirs
    same = ("condition", "guided", "planned", "asks", "hole")
    assert [theirs[it] for it in same] == [block[it] for it in same]
    sheet = coach.get(f"/lessons/{theirs['lesson_id']}")
    assert sheet["golfer"]["id"] == other["id"] and sheet["stations"][0]["proved"], "the line was not moved"
    assert sheet["blocks"][0]["readings"] == []
    # Back again: into the lesson that stands open, on a plan of its own.
    again = coach.put(f"/turns/{uuid6.uuid7()}", **body | {"from_block_id": theirs["id"]})
    assert again["lesson_id"] == theirs["lesson_id"]
    coach.put(f"/turns/{uuid6.uuid7()}", 404, **body | {"golfer_id": str(uuid6.uuid7())})


def test_the_next_golfer_goes_on_in_a_lesson_that_is_open_here_and_in_no_other(coach):
    block = coach.block(planned=8)
    other = coach.golfer("Elsewhere Today")
    elsewhere = coach.lesson(other["id"], place="Another floor")
    ended = coach.lesson(other["id"])
    coach.put(f"/lessons/{ended['id']}/end", ended_at=now())
    body = {"from_block_id": block["id"], "golfer_id": other["id"], "started_at": now()}
    theirs = coach.put(f"/turns/{uuid6.uuid7()}", **body)
    assert theirs["lesson_id"] not in (elsewhere["id"], ended["id"])
    told = coach.get(f"/lessons/{theirs['lesson_id']}")["lesson"]
    assert told["place"] == "Test floor" and told["ended_at"] is None
    here = coach.golfer("Here Today")
    open_here = coach.lesson(here["id"])
    assert coach.put(f"/turns/{uuid6.uuid7()}", **body | {"golfer_id": here["id"]})["lesson_id"] == open_here["id"]


def test_the_hand_in_use_belongs_to_the_lesson(coach):
    golfer = coach.golfer("Other Side")
    first = coach.lesson(golfer["id"])
    block = coach.block(lesson=first, planned=8)
    for _ in range(8):
        coach.putt(block["id"], {"offset_m": 0.04})

    def told():
        return str(coach.judged(block["id"]))

    before = told()
    assert "push" in before
    coach.put(f"/lessons/{first['id']}/end", ended_at=now())
    mine = {"name": "Other Side", "level": "club"}
    refused = coach.put(f"/golfers/{golfer['id']}", 422, **mine, hand="left")
    assert refused["errors"][0]["field"] == "hand_from" and "next lesson" in refused["errors"][0]["limit"]
    assert coach.get(f"/golfers/{golfer['id']}")["hand"] == "right"
    coach.put(f"/golfers/{golfer['id']}", **mine, hand="left", hand_from="now")
    assert told() == before, "an ended lesson is as it was read"
    assert coach.get(f"/lessons/{first['id']}")["golfer"]["hand"] == "right"
    line = coach.get(f"/golfers/{golfer['id']}/line")
    assert line["lines"] == [] and line["aside"].startswith("1 lesson putted right-handed is not in it")
    second = coach.lesson(golfer["id"])
    assert coach.get(f"/lessons/{second['id']}")["golfer"]["hand"] == "left"
    beside = coach.get(f"/golfers/{golfer['id']}/line-now")
    assert beside["words"] == ""
    coach.put(f"/golfers/{golfer['id']}", **mine, hand="right", hand_from="next")
    assert coach.get(f"/lessons/{second['id']}")["golfer"]["hand"] == "left", "under way, and not said of it"
    coach.put(f"/golfers/{golfer['id']}", **mine, hand="left", hand_from="always")
    assert told() != before and "pull" in told()
    assert coach.get(f"/golfers/{golfer['id']}/line")["aside"] == ""
