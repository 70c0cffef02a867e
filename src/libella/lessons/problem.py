"""Why a use case refuses, apart from an entry out of limits (`core.limits.OutOfLimits`)."""


class NotFound(LookupError):
    """There is no such thing in this studio."""

    def __init__(self, what: str) -> None:
        super().__init__(f"There is no such {what} here.")


class Conflict(ValueError):
    """What is kept already says otherwise; `remedy` tells what to do."""

    def __init__(self, message: str, remedy: str) -> None:
        super().__init__(message)
        self.remedy = remedy
