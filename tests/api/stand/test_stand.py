"""Set-ups, the perception map, cards and the daily check through the API."""

import numpy as np
import pytest
import uuid6

from libella.core.measure.units import percent
from libella.core.simulated.golfer import SimulatedEyes

from ...conftest import now
from ..see.test_eyes import keep as keep_look
from ..see.test_sights import answer, begin

STANDS = {"ball_toes_m": 0.24, "stance_m": 0.3, "shoulders_deg": "left"}


def note(coach, lesson, values, id=None, status=(200, 201), **more):
    body = {"lesson_id": lesson["id"], "values": values, "taken_at": now()} | more
    return coach.put(f"/set-ups/{id or uuid6.uuid7()}", status, **body)


def ask(coach, lesson, eyes, position, seed=3, n=16, **felt):
    """A whole directions test with these levers moved, shown at its end."""
    rng = np.random.default_rng(seed)
    test = begin(coach, lesson, position=position)
    there = eyes.at(position)
    for _ in range(n):
        angle = test["next"]["true_deg"]
        test = answer(coach, test, {"true_deg": angle, "looks": there.looks(rng, angle)})
    if felt:
        coach.put(f"/sight-tests/{test['test']['id']}/felt", **felt)
    return coach.put(f"/sight-tests/{test['test']['id']}/shown")


EYES = SimulatedEyes(1.3, 0.4, 0.3, {"inside": -0.045, "behind": 0.01})


def mapped_lesson(coach):
    lesson = coach.lesson()
    for position in ({}, {"inside": 25}, {"behind": 25}):
        ask(coach, lesson, EYES, position)
    return lesson


def test_a_set_up_is_noted_bit_by_bit_and_stands_beside_the_one_before(coach):
    golfer = coach.golfer()
    first = coach.lesson(golfer["id"], started_at="2026-01-05T10:00:00Z")
    note(coach, first, STANDS)
    lesson, id = coach.lesson(golfer["id"]), str(uuid6.uuid7())
    assert coach.get(f"/lessons/{lesson['id']}/stand")["before"]["values"] == STANDS
    assert coach.get(f"/lessons/{lesson['id']}")["stand"] == "Nothing noted yet."
    note(coach, lesson, {"ball_toes_m": 0.26}, id)
    sheet = note(coach, lesson, {"ball_toes_m": 0.26, "shoulders_deg": "parallel"}, id)
    assert len(sheet["taken"]) == 1
    assert [it["change"] for it in sheet["noted"]] == ["20 mm further off", "was left"]
    assert "Ball to the toes: 20 mm further off, and 1 more change." in coach.get(f"/lessons/{lesson['id']}")["stand"]
    changed = note(coach, lesson, {"ball_toes_m": 0.25})
    assert changed["before"]["id"] == id and changed["noted"][0]["change"] == "10 mm closer"
    note(coach, coach.lesson(), {"ball_toes_m": 0.25}, id, status=409)


def test_stepping_away_and_back_tells_how_far_it_wanders(coach):
    lesson, first = coach.lesson(), str(uuid6.uuid7())
    note(coach, lesson, {"ball_toes_m": 0.24}, first)
    for toes in (0.29, 0.21, 0.27, 0.2):
        sheet = note(coach, lesson, {"ball_toes_m": toes}, again_of=first)
    assert sheet["times"] == 5 and "wanders" in sheet["wander"][0]["words"]
    assert "wanders" in coach.get(f"/lessons/{lesson['id']}")["stand"]
    last = sheet["taken"][-1]["id"]
    assert coach.put(f"/set-ups/{last}/voided", voided=True)["times"] == 4
    note(coach, coach.lesson(), {"ball_toes_m": 0.2}, again_of=first, status=409)


def test_only_what_the_coach_wants_is_asked_for(coach):
    names = [it["name"] for it in coach.get("/set-up-entries")]
    lesson = coach.lesson()
    assert set(coach.get(f"/lessons/{lesson['id']}/stand")["wanted"]) < set(names)
    assert coach.put("/set-up-entries", names=["sole", "ball_toes_m"])["names"] == ["ball_toes_m", "sole"]
    assert coach.get(f"/lessons/{lesson['id']}/stand")["wanted"] == ["ball_toes_m", "sole"]
    assert coach.put("/set-up-entries", 422, names=["nose"])["errors"][0]["field"] == "names"


