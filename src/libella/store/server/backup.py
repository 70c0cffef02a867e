"""Backup and restore of everything kept: one consistent file, believed only once it was restored and compared.

A backup holds PostgreSQL's own custom format, taken from one snapshot while others go on writing, behind a line with
its checksum and with the count and digest of every table. Before it gets its name it is restored into an empty database
beside the real one and compared by them; and so it is again before a restore changes anything.
"""

import contextlib
import os
import re
import shutil
import subprocess
import tempfile
from collections.abc import Generator, Mapping
from contextlib import contextmanager
from datetime import UTC, datetime
from pathlib import Path

import psycopg
from psycopg import sql
from psycopg.conninfo import conninfo_to_dict
from sqlalchemy import make_url

from ... import __version__
from . import backup_file
from .backup_file import BackupError, Held
from .database import connect, migrate

_PROGRAMS = Path("/usr/lib/postgresql")
_FOLDER = ".libella-backup-"
_NOT_ENTERED = ("alembic_version", "procrastinate_")
"""Tables that hold nothing anybody entered."""


def save(url: str, file: Path) -> dict[str, int]:
    """Back the database up into a file that is not there yet; rows by table.

    Raises
    ------
    BackupError
        where the file is there, or what was written does not restore to the same; then nothing is left behind.
    """
    if file.exists():
        raise BackupError(f"{file} is there already; nothing was written. Choose another name.")
    url = _plain(url)
    try:
        file.parent.mkdir(parents=True, exist_ok=True)
        _swept(url, file.parent)
        return _saved(url, file)
    except OSError as fault:
        raise BackupError(f"{file} can't be written: {fault.strerror or fault}; nothing was left behind.") from None


def _saved(url: str, file: Path) -> dict[str, int]:
    with (
        tempfile.TemporaryDirectory(dir=file.parent, prefix=f"{_FOLDER}{os.getpid()}-") as folder,
        psycopg.connect(url) as source,
    ):
        made, dump = Path(folder) / "backup", Path(folder) / "dump"
        source.execute("set transaction isolation level repeatable read, read only")
        snapshot = _one(source, "select pg_export_snapshot()")
        _run(
            url,
            "pg_dump",
            "--format=custom",
            "--no-owner",
            "--no-privileges",
            f"--snapshot={snapshot}",
            f"--file={dump}",
        )
        told = _digests(source)
        schema = str(_one(source, "select version_num from alembic_version"))
        with _beside(url, "check") as beside:
            _restore_into(beside, dump)
            with psycopg.connect(beside) as copy:
                found = _digests(copy)
        if found != told:
            wrong = ", ".join(sorted(it for it in told.keys() | found.keys() if told.get(it) != found.get(it)))
            raise BackupError(f"The backup does not restore to the same ({wrong}); it was thrown away.")
        backup_file.write(made, Held(__version__, schema, datetime.now(UTC).isoformat(), told), dump)
        made.rename(file)
    return {table: rows for table, (rows, _) in told.items()}


def restore(url: str, file: Path, *, over: bool = False) -> str:
    """Restore a backup; the name under which what stood there before is still kept, empty where nothing stood.

    It is restored beside the real database and migrated there first; only when that is done do the two change places.
    `over`: also where something is kept already.
    """
    if not file.is_file():
        raise BackupError(f"There is no file {file}.")
    url = _plain(url)
    with tempfile.TemporaryDirectory(prefix="libella-restore-") as folder:
        dump = Path(folder) / "dump"
        try:
            held = backup_file.read(file, dump)
        except OSError as fault:
            raise BackupError(f"{file} can't be read: {fault.strerror or fault}; nothing was changed.") from None
        return _restored(url, dump, held, over=over)


def _restored(url: str, dump: Path, held: Held, *, over: bool) -> str:
    _swept(url)
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
            with psycopg.connect(beside) as copy:
                _restore_into(beside, dump)
                if _digests(copy) != dict(held.tables):
                    raise BackupError("What the backup holds is not what it says of itself; nothing was changed.")
            engine = connect(beside)
            try:
                migrate(engine)
            finally:
                engine.dispose()
            _swap(server, name, restoring, before)
        except BaseException:
            _drop(server, restoring)
            raise
        if not holds:
            _drop(server, before)
    return before if holds else ""


def _swap(server: psycopg.Connection, name: str, restoring: str, before: str) -> None:
    # The server's own housekeeping runs as nobody, and leaves when its database is renamed.
    users = server.execute(
        "select count(*) from pg_stat_activity where datname = %s and pid <> pg_backend_pid() and usesysid is not null",
        [name],
    ).fetchone()
    if users and users[0]:
        raise BackupError("Something uses the database still; nothing was changed. Stop ./demo, then restore.")
    rename = sql.SQL("alter database {} rename to {}")
    server.execute(rename.format(sql.Identifier(name), sql.Identifier(before)))
    server.execute(rename.format(sql.Identifier(restoring), sql.Identifier(name)))


