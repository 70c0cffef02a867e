"""Practice: drills of the coach's own, plans, and what was done of them."""

from datetime import datetime
from typing import Any
from uuid import UUID

from sqlalchemy import ForeignKey, ForeignKeyConstraint, Index, text
from sqlalchemy.orm import Mapped, mapped_column

from .base import Voidable


class DrillRow(Voidable):
    """A drill of the coach's own, or a changed copy of one; voided: retired."""

    __tablename__ = "drill"

    studio_id: Mapped[UUID] = mapped_column(ForeignKey("studio.id"), primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    told: Mapped[dict[str, Any]]
    """See `core.change.drill.Drill`."""
    copied_from: Mapped[str] = mapped_column(server_default=text("''"))
    """The drill it was copied from; empty for one made anew."""


class PracticePlanRow(Voidable):
    """A plan of the weeks after a lesson, as it was made."""

    __tablename__ = "practice_plan"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    lesson_id: Mapped[UUID]
    given: Mapped[dict[str, Any]]
    """What it was made for: see `core.change.session.Given`."""
    made: Mapped[dict[str, Any]]
    """Its sessions and what could not be met: see `core.change.plan.Plan`."""
    starts_at: Mapped[datetime]
    made_at: Mapped[datetime]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "golfer_id", "made_at"),
        Index(None, "studio_id", "lesson_id"),
        Index(None, "studio_id", "made_at", "id"),
    )


class DrillRunRow(Voidable):
    """A run of a drill: how many of it were as wanted, or the angles that were read."""

    __tablename__ = "drill_run"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    drill: Mapped[str]
    """The code of a drill, or the id of one of the coach's own."""
    plan_id: Mapped[UUID | None]
    number: Mapped[int | None]
    """Of a plan: which of its sessions, from 1."""
    bare: Mapped[bool]
    told: Mapped[list[Any]]
    """Event by event: 1 as wanted, 0 not; or an angle's ends, degrees."""
    done_at: Mapped[datetime]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        ForeignKeyConstraint(["studio_id", "plan_id"], ["practice_plan.studio_id", "practice_plan.id"]),
        Index(None, "studio_id", "golfer_id", "done_at"),
        Index(None, "studio_id", "plan_id"),
        Index(None, "studio_id", "done_at", "id"),
    )
