"""Pace as it was noted: short or past, by how much, how often in the goal zone. It stands before any word on line."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Final, Literal

from ..certainty.verdict import Verdict, weigh
from ..estimate.shares import more_often
from ..instruments.aid import Aid
from ..measure.interval import Interval
from ..start.notes import Notes
from ..start.watched import PREFIX, watched_interval

Finish = Literal["short", "holed", "past", "level"]
FEWEST: Final = 3
"""Putts told below which nothing is said of the pace."""
ZONE_PACES: Final = 2.0
"""The goal zone reaches from the hole to so many times the pace wanted past it: an opinion."""


@dataclass(frozen=True, slots=True)
class Pace:
    """What was noted of where putts finished.

    Attributes
    ----------
    putts : those whose finish was told
    holed, short, past : of these; the others finished level with the hole, beside it
    nearest_m, farthest_m : how far from the hole along the line those on the commoner side finished, by the ends of
        their readings (infinite past the last ring), where sizes were noted of at least one; None elsewhere
    left, right : missed on that side, as far as it was told
    goal : holed or in the goal zone, of those whose place tells it; `of_goal` those
    call : whether they come up short or run past oftener than not
    """

    putts: int
    holed: int
    short: int
    past: int
    nearest_m: float | None
    farthest_m: float | None
    left: int
    right: int
    goal: int
    of_goal: int
    zone_m: float
    call: Verdict

    @property
    def commoner(self) -> Literal["short", "past"] | None:
        if self.short == self.past:
            return None
        return "short" if self.short > self.past else "past"


def pace(putts: Sequence[Notes], aids: Sequence[Aid], past_m: float) -> Pace | None:
    """What the notes tell of pace; None from fewer than `FEWEST`.

    Parameters
    ----------
    putts : the notes of every valid putt
    aids : what was laid; rings and a tape at the hole tell sizes
    past_m : the pace wanted, past the hole
    """
    zone = ZONE_PACES * past_m
    meters = {PREFIX + it.about.kind: it for it in aids if it.about.measures == "pace"}
    told: list[tuple[Finish, Interval | None, Notes]] = []
    for it in putts:
        if finish := _finish(it, meters):
            told.append((finish, _size(it, meters), it))
    if len(told) < FEWEST:
        return None
    short, past, holed = (sum(it[0] == what for it in told) for what in ("short", "past", "holed"))
    commoner = "short" if short > past else "past"
    sizes = [size for finish, size, _ in told if finish == commoner and size is not None]
    in_goal = [_in_goal(finish, size, zone) for finish, size, _ in told]
    sure = [it for it in in_goal if it is not None]
    more_past, more_short = more_often(past, short)
    return Pace(
        putts=len(told),
        holed=holed,
        short=short,
        past=past,
        nearest_m=min((min(abs(it.low), abs(it.high)) for it in sizes), default=None),
        farthest_m=max((max(abs(it.low), abs(it.high)) for it in sizes), default=None),
        left=sum(str(it.get("finish", "")).endswith("left") for *_, it in told),
        right=sum(str(it.get("finish", "")).endswith("right") for *_, it in told),
        goal=sum(sure),
        of_goal=len(sure),
        zone_m=zone,
        call=weigh(more_past, more_short, 0.0),
    )


def _finish(notes: Notes, meters: Mapping[str, Aid]) -> Finish | None:
    noted = str(notes.get("finish", ""))
    if noted == "holed":
        return "holed"
    for side in ("short", "past"):
        if noted.startswith(side):
            return side
    size = _size(notes, meters)
    if size is not None and size.high <= 0:
        return "short"
    if size is not None and size.low >= 0:
        return "past"
    return "level" if noted or size is not None else None


def _size(notes: Notes, meters: Mapping[str, Aid]) -> Interval | None:
    """How far past the hole it finished, m, where that was noted."""
    if isinstance(past := notes.get("ran_past_m"), float | int):
        return Interval(float(past), float(past))
    for name, aid in meters.items():
        if name in notes:
            return watched_interval(aid, notes[name])
    return None


def _in_goal(finish: Finish, size: Interval | None, zone_m: float) -> bool | None:
    if finish == "holed":
        return True
    if finish == "short":
        return False
    if size is None:
        return None
    if size.low >= 0 and size.high <= zone_m:
        return True
    return False if size.low > zone_m or size.high < 0 else None
