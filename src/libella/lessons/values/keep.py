"""Cards and the checks against them; files of putts on their way in."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptSetUpCard:
    """A set-up kept as what the golfer goes by from now on, as it was when it was kept."""

    id: UUID
    golfer_id: UUID
    lesson_id: UUID
    note: str
    raw: Mapping[str, Any]
    """What it says: see `lessons.keep.cards.Card`."""
    kept_at: datetime
    put_away_at: datetime | None


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptQuickCheck:
    """A check against a card; what was looked at is added to it step by step."""

    id: UUID
    lesson_id: UUID
    card_id: UUID
    raw: Mapping[str, Any]
    taken_at: datetime
    recorded_at: datetime


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptFileImport:
    """A file of putts on its way in: as it was given, how its columns are read, and how far it is."""

    id: UUID
    golfer_id: UUID
    name: str
    digest: str
    """Of its content, to know it when it is given again."""
    mapping: Mapping[str, Any] | None
    """How its columns are read: see `exchange.columns.Mapping`; null until told."""
    state: str
    """given, taken or undone."""
    putts: int
    skipped: int
    given_at: datetime
    taken_at: datetime | None


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptSetUpPhoto:
    """A photograph of how the golfer stands; the picture itself is asked for alone."""

    id: UUID
    golfer_id: UUID
    lesson_id: UUID
    seen_from: str
    taken_at: datetime
    voided: bool
