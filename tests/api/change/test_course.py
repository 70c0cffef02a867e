"""Rounds, what is holed and left by length, and runs that are putted in lessons: kept, counted, taken back."""

from datetime import UTC, datetime, timedelta

import numpy as np
import pytest
import uuid6

from libella.core.change.drills import drills
from libella.core.change.scored import is_read
from tests.api.change.test_changes import aimed_right, chosen, on_marks, retested
from tests.api.change.test_practice import run
from tests.api.judge.lessons import Told
from tests.api.judge.test_findings import putted
from tests.conftest import now

UNWATCHED = {"start": "not_watched"}
HOLES = [{"first_m": 2.0, "putts": 1}] * 5 + [{"first_m": 2.0, "putts": 2, "side": "right", "pace": "past"}] * 4


def course(coach, golfer, **query):
    return coach.get(f"/golfers/{golfer}/on-the-course", **query)


def played(coach, golfer, holes=HOLES, status=(200, 201), id=None, at=None):
    body = {"golfer_id": golfer, "holes": holes, "played_at": at or now()}
    return coach.put(f"/rounds/{id or uuid6.uuid7()}", status, **body)


def test_a_round_stands_beside_what_is_holed_in_practice_and_can_be_taken_back(coach):
    golfer = coach.golfer()["id"]
    assert course(coach, golfer)["played"].startswith("No round yet.")
    at = now()
    kept = played(coach, golfer, at=at)
    assert kept["words"] == "9 holes, 13 putts" and played(coach, golfer, id=kept["id"], at=at) == kept
    run(coach, golfer, "ten_without_help", [1] * 8 + [0] * 2)
    found = course(coach, golfer)
    assert found["played"] == "1 round, 9 holes: 13 putts. First putts missed: 4 right and 4 past."
    [two] = found["made"]
    assert (two["length_m"], two["practice"]["times"], two["course"]["times"], two["course"]["of"]) == (2.0, 8, 5, 9)
    assert two["course"]["share"]["low"] < 100 * 5 / 9 < two["course"]["share"]["high"]
    assert "9 putts there, 10 in practice" in found["carried"]
    assert found["helpless"].endswith("8 of 10.")
    coach.put(f"/rounds/{kept['id']}/voided", voided=True)
    assert course(coach, golfer)["carried"] == "" and course(coach, golfer)["rounds"] == []


@pytest.mark.parametrize(
    ("hole", "field"),
    [({"first_m": 90.0, "putts": 2}, "first_m"), ({"first_m": 2.0, "putts": 7}, "putts"),
     ({"first_m": 2.0, "putts": 1, "side": "left"}, "side")],
)  # fmt: skip
def test_what_no_round_holds_is_refused_with_its_limit(coach, hole, field):
    golfer = coach.golfer()["id"]
    refused = played(coach, golfer, [hole], 422)
    assert field in refused["errors"][0]["field"] and refused["errors"][0]["limit"]
    assert course(coach, golfer)["rounds"] == []


def test_what_is_left_and_how_far_back_for_what_roll_come_from_what_was_noted(coach):
    told = Told(coach)
    rng = np.random.default_rng(2)
    for length in (3.0, 5.0, 8.0):
        station = told.lay("no_rig", proof=None, distance_m=length)
        block = told.block(station, 6, ("finish", "ran_past_m", "back_m"))
        for n in range(6):
            past = round(float(rng.normal(0.2, 0.15)), 2) if n else 0.0
            back = round(((length + past) / 40) ** (1 / 1.7), 2)
            finish = "holed" if n == 0 else "past" if past > 0 else "short"
            notes = {"finish": finish, "back_m": back} | ({} if n == 0 else {"ran_past_m": past})
            told.putt(block, UNWATCHED, **notes)
    found = course(coach, told.golfer)
    assert len(found["leaves"]) == 3 and found["leaves"][0].startswith("From about 3 m: 6 of 6 within 60 cm")
    [table] = found["tables"]
    assert table["words"].startswith("Fitted, likely within 10 in a hundred") and "15 putts" in table["words"]
    assert any(it.startswith("5.00 m: 29 cm back") or it.startswith("5.00 m: 30 cm back") for it in table["rows"])
    assert [(it["length_m"], it["practice"]["of"]) for it in found["made"]] == [(3.0, 6), (4.5, 6), (9.0, 6)]
    assert "ft" in course(coach, told.golfer, units="feet")["leaves"][0]


