"""A throw-away PostgreSQL for the tests: one server for the run, a fresh database where a test asks for one."""

import dataclasses
import fcntl
import gc
import tempfile
from collections.abc import Callable, Generator
from contextlib import contextmanager
from datetime import UTC, datetime
from pathlib import Path
from typing import ClassVar

import psycopg
import pytest
import uuid6
from fastapi import FastAPI
from fastapi.testclient import TestClient
from hypothesis import settings
from psycopg import sql
from sqlalchemy import Engine, text

from libella.api.app import create_app
from libella.core.drawing.scene import Circle, Shape
from libella.core.instruments import About, instruments
from libella.core.instruments.aid import _dimensions_of, dimension
from libella.core.instruments.gate import Gate
from libella.core.instruments.peg_gate import PegGate
from libella.core.judge.judgement import _judged
from libella.core.start.watched import _usual_note
from libella.demo.scenario import load
from libella.lessons.desk.desk import Desk, open_desk
from libella.store.server.cluster import _ADMIN, _USER, Cluster
from libella.store.server.database import connect, migrate

from . import sweeper, times

ROOT = Path(__file__).parents[1]
# A busy machine is no mistake of the code.
settings.register_profile("unhurried", deadline=None)
settings.load_profile("unhurried")


@contextmanager
def open_folder() -> Generator[Path]:
    """A folder that the server's user, who is another when we are root, can enter; gone afterwards."""
    with tempfile.TemporaryDirectory(prefix="libella-tests-") as folder:
        Path(folder).chmod(0o755)
        yield Path(folder)


_SWEPT = pytest.StashKey[sweeper.Swept]()


def pytest_configure(config: pytest.Config) -> None:
    if not hasattr(config, "workerinput"):
        config.stash[_SWEPT] = sweeper.Swept()
    times.watch(config)


def pytest_unconfigure(config: pytest.Config) -> None:
    if _SWEPT in config.stash:
        config.stash[_SWEPT].end()


def pytest_collection_modifyitems(items: list[pytest.Item]) -> None:
    times.shuffle(items)


@pytest.fixture(scope="session")
def cluster() -> Generator[Cluster]:
    """A server of the tests' own, shared by all processes of the run: nobody may stop it."""
    cluster = Cluster(sweeper.folder_of_run() / "data", hasty=True)
    with cluster.running():
        yield cluster


@pytest.fixture
def own_cluster() -> Generator[Cluster]:
    """A server that a test may kill: it is in no haste, for what it acknowledged must be there afterwards."""
    with open_folder() as folder:
        cluster = Cluster(folder / "data")
        with cluster.running():
            yield cluster


def new_database(cluster: Cluster) -> str:
    """The URL of a new database."""
    name = f"t{uuid6.uuid7().hex}"
    with psycopg.connect(cluster.url, autocommit=True) as connection:
        connection.execute(f"create database {name}")
    return cluster.url.rsplit("/", 1)[0] + f"/{name}"


def migrated_database(cluster: Cluster) -> str:
    """The URL of a new database with every table."""
    return _copied(cluster, "migrated", migrate)


def demo_database(cluster: Cluster) -> str:
    """The URL of a new database that holds the demo."""
    return _copied(cluster, "demo", _load_demo)


def _load_demo(engine: Engine) -> None:
    migrate(engine)
    load(open_desk(engine), datetime.now(UTC))


def _copied(cluster: Cluster, name: str, fill: Callable[[Engine], None]) -> str:
    """The URL of a new database like the one of that name, which is filled once in a run and copied from then on."""
    with (cluster.folder / f"{name}.lock").open("a") as lock:
        fcntl.flock(lock, fcntl.LOCK_EX)
        with psycopg.connect(cluster.url, autocommit=True) as connection:
            there = connection.execute("select 1 from pg_database where datname = %s", [name]).fetchone()
            if there is None:
                connection.execute(f"create database {name}_filled")
                engine = connect(cluster.url.rsplit("/", 1)[0] + f"/{name}_filled")
                fill(engine)
                engine.dispose()
                connection.execute(f"alter database {name}_filled rename to {name}")
            copy = f"t{uuid6.uuid7().hex}"
            connection.execute(f"create database {copy} template {name}")
    return cluster.url.rsplit("/", 1)[0] + f"/{copy}"


@pytest.fixture
def fresh_url(cluster: Cluster) -> str:
    """The URL of a new database without any table."""
    return new_database(cluster)


@pytest.fixture(scope="session")
def migrated(cluster: Cluster) -> Generator[Engine]:
    """A migrated database that tests share, one after another."""
    engine = connect(migrated_database(cluster))
    yield engine
    engine.dispose()


