"""A file of 60,000 putts taken in, and stopped in the middle."""

import time
from datetime import UTC, datetime, timedelta

import httpx2
import uuid6

from libella.store.server.cluster import Cluster

from ..conftest import Coach, new_database, open_folder
from ..ui.conftest import Served

ROWS = 60_000


def text() -> str:
    began = datetime(2026, 1, 1, tzinfo=UTC)
    lines = ["when,condition,start (deg),face at impact (deg),path (deg),distance (m),felt"]
    for n in range(ROWS):
        at = began + timedelta(minutes=2 * n)
        start = (n % 41 - 20) / 10
        lines.append(f"{at:%Y-%m-%d %H:%M},{'ab'[n % 2]},{start},{start + 0.1:.2f},{n % 7 - 3},2.5,left")
    return "\n".join(lines)


def wait(coach: Coach, id: str) -> dict:
    while (it := coach.get(f"/imports/{id}/progress"))["phase"] in ("checking", "taking"):
        time.sleep(0.25)  # as the page does
    return it


def main() -> None:
    with open_folder() as folder, Cluster(folder / "data").running():
        served = Served(new_database(Cluster(folder / "data")))
        served.start()
        try:
            with httpx2.Client(base_url=served.address, timeout=60) as client:
                measure(Coach(client))
        finally:
            served.kill()


def measure(coach: Coach) -> None:
    golfer, id, content = coach.golfer(), str(uuid6.uuid7()), text().encode()
    whole = time.perf_counter()
    query = {"golfer_id": golfer["id"], "name": "putts.csv"}
    given = coach.client.put(f"/api/imports/{id}", params=query, content=content).json()
    sent = time.perf_counter()
    coach.put(f"/imports/{id}/mapping", **given["mapping"])
    checked = wait(coach, id)
    read = time.perf_counter()
    # Stopped in the middle it keeps nothing; taken in again it is whole.
    coach.put(f"/imports/{id}/putts", skip_bad=True)
    time.sleep(0.7)
    asked = time.perf_counter()
    coach.drop(f"/imports/{id}/work")
    stopped = wait(coach, id)
    print(f"stopped: {stopped['phase']} after {time.perf_counter() - asked:.1f} s, {stopped['state']}")
    again = time.perf_counter()
    coach.put(f"/imports/{id}/putts", skip_bad=True)
    done = wait(coach, id)
    took = time.perf_counter() - again
    assert done["putts"] == checked["good"] == ROWS, done
    began = time.perf_counter()
    for _ in range(10_000_000):
        pass
    speed = time.perf_counter() - began
    print(f"this machine counts to ten million in {speed:.1f} s just now (0.2 to 0.3 is usual)")
    total = sent - whole + read - sent + took
    print(f"{ROWS} rows, {len(content) / 1e6:.1f} MB, {checked['lessons']} lessons, {checked['blocks']} blocks")
    print(f"given {sent - whole:.1f} s, read through {read - sent:.1f} s, taken in {took:.1f} s: {total:.1f} s (of 20)")


if __name__ == "__main__":
    main()
