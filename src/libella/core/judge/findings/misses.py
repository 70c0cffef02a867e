"""Why each putt missed, as far as it was recorded: read, pace, or the link that took its start to that side."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Final, Literal

from ...measure.side import Side, side_of
from ..holed import place_of
from .case import NOTED_MM, Case, Struck, toe_mm
from .evidence import BlockSeen, PuttSeen

Reason = Literal["read", "pace", "aim", "face", "path", "strike", "start"]
REASONS: Final[tuple[Reason, ...]] = ("read", "pace", "aim", "face", "path", "strike", "start")
_SHORT_OR_PAST: Final = ("short", "past")
_LEADS: Final = 0.4
"""A link is the reason for a miss from this share of its start on, and only where it is the largest: an opinion."""


@dataclass(frozen=True, slots=True)
class Miss:
    """A putt that missed.

    Attributes
    ----------
    nth : of its block, counted from 1
    start_deg : where it started, as read; None where nothing watched it
    reason : "start" where no link of it was read that explains the side
    adds_deg : what that link added to the start, degrees
    off : where it was struck, where that was off the middle; "" where it was not, or nobody noted it
    """

    block_id: str
    putt_id: str
    nth: int
    side: Side
    start_deg: float | None
    reason: Reason
    adds_deg: float | None = None
    off: Literal["heel", "toe", ""] = ""


def misses(case: Case) -> tuple[Miss, ...]:
    """The putts that were noted to miss, and those that surely started outside the window; in order."""
    found: list[Miss] = []
    for block in case.evidence.blocks:
        for nth, putt in enumerate(block.putts, 1):
            if (one := _miss(putt, block, nth, case)) is not None:
                at = toe_mm(putt)
                if at is not None and abs(at) >= NOTED_MM / 2:
                    one = replace(one, off="toe" if at > 0 else "heel")
                found.append(one)
    return tuple(found)


def counted(told: Sequence[Miss]) -> tuple[tuple[Reason, int], ...]:
    """How often each reason, the commonest first."""
    times: dict[Reason, int] = {reason: sum(it.reason == reason for it in told) for reason in REASONS}
    return tuple(sorted(((reason, n) for reason, n in times.items() if n), key=lambda it: -it[1]))


def _miss(putt: PuttSeen, block: BlockSeen, nth: int, case: Case) -> Miss | None:
    finish = str(putt.notes.get("finish", ""))
    place = None if putt.start is None else place_of(putt.start, block.window)
    if finish == "holed" or (not finish and place != "outside"):
        return None
    start = None if putt.start is None else putt.start.anchor
    side: Side = "neither" if putt.start is None else putt.start.side
    if "left" in finish or "right" in finish:
        side = "left" if "left" in finish else "right"
    if place == "inside":
        reason: Reason = "pace" if any(it in finish for it in _SHORT_OR_PAST) else "read"
        return Miss(block.id, putt.id, nth, side, start, reason)
    if place is None:
        reason = "pace" if any(it in finish for it in _SHORT_OR_PAST) else "start"
        return Miss(block.id, putt.id, nth, side, None, reason)
    parts = _parts(putt, case.evidence.k.value, case.struck)
    own = side_of(start or 0.0)
    to_side: dict[Reason, float] = {name: by for name, by in parts.items() if side_of(by) == own}
    if to_side and start:
        link = max(to_side, key=lambda it: abs(to_side[it]))
        if abs(to_side[link]) >= _LEADS * abs(start):
            return Miss(block.id, putt.id, nth, side, start, link, to_side[link])
    return Miss(block.id, putt.id, nth, side, start, "start")


def _parts(putt: PuttSeen, k: float, told: Struck | None) -> dict[Reason, float]:
    """What each link read of this putt added to its start, degrees."""
    found: dict[Reason, float] = {}
    if putt.aim_deg is not None:
        found["aim"] = k * putt.aim_deg
    if putt.impact_deg is not None:
        found["face"] = k * (putt.impact_deg - (putt.aim_deg or 0.0))
    if putt.path_deg is not None:
        found["path"] = (1 - k) * putt.path_deg
    at = toe_mm(putt)
    if at is not None and abs(at) >= NOTED_MM / 2 and told is not None:
        found["strike"] = told.slope.value * at
    return found
