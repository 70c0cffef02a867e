"""Set-ups as noted."""

from datetime import datetime
from typing import Any
from uuid import UUID

from sqlalchemy import (
    ForeignKeyConstraint,
    Index,
    func,
    text,
)
from sqlalchemy.orm import Mapped, mapped_column

from .base import Voidable, in_words


class SetUpRow(Voidable):
    """A set-up as noted; see `core.stand.set_up`. One taken again after stepping away names the first of its run."""

    __tablename__ = "set_up"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    name: Mapped[str] = mapped_column(server_default=text("''"))
    """The set-up's name in this lesson; empty as usual."""
    values: Mapped[dict[str, Any]]
    again_of: Mapped[UUID | None]
    taken_at: Mapped[datetime]
    recorded_at: Mapped[datetime] = mapped_column(server_default=func.now())

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "lesson_id", "taken_at", "id"),
        Index(None, "studio_id", "taken_at", "id"),
        in_words("set_up", "name"),
    )
