"""Answers kept with the data and the rules they were made from; what coaches said of findings."""

from datetime import datetime
from typing import Any
from uuid import UUID

from sqlalchemy import (
    BigInteger,
    ForeignKey,
    ForeignKeyConstraint,
    Index,
    UniqueConstraint,
    func,
    text,
)
from sqlalchemy.orm import Mapped, mapped_column

from .base import Stored, Voidable, in_words


class GolferRevisionRow(Stored):
    """Raised by triggers with every write that changes what is told of a golfer; `own` by those that stand in no
    lesson, or move one among the others."""

    __tablename__ = "golfer_revision"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID] = mapped_column(primary_key=True)
    revision: Mapped[int] = mapped_column(BigInteger)
    own: Mapped[int] = mapped_column(BigInteger, server_default="0")

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"], ondelete="CASCADE"),
    )


class LessonRevisionRow(Stored):
    """Raised by triggers with every write into a lesson."""

    __tablename__ = "lesson_revision"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID] = mapped_column(primary_key=True)
    revision: Mapped[int] = mapped_column(BigInteger)

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"], ondelete="CASCADE"),
    )


class KeptAnswerRow(Stored):
    """An answer with the revision of the data and the version of the rules it was made from."""

    __tablename__ = "kept_answer"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    about_id: Mapped[UUID] = mapped_column(primary_key=True)
    what: Mapped[str] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    revision: Mapped[int] = mapped_column(BigInteger)
    rules: Mapped[str]
    answer: Mapped[str]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"], ondelete="CASCADE"),
        Index(None, "studio_id", "golfer_id"),
    )


class FindingAnswerRow(Voidable):
    """What a coach said of a finding; `told`: what the tool said of it then."""

    __tablename__ = "finding_answer"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    cause: Mapped[str]
    answer: Mapped[str]
    words: Mapped[str]
    told: Mapped[dict[str, Any]]
    answered_at: Mapped[datetime]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "lesson_id"),
        Index(None, "studio_id", "answered_at", "id"),
        in_words("finding_answer", "words"),
    )


class BandVersionRow(Stored):
    """Bands by level as they were kept once; the highest number holds."""

    __tablename__ = "band_version"

    studio_id: Mapped[UUID] = mapped_column(ForeignKey("studio.id"), primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    number: Mapped[int]
    bands: Mapped[dict[str, Any]]
    kept_at: Mapped[datetime] = mapped_column(server_default=func.now())

    __table_args__ = (UniqueConstraint("studio_id", "number"),)


class OpinionVersionRow(Stored):
    """An opinion as it was held once; of those of the same the newest counts."""

    __tablename__ = "opinion_version"

    studio_id: Mapped[UUID] = mapped_column(ForeignKey("studio.id"), primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    opinion: Mapped[str]
    """Which: a code of `core.opinions.every`."""
    level: Mapped[str] = mapped_column(server_default=text("''"))
    """Of golfers of this level alone; empty: of all."""
    golfer_id: Mapped[UUID | None]
    """Of this golfer alone; empty: of all."""
    numbers: Mapped[dict[str, Any]]
    """Its numbers in place of those that stand there, by where in it they stand; none: as it stands."""
    kept_at: Mapped[datetime] = mapped_column(server_default=func.now())

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        Index(None, "studio_id", "golfer_id"),
    )
