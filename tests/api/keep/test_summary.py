"""A lesson as it is taken home: it says what the other pages say, and prints on one or two sheets."""

import re

import pytest
import uuid6

from libella.words.shared.plain import plainly
from tests.api.change.test_changes import aimed_right, chosen
from tests.api.change.test_practice import planned
from tests.conftest import now


@pytest.fixture
def taken(coach):
    told, _ = aimed_right(coach)
    coach.put(f"/lessons/{told.id}/complaint", misses=["right"], from_m=2.0)
    chosen(coach, told.id, feel="Look at the spot last.")
    planned(coach, told.id)
    return told


def summary(coach, lesson):
    return coach.get(f"/lessons/{lesson}/summary")


def test_a_lesson_on_one_page_says_what_the_other_pages_say(coach, taken):
    it = summary(coach, taken.id)
    assert it["found"][0] == coach.get(f"/lessons/{taken.id}/findings")["for_golfer"]
    held = coach.get(f"/lessons/{taken.id}/change")["held"][0]
    assert it["change"] == [held["what"], held["feel"], held["words"]] and it["missing"] == ""
    plan = coach.get(f"/golfers/{taken.golfer}/practice-plan")
    first = [one for one in plan["sessions"] if one["week"] == 1]
    assert len(it["week"]) == len(first)
    for line, one in zip(it["week"], first, strict=True):
        assert all(item["words"].rstrip(".") in line for item in one["items"])
    drills = {drill["code"]: drill for drill in coach.get("/drills")}
    code = next(item["drill"] for one in first for item in one["items"] if item["kind"] == "drill")
    assert it["drill"]["name"] == drills[code]["name"] and it["drill"]["goal"] == drills[code]["goal"]
    assert it["first_check"] == held["retest_words"] and it["complaint"].startswith("You miss right")
    assert any("neither medical advice nor a fitting" in one for one in it["cautions"])


def test_what_is_not_there_yet_is_said_and_the_golfers_limits_are_minded(coach):
    golfer = coach.golfer(limits=["knee"])["id"]
    told, _ = aimed_right(coach, golfer)
    it = summary(coach, told.id)
    assert it["missing"].startswith("Nothing is planned yet") and it["drill"] is None and it["week"] == []
    assert "No drill on one foot." in it["cautions"]


def test_an_older_lessons_sheet_does_not_speak_of_what_came_later(coach, taken):
    later, _ = aimed_right(coach, taken.golfer)
    chosen(coach, later.id, what="Wide base", kind="set_up")
    planned(coach, later.id)
    assert "Wide base" in summary(coach, later.id)["change"]
    assert summary(coach, taken.id)["change"][0] == "Aim over a spot" and summary(coach, taken.id)["week"] == []


def test_the_coach_adds_words_and_they_are_printed(coach, client, taken):
    assert coach.put(f"/lessons/{taken.id}/sheet-note", note="  Well done. ")["note"] == "Well done."
    assert coach.put(f"/lessons/{taken.id}/sheet-note", 422, note="x" * 601)["errors"][0]["field"] == "note"
    for paper in ("a4", "letter"):
        for units in ("metric", "feet"):
            query = {"paper": paper, "units": units, "form": "svg"}
            answer = client.get(f"/api/lessons/{taken.id}/golfers-sheet", params=query)
            assert answer.status_code == 200 and int(answer.headers["x-sheets"]) <= 2
            said = answer.text + "".join(
                client.get(f"/api/lessons/{taken.id}/golfers-sheet", params=query | {"sheet": n}).text
                for n in range(2, int(answer.headers["x-sheets"]) + 1)
            )
            for part in ("What was found", "One change", "The drill", "The first week", "Well done.", "Mind"):
                assert part in said, (paper, units, part)
            # Nothing is written beyond the paper's edge.
            width = float(re.search(r'width="([\d.]+)mm"', answer.text).group(1))
            assert all(float(x) < width for x in re.findall(r'<text x="([\d.]+)"', said))
    pdf = client.get(f"/api/lessons/{taken.id}/golfers-sheet")
    assert pdf.content.startswith(b"%PDF") and pdf.headers["content-type"] == "application/pdf"


