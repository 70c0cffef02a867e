"""A lesson judged whole: findings, what to check next, cautions, why putts missed, the chain."""

from dataclasses import dataclass

from ...measure.window import Window
from .case import Case
from .chain_picture import Chain, chain_of
from .evidence import Evidence
from .finding import Cause
from .guards import Guard, guards
from .misses import Miss, misses
from .next_check import Check, check_for, checks
from .ranked import Findings, judged


@dataclass(frozen=True, slots=True)
class LessonJudged:
    """All of it.

    Attributes
    ----------
    findings : every cause, ranked
    next : what to check next, the worthiest first
    check_of : the check that best tells a cause from its rivals, where one does
    """

    findings: Findings
    next: tuple[Check, ...]
    check_of: dict[Cause, Check]
    guards: tuple[Guard, ...]
    misses: tuple[Miss, ...]
    chain: Chain


def judge_lesson(evidence: Evidence, window: Window) -> LessonJudged:
    """Judge everything that was read; `window`: where the vials' marks stand."""
    case = Case(evidence)
    found = judged(case)
    then = checks(case, found.ranked)
    of: dict[Cause, Check] = {it.cause: one for it in found.ranked if (one := check_for(it, then)) is not None}
    return LessonJudged(found, then, of, guards(case, found), misses(case), chain_of(case, window))
