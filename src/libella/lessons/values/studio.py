"""The studio: every row belongs to one."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptStudio:
    """StudioRow"""

    id: UUID
    name: str
    place: str
    coach: str
    invented: bool
    """True when the studio holds the demo scenario; shown wherever its name is."""
    bag: Mapping[str, Any] | None
    """Parts the coach owns and how many of each (see `core.set.kit`); null until told."""
    spreads_deg: Mapping[str, Any]
    """Start-line spread expected by golfer's level, where the coach has an opinion of his own."""
    set_up_wanted: Sequence[str] | None
    """What the coach notes of a set-up (see `core.stand.set_up.ENTRIES`); null until told."""
    schools: Mapping[str, Any]
    """The schools the coach holds to, by disagreement: see `core.schools.held`."""
    kept_years: int | None
    """After so many years without a sign of them golfers are deleted; null: never by themselves."""
    kept_years_since: datetime | None
    """When that rule was made; null where there is none."""
    pauses: Mapping[str, Any]
    """When to break off, where the coach has an opinion of his own: see `core.start.pauses.Pauses`."""
