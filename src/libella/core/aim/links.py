"""Aim at address, link by link: ball mark against the line, putter against the mark, face against the line.

Face aim = ball mark + (aim − mark) (handbook 5, chain): means add, and each link has its own certainty. A set of
set-downs is judged as a block of putts is: the same posterior, the same words, on the same vial.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

from ..certainty.estimate import Estimate
from ..certainty.verdict import WORDS, Verdict
from ..certainty.vial import Vial, vial
from ..estimate import START, Summary, posterior, summarise
from ..estimate.cost import Mix, weigh_difference
from ..estimate.verdict import verdict
from ..golfer.hand import Hand
from ..green.putt import Putt
from ..judge.words import headline
from ..measure.angle import offset_m
from ..measure.interval import Interval
from ..measure.limits import Bounds
from ..measure.side import side_of
from ..measure.units import Units, about, count, sided

Link = Literal["face", "mark", "to_mark"]
Cue = Literal["line", "stripe", "logo", "blank", "near spot"]
CUES: Final[tuple[Cue, ...]] = ("line", "stripe", "logo", "blank", "near spot")
PLANNED: Final = Bounds(3, 40, "set-downs")
ANGLE: Final = Bounds(-10.0, 10.0, "deg")
SEEN: Final = Bounds(0.1, 3.0, "deg")


@dataclass(frozen=True, slots=True)
class LinkWords:
    """A link of the aim: its name, what is read, and what it is against."""

    name: str
    how: str


LINKS: Final[dict[Link, LinkWords]] = {
    "face": LinkWords("Face against the line", "Set the putter down, step away, and again; read the face each time."),
    "mark": LinkWords("Ball mark against the line", "The golfer points the mark; read how far it lies off the line."),
    "to_mark": LinkWords("Putter against the mark", "Set the putter down; read the face against the ball's own mark."),
}


@dataclass(frozen=True, slots=True)
class AimFound:
    """A set of set-downs judged. `final` from its planned end on: then there is a verdict."""

    set_downs: int
    planned: int
    final: bool
    summary: Summary | None
    verdict: Verdict | None
    headline: str
    meaning: str
    doubt: str
    vial: Vial


def by_degrees(angle_deg: float, seen_deg: float) -> Interval:
    """A link read as an angle, right positive, to ± `seen_deg`."""
    ANGLE.check("angle_deg", "Angle", angle_deg)
    SEEN.check("seen_deg", "Read to", seen_deg)
    return Interval(angle_deg - seen_deg, angle_deg + seen_deg)


def aim_found(
    readings: Sequence[Interval],
    link: Link,
    putt: Putt,
    hand: Hand,
    units: Units,
    *,
    planned: int,
    proved: bool,
    shared_deg: float = 0.0,
) -> AimFound:
    """Judge set-downs, oldest first, degrees.

    Parameters
    ----------
    planned : set-downs after which the verdict is given
    proved : of the line; where it is not, nothing is clear
    shared_deg : what is not known of the line's own direction, one standard deviation
    """
    n = len(readings)
    final = n >= planned
    summary = summarise(posterior(readings, START).blurred(shared_deg), putt.window) if n else None
    call = verdict(summary, proved=proved) if summary and final else None
    return AimFound(
        set_downs=n,
        planned=planned,
        final=final,
        summary=summary,
        verdict=call,
        headline=headline(summary, call, "No set-down yet."),
        meaning=_meaning(summary, call, link, putt, hand, units, n, planned) + ("" if proved or not n else _UNPROVED),
        doubt=_doubt(summary),
        vial=vial(readings, summary and summary.bubble, putt.window, settled=final),
    )


_UNPROVED: Final = " The line is not proved."


def _meaning(
    summary: Summary | None,
    call: Verdict | None,
    link: Link,
    putt: Putt,
    hand: Hand,
    units: Units,
    n: int,
    planned: int,
) -> str:
    if summary is None:
        return f"The verdict comes after {count(planned, 'set-down')}."
    if call is None:
        return f"{n} of {count(planned, 'set-down')}; until then this is only so far."
    if not call.names_direction:
        return "Nothing there to mend." if call.word == "none" else "A tendency and chance both still fit."
    bias = summary.bias
    at_hole = about(offset_m(bias.value, putt.distance_m), offset_m(bias.doubt, putt.distance_m), units)
    far = f"About {at_hole} {side_of(bias.value)} at the hole"
    if link == "mark":
        return f"{far}."
    # Open points away from the golfer's feet: right for a right-handed golfer.
    face = "open" if (bias.value > 0) == (hand == "right") else "closed"
    return f"{far}; the face is {face} to {'the line' if link == 'face' else 'the mark'}."


def _doubt(summary: Summary | None) -> str:
    if summary is None:
        return ""
    bias, spread = summary.bias, summary.spread
    ends = " and ".join(f"{abs(it):.1f}° {side_of(it, 0.05)}".removesuffix(" neither") for it in (bias.low, bias.high))
    return f"Between {ends}; one set-down from the next {spread.value:.1f}° ({spread.low:.1f}° to {spread.high:.1f}°)."


@dataclass(frozen=True, slots=True)
class AimSum:
    """The ball mark and the putter against it, added, beside the face as it was read; None for what was not."""

    mark: Estimate | None
    to_mark: Estimate | None
    added: Estimate | None
    face: Estimate | None
    words: str


def aim_sum(mark: Estimate | None, to_mark: Estimate | None, face: Estimate | None, putt: Putt) -> AimSum:
    """Add the links; they are different set-downs, so their doubts add as squares."""
    if mark is None or to_mark is None:
        pairs = (mark, "the ball mark"), (to_mark, "the putter against the mark")
        missing = [name for it, name in pairs if it is None]
        return AimSum(mark, to_mark, None, face, f"For the sum, read {' and '.join(missing)}.")
    middle, doubt = mark.value + to_mark.value, math.hypot(mark.doubt, to_mark.doubt)
    added = Estimate(middle, middle - doubt, middle + doubt)
    said = f"Mark {sided(mark.value)} and putter against it {sided(to_mark.value)} make {sided(added.value)}"
    if face is None:
        return AimSum(mark, to_mark, added, None, f"{said} (± {doubt:.1f}°); the face itself was not read.")
    word = _difference(added, face, putt)[1].word
    fits = {
        "none": "as the face reads",
        "open": "which may or may not be how the face reads",
        "likely": "likely not as the face reads: read one of them again",
        "clear": "not as the face reads: read one of them again",
    }[word]
    return AimSum(mark, to_mark, added, face, f"{said} (± {doubt:.1f}°), {fits} ({sided(face.value)}).")


def natural_and_aided(natural: Estimate | None, aided: Estimate | None, putt: Putt) -> str:
    """What the aid in view changes, in words; empty until both were read."""
    if natural is None or aided is None:
        return ""
    moved, call = _difference(natural, aided, putt)
    size = f"{abs(moved.value):.1f}° {side_of(moved.value)} (± {moved.doubt:.1f}°)"
    if call.word == "none":
        return f"The aid in view makes no difference worth having to the aim: {size}."
    if call.word == "open":
        return f"Whether the aid in view moves the aim can't be told yet: {size}."
    return f"The aid in view moves the aim {size}, {WORDS[call.word]}: what is read with it is the guided golfer."


def _difference(one: Estimate, other: Estimate, putt: Putt) -> tuple[Estimate, Verdict]:
    """`other` less `one`, and what it costs in the window of this putt, for a spread as it usually is."""
    middle, doubt = other.value - one.value, math.hypot(one.doubt, other.doubt)
    moved = Estimate(middle, middle - doubt, middle + doubt)
    mix = Mix.one(putt.window)
    return moved, weigh_difference(moved.low, middle, moved.high, START.spread_median, mix)
