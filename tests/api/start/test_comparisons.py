"""Comparisons putted in turns, the ladder, the pauses, blocks without a hole."""

from datetime import UTC, datetime, timedelta
from uuid import UUID

import uuid6

from ...conftest import now


def planned(coach, status=(200, 201), lesson=None, **more):
    lesson = lesson or coach.lesson()
    station = coach.station(lesson["id"])
    conditions = [{"name": name, "station_id": station["id"]} for name in ("as usual", "wide base")]
    body = {"lesson_id": lesson["id"], "conditions": conditions, "each": 3, "run": 2, "started_at": now()} | more
    # The shuffle follows from the id: the largest seed there is must do.
    id = str(UUID(int=uuid6.uuid7().int | 0xFFFF_FFFF))
    return id, body, coach.put(f"/comparisons/{id}", status, **body)


def test_a_comparison_is_putted_in_turns_and_judged_at_its_end(coach):
    id, body, it = planned(coach)
    a, b = (block["id"] for block in it["blocks"])
    assert coach.put(f"/comparisons/{id}", **body)["blocks"] == it["blocks"]
    coach.put(f"/comparisons/{id}", 409, **body | {"each": 4})
    order = []
    while it["turn"]:
        order.append(it["turn"])
        last = coach.putt(it["turn"], {"offset_m": 0.0 if it["turn"] == a else 0.05})
        it = coach.get(f"/comparisons/{id}")
    # There and back: two, two, then what is left.
    assert order == [a, a, b, b, b, a]
    assert it["done"] == [3, 3] and it["turn_words"].startswith("All putts")
    [pair] = it["compared"]["pairs"]
    assert pair["word"] in ("clear", "likely") and "further right" in it["compared"]["headline"]
    # A putt that does not count is putted again in its own place.
    coach.put(f"/readings/{last['id']}/voided", reason="talked")
    it = coach.get(f"/comparisons/{id}")
    assert it["turn"] == last["block_id"] and it["compared"]["headline"].startswith("Putts under both")
    [listed] = coach.get(f"/lessons/{it['blocks'][0]['lesson_id']}/comparisons")
    assert listed == it


def test_a_comparison_that_can_not_be_is_refused_and_leaves_nothing(coach):
    lesson = coach.lesson()
    station = coach.station(lesson["id"])["id"]
    twice = [{"name": "same", "station_id": station}] * 2
    planned(coach, 409, lesson, conditions=twice)
    elsewhere = [{"name": n, "station_id": coach.station(coach.lesson()["id"])["id"]} for n in "ab"]
    planned(coach, 409, lesson, conditions=elsewhere)
    for more, field in (({"each": 2}, "each"), ({"run": 11}, "run"), ({"conditions": twice[:1]}, "conditions")):
        _, _, refused = planned(coach, 422, lesson, **more)
        assert refused["errors"][0]["field"] == field and refused["errors"][0]["limit"]
    assert coach.get(f"/lessons/{lesson['id']}")["blocks"] == []


def test_any_blocks_can_be_set_side_by_side(coach):
    lesson = coach.lesson()
    one, other = coach.block(lesson=lesson, planned=3), coach.block(lesson=lesson, planned=3, condition="mirror")
    for n in range(3):
        coach.putt(one["id"], {"offset_m": 0.005 * n})
        coach.putt(other["id"], {"offset_m": 0.06 + 0.005 * n})
    found = coach.client.get("/api/compare", params={"blocks": [one["id"], other["id"]], "question": "line"}).json()
    assert "“mirror” against “as usual”: start" in found["headline"] and len(found["vials"]) == 2
    assert coach.client.get("/api/compare", params={"blocks": [one["id"]]}).status_code == 422
    missing = coach.client.get("/api/compare", params={"blocks": [one["id"], str(uuid6.uuid7())]})
    assert missing.status_code == 404


