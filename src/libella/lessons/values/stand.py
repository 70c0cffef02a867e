"""Set-ups as noted."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptSetUp:
    """A set-up as noted; see `core.stand.set_up`. One taken again after stepping away names the first of its run."""

    id: UUID
    lesson_id: UUID
    name: str
    """The set-up's name in its lesson; empty as usual."""
    values: Mapping[str, Any]
    again_of: UUID | None
    taken_at: datetime
    recorded_at: datetime
    voided: bool
