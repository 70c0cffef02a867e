"""Requests of every kind to the whole API for ten minutes: no 5xx, no status or body it does not describe, no wrong
type.

PYTHONPATH=src python -m tests.bench.requests [seconds]
"""

import sys
import time

from fastapi.testclient import TestClient

from libella.api.app import create_app
from libella.lessons.desk.desk import open_desk
from libella.store.server.cluster import Cluster
from libella.store.server.database import connect, migrate

from ..api.any_request import Asked
from ..conftest import Coach, open_folder


def main() -> None:
    seconds = float(sys.argv[1]) if len(sys.argv) > 1 else 600
    with open_folder() as folder, Cluster(folder / "data", hasty=True).running() as url:
        engine = connect(url)
        migrate(engine)
        open_desk(engine)
        app = create_app(engine)
        with TestClient(app, base_url="http://127.0.0.1") as client:
            coach = Coach(client)
            lesson = coach.lesson()
            block = coach.block(lesson=lesson)
            putt = coach.putt(block["id"], {"offset_m": 0.0})
        known = {"lessons": lesson["id"], "golfers": lesson["golfer_id"], "blocks": block["id"]}
        known |= {"readings": putt["id"], "stations": block["station_id"]}
        asked = Asked(app, known)
        until, rounds = time.monotonic() + seconds, 0
        while time.monotonic() < until:
            rounds += 1
            asked.ask(20, seconds=until - time.monotonic(), seed=rounds)
            print(
                f"round {rounds}: {sum(asked.sent.values())} requests to {len(asked.sent)} operations, "
                f"{len(asked.faults)} kinds of fault",
                flush=True,
            )
        for it in asked.faults:
            print(f"\n{it}")


if __name__ == "__main__":
    main()
