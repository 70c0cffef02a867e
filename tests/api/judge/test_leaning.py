"""What a reading leans on is kept with it: the line as it lay when it was read, and the proof of that laying."""

import uuid6

from .lessons import Told

OPEN = [1.0, 0.8, 1.2, 0.9, 1.1, 1.3, 0.7, 1.0, 0.9, 1.1]


def read_so(told: Told) -> dict:
    """What Judge says: first, and of each quantity."""
    page = told.coach.get(f"/lessons/{told.id}/findings")
    return {"first": page["headline"]} | {it["quantity"]: it["words"] for it in page["read"]}


def test_choosing_another_rig_is_a_plan_and_changes_nothing_of_what_was_read(coach):
    told = Told(coach)
    board = told.lay()
    told.angles("face", OPEN)
    before = read_so(told)
    assert "clear" in before["first"]
    gate = told.lay("peg_gate", proof=None, replaces_id=board)
    assert read_so(told) == before
    # Nobody has laid the gate: set-downs go on on the line that lies there.
    told.angles("face", OPEN)
    series = coach.get(f"/lessons/{told.id}/aim")["sheets"]
    assert [it["series"]["station_id"] for it in series] == [board, board]
    # A block on it lays it.
    told.putt(told.block(gate, 10), {"crossing": "clean"})
    told.angles("face", OPEN)
    assert coach.get(f"/lessons/{told.id}/aim")["sheets"][-1]["series"]["station_id"] == gate


def test_a_proof_made_later_is_of_its_own_laying_alone(coach):
    told = Told(coach)
    board = told.lay(proof=None)
    told.angles("face", OPEN)
    doubted = read_so(told)
    assert "clear" not in doubted["first"]
    gate = told.lay("peg_gate", replaces_id=board)
    assert read_so(told) == doubted
    coach.put(f"/stations/{board}/proof", **{"way": "string", "measured": [{"at_m": 1.0, "beside_m": 0.0}] * 2})
    assert "clear" in read_so(told)["first"]
    assert gate != board


def test_putts_on_a_line_nobody_proved_take_nothing_from_the_aim_read_on_one_that_was(coach):
    told = Told(coach)
    told.lay()
    told.angles("face", OPEN)
    face = read_so(told)["face"]
    # Another line: on the same one a longer putt would keep its proof.
    gate = told.lay(proof=None, distance_m=3.5)
    told.ruler(told.block(gate, 10), [15, 20, 10, 20, 25, 15, 20, 10, 15, 20])
    assert read_so(told)["face"] == face
    page = coach.get(f"/lessons/{told.id}/findings")
    assert [it["word"] for it in page["read"] if it["quantity"] == "face"] == ["clear"]
    assert "face_aim" in {it["cause"] for it in page["first"] if it["word"] in ("likely", "clear")}
    [doubt] = [it for it in page["guards"] if "not proved" in it]
    assert "start" in doubt and "face" not in doubt


def test_what_was_read_before_anything_was_laid_is_of_the_first_line_laid(coach):
    told = Told(coach)
    told.angles("face", OPEN)
    first = told.lay()
    proved = read_so(told)
    assert "clear" in proved["first"]
    told.lay("peg_gate", proof=None, replaces_id=first)
    assert read_so(told) == proved


def test_a_line_that_was_laid_and_proved_anew_is_what_is_read_on(coach):
    told = Told(coach)
    told.lay(proof=None)
    told.angles("face", OPEN[:5])
    gate = told.lay("peg_gate", replaces_id=None)
    id = str(uuid6.uuid7())
    body = {"lesson_id": told.id, "link": "face", "cue": "line", "aided": False, "planned": 5, "kind": None}
    coach.put(f"/aim-series/{id}", **body | {"started_at": told.now()})
    assert coach.get(f"/lessons/{told.id}/aim")["sheets"][-1]["series"]["station_id"] == gate


def test_a_line_that_would_settle_what_was_read_is_proved_first(coach):
    told = Told(coach)
    board = told.lay(proof=None)
    told.ruler(told.block(board, 10, ["strike"]), [0, 5, -5, 10, 0, -10, 5, 0, -5, 5], [{"strike": "toe"}] * 10)
    first = coach.get(f"/lessons/{told.id}/findings")["next"][0]
    assert first["name"] == "second_proof", first
    coach.put(f"/stations/{board}/proof", **{"way": "string", "measured": [{"at_m": 1.0, "beside_m": 0.0}] * 2})
    assert coach.get(f"/lessons/{told.id}/findings")["next"][0]["name"] != "second_proof"
