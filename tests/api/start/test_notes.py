"""Notes of a putt through the API: asked for by the block, kept with the reading, told in tables."""

import uuid6


def test_notes_are_kept_with_the_putt_and_told(coach):
    block = coach.block(asks=["finish", "felt"])
    assert block["asks"] == ["felt", "finish"]
    for offset, felt, finish in ((0.02, "straight", "short"), (0.0, "left", "holed"), (-0.02, "left", "short")):
        coach.putt(block["id"], {"offset_m": offset}, notes={"felt": felt, "finish": finish})
    judged, told = coach.judged(block["id"]), coach.get(f"/blocks/{block['id']}/read")["read"]
    said = {it["name"]: it["words"] for it in told}
    assert said["Holed"].startswith("2 missed, 1 holed of 3 putts") and said["Felt start"].startswith(
        "2 left, 1 straight"
    )
    assert said["What feels straight"] == "3 putts read, needs 6."
    assert judged["block"]["readings"][0]["notes"] == {"felt": "straight", "finish": "short"}
    # What was not told of a putt may be missing; a voided putt counts in no table.
    last = coach.putt(block["id"], {"offset_m": 0.0}, notes={"finish": "holed"})
    coach.put(f"/readings/{last['id']}/voided", reason="talked")
    assert coach.get(f"/blocks/{block['id']}/read")["read"] == told


def test_the_same_putt_said_again_with_other_notes_is_a_conflict(coach):
    block, id = coach.block(asks=["felt"]), str(uuid6.uuid7())
    first = coach.putt(block["id"], {"offset_m": 0.0}, id, notes={"felt": "left"})
    again = {"taken_at": first["taken_at"], "notes": {"felt": "left"}}
    assert coach.putt(block["id"], {"offset_m": 0.0}, id, **again) == first
    coach.putt(block["id"], {"offset_m": 0.0}, id, status=409, **again | {"notes": {"felt": "right"}})


def test_what_is_not_asked_for_or_can_not_be_is_refused(coach):
    block = coach.block(asks=["felt"])
    for notes, field in (({"roll": "skid"}, "notes.roll"), ({"felt": "up"}, "notes.felt")):
        refused = coach.putt(block["id"], {"offset_m": 0.0}, status=422, notes=notes)
        assert refused["errors"][0]["field"] == field
    station = coach.station(coach.lesson()["id"])
    body = {"station_id": station["id"], "condition": "x", "guided": False, "planned": 10, "asks": ["nose"]}
    refused = coach.put(f"/blocks/{uuid6.uuid7()}", 422, **body, started_at="2026-01-01T10:00:00Z")
    assert refused["errors"][0]["field"] == "asks"


def test_what_can_be_noted_is_listed_in_the_order_of_the_putt(coach):
    notes = coach.get("/notes")
    assert notes[0]["note"] == "felt" and notes[0]["when"] == "before"
    after = [it["when"] for it in notes[1:]]
    assert after == sorted(after) and set(after) == {"after", "end"}


def test_what_disturbed_a_block_and_how_it_felt_is_kept_and_judged_with(coach):
    block = coach.block(planned=5)
    for _ in range(5):
        coach.putt(block["id"], {"offset_m": 0.02})
    before = coach.judged(block["id"])["judgement"]
    body = {"disturbances": ["wind", "rough"], "comfort": 4, "trust": 2}
    kept = coach.put(f"/blocks/{block['id']}/circumstances", **body)
    assert kept["disturbances"] == ["rough", "wind"] and (kept["comfort"], kept["trust"]) == (4, 2)
    judged = coach.judged(block["id"])
    after = judged["judgement"]
    assert after["verdict"]["probability"] < before["verdict"]["probability"] and "wind" in after["doubt"]
    assert judged["block"]["trust"] == 2
    for field, bad in (("disturbances", {"disturbances": ["moon"]}), ("trust", {"trust": 6})):
        refused = coach.put(f"/blocks/{block['id']}/circumstances", 422, **bad)
        assert refused["errors"][0]["field"] == field and refused["errors"][0]["limit"]


