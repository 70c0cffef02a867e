"""Blocks that watch something else than the start: a putter gate, rails, pace, or holed and missed with the side."""

import uuid6

from tests.conftest import now

from ..set.test_plans import lay


def begin(coach, station, status=(200, 201), **more):
    body = {"station_id": station["id"], "condition": "as usual", "guided": False, "planned": 5, "started_at": now()}
    return coach.put(f"/blocks/{uuid6.uuid7()}", status, **body | more)


def putt(coach, block, notes, status=(200, 201)):
    body = {"block_id": block["id"], "raw": {"start": "not_watched"}, "notes": notes, "taken_at": now()}
    return coach.put(f"/readings/{uuid6.uuid7()}", status, **body)


def test_a_block_may_watch_the_putter_gate_alone(coach):
    station = lay(coach, coach.lesson(), rig_kind="no_rig", aids=[{"kind": "putter_gate", "sizes": {}}])
    block = begin(coach, station, asks=["aid:putter_gate"])
    for peg in ("far_peg",) * 5:
        putt(coach, block, {"aid:putter_gate": peg})
    told = coach.judged(block["id"])
    assert told["judgement"]["headline"] == "The start was not watched." and told["judgement"]["verdict"] is None
    assert [it["note"] for it in told["block"]["watched"]] == ["aid:putter_gate"]
    said = {it["name"]: it["words"] for it in coach.get(f"/blocks/{block['id']}/read")["read"]}
    assert set(said) == {"Putter gate of pegs", "Strike"}
    assert said["Putter gate of pegs"].startswith("5 ") and "of 5 putts" in said["Putter gate of pegs"]
    # The peg beyond the toe is met by a putter that strikes towards its heel.
    assert "owards the heel" in said["Strike"] and "clear" in said["Strike"]


def test_holed_and_missed_with_the_side_is_a_block_of_its_own(coach):
    station = lay(coach, coach.lesson(), rig_kind="no_rig")
    assert "Nothing is watched" in begin(coach, station, 422)["detail"]
    block = begin(coach, station, asks=["finish", "ran_past_m"])
    for finish, past in (("short_left", -0.4), ("short", -0.9), ("short", -0.6), ("short_left", -0.5), ("short", -0.7)):
        putt(coach, block, {"finish": finish, "ran_past_m": past})
    # Further short than the putt is long, it would lie behind where it was struck.
    refused = putt(coach, block, {"finish": "short", "ran_past_m": -(station["distance_m"] + 0.1)}, 422)
    assert "Short or past by" in refused["detail"] and "m" in refused["detail"]
    # The screen offers what the putt allows.
    offered = {it["note"]: it["low"] for it in coach.judged(block["id"])["block"]["noted"]}
    assert offered == {"finish": 0.0, "ran_past_m": -station["distance_m"]}
    wall = coach.get(f"/lessons/{block['lesson_id']}/wall")
    assert wall["last"]["words"] == "short by 70 cm" and wall["last"]["side"] == "neither" and not wall["watched"]
    said = coach.get(f"/blocks/{block['id']}/read")["pace"]
    assert said.startswith("5 of 5 short, by 40 cm to 90 cm, 2 of them left.")
    assert "less than planned: clear." in said
    assert said in coach.get(f"/lessons/{block['lesson_id']}/findings")["headline"]


def test_what_was_lifted_is_not_asked_of_under_the_other_condition(coach):
    lesson = coach.lesson()
    with_it = lay(coach, lesson, aids=[{"kind": "putter_gate", "sizes": {}}])
    without = lay(coach, lesson, current=False)
    ways = [
        {"name": "with it", "station_id": with_it["id"], "guided": True},
        {"name": "without", "station_id": without["id"], "guided": False},
    ]
    body = {"lesson_id": lesson["id"], "conditions": ways, "each": 3, "started_at": now()}
    made = coach.put(f"/comparisons/{uuid6.uuid7()}", **body, asks=["roll", "aid:putter_gate"])
    assert [it["asks"] for it in made["blocks"]] == [["roll", "aid:putter_gate"], ["roll"]]


def test_several_distances_tell_the_side_by_distance_and_guided_ones_stay_apart(coach):
    lesson = coach.lesson()
    far = [lay(coach, lesson, distance_m=d, current=False) for d in (1.5, 3.0, 4.5)]
    ways = [{"name": f"{n}", "station_id": it["id"], "guided": False} for n, it in enumerate(far)]
    body = {"lesson_id": lesson["id"], "conditions": ways, "each": 3, "run": 3, "started_at": now()}
    made = coach.put(f"/comparisons/{uuid6.uuid7()}", **body)
    for block in made["blocks"]:
        for offset in (0.0, 0.01, 0.005):
            coach.putt(block["id"], {"offset_m": offset})
    guided = begin(coach, lay(coach, lesson, distance_m=6.0), guided=True, condition="0")
    for _ in range(3):
        coach.putt(guided["id"], {"offset_m": 0.05})
    found = coach.get(f"/lessons/{lesson['id']}/findings")
    assert found["growth"] and all(f"at {far} m" in found["growth"] for far in ("1.50", "3.00", "4.50"))
    assert "6.00 m" not in found["growth"]
