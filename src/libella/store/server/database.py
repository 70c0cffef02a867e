"""The database: connecting, migrating, and waiting out its absence."""

from collections.abc import Mapping
from pathlib import Path
from typing import Any, Literal

from alembic import command
from alembic.config import Config
from alembic.migration import MigrationContext
from alembic.script import ScriptDirectory
from sqlalchemy import Connection, Engine, create_engine, event, text

from .fence import fence

_MIGRATIONS = Path(__file__).parents[1] / "migrations"
_MIGRATION_LOCK = 7_260_114
_DIRECT: Mapping[str, Any] = {"options": "-c timezone=utc -c statement_timeout=15000"}
_POOLED: Mapping[str, Any] = {"prepare_threshold": None}
_EACH_TIME = "select set_config('timezone', 'utc', true), set_config('statement_timeout', '15000', true)"


def connect(url: str, *, pool_size: int = 10, pooled: bool = False) -> Engine:
    """An engine for a PostgreSQL URL (`postgresql://…`); a lost connection is replaced at the next use.

    `pooled`: between us and the server is a pool that lends a connection for one transaction. Then nothing of a session
    lasts: what one needs is set anew with every transaction, and no statement is prepared.
    """
    url = url.replace("postgresql://", "postgresql+psycopg://", 1).replace("postgres://", "postgresql+psycopg://", 1)
    engine = create_engine(
        url,
        pool_size=pool_size,
        max_overflow=10,
        pool_timeout=5,
        pool_pre_ping=True,
        # What was entered has no place in a log.
        hide_parameters=True,
        connect_args={"connect_timeout": 3, **(_POOLED if pooled else _DIRECT)},
    )
    if pooled:
        event.listen(engine, "begin", lambda connection: connection.exec_driver_sql(_EACH_TIME))
    return engine


def alembic_config() -> Config:
    """Alembic's configuration without a file of its own."""
    config = Config()
    config.set_main_option("script_location", str(_MIGRATIONS))
    return config


class DataNewer(RuntimeError):
    """The data was kept by a newer program than this one."""


class WouldLose(RuntimeError):
    """Going back to an older schema would drop what was recorded."""


def migrate(engine: Engine, revision: str = "head") -> None:
    """Bring the schema up to a revision; two starting at once wait for each other. `DataNewer` where it is further."""
    config = alembic_config()
    with engine.connect() as connection:
        connection.execute(text("select pg_advisory_lock(:key)"), {"key": _MIGRATION_LOCK})
        connection.commit()
        try:
            _refuse_newer(config, connection)
            config.attributes["connection"] = connection
            command.upgrade(config, revision)
            fence(connection)
            connection.commit()
        finally:
            connection.rollback()
            connection.execute(text("select pg_advisory_unlock(:key)"), {"key": _MIGRATION_LOCK})
            connection.commit()


def needs_migration(engine: Engine) -> bool:
    """Something is kept here, by an older version than this one."""
    head = ScriptDirectory.from_config(alembic_config()).get_current_head()
    with engine.connect() as connection:
        stands = MigrationContext.configure(connection).get_current_revision()
    return stands is not None and stands != head


def _refuse_newer(config: Config, connection: Connection) -> None:
    stands = MigrationContext.configure(connection).get_current_revision()
    connection.rollback()
    known = {it.revision for it in ScriptDirectory.from_config(config).walk_revisions()}
    if stands is not None and stands not in known:
        newest = max(known)
        raise DataNewer(
            f"What is kept here was kept by a newer Libella (schema {stands}; this one knows up to {newest}). "
            "Nothing was changed. Start the newer one again, or restore a backup that this one made."
        )


def migrate_down(engine: Engine, revision: str, *, lose: bool = False) -> None:
    """Bring the schema back to an older revision; `WouldLose` where recorded values would go, unless told to lose
    them."""
    config = alembic_config()
    with engine.connect() as connection:
        before = _filled(connection, _said(config, "OWN"))
        config.attributes["connection"] = connection
        command.downgrade(config, revision)
        left = {(table, column) for table, column, _ in _columns(connection)}
        called = _said(config, "RENAMED")
        lost = {where: rows for where, rows in before.items() if rows and where not in left}
        lost = {
            (table, it): rows for (table, it), rows in lost.items() if (table, called.get((table, it), "")) not in left
        }
        if lost and not lose:
            connection.rollback()
            said = ", ".join(f"{table}.{column} ({rows} rows)" for (table, column), rows in sorted(lost.items()))
            raise WouldLose(f"Going back to {revision} would drop what was recorded: {said}. Nothing was changed.")
        connection.commit()


def _said(config: Config, what: Literal["RENAMED", "OWN"]) -> dict[tuple[str, str], str]:
    """What migrations say of columns, by table and name: what one was called before (`RENAMED`), and which of its
    values tell more than the older schema does (`OWN`, a condition)."""
    found: dict[tuple[str, str], str] = {}
    for it in ScriptDirectory.from_config(config).walk_revisions():
        found |= getattr(it.module, what, {})
    return found


def _columns(connection: Connection) -> list[tuple[str, str, str | None]]:
    """Table, column and default of everything recorded."""
    rows = connection.execute(
        text(
            "select table_name, column_name, column_default from information_schema.columns "
            "where table_schema = 'public' and table_name not in "
            "('alembic_version', 'kept_answer', 'golfer_revision', 'lesson_revision')"
        )
    )
    return [(table, column, default) for table, column, default in rows]


def _filled(connection: Connection, told: Mapping[tuple[str, str], str]) -> dict[tuple[str, str], int]:
    """How many rows hold something of their own in each column: neither nothing nor its default, or as told."""
    found: dict[tuple[str, str], int] = {}
    for table, column, default in _columns(connection):
        own = f'and "{column}" is distinct from {default}' if default and "nextval" not in default else ""
        own += f" and {told[table, column]}" if (table, column) in told else ""
        found[table, column] = (
            connection.scalar(text(f'select count(*) from "{table}" where "{column}" is not null {own}')) or 0
        )
    return found


def clear(engine: Engine) -> None:
    """Drop everything kept. The caller has asked first."""
    with engine.begin() as connection:
        connection.execute(text("drop schema public cascade"))
        connection.execute(text("create schema public"))
