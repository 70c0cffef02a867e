"""A lesson judged whole over the API: from set-downs alone, from putts, kept, answered, one voice on every page."""

import math
from uuid import UUID

import pytest
import uuid6

from libella.core.judge.disturbed import DISTURBANCES
from libella.core.judge.findings.ranked import RULES
from libella.lessons.judge.findings import judge_whole
from libella.lessons.judge.ledger import ledger_of
from libella.lessons.lesson.lessons import lesson_sheet

from ...conftest import now
from ..aim.test_aims import degrees
from .lessons import Told

RIGHT = [1.6, 1.9, 1.5, 1.7, 1.8, 1.6, 1.7]


def found(coach, lesson):
    return coach.get(f"/lessons/{lesson['id']}/findings")


def putted(coach, lesson, offsets, **more):
    block = coach.block(lesson=lesson, planned=len(offsets), **more)
    for offset in offsets:
        coach.putt(block["id"], {"offset_m": offset})
    return block


def test_an_empty_lesson_has_nothing_to_say_and_says_so(coach):
    it = found(coach, coach.lesson())
    assert (
        it["headline"] == "Nothing to judge yet." and it["links"] == [] and it["first"] == [] and it["picture"] is None
    )
    assert {one["cause"] for one in it["more"]} == set(RULES)


def test_a_clear_answer_from_aim_is_judged_without_a_putt(coach):
    lesson = coach.lesson()
    coach.station(lesson["id"])
    degrees(coach, lesson, "face", RIGHT)
    it = found(coach, lesson)
    assert it["word"] in ("clear", "likely") and it["first"][0]["cause"] == "face_aim"
    assert "if the stroke adds nothing" in it["meaning"]
    [fact] = it["first"][0]["speaks_for"]
    assert fact["step"] == "aim" and "right" in fact["words"]
    assert it["picture"] and [one["name"] for one in it["links"]] == ["face_aim"]
    # Every voice of the lesson says the same side.
    assert "right" in it["headline"] and "right" in coach.get(f"/lessons/{lesson['id']}")["aim"]


def test_an_aim_that_the_stroke_takes_back_is_a_compensation(coach):
    lesson = coach.lesson()
    coach.station(lesson["id"])
    degrees(coach, lesson, "face", RIGHT)
    putted(coach, lesson, [0.005 * (n % 5 - 2) for n in range(15)])
    it = found(coach, lesson)
    assert it["first"][0]["cause"] == "compensation" and "fewer" in it["meaning"]


def test_a_line_found_off_puts_right_what_was_read_against_it_and_is_the_finding(coach):
    """The same 1.5° in the aim and in the starts: not the golfer's, the line's."""
    lesson = coach.lesson()
    station = coach.station(lesson["id"], proved=False)
    degrees(coach, lesson, "face", [-1.6, -1.4, -1.5, -1.7, -1.3, -1.5, -1.5], station_id=station["id"])
    body = {"station_id": station["id"], "condition": "as usual", "guided": False, "planned": 12, "started_at": now()}
    block = coach.put(f"/blocks/{uuid6.uuid7()}", **body)
    for n in range(12):
        coach.putt(block["id"], {"offset_m": -0.025 + 0.005 * (n % 3 - 1)})
    assert "left" in found(coach, lesson)["headline"]
    coach.prove(station["id"], measured=[{"at_m": 1, "beside_m": 0.026}, {"at_m": 2, "beside_m": 0.052}])
    it = found(coach, lesson)
    assert it["first"][0]["cause"] == "rig" and "The line lay 1.5° right" in it["headline"]
    assert coach.get(f"/lessons/{lesson['id']}/aim")["sheets"][0]["found"]["summary"]["bias"]["value"] < 0.5
    assert all(one["cause"] != "face_aim" for one in it["first"])


