"""Stations: a putt with its rig, laid in a lesson or saved under a name."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from ...core.green.capture import Capture
from ...core.green.putt import Target
from ...core.see.second_reader import Thing


@dataclass(frozen=True, slots=True, kw_only=True)
class Laid:
    """What is laid, in the putt it is laid for."""

    distance_m: float
    past_m: float
    green_speed_ft: float
    capture: Capture
    rig_kind: str
    rig_sizes_m: Mapping[str, Any]
    falls_forward_percent: float
    falls_right_percent: float
    proof: Mapping[str, Any]
    falls_doubt_percent: float
    read: Mapping[str, Any] | None
    target: Target
    across_m: float
    backstroke_m: float | None
    aids: Sequence[Any]
    golfer_says: Mapping[str, Any]


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptStation(Laid):
    """StationRow"""

    id: UUID
    lesson_id: UUID
    laid_at: datetime
    replaces_id: UUID | None
    """The plan it took the place of in its lesson."""


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptSavedStation(Laid):
    """A station kept under a name, to be laid again."""

    id: UUID
    name: str
    kept_at: datetime
    put_away_at: datetime | None
    """When it was taken out of the list; it can be brought back."""


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptCorrection:
    """Sizes that were put right after something was read with them: as they stood, and as they stand."""

    id: UUID
    lesson_id: UUID
    station_id: UUID | None
    aim_series_id: UUID | None
    eye_take_id: UUID | None
    before: Mapping[str, Any]
    after: Mapping[str, Any]
    why: str
    made_at: datetime


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptToolCheck:
    """An instrument checked by itself."""

    id: UUID
    lesson_id: UUID
    kind: str
    sizes: Mapping[str, Any]
    """The instrument's own dimensions while it was checked."""
    raw: Mapping[str, Any]
    taken_at: datetime
    recorded_at: datetime
    voided: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptSecondReading:
    """What two readers read of the same."""

    id: UUID
    thing: Thing
    first_by: str
    first: Sequence[Any]
    taken_at: datetime
    second_by: str
    second: Sequence[Any] | None
    answered_at: datetime | None
    voided: bool
