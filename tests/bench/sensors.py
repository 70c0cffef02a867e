"""How soon a stroke is on both screens with 20 lessons live; 200 messages a second with a server that dies.

python -m tests.bench.sensors            both; the second for five minutes
python -m tests.bench.sensors --minutes 1
"""

import argparse
import json
import threading
import time
from datetime import UTC, datetime

import httpx2
import numpy as np
import psycopg
import uuid6
from playwright.sync_api import sync_playwright
from websockets.exceptions import WebSocketException
from websockets.sync.client import connect

from libella.standins.link import FORMAT, Link, pair
from libella.store.server.cluster import Cluster

from ..conftest import Coach, new_database, open_folder
from ..ui.conftest import CHROMIUM, Served

LESSONS, EVERY_S, STROKES = 20, 10.0, 20
"""A stroke every ten seconds from each lesson is half as much again as a coach's pace."""
DEVICES, PER_SECOND = 20, 10

SEEN = """
wanted => {
  const look = () => document.body.innerText.includes(wanted.text) && !window['seen ' + wanted.text]
    && (window['seen ' + wanted.text] = performance.timeOrigin + performance.now())
  new MutationObserver(look).observe(document.body, { subtree: true, childList: true, characterData: true })
  look()
}
"""


def sensor(coach: Coach, address: str, lesson: dict, kind: str) -> tuple[str, str]:
    id = str(uuid6.uuid7())
    sheet = coach.put(f"/sensors/{id}", lesson_id=lesson["id"], kind=kind)
    code = next(it["code"] for it in sheet["sensors"] if it["id"] == id)
    return id, pair(address, code, f"d-{id}")


def main() -> None:
    words = argparse.ArgumentParser()
    words.add_argument("--minutes", type=float, default=5.0)
    options = words.parse_args()
    with open_folder() as folder, Cluster(folder / "data").running():
        url = new_database(Cluster(folder / "data"))
        served = Served(url)
        served.start()
        try:
            on_screen(served.address)
            flood(served, url, options.minutes * 60)
        finally:
            served.kill()


def on_screen(address: str) -> None:
    """From sending a stroke to its being on the coach's and the second screen."""
    with httpx2.Client(base_url=address) as client:
        coach = Coach(client)
        lessons = [coach.lesson() for _ in range(LESSONS)]
        for it in lessons:
            coach.block("start_reader", planned=60, lesson=it)
        tokens = [sensor(coach, address, it, "start_board")[1] for it in lessons]
    stop = threading.Event()

    def screen(lesson: str) -> None:
        """What a page does when it hears of a stroke."""
        with connect(f"{address.replace('http', 'ws')}/api/live/lessons/{lesson}") as socket, httpx2.Client() as client:
            while not stop.is_set():
                try:
                    if json.loads(socket.recv(timeout=0.5))["what"] == "stroke":
                        client.get(f"{address}/api/lessons/{lesson}/wall")
                except TimeoutError:
                    continue

    def device(n: int) -> None:
        link = Link(address, tokens[n], "d")
        time.sleep(n * EVERY_S / LESSONS)
        while not stop.is_set():
            link.send(link.message("stroke", {"start_deg": 0.3, "u_deg": 0.2}, stroke_id=str(uuid6.uuid7())))
            time.sleep(EVERY_S)

    busy = [threading.Thread(target=screen, args=(it["id"],)) for it in lessons[1:] for _ in range(2)]
    busy += [threading.Thread(target=device, args=(n,)) for n in range(1, LESSONS)]
    for it in busy:
        it.start()
    took: dict[str, list[float]] = {"coach": [], "wall": []}
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium-headless-shell", args=CHROMIUM)
        pages = {"coach": browser.new_page(), "wall": browser.new_page()}
        lesson = lessons[0]["id"]
        pages["coach"].goto(f"{address}/lessons/{lesson}/start")
        pages["wall"].goto(f"{address}/wall/{lesson}")
        time.sleep(2)
        link = Link(address, tokens[0], "d")
        for n in range(STROKES):
            text = f"{n / 10 + 0.1:.1f}° right"
            for page in pages.values():
                page.evaluate(SEEN, {"text": text})
            sent = time.time() * 1000
            link.send(link.message("stroke", {"start_deg": n / 10 + 0.1, "u_deg": 0.2}, stroke_id=str(uuid6.uuid7())))
            time.sleep(2.5)
            for name, page in pages.items():
                took[name].append(page.evaluate("text => window['seen ' + text]", text) - sent)
        browser.close()
    stop.set()
    for it in busy:
        it.join()
    print(f"{LESSONS} lessons live, a stroke every {EVERY_S:g} s each, two screens each; {STROKES} strokes watched")
    for name, all_ms in took.items():
        middle, late, worst = np.percentile(all_ms, [50, 95, 100])
        print(f"{name}: median {middle:.0f} ms, 95th percentile {late:.0f} ms (asked: 150), worst {worst:.0f} ms")


def flood(served: Served, url: str, seconds: float) -> None:
    """Every message acknowledged is kept, once; the server is killed and started again half-way."""
    with httpx2.Client(base_url=served.address) as client:
        coach = Coach(client)
        lessons = [coach.lesson() for _ in range(DEVICES)]
        paired = [sensor(coach, served.address, it, "face_and_path") for it in lessons]
    acknowledged: list[set[str]] = [set() for _ in paired]
    sent = [0] * DEVICES
    began = time.monotonic()

    def device(n: int) -> None:
        waiting: list[dict] = []
        while time.monotonic() < began + seconds or waiting:
            try:
                with connect(f"{served.address.replace('http', 'ws')}/api/sensor-link/stream") as socket:
                    socket.send(json.dumps({**FORMAT, "kind": "hello", "token": paired[n][1]}))
                    socket.recv(timeout=5)
                    while time.monotonic() < began + seconds or waiting:
                        while sent[n] < (time.monotonic() - began) * PER_SECOND and time.monotonic() < began + seconds:
                            waiting.append(message(n, sent[n]))
                            sent[n] += 1
                        for it in list(waiting):
                            socket.send(json.dumps(it))
                        for it in list(waiting):
                            answer = json.loads(socket.recv(timeout=5))
                            assert answer["stroke_id"] == it["stroke_id"]
                            if answer["outcome"] in ("kept", "known"):
                                acknowledged[n].add(it["stroke_id"])
                                waiting.remove(it)
                        time.sleep(0.1)
            except (OSError, TimeoutError, WebSocketException):
                time.sleep(0.3)

    threads = [threading.Thread(target=device, args=(n,)) for n in range(DEVICES)]
    for it in threads:
        it.start()
    time.sleep(seconds / 2)
    served.kill()
    time.sleep(1)
    served.start()
    for it in threads:
        it.join()
    took = time.monotonic() - began
    with psycopg.connect(url) as connection:
        kept, distinct = connection.execute(
            "select count(*), count(distinct (sensor_id, key)) from stroke where sensor_id = any(%s)",
            [[it[0] for it in paired]],
        ).fetchone()
    told = sum(sent)
    print(f"{told} strokes from {DEVICES} devices in {took:.0f} s ({told / took:.0f} a second), the server killed once")
    print(f"acknowledged {sum(map(len, acknowledged))}, kept {kept}, doubled {kept - distinct}, lost {told - kept}")


def message(n: int, count: int) -> dict:
    told = {"kind": "stroke", "device_id": f"d{n}", "stroke_id": str(count), "measures": {"face_impact_deg": 0.4}}
    return {**FORMAT, **told, "at": datetime.now(UTC).isoformat()}


if __name__ == "__main__":
    main()
