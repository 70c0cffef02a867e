"""Bands by level: versions, limits, and a lesson judged anew by them."""

import uuid6

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


def test_the_spread_expected_when_planning_is_the_bands_spread_of_the_start(coach):
    coach.put("/bands", spreads_deg={"club": 1.9})
    club = next(it for it in coach.get("/link-bands")["levels"] if it["level"] == "club")
    assert club["links"]["start"]["spread_deg"] == 1.9
