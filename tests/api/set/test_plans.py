"""The plans of a lesson and the proof of their lines: kept as edited, proved by what was measured."""

import pytest
import uuid6

from tests.conftest import now

ROLLS = [{"way": "out", "length_m": 3.0, "drift_m": 0.0}, {"way": "back", "length_m": 3.0, "drift_m": 0.0}]


def lay(coach, lesson, id=None, **more):
    body = {"distance_m": 2.4, "past_m": 0.3, "green_speed_ft": 10, "rig_kind": "board", "rig_sizes_m": {}}
    return coach.put(f"/stations/{id or uuid6.uuid7()}", lesson_id=lesson["id"], laid_at=now(), **body | more)


def plan_now(coach, lesson):
    return next(it for it in coach.get(f"/lessons/{lesson['id']}")["stations"] if it["current"])


def block_on(coach, station, planned=8):
    body = {"station_id": station["id"], "condition": "as usual", "guided": False, "planned": planned}
    return coach.put(f"/blocks/{uuid6.uuid7()}", **body, started_at=now())


def test_an_instrument_is_laid_again_as_it_was_laid_last_here_or_with_this_golfer(coach):
    golfer = coach.golfer()["id"]
    first, second, other = coach.lesson(golfer), coach.lesson(golfer), coach.lesson()
    strip = {"kind": "strip_bar", "sizes": {"wide_m": 0.025}}
    gate = {"rig_kind": "peg_gate", "rig_sizes_m": {"inside_width_m": 0.075, "distance_m": 0.5}}
    lay(coach, first, aids=[strip], **gate)
    here = coach.get(f"/lessons/{first['id']}")["laid_last"]
    assert here["peg_gate"]["inside_width_m"] == 0.075 and here["peg_gate"]["distance_m"] == 0.5
    there = coach.get(f"/lessons/{second['id']}")["laid_last"]
    # Where it lies hangs on the putt of that lesson.
    assert there["peg_gate"]["inside_width_m"] == 0.075 and "distance_m" not in there["peg_gate"]
    assert there["strip_bar"]["wide_m"] == 0.025
    # What lies here goes before what lay with the golfer another day, however late that was laid.
    lay(coach, second, **gate | {"rig_sizes_m": {"inside_width_m": 0.066}})
    assert coach.get(f"/lessons/{first['id']}")["laid_last"]["peg_gate"]["inside_width_m"] == 0.075
    assert coach.get(f"/lessons/{other['id']}")["laid_last"] == {}


def test_a_plan_is_the_lessons_as_it_is_edited_and_one_that_was_read_on_stands(coach):
    lesson = coach.lesson()
    first = lay(coach, lesson)
    again = lay(coach, lesson, first["id"], distance_m=3.1)
    assert again["id"] == first["id"] and plan_now(coach, lesson)["distance_m"] == 3.1 and not again["used"]
    block_on(coach, first)
    assert plan_now(coach, lesson)["used"]
    body = {"distance_m": 2.0, "past_m": 0.3, "green_speed_ft": 10, "rig_kind": "board", "rig_sizes_m": {}}
    coach.put(f"/stations/{first['id']}", 409, lesson_id=lesson["id"], laid_at=now(), **body)
    new = lay(coach, lesson, distance_m=2.0, replaces_id=first["id"])
    assert new["replaced"] == ["2.00 m long; it was 3.10 m."]
    assert plan_now(coach, lesson)["id"] == new["id"]
    assert coach.get(f"/lessons/{lesson['id']}")["blocks"][0]["station"].startswith("3.10 m")
    coach.put(f"/lessons/{lesson['id']}/plan", station_id=first["id"])
    assert plan_now(coach, lesson)["id"] == first["id"]
    beside = lay(coach, lesson, distance_m=4.0, current=False)
    assert plan_now(coach, lesson)["id"] == first["id"] and not beside["current"]
    other = lay(coach, coach.lesson())
    coach.put(f"/lessons/{lesson['id']}/plan", 409, station_id=other["id"])


@pytest.mark.parametrize(
    ("found", "said"),
    [
        ({}, "at least 2"),
        ({"measured": [{"at_m": 2, "beside_m": 0.001}]}, "at least 2"),
        ({"way": "rolled"}, "each way"),
        ({"way": "rolled", "rolls": ROLLS[:1]}, "each way"),
        ({"way": "rolled", "rolls": [ROLLS[0] | {"drift_m": 0.2}, ROLLS[1] | {"drift_m": -0.2}]}, "slope the balls"),
        ({"measured": [{"at_m": 2, "beside_m": 0.3}] * 2}, "-100 mm to 100 mm"),
        ({"way": "guess"}, "rolled"),
    ],
)
def test_a_line_is_proved_by_what_was_measured_and_by_nothing_less(coach, found, said):
    station = lay(coach, coach.lesson())
    answer = coach.put(f"/stations/{station['id']}/proof", 422, **{"way": "tape"} | found)
    assert said in answer["errors"][0]["limit"]
    assert not coach.get(f"/lessons/{station['lesson_id']}")["stations"][0]["proved"]


