"""What to mind, asked where it is told: of a lesson as it stands, of what it found, of a golfer, of a record."""

import uuid6

from libella.words.keep.caution import CAUTIONS
from tests.api.change.test_changes import aimed_right
from tests.conftest import now


def told(coach, **query):
    return coach.get("/cautions", **query)["cautions"]


def test_a_lesson_says_what_its_place_its_rig_and_its_golfer_call_for_and_nothing_else(coach):
    golfer = coach.golfer(limits=["neck"])["id"]
    inside = coach.lesson(golfer)["id"]
    assert told(coach, at="lesson", lesson=inside) == [CAUTIONS["pain"]]
    outside = coach.lesson(golfer, surface="green", conditions="after rain")["id"]
    coach.station(outside, "peg_gate")
    found = told(coach, at="lesson", lesson=outside)
    for code in ("weather", "cups_edge", "holes_mended", "beyond_the_hole"):
        assert CAUTIONS[code] in found, code
    assert CAUTIONS["wet_mat"] not in found and CAUTIONS["laser_class"] not in found
    wet = coach.lesson(golfer, conditions="wet from the rain")["id"]
    assert CAUTIONS["wet_mat"] in told(coach, at="lesson", lesson=wet)


def test_what_several_golfers_hold_is_wiped_from_the_second_golfer_of_the_day_on(coach):
    lessons = []
    for name in ("First", "Second"):
        lesson = coach.lesson(coach.golfer(name)["id"])["id"]
        coach.station(lesson, "no_rig", aids=[{"kind": "ground_mirror", "sizes": {}}])
        lessons.append(CAUTIONS["shared_kit"] in told(coach, at="lesson", lesson=lesson))
    assert lessons == [False, True]


def test_what_was_found_and_what_is_taken_home_calls_for_its_own(coach):
    golfer = coach.golfer(glasses="varifocal", limits=["tremor"])["id"]
    lesson, _ = aimed_right(coach, golfer)
    judged = told(coach, at="judged", lesson=lesson.id)
    assert CAUTIONS["eye_professional"] in judged and CAUTIONS["tremor"] in judged
    # What is laid is told where it is laid.
    assert CAUTIONS["beyond_the_hole"] not in judged
    sheet = coach.get(f"/lessons/{lesson.id}/summary")["cautions"]
    assert CAUTIONS["opinion"] in sheet and CAUTIONS["no_laser_at_home"] not in sheet
    assert not {CAUTIONS[it] for it in ("straighten_up", "beyond_the_hole")} & {*sheet}
    for at, code in (
        ("drill", "straighten_up"),
        ("round", "rules_of_play"),
        ("kit", "rules_of_play"),
        ("photo", "filming"),
    ):
        assert CAUTIONS[code] in told(coach, at=at)
    coach.get("/cautions", 404, at="lesson", lesson=str(uuid6.uuid7()))
    coach.get("/cautions", 422, at="nowhere")


def test_a_drill_and_a_card_say_theirs(coach, client):
    drills = {it["code"]: it["mind"] for it in coach.get("/drills")}
    assert CAUTIONS["one_foot"] in drills["lead_foot"] and CAUTIONS["one_foot"] not in drills["lids"]
    lesson = coach.lesson()["id"]
    coach.put(f"/set-ups/{uuid6.uuid7()}", lesson_id=lesson, values={"stance_m": 0.3}, taken_at=now())
    card = coach.put(f"/set-up-cards/{uuid6.uuid7()}", lesson_id=lesson, kept_at=now())["id"]
    printed = client.get(f"/api/set-up-cards/{card}/print", params={"form": "svg"}).text
    assert "every eight minutes" in printed and "ten minutes" not in printed


def test_a_minors_guardian_is_asked_of_a_minor_alone_and_wet_grass_where_it_is_wet(coach):
    golfer = coach.golfer()["id"]
    assert CAUTIONS["minors"] not in coach.get("/cautions", at="golfer", golfer=golfer)["cautions"]
    answer = {"golfer_id": golfer, "asks": "keeping", "given": True, "by": "guardian", "said_at": now()}
    coach.put(f"/consents/{uuid6.uuid7()}", **answer)
    assert CAUTIONS["minors"] in coach.get("/cautions", at="golfer", golfer=golfer)["cautions"]
    for conditions, wet in (("dew in the morning", True), ("dry", False)):
        lesson = coach.lesson(golfer, surface="green", conditions=conditions)["id"]
        assert (CAUTIONS["wet_green"] in told(coach, at="lesson", lesson=lesson)) == wet