@pytest.mark.parametrize(
    ("values", "field"), [({"ball_toes_m": 4}, "values.ball_toes_m"), ({"feet_deg": "up"}, "values.feet_deg")]
)
def test_a_set_up_that_can_not_be_is_refused(coach, values, field):
    assert note(coach, coach.lesson(), values, status=422)["errors"][0]["field"] == field


def test_the_map_proposes_what_to_ask_and_the_smallest_change(coach):
    lesson = coach.lesson()
    empty = coach.get(f"/lessons/{lesson['id']}/map")
    assert empty["next"] == {} and empty["change"] is None and empty["aim"]["headline"].endswith("?")
    ask(coach, lesson, EYES, {})
    assert coach.get(f"/lessons/{lesson['id']}/map")["next"] == {"inside": 25}
    ask(coach, lesson, EYES, {"inside": 25}, comfort=4, trust=2)
    found = coach.get(f"/lessons/{lesson['id']}/map")
    # Once is not enough for a change: the same place is to be asked again.
    assert found["change"] is None and found["next"] == {"inside": 25}
    assert "Worth asking again" in found["words"]["headline"]
    assert found["places"][1]["where"] == "25 mm further in" and found["places"][1]["comfort"] == 4
    ask(coach, lesson, EYES, {"inside": 25}, seed=4, comfort=4, trust=3)
    found = coach.get(f"/lessons/{lesson['id']}/map")
    change = found["change"]
    truth = EYES.at(change["position"]).straight_deg
    assert change["after"]["low"] <= truth <= change["after"]["high"] and change["stands"]
    effect = found["words"]["effects"][0]
    assert "further in" in found["words"]["headline"] and "seems to swing" in effect["measured"]
    why = coach.get(f"/lessons/{lesson['id']}/map/explained", claim="map")
    assert why["says"] == f"{found['words']['headline']} {found['words']['sure']}"
    assert [it["id"] for it in why["readings"]] == [it["id"] for it in reversed(found["places"])]
    assert f"notice: {percent(change['truer'])}" in " ".join(why["sums"])
    lever = coach.get(f"/lessons/{lesson['id']}/map/explained", claim=effect["lever"])
    assert lever["says"] == effect["measured"] and lever["sums"] and "in place of" in lever["moves"][0]
    coach.get(f"/lessons/{lesson['id']}/map/explained", 404, claim="clouds")


def test_a_place_that_can_not_be_played_from_bounds_the_change(coach):
    lesson = mapped_lesson(coach)
    place = coach.get(f"/lessons/{lesson['id']}/map")["places"][1]
    coach.put(f"/sight-tests/{place['id']}/felt", playable=False, comfort=1)
    found = coach.get(f"/lessons/{lesson['id']}/map")
    assert found["change"] is None and found["next"].get("inside", 0) <= 20
    refused = coach.put(f"/sight-tests/{place['id']}/felt", 422, comfort=9)
    assert refused["errors"][0]["field"] == "comfort"


def test_a_test_under_other_conditions_is_not_on_the_map(coach):
    lesson = mapped_lesson(coach)
    test = begin(coach, lesson, glasses="off")
    for _ in range(6):
        test = answer(coach, test, {"true_deg": test["next"]["true_deg"], "looks": "straight"})
    coach.put(f"/sight-tests/{test['test']['id']}/shown")
    found = coach.get(f"/lessons/{lesson['id']}/map")
    assert len(found["places"]) == 1 and found["left_out"] == 3


def test_straight_can_be_asked_to_a_start_target_only_where_the_putt_breaks(coach):
    lesson = coach.lesson()
    body = {"lesson_id": lesson["id"], "started_at": now(), "toward": "start"}
    refused = coach.put(f"/sight-tests/{uuid6.uuid7()}", 422, **body)
    assert refused["errors"][0]["field"] == "toward"
    coach.station(lesson["id"], falls_right_percent=1.5)
    test = begin(coach, lesson, toward="start")
    assert "left of the hole" in test["line"] and "start target" in test["under"]


def test_the_golfers_own_screen_shows_the_question_and_nothing_else(coach):
    lesson = coach.lesson()
    assert coach.get(f"/lessons/{lesson['id']}/question") == {"question": "", "answer": 0, "invented": False}
    test = begin(coach, lesson)
    answer(coach, test, {"true_deg": 1.0, "looks": "left"})
    asked = {"question": "Where does the rod point?", "answer": 2, "invented": False}
    assert coach.get(f"/lessons/{lesson['id']}/question") == asked


