"""Drills, runs and plans: kept, scored by the honest goal, planned for the days there are, planned anew."""

from datetime import UTC, datetime, timedelta
from zoneinfo import ZoneInfo

import pytest
import uuid6

from libella.core.change.drills import drills
from libella.core.change.goal import CountGoal, LevelGoal, ShareGoal
from tests.api.change.test_changes import aimed_right, chosen
from tests.conftest import now


def run(coach, golfer, drill, done=(), status=(200, 201), **more):
    body = {"golfer_id": golfer, "drill": drill, "done": done, "done_at": now()}
    return coach.put(f"/drill-runs/{uuid6.uuid7()}", status, **body | more)


def planned(coach, lesson, minutes=(15.0, 15.0, 30.0), weeks=4, days_ago=0.0, status=(200, 201)):
    starts = (datetime.now(UTC) - timedelta(days=days_ago)).isoformat()
    body = {"lesson_id": lesson, "minutes": minutes, "weeks": weeks, "starts_at": starts, "made_at": now()}
    return coach.put(f"/practice-plans/{uuid6.uuid7()}", status, **body)


def test_every_drill_is_there_with_its_station_and_those_that_serve_first(coach):
    found = coach.get("/drills", serves="strike")
    assert len(found) >= 24 and {it["code"] for it in found[:2]} == {"clean_roll", "peg_and_ball"}
    assert all(it["stage"]["shapes"] and it["goal"] and it["dose"] for it in found)
    coach.put("/bag", parts={"ball": 3})
    assert next(it for it in coach.get("/drills") if it["code"] == "peg_and_ball")["lacking"]


def test_every_drill_that_is_putted_can_be_laid_in_a_lesson_as_it_is_drawn(coach):
    lesson = coach.lesson()["id"]
    for it in coach.get("/drills"):
        if it["event"] == "putt":
            laid = {name: value for name, value in it["laid"].items() if name not in ("words", "proof")}
            made = coach.put(f"/stations/{uuid6.uuid7()}", **laid, lesson_id=lesson, laid_at=now())
            assert made["distance_m"] == it["laid"]["distance_m"] and made["words"] == it["laid"]["words"], it["code"]


def test_a_run_scores_itself_and_offers_harder_and_easier(coach):
    golfer = coach.golfer()["id"]
    first = run(coach, golfer, "clean_roll", [1] * 8 + [0] * 2)
    assert first["next"] == "again" and "The last run: 8 of 10." in first["words"]
    passed = run(coach, golfer, "clean_roll", [1] * 10)
    assert passed["next"] == "harder" and "Passed" in passed["words"]
    # After a pass the next step begins anew; two runs under it are easier again.
    for _ in range(2):
        under = run(coach, golfer, "clean_roll", [1] + [0] * 9)
    assert under["next"] == "easier"
    stands = {it["code"]: it["progress"] for it in coach.get("/drills", golfer_id=golfer)}
    assert stands["clean_roll"] == under["words"] and stands["lids"] == "Not run yet."
    again = coach.put(f"/drill-runs/{under['id']}/voided", voided=True)
    assert again["next"] == "again"


def test_a_drill_of_angles_takes_angles_alone(coach):
    golfer = coach.golfer()["id"]
    run(coach, golfer, "lids", [1, 0], 422)
    run(coach, golfer, "clean_roll", [], 422)
    told = run(coach, golfer, "lids", [], angles_deg=[0.0, 0.5, -0.5, 0.0, 0.25] * 4)
    assert told["next"] == "harder"
    assert run(coach, golfer, "no_such", [1], 422)["errors"][0]["field"] == "drill"


def test_a_coachs_own_drill_behaves_as_one_of_the_product(coach):
    golfer, id = coach.golfer()["id"], str(uuid6.uuid7())
    own = {"copied_from": "clean_roll", "name": "Marble", "times": 6, "minutes": 2, "goal": "count", "goal_size": 5}
    made = coach.put(f"/drills/{id}", **own)
    assert made["code"] == id and made["own"] and made["goal"] == "In one run 5 of 6." and made["steps"]
    assert run(coach, golfer, id, [1] * 5 + [0])["next"] == "harder"
    # Said again it is changed; what can't be is refused with its limit.
    assert coach.put(f"/drills/{id}", **own | {"name": "Marbles"})["name"] == "Marbles"
    for bad in ({"goal_size": 7}, {"goal": "share", "goal_size": 0.9}, {"times": 90}, {"copied_from": "none"}):
        assert coach.put(f"/drills/{id}", 422, **own | bad)["errors"][0]["limit"]
    assert coach.put(f"/drills/{id}/retired", voided=True)["retired"]
    told, _ = aimed_right(coach, golfer)
    plan = planned(coach, told.id)
    assert all(item["drill"] != id for one in plan["sessions"] for item in one["items"])


