"""Set-downs."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from ...core.aim.links import Cue, Link


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptAimSeries:
    """A run of set-downs: one link of the aim, read one way under one cue."""

    id: UUID
    lesson_id: UUID
    link: Link
    """See `core.aim.links.LINKS`."""
    cue: Cue
    aided: bool
    """An aid stood in the golfer's view."""
    kind: str | None
    """The instrument the face was read with; null where an angle was read."""
    sizes: Mapping[str, Any]
    planned: int
    started_at: datetime
    station_id: UUID | None
    """The plan it was read on; null where none was laid."""
    set_up: str
    """How the golfer stood: the set-up's name in this lesson; empty as usual."""
    factors: Mapping[str, str]
    comparison_id: UUID | None
    turn: int | None
    """Which condition of its comparison it is, from 0."""


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptSetDown:
    """One set-down as read. It never changes: a slip voids it, and another is added."""

    id: UUID
    aim_series_id: UUID
    raw: Mapping[str, Any]
    taken_at: datetime
    recorded_at: datetime
    voided: bool
    flags: Sequence[str]
    """What lowers its weight: see `core.measure.flag`."""
