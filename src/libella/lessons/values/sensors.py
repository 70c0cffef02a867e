"""Devices, how they were paired and zeroed, and the strokes they told."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from ...core.start.stroke import SensorKind


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptSensor:
    """A device that was given a pairing code; paired once it has shown the code and got its token."""

    id: UUID
    lesson_id: UUID
    """The lesson its strokes go to now."""
    kind: SensorKind
    """See `words.start.sensors.SENSORS`."""
    name: str
    code: str | None
    code_until: datetime
    device_id: str | None
    token_hash: str | None
    asked_at: datetime
    paired_at: datetime | None
    unpaired_at: datetime | None
    heard_at: datetime | None
    """When it last told anything, to a few seconds."""


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptSensorZero:
    """A sensor held against the square reference; holds for strokes made after it."""

    id: UUID
    sensor_id: UUID
    still_deg: Sequence[Any]
    """What it read, as it told it."""
    face_deg: float
    noise_deg: float
    taken_at: datetime


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptStroke:
    """One stroke as a sensor told it. The measures never change; which putt it belongs to can be put right."""

    id: UUID
    sensor_id: UUID
    lesson_id: UUID
    key: str
    """The device's own id of it: told twice it is one."""
    measures: Mapping[str, Any]
    """See `core.start.stroke.MEASURES`."""
    at: datetime
    """By the device's clock."""
    received_at: datetime
    reading_id: UUID | None
    """The putt it was put to by hand; null matches it by time."""
    set_aside: bool
    """It belongs to no putt: a practice stroke, a knock."""