def test_what_the_coach_says_stands_beside_what_the_tool_says(coach):
    lesson = coach.lesson()
    coach.station(lesson["id"])
    degrees(coach, lesson, "face", RIGHT)
    said = {"lesson_id": lesson["id"], "cause": "face_aim", "answered_at": now()}
    for answer in ("rejected", "overridden"):
        refused = coach.put(f"/finding-answers/{uuid6.uuid7()}", 422, **said, answer=answer)
        assert refused["errors"][0]["field"] == "words"
    id = uuid6.uuid7()
    body = said | {"answer": "rejected", "words": "the putter was bent"}
    kept = coach.put(f"/finding-answers/{id}", **body)
    assert kept == coach.put(f"/finding-answers/{id}", **body)
    coach.put(f"/finding-answers/{id}", 409, **body | {"words": "something else"})
    first = found(coach, lesson)["first"][0]
    assert (
        first["answer"]["said"] == "Rejected: the putter was bent" and "The tool said then: " in first["answer"]["then"]
    )
    # The tool's own view does not change for being rejected.
    assert first["word"] in ("clear", "likely")
    coach.put(f"/finding-answers/{id}/voided", voided=True)
    assert found(coach, lesson)["first"][0]["answer"] is None
    coach.put(f"/lessons/{lesson['id']}/voided", reason="a test")
    coach.put(f"/finding-answers/{uuid6.uuid7()}", 409, **body)


def test_the_answer_is_kept_and_made_anew_when_a_putt_is_voided(coach, engine):
    lesson = coach.lesson()
    block = putted(coach, lesson, [0.03 + 0.005 * (n % 3) for n in range(12)])
    before = found(coach, lesson)
    assert before == found(coach, lesson)
    reading = coach.get(f"/lessons/{lesson['id']}")["blocks"][0]["readings"][0]["id"]
    coach.put(f"/readings/{reading}/voided", reason="slipped")
    assert found(coach, lesson)["links"][-1]["readings"] == before["links"][-1]["readings"] - 1 == 11
    assert block["id"]


def test_only_how_putts_finished_is_told_before_any_word_on_line(coach):
    lesson = coach.lesson()
    block = coach.block(lesson=lesson, planned=6, asks=["finish"])
    for _ in range(6):
        coach.putt(block["id"], {"offset_m": 0.0}, notes={"finish": "short"})
    it = found(coach, lesson)
    # Said once: where it is the headline it stands in no other place.
    assert it["headline"].startswith("6 of 6 short.") and it["pace"] == ""
    assert it["misses_words"] == "6 missed: 6 by the pace."


def test_newer_rules_say_what_they_changed(coach, monkeypatch):
    lesson = coach.lesson()
    putted(coach, lesson, [0.03 + 0.005 * (n % 3 - 1) for n in range(12)])
    before = found(coach, lesson)
    assert before["rules_changed"] == ""
    monkeypatch.setattr("libella.lessons.desk.kept.rules", lambda: "newer rules, the same words")
    assert found(coach, lesson)["rules_changed"] == ""
    monkeypatch.setattr("libella.lessons.desk.kept.rules", lambda: "newer rules, other words")
    monkeypatch.setattr("libella.words.judge.chosen.headline_said", lambda *_: "Something else.")
    after = found(coach, lesson)
    assert after["headline"] == "Something else." and before["headline"] in after["rules_changed"]
    # Once something was read since, it is another question.
    putted(coach, lesson, [0.03] * 3)
    assert found(coach, lesson)["rules_changed"] == ""


def test_a_way_that_was_tried_beside_the_usual_one_is_set_beside_it(coach):
    told = Told(coach)
    station = told.lay()
    told.ruler(told.block(station, 10), (20, 25, 15, 20, 25, 20, 15, 25, 20, 20))
    tried = told.block(station, 10, factors={"trial": "soft hands"}, condition="soft hands")
    told.ruler(tried, (5, 0, 10, 5, 0, -5, 5, 0, 10, 5))
    said = coach.get(f"/lessons/{told.id}/findings")
    assert said["headline"].startswith("Starts 1.2° right")
    assert said["also"][0].startswith("“soft hands” against “as usual”: start 1.0° further left")
    assert "now nothing to mend" in said["also"][0]


