"""Aim at address through the API: sets begun, read, voided, added up, refused."""

import pytest
import uuid6

from ...conftest import now
from ..stand.test_stand import mapped_lesson


def begin(coach, lesson, status=(200, 201), id=None, **more):
    body = {"lesson_id": lesson["id"], "started_at": now()} | more
    table = coach.put(f"/aim-series/{id or uuid6.uuid7()}", status, **body)
    return table if "sheets" not in table else table["sheets"][-1]["series"]


def read(coach, aim_set, raw, status=(200, 201), id=None):
    return coach.put(f"/set-downs/{id or uuid6.uuid7()}", status, series_id=aim_set["id"], raw=raw, taken_at=now())


def degrees(coach, lesson, link, angles, **more):
    aim_set = begin(coach, lesson, link=link, **more)
    for angle in angles:
        table = read(coach, aim_set, {"angle_deg": angle, "seen_deg": 0.5})
    return table


RIGHT = [1.5, 1.0, 1.5, 2.0, 1.5, 1.5, 1.0]


def test_links_are_read_apart_and_added_up(coach):
    lesson = coach.lesson()
    coach.station(lesson["id"])
    degrees(coach, lesson, "mark", [0.5, 1.0, 0.5, 1.0, 0.5, 0.5, 1.0], cue="stripe")
    table = degrees(coach, lesson, "to_mark", [0.5, 0.5, 1.0, 0.5, 0.5, 1.0, 0.5])
    table = degrees(coach, lesson, "face", RIGHT)
    assert table["sum"]["added"]["value"] == pytest.approx(1.3, abs=0.25)
    assert "as the face reads" in table["sum"]["words"]
    assert table["sheets"][2]["found"]["headline"].endswith("right, clear.")
    assert coach.get(f"/lessons/{lesson['id']}")["aim"].endswith("right, clear.")
    aided = degrees(coach, lesson, "face", [0.0] * 7, aided=True)
    assert "moves the aim" in aided["aid"]
    # What was read with an aid in view is not the golfer's own aim.
    assert aided["sum"]["face"] == table["sum"]["face"]


def test_the_putter_against_the_mark_knows_nothing_of_the_line(coach):
    """A line nobody proved is no doubt of what is read against the ball's own mark."""
    lesson = coach.lesson()
    coach.station(lesson["id"])
    for link in ("face", "to_mark"):
        table = degrees(coach, lesson, link, RIGHT)
    face, to_mark = (it["found"]["summary"]["bias"] for it in table["sheets"])
    assert to_mark["high"] - to_mark["low"] < 0.95 * (face["high"] - face["low"])


def test_a_set_down_said_twice_is_one_and_a_slip_is_voided(coach):
    lesson, id = coach.lesson(), str(uuid6.uuid7())
    aim_set = begin(coach, lesson, kind="square_reference")
    body = {"series_id": aim_set["id"], "raw": {"offset_m": 0.002}, "taken_at": now()}
    coach.put(f"/set-downs/{id}", **body)
    table = coach.put(f"/set-downs/{id}", **body)
    assert table["sheets"][0]["found"]["set_downs"] == 1
    coach.put(f"/set-downs/{id}", 409, **body | {"raw": {"offset_m": 0.001}})
    assert coach.put(f"/set-downs/{id}/voided", voided=True)["sheets"][0]["found"]["set_downs"] == 0
    assert coach.put(f"/set-downs/{id}/voided", voided=False)["sheets"][0]["found"]["set_downs"] == 1


def test_whether_the_aim_follows_the_picture_is_told_once_the_face_was_read(coach):
    lesson = mapped_lesson(coach)
    coach.station(lesson["id"])
    assert coach.get(f"/lessons/{lesson['id']}/map")["aim"]["does"] == "open"
    degrees(coach, lesson, "face", RIGHT)
    aim = coach.get(f"/lessons/{lesson['id']}/map")["aim"]
    assert aim["does"] == "follows" and "follows the picture" in aim["headline"]
    # It is asked of the golfer, in a later lesson too.
    later = coach.lesson(lesson["golfer_id"])
    degrees(coach, later, "face", [-it for it in RIGHT])
    assert coach.get(f"/lessons/{lesson['id']}/map")["aim"]["does"] == "against"


