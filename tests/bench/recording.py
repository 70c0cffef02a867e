"""Taps made durable, and shown on three screens of each lesson, while 20 lessons record at once.

A screen has shown a putt when it heard of it and was given
what it draws anew.
"""

import json
import os
import threading
import time
from pathlib import Path

import httpx2
import numpy as np
import uuid6
from websockets.exceptions import WebSocketException
from websockets.sync.client import connect as open_socket

from libella.store.server.cluster import Cluster

from ..conftest import Coach, new_database, now, open_folder
from ..ui.conftest import Served

LESSONS, PUTTS = 20, 8
PACES_S = (16.0, 4.0)
"""A coach's pace, and four times that: as after a network came back."""
SCREENS = ("/lessons/{lesson}/wall", "/lessons/{lesson}/question", "/blocks/{block}/judgement")
"""What a wall, a golfer's screen and a second tablet of the coach draw anew after each putt."""


def main() -> None:
    with open_folder() as folder, Cluster(folder / "data").running():
        before = disk(folder / "page")
        served = Served(new_database(Cluster(folder / "data")))
        served.start()
        try:
            for every_s in PACES_S:
                record_all(served.address, every_s)
        finally:
            served.kill()
        for when, (middle, late) in {"before": before, "after": disk(folder / "page")}.items():
            print(f"the disk alone, one page synced, {when}: median {middle:.1f} ms, 95th percentile {late:.1f} ms")


def disk(path: Path) -> tuple[float, float]:
    """What a commit can't be faster than here, ms: the median and the 95th percentile of syncing one page."""
    took = []
    with path.open("wb", buffering=0) as file:
        for _ in range(100):
            file.write(b"x" * 8192)
            began = time.perf_counter()
            os.fdatasync(file.fileno())
            took.append((time.perf_counter() - began) * 1000)
            time.sleep(0.03)
    middle, late = np.percentile(took, [50, 95])
    return float(middle), float(late)


class Screen(threading.Thread):
    """One screen of a lesson: for every putt, when it was heard of, and when what is drawn of it was there, s."""

    def __init__(self, address: str, asks: str, lesson: str) -> None:
        super().__init__(daemon=True)
        self._client, self._asks = httpx2.Client(base_url=f"{address}/api"), asks
        self._socket = open_socket(f"{address.replace('http', 'ws')}/api/live/lessons/{lesson}", legacy=True)
        assert json.loads(self._socket.recv())["what"] == "here"
        self.heard: dict[str, tuple[float, float]] = {}
        self.start()

    def run(self) -> None:
        try:
            for told in self._socket:
                event, heard = json.loads(told), time.perf_counter()
                if event["what"] == "putt":
                    self._client.get(self._asks).raise_for_status()
                    self.heard[event["reading_id"]] = heard, time.perf_counter()
        except WebSocketException:
            return


def record_all(address: str, every_s: float) -> None:
    with httpx2.Client(base_url=address) as client:
        coach = Coach(client)
        lessons = [coach.lesson() for _ in range(LESSONS)]
        blocks = [coach.block(planned=200, lesson=it)["id"] for it in lessons]
    screens = [
        [Screen(address, asks.format(lesson=it["id"], block=block), it["id"]) for asks in SCREENS]
        for it, block in zip(lessons, blocks, strict=True)
    ]
    tapped: list[dict[str, float]] = [{} for _ in blocks]
    took: list[float] = []

    def record(lesson: int, offset: float) -> None:
        block = blocks[lesson]
        with httpx2.Client(base_url=address) as client:
            time.sleep(offset)
            for n in range(PUTTS):
                id, body = str(uuid6.uuid7()), {"block_id": block, "raw": {"offset_m": (n % 7 - 3) * 0.005}}
                began = tapped[lesson][id] = time.perf_counter()
                answer = client.put(f"/api/readings/{id}", json=body | {"taken_at": now()})
                took.append((time.perf_counter() - began) * 1000)
                assert answer.status_code == 201, answer.text
                # The screen asks for the judgement after every putt, as here.
                client.get(f"/api/blocks/{block}/judgement").raise_for_status()
                time.sleep(max(0.0, every_s - (time.perf_counter() - began)))

    threads = [threading.Thread(target=record, args=(n, n * every_s / LESSONS)) for n in range(LESSONS)]
    for it in threads:
        it.start()
    for it in threads:
        it.join()
    time.sleep(2)
    print(f"{len(took)} putts from {LESSONS} lessons, one every {every_s:g} s each, each followed by its judgement")
    print(f"tap to commit: {_told(took)} (asked: 50)")
    shown = [
        tuple((at - began) * 1000 for at in screen.heard[id])
        for of, asked in zip(screens, tapped, strict=True)
        for screen in of
        for id, began in asked.items()
    ]
    print(f"tap to heard on {len(SCREENS)} screens of each: {_told([it[0] for it in shown])}")
    print(f"tap to what they draw: {_told([it[1] for it in shown])} (asked: 150)")


def _told(took: list[float]) -> str:
    middle, late, worst = np.percentile(took, [50, 95, 100])
    return f"median {middle:.1f} ms, 95th percentile {late:.1f} ms, worst {worst:.1f} ms"


if __name__ == "__main__":
    main()
