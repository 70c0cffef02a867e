"""Where the eyes were, and what looked straight."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from ...core.see.method import Eyes, Glasses, Method, Toward, Trace


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptSightTest:
    """A run of answers about what looks straight, asked one way under one condition."""

    id: UUID
    lesson_id: UUID
    method: Method
    """See `core.see.method.METHODS`."""
    condition: str
    trace: Trace
    eyes: Eyes
    glasses: Glasses
    away_m: float
    """From the near end of the rod, or the ball, to where it is read."""
    toward: Toward
    """What is called straight: the line to the hole, or the start line of a breaking putt."""
    position: Mapping[str, Any]
    """Levers moved from the usual set-up: see `core.see.position`."""
    playable: bool
    comfort: int | None
    trust: int | None
    """How it felt there, 1 to 5; null while it was not said."""
    started_at: datetime
    ended_at: datetime | None
    """When its answers were shown; until then they are hidden."""
    station_id: UUID | None
    """The plan it was asked on; null where none was laid."""
    left_at: datetime | None
    """When it was left before it told anything: it counts nowhere from then on."""


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptSightTrial:
    """One answer. It never changes: a slip of the finger voids it, and another is added."""

    id: UUID
    test_id: UUID
    raw: Mapping[str, Any]
    taken_at: datetime
    recorded_at: datetime
    voided: bool
    flags: Sequence[str]
    """What lowers its weight: see `core.measure.flag`."""


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptFirstLook:
    """How a true rod looked from a place; see `core.see.first_look`."""

    id: UUID
    lesson_id: UUID
    raw: Mapping[str, Any]
    taken_at: datetime
    recorded_at: datetime
    voided: bool
    station_id: UUID | None
    """The plan whose line the rod lay on; null where none was laid."""


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptEyeTake:
    """One look at where the eyes are, as it was marked; see `core.see.eyes.EyeTake` and `core.see.side_look`."""

    id: UUID
    lesson_id: UUID
    raw: Mapping[str, Any]
    reread_of: UUID | None
    """The look this one reads again, nothing having moved: it tells how well the mirror is read."""
    station_id: UUID | None
    """The plan it was taken on; null where none was laid."""
    set_up: str
    """How the golfer stood: the set-up's name in this lesson."""
    taken_at: datetime
    recorded_at: datetime
    voided: bool
