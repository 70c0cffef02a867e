"""The cluster and the schema."""

import os
import subprocess
import threading

import psycopg
import pytest
import uuid6
from alembic.autogenerate import compare_metadata
from alembic.migration import MigrationContext
from sqlalchemy import UniqueConstraint, text

from libella.lessons.desk.desk import open_desk
from libella.lessons.golfer.golfers import GolferEntry, keep_golfer
from libella.lessons.set.stations import entry_of, find_saved
from libella.store.server.cluster import Cluster, ClusterError
from libella.store.server.database import clear, connect, migrate
from libella.store.server.fence import NoRole
from libella.store.tables import Stored
from libella.store.whole.kinds import kinds

from ..conftest import open_folder


def test_the_migrations_make_exactly_the_tables(engine):
    with engine.connect() as connection:
        # The queue of jobs brings tables of its own.
        ours = {"include_name": lambda name, kind, _: not (kind == "table" and name.startswith("procrastinate_"))}
        context = MigrationContext.configure(connection, opts={"compare_type": True} | ours)
        assert compare_metadata(context, Stored.metadata) == []


def test_two_that_migrate_at_once_wait_for_each_other(fresh_url):
    problems = []

    def run():
        try:
            migrate(connect(fresh_url))
        except Exception as problem:
            problems.append(problem)

    threads = [threading.Thread(target=run) for _ in range(3)]
    for it in threads:
        it.start()
    for it in threads:
        it.join()
    assert problems == []


def test_migrating_again_changes_nothing_and_clearing_starts_over(engine):
    with engine.begin() as connection:
        connection.execute(text("insert into studio values (gen_random_uuid(), 'a', '', '')"))
    migrate(engine)
    with engine.connect() as connection:
        assert connection.scalar(text("select count(*) from studio")) == 1
    clear(engine)
    migrate(engine)
    with engine.connect() as connection:
        assert connection.scalar(text("select count(*) from studio")) == 0


def test_every_table_is_fenced_by_studio(engine):
    """Also one that a migration adds, and after a backup without privileges; see `store.server.fence`."""
    with engine.connect() as connection:
        fenced = set(
            connection.scalars(
                text(
                    "select c.relname from pg_class c join pg_policy p on p.polrelid = c.oid where c.relrowsecurity"
                    " and has_table_privilege('libella_desk', c.oid, 'select, insert, update, delete')"
                )
            )
        )
    assert fenced == {it.name for it in Stored.metadata.sorted_tables}


def test_who_may_not_make_the_role_is_told_what_to_ask_for(own_cluster):
    """On a server of somebody else's, where whoever connects may make no roles."""
    with psycopg.connect(own_cluster._url("libella", own_cluster._secret, "postgres"), autocommit=True) as admin:
        admin.execute("revoke libella_desk from libella_app")
    engine = connect(own_cluster.url)
    with pytest.raises(NoRole, match="grant libella_desk to libella_app;"):
        migrate(engine)
    engine.dispose()


def test_every_row_leads_with_its_studio(engine):
    for table in Stored.metadata.sorted_tables:
        key = [it.name for it in table.primary_key.columns]
        assert key[0] == ("id" if table.name == "studio" else "studio_id"), table.name
        # An index of words finds words; whose they are is asked of the rows.
        for index in (it for it in table.indexes if not str(it.name).endswith("_words")):
            assert next(iter(index.columns)).name == "studio_id", index.name
        for one in table.constraints:
            if isinstance(one, UniqueConstraint):
                assert next(iter(one.columns)).name == "studio_id", one.name
        # A row refers to rows of its own studio: what it refers to is named with the studio, or is the studio.
        for one in table.foreign_key_constraints:
            assert one.columns.keys()[0] == "studio_id", one.name
            assert one.referred_table.name == "studio" or len(one.columns) > 1, one.name


def test_the_server_listens_on_loopback_only_and_not_as_root(cluster):
    with psycopg.connect(cluster.url) as connection:
        assert connection.execute("show listen_addresses").fetchone() == ("127.0.0.1",)
        # The application may not even ask for this: it is no superuser.
        with pytest.raises(psycopg.errors.InsufficientPrivilege):
            connection.execute("show unix_socket_directories")
        connection.rollback()
        told = connection.execute(
            "select rolsuper, rolcreaterole from pg_roles where rolname = current_user"
        ).fetchone()
        assert told == (False, False)
    with psycopg.connect(cluster._url("libella", cluster._secret, "postgres")) as connection:
        assert connection.execute("show unix_socket_directories").fetchone() == ("",)
    pid = int((cluster.folder / "postgres" / "postmaster.pid").read_text().splitlines()[0])
    assert os.stat(f"/proc/{pid}").st_uid != 0


