"""A comparison of conditions: one question, asked before the first putt, and its one verdict.

Looking at everything finds something: so the word (clear, likely) goes to what was asked; the rest is told as chances.
"""

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Final, Literal

from ..certainty.matter import MATTERS
from ..certainty.verdict import Verdict, clear_among, weigh
from ..certainty.vial import Vial, vial
from ..estimate import START, Posterior, posterior, summarise
from ..estimate.comparison import Comparison, compare
from ..estimate.shares import NONE_TOLD, Apart, Share, apart
from ..measure.interval import Interval
from ..measure.window import Window
from ..set.station import Station
from ..start.notes import Notes
from .disturbed import disturbed_deg
from .table import Chance, RowFacts, TableFacts

Noticed = Literal["roll", "still", "touch", "strike", "finish"]
"""Questions about what was noted of the putts: names of notes."""
AboutStart = Literal["line", "spread", "window"]
Question = Literal["line", "spread", "window", "roll", "still", "touch", "strike", "finish"]
GOOD: Final[Mapping[Noticed, str]] = {
    "roll": "clean", "still": "nothing", "touch": "nothing", "strike": "middle", "finish": "holed",
}  # fmt: skip
"""What each would have: the answer that is wanted."""


def noticed(question: Question) -> Noticed | None:
    """The note a question is about; None for one of the start."""
    return next((it for it in GOOD if it == question), None)


def good_of(notes: Sequence[Notes], question: Question) -> Share:
    """How many of the putts of which it was noted are as is wanted; none where the question is of the start."""
    note = noticed(question)
    if note is None:
        return NONE_TOLD
    told = [str(it[note]) for it in notes if note in it]
    return Share(told.count(GOOD[note]), len(told))


Of = Literal["start", "aim"]
"""What is compared: where balls started, or where the face aimed at address."""


@dataclass(frozen=True, slots=True)
class Arm:
    """One condition.

    Parameters
    ----------
    name : of the condition
    readings : its valid ones, oldest first, degrees
    window : what the hole allows there
    noise_deg, shared_deg : standard uncertainty of one reading beyond its interval, and of all of them together
    read_with : what they were read with, and where; the same of two conditions: its own error is in both alike
    good : how often what was noted was as is wanted, where the question is of that
    own_deg : standard uncertainty of all of them that is this condition's alone: for what disturbed it
    """

    name: str
    readings: tuple[Interval, ...]
    window: Window
    noise_deg: float
    shared_deg: float
    read_with: object
    own_deg: float = 0.0
    good: Share = NONE_TOLD

    @classmethod
    def at(
        cls,
        name: str,
        readings: Sequence[Interval],
        station: Station,
        disturbances: Sequence[str] = (),
        good: Share = NONE_TOLD,
    ) -> "Arm":
        """A condition that was putted on a station, disturbed so."""
        # Its own: what disturbed the other too was not there alike.
        own = disturbed_deg(disturbances)
        return cls(
            name, tuple(readings), station.putt.window, station.noise_deg, station.shared_deg, station, own, good
        )


@dataclass(frozen=True, slots=True)
class Pair:
    """A condition against the first. `call` is the verdict on what was asked; before the planned end it is only so
    far."""

    name: str
    call: Verdict
    comparison: Comparison | None
    shares: Apart | None = None


@dataclass(frozen=True, slots=True)
class Compared:
    """Conditions compared with the first, each with its vial; no pairs before two of them were putted."""

    question: Question
    first: str
    final: bool
    vials: tuple[Vial, ...]
    pairs: tuple[Pair, ...]
    conditions: int
    of: Of = "start"
    shares: tuple[Share, ...] = ()
    """Of each condition, where the question is of what was noted."""

    @property
    def table(self) -> TableFacts | None:
        """How sure it is that each beats the first: nearer the line, steadier, more in the window."""
        if not self.pairs or self.shares:
            return None
        columns = ("nearer", "steadier", "more_inside")
        return TableFacts("comparison", columns, tuple(_row(it) for it in self.pairs), self)


def compared(arms: Sequence[Arm], question: Question, *, final: bool, of: Of = "start") -> Compared:
    """Compare conditions with the first of them.

    Parameters
    ----------
    arms : at least two conditions
    question : what the comparison was planned to answer; only that gets a verdict word
    final : all planned readings are in
    of : what they are readings of
    """
    if noticed(question):
        return _noticed(arms, question, final)
    posts = [posterior(it.readings, START, noise=it.noise_deg).blurred(it.own_deg) for it in arms]
    vials = tuple(_vial(it, post, final) for it, post in zip(arms, posts, strict=True))
    told = [(it, post) for it, post in zip(arms, posts, strict=True) if it.readings]
    pairs: tuple[Pair, ...] = ()
    if len(told) >= 2 and arms[0].readings:
        pairs = tuple(_pair(told[0], it, question, len(arms) - 1) for it in told[1:])
    return Compared(question, arms[0].name, final, vials, pairs, len(arms), of)


def _noticed(arms: Sequence[Arm], question: Question, final: bool) -> Compared:
    """By shares of what was noted; where the start was watched too, its vials stand beside."""
    watched = [it for it in arms if any(math.isfinite(one.low) or math.isfinite(one.high) for one in it.readings)]
    vials: tuple[Vial, ...] = ()
    if len(watched) == len(arms):
        vials = tuple(_vial(it, posterior(it.readings, START, noise=it.noise_deg), final) for it in arms)
    matter, sure = MATTERS["share"], clear_among(max(len(arms) - 1, 1))
    pairs: list[Pair] = []
    for it in arms[1:]:
        if arms[0].good.of and it.good.of:
            found = apart(arms[0].good, it.good, matter.matters_from, matter.nothing_under)
            pairs.append(Pair(it.name, weigh(found.more, found.less, found.small, clear=sure), None, found))
    shares = tuple(it.good for it in arms)
    return Compared(question, arms[0].name, final, vials, tuple(pairs), len(arms), "start", shares)


def _vial(arm: Arm, post: Posterior, settled: bool) -> Vial:
    found = summarise(post.blurred(arm.shared_deg), arm.window) if arm.readings else None
    return vial(arm.readings, found and found.bubble, arm.window, settled=settled)


def _pair(one: tuple[Arm, Posterior], another: tuple[Arm, Posterior], question: Question, pairs: int) -> Pair:
    (first, a), (other, b) = one, another
    windows, doubts = (first.window, other.window), (first.shared_deg, other.shared_deg)
    same_rig = first.read_with == other.read_with
    found = compare(a, b, windows, doubts=doubts, same_rig=same_rig)
    sides = {"spread": found.spread, "window": found.window}.get(question, found.line)
    return Pair(other.name, weigh(sides.more, sides.less, sides.small, clear=clear_among(pairs)), found)


def _row(it: Pair) -> RowFacts:
    found = it.comparison
    assert found is not None
    chances = 1 - found.less_bias, 1 - found.less_spread, 1 - found.higher_chance
    return RowFacts("condition", tuple(Chance(chance) for chance in chances), said=it.name)
