"""Readings lost or doubled while twenty devices record, go offline and come back, and everything under them is killed.

PYTHONPATH=src python -m tests.bench.losses [readings] [kills]

Devices send as the tablet's outbox does: in order, each under its own id until it is acknowledged. Of some the answer
is never heard, and some are sent once more though it was.
"""

import contextlib
import os
import random
import signal
import sys
import threading
import time
from collections import Counter, deque
from collections.abc import Callable
from dataclasses import dataclass, field
from datetime import UTC, datetime, timedelta
from typing import Any

import httpx2
import psycopg
import uuid6

from libella.store.server.cluster import Cluster

from ..conftest import Coach, new_database, open_folder
from ..pooled import Pool
from ..served import Served

DEVICES, BLOCK, WORKERS = 20, 150, 2
OFFLINE, UNHEARD, AGAIN = 0.004, 0.02, 0.01
"""How often, of readings: a device goes offline with it, its answer is not heard, it is sent once more for nothing."""
DOWN_S = (0.5, 3.0)


def main() -> None:
    readings, kills = (int(it) for it in [*sys.argv[1:], "100000", "50"][:2])
    with open_folder() as folder, (cluster := Cluster(folder / "data")).running():
        url = new_database(cluster)
        with Pool(url) as pool:
            served = Served(url, WORKERS, pool=pool.url)
            served.start()
            try:
                floor = Floor(served.address)
                floor.begin(readings)
                threads = [threading.Thread(target=it.run) for it in floor.devices]
                began = time.monotonic()
                for it in threads:
                    it.start()
                killed = kill(Under(served, pool, cluster, floor), kills, readings)
                for it in threads:
                    it.join()
                print(f"{readings} readings from {DEVICES} devices in {time.monotonic() - began:.0f} s")
            finally:
                served.kill()
        print("killed or cut: " + ", ".join(f"{what} {times} times" for what, times in sorted(killed.items())))
        tell(url, floor)


