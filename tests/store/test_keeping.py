"""Nothing lost: starts cut off anywhere, servers that die, backups, data that is newer or would be dropped."""

import hashlib
import json
import os
import random
import shutil
import signal
import subprocess
import time

import psycopg
import pytest
import uuid6
from sqlalchemy import text

from libella.lessons.desk.desk import open_desk
from libella.lessons.golfer.golfers import GolferEntry, find_golfers, keep_golfer
from libella.lessons.set.bag import keep_bag
from libella.store.server import backup
from libella.store.server.backup import restore, save
from libella.store.server.backup_file import BackupError
from libella.store.server.cluster import Cluster, ClusterError
from libella.store.server.database import DataNewer, WouldLose, connect, migrate, migrate_down

from ..conftest import demo_database, new_database, open_folder


def answers(cluster: Cluster) -> bool:
    with cluster.running() as url, psycopg.connect(url) as connection:
        return connection.execute("select 1").fetchone() == (1,)


@pytest.mark.parametrize(
    "cut", ["before anything", "while the data is made", "before it is moved", "before the database"]
)
def test_a_first_start_cut_off_anywhere_is_mended_by_the_next(cut, monkeypatch):
    with open_folder() as folder:
        cluster = Cluster(folder / "data", hasty=True)
        if cut == "before anything":
            (folder / "data").mkdir()
            (folder / "data" / "postgres.secret").touch(mode=0o600)
        elif cut == "while the data is made":
            making = cluster.folder / "postgres.making"
            making.mkdir(parents=True)
            (making / "PG_VERSION").write_text("15")
            (cluster.folder / "postgres.secret").write_text("of-another-time")
        else:
            what = "rename" if cut == "before it is moved" else "_have_database"

            def stop(*_):
                raise KeyboardInterrupt

            with monkeypatch.context() as patched:
                target = (
                    "pathlib.Path.rename" if what == "rename" else "libella.store.server.cluster.Cluster._have_database"
                )
                patched.setattr(target, stop)
                with pytest.raises(KeyboardInterrupt), cluster.running():
                    pass
        assert answers(Cluster(folder / "data", hasty=True))


def test_a_server_left_running_by_a_start_that_was_killed_is_used_and_stopped_in_order():
    with open_folder() as folder:
        cluster = Cluster(folder / "data", hasty=True)
        with cluster.running():
            number = cluster._process()
            again = Cluster(folder / "data", hasty=True)
            assert again._answers() and again._process() == number
        assert cluster._process() is None


def test_a_number_that_is_another_process_by_now_is_never_signalled():
    """Seen: another database was stopped because its process had the number left in a stale file."""
    with open_folder() as folder:
        cluster = Cluster(folder / "data", hasty=True)
        assert answers(cluster)
        innocent = subprocess.Popen(["sleep", "60"], cwd="/", preexec_fn=_as_postgres)
        try:
            data = cluster.folder / "postgres"
            stale = [str(innocent.pid), str(data), "1700000000", "5999", "", "127.0.0.1", "0 0", "ready"]
            (data / "postmaster.pid").write_text("\n".join(stale) + "\n")
            if os.geteuid() == 0:
                shutil.chown(data / "postmaster.pid", "postgres", "postgres")
            assert not cluster._answers()
            cluster.kill()
            assert answers(Cluster(folder / "data", hasty=True))
            assert innocent.poll() is None
        finally:
            innocent.kill()


def _as_postgres() -> None:
    if os.geteuid() == 0:
        import pwd

        os.setuid(pwd.getpwnam("postgres").pw_uid)


def test_a_server_that_dies_is_started_again_on_its_port_while_it_is_watched():
    with open_folder() as folder:
        cluster = Cluster(folder / "data", hasty=True, watched=True)
        with cluster.running() as url:
            number = cluster._process()
            os.kill(number, signal.SIGKILL)
            until = time.monotonic() + 40
            while True:
                try:
                    with psycopg.connect(url, connect_timeout=2) as connection:
                        assert connection.execute("select 1").fetchone() == (1,)
                    break
                except psycopg.OperationalError:
                    assert time.monotonic() < until
                    time.sleep(0.2)
            assert cluster._process() not in (None, number) and cluster.url == url
        time.sleep(1.5)
        assert cluster._process() is None


