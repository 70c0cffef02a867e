"""Taps made durable while 20 lessons record at once, a putt every four seconds each: four times a coach's pace."""

import os
import threading
import time
from pathlib import Path

import httpx2
import numpy as np
import uuid6

from libella.store.server.cluster import Cluster

from ..conftest import Coach, new_database, now, open_folder
from ..ui.conftest import Served

LESSONS, PUTTS, EVERY_S = 20, 10, 4.0


def main() -> None:
    with open_folder() as folder, Cluster(folder / "data").running():
        before = disk(folder / "page")
        served = Served(new_database(Cluster(folder / "data")))
        served.start()
        try:
            record_all(served.address)
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


def record_all(address: str) -> None:
    with httpx2.Client(base_url=address) as client:
        coach = Coach(client)
        blocks = [coach.block(planned=200)["id"] for _ in range(LESSONS)]
    took: list[float] = []

    def record(block: str, offset: float) -> None:
        with httpx2.Client(base_url=address) as client:
            time.sleep(offset)
            for n in range(PUTTS):
                body = {"block_id": block, "raw": {"offset_m": (n % 7 - 3) * 0.005}, "taken_at": now()}
                began = time.perf_counter()
                answer = client.put(f"/api/readings/{uuid6.uuid7()}", json=body)
                took.append((time.perf_counter() - began) * 1000)
                assert answer.status_code == 201, answer.text
                # The screen asks for the judgement after every putt, as here.
                client.get(f"/api/blocks/{block}/judgement").raise_for_status()
                time.sleep(max(0.0, EVERY_S - (time.perf_counter() - began)))

    threads = [threading.Thread(target=record, args=(it, n * EVERY_S / LESSONS)) for n, it in enumerate(blocks)]
    for it in threads:
        it.start()
    for it in threads:
        it.join()
    middle, late, worst = np.percentile(took, [50, 95, 100])
    print(f"{len(took)} putts from {LESSONS} lessons, one every {EVERY_S:g} s each, each followed by its judgement")
    print(f"tap to commit: median {middle:.1f} ms, 95th percentile {late:.1f} ms (asked: 50), worst {worst:.1f} ms")


if __name__ == "__main__":
    main()
