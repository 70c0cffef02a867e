"""Sensors: paired by a code, heard over HTTP and WebSocket, once each; matched, zeroed, let go."""

import json
import random
from concurrent.futures import ThreadPoolExecutor
from datetime import UTC, datetime, timedelta
from uuid import UUID

import pytest
import uuid6
from sqlalchemy import update
from starlette.websockets import WebSocketDisconnect

from libella.core.simulated.golfer import SimulatedGolfer, sensed
from libella.lessons.start.strokes import StrokeEntry, receive, strokes_of
from libella.store.tables import SensorRow

from ...conftest import now

READ = {"offset_m": 0.01}
OURS = {"format": "libella-stroke", "version": 1}


def asked(coach, lesson, kind="face_and_path"):
    id = str(uuid6.uuid7())
    sheet = coach.put(f"/sensors/{id}", lesson_id=lesson["id"], kind=kind)
    return next(it for it in sheet["sensors"] if it["id"] == id)


def paired(coach, lesson, kind="face_and_path"):
    """The sensor's id and the head that its messages carry."""
    sensor = asked(coach, lesson, kind)
    answer = coach.client.post("/api/sensor-link/pair", json={**OURS, "code": sensor["code"], "device_id": "d1"})
    assert answer.status_code == 200, answer.text
    return sensor["id"], {"authorization": f"Bearer {answer.json()['token']}"}


def stroke(key="s1", at=None, **measures):
    told = {"kind": "stroke", "device_id": "d1", "stroke_id": key, "measures": measures or {"face_impact_deg": 1.0}}
    return {**OURS, **told, "at": at or now()}


def tell(coach, head, *messages):
    answer = coach.client.post("/api/sensor-link/messages", json=list(messages), headers=head)
    assert answer.status_code == 200, answer.text
    return answer.json()


def sheet(coach, lesson):
    return coach.get(f"/lessons/{lesson['id']}/sensors")


def test_a_stroke_told_twice_by_either_road_is_one(coach):
    lesson = coach.lesson()
    _, head = paired(coach, lesson)
    told = stroke("a", path_deg=1.5, u_deg=0.2)
    assert [it["outcome"] for it in tell(coach, head, told, told, stroke("b"))] == ["kept", "known", "kept"]
    token = head["authorization"].removeprefix("Bearer ")
    with coach.client.websocket_connect("ws://127.0.0.1/api/sensor-link/stream") as socket:
        socket.send_json({**OURS, "kind": "hello", "token": token})
        assert socket.receive_json()["kind"] == "welcome"
        socket.send_json(told)
        assert socket.receive_json()["outcome"] == "known"
        socket.send_json(stroke("c"))
        assert socket.receive_json()["outcome"] == "kept"
        socket.send_text("no json")
        assert socket.receive_json()["outcome"] == "refused"
    assert [it["measures"] for it in sheet(coach, lesson)["strokes"]][-1] == {"path_deg": 1.5, "u_deg": 0.2}
    assert len(sheet(coach, lesson)["strokes"]) == 3


def test_what_is_not_understood_is_refused_by_name_and_the_rest_is_kept(coach):
    lesson = coach.lesson()
    _, head = paired(coach, lesson)
    ahead = (datetime.now(UTC) + timedelta(seconds=80)).isoformat()
    bad = [
        ({**stroke(), "version": 2}, "version"),
        ({**stroke(), "format": "other"}, "version"),
        (stroke("f", ahead), "at"),
        (stroke("r", face_impact_deg=31), "measures.face_impact_deg"),
        (stroke("n", spin=3), "measures.spin"),
        (stroke(""), "stroke_id"),
        ({**stroke(), "at": "2026-01-01T10:00:00"}, "at"),
        ({**stroke(), "kind": "still", "measures": {"path_deg": 1}}, "measures"),
        ({**stroke(), "nonsense": 1}, "nonsense"),
    ]
    answers = tell(coach, head, *(it for it, _ in bad), stroke("good"))
    assert answers[-1]["outcome"] == "kept"
    for (_, field), answer in zip(bad, answers, strict=False):
        assert answer["outcome"] == "refused" and answer["problem"]["errors"][0]["field"] == field, answer
        assert answer["problem"]["errors"][0]["limit"] or field in ("nonsense", "at"), answer
    many = coach.client.post("/api/sensor-link/messages", json=[stroke()] * 101, headers=head)
    assert many.status_code == 422 and "at most 100" in many.json()["errors"][0]["limit"]


