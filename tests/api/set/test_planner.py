"""The planner through the API: the bag, opinions, proposals, aids beside the rig, the kit check, prints."""

import pytest
import uuid6

PLAN = {
    "distance_m": 2.5, "past_m": 0.3, "green_speed_ft": 10, "rig_kind": "peg_gate", "rig_sizes_m": {"distance_m": 0.5},
}  # fmt: skip
STRING = {"kind": "elevated_string", "sizes": {"length_m": 3.5}}


def said(client, path, status=200, **body):
    answer = client.post(f"/api{path}", json=body)
    assert answer.status_code == status, answer.text
    return answer.json()


def fault(client, path, **body):
    [found] = said(client, path, 422, **body)["errors"]
    assert found["message"] and found["limit"]
    return found


def test_the_bag_is_untold_told_and_forgotten(client, coach):
    assert coach.get("/bag")["told"] is False
    told = coach.put("/bag", parts={"peg": 2, "ball": 12, "tape_measure": 1, "rod": 0})
    assert told["told"] and told["parts"]["peg"] == 2 and told["parts"]["rod"] == 0
    assert coach.get("/bag") == told
    parts = {it["part"]: it["owned"] for it in said(client, "/stations/preview", **PLAN, aids=[STRING])["parts"]}
    assert parts == {"ball": 12, "peg": 2, "stake": 0, "string": 0, "tape_measure": 1}
    assert coach.drop("/bag")["told"] is False
    assert said(client, "/stations/preview", **PLAN)["parts"][0]["owned"] is None


@pytest.mark.parametrize(
    ("parts", "field"), [({"sextant": 1}, "bag.sextant"), ({"peg": 100}, "bag.peg"), ({"peg": -1}, "bag.peg")]
)
def test_what_no_bag_holds_is_refused(coach, parts, field):
    refused = coach.put("/bag", 422, parts=parts)
    assert refused["errors"][0]["field"] == field
    assert coach.get("/bag")["told"] is False


def test_strictness_by_level_is_the_coachs_own_opinion(client, coach):
    usual = {it["level"]: it for it in coach.get("/bands")}
    assert usual["club"]["spread_deg"] == usual["club"]["usual_deg"] == 1.4
    changed = {it["level"]: it for it in coach.client.put("/api/bands", json={"spreads_deg": {"club": 0.9}}).json()}
    assert changed["club"]["spread_deg"] == 0.9 and changed["club"]["strict_deg"] == pytest.approx(0.45)
    assert changed["elite"] == usual["elite"]
    gates = {it["kind"]: it for it in said(client, "/stations/propose", **PUTT, level="club")}
    assert gates["peg_gate"]["sight"]["narrowest_deg"] == pytest.approx(0.9, abs=0.01)
    refused = coach.put("/bands", 422, spreads_deg={"club": 30})
    assert refused["errors"][0]["field"] == "spreads_deg.club" and refused["errors"][0]["unit"] == "deg"
    coach.client.put("/api/bands", json={"spreads_deg": {}})
    assert {it["level"]: it for it in coach.get("/bands")} == usual


PUTT = {key: PLAN[key] for key in ("distance_m", "past_m", "green_speed_ft")}


def test_proposals_keep_to_the_bag_when_asked(client, coach):
    coach.put("/bag", parts={"peg": 2, "ball": 1, "tape_measure": 1})
    every = said(client, "/stations/propose", **PUTT)
    kept = said(client, "/stations/propose", **PUTT, only_bag=True)
    assert [it["kind"] for it in kept] == ["peg_gate"] and len(every) > 5
    assert every[0]["kind"] == "peg_gate" and every[1]["missing"]
    assert said(client, "/stations/propose", **PUTT, only_bag=True, measures="eyes") == []
    # What is proposed can be laid as it is, and Set says the same of it, on a proved line too.
    lesson = coach.lesson()
    rolled = coach.station(lesson["id"], "board", **PUTT)["id"]
    rolls = [{"way": way, "length_m": 3.0, "drift_m": 0.0} for way in ("out", "back")]
    coach.put(f"/stations/{rolled}/proof", way="rolled", rolls=rolls)
    proved = said(client, "/stations/propose", **PUTT, proof_of=rolled)
    for those, on in ((every, None), (proved, rolled)):
        for it in those:
            plan = {**PUTT, "rig_kind": it["kind"], "rig_sizes_m": it["sizes"], "proof_of": on}
            assert said(client, "/stations/preview", **plan)["sight"] == it["sight"]
    assert every != proved
    for it in said(client, "/stations/propose", **PUTT, measures="path"):
        assert not it["watches"] and said(
            client, "/stations/preview", **PLAN, aids=[{"kind": it["kind"], "sizes": it["sizes"]}]
        )


