"""How a reading was taken: the factors that may move what is read. As usual is the absence of a difference, never a
name; nothing that was typed decides what counts."""

from collections.abc import Iterable, Mapping
from typing import Final, Literal, get_args

from ...measure.limits import OutOfLimits

Factor = Literal["set_up", "cue", "routine", "kit", "trial", "guide", "hole_side", "break", "length", "unsorted"]
FACTORS: Final[tuple[Factor, ...]] = get_args(Factor)
CHOSEN: Final[tuple[Factor, ...]] = ("set_up", "cue", "routine", "kit", "trial", "hole_side")
"""What a coach says of a block. `unsorted` is what was typed before factors were known, until somebody says what it
meant."""
LAID: Final = frozenset[Factor](("guide", "break", "length"))
"""Told by what is laid; `length`, in metres, where the error goes with it."""
LONGEST: Final = 80

Levels = tuple[tuple[Factor, str], ...]
"""The factors that differ from what is usual for this golfer, each with its level; in the order of `FACTORS`."""
AS_USUAL: Final[Levels] = ()
GUIDED: Final = "in_view"
"""The level of `guide` where a rig or an aid stands in the golfer's view."""


def is_guided(levels: Levels) -> bool:
    """Whether something in view guided."""
    return ("guide", GUIDED) in levels


def levels_of(told: Mapping[str, str]) -> Levels:
    """Factors as told, without those that are as usual; `OutOfLimits` for one that is none, or too long a level."""
    for name, level in told.items():
        if name not in FACTORS:
            raise OutOfLimits(f"factors.{name}", "no_factor", named=name, known=CHOSEN)
        if len(level) > LONGEST:
            raise OutOfLimits(f"factors.{name}", "level_too_long", most=LONGEST)
    return tuple((name, told[name].strip()) for name in FACTORS if told.get(name, "").strip())


def joined(levels: Levels, more: Iterable[tuple[Factor, str]]) -> Levels:
    """The same with more factors; what is said later holds."""
    told = dict(levels) | dict(more)
    return tuple((name, told[name]) for name in FACTORS if told.get(name))


def moving(levels: Levels, movers: frozenset[Factor]) -> Levels:
    """Only those that may move a quantity: the others pool freely."""
    return tuple((name, level) for name, level in levels if name in movers)