@pytest.fixture(scope="session")
def emptied(cluster: Cluster, migrated: Engine) -> str:
    """What empties the database that tests share: rows go without asking who refers to them, in a tenth of the time
    that truncating sixty tables takes."""
    with psycopg.connect(cluster._url(_ADMIN, cluster._secret, "postgres"), autocommit=True) as server:
        server.execute(sql.SQL("grant set on parameter session_replication_role to {}").format(sql.Identifier(_USER)))
    with migrated.begin() as connection:
        found = connection.execute(
            text("select relname from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace")
        )
        tables = [name for (name,) in found if name != "alembic_version"]
    gone = "; ".join(f"delete from {it}" for it in tables)
    return f"set local session_replication_role = replica; {gone}"


@pytest.fixture
def engine(migrated: Engine, emptied: str) -> Engine:
    """A migrated database, empty again."""
    with migrated.begin() as connection:
        connection.exec_driver_sql(emptied)
    return migrated


@pytest.fixture
def desk(engine) -> Desk:
    return open_desk(engine)


@pytest.fixture(scope="session")
def application(migrated: Engine) -> FastAPI:
    """The application on the database that tests share: made once, for making it takes longer than most tests."""
    return create_app(migrated)


@pytest.fixture
def client(engine, application) -> Generator[TestClient]:
    application.state.desk.forget()
    with TestClient(application, base_url="http://127.0.0.1", raise_server_exceptions=False) as client:
        yield client


def now() -> str:
    return datetime.now(UTC).isoformat()


class Coach:
    """Says what a coach says, through the API; each word answers with the body it got."""

    def __init__(self, client: TestClient) -> None:
        self.client = client

    def put(self, path: str, status: int | tuple[int, ...] = (200, 201), **body):
        answer = self.client.put(f"/api{path}", json=body)
        assert answer.status_code in ((status,) if isinstance(status, int) else status), answer.text
        return answer.json()

    def get(self, path: str, status: int = 200, **query):
        answer = self.client.get(f"/api{path}", params=query)
        assert answer.status_code == status, answer.text
        return answer.json()

    def drop(self, path: str):
        answer = self.client.delete(f"/api{path}")
        assert answer.status_code == 200, answer.text
        return answer.json()

    def golfer(self, name: str = "Test Golfer", **more):
        return self.put(f"/golfers/{uuid6.uuid7()}", **{"name": name, "hand": "right", "level": "club"} | more)

    def lesson(self, golfer_id: str | None = None, **more):
        golfer_id = golfer_id or self.golfer()["id"]
        body = {"golfer_id": golfer_id, "place": "Test floor", "green_speed_ft": 10, "started_at": now()}
        return self.put(f"/lessons/{uuid6.uuid7()}", **body | more)

    def station(self, lesson_id: str, kind: str = "board", sizes: dict | None = None, **more):
        """A plan, proved by tape unless `proved` is false."""
        proved = more.pop("proved", True)
        putt = {"distance_m": 2.5, "past_m": 0.3, "green_speed_ft": 10}
        body = putt | {"rig_kind": kind, "rig_sizes_m": sizes or {}}
        station = self.put(f"/stations/{uuid6.uuid7()}", lesson_id=lesson_id, laid_at=now(), **body | more)
        return self.prove(station["id"]) if proved else station

    def prove(self, station_id: str, way: str = "tape", status=(200, 201), **found):
        found = found or {"measured": [{"at_m": 1, "beside_m": 0}] * 2}
        return self.put(f"/stations/{station_id}/proof", status, way=way, **found)

    def block(self, kind: str = "board", planned: int = 10, lesson: dict | None = None, **more):
        lesson = lesson or self.lesson()
        station = self.station(lesson["id"], kind)
        body = {"station_id": station["id"], "condition": "as usual", "guided": False, "planned": planned}
        return self.put(f"/blocks/{uuid6.uuid7()}", **body | {"started_at": now()} | more)

    def putt(self, block_id: str, raw: dict, id: str | None = None, status=(200, 201), **more):
        body = {"block_id": block_id, "raw": raw, "taken_at": now()} | more
        return self.put(f"/readings/{id or uuid6.uuid7()}", status, **body)

    def judged(self, block_id: str, **query):
        return self.get(f"/blocks/{block_id}/judgement", **query)


@pytest.fixture
def coach(client) -> Coach:
    return Coach(client)


@pytest.fixture
def hoop() -> Generator[str]:
    """An instrument that is nowhere but here: its kind, while it is known."""

    @dataclasses.dataclass(frozen=True)
    class Hoop(Gate):
        about: ClassVar[About] = dataclasses.replace(PegGate.about, kind="hoop", name="Hoop", said="hoop")
        wire_m: float = dimension("Wire", low=0.001, high=0.01, default=0.003, step=0.001, hint="Its thickness.")

        @property
        def post_width_m(self) -> float:
            return self.wire_m

        def _post_shape(self, x: float, tall: float) -> Shape:
            return Circle(x, -tall, self.wire_m * 500, "post")

    instruments.cache_clear()
    assert "hoop" in instruments()
    yield "hoop"
    del Hoop
    # What was worked out of it is remembered, and would hold it.
    for remembered in (_judged, _dimensions_of, _usual_note, instruments):
        remembered.cache_clear()
    gc.collect()
    assert "hoop" not in instruments()
