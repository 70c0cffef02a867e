"""A size that was entered wrong is put right after the block: shown first, the old kept, the sheet marked."""

import pytest
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
    shown = would(coach, of="plan", about_id=gate, sizes=[{}, WIDE])
    assert shown["sizes"] == ["Gate of pegs: inside width 80 mm, not 60 mm."]
    [line] = shown["read"]
    assert ", 8 putts: " in line and " It said: " in line
    assert limits(coach, block) == before


def test_readings_are_read_anew_and_what_stood_there_stays(coach):
    told, gate, block = through_a_gate(coach)
    proof = coach.get(f"/lessons/{told.id}")["stations"][0]["proof"]
    raw = [it["raw"] for it in coach.judged(block)["block"]["readings"]]
    shown = would(coach, of="plan", about_id=gate, sizes=[{}, WIDE])
    id = str(uuid6.uuid7())
    done = coach.put(f"/corrections/{id}", of="plan", about_id=gate, sizes=[{}, WIDE], why="read off the wrong edge")
    assert done["sizes"] == shown["sizes"]
    [plan] = coach.get(f"/lessons/{told.id}")["stations"]
    assert plan["rig_sizes_m"]["inside_width_m"] == 0.080 and plan["proved"]
    # The same as if it had been entered so from the beginning.
    other = Told(coach)
    wide = other.block(other.lay("peg_gate", WIDE), 8)
    for it in raw:
        other.putt(wide, it)
    assert limits(coach, block) == limits(coach, wide)
    said, expected = (coach.judged(it)["judgement"] for it in (block, wide))
    assert said["headline"] == expected["headline"] and said["headline"] in shown["read"][0]
    assert [it["raw"] for it in coach.judged(block)["block"]["readings"]] == raw
    # Told again under its id it is done once; another correction is another.
    again = coach.put(f"/corrections/{id}", of="plan", about_id=gate, sizes=[{}, WIDE], why="read off the wrong edge")
    assert again == done
    assert coach.get(f"/lessons/{told.id}")["stations"][0]["proof"]["way"] == proof["way"]


def test_the_sheet_says_that_an_older_one_no_longer_holds(coach):
    told, gate, _ = through_a_gate(coach)
    assert coach.get(f"/lessons/{told.id}/summary")["superseded"] == []
    first = coach.get(f"/lessons/{told.id}/findings")["headline"]
    coach.put(f"/corrections/{uuid6.uuid7()}", of="plan", about_id=gate, sizes=[{}, WIDE])
    coach.put(f"/corrections/{uuid6.uuid7()}", of="plan", about_id=gate, sizes=[{}, {"inside_width_m": 0.070}])
    one, two = coach.get(f"/lessons/{told.id}/summary")["superseded"]
    assert "80 mm, not 60 mm" in one and "70 mm, not 80 mm" in two and "no longer holds" in two
    assert coach.get(f"/lessons/{told.id}/findings")["headline"] != first


def test_a_rig_that_stood_nearer_keeps_its_proof(coach):
    """Nothing was moved: only what was written down of it was wrong."""
    told = Told(coach)
    board = told.lay()
    told.ruler(told.block(board, 8), [15, 20, 10, 20, 25, 15, 20, 10])
    coach.put(f"/corrections/{uuid6.uuid7()}", of="plan", about_id=board, sizes=[{}, {"distance_m": 0.8}])
    [plan] = coach.get(f"/lessons/{told.id}")["stations"]
    assert plan["proved"] and plan["proof"]["line"]["rig_at_m"] == 0.8
    assert coach.judged(told.coach.get(f"/lessons/{told.id}")["blocks"][0]["id"])["block"]["proved"]


