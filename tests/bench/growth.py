"""What everyday pages cost once years lie behind them, as multiples of the cheapest answer, asked just after a putt.

One studio of its own golfers and lessons first, then beside two hundred others of a million readings; then many putts
into one process: how many a second, and what memory it takes.
`python -m tests.bench.growth [golfers] [lessons] [studios] [putts]`: 60, 40, 200 and 50,000 where nothing is said.
"""

import statistics
import sys
import threading
import time
from collections.abc import Callable, Mapping
from pathlib import Path

import httpx2
import psycopg
from sqlalchemy import text

from libella.lessons.desk.desk import open_desk
from libella.store.server.cluster import Cluster
from libella.store.server.database import connect, migrate

from ..api.keep.whole_studio import fill
from ..conftest import Coach, new_database, open_folder
from ..served import Served
from . import lesson as one_lesson
from . import studios as others
from . import years

TIMES = 15
ASKED: Mapping[str, tuple[float, tuple[str, ...]]] = {
    "a lesson of 500 readings": (8, ("/lessons/{long}",)),
    "its findings": (10, ("/lessons/{long}/findings",)),
    "a golfer's page": (15, ("/golfers/{golfer}", "/golfers/{golfer}/lessons")),
    "a golfer's line": (15, ("/golfers/{golfer}/line",)),
    "Golfers": (5, ("/golfers",)),
    "a golfer's logbook": (4, ("/logbook?golfer={golfer}",)),
}
"""What a page asks, and how many times the cheapest answer it may take."""
CHEAPEST = "/health"


def main(golfers: int, lessons: int, studios: int, putts: int) -> None:
    with open_folder() as folder, (cluster := Cluster(folder / "data")).running():
        url = new_database(cluster)
        engine = connect(url)
        migrate(engine)
        desk = open_desk(engine)
        served = Served(url)
        served.start()
        try:
            with httpx2.Client(base_url=served.address, timeout=120) as client:
                coach = Coach(client)
                fill(coach)
                years.filled(engine, desk, golfers, lessons)
                long, block = one_lesson.filled(coach)
                ids = {"long": long, "golfer": _golfer(engine), "block": block}
                ids["own"] = coach.block(lesson=coach.lesson(ids["golfer"]), planned=200)["id"]
                first = measured(coach, ids, f"{golfers} golfers of {lessons} lessons")
                if studios:
                    with psycopg.connect(
                        cluster.url.rsplit("/", 1)[0] + "/" + url.rsplit("/", 1)[1], autocommit=True
                    ) as admin:
                        others.fill(admin, desk.studio_id, studios, 25, 20)
                    again = measured(coach, ids, f"beside {studios} other studios")
                    for page, ratio in again.items():
                        print(f"  {page}: {ratio / first[page]:.2f} of what it was (asked 1.5)")
            if putts:
                recorded(served, putts)
        finally:
            served.kill()


def _golfer(engine) -> str:
    with engine.connect() as connection:
        return str(connection.scalar(text("select id from golfer where name like '%Number 7'")))


def measured(coach: Coach, ids: Mapping[str, str], where: str) -> dict[str, float]:
    """Each page as a multiple of the cheapest answer, just after a putt of what it is about."""
    print(where)
    found: dict[str, float] = {}
    for page, (asked, paths) in ASKED.items():
        told = [it.format(**ids) for it in paths]
        block = ids["block"] if "{long}" in paths[0] else ids["own"]

        def ask(told: list[str] = told) -> None:
            for it in told:
                coach.get(it)

        first, took, cheap = timed(ask), [], []
        for _ in range(TIMES):
            coach.putt(block, {"offset_m": 0.01})
            took.append(timed(ask))
            cheap.append(timed(lambda: coach.get(CHEAPEST)))
        base = statistics.median(cheap)
        found[page] = statistics.median(took) / base
        print(
            f"  {page}: {found[page]:.1f} × after a putt (asked {asked}); {statistics.median(took):.0f} ms, "
            f"the cheapest {base:.1f}, the first time {first:.0f}",
            flush=True,
        )
    return found


def timed(what: Callable[[], None]) -> float:
    began = time.perf_counter()
    what()
    return (time.perf_counter() - began) * 1000


def recorded(served: Served, putts: int) -> None:
    """So many putts of eight lessons at once: how many a second, and what the process takes on the way."""
    threads, each, tenth = 8, 200, max(putts // 10, 1)
    done, began, taken = 0, time.perf_counter(), [memory(served)]

    def record() -> None:
        with httpx2.Client(base_url=served.address, timeout=120) as client:
            own = Coach(client)
            block = own.block(planned=each)["id"]
            for _ in range(each):
                own.putt(block, {"offset_m": 0.01})

    while done < putts:
        some = [threading.Thread(target=record) for _ in range(threads)]
        for it in some:
            it.start()
        for it in some:
            it.join()
        before, done = done, done + threads * each
        if before // tenth != done // tenth:
            taken.append(memory(served))
            print(
                f"  {done:,} putts: {done / (time.perf_counter() - began):.0f} a second, {taken[-1]:.0f} MB", flush=True
            )
    print(f"  memory: {taken[0]:.0f} MB before, {max(taken):.0f} MB at most (asked 600)")


def memory(served: Served) -> float:
    """What the serving process holds, MB."""
    assert served._process is not None
    told = Path(f"/proc/{served._process.pid}/status").read_text().splitlines()
    return int(next(it for it in told if it.startswith("VmRSS")).split()[1]) / 1024


if __name__ == "__main__":
    asked = [int(it) for it in sys.argv[1:]]
    main(*[*asked, *(60, 40, 200, 50_000)[len(asked) :]])
