"""Accounts and what they did."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from ...core.people.role import Role


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptAccount:
    """Somebody who may sign in."""

    id: UUID
    name: str
    role: Role
    golfer_id: UUID | None
    passphrase: str
    """Its hash; empty until one was chosen."""
    preferences: Mapping[str, Any]
    locked: bool
    made_at: datetime


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptSignIn:
    """A browser that is signed in."""

    id: UUID
    account_id: UUID
    device: str
    begun_at: datetime
    seen_at: datetime
    ended_at: datetime | None


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptDeed:
    """What somebody kept, changed or deleted."""

    id: UUID
    account_id: UUID
    what: str
    of_table: str
    row_id: UUID
    at: datetime
