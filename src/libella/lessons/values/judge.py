"""What coaches said of findings."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime
from typing import Any
from uuid import UUID

from ...core.judge.findings.answer import Answer
from ...core.judge.findings.finding import Cause


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptFindingAnswer:
    """What a coach said of a finding."""

    id: UUID
    lesson_id: UUID
    cause: Cause
    answer: Answer
    words: str
    told: Mapping[str, Any]
    """What the tool said of it then: see `core.judge.findings.answer.ToldThen`."""
    answered_at: datetime
    voided: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class KeptOpinion:
    """An opinion as it was held once."""

    id: UUID
    opinion: str
    level: str
    golfer_id: UUID | None
    numbers: Mapping[str, float]
    kept_at: datetime
