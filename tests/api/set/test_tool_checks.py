"""Instruments checked by themselves: what is read with them in a lesson is judged by it, before and after."""

import uuid6

from tests.conftest import now

from ..aim.test_aims import begin, read
from .test_plans import block_on, lay


def check(coach, lesson, kind, status=(200, 201), id=None, **more):
    body = {"lesson_id": lesson["id"], "kind": kind, "taken_at": now()} | more
    return coach.put(f"/tool-checks/{id or uuid6.uuid7()}", status, **body)


def turned(moved_m, over_m=0.5):
    return {"turns": [{"moved_m": moved_m, "over_m": over_m}] * 3}


def test_a_square_that_is_off_is_put_right_in_set_downs_already_read(coach):
    lesson = coach.lesson()
    series = begin(coach, lesson, kind="square_reference")
    for _ in range(7):
        before = read(coach, series, {"offset_m": 0.0})
    tools = check(coach, lesson, "square_reference", **turned(-0.02))
    told = next(it for it in tools if it["kind"] == "square_reference")
    assert told["zero"]["right_deg"] > 1 and "points 1.1" in told["words"] and "right" in told["words"]
    after = coach.get(f"/lessons/{lesson['id']}/aim")
    moved = [it["sheets"][0]["found"]["summary"]["bias"]["value"] for it in (before, after)]
    assert moved[1] - moved[0] > 0.9
    coach.put(f"/tool-checks/{told['check_id']}/voided", voided=True)
    assert coach.get(f"/lessons/{lesson['id']}/aim")["sheets"] == before["sheets"]


def test_a_laser_that_is_off_is_put_right_in_putts_and_in_plans_to_come(coach):
    lesson = coach.lesson()
    coach.put(f"/lessons/{lesson['id']}/laser-cautions")
    station = lay(coach, lesson, rig_kind="ground_laser")
    block = block_on(coach, station)
    for _ in range(6):
        coach.putt(block["id"], {"line_on": "centre"})
    before = coach.judged(block["id"])["judgement"]["summary"]["bias"]["value"]
    check(coach, lesson, "ground_laser", **turned(-0.02, 1.0))
    after = coach.judged(block["id"])
    assert after["judgement"]["summary"]["bias"]["value"] - before > 0.3 and after["block"]["judged_again_at"]
    other = lay(coach, lesson, rig_kind="ground_laser", distance_m=3.0)
    assert other["proof"]["tool_deg"] > 0.5
    ruler = lay(coach, lesson, other["id"], rig_kind="board", distance_m=3.0)
    assert ruler["proof"]["tool_deg"] == 0


def test_a_mirror_that_shows_eyes_elsewhere_is_put_right(coach):
    lesson = coach.lesson()
    look = {"lead": {"inside_m": 0.02, "behind_m": 0.0}, "trail": {"inside_m": 0.02, "behind_m": 0.06}}
    coach.put(f"/eye-takes/{uuid6.uuid7()}", lesson_id=lesson["id"], taken_at=now(), **look)
    before = coach.get(f"/lessons/{lesson['id']}/eyes")["found"]["inside"]["value"]
    mark = {"inside_m": 0.025, "behind_m": 0.03, "inside_turned_m": 0.015, "behind_turned_m": 0.03}
    check(coach, lesson, "ground_mirror", marks=[mark, mark])
    after = coach.get(f"/lessons/{lesson['id']}/eyes")["found"]["inside"]["value"]
    assert -6 < after - before < -3


def test_a_rod_that_is_off_and_a_line_that_is_not_proved_are_in_what_looks_straight(coach):
    lesson = coach.lesson()
    body = {"lesson_id": lesson["id"], "method": "turn", "started_at": now()}
    test = str(uuid6.uuid7())
    coach.put(f"/sight-tests/{test}", **body)
    for _ in range(7):
        raw = {"beside_m": 0.04, "seen_m": 0.005}
        before = coach.put(f"/sight-trials/{uuid6.uuid7()}", test_id=test, raw=raw, taken_at=now())
    before = coach.get(f"/lessons/{lesson['id']}/sights")["tests"][0]["found"]["angle"]
    check(coach, lesson, "rod_beside", **turned(-0.02, 1.0))
    after = coach.get(f"/lessons/{lesson['id']}/sights")["tests"][0]["found"]["angle"]
    assert after["value"] - before["value"] > 0.5


def test_what_tells_nothing_is_refused_and_the_same_said_twice_is_one(coach):
    lesson, id = coach.lesson(), str(uuid6.uuid7())
    assert "at least 2" in check(coach, lesson, "rod_beside", 422)["errors"][0]["limit"]
    check(coach, lesson, "peg_gate", 422, **turned(0.0))
    check(coach, lesson, "rod_beside", 422, **turned(0.5))
    body = {"lesson_id": lesson["id"], "kind": "rod_beside", "taken_at": now()} | turned(0.001)
    coach.put(f"/tool-checks/{id}", **body)
    coach.put(f"/tool-checks/{id}", **body)
    coach.put(f"/tool-checks/{id}", 409, **body | turned(0.002))
