"""Tests of what looks straight through the API: begun, answered, hidden, shown, compared, refused."""

import pytest
import uuid6

from libella.core.see.fit import perceive
from libella.core.see.trial import Trial

from ...conftest import now
from ...core.see.test_perception import Seer


def begin(coach, lesson=None, id=None, **more):
    lesson = lesson or coach.lesson()
    return coach.put(f"/sight-tests/{id or uuid6.uuid7()}", lesson_id=lesson["id"], started_at=now(), **more)


def answer(coach, test, raw, id=None, status=(200, 201)):
    body = {"test_id": test["test"]["id"], "raw": raw, "taken_at": now()}
    return coach.put(f"/sight-trials/{id or uuid6.uuid7()}", status, **body)


def directions(coach, seer, n, lesson=None, **more):
    test = begin(coach, lesson, **more)
    for _ in range(n):
        angle = test["next"]["true_deg"]
        test = answer(coach, test, {"true_deg": angle, "looks": seer.looks(angle)})
    return test


def test_a_golfer_is_asked_until_it_is_known_and_then_it_is_shown(coach):
    # Which angles are asked follows from the id: with any other this golfer may be known well enough to be likely.
    test = directions(coach, Seer(1.4, noise=0.5, seed=2), 20, id="01900000-0000-7000-8000-000000000002")
    assert test["curve"] is None and test["test"]["ended_at"] is None
    shown = coach.put(f"/sight-tests/{test['test']['id']}/shown")
    found = shown["found"]["angle"]
    assert found["low"] <= 1.4 <= found["high"]
    # On a line nobody measured it may be the line that lies so.
    assert "right of true, can't tell yet" in shown["words"]["headline"]
    assert "one on the true line looks left" in shown["words"]["meaning"]
    assert shown["vial"]["bubble_at"] == pytest.approx(found["value"]) and shown["curve"]["shapes"]
    assert shown["next"] is None
    answer(coach, test, {"true_deg": 0, "looks": "left"}, status=409)
    again = coach.drop(f"/sight-tests/{test['test']['id']}/shown")
    assert again["next"] and again["curve"] is None


def test_the_next_angle_says_where_the_rods_end_lies_and_does_not_change_when_asked_again(coach):
    test = begin(coach, away_m=3.0)
    asked = test["next"]
    assert coach.get(f"/sight-tests/{test['test']['id']}")["next"] == asked
    assert asked["spot_m"] == pytest.approx(3.0 * asked["true_deg"] * 3.14159265 / 180, rel=0.02, abs=1e-9)


def test_an_answer_said_twice_is_one_and_a_slip_is_voided(coach):
    test, id = begin(coach), str(uuid6.uuid7())
    body = {"test_id": test["test"]["id"], "raw": {"true_deg": 1.0, "looks": "left"}, "taken_at": now()}
    coach.put(f"/sight-trials/{id}", **body)
    assert coach.put(f"/sight-trials/{id}", **body)["found"]["trials"] == 1
    coach.put(f"/sight-trials/{id}", 409, **body | {"raw": {"true_deg": 1.0, "looks": "right"}})
    voided = coach.put(f"/sight-trials/{id}/voided", voided=True)
    assert voided["found"]["trials"] == 0 and voided["trials"][0]["voided"]
    assert coach.put(f"/sight-trials/{id}/voided", voided=False)["found"]["trials"] == 1


def test_what_is_shown_is_what_the_kept_answers_say(coach):
    test = directions(coach, Seer(-0.8, seed=5), 12)
    trials = [it["raw"] for it in test["trials"]]
    assert {it["looks"] for it in trials} <= {"left", "straight", "right"}
    again = perceive([Trial(it["true_deg"], it["looks"]) for it in trials]).looks_straight
    assert test["found"]["angle"]["value"] == pytest.approx(again.value)