def test_a_proof_belongs_to_one_line_and_stands_again_with_it(coach):
    lesson = coach.lesson()
    station = lay(coach, lesson)
    proved = coach.put(f"/stations/{station['id']}/proof", way="rolled", rolls=ROLLS)
    # The ground; of the line laid on it the balls say nothing, here as in every verdict.
    said = "The ground is proved by rolling both ways: 1 ball out to the hole, 1 ball back."
    assert not proved["proved"] and proved["proof_words"].startswith(said)
    for change, word in (
        ({"distance_m": 3.0}, "length"),
        ({"falls_right_percent": 1.0}, "slope"),
        ({"rig_kind": "peg_gate"}, "rig"),
        ({"read": {"place": "edge", "side": "left"}, "target": "read"}, "started elsewhere"),
    ):
        now_ = lay(coach, lesson, station["id"], **change)
        # The ground is as it was rolled, whatever stands on it and wherever the ball is sent.
        fell = "fell" in now_["proof_words"]
        assert fell == (word in ("length", "slope")) and not now_["proved"]
        assert (word if fell else "The ground is proved") in now_["proof_words"]
    lay(coach, lesson, station["id"])
    coach.prove(station["id"])
    for change, word in (
        ({"rig_kind": "peg_gate"}, "rig"),
        ({"read": {"place": "edge", "side": "left"}, "target": "read"}, "started elsewhere"),
    ):
        now_ = lay(coach, lesson, station["id"], **change)
        assert not now_["proved"] and "fell" in now_["proof_words"] and word in now_["proof_words"]
    assert lay(coach, lesson, station["id"])["proved"]
    # A plan that takes its place takes the proof over, as far as its line is the same.
    block_on(coach, station)
    assert lay(coach, lesson, replaces_id=station["id"], aids=[{"kind": "t_mark", "sizes": {}}])["proved"]
    # A hole further on the same line moves nothing of it; on a slope the longer putt starts elsewhere.
    assert lay(coach, lesson, replaces_id=station["id"], distance_m=5)["proved"]
    assert not lay(coach, lesson, replaces_id=station["id"], distance_m=5, falls_right_percent=1.5)["proved"]


def test_a_proof_given_later_judges_what_was_read_again_and_says_so(coach):
    lesson = coach.lesson()
    station = lay(coach, lesson, rig_sizes_m={"distance_m": 1.0})
    block = block_on(coach, station)
    reading, *_ = [coach.putt(block["id"], {"offset_m": 0.03}) for _ in range(8)]
    before = coach.judged(block["id"])
    assert not before["block"]["proved"] and before["block"]["judged_again_at"] is None
    # The laid line lies 10 mm right of true at 2 m: at the board, half as far.
    coach.prove(station["id"], measured=[{"at_m": 2, "beside_m": 0.01}] * 2)
    after = coach.judged(block["id"])
    assert after["block"]["proved"] and after["block"]["judged_again_at"]
    moved = after["block"]["readings"][0]["low_deg"] - reading["low_deg"]
    assert moved == pytest.approx(0.2865, abs=1e-3)
    assert after["block"]["readings"][0]["raw"] == reading["raw"]
    coach.prove(station["id"], "none")
    assert coach.judged(block["id"])["block"]["readings"][0]["low_deg"] == pytest.approx(reading["low_deg"])


def test_the_rig_read_again_and_again_is_kept_with_the_proof_until_the_rig_is_changed(coach):
    lesson = coach.lesson()
    station = lay(coach, lesson, rig_sizes_m={"distance_m": 1.0})
    raws = [{"offset_m": it} for it in (0.005, 0.0, 0.01, 0.005)]
    kept = coach.put(f"/stations/{station['id']}/proof", way="none", raws=raws)["proof"]
    assert kept["checks"] == 4 and kept["zero_deg"] == pytest.approx(0.2865, abs=1e-3)
    proved = coach.prove(station["id"])
    assert proved["proof"]["checks"] == 4, "the proof of the line leaves the check of the rig as it is"
    few = coach.put(f"/stations/{station['id']}/proof", 422, way="none", raws=raws[:2])
    assert "at least 3" in few["errors"][0]["limit"]
    assert coach.put(f"/stations/{station['id']}/proof", way="none", raws=[])["proof"]["checks"] == 0
    assert {it["way"] for it in coach.get("/stations/ways")} >= {"none", "tape", "second_laser"}