def test_a_stranger_and_a_device_let_go_are_not_heard(coach):
    lesson = coach.lesson()
    id, head = paired(coach, lesson)
    assert coach.client.post("/api/sensor-link/messages", json=stroke()).status_code == 401
    tell(coach, head, stroke("before"))
    with coach.client.websocket_connect("ws://127.0.0.1/api/sensor-link/stream") as socket:
        socket.send_json({**OURS, "kind": "hello", "token": head["authorization"][7:]})
        socket.receive_json()
        coach.drop(f"/sensors/{id}/link")
        socket.send_json(stroke("after"))
        refused = socket.receive_json()
    assert refused["outcome"] == "refused" and "not paired" in refused["problem"]["detail"]
    assert coach.client.post("/api/sensor-link/messages", json=stroke(), headers=head).status_code == 401
    with coach.client.websocket_connect("ws://127.0.0.1/api/sensor-link/stream") as socket:
        socket.send_json({**OURS, "kind": "hello", "token": "x"})
        assert socket.receive_json()["title"] == "Not paired"
        with pytest.raises(WebSocketDisconnect):
            socket.receive_json()
    # What it told stays.
    assert len(sheet(coach, lesson)["strokes"]) == 1 and sheet(coach, lesson)["sensors"] == []


def test_a_code_pairs_once_and_guessing_is_stopped(coach):
    lesson = coach.lesson()
    sensor = asked(coach, lesson)
    pair = {**OURS, "code": sensor["code"], "device_id": "d1"}
    assert coach.client.post("/api/sensor-link/pair", json=pair).status_code == 200
    again = coach.client.post("/api/sensor-link/pair", json=pair)
    assert again.status_code == 422 and again.json()["errors"][0]["field"] == "code"
    for _ in range(9):
        coach.client.post("/api/sensor-link/pair", json=pair)
    assert coach.client.post("/api/sensor-link/pair", json=pair).status_code == 429
    old = coach.client.post("/api/sensor-link/pair", json=pair | {"version": 7})
    assert old.status_code == 422
    # What one device guesses is not held against another.
    other = asked(coach, lesson)
    assert coach.client.post("/api/sensor-link/pair", json=pair | {"code": other["code"], "device_id": "d2"}).is_success


def test_codes_guessed_at_once_count_each_other(coach):
    """Sixty at the same time: no more than ten are looked at."""

    def guess(n):
        body = {**OURS, "code": f"{n:06d}", "device_id": "d1"}
        return coach.client.post("/api/sensor-link/pair", json=body).status_code

    with ThreadPoolExecutor(12) as pool:
        told = list(pool.map(guess, range(60)))
    assert told.count(422) == 10 and told.count(429) == 50


def test_an_address_that_guesses_under_many_names_is_stopped_too(coach):
    def guess(n):
        body = {**OURS, "code": f"{n:06d}", "device_id": f"d{n}"}
        return coach.client.post("/api/sensor-link/pair", json=body).status_code

    assert [guess(n) for n in range(62)].count(429) == 2


