"""Golfers."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from ...core.change.complaint import Miss
from ...core.golfer.hand import Hand
from ...core.golfer.level import Level
from ...core.golfer.limits import Glasses, Limit
from ...core.golfer.wording import Chosen
from ...core.see.eyes import SightingEye


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptGolfer:
    """A golfer."""

    id: UUID
    name: str
    hand: Hand
    level: Level
    notes: str
    schools: Mapping[str, Any]
    """The schools this golfer holds to, by disagreement: see `core.schools.held`. They go before the coach's."""
    eye_zone_mm: Sequence[Any] | None
    """Own edges of where the eyes are wanted, mm inside; null takes the school's."""
    sighting_eye: SightingEye
    """left or right; empty while it is not known."""
    usual_lengths: Sequence[Any] | None
    """Lengths usually putted, [metres, weight] each; null takes what is usual for anybody."""
    step_m: float | None
    """The golfer's own step, metres; null while it was not noted."""
    usual_misses: Sequence[Miss]
    """Where putts usually miss."""
    glasses: Glasses
    """Worn while putting; empty while it is not known."""
    limits: Sequence[Limit]
    """What limits posture."""
    wording: Chosen
    """How things are put to this golfer; empty: by the level."""
    invented: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptChange:
    """A day on which something of a golfer was changed; or the one change of a lesson."""

    id: UUID
    golfer_id: UUID
    words: str
    made_at: datetime
    lesson_id: UUID | None
    """The lesson it was chosen in; null where it was only noted."""
    chosen: Mapping[str, Any] | None
    """See `core.change.proposal.Chosen`."""
    dropped_at: datetime | None
    """When the coach dropped it."""
    kit: Mapping[str, Any] | None
    """What was in hand from then on, see `core.golfer.kit.Kit`; null where something else was changed."""
    voided: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptGolfRound:
    """A round on the course."""

    id: UUID
    golfer_id: UUID
    holes: Sequence[Any]
    """See `core.golfer.golf_round.Hole`."""
    played_at: datetime
    voided: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptLineJoin:
    """Two of a golfer's lines that were joined, by their keys."""

    id: UUID
    golfer_id: UUID
    first: str
    second: str
    made_at: datetime
    voided: bool
