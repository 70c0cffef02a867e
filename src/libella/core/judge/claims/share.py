"""How often something was so: the claim about what was noted in words that have no order."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from scipy.special import betaincinv

from ...certainty.estimate import INTERVAL, Estimate
from ...certainty.verdict import Verdict, weigh
from ...estimate.shares import more_often
from ...start.notes import parts_of
from ..ledger.entry import Batch
from ..ledger.factors import Levels
from ..ledger.place import Place
from ..ledger.quantity import Quantity, quantity

_SIDES: Final = {"missed_side": ("left", "right")}
"""Shares whose two categories are set against each other."""
_FEWEST: Final = 5
"""Under so many a commoner side is not named: three of three is a count, no tendency."""


@dataclass(frozen=True, slots=True)
class ShareOf:
    """What a group's notes of a quantity come to.

    Attributes
    ----------
    counts : each category with how often, the commonest first
    of : how many were noted
    share : of the category wanted, else of the commonest: in a hundred, with its 90 % interval
    told : the category that `share` is of
    call : of two that are set against each other, whether one is the commoner; left is the first
    """

    quantity: Quantity
    levels: Levels
    counts: tuple[tuple[str, int], ...]
    of: int
    told: str
    share: Estimate
    call: Verdict | None
    at: Place
    batches: tuple[str, ...]

    def times(self, category: str) -> int:
        return dict(self.counts).get(category, 0)


def share_of(batches: Sequence[Batch], name: str, levels: Levels) -> ShareOf | None:
    """The share of a group's notes of a quantity; None where nothing of it was noted."""
    told = [it for it in batches if it.counts.get(name)]
    weighed = [one for it in told for one in it.noted_with_weight(name)]
    noted = [one for one, _ in weighed]
    if not noted:
        return None

    def weight(category: str) -> float:
        return sum(part for one, part in weighed if category in parts_of(one))

    about = quantity(name)
    # What was several at once counts for each of them: of how many putts it is stays the number of putts.
    each = [part for one in noted for part in parts_of(one)]
    counts = sorted(((one, each.count(one)) for one in dict.fromkeys(each)), key=lambda it: -it[1])
    wanted = about.good or counts[0][0]
    call = None
    if name in _SIDES and len(noted) >= _FEWEST:
        first, second = _SIDES[name]
        more_first, more_second = more_often(weight(first), weight(second))
        call = weigh(more_second, more_first, 0.0)
    return ShareOf(
        about,
        levels,
        tuple(counts),
        len(noted),
        wanted,
        share_estimate(weight(wanted), sum(part for _, part in weighed)),
        call,
        told[0].place,
        tuple(it.id for it in told),
    )


def share_estimate(times: float, of: float) -> Estimate:
    """A share in a hundred, with a uniform prior: its median and 90 % interval."""
    low, middle, high = (
        float(100 * betaincinv(times + 1, of - times + 1, it)) for it in (INTERVAL[0], 0.5, INTERVAL[1])
    )
    return Estimate(middle, low, high)
