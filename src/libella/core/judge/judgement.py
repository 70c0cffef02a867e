"""The judgement of one block of start errors, in numbers and in a coach's words."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import Final, Literal

from ..certainty.estimate import Estimate
from ..certainty.matter import MATTERS
from ..certainty.verdict import LIKELY, Verdict
from ..certainty.vial import Vial, vial
from ..estimate import LAPSE_SHARE, START, Posterior, Summary, posterior, summarise
from ..estimate.continuation import MOST_FURTHER
from ..estimate.cost import Mix, cost
from ..estimate.verdict import putts_to_settle, verdict, weighed
from ..golfer.hand import Hand, push_or_pull
from ..green.putt import Putt
from ..green.usual import USUAL, UsualLength, level_window
from ..measure.angle import hole_widths, offset_m
from ..measure.interval import Interval
from ..measure.side import side_of
from ..measure.units import Units, about, count, percent, sided, tape
from ..measure.window import Window
from ..set.briefing import allows
from ..set.station import Station
from .holed import Holed
from .words import headline, nameless

_FEWEST_ADVISED: Final = 5
"""Putts below which nothing is advised."""
_NO_HOLE_M: Final = 2.0
"""Without a hole sizes are told at this length, and the vial's marks are its window."""


@dataclass(frozen=True, slots=True)
class Occasion:
    """What a block is judged for: who putts, at which usual lengths, whether at a hole, and what became of the
    putts."""

    hand: Hand
    units: Units = "metric"
    usual: tuple[UsualLength, ...] = USUAL
    hole: bool = True
    holed: Holed | None = None


@dataclass(frozen=True, slots=True)
class Gain:
    """What one change would bring, in putts of a hundred that start inside the window."""

    change: Literal["bias", "spread"]
    name: str
    putts: Estimate
    words: str


@dataclass(frozen=True, slots=True)
class Judgement:
    """A block judged.

    `counts` are sides and range as read, before any model. `final` is false until the block's planned end: then there
    is a verdict. `headline` is the sentence's first part
    ("0.6° right, clear."), `size` what that is at the hole, `chance` the share inside the window, `doubt` what the
    numbers are worth. `gains` and `work` are given only at the planned end.
    """

    putts: int
    planned: int
    final: bool
    summary: Summary | None
    verdict: Verdict | None
    counts: str
    headline: str
    size: str
    meaning: str
    allows: str
    chance: str
    doubt: str
    gains: tuple[Gain, ...]
    work: str
    prior: str
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
    it = _Weighed(readings, station, occasion) if n else None
    summary = it.summary if it else None
    proved = station.proof.is_proved
    call = verdict(summary, proved=proved) if summary and final else None
    return Judgement(
        putts=n,
        planned=planned,
        final=final,
        summary=summary,
        verdict=call,
        counts=_counts(readings),
        headline=headline(summary, call, "No putts yet."),
        size=_size(summary, station.putt, occasion),
        meaning=_meaning(it, call, n, planned) + ("" if proved or not n else " The line is not proved."),
        allows=allows(station, occasion.units) if occasion.hole else _no_hole(station.putt, occasion),
        chance=_chance(summary, occasion),
        doubt=_doubt(summary),
        gains=_gains(summary) if summary and final else (),
        work=_work(summary, call, n, occasion.holed),
        prior=f"{START.words} {LAPSE_SHARE * 100:g} % of putts are taken for mishits.",
        vial=vial(readings, summary and summary.bubble, _marks(station.putt, occasion), settled=final),
    )


def further(readings: Sequence[Interval], station: Station, occasion: Occasion, *, planned: int) -> str:
    """How many more putts would settle the block, in words; empty before the planned end (see `putts_to_settle`)."""
    if not readings or len(readings) < planned:
        return ""
    it = _Weighed(readings, station, occasion)
    word = verdict(it.summary, proved=station.proof.is_proved).word
    if word == "likely" and not station.proof.is_proved:
        return "Prove the line first: until then no number of putts makes it clear."
    post = _posterior(tuple(readings), station.noise_deg)
    zones = [zone.interval for zone in station.zones()]
    more = putts_to_settle(post, zones, it.mix, word, doubt=station.shared_deg)
    if more == 0:
        return "Settled: more putts would only sharpen the number."
    aim = "make it clear, or clear it away" if word == "likely" else "settle it"
    if more is None:
        return f"More than {MOST_FURTHER} further putts on this rig to {aim}: change the rig or the question."
    return f"About {count(more, 'further putt')} on this rig should {aim}, four times in five."


