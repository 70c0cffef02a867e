"""Ten years of 200 golfers, a million readings: the logbook's views, a golfer's archive, the studio's out and in.

Asked: any view at most 300 ms in 95 of 100; one golfer's archive at most 5 s; the studio's with progress, exact.
`python -m tests.bench.years [golfers] [lessons]`: 200 and 125 where nothing is said, of 40 putts each.
"""

import sys
import time
from datetime import UTC, datetime, timedelta
from functools import partial

import numpy as np
import uuid6
from fastapi.testclient import TestClient
from sqlalchemy import Engine, text

from libella.api.app import create_app
from libella.api.keep.archives import make_archive
from libella.exchange.archive.work import check_archive, take_archive
from libella.lessons.desk.desk import Desk, open_desk
from libella.lessons.keep import archive_work
from libella.store.server.cluster import Cluster
from libella.store.server.database import connect, migrate
from libella.store.whole.kinds import kinds

from ..api.keep.whole_studio import fill
from ..conftest import Coach, open_folder

EACH = 40
NAMES = ("Aldo", "Berit", "Cato", "Dunja", "Eskil", "Fenna", "Gwen", "Hauke", "Ines", "Jorun")


def filled(engine: Engine, desk: Desk, golfers: int, lessons: int) -> None:
    """Golfers as copies of what two lessons were: rows straight into the tables, as if typed over the years."""
    with engine.begin() as connection:
        connection.execute(text("set local libella.quiet = 'on'; set local statement_timeout = '30min'"))
        facts = {"studio": desk.studio_id, "golfers": golfers, "lessons": lessons, "each": EACH}
        for statement in _COPIES:
            connection.execute(text(statement), facts)
        connection.execute(
            text(
                "insert into golfer_revision select studio_id, id, nextval('revision') from golfer "
                "on conflict (studio_id, golfer_id) do update set revision = excluded.revision"
            )
        )
        connection.execute(text("analyze"))


_ID = "md5({})::uuid"
_G, _L, _B = "'g' || g", "'l' || g || ' ' || l", "'b' || g || ' ' || l"
_AT = "now() - (l * 29.2 || ' days')::interval - (g || ' minutes')::interval"
_COPIES = (
    f"insert into golfer (studio_id, id, name, hand, level, notes) select :studio, {_ID.format(_G)}, "
    "(array['" + "','".join(NAMES) + "'])[g % 10 + 1] || ' Number ' || g, 'right', 'club', 'note ' || g "
    "from generate_series(1, :golfers) g",
    f"insert into lesson (studio_id, id, golfer_id, hand, place, surface, green_speed_ft, conditions, started_at, "
    f"ended_at) select :studio, {_ID.format(_L)}, {_ID.format(_G)}, 'right', 'Hall ' || l % 7, 'indoor_mat', 10, "
    f"case when l % 5 = 0 then 'nerves before a match' else 'calm' end, {_AT}, {_AT} + interval '1 hour' "
    "from generate_series(1, :golfers) g, generate_series(1, :lessons) l",
    f"insert into station (studio_id, id, lesson_id, laid_at, distance_m, past_m, green_speed_ft, capture, rig_kind, "
    f"rig_sizes_m, proof) select :studio, {_ID.format(_L)}, {_ID.format(_L)}, {_AT}, s.distance_m, s.past_m, "
    "s.green_speed_ft, s.capture, s.rig_kind, s.rig_sizes_m, s.proof from generate_series(1, :golfers) g, "
    "generate_series(1, :lessons) l, (select * from station where rig_kind = 'board' limit 1) s",
    f"insert into block (studio_id, id, lesson_id, station_id, condition, guided, planned, first_planned, started_at, "
    f"distance_m, past_m, green_speed_ft, capture, rig_kind, rig_sizes_m, proof) select :studio, {_ID.format(_B)}, "
    f"{_ID.format(_L)}, {_ID.format(_L)}, 'as usual', false, :each, :each, {_AT}, s.distance_m, s.past_m, "
    "s.green_speed_ft, s.capture, s.rig_kind, s.rig_sizes_m, s.proof from generate_series(1, :golfers) g, "
    "generate_series(1, :lessons) l, (select * from station where rig_kind = 'board' limit 1) s",
    f"insert into reading (studio_id, id, block_id, raw, low_deg, high_deg, taken_at) select :studio, "
    f"md5('r' || g || ' ' || l || ' ' || n)::uuid, {_ID.format(_B)}, jsonb_build_object('offset_m', mm / 1000.0), "
    f"degrees(atan2(mm / 1000.0 - 0.0025, 1)), degrees(atan2(mm / 1000.0 + 0.0025, 1)), "
    f"{_AT} + (n * 20 || ' seconds')::interval from (select g, l, n, 5 * round(random() * 8 - 3) mm from "
    "generate_series(1, :golfers) g, generate_series(1, :lessons) l, generate_series(1, :each) n) it",
    f"insert into drill_run (studio_id, id, golfer_id, drill, bare, told, done_at) select :studio, {_ID.format(_B)}, "
    f"{_ID.format(_G)}, 'clean_roll', false, '[1,1,0,1,1,1,0,1,1,1]', {_AT} from generate_series(1, :golfers) g, "
    "generate_series(1, :lessons) l",
    f"insert into noted_change (studio_id, id, golfer_id, words, made_at) select :studio, {_ID.format(_L)}, "
    f"{_ID.format(_G)}, 'grip further down, number ' || l, {_AT} from generate_series(1, :golfers) g, "
    "generate_series(1, :lessons) l where l % 10 = 0",
)


