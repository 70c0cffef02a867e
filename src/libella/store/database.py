"""The database: connecting, migrating, and waiting out its absence."""

from pathlib import Path

from alembic import command
from alembic.config import Config
from sqlalchemy import Engine, create_engine, text

_MIGRATIONS = Path(__file__).parent / "migrations"
_MIGRATION_LOCK = 7_260_114


def connect(url: str, *, pool_size: int = 10) -> Engine:
    """An engine for a PostgreSQL URL (`postgresql://…`); a lost connection is replaced at the next use."""
    url = url.replace("postgresql://", "postgresql+psycopg://", 1).replace("postgres://", "postgresql+psycopg://", 1)
    return create_engine(
        url,
        pool_size=pool_size,
        max_overflow=10,
        pool_timeout=5,
        pool_pre_ping=True,
        # What was entered has no place in a log.
        hide_parameters=True,
        connect_args={"connect_timeout": 3, "options": "-c timezone=utc -c statement_timeout=15000"},
    )


def alembic_config() -> Config:
    """Alembic's configuration without a file of its own."""
    config = Config()
    config.set_main_option("script_location", str(_MIGRATIONS))
    return config


def migrate(engine: Engine, revision: str = "head") -> None:
    """Bring the schema to a revision; two starting at once wait for each other."""
    config = alembic_config()
    with engine.connect() as connection:
        connection.execute(text("select pg_advisory_lock(:key)"), {"key": _MIGRATION_LOCK})
        connection.commit()
        try:
            config.attributes["connection"] = connection
            command.upgrade(config, revision)
            connection.commit()
        finally:
            connection.rollback()
            connection.execute(text("select pg_advisory_unlock(:key)"), {"key": _MIGRATION_LOCK})
            connection.commit()


def clear(engine: Engine) -> None:
    """Drop everything kept. The caller has asked first."""
    with engine.begin() as connection:
        connection.execute(text("drop schema public cascade"))
        connection.execute(text("create schema public"))