def test_a_second_user_shares_the_server_and_leaving_does_not_stop_it(cluster):
    with Cluster(cluster.folder).running() as url:
        assert url == cluster.url
    with psycopg.connect(cluster.url) as connection:
        assert connection.execute("select 1").fetchone() == (1,)


def test_data_made_before_the_application_had_a_role_of_its_own_is_handed_over(own_cluster):
    """Everything was the superuser's; the next start makes it the application's, and nothing else changes."""
    with psycopg.connect(own_cluster._url("libella", own_cluster._secret, "libella"), autocommit=True) as admin:
        admin.execute("alter database libella owner to libella")
        migrate(connect(own_cluster._url("libella", own_cluster._secret, "libella")))
        admin.execute("insert into studio values (gen_random_uuid(), 'Old', '', '')")
    with Cluster(own_cluster.folder, hasty=True).running() as url:
        pass
    own_cluster._have_database()
    engine = connect(url)
    desk = open_desk(engine)
    keep_golfer(desk, uuid6.uuid7(), GolferEntry("New", "right", "club"))
    clear(engine)
    migrate(engine)
    engine.dispose()


def test_a_wrong_password_is_refused(cluster):
    secret = cluster.url.split(":")[2].split("@")[0]
    with pytest.raises(psycopg.OperationalError, match="password"):
        psycopg.connect(cluster.url.replace(secret, "guess"))


def test_a_server_that_cannot_start_says_its_last_words(monkeypatch):
    monkeypatch.setattr(Cluster, "_options", lambda self: "-c no_such_setting=1")
    refused = pytest.raises(ClusterError, match="no_such_setting")
    with open_folder() as folder, refused, Cluster(folder / "data").running():
        pass


def test_data_of_another_version_is_refused_with_a_remedy():
    with open_folder() as folder:
        (folder / "data" / "postgres").mkdir(parents=True)
        (folder / "data" / "postgres" / "PG_VERSION").write_text("7\n")
        with pytest.raises(ClusterError, match="postgresql-7"), Cluster(folder / "data").running():
            pass


def test_the_last_user_stops_the_server():
    with open_folder() as folder:
        with Cluster(folder / "data").running() as url:
            psycopg.connect(url).close()
        assert subprocess.run(["pgrep", "-f", str(folder)], stdout=subprocess.DEVNULL, check=False).returncode == 1


def test_stations_kept_before_the_planner_are_laid_as_they_were(fresh_url):
    """A line on the ground had no end before; what was kept then can still be laid, with nothing beside it."""
    engine = connect(fresh_url)
    migrate(engine, "0004")
    with engine.begin() as connection:
        connection.execute(text("insert into studio values ('00000000-0000-7000-8000-000000000001', 'a', '', '')"))
        for n, (kind, sizes) in enumerate((("chalk_line", '{"distance_m": 4.5}'), ("board", '{"distance_m": 1.0}'))):
            connection.execute(
                text(
                    "insert into saved_station (studio_id, id, name, distance_m, past_m, stimp_ft, capture, "
                    "rig_kind, rig_sizes_m) values ('00000000-0000-7000-8000-000000000001', gen_random_uuid(), "
                    ":name, 5, 0.3, 10, 'rim_assisted', :kind, cast(:sizes as jsonb))"
                ),
                {"name": f"old {n}", "kind": kind, "sizes": sizes},
            )
    migrate(engine)
    chalk, board = (entry_of(it) for it in find_saved(open_desk(engine)))
    assert chalk.rig_sizes_m == {"distance_m": 4.5, "line_m": 5.0} and board.rig_sizes_m == {"distance_m": 1.0}
    for entry in (chalk, board):
        station = entry.station()
        assert station.aids == () and station.across_m == 0 and entry.target == "computed" and entry.read is None
    engine.dispose()


def test_whoever_writes_a_row_that_is_somebodys_is_written_down_with_it(engine):
    told = text("select event_object_table from information_schema.triggers where trigger_name = 'told_as_deed'")
    with engine.connect() as connection:
        recorded = set(connection.scalars(told))
    # A heading of a file and how it was read is nobody's; all else that goes into an archive is, and so are accounts
    # and what opens them.
    assert recorded == ({it.name for it in kinds()} - {"column_map"}) | {"account", "passkey"}
