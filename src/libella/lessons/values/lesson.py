"""Lessons."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from ...core.golfer.hand import Hand
from ...core.measure.units import Units
from ...core.set.floor import Surface


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptLesson:
    """A lesson."""

    id: UUID
    golfer_id: UUID
    hand: Hand
    """The side the golfer putted from then."""
    place: str
    surface: Surface
    green_speed_ft: float
    conditions: str
    units: Units
    """Units of lengths on its papers."""
    started_at: datetime
    ended_at: datetime | None
    voided_at: datetime | None
    void_reason: str | None
    laser_read_at: datetime | None
    """When the laser's cautions were read in this lesson."""
    kit_checked: Sequence[str]
    """Items of the kit check that are ticked."""
    invented: bool
    moved_at: datetime | None
    """When the coach last said that the feet moved."""
    rested_at: datetime | None
    """When the coach last said that the golfer straightened up."""
    file_import_id: UUID | None
    """The file its putts came from."""
    plan_id: UUID | None
    """The station that is the plan now; null before one was laid, or where none was ever picked."""
    complaint: Mapping[str, Any] | None
    """What the golfer came with: see `core.change.complaint.Complaint`; null where nobody asked."""
    sheet_note: str
    """What the coach writes on the sheet the golfer takes home."""
    released_at: datetime | None
    """Since when its golfer sees its sheet; null: not released."""