def test_what_can_not_be_is_refused_by_its_field(coach):
    _, gate, block = through_a_gate(coach)
    before = limits(coach, block)
    for sizes, field in (
        ({"inside_width_m": 0.03}, "inside_width_m"),
        ({"width_m": 0.07}, "width_m"),
        ({"inside_width_m": 0.06}, "sizes"),
    ):
        refused = coach.put(f"/corrections/{uuid6.uuid7()}", 422, of="plan", about_id=gate, sizes=[{}, sizes])
        assert field in str(refused), sizes
    coach.put(f"/corrections/{uuid6.uuid7()}", 422, of="plan", about_id=gate, sizes=[{}, {}, {"length_m": 1.0}])
    coach.put(f"/corrections/{uuid6.uuid7()}", 404, of="plan", about_id=str(uuid6.uuid7()), sizes=[{}, WIDE])
    assert limits(coach, block) == before
    coach.put(f"/corrections/{uuid6.uuid7()}", 422, of="plan", about_id=gate, sizes=[{"past_m": 0.3}])
    longer = coach.put(f"/corrections/{uuid6.uuid7()}", 422, of="plan", about_id=gate, sizes=[{"distance_m": 20}])
    assert "sizes.0.distance_m" in str(longer)


def put_right(coach, of: str, id: str, sizes: dict, status=(200, 201)) -> dict:
    return coach.put(f"/corrections/{uuid6.uuid7()}", status, of=of, about_id=id, sizes=[sizes])


def test_what_was_written_down_is_told_part_by_part(coach):
    _, gate, _ = through_a_gate(coach)
    putt, laid = coach.get(f"/corrections/plan/{gate}")
    assert (putt["name"], [it["default"] for it in putt["dimensions"]]) == ("The putt", [2.5])
    told = {it["name"]: it["default"] for it in laid["dimensions"]}
    assert laid["kind"] == "peg_gate" and told["inside_width_m"] == 0.060


def test_the_putts_own_length_is_put_right(coach):
    """A hole further away asks for a straighter start: the same readings are judged against another window."""
    told, _, block = through_a_gate(coach)
    [station] = [it["id"] for it in coach.get(f"/lessons/{told.id}")["stations"]]
    before, read = coach.judged(block), limits(coach, block)
    assert would(coach, of="plan", about_id=station, sizes=[{"distance_m": 4.0}])["sizes"] == [
        "The putt: ball to hole 4.00 m, not 2.50 m."
    ]
    put_right(coach, "plan", station, {"distance_m": 4.0})
    after = coach.judged(block)
    assert limits(coach, block) == read and after["block"]["proved"]
    assert after["judgement"]["vial"]["mark_right"] < before["judgement"]["vial"]["mark_right"]
    [said] = coach.get(f"/lessons/{told.id}/summary")["superseded"]
    assert "4.00 m, not 2.50 m" in said


MARKS = [{"offset_m": mm / 1000} for mm in (2, 1, 2, 3, 2, 1, 2)]
"""Of a square reference: the gap at one end."""


def aim_of(coach, told: Told) -> list[float]:
    return [it["found"]["summary"]["bias"]["value"] for it in coach.get(f"/lessons/{told.id}/aim")["sheets"]]


def test_the_size_a_face_was_read_with_is_put_right(coach):
    told = Told(coach)
    told.lay()
    series = told.series("face", 7, "square_reference")
    told.set_downs(series, MARKS)
    [part] = coach.get(f"/corrections/series/{series}")
    size = part["dimensions"][0]
    [before] = aim_of(coach, told)
    told_right = {size["name"]: size["default"] * 1.5}
    shown = would(coach, of="series", about_id=series, sizes=[told_right])
    assert "not " in shown["sizes"][0] and "7 set-downs" in shown["read"][0] and "It said: " in shown["read"][0]
    assert aim_of(coach, told) == [before]
    put_right(coach, "series", series, told_right)
    # The same as if it had been entered so from the beginning.
    other = Told(coach)
    other.lay()
    other.set_downs(other.series("face", 7, "square_reference", sizes=told_right), MARKS)
    assert aim_of(coach, told) == aim_of(coach, other) != [before]
    assert len(coach.get(f"/lessons/{told.id}/summary")["superseded"]) == 1
    refused = put_right(coach, "series", series, {size["name"]: size["high"] * 10}, 422)
    assert f"sizes.0.{size['name']}" in str(refused)
    # Each way of a comparison was read with the same instrument, written down the same; another's size stands.
    alike, otherwise = (
        told.series("face", 7, "square_reference", sizes=it) for it in (told_right, {size["name"]: 0.09})
    )
    for it in (alike, otherwise):
        told.set_downs(it, MARKS)
    three = aim_of(coach, told)
    shown = would(coach, of="series", about_id=alike, sizes=[{size["name"]: 0.1}])
    assert len(shown["read"]) == 2
    put_right(coach, "series", alike, {size["name"]: 0.1})
    moved = aim_of(coach, told)
    assert moved[0] == moved[1] != three[0] and moved[2] == three[2]
    by_angle = told.series("face", 7)
    assert coach.get(f"/corrections/series/{by_angle}") == []
    put_right(coach, "series", by_angle, {"width_m": 0.1}, 422)


