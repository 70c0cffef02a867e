"""What goes with what: two things noted of the same putts, set against each other (account 2)."""

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass
from itertools import combinations
from typing import Final, Literal

from ...certainty.verdict import Word, is_likely, sure_of
from ...estimate.shares import Share, goes_with
from ...measure.interval import Interval
from ...measure.side import Side
from ..ledger.entry import Batch, Event, Value
from ..ledger.factors import Levels, moving
from ..ledger.quantity import quantity

Trait = Literal[
    "heel", "toe", "started_left", "started_right", "wide", "unclean", "moved", "touched", "path_right", "path_left",
    "missed_left", "missed_right", "felt_left", "felt_right",
]  # fmt: skip
"""Something a putt is, or is not."""
_REASONED: Final = 0.3
_ANY: Final = 0.05
"""Chances before data that two things go together: with a reason for it, one way; without one, either way."""
_MOST_ASKED: Final = 3
_EACH: Final = 4
_FEWEST: Final = 3
"""Putts of each group; fewer are enough where it is all of one against none of the other."""


@dataclass(frozen=True, slots=True)
class _Read:
    """What tells a trait: the quantity, whether a reading of it shows the trait (None: it can't tell), and what it is a
    part of: of one thing no two parts are set against each other."""

    quantity: str
    part_of: str
    shows: Callable[[Value, float], bool | None]


def _on(side: Side) -> Callable[[Value, float], bool | None]:
    def shows(it: Value, _: float) -> bool | None:
        if not isinstance(it, Interval):
            return None
        return it.low >= 0 if side == "right" else it.high <= 0

    return shows


def _outside(it: Value, half: float) -> bool | None:
    return (it.low >= half or it.high <= -half) if isinstance(it, Interval) else None


def _is(*some: str) -> Callable[[Value, float], bool | None]:
    return lambda it, _: it in some if isinstance(it, str) else None


def _is_not(one: str) -> Callable[[Value, float], bool | None]:
    return lambda it, _: it != one if isinstance(it, str) else None


_TRAITS: Final[dict[Trait, _Read]] = {
    "heel": _Read("strike", "strike", _on("left")),
    "toe": _Read("strike", "strike", _on("right")),
    "started_left": _Read("start", "start", _on("left")),
    "started_right": _Read("start", "start", _on("right")),
    "wide": _Read("start", "start", _outside),
    "unclean": _Read("roll", "roll", _is_not("clean")),
    "moved": _Read("still", "still", _is_not("nothing")),
    "touched": _Read("touch", "touch", _is_not("nothing")),
    "path_right": _Read("path", "path", _on("right")),
    "path_left": _Read("path", "path", _on("left")),
    # A putt misses where it started, so that side and side of the miss are one thing.
    "missed_left": _Read("missed_side", "start", _is("left")),
    "missed_right": _Read("missed_side", "start", _is("right")),
    "felt_left": _Read("felt", "felt", _is("left")),
    "felt_right": _Read("felt", "felt", _is("right")),
}


TRAITS: Final[tuple[Trait, ...]] = tuple(_TRAITS)


def _reasons(toe: int) -> tuple[tuple[Trait, Trait], ...]:
    """What goes with what for a reason, the likeliest first; `toe`: which way a strike towards the toe sends the ball,
    right being 1."""
    heel_side, toe_side = ("left", "right") if toe > 0 else ("right", "left")
    started: dict[str, Trait] = {"left": "started_left", "right": "started_right"}
    missed: dict[str, Trait] = {"left": "missed_left", "right": "missed_right"}
    return (
        ("heel", "unclean"),
        ("toe", "unclean"),
        ("heel", started[heel_side]),
        ("toe", started[toe_side]),
        ("moved", "wide"),
        ("heel", missed[heel_side]),
        ("toe", missed[toe_side]),
        ("moved", "unclean"),
        ("touched", "wide"),
        ("touched", "unclean"),
        ("path_right", "started_right"),
        ("path_left", "started_left"),
    )


@dataclass(frozen=True, slots=True)
class GoesWith:
    """The putts of which one thing is so, and those of which it is not: how many of each had the other.

    given, then : the one and the other
    chance : that they go together
    reasoned : there is a reason for it, and it was asked that way alone
    from_middle : all those of which it is not so were struck from the middle, where it is the strike that is given
    """

    given: Trait
    then: Trait
    with_it: Share
    without: Share
    chance: float
    reasoned: bool
    from_middle: bool = False
    levels: Levels = ()
    """At which the readings of what is given were taken: with its quantity what opens it."""

    @property
    def quantity(self) -> str:
        return _TRAITS[self.given].quantity

    @property
    def word(self) -> Word:
        return sure_of(self.chance)


def goes_together(batches: Sequence[Batch], toe: int) -> tuple[GoesWith, ...]:
    """What goes with what over putts taken alike, the surest first; of one thing that is given with a reason the
    reasoned pairs alone."""
    found: list[GoesWith] = []
    reasons = _reasons(toe)
    asked = [it for given, then in reasons if (it := _set(batches, given, then, reasoned=True)) is not None]
    found += [it for it in asked[:_MOST_ASKED] if is_likely(it.chance)]
    told = {frozenset(it) for it in reasons}
    for given, then in combinations(_TRAITS, 2):
        if frozenset((given, then)) not in told and _TRAITS[given].part_of != _TRAITS[then].part_of:
            one = _set(batches, given, then, reasoned=False)
            if one is not None and is_likely(one.chance):
                found.append(one)
    return tuple(sorted(found, key=lambda it: (not it.reasoned, -it.chance)))


def _set(batches: Sequence[Batch], given: Trait, then: Trait, *, reasoned: bool) -> GoesWith | None:
    """Two traits set against each other; None where too few putts tell both."""
    told = list(_told(batches, given, then))
    inside = [has for is_so, has, _ in told if is_so]
    outside = [has for is_so, has, _ in told if not is_so]
    one, other = Share(sum(inside), len(inside)), Share(sum(outside), len(outside))
    least = min(one.of, other.of)
    all_or_none = (one.times, other.times) in ((one.of, 0), (0, other.of))
    if least < (_FEWEST if all_or_none else _EACH):
        return None
    chance = goes_with(one, other, _REASONED if reasoned else _ANY, oftener=reasoned)
    struck = _TRAITS[given].quantity == "strike"
    middle = struck and all(
        isinstance(at := event.values["strike"], Interval) and 0.0 in at for is_so, _, event in told if not is_so
    )
    levels = moving(batches[0].levels, quantity(_TRAITS[given].quantity).movers)
    return GoesWith(given, then, one, other, chance, reasoned, middle, levels)


def _told(batches: Sequence[Batch], given: Trait, then: Trait) -> Iterator[tuple[bool, bool, Event]]:
    one, other = _TRAITS[given], _TRAITS[then]
    for batch in batches:
        half = batch.putted.window.half_deg if batch.putted else 0.0
        for event in batch.events:
            if one.quantity in event.values and other.quantity in event.values:
                is_so, has = (
                    one.shows(event.values[one.quantity], half),
                    other.shows(event.values[other.quantity], half),
                )
                if is_so is not None and has is not None:
                    yield is_so, has, event
