"""Cards and the checks against them; files of putts on their way in."""

from datetime import datetime
from typing import Any, Literal
from uuid import UUID

from sqlalchemy import (
    ForeignKeyConstraint,
    Index,
    String,
    func,
    text,
)
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import Mapped, mapped_column

from .base import Stored, Voidable, in_words

Phase = Literal["checking", "checked", "taking", "done", "stopped", "failed"]
"""How far the work on a file is."""
ArchivePhase = Literal["making", "made", "given", "checking", "checked", "taking", "taken", "stopped", "failed"]
"""How far the work on an archive is; the first two on its way out."""


class SetUpCardRow(Stored):
    """A set-up kept as what the golfer goes by from now on, as it was when it was kept."""

    __tablename__ = "set_up_card"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    lesson_id: Mapped[UUID]
    note: Mapped[str]
    raw: Mapped[dict[str, Any]]
    """What it says: see `lessons.keep.cards.Card`."""
    kept_at: Mapped[datetime]
    put_away_at: Mapped[datetime | None]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "golfer_id", "kept_at", "id"),
        Index(None, "studio_id", "kept_at", "id"),
        in_words("set_up_card", "note"),
    )


class SetUpPhotoRow(Voidable):
    """A photograph of how the golfer stands: made smaller, and nothing in it but the picture."""

    __tablename__ = "set_up_photo"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    lesson_id: Mapped[UUID]
    seen_from: Mapped[str]
    """See `lessons.keep.photos.SEEN_FROM`."""
    picture: Mapped[bytes] = mapped_column(deferred=True)
    """A JPEG."""
    taken_at: Mapped[datetime]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "golfer_id", "taken_at"),
        Index(None, "studio_id", "lesson_id"),
    )


class QuickCheckRow(Stored):
    """A check against a card; what was looked at is added to it step by step."""

    __tablename__ = "quick_check"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    card_id: Mapped[UUID]
    raw: Mapped[dict[str, Any]]
    taken_at: Mapped[datetime]
    recorded_at: Mapped[datetime] = mapped_column(server_default=func.now())

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        ForeignKeyConstraint(["studio_id", "card_id"], ["set_up_card.studio_id", "set_up_card.id"]),
        Index(None, "studio_id", "lesson_id", "taken_at", "id"),
    )


class FileImportRow(Stored):
    """A file of putts on its way in: as it was given, how its columns are read, and how far it is."""

    __tablename__ = "file_import"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    name: Mapped[str]
    content: Mapped[bytes] = mapped_column(deferred=True)
    """The file as it was given, compressed."""
    digest: Mapped[str]
    """Of its content, to know it when it is given again."""
    mapping: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    """How its columns are read: see `exchange.columns.Mapping`; null until told."""
    state: Mapped[str]
    """given, taken or undone."""
    putts: Mapped[int] = mapped_column(server_default=text("0"))
    skipped: Mapped[int] = mapped_column(server_default=text("0"))
    given_at: Mapped[datetime]
    taken_at: Mapped[datetime | None]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        Index(None, "studio_id", "golfer_id", "given_at"),
    )


class ColumnMapRow(Stored):
    """How the columns of a file with these headings were read last."""

    __tablename__ = "column_map"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    headings: Mapped[str] = mapped_column(primary_key=True)
    """A digest of the headings, in order."""
    mapping: Mapped[dict[str, Any]]
    kept_at: Mapped[datetime]

    __table_args__ = (ForeignKeyConstraint(["studio_id"], ["studio.id"]),)


class FileWorkRow(Stored):
    """The work on a file that goes on beside the requests: how far it is, and what reading the file found."""

    __tablename__ = "file_work"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    import_id: Mapped[UUID] = mapped_column(primary_key=True)
    phase: Mapped[Phase] = mapped_column(String)
    total: Mapped[int]
    done: Mapped[int] = mapped_column(server_default=text("0"))
    stop_asked: Mapped[bool] = mapped_column(server_default=text("false"))
    """The coach asked for it to stop; whoever works on it sees that before its next rows."""
    found: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    """What reading the whole file found: see `lessons.keep.file_work.Found`; null while it is read."""
    begun_at: Mapped[datetime] = mapped_column(server_default=func.now())

    __table_args__ = (ForeignKeyConstraint(["studio_id", "import_id"], ["file_import.studio_id", "file_import.id"]),)


class ArchiveWorkRow(Stored):
    """An archive on its way out or in: how far the work on it is, and what reading it found."""

    __tablename__ = "archive_work"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID | None]
    """The golfer it is of, on its way out; null for the whole studio, and on its way in."""
    name: Mapped[str]
    """What its file is called."""
    phase: Mapped[ArchivePhase] = mapped_column(String)
    total: Mapped[int] = mapped_column(server_default=text("0"))
    done: Mapped[int] = mapped_column(server_default=text("0"))
    stop_asked: Mapped[bool] = mapped_column(server_default=text("false"))
    """The coach asked for it to stop; whoever works on it sees that before its next rows."""
    found: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    """See `lessons.keep.archive_work.Found`."""
    begun_at: Mapped[datetime] = mapped_column(server_default=func.now())

    __table_args__ = (
        ForeignKeyConstraint(["studio_id"], ["studio.id"]),
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
    )


class ArchivePartRow(Stored):
    """A piece of an archive's file."""

    __tablename__ = "archive_part"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    work_id: Mapped[UUID] = mapped_column(primary_key=True)
    number: Mapped[int] = mapped_column(primary_key=True)
    content: Mapped[bytes]

    __table_args__ = (
        ForeignKeyConstraint(
            ["studio_id", "work_id"], ["archive_work.studio_id", "archive_work.id"], ondelete="CASCADE"
        ),
    )
