"""Devices, how they were paired and zeroed, and the strokes they told."""

from datetime import datetime
from typing import Any
from uuid import UUID

from sqlalchemy import (
    ForeignKeyConstraint,
    Index,
    String,
    UniqueConstraint,
    func,
    text,
)
from sqlalchemy.orm import Mapped, mapped_column

from ...core.start.stroke import SensorKind
from .base import Stored


class SensorRow(Stored):
    """A device that was given a pairing code; paired once it has shown the code and got its token."""

    __tablename__ = "sensor"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    """The lesson its strokes go to now."""
    kind: Mapped[SensorKind] = mapped_column(String)
    """See `words.start.sensors.SENSORS`."""
    name: Mapped[str]
    code: Mapped[str | None]
    code_until: Mapped[datetime]
    device_id: Mapped[str | None]
    token_hash: Mapped[str | None]
    asked_at: Mapped[datetime]
    paired_at: Mapped[datetime | None]
    unpaired_at: Mapped[datetime | None]
    heard_at: Mapped[datetime | None]
    """When it last told anything, to a few seconds."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "lesson_id"),
        Index(None, "studio_id", "token_hash"),
        Index(None, "studio_id", "code"),
    )


class SensorZeroRow(Stored):
    """A sensor held against the square reference; holds for strokes made after it."""

    __tablename__ = "sensor_zero"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    sensor_id: Mapped[UUID]
    still_deg: Mapped[list[Any]]
    """What it read, as it told it."""
    face_deg: Mapped[float]
    noise_deg: Mapped[float]
    taken_at: Mapped[datetime]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "sensor_id"], ["sensor.studio_id", "sensor.id"]),
        Index(None, "studio_id", "sensor_id", "taken_at"),
    )


class StrokeTapRow(Stored):
    """A tap by the coach at the moment of a stroke: what the device told of it then shows how its clock stands."""

    __tablename__ = "stroke_tap"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    sensor_id: Mapped[UUID]
    tapped_at: Mapped[datetime]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "sensor_id"], ["sensor.studio_id", "sensor.id"]),
        Index(None, "studio_id", "sensor_id"),
    )


class StrokeRow(Stored):
    """One stroke as a sensor told it. The measures never change; which putt it belongs to can be put right."""

    __tablename__ = "stroke"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    sensor_id: Mapped[UUID]
    lesson_id: Mapped[UUID]
    key: Mapped[str]
    """The device's own id of it: told twice it is one."""
    measures: Mapped[dict[str, Any]]
    """See `core.start.stroke.MEASURES`."""
    at: Mapped[datetime]
    """By the device's clock."""
    received_at: Mapped[datetime] = mapped_column(server_default=func.now())
    reading_id: Mapped[UUID | None]
    """The putt it was put to by hand; null matches it by time."""
    set_aside: Mapped[bool] = mapped_column(server_default=text("false"))
    """It belongs to no putt: a practice stroke, a knock."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "sensor_id"], ["sensor.studio_id", "sensor.id"]),
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        ForeignKeyConstraint(["studio_id", "reading_id"], ["reading.studio_id", "reading.id"]),
        UniqueConstraint("studio_id", "sensor_id", "key"),
        Index(None, "studio_id", "lesson_id", "at"),
    )


class PairingTryRow(Stored):
    """A pairing code tried and not found, by which device at which address."""

    __tablename__ = "pairing_try"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    device: Mapped[str]
    host: Mapped[str]
    at: Mapped[datetime] = mapped_column(server_default=func.now())

    __table_args__ = (
        ForeignKeyConstraint(["studio_id"], ["studio.id"]),
        Index(None, "studio_id", "host", "at"),
    )
