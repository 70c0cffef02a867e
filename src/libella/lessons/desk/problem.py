"""Why a use case refuses, apart from an entry out of limits (`core.limits.OutOfLimits`)."""

from typing import ClassVar


class NotFound(LookupError):
    """There is no such thing in this studio."""

    def __init__(self, what: str) -> None:
        super().__init__(f"There is no such {what} here.")


class Conflict(ValueError):
    """It does not fit what stands here: what happened, and what to do (`remedy`)."""

    name: ClassVar[str] = "conflict"
    title: ClassVar[str] = "It does not fit what stands here"

    def __init__(self, message: str, remedy: str) -> None:
        super().__init__(message)
        self.remedy = remedy


class KeptOtherwise(Conflict):
    """An id that is kept already, saying something else."""

    name = "kept-otherwise"
    title = "Already kept otherwise"


class Closed(Conflict):
    """What it belongs to takes nothing more: a lesson that ended or is voided, a run that is full."""

    name = "closed"
    title = "Nothing more is taken here"


class NotYet(Conflict):
    """Something else comes first."""

    name = "not-yet"
    title = "Something comes first"
