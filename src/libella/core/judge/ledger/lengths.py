"""Lengths of putts as they were laid: those that lie close together are one, told as the one most putts had. Nothing is
rounded: fifteen feet stay fifteen feet."""

from collections import Counter
from collections.abc import Iterable
from typing import Final

from .entry import Batch

_APART_M: Final = 0.1
"""Lengths less apart are one: nobody paces off or tapes a second length so near."""


def lengths_of(batches: Iterable[Batch]) -> tuple[float, ...]:
    """The lengths putted at, m, shortest first."""
    putts: Counter[float] = Counter()
    for it in batches:
        if it.putted is not None:
            putts[it.putted.distance_m] += max(1, len(it.events))
    near: list[list[float]] = []
    for length in sorted(putts):
        if near and length - near[-1][0] < _APART_M:
            near[-1].append(length)
        else:
            near.append([length])
    return tuple(max(some, key=lambda it: putts[it]) for some in near)


def length_among(it: Batch, lengths: Iterable[float]) -> float | None:
    """Which of them a batch was putted at; None where it was not putted."""
    if it.putted is None:
        return None
    own = it.putted.distance_m
    return min(lengths, key=lambda one: abs(one - own), default=own)


def length_level(length_m: float) -> str:
    """A length as a level of the factor: two decimals at least, and as many as it has.

    >>> length_level(2.5), length_level(4.572)
    ('2.50', '4.572')
    """
    told = f"{length_m:.4f}".rstrip("0")
    whole, _, part = told.partition(".")
    return f"{whole}.{part:0<2}"