def test_a_stroke_that_can_not_be_kept_takes_no_other_with_it(coach):
    lesson = coach.lesson()
    _, head = paired(coach, lesson)
    bad = [stroke("\ud800"), stroke("b\x00"), stroke("c") | {"at": "9999-12-31T23:59:59-10:00"}]
    bad += [stroke("d") | {"measures": {"face_impact_deg": True}}, {"deep": 1}]
    plain = head | {"content-type": "application/json"}
    body = json.dumps([stroke("a"), *bad, stroke("z")])
    answer = coach.client.post("/api/sensor-link/messages", content=body, headers=plain)
    assert answer.status_code == 200, answer.text
    told = [it["outcome"] for it in answer.json()]
    assert told[0] == told[-1] == "kept" and set(told[1:-1]) == {"refused"}
    assert coach.client.post("/api/sensor-link/messages", content="[null, 7]", headers=plain).status_code == 422


@pytest.mark.parametrize("frame", [b"\x00\xff", "[" * 100_000, '{"a":' * 5000 + "1" + "}" * 5000, "nonsense", "\ud800"])
def test_frames_that_are_no_message_are_refused_and_the_stream_goes_on(coach, frame):
    _, head = paired(coach, coach.lesson())
    token = head["authorization"].removeprefix("Bearer ")
    with coach.client.websocket_connect("ws://127.0.0.1/api/sensor-link/stream") as socket:
        socket.send_json({**OURS, "kind": "hello", "token": token})
        assert socket.receive_json()["kind"] == "welcome"
        socket.send_bytes(frame) if isinstance(frame, bytes) else socket.send_text(frame)
        assert socket.receive_json()["outcome"] == "refused"
        socket.send_json(stroke("a"))
        assert socket.receive_json()["outcome"] == "kept"


def test_strokes_are_put_to_their_putts_by_time_late_ones_too_and_by_hand(coach):
    lesson = coach.lesson()
    block = coach.block(lesson=lesson)
    _, head = paired(coach, lesson)
    start = datetime.now(UTC) - timedelta(minutes=2)
    times = [start + timedelta(seconds=20 * n) for n in range(3)]
    tell(coach, head, stroke("0", times[0].isoformat()), stroke("2", times[2].isoformat()))
    putts = [
        coach.putt(block["id"], {"offset_m": 0.0}, taken_at=(at + timedelta(seconds=6)).isoformat())["id"]
        for at in times
    ]
    tell(coach, head, stroke("1", times[1].isoformat()), stroke("x", (start - timedelta(minutes=9)).isoformat()))
    found = {it["at"]: it for it in sheet(coach, lesson)["strokes"]}
    assert [it["reading_id"] for it in sorted(found.values(), key=lambda it: it["at"])] == [None, *putts]
    # By hand it goes where the coach puts it; set aside it goes nowhere; and back to what the time says.
    first, last = (next(it for it in found.values() if it["reading_id"] == putts[n]) for n in (0, 2))
    coach.put(f"/strokes/{last['id']}/putt", set_aside=True)
    by_hand = coach.put(f"/strokes/{first['id']}/putt", reading_id=putts[2])["strokes"]
    assert {it["id"]: it["reading_id"] for it in by_hand}[first["id"]] == putts[2]
    back = coach.put(f"/strokes/{first['id']}/putt")["strokes"]
    assert {it["id"]: it["reading_id"] for it in back}[first["id"]] == putts[0]
    elsewhere = coach.block()
    other = coach.putt(elsewhere["id"], {"offset_m": 0.0})["id"]
    coach.put(f"/strokes/{first['id']}/putt", 409, reading_id=other)


@pytest.mark.parametrize("at", ["0001-01-01T00:00:00+14:00", "9999-12-31T23:59:59-14:00", "never"])
def test_one_message_at_no_moment_takes_none_of_its_batch_along(coach, at):
    lesson = coach.lesson()
    _, head = paired(coach, lesson)
    many = [stroke(f"s{n}", face_impact_deg=0.1) for n in range(21)]
    many[7]["at"] = at
    told = tell(coach, head, *many)
    assert [it["outcome"] for it in told] == ["refused" if n == 7 else "kept" for n in range(21)]
    assert told[7]["problem"]["errors"] and len(sheet(coach, lesson)["strokes"]) == 20


