"""Everything a lesson says that can be opened, by key: the one registry of it."""

from collections.abc import Callable, Mapping
from functools import partial
from typing import Final

from ..claims.difference import Difference, Group
from ..claims.reads import Claim, Compared
from ..findings.case import Case
from ..findings.judged import LessonJudged
from ..findings.said import (
    Cause_,
    Chosen,
    Differs,
    FarOff,
    GroundOff,
    Grows,
    Joined,
    LineFirst,
    Misled,
    MissedSide,
    Nothing,
    Off,
    Open,
    PaceOff,
    PutRight,
    Wide,
)
from ..ledger.entry import Ledger
from ..ledger.factors import Levels
from .claim import Explained, explained
from .finding import FindingExplained, finding_explained
from .finishes import FinishesExplained, finishes_explained
from .growth import GrowthExplained, growth_explained
from .pair import PairExplained, pair_explained

Opened = Explained | FindingExplained | PairExplained | GrowthExplained | FinishesExplained
Opener = Callable[[], Opened]
GROWTH: Final = "growth"
FINISHES: Final = "finishes"


def claim_key(it: Claim) -> str:
    """The quantity and the way it was read: what tells a claim from every other of its lesson."""
    return _key(it.quantity.name, it.levels)


def _key(quantity: str, levels: Levels) -> str:
    return "|".join([quantity, *(f"{factor}={level}" for factor, level in levels)])


def cause_key(cause: str) -> str:
    """A finding, by its cause."""
    return f"cause:{cause}"


def pair_key(compared: Compared, group: Group, difference: Difference) -> str:
    """A quantity of one condition of a comparison, against the first."""
    way = group.name or "|".join(f"{factor}={level}" for factor, level in group.levels)
    return f"pair:{compared.id}:{way}:{difference.quantity.name}"


def chosen_key(it: Chosen) -> str:
    """What opens one thing that is said; empty where nothing was said of anything read."""
    match it:
        case LineFirst() | Cause_() | PutRight():
            return cause_key(it.finding.cause)
        case Differs():
            return pair_key(it.compared, it.group, it.difference)
        case Off() | FarOff():
            return claim_key(it.level)
        case Grows():
            return GROWTH
        case Joined():
            return _key(it.together.quantity, it.together.levels)
        case PaceOff() | GroundOff() | MissedSide():
            return FINISHES
        case Wide() | Nothing():
            return claim_key(it.starts.level)
        case Misled():
            return ""
        case Open():
            return "" if it.starts is None else claim_key(it.starts.level)


def of_block(ledger: Ledger, claims: tuple[Claim, ...], case: Case) -> Mapping[str, Opener]:
    """What is said of a part of a lesson."""
    found: dict[str, Opener] = {claim_key(it): partial(explained, ledger, it, case.weighing) for it in claims}
    if case.pace is not None:
        found[FINISHES] = partial(finishes_explained, case, case.pace)
    return found


def of_lesson(ledger: Ledger, it: LessonJudged) -> Mapping[str, Opener]:
    """Everything a lesson says, by key."""
    by = it.case.weighing
    found = dict(of_block(ledger, it.reads, it.case))
    for name in ledger.quantities:
        level = it.case.level(name)
        if level is not None:
            # Where the starts go with the length there is no one start among what was read, and yet its level is said.
            found.setdefault(claim_key(level), partial(explained, ledger, level, by))
    if it.growth is not None:
        found[GROWTH] = partial(growth_explained, ledger, it.growth, by)
    for one in it.findings.ranked:
        found[cause_key(one.cause)] = partial(finding_explained, it.case, one, it.check_of.get(one.cause))
    told = [(one, group, each) for one in it.compared for group, all_ in one.others for each in all_]
    told += [(one.compared, one.group, one.difference) for one in it.chosen if isinstance(one, Differs)]
    for compared, group, each in told:
        key = pair_key(compared, group, each)
        found[key] = partial(pair_explained, compared.first, group, each, by)
    return found