def test_aids_reads_and_shifts_are_kept_with_station_and_block(coach):
    lesson = coach.lesson()
    read = {"place": "outside", "side": "left", "outside_m": 0.03}
    kept = coach.station(
        lesson["id"], "peg_gate", falls_right_percent=1.0, falls_doubt_percent=0.2, read=read, target="read",
        across_m=0.002, backstroke_m=0.2, aids=[STRING],
    )  # fmt: skip
    [aid] = kept["aids"]
    assert aid["kind"] == "elevated_string" and aid["sizes"]["length_m"] == 3.5 and aid["sizes"]["lean_deg"] == 0
    assert (kept["read"], kept["target"], kept["across_m"], kept["backstroke_m"]) == (read, "read", 0.002, 0.2)
    body = {"condition": "as usual", "guided": True, "planned": 5, "started_at": lesson["started_at"]}
    block = coach.put(f"/blocks/{uuid6.uuid7()}", station_id=kept["id"], **body)
    putt = coach.putt(block["id"], {"crossing": "clean"})
    [again] = coach.get(f"/lessons/{lesson['id']}")["stations"]
    assert again == kept | {"used": True}
    # The reading stands against the read: the rig's shift put back, the drift taken off, the same once more.
    zones = coach.get(f"/blocks/{block['id']}/entry")["zones"]
    clean = next(it for it in zones if it["raw"] == {"crossing": "clean"})
    assert (clean["low"], clean["high"]) == (putt["low_deg"], putt["high_deg"])
    assert clean["low"] != -clean["high"]


def test_a_mirror_beside_a_laser_needs_the_lasers_cautions_too(coach):
    """The laser may be an aid beside a gate: its cautions are asked for all the same."""
    lesson = coach.lesson()
    laser = {"kind": "putter_laser", "sizes": {"distance_m": 1.0}}
    kept = coach.station(lesson["id"], "peg_gate", aids=[laser])
    body = {
        "station_id": kept["id"],
        "condition": "x",
        "guided": True,
        "planned": 5,
        "started_at": lesson["started_at"],
    }
    assert "laser" in coach.put(f"/blocks/{uuid6.uuid7()}", 409, **body)["detail"]
    coach.put(f"/lessons/{lesson['id']}/laser-cautions")
    coach.put(f"/blocks/{uuid6.uuid7()}", **body)


@pytest.mark.parametrize(
    ("more", "field", "unit"),
    [
        ({"aids": [{"kind": "sundial", "sizes": {}}]}, "aids.0.kind", ""),
        ({"aids": [STRING | {"sizes": {"string_height_m": 3.0}}]}, "aids.0.string_height_m", "m"),
        ({"aids": [STRING | {"sizes": {"eye_height_m": 0.8, "string_height_m": 0.6}}]}, "aids.0.string_height_m", "m"),
        ({"aids": [STRING | {"sizes": {"behind_m": 0.7, "length_m": 3.2}}]}, "aids.0.length_m", "m"),
        ({"aids": [{"kind": "ground_mirror", "sizes": {"falls_in_percent": 12}}]}, "aids.0.falls_in_percent", "%"),
        ({"across_m": 1.0}, "across_m", "m"),
        ({"backstroke_m": 5}, "backstroke_m", "m"),
        ({"read": {"place": "edge", "side": "left", "outside_m": 0.2}}, "read.outside_m", "m"),
        ({"target": "read"}, "read", ""),
        ({"falls_doubt_percent": 9}, "falls_doubt_percent", "%"),
        ({"rig_kind": "chalk_line", "rig_sizes_m": {"line_m": 1, "distance_m": 2}}, "rig_sizes_m.distance_m", "m"),
        ({"rig_kind": "plumb", "rig_sizes_m": {}}, "rig_kind", ""),
        ({"falls_forward_percent": 9}, "falls_forward_percent", "%"),
    ],
)
def test_what_cannot_be_laid_names_field_limit_and_unit(client, more, field, unit):
    found = fault(client, "/stations/preview", **PLAN | more)
    assert (found["field"], found["unit"]) == (field, unit)


def test_the_preview_warns_and_draws_from_the_side(client):
    low = {"kind": "elevated_string", "sizes": {"length_m": 2.0, "string_height_m": 0.07, "behind_m": 0.1}}
    found = said(client, "/stations/preview", **PLAN, aids=[low])
    words = " ".join(it["words"] for it in found["objections"])
    assert "too short" in words and "putter's way" in words and "no room" in words
    assert all(it["why"] for it in found["objections"])
    assert found["side"]["left"] == found["stage"]["left"]
    assert said(client, "/stations/preview", **PLAN)["side"] is None