READ = [it.code for it in drills().values() if it.event == "putt" and is_read(it.scored)]


@pytest.mark.parametrize("code", READ)
def test_every_drill_that_is_read_runs_in_a_lesson_and_scores_itself_there(coach, code):
    told = Told(coach)
    it = next(one for one in coach.get("/drills") if one["code"] == code)
    assert it["read_in_lesson"]
    laid = {name: value for name, value in it["laid"].items() if name not in ("words", "proof")}
    station = coach.put(f"/stations/{uuid6.uuid7()}", **laid, lesson_id=told.id, laid_at=told.now())["id"]
    block = told.block(station, it["times"], it["notes"], drill=code)
    of = drills()[code].scored
    entry = coach.get(f"/blocks/{block}/entry")
    # The zone about the line, of a rig that has zones; else a ruler.
    near = [one["raw"] for one in entry["zones"] if (one["low"] or -9) <= 0 <= (one["high"] or 9)]
    middle = near[0] if near else {"offset_m": 0.0}
    noted = {of.note: of.options[0] if of.options else 0.2} if of.note else {}
    for n in range(it["times"]):
        if n == it["times"] - 1:
            standing = coach.get("/drills", golfer_id=told.golfer)
            assert next(one["progress"] for one in standing if one["code"] == code) == "Not run yet."
        told.putt(block, middle, **noted, **({"felt": "straight"} if of.called else {}))
    standing = next(one for one in coach.get("/drills", golfer_id=told.golfer) if one["code"] == code)
    assert standing["progress"].startswith(f"The last run: {it['times']} of {it['times']}.")
    assert standing["next"] == "harder"


def test_a_putt_voided_in_the_lesson_leaves_the_run_and_no_drill_is_none_of_ours(coach):
    told = Told(coach)
    block = told.block(told.lay("no_rig", proof=None), 3, ("roll",), drill="clean_roll")
    ids = [told.putt(block, UNWATCHED, roll=it) for it in ("clean", "skid", "clean")]

    def said():
        return next(it["progress"] for it in coach.get("/drills", golfer_id=told.golfer) if it["code"] == "clean_roll")

    assert said().startswith("The last run: 2 of 3.")
    coach.put(f"/readings/{ids[1]}/voided", voided=True, reason="disturbed")
    # No longer full: it counts again once the lesson has ended.
    assert said() == "Not run yet."
    coach.put(f"/lessons/{told.id}/end", ended_at=now())
    assert said().startswith("The last run: 2 of 2.")
    body = {"station_id": told.id, "guided": False, "planned": 5, "started_at": now(), "drill": "no_such"}
    assert coach.put(f"/blocks/{uuid6.uuid7()}", 422, **body)["errors"][0]["field"] == "drill"


def _later(coach, golfer, middle_mm, putts, days_ago, **more):
    told = Told(coach, golfer, days_ago=days_ago)
    block = told.block(told.lay(), putts, **more)
    told.ruler(block, on_marks(np.random.default_rng(9).normal(middle_mm, 10, putts)))
    return told


def test_what_is_left_on_another_day_is_told_by_putts_before_any_other(coach):
    told, station = aimed_right(coach, days_ago=20)
    held = chosen(coach, told.id)

    def left():
        return coach.get(f"/lessons/{told.id}/change")["held"][0]["left"]

    retested(told, station, held, 30, 0)
    assert left() == ""
    # With a guide in view, or on the same day, nobody knows what is left.
    _later(coach, told.golfer, 0, 20, 19.5)
    _later(coach, told.golfer, 0, 20, 12, guided=True)
    assert left() == ""
    _later(coach, told.golfer, 1, 30, 8)
    assert left().startswith("On another day it is still there: ")
    _later(coach, told.golfer, 30, 30, 2)
    assert left().startswith("On another day most of it is gone: ")


