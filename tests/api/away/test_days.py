"""A day without a network: all that pages ask for is known; what is begun stands as the server would have shown it."""

import json
import re
from itertools import pairwise

import pytest
import uuid6
from sqlalchemy import text

from libella.api.away.addresses import LEFT_OUT, OF_BLOCK, OF_GOLFER, OF_LESSON, OF_OPEN_BLOCK, OF_STUDIO
from libella.store.tables import Stored

from ...conftest import now
from ..set.test_saved import save

ADDRESSES = (*OF_STUDIO, *OF_GOLFER, *OF_LESSON, *OF_BLOCK, *OF_OPEN_BLOCK)
TIMES = re.compile(r"\d{4}-\d\d-\d\dT[\d:.]+(Z|\+00:00)")


def asked(coach, address: str, body=None):
    client = coach.client
    answer = client.get(address) if body is None else client.post(address, json=body)
    assert answer.status_code == 200, f"{address}: {answer.text}"
    return answer.json()


def test_every_question_of_the_api_is_taken_along_or_has_a_reason(client):
    paths = client.get("/api/openapi.json").json()["paths"]
    questions = {path for path, asks in paths.items() if "get" in asks and not path.startswith("/api/away")}
    taken = {it.partition("?")[0] for it in ADDRESSES}
    assert taken | set(LEFT_OUT) == questions and not taken & set(LEFT_OUT)


def test_everything_that_is_taken_along_is_answered(coach):
    """Also of a left-hander, of a kept station that breaks, of a lesson that has ended, and where no rig lies."""
    lefty = coach.golfer("Lefty", hand="left")
    block = coach.block(lesson=coach.lesson(lefty["id"]))
    coach.putt(block["id"], {"offset_m": 0.01})
    ended = coach.lesson()
    coach.put(f"/lessons/{ended['id']}/end", ended_at=now())
    save(coach, read={"place": "outside", "side": "left", "outside_m": 0.05})
    coach.station(coach.lesson()["id"], "no_rig", proved=False)
    save(coach, "Nothing laid", rig_kind="no_rig", rig_sizes_m={})
    asks = coach.get("/away")["asks"]
    for it in asks:
        asked(coach, it["address"], it["body"])
    told = [it["address"] for it in asks]
    assert len({json.dumps(it) for it in asks}) == len(asks)
    for needed in (lefty["id"], block["id"], block["lesson_id"], ended["id"], f"station={block['station_id']}"):
        assert any(needed in it for it in told), needed
    # Only what may still be putted is weighed without a network.
    weighed = [it.split("/")[3] for it in told if "/likelihood" in it]
    assert weighed == [block["id"]]
    assert {it["body"]["hand"] for it in asks if it["address"].startswith("/api/away/plan")} == {"left", "right"}


def rows(engine) -> dict[str, int]:
    with engine.connect() as connection:
        return {
            it.__tablename__: connection.scalar(text(f'select count(*) from "{it.__tablename__}"'))
            for it in Stored.__subclasses__()
            if "__tablename__" in vars(it)
        }


def test_nothing_that_is_rehearsed_is_kept_or_told_to_a_screen(coach, engine, client, monkeypatch):
    block, kept = coach.block(), save(coach)
    told: list[object] = []
    monkeypatch.setattr(client.app.state.live._notices, "tell", told.append)
    plan = next(it for it in coach.get("/away")["asks"] if it["address"].startswith("/api/away/plan"))
    before = rows(engine)
    assert before["golfer"] and before["saved_station"] and kept
    asked(coach, "/api/away/golfer")
    asked(coach, "/api/away/lesson?hand=left")
    asked(coach, plan["address"], plan["body"])
    blank = asked(coach, f"/api/away/block?station={block['station_id']}")
    assert rows(engine) == before
    assert coach.get(f"/blocks/{blank['marks']['block']}/judgement", 404)
    assert len(coach.get(f"/lessons/{block['lesson_id']}")["blocks"]) == 1
    assert not told
    coach.putt(block["id"], {"offset_m": 0.01})
    assert told


def test_what_cannot_be_begun_is_refused_as_it_would_be(coach):
    block = coach.block()
    coach.put(f"/lessons/{block['lesson_id']}/end", ended_at=now())
    refused = coach.get("/away/block", 409, station=block["station_id"])
    assert "ended" in refused["detail"]
    assert coach.get("/away/block", 404, station=str(uuid6.uuid7()))


def filled(blank: dict, marks: dict[str, str]) -> dict:
    told = json.dumps(blank["answers"])
    for name, real in marks.items():
        told = told.replace(blank["marks"][name], real)
    return {it["address"]: it["answer"] for it in json.loads(told)}


