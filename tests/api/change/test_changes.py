"""From what brings the golfer here to one change, retested in two lessons."""

import numpy as np
import uuid6

from libella.core.change.complaint import ABOUT_IN
from libella.words.change.about import ABOUT_TELLS
from tests.api.judge.lessons import Told
from tests.conftest import now

RNG = np.random.default_rng(11)


def on_marks(offsets_mm):
    """As the ruler is read."""
    return [round(float(it) / 5) * 5 for it in offsets_mm]


def aimed_right(coach, golfer=None, days_ago=0.0):
    """A lesson in which the face aims right, and the ball starts there."""
    told = Told(coach, golfer, days_ago=days_ago)
    told.angles("face", list(RNG.normal(1.5, 0.4, 8)), aided=False)
    station = told.lay()
    told.ruler(told.block(station, 12), on_marks(RNG.normal(26, 12, 12)))
    return told, station


def chosen(coach, lesson, **more):
    body = {"lesson_id": lesson, "what": "Aim over a spot", "kind": "cue", "asks": "line", "made_at": now()}
    return coach.put(f"/chosen-changes/{uuid6.uuid7()}", **body | more)


def retested(told, station, change, before_mm, after_mm):
    conditions = [
        {"name": "as usual", "station_id": station},
        {"name": change["what"], "station_id": station, "factors": change["factors"]},
    ]
    blocks = told.compare(conditions, change["each"], change["asks"], change_id=change["id"])
    for block, middle in zip(blocks, (before_mm, after_mm), strict=True):
        told.ruler(block, on_marks(np.random.default_rng(7).normal(middle, 10, change["each"])))


def test_what_the_golfer_came_with_is_answered_from_the_readings(coach):
    told, _ = aimed_right(coach)
    nothing = coach.get(f"/lessons/{told.id}/change")
    assert nothing["complaint"] is None and "Not looked at" in nothing["answer"][-1]
    said = {"misses": ["right"], "from_m": 2.0, "felt": "strike", "trust": 2, "wants": "fewer_misses"}
    kept = coach.put(f"/lessons/{told.id}/complaint", **said)
    assert kept["words"].startswith("You miss right from 2.00 m on, feel it is the strike and want fewer misses.")
    found = coach.get(f"/lessons/{told.id}/change")
    headline = coach.get(f"/lessons/{told.id}/findings")["headline"]
    assert found["answer"][0].startswith("So it is: the ball starts 1.") and "right" in found["answer"][0]
    assert headline in found["answer"]
    # What was felt first is what was not looked at first.
    assert found["answer"][-1].startswith("Not looked at: where it is struck")
    assert "You felt the strike: nobody looked there yet." in found["answer"]
    # The other way round it is not as the golfer thinks.
    coach.put(f"/lessons/{told.id}/complaint", misses=["left"])
    assert coach.get(f"/lessons/{told.id}/change")["answer"][0].startswith("Not as you came with it.")


def test_what_can_not_be_said_is_refused_with_its_limits(coach):
    lesson = coach.lesson()["id"]
    for body, field in (
        ({"misses": ["left", "both"]}, "misses"),
        ({"from_m": 4.0, "to_m": 2.0}, "to_m"),
        ({"trust": 6}, "trust"),
        ({"from_m": 60.0}, "from_m"),
    ):
        refused = coach.put(f"/lessons/{lesson}/complaint", 422, **body)
        assert refused["errors"][0]["field"] == field and refused["errors"][0]["limit"]
    assert coach.get(f"/lessons/{lesson}/change")["complaint"] is None


def test_every_finding_named_offers_changes_of_both_schools(coach):
    told, _ = aimed_right(coach)
    [offer, *_] = coach.get(f"/lessons/{told.id}/change")["offers"]
    assert offer["cause"] in ("face_aim", "compensation", "perception") and offer["proposals"]
    schools = [it for it in offer["proposals"] if it["school"]]
    assert all(it["rival"] for it in schools)


def test_a_change_that_helps_is_better_after_one_retest_and_kept_after_two(coach):
    told, station = aimed_right(coach, days_ago=8)
    held = chosen(coach, told.id)
    assert held["standing"] == "untested" and held["factors"] == {"cue": "Aim over a spot"}
    # It stands in the golfer's line, too, on its day.
    noted = coach.get(f"/golfers/{told.golfer}/line")["changes"]
    assert [it["words"] for it in noted] == ["Aim over a spot"]
    assert "Retest “Aim over a spot”" in coach.get(f"/golfers/{told.golfer}/found")["next"]
    retested(told, station, held, 26, 0)
    [first] = coach.get(f"/lessons/{told.id}/change")["held"]
    assert first["standing"] == "better_so_far" and first["words"].startswith("Better so far")
    later = Told(coach, told.golfer)
    retested(later, later.lay(), held, 26, 0)
    [both] = coach.get(f"/lessons/{later.id}/change")["held"]
    assert both["standing"] == "kept" and len(both["retests"]) == 2 and "both retests together" in both["words"]
    why = coach.get(f"/golfers/{told.golfer}/explained", claim=both["why"])
    assert why["says"] == both["words"] and [it["lesson"] for it in why["readings"]] == [told.id, later.id]
    assert why["sums"][-1].startswith("All together") and why["sums"][-1].endswith("clear.")
    assert "Retest" not in coach.get(f"/golfers/{told.golfer}/found")["next"]
    assert both["retests"][0]["gain"]["low"] < both["retests"][0]["gain"]["value"]


