"""One lesson with 500 readings and every kind of test: how long its GET takes, as kept and just after a putt.

Asked: at most 30 ms in 95 of 100; and how many putts a second one process keeps (asked 40).
"""

import threading
import time
from datetime import UTC, datetime

import numpy as np
import uuid6
import uvicorn

from libella.api.app import create_app
from libella.lessons.desk.desk import open_desk
from libella.store.server.cluster import Cluster
from libella.store.server.database import connect, migrate

from ..conftest import Coach, open_folder

BLOCKS, EACH = 20, 25


class Browser:
    """A client over a real connection, as a page has."""

    def __init__(self, port: int) -> None:
        import httpx2 as httpx

        self.http = httpx.Client(base_url=f"http://127.0.0.1:{port}", timeout=30)

    def __getattr__(self, name: str):
        return getattr(self.http, name)


def filled(coach: Coach) -> tuple[str, str]:
    """The lesson, and a block of it with room."""
    rng = np.random.default_rng(3)
    lesson = coach.lesson()
    coach.put(f"/lessons/{lesson['id']}/laser-cautions")
    for n in range(BLOCKS):
        asks = ["felt", "strike", "finish"] if n % 2 else []
        block = coach.block(lesson=lesson, planned=EACH, condition=f"condition {n}", asks=asks)
        for offset in rng.normal(0.01, 0.015, EACH):
            notes = {"felt": "left", "strike": "toe", "finish": "holed"} if asks else {}
            coach.putt(
                block["id"], {"offset_m": round(float(np.clip(offset, -0.09, 0.09)) / 0.005) * 0.005}, notes=notes
            )
    for link in ("face", "mark", "to_mark"):
        id = str(uuid6.uuid7())
        at = datetime.now(UTC).isoformat()
        body = {"lesson_id": lesson["id"], "link": link, "cue": "line", "aided": False, "planned": 7, "started_at": at}
        coach.put(f"/aim-series/{id}", **body)
        for angle in rng.normal(0.5, 0.5, 7):
            raw = {"angle_deg": round(float(angle), 1), "seen_deg": 0.5}
            coach.put(f"/set-downs/{uuid6.uuid7()}", series_id=id, raw=raw, taken_at=datetime.now(UTC).isoformat())
    more = coach.block(lesson=lesson, planned=200, condition="as measured")
    return lesson["id"], more["id"]


def timed(what, times: int) -> np.ndarray:
    took = []
    for _ in range(times):
        began = time.perf_counter()
        what()
        took.append((time.perf_counter() - began) * 1000)
    return np.array(took)


def main() -> None:
    with open_folder() as folder, Cluster(folder / "data").running() as url:
        engine = connect(url)
        migrate(engine)
        open_desk(engine)
        server = uvicorn.Server(
            uvicorn.Config(create_app(engine), port=8199, log_level="warning", access_log=False, lifespan="off")
        )
        threading.Thread(target=server.run, daemon=True).start()
        while not server.started:
            time.sleep(0.05)
        coach = Coach(Browser(8199))
        lesson, block = filled(coach)
        path = f"/lessons/{lesson}"
        coach.get(path)
        kept = timed(lambda: coach.get(path), 200)
        size = len(coach.client.get(f"/api{path}").content)
        print(
            f"lesson of {BLOCKS * EACH} readings, {size // 1024} KiB: median {np.median(kept):.1f} ms, "
            f"95th {np.percentile(kept, 95):.1f} ms (asked 30)"
        )
        fresh = []
        for _ in range(30):
            coach.putt(block, {"offset_m": 0.01})
            fresh.append(timed(lambda: coach.get(path), 1)[0])
        print(f"just after a putt: median {np.median(fresh):.1f} ms, 95th {np.percentile(fresh, 95):.1f} ms")
        judged = timed(lambda: coach.judged(block), 50)
        print(f"judgement of a block: median {np.median(judged):.1f} ms")
        _putts(coach)
        server.should_exit = True


def _putts(coach: Coach) -> None:
    blocks = [coach.block(planned=200)["id"] for _ in range(8)]
    each = 25

    def putt_on(block: str) -> None:
        own = Coach(Browser(8199))
        for _ in range(each):
            own.putt(block, {"offset_m": 0.01})

    threads = [threading.Thread(target=putt_on, args=(it,)) for it in blocks]
    began = time.perf_counter()
    for it in threads:
        it.start()
    for it in threads:
        it.join()
    took = time.perf_counter() - began
    n = len(blocks) * each
    print(f"{n} putts from {len(blocks)} lessons at once: {n / took:.0f} a second (asked 40)")


if __name__ == "__main__":
    main()
