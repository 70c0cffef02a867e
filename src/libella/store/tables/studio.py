"""The studio: every row belongs to one."""

from datetime import datetime
from typing import Any
from uuid import UUID

from sqlalchemy import (
    text,
)
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import Mapped, mapped_column

from .base import Stored


class StudioRow(Stored):
    __tablename__ = "studio"

    id: Mapped[UUID] = mapped_column(primary_key=True)
    name: Mapped[str]
    place: Mapped[str]
    coach: Mapped[str]
    invented: Mapped[bool] = mapped_column(server_default=text("false"))
    """True when the studio holds the demo scenario; shown wherever its name is."""
    bag: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    """Parts the coach owns and how many of each (see `core.set.kit`); null until told."""
    spreads_deg: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    """Start-line spread expected by golfer's level, where the coach has an opinion of his own."""
    set_up_wanted: Mapped[list[str] | None] = mapped_column(JSONB(none_as_null=True))
    """What the coach notes of a set-up (see `core.stand.set_up.ENTRIES`); null until told."""
    schools: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    """The schools the coach holds to, by disagreement: see `core.schools.held`."""
    kept_years: Mapped[int | None]
    """After so many years without a sign of them golfers are deleted; null: never by themselves."""
    kept_years_since: Mapped[datetime | None]
    """When that rule was made; null where there is none."""
    pauses: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    """When to break off, where the coach has an opinion of his own: see `core.start.pauses.Pauses`."""