def plainly(answer) -> str:
    """Without what differs between two times of doing the same."""
    told = TIMES.sub("then", json.dumps(answer, sort_keys=True))
    return re.sub(r'"revision": \d+', '"revision": 0', told)


@pytest.mark.parametrize("hand", ["right", "left"])
def test_what_stands_without_a_network_is_what_the_server_shows_of_the_same(coach, hand):
    save(coach, name=f"Gate for the {hand}")
    asks = coach.get("/away")["asks"]
    ask = next(it for it in asks if it["address"].startswith("/api/away/plan") and it["body"]["hand"] == hand)
    new, begun = asked(coach, f"/api/away/golfer?hand={hand}"), asked(coach, f"/api/away/lesson?hand={hand}")
    laid = asked(coach, ask["address"], ask["body"])
    marks = {it: str(uuid6.uuid7()) for it in ("golfer", "lesson", "station", "block")}
    marks |= {"name": "Somebody Real", "place": "The far green"}

    def same(blank: dict, names: list[str]) -> dict:
        told = filled(blank, {it: marks[it] for it in names})
        for address, answer in told.items():
            if not address.startswith("/api/away"):
                assert plainly(answer) == plainly(asked(coach, address)), address
        return told

    coach.put(f"/golfers/{marks['golfer']}", name=marks["name"], hand=hand, level="club")
    same(new, ["golfer", "name"])
    body = {"golfer_id": marks["golfer"], "place": marks["place"], "surface": "indoor_mat", "green_speed_ft": 10}
    coach.put(f"/lessons/{marks['lesson']}", **body, started_at=now())
    same(begun, ["golfer", "name", "lesson", "place"])
    coach.put(f"/stations/{marks['station']}", **ask["body"]["plan"], lesson_id=marks["lesson"], laid_at=now())
    shown = same(laid, ["golfer", "name", "lesson", "place", "station"])
    # What is begun on it without a network, too, stands in what was laid without one.
    block = next(answer for address, answer in shown.items() if address.startswith("/api/away/block"))
    body = {"station_id": marks["station"], "guided": False, "planned": 10, "started_at": now()}
    coach.put(f"/blocks/{marks['block']}", **body)
    same(block, ["block"])


def test_a_comparison_begun_without_a_network_stands_as_the_server_shows_it(coach):
    block = coach.block()
    lesson, station = block["lesson_id"], block["station_id"]
    blank = asked(coach, f"/api/away/comparison?station={station}")
    marks = {it: str(uuid6.uuid7()) for it in ("comparison", "first", "second")}
    marks |= {"first name": "as usual", "second name": "wide base"}
    told = filled(blank, marks)
    ways = [{"name": marks[f"{it} name"], "station_id": station, "block_id": marks[it]} for it in ("first", "second")]
    body = {"lesson_id": lesson, "conditions": ways, "each": 9, "started_at": now()}
    made = coach.put(f"/comparisons/{marks['comparison']}", **body)
    assert made["turn"] == marks["first"] and len(made["plan"]) == 18
    for address, answer in told.items():
        assert plainly(answer) == plainly(asked(coach, address)), address
    # Sent again it is one; the putts that came before the answer lie in its blocks.
    assert coach.put(f"/comparisons/{marks['comparison']}", **body)["plan"] == made["plan"]
    coach.putt(marks["second"], {"offset_m": 0.01})
    assert coach.get(f"/lessons/{lesson}/comparisons")[0]["done"] == [0, 1]


def test_set_downs_begun_without_a_network_stand_as_the_server_shows_them(coach):
    lesson, series = coach.lesson()["id"], str(uuid6.uuid7())
    blank = asked(coach, f"/api/away/series?lesson={lesson}")
    coach.put(f"/aim-series/{series}", lesson_id=lesson, started_at=now())
    for address, answer in filled(blank, {"series": series}).items():
        assert plainly(answer) == plainly(asked(coach, address)), address


def test_the_most_needed_comes_first(coach):
    """A network that goes away meanwhile leaves what the day cannot do without."""
    coach.block()
    save(coach)
    sorts = ["/api/session", "/api/away/golfer", "/api/lessons/", "/api/blocks/", "/api/golfers/", "/api/away/plan"]
    told = [it["address"] for it in coach.get("/away")["asks"]]
    first = [next(n for n, address in enumerate(told) if address.startswith(it)) for it in sorts]
    assert all(one < other for one, other in pairwise(first))