def test_a_note_of_another_shape_is_refused_by_its_own_name(coach):
    block = coach.block(asks=["still"])
    body = {"block_id": block["id"], "raw": {"offset_m": 0.0}, "taken_at": now(), "notes": {"still": ["head", "knees"]}}
    refused = coach.put(f"/readings/{uuid6.uuid7()}", 422, **body)
    assert {it["field"] for it in refused["errors"]} == {"notes.still"} and "function" not in str(refused)


def test_a_zero_holds_for_the_strokes_after_it_and_needs_the_putter_still(coach):
    lesson = coach.lesson()
    id, head = paired(coach, lesson)
    tell(coach, head, stroke("before", face_impact_deg=1.0))
    refused = coach.put(f"/sensor-zeros/{uuid6.uuid7()}", 422, sensor_id=id)
    assert "at least 5" in refused["errors"][0]["limit"]
    still = [{**stroke(""), "kind": "still", "measures": {"face_deg": 0.8 + 0.01 * n}} for n in range(6)]
    assert {it["outcome"] for it in tell(coach, head, *still)} == {"shown"}
    zero = coach.put(f"/sensor-zeros/{uuid6.uuid7()}", sensor_id=id)
    assert zero["face_deg"] == pytest.approx(0.825) and "0.8° right" in zero["words"]
    tell(coach, head, stroke("after", face_impact_deg=1.0, path_deg=1.0))
    after, before = sheet(coach, lesson)["strokes"]
    assert after["measures"]["face_impact_deg"] == pytest.approx(0.175) and after["measures"]["path_deg"] == 1.0
    assert before["measures"]["face_impact_deg"] == 1.0 and not before["zeroed"]


def test_a_start_board_records_by_itself_unless_what_was_felt_comes_first(coach):
    lesson = coach.lesson()
    _, head = paired(coach, lesson, "start_board")
    tell(coach, head, stroke("early", start_deg=0.5))
    block = coach.block("start_reader", planned=3, lesson=lesson)
    tell(coach, head, *(stroke(f"p{n}", start_deg=0.4) for n in range(5)))
    judged = coach.judged(block["id"])
    assert judged["block"]["putts"] == 3 and judged["block"]["readings"][0]["raw"] == {"read_deg": 0.4}
    assert judged["block"]["readings"][0]["words"] == "0.4° right"
    felt = coach.block("start_reader", lesson=lesson, asks=["felt"])
    tell(coach, head, stroke("q", start_deg=0.4))
    assert coach.judged(felt["id"])["block"]["putts"] == 0
    ruler = coach.block(lesson=lesson)
    tell(coach, head, stroke("r", start_deg=0.4))
    assert coach.judged(ruler["id"])["block"]["putts"] == 0


def test_strokes_without_a_start_are_putts_where_nothing_watches_it(coach):
    lesson = coach.lesson()
    _, head = paired(coach, lesson)
    block = coach.block("no_rig", planned=3, lesson=lesson, asks=["face_impact_deg", "rotation_deg"])
    tell(coach, head, stroke("half", face_impact_deg=0.4))
    assert coach.judged(block["id"])["block"]["putts"] == 0, "what is asked was not all told"
    tell(coach, head, *(stroke(f"p{n}", face_impact_deg=0.4, rotation_deg=12.0) for n in range(4)))
    judged = coach.judged(block["id"])
    assert judged["block"]["putts"] == 3 and judged["block"]["readings"][0]["words"] == "putted"
    asked = coach.block("no_rig", lesson=lesson, asks=["finish"])
    tell(coach, head, stroke("q", face_impact_deg=0.4))
    assert coach.judged(asked["id"])["block"]["putts"] == 0


