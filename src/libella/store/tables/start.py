"""Blocks of putts, their readings, and comparisons putted in turns."""

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

from ...core.see.misled import Looker
from ...core.start.path import PathName
from ...core.start.turns import Of, Order, Question
from .base import Flagged, Stored, in_words
from .set import LaidColumns


class BlockRow(LaidColumns, Stored):
    __tablename__ = "block"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    station_id: Mapped[UUID]
    condition: Mapped[str]
    guided: Mapped[bool]
    planned: Mapped[int]
    first_planned: Mapped[int]
    """The plan the block began with; `planned` is larger when it was extended."""
    asks: Mapped[list[str]] = mapped_column(server_default=text("'[]'"))
    """What else is noted of every putt: see `core.start.notes`."""
    started_at: Mapped[datetime]
    hole: Mapped[bool] = mapped_column(server_default=text("true"))
    """False: putted with no hole there, to an aim point only."""
    path_model: Mapped[PathName] = mapped_column(String, server_default=text("''"))
    """The path as declared: see `core.start.path.PATHS`."""
    ball_ahead_m: Mapped[float] = mapped_column(server_default=text("0"))
    k: Mapped[float | None]
    """Share of the face in the start as the coach sets it; null fits it."""
    comparison_id: Mapped[UUID | None]
    turn: Mapped[int | None]
    """Which condition of its comparison it is, from 0."""
    disturbances: Mapped[list[str]] = mapped_column(server_default=text("'[]'"))
    """What disturbed it: see `core.judge.disturbed`."""
    comfort: Mapped[int | None]
    trust: Mapped[int | None]
    """How it felt, 1 to 5; null while it was not said."""
    looker: Mapped[Looker] = mapped_column(String, server_default=text("''"))
    """Who told sides against a string over the line: see `core.see.misled`."""
    factors: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    """In what it was not as usual: see `core.judge.ledger.factors`."""
    drill: Mapped[str] = mapped_column(server_default=text("''"))
    """The drill it is a run of, by its code; empty for none."""
    judged_again_at: Mapped[datetime | None]
    """When its readings were judged again, with a proof given after them."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        ForeignKeyConstraint(["studio_id", "station_id"], ["station.studio_id", "station.id"]),
        ForeignKeyConstraint(["studio_id", "comparison_id"], ["comparison.studio_id", "comparison.id"]),
        Index(None, "studio_id", "comparison_id"),
        Index(None, "studio_id", "lesson_id", "started_at"),
        Index(None, "studio_id", "started_at", "id"),
        in_words("block", "condition"),
    )


class ReadingRow(Flagged):
    """One observation. The raw reading never changes: a correction voids it and adds another."""

    __tablename__ = "reading"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    block_id: Mapped[UUID]
    raw: Mapped[dict[str, Any]]
    low_deg: Mapped[float | None]
    """Limits of the start error; None where open."""
    high_deg: Mapped[float | None]
    notes: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    taken_at: Mapped[datetime]
    recorded_at: Mapped[datetime] = mapped_column(server_default=func.now())
    void_reason: Mapped[str | None]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "block_id"], ["block.studio_id", "block.id"]),
        Index(None, "studio_id", "block_id", "taken_at", "id"),
    )


class ReadingMarkRow(Stored):
    """The history of a reading: each voiding and each restoring, never overwritten."""

    __tablename__ = "reading_mark"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    reading_id: Mapped[UUID]
    voided: Mapped[bool]
    reason: Mapped[str | None]
    marked_at: Mapped[datetime] = mapped_column(server_default=func.now())

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "reading_id"], ["reading.studio_id", "reading.id"]),
        Index(None, "studio_id", "reading_id", "marked_at"),
    )


class ComparisonRow(Stored):
    """Conditions to be compared, in turns: each is a block of putts, or a series of set-downs."""

    __tablename__ = "comparison"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    of: Mapped[Of] = mapped_column(String, server_default=text("'start'"))
    """What is compared: blocks of putts, or series of set-downs."""
    question: Mapped[Question] = mapped_column(String)
    """See `core.judge.comparing.Question`."""
    order: Mapped[Order] = mapped_column(String)
    """See `core.start.turns.ORDERS`."""
    each: Mapped[int]
    run: Mapped[int]
    seed: Mapped[int]
    started_at: Mapped[datetime]
    entry: Mapped[dict[str, Any]]
    """As it was planned, to know it when it is said again."""
    change_id: Mapped[UUID | None]
    """The change it retests."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        ForeignKeyConstraint(["studio_id", "change_id"], ["noted_change.studio_id", "noted_change.id"]),
        Index(None, "studio_id", "lesson_id", "started_at"),
        Index(None, "studio_id", "change_id"),
    )
