"""The judgement of one block of start errors, in numbers and in a coach's words."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import Literal

from ..angle import hole_widths, offset_m
from ..briefing import allows
from ..drawing.vial import Vial, vial
from ..estimate import LAPSE_SHARE, START, Estimate, Posterior, Summary, posterior, summarise
from ..estimate.continuation import MOST_FURTHER
from ..golfer import Hand, push_or_pull
from ..interval import Interval
from ..station import Station
from ..wording import Side, Units, about, count, percent, side_of
from .verdict import Verdict, putts_to_settle, verdict
from .words import headline, nameless

_TIE_PUTTS = 1


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

    `final` is false until the block's planned end: then there is a verdict. `headline` is the sentence's first part
    ("0.6° right, clear."), `size` what that is at the hole, `chance` the share inside the window, `doubt` what the
    numbers are worth. `gains` and `work` are given only at the planned end.
    """

    putts: int
    planned: int
    final: bool
    summary: Summary | None
    verdict: Verdict | None
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


def judge(
    readings: Sequence[Interval], station: Station, *, planned: int, hand: Hand, units: Units = "metric"
) -> Judgement:
    """Judge a block.

    Parameters
    ----------
    readings : valid readings of the block, degrees, oldest first
    station : putt and rig as they stood
    planned : putts after which the verdict is given; looking earlier finds "clear" in a third of innocent blocks
    hand : of the golfer, for push and pull
    units : for lengths in the sentences
    """
    n = len(readings)
    final = n >= planned
    window = station.putt.window
    summary = _summary(readings, station) if n else None
    proved = station.proof.is_proved
    call = verdict(summary, proved=proved) if summary and final else None
    return Judgement(
        putts=n,
        planned=planned,
        final=final,
        summary=summary,
        verdict=call,
        headline=headline(summary, call, "No putts yet."),
        size=_size(summary, station, units),
        meaning=_meaning(summary, call, n, planned, hand) + ("" if proved or not n else " The line is not proved."),
        allows=allows(station, units),
        chance=_chance(summary),
        doubt=_doubt(summary),
        gains=_gains(summary) if summary and final else (),
        work=_work(summary, call),
        prior=f"{START.words} {LAPSE_SHARE * 100:g} % of putts are taken for mishits.",
        vial=vial(readings, summary, window, settled=final),
    )


def further(readings: Sequence[Interval], station: Station, *, planned: int) -> str:
    """How many more putts would settle the block, in words; empty before the planned end (see `putts_to_settle`)."""
    if not readings or len(readings) < planned:
        return ""
    word = verdict(_summary(readings, station), proved=station.proof.is_proved).word
    if word == "likely" and not station.proof.is_proved:
        return "Prove the line first: until then no number of putts makes it clear."
    post = _posterior(tuple(readings), station.noise_deg)
    zones = [it.interval for it in station.zones()]
    more = putts_to_settle(post, zones, station.putt.window, word, doubt=station.shared_deg)
    if more == 0:
        return "Settled: more putts would only sharpen the number."
    aim = "make it clear, or clear it away" if word == "likely" else "settle it"
    if more is None:
        return f"More than {MOST_FURTHER} further putts on this rig to {aim}: change the rig or the question."
    return f"About {count(more, 'further putt')} on this rig should {aim}, four times in five."


def _summary(readings: Sequence[Interval], station: Station) -> Summary:
    post = _posterior(tuple(readings), station.noise_deg)
    return summarise(post.blurred(station.shared_deg), station.putt.window)


def _size(summary: Summary | None, station: Station, units: Units) -> str:
    if summary is None:
        return ""
    length = station.putt.distance_m
    bias = summary.bias
    doubt_m = offset_m(bias.doubt, length)
    here = about(offset_m(bias.value, length), doubt_m, units)
    if here.startswith("under") or nameless(bias):
        return f"At the hole: {here if here.startswith('under') else 'within ' + about(doubt_m, doubt_m, units)}."
    holes = abs(hole_widths(bias.value, length))
    widths = f", {holes:.1f} hole widths" if holes >= 0.45 else ""
    return f"About {here} at the hole{widths}."


def _meaning(summary: Summary | None, call: Verdict | None, n: int, planned: int, hand: Hand) -> str:
    if summary is None:
        return f"The verdict comes after {count(planned, 'putt')}."
    if call is None:
        return f"{n} of {count(planned, 'putt')}. The verdict comes at {planned}; until then this is only so far."
    side: Side = call.side
    if call.word == "none":
        return (
            f"{percent(call.probability)} sure that the bias is under a quarter of the window: nothing there to mend."
        )
    if call.word == "open" or side == "neither":
        return "A tendency and chance both still fit these putts."
    strength = "A tendency, not chance" if call.word == "clear" else "More likely a tendency than chance"
    name = push_or_pull(side, hand)
    return (
        f"{strength}: {percent(call.probability)} sure of a bias to the {side} that matters "
        f"(over a quarter of the window). For a {hand}-handed golfer that is a {name}."
    )


def _chance(summary: Summary | None) -> str:
    if summary is None:
        return ""
    inside = summary.inside
    return (
        f"About {round(inside.value * 100)} putts in a hundred start inside the window "
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


def _work(summary: Summary | None, call: Verdict | None) -> str:
    if summary is None or call is None:
        return ""
    bias, spread = (round(it.value * 100) for it in (summary.gain_unbiased, summary.gain_steadier))
    if max(bias, spread) <= _TIE_PUTTS:
        return "The start line costs next to nothing here. Look at read and pace."
    if not call.names_direction:
        why = "there is none to mend" if call.word == "none" else "its direction is not yet likely"
        return f"Work on the spread: a quarter less {_brings(spread)}. The bias is not named: {why}."
    if abs(bias - spread) <= _TIE_PUTTS:
        return f"A tie: mending the bias {_brings(bias)}, a quarter less spread {_brings(spread)}."
    if bias > spread:
        return f"Work on the bias: mending it {_brings(bias)}; a quarter less spread {_brings(spread)}."
    return f"Work on the spread: a quarter less {_brings(spread)}; mending the bias {_brings(bias)}."


def _brings(putts: int) -> str:
    if putts == 0:
        return "brings nothing"
    return f"{'brings' if putts > 0 else 'loses'} {count(abs(putts), 'putt')} in a hundred"