def test_the_kit_check_is_kept_with_the_lesson(client, coach):
    lesson = coach.lesson()
    assert lesson["kit_checked"] == []
    items = said(client, "/stations/preview", **PLAN)["kit_check"]
    coach.put(f"/lessons/{lesson['id']}/kit", ticked=[it["code"] for it in items[:2]])
    assert coach.get(f"/lessons/{lesson['id']}")["lesson"]["kit_checked"] == [it["code"] for it in items[:2]]
    coach.put(f"/lessons/{lesson['id']}/kit", 422, ticked=["nonsense"])
    coach.put(f"/lessons/{uuid6.uuid7()}/kit", 404, ticked=[])


def test_rolls_and_eyes_are_answered_and_refused(client):
    rolls = [{"way": "out", "length_m": 3.0, "drift_m": 0.1}, {"way": "back", "length_m": 3.2, "drift_m": -0.1}]
    found = said(client, "/green/rolls", rolls=rolls, green_speed_ft=10)
    assert found["slope"]["right_percent"] > 0 and "Falls" in found["words"]
    assert fault(client, "/green/rolls", rolls=rolls[:1], green_speed_ft=10)["field"] == "rolls"
    far = [rolls[0] | {"length_m": 90}, rolls[1]]
    assert fault(client, "/green/rolls", rolls=far, green_speed_ft=10)["field"] == "length_m"
    cover = {"height_m": 0.0, "eye_height_m": 1.5, "string_height_m": 0.2}
    eyes = said(client, "/instruments/string/eyes", covers_outside_m=0.006, **cover)
    assert eyes["eyes_inside_m"] == pytest.approx(0.039) and "inside" in eyes["words"]
    assert "over the line" in said(client, "/instruments/string/eyes", covers_outside_m=0.001, **cover)["words"]
    above = cover | {"height_m": 0.3}
    assert fault(client, "/instruments/string/eyes", covers_outside_m=0.01, **above)["field"] == "height_m"


def test_every_instrument_can_be_tried_and_says_what_each_reading_stands_for(client):
    for it in client.get("/api/instruments").json():
        entry = said(client, "/instruments/entry", kind=it["about"]["kind"])
        assert entry["unit"] == it["quantity"]["unit"] and entry["zones"]
        assert all(zone["meaning"] for zone in entry["zones"])
    assert fault(client, "/instruments/entry", kind="plumb", sizes={"mark_m": 9})["field"] == "mark_m"


def test_prints_come_as_pdf_and_svg_and_say_how_many_sheets(client):
    names = [it["name"] for it in client.get("/api/prints").json()]
    assert names[0] == "station" and len(names) == 7
    for name in names:
        pdf = client.post(f"/api/prints/{name}", json=PLAN | {"aids": [STRING]})
        assert pdf.status_code == 200 and pdf.content.startswith(b"%PDF") and int(pdf.headers["x-sheets"]) >= 1
    gate = client.post("/api/prints/gate", params={"form": "svg", "sheet": 3}, json=PLAN)
    assert gate.headers["content-type"].startswith("image/svg") and gate.headers["x-sheets"] == "3"
    assert 'filename="gate-a4-3.svg"' in gate.headers["content-disposition"]
    beyond = client.post("/api/prints/gate", params={"form": "svg", "sheet": 4}, json=PLAN)
    assert beyond.status_code == 422 and beyond.json()["errors"][0]["field"] == "sheet"
    assert client.post("/api/prints/poster", json=PLAN).json()["errors"][0]["field"] == "name"


def test_a_new_instrument_is_offered_proposed_planned_and_read_with_no_other_change(client, coach, hoop):
    assert "Hoop" in [it["about"]["name"] for it in client.get("/api/instruments").json()]
    proposed = next(it for it in said(client, "/stations/propose", **PUTT) if it["kind"] == hoop)
    plan = PUTT | {"rig_kind": hoop, "rig_sizes_m": proposed["sizes"]}
    found = said(client, "/stations/preview", **plan)
    # As good as it can be on a line that is not proved yet.
    assert found["sight"]["fit"] == "unsure" and [it["key"] for it in found["entry"]["zones"]] == list("12345")
    block = coach.block(hoop, 3)
    assert coach.putt(block["id"], {"crossing": "touched_left"})["high_deg"] < 0
    assert client.post("/api/prints/gate", json=plan).status_code == 200
