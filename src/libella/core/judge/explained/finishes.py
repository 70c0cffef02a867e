"""Why what became of the putts is said as it is: every finish noted, and the pace weighed against the one planned."""

from dataclasses import dataclass

from ..claims.pace import Pace
from ..findings.case import Case
from .claim import Explained, explained
from .readings import Rests, rests_on


@dataclass(frozen=True, slots=True)
class FinishesExplained:
    """Where the putts finished, opened; `level`: how far past they stopped, where sizes were noted."""

    pace: Pace
    rests: tuple[Rests, ...]
    level: Explained | None


def finishes_explained(case: Case, it: Pace) -> FinishesExplained:
    """Open where the putts finished."""
    told = [one for one in case.putted if one.counts.get("holed")]
    level = None if it.level is None else explained(case.ledger, it.level, case.weighing)
    return FinishesExplained(it, rests_on(told, "holed"), level)