def test_the_sheet_of_a_voided_lesson_takes_no_more_words(coach, taken):
    coach.put(f"/lessons/{taken.id}/voided", voided=True, reason="test")
    coach.put(f"/lessons/{taken.id}/sheet-note", 409, note="Late.")
    coach.get(f"/lessons/{uuid6.uuid7()}/summary", 404)


def test_whoever_starts_out_reads_no_degrees(coach, client):
    golfer = coach.golfer(level="starting")["id"]
    told, _ = aimed_right(coach, golfer)
    chosen(coach, told.id)
    planned(coach, told.id)
    it = summary(coach, told.id)
    said = [*it["found"], *it["change"], *it["week"], it["first_check"], it["drill"]["goal"], *it["drill"]["steps"]]
    assert not [one for one in said if "°" in one]
    # Not in its pictures either, nor on the station's sheet behind it.
    assert "°" not in client.get(f"/api/lessons/{told.id}/summary").text
    ask = f"/api/lessons/{told.id}/golfers-sheet"
    sheets = int(client.get(ask, params={"form": "svg", "whole": True}).headers["x-sheets"])
    drawn = [client.get(ask, params={"form": "svg", "whole": True, "sheet": n + 1}).text for n in range(sheets)]
    assert sheets > 1 and not [one for one in drawn if "°" in one]
    assert plainly("Within 0.5° either side.", "feet") == "Within a finger and a half’s width at 10 ft either side."
    assert plainly("It points 1.6° right.", "metric") == "It points a hand’s width at 3 m right."


def test_station_and_card_come_behind_the_sheet(coach, client, taken):
    at = {"lesson_id": taken.id}
    coach.put(f"/set-ups/{uuid6.uuid7()}", **at, values={"stance_m": 0.3}, taken_at=now())
    coach.put(f"/set-up-cards/{uuid6.uuid7()}", **at, note="narrow", kept_at=now())
    ask = f"/api/lessons/{taken.id}/golfers-sheet"
    alone, whole = (client.get(ask, params={"form": "svg", "whole": it}) for it in (False, True))
    sheets = int(whole.headers["x-sheets"])
    assert alone.text == whole.text and sheets >= int(alone.headers["x-sheets"]) + 2
    told = [client.get(ask, params={"form": "svg", "whole": True, "sheet": n + 1}).text for n in range(sheets)]
    assert "Kit check" in "".join(told) and "Stand like this" in told[-1]


def test_a_lessons_papers_have_its_units_whoever_prints_them(coach, client, taken):
    """A coach in feet printed for a golfer in metres what no two of their pages said alike."""
    lesson = coach.get(f"/lessons/{taken.id}")["lesson"]
    ask = f"/api/lessons/{taken.id}/golfers-sheet"
    printed = client.get(ask, headers={"libella-units": "feet"})
    assert "a4" in printed.headers["content-disposition"] and lesson["units"] == "metric"
    told = {
        name: lesson[name] for name in ("golfer_id", "place", "surface", "green_speed_ft", "started_at", "conditions")
    }
    coach.put(f"/lessons/{taken.id}", 200, **told, seen=told, units="feet")
    assert summary(coach, taken.id)["units"] == "feet"
    assert "letter" in client.get(ask).headers["content-disposition"]
    # What says nothing of them leaves them.
    coach.put(f"/lessons/{taken.id}", 200, **told | {"conditions": "damp"}, seen=told)
    assert summary(coach, taken.id)["units"] == "feet"
    assert " ft" in str(summary(coach, taken.id)["drill"]) and " cm" not in str(summary(coach, taken.id)["drill"])
