"""Golfers."""

from datetime import datetime
from typing import Any
from uuid import UUID

from sqlalchemy import (
    CheckConstraint,
    ForeignKeyConstraint,
    Index,
    String,
    func,
    text,
)
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import Mapped, mapped_column

from ...core.golfer.hand import Hand
from ...core.golfer.level import Level
from ...core.golfer.limits import Glasses
from ...core.golfer.wording import Chosen
from ...core.see.eyes import SightingEye
from .base import Stored, Voidable, in_words


class GolferRow(Stored):
    __tablename__ = "golfer"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    name: Mapped[str]
    hand: Mapped[Hand] = mapped_column(String)
    level: Mapped[Level] = mapped_column(String)
    notes: Mapped[str]
    schools: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    """The schools this golfer holds to, by disagreement: see `core.schools.held`. They go before the coach's."""
    eye_zone_mm: Mapped[list[Any] | None] = mapped_column(JSONB(none_as_null=True))
    """Own edges of where the eyes are wanted, mm inside; null takes the school's."""
    sighting_eye: Mapped[SightingEye] = mapped_column(String, server_default=text("''"))
    """left or right; empty while it is not known."""
    usual_lengths: Mapped[list[Any] | None] = mapped_column(JSONB(none_as_null=True))
    """Lengths usually putted, [metres, weight] each; null takes what is usual for anybody."""
    step_m: Mapped[float | None]
    """The golfer's own step, metres; null while it was not noted."""
    usual_misses: Mapped[list[str]] = mapped_column(server_default=text("'[]'"))
    """Where putts usually miss: see `core.change.complaint.MISSES`."""
    glasses: Mapped[Glasses] = mapped_column(String, server_default=text("''"))
    """Worn while putting; empty while it is not known."""
    limits: Mapped[list[str]] = mapped_column(server_default=text("'[]'"))
    """What limits posture: see `core.golfer.limits.LIMITS`."""
    wording: Mapped[Chosen] = mapped_column(String, server_default=text("''"))
    """How things are put to this golfer; empty: by the level."""
    invented: Mapped[bool] = mapped_column(server_default=text("false"))
    updated_at: Mapped[datetime] = mapped_column(server_default=func.now(), onupdate=func.now())

    __table_args__ = (
        ForeignKeyConstraint(["studio_id"], ["studio.id"]),
        CheckConstraint("hand in ('right', 'left')", name="hand"),
        Index(None, "studio_id", "name", "id"),
        in_words("golfer", "(name || ' ') || notes"),
    )


class GolfRoundRow(Voidable):
    """A round on the course: the putts of each hole."""

    __tablename__ = "golf_round"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    holes: Mapped[list[Any]]
    """See `core.golfer.golf_round.Hole`."""
    played_at: Mapped[datetime]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        Index(None, "studio_id", "golfer_id", "played_at"),
        Index(None, "studio_id", "played_at", "id"),
    )


class LineJoinRow(Voidable):
    """Two of a golfer's lines that the coach joined, each by its key."""

    __tablename__ = "line_join"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    first: Mapped[str]
    second: Mapped[str]
    made_at: Mapped[datetime]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        Index(None, "studio_id", "golfer_id"),
    )


class NotedChangeRow(Voidable):
    """A day on which something of a golfer was changed: putter, stroke, set-up; or the one change of a lesson."""

    __tablename__ = "noted_change"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    words: Mapped[str]
    made_at: Mapped[datetime]
    lesson_id: Mapped[UUID | None]
    """The lesson it was chosen in; null where it was only noted."""
    chosen: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    """See `core.change.proposal.Chosen`."""
    dropped_at: Mapped[datetime | None]
    """When the coach dropped it."""
    kit: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    """What was in hand from then on, see `core.golfer.kit.Kit`; null where something else was changed."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "golfer_id", "made_at"),
        Index(None, "studio_id", "lesson_id"),
        Index(None, "studio_id", "made_at", "id"),
        in_words("noted_change", "words"),
    )
