"""Aim at address, link by link: ball mark against the line, putter against the mark, face against the line.

Face aim = ball mark + (aim − mark) (handbook 5, chain): means add, and each link has its own certainty. A set of
set-downs is judged as a block of putts is: the same posterior, the same words, on the same vial.
"""

import math
from dataclasses import dataclass
from typing import Final, Literal, get_args

from ..certainty.estimate import Estimate, around
from ..certainty.verdict import Verdict, weigh
from ..certainty.vial import Vial, vial
from ..estimate import START, Summary, posterior, summarise
from ..estimate.beyond import Beyond
from ..estimate.cost import Mix, weigh_difference
from ..estimate.kind import SIZED, Kind, Sided, Sized, allowed, beyond_in, has_middle, kind_of
from ..golfer.hand import Hand
from ..green.putt import Putt
from ..measure.flag import Lessened, lessened
from ..measure.interval import Interval
from ..measure.limits import Bounds
from ..opinions.held import remembered
from ..set.proof import golfers_own

Link = Literal["face", "mark", "to_mark"]
LINKS: Final[tuple[Link, ...]] = get_args(Link)
Cue = Literal["line", "stripe", "logo", "blank", "near_spot"]
CUES: Final[tuple[Cue, ...]] = get_args(Cue)
USUAL_TOOLS: Final = ("square_reference", "face_mirror", "putter_laser", "in_words", "rod_beside")
"""What the face is usually read with, the likeliest first; others after them."""
PLANNED: Final = Bounds(3, 40, "set-downs")
ANGLE: Final = Bounds(-10.0, 10.0, "deg")
SEEN: Final = Bounds(0.1, 3.0, "deg")


@dataclass(frozen=True, slots=True)
class AimFound:
    """A set of set-downs judged. `final` from its planned end on: then there is a verdict.

    `distance_m`: of the putt it was read for, at whose hole its size is told; `proved`: of the line, where one counts.
    """

    link: Link
    hand: Hand
    set_downs: int
    planned: int
    final: bool
    proved: bool
    distance_m: float
    summary: Summary | None
    verdict: Verdict | None
    vial: Vial
    kind: Kind = SIZED
    """What its readings can show."""
    lessened: Lessened | None = None
    """Of its readings those that count less."""

    @property
    def beyond(self) -> Beyond | None:
        """Where its readings tell one side: no size can be told."""
        return beyond_in(self.kind)

    @property
    def is_sized(self) -> bool:
        """Its readings say how far."""
        return isinstance(self.kind, Sized)


def by_degrees(angle_deg: float, seen_deg: float) -> Interval:
    """A link read as an angle, right positive, to ± `seen_deg`."""
    ANGLE.check("angle_deg", "aim_deg", angle_deg)
    SEEN.check("seen_deg", "aim_seen_deg", seen_deg)
    return Interval(angle_deg - seen_deg, angle_deg + seen_deg)


@remembered(256)
def aim_found(
    readings: tuple[Interval, ...],
    link: Link,
    putt: Putt,
    hand: Hand,
    *,
    planned: int,
    proved: bool,
    mix: Mix,
    shared_deg: float = 0.0,
) -> AimFound:
    """Judge set-downs, oldest first, degrees. Every page of a lesson asks it, and a putt leaves it as it was.

    Parameters
    ----------
    planned : set-downs after which the verdict is given
    proved : of the line; where it is not, nothing is clear, and only as far as it is the golfer's own
    mix : the golfer's usual putts, at which it is weighed
    shared_deg : what is not known of the line's own direction, one standard deviation
    """
    n = len(readings)
    final = n >= planned
    summary = summarise(posterior(readings, START()).blurred(shared_deg), mix) if n else None
    call, kind = None, kind_of(readings, putt.window) if n else SIZED
    if summary and final:
        own, told = 1.0 if proved else golfers_own(summary.bias.value, 0.0), summary.cost
        call = weigh(own * told.right, own * told.left, told.small, can_be_clear=proved, cost=told.mean)
        # What is told as sides lies no further from the line than where its words begin.
        own = own if not isinstance(kind, Sided) or proved else golfers_own(kind.edge, 0.0)
        call = allowed(call, kind, own, can_be_clear=proved)
    return AimFound(
        link=link,
        hand=hand,
        set_downs=n,
        planned=planned,
        final=final,
        proved=proved,
        distance_m=putt.distance_m,
        summary=summary,
        verdict=call,
        vial=vial(readings, summary.bubble if summary and has_middle(kind) else None, putt.window, settled=final),
        kind=kind,
        lessened=lessened(it.weight for it in readings),
    )


@dataclass(frozen=True, slots=True)
class AimSum:
    """The ball mark and the putter against it, added, beside the face as it was read; None for what was not.

    `fits`: whether the sum differs from the face by enough to matter.
    """

    mark: Estimate | None
    to_mark: Estimate | None
    added: Estimate | None
    face: Estimate | None
    fits: Verdict | None


def aim_sum(mark: Estimate | None, to_mark: Estimate | None, face: Estimate | None, putt: Putt) -> AimSum:
    """Add the links; they are different set-downs, so their doubts add as squares."""
    if mark is None or to_mark is None:
        return AimSum(mark, to_mark, None, face, None)
    added = around(mark.value + to_mark.value, math.hypot(mark.doubt, to_mark.doubt))
    return AimSum(mark, to_mark, added, face, _difference(added, face, putt).call if face else None)


@dataclass(frozen=True, slots=True)
class Moved:
    """How far an aim differs from another, degrees, and whether by enough to matter."""

    by: Estimate
    call: Verdict


def natural_and_aided(natural: Estimate | None, aided: Estimate | None, putt: Putt) -> Moved | None:
    """What the aid in view changes; None until both were read."""
    return _difference(natural, aided, putt) if natural and aided else None


def _difference(one: Estimate, other: Estimate, putt: Putt) -> Moved:
    """`other` less `one`, and what it costs in the window of this putt, for a spread as it usually is."""
    moved = around(other.value - one.value, math.hypot(one.doubt, other.doubt))
    return Moved(moved, weigh_difference(moved, START().spread_median, Mix.one(putt.window)))