def timed(what, times: int) -> np.ndarray:
    took = []
    for _ in range(times):
        began = time.perf_counter()
        what()
        took.append((time.perf_counter() - began) * 1000)
    return np.array(took)


def worked(task, desk: Desk, id) -> float:
    began = time.perf_counter()
    task(desk, id)
    took = time.perf_counter() - began
    it = archive_work.work_on(desk, id)
    print(f"    {it.phase}, {it.found.refused or it.found.new or ''}")
    return took


def same(one: Engine, other: Engine) -> bool:
    """Every row of every table, compared by a digest of its text."""
    for kind in kinds():
        if kind.name == "studio":
            continue
        columns = ", ".join(f'"{it}"' for it in kind.names)
        digest = text(
            f"select count(*), sum(('x' || substr(md5(row(it)::text), 1, 15))::bit(60)::bigint) from "
            f"(select {columns} from {kind.name}) it"
        )
        with one.connect() as here, other.connect() as there:
            if here.execute(digest).one() != there.execute(digest).one():
                print("    differs:", kind.name)
                return False
    return True


def main(golfers: int, lessons: int) -> None:
    with open_folder() as folder, Cluster(folder / "data").running() as url:
        engine = connect(url)
        migrate(engine)
        desk = open_desk(engine)
        app = create_app(engine)
        with TestClient(app, base_url="http://127.0.0.1") as client:
            coach = Coach(client)
            fill(coach)
            began = time.perf_counter()
            filled(engine, desk, golfers, lessons)
            with engine.connect() as connection:
                readings = connection.scalar(text("select count(*) from reading"))
                one = str(connection.scalar(text("select id from golfer where name like '%Number 7'")))
            took = time.perf_counter() - began
            print(f"{golfers} golfers, {golfers * lessons} lessons, {readings:,} readings: {took:.0f} s")
            views(coach, one)
        archives(engine, desk, one, url)


def views(coach: Coach, golfer: str) -> None:
    year = (datetime.now(UTC) - timedelta(days=365)).isoformat()
    asked = {
        "logbook, all": ("/logbook", {}),
        "logbook, a name": ("/logbook", {"q": "dunja"}),
        "logbook, words": ("/logbook", {"q": "nerves match"}),
        "logbook, a kind of station": ("/logbook", {"q": "ruler", "sorts": ["station"]}),
        "logbook, changes of a year": ("/logbook", {"q": "grip", "sorts": ["change"], "since": year}),
        "logbook, drills": ("/logbook", {"q": "clean", "sorts": ["drill"]}),
        "logbook, nothing": ("/logbook", {"q": "zzz"}),
        "a golfer's time line": ("/logbook", {"golfer": golfer}),
        "due": ("/due", {}),
        "today": ("/today", {}),
        "golfers": ("/golfers", {}),
        "a golfer's lessons": (f"/golfers/{golfer}/lessons", {}),
        "a golfer's line": (f"/golfers/{golfer}/line", {}),
    }
    for name, (path, query) in asked.items():
        ask = partial(coach.get, path, **query)
        first, took = timed(ask, 1)[0], timed(ask, 40)
        print(f"  {name:28} p95 {np.percentile(took, 95):6.0f} ms (asked 300), the first time {first:.0f} ms")


def archives(engine: Engine, desk: Desk, golfer: str, url: str) -> None:
    for what, of in (("one golfer", golfer), ("the studio", None)):
        id = uuid6.uuid7()
        archive_work.begin_out(desk, id, of, "x.zip")
        took = worked(make_archive, desk, id)
        size = archive_work.size_of(desk, id) / 1e6
        print(f"  archive of {what}: {took:.1f} s{' (asked 5)' if of else ''}, {size:.1f} MB")
    with engine.connect() as connection:
        connection.execution_options(isolation_level="AUTOCOMMIT").execute(text("create database other"))
    other = connect(url.rsplit("/", 1)[0] + "/other")
    migrate(other)
    there, into = open_desk(other), uuid6.uuid7()
    for number, piece in enumerate(archive_work.pieces(desk, id)):
        archive_work.give_part(there, into, "x.zip", number, piece)
    archive_work.begin_in(there, into, "checking")
    print(f"  looked through: {worked(check_archive, there, into):.0f} s")
    archive_work.begin_in(there, into, "taking")
    print(f"  taken in on an empty installation: {worked(take_archive, there, into):.0f} s")
    print(f"  row by row the same: {same(engine, other)}")


if __name__ == "__main__":
    main(*(int(it) for it in sys.argv[1:3]) if len(sys.argv) > 2 else (200, 125))
