"""Lessons."""

from datetime import datetime
from typing import Any
from uuid import UUID

from sqlalchemy import (
    ForeignKeyConstraint,
    Index,
    String,
    text,
)
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import Mapped, mapped_column

from ...core.golfer.hand import Hand
from ...core.measure.units import Units
from ...core.set.floor import Surface
from .base import Stored, in_words


class LessonRow(Stored):
    __tablename__ = "lesson"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    hand: Mapped[Hand] = mapped_column(String)
    """The side the golfer putted from then."""
    place: Mapped[str]
    surface: Mapped[Surface] = mapped_column(String)
    green_speed_ft: Mapped[float]
    conditions: Mapped[str]
    units: Mapped[Units] = mapped_column(String, server_default=text("'metric'"))
    """Units of lengths on its papers; a screen has those of whoever reads it."""
    started_at: Mapped[datetime]
    ended_at: Mapped[datetime | None]
    voided_at: Mapped[datetime | None]
    void_reason: Mapped[str | None]
    laser_read_at: Mapped[datetime | None]
    """When the laser's cautions were read in this lesson."""
    kit_checked: Mapped[list[str]] = mapped_column(server_default=text("'[]'"))
    """Items of the kit check that are ticked."""
    invented: Mapped[bool] = mapped_column(server_default=text("false"))
    moved_at: Mapped[datetime | None]
    """When the coach last said that the feet moved."""
    rested_at: Mapped[datetime | None]
    """When the coach last said that the golfer straightened up."""
    file_import_id: Mapped[UUID | None]
    """The file its putts came from."""
    plan_id: Mapped[UUID | None]
    """The station that is the plan now; null before one was laid, or where none was ever picked."""

    complaint: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    """What the golfer came with; null where nobody asked."""
    sheet_note: Mapped[str] = mapped_column(server_default=text("''"))
    """What the coach writes on the sheet the golfer takes home."""
    released_at: Mapped[datetime | None]
    """Since when its golfer sees its sheet, signed in himself; null: not released."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        ForeignKeyConstraint(["studio_id", "file_import_id"], ["file_import.studio_id", "file_import.id"]),
        Index(None, "studio_id", "file_import_id"),
        Index(None, "studio_id", "golfer_id", "started_at"),
        Index(None, "studio_id", "started_at"),
        in_words(
            "lesson",
            "(((((place || ' ') || conditions) || ' ') || sheet_note) || ' ') || COALESCE(complaint ->> 'said', '')",
        ),
    )
