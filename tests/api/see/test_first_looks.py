"""First looks and tests that are left, through the API."""

import uuid6

from ...conftest import now


def first(coach, lesson, looks, id=None, status=(200, 201), **more):
    body = {"lesson_id": lesson["id"], "looks": looks, "taken_at": more.pop("at", None) or now()} | more
    return coach.put(f"/first-looks/{id or uuid6.uuid7()}", status, **body)


def test_one_answer_a_place_tells_a_side_and_a_place(coach):
    lesson = coach.lesson()
    assert "usual place" in coach.get(f"/lessons/{lesson['id']}/first-looks")["words"][0]
    first(coach, lesson, "left")
    id, at = uuid6.uuid7(), now()
    told = first(coach, lesson, "straight", id=id, at=at, lever="chin", way="minus")
    assert told["words"][:2] == [
        "From the usual place a true line looks left.",
        "With the chin tucked it looks straight.",
    ]
    assert coach.get(f"/lessons/{lesson['id']}")["sight"] == "From the usual place a true line looks left."
    told = first(coach, lesson, "straight", id=id, at=at, lever="chin", way="minus", playable=False)
    assert "can't be played from there" in told["words"][1] and len(told["taken"]) == 2
    first(coach, lesson, "left", id=id, at=at, lever="chin", way="minus", status=409)
    told = coach.put(f"/first-looks/{id}/voided", voided=True)
    assert len(told["words"]) == 1
    graded = {"lever": "inside", "grade": "bit", "moved": 24, "other_side": True}
    told = first(coach, lesson, "left", **graded)["taken"][-1]
    assert told["place"] == "a bit further in, from the other side of the hole"
    assert {name: told[name] for name in graded} == graded
    assert first(coach, lesson, "left", lever="inside", moved=400, status=422)["errors"][0]["field"] == "moved"
    assert first(coach, lesson, "left", lever="feet", status=422)["errors"][0]["field"] == "lever"


def test_a_test_begun_by_mistake_is_left_and_nothing_of_it_counts(coach):
    lesson = coach.lesson()
    id = uuid6.uuid7()
    coach.put(f"/sight-tests/{id}", lesson_id=lesson["id"], started_at=now())
    coach.put(f"/sight-trials/{uuid6.uuid7()}", test_id=str(id), raw={"true_deg": 0.0, "looks": "left"}, taken_at=now())
    assert coach.put(f"/sight-tests/{id}/left")["tests"] == []
    assert coach.get(f"/lessons/{lesson['id']}")["sight"] == "Nothing asked yet."
    assert len(coach.put(f"/sight-tests/{id}/left", left=False)["tests"][0]["trials"]) == 1


def test_what_looked_straight_from_where_nobody_can_putt_says_so(coach):
    lesson = coach.lesson()
    for lever, looks, playable in ((None, "right", None), ("behind", "straight", False)):
        for _ in range(5):
            told = {"lever": lever, "way": "minus", "looks": looks, "playable": playable}
            coach.put(f"/first-looks/{uuid6.uuid7()}", lesson_id=lesson["id"], taken_at=now(), **told)
    page = coach.get(f"/lessons/{lesson['id']}/findings")
    assert "looks straight 5 of 5 against 0 of 5" in page["headline"]
    assert page["headline"].endswith("not playable.")


def test_a_card_tells_nothing_of_what_was_seen_from_the_other_side_of_the_hole(coach):
    lesson = coach.lesson()
    for looks, other_side in (("straight", False), ("straight", False), ("left", True)):
        first(coach, lesson, looks, lever="inside", other_side=other_side)
    kept = {"lesson_id": lesson["id"], "set_up": "further in", "kept_at": now()}
    card = coach.put(f"/set-up-cards/{uuid6.uuid7()}", **kept)
    assert "straight (2 times, a first look)" in [it["size"] for it in card["rows"]], card["rows"]
