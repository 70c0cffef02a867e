"""What a lesson's change and plan are about: one choice for both."""

from collections.abc import Callable, Sequence

from ..judge.findings.finding import Cause, Finding


def worked_on(ranked: Sequence[Finding], has: Callable[[Cause], object]) -> list[Finding]:
    """The findings named; where none is, those that something read speaks for. Only such that something `has`."""
    own = [it for it in ranked if not it.explained_by and has(it.cause)]
    return [it for it in own if it.is_named] or [it for it in own if it.hinted]