def test_pages_have_checksums_and_older_data_gets_them():
    with open_folder() as folder:
        cluster = Cluster(folder / "data", hasty=True)
        with cluster.running() as url, psycopg.connect(url) as connection:
            assert connection.execute("show data_checksums").fetchone() == ("on",)
        cluster._run("pg_checksums", "--disable", "-D", str(cluster.folder / "postgres"))
        with cluster.running() as url, psycopg.connect(url) as connection:
            assert connection.execute("show data_checksums").fetchone() == ("on",)


def test_data_that_is_none_is_not_written_over():
    with open_folder() as folder:
        cluster = Cluster(folder / "data", hasty=True)
        (cluster.folder / "postgres").mkdir(parents=True)
        (cluster.folder / "postgres" / "mine.txt").write_text("something")
        with pytest.raises(ClusterError, match="holds no PostgreSQL data"), cluster.running():
            pass
        assert (cluster.folder / "postgres" / "mine.txt").exists()


def named(url: str) -> list[str]:
    engine = connect(url)
    try:
        return [it.name for it in find_golfers(open_desk(engine))]
    finally:
        engine.dispose()


def add(url: str, name: str) -> None:
    engine = connect(url)
    keep_golfer(open_desk(engine), uuid6.uuid7(), GolferEntry(name, "right", "club"))
    engine.dispose()


def test_a_backup_is_checked_and_restores_to_the_same(cluster, tmp_path):
    url = demo_database(cluster)
    file = tmp_path / "monday.backup"
    rows = save(url, file)
    assert rows["golfer"] == 5 and rows["reading"] > 100 and file.stat().st_size > 10_000
    with pytest.raises(BackupError, match="there already"):
        save(url, file)
    empty = new_database(cluster)
    assert restore(empty, file) == ""
    assert named(empty) == named(url)
    again = tmp_path / "again.backup"
    assert save(empty, again) == rows


def test_what_is_written_while_it_is_backed_up_waits_for_the_next(cluster, tmp_path, monkeypatch):
    url = demo_database(cluster)
    from libella.store.server import backup

    ran = backup._run

    def slow(*words):
        if words[1] == "pg_dump":
            add(url, "Written Meanwhile")
        ran(*words)

    monkeypatch.setattr(backup, "_run", slow)
    save(url, tmp_path / "a.backup")
    empty = new_database(cluster)
    restore(empty, tmp_path / "a.backup")
    assert "Written Meanwhile" in named(url) and "Written Meanwhile" not in named(empty)


def test_a_backup_that_does_not_restore_to_the_same_is_thrown_away(cluster, tmp_path, monkeypatch):
    url = demo_database(cluster)
    from libella.store.server import backup

    digests = backup._digests
    seen = []

    def differing(connection):
        seen.append(1)
        found = digests(connection)
        return found if len(seen) == 1 else found | {"reading": (0, "0")}

    monkeypatch.setattr(backup, "_digests", differing)
    with pytest.raises(BackupError, match="reading"):
        save(url, tmp_path / "a.backup")
    assert list(tmp_path.iterdir()) == []


def test_a_restore_changes_nothing_until_it_is_done_and_puts_aside_what_stood_there(cluster, tmp_path):
    url, other = demo_database(cluster), new_database(cluster)
    migrate_and_close(other)
    add(other, "Only Here")
    save(url, tmp_path / "a.backup")
    with pytest.raises(BackupError, match="1 golfers"):
        restore(other, tmp_path / "a.backup")
    (tmp_path / "broken.backup").write_bytes((tmp_path / "a.backup").read_bytes()[:5000])
    with pytest.raises(BackupError, match="nothing was changed"):
        restore(other, tmp_path / "broken.backup", over=True)
    assert named(other) == ["Only Here"]
    before = restore(other, tmp_path / "a.backup", over=True)
    assert named(other) == named(url)
    assert named(other.rsplit("/", 1)[0] + "/" + before) == ["Only Here"]


