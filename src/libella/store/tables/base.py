"""What all tables share. Angles are degrees, lengths metres, times UTC with zone; ids are UUIDv7s."""

from datetime import datetime
from typing import Any

from sqlalchemy import DateTime, Index, MetaData, text
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column


class Stored(DeclarativeBase):
    metadata = MetaData(
        naming_convention={
            "ix": "ix_%(table_name)s_%(column_0_N_name)s",
            "uq": "uq_%(table_name)s_%(column_0_N_name)s",
            "ck": "ck_%(table_name)s_%(constraint_name)s",
            "fk": "fk_%(table_name)s_%(column_0_N_name)s",
            "pk": "pk_%(table_name)s",
        }
    )
    type_annotation_map = {  # noqa: RUF012
        datetime: DateTime(timezone=True),
        dict[str, Any]: JSONB,
        list[Any]: JSONB,
        list[str]: JSONB,
    }


class Voidable(Stored):
    """A row that may be taken out of what counts, and brought back; it is never deleted."""

    __abstract__ = True
    voided: Mapped[bool] = mapped_column(server_default=text("false"))


class Flagged(Voidable):
    """A reading of which can be said what lowers its weight; see `core.measure.flag`."""

    __abstract__ = True
    flags: Mapped[list[str]] = mapped_column(server_default=text("'[]'"))


def in_words(table: str, words: str) -> Index:
    """An index of what was written of a table's rows, word by word, in no language of its own; `words` as the database
    itself writes the expression, so that it is known again."""
    return Index(f"ix_{table}_words", text(f"to_tsvector('simple'::regconfig, {words})"), postgresql_using="gin")
