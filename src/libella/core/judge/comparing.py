"""A comparison of conditions: one question, asked before the first putt, and its one verdict.

Looking at everything finds something: so the word (clear, likely) goes to what was asked; the rest is told as chances.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal, get_args

from ..certainty.verdict import Verdict, clear_among, weigh
from ..certainty.vial import Vial, vial
from ..estimate import START, Posterior, posterior, summarise
from ..estimate.comparison import Comparison, compare
from ..measure.interval import Interval
from ..measure.window import Window
from ..set.station import Station
from .table import Chance, RowFacts, TableFacts

Question = Literal["line", "spread", "window"]
QUESTIONS: Final[tuple[Question, ...]] = get_args(Question)


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
    """

    name: str
    readings: tuple[Interval, ...]
    window: Window
    noise_deg: float
    shared_deg: float
    read_with: object

    @classmethod
    def at(cls, name: str, readings: Sequence[Interval], station: Station) -> "Arm":
        """A condition that was putted on a station."""
        return cls(name, tuple(readings), station.putt.window, station.noise_deg, station.shared_deg, station)


@dataclass(frozen=True, slots=True)
class Pair:
    """A condition against the first. `call` is the verdict on what was asked; before the planned end it is only so
    far."""

    name: str
    call: Verdict
    comparison: Comparison


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

    @property
    def table(self) -> TableFacts | None:
        """How sure it is that each beats the first: nearer the line, steadier, more in the window."""
        if not self.pairs:
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
    posts = [posterior(it.readings, START, noise=it.noise_deg) for it in arms]
    vials = tuple(_vial(it, post, final) for it, post in zip(arms, posts, strict=True))
    told = [(it, post) for it, post in zip(arms, posts, strict=True) if it.readings]
    pairs: tuple[Pair, ...] = ()
    if len(told) >= 2 and arms[0].readings:
        pairs = tuple(_pair(told[0], it, question, len(arms) - 1) for it in told[1:])
    return Compared(question, arms[0].name, final, vials, pairs, len(arms), of)


def _vial(arm: Arm, post: Posterior, settled: bool) -> Vial:
    found = summarise(post.blurred(arm.shared_deg), arm.window) if arm.readings else None
    return vial(arm.readings, found and found.bubble, arm.window, settled=settled)


def _pair(one: tuple[Arm, Posterior], another: tuple[Arm, Posterior], question: Question, pairs: int) -> Pair:
    (first, a), (other, b) = one, another
    windows, doubts = (first.window, other.window), (first.shared_deg, other.shared_deg)
    same_rig = first.read_with == other.read_with
    found = compare(a, b, windows, doubts=doubts, same_rig=same_rig)
    sides = {"line": found.line, "spread": found.spread, "window": found.window}[question]
    return Pair(other.name, weigh(sides.more, sides.less, sides.small, clear=clear_among(pairs)), found)


def _row(it: Pair) -> RowFacts:
    found = it.comparison
    chances = 1 - found.less_bias, 1 - found.less_spread, 1 - found.higher_chance
    return RowFacts("condition", tuple(Chance(chance) for chance in chances), said=it.name)