def test_an_eye_that_is_trained_says_how_far_it_has_come_and_its_steps_have_an_end(coach):
    told, _ = aimed_right(coach, days_ago=20)
    held = chosen(coach, told.id, what="Keep the true line", kind="train_the_eye", proposal="train_the_eye")
    assert held["steps"] and held["ends"].startswith("It ends when") and held["trained"].startswith("Not begun")
    spot = chosen(coach, told.id, what="Spot", kind="cue", proposal="near_spot")
    assert spot["steps"] and spot["trained"] == ""
    for days_ago, about in ((20, 1.5), (12, 0.0), (4, 0.0)):
        lesson = coach.lesson(told.golfer, started_at=(datetime.now(UTC) - timedelta(days=days_ago)).isoformat())["id"]
        _sight(coach, lesson, about)
    said = next(it["trained"] for it in coach.get(f"/lessons/{told.id}/change")["held"] if it["id"] == held["id"])
    assert said.endswith("It has done its work.")


def _sight(coach, lesson, about):
    """A test in which a line looks straight at `about`, degrees."""
    at = now()
    id = str(uuid6.uuid7())
    coach.station(lesson)
    coach.put(f"/sight-tests/{id}", lesson_id=lesson, started_at=at)
    for n in range(30):
        angle = about + (n % 7 - 3) * 0.5
        looks = "left" if angle < about - 0.2 else "right" if angle > about + 0.2 else "straight"
        coach.put(f"/sight-trials/{uuid6.uuid7()}", test_id=id, raw={"true_deg": angle, "looks": looks}, taken_at=at)
    coach.put(f"/sight-tests/{id}/shown", ended_at=at)


def test_of_what_is_left_nothing_is_said_where_nobody_noted_how_far(coach):
    told = Told(coach)
    block = told.block(told.lay("no_rig", proof=None), 6, ("finish",))
    for finish in ("holed", "short", "past", "holed", "short", "past"):
        told.putt(block, UNWATCHED, finish=finish)
    assert course(coach, told.golfer)["leaves"] == []


def test_a_run_made_harder_counts_at_no_length_and_the_ten_without_help_always_do(coach):
    golfer = coach.golfer()["id"]

    def counted(code):
        made = course(coach, golfer)["made"]
        return sum(it["practice"]["of"] for it in made if it["length_m"] in code)

    run(coach, golfer, "two_or_four", [1] * 12)
    assert counted((1.5, 3.0, 4.5)) == 12
    # Passed: the next one is from further away.
    run(coach, golfer, "two_or_four", [1] * 12)
    assert counted((1.5, 3.0, 4.5)) == 12
    for _ in range(3):
        run(coach, golfer, "ten_without_help", [1] * 10)
    assert counted((2.0,)) == 30
    said = course(coach, golfer)["helpless"]
    assert said.endswith("10 of 10, 10 of 10. Whether it is more than at first can’t be told yet.")


def test_what_to_expect_is_told_from_the_starts_with_its_picture_and_what_parts_from_it(coach):
    lesson = coach.lesson()
    golfer = lesson["golfer_id"]
    nothing = coach.get(f"/golfers/{golfer}/expected")
    assert nothing["picture"] is None and nothing["round"] == "" and "Five putts" in nothing["words"]
    putted(coach, lesson, [0.005 * (n % 3 - 1) for n in range(20)])
    told = coach.get(f"/golfers/{golfer}/expected")
    assert "putts a round" in told["round"] and "from 2 m about" in told["words"] and told["worth"] == ""
    assert "From 20 putts with the start read" in told["basis"] and "an opinion" in told["basis"]
    assert len(told["left"]) == 3 and told["parts"] == [] and told["picture"]["shapes"]
    feet = coach.get(f"/golfers/{golfer}/expected", units="feet")
    assert "from 6 ft about" in feet["words"] and " m " not in feet["words"] and "cm" not in "".join(feet["left"])
    # A round in which none of many short ones fell parts from what such starts make likely.
    holes = [{"first_m": 1.0, "putts": 2, "side": "", "pace": ""} for _ in range(18)]
    for _ in range(2):
        coach.put(f"/rounds/{uuid6.uuid7()}", golfer_id=golfer, holes=holes, played_at=now())
    parted = coach.get(f"/golfers/{golfer}/expected")
    assert any("on the course 0 of 36 were holed, fewer than" in it for it in parted["parts"])
    # A stricter hole holes less.
    coach.put("/schools/capture", school="free_fall")
    strict = coach.get(f"/golfers/{golfer}/expected")
    assert "free" in strict["basis"] and strict["round"] != parted["round"]
