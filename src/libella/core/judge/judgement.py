"""The judgement of one block of start errors, in facts: `words.judge.judgement` says them."""

import math
from collections.abc import Sequence
from dataclasses import dataclass, field
from typing import Final, Literal

from ..certainty.estimate import Estimate
from ..certainty.matter import MATTERS
from ..certainty.verdict import Verdict, weigh
from ..certainty.vial import Vial, vial
from ..estimate import START, Summary, summarise
from ..estimate.beyond import Beyond
from ..estimate.cost import Cost, Mix, cost
from ..estimate.kind import SIZED, Kind, Sized, allowed, beyond_in, has_middle, kind_of
from ..estimate.table import LikelihoodTable, table
from ..estimate.verdict import putts_to_settle, weighed
from ..golfer.hand import Hand
from ..green.putt import Putt
from ..green.usual import USUAL, UsualLength, level_window, usual_mix
from ..measure.angle import angle_deg
from ..measure.flag import Lessened, lessened
from ..measure.interval import Interval
from ..measure.units import Units
from ..measure.window import Window
from ..opinions.held import remembered
from ..set.proof import golfers_own
from ..set.station import Station
from .claims.level import post_of
from .disturbed import with_disturbances

NO_HOLE_M: Final = 2.0
"""Without a hole sizes are told at this length, and the vial's marks are its window."""


@dataclass(frozen=True, slots=True)
class Occasion:
    """What a block is judged for: who putts, at which usual lengths, whether at a hole, and what disturbed the putts
    (`disturbed.DISTURBANCES`)."""

    hand: Hand
    usual: tuple[UsualLength, ...] = field(default_factory=USUAL)
    hole: bool = True
    disturbances: tuple[str, ...] = ()

    def doubt_deg(self, station: Station) -> float:
        """Standard uncertainty shared by the whole block: of the laid line, of the rig by itself, of the slope under
        it, and for what disturbed it."""
        rig_m = station.rig.station_m
        slope = angle_deg(station.putt.drift_doubt_m(rig_m), rig_m)
        own = math.hypot(station.proof.line_deg(rig_m), station.proof.own_deg, slope)
        return with_disturbances(own, self.disturbances)


@dataclass(frozen=True, slots=True)
class Counts:
    """Sides and range as read, before any model."""

    putts: int
    right: int
    left: int
    lowest: Interval
    highest: Interval

    @property
    def neither(self) -> int:
        return self.putts - self.right - self.left


@dataclass(frozen=True, slots=True)
class Gain:
    """What one change would bring, in putts of a hundred that start inside the window."""

    change: Literal["bias", "spread"]
    putts: Estimate


@dataclass(frozen=True, slots=True)
class Dear:
    """The usual length at which the same bias costs most: putts of a hundred there, and how sure that is."""

    distance_m: float
    putts: float
    call: Verdict


@dataclass(frozen=True, slots=True)
class Judgement:
    """A block judged.

    `watched`: a rig read the start; where none did there is no summary and no verdict. `final` is false until the
    block's planned end: then there is a verdict and `gains`. `kind`: what its readings can show; `usual`: the word at
    the golfer's usual lengths, as the lesson says it; `lessened`: those of its readings that count less. `dear` is
    given where the bias is cheap here and likely dear at another usual length.
    """

    putts: int
    planned: int
    final: bool
    watched: bool
    proved: bool
    summary: Summary | None
    verdict: Verdict | None
    counts: Counts | None
    dear: Dear | None
    gains: tuple[Gain, ...]
    vial: Vial
    kind: Kind = SIZED
    usual: Verdict | None = None
    lessened: Lessened | None = None

    @property
    def beyond(self) -> Beyond | None:
        """Where its readings are open to one side."""
        return beyond_in(self.kind)

    @property
    def is_sized(self) -> bool:
        """Its readings say how far."""
        return isinstance(self.kind, Sized)


def judge(readings: Sequence[Interval], station: Station, occasion: Occasion, *, planned: int) -> Judgement:
    """Judge a block.

    Parameters
    ----------
    readings : valid readings of the block, degrees, oldest first
    station : putt and rig as they stood
    planned : putts after which the verdict is given; looking earlier finds "clear" in a third of innocent blocks
    """
    return _judged(tuple(readings), station, occasion, planned)


@remembered(1024)
def _judged(readings: tuple[Interval, ...], station: Station, occasion: Occasion, planned: int) -> Judgement:
    n = len(readings)
    final = n >= planned
    watched = station.rig.reads_start
    it = _Weighed(readings, station, occasion) if n and watched else None
    summary = it.summary if it else None
    proved = station.proof.proves_line
    kind = kind_of(readings, station.putt.window) if it else SIZED
    call = allowed(it.verdict(proved=proved), kind) if it and final else None
    bubble = summary.bubble if summary and has_middle(kind) else None
    return Judgement(
        putts=n,
        planned=planned,
        final=final,
        watched=watched,
        proved=proved,
        summary=summary,
        verdict=call,
        counts=_counts(readings) if watched else None,
        dear=it.dear if it and call else None,
        # Of readings that can't say how far, or lie about a line that may be what is off, no size is promised.
        gains=_gains(summary) if summary and final and isinstance(kind, Sized) and proved else (),
        vial=vial(
            readings if watched else (),
            bubble,
            marks_of(station.putt, occasion),
            settled=final,
        ),
        kind=kind,
        usual=allowed(it.usual(proved=proved), kind) if it and call else None,
        lessened=lessened(it.weight for it in readings),
    )


