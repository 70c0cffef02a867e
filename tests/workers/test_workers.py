"""Two processes serve one studio: screens, strokes, pairing codes and long work are the same whichever one is asked."""

import contextlib
import json
import os
import signal
import threading
import time
from collections.abc import Callable
from datetime import UTC, datetime
from urllib.parse import urlsplit

import httpx2
import pytest
import uuid6
from prometheus_client.parser import text_string_to_metric_families
from websockets.sync.client import connect as open_socket

from ..conftest import demo_database
from ..pooled import pooled
from ..served import Served


def _wait_for(done: Callable[[], bool], patience_s: float = 30) -> None:
    """Return when it is done, or when patience is out: what comes next says which."""
    until = time.monotonic() + patience_s
    while not done() and time.monotonic() < until:
        time.sleep(0.02)


@pytest.fixture(scope="module", params=[2, 4], ids=["two", "four behind a pool"])
def served(cluster, request):
    url, workers = demo_database(cluster), request.param
    with pooled(url) as pool:
        served = Served(url, workers=workers, metrics=True, pool=pool if workers == 4 else "")
        served.start()
        all_up(served)
        yield served
        served.kill()


def all_up(served: Served) -> None:
    _wait_for(lambda: len(served.workers()) == served.asked)
    assert len(served.workers()) == served.asked


def now() -> str:
    return datetime.now(UTC).isoformat()


def put(served: Served, path: str, status=(200, 201), **body):
    """Each request on a connection of its own: the processes share them out between them."""
    answer = httpx2.put(f"{served.address}/api{path}", json=body, timeout=20)
    assert answer.status_code in status, answer.text
    return answer.json()


def get(served: Served, path: str, patience_s: float = 20):
    answer = httpx2.get(f"{served.address}/api{path}", timeout=patience_s)
    assert answer.status_code == 200, answer.text
    return answer.json()


def test_the_processes_count_together_and_tell_it_on_a_port_of_loopback(served):
    def counted() -> float:
        told = httpx2.get(f"http://127.0.0.1:{served.metrics_port}/metrics", timeout=20).text
        families = {it.name: it for it in text_string_to_metric_families(told)}
        assert families["libella_database_up"].samples[0].value == 1
        wanted = {"method": "GET", "route": "/api/golfers", "status": "200"}
        rows = families["libella_answers"].samples if "libella_answers" in families else []
        return sum(it.value for it in rows if it.name.endswith("_total") and it.labels == wanted)

    before = counted()
    for _ in range(20):
        get(served, "/golfers")
    assert counted() == before + 20


def lesson_with_block(served: Served, planned: int = 200):
    golfer = put(served, f"/golfers/{uuid6.uuid7()}", name="Two Doors", hand="right", level="club")
    lesson = put(served, f"/lessons/{uuid6.uuid7()}", golfer_id=golfer["id"], place="Floor", green_speed_ft=10,
                 started_at=now())  # fmt: skip
    station = put(served, f"/stations/{uuid6.uuid7()}", lesson_id=lesson["id"], laid_at=now(), distance_m=2.5,
                  past_m=0.3, green_speed_ft=10, rig_kind="board", rig_sizes_m={})  # fmt: skip
    block = put(served, f"/blocks/{uuid6.uuid7()}", station_id=station["id"], condition="as usual", guided=False,
                planned=planned, started_at=now())  # fmt: skip
    return golfer, lesson, block


class Screen(threading.Thread):
    """A screen that shows a lesson, whichever process serves it: what it heard, and when."""

    def __init__(self, served: Served, lesson_id: str) -> None:
        super().__init__(daemon=True)
        at = urlsplit(served.address)
        self._socket = open_socket(f"ws://{at.netloc}/api/live/lessons/{lesson_id}", legacy=True)
        assert json.loads(self._socket.recv())["what"] == "here"
        self.heard: list[tuple[float, dict]] = []
        self.start()

    def run(self) -> None:
        try:
            for told in self._socket:
                self.heard.append((time.monotonic(), json.loads(told)))
        except Exception:
            return

    def putts(self) -> int:
        return sum(event["what"] == "putt" for _, event in self.heard)


def test_every_screen_hears_every_putt_whichever_process_took_it(served):
    _, lesson, block = lesson_with_block(served)
    screens = [Screen(served, lesson["id"]) for _ in range(6)]
    for n in range(20):
        put(
            served,
            f"/readings/{uuid6.uuid7()}",
            block_id=block["id"],
            raw={"offset_m": 0.005 * n - 0.05},
            taken_at=now(),
        )
    _wait_for(lambda: all(it.putts() >= 20 for it in screens))
    assert [it.putts() for it in screens] == [20] * 6