class _Weighed:
    """Readings weighed on one occasion: what is known, and what it is weighed against."""

    def __init__(self, readings: Sequence[Interval], station: Station, occasion: Occasion) -> None:
        self.putt, self.occasion = station.putt, occasion
        self.post = _posterior(tuple(readings), station.noise_deg).blurred(station.shared_deg)
        self.mix = Mix.one(station.putt.window) if occasion.hole else usual_mix(station.putt, occasion.usual)
        self.summary = summarise(self.post, self.mix)

    @property
    def dear_length(self) -> tuple[UsualLength, float, Verdict] | None:
        """The usual length at which the bias costs most, where it is at least likely to matter and costs enough to
        mend.

        With its mean cost there, putts of a hundred.
        """
        matter = MATTERS["start"]
        dearest: tuple[UsualLength, float, Verdict] | None = None
        for length in self.occasion.usual if self.occasion.hole else ():
            if math.isclose(length.distance_m, self.putt.distance_m, rel_tol=0.05):
                continue
            there = cost(self.post, Mix.one(level_window(self.putt, length.distance_m)), matter)
            call = weighed(there)
            if call.names_direction and there.mean >= max(matter.nothing_under, dearest[1] if dearest else 0.0):
                dearest = length, there.mean, call
        return dearest


def usual_mix(putt: Putt, usual: Sequence[UsualLength]) -> Mix:
    """The windows of the usual lengths, level, on this green at this pace."""
    return Mix(tuple(level_window(putt, it.distance_m) for it in usual), tuple(it.weight for it in usual))


def _marks(putt: Putt, occasion: Occasion) -> Window:
    return putt.window if occasion.hole else level_window(putt, _NO_HOLE_M)


def _no_hole(putt: Putt, occasion: Occasion) -> str:
    lengths = ", ".join(tape(it.distance_m, occasion.units) for it in occasion.usual)
    return f"No hole here: weighed at the usual lengths ({lengths}), level, on a {putt.stimp_ft:g} ft green."


def _counts(readings: Sequence[Interval]) -> str:
    """Sides and range as read: "7 of 10 right, 1 left, 2 on neither side; from 0.4° left to 2.1° right." """
    if not readings:
        return ""
    right, left = sum(it.low >= 0 for it in readings), sum(it.high <= 0 for it in readings)
    neither = len(readings) - right - left
    said = f"{right} of {len(readings)} right, {left} left" + (f", {neither} on neither side" if neither else "")
    ends = (min(readings, key=lambda it: it.anchor), max(readings, key=lambda it: it.anchor))
    low, high = (f"{'beyond ' if math.isinf(it.low) or math.isinf(it.high) else ''}{sided(it.anchor)}" for it in ends)
    return f"{said}; from {low} to {high}." if low != high else f"{said}."


def _size(summary: Summary | None, putt: Putt, occasion: Occasion) -> str:
    if summary is None:
        return ""
    units = occasion.units
    length, where = putt.distance_m, "at the hole"
    if not occasion.hole:
        length, where = _NO_HOLE_M, f"on {tape(_NO_HOLE_M, units)}"
    bias = summary.bias
    doubt_m = offset_m(bias.doubt, length)
    here = about(offset_m(bias.value, length), doubt_m, units)
    if here.startswith("under") or nameless(bias):
        within = here if here.startswith("under") else "within " + about(doubt_m, doubt_m, units)
        return f"{where[0].upper()}{where[1:]}: {within}."
    holes = abs(hole_widths(bias.value, length))
    widths = f", {holes:.1f} hole widths" if holes >= 0.45 and occasion.hole else ""
    return f"About {here} {where}{widths}."


def _meaning(it: "_Weighed | None", call: Verdict | None, n: int, planned: int) -> str:
    if it is None:
        return f"The verdict comes after {count(planned, 'putt')}."
    if call is None:
        return f"{n} of {count(planned, 'putt')}. The verdict comes at {planned}; until then this is only so far."
    matter = MATTERS["start"]
    here = "here" if it.occasion.hole else "at the usual lengths"
    dear = _dear(it, call)
    if call.word == "none":
        return (
            f"{percent(call.probability)} sure that the bias costs under {matter.nothing_under:g} putts in a hundred "
            f"{here}: nothing there to mend.{dear}"
        )
    if call.word == "open" or call.side == "neither":
        return f"A tendency and chance both still fit these putts.{dear}"
    strength = "A tendency, not chance" if call.word == "clear" else "More likely a tendency than chance"
    hand = it.occasion.hand
    return (
        f"{strength}: {percent(call.probability)} sure of a bias to the {call.side} that costs at least "
        f"{count(round(matter.matters_from), 'putt')} in a hundred {here} (about {round(it.summary.cost.mean)}). "
        f"For a {hand}-handed golfer that is a {push_or_pull(call.side, hand)}.{dear}"
    )


