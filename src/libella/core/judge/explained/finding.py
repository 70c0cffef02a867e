"""Why a finding says what it says: what it adds to the start, what taking it away brings, how its word came about."""

from dataclasses import dataclass

from ...certainty.estimate import Estimate
from ..findings.case import Case
from ..findings.finding import Finding
from ..findings.next_check import Check
from .readings import LeftOut, left_out


@dataclass(frozen=True, slots=True)
class FindingExplained:
    """A finding opened; its readings are its facts.

    Attributes
    ----------
    k : the face's share of the start, with which links are put together
    from_deg, under_deg : what a cause must add to the start to matter, and under what there is nothing to mend; None of
        a cause that is not told by what it adds
    line_first : all that was read lies to one side of a line nobody measured a second way
    left_out : starts that do not count for it
    check : what would tell it best from its rivals
    """

    finding: Finding
    k: Estimate
    from_deg: float | None
    under_deg: float | None
    line_first: bool
    proved: bool
    left_out: tuple[LeftOut, ...]
    check: Check | None


def finding_explained(case: Case, finding: Finding, check: Check | None) -> FindingExplained:
    """Open a finding of a case."""
    by_size = finding.adds is not None or finding.cause == "compensation"
    far, near = case.matters_deg if by_size else (None, None)
    return FindingExplained(
        finding,
        case.ledger.k,
        far,
        near,
        case.line_first and by_size,
        case.proved,
        left_out(case.ledger, "start", case.own),
        check,
    )