def test_a_second_change_asks_first_and_then_nothing_is_said_of_one_alone(coach):
    told, station = aimed_right(coach)
    assert coach.get(f"/lessons/{told.id}/change")["ask_first"] == ""
    held = chosen(coach, told.id)
    assert coach.get(f"/lessons/{told.id}/change")["ask_first"].startswith("One change at a time")
    other = chosen(coach, told.id, what="Wide base", kind="set_up")
    retested(told, station, held, 26, 0)
    by_id = {it["id"]: it for it in coach.get(f"/lessons/{told.id}/change")["held"]}
    assert "“Wide base” changed as well" in by_id[held["id"]]["words"]
    coach.put(f"/chosen-changes/{other['id']}/dropped", dropped=True)
    by_id = {it["id"]: it for it in coach.get(f"/lessons/{told.id}/change")["held"]}
    assert by_id[other["id"]]["words"] == "Dropped." and by_id[held["id"]]["words"].startswith("Better so far")
    coach.put(f"/chosen-changes/{other['id']}/dropped", dropped=False)


def test_a_change_that_makes_it_worse_says_so_and_a_half_done_retest_says_nothing(coach):
    told, station = aimed_right(coach)
    held = chosen(coach, told.id)
    conditions = [
        {"name": n, "station_id": station, "factors": f} for n, f in (("as usual", {}), ("x", held["factors"]))
    ]
    blocks = told.compare(conditions, held["each"], change_id=held["id"])
    for block in blocks:
        told.ruler(block, [0] * 5)
    assert coach.get(f"/lessons/{told.id}/change")["held"][0]["standing"] == "untested"
    again = Told(coach, told.golfer)
    retested(again, again.lay(), held, 0, 40)
    assert coach.get(f"/lessons/{told.id}/change")["held"][0]["standing"] == "worse"


def test_a_retest_is_of_its_own_golfers_change(coach):
    told, _ = aimed_right(coach)
    held = chosen(coach, told.id)
    other = Told(coach)
    station = other.lay()
    body = {
        "lesson_id": other.id,
        "conditions": [{"name": n, "station_id": station} for n in ("as usual", "changed")],
        "each": 6,
        "started_at": now(),
        "change_id": held["id"],
    }
    refused = coach.put(f"/comparisons/{uuid6.uuid7()}", 409, **body)
    assert "another golfer" in refused["detail"]


def test_said_twice_it_is_one_change_and_said_otherwise_a_conflict(coach):
    told, _ = aimed_right(coach)
    id, body = str(uuid6.uuid7()), {"lesson_id": told.id, "what": "Narrow", "kind": "set_up", "made_at": now()}
    assert coach.put(f"/chosen-changes/{id}", **body) == coach.put(f"/chosen-changes/{id}", **body)
    coach.put(f"/chosen-changes/{id}", 409, **body | {"what": "Wide"})
    assert coach.put(f"/chosen-changes/{uuid6.uuid7()}", 422, **body | {"what": " "})["errors"][0]["field"] == "what"


def test_a_change_that_was_taken_back_is_not_there_to_be_dropped(coach):
    told, _ = aimed_right(coach)
    held = chosen(coach, told.id)
    coach.put(f"/changes/{held['id']}/voided", voided=True)
    assert coach.get(f"/lessons/{told.id}/change")["held"] == []
    assert "no such change" in coach.put(f"/chosen-changes/{held['id']}/dropped", 404, dropped=True)["detail"]


def test_what_limits_a_golfer_is_noted_with_them(coach):
    golfer = coach.golfer(usual_misses=["right", "short"], glasses="varifocal", limits=["knee", "back"])
    assert golfer["limits"] == ["back", "knee"] and golfer["glasses"] == "varifocal"
    assert coach.get(f"/golfers/{golfer['id']}")["usual_misses"] == ["right", "short"]


def answered(coach, told, **came):
    coach.put(f"/lessons/{told.id}/complaint", **({"misses": [], "felt": None, "wants": None} | came))
    return " ".join(coach.get(f"/lessons/{told.id}/change")["answer"])


def test_what_was_felt_is_answered_by_what_was_read_and_nothing_read_is_called_unread(coach):
    told = Told(coach)
    block = told.block(told.lay(), 10, ["strike", "finish"])
    notes = [{"strike": "toe" if n else "middle", "finish": "left" if n % 2 else "holed"} for n in range(10)]
    told.ruler(block, [0, 5, -5, 0, 5, 0, -5, 0, 5, 0], notes)
    said = answered(coach, told, felt="strike")
    assert "You felt it: the strike." in said and "towards the toe 9 of 10" in said
    assert "where it is struck" not in said and "where the ball starts" not in said