def test_a_plan_fits_its_days_says_why_and_what_it_could_not(coach):
    told, _ = aimed_right(coach)
    chosen(coach, told.id)
    plan = planned(coach, told.id)
    assert len(plan["sessions"]) == 12 and plan["next"] == 1 and plan["worked"].startswith("It works on ")
    for one in plan["sessions"]:
        assert sum(it["minutes"] for it in one["items"]) <= 30 * 8 / 9
        assert all(it["why"] and it["words"] for it in one["items"])
    kinds = [it["kind"] for one in plan["sessions"] for it in one["items"]]
    assert kinds.count("retest") == 2 and kinds.count("retention") == 4
    short = planned(coach, told.id, (5.0,), 2)
    assert any("no retest. It takes" in it for it in short["unmet"])
    assert coach.get(f"/golfers/{told.golfer}/practice-plan")["id"] == short["id"]
    refused = planned(coach, told.id, (3.0,), status=422)
    assert refused["errors"][0]["field"] == "minutes.0" and "5" in refused["errors"][0]["limit"]


def test_what_was_done_is_ticked_and_what_was_missed_is_moved_not_piled_up(coach):
    told, _ = aimed_right(coach, days_ago=9)
    plan = planned(coach, told.id, days_ago=9)
    angles = {it["code"] for it in coach.get("/drills") if it["angles"]}
    first, drill = next(
        (one, it["drill"]) for one in plan["sessions"] for it in one["items"] if it["drill"] not in {"", *angles}
    )
    run(coach, told.golfer, drill, [1] * 5, plan_id=plan["id"], number=first["number"])
    stands = coach.get(f"/golfers/{told.golfer}/practice-plan")
    assert stands["sessions"][first["number"] - 1]["done"] and stands["missed_words"]
    assert sum(it["missed"] for it in stands["sessions"]) >= 2
    again = coach.put(f"/practice-plans/{uuid6.uuid7()}/on-from/{plan['id']}")
    # The weeks that are left, from today on, none longer than it was.
    assert again["sessions"][0]["day"] == datetime.now(UTC).date().isoformat()
    assert not any(it["missed"] for it in again["sessions"])
    assert [it["week"] for it in again["sessions"]] == [2] * 3 + [3] * 3 + [4] * 3
    assert all(sum(it["minutes"] for it in one["items"]) <= 30 * 8 / 9 for one in again["sessions"])
    gone = coach.put(f"/practice-plans/{again['id']}/voided", voided=True)
    assert gone["id"] == again["id"]
    assert coach.get(f"/golfers/{told.golfer}/practice-plan")["id"] == plan["id"]


def test_the_calendar_has_a_day_for_each_session_and_no_line_is_too_long(coach, client):
    told, _ = aimed_right(coach)
    plan = planned(coach, told.id)
    answer = client.get(f"/api/practice-plans/{plan['id']}/calendar")
    assert answer.headers["content-type"].startswith("text/calendar")
    lines = answer.content.decode().split("\r\n")
    held = [one for one in plan["sessions"] if one["items"]]
    assert lines.count("BEGIN:VEVENT") == lines.count("END:VEVENT") == len(held)
    assert all(len(it.encode()) <= 75 for it in lines) and lines[-1] == ""
    whole = answer.content.decode().replace("\r\n ", "")
    for one in held:
        assert f"DTSTART;VALUE=DATE:{one['day'].replace('-', '')}" in whole
        escaped = one["items"][0]["words"].replace(",", "\\,").replace(";", "\\;")
        assert escaped in whole


def _told(it, *, wanted):
    """A whole run, every one as wanted or none; by angles where the drill is of angles."""
    if it["angles"]:
        return {"done": [], "angles_deg": [0.0 if wanted else 4.0] * it["times"]}
    return {"done": [int(wanted)] * it["times"]}