def test_a_series_read_with_what_the_plan_had_wrong_comes_along(coach):
    told = Told(coach)
    plan = told.lay(aids=[{"kind": "square_reference", "sizes": {}}])
    _, _, reference = coach.get(f"/corrections/plan/{plan}")
    size = reference["dimensions"][0]
    usual, own = told.series("face", 7, "square_reference"), {size["name"]: size["default"] * 0.7}
    other = told.series("face", 7, "square_reference", sizes=own)
    for it in (usual, other):
        told.set_downs(it, MARKS)
    before = aim_of(coach, told)
    right = {size["name"]: size["default"] * 1.5}
    coach.put(f"/corrections/{uuid6.uuid7()}", of="plan", about_id=plan, sizes=[{}, {}, right])
    after = aim_of(coach, told)
    assert after[0] != before[0] and after[1] == before[1]
    sizes = [it["series"]["sizes"][size["name"]] for it in coach.get(f"/lessons/{told.id}/aim")["sheets"]]
    assert sizes == [right[size["name"]], own[size["name"]]]


def look(told: Told, path: str, **more) -> str:
    id = str(uuid6.uuid7())
    told.coach.put(f"/{path}/{id}", lesson_id=told.id, taken_at=told.now(), **more)
    return id


def test_what_looks_were_taken_with_is_put_right_of_all_that_were_taken_so(coach):
    told = Told(coach)
    eye = {"lead": {"inside_m": 0.02, "behind_m": -0.01}, "trail": {"inside_m": 0.02, "behind_m": 0.05}}
    first = look(told, "eye-takes", **eye, falls_in_percent=1.0, eye_height_m=1.4)
    look(told, "eye-takes", **eye, falls_in_percent=1.0, eye_height_m=1.4)
    look(told, "eye-takes", **eye, falls_in_percent=0.0, eye_height_m=1.4)
    look(told, "eye-takes", **eye, falls_in_percent=1.0, eye_height_m=1.4, set_up="wide base")
    look(told, "eye-looks", way="string", covers="quarter", eye_height_m=1.4)

    def insides() -> list[float | None]:
        return [it["inside_m"] for it in coach.get(f"/lessons/{told.id}/eyes")["takes"]]

    before = insides()
    [part] = coach.get(f"/corrections/looks/{first}")
    assert part["name"] == "Looks in the mirror" and {it["name"] for it in part["dimensions"]} >= {"eye_height_m"}
    shown = would(coach, of="looks", about_id=first, sizes=[{"falls_in_percent": 2.0}])
    assert shown["sizes"] == ["Looks in the mirror: mirror falls to the golfer 2 %, not 1 %."]
    assert "It said: " in shown["read"][0] and insides() == before
    put_right(coach, "looks", first, {"falls_in_percent": 2.0})
    # 1.4 m over a mirror that falls 1 % more: 14 mm further in; what was read otherwise stands as it was.
    assert insides() == [pytest.approx(it) for it in (0.048, 0.048, 0.020, 0.034)] + [None]
    put_right(coach, "looks", first, {"string_height_m": 0.2}, 422)
    assert "sizes.0.eye_height_m" in str(put_right(coach, "looks", first, {"eye_height_m": 3.0}, 422))
