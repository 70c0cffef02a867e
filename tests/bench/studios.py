"""Two hundred full studios in one database: what everyday pages take in one of them, with the wall between studios and
without it.

PYTHONPATH=src python -m tests.bench.studios [studios] [golfers] [lessons]
"""

import sys
import time
from collections.abc import Iterator, Mapping
from uuid import UUID

import numpy as np
import psycopg
from fastapi.testclient import TestClient
from sqlalchemy import Engine, text

from libella.api.app import create_app
from libella.lessons.desk import desk as doors
from libella.lessons.desk.desk import Desk, open_desk
from libella.store.server.cluster import Cluster
from libella.store.server.database import connect, migrate

from ..conftest import Coach, open_folder
from .people import p95

PUTTS = 10
TIMES = 40
PAGES: Mapping[str, tuple[str, ...]] = {
    "Today": ("/api/today?units=metric", "/api/due", "/api/golfers-seen-last"),
    "Golfers": ("/api/golfers?units=metric",),
    "a golfer": (
        "/api/golfers/{golfer}",
        "/api/golfers/{golfer}/lessons?units=metric",
        "/api/golfers/{golfer}/kit?units=metric",
    ),
    "a golfer's line": ("/api/golfers/{golfer}/line?units=metric",),
    "a lesson": (
        "/api/lessons/{lesson}?units=metric",
        "/api/lessons/{lesson}/comparisons?units=metric",
        "/api/lessons/{lesson}/findings?units=metric",
    ),
    "a block": ("/api/blocks/{block}/judgement?units=metric", "/api/blocks/{block}/entry?units=metric"),
    "the logbook": ("/api/logbook?units=metric",),
    "words in it": ("/api/logbook?units=metric&q=mat",),
}
"""What a page asks, one after another; asked for: Today 100 ms, any other 300 ms, p95."""


def main() -> None:
    studios, golfers, lessons = (int(it) for it in [*sys.argv[1:], "200", "50", "100"][:3])
    with open_folder() as folder, (cluster := Cluster(folder / "data", hasty=True)).running() as url:
        engine = connect(url)
        migrate(engine)
        desk = open_desk(engine)
        application = create_app(engine)
        with TestClient(application, base_url="http://127.0.0.1") as client:
            coach = Coach(client)
            block = coach.block(lesson=coach.lesson())
            for n in range(PUTTS):
                coach.putt(block["id"], {"offset_m": 0.005 * (n % 3 - 1)})
            began = time.perf_counter()
            with psycopg.connect(cluster._url("libella", cluster._secret, "libella"), autocommit=True) as admin:
                fill(admin, desk.studio_id, studios, golfers, lessons)
                kept = admin.execute("select pg_size_pretty(pg_database_size(current_database()))").fetchone()
            told = f"{studios} studios, {studios * golfers} golfers, {studios * golfers * lessons} lessons"
            print(f"{told}, {kept and kept[0]}; filled in {time.perf_counter() - began:.0f} s", flush=True)
            application.state.desk._desk = Desk(engine, studio(studios // 2))
            ids = list(somebody(engine, studio(studios // 2)))
            measure(client, ids[:TIMES], "behind the wall")
            fenced = doors._SAY_STUDIO
            doors._SAY_STUDIO = text(str(fenced).replace(f"'{doors.ROLE}'", "current_user"))
            measure(client, ids[TIMES : 2 * TIMES], "without it")
            doors._SAY_STUDIO = fenced


def studio(number: int) -> UUID:
    return UUID(int=0x5_7000_0000_0000_0000_0000_0000 + number)


def fill(admin: psycopg.Connection, of: UUID, studios: int, golfers: int, lessons: int) -> None:
    """Copies of the one lesson that studio `of` holds; no trigger and no check of keys slows it."""
    admin.execute("set session_replication_role = replica")
    admin.execute(
        "create table many (studio_id uuid, n int, golfer uuid, g int, lesson uuid, station uuid, block uuid)"
    )
    for n in range(studios):
        admin.execute("insert into studio values (%s, %s, '', '')", [studio(n), f"Studio {n}"])
        admin.execute(
            "insert into many select %s, l, md5(concat(%s::text, g))::uuid, g, gen_random_uuid(), gen_random_uuid(),"
            " gen_random_uuid() from generate_series(1, %s) g, generate_series(1, %s) l",
            [studio(n), str(studio(n)), golfers, lessons],
        )
    at = "now() - make_interval(days => it.n * 3, hours => it.g % 9)"
    copies = {
        "golfer": (
            "(select distinct studio_id, golfer, g from many)",
            {"id": "it.golfer", "name": "'Golfer ' || it.g"},
        ),
        "golfer_revision": ("(select distinct studio_id, golfer from many)", {"golfer_id": "it.golfer"}),
        "lesson": (
            "many",
            {
                "id": "it.lesson",
                "golfer_id": "it.golfer",
                "plan_id": "it.station",
                "started_at": at,
                "ended_at": f"{at} + interval '1 hour'",
            },
        ),
        "station": ("many", {"id": "it.station", "lesson_id": "it.lesson", "laid_at": at}),
        "block": (
            "many",
            {"id": "it.block", "lesson_id": "it.lesson", "station_id": "it.station", "started_at": at},
        ),
        "reading": ("many", {"id": "gen_random_uuid()", "block_id": "it.block", "taken_at": at}),
    }
    for table, (source, told) in copies.items():
        columns = admin.execute(
            "select column_name from information_schema.columns where table_schema = 'public' and table_name = %s"
            " and is_generated = 'NEVER'",
            [table],
        ).fetchall()
        values = {name: told.get(name, f't."{name}"') for (name,) in columns} | {"studio_id": "it.studio_id"}
        names = ", ".join(f'"{it}"' for it in values)
        admin.execute(
            f"insert into {table} ({names}) select {', '.join(values.values())} from {source} it, {table} t"
            f" where t.studio_id = '{of}'"
        )
    admin.execute("drop table many")
    admin.execute("vacuum analyze")


def somebody(engine: Engine, of: UUID) -> Iterator[dict[str, str]]:
    """Golfers, lessons and blocks of a studio, each asked for the first time."""
    with engine.connect() as connection:
        told = connection.execute(
            text(
                "select distinct on (l.golfer_id, b.lesson_id) l.golfer_id, b.lesson_id, b.id from block b"
                " join lesson l on l.studio_id = b.studio_id and l.id = b.lesson_id where b.studio_id = :studio"
            ),
            {"studio": of},
        ).all()
        order = np.random.default_rng(4).permutation(len(told))
        for at in order:
            golfer, lesson, block = told[at]
            yield {"golfer": str(golfer), "lesson": str(lesson), "block": str(block)}


def measure(client: TestClient, ids: list[dict[str, str]], where: str) -> None:
    for page, asks in PAGES.items():
        first, again = [], []
        for it in ids:
            told = [ask.format(**it) for ask in asks]
            first.append(timed(client, told))
            again.append(timed(client, told))
        print(f"{where}: {page}: {p95(first):.0f} ms p95 first, {p95(again):.0f} ms again", flush=True)


def timed(client: TestClient, asks: list[str]) -> float:
    began = time.perf_counter()
    for ask in asks:
        answer = client.get(ask)
        assert answer.status_code == 200, answer.text
    return (time.perf_counter() - began) * 1000


if __name__ == "__main__":
    main()
