"""Where the eyes were, and what looked straight."""

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

from ...core.see.method import Eyes, Glasses, Method, Toward, Trace
from .base import Flagged, Stored, Voidable


class SightTestRow(Stored):
    """A run of answers about what looks straight, asked one way under one condition."""

    __tablename__ = "sight_test"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    method: Mapped[Method] = mapped_column(String)
    """See `core.see.method.METHODS`."""
    condition: Mapped[str]
    trace: Mapped[Trace] = mapped_column(String)
    eyes: Mapped[Eyes] = mapped_column(String)
    glasses: Mapped[Glasses] = mapped_column(String)
    away_m: Mapped[float]
    """From the near end of the rod, or the ball, to where it is read."""
    toward: Mapped[Toward] = mapped_column(String, server_default=text("'hole'"))
    """What is called straight: the line to the hole, or the start line of a breaking putt."""
    position: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    """Levers moved from the usual set-up: see `core.see.position`."""
    playable: Mapped[bool] = mapped_column(server_default=text("true"))
    comfort: Mapped[int | None]
    trust: Mapped[int | None]
    """How it felt there, 1 to 5; null while it was not said."""
    started_at: Mapped[datetime]
    ended_at: Mapped[datetime | None]
    """When its answers were shown; until then they are hidden."""
    station_id: Mapped[UUID | None]
    """The plan it was asked on; null where none was laid."""
    left_at: Mapped[datetime | None]
    """When it was left before it told anything: it counts nowhere from then on."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        ForeignKeyConstraint(["studio_id", "station_id"], ["station.studio_id", "station.id"]),
        Index(None, "studio_id", "lesson_id", "started_at"),
    )


class SightTrialRow(Flagged):
    """One answer. It never changes: a slip of the finger voids it, and another is added."""

    __tablename__ = "sight_trial"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    test_id: Mapped[UUID]
    raw: Mapped[dict[str, Any]]
    taken_at: Mapped[datetime]
    recorded_at: Mapped[datetime] = mapped_column(server_default=func.now())

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "test_id"], ["sight_test.studio_id", "sight_test.id"]),
        Index(None, "studio_id", "test_id", "taken_at", "id"),
    )


class FirstLookRow(Voidable):
    """How a true rod looked from a place; see `core.see.first_look`."""

    __tablename__ = "first_look"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    raw: Mapped[dict[str, Any]]
    taken_at: Mapped[datetime]
    recorded_at: Mapped[datetime] = mapped_column(server_default=func.now())
    station_id: Mapped[UUID | None]
    """The plan whose line the rod lay on; null where none was laid."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        ForeignKeyConstraint(["studio_id", "station_id"], ["station.studio_id", "station.id"]),
        Index(None, "studio_id", "lesson_id", "taken_at", "id"),
    )


class EyeTakeRow(Voidable):
    """One look at where the eyes are, as it was marked; see `core.see.eyes.EyeTake` and `core.see.side_look`."""

    __tablename__ = "eye_take"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    raw: Mapped[dict[str, Any]]
    reread_of: Mapped[UUID | None]
    """The look this one reads again, nothing having moved: it tells how well the mirror is read."""
    taken_at: Mapped[datetime]
    recorded_at: Mapped[datetime] = mapped_column(server_default=func.now())
    station_id: Mapped[UUID | None]
    """The plan it was taken on; null where none was laid."""
    set_up: Mapped[str] = mapped_column(server_default=text("''"))
    """How the golfer stood: the set-up's name in this lesson; empty as usual."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        ForeignKeyConstraint(["studio_id", "station_id"], ["station.studio_id", "station.id"]),
        Index(None, "studio_id", "lesson_id", "taken_at", "id"),
    )
