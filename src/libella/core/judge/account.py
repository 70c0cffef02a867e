"""The account: what a lesson says, a block of it, or a half of a before and after. It is fitted once from what was
read, and every page reads it; nobody else gathers readings or weighs them."""

import math
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, replace
from functools import cached_property

from ..golfer.hand import Hand
from ..green.putt import Putt
from ..measure.interval import Interval
from .claims.difference import Difference, Group, difference
from .claims.pace import Pace
from .claims.reads import Claim, Compared, compared, reads
from .claims.unusable import NotUsed, not_used
from .findings.case import Case, levels_in
from .findings.judged import LessonJudged, Planned, judge_case
from .ledger.entry import Batch, Ledger
from .ledger.factors import Levels
from .line_block import LineBlock, line_block

_ASIDE = "beside"
"""The name of a comparison that nobody planned."""


@dataclass(frozen=True)
class Account:
    """What was read, and everything that is said of it.

    Attributes
    ----------
    ledger : the readings, and what they are weighed with
    putt : the one its sizes are told at
    planned : the comparisons of it
    asked : the quantities of what the golfer came with, the first of them first
    """

    ledger: Ledger
    putt: Putt
    planned: tuple[Planned, ...] = ()
    asked: tuple[str, ...] = ()

    @cached_property
    def judged(self) -> LessonJudged:
        """All that is said of it, first to last."""
        return judge_case(self.case, self.planned, self.asked)

    @cached_property
    def case(self) -> Case:
        return Case(self.ledger)

    @cached_property
    def reads(self) -> tuple[Claim, ...]:
        """A claim for every quantity and every way in which it was read."""
        return reads(self.ledger, self.case.weighing)

    @property
    def unused(self) -> tuple[NotUsed, ...]:
        """What was read and can't be used."""
        return not_used(self.ledger.batches)

    @property
    def hand(self) -> Hand:
        return self.ledger.hand

    @property
    def pace(self) -> Pace | None:
        return self.case.pace

    @property
    def tells_k(self) -> bool:
        """Its putts tell how far the start follows the face: face and path were read."""
        return {"impact", "path"} <= {*self.ledger.quantities}

    def of_block(self, id: str) -> "Account":
        """The account over one block's readings: what was read at set-downs and of the eyes is the lesson's."""
        own = tuple(it for it in self.ledger.batches if it.id == id)
        return replace(self, ledger=replace(self.ledger, batches=own, earlier=()), planned=())

    def compared(self, id: str) -> Compared | None:
        """What one of its comparisons comes to; None before two of its conditions were read."""
        it = next(one for one in self.planned if one.id == id)
        return compared(self.ledger, it.id, it.of, it.question, self.case.weighing, final=it.final)

    @property
    def first_putts(self) -> Batch | None:
        """Its first block."""
        return next((it for it in self.ledger.batches if it.step == "start"), None)

    @property
    def compared_on_deg(self) -> float:
        """What is not known of the line on which it compared starts, one standard deviation; 0 where it compared
        none."""
        told = (it for it in self.ledger.batches if it.comparison)
        return max((math.hypot(*(one.sd for one in it.sources.get("start", ()))) for it in told), default=0.0)

    def as_block(self, it: Batch) -> LineBlock | None:
        """Where a block started, as one of many over time."""
        return line_block(it, "start", self.case.weighing)


def beside(accounts: Sequence[Account], blocks: Sequence[str], question: str) -> Compared | None:
    """Blocks set beside the first of them, planned so or not, each of its own account: one with putts to come is told
    as so far."""
    own = [
        replace(batch, comparison=_ASIDE, turn=n)
        for n, (account, id) in enumerate(zip(accounts, blocks, strict=True))
        for batch in account.ledger.batches
        if batch.id == id
    ]
    final = len(own) == len(blocks) and all(len(it.events) >= it.planned for it in own)
    first = accounts[0]
    together = replace(first.ledger, batches=tuple(own))
    return compared(together, _ASIDE, "start", question, first.case.weighing, final=final)


def apart(one: Account, other: Account) -> Iterable[tuple[Difference, tuple[Group, Group]]]:
    """What two halves differ in: every quantity read in both, and what it was read in, each in a pair that is alike but
    for what is asked: as usual in both where it was read so, else read the same way in both, else as each tells the
    golfer."""
    for name in one.ledger.quantities:
        if name not in other.ledger.quantities:
            continue
        groups = _group(name, one.ledger, other.ledger), _group(name, other.ledger, one.ledger)
        if not all(it.batches for it in groups):
            continue
        found = difference(*groups, name, other.case.weighing)
        if found is not None:
            yield found, groups


def _group(name: str, own: Ledger, other: Ledger) -> Group:
    mine, theirs = own.groups(name), other.groups(name)
    shared: list[Levels] = [levels for levels in mine if levels in theirs]
    main = own.main(name)
    if main and (levels_in(main, name) in theirs or not shared):
        return Group("", tuple(main), levels_in(main, name))
    if shared:
        best = max(shared, key=lambda it: sum(one.counts[name] for one in mine[it]))
        return Group("", tuple(mine[best]), best)
    return Group("", ())


@dataclass(frozen=True, slots=True)
class Ended:
    """How far past the hole a putt ran; for a holed putt, how far it could have run at most."""

    distance_m: float
    past: Interval


def ended(batches: Iterable[Batch]) -> list[Ended]:
    """The putts of blocks in which it was noted how far past the hole they ended. Without those that were holed the
    finishes would be those of misses alone."""
    found: list[Ended] = []
    for it in batches:
        if it.putted is None or not it.putted.hole or not it.counts.get("roll_past"):
            continue
        for event in it.events:
            past = event.values.get("roll_past") or event.implied.get("roll_past")
            if isinstance(past, Interval):
                found.append(Ended(it.putted.distance_m, past))
    return found


def reads_off(batches: Iterable[Batch]) -> list[float]:
    """How far the reads of blocks lay off, degrees."""
    return [it.putted.read_off.value for it in batches if it.putted and it.putted.read_off is not None]