def _spoiled(good: bytes, rng: random.Random) -> bytes:
    """A backup that is none any more: damaged, cut, foreign, of a newer program, or hostile."""
    line, _, dump = good.partition(b"\n")
    told = json.loads(line)
    at = rng.randrange(len(good))
    # What is only found out by restoring it takes longest, and is the rarest.
    match rng.choice([0, 1, 2, 3, 4, 7] * 4 + [5, 6]):
        case 0:
            return good[:at]
        case 1:
            return good[:at] + bytes([good[at] ^ 1 << rng.randrange(8)]) + good[at + 1 :]
        case 2:
            return dump
        case 3:
            return rng.randbytes(rng.randrange(5000))
        case 4:
            return json.dumps(told | {"version": 2}).encode() + b"\n" + dump
        case 5:
            # Another's dump under a line that fits it.
            other = rng.randbytes(3000)
            return json.dumps(told | _summed(other)).encode() + b"\n" + other
        case 6:
            told["tables"]["reading"][0] += 1
            return json.dumps(told).encode() + b"\n" + dump
        case _:
            return (
                json.dumps(told | {rng.choice(["tables", "size", "sha256"]): rng.choice([None, [], "x", -1])}).encode()
                + b"\n"
            )


def _summed(dump: bytes) -> dict:
    return {"size": len(dump), "sha256": hashlib.sha256(dump).hexdigest()}


def test_of_files_that_are_no_backups_none_is_taken_and_nothing_changes(cluster, tmp_path):
    url, other = demo_database(cluster), new_database(cluster)
    migrate_and_close(other)
    add(other, "Only Here")
    save(url, tmp_path / "a.backup")
    good, rng, bad = (tmp_path / "a.backup").read_bytes(), random.Random(5), tmp_path / "bad.backup"
    beside = other.rsplit("/", 1)[1]
    for _ in range(200):
        bad.write_bytes(_spoiled(good, rng))
        if bad.read_bytes() == good:
            continue
        with pytest.raises(BackupError, match="nothing was changed"):
            restore(other, bad, over=True)
    bad.write_bytes(b"")
    with pytest.raises(BackupError, match="no backup"):
        restore(other, bad, over=True)
    assert named(other) == ["Only Here"] and {it for it in databases(cluster) if it.startswith(beside)} == {beside}


def test_the_servers_own_housekeeping_stops_no_backup(own_cluster, tmp_path):
    """It comes into a database that was just filled, runs as nobody, and may be forced out by no role but its own."""
    with psycopg.connect(own_cluster._url("libella", own_cluster._secret, "postgres"), autocommit=True) as admin:
        admin.execute("alter system set autovacuum_naptime = 1")
        admin.execute("alter system set autovacuum = on")
        admin.execute("select pg_reload_conf()")
    url = new_database(own_cluster)
    migrate_and_close(url)
    add(url, "Only Here")

    def busy(name):
        """Fill the database till housekeeping is in it, and keep it there."""
        with psycopg.connect(f"{own_cluster.url.rsplit('/', 1)[0]}/{name}", autocommit=True) as beside:
            slow = (
                "autovacuum_vacuum_cost_delay = 100, autovacuum_vacuum_cost_limit = 1, autovacuum_vacuum_threshold = 1"
            )
            beside.execute(
                f"create table much with ({slow}) as select n, repeat('x', 500) t from generate_series(1, 50000) n"
            )
            beside.execute("delete from much")
            for _ in range(300):
                if beside.execute(
                    "select 1 from pg_stat_activity where datname = current_database() and usesysid is null"
                ).fetchone():
                    return
                time.sleep(0.1)
        raise AssertionError("no housekeeping came")

    with backup._beside(url, "check") as beside:
        busy(beside.rsplit("/", 1)[1])
    assert len({it for it in databases(own_cluster) if it.startswith(url.rsplit("/", 1)[1])}) == 1
    save(url, tmp_path / "a.backup")
    busy(url.rsplit("/", 1)[1])
    assert restore(url, tmp_path / "a.backup", over=True)
    assert named(url) == ["Only Here"]


