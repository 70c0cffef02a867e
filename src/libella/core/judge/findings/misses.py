"""Why each putt missed, booked only to what was read of that putt (handbook 6); the side on which it missed first."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

from ...estimate.kind import open_to
from ...measure.interval import Interval
from ...measure.side import Side, side_of
from ...measure.window import Window
from ...opinions.held import Opinion, remembered
from ..claims.pace import ZONE_PACES
from ..ledger.entry import Batch, Event
from ..ledger.place import Place
from .case import Case, Struck, strike_at

Reason = Literal[
    "aim", "face", "path", "strike", "start", "pace", "short", "read", "ground", "unpaced", "coarse", "unread"
]  # fmt: skip
REASONS: Final[tuple[Reason, ...]] = (
    "aim", "face", "path", "strike", "start", "pace", "short", "read", "ground", "unpaced", "coarse", "unread"
)  # fmt: skip
Where = Literal["inside", "outside", "untold"]
_LEADS: Final = Opinion("miss_reason", 0.4, "share")
"""A link is the reason for a miss from this share of its start on, and only where it is the largest: an opinion."""
_OFF_MM: Final = 6.0


@dataclass(frozen=True, slots=True)
class Miss:
    """A putt that missed.

    Attributes
    ----------
    nth : of its block, counted from 1
    side, length : to which side it missed, and whether short or past, as noted
    start : where it started, as read; None where nothing watched it
    open_side : to which side that reading is open: it started at least so far out, and nobody can say how far
    reason : "start" where no link of it was read that explains the side; "coarse" where the reading reaches over the
        window's edge; "unread" where nothing watched the start; "short" where it stopped short, which no start holes;
        "ground" where it started inside at good pace on level ground; "unpaced" where how far past it ran was not told
    adds_deg : what that link added to the start, degrees
    off : where it was struck, where that was off the middle; "" where it was not, or nobody noted it
    """

    block_id: str
    putt_id: str
    nth: int
    side: Side
    length: Literal["short", "past", ""]
    start: Interval | None
    open_side: Side
    reason: Reason
    at: Place
    adds_deg: float | None = None
    off: Literal["heel", "toe", ""] = ""


def place_of(start: Interval, window: Window) -> Where:
    """Where a reading surely lies against the window; untold where it reaches over an edge."""
    if window.low_deg <= start.low and start.high <= window.high_deg:
        return "inside"
    if start.high < window.low_deg or start.low > window.high_deg:
        return "outside"
    return "untold"


@remembered(4)
def misses(case: Case) -> tuple[Miss, ...]:
    """The putts that were noted to miss, in order; of one case asked for by several rules, and worked out once."""
    found: list[Miss] = []
    for block in case.ledger.batches:
        if block.putted is None or not block.putted.hole:
            continue
        for nth, putt in enumerate(block.events, 1):
            if (one := _miss(putt, block, nth, case)) is not None:
                found.append(one)
    return tuple(found)


def counted(told: Sequence[Miss]) -> tuple[tuple[Reason, int], ...]:
    """How often each reason, the commonest first."""
    times: dict[Reason, int] = {reason: sum(it.reason == reason for it in told) for reason in REASONS}
    return tuple(sorted(((reason, n) for reason, n in times.items() if n), key=lambda it: -it[1]))


def _miss(putt: Event, block: Batch, nth: int, case: Case) -> Miss | None:
    assert block.putted is not None
    start = putt.values.get("start")
    read = start if isinstance(start, Interval) else None
    window = block.putted.window
    place = None if read is None else place_of(read, window)
    holed = putt.values.get("holed")
    if holed != "missed":
        return None
    noted, stopped = str(putt.values.get("missed_side", "")), str(putt.values.get("stopped", ""))
    side: Side = "left" if noted == "left" else "right" if noted == "right" else "neither"
    reason, adds = _reason(putt, block, read, place, side, case)
    at = strike_at(putt)
    off: Literal["heel", "toe", ""] = "" if at is None or abs(at) < _OFF_MM else "toe" if at > 0 else "heel"
    length: Literal["short", "past", ""] = "short" if stopped == "short" else "past" if stopped == "past" else ""
    open_side = "neither" if read is None else open_to(read, window)
    return Miss(block.id, putt.id, nth, side, length, read, open_side, reason, block.place, adds, off)


def _reason(
    putt: Event, block: Batch, read: Interval | None, place: Where | None, side: Side, case: Case
) -> tuple[Reason, float | None]:
    assert block.putted is not None
    if _far_short(putt, block) or (place in (None, "untold") and putt.values.get("stopped") == "short"):
        return ("pace" if place == "inside" else "short"), None
    if read is None or place is None:
        # A face read at impact to the side of the miss says as much as a start.
        face = _of_link(putt, None, side, case) if "impact" in putt.values else None
        return face if face is not None and face[0] in ("aim", "face") else ("unread", None)
    if place == "outside":
        about = Window(block.putted.window.half_deg, block.putted.window.half_deg)
        if block.putted.read_off is not None and place_of(read, about) == "inside":
            return "read", None
        # Of one that started at least so far out no more is to be explained than was read.
        open_side = open_to(read, block.putted.window)
        at = read.anchor if open_side == "neither" else min(read.low, read.high, key=abs)
        return _of_link(putt, at, side_of(at), case) or ("start", None)
    if place == "untold":
        return ("pace", None) if _bad_pace(putt, block) and side == "neither" else ("coarse", None)
    if _bad_pace(putt, block):
        return "pace", None
    if block.putted.breaks or block.putted.read_off is not None:
        return "read", None
    # A ball that misses runs past at good pace, too: without how far its pace is not known.
    return ("ground" if _good_pace(putt) else "unpaced"), None


def _good_pace(putt: Event) -> bool:
    """How far past it stopped was told, and it is no bad pace."""
    roll = putt.values.get("roll_past")
    return isinstance(roll, Interval) and math.isfinite(roll.low) and math.isfinite(roll.high)


def _bad_pace(putt: Event, block: Batch) -> bool:
    """It stopped short, or surely ran further past than the goal zone."""
    assert block.putted is not None
    if putt.values.get("stopped") == "short":
        return True
    roll = putt.values.get("roll_past")
    return isinstance(roll, Interval) and roll.low > ZONE_PACES() * block.putted.past_m


def _far_short(putt: Event, block: Batch) -> bool:
    """Whether it stopped further short than the goal zone is long. No start would have holed it."""
    assert block.putted is not None
    roll = putt.values.get("roll_past")
    return isinstance(roll, Interval) and roll.high < -ZONE_PACES() * block.putted.past_m


def _of_link(putt: Event, start: float | None, side: Side, case: Case) -> tuple[Reason, float] | None:
    """The link read of this putt that took it to that side, where one leads."""
    parts = _parts(putt, case.ledger.k.value, case.struck)
    to_side: dict[Reason, float] = {name: by for name, by in parts.items() if side_of(by) == side}
    if not to_side:
        return None
    link = max(to_side, key=lambda it: abs(to_side[it]))
    least = _LEADS() * abs(start) if start else case.matters_deg[0]
    return (link, to_side[link]) if abs(to_side[link]) >= least else None


def _parts(putt: Event, k: float, told: Struck | None) -> dict[Reason, float]:
    """What each link read of this putt added to its start, degrees."""
    found: dict[Reason, float] = {}
    values = {name: it.anchor for name, it in putt.values.items() if isinstance(it, Interval)}
    if "address" in values:
        found["aim"] = k * values["address"]
    if "impact" in values:
        found["face"] = k * (values["impact"] - values.get("address", 0.0))
    path = putt.values.get("path")
    if isinstance(path, Interval) and path.low_or_none is not None and path.high_or_none is not None:
        found["path"] = (1 - k) * path.anchor
    at = strike_at(putt)
    if at is not None and abs(at) >= _OFF_MM and told is not None:
        found["strike"] = told.slope.value * at
    return found