def test_the_chain_is_told_from_a_sensors_strokes(coach):
    lesson = coach.lesson()
    block = coach.block(lesson=lesson, planned=12)
    _, head = paired(coach, lesson)
    import numpy as np

    rng, golfer = np.random.default_rng(3), SimulatedGolfer(0.0, 0.8, looks_straight_deg=1.5, makes_up=0.9)
    for n in range(12):
        at = datetime.now(UTC) - timedelta(seconds=30 * (13 - n))
        made = golfer.stroke(rng, 2.5)
        tell(coach, head, stroke(str(n), at.isoformat(), **sensed(made, rng, u_deg=0.1, zero_deg=0.0)))
        offset = round(max(-20, min(20, made.start_deg / 0.2865))) * 0.005
        coach.putt(block["id"], {"offset_m": offset}, taken_at=(at + timedelta(seconds=5)).isoformat())
    found = coach.get(f"/lessons/{lesson['id']}/findings")
    assert [it["name"] for it in found["links"]] == ["face_aim", "delivery", "face_impact", "path", "start"]
    told = {it["name"] for it in coach.get(f"/blocks/{block['id']}/read")["read"]}
    assert {
        "Start",
        "Face at address, putt by putt",
        "Face at impact",
        "What the stroke turns",
        "Path",
        "Strike",
    } <= told
    assert coach.get(f"/blocks/{block['id']}/read")["tells_k"] is True
    before = [it["words"] for it in found["links"] if it["name"] == "path"]
    coach.put(f"/blocks/{block['id']}/share-of-face", k=0.6)
    after = [it["words"] for it in coach.get(f"/lessons/{lesson['id']}/findings")["links"] if it["name"] == "path"]
    assert before != after, "what the path adds goes by the share set"
    coach.put(f"/blocks/{block['id']}/share-of-face", 422, k=0.3)


def test_screens_of_a_lesson_hear_of_it_and_others_do_not(coach):
    lesson, other = coach.lesson(), coach.lesson()
    block = coach.block(lesson=lesson)
    with coach.client.websocket_connect(f"ws://127.0.0.1/api/live/lessons/{lesson['id']}") as screen:
        assert screen.receive_json()["what"] == "here"
        _, head = paired(coach, lesson)
        # News of what was done before may still be on its way when a screen comes: what follows is told in order.
        while screen.receive_json()["what"] != "sensor":
            pass
        with coach.client.websocket_connect(f"ws://127.0.0.1/api/live/lessons/{other['id']}") as away:
            away.receive_json()
            putt = coach.putt(block["id"], {"offset_m": 0.01})
            assert screen.receive_json() == {"what": "putt", "block_id": block["id"], "reading_id": putt["id"]}
            tell(coach, head, stroke("s", path_deg=1.0))
            heard = screen.receive_json()
            assert heard["what"] == "stroke" and heard["sent"] == {"path_deg": 1.0}
            for kind, measures in {
                "still": {"face_deg": 0.4},
                "level": {"along_percent": 1.2, "across_percent": -0.4},
            }.items():
                id, told = paired(coach, lesson, "level" if kind == "level" else "face_and_path")
                tell(coach, told, {**stroke(""), "kind": kind, "measures": measures})
                assert screen.receive_json()["what"] == "sensor"
                assert screen.receive_json() == {"what": kind, "sensor_id": id, "sent": measures}
            coach.putt(coach.block(lesson=other)["id"], {"offset_m": 0.01})
            assert [away.receive_json()["what"] for _ in range(2)] == ["block", "putt"]
    with (
        pytest.raises(WebSocketDisconnect),
        coach.client.websocket_connect(
            f"ws://127.0.0.1/api/live/lessons/{lesson['id']}", headers={"origin": "http://elsewhere.example"}
        ) as stranger,
    ):
        stranger.receive_json()