def test_the_golfers_own_read_and_feet_are_told_beside_the_coachs(coach):
    lesson = coach.lesson()
    says = {"read": {"place": "edge", "side": "left"}, "falls_forward_percent": None, "falls_right_percent": 2.0}
    station = coach.station(lesson["id"], "board", falls_right_percent=1.0, golfer_says=says)
    assert station["golfer_says"] == says | {"read": {"place": "edge", "side": "left", "outside_m": 0.0}}
    plain = {it: station[it] for it in ("distance_m", "past_m", "green_speed_ft", "falls_right_percent", "rig_kind")}
    shown = coach.client.post("/api/stations/preview", json=plain | {"golfer_says": says}).json()
    said = " ".join(shown["breaks"])
    assert "golfer’s read, the left edge, is" in said and "by foot: 2.0 % to the right" in said
    bad = coach.client.post("/api/stations/preview", json=plain | {"golfer_says": {"falls_right_percent": 40}})
    assert bad.status_code == 422 and bad.json()["errors"][0]["field"] == "golfer_says.falls_right_percent"


def test_a_doubted_putt_counts_less_by_a_stated_amount_and_says_so(coach):
    block = coach.block(planned=6)
    putts = [coach.putt(block["id"], {"offset_m": 0.02}) for _ in range(6)]
    before = coach.judged(block["id"])["judgement"]
    for it in putts[:3]:
        kept = coach.put(f"/readings/{it['id']}/flags", flags=["unverified", "rough"])
        assert kept["flags"] == ["rough", "unverified"] and kept["raw"] == it["raw"]
    judged = coach.judged(block["id"])
    after = judged["judgement"]
    wide = [it["summary"]["bias"]["high"] - it["summary"]["bias"]["low"] for it in (before, after)]
    assert wide[1] > wide[0] and after["putts"] == 6
    assert "3 are flagged and count as 0.38 reading together" in after["doubt"]
    assert judged["block"]["readings"][0]["flags"] == ["rough", "unverified"]
    # Said again it takes the place of what was said; nothing said is nothing lowered.
    for it in putts[:3]:
        coach.put(f"/readings/{it['id']}/flags", flags=[])
    assert coach.judged(block["id"])["judgement"]["summary"] == before["summary"]
    refused = coach.put(f"/readings/{putts[0]['id']}/flags", 422, flags=["moon"])
    assert refused["errors"][0]["field"] == "flags" and "rough" in refused["errors"][0]["limit"]


def test_where_something_lies_over_the_head_a_noted_touch_asks_which_half(coach):
    lesson = coach.lesson()
    strung = coach.block("raised_string", lesson=lesson, asks=["aid:raised_string"])
    assert strung["asks"] == ["contact", "aid:raised_string"]
    touched = {"aid:raised_string": "back", "contact": "heel_half"}
    coach.putt(strung["id"], {"line_on": "centre"}, notes=touched)
    coach.putt(strung["id"], {"line_on": "centre"}, notes={"aid:raised_string": "clear"})
    said = {it["name"]: it["words"] for it in coach.get(f"/blocks/{strung['id']}/read")["read"]}
    assert said["Which half touched"].startswith("1 heel half: tilted, heel up")
    # Without anything over the head, or a touch that is noted, nobody is asked.
    assert coach.block(lesson=lesson, asks=["touch"])["asks"] == ["touch"]
    assert coach.block("raised_string", lesson=lesson, asks=["strike"])["asks"] == ["strike"]
    assert coach.block("bridge_gate", lesson=lesson, asks=["touch"])["asks"] == ["touch", "contact"]


def test_a_block_is_called_otherwise_and_its_cue_and_routine_are_said_later(coach):
    block = coach.block()
    said = {"condition": "near spot, quicker", "factors": {"cue": "near_spot", "routine": "quicker"}}
    kept = coach.put(f"/blocks/{block['id']}/how", **said)
    assert (kept["condition"], kept["factors"]) == (said["condition"], said["factors"])
    assert coach.get(f"/lessons/{block['lesson_id']}")["blocks"][0]["condition"] == said["condition"]


def test_everything_may_be_noted_of_one_putt_and_all_that_moved(coach):
    names = [it["note"] for it in coach.get("/notes")]
    block = coach.block(asks=names)
    options = {it["note"]: list(it["options"]) for it in coach.get("/notes")}
    noted = {name: told[-1] for name, told in options.items() if told}
    moved = "+".join(it for it in options["still"] if it != "nothing")
    kept = coach.putt(block["id"], {"offset_m": 0.0}, notes=noted | {"still": moved})
    assert kept["notes"]["still"] == moved and len(kept["notes"]) == len(noted)
