"""Why a use case refuses, apart from an entry out of limits (`core.measure.limits.OutOfLimits`): codes and facts, which
`words.refusals` puts in words.
"""

from collections.abc import Mapping
from typing import ClassVar


class NotFound(LookupError):
    """There is no such thing in this studio; `what` it would be."""

    def __init__(self, what: str) -> None:
        super().__init__(what)
        self.what = what


class Conflict(ValueError):
    """It does not fit what stands here: what happened (`code`), with what is told of it."""

    name: ClassVar[str] = "conflict"

    def __init__(self, code: str, **facts: str | int | float) -> None:
        super().__init__(f"{self.name}: {code}")
        self.code, self.facts = code, facts


class KeptOtherwise(Conflict):
    """An id that is kept already, saying something else."""

    name = "kept-otherwise"


class Closed(Conflict):
    """What it belongs to takes nothing more: a lesson that ended or is voided, a run that is full."""

    name = "closed"


class Changed(Conflict):
    """What somebody changed was changed elsewhere since they looked: of each such field what it says now, and what they
    saw."""

    name = "changed"
    of_field = "field_changed"

    def __init__(self, fields: Mapping[str, tuple[str, str]]) -> None:
        super().__init__("changed_elsewhere")
        self.fields = fields


class PlanChanged(Changed):
    """The same of a plan, whose sizes the stage shows."""

    of_field = "plan_changed"


class NotYet(Conflict):
    """Something else comes first."""

    name = "not-yet"