def test_the_wall_shows_the_block_putted_last(coach):
    lesson = coach.lesson()
    assert coach.get(f"/lessons/{lesson['id']}/wall") == {
        "block": None,
        "last": None,
        "watched": False,
        "invented": False,
    }
    first, second = coach.block(lesson=lesson), coach.block(lesson=lesson, condition="wide base")
    coach.putt(first["id"], {"offset_m": 0.02})
    wall = coach.get(f"/lessons/{lesson['id']}/wall")
    assert wall["block"]["id"] == first["id"] and wall["last"]["words"] == "20 mm right"
    coach.putt(second["id"], {"offset_m": -0.02})
    assert coach.get(f"/lessons/{lesson['id']}/wall")["last"]["side"] == "left"


def test_a_paired_sensor_can_be_used_in_the_next_lesson(coach):
    first, second = coach.lesson(), coach.lesson()
    id, head = paired(coach, first)
    [seen] = sheet(coach, second)["sensors"]
    assert seen["state"] == "elsewhere"
    coach.put(f"/sensors/{id}/lesson", lesson_id=second["id"])
    tell(coach, head, stroke("a"))
    assert len(sheet(coach, second)["strokes"]) == 1 and not sheet(coach, first)["strokes"]
    coach.put(f"/lessons/{second['id']}/end", ended_at=now())
    later = (datetime.now(UTC) + timedelta(seconds=2)).isoformat()
    [answer] = tell(coach, head, stroke("b", later))
    assert answer["outcome"] == "refused" and "ended" in answer["problem"]["detail"]


def test_stand_ins_are_started_only_in_the_demo(coach):
    assert coach.get("/standins")["available"] is False
    coach.put(f"/standins/{uuid6.uuid7()}", 404, kind="level", code="123456")


def told_afterwards(coach, lesson, head, behind_s, putts=12):
    """Putts noted some minutes ago, and strokes that a device with its clock so far behind tells of them only now."""
    chance = random.Random(4)
    block = coach.block(lesson=lesson, planned=putts)
    at = datetime.now(UTC) - timedelta(seconds=20 * putts + 100)
    noted, strokes = [], []
    for n in range(putts):
        at += timedelta(seconds=chance.uniform(8, 20))
        noted.append(
            coach.putt(block["id"], READ, taken_at=(at + timedelta(seconds=3 + chance.gauss(0, 1))).isoformat())
        )
        made = at - timedelta(seconds=behind_s)
        strokes.append(stroke(f"s{n}", made.isoformat(), face_impact_deg=n / 10))
    assert {it["outcome"] for it in tell(coach, head, *strokes)} == {"kept"}
    return {it["id"]: datetime.fromisoformat(it["taken_at"]) for it in noted}


@pytest.mark.parametrize(("behind_s", "said"), [(25, "slow"), (-30, "fast"), (0, "")])
def test_a_clock_that_is_out_is_found_and_said_and_its_strokes_are_on_their_own_putts(coach, behind_s, said):
    lesson = coach.lesson()
    _, head = paired(coach, lesson)
    noted = told_afterwards(coach, lesson, head, behind_s)
    found = sheet(coach, lesson)
    assert [it["reading_id"] for it in reversed(found["strokes"])] == list(noted)
    # The time that is told of a stroke is ours: some seconds before its putt was noted.
    for it in found["strokes"]:
        assert -7 < (noted[it["reading_id"]] - datetime.fromisoformat(it["at"])).total_seconds() < 12
    words = found["sensors"][0]["clock_words"]
    assert (f"s {said}" in words) if said else words == ""
    assert not found["sensors"][0]["asks_now"]