def test_the_proof_of_a_plan_without_a_block_is_that_of_its_set_downs(coach):
    lesson = coach.lesson()
    station = lay(coach, lesson)
    body = {"lesson_id": lesson["id"], "kind": "square_reference", "started_at": now(), "planned": 5}
    series = str(uuid6.uuid7())
    coach.put(f"/aim-series/{series}", **body)
    for _ in range(5):
        coach.put(f"/set-downs/{uuid6.uuid7()}", series_id=series, raw={"offset_m": 0.006}, taken_at=now())
    found = coach.get(f"/lessons/{lesson['id']}/aim")["sheets"][0]["found"]
    assert found["verdict"]["word"] == "likely" and "not proved" in found["meaning"]
    # Balls rolled both ways measure the ground; the line they say nothing of.
    coach.put(f"/stations/{station['id']}/proof", way="rolled", rolls=ROLLS)
    assert coach.get(f"/lessons/{lesson['id']}/aim")["sheets"][0]["found"]["verdict"]["word"] == "likely"
    coach.prove(station["id"])
    assert coach.get(f"/lessons/{lesson['id']}/aim")["sheets"][0]["found"]["verdict"]["word"] == "clear"


def test_a_rig_whose_aim_may_be_off_by_the_window_will_not_do(coach):
    lesson = coach.lesson()
    body = {"distance_m": 2.4, "past_m": 0.3, "green_speed_ft": 10, "rig_kind": "board"}
    station = lay(coach, lesson, rig_sizes_m={"distance_m": 0.6, "mark_m": 0.002})
    seen = coach.client.post(
        "/api/stations/preview", json=body | {"rig_sizes_m": {"distance_m": 0.6, "mark_m": 0.002}}
    ).json()
    assert seen["sight"]["fit"] == "unsure" and "prove the line" in seen["sight"]["words"] and not seen["proved"]
    coach.prove(station["id"])
    same = body | {"rig_sizes_m": {"distance_m": 0.6, "mark_m": 0.002}, "proof_of": station["id"]}
    assert coach.client.post("/api/stations/preview", json=same).json()["sight"]["fit"] == "good"


def test_two_who_edit_a_plan_keep_what_each_changed(coach):
    """What one left as it was seen stands as the other told it; the same of both is refused, and nothing is kept."""
    lesson = coach.lesson()
    plan = lay(coach, lesson)
    seen = {name: plan[name] for name in ("distance_m", "past_m", "green_speed_ft", "rig_kind", "rig_sizes_m")}
    lay(coach, lesson, plan["id"], **seen | {"distance_m": 3.1}, seen=[seen])
    lay(coach, lesson, plan["id"], **seen | {"green_speed_ft": 9}, seen=[seen])
    stands = plan_now(coach, lesson)
    assert (stands["distance_m"], stands["green_speed_ft"]) == (3.1, 9)

    told = seen | {"distance_m": 4.0, "past_m": 0.5}
    body = {"lesson_id": lesson["id"], "laid_at": now(), "seen": [seen]}
    refused = coach.put(f"/stations/{plan['id']}", 412, **told, **body)
    assert [it["field"] for it in refused["errors"]] == ["distance_m"]
    assert refused["errors"][0]["message"].startswith("Ball to hole was changed elsewhere, too")
    assert plan_now(coach, lesson)["past_m"] == 0.3

    # What one told oneself, and nobody answered yet, is not another's.
    own = stands | {"distance_m": 3.5}
    lay(coach, lesson, plan["id"], **{name: own[name] for name in seen}, seen=[{it: stands[it] for it in seen}])
    again = {name: own[name] for name in seen} | {"distance_m": 3.6}
    kept = lay(coach, lesson, plan["id"], **again, seen=[{it: one[it] for it in seen} for one in (stands, own)])
    assert kept["distance_m"] == 3.6
    # Put back to what it was when the editing began is a change, too.
    back = {name: stands[name] for name in seen}
    assert lay(coach, lesson, plan["id"], **back, seen=[back, again])["distance_m"] == 3.1


def test_what_two_changed_apart_must_go_together(coach):
    lesson = coach.lesson()
    plan = lay(coach, lesson, distance_m=4.0, rig_sizes_m={"distance_m": 1.0})
    names = ("distance_m", "past_m", "green_speed_ft", "rig_kind", "rig_sizes_m")
    seen = {name: plan[name] for name in names}
    lay(coach, lesson, plan["id"], **seen | {"rig_sizes_m": seen["rig_sizes_m"] | {"distance_m": 3.0}}, seen=[seen])
    body = {"lesson_id": lesson["id"], "laid_at": now(), "seen": [seen]}
    coach.put(f"/stations/{plan['id']}", 422, **seen | {"distance_m": 2.0}, **body)
    stands = plan_now(coach, lesson)
    assert (stands["distance_m"], stands["rig_sizes_m"]["distance_m"]) == (4.0, 3.0)
