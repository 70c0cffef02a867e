"""The judgement of one block of start errors, in facts: `words.judge.judgement` says them."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import Final, Literal

from ..certainty.estimate import Estimate
from ..certainty.matter import MATTERS
from ..certainty.verdict import Verdict, is_likely
from ..certainty.vial import Vial, vial
from ..estimate import START, Posterior, Summary, posterior, summarise
from ..estimate.cost import Mix, cost
from ..estimate.verdict import putts_to_settle, verdict, weighed
from ..golfer.hand import Hand
from ..green.putt import Putt
from ..green.usual import USUAL, UsualLength, level_window
from ..measure.interval import Interval
from ..measure.window import Window
from ..set.station import Station
from .disturbed import with_disturbances
from .holed import Holed
from .pace import Pace

_FEWEST_ADVISED: Final = 5
"""Putts below which nothing is advised."""
NO_HOLE_M: Final = 2.0
"""Without a hole sizes are told at this length, and the vial's marks are its window."""


@dataclass(frozen=True, slots=True)
class Occasion:
    """What a block is judged for: who putts, at which usual lengths, whether at a hole, what became of the putts,
    how far they ran, and what disturbed them (`disturbed.DISTURBANCES`)."""

    hand: Hand
    usual: tuple[UsualLength, ...] = USUAL
    hole: bool = True
    holed: Holed | None = None
    pace: Pace | None = None
    disturbances: tuple[str, ...] = ()

    def doubt_deg(self, station: Station) -> float:
        """Standard uncertainty shared by the whole block: of the rig's own aim, and for what disturbed it."""
        return with_disturbances(station.shared_deg, self.disturbances)


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
class Cause:
    """Something to work on, and what it brings in putts of a hundred.

    Of read and pace the putts that surely started inside the window are told, and how many of them missed.
    """

    what: Literal["bias", "spread", "read_and_pace"]
    brings: float
    started: int = 0
    missed: int = 0


@dataclass(frozen=True, slots=True)
class Work:
    """What to work on, the dearest cause first.

    Attributes
    ----------
    causes : likely enough to be worked on; the first alone is named, unless it is a tie
    tie : the first two bring as much, as far as is told: neither comes first
    unnamed : the bias is no cause because its direction is not yet likely
    costs_nothing : the start line costs next to nothing here
    finish_noted : read and pace were looked at
    """

    causes: tuple[Cause, ...]
    tie: bool
    unnamed: bool
    costs_nothing: bool
    finish_noted: bool


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
    block's planned end: then there is a verdict, `gains` and `work`. `dear` is given where the bias is cheap here and
    likely dear at another usual length. `settled_by` is None until asked for: see `further`.
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
    work: Work | None
    vial: Vial


@lru_cache(maxsize=512)
def _posterior(readings: tuple[Interval, ...], noise: float) -> Posterior:
    return posterior(readings, START, noise=noise)


def judge(readings: Sequence[Interval], station: Station, occasion: Occasion, *, planned: int) -> Judgement:
    """Judge a block.

    Parameters
    ----------
    readings : valid readings of the block, degrees, oldest first
    station : putt and rig as they stood
    planned : putts after which the verdict is given; looking earlier finds "clear" in a third of innocent blocks
    """
    return _judged(tuple(readings), station, occasion, planned)


@lru_cache(maxsize=1024)
def _judged(readings: tuple[Interval, ...], station: Station, occasion: Occasion, planned: int) -> Judgement:
    n = len(readings)
    final = n >= planned
    watched = station.rig.reads_start
    it = _Weighed(readings, station, occasion) if n and watched else None
    summary = it.summary if it else None
    proved = station.proof.is_proved
    call = verdict(summary, proved=proved) if summary and final else None
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
        gains=_gains(summary) if summary and final else (),
        work=_work(summary, call, n, occasion.holed),
        vial=vial(
            readings if watched else (), summary and summary.bubble, _marks(station.putt, occasion), settled=final
        ),
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
    call = verdict(it.summary, proved=station.proof.is_proved)
    if call.word == "likely" and not station.proof.is_proved:
        return Further(call, None, needs_proof=True)
    post = _posterior(tuple(readings), station.noise_deg)
    zones = [zone.interval for zone in station.zones()]
    return Further(call, putts_to_settle(post, zones, it.mix, call.word, doubt=occasion.doubt_deg(station)))


class _Weighed:
    """Readings weighed on one occasion: what is known, and what it is weighed against."""

    def __init__(self, readings: Sequence[Interval], station: Station, occasion: Occasion) -> None:
        self.putt, self.occasion = station.putt, occasion
        self.post = _posterior(tuple(readings), station.noise_deg).blurred(occasion.doubt_deg(station))
        self.mix = Mix.one(station.putt.window) if occasion.hole else usual_mix(station.putt, occasion.usual)
        self.summary = summarise(self.post, self.mix)

    @property
    def dear(self) -> Dear | None:
        """The usual length at which the bias costs most, where it is at least likely to matter and costs enough to
        mend, and costs less than that here."""
        matter = MATTERS["start"]
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


def usual_mix(putt: Putt, usual: Sequence[UsualLength]) -> Mix:
    """The windows of the usual lengths, level, on this green at this pace."""
    return Mix(tuple(level_window(putt, it.distance_m) for it in usual), tuple(it.weight for it in usual))


def _marks(putt: Putt, occasion: Occasion) -> Window:
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


def _work(summary: Summary | None, call: Verdict | None, n: int, holed: Holed | None) -> Work | None:
    """What to work on, in one currency: putts of a hundred. A tie names nothing."""
    if summary is None or call is None or n < _FEWEST_ADVISED:
        return None
    least = MATTERS["gain"].matters_from
    bias, spread = (it.value * 100 for it in (summary.gain_unbiased, summary.gain_steadier))
    found: list[Cause] = []
    if call.names_direction and bias >= least:
        found.append(Cause("bias", bias))
    if is_likely(summary.prob_steadier_matters) and spread >= least:
        found.append(Cause("spread", spread))
    if holed and holed.matters:
        started = holed.fell["inside"] + holed.missed["inside"]
        found.append(Cause("read_and_pace", holed.lost_inside, started, holed.missed["inside"]))
    found.sort(key=lambda it: -it.brings)
    return Work(
        causes=tuple(found),
        tie=len(found) > 1 and found[0].brings - found[1].brings < least,
        unnamed=call.word == "open",
        costs_nothing=not found and call.word == "none" and spread < least,
        finish_noted=holed is not None,
    )