def test_what_disturbed_a_block_is_in_the_doubt_of_what_its_lesson_claims(coach, application):
    block = coach.block(planned=8)
    for n in range(8):
        coach.putt(block["id"], {"offset_m": 0.01 * (n % 3)})
    lesson = UUID(block["lesson_id"])
    plain = level_of_starts(application, lesson)
    coach.put(f"/blocks/{block['id']}/circumstances", disturbances=["wind", "tired"])
    disturbed = level_of_starts(application, lesson)
    by = math.hypot(DISTURBANCES["wind"], DISTURBANCES["tired"])
    assert disturbed.shared == pytest.approx(math.hypot(plain.shared, by)) and by > 0.1
    assert disturbed.bias.doubt > plain.bias.doubt


def level_of_starts(application, lesson):
    [told] = [it for it in judge_whole(application.state.desk(), lesson).judged.reads if it.quantity.name == "start"]
    return told


def test_whether_the_line_is_proved_is_asked_of_what_was_read_against_it(coach):
    """How putts roll is no matter of the line: nobody is sent to prove it for that."""
    rolled = coach.block("no_rig", asks=["roll"])
    for _ in range(4):
        coach.putt(rolled["id"], {"start": "not_watched"}, notes={"roll": "skid"})
    started = coach.block()
    coach.putt(started["id"], {"offset_m": 0.01})
    counts = [coach.get(f"/lessons/{it['lesson_id']}/findings")["line_counts"] for it in (rolled, started)]
    assert counts == [False, True]


def test_what_was_missed_on_a_break_is_no_miss_of_the_level_putts(coach):
    """More misses in the lesson than putts of the golfer's usual way: every page still answers, and counts its own."""
    told = Told(coach)
    string = {"distance_m": 0.5, "line_m": 1.8, "string_height_m": 0.2, "behind_m": 0.7}
    read = {"place": "outside", "side": "right", "outside_m": 0.1}
    level = told.lay("raised_string", string, distance_m=1.8)
    breaking = told.lay(
        "raised_string", string, distance_m=2.3, falls_right_percent=-1.5, falls_doubt_percent=0.1, read=read
    )
    for station, past in ((level, 2), (breaking, 5)):
        block = told.block(station, 6, ["finish", "ran_past_m"], guided=True)
        for n in range(6):
            missed = {"finish": "past", "ran_past_m": 0.9}
            told.putt(block, {"line_on": "centre"}, **(missed if n < past else {"finish": "holed"}))
    for page in ("findings", "change", "schools", "summary", "finding-shown"):
        coach.get(f"/lessons/{told.id}/{page}")
    lesson = coach.get(f"/lessons/{told.id}/findings")
    [pace] = [it for it in [*lesson["first"], *lesson["more"]] if it["cause"] == "read_and_pace"]
    assert any("2 of 6 that surely started inside" in it["words"] for it in pace["speaks_for"]), pace


def test_what_others_wrote_while_a_page_was_made_is_there_on_the_next(coach, desk):
    """Rows that a page holds may be older than the mark of the golfer that it sees later: of it nothing is kept."""
    lesson = coach.lesson()
    station = coach.station(lesson["id"], proved=False)
    body = {"station_id": station["id"], "condition": "as usual", "guided": False, "planned": 6, "started_at": now()}
    block = coach.put(f"/blocks/{uuid6.uuid7()}", **body)
    for _ in range(6):
        coach.putt(block["id"], {"offset_m": 0.03})
    id = UUID(lesson["id"])
    with desk.together() as whole:
        # It holds the plan as it stood before somebody proved it.
        ledger_of(whole, lesson_sheet(whole, id))
        coach.prove(station["id"])
        judge_whole(whole, id)
    assert judge_whole(desk, id).ledger.proved
