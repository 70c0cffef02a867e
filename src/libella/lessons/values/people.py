"""Accounts and what they did."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from ...core.people.consent import Asked, By, Why
from ...core.people.role import Role
from ...core.people.screen import View


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


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptConsent:
    """An answer of a golfer, or of a guardian."""

    id: UUID
    golfer_id: UUID
    asks: Asked
    given: bool
    by: By
    said_at: datetime


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptHandover:
    """A lesson, or everything, that was kept under another golfer, and whose it is since."""

    id: UUID
    golfer_id: UUID
    former_id: UUID
    lesson_ids: Sequence[str]
    joined: Mapping[str, Any] | None
    """All that was noted of the other entry of the same golfer; None where one lesson went."""
    came: Mapping[str, int]
    """How many rows of each table came along."""
    made_at: datetime


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptRemoval:
    """A golfer of whom everything was deleted."""

    id: UUID
    golfer_id: UUID
    why: Why
    rows: int
    at: datetime


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptRetentionRun:
    """What became of a look at who was not seen for long."""

    id: UUID
    years: int
    looked_at: int
    removed: int
    at: datetime


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptPasskey:
    """What a device signs with in place of a passphrase."""

    id: UUID
    account_id: UUID
    credential: str
    """By which the device knows it."""
    host: str
    """By which name it was made; it signs for no other."""
    device: str
    made_at: datetime
    used_at: datetime | None


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptScreen:
    """A wall or a golfer's screen."""

    id: UUID
    name: str
    taken_at: datetime | None
    seen_at: datetime | None
    ended_at: datetime | None
    lesson_id: UUID | None
    view: View
