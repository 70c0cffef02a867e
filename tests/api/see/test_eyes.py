"""Eyes through the API: looks kept, corrected, voided, judged against the golfer's own zone, refused."""

import pytest
import uuid6

from ...conftest import now


def look(inside=0.03, behind=0.02, **more):
    eyes = {
        "lead": {"inside_m": inside, "behind_m": behind - 0.032},
        "trail": {"inside_m": inside, "behind_m": behind + 0.032},
    }
    return eyes | more


def keep(coach, lesson, status=(200, 201), id=None, **more):
    body = look(**more) | {"lesson_id": lesson["id"], "taken_at": now()}
    return coach.put(f"/eye-takes/{id or uuid6.uuid7()}", status, **body)


def test_looks_are_kept_corrected_and_judged_against_the_zone(coach):
    lesson = coach.lesson()
    sheet = coach.get(f"/lessons/{lesson['id']}/eyes")
    # No school is picked for a golfer: until one is chosen there is a place, and no zone.
    assert sheet["words"] == ["Nobody looked yet."] and (sheet["school"], sheet["zone_mm"]) == ("", None)
    coach.put(f"/golfers/{lesson['golfer_id']}/schools/eyes", school="inside")
    for inside in (0.012, 0.016, 0.014):
        sheet = keep(coach, lesson, inside=inside, falls_in_percent=1.0, eye_height_m=1.45)
    # 14 mm shown, and the mirror falls 1 % to the golfer: 28.5 mm in truth.
    assert sheet["found"]["inside"]["value"] == pytest.approx(28.5, abs=1)
    assert "inside the line" in sheet["words"][0] and "in it" in sheet["words"][-1]
    assert (sheet["vial"]["mark_left"], sheet["vial"]["mark_right"]) == (5, 40)
    again = coach.get(f"/lessons/{lesson['id']}/eyes")
    assert again == sheet

    coach.put(f"/golfers/{lesson['golfer_id']}/schools/eyes", school="over")
    coach.put(f"/golfers/{lesson['golfer_id']}/eyes", zone_mm=[-5, 5])
    over = coach.get(f"/lessons/{lesson['id']}/eyes")
    assert over["zone_mm"] == [-5, 5] and "too far in, clear" in over["words"][-1]
    coach.put(f"/golfers/{lesson['golfer_id']}/schools/eyes", school="own")
    assert coach.get(f"/lessons/{lesson['id']}/eyes")["found"]["in_zone"] is None


def test_a_look_said_twice_is_one_and_one_that_was_wrong_is_voided(coach):
    lesson, id = coach.lesson(), str(uuid6.uuid7())
    body = look() | {"lesson_id": lesson["id"], "taken_at": now()}
    coach.put(f"/eye-takes/{id}", **body)
    assert coach.put(f"/eye-takes/{id}", **body)["found"]["takes"] == 1
    coach.put(f"/eye-takes/{id}", 409, **body | look(inside=0.05))
    voided = coach.put(f"/eye-takes/{id}/voided", voided=True)
    assert voided["found"] is None and voided["takes"][0]["voided"]
    assert coach.put(f"/eye-takes/{id}/voided", voided=False)["found"]["takes"] == 1


@pytest.mark.parametrize(
    ("more", "field", "unit"),
    [
        ({"falls_in_percent": 12}, "falls_in_percent", "%"),
        ({"eye_height_m": 3}, "eye_height_m", "m"),
        ({"trail": {"inside_m": 0.03, "behind_m": 0.2}}, "trail", "m"),
        ({"trail": {"inside_m": 0.03, "behind_m": -0.02}}, "lead.behind_m", "m"),
    ],
)
def test_what_can_not_be_is_refused_with_field_limit_and_unit(coach, more, field, unit):
    body = look() | {"lesson_id": coach.lesson()["id"], "taken_at": now()} | more
    if field == "lead.behind_m":
        body["lead"] = {"inside_m": 0.03, "behind_m": 0.02}
    [found] = coach.put(f"/eye-takes/{uuid6.uuid7()}", 422, **body)["errors"]
    assert (found["field"], found["unit"]) == (field, unit) and found["limit"]


def test_a_zone_the_wrong_way_round_is_refused(coach):
    golfer = coach.golfer()
    for zone, field in (([50, 10], "zone_mm.1"), ([10, 10], "zone_mm.1"), ([-400, 10], "zone_mm.0")):
        refused = coach.put(f"/golfers/{golfer['id']}/eyes", 422, zone_mm=zone)
        assert refused["errors"][0]["field"] == field


def test_an_ended_lesson_takes_no_look(coach):
    lesson = coach.lesson()
    coach.put(f"/lessons/{lesson['id']}/end", ended_at=now())
    keep(coach, lesson, status=409)