def databases(cluster) -> set[str]:
    with psycopg.connect(cluster.url) as connection:
        return {it for (it,) in connection.execute("select datname from pg_database")}


def test_a_place_where_only_the_bag_was_told_is_not_empty(cluster, tmp_path):
    url, other = demo_database(cluster), new_database(cluster)
    migrate_and_close(other)
    engine = connect(other)
    keep_bag(open_desk(engine), {"peg": 4})
    engine.dispose()
    save(url, tmp_path / "a.backup")
    with pytest.raises(BackupError, match="something kept here already"):
        restore(other, tmp_path / "a.backup")


def test_a_backup_is_its_owners_alone_and_takes_any_address_the_start_takes(cluster, tmp_path):
    url = demo_database(cluster)
    for n, form in enumerate(("postgresql+psycopg://", "postgres://", "postgresql://")):
        file = tmp_path / f"{n}.backup"
        save(url.replace("postgresql://", form, 1), file)
        assert file.stat().st_mode & 0o777 == 0o600
        empty = new_database(cluster)
        restore(empty.replace("postgresql://", form, 1), file)
        assert named(empty) == named(url)


def test_what_a_killed_backup_left_is_taken_away_by_the_next_and_a_running_ones_is_not(cluster, tmp_path):
    url = demo_database(cluster)
    name = url.rsplit("/", 1)[1]
    with psycopg.connect(cluster.url, autocommit=True) as server:
        for left in (f"{name}_check_999999", f"{name}_restoring_20260101_101010", f"{name}_check_1"):
            server.execute(f'create database "{left}"')
    (tmp_path / ".libella-backup-999999999-x").mkdir()
    (tmp_path / f".libella-backup-{os.getpid()}-y").mkdir()
    with psycopg.connect(f"{cluster.url.rsplit('/', 1)[0]}/{name}_check_1"):
        save(url, tmp_path / "a.backup")
        left = {it for it in databases(cluster) if it.startswith(name)}
    assert left == {name, f"{name}_check_1"}
    assert {it.name for it in tmp_path.iterdir()} == {"a.backup", f".libella-backup-{os.getpid()}-y"}


def test_a_place_that_can_not_be_written_is_said_so(cluster, tmp_path):
    (tmp_path / "file").write_text("x")
    with pytest.raises(BackupError, match="can't be written"):
        save(demo_database(cluster), tmp_path / "file" / "a.backup")


def migrate_and_close(url: str) -> None:
    engine = connect(url)
    migrate(engine)
    engine.dispose()


def test_data_of_a_newer_program_is_refused_with_the_reason(fresh_url):
    engine = connect(fresh_url)
    migrate(engine)
    with engine.begin() as connection:
        connection.execute(text("update alembic_version set version_num = '9999'"))
    with pytest.raises(DataNewer, match=r"newer Libella \(schema 9999"):
        migrate(engine)
    with engine.connect() as connection:
        assert connection.scalar(text("select version_num from alembic_version")) == "9999"
    engine.dispose()


def test_going_back_never_drops_what_was_recorded_without_saying(fresh_url):
    engine = connect(fresh_url)
    migrate(engine)
    migrate_down(engine, "0011")
    migrate(engine)
    desk = open_desk(engine)
    entry = GolferEntry("A", "right", "club")
    keep_golfer(desk, uuid6.uuid7(), entry)
    migrate_down(engine, "0011")
    migrate(engine)
    with engine.begin() as connection:
        connection.execute(text("update golfer set usual_lengths = '[[2.0, 1.0]]'"))
    with pytest.raises(WouldLose, match=r"golfer\.usual_lengths \(1 rows"):
        migrate_down(engine, "0011")
    with engine.connect() as connection:
        assert connection.scalar(text("select usual_lengths::text from golfer")) == "[[2.0, 1.0]]"
    migrate_down(engine, "0011", lose=True)
    migrate(engine)
    assert find_golfers(desk)[0].usual_lengths is None
    engine.dispose()