def _drop(server: psycopg.Connection, name: str) -> None:
    """Drop a database of ours, whoever is connected to it still.

    The server sends its own housekeeping away only where nobody is told to be forced out: to force that out takes a
    superuser, which the application is not.
    """
    plain = sql.SQL("drop database if exists {}").format(sql.Identifier(name))
    try:
        server.execute(plain)
    except psycopg.errors.ObjectInUse:
        server.execute(plain + sql.SQL(" with (force)"))


def _restore_into(url: str, file: Path) -> None:
    _run(url, "pg_restore", "--exit-on-error", "--no-owner", "--no-privileges", f"--dbname={_name_of(url)}", str(file))


def _swept(url: str, folder: Path | None = None) -> None:
    """Take away what backups and restores that were killed left: databases nobody is connected to, and folders."""
    if folder is not None:
        for left in folder.glob(f"{_FOLDER}*"):
            if not _runs(left.name.removeprefix(_FOLDER).partition("-")[0]):
                shutil.rmtree(left, ignore_errors=True)
    name = _name_of(url)
    with _maintenance(url) as server:
        unused = server.execute(
            "select datname from pg_database d where datname ~ %s"
            " and not exists (select from pg_stat_activity a where a.datname = d.datname and usesysid is not null)",
            [rf"^{re.escape(name)}_(check_\d+|restoring_\d{{8}}_\d{{6}})$"],
        ).fetchall()
        for (left,) in unused:
            with contextlib.suppress(psycopg.Error):
                server.execute(sql.SQL("drop database if exists {}").format(sql.Identifier(left)))


def _runs(pid: str) -> bool:
    """Whether a process of that number runs here."""
    return pid.isdigit() and Path(f"/proc/{pid}").exists()


@contextmanager
def _beside(url: str, what: str) -> Generator[str]:
    """The URL of an empty database on the same server, gone afterwards."""
    name = f"{_name_of(url)}_{what}_{os.getpid()}"
    with _maintenance(url) as server:
        server.execute(sql.SQL("create database {}").format(sql.Identifier(name)))
        try:
            # While it is in use somebody is connected to it: what nobody is connected to was left behind.
            with psycopg.connect(_named(url, name)):
                yield _named(url, name)
        finally:
            _drop(server, name)


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
    # Told the same way on every machine, wherever its clocks and its taste in dates are set.
    for name, value in (
        ("timezone", "UTC"),
        ("datestyle", "ISO"),
        ("extra_float_digits", "1"),
        ("bytea_output", "hex"),
    ):
        connection.execute("select set_config(%s, %s, true)", [name, value])
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
    rows = {table: count for table, (count, _) in _digests(connection).items() if not table.startswith(_NOT_ENTERED)}
    if not any(rows.values()):
        return ""
    others = sum(rows.values()) - rows["golfer"] - rows["lesson"]
    return f"{rows['golfer']} golfers, {rows['lesson']} lessons, {others} other rows"


def _one(connection: psycopg.Connection, query: str) -> object:
    row = connection.execute(query).fetchone()  # type: ignore[arg-type]
    return row[0] if row else None


def _plain(url: str) -> str:
    """An address as PostgreSQL's own programs take it, from any that the start takes."""
    return make_url(url).set(drivername="postgresql").render_as_string(hide_password=False)


def _name_of(url: str) -> str:
    return make_url(url).database or ""


def _named(url: str, name: str) -> str:
    return make_url(url).set(database=name).render_as_string(hide_password=False)


def _run(url: str, program: str, *words: str) -> None:
    """Run one of PostgreSQL's programs on a database; the password goes by the environment, which nobody lists."""
    at = conninfo_to_dict(url)
    names = {"host": "PGHOST", "port": "PGPORT", "user": "PGUSER", "password": "PGPASSWORD", "dbname": "PGDATABASE",
             "sslmode": "PGSSLMODE", "sslrootcert": "PGSSLROOTCERT", "options": "PGOPTIONS"}  # fmt: skip
    environment: Mapping[str, str] = {names[it]: str(value) for it, value in at.items() if it in names} | {
        "LC_ALL": "C"
    }
    found = sorted(_PROGRAMS.glob(f"*/bin/{program}"), key=lambda it: float(it.parts[-3]))
    if not found:
        raise BackupError(f"{program} is not installed: install Debian's package postgresql.")
    done = subprocess.run(
        [str(found[-1]), *words], env=os.environ | environment, capture_output=True, text=True, check=False
    )
    if done.returncode:
        raise BackupError(f"{program} failed; nothing was changed: {done.stderr.strip()[-600:]}")