def test_a_rod_that_was_turned_and_a_place_pointed_to(coach):
    lesson = coach.lesson()
    turned = begin(coach, lesson, method="turn", away_m=2.0)
    assert turned["next"] is None
    for beside, side in (
        (0.05, "left"),
        (0.03, "right"),
        (0.04, "left"),
        (0.035, "right"),
        (0.045, "left"),
        (0.04, "right"),
    ):
        turned = answer(coach, turned, {"beside_m": beside, "seen_m": 0.005, "from_side": side})
    assert turned["found"]["angle"]["value"] == pytest.approx(1.15, abs=0.1)
    pointed = begin(coach, lesson, method="point", away_m=2.0)
    for _ in range(6):
        pointed = answer(coach, pointed, {"beside_m": 0.04, "seen_m": 0.01})
    # The line seems to run right, so a rod must point left to look straight.
    assert pointed["found"]["angle"]["value"] < -0.9 and pointed["vial"]["ticks"]


def test_two_conditions_are_set_against_each_other(coach):
    lesson = coach.lesson()
    for eyes, beta in (("both", 0.1), ("left", 2.4)):
        test = directions(coach, Seer(beta, noise=0.4, seed=7), 16, lesson, eyes=eyes)
        coach.put(f"/sight-tests/{test['test']['id']}/shown")
    found = coach.get(f"/lessons/{lesson['id']}/sights")
    assert [it["under"] for it in found["tests"]] == ["as usual", "as usual, left eye alone"]
    assert "truer as usual than as usual, left eye alone: clear" in found["compared"]


@pytest.mark.parametrize(
    ("raw", "field"),
    [
        ({"true_deg": 9, "looks": "left"}, "true_deg"),
        ({"true_deg": 1, "looks": "up"}, "raw.looks"),
        ({"looks": "left"}, "raw"),
        ({"true_deg": "one", "looks": "left"}, "raw"),
        ({"beside_m": 0.1, "seen_m": 0.01}, "raw"),
    ],
)
def test_an_answer_that_makes_no_sense_is_refused(coach, raw, field):
    assert answer(coach, begin(coach), raw, status=422)["errors"][0]["field"] == field


def test_a_test_that_can_not_be_laid_is_refused(coach):
    lesson = coach.lesson()
    body = {"lesson_id": lesson["id"], "started_at": now()}
    refused = coach.put(f"/sight-tests/{uuid6.uuid7()}", 422, **body, away_m=40)
    assert refused["errors"][0]["field"] == "away_m" and refused["errors"][0]["unit"] == "m"
    turned = begin(coach, lesson, method="turn")
    far = answer(coach, turned, {"beside_m": 3, "seen_m": 0.01}, status=422)
    assert far["errors"][0]["field"] == "beside_m"
    coach.put(f"/lessons/{lesson['id']}/end", ended_at=now())
    answer(coach, turned, {"beside_m": 0.1, "seen_m": 0.01}, status=409)


def test_answers_all_alike_leave_it_open_and_contradictions_name_no_angle(coach):
    alike = begin(coach)
    for angle in (-2.0, -1.0, 0.0, 1.0, 2.0, 3.0):
        alike = answer(coach, alike, {"true_deg": angle, "looks": "left"})
    assert "how far is open" in alike["words"]["headline"] and alike["vial"]["bubble_at"] is None
    noisy = begin(coach)
    for n in range(16):
        noisy = answer(coach, noisy, {"true_deg": (n % 8 - 4) * 0.75, "looks": "left" if (n * 7) % 5 < 2 else "right"})
    assert noisy["found"]["too_noisy"] and "Too noisy" in noisy["words"]["headline"]


def test_a_doubted_answer_counts_less_of_either_way_of_asking(coach):
    told = directions(coach, Seer(1.4, noise=0.5, seed=2), 12, id="01900000-0000-7000-8000-000000000003")
    turned = begin(coach, method="turn")
    for beside in (0.03, 0.05, 0.04, 0.06, 0.05, 0.04):
        turned = answer(coach, turned, {"beside_m": beside, "seen_m": 0.005, "from_side": "left"})
    for test in (told, turned):
        before = test["found"]["angle"]
        for it in test["trials"]:
            test = coach.put(f"/sight-trials/{it['id']}/flags", flags=["talked_through"])
        after = test["found"]["angle"]
        assert after["high"] - after["low"] > before["high"] - before["low"]
        assert "are flagged and count as" in test["words"]["doubt"]
