"""Training the eye: how far it has come, and whether it ends (practice 2)."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

from scipy.special import ndtr

from ..certainty.estimate import Estimate
from ..certainty.verdict import is_likely

Course = Literal["to_begin", "goes_on", "reached", "given_up"]
WITHIN_DEG: Final = 0.5
WEEKS: Final = 4
_TWICE: Final = 2


@dataclass(frozen=True, slots=True)
class Asked:
    """What looked straight, degrees, right positive, on a day counted from any first one."""

    day: float
    angle: Estimate


@dataclass(frozen=True, slots=True)
class Trained:
    """How far the eye has come.

    first, last : what looked straight; None where it was never asked
    asked : so many times; better : it is likely nearer to true than at first
    """

    course: Course
    first: Estimate | None
    last: Estimate | None
    asked: int
    better: bool


def trained(asked: Sequence[Asked]) -> Trained:
    """`asked`: oldest first. Reached where the last two are likely within half a degree each; given up where four weeks
    brought nothing likely better."""
    if not asked:
        return Trained("to_begin", None, None, 0, better=False)
    first, last = asked[0], asked[-1]
    better = len(asked) > 1 and is_likely(_nearer(first.angle, last.angle))
    told = [is_likely(_within(it.angle)) for it in asked[-_TWICE:]]
    course: Course = "goes_on"
    if len(told) == _TWICE and all(told):
        course = "reached"
    elif last.day - first.day >= 7 * WEEKS and not better:
        course = "given_up"
    return Trained(course, first.angle, last.angle, len(asked), better)


def _within(it: Estimate) -> float:
    sd = max(it.sd, 1e-6)
    return _chance((WITHIN_DEG - it.value) / sd) - _chance((-WITHIN_DEG - it.value) / sd)


def _nearer(first: Estimate, last: Estimate) -> float:
    """The chance that the last lies nearer to true than the first."""
    side = 1.0 if first.value >= 0 else -1.0
    by = side * (first.value - last.value)
    # Beyond true on the other side by more than the first was is no nearer.
    over = side * (first.value + last.value)
    sd = max((first.sd**2 + last.sd**2) ** 0.5, 1e-6)
    return _chance(by / sd) * _chance(over / sd)


def _chance(of: float) -> float:
    return float(ndtr(of))
