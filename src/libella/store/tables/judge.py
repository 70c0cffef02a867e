"""Answers kept with the data and the rules they were made from."""

from uuid import UUID

from sqlalchemy import (
    BigInteger,
    ForeignKeyConstraint,
    Index,
)
from sqlalchemy.orm import Mapped, mapped_column

from .base import Stored


class GolferRevisionRow(Stored):
    """Raised by triggers with every write that changes what is told of a golfer."""

    __tablename__ = "golfer_revision"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID] = mapped_column(primary_key=True)
    revision: Mapped[int] = mapped_column(BigInteger)

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"], ondelete="CASCADE"),
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
