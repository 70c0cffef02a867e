"""What was read and can't be used: how many, and why. No claim stands on it (account 1)."""

from collections.abc import Sequence
from dataclasses import dataclass

from ..ledger.entry import Batch, Unusable
from ..ledger.place import Place
from ..ledger.quantity import Quantity, names, quantity


@dataclass(frozen=True, slots=True)
class NotUsed:
    """Readings of a quantity that can't be used.

    why : as it is of the most of them, where they were read in several ways
    """

    quantity: Quantity
    count: int
    why: Unusable
    at: Place


def not_used(batches: Sequence[Batch]) -> tuple[NotUsed, ...]:
    """Of every quantity, in their usual order."""
    found: list[NotUsed] = []
    for name in names():
        told = [(it.unusable[name], it.place) for it in batches if name in it.unusable]
        if told:
            most, at = max(told, key=lambda one: one[0].count)
            found.append(NotUsed(quantity(name), sum(it.count for it, _ in told), most, at))
    return tuple(found)