def test_first_looks_are_looks_and_a_start_read_in_two_ways_was_read(coach):
    told = Told(coach)
    for looks in ("right", "right", "straight", "right"):
        coach.put(f"/first-looks/{uuid6.uuid7()}", lesson_id=told.id, looks=looks, taken_at=told.now())
    station = told.lay()
    for name in ("wide base", "narrow base"):
        told.ruler(told.block(station, 6, factors={"set_up": name}), [20, 25, 20, 15, 20, 25])
    said = answered(coach, told, felt="sight", misses=["right"])
    assert "nobody looked" not in said and "not read" not in said
    assert "what looks straight" not in said.partition("Not looked at:")[2].partition(".")[0]
    assert "Start, wide base:" in said and "Start, narrow base:" in said


def test_where_the_start_grows_the_answer_tells_it_by_length(coach):
    told = Told(coach)
    for length, offsets in ((1.8, (0, 5, -5, 0, 5, 0, -5, 0)), (4.6, (25, 30, 20, 25, 30, 25, 20, 30))):
        told.ruler(told.block(told.lay(distance_m=length), 8), offsets)
    said = answered(coach, told, misses=["right"])
    assert "at 1.80 m and" in said and "it grows" in said


def test_what_no_miss_tells_is_asked_and_answered_by_what_was_read_of_it_or_what_would_tell(coach):
    told = Told(coach)
    asked = [*ABOUT_IN]
    said = answered(coach, told, about=asked)
    # Nothing was read yet: each is told what would answer it.
    assert all(it in said for it in ABOUT_TELLS.values()), said
    came = coach.get(f"/lessons/{told.id}/change")["complaint_words"]
    assert "ask whether your aid is true" in came and "have nothing wrong" in came

    block = told.block(told.lay(), 10, ["strike", "roll"])
    notes = [{"strike": "heel" if n else "middle", "roll": "wobble_left" if n > 2 else "clean"} for n in range(10)]
    told.ruler(block, [0, 5, -5, 0, 5, 0, -5, 0, 5, 0], notes)
    said = answered(coach, told, about=asked)
    assert "You asked about the contact. Strike: towards the heel 9 of 10" in said, said
    assert "You asked about how it rolls: can't tell yet. Roll: 7 wobble left, 3 clean" in said, said
    assert "Your aid is true" in said
    assert "You came with nothing wrong; there is something to work on." in said
    assert ABOUT_TELLS["nerves"] in said and ABOUT_TELLS["which_better"] in said


def _compared(coach, **more):
    told = Told(coach, **more)
    station = told.lay()
    ways = [
        {"name": "as usual", "station_id": station},
        {"name": "wide base", "station_id": station, "factors": {"set_up": "wide base"}},
    ]
    usual, wide = told.compare(ways, 12)
    told.ruler(usual, on_marks(np.random.default_rng(5).normal(30, 8, 12)))
    told.ruler(wide, on_marks(np.random.default_rng(6).normal(0, 8, 12)))
    return told


def test_the_better_way_of_a_comparison_is_kept_by_one_tap_and_retested_as_it_was(coach):
    told = _compared(coach)
    first = coach.get(f"/lessons/{told.id}/change")["offers"][0]
    [kept, *_] = first["proposals"]
    assert kept["what"] == "Keep “wide base”" and kept["way"] == {"set_up": "wide base"}
    body = {name: kept[name] for name in ("what", "feel", "kind", "asks", "way")}
    held = chosen(coach, told.id, **body, cause=first["cause"])
    # Its retest goes on with the same way: what was putted so already counts with it.
    assert held["factors"] == {"set_up": "wide base"}
    # What goes home is that way, and no other change's drill.
    assert coach.get(f"/lessons/{told.id}/summary")["drill"]["code"] == "better_way"


def test_what_does_not_fit_is_not_offered_and_says_why(coach):
    golfer = coach.golfer(limits=["back"], level="skilled")["id"]
    told = Told(coach, golfer)
    told.ruler(told.block(told.lay(), 12), (60, -55, 50, -60, 5, -5, 55, -50, 30, -30, 60, -55))
    spread = next(it for it in coach.get(f"/lessons/{told.id}/change")["offers"] if it["cause"] == "spread")
    assert spread["general"] and "wide_base" not in {it["code"] for it in spread["proposals"]}
    assert any("back" in it for it in spread["ruled_out"])


def test_nothing_is_offered_for_what_cannot_be_told_and_the_next_check_is(coach):
    told = Told(coach)
    told.ruler(told.block(told.lay(), 4), (10, -5, 15, 0))
    it = coach.get(f"/lessons/{told.id}/change")
    assert it["offers"] == [] and it["check"].startswith("Check first: ")


def test_a_change_for_no_topic_there_is_is_refused(coach):
    told = _compared(coach)
    body = {"lesson_id": told.id, "what": "X", "kind": "cue", "asks": "line", "made_at": now(), "cause": "weather"}
    refused = coach.put(f"/chosen-changes/{uuid6.uuid7()}", 422, **body)
    assert refused["errors"][0]["field"] == "cause"
