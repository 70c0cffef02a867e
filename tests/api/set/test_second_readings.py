"""Two readers over the wire: blind, judged once both have read, counted for what is read from then on and no sooner."""

import pytest
import uuid6

from tests.api.judge.test_findings import found
from tests.api.see.test_eyes import keep as keep_look
from tests.conftest import now

FIRST = {"mirror": [20, 25, 18, 30, 22], "strike": [2, -3, 5, 0, 4], "body_lines": [3, -2, 4, 1, 0]}
OFF = [9, -8, 10, -9, 8]


def by_two(coach, thing, first, second):
    id = str(uuid6.uuid7())
    waits = coach.put(f"/second-readings/{id}", thing=thing, by="Ada", values=first, at=now())
    assert waits["first"] is None and waits["error"] is None and "nothing of the first is shown" in waits["words"][0]
    assert coach.get("/second-readings")[0]["first"] is None
    return coach.put(f"/second-readings/{id}/second", by="Bo", values=second, at=now())


def apart(thing):
    return FIRST[thing], [one + off for one, off in zip(FIRST[thing], OFF, strict=True)]


def test_what_the_first_read_is_shown_to_nobody_before_the_second_has_read(coach):
    assert {it["thing"] for it in coach.get("/second-readings/things")} >= {
        "mirror",
        "gate",
        "laser",
        "string",
        "golfer",
    }
    it = by_two(
        coach, "gate", ["left", "clean", "clean", "right", "clean"], ["left", "clean", "clean", "clean", "clean"]
    )
    assert it["first"][0] == "left" and it["words"][0] == "Alike 4 of 5 times."
    assert it["error"]["low"] < it["error"]["value"] < it["error"]["high"]
    # Said again it is the same; said otherwise, a conflict; another number of them is refused.
    again = {"by": "Bo", "values": it["second"], "at": now()}
    assert coach.put(f"/second-readings/{it['id']}/second", **again)["second"] == it["second"]
    coach.put(f"/second-readings/{it['id']}/second", 409, **again | {"by": "Cy"})
    refused = coach.put(f"/second-readings/{it['id']}/second", 422, **again | {"values": ["clean"] * 6})
    assert "5 readings, not 6" in refused["errors"][0]["message"]
    few = coach.put(f"/second-readings/{uuid6.uuid7()}", 422, thing="gate", by="A", values=["clean"], at=now())
    assert few["errors"][0]["field"] == "values"


def test_a_gates_readings_are_judged_with_it_where_it_is_laid_from_then_on(coach):
    before = coach.lesson()
    coach.station(before["id"], "peg_gate")
    by_two(coach, "gate", ["left", "clean", "clean", "right", "clean"], ["clean", "clean", "right", "right", "left"])
    after = coach.lesson()
    coach.station(after["id"], "peg_gate")
    old, new = (coach.get(f"/lessons/{it['id']}")["stations"][0]["proof"]["reader_m"] for it in (before, after))
    assert old == 0.0 and new > 0.001


def test_eyes_in_the_mirror_and_body_lines_take_it_over_and_what_was_read_before_stands(coach):
    early = coach.lesson()
    was = [keep_look(coach, early, inside=0.03) for _ in range(3)][-1]["found"]
    by_two(coach, "mirror", *apart("mirror"))
    assert coach.get(f"/lessons/{early['id']}/eyes")["found"] == was
    late = coach.lesson()
    now_ = [keep_look(coach, late, inside=0.03) for _ in range(3)][-1]["found"]
    assert now_["reading_mm"] == pytest.approx(6.5, abs=1.5) and was["reading_mm"] is None


def noted(coach, lesson):
    block = coach.block(lesson=lesson, asks=["still"])
    for n in range(10):
        coach.putt(block["id"], {"offset_m": 0.01}, notes={"still": "head" if n < 4 else "nothing"})


def test_strikes_and_stillness_noted_from_then_on_are_judged_with_it(coach):
    lesson = coach.lesson()
    noted(coach, lesson)

    def still():
        return next(it for it in found(coach, lesson)["read"] if it["quantity"] == "still")

    before = still()["words"]
    it = by_two(coach, "golfer", ["still"] * 5, ["moved", "moved", "still", "still", "still"])
    assert still()["words"] == before
    later = coach.lesson(lesson["golfer_id"])
    noted(coach, later)
    told = next(one for one in found(coach, later)["read"] if one["quantity"] == "still")
    assert told["words"] != before
    coach.put(f"/second-readings/{it['id']}/voided", voided=True)
    assert next(one for one in found(coach, later)["read"] if one["quantity"] == "still")["words"] == before