def test_wrong_codes_are_counted_together(served):
    """Six requests on six connections are refused after five tries, not after five at each process."""
    device = str(uuid6.uuid7())
    said = [
        httpx2.post(
            f"{served.address}/api/sensor-link/pair",
            json={"format": "libella-stroke", "version": 1, "code": f"{n:06d}", "device_id": device},
            timeout=10,
        ).status_code
        for n in range(12)
    ]
    assert 429 in said and said == sorted(said)


def test_a_face_held_still_is_heard_by_the_process_that_is_asked_for_it(served):
    _, lesson, _ = lesson_with_block(served)
    told = put(served, f"/sensors/{uuid6.uuid7()}", lesson_id=lesson["id"], kind="face_and_path", name="A")
    found = next(it for it in told["sensors"] if it["code"])
    paired = httpx2.post(
        f"{served.address}/api/sensor-link/pair",
        json={"format": "libella-stroke", "version": 1, "code": found["code"], "device_id": "two-doors"},
    ).json()
    head = {"authorization": f"Bearer {paired['token']}"}
    for turn in range(4):
        # A putter is held for as long as it takes: each time it is asked anew, what was told has not grown old.
        told = [{"format": "libella-stroke", "version": 1, "kind": "still", "device_id": "two-doors",
                 "stroke_id": f"s{turn}-{n}", "at": now(), "measures": {"face_deg": 0.8}}
                for n in range(6)]  # fmt: skip
        answer = httpx2.post(f"{served.address}/api/sensor-link/messages", json=told, headers=head, timeout=20)
        assert [it["outcome"] for it in answer.json()] == ["shown"] * 6
        zero = put(served, f"/sensor-zeros/{uuid6.uuid7()}", sensor_id=found["id"])
        assert zero["face_deg"] == pytest.approx(0.8) and zero["readings"] >= 6


def test_a_process_that_is_killed_under_load_loses_nothing_acknowledged(served):
    _, lesson, block = lesson_with_block(served)
    acknowledged: list[str] = []
    screen = Screen(served, lesson["id"])
    stop = threading.Event()

    def putt_on() -> None:
        while not stop.is_set():
            id, body = str(uuid6.uuid7()), {"block_id": block["id"], "raw": {"offset_m": 0.005}, "taken_at": now()}
            while not stop.is_set():
                try:
                    answer = httpx2.put(f"{served.address}/api/readings/{id}", json=body, timeout=5)
                except httpx2.HTTPError:
                    time.sleep(0.02)
                    continue
                if answer.status_code in (200, 201):
                    acknowledged.append(id)
                break

    threads = [threading.Thread(target=putt_on) for _ in range(3)]
    for it in threads:
        it.start()
    # Killed when much has been told, however slow the machine is; what comes after is told to the one that is left.
    _wait_for(lambda: len(acknowledged) > 10)
    before = len(acknowledged)
    os.kill(served.workers()[0], signal.SIGKILL)
    _wait_for(lambda: len(acknowledged) > before + 3)
    stop.set()
    for it in threads:
        it.join()
    kept = {it["id"] for it in get(served, f"/lessons/{lesson['id']}")["blocks"][0]["readings"]}
    assert len(acknowledged) > before + 3 and set(acknowledged) <= kept
    # The other process goes on, and a new one takes the place of the one that is gone.
    all_up(served)
    late = Screen(served, lesson["id"])
    put(served, f"/readings/{uuid6.uuid7()}", block_id=block["id"], raw={"offset_m": 0.0}, taken_at=now())
    _wait_for(lambda: late.putts() >= 1)
    assert late.putts() == 1 and screen.heard


def file_given(served: Served, rows: int):
    golfer = put(served, f"/golfers/{uuid6.uuid7()}", name="Long File", hand="right", level="club")
    content = "start\n" + "\n".join(f"{(n % 40 - 20) / 10}" for n in range(rows))
    id = str(uuid6.uuid7())
    given = httpx2.put(
        f"{served.address}/api/imports/{id}", params={"golfer_id": golfer["id"], "name": "long.csv"},
        content=content.encode(), timeout=30,
    )  # fmt: skip
    assert given.status_code == 200, given.text
    columns = [{"column": 0, "target": "start_deg", "unit": "deg", "positive": "right"}]
    put(served, f"/imports/{id}/mapping", columns=columns)
    return golfer, id


