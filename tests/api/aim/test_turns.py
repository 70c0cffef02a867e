"""Set-downs compared in turns: cues, set-ups, an aid in view."""

import uuid6

from ...conftest import now
from .test_aims import read

CUES = [{"name": "line on the ball", "cue": "line"}, {"name": "near spot", "cue": "near_spot"}]


def compare(coach, lesson, status=(200, 201), id=None, **more):
    body = {"lesson_id": lesson["id"], "ways": CUES, "each": 6, "started_at": now()} | more
    return coach.put(f"/aim-turns/{id or uuid6.uuid7()}", status, **body)


def in_turns(coach, table, angles):
    """Read every set-down of a comparison, each in its turn; the order in which the ways came."""
    came = []
    while (at := table["turns"][-1])["turn"]:
        n = at["series"].index(at["turn"])
        came.append(n)
        table = read(coach, {"id": at["turn"]}, {"angle_deg": angles[n], "seen_deg": 0.5})
    return table, came


def test_two_cues_read_in_turns_come_to_one_verdict(coach):
    lesson = coach.lesson()
    coach.station(lesson["id"])
    table, came = in_turns(coach, compare(coach, lesson, each=10), (0.0, 2.5))
    assert came[:8] == [0, 0, 1, 1, 1, 1, 0, 0]
    found = table["turns"][0]["compared"]
    assert found["pairs"][0]["word"] == "clear" and "“near spot” against “line on the ball”: face" in found["headline"]
    assert "further right" in found["headline"] and "clear" in found["headline"]
    assert len(found["vials"]) == 2 and table["turns"][0]["turn_words"].startswith("All set-downs")


def test_one_cue_twice_is_no_difference_and_says_nothing_clear(coach):
    table, _ = in_turns(coach, compare(coach, coach.lesson(), each=10), (0.5, 0.5))
    assert table["turns"][0]["compared"]["pairs"][0]["word"] in ("none", "open")


def test_a_voided_set_down_is_read_again_in_its_own_turn(coach):
    table = compare(coach, coach.lesson())
    first = table["turns"][0]["turn"]
    for _ in range(2):
        table = read(coach, {"id": first}, {"angle_deg": 0.0, "seen_deg": 0.5})
    assert table["turns"][0]["turn"] != first
    slip = next(it for it in table["sheets"] if it["series"]["id"] == first)["set_downs"][0]
    assert coach.put(f"/set-downs/{slip['id']}/voided", voided=True)["turns"][0]["turn"] == first


def test_what_cannot_be_compared_is_refused_and_blocks_keep_to_themselves(coach):
    lesson, id = coach.lesson(), str(uuid6.uuid7())
    compare(coach, lesson, 422, ways=CUES[:1])
    compare(coach, lesson, 409, ways=[CUES[0], CUES[0]])
    compare(coach, lesson, 422, each=2)
    at = now()
    compare(coach, lesson, id=id, started_at=at)
    compare(coach, lesson, id=id, started_at=at)
    compare(coach, lesson, 409, id=id, started_at=at, run=3)
    assert coach.get(f"/lessons/{lesson['id']}/comparisons") == []