def _dear(it: "_Weighed", call: Verdict) -> str:
    """What the same bias costs at another usual length, where that is more than here by enough to say."""
    if it.summary.cost.mean >= MATTERS["start"].nothing_under:
        return ""
    found = it.dear_length
    if found is None:
        return ""
    length, putts, there = found
    on = f"on {tape(length.distance_m, it.occasion.units)} putts the same bias costs about {round(putts)} in a hundred"
    small = "Small here; " if call.word != "open" else "Can't tell here; "
    return f" {small}{on} ({there.side}, {there.word})."


def _chance(summary: Summary | None, occasion: Occasion) -> str:
    if summary is None:
        return ""
    inside = summary.inside
    where = "inside the window" if occasion.hole else "inside the windows of the usual lengths"
    return (
        f"About {round(inside.value * 100)} putts in a hundred start {where} "
        f"({round(inside.low * 100)} to {round(inside.high * 100)})."
    )


def _doubt(summary: Summary | None) -> str:
    if summary is None:
        return ""
    bias, spread = summary.bias, summary.spread
    return (
        f"Bias between {_signed(bias.low)} and {_signed(bias.high)}; spread {spread.value:.1f}° "
        f"({spread.low:.1f}° to {spread.high:.1f}°): nine times in ten."
    )


def _signed(angle: float) -> str:
    said = f"{abs(angle):.1f}°"
    return said if said == "0.0°" else f"{said} {side_of(angle)}"


def _gains(summary: Summary) -> tuple[Gain, ...]:
    def gain(change: Literal["bias", "spread"], name: str, share: Estimate) -> Gain:
        putts = Estimate(share.value * 100, share.low * 100, share.high * 100)
        low, high = sorted((round(putts.low), round(putts.high)))
        return Gain(change, name, putts, f"{_putts(putts.value)} in a hundred ({low} to {high})")

    return (
        gain("bias", "Bias mended", summary.gain_unbiased),
        gain("spread", "A quarter less spread", summary.gain_steadier),
    )


def _putts(value: float) -> str:
    return ("+" if round(value) > 0 else "") + count(round(value), "putt")


def _work(summary: Summary | None, call: Verdict | None, n: int, holed: Holed | None) -> str:
    """What to work on, in one currency: putts of a hundred. Nothing under five putts; a tie names nothing."""
    if summary is None or call is None or n < _FEWEST_ADVISED:
        return ""
    least = MATTERS["gain"].matters_from
    bias, spread = (it.value * 100 for it in (summary.gain_unbiased, summary.gain_steadier))
    found: list[tuple[float, str, str]] = []
    if call.names_direction and bias >= least:
        found.append((bias, "the bias", f"mending it {_brings(bias)}"))
    if summary.prob_steadier_matters >= LIKELY and spread >= least:
        found.append((spread, "the spread", f"a quarter less {_brings(spread)}"))
    if holed and holed.matters:
        started = holed.fell["inside"] + holed.missed["inside"]
        missed = f"{holed.missed['inside']} of {count(started, 'putt')} that started inside the window missed"
        found.append((holed.lost_inside, "read and pace", missed))
    unnamed = "" if call.word != "open" else " The bias is not named: its direction is not yet likely."
    if not found:
        if call.word == "none" and spread < least:
            pace = "" if holed else " What read and pace cost shows once the finish is noted."
            return f"The start line costs next to nothing here.{pace}"
        said = f"Nothing is likely enough yet to be worked on: nothing brings {least:g} putts in a hundred for sure."
        return said + unnamed
    found.sort(key=lambda it: -it[0])
    (most, name, brings), rest = found[0], found[1:]
    if rest and most - rest[0][0] < least:
        both = f"{name} ({brings}) and {rest[0][1]} ({rest[0][2]})"
        return f"A tie: {both}. Neither comes first."
    others = "".join(f"; {it[1]}: {it[2]}" for it in rest)
    return f"Work on {name}: {brings}{others}.{unnamed}"


def _brings(putts: float) -> str:
    return f"brings about {count(round(putts), 'putt')} in a hundred"