@pytest.mark.parametrize("code", drills())
def test_every_drill_is_run_judged_and_offers_harder_and_easier_and_a_copy_does_alike(coach, code):
    one, other = coach.golfer()["id"], coach.golfer()["id"]
    it = next(one for one in coach.get("/drills") if one["code"] == code)
    assert it["stage"]["shapes"] and it["stage"]["words"] and it["times"] >= 3
    goal = drills()[code].goal
    kind, size = {
        ShareGoal: lambda: ("share", goal.share),
        CountGoal: lambda: ("count", goal.times),
        LevelGoal: lambda: ("level", goal.within_deg),
    }[type(goal)]()
    own = {"copied_from": code, "name": "Of my own", "times": it["times"], "minutes": 2, "goal": kind}
    copy = coach.put(f"/drills/{uuid6.uuid7()}", **own, goal_size=size)
    assert (copy["goal"], copy["steps"], copy["stage"]) == (it["goal"], it["steps"], it["stage"])
    assert (copy["harder"], copy["indoors"], copy["lengths"]) == (it["harder"], it["indoors"], it["lengths"])
    said = []
    for golfer, of in ((one, it), (other, copy)):
        found = [run(coach, golfer, of["code"], **_told(it, wanted=it_was)) for it_was in (True, True, False, False)]
        said.append([(answer["next"], answer["words"]) for answer in found])
    # A copy is told as what it is copied from.
    assert said[0] == said[1]
    assert said[0][0][0] in ("harder", "again") and said[0][-1][0] == "easier"
    assert "harder" in {step for step, _ in said[0]}
    if it["event"] != "round":
        assert it["harder"] and it["easier"]
        assert any("Passed: now" in words for _, words in said[0]) and "now " in said[0][-1][1]


def test_a_run_belongs_to_a_plan_of_its_own_golfer(coach):
    told, _ = aimed_right(coach)
    plan = planned(coach, told.id)
    refused = run(coach, coach.golfer()["id"], "clean_roll", [1] * 5, 409, plan_id=plan["id"], number=1)
    assert "another golfer" in refused["detail"]


def test_a_drill_that_narrows_is_laid_a_step_narrower_once_it_is_passed(coach):
    golfer = coach.golfer()["id"]

    def laid():
        it = next(one for one in coach.get("/drills", golfer_id=golfer) if one["code"] == "peg_and_ball")
        return next(one["sizes"]["inside_width_m"] for one in it["laid"]["aids"] if one["kind"] == "putter_gate")

    before = laid()
    run(coach, golfer, "peg_and_ball", [1] * 15)
    assert laid() == pytest.approx(before - 0.004)
    for _ in range(2):
        run(coach, golfer, "peg_and_ball", [0] * 15)
    assert laid() == pytest.approx(before)


def test_days_are_the_persons_own_and_a_plan_starts_no_earlier_than_its_lesson(coach):
    told, _ = aimed_right(coach)
    body = {"lesson_id": told.id, "minutes": [10.0] * 7, "weeks": 1, "starts_at": now(), "made_at": now()}
    days = {}
    for zone in ("Pacific/Kiritimati", "Pacific/Pago_Pago"):
        made = coach.put(f"/practice-plans/{uuid6.uuid7()}", **body, zone=zone)
        assert made["sessions"][0]["day"] == datetime.now(ZoneInfo(zone)).date().isoformat()
        assert len(made["sessions"]) == 7
        days[zone] = made["sessions"][0]["day"]
    # Somewhere it is tomorrow already: fourteen and minus eleven hours are never the same day.
    assert len(set(days.values())) == 2
    assert coach.put(f"/practice-plans/{uuid6.uuid7()}", 422, **body, zone="Mars/Base")["errors"][0]["field"] == "zone"
    early = body | {"starts_at": "1970-01-01T00:00:00Z"}
    assert coach.put(f"/practice-plans/{uuid6.uuid7()}", 422, **early)["errors"][0]["field"] == "starts_at"


def test_what_was_chosen_is_what_is_practised_and_taken_home(coach):
    told, _ = aimed_right(coach)
    chosen(coach, told.id, what="Say the start", kind="routine", asks="finish", cause="read", proposal="say_the_read")
    plan = planned(coach, told.id)
    drilled = [it["drill"] for one in plan["sessions"] for it in one["items"] if it["drill"]]
    assert "both_breaks" in drilled
    sheet = coach.get(f"/lessons/{told.id}/summary")
    assert sheet["drill"]["code"] == "both_breaks" and sheet["change"][0] == "Say the start"


def test_a_run_stopped_half_way_is_not_passed(coach):
    golfer = coach.golfer()["id"]
    assert run(coach, golfer, "clean_roll", [1] * 9)["next"] == "again"
    assert run(coach, golfer, "clean_roll", [1] * 10)["next"] == "harder"
