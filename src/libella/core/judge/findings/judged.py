"""A lesson judged whole: everything read as claims, findings, comparisons, what to check next, cautions, why putts
missed; and of all that, what is said first."""

from collections.abc import Sequence
from dataclasses import dataclass

from ..claims.growth import Growth
from ..claims.level import Level
from ..claims.pace import Pace
from ..claims.reads import Claim, Compared, compared, reads
from ..claims.together import GoesWith, goes_together
from ..ledger.entry import Ledger
from .asked import asked_first
from .case import Case
from .chain_picture import Chain, chain_of
from .chosen import chosen
from .finding import Cause
from .guards import Guard, guards
from .misses import Miss, misses
from .next_check import Check, check_for, checks
from .ranked import Findings, judged
from .said import Chosen


@dataclass(frozen=True, slots=True)
class Planned:
    """A comparison as it was planned: its id, what is compared, the question asked first, whether all of it is in."""

    id: str
    of: str
    question: str
    final: bool


@dataclass(frozen=True, slots=True)
class LessonJudged:
    """All of it.

    Attributes
    ----------
    chosen : what is said, first to last; the first is the headline of every page
    findings : every cause, ranked
    reads : a claim for every quantity and every way in which it was read
    compared : the comparisons planned
    next : what to check next, the worthiest first
    together : what goes with what, of the putts as usual, the surest first
    check_of : the check that best tells a cause from its rivals, where one does
    case : what it was all judged from, for its pictures
    """

    chosen: tuple[Chosen, ...]
    findings: Findings
    reads: tuple[Claim, ...]
    compared: tuple[Compared, ...]
    growth: Growth | None
    pace: Pace | None
    next: tuple[Check, ...]
    check_of: dict[Cause, Check]
    guards: tuple[Guard, ...]
    misses: tuple[Miss, ...]
    together: tuple[GoesWith, ...]
    chain: Chain
    case: Case


def judge_lesson(ledger: Ledger, planned: Sequence[Planned] = (), asked: Sequence[str] = ()) -> LessonJudged:
    """Judge everything that was read; `asked`: the quantities of what the golfer came with."""
    return judge_case(Case(ledger), planned, asked)


def judge_case(case: Case, planned: Sequence[Planned], asked: Sequence[str]) -> LessonJudged:
    """The same of a case that stands already."""
    ledger = case.ledger
    found = judged(case)
    then = checks(case, found.ranked)
    of: dict[Cause, Check] = {it.cause: one for it in found.ranked if (one := check_for(it, then)) is not None}
    every = reads(ledger, case.weighing, grows=found.grows, level=case.level_of)
    levels = [it for it in every if isinstance(it, Level)]
    made = (compared(ledger, it.id, it.of, it.question, case.weighing, final=it.final) for it in planned)
    told = tuple(it for it in made if it is not None)
    missed = misses(case)
    joined = goes_together(case.putted, ledger.toe_sign)
    return LessonJudged(
        chosen=asked_first(chosen(case, found, told, missed, every, joined), asked),
        findings=found,
        reads=every,
        compared=told,
        growth=case.growth,
        pace=case.pace,
        next=then,
        check_of=of,
        guards=guards(case, found, levels),
        misses=missed,
        together=joined,
        chain=chain_of(case, grows=found.grows),
        case=case,
    )