def test_eyes_by_string_and_strip_and_a_second_reading(coach):
    lesson = coach.lesson()
    body = {"lesson_id": lesson["id"], "taken_at": now()}
    sheet = coach.put(f"/eye-looks/{uuid6.uuid7()}", way="string", covers="edge", side="outside", **body)
    assert sheet["found"]["inside"]["low"] > 0 and sheet["found"]["behind"] is None
    sheet = coach.put(f"/eye-looks/{uuid6.uuid7()}", way="strip", device="slot", seen="dark_far", turns_m=0.02, **body)
    assert sheet["takes"][1]["low_mm"] == 20 and sheet["takes"][1]["high_mm"] is None
    assert coach.put(f"/eye-looks/{uuid6.uuid7()}", 422, way="strip", seen="light", turns_m=3, **body)["errors"]
    first = str(uuid6.uuid7())
    keep_look(coach, lesson, id=first, inside=0.03)
    again = keep_look(coach, lesson, inside=0.034, reread_of=first)
    assert again["found"]["takes"] == 3 and again["found"]["reading_mm"] > 1
    assert any("read twice" in it for it in again["words"])
    keep_look(coach, lesson, reread_of=sheet["takes"][0]["id"], status=409)
    wanted = coach.put(f"/golfers/{lesson['golfer_id']}/eyes", sighting_eye="left")
    assert wanted["sighting_eye"] == "left"
    assert coach.put(f"/golfers/{lesson['golfer_id']}/eyes")["sighting_eye"] == "left"


def kept_card(coach, lesson, position=None):
    body = {"lesson_id": lesson["id"], "position": position or {}, "note": "a word", "kept_at": now()}
    return coach.put(f"/set-up-cards/{uuid6.uuid7()}", **body)


def test_a_change_is_kept_as_a_card_printed_and_put_away(coach):
    lesson = mapped_lesson(coach)
    note(coach, lesson, STANDS)
    for inside in (-0.04, -0.042, -0.038):
        keep_look(coach, lesson, inside=inside)
    card = kept_card(coach, lesson, {"inside": 35})
    rows = {it["name"]: it["size"] for it in card["rows"]}
    assert card["change"] == "35 mm further in" and rows["Ball to the toes"] == "24 cm"
    assert "5 mm outside the line" in rows["Eyes"] and "Straight is seen" in rows
    # What is measured afterwards does not change what was kept.
    note(coach, lesson, {"ball_toes_m": 0.3})
    [kept] = coach.get(f"/golfers/{lesson['golfer_id']}/set-up-cards")
    assert kept["rows"] == card["rows"]
    for what in ("card", "mirror"):
        answered = coach.client.get(f"/api/set-up-cards/{card['id']}/print?what={what}")
        assert answered.content.startswith(b"%PDF") and answered.headers["x-sheets"] == "1"
    coach.put(f"/set-up-cards/{card['id']}/away", put_away=True)
    assert coach.get(f"/golfers/{lesson['golfer_id']}/set-up-cards") == []
    assert coach.put(f"/set-up-cards/{card['id']}/away", put_away=False)["put_away_at"] is None


def test_nothing_known_is_nothing_to_keep(coach):
    lesson = coach.lesson()
    body = {"lesson_id": lesson["id"], "kept_at": now()}
    coach.put(f"/set-up-cards/{uuid6.uuid7()}", 409, **body)
    assert coach.put(f"/set-up-cards/{uuid6.uuid7()}", 422, **body, position={"nose": 2})["errors"]