def test_looks_before_and_after_a_move_are_told_apart_and_stand_side_by_side(coach):
    lesson = coach.lesson()
    for inside in (0.0, 0.002, -0.002):
        keep(coach, lesson, inside=inside)
    for inside in (0.038, 0.04, 0.042):
        sheet = keep(coach, lesson, inside=inside, set_up="closer")
    assert [(it["name"], it["takes"]) for it in sheet["set_ups"]] == [("", 3), ("closer", 3)]
    assert sheet["set_up"] == "closer" and sheet["found"]["inside"]["value"] == pytest.approx(40, abs=3)
    # Each by itself: nothing wanders by what was moved on purpose.
    assert sheet["found"]["wander"]["value"] < 10
    assert sheet["set_ups"][0]["moved"] == "" and "further in than “as usual”" in sheet["set_ups"][1]["moved"]
    first = sheet["takes"][0]["id"]
    body = look() | {"lesson_id": lesson["id"], "taken_at": now(), "set_up": "closer", "reread_of": first}
    coach.put(f"/eye-takes/{uuid6.uuid7()}", 409, **body)
    coach.put(f"/lessons/{lesson['id']}/end", ended_at=now())


def test_a_look_is_read_with_the_sizes_as_laid_and_as_looked_last(coach):
    lesson = coach.lesson()
    string = {"kind": "elevated_string", "sizes": {"string_height_m": 0.2, "lean_deg": 1.5, "eye_height_m": 1.6}}
    coach.station(lesson["id"], "peg_gate", aids=[string])
    sizes = coach.get(f"/lessons/{lesson['id']}/eyes")["sizes"]
    assert (sizes["string_height_m"], sizes["lean_deg"], sizes["eye_height_m"]) == (0.2, 1.5, 1.6)
    keep(coach, lesson, falls_in_percent=0.8, eye_height_m=1.38)
    sizes = coach.get(f"/lessons/{lesson['id']}/eyes")["sizes"]
    assert (sizes["falls_in_percent"], sizes["eye_height_m"]) == (0.8, 1.38)
    # The mirror lies elsewhere next time; the golfer's eyes are where they were.
    later = coach.lesson(lesson["golfer_id"])
    sizes = coach.get(f"/lessons/{later['id']}/eyes")["sizes"]
    assert (sizes["falls_in_percent"], sizes["eye_height_m"]) == (0.0, 1.38)


def test_an_upright_string_is_warned_of_where_these_eyes_need_it_leant(coach):
    lesson = coach.lesson()
    string = {"kind": "elevated_string", "sizes": {}}
    station = coach.station(lesson["id"], "peg_gate", aids=[string])
    body = {"distance_m": 2.5, "past_m": 0.3, "green_speed_ft": 10, "rig_kind": "peg_gate", "lesson_id": lesson["id"]}

    def seen(lean):
        aids = [string | {"sizes": {"lean_deg": lean}}]
        return coach.client.post("/api/stations/preview", json=body | {"aids": aids}).json()["string"]

    assert station["aids"] and seen(0.0) is None, "nobody's eyes were measured"
    for inside in (0.049, 0.05, 0.051):
        keep(coach, lesson, inside=inside)
    told = seen(0.0)
    assert "wrong picture" in told["words"] and told["offer"].startswith("Lean the posts") and told["lean_deg"] > 0
    assert seen(told["lean_deg"]) is None
    assert seen(-told["lean_deg"])["lean_deg"] == told["lean_deg"]


def test_the_run_sheet_does_not_deny_eyes_that_were_marked(coach):
    """It said "Nothing asked yet." of a lesson in which the eyes were marked three times."""
    lesson = coach.lesson()
    assert coach.get(f"/lessons/{lesson['id']}")["sight"] == "Nothing asked yet."
    sheet = keep(coach, lesson, inside=0.02)
    told = coach.get(f"/lessons/{lesson['id']}")["sight"]
    assert told == sheet["words"][0] and "20 mm inside the line" in told


def test_eyes_told_one_way_alone_are_kept_and_judged_as_far_as_they_tell(coach):
    lesson = coach.lesson()

    def told(told, size_m=None, status=(200, 201), **more):
        body = {"lesson_id": lesson["id"], "taken_at": now(), "way": "mirror", "told": told, "size_m": size_m}
        return coach.put(f"/eye-looks/{uuid6.uuid7()}", status, **body | more)

    [refused] = told("inside", 0.4, 422)["errors"]
    assert (refused["field"], refused["unit"]) == ("size_m", "m") and "300 mm" in refused["limit"]
    told("inside", 0.027, set_up="head lower")
    for _ in range(3):
        sheet = told("outside")
    assert sheet["found"]["behind"] is None and sheet["takes"][-1]["high_mm"] == -5
    assert sheet["words"][0] == "Eyes outside the line in 3 of 3 looks; how far was not read."
    assert sheet["vial"]["bubble_at"] is None
    sheet = told("behind", 0.03, set_up="ball back", way="plumb")
    assert sheet["takes"][-1]["along"] == "behind" and sheet["words"][1] == "30 mm behind the ball's centre."
    assert coach.get(f"/lessons/{lesson['id']}/map")["scene"]
    told = str(coach.get(f"/lessons/{lesson['id']}/findings"))
    assert "Outside in 3 looks; how far was not read." in told and "it lies further" not in told, told
