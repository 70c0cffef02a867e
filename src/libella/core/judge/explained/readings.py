"""The readings that something said rests on, and those of the same that it does not rest on."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from ..ledger.entry import Batch, Ledger, Value
from ..ledger.factors import Levels, moving
from ..ledger.place import Place
from ..ledger.quantity import quantity


@dataclass(frozen=True, slots=True)
class Rests:
    """A reading it rests on: where it was tapped, what it stands for, as much of a whole one as it counts."""

    at: Place
    id: str
    value: Value
    weight: float
    lesson: str = ""
    """In which lesson."""


@dataclass(frozen=True, slots=True)
class LeftOut:
    """Readings of the same that it does not rest on: why, how many, and in which way they were read."""

    why: Literal["voided", "other_way"]
    count: int
    levels: Levels = ()


def rests_on(batches: Sequence[Batch], name: str) -> tuple[Rests, ...]:
    """Every reading of a quantity in some batches."""
    return tuple(
        Rests(it.place, event.id, event.values[name], event.weight, it.lesson)
        for it in batches
        for event in it.events
        if name in event.values
    )


def left_out(ledger: Ledger, name: str, told: Sequence[Batch]) -> tuple[LeftOut, ...]:
    """What was read of a quantity and does not count among these batches."""
    voided, counted = sum(it.voided for it in told), {it.id for it in told}
    found = [LeftOut("voided", voided)] if voided else []
    others: dict[Levels, int] = {}
    for it in ledger.of(name):
        if it.id not in counted:
            levels = moving(it.levels, quantity(name).movers)
            others[levels] = others.get(levels, 0) + it.counts[name]
    return (*found, *(LeftOut("other_way", count, levels) for levels, count in others.items()))
