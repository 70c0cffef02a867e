"""Backup and restore of everything kept: one consistent file, believed only once it was restored and compared.

A backup is PostgreSQL's own custom format, taken from one snapshot while others go on writing. Before it gets its
name it is restored into an empty database beside the real one, and every table is compared by count and digest.
"""

import os
import subprocess
import tempfile
from collections.abc import Generator, Mapping
from contextlib import contextmanager
from datetime import UTC, datetime
from pathlib import Path
from urllib.parse import unquote, urlsplit

import psycopg
from psycopg import sql
from sqlalchemy import make_url

from .database import connect, migrate

_PROGRAMS = Path("/usr/lib/postgresql")


class BackupError(RuntimeError):
    """A backup could not be made or restored: what happened, and that nothing was changed."""


def save(url: str, file: Path) -> dict[str, int]:
    """Back the database up into a file that is not there yet; rows by table.

    Raises
    ------
    BackupError
        where the file is there, or what was written does not restore to the same; then nothing is left behind.
    """
    if file.exists():
        raise BackupError(f"{file} is there already; nothing was written. Choose another name.")
    file.parent.mkdir(parents=True, exist_ok=True)
    with tempfile.TemporaryDirectory(dir=file.parent, prefix=".backup-") as folder, psycopg.connect(url) as source:
        made = Path(folder) / "backup"
        source.execute("set transaction isolation level repeatable read, read only")
        snapshot = _one(source, "select pg_export_snapshot()")
        _run(
            url,
            "pg_dump",
            "--format=custom",
            "--no-owner",
            "--no-privileges",
            f"--snapshot={snapshot}",
            f"--file={made}",
        )
        told = _digests(source)
        with _beside(url, "check") as beside:
            _restore_into(beside, made)
            with psycopg.connect(beside) as copy:
                found = _digests(copy)
        if found != told:
            wrong = ", ".join(sorted(it for it in told.keys() | found.keys() if told.get(it) != found.get(it)))
            raise BackupError(f"The backup does not restore to the same ({wrong}); it was thrown away.")
        with made.open("rb") as written:
            os.fsync(written.fileno())
        made.rename(file)
    return {table: rows for table, (rows, _) in told.items()}


def restore(url: str, file: Path, *, over: bool = False) -> str:
    """Restore a backup; the name under which what stood there before is still kept, empty where nothing stood.

    It is restored beside the real database and migrated there first; only when that is done do the two change places.
    `over`: also where something is kept already.
    """
    if not file.is_file():
        raise BackupError(f"There is no file {file}.")
    with psycopg.connect(url) as now:
        holds = _holds(now)
    if holds and not over:
        raise BackupError(
            f"There is something kept here already ({holds}); nothing was changed. Say --over to put it aside."
        )
    name = _name_of(url)
    stamp = f"{datetime.now(UTC):%Y%m%d_%H%M%S}"
    restoring, before = f"{name}_restoring_{stamp}", f"{name}_before_{stamp}"
    with _maintenance(url) as server:
        server.execute(sql.SQL("create database {}").format(sql.Identifier(restoring)))
        try:
            beside = _named(url, restoring)
            _restore_into(beside, file)
            engine = connect(beside)
            try:
                migrate(engine)
            finally:
                engine.dispose()
            _swap(server, name, restoring, before)
        except BaseException:
            server.execute(sql.SQL("drop database if exists {} with (force)").format(sql.Identifier(restoring)))
            raise
        if not holds:
            server.execute(sql.SQL("drop database {} with (force)").format(sql.Identifier(before)))
    return before if holds else ""


def _swap(server: psycopg.Connection, name: str, restoring: str, before: str) -> None:
    users = server.execute(
        "select count(*) from pg_stat_activity where datname = %s and pid <> pg_backend_pid()", [name]
    ).fetchone()
    if users and users[0]:
        raise BackupError("Something uses the database still; nothing was changed. Stop ./demo, then restore.")
    rename = sql.SQL("alter database {} rename to {}")
    server.execute(rename.format(sql.Identifier(name), sql.Identifier(before)))
    server.execute(rename.format(sql.Identifier(restoring), sql.Identifier(name)))


def _restore_into(url: str, file: Path) -> None:
    _run(url, "pg_restore", "--exit-on-error", "--no-owner", "--no-privileges", f"--dbname={_name_of(url)}", str(file))


@contextmanager
def _beside(url: str, what: str) -> Generator[str]:
    """The URL of an empty database on the same server, gone afterwards."""
    name = f"{_name_of(url)}_{what}_{os.getpid()}"
    with _maintenance(url) as server:
        server.execute(sql.SQL("create database {}").format(sql.Identifier(name)))
        try:
            yield _named(url, name)
        finally:
            server.execute(sql.SQL("drop database {} with (force)").format(sql.Identifier(name)))


@contextmanager
def _maintenance(url: str) -> Generator[psycopg.Connection]:
    with psycopg.connect(_named(url, "postgres"), autocommit=True) as server:
        yield server


def _digests(connection: psycopg.Connection) -> dict[str, tuple[int, str]]:
    """Rows of every table, and a sum over them that no change leaves as it is."""
    tables = connection.execute(
        "select tablename from pg_tables where schemaname = 'public' order by tablename"
    ).fetchall()
    found: dict[str, tuple[int, str]] = {}
    for (table,) in tables:
        query = sql.SQL("select count(*), coalesce(sum(hashtextextended(t::text, 7)::numeric), 0)::text from {} t")
        row = connection.execute(query.format(sql.Identifier(table))).fetchone()
        assert row is not None
        found[table] = int(row[0]), str(row[1])
    return found


def _holds(connection: psycopg.Connection) -> str:
    """What is kept in a database, in words; empty for none."""
    if _one(connection, "select to_regclass('public.golfer')::text") is None:
        return ""
    golfers, lessons = (_one(connection, f"select count(*) from {it}") for it in ("golfer", "lesson"))
    return f"{golfers} golfers, {lessons} lessons" if golfers else ""


def _one(connection: psycopg.Connection, query: str) -> object:
    row = connection.execute(query).fetchone()  # type: ignore[arg-type]
    return row[0] if row else None


def _name_of(url: str) -> str:
    return unquote(urlsplit(url).path.lstrip("/"))


def _named(url: str, name: str) -> str:
    return make_url(url).set(database=name).render_as_string(hide_password=False)


def _run(url: str, program: str, *words: str) -> None:
    """Run one of PostgreSQL's programs on a database; the password goes by the environment, which nobody lists."""
    at = urlsplit(url)
    environment: Mapping[str, str] = {
        "PGHOST": at.hostname or "", "PGPORT": str(at.port or 5432), "PGUSER": unquote(at.username or ""),
        "PGPASSWORD": unquote(at.password or ""), "PGDATABASE": _name_of(url), "LC_ALL": "C",
    }  # fmt: skip
    found = sorted(_PROGRAMS.glob(f"*/bin/{program}"), key=lambda it: float(it.parts[-3]))
    if not found:
        raise BackupError(f"{program} is not installed: install Debian's package postgresql.")
    done = subprocess.run(
        [str(found[-1]), *words], env=os.environ | environment, capture_output=True, text=True, check=False
    )
    if done.returncode:
        raise BackupError(f"{program} failed; nothing was changed: {done.stderr.strip()[-600:]}")
