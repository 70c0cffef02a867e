"""Bands by level: versions, limits, and a lesson judged anew by them."""

import uuid6

from ..aim.test_aims import degrees
from ..stand.test_stand import note
from .test_findings import found, putted


def test_every_change_is_a_version_and_judges_anew(coach):
    usual = coach.get("/link-bands")
    assert usual["number"] == 0 and {it["level"] for it in usual["levels"]} == {"starting", "club", "skilled", "elite"}
    lesson = coach.lesson()
    putted(coach, lesson, [0.03 + 0.005 * (n % 3 - 1) for n in range(12)])
    before = next(it for it in found(coach, lesson)["links"] if it["name"] == "start")
    assert before["band"].startswith("Bias beyond 0.7°")
    levels = {it["level"]: {name: it[name] for name in ("links", "cost", "lost_inside")} for it in usual["levels"]}
    levels["club"]["links"]["start"]["bias_deg"] = 4.0
    id = uuid6.uuid7()
    kept = coach.put(f"/link-bands/{id}", levels=levels)
    assert kept["number"] == 1 and kept == coach.put(f"/link-bands/{id}", levels=levels)
    after = next(it for it in found(coach, lesson)["links"] if it["name"] == "start")
    assert after["band"] == "Fine for “club golfer”."
    levels["club"]["cost"] = 3.0
    coach.put(f"/link-bands/{id}", 409, levels=levels)
    assert coach.put(f"/link-bands/{uuid6.uuid7()}", levels=levels)["number"] == 2
    levels["club"]["links"]["path"]["bias_deg"] = 60
    refused = coach.put(f"/link-bands/{uuid6.uuid7()}", 422, levels=levels)
    assert refused["errors"][0]["field"] == "club.bias_deg.path" and "6" in refused["errors"][0]["limit"]
    del levels["club"]["links"]["path"]
    assert coach.put(f"/link-bands/{uuid6.uuid7()}", 422, levels=levels)["errors"][0]["field"] == "club.path"


def test_what_a_band_would_change_is_told_before_it_is_kept(coach):
    lesson = coach.lesson()
    putted(coach, lesson, [0.03 + 0.005 * (n % 3 - 1) for n in range(12)])
    before, stands = coach.get("/link-bands"), coach.get("/link-bands")
    levels = {it["level"]: {name: it[name] for name in ("links", "cost", "lost_inside")} for it in stands["levels"]}
    told = coach.client.post(f"/api/lessons/{lesson['id']}/weighed-bands", json={"levels": levels}).json()
    assert told["claims"] and told["others"] == []
    levels["club"]["links"]["start"] = {"bias_deg": 4.0, "spread_deg": 3.0}
    told = coach.client.post(f"/api/lessons/{lesson['id']}/weighed-bands", json={"levels": levels}).json()
    [start] = [it for it in told["others"] if it["name"] == "Start, for the level"]
    assert start["before"].startswith("Bias beyond 0.7°") and start["after"] == "Fine for “club golfer”."
    # What to mind of it is said by the bands, too.
    levels["club"]["cost"] = 40.0
    told = coach.client.post(f"/api/lessons/{lesson['id']}/weighed-bands", json={"levels": levels}).json()
    assert [it for it in told["others"] if it["name"] == "What to mind" and "costs more than" in it["before"]]
    # Nothing of it was kept, neither the bands nor what was judged by them.
    assert coach.get("/link-bands") == before
    assert next(it for it in found(coach, lesson)["links"] if it["name"] == "start")["band"] == start["before"]
    levels["club"]["cost"] = 90
    refused = coach.client.post(f"/api/lessons/{lesson['id']}/weighed-bands", json={"levels": levels})
    assert refused.status_code == 422 and refused.json()["errors"][0]["field"] == "club.cost"


def test_the_spread_expected_when_planning_is_the_bands_spread_of_the_start(coach):
    coach.put("/bands", spreads_deg={"club": 1.9})
    club = next(it for it in coach.get("/link-bands")["levels"] if it["level"] == "club")
    assert club["links"]["start"]["spread_deg"] == 1.9


def test_what_was_judged_by_the_spreads_and_the_bag_is_judged_anew_when_they_change(coach):
    lesson = coach.lesson()
    putted(coach, lesson, [0.02 * (n % 3 - 1) for n in range(14)])
    first = found(coach, lesson)
    assert next(it for it in first["links"] if it["name"] == "start")["band"] != ""
    held = {it["name"]: it["words"] for it in first["next"]}
    assert "with a tape measure." in held["three_lengths"] and "Not at hand" not in held["three_lengths"]
    coach.put("/bands", spreads_deg={"club": 0.3})
    tighter = found(coach, lesson)
    assert next(it for it in tighter["links"] if it["name"] == "start")["band"].startswith("Spread beyond 0.3°")
    coach.put("/bag", parts={"rod": 1})
    poor = {it["name"]: it["words"] for it in found(coach, lesson)["next"]}
    assert "Not at hand, as far as is known: tape measure." in poor["three_lengths"]


def test_who_told_nothing_of_the_bag_is_not_sent_for_a_sensor_first(coach):
    lesson = coach.lesson()
    putted(coach, lesson, [0.03 + 0.005 * (n % 3 - 1) for n in range(12)])
    checks = found(coach, lesson)["next"]
    assert checks[0]["name"] != "sensor" and "Not at hand" not in checks[0]["words"]
    [sensor] = [it for it in checks if it["name"] == "sensor"]
    assert "Not at hand, as far as is known: stroke sensor." in sensor["words"]


def test_a_repeating_offset_may_stay_by_the_school_held_for_a_golfer(coach):
    lesson = coach.lesson()
    coach.station(lesson["id"])
    degrees(coach, lesson, "face", [1.7, 1.7, 1.8, 1.7, 1.6, 1.7, 1.7, 1.7])
    putted(coach, lesson, [0.005 * (n % 3 - 1) for n in range(20)])
    assert found(coach, lesson)["first"][0]["cause"] == "compensation"
    coach.put("/schools/face_at_address", school="may_stay")
    assert found(coach, lesson)["headline"].startswith("Nothing to mend")
    # The golfer's goes before the coach's.
    coach.put(f"/golfers/{lesson['golfer_id']}/schools/face_at_address", school="square")
    assert found(coach, lesson)["first"][0]["cause"] == "compensation"
    coach.put(f"/golfers/{lesson['golfer_id']}/schools/face_at_address", school="")
    told = found(coach, lesson)
    assert told["headline"].startswith("Nothing to mend")
    assert any("It may stay" in it["words"] for it in told["more"] if it["cause"] == "compensation")


def test_body_lines_noted_only_by_side_speak(coach):
    lesson = coach.lesson()
    putted(coach, lesson, [0.03 + 0.005 * (n % 3 - 1) for n in range(8)])
    note(coach, lesson, {"shoulders_deg": "left", "feet_deg": "parallel", "hips_deg": 6})
    path = next(it for it in (*found(coach, lesson)["first"], *found(coach, lesson)["more"]) if it["cause"] == "path")
    said = [it["words"] for it in (*path["speaks_for"], *path["against"])]
    assert "Shoulders turned left, noted by eye." in said and not any("Feet" in it for it in said)
    assert any(it.startswith("Hips turned 6° right") for it in said)
