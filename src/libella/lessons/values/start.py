"""Blocks of putts, their readings, and comparisons putted in turns."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from ...core.see.misled import Looker
from ...core.start.path import PathName
from ...core.start.turns import Of, Order, Question
from .set import Laid


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptBlock(Laid):
    """A block of putts."""

    id: UUID
    lesson_id: UUID
    station_id: UUID
    condition: str
    guided: bool
    planned: int
    first_planned: int
    """The plan the block began with; `planned` is larger when it was extended."""
    asks: Sequence[str]
    """What else is noted of every putt: see `core.start.notes`."""
    started_at: datetime
    hole: bool
    """False: putted with no hole there, to an aim point only."""
    path_model: PathName
    """The path as declared: see `core.start.path.PATHS`."""
    ball_ahead_m: float
    k: float | None
    """Share of the face in the start as the coach sets it; null fits it."""
    comparison_id: UUID | None
    turn: int | None
    """Which condition of its comparison it is, from 0."""
    disturbances: Sequence[str]
    """What disturbed it: see `core.judge.disturbed`."""
    comfort: int | None
    trust: int | None
    """How it felt, 1 to 5; None while it was not said."""
    looker: Looker
    """Who told sides against a string over the line; empty while nobody said."""
    factors: Mapping[str, str]
    """In what it was not as usual: see `core.judge.ledger.factors`."""
    drill: str
    """The drill it is a run of, by its code; empty for none."""
    judged_again_at: datetime | None
    """When its readings were judged again, with a proof given after them."""

    @property
    def felt(self) -> tuple[str, int | None, int | None]:
        """How it was putted, no name as usual, with comfort and trust."""
        return self.condition if self.factors else "", self.comfort, self.trust


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptReading:
    """One observation. The raw reading never changes: a correction voids it and adds another."""

    id: UUID
    block_id: UUID
    raw: Mapping[str, Any]
    low_deg: float | None
    """Limits of the start error; None where open."""
    high_deg: float | None
    notes: Mapping[str, Any]
    taken_at: datetime
    recorded_at: datetime
    voided: bool
    void_reason: str | None
    flags: Sequence[str]
    """What lowers its weight: see `core.measure.flag`."""


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptComparison:
    """Conditions to be compared, in turns: each is a block of putts, or a series of set-downs."""

    id: UUID
    lesson_id: UUID
    of: Of
    """What is compared: blocks of putts, or series of set-downs."""
    question: Question
    """See `core.judge.comparing.Question`."""
    order: Order
    """See `core.start.turns.ORDERS`."""
    each: int
    run: int
    seed: int
    started_at: datetime
    entry: Mapping[str, Any]
    """As it was planned, to know it when it is said again."""
    change_id: UUID | None
    """The change it retests."""
