"""Why the perception map says what it says: its tests, what was believed before, which test it hangs on most."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from .fit import BIAS_SD
from .map import PerceptionMap, Tried, perception_map
from .position import LEVERS, Lever, Position

_MATTERS_FROM: Final = 0.005
"""A test without which a chance stays within half in a hundred moves nothing worth telling."""


@dataclass(frozen=True, slots=True)
class WithoutTest:
    """Without one test, counted from the oldest, what is said would have this chance instead; None: not said at all."""

    test: int
    chance: float | None


@dataclass(frozen=True, slots=True)
class MapExplained:
    """The map, or what one lever does on it, opened.

    Attributes
    ----------
    lever : the lever it is about; None: the map's own sentence
    place : the place the map's own sentence is about: a change, one worth asking again, or as usual
    chance : of what is said, 0 to 1: that the lever turns the line to the side that is likelier, that straight is seen
        truer at the place, that straight is true as the golfer stands; None where nothing is weighed
    usual_sd : degrees within which straight is believed to be true before any test, one standard deviation
    slope_sd : degrees that a unit of the lever is believed to turn it before any test, one standard deviation
    without : tests, the one that moves it most first
    """

    map: PerceptionMap
    lever: Lever | None
    place: Position
    chance: float | None
    usual_sd: float
    slope_sd: float
    without: tuple[WithoutTest, ...]


def map_explained(tried: Sequence[Tried], limit_deg: float, lever: Lever | None) -> MapExplained:
    """Open what a map of these tests, oldest first, says of a lever; None: what it says over all."""
    it = perception_map(tried, limit_deg)
    place = _place(it)
    told = _chance(it, lever, place)
    others: list[WithoutTest] = []
    if told is not None:
        for n, one in enumerate(tried):
            if one.tells:
                rest = perception_map([*tried[:n], *tried[n + 1 :]], limit_deg)
                others.append(WithoutTest(n, _chance(rest, lever, place)))
        others = [one for one in others if one.chance is None or abs(one.chance - told) >= _MATTERS_FROM]
        others.sort(key=lambda one: -abs((one.chance or 0.0) - told))
    return MapExplained(it, lever, place, told, BIAS_SD, LEVERS[lever].slope_sd if lever else 0.0, tuple(others))


def _place(it: PerceptionMap) -> Position:
    if it.is_true_already:
        return {}
    found = it.change or it.ask_again
    return found.position if found else {}


def _chance(it: PerceptionMap, lever: Lever | None, place: Position) -> float | None:
    if lever is not None:
        effect = next(one for one in it.effects if one.lever == lever)
        return max(effect.right, effect.left) if effect.tried else None
    if not any(one.tells and not one.position for one in it.tried):
        return None
    return it.truer(place) if place else it.enough({})
