"""Stations: a putt with its rig, laid in a lesson or saved under a name."""

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
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import Mapped, mapped_column

from ...core.green.capture import Capture
from ...core.green.putt import Target
from .base import Stored, Voidable


class LaidColumns:
    """A putt and a rig as they stood; shared by the station that plans them and the block that was read with them."""

    distance_m: Mapped[float]
    past_m: Mapped[float]
    green_speed_ft: Mapped[float]
    capture: Mapped[Capture] = mapped_column(String)
    rig_kind: Mapped[str]
    rig_sizes_m: Mapped[dict[str, Any]]
    falls_forward_percent: Mapped[float] = mapped_column(server_default=text("0"))
    falls_right_percent: Mapped[float] = mapped_column(server_default=text("0"))
    proof: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    """See `core.set.proof.Proof`; what is missing there has its default: not proved."""
    falls_doubt_percent: Mapped[float] = mapped_column(server_default=text("0"))
    read: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    """The coach's read: see `core.green.read.Read`."""
    target: Mapped[Target] = mapped_column(String, server_default=text("'computed'"))
    across_m: Mapped[float] = mapped_column(server_default=text("0"))
    backstroke_m: Mapped[float | None]
    aids: Mapped[list[Any]] = mapped_column(server_default=text("'[]'"))
    """What else is laid: a list of {"kind", "sizes"}; names of sizes end in their unit."""
    golfer_says: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    """What the golfer makes of the green: see `core.green.read.GolferSays`."""


class StationRow(LaidColumns, Stored):
    __tablename__ = "station"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    laid_at: Mapped[datetime]
    replaces_id: Mapped[UUID | None]
    """The plan it took the place of in its lesson."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        ForeignKeyConstraint(["studio_id", "replaces_id"], ["station.studio_id", "station.id"]),
        Index(None, "studio_id", "lesson_id", "laid_at"),
        Index(None, "studio_id", "laid_at", "id"),
    )


class SavedStationRow(LaidColumns, Stored):
    """A station kept under a name, to be laid again."""

    __tablename__ = "saved_station"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    name: Mapped[str]
    kept_at: Mapped[datetime] = mapped_column(server_default=func.now())
    put_away_at: Mapped[datetime | None]
    """When it was taken out of the list; it can be brought back."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id"], ["studio.id"]),
        Index(None, "studio_id", "name", "id"),
    )


class CorrectionRow(Stored):
    """Sizes that were entered wrong, put right after something was read with them: of a plan, of a series of set-downs,
    or of the looks that were taken as one was. One of the three is named."""

    __tablename__ = "correction"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    station_id: Mapped[UUID | None]
    aim_series_id: Mapped[UUID | None]
    eye_take_id: Mapped[UUID | None]
    before: Mapped[dict[str, Any]]
    """As they stood: `parts`, see `core.set.part`; and `along`, what else had the same sizes, by its id."""
    after: Mapped[dict[str, Any]]
    """As they stand since: `parts`."""
    why: Mapped[str]
    """What was wrong, in the coach's words."""
    made_at: Mapped[datetime]
    """When they were put right."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        ForeignKeyConstraint(["studio_id", "station_id"], ["station.studio_id", "station.id"]),
        ForeignKeyConstraint(["studio_id", "aim_series_id"], ["aim_set.studio_id", "aim_set.id"]),
        ForeignKeyConstraint(["studio_id", "eye_take_id"], ["eye_take.studio_id", "eye_take.id"]),
        Index(None, "studio_id", "lesson_id", "made_at"),
        Index(None, "studio_id", "station_id"),
        Index(None, "studio_id", "aim_series_id"),
        Index(None, "studio_id", "eye_take_id"),
    )


class ToolCheckRow(Voidable):
    """An instrument checked by itself; see `core.set.tool_check`. The newest of its kind in a lesson counts."""

    __tablename__ = "tool_check"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    kind: Mapped[str]
    sizes: Mapped[dict[str, Any]]
    """The instrument's own dimensions while it was checked."""
    raw: Mapped[dict[str, Any]]
    taken_at: Mapped[datetime]
    recorded_at: Mapped[datetime] = mapped_column(server_default=func.now())

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "lesson_id", "taken_at", "id"),
    )


class SecondReadingRow(Voidable):
    """What two readers read of the same, neither knowing of the other: see `core.see.second_reader`."""

    __tablename__ = "second_reading"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    thing: Mapped[str]
    """What was read: see `core.see.second_reader.THINGS`."""
    first_by: Mapped[str]
    """Who read first."""
    first: Mapped[list[Any]]
    """What the first reader read, in order."""
    taken_at: Mapped[datetime]
    second_by: Mapped[str] = mapped_column(server_default=text("''"))
    """Who read second; empty while nobody did."""
    second: Mapped[list[Any] | None] = mapped_column(JSONB(none_as_null=True))
    """What the second reader read of the same, in the same order."""
    answered_at: Mapped[datetime | None]
    """When the second reader had read: from then on its error counts."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id"], ["studio.id"]),
        Index(None, "studio_id", "taken_at", "id"),
    )
