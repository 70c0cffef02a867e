"""Schools over the wire: declared for coach and golfer, each with its rival; what was read stands above them."""

import pytest
import uuid6

from libella.core.schools.held import DISAGREEMENTS

from ..aim.test_aims import degrees
from ..judge.test_findings import found, putted

ABOUT = {"coach", "golfer", "held", "by", "by_words", "words", "stands", "also_at"}


def one(told, code):
    return next(it for it in told["disagreements"] if it["code"] == code)


@pytest.mark.parametrize("whose", ["coach", "golfer"])
def test_every_school_can_be_declared_is_told_with_its_rivals_and_dropped_again(coach, whose):
    lesson = coach.lesson()
    at, seen = f"/golfers/{lesson['golfer_id']}/schools", f"/lessons/{lesson['id']}/schools"
    before = coach.get(seen)
    assert all(it["held"] == "" and it["by"] is None and it["words"] == "" for it in before["disagreements"])
    assert set(before["settings"].values()) == {None}
    for code, of in DISAGREEMENTS.items():
        path = f"/schools/{code}" if whose == "coach" else f"{at}/{code}"
        for school in of.schools:
            coach.put(path, school=school)
            told = coach.get(seen)
            it = one(told, code)
            assert (it["held"], it["by"], it[whose]) == (school, whose, school)
            assert it["words"] and len(it["schools"]) > 1 and all(side["words"] for side in it["schools"])
            # Nothing else is moved by it.
            others = [(now, was) for now, was in zip(told["disagreements"], before["disagreements"], strict=True)]
            assert all(now == was for now, was in others if now["code"] != code)
        coach.put(path, school="")
        assert coach.get(seen) == before


def test_what_nobody_disagrees_on_and_no_side_of_it_are_refused(coach):
    assert coach.put("/schools/weather", 422, school="wet")["errors"][0]["field"] == "disagreement"
    refused = coach.put("/schools/pace", 422, school="hard")["errors"][0]
    assert refused["field"] == "school" and "die" in refused["limit"]
    coach.put(f"/golfers/{uuid6.uuid7()}/schools/pace", 404, school="die")


def test_a_school_orders_what_is_offered_and_says_that_it_did(coach):
    lesson = coach.lesson()
    coach.station(lesson["id"])
    degrees(coach, lesson, "face", [1.7, 1.7, 1.8, 1.7, 1.6, 1.7, 1.7, 1.7])
    putted(coach, lesson, [0.075 + 0.005 * (n % 3 - 1) for n in range(20)])

    def offered():
        told = coach.get(f"/lessons/{lesson['id']}/change")
        return next(it["proposals"] for it in told["offers"] if it["cause"] == "face_aim")

    usual = [it["code"] for it in offered()]
    assert not any(it["decided_by"] for it in offered())
    coach.put(f"/golfers/{lesson['golfer_id']}/schools/face_at_address", school="may_stay")
    coach.put("/schools/cue", school="spot")
    first = offered()[:2]
    assert {it["code"] for it in first} == {"offset_stays", "near_spot"}
    assert usual[0] not in {it["code"] for it in first}
    assert {of for it in first for of in it["decided_by"]} == {"face_at_address", "cue"}
    # That the starts lie off all the same stands beside it; where nobody teaches it, it comes last.
    assert usual[-1] == "offset_stays"
    assert any("right" in one for it in first if it["code"] == "offset_stays" for one in it["against"])
    coach.put("/schools/cue", school="line")
    assert offered()[-1]["code"] == "near_spot"


def test_what_was_read_of_the_golfer_stands_above_the_school(coach):
    lesson = coach.lesson()
    coach.station(lesson["id"])
    degrees(coach, lesson, "face", [1.7, 1.7, 1.8, 1.7, 1.6, 1.7, 1.7, 1.7])
    putted(coach, lesson, [0.005 * (n % 3 - 1) for n in range(20)])
    coach.put("/schools/face_at_address", school="square")
    it = one(coach.get(f"/lessons/{lesson['id']}/schools"), "face_at_address")
    assert it["told_school"] == "may_stay" and it["told_sure"] in ("clear", "likely")
    assert "the starts have nothing to mend" in it["told"] and "stands above it" in it["stands"]
    # The same on the golfer's own page.
    assert one(coach.get(f"/golfers/{lesson['golfer_id']}/schools"), "face_at_address")["told"] == it["told"]
    unread = one(coach.get(f"/lessons/{lesson['id']}/schools"), "dose")
    assert unread["told_sure"] is None and unread["stands"] == ""


def test_measured_numbers_are_the_same_under_opposite_schools(coach):
    """What is advised may differ; where readings lie, and of how many, may not."""
    lesson = coach.lesson()
    coach.station(lesson["id"])
    degrees(coach, lesson, "face", [1.7, 1.7, 1.8, 1.7, 1.6, 1.7, 1.7, 1.7])
    putted(coach, lesson, [0.075 + 0.005 * (n % 3 - 1) for n in range(20)])

    def measured():
        told = found(coach, lesson)
        return [(it["name"], it["count"], it["vial"] and it["vial"]["bubble_at"]) for it in told["read"]]

    def held(n):
        for of in DISAGREEMENTS.values():
            schools = list(of.schools)
            coach.put(f"/schools/{of.code}", school=schools[n % len(schools)])
        return coach.get(f"/lessons/{lesson['id']}/change")["offers"]

    first, numbers = held(0), measured()
    other = held(1)
    assert sorted(measured()) == sorted(numbers)
    assert [it["code"] for one in first for it in one["proposals"]] != [
        it["code"] for one in other for it in one["proposals"]
    ]


def test_a_schools_line_and_gate_are_proposed_first_and_its_lengths_weighed(coach):
    golfer = coach.golfer()
    wanted = {"measures": "start", "distance_m": 3.0, "past_m": 0.3, "green_speed_ft": 10.0, "golfer": golfer["id"]}

    def proposed():
        answer = coach.client.post("/api/stations/propose", json=wanted)
        assert answer.status_code == 200, answer.text
        return answer.json()

    usual = proposed()
    coach.put("/schools/line_by", school="chalk")
    coach.put("/schools/gate", school="far")
    now = proposed()
    assert now[0]["kind"] == "chalk_line" != usual[0]["kind"]
    gate = next(it for it in now if it["kind"] == "peg_gate")
    assert gate["sizes"]["distance_m"] == pytest.approx(1.1)
    lengths = [it["distance_m"] for it in coach.get(f"/golfers/{golfer['id']}")["usual_lengths"]]
    coach.put(f"/golfers/{golfer['id']}/schools/lengths", school="long")
    assert [it["distance_m"] for it in coach.get(f"/golfers/{golfer['id']}")["usual_lengths"]] != lengths


def test_one_line_for_all_holds_a_club_golfer_to_the_bands_of_the_best(coach):
    lesson = coach.lesson()
    putted(coach, lesson, [0.01 + 0.005 * (n % 3 - 1) for n in range(12)])
    bands = [it["band"] for it in found(coach, lesson)["links"]]
    coach.put("/schools/levels", school="one")
    assert [it["band"] for it in found(coach, lesson)["links"]] != bands
    coach.put("/schools/levels", school="scaled")
    assert [it["band"] for it in found(coach, lesson)["links"]] == bands