def test_a_laser_wants_its_cautions_read_first(coach):
    lesson = coach.lesson()
    refused = begin(coach, lesson, status=409, kind="face_mirror")
    assert "cautions" in refused["detail"]
    coach.put(f"/lessons/{lesson['id']}/laser-cautions")
    assert begin(coach, lesson, kind="face_mirror")["kind"] == "face_mirror"


@pytest.mark.parametrize(
    ("more", "field"),
    [
        ({"planned": 2}, "planned"),
        ({"kind": "board"}, "kind"),
        ({"kind": "square_reference", "link": "mark"}, "kind"),
        ({"kind": "square_reference", "sizes": {"mark_m": 5}}, "mark_m"),
    ],
)
def test_a_set_that_can_not_be_read_is_refused(coach, more, field):
    assert begin(coach, coach.lesson(), status=422, **more)["errors"][0]["field"] == field


def test_a_reading_that_is_none_is_refused(coach):
    lesson = coach.lesson()
    aim_set = begin(coach, lesson)
    assert read(coach, aim_set, {"offset_m": 0.1}, 422)["errors"][0]["field"] == "raw"
    assert read(coach, aim_set, {"angle_deg": 80, "seen_deg": 0.5}, 422)["errors"][0]["field"] == "angle_deg"
    coach.put(f"/lessons/{lesson['id']}/end", ended_at=now())
    assert begin(coach, lesson, status=409)


def test_the_face_is_read_with_the_sizes_as_laid_which_are_there_again(coach):
    lesson = coach.lesson()
    laser = {"kind": "putter_laser", "sizes": {"distance_m": 4.0}}
    coach.station(lesson["id"], "peg_gate", distance_m=5.0, aids=[laser])
    coach.put(f"/lessons/{lesson['id']}/laser-cautions")
    tools = coach.get(f"/lessons/{lesson['id']}/aim")["tools"]
    assert next(iter(tools)) == "putter_laser" and tools["putter_laser"]["distance_m"] == 4.0
    aim_set = begin(coach, lesson, kind="putter_laser", sizes=tools["putter_laser"], set_up="grip down")
    assert (aim_set["sizes"]["distance_m"], aim_set["set_up"]) == (4.0, "grip down")
    for _ in range(7):
        table = read(coach, aim_set, {"offset_m": 0.07})
    # 70 mm at a throw of 4 m is 1.0°: at the laser's usual throw it would be read as more.
    assert table["sheets"][0]["found"]["summary"]["bias"]["value"] == pytest.approx(1.0, abs=0.1)
    later = coach.lesson(lesson["golfer_id"])
    assert coach.get(f"/lessons/{later['id']}/aim")["tools"]["putter_laser"]["distance_m"] == 4.0


def test_aim_and_start_are_joined_without_a_sensor(coach):
    lesson = coach.lesson()
    block = coach.block(lesson=lesson)
    for _ in range(8):
        coach.putt(block["id"], {"offset_m": -0.015})
    degrees(coach, lesson, "face", [3.0, 3.5, 3.5, 3.0, 3.5, 3.0, 3.5])
    found = coach.get(f"/lessons/{lesson['id']}/findings")
    assert [it["name"] for it in found["links"]] == ["face_aim", "start"]
    assert found["first"][0]["cause"] == "compensation" and "3.3° right" in found["links"][0]["words"]


def test_a_doubted_set_down_counts_less(coach):
    lesson = coach.lesson()
    coach.station(lesson["id"])
    table = degrees(coach, lesson, "to_mark", RIGHT)
    before = table["sheets"][-1]["found"]["summary"]["bias"]
    for it in table["sheets"][-1]["set_downs"][:4]:
        table = coach.put(f"/set-downs/{it['id']}/flags", flags=["unverified"])
    found = table["sheets"][-1]["found"]
    after = found["summary"]["bias"]
    assert after["high"] - after["low"] > before["high"] - before["low"]
    assert "4 are flagged and count as 1 reading together" in found["doubt"] and found["set_downs"] == 7


def test_cues_tried_at_set_downs_are_there_for_the_next_block(coach):
    lesson = coach.lesson()
    assert coach.get(f"/lessons/{lesson['id']}")["cues"] == []
    for cue in ("line", "near_spot", "stripe", "near_spot"):
        begin(coach, lesson, cue=cue)
    assert coach.get(f"/lessons/{lesson['id']}")["cues"] == ["near_spot", "stripe"]