def test_a_quick_check_is_added_to_step_by_step_and_alerts(coach):
    lesson = mapped_lesson(coach)
    for inside in (0.02, 0.021, 0.019, 0.02):
        keep_look(coach, lesson, inside=inside)
    card, id = kept_card(coach, lesson), str(uuid6.uuid7())
    body = {"lesson_id": lesson["id"], "card_id": card["id"], "taken_at": now()}
    begun = coach.put(f"/quick-checks/{id}", **body)
    assert begun["alert"].startswith("Nothing") and len(begun["angles"]) == 5
    eyes = {"lead": {"inside_m": -0.02, "behind_m": -0.012}, "trail": {"inside_m": -0.02, "behind_m": 0.052}}
    looked = coach.put(f"/quick-checks/{id}", **body, **eyes)
    assert looked["drifts"][0]["word"] == "drifted" and "Drift: eyes" in looked["alert"]
    rng = np.random.default_rng(1)
    answers = [EYES.looks(rng, it) for it in begun["angles"]]
    done = coach.put(f"/quick-checks/{id}", **body, **eyes, square_m=0.0, answers=answers)
    assert [it["word"] for it in done["drifts"]][1] == "steady"
    assert coach.get(f"/lessons/{lesson['id']}/quick-checks") == [done]
    assert coach.put(f"/quick-checks/{id}", 422, **body, square_m=0.5)["errors"][0]["field"] == "square_m"
    assert coach.put(f"/quick-checks/{id}", 422, **body, answers=["up"])["errors"][0]["field"] == "answers.0"
    other = coach.lesson()
    coach.put(f"/quick-checks/{uuid6.uuid7()}", 409, **body | {"lesson_id": other["id"]})


def test_a_set_up_is_called_otherwise_in_every_step_and_never_made_one_with_another(coach):
    lesson = coach.lesson()
    id = lesson["id"]
    coach.block(lesson=lesson, condition="wide", factors={"set_up": "wide"})
    coach.put(f"/sight-tests/{uuid6.uuid7()}", lesson_id=id, started_at=now(), condition="wide")
    coach.put(f"/aim-series/{uuid6.uuid7()}", lesson_id=id, started_at=now(), kind="square_reference", set_up="narrow")
    assert coach.put(f"/lessons/{id}/set-up-names", name="wide", called="wide base") == ["wide base", "narrow"]
    sheet = coach.get(f"/lessons/{id}")
    assert sheet["set_ups"] == ["wide base", "narrow"]
    assert [(it["condition"], it["factors"]) for it in sheet["blocks"]] == [("wide base", {"set_up": "wide base"})]
    assert coach.get(f"/lessons/{id}/sights")["tests"][0]["test"]["condition"] == "wide base"
    taken = coach.put(f"/lessons/{id}/set-up-names", 409, name="wide base", called="narrow")
    assert "would be one" in taken["detail"]
    coach.put(f"/lessons/{id}/set-up-names", 404, name="tall", called="taller")


def test_a_named_set_up_keeps_its_own_sizes_and_its_card_holds_them(coach):
    lesson = coach.lesson()["id"]
    usual, wide = str(uuid6.uuid7()), str(uuid6.uuid7())
    coach.put(f"/set-ups/{usual}", lesson_id=lesson, values={"stance_m": 0.3}, taken_at=now())
    noted = coach.put(f"/set-ups/{wide}", lesson_id=lesson, values={"stance_m": 0.45}, name="wide base", taken_at=now())
    assert noted["now"]["name"] == "wide base"
    # It is one of the lesson's set-ups from then on, and is called otherwise with all the others.
    assert coach.get(f"/lessons/{lesson}")["set_ups"] == ["wide base"]
    for name, size in (("wide base", "45"), ("", "30")):
        card = coach.put(f"/set-up-cards/{uuid6.uuid7()}", lesson_id=lesson, set_up=name, kept_at=now())
        assert any(size in row["size"] for row in card["rows"]), card["rows"]
    coach.put(f"/lessons/{lesson}/set-up-names", name="wide base", called="wide")
    assert coach.get(f"/lessons/{lesson}/stand")["now"]["name"] == "wide"


def test_a_cards_set_up_is_offered_by_name_in_the_next_lesson(coach):
    first = coach.lesson()
    coach.put(
        f"/set-ups/{uuid6.uuid7()}",
        lesson_id=first["id"],
        values={"stance_m": 0.45},
        name="chin tucked",
        taken_at=now(),
    )
    card = coach.put(f"/set-up-cards/{uuid6.uuid7()}", lesson_id=first["id"], set_up="chin tucked", kept_at=now())
    assert coach.get(f"/lessons/{first['id']}")["set_ups_kept"] == []
    later = coach.get(f"/lessons/{coach.lesson(first['golfer_id'])['id']}")
    assert (later["set_ups"], later["set_ups_kept"]) == ([], ["chin tucked"])
    assert coach.get(f"/lessons/{coach.lesson()['id']}")["set_ups_kept"] == []
    coach.put(f"/set-up-cards/{card['id']}/away", put_away=True)
    assert coach.get(f"/lessons/{later['lesson']['id']}")["set_ups_kept"] == []
