"""Where the putts finished: holed, short or past, to which side, and by how much against the pace planned."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from ...opinions.held import Opinion
from ..ledger.entry import Batch
from .level import Level, Weighing, level_of
from .share import ShareOf, share_of

FEWEST: Final = 3
ZONE_PACES: Final = Opinion("goal_zone", 2.0, "times")
"""The goal zone reaches from the hole to so many times the pace wanted: an opinion."""


@dataclass(frozen=True, slots=True)
class Pace:
    """What became of the putts whose finish was noted.

    Attributes
    ----------
    putts, holed : how many were noted, and how many fell
    short, past : how many stopped short of the hole, and past it
    short_sides, past_sides : of these, how many to the left and to the right
    beside : missed left and right, of which nobody said whether short or past
    nearest_m, farthest_m : of those that stopped on the commoner side, where sizes were noted
    beyond_m : the farthest of them stopped at least so far off, who knows how far; None where every size is known
    goal, of_goal, zone_m : so many of those that can be told ended holed or in the goal zone
    level : how far past the hole they stopped, holed ones apart; None where too few were noted
    planned_m : the pace planned
    """

    putts: int
    holed: int
    short: int
    past: int
    short_sides: tuple[int, int]
    past_sides: tuple[int, int]
    beside: tuple[int, int]
    nearest_m: float | None
    farthest_m: float | None
    beyond_m: float | None
    goal: int
    of_goal: int
    zone_m: float
    planned_m: float
    level: Level | None
    missed: ShareOf | None

    @property
    def missed_all(self) -> int:
        return self.putts - self.holed


def pace_of(batches: Sequence[Batch], by: Weighing) -> Pace | None:
    """Of blocks putted to a hole at one pace; None from fewer than `FEWEST` whose finish was noted."""
    told = [it for it in batches if it.putted and it.counts.get("holed")]
    events = [(it.putted.past_m, event) for it in told if it.putted for event in it.events if "holed" in event.values]
    if len(events) < FEWEST:
        return None
    kinds = [str(event.values.get("stopped", "")) for _, event in events]
    commoner = "short" if kinds.count("short") >= kinds.count("past") else "past"
    sizes: list[float] = []
    beyond: list[float] = []
    goal = of_goal = 0
    sides = {"short": [0, 0], "past": [0, 0], "": [0, 0]}
    for (planned, event), kind in zip(events, kinds, strict=True):
        roll = event.values.get("roll_past")
        side = str(event.values.get("missed_side", ""))
        if kind in sides and side in ("left", "right"):
            sides[kind][side == "right"] += 1
        low, high = (roll.low, roll.high) if roll is not None and not isinstance(roll, str) else (None, None)
        if kind == commoner and low is not None and high is not None:
            if math.isfinite(low) and math.isfinite(high):
                sizes.append(abs(low + high) / 2)
            elif near := min(abs(low), abs(high)):
                beyond.append(near)
        in_goal = _in_goal(kind, low, high, ZONE_PACES() * planned)
        if in_goal is not None:
            goal, of_goal = goal + in_goal, of_goal + 1
    planned = sum(past for past, _ in events) / len(events)
    level = level_of(told, "roll_past", (), by)
    return Pace(
        putts=len(events),
        holed=kinds.count("holed"),
        short=kinds.count("short"),
        past=kinds.count("past"),
        short_sides=(sides["short"][0], sides["short"][1]),
        past_sides=(sides["past"][0], sides["past"][1]),
        beside=(sides[""][0], sides[""][1]),
        nearest_m=min(sizes, default=None),
        farthest_m=max(sizes, default=None),
        beyond_m=max(beyond, default=None),
        goal=goal,
        of_goal=of_goal,
        zone_m=ZONE_PACES() * planned,
        planned_m=planned,
        level=level if level and level.count >= FEWEST else None,
        missed=share_of(told, "missed_side", ()),
    )


def _in_goal(kind: str, low: float | None, high: float | None, zone_m: float) -> bool | None:
    if kind == "holed":
        return True
    if kind == "short":
        return False
    if low is None or high is None:
        return None
    if low >= 0 and high <= zone_m:
        return True
    return False if low > zone_m or high < 0 else None