def test_a_tap_at_a_stroke_tells_the_clock_where_the_times_alone_do_not(coach):
    lesson = coach.lesson()
    id, head = paired(coach, lesson)
    block = coach.block(lesson=lesson)
    start = datetime.now(UTC) - timedelta(seconds=300)
    noted = [
        coach.putt(block["id"], READ, taken_at=(start + timedelta(seconds=10 * n)).isoformat())["id"] for n in range(6)
    ]
    tell(coach, head, *(stroke(f"s{n}", (start + timedelta(seconds=10 * n - 18)).isoformat()) for n in range(6)))
    before = sheet(coach, lesson)["sensors"][0]
    assert before["asks_now"] and "fit no putt" in before["clock_words"] and "“Now”" in before["clock_words"]
    tapped = datetime.now(UTC)
    coach.put(f"/stroke-taps/{uuid6.uuid7()}", sensor_id=id, tapped_at=tapped.isoformat())
    tell(coach, head, stroke("now", (tapped - timedelta(seconds=14)).isoformat()))
    after = sheet(coach, lesson)
    assert "about 14 s slow" in after["sensors"][0]["clock_words"] and not after["sensors"][0]["asks_now"]
    assert [it["reading_id"] for it in reversed(after["strokes"])] == [*noted, None]


def test_one_ball_told_by_two_boards_is_one_putt(coach):
    lesson = coach.lesson()
    heads = [paired(coach, lesson, "start_board")[1] for _ in range(2)]
    block = coach.block("start_reader", planned=6, lesson=lesson)
    start = datetime.now(UTC) - timedelta(seconds=100)
    for n in range(3):
        at = start + timedelta(seconds=12 * n)
        tell(coach, heads[0], stroke(f"a{n}", at.isoformat(), start_deg=0.5))
        tell(coach, heads[1], stroke(f"b{n}", (at + timedelta(seconds=0.8)).isoformat(), start_deg=0.6))
    assert [it["raw"] for it in coach.judged(block["id"])["block"]["readings"]] == [{"read_deg": 0.5}] * 3
    by_putt = [it["reading_id"] for it in sheet(coach, lesson)["strokes"]]
    assert all(by_putt.count(it) == 2 for it in by_putt)


def test_one_ball_told_by_two_boards_at_the_same_moment_is_one_putt_and_not_none(coach):
    lesson = coach.lesson()
    boards = [paired(coach, lesson, "start_board")[0] for _ in range(2)]
    block = coach.block("start_reader", planned=6, lesson=lesson)
    at = datetime.now(UTC) - timedelta(seconds=5)
    # As they come where both are kept in one transaction.
    entries = [StrokeEntry(UUID(it), "one", {"start_deg": 0.5}, at) for it in boards]
    told = receive(coach.client.app.state.desk(), entries)
    assert [it.outcome for it in told] == ["kept", "kept"] and sum(it.putt is not None for it in told) == 1
    assert coach.judged(block["id"])["block"]["putts"] == 1


def test_a_device_that_fell_silent_is_said_to_be(coach):
    lesson = coach.lesson()
    id, head = paired(coach, lesson)
    tell(coach, head, stroke("a"))
    assert sheet(coach, lesson)["sensors"][0]["silent_words"] == ""
    with coach.client.app.state.desk().transaction() as session:
        session.execute(
            update(SensorRow).where(SensorRow.id == id).values(heard_at=datetime.now(UTC) - timedelta(seconds=95))
        )
    assert sheet(coach, lesson)["sensors"][0]["silent_words"].startswith("Nothing heard from it for 95 s")
    # Of a lesson that has ended nothing more is expected.
    coach.put(f"/lessons/{lesson['id']}/end", ended_at=now())
    assert sheet(coach, lesson)["sensors"][0]["silent_words"] == ""


def test_what_a_device_says_of_its_own_noise_counts_with_that_of_its_zero(coach, application):
    lesson = coach.lesson()
    _, head = paired(coach, lesson)
    tell(coach, head, stroke("a", face_impact_deg=0.5, u_deg=0.8), stroke("b", face_impact_deg=0.5))
    found = strokes_of(application.state.desk(), UUID(lesson["id"]))
    told = {it.stroke.measures.get("u_deg", 0.0): it.noise_deg for it in found}
    assert told[0.8] == 0.8 and told[0.0] < 0.8