def until_phase(served: Served, id: str, phase: str, seconds: float = 40):
    until, told = time.monotonic() + seconds, {"phase": ""}
    while told["phase"] != phase:
        assert time.monotonic() < until, told
        time.sleep(0.1)
        # While no process is up nobody answers: a browser asks again, too.
        with contextlib.suppress(httpx2.TransportError):
            told = get(served, f"/imports/{id}/progress")
    return told


def test_long_work_goes_on_when_the_process_that_did_it_is_gone(served):
    golfer, id = file_given(served, 12_000)
    until_phase(served, id, "checked")
    put(served, f"/imports/{id}/putts", skip_bad=False)
    time.sleep(0.3)
    for it in served.workers():
        os.kill(it, signal.SIGKILL)
        time.sleep(0.1)
    told = until_phase(served, id, "done", 90)
    assert told["state"] == "taken" and told["putts"] == 12_000
    # Twelve thousand putts are judged for the first time while other processes still start; the question is how often
    # they were taken.
    lessons = get(served, f"/golfers/{golfer['id']}/lessons", patience_s=90)["items"]
    assert len(lessons) == 1


def test_long_work_is_stopped_from_whichever_process(served):
    _, id = file_given(served, 12_000)
    until_phase(served, id, "checked")
    put(served, f"/imports/{id}/putts", skip_bad=False)
    httpx2.delete(f"{served.address}/api/imports/{id}/work", timeout=10)
    told = until_phase(served, id, "stopped")
    assert told["state"] == "given" and told["why"].startswith("Stopped")


def at_once(served: Served, path: str, bodies: list[dict]) -> list[int]:
    """What each of several is answered who write at the very same moment."""
    gate, answers = threading.Barrier(len(bodies)), list[int]()

    def write(body: dict) -> None:
        with httpx2.Client(timeout=40) as client:
            client.get(f"{served.address}/api/health/live")
            gate.wait()
            answers.append(client.put(f"{served.address}/api{path}", json=body).status_code)

    threads = [threading.Thread(target=write, args=(it,)) for it in bodies]
    for it in threads:
        it.start()
    for it in threads:
        it.join()
    return sorted(answers)


def test_of_eight_who_write_one_field_at_once_one_is_kept_and_of_different_fields_all(served):
    golfer = {"name": "Eight At Once", "hand": "right", "level": "club"}
    id, lesson, station = (str(uuid6.uuid7()) for _ in range(3))
    put(served, f"/golfers/{id}", **golfer)
    started = {"golfer_id": id, "place": "Floor", "green_speed_ft": 10, "started_at": now()}
    put(served, f"/lessons/{lesson}", **started)
    plan = {"distance_m": 2.5, "past_m": 0.3, "green_speed_ft": 10, "rig_kind": "board"}
    laid = {"lesson_id": lesson, "laid_at": now()}
    put(served, f"/stations/{station}", **plan, **laid)
    for path, stands, field, said, more in (
        (f"/golfers/{id}", golfer, "name", [f"Name {n}" for n in range(8)], {}),
        (f"/lessons/{lesson}", started, "place", [f"Floor {n}" for n in range(8)], {}),
        (f"/stations/{station}", plan, "distance_m", [3 + n / 4 for n in range(8)], laid),
    ):
        seen = [stands] if path.startswith("/stations") else stands
        told = [stands | more | {field: it, "seen": seen} for it in said]
        assert at_once(served, path, told) == [200] + [412] * 7, path
    stands = golfer | {"name": get(served, f"/golfers/{id}")["name"]}
    apart = {"level": "skilled", "notes": "calm", "step_m": 0.7, "wording": "plain"}
    told = [stands | {name: it, "seen": stands} for name, it in apart.items()]
    assert at_once(served, f"/golfers/{id}", told) == [200] * len(told)
    kept = get(served, f"/golfers/{id}")
    assert {name: kept[name] for name in apart} == apart


def test_schools_declared_at_once_are_all_held(served):
    golfer = put(served, f"/golfers/{uuid6.uuid7()}", name="Many Schools", hand="right", level="club")
    rows = get(served, "/schools")["disagreements"][:6]
    for where in ("/schools", f"/golfers/{golfer['id']}/schools"):
        threads = [
            threading.Thread(
                target=put, args=(served, f"{where}/{it['code']}"), kwargs={"school": it["schools"][0]["code"]}
            )
            for it in rows
        ]
        for it in threads:
            it.start()
        for it in threads:
            it.join()
        held = {it["code"]: it["held"] for it in get(served, where)["disagreements"]}
        assert {it["code"]: held[it["code"]] for it in rows} == {it["code"]: it["schools"][0]["code"] for it in rows}
