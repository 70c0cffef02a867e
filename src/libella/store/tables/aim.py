"""Set-downs."""

from datetime import datetime
from typing import Any
from uuid import UUID

from sqlalchemy import (
    ForeignKeyConstraint,
    Index,
    String,
    func,
    text,
)
from sqlalchemy.orm import Mapped, mapped_column

from ...core.aim.links import Cue, Link
from .base import Flagged, Stored


class AimSeriesRow(Stored):
    """A series of set-downs: one link of the aim, read one way under one cue. Its table keeps the name it had."""

    __tablename__ = "aim_set"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    link: Mapped[Link] = mapped_column(String)
    """See `core.aim.links.LINKS`."""
    cue: Mapped[Cue] = mapped_column(String)
    aided: Mapped[bool]
    """An aid stood in the golfer's view."""
    kind: Mapped[str | None]
    """The instrument the face was read with; null where an angle was read."""
    sizes: Mapped[dict[str, Any]]
    planned: Mapped[int]
    started_at: Mapped[datetime]
    station_id: Mapped[UUID | None]
    """The plan it was read on; null where none was laid."""
    set_up: Mapped[str] = mapped_column(server_default=text("''"))
    """How the golfer stood: the set-up's name in this lesson; empty as usual."""
    factors: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    """In what else it was not as usual: see `core.judge.ledger.factors`."""
    comparison_id: Mapped[UUID | None]
    turn: Mapped[int | None]
    """Which condition of its comparison it is, from 0."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "comparison_id"], ["comparison.studio_id", "comparison.id"]),
        Index(None, "studio_id", "comparison_id"),
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        ForeignKeyConstraint(["studio_id", "station_id"], ["station.studio_id", "station.id"]),
        Index(None, "studio_id", "lesson_id", "started_at"),
    )


class SetDownRow(Flagged):
    """One set-down as read. It never changes: a slip voids it, and another is added."""

    __tablename__ = "set_down"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    aim_series_id: Mapped[UUID] = mapped_column("aim_set_id")
    raw: Mapped[dict[str, Any]]
    taken_at: Mapped[datetime]
    recorded_at: Mapped[datetime] = mapped_column(server_default=func.now())

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "aim_set_id"], ["aim_set.studio_id", "aim_set.id"]),
        Index(None, "studio_id", "aim_set_id", "taken_at", "id"),
    )