@dataclass(frozen=True, slots=True)
class Further:
    """How many more putts on this rig should settle a block, four times in five.

    `putts` is 0 for one that is settled, None where more than `MOST_FURTHER` would be needed. `needs_proof`: it could
    only become clear, and on a line that is not proved nothing does.
    """

    call: Verdict
    putts: int | None
    needs_proof: bool = False


def further(readings: Sequence[Interval], station: Station, occasion: Occasion, *, planned: int) -> Further | None:
    """How many more putts would settle the block; None before the planned end (see `putts_to_settle`)."""
    if not readings or len(readings) < planned or not station.rig.reads_start:
        return None
    it = _Weighed(readings, station, occasion)
    kind = kind_of(readings, station.putt.window)
    call = allowed(it.verdict(proved=station.proof.proves_line), kind)
    if call.word == "open" and not isinstance(kind, Sized):
        # However many more of the same: this rig can't say it.
        return Further(call, None)
    if call.word == "likely" and not station.proof.proves_line:
        return Further(call, None, needs_proof=True)
    post = post_of(readings, START(), station.noise_deg)
    zones = [zone.interval for zone in station.zones()]
    return Further(call, putts_to_settle(post, zones, it.mix, call.word, doubt=occasion.doubt_deg(station)))


class _Weighed:
    """Readings weighed on one occasion: what is known, and what it is weighed against."""

    def __init__(self, readings: Sequence[Interval], station: Station, occasion: Occasion) -> None:
        self.putt, self.occasion = station.putt, occasion
        self.post = post_of(readings, START(), station.noise_deg).blurred(occasion.doubt_deg(station))
        self.mix = Mix.one(station.putt.window) if occasion.hole else usual_mix(station.putt, occasion.usual)
        self.summary = summarise(self.post, self.mix)

    def verdict(self, *, proved: bool) -> Verdict:
        """The word of the bias; on a line that nobody measured only as far as it is the golfer's own."""
        return self._word(self.summary.cost, proved=proved)

    def _word(self, told: Cost, *, proved: bool) -> Verdict:
        own = 1.0 if proved else golfers_own(self.summary.bias.value, 0.0)
        return weigh(own * told.right, own * told.left, told.small, can_be_clear=proved, cost=told.mean)

    def usual(self, *, proved: bool) -> Verdict:
        """The word at the usual lengths: what the lesson says."""
        mix = usual_mix(self.putt, self.occasion.usual)
        return self._word(cost(self.post, mix, MATTERS()["start"]), proved=proved)

    @property
    def dear(self) -> Dear | None:
        """The usual length at which the bias costs most, where it is at least likely to matter and costs enough to
        mend, and costs less than that here."""
        matter = MATTERS()["start"]
        if self.summary.cost.mean >= matter.nothing_under:
            return None
        dearest: Dear | None = None
        for length in self.occasion.usual if self.occasion.hole else ():
            if math.isclose(length.distance_m, self.putt.distance_m, rel_tol=0.05):
                continue
            there = cost(self.post, Mix.one(level_window(self.putt, length.distance_m)), matter)
            call = weighed(there)
            if call.names_direction and there.mean >= max(matter.nothing_under, dearest.putts if dearest else 0.0):
                dearest = Dear(length.distance_m, there.mean, call)
        return dearest


def table_of(station: Station, occasion: Occasion, units: Units) -> LikelihoodTable | None:
    """With it a device without a server finds the bias and the spread that `judge` finds; None where no rig reads the
    start."""
    if not station.rig.reads_start:
        return None
    zones = [zone.interval for zone in station.zones(units)]
    window = marks_of(station.putt, occasion)
    return table(zones, window, noise=station.noise_deg, doubt=occasion.doubt_deg(station))


def marks_of(putt: Putt, occasion: Occasion) -> Window:
    """The window starts are weighed in: the putt's, or at no hole that of a level putt two metres long."""
    return putt.window if occasion.hole else level_window(putt, NO_HOLE_M)


def _counts(readings: Sequence[Interval]) -> Counts | None:
    if not readings:
        return None
    return Counts(
        putts=len(readings),
        right=sum(it.low >= 0 for it in readings),
        left=sum(it.high <= 0 for it in readings),
        lowest=min(readings, key=lambda it: it.anchor),
        highest=max(readings, key=lambda it: it.anchor),
    )


def _gains(summary: Summary) -> tuple[Gain, ...]:
    def gain(change: Literal["bias", "spread"], share: Estimate) -> Gain:
        return Gain(change, Estimate(share.value * 100, share.low * 100, share.high * 100))

    return (gain("bias", summary.gain_unbiased), gain("spread", summary.gain_steadier))