def test_the_ladder_lays_the_next_rung_with_a_block_on_it(coach):
    lesson = coach.lesson()
    station = coach.station(lesson["id"], "peg_gate", {"inside_width_m": 0.09})
    block = coach.put(
        f"/blocks/{uuid6.uuid7()}", station_id=station["id"], condition="ladder", guided=True, planned=20,
        started_at=now(),
    )  # fmt: skip
    id = str(uuid6.uuid7())
    step = {"from_block_id": block["id"], "started_at": now()}
    assert "after ten putts" in coach.put(f"/rungs/{id}", 409, **step)["detail"]
    for _ in range(10):
        coach.putt(block["id"], {"crossing": "clean"})
    rung = coach.judged(block["id"])["rung"]
    assert rung["step"] == "tighten" and rung["passed"] == 10
    new = coach.put(f"/rungs/{id}", **step)
    assert new == coach.put(f"/rungs/{id}", **step) and new["condition"] == "ladder"
    stations = coach.get(f"/lessons/{lesson['id']}")["stations"]
    assert stations[-1]["rig_sizes_m"]["inside_width_m"] == rung["value_m"] < 0.09


def test_pauses_fall_due_and_are_noted(coach):
    lesson = coach.lesson()
    block = coach.block(lesson=lesson, planned=60)
    coach.put("/pauses", spot_putts=5, feet_min=2, rest_min=3)
    start = datetime.now(UTC) - timedelta(minutes=4)
    for n in range(13):
        coach.putt(block["id"], {"offset_m": 0.0}, taken_at=(start + timedelta(seconds=20 * n)).isoformat())
    it = coach.get(f"/lessons/{lesson['id']}/pauses")
    assert [n["what"] for n in it["nudges"]] == ["rest", "feet", "spot"] and it["spot"] == 13
    rested = coach.put(f"/lessons/{lesson['id']}/pauses", done="rested")
    assert [n["what"] for n in rested["nudges"]] == ["spot"] and rested["rest_due_at"] is None
    assert coach.put(f"/lessons/{lesson['id']}/pauses", done="moved")["nudges"] == []
    refused = coach.put("/pauses", 422, spot_putts=5, feet_min=1, rest_min=3)
    assert refused["errors"][0]["field"] == "feet_min" and refused["errors"][0]["unit"] == "min"


def test_a_block_without_a_hole_has_none_drawn_and_asks_for_no_finish(coach):
    lesson = coach.lesson()
    station = coach.station(lesson["id"])
    body = {"station_id": station["id"], "condition": "no hole", "guided": False, "planned": 10, "started_at": now()}
    refused = coach.put(f"/blocks/{uuid6.uuid7()}", 422, **body, hole=False, asks=["finish"])
    assert refused["errors"][0]["field"] == "asks"
    block = coach.put(f"/blocks/{uuid6.uuid7()}", **body, hole=False, path_model="arc", ball_ahead_m=0.05)
    assert (block["hole"], block["path_model"]) == (False, "arc")
    roles = {it.get("role") for it in coach.judged(block["id"])["rays"]["shapes"]}
    with_hole = coach.put(f"/blocks/{uuid6.uuid7()}", **body)
    assert "hole" not in roles and "hole" in {it.get("role") for it in coach.judged(with_hole["id"])["rays"]["shapes"]}
    bad = coach.put(f"/blocks/{uuid6.uuid7()}", 422, **body, path_model="arc", ball_ahead_m=0.5)
    assert bad["errors"][0]["field"] == "ball_ahead_m"


def test_how_it_rolls_is_compared_by_shares_and_needs_no_rig(coach):
    lesson = coach.lesson()
    station = coach.station(lesson["id"], "no_rig")
    id = str(uuid6.uuid7())
    conditions = [{"name": name, "station_id": station["id"]} for name in ("level", "ahead")]
    body = {"lesson_id": lesson["id"], "conditions": conditions, "each": 8, "run": 2, "question": "roll"}
    made = coach.put(f"/comparisons/{id}", **body, started_at=now())
    assert all("roll" in it["asks"] for it in made["blocks"]), "what the question is about is noted"
    rolls = {0: ["clean"] * 2 + ["skid"] * 6, 1: ["clean"] * 8}
    while (turn := (it := coach.get(f"/comparisons/{id}"))["turn"]) is not None:
        arm = [one["id"] for one in it["blocks"]].index(turn)
        coach.putt(turn, {"start": "not_watched"}, notes={"roll": rolls[arm].pop()})
    found = it["compared"]
    [pair] = found["pairs"]
    assert pair["word"] == "clear" and "clean 8 of 8 against 2 of 8, clear" in found["headline"]
