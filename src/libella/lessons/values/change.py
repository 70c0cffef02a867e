"""Practice: drills of the coach's own, plans, runs."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptDrill:
    """A drill of the coach's own; voided: retired."""

    id: UUID
    told: Mapping[str, Any]
    """See `core.change.drill.Drill`."""
    copied_from: str
    """The drill it was copied from; empty for one made anew."""
    voided: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptPracticePlan:
    """A plan of the weeks after a lesson, as it was made."""

    id: UUID
    golfer_id: UUID
    lesson_id: UUID
    given: Mapping[str, Any]
    """What it was made for: see `core.change.session.Given`."""
    made: Mapping[str, Any]
    """Its sessions and what could not be met: see `core.change.plan.Plan`."""
    starts_at: datetime
    made_at: datetime
    voided: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptDrillRun:
    """A run of a drill."""

    id: UUID
    golfer_id: UUID
    drill: str
    """The code of a drill, or the id of one of the coach's own."""
    plan_id: UUID | None
    number: int | None
    """Of a plan: which of its sessions, from 1."""
    bare: bool
    told: Sequence[Any]
    """Event by event: 1 as wanted, 0 not; or an angle's ends, degrees."""
    done_at: datetime
    voided: bool
