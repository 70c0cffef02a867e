"""Two sides beside each other: what moved, what else changed, what can't be compared."""

import uuid6

from ...conftest import now
from ..aim.test_aims import degrees
from .test_findings import RIGHT, putted


def sides(coach, first, second, status=200, **blocks):
    return coach.get("/compare-sides", status, first=first["id"], second=second["id"], **blocks)


def test_what_moved_between_two_lessons_is_told_in_every_link(coach):
    golfer = coach.golfer()
    before, after = coach.lesson(golfer["id"]), coach.lesson(golfer["id"], green_speed_ft=11)
    for lesson, angles, offset in ((before, RIGHT, 0.03), (after, [0.0, 0.2, -0.2, 0.0, 0.1, -0.1, 0.0], 0.0)):
        coach.station(lesson["id"])
        degrees(coach, lesson, "face", angles)
        putted(coach, lesson, [offset + 0.005 * (n % 3 - 1) for n in range(12)])
    it = sides(coach, before, after)
    told = {one["label"]: one["words"] for one in it["links"]}
    assert set(told) == {"Face at address", "Start"} and all("further left" in one for one in told.values())
    assert (
        "ace at address" in it["headline"]
        and "further left" in it["headline"]
        and "now nothing to mend" in it["headline"]
    )
    assert "the green’s speed" in it["changed"]
    # The other way round everything moved the other way.
    assert all("further right" in one["words"] for one in sides(coach, after, before)["links"])


def test_another_hand_and_what_was_noted_between_them_are_said(coach):
    golfer = coach.golfer()
    mine = {"name": golfer["name"], "level": golfer["level"]}

    def noted(words):
        coach.put(f"/changes/{uuid6.uuid7()}", golfer_id=golfer["id"], words=words, made_at=now())

    noted("long before")
    before = coach.lesson(golfer["id"])
    putted(coach, before, [0.005 * (n % 3 - 1) for n in range(6)])
    noted("new putter")
    coach.put(f"/golfers/{golfer['id']}", **mine, hand="left", hand_from="next")
    after = coach.lesson(golfer["id"])
    putted(coach, after, [0.005 * (n % 3 - 1) for n in range(6)])
    said = sides(coach, before, after)["changed"]
    assert "the hand putted with" in said and "new putter" in said and "long before" not in said
    assert "hand" not in sides(coach, after, coach.lesson(golfer["id"]))["changed"]


def test_two_blocks_of_one_lesson_that_are_alike_need_more_putts(coach):
    lesson = coach.lesson()
    one, other = (putted(coach, lesson, [shift + 0.02 * (n % 5 - 2) for n in range(6)]) for shift in (0.0, 0.005))
    it = sides(coach, lesson, lesson, first_block=one["id"], second_block=other["id"])
    assert it["headline"] == "Can't tell yet whether anything moved."
    assert [one["label"] for one in it["links"]] == ["Start"]


def test_lessons_of_two_golfers_and_one_side_twice_are_refused(coach):
    lesson, other = coach.lesson(), coach.lesson()
    assert "two golfers" in sides(coach, lesson, other, 409)["detail"]
    assert "same on both sides" in sides(coach, lesson, lesson, 409)["detail"]
    sides(coach, lesson, {"id": str(uuid6.uuid7())}, 404)


def test_what_differs_on_both_sides_opens_with_the_readings_of_both_each_in_its_lesson(coach):
    golfer = coach.golfer(level="club")["id"]
    lessons = [coach.lesson(golfer) for _ in range(2)]
    for lesson, at in zip(lessons, (-0.03, 0.03), strict=True):
        putted(coach, lesson, [at + 0.005 * (n % 3 - 1) for n in range(12)])
    sides = {"first": lessons[0]["id"], "second": lessons[1]["id"]}
    [row] = coach.get("/compare-sides", **sides)["links"]
    why = coach.get("/compare-sides/explained", **sides, claim=row["quantity"])
    assert why["says"].casefold().endswith(row["words"].casefold())
    assert [it["lesson"] for it in why["readings"]] == [lessons[0]["id"]] * 12 + [lessons[1]["id"]] * 12
    assert why["rests"] == "It rests on 12 readings before, 12 readings after."
    assert why["sums"][0].startswith("The readings’ middles:") and why["sums"]
    coach.get("/compare-sides/explained", 404, **sides, claim="strike")
    # Two blocks of one lesson are of the lesson that is open.
    other = putted(coach, lessons[1], [-0.03 + 0.005 * (n % 3 - 1) for n in range(12)])
    first = coach.get(f"/lessons/{lessons[1]['id']}")["blocks"][0]["id"]
    blocks = {"first": sides["second"], "second": sides["second"], "first_block": first, "second_block": other["id"]}
    why = coach.get("/compare-sides/explained", **blocks, claim="start")
    assert {(it["lesson"], it["at"]) for it in why["readings"]} == {("", first), ("", other["id"])}