@dataclass
class Floor:
    """All devices, and whether the network between them and the server is there."""

    address: str
    cut: threading.Event = field(default_factory=threading.Event)
    devices: list["Device"] = field(default_factory=list)

    def begin(self, readings: int) -> None:
        with httpx2.Client(base_url=self.address, timeout=60) as client:
            coach = Coach(client)
            for n in range(DEVICES):
                lesson = coach.lesson(coach.golfer(f"Golfer {n}")["id"])["id"]
                station = coach.station(lesson)["id"]
                self.devices.append(Device(self, station, readings // DEVICES, random.Random(n)))

    @property
    def acknowledged(self) -> int:
        return sum(len(it.acknowledged) for it in self.devices)


@dataclass
class Device:
    """One tablet: what it made waits in order until the server has it."""

    floor: Floor
    station: str
    share: int
    chance: random.Random
    waiting: deque[tuple[str, dict[str, Any]]] = field(default_factory=deque)
    made: dict[str, tuple[str, float]] = field(default_factory=dict)
    acknowledged: set[str] = field(default_factory=set)
    refused: list[str] = field(default_factory=list)
    offline_for: int = 0
    offline_times: int = 0
    sent_again: int = 0
    client: httpx2.Client | None = None

    def run(self) -> None:
        at, block = datetime.now(UTC), ""
        for n in range(self.share):
            if n % BLOCK == 0:
                block = str(uuid6.uuid7())
                body = {"station_id": self.station, "guided": False, "planned": BLOCK, "condition": f"block {n}"}
                self.waiting.append((f"/api/blocks/{block}", body | {"started_at": at.isoformat()}))
            id, offset = str(uuid6.uuid7()), self.chance.randint(-6, 6) * 0.005
            self.made[id] = block, offset
            taken = (at + timedelta(milliseconds=n)).isoformat()
            body = {"block_id": block, "raw": {"offset_m": offset}, "taken_at": taken}
            self.waiting.append((f"/api/readings/{id}", body))
            if self.offline_for:
                self.offline_for -= 1
                time.sleep(0.01)
            elif self.chance.random() < OFFLINE:
                self.offline_for, self.offline_times = self.chance.randint(20, 80), self.offline_times + 1
            else:
                self.send_all()
        self.send_all()

    def send_all(self) -> None:
        self.client = self.client or httpx2.Client(base_url=self.floor.address)
        while self.waiting:
            path, body = self.waiting[0]
            self.send(self.client, path, body)
            if self.chance.random() < AGAIN:
                self.sent_again += 1
                self.send(self.client, path, body)
            self.waiting.popleft()

    def send(self, client: httpx2.Client, path: str, body: dict[str, Any]) -> None:
        """Until it is acknowledged, or refused for good."""
        while True:
            if self.floor.cut.is_set():
                time.sleep(0.2)
                continue
            unheard = self.chance.random() < UNHEARD
            try:
                answer = client.put(path, json=body, timeout=0.004 if unheard else 20)
            except httpx2.HTTPError:
                self.sent_again += 1
                time.sleep(0 if unheard else 0.2)
                continue
            if self.floor.cut.is_set():
                continue  # the answer was on the line as it was cut
            if answer.status_code in (200, 201):
                self.acknowledged.add(path.rsplit("/", 1)[1])
                return
            if answer.status_code < 500 and answer.status_code not in (408, 429):
                self.refused.append(f"{path}: {answer.status_code} {answer.text[:200]}")
                return
            time.sleep(0.2)


@dataclass
class Under:
    """What the devices stand on; every way of taking a part of it away, and bringing it back."""

    served: Served
    pool: Pool
    cluster: Cluster
    floor: Floor

    def ways(self) -> dict[str, Callable[[], None]]:
        return {
            "the application": self.application,
            "a worker": self.worker,
            "the pool": self.connections,
            "the database": self.database,
            "the network": self.network,
        }

    def application(self) -> None:
        """With everything it started."""
        workers = self.served.workers()
        self.served.kill()
        for it in workers:
            with contextlib.suppress(ProcessLookupError):
                os.kill(it, signal.SIGKILL)
        self.served.start()

    def worker(self) -> None:
        for it in self.served.workers()[:1]:
            os.kill(it, signal.SIGKILL)

    def connections(self) -> None:
        self.pool.kill()
        time.sleep(random.uniform(*DOWN_S))
        self.pool.start()

    def database(self) -> None:
        self.cluster.kill()
        time.sleep(random.uniform(*DOWN_S))
        self.cluster.revive()

    def network(self) -> None:
        self.floor.cut.set()
        time.sleep(random.uniform(*DOWN_S))
        self.floor.cut.clear()


def kill(under: Under, kills: int, readings: int) -> Counter[str]:
    """One after another, spread over all the readings."""
    done: Counter[str] = Counter()
    ways = under.ways()
    for n in range(kills):
        while under.floor.acknowledged < readings * (n + 0.5) / kills:
            time.sleep(0.05)
        what = list(ways)[n % len(ways)]
        ways[what]()
        done[what] += 1
        print(f"{n + 1}: {what}; {under.floor.acknowledged} acknowledged", flush=True)
    return done


def tell(url: str, floor: Floor) -> None:
    """Count what is kept against what was made."""
    made = {id: told for it in floor.devices for id, told in it.made.items()}
    acknowledged = set[str]().union(*(it.acknowledged for it in floor.devices)) & set(made)
    stations = [it.station for it in floor.devices]
    with psycopg.connect(url) as connection:
        kept = connection.execute(
            "select r.id::text, r.block_id::text, (r.raw ->> 'offset_m')::float, r.taken_at from reading r"
            " join block b on b.studio_id = r.studio_id and b.id = r.block_id where b.station_id = any(%s::uuid[])",
            [stations],
        ).fetchall()
    found = {id: (block, offset) for id, block, offset, _ in kept}
    doubled = len(kept) - len({(block, at) for _, block, _, at in kept})
    other = sum(it != made.get(id) for id, it in found.items())
    refused = [one for it in floor.devices for one in it.refused]
    offline, again = (sum(getattr(it, what) for it in floor.devices) for what in ("offline_times", "sent_again"))
    print(f"went offline {offline} times; sent again {again} times; refused {len(refused)} {refused[:3]}")
    print(f"made {len(made)}, acknowledged {len(acknowledged)}, kept {len(kept)}")
    print(f"lost {len(set(made) - set(found))}, doubled {doubled}, kept otherwise than told {other} (asked: 0, 0, 0)")


if __name__ == "__main__":
    main()
