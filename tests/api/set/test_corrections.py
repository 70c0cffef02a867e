"""A size that was entered wrong is put right after the block: shown first, the old kept, the sheet marked."""

import uuid6

from ..judge.lessons import Told

WIDE = {"inside_width_m": 0.080, "distance_m": 0.5}


def through_a_gate(coach) -> tuple[Told, str, str]:
    told = Told(coach)
    gate = told.lay("peg_gate", {"inside_width_m": 0.060, "distance_m": 0.5})
    block = told.block(gate, 8)
    for crossing in ["touched_right"] * 6 + ["clean"] * 2:
        told.putt(block, {"crossing": crossing})
    return told, gate, block


def would(coach, **sizes) -> dict:
    answer = coach.client.post("/api/corrections", json=sizes)
    assert answer.status_code == 200, answer.text
    return answer.json()


def limits(coach, block) -> list[tuple]:
    return [(it["low_deg"], it["high_deg"]) for it in coach.judged(block)["block"]["readings"]]


def test_what_changes_is_shown_first_and_nothing_is_kept(coach):
    _, gate, block = through_a_gate(coach)
    before = limits(coach, block)
    shown = would(coach, station_id=gate, rig_sizes_m=WIDE)
    assert shown["sizes"] == ["Gate of pegs: inside width 80 mm, not 60 mm."]
    [line] = shown["blocks"]
    assert ", 8 putts: " in line and " It said: " in line
    assert limits(coach, block) == before


def test_readings_are_read_anew_and_what_stood_there_stays(coach):
    told, gate, block = through_a_gate(coach)
    proof = coach.get(f"/lessons/{told.id}")["stations"][0]["proof"]
    raw = [it["raw"] for it in coach.judged(block)["block"]["readings"]]
    shown = would(coach, station_id=gate, rig_sizes_m=WIDE)
    id = str(uuid6.uuid7())
    plan = coach.put(f"/corrections/{id}", station_id=gate, rig_sizes_m=WIDE, why="read off the wrong edge")
    assert plan["rig_sizes_m"]["inside_width_m"] == 0.080 and plan["proved"]
    # The same as if it had been entered so from the beginning.
    other = Told(coach)
    wide = other.block(other.lay("peg_gate", WIDE), 8)
    for it in raw:
        other.putt(wide, it)
    assert limits(coach, block) == limits(coach, wide)
    said, expected = (coach.judged(it)["judgement"] for it in (block, wide))
    assert said["headline"] == expected["headline"] and said["headline"] in shown["blocks"][0]
    assert [it["raw"] for it in coach.judged(block)["block"]["readings"]] == raw
    # Told again under its id it is done once; another correction is another.
    again = coach.put(f"/corrections/{id}", station_id=gate, rig_sizes_m=WIDE, why="read off the wrong edge")
    assert again == plan
    assert coach.get(f"/lessons/{told.id}")["stations"][0]["proof"]["way"] == proof["way"]


def test_the_sheet_says_that_an_older_one_no_longer_holds(coach):
    told, gate, _ = through_a_gate(coach)
    assert coach.get(f"/lessons/{told.id}/summary")["superseded"] == []
    first = coach.get(f"/lessons/{told.id}/findings")["headline"]
    coach.put(f"/corrections/{uuid6.uuid7()}", station_id=gate, rig_sizes_m=WIDE)
    coach.put(f"/corrections/{uuid6.uuid7()}", station_id=gate, rig_sizes_m={"inside_width_m": 0.070})
    one, two = coach.get(f"/lessons/{told.id}/summary")["superseded"]
    assert "80 mm, not 60 mm" in one and "70 mm, not 80 mm" in two and "no longer holds" in two
    assert coach.get(f"/lessons/{told.id}/findings")["headline"] != first


def test_a_rig_that_stood_nearer_keeps_its_proof(coach):
    """Nothing was moved: only what was written down of it was wrong."""
    told = Told(coach)
    board = told.lay()
    told.ruler(told.block(board, 8), [15, 20, 10, 20, 25, 15, 20, 10])
    plan = coach.put(f"/corrections/{uuid6.uuid7()}", station_id=board, rig_sizes_m={"distance_m": 0.8})
    assert plan["proved"] and plan["proof"]["line"]["rig_at_m"] == 0.8
    assert coach.judged(told.coach.get(f"/lessons/{told.id}")["blocks"][0]["id"])["block"]["proved"]


def test_what_can_not_be_is_refused_by_its_field(coach):
    _, gate, block = through_a_gate(coach)
    before = limits(coach, block)
    for sizes, field in (
        ({"inside_width_m": 0.03}, "inside_width_m"),
        ({"width_m": 0.07}, "width_m"),
        ({"inside_width_m": 0.06}, "rig_sizes_m"),
    ):
        refused = coach.put(f"/corrections/{uuid6.uuid7()}", 422, station_id=gate, rig_sizes_m=sizes)
        assert field in str(refused), sizes
    coach.put(f"/corrections/{uuid6.uuid7()}", 422, station_id=gate, aid_sizes=[{"length_m": 1.0}])
    coach.put(f"/corrections/{uuid6.uuid7()}", 404, station_id=str(uuid6.uuid7()), rig_sizes_m=WIDE)
    assert limits(coach, block) == before
